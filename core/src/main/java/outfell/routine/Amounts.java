package outfell.routine;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.apache.commons.lang3.StringUtils;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ActiveKind;
import outfell.product.Directions;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.skin.Band;
import outfell.sun.Film;

/** How much, how, and how long, from amounts.yaml. */
public final class Amounts {
    private static final Row FILE = KnowledgeFile.yaml("amounts.yaml");
    private static final Row FACE = FILE.row("face");
    /** Face alone when height and weight are not known, cm². */
    public static final double FACE_CM2 = FACE.number("cm2", 100, 1000);
    /** Face and front of the neck. */
    public static final double FACE_AND_NECK_CM2 =
            Math.round(FACE_CM2 * FACE.number("parts-with-neck", 1, 10) / FACE.number("parts", 1, 10));

    private static final double TEASPOON_GRAMS = FILE.number("teaspoon", 1, 10);
    private static final double THIN_UNDER = FILE.number("thin-under", 1, 8);
    private static final double DRIPS_UNDER = FILE.number("drips-under", 1, 8);
    private static final double SUNSCREEN_GRAMS_A_ML = FILE.number("sunscreen-weighs", 0.5, 2);
    static final int SHORT_WAIT = FILE.whole("short-wait", 0, 600);

    /**
     * An amount in the words people use and in grams.
     *
     * @param words "4 peas", "¼ teaspoon"
     * @param grams per use
     * @param where zones covered, in words
     */
    public record Amount(String words, double grams, String where, Because because) {}

    record Use(
            StepKind kind,
            double grams,
            String measure,
            boolean withNeck,
            List<Double> byType,
            double byDay,
            String technique,
            String thinTechnique,
            String dampTechnique,
            String wipedTechnique,
            boolean damp,
            int handsOn,
            int contact,
            int settle,
            double left,
            Because because) {}

    private record ByActive(ActiveKind active, int settle, String technique) {}

    /** What people measure with, and the grams of one. */
    private record Household(String id, String words, double grams) {
        static Household read(Row row) {
            row.because("grams");
            return new Household(row.text("id"), row.text("words"), row.number("grams", 0.001, 10));
        }
    }

    /** A part of the face, with its share of the whole. */
    record Covered(Coverage id, String words, double share) {}

    private static final Map<StepKind, Use> USES = uses();
    private static final List<ByActive> BY_ACTIVE =
            Row.unique(FILE.rows("by-active"), Amounts::readActive, ByActive::active);
    private static final Map<Coverage, Covered> COVERED = covered();
    private static final Map<String, Household> MEASURES =
            Row.unique(FILE.rows("measures"), Household::read, Household::id).stream()
                    .collect(Collectors.toMap(Household::id, m -> m));
    private static final double ONE_BOTTLE_BY_DAY = FILE.number("one-bottle-by-day", 0.1, 1);
    private static final Because BY_DAY_HALF =
            Because.custom("One bottle for day and night, chosen for the night; half as much by day.");
    private static final int CREAM_BEFORE_SUNSCREEN = FILE.whole("cream-before-sunscreen", 0, 1200);

    private Amounts() {}

    static Use of(StepKind kind) {
        Use use = USES.get(kind);
        if (use == null) {
            throw new IllegalStateException("amounts.yaml has no row for " + kind);
        }
        return use;
    }

    static Covered coverage(Coverage coverage) {
        Covered covered = COVERED.get(coverage);
        if (covered == null) {
            throw new IllegalStateException("amounts.yaml has no coverage " + coverage);
        }
        return covered;
    }

    /** Seconds between this step and the next. */
    static int settle(Product product) {
        int own = of(product.kind()).settle();
        if (product.kind().comesOff()) {
            return own;
        }
        return BY_ACTIVE.stream()
                .filter(a -> product.has(a.active()))
                .mapToInt(ByActive::settle)
                .max()
                .orElse(own);
    }

    /** Seconds for the cream to settle before a sunscreen goes on it. */
    public static int creamBeforeSunscreen() {
        return CREAM_BEFORE_SUNSCREEN;
    }

    static String technique(Product product) {
        if (product.prescription()) {
            return "as the prescriber said, on dry skin";
        }
        return directed(product, custom(product));
    }

