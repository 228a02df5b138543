package outfell.changes;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import outfell.causes.Cause;
import outfell.changes.Changes.Traced;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Life;
import outfell.consultation.Life.Matter;
import outfell.consultation.Life.Taste;
import outfell.knowledge.Because;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.regimen.Bare;
import outfell.regimen.Consultations;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.regimen.Regimen;
import outfell.routine.Adjustment;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.safety.Answers;
import outfell.skin.Concern;
import outfell.skin.Faces;

/** Whatever differs between two consultations: the cause that is told is the one whose taking back takes the difference back. */
class AnyPairTest {
    private static final int PAIRS = Integer.getInteger("outfell.pairs", 40);

    private int single;
    private int together;
    private int limits;

    @Test
    void taking_the_named_cause_back_takes_the_difference_back_and_nothing_less_does() {
        for (int seed = 0; seed < PAIRS; seed++) {
            RandomGenerator random =
                    RandomGeneratorFactory.of("L64X128MixRandom").create(9000 + seed);
            Consultation from = consultation(random);
            Consultation to = from;
            for (int k = 0; k <= random.nextInt(4); k++) {
                to = otherwise(to, random);
            }
            if (Planner.plan(from) instanceof Outcome.Planned was && Planner.plan(to) instanceof Outcome.Planned is) {
                check(seed, from, was, to, is);
            }
        }
        assertThat(single).as("differences with one cause").isGreaterThan(PAIRS);
        assertThat(together).as("differences that need several facts").isPositive();
        assertThat(limits).as("differences in which a limit stands in the way").isPositive();
    }

    private void check(int seed, Consultation from, Outcome.Planned was, Consultation to, Outcome.Planned is) {
        List<Traced> all = Changes.traced(from, was, to, Planner.read(to), is, Airs.OF_MONTHS);
        List<Change> said = Changes.between(from, to).orElseThrow().changes();
        assertThat(said).hasSameSizeAs(all);
        assertThat(all.isEmpty()).as("seed %d", seed).isEqualTo(sameSteps(was.regimen(), is.regimen()));
        List<Fact> facts = Facts.between(from, to, is, Airs.OF_MONTHS);
        assertThat(sameSteps(planned(new Case(to, from, Airs.OF_MONTHS, Set.of()), facts), was.regimen()))
                .as("seed %d: with everything taken back the first plan is left", seed)
                .isTrue();
        for (int i = 0; i < all.size(); i++) {
            Traced traced = all.get(i);
            String which = "seed %d, %s".formatted(seed, said.get(i));
            assertThat(traced.because()).as(which).isNotEmpty();
            assertThat(undone(traced, to, from, traced.because())).as(which).isTrue();
            for (Fact one : traced.because()) {
                List<Fact> less = new ArrayList<>(traced.because());
                less.remove(one);
                assertThat(!less.isEmpty() && undone(traced, to, from, less))
                        .as("%s without %s", which, one.id())
                        .isFalse();
            }
            assertThat(said.get(i).because())
                    .as(which)
                    .containsExactlyElementsOf(
                            traced.because().stream().map(Fact::because).toList());
            boolean left =
                    said.get(i).what() == Change.What.TAKEN_OUT || said.get(i).what() == Change.What.REPLACED;
            assertThat(said.get(i).limit().map(l -> l.sentence().endsWith("no longer holds it.")))
                    .as("only what left can be held no longer: %s", which)
                    .isEqualTo(traced.limit().map(_ -> left));
            traced.limit().ifPresent(l -> {
                Consultation out = to.living(to.life().letOut(l));
                assertThat(traced.effect().undone().test(Bare.of(((Outcome.Planned) Planner.plan(out)).regimen())))
                        .as(which)
                        .isTrue();
                limits++;
            });
            if (traced.limit().isEmpty() && traced.because().stream().noneMatch(f -> LIMITED.contains(f.cause()))) {
                assertThat(beyond(to))
                        .as("%s: no limit lets it in", which)
                        .noneMatch(traced.effect().undone());
            }
            single += traced.because().size() == 1 ? 1 : 0;
            together += traced.because().size() > 1 ? 1 : 0;
        }
    }

