package outfell.year;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import outfell.climate.MonthlyAir;
import outfell.climate.Stay;
import outfell.consultation.Life;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.week.Pause;

/**
 * Some days over the season, gone after, from spells.yaml.
 *
 * @param pause what it stops, and for how long round its days
 * @param over the air of the season
 * @param figure what the figure of its pause is
 * @param stays hours in other air than the usual
 * @param nothingNew whether no bottle is begun in it
 * @param pack whether what goes along must fit in a small bag
 * @param sheet places of a client's day for which the sheet tells it ahead
 * @param ahead when it comes, "you fly"; empty for what the sheet does not tell ahead
 * @param says what the client is told
 */
public record Spell(
        Pause.KindOfPause pause,
        Over over,
        Figure figure,
        List<Stay> stays,
        boolean nothingNew,
        boolean pack,
        List<Life.Place> sheet,
        String ahead,
        List<Because> says) {
    /** What the figure of a pause is. */
    enum Figure {
        NONE,
        CABIN_HOURS,
        HEIGHT
    }

    private static final Row FILE = KnowledgeFile.yaml("spells.yaml");
    /** The largest bottle that goes into a small bag, ml. */
    static final double BAG_ML = FILE.number("bag-ml", 1, 1000);

    private static final double A_THOUSAND_METRES = FILE.number("a-thousand-metres", 0, 1);

    private static final List<Spell> ALL =
            Row.unique(FILE.rows("spells"), Spell::read, s -> s.pause().id());

    /** How the air of those days differs from the normal. */
    record Over(double celsius, double humidity, double wind, double uv, double uvTimes) {
        MonthlyAir of(MonthlyAir normal) {
            return new MonthlyAir(
                    Math.clamp(normal.celsius() + celsius, -45, 60),
                    Math.clamp(normal.humidity() + humidity, 1, 100),
                    Math.clamp(normal.wind() + wind, 0, 60),
                    Math.clamp(normal.uvIndex() * uvTimes + uv, 0, 20));
        }
    }

    /** The air outdoors of its days. */
    MonthlyAir outdoors(MonthlyAir normal, Pause of) {
        MonthlyAir there = over.of(normal);
        return figure == Figure.HEIGHT ? there.brighter(1 + A_THOUSAND_METRES * of.much() / 1000) : there;
    }

    /** Hours in other air than the usual. */
    List<Stay> stays(Pause of) {
        return figure == Figure.CABIN_HOURS ? List.of(new Stay(Stay.Where.CABIN, of.much())) : stays;
    }

    /** What it is called, with its figure where one was told: "a flight, 11 h". */
    static String label(Pause of) {
        return of.figure().isEmpty()
                ? of.kind().label()
                : "%s, %s %s"
                        .formatted(
                                of.kind().label(),
                                of.much() == Math.rint(of.much())
                                        ? "%.0f".formatted(of.much())
                                        : String.valueOf(of.much()),
                                of.kind().asks().map(Pause.Asks::unit).orElse(""));
    }

    /** Every kind there is, in the order in which they are told. */
    public static List<Spell> all() {
        return ALL;
    }

    /** What a pause is beside one; nothing where it only stops something. */
    public static Optional<Spell> of(Pause pause) {
        return ALL.stream()
                .filter(s -> s.pause().id().equals(pause.kind().id()))
                .findFirst();
    }

    /** Whether one of its days lies in a stretch. */
    static boolean within(Pause pause, LocalDate from, LocalDate until) {
        return pause.from().isBefore(until) && !pause.until().isBefore(from);
    }

    private static Spell read(Row row) {
        String id = row.text("id");
        Because because = row.because(id);
        return new Spell(
                Pause.kind(id).orElseThrow(() -> row.fault("pauses.yaml has no pause " + id)),
                new Over(
                        row.number("celsius-plus", 0),
                        row.number("humidity-plus", 0),
                        row.number("wind-plus", 0),
                        row.number("uv-plus", 0),
                        row.number("uv-times", 1)),
                row.has("figure") ? row.one("figure", Figure.class) : Figure.NONE,
                stay(row, "cooled", Stay.Where.COOLED).stream().toList(),
                row.flag("nothing-new"),
                row.flag("pack"),
                row.several("sheet", Life.Place.class),
                row.has("sheet") ? row.text("ahead") : "",
                row.texts("says").stream().map(because::withSentence).toList());
    }

    private static Optional<Stay> stay(Row row, String key, Stay.Where where) {
        double hours = row.number(key, 0);
        return hours > 0 ? Optional.of(new Stay(where, hours)) : Optional.empty();
    }
}