    /** Custom's way, changed where the pack says otherwise. */
    private static String directed(Product product, String custom) {
        Use use = of(product.kind());
        Directions pack = product.directions();
        boolean dry = pack.dry().orElse(!use.damp());
        // a pad with a thin water is one way on dry and damp skin, and is never rinsed
        boolean byPad = custom.equals(use.thinTechnique());
        boolean othersDamp =
                !byPad && !dry && !use.damp() && !use.dampTechnique().isEmpty();
        String way = !byPad && pack.wiped() && !use.wipedTechnique().isEmpty()
                ? use.wipedTechnique()
                : othersDamp ? use.dampTechnique() : custom;
        String skin = dry == !use.damp() || othersDamp ? "" : dry ? "on dry skin: " : "on damp skin: ";
        boolean said = way.contains("not near");
        String eyes = pack.roundTheEyes()
                .map(yes -> yes ? ", round the eyes too" : said ? "" : ", not round the eyes")
                .orElse("");
        boolean off = pack.rinsed() && !product.kind().comesOff();
        return skin + way + eyes + (off ? ", then rinse off" : "");
    }

    private static String custom(Product product) {
        Use use = of(product.kind());
        if (product.texture() < THIN_UNDER && !use.thinTechnique().isEmpty()) {
            return use.thinTechnique();
        }
        return BY_ACTIVE.stream()
                .filter(a -> !product.kind().comesOff()
                        && product.has(a.active())
                        && !a.technique().isEmpty())
                .map(ByActive::technique)
                .findFirst()
                .orElse(use.technique());
    }

    /** The dose of a sunscreen: 2 mg/cm² × area / 1000, in grams. */
    public static double sunscreenGrams(double cm2) {
        return Math.round(Film.TESTED * cm2 / 10) / 100.0;
    }

    /** Grams of one use, all layers together. */
    public static double grams(Product product, Band band, int layers, Part part) {
        Use use = of(product.kind());
        if (product.kind() == StepKind.SUNSCREEN) {
            return sunscreenGrams(FACE_AND_NECK_CM2);
        }
        if (product.prescription()) {
            return use.grams();
        }
        double area = use.withNeck() ? FACE_AND_NECK_CM2 / FACE_CM2 : 1;
        return Math.round(use.grams() * factor(use, band, part) * area * 100) / 100.0 * layers;
    }

    /**
     * How thick a daily layer lies on the face, mg/cm²: grams × 1000 / area, a film on the dry places as its mean. Nought for what
     * comes off, for make-up and masks, and for what is not the face as a whole.
     */
    public static double density(Product product, Band band, int layers, Part part) {
        Use use = of(product.kind());
        return switch (product.kind()) {
            case SUNSCREEN -> Film.TESTED;
            case TONER, ESSENCE, TREATMENT, POWDER, SERUM, MOISTURISER, OIL, SEAL ->
                use.grams() * factor(use, band, part) * layers * 1000 / FACE_CM2;
            default -> 0;
        };
    }

    /** How thick make-up lies on the face as people put it on, mg/cm². */
    public static double worn(Product base) {
        return of(base.kind()).grams() * 1000 / FACE_CM2;
    }

    /** Bands run dry, normal, oily; the file lists oily, normal, dry. */
    private static double factor(Use use, Band band, Part part) {
        double byType = use.byType().isEmpty() ? 1 : use.byType().get(2 - band.ordinal());
        return part == Part.MORNING ? byType * use.byDay() : byType;
    }

    public static Amount amount(Product product, Band band, int layers, Part part) {
        Use use = of(product.kind());
        if (product.kind() == StepKind.SUNSCREEN) {
            return sunscreen(use);
        }
        if (product.prescription()) {
            return new Amount(
                    "as prescribed",
                    use.grams(),
                    where(product.kind(), use.withNeck()),
                    new Because("The amount is the prescriber's.", Evidence.CONTROLLED, "label"));
        }
        double grams = grams(product, band, 1, part);
        String layered = layers > 1 ? ", %d layers".formatted(layers) : "";
        String where = where(product.kind(), use.withNeck());
        return new Amount(
                measured(product, grams) + layered,
                grams * layers,
                where,
                use.because()
                        .withSentence("%.2f g for %s%s%s."
                                .formatted(grams, where, typeWords(use, band), dayWords(use, part))));
    }