    private static final Set<Cause> LIMITED = Set.of(Cause.MONEY, Cause.MINUTES, Cause.STEPS);

    /** The plan with each of the client's limits let out by itself. */
    private static List<Bare> beyond(Consultation to) {
        return Stream.of(Matter.MONEY, Matter.EVENING_MINUTES, Matter.MORNING_MINUTES, Matter.STEPS)
                .flatMap(l -> Planner.read(to.living(to.life().letOut(l))).bare(Consultation::ask).stream())
                .toList();
    }

    private static boolean undone(Traced traced, Consultation to, Consultation from, List<Fact> back) {
        Case then = new Case(to, from, Airs.OF_MONTHS, Set.of());
        for (Fact fact : back) {
            then = fact.back().apply(then);
        }
        return Methods.contradiction(then.consultation().method()).isEmpty()
                && whole(then) instanceof Outcome.Planned planned
                && traced.effect().undone().test(Bare.of(planned.regimen()));
    }

    private static Regimen planned(Case now, List<Fact> back) {
        Case then = now;
        for (Fact fact : back) {
            then = fact.back().apply(then);
        }
        return ((Outcome.Planned) whole(then)).regimen();
    }

    /** The plan of a case with all its reasons: its steps are those that were tried without them. */
    private static Outcome whole(Case c) {
        Outcome whole = Planner.plan(c.consultation(), c::asked);
        assertThat(c.plan(Planner.read(c.consultation())))
                .isEqualTo(
                        whole instanceof Outcome.Planned planned
                                ? Optional.of(Bare.of(planned.regimen()))
                                : Optional.empty());
        return whole;
    }

    private static boolean sameSteps(Regimen a, Regimen b) {
        return steps(a.morning().steps()).equals(steps(b.morning().steps()))
                && steps(a.evening().steps()).equals(steps(b.evening().steps()));
    }

    private static List<String> steps(List<Step> steps) {
        return steps.stream()
                .map(s -> "%s %d %s"
                        .formatted(s.product(), s.nights().size(), s.amount().words()))
                .toList();
    }

    private static Consultation consultation(RandomGenerator random) {
        return Consultations.of(
                Consultations.face(random),
                method(random),
                Month.of(1 + random.nextInt(12)),
                Consultations.CATALOGUE,
                List.of(),
                Consultations.NOTHING,
                Life.USUAL.withBudget(15 + random.nextInt(50)));
    }

    private static String method(RandomGenerator random) {
        return Methods.all().get(random.nextInt(Methods.all().size())).id().value();
    }

    /** One thing put otherwise. */
    private static Consultation otherwise(Consultation c, RandomGenerator random) {
        Life life = c.life();
        Product p = Consultations.CATALOGUE.get(random.nextInt(Consultations.CATALOGUE.size()));
        Part part = random.nextBoolean() ? Part.EVENING : Part.MORNING;
        return switch (random.nextInt(13)) {
            case 0 -> c.in(Month.of(1 + random.nextInt(12)));
            case 1 -> c.by(Methods.find(method(random)).orElseThrow());
            case 2 -> c.living(life.withBudget(10 + random.nextInt(60)));
            case 3 -> c.living(life.withMinutes(part, 4 + random.nextInt(20)));
            case 4 -> c.living(life.withSteps(3 + random.nextInt(6)));
            case 5 -> c.with(new Choice(part, p.id()));
            case 6 -> c.leaving(new Choice(part, p.id()));
            case 7 ->
                c.parts()
                        .answers(c.answers().yes(random.nextBoolean() ? "pregnant" : "eczema"))
                        .together();
            case 8 -> c.parts().reading(Consultations.face(random)).together();
            case 9 -> c.parts().lifted(Set.of(Concern.LINES)).together();
            case 10 ->
                c.parts()
                        .site(Sites.all().get(random.nextInt(Sites.all().size())))
                        .together();
            case 11 ->
                c.parts()
                        .shelf(List.of(Consultations.owned(p.id().value(), random.nextInt(30))))
                        .together();
            default ->
                c.living(life.as(
                        new Life(
                                5,
                                5,
                                5,
                                random.nextInt(9),
                                random.nextInt(8),
                                random.nextBoolean(),
                                3,
                                Set.of(),
                                Taste.NEVER,
                                Taste.NEVER,
                                Taste.NEVER,
                                OptionalDouble.empty()),
                        Matter.values()[random.nextInt(Matter.values().length)]));
        };
    }

