package outfell.regimen;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;
import outfell.consultation.Consultation;
import outfell.consultation.Life.Place;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.routine.Amounts;
import outfell.routine.Part;
import outfell.skin.Concern;
import outfell.skin.PhototypeReader;
import outfell.sun.SunOfDay;

/**
 * The sun of a client's day under a plan.
 *
 * @param sun the day
 * @param dose grams of a coat on face and neck, as it is tested
 * @param raised what of skin, plan or health asks for more care than the index alone
 * @param cautions what is always told with it
 */
public record HerSun(SunOfDay sun, double dose, List<Because> raised, List<Because> cautions) {
    private static final List<ActiveKind> THINS = List.of(ActiveKind.AHA, ActiveKind.BHA);

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
        return new HerSun(
                SunOfDay.of(
                        uv,
                        c.life().outdoorHours(c.month()),
                        plan.asked().sunAgain().value(),
                        med,
                        spf),
                Amounts.sunscreenGrams(Amounts.FACE_AND_NECK_CM2),
                raised(c, planned),
                cautions(c, uv));
    }

    private static List<Because> raised(Consultation c, Outcome.Planned planned) {
        List<Because> all = new ArrayList<>();
        products(c, planned.regimen())
                .filter(p -> p.has(ActiveKind.RETINOID))
                .findFirst()
                .ifPresent(p -> all.add(
                        Because.custom("%s of the evening thins what shields the skin: the sunscreen is not left out."
                                .formatted(p.name()))));
        products(c, planned.regimen())
                .filter(p -> p.hasAny(THINS) && !p.kind().comesOff())
                .findFirst()
                .ifPresent(p -> all.add(new Because(
                        "%s leaves skin more open to burning, up to a week after it.".formatted(p.name()),
                        Evidence.CONTROLLED,
                        "kaidbey-2003")));
        if (planned.skin().concerns().stream().anyMatch(k -> k.concern() == Concern.PIGMENT)) {
            all.add(Because.custom("Pigment marks darken under little sun, and under light that is seen."));
        }
        planned.safety().sun().least().ifPresent(l -> all.add(l.because()));
        return List.copyOf(all);
    }

    private static Stream<Product> products(Consultation c, Regimen plan) {
        return Stream.of(Part.values())
                .flatMap(part -> plan.routine(part).steps().stream())
                .flatMap(s -> c.find(s.product()).stream());
    }

    private static List<Because> cautions(Consultation c, double uv) {
        List<Because> all = new ArrayList<>();
        if (uv < 3) {
            all.add(who("UVA is there in winter, through cloud and through window glass, too."));
        }
        if (c.life().places().contains(Place.SEA)) {
            all.add(who("Foam and water throw back up to a quarter of it, from below; again after each soaking."));
        }
        all.add(
                who(
                        "None of this is leave to stay out: sweat, water and rubbing break the film, and harm begins before the skin reddens."));
        return List.copyOf(all);
    }

    private static Because who(String sentence) {
        return new Because(sentence, Evidence.SMALL, "who-2002");
    }
}
