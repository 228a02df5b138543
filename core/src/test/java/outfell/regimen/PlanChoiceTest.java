package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.aims.Candidate;
import outfell.aims.Posed;
import outfell.aims.Slot;
import outfell.choice.Worth;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Life.Taste;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;

/** The choice of a plan: the best that may stand, whatever is added, taken away or laid out in another order. */
class PlanChoiceTest {
    private static final int TRIED = 2000;

    static IntStream seeds() {
        return IntStream.range(0, 40);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void nothing_that_may_stand_is_worth_more(int seed) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
        Posed posed = draft(small(random)).posed();
        Posed.Found found = posed.choose();
        Posed within = found.within();
        assertThat(found.unproven()).isEmpty();
        assertThat(within.worth(found.chosen())).hasValue(found.worth());
        for (int tried = 0; tried < TRIED; tried++) {
            List<Optional<Candidate>> other = posed.slots().stream()
                    .map(s -> random.nextInt(3) == 0 && !s.required()
                                    || s.candidates().isEmpty()
                            ? Optional.<Candidate>empty()
                            : Optional.of(s.candidates()
                                    .get(random.nextInt(s.candidates().size()))))
                    .toList();
            within.worth(other).ifPresent(w -> assertThat(w).as("seed %d", seed).isLessThanOrEqualTo(found.worth()));
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void one_more_product_never_makes_the_best_plan_worse(int seed) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(1000 + seed);
        Consultation c = small(random);
        List<Product> more = new ArrayList<>(c.catalogue());
        Product extra = Consultations.CATALOGUE.get(random.nextInt(Consultations.CATALOGUE.size()));
        if (more.contains(extra)) {
            return;
        }
        more.add(extra);
        Consultation wider = Consultations.of(
                c.reading(), c.method().id().value(), c.month(), more, List.of(), c.answers(), c.life());
        if (!fits(c)) {
            return;
        }
        Worth before = draft(c).posed().choose().worth();
        Worth after = draft(wider).posed().choose().worth();
        Worth.parting(after, before)
                .filter(a -> !a.saves())
                .ifPresent(aim -> assertThat(after.of(aim))
                        .as("seed %d with %s", seed, extra.name())
                        .isGreaterThan(before.of(aim)));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void the_same_consultation_gives_the_same_plan_whatever_the_order_of_the_catalogue(int seed) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(2000 + seed);
        Consultation c = small(random);
        List<Product> reversed = c.catalogue().reversed();
        Consultation other = Consultations.of(
                c.reading(), c.method().id().value(), c.month(), reversed, List.of(), c.answers(), c.life());
        assertThat(((Outcome.Planned) Planner.plan(other)).regimen().choices())
                .isEqualTo(((Outcome.Planned) Planner.plan(c)).regimen().choices());
    }

    /** A required slot without any candidate changes what a plan is, so such catalogues are not compared. */
    private static boolean fits(Consultation c) {
        return ((Outcome.Planned) Planner.plan(c)).regimen().notices().isEmpty();
    }

    @Test
    void of_two_that_could_change_places_the_first_by_id_stands_by_day() {
        int swaps = 0;
        for (int seed = 0; seed < 12; seed++) {
            Consultation c = Consultations.of(
                    Consultations.face(
                            RandomGeneratorFactory.of("L64X128MixRandom").create(seed)),
                    "classic",
                    Month.NOVEMBER,
                    Consultations.CATALOGUE,
                    List.of(),
                    Consultations.NOTHING,
                    Life.USUAL);
            Posed posed = draft(c).posed();
            Posed.Found found = posed.choose();
            List<Optional<Candidate>> swapped = swapped(posed.slots(), found.chosen());
            Optional<Worth> other = posed.worth(swapped);
            if (!swapped.equals(found.chosen()) && other.isPresent()) {
                swaps++;
                assertThat(other.get()).as("seed %d", seed).isLessThan(found.worth());
            }
        }
        assertThat(swaps).isPositive();
    }

    /** The serums of morning and evening in each other's place, where both may be. */
    private static List<Optional<Candidate>> swapped(List<Slot> slots, List<Optional<Candidate>> plan) {
        List<Integer> serums = IntStream.range(0, slots.size())
                .filter(s -> slots.get(s).kind() == outfell.product.StepKind.SERUM
                        && plan.get(s).isPresent())
                .boxed()
                .toList();
        List<Optional<Candidate>> other = new ArrayList<>(plan);
        if (serums.size() == 2) {
            for (int k = 0; k < 2; k++) {
                int number = plan.get(serums.get(1 - k)).orElseThrow().option().thing();
                other.set(
                        serums.get(k),
                        slots.get(serums.get(k)).candidates().stream()
                                .filter(c -> c.option().thing() == number)
                                .findFirst());
            }
        }
        return other;
    }

    private static Consultation small(RandomGenerator random) {
        List<Product> some = new ArrayList<>();
        for (String needed : List.of("sun-fluid-50", "gel-wash-low-foam", "cream-fisher", "micellar-plain")) {
            some.add(Consultations.product(needed));
        }
        while (some.size() < 11) {
            Product p = Consultations.CATALOGUE.get(random.nextInt(Consultations.CATALOGUE.size()));
            if (!some.contains(p)) {
                some.add(p);
            }
        }
        Life life = new Life(
                3 + random.nextInt(8),
                4 + random.nextInt(18),
                4 + random.nextInt(6),
                2,
                2,
                false,
                3,
                Set.of(),
                Taste.ANY,
                Taste.ANY,
                Taste.ANY,
                random.nextBoolean() ? OptionalDouble.empty() : OptionalDouble.of(15 + random.nextInt(40)));
        return Consultations.of(
                Consultations.face(random),
                Methods.all().get(random.nextInt(Methods.all().size())).id().value(),
                Month.of(1 + random.nextInt(12)),
                some,
                List.of(),
                Consultations.NOTHING,
                life);
    }

    private static Draft draft(Consultation c) {
        SkinVerdict skin = SkinReader.read(c.reading(), c.lifted());
        return Read.of(c, skin).draft(Consultation::ask);
    }

    /** One product fills one of several slots alike, not two. */
    private static boolean distinct(List<Slot> slots, List<Optional<Candidate>> plan) {
        for (int a = 0; a < plan.size(); a++) {
            for (int b = a + 1; b < plan.size(); b++) {
                if (slots.get(a).alike(slots.get(b))
                        && plan.get(a).isPresent()
                        && plan.get(a).equals(plan.get(b))) {
                    return false;
                }
            }
        }
        return true;
    }
}
