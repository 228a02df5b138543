package outfell.routine;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import outfell.skin.FaceBands;
import outfell.sun.Film;

/** How much, how, and how long, from amounts.yaml. */
public final class Amounts {
    private static final Row FILE = KnowledgeFile.yaml("amounts.yaml");
    /** Face alone when height and weight are not known, cm². */
    public static final double FACE_CM2 = Coverage.FACE.cm2();

    private static final double THIN_UNDER = FILE.number("thin-under", 1, 8);
    private static final double SUNSCREEN_GRAMS_A_ML = FILE.number("sunscreen-weighs", 0.5, 2);
    static final int SHORT_WAIT = FILE.whole("short-wait", 0, 600);
    static final int SUNK_IN = FILE.whole("sunk-in", 0, 600);

    /**
     * An amount in the words people use and in grams.
     *
     * @param words "4 peas", "¼ teaspoon"
     * @param grams per use
     * @param where places covered, in words
     * @param places the same one by one, each with what it gets
     */
    public record Amount(String words, double grams, String where, List<AtPlace> places, Because because) {}

    /**
     * What one place gets of it.
     *
     * @param label "chest"
     * @param words "1 pea"
     */
    public record AtPlace(Coverage place, String label, String words, double grams) {}

    record Use(
            StepKind kind,
            double grams,
            String measure,
            Where where,
            List<Coverage> further,
            List<Coverage> rest,
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

    private static final Map<StepKind, Use> USES = uses();
    private static final List<ByActive> BY_ACTIVE =
            Row.unique(FILE.rows("by-active"), Amounts::readActive, ByActive::active);
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

    /** Whether a layer lies under the cream, so that it can sink in before the next. */
    static boolean sinksIn(StepKind kind) {
        return switch (kind) {
            case TONER, ESSENCE, POWDER, TREATMENT, SERUM -> true;
            default -> false;
        };
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

    /** Grams of one use on the places of custom, all layers together. */
    public static double grams(Product product, FaceBands bands, int layers, Part part) {
        return grams(product, bands, layers, part, Where.of(product.kind()));
    }

    /** Grams of one use on these places, all layers together. */
    public static double grams(Product product, FaceBands bands, int layers, Part part, Where where) {
        if (product.kind() == StepKind.SUNSCREEN) {
            return sunscreenGrams(where.cm2());
        }
        return product.prescription()
                ? of(product.kind()).grams()
                : Math.round(100 * oneLayer(product, bands, part, where)) / 100.0 * layers;
    }

    private static double oneLayer(Product product, FaceBands bands, Part part, Where where) {
        return where.places().stream()
                .mapToDouble(place -> on(product, bands, part, place))
                .sum();
    }

    /** Grams of one layer on one place. */
    private static double on(Product product, FaceBands bands, Part part, Coverage place) {
        if (product.kind() == StepKind.SUNSCREEN) {
            return sunscreenGrams(place.cm2());
        }
        Use use = of(product.kind());
        double measuredOn = use.where().wholeFace() ? FACE_CM2 : use.where().cm2();
        double factor = place == Coverage.FACE
                ? overTheFace(use, bands, part)
                : factor(use, place == Coverage.T_ZONE ? bands.t() : bands.u(), part);
        return use.grams() * place.cm2() / measuredOn * factor;
    }

    /**
     * How thick a daily layer lies on the face, mg/cm²: grams × 1000 / area, a film on the dry places as its mean. Nought for what
     * comes off, for make-up and masks, and for what is not the face as a whole.
     */
    public static double density(Product product, FaceBands bands, int layers, Part part) {
        Use use = of(product.kind());
        return switch (product.kind()) {
            case SUNSCREEN -> Film.TESTED;
            case TONER, ESSENCE, TREATMENT, POWDER, SERUM, MOISTURISER, OIL, SEAL ->
                use.grams() * overTheFace(use, bands, part) * layers * 1000 / FACE_CM2;
            default -> 0;
        };
    }

    /** How thick make-up lies on the face as people put it on, mg/cm². */
    public static double worn(Product base) {
        return of(base.kind()).grams() * 1000 / FACE_CM2;
    }

    /** The mean of its sides, each by its own band and its share of the face. */
    private static double overTheFace(Use use, FaceBands bands, Part part) {
        double t = Coverage.T_ZONE.cm2() / FACE_CM2;
        return bands.part()
                ? t * factor(use, bands.t(), part) + (1 - t) * factor(use, bands.u(), part)
                : factor(use, bands.u(), part);
    }

    /** Bands run dry, normal, oily; the file lists oily, normal, dry. */
    private static double factor(Use use, Band band, Part part) {
        double byType = use.byType().isEmpty() ? 1 : use.byType().get(2 - band.ordinal());
        return part == Part.MORNING ? byType * use.byDay() : byType;
    }

    /** On the places of custom. */
    public static Amount amount(Product product, FaceBands bands, int layers, Part part) {
        return amount(product, bands, layers, part, Where.of(product.kind()));
    }

    private static Amount amount(Product product, FaceBands bands, int layers, Part part, Where where) {
        Use use = of(product.kind());
        if (product.kind() == StepKind.SUNSCREEN) {
            return sunscreen(product, use, where);
        }
        if (product.prescription()) {
            return new Amount(
                    "as prescribed",
                    use.grams(),
                    where.words(),
                    List.of(),
                    new Because("The amount is the prescriber's.", Evidence.CONTROLLED, "label"));
        }
        double grams = grams(product, bands, 1, part, where);
        String layered = layers > 1 ? ", %d layers".formatted(layers) : "";
        return new Amount(
                Measures.words(product, grams) + layered,
                grams * layers,
                where.words(),
                shares(product, bands, part, where, layers),
                use.because()
                        .withSentence("%.2f g for %s%s%s."
                                .formatted(grams, where.words(), typeWords(use, bands), dayWords(use, part))));
    }

    /** Each place with what it gets. */
    private static List<AtPlace> shares(Product product, FaceBands bands, Part part, Where where, double times) {
        return where.places().stream()
                .map(place -> share(product, place, times * on(product, bands, part, place)))
                .toList();
    }

    private static AtPlace share(Product product, Coverage place, double grams) {
        return new AtPlace(place, place.words(), Measures.small(product, grams), Math.round(100 * grams) / 100.0);
    }

    /** Share of its amount by day that a product has which stands at night, too: one cream for both is chosen for the night. */
    public static double oneBottleByDay(Product product, Part part) {
        double byDay = of(product.kind()).byDay();
        return part == Part.MORNING && byDay < 1 ? ONE_BOTTLE_BY_DAY / byDay : 1;
    }

    /**
     * The same on places of the skin's or of hers, where there may be a second coat.
     *
     * @param byHand hers
     * @param where it goes, hers or not
     * @param bothTimes whether it stands in the other routine, too
     * @param coat a second one on a part of the face
     */
    static Amount amount(
            Product product,
            FaceBands bands,
            ByAir byAir,
            int layers,
            Part part,
            Adjustment byHand,
            Where where,
            boolean bothTimes,
            Optional<ZoneStep> coat) {
        Amount amount = amount(product, bands, byAir, layers, part, byHand, where, bothTimes);
        return coat.map(c -> coated(product, amount, where, c)).orElse(amount);
    }

    /** And a part of the face once more. */
    private static Amount coated(Product product, Amount amount, Where where, ZoneStep coat) {
        double more = amount.grams() * coat.amount() * coat.cm2() / where.cm2();
        return new Amount(
                "%s, %s more on the %s".formatted(amount.words(), Measures.small(product, more), coat.places()),
                Math.round(100 * (amount.grams() + more)) / 100.0,
                amount.where(),
                amount.places(),
                amount.because()
                        .withSentence("%s %.2f g more on the %s."
                                .formatted(amount.because().sentence(), more, coat.places())));
    }

    private static Amount amount(
            Product product,
            FaceBands bands,
            ByAir byAir,
            int layers,
            Part part,
            Adjustment byHand,
            Where where,
            boolean bothTimes) {
        double air = byAir.share(product, part);
        Amount usual = amount(product, bands, layers, part, where);
        Amount whole = air == 1 ? usual : times(product, usual, air, byAir.because());
        if (byHand.coats() == 1 && (where.wholeFace() || where.equals(Where.of(product.kind())))) {
            double share = bothTimes ? oneBottleByDay(product, part) : 1;
            return share == 1 ? whole : times(product, whole, share, BY_DAY_HALF);
        }
        double grams = grams(product, bands, 1, part, where) * air;
        String layered = layers > 1 ? ", %d layers".formatted(layers) : "";
        String coats = byHand.secondCoat() ? ", 2 coats" : "";
        String why =
                byHand.on().isEmpty() && !byHand.secondCoat() ? "only there does the skin ask for it" : "set by hand";
        return new Amount(
                Measures.words(product, grams) + layered + coats,
                Math.round(100 * whole.grams() * byHand.coats()) / 100.0,
                where.words(),
                shares(product, bands, part, where, air * layers * byHand.coats()),
                Because.custom("%.2f g for %s%s, %s.".formatted(grams, where.words(), coats, why)));
    }

    private static Amount times(Product product, Amount whole, double share, Because why) {
        double grams = Math.round(whole.grams() * share * 100) / 100.0;
        return new Amount(
                Measures.words(product, grams),
                grams,
                whole.where(),
                whole.places().stream()
                        .map(s -> share(product, s.place(), s.grams() * share))
                        .toList(),
                why.withSentence(
                        "%.2f g for %s: %s".formatted(grams, whole.where(), StringUtils.uncapitalize(why.sentence()))));
    }

    private static String dayWords(Use use, Part part) {
        return part == Part.MORNING && use.byDay() < 1 ? ", less under a sunscreen" : "";
    }

    private static String typeWords(Use use, FaceBands bands) {
        if (use.byType().isEmpty()) {
            return "";
        }
        return bands.part()
                ? ", %s on the T-zone, %s on the cheeks".formatted(film(bands.t()), film(bands.u()))
                : switch (bands.u()) {
                    case OILY -> ", a thin film for oily skin";
                    case NORMAL -> "";
                    case DRY -> ", more for dry skin";
                };
    }

    private static String film(Band band) {
        return switch (band) {
            case OILY -> "a thin film";
            case NORMAL -> "as usual";
            case DRY -> "more";
        };
    }

    /** Spoons for the face, peas for the rest; what the other school of measuring would say stands beside it. */
    private static Amount sunscreen(Product product, Use use, Where where) {
        double grams = sunscreenGrams(where.cm2());
        double face = sunscreenGrams(FACE_CM2);
        String rest = where.places().size() < 2 ? "" : ", %s %s".formatted(Measures.peas(grams - face), where.beside());
        return new Amount(
                "%s face%s".formatted(Measures.teaspoons(face / SUNSCREEN_GRAMS_A_ML), rest),
                grams,
                where.words(),
                shares(product, FaceBands.NORMAL, Part.MORNING, where, 1),
                use.because()
                        .withSentence(
                                "2 mg on each of %.0f cm² is %.2f g, about %.1f ml: less gives far less than the label's number. Along the fingers, as others measure, it is %s."
                                        .formatted(
                                                where.cm2(),
                                                grams,
                                                grams / SUNSCREEN_GRAMS_A_ML,
                                                Measures.fingers(where.cm2() / FACE_CM2))));
    }

    private static Map<StepKind, Use> uses() {
        Map<StepKind, Use> map = new EnumMap<>(StepKind.class);
        Row.unique(FILE.rows("amounts"), Amounts::readUse, Use::kind).forEach(u -> map.put(u.kind(), u));
        return map;
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
                new Where(row.several("where", Coverage.class)),
                row.several("further", Coverage.class),
                row.several("rest", Coverage.class),
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
