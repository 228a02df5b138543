package outfell.week;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ActiveIn;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.skin.Band;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.BarrierState;

/**
 * How much strong work a skin bears in a week, from load.yaml.
 *
 * @param cap load points a week
 * @param night load points of one night
 * @param three load points of any three nights running
 * @param rest nights a week without a strong step
 * @param uses most uses a week of each rationed family
 * @param ramp nights a week of a retinoid in weeks 1 to 12
 */
public record Tolerance(
        Kind kind,
        String label,
        double cap,
        double night,
        double three,
        int rest,
        Map<ActiveKind, Integer> uses,
        List<Integer> ramp,
        Because because) {
    /** Kinds of skin by what they bear. */
    public enum Kind {
        OILY,
        NORMAL,
        DRY,
        REACTIVE,
        STRAINED,
        BROKEN
    }

    /** Percent: a family that is as strong at any share. */
    private static final double ALL_OF_IT = 100;

    private static final int HOURS_A_NIGHT = 24;

    private record Points(ActiveKind active, double mild, double strong, double strongFrom, int apart) {}

    private static final Row FILE = KnowledgeFile.yaml("load.yaml");
    /** Weeks that a ramp takes: after them a thing is got used to. */
    public static final int GOT_USED_TO = FILE.whole("got-used-to", 1, 52);

    private static final Map<ActiveKind, Points> POINTS = points();
    private static final Map<Kind, Tolerance> ALL = all();
    private static final List<ActiveKind> EXFOLIANTS = List.of(
            ActiveKind.AHA, ActiveKind.BHA, ActiveKind.PHA, ActiveKind.ENZYME, ActiveKind.SCRUB, ActiveKind.CLAY);
    private static final double RINSED_POINTS = FILE.number("rinsed-points", 0, 10);
    private static final double CLAY_EXFOLIATION = FILE.number("clay-exfoliation", 0, 1);
    private static final double PRESCRIBED_POINTS = FILE.number("prescribed-points", 0, 10);
    private static final int FIRST_WEEKS_USES = FILE.whole("first-weeks-uses", 0, 7);
    /** Evenings a week of a daily step that is led up to. */
    public static final int LED_UP_TO_USES = FILE.whole("led-up-to-uses", 1, 7);
    /** A stronger one is thought of after so many weeks of so many nights without a sign. */
    public static final int STRONGER_WEEKS = FILE.row("stronger").whole("weeks", 1, 52);

    public static final int STRONGER_NIGHTS = FILE.row("stronger").whole("nights", 1, 7);

    /** Days from something new and mild, or rinsed off, to the next new thing. */
    public static final int DAYS_AFTER_MILD = FILE.whole("days-after-mild", 1, 60);

    /** Days from one new strong thing to the next. */
    public static final int DAYS_BETWEEN_NEW = FILE.whole("days-between-new", 1, 60);

    public static Tolerance of(Kind kind) {
        Tolerance tolerance = ALL.get(kind);
        if (tolerance == null) {
            throw new IllegalStateException("load.yaml has no row for " + kind);
        }
        return tolerance;
    }

    /** Barrier before sensitivity before type: the weaker rules. */
    public static Tolerance of(SkinVerdict skin) {
        if (skin.barrier().calmReset() || skin.barrier().state() == BarrierState.BROKEN) {
            return of(Kind.BROKEN);
        }
        if (skin.barrier().state() == BarrierState.STRAINED) {
            return of(Kind.STRAINED);
        }
        if (skin.sensitivity().treatAsSensitive()) {
            return of(Kind.REACTIVE);
        }
        return skin.type().combination() ? of(Kind.NORMAL) : byBand(skin.type().bandU());
    }

    private static Tolerance byBand(Band band) {
        return switch (band) {
            case DRY -> of(Kind.DRY);
            case NORMAL -> of(Kind.NORMAL);
            case OILY -> of(Kind.OILY);
        };
    }

    /** Load points of one use of a product: all its rationed families together; of a wash what its contact deserves. */
    public static double points(Product product) {
        if (product.prescription()) {
            return PRESCRIBED_POINTS;
        }
        if (rinsed(product)) {
            return exfoliates(product) ? RINSED_POINTS : 0;
        }
        return product.actives().stream()
                .filter(a -> POINTS.containsKey(a.kind()))
                .mapToDouble(a -> {
                    Points p = Objects.requireNonNull(POINTS.get(a.kind()));
                    return a.high() >= p.strongFrom() && (a.declared() || a.low() >= p.strongFrom())
                            ? p.strong()
                            : p.mild();
                })
                .sum();
    }

    /** Nights from one use of a product to the next at least: by its family that needs longest. */
    public static int nightsApart(Product product) {
        int hours = product.actives().stream()
                .map(a -> POINTS.get(a.kind()))
                .filter(Objects::nonNull)
                .mapToInt(Points::apart)
                .max()
                .orElse(HOURS_A_NIGHT);
        return product.prescription() ? 1 : Math.ceilDiv(hours, HOURS_A_NIGHT);
    }

    /** What one use adds to the week's exfoliations: a whole one where it stays on, less for clay and for what is washed off. */
    public static double exfoliation(Product product) {
        if (product.prescription() || !exfoliates(product)) {
            return 0;
        }
        boolean clayAlone = EXFOLIANTS.stream().noneMatch(k -> k != ActiveKind.CLAY && product.has(k));
        return rinsed(product) ? Kinds.of(product.kind()).left() : clayAlone ? CLAY_EXFOLIATION : 1;
    }

    private static boolean exfoliates(Product product) {
        return product.hasAny(EXFOLIANTS);
    }

    private static boolean rinsed(Product product) {
        return Kinds.of(product.kind()).left() < 1;
    }

    /**
     * Uses a week that this skin bears of a rationed product, before the season has its say.
     *
     * @param weeks weeks she has used it already; 0 when it is new
     */
    public int usesPerWeek(Product product, int weeks) {
        if (product.has(ActiveKind.RETINOID)) {
            return ramp.get(Math.min(weeks, ramp.size() - 1));
        }
        int most = product.actives().stream()
                .map(ActiveIn::kind)
                .filter(k -> Actives.of(k).rationed())
                .mapToInt(k -> uses.getOrDefault(k, 0))
                .min()
                .orElse(1);
        int bearable = points(product) == 0 ? most : Math.min(most, (int) (cap / points(product)));
        return weeks < 2 ? Math.min(FIRST_WEEKS_USES, bearable) : bearable;
    }

    private static Map<Kind, Tolerance> all() {
        Map<Kind, Tolerance> map = new EnumMap<>(Kind.class);
        Row.unique(FILE.rows("tolerances"), Tolerance::read, Tolerance::kind).forEach(t -> map.put(t.kind(), t));
        return map;
    }

    private static Tolerance read(Row row) {
        List<Integer> ramp = row.numbers("ramp").stream().map(Double::intValue).toList();
        if (ramp.size() != GOT_USED_TO) {
            throw row.fault("a ramp has %d weeks, this one has %d".formatted(GOT_USED_TO, ramp.size()));
        }
        Map<ActiveKind, Integer> uses = new EnumMap<>(ActiveKind.class);
        uses.put(ActiveKind.AHA, row.whole("aha", 0, 7));
        uses.put(ActiveKind.BHA, row.whole("bha", 0, 7));
        uses.put(ActiveKind.PHA, row.whole("pha", 0, 7));
        uses.put(ActiveKind.SCRUB, row.whole("scrub", 0, 7));
        uses.put(ActiveKind.ENZYME, row.whole("enzyme", 0, 7));
        uses.put(ActiveKind.CLAY, row.whole("clay", 0, 7));
        String label = row.text("label");
        double cap = row.number("cap", 0, 50);
        uses.forEach((kind, most) -> {
            if (most * mild(kind) > cap) {
                throw row.fault("%d uses of %s are more than %s points".formatted(most, kind, cap));
            }
        });
        return new Tolerance(
                row.one("id", Kind.class),
                label,
                cap,
                row.number("night", 0, cap),
                row.number("three", 0, cap),
                row.whole("rest", 0, 7),
                Map.copyOf(uses),
                ramp,
                row.because("A %s skin bears %.0f points of strong work a week.".formatted(label, cap)));
    }

    private static double mild(ActiveKind kind) {
        return Objects.requireNonNull(POINTS.get(kind)).mild();
    }

    private static Map<ActiveKind, Points> points() {
        Map<ActiveKind, Points> map = new EnumMap<>(ActiveKind.class);
        Row.unique(
                        FILE.rows("points"),
                        row -> {
                            row.because("points");
                            return new Points(
                                    row.one("id", ActiveKind.class),
                                    row.number("mild", 0, 10),
                                    row.number("strong", row.number("mild")),
                                    row.number("strong-from", ALL_OF_IT),
                                    row.whole("apart", 1, 14 * HOURS_A_NIGHT));
                        },
                        Points::active)
                .forEach(p -> map.put(p.active(), p));
        return map;
    }
}
