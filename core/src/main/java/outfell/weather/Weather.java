package outfell.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.climate.Air;
import outfell.climate.Air.HeatBand;
import outfell.climate.MonthlyAir;
import outfell.climate.Site;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/**
 * The days round today at a place. What nobody told, or told so that it cannot be believed, is the normal of its day, and says so.
 *
 * @param days from the first that is looked back on to the last that is looked forward to, without a gap
 * @param missing why normals stand for some of the days, today among them or not; absent where all of them were told and believed
 */
public record Weather(Site site, LocalDate today, List<WeatherDay> days, Optional<Because> missing) {
    private static final Row FILE = KnowledgeFile.yaml("weather.yaml");
    private static final Row DAYS = FILE.row("days");
    private static final int BACK = DAYS.whole("back", 0, 30);
    private static final int AHEAD = DAYS.whole("ahead", 0, 30);
    private static final Row BELIEF = FILE.row("belief");
    private static final double CELSIUS_OFF = BELIEF.number("celsius-off", 1, 60);
    private static final double UV_OVER = BELIEF.number("uv-over", 0, 20);
    private static final double WIND = BELIEF.number("wind", 1, 60);
    private static final double USUAL = FILE.number("usual-within", 0, 10);
    private static final List<Kind> KINDS = Row.unique(FILE.rows("spells"), Kind::read, Kind::id);

    /** What makes some days a spell. */
    private record Kind(String id, boolean cold, double off, double limit, int days, Because because) {
        boolean is(WeatherDay d) {
            double t = d.air().celsius();
            return cold ? -d.above() >= off && t <= limit : d.above() >= off && t >= limit && isNews(d.normal());
        }

        /** Where it is hot every year by then, heat is no spell. */
        private static boolean isNews(MonthlyAir normal) {
            return Air.of(normal).heatBand() == HeatBand.NONE;
        }

        static Kind read(Row row) {
            return new Kind(
                    row.text("id"),
                    row.flag("cold"),
                    row.number("off", 1, 30),
                    row.number("limit", -40, 50),
                    row.whole("days", 1, 10),
                    row.because(row.text("id")));
        }
    }

    public Weather {
        days = List.copyOf(days);
    }

    /** The first day that is asked for. */
    public static LocalDate first(LocalDate today) {
        return today.minusDays(BACK);
    }

    /** How many days are asked for. */
    public static int span() {
        return BACK + 1 + AHEAD;
    }

    /** @param told in any order; days outside of those asked for, and second tellings of one day, are passed over */
    public static Weather of(Site site, LocalDate today, List<ToldDay> told) {
        Map<LocalDate, ToldDay> byDay =
                told.stream().collect(Collectors.toMap(ToldDay::day, Function.identity(), (a, _) -> a));
        List<WeatherDay> days = first(today)
                .datesUntil(first(today).plusDays(span()))
                .map(day -> day(site, day, Optional.ofNullable(byDay.get(day))))
                .toList();
        return new Weather(site, today, days, missing(days, days.get(BACK)));
    }

    /**
     * Without any service.
     *
     * @param why a sentence
     */
    public static Weather normals(Site site, LocalDate today, String why) {
        return new Weather(site, today, of(site, today, List.of()).days(), Optional.of(Because.house(why)));
    }

    private static WeatherDay day(Site site, LocalDate day, Optional<ToldDay> told) {
        MonthlyAir normal = site.on(day);
        Optional<Because> doubt =
                told.flatMap(t -> doubt(t, normal)).map(w -> BELIEF.because("%s Not believed.".formatted(w)));
        boolean believed = told.isPresent() && doubt.isEmpty();
        MonthlyAir air = believed ? air(told.orElseThrow()) : normal;
        return new WeatherDay(day, air, normal, believed, doubt);
    }

    private static MonthlyAir air(ToldDay t) {
        return new MonthlyAir(t.celsius(), t.humidity(), t.wind(), t.uvIndex());
    }