    /** What is put in by hand is the cause of itself, whatever else differs. */
    @Test
    void a_step_set_by_hand_is_said_to_be_by_hand() {
        Consultation plain = Consultations.of(Faces.face());
        Step evening = ((Outcome.Planned) Planner.plan(plain))
                .regimen().evening().steps().stream()
                        .filter(s -> s.nights().size() == 7 && !s.comesOff())
                        .findFirst()
                        .orElseThrow();
        Adjustment fewer =
                Adjustment.none(Part.EVENING, evening.product()).on(List.of(DayOfWeek.MONDAY, DayOfWeek.FRIDAY));
        List<Change> changes = Changes.between(
                        plain, plain.in(Month.DECEMBER).by(plain.byHand().with(fewer)))
                .orElseThrow()
                .changes();
        assertThat(changes).anySatisfy(c -> {
            assertThat(c.what()).isEqualTo(Change.What.OTHER_NIGHTS);
            assertThat(c.cause()).isEqualTo(Cause.HAND);
            assertThat(c.because())
                    .extracting(Because::sentence)
                    .containsExactly("%s is changed by hand in the evening.".formatted(evening.name()));
        });
    }

    /** Of two that change places the one is named that was moved. */
    @Test
    void a_step_moved_by_hand_is_the_one_that_is_said_to_stand_elsewhere() {
        Consultation plain = Consultations.of(Faces.face());
        List<Step> evening =
                ((Outcome.Planned) Planner.plan(plain)).regimen().evening().steps();
        int moved = 0;
        for (int i = 0; i + 1 < evening.size(); i++) {
            Step step = evening.get(i);
            Adjustment later = new Adjustment(
                    Part.EVENING,
                    step.product(),
                    false,
                    java.util.Set.of(),
                    List.of(),
                    Optional.empty(),
                    false,
                    "",
                    Optional.of(
                            new Adjustment.Move(Optional.of(evening.get(i + 1).product()), Optional.empty(), "so")));
            Consultation hers = plain.by(plain.byHand().with(later));
            List<Change> changes = Changes.between(plain, hers).orElseThrow().changes();
            for (Change change : changes) {
                assertThat(change.what()).isEqualTo(Change.What.MOVED);
                assertThat(change.to()).isEqualTo(step.name());
                assertThat(change.because())
                        .extracting(Because::sentence)
                        .containsExactly("%s is changed by hand in the evening: so.".formatted(step.name()));
                moved++;
            }
        }
        assertThat(moved).isPositive();
    }

    @Test
    void nothing_differs_from_itself_and_no_plan_is_held_against_a_referral() {
        Consultation plain = Consultations.of(Faces.face());
        assertThat(Changes.between(plain, plain).orElseThrow().changes()).isEmpty();
        assertThat(Changes.turned(plain, plain.month()).orElseThrow().changes()).isEmpty();
        assertThat(Changes.instead(plain, plain.method()).orElseThrow().changes())
                .isEmpty();
        Answers changing = plain.answers().yes("mole");
        Consultation refer = plain.parts().answers(changing).together();
        assertThat(Planner.plan(refer)).isInstanceOf(Outcome.ReferFirst.class);
        assertThat(Changes.between(plain, refer)).isEmpty();
    }
}
