package outfell.regimen;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;
import outfell.consultation.Consultation;
import outfell.consultation.Life.Place;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.routine.Amounts;
import outfell.routine.Where;
import outfell.skin.Concern;
import outfell.skin.PhototypeReader;
import outfell.sun.SunOfDay;

/**
 * The sun of a client's day under a plan.
 *
 * @param sun the day
 * @param dose grams of a coat on face and neck, as it is tested
 * @param share what of the film on the face is the sunscreen, over 0 to 1: less where it is mixed into a cream
 * @param raised what of skin, plan or health asks for more care than the index alone
 * @param cautions what is always told with it
 */
public record HerSun(SunOfDay sun, double dose, double share, List<Because> raised, List<Because> cautions) {
    private static final Row FILE = KnowledgeFile.yaml("sun-day.yaml");
    private static final List<Raise> RAISES = Row.unique(FILE.rows("raises"), Raise::read, Raise::id);
    private static final List<Caution> CAUTIONS = Row.unique(FILE.rows("cautions"), Caution::read, Caution::id);

    /** Under the consultation's plan in its month; nothing where there is no plan. */
    public static Optional<HerSun> of(Consultation consultation) {
        return Planner.plan(consultation) instanceof Outcome.Planned planned
                ? Optional.of(of(consultation, planned))
                : Optional.empty();
    }

    private static HerSun of(Consultation c, Outcome.Planned planned) {
        Regimen plan = planned.regimen();
        int type = planned.skin().phototype().type();
        OptionalDouble med = type == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(PhototypeReader.classes().get(type - 1).med());
        OptionalInt spf = plan.morning().steps().stream()
                .filter(s -> s.kind() == StepKind.SUNSCREEN)
                .flatMap(s -> c.find(s.product()).stream())
                .mapToInt(Product::spf)
                .max();
        double uv = plan.asked().air().outdoors().uvIndex();
        double share = OverCream.share(c, plan.morning());
        return new HerSun(
                SunOfDay.of(
                        uv,
                        c.life().outdoorHours(c.month()),
                        plan.asked().sunAgain().value(),
                        med,
                        spf,
                        share),
                plan.morning().steps().stream()
                        .filter(s -> s.kind() == StepKind.SUNSCREEN)
                        .mapToDouble(s -> s.amount().grams())
                        .findFirst()
                        .orElse(Amounts.sunscreenGrams(
                                Where.of(StepKind.SUNSCREEN).cm2())),
                share,
                raised(c, planned),
                cautions(c, uv));
    }

    private static List<Because> raised(Consultation c, Outcome.Planned planned) {
        return Stream.concat(
                        RAISES.stream().flatMap(r -> r.of(c, planned).stream()),
                        planned.safety().sun().least().stream().map(l -> l.because()))
                .toList();
    }

    private static List<Because> cautions(Consultation c, double uv) {
        return CAUTIONS.stream()
                .filter(k -> uv < k.belowUv())
                .filter(k -> !k.madeUp() || c.life().makeUpDays() > 0)
                .filter(k -> k.places().isEmpty() || c.life().places().stream().anyMatch(k.places()::contains))
                .map(Caution::because)
                .toList();
    }

    /** Something of plan or skin that asks for more care. */
    private record Raise(String id, List<ActiveKind> has, List<Concern> concerns, Because because) {
        /** Its sentence, with the product that it comes from. */
        Optional<Because> of(Consultation c, Outcome.Planned planned) {
            boolean ofTheSkin = planned.skin().concerns().stream().anyMatch(k -> concerns.contains(k.concern()));
            return ofTheSkin
                    ? Optional.of(because)
                    : planned.regimen()
                            .steps()
                            .flatMap(s -> c.find(s.product()).stream())
                            .filter(p -> p.hasAny(has) && !p.kind().comesOff())
                            .findFirst()
                            .map(p -> because.withSentence(because.sentence().replace("{product}", p.name())));
        }

        static Raise read(Row row) {
            return new Raise(
                    row.text("id"),
                    row.several("has", ActiveKind.class),
                    row.several("concern", Concern.class),
                    row.because(row.text("text")));
        }
    }

    /** Something that is always told, or on some days, or to some. */
    private record Caution(String id, double belowUv, boolean madeUp, List<Place> places, Because because) {
        static Caution read(Row row) {
            return new Caution(
                    row.text("id"),
                    row.number("below-uv", Double.POSITIVE_INFINITY),
                    row.flag("make-up"),
                    row.several("place", Place.class),
                    row.because(row.text("text")));
        }
    }
}