    /** Share of its amount by day that a product has which stands at night, too: one cream for both is chosen for the night. */
    public static double oneBottleByDay(Product product, Part part) {
        double byDay = of(product.kind()).byDay();
        return part == Part.MORNING && byDay < 1 ? ONE_BOTTLE_BY_DAY / byDay : 1;
    }

    /**
     * The same kept to part of the face by what the skin is, or by hand, where there may be a second coat.
     *
     * @param bothTimes whether it stands in the other routine, too
     */
    static Amount amount(
            Product product,
            Band band,
            ByAir byAir,
            int layers,
            Part part,
            Adjustment byHand,
            Optional<Coverage> zone,
            boolean bothTimes) {
        double air = byAir.share(product, part);
        Amount usual = amount(product, band, layers, part);
        Amount whole = air == 1 ? usual : times(product, usual, air, byAir.because());
        Optional<Coverage> on = byHand.on().or(() -> zone);
        if (byHand.times() == 1 && on.isEmpty()) {
            double share = bothTimes ? oneBottleByDay(product, part) : 1;
            return share == 1 ? whole : times(product, whole, share, BY_DAY_HALF);
        }
        Use use = of(product.kind());
        double share = air * on.map(Coverage::share).orElse(1.0);
        double grams = grams(product, band, 1, part) * share;
        double times = byHand.on().isEmpty() ? byHand.times() * share / air : byHand.times();
        String where = on.map(Coverage::words).orElse(whole.where());
        String layered = layers > 1 ? ", %d layers".formatted(layers) : "";
        String coats = byHand.secondCoat() ? ", 2 coats" : "";
        String why =
                byHand.on().isEmpty() && !byHand.secondCoat() ? "only there does the skin ask for it" : "set by hand";
        return new Amount(
                measured(product, grams) + layered + coats,
                Math.round(whole.grams() * times * 100) / 100.0,
                where,
                Because.custom("%.2f g for %s%s, %s.".formatted(grams, where, coats, why)));
    }

    private static Amount times(Product product, Amount whole, double share, Because why) {
        double grams = Math.round(whole.grams() * share * 100) / 100.0;
        return new Amount(
                measured(product, grams),
                grams,
                whole.where(),
                why.withSentence(
                        "%.2f g for %s: %s".formatted(grams, whole.where(), StringUtils.uncapitalize(why.sentence()))));
    }

    private static String dayWords(Use use, Part part) {
        return part == Part.MORNING && use.byDay() < 1 ? ", less under a sunscreen" : "";
    }

    private static String typeWords(Use use, Band band) {
        return use.byType().isEmpty()
                ? ""
                : switch (band) {
                    case OILY -> ", a thin film for oily skin";
                    case NORMAL -> "";
                    case DRY -> ", more for dry skin";
                };
    }

    private static String where(StepKind kind, boolean withNeck) {
        String part = partOf(kind);
        return part.isEmpty() ? withNeck ? "face and neck" : "face" : part;
    }

    /** Where a step goes that is not for the whole face, in words; empty for one that is. */
    static String partOf(StepKind kind) {
        return switch (kind) {
            case EYE -> "eyes only";
            case LIP, LIP_SCRUB, LIP_MASK -> "lips only";
            case SEAL -> "dry places";
            case HAND -> "hands";
            case BODY -> "body";
            case BEARD_OIL -> "beard";
            default -> "";
        };
    }

    private static Amount sunscreen(Use use) {
        double face = sunscreenGrams(FACE_CM2);
        double grams = sunscreenGrams(FACE_AND_NECK_CM2);
        int neckPeas = (int) Math.ceil((grams - face) / household("pea").grams());
        double ml = grams / SUNSCREEN_GRAMS_A_ML;
        return new Amount(
                "¼ teaspoon face, %d peas neck".formatted(neckPeas),
                grams,
                "face and neck",
                use.because()
                        .withSentence(
                                "2 mg on each of %.0f cm² is %.2f g, about %.1f ml: less gives far less than the label's number."
                                        .formatted(FACE_AND_NECK_CM2, grams, ml)));
    }

