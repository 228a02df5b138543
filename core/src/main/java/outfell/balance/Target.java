package outfell.balance;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import outfell.climate.Air;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.skin.Band;
import outfell.skin.SkinVerdict;

/**
 * The bands in which a routine's points should lie, from balance.yaml.
 *
 * @param because type, condition, barrier and air that made it
 */
public record Target(Range water, Range oils, Range seal, Because because) {
    /** @param low least points, 0 and more; @param high most, at least {@code low} */
    public record Range(double low, double high) {
        /** How far outside, in points; 0 inside. */
        public double outside(double points) {
            return Math.max(0, Math.max(low - points, points - high));
        }

        public double width() {
            return high - low;
        }
    }

    /** @param low what is added to the least; @param high to the most */
    record Shift(String id, Points low, Points high, String words) {}

    static final Row FILE = KnowledgeFile.yaml("balance.yaml");
    private static final Map<Band, Target> TYPES = types();
    private static final List<Shift> SHIFTS = Row.unique(FILE.rows("shifts"), Target::shift, Shift::id);
    private static final double T_ZONE = FILE.number("t-zone", 0, 1);
    private static final double LEAST_HIGH = FILE.number("least-high", 0, 100);
    private static final double MORNING_OILS = FILE.row("morning").number("oils-high", 0, 200);
    private static final double MORNING_SEAL = FILE.row("morning").number("seal-high", 0, 200);
    private static final double MORNING_SEAL_LOW = FILE.row("morning").number("seal-low-share", 0, 1);

    public Range of(Need need) {
        return switch (need) {
            case WATER -> water;
            case OILS -> oils;
            case SEAL -> seal;
        };
    }

    /** What a skin asks in an air, evening; by area where the T-zone is of another type than the cheeks. */
    public static Target evening(SkinVerdict skin, Air air) {
        return evening(skin.type().bandT(), skin.type().bandU(), shifts(skin, air));
    }

    /** @param shifts ids of what moves the bands */
    static Target evening(Band t, Band u, List<String> shifts) {
        List<String> why = new ArrayList<>();
        why.add(t == u ? lower(u) + " skin" : "%s T-zone, %s cheeks".formatted(lower(t), lower(u)));
        Points low = Points.NONE;
        Points high = Points.NONE;
        for (String id : shifts) {
            Shift shift =
                    SHIFTS.stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
            low = low.and(shift.low());
            high = high.and(shift.high());
            why.add(shift.words());
        }
        return between(of(t), of(u))
                .moved(low, high)
                .withBecause(Because.house("Asked by %s.".formatted(String.join(", ", why))));
    }

    /** The same under a morning's sunscreen. */
    public Target morning() {
        return new Target(
                water,
                new Range(oils.low(), oils.high() + MORNING_OILS),
                new Range(seal.low() * MORNING_SEAL_LOW, seal.high() + MORNING_SEAL),
                because.withSentence(because.sentence() + " By day less seal is asked, and the sunscreen gives some."));
    }

    static Target of(Band band) {
        return Objects.requireNonNull(TYPES.get(band));
    }

    private static List<String> shifts(SkinVerdict skin, Air air) {
        List<String> ids = new ArrayList<>();
        if (skin.water().dehydrated()) {
            ids.add("dehydrated");
        }
        switch (skin.barrier().state()) {
            case BROKEN -> ids.add("broken");
            case STRAINED -> ids.add("strained");
            case SOUND, NOT_YET -> {}
        }
        switch (air.dryBand()) {
            case SEVERE -> ids.add("severe_air");
            case HIGH -> ids.add("dry_air");
            case MODERATE, LOW -> {}
        }
        switch (air.heatBand()) {
            case SWELTERING -> ids.add("sweltering_air");
            case HOT -> ids.add("warm_air");
            case WARM, NONE, DRY_HEAT -> {}
        }
        return ids;
    }

    private static Target between(Target t, Target u) {
        return new Target(mean(t.water, u.water), mean(t.oils, u.oils), mean(t.seal, u.seal), u.because);
    }

    private static Range mean(Range t, Range u) {
        return new Range(T_ZONE * t.low() + (1 - T_ZONE) * u.low(), T_ZONE * t.high() + (1 - T_ZONE) * u.high());
    }

    Target moved(Points low, Points high) {
        return new Target(
                moved(water, low.water(), high.water()),
                moved(oils, low.oils(), high.oils()),
                moved(seal, low.seal(), high.seal()),
                because);
    }

    private static Range moved(Range range, double low, double high) {
        return new Range(Math.max(0, range.low() + low), Math.max(LEAST_HIGH, range.high() + high));
    }

    Target withBecause(Because other) {
        return new Target(water, oils, seal, other);
    }

    private static String lower(Band band) {
        return band.name().toLowerCase(java.util.Locale.ROOT);
    }

    private static Map<Band, Target> types() {
        Map<Band, Target> map = new EnumMap<>(Band.class);
        for (Row row : FILE.rows("targets")) {
            Band band = row.one("id", Band.class);
            map.put(
                    band,
                    new Target(
                            range(row, Need.WATER),
                            range(row, Need.OILS),
                            range(row, Need.SEAL),
                            row.because("Asked by %s skin.".formatted(lower(band)))));
            row.done();
        }
        for (Band band : Band.values()) {
            if (!map.containsKey(band)) {
                throw FILE.fault("there is no target for " + band);
            }
        }
        return map;
    }

    private static Range range(Row row, Need need) {
        List<Double> ends = row.numbers(need.key());
        if (ends.size() != 2 || ends.getFirst() < 0 || ends.getLast() < ends.getFirst()) {
            throw row.fault("%s needs a least and a most".formatted(need.key()));
        }
        return new Range(ends.getFirst(), ends.getLast());
    }

    private static Shift shift(Row row) {
        row.because("shift");
        List<Double> water = ends(row, Need.WATER);
        List<Double> oils = ends(row, Need.OILS);
        List<Double> seal = ends(row, Need.SEAL);
        return new Shift(
                row.text("id"),
                new Points(water.getFirst(), oils.getFirst(), seal.getFirst()),
                new Points(water.getLast(), oils.getLast(), seal.getLast()),
                row.text("words"));
    }

    private static List<Double> ends(Row row, Need need) {
        List<Double> ends = row.numbers(need.key());
        if (ends.size() != 2 || ends.stream().anyMatch(x -> Math.abs(x) > 200)) {
            throw row.fault("%s needs what is added to the least and to the most, -200 to 200".formatted(need.key()));
        }
        return ends;
    }
}