    /** What is wrong with it; nothing where it may be so. */
    private static Optional<String> doubt(ToldDay t, MonthlyAir normal) {
        if (!(Math.abs(t.celsius() - normal.celsius()) <= CELSIUS_OFF)) {
            return Optional.of(
                    "%s °C is told where %s is usual.".formatted(plain(t.celsius()), plain(normal.celsius())));
        }
        if (!(t.humidity() >= 1 && t.humidity() <= 100)) {
            return Optional.of("A humidity of %s %% is told.".formatted(plain(t.humidity())));
        }
        if (!(t.wind() >= 0 && t.wind() <= WIND)) {
            return Optional.of("A wind of %s m/s is told.".formatted(plain(t.wind())));
        }
        if (!(t.uvIndex() >= 0 && t.uvIndex() <= Math.min(20, normal.uvIndex() + UV_OVER))) {
            return Optional.of("A UV index of %s is told where %s is usual."
                    .formatted(plain(t.uvIndex()), plain(normal.uvIndex())));
        }
        return Optional.empty();
    }

    /** Today's doubt is told before any other day's. */
    private static Optional<Because> missing(List<WeatherDay> days, WeatherDay today) {
        long untold = days.stream().filter(d -> !d.told()).count();
        return untold == 0
                ? Optional.empty()
                : Stream.concat(Stream.of(today), days.stream())
                        .flatMap(d -> d.doubt().stream())
                        .findFirst()
                        .map(d ->
                                d.withSentence("%s The usual air stands for %s.".formatted(d.sentence(), days(untold))))
                        .or(() -> Optional.of(Because.house("Of %s nothing was told: the usual air stands for %s."
                                .formatted(days(untold), untold == 1 ? "it" : "them"))));
    }

    private static String days(long n) {
        return n == 1 ? "one day" : "%d days".formatted(n);
    }

    public WeatherDay now() {
        return days.get(BACK);
    }

    /** @param day one of {@code days} */
    public MonthlyAir on(LocalDate day) {
        return days.stream()
                .filter(d -> d.day().equals(day))
                .findFirst()
                .orElseThrow(
                        () -> new IllegalArgumentException("%s lies outside of what was asked for.".formatted(day)))
                .air();
    }

    /** How today's warmth lies to what is usual. */
    public Because compared() {
        WeatherDay now = now();
        long off = Math.round(Math.abs(now.above()));
        String words = !now.told()
                ? "This is what is usual on the day."
                : Math.abs(now.above()) < USUAL
                        ? "About as is usual on the day."
                        : "%d °C %s than is usual on the day.".formatted(off, now.above() > 0 ? "warmer" : "colder");
        return Because.house(words);
    }

    /** Spells that lie round today or ahead, the nearest first; only days that were told make one. */
    public List<Snap> snaps() {
        return KINDS.stream()
                .flatMap(k -> runs(k).stream())
                .sorted(Comparator.comparing(Snap::from))
                .toList();
    }

    private List<Snap> runs(Kind kind) {
        List<Snap> all = new ArrayList<>();
        List<WeatherDay> run = new ArrayList<>();
        for (WeatherDay d : days) {
            if (d.told() && kind.is(d)) {
                run.add(d);
            } else {
                ended(kind, run).ifPresent(all::add);
                run.clear();
            }
        }
        ended(kind, run).ifPresent(all::add);
        return all;
    }

    private Optional<Snap> ended(Kind kind, List<WeatherDay> run) {
        if (run.size() < kind.days() || run.getLast().day().isBefore(today)) {
            return Optional.empty();
        }
        MonthlyAir air = MonthlyAir.mean(run.stream().map(WeatherDay::air).toList());
        double off =
                run.stream().mapToDouble(d -> Math.abs(d.above())).average().orElseThrow();
        return Optional.of(new Snap(
                kind.id(),
                run.getFirst().day(),
                run.getLast().day(),
                air,
                kind.because()
                        .withSentence("%d days at about %.0f °C, %.0f °C %s than is usual."
                                .formatted(run.size(), air.celsius(), off, kind.cold() ? "colder" : "warmer"))));
    }

    private static String plain(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : "%.1f".formatted(x);
    }
}