    /** What is too thick to drip is measured in peas, what drips in drops. */
    private static String measure(Use use, Product product) {
        boolean peasOrDrops = use.measure().equals("drop") || use.measure().equals("pea");
        return peasOrDrops ? (product.texture() < DRIPS_UNDER ? "drop" : "pea") : use.measure();
    }

    /** By the pack's own pump where it is known, else by what people measure with. */
    private static String measured(Product product, double grams) {
        OptionalDouble dose = product.directions().dose();
        if (dose.isPresent()) {
            return strokes(grams / dose.getAsDouble());
        }
        String measure = measure(of(product.kind()), product);
        return switch (measure) {
            case "splash" -> splashes(grams);
            case "teaspoon" -> teaspoons(grams);
            default -> {
                Household one = household(measure);
                yield counted(grams / one.grams(), one.words());
            }
        };
    }

    /** Halves are pressed halfway; more than three are counted whole. */
    private static String strokes(double count) {
        double halves = Math.max(0.5, Math.round(2 * count) / 2.0);
        double n = halves > 3 ? Math.round(count) : halves;
        boolean half = n != Math.rint(n);
        String whole = "%.0f".formatted(Math.floor(n));
        return half ? (n < 1 ? "½ stroke" : whole + "½ strokes") : n == 1 ? "1 stroke" : whole + " strokes";
    }

    private static Household household(String measure) {
        Household one = MEASURES.get(measure);
        if (one == null) {
            throw new IllegalStateException("amounts.yaml has no measure " + measure);
        }
        return one;
    }

    private static String splashes(double grams) {
        long n = Math.max(1, Math.round(grams));
        return n == 1 ? "1 splash into the palm" : "%d splashes into the palm".formatted(n);
    }

    private static String counted(double count, String unit) {
        long n = Math.max(1, Math.round(count));
        return n == 1 ? "1 " + unit : "%d %ss".formatted(n, unit);
    }

    private static String teaspoons(double grams) {
        double spoons = grams / TEASPOON_GRAMS;
        return spoons < 0.2
                ? "⅛ teaspoon"
                : spoons < 0.38
                        ? "¼ teaspoon"
                        : spoons < 0.75
                                ? "½ teaspoon"
                                : spoons < 1.5 ? "1 teaspoon" : String.format(Locale.ROOT, "%.0f teaspoons", spoons);
    }

    private static Map<StepKind, Use> uses() {
        Map<StepKind, Use> map = new EnumMap<>(StepKind.class);
        Row.unique(FILE.rows("amounts"), Amounts::readUse, Use::kind).forEach(u -> map.put(u.kind(), u));
        return map;
    }

    private static Map<Coverage, Covered> covered() {
        Map<Coverage, Covered> map = new EnumMap<>(Coverage.class);
        Row.unique(FILE.rows("coverages"), Amounts::readCovered, Covered::id).forEach(c -> map.put(c.id(), c));
        return map;
    }

    private static Covered readCovered(Row row) {
        row.because("share");
        return new Covered(row.one("id", Coverage.class), row.text("words"), row.number("share", 0.01, 1));
    }

    private static Use readUse(Row row) {
        List<Double> byType = row.numbers("by-type");
        if (!byType.isEmpty() && byType.size() != 3) {
            throw row.fault("by-type needs three factors: oily, normal, dry");
        }
        StepKind kind = row.one("id", StepKind.class);
        return new Use(
                kind,
                kind == StepKind.SUNSCREEN ? sunscreenGrams(FACE_CM2) : row.number("grams", 0.01, 20),
                row.text("measure"),
                row.flag("with-neck"),
                byType,
                row.number("by-day", 1),
                row.text("technique"),
                row.text("thin-technique", ""),
                row.text("damp-technique", ""),
                row.text("wiped-technique", ""),
                row.text("skin").equals("damp"),
                row.whole("hands-on", 5, 600),
                row.whole("contact", 0, 1800),
                row.whole("wait", 0, 1800),
                row.number("left", 1.0),
                row.because(row.text("technique")));
    }

    private static ByActive readActive(Row row) {
        row.because("wait");
        return new ByActive(row.one("active", ActiveKind.class), row.whole("wait", 0, 1800), row.text("technique", ""));
    }
}
