package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static outfell.skin.Faces.face;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import outfell.causes.ShelfAdvice.Fate;
import outfell.conflict.Conflicts;
import outfell.conflict.Interactions;
import outfell.conflict.Meeting;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Consultation.Owned;
import outfell.consultation.Life;
import outfell.consultation.Life.Taste;
import outfell.knowledge.RuleId;
import outfell.method.Methods;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.safety.Answers;
import outfell.skin.Faces;
import outfell.skin.Sign;
import outfell.supply.Supply;

class PlannerTest {
    private static final Faces OILY = face().with(Sign.SHINE, 3, 3, 3, 3, 3)
            .calm()
            .with(Sign.REDNESS, 0, 0, 0, 0, 0)
            .with(Sign.STING, 0, 0, 0, 0, 0)
            .with(Sign.SPOTS, 2, 0, 2, 1, 1)
            .with(Sign.CONGESTION, 2, 3, 2, 1, 1)
            .history(0, 0);

    @ParameterizedTest
    @CsvSource({
        "classic, 1",
        "classic, 2",
        "classic, 3",
        "layered, 4",
        "layered, 5",
        "classic, 6",
        "layered, 7",
        "classic, 8"
    })
    void no_hard_limit_is_ever_broken(String method, long seed) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
        for (int trial = 0; trial < 6; trial++) {
            Life life = new Life(
                    6 + random.nextInt(8),
                    10 + random.nextInt(15),
                    5 + random.nextInt(5),
                    2,
                    2,
                    false,
                    3,
                    Set.of(),
                    Taste.ANY,
                    Taste.ANY,
                    Taste.ANY,
                    OptionalDouble.empty());
            Consultation c = Consultations.of(
                    Consultations.face(random),
                    method,
                    Month.of(1 + random.nextInt(12)),
                    Consultations.CATALOGUE,
                    List.of(),
                    Consultations.NOTHING,
                    life);
            Regimen r = planned(c);
            assertThat(r.notices())
                    .noneMatch(n -> n.sentence().contains("necessary steps"))
                    .noneMatch(n -> n.sentence().contains("is needed"));
            assertThat(r.morning().timeline().minutes()).isLessThanOrEqualTo(life.morningMinutes());
            assertThat(r.evening().timeline().minutes()).isLessThanOrEqualTo(life.eveningMinutes());
            assertThat(r.morning().steps().getLast().kind()).isEqualTo(StepKind.SUNSCREEN);
            assertThat(r.evening().steps())
                    .anyMatch(s -> s.kind() == StepKind.WASH)
                    .anyMatch(s -> s.kind() == StepKind.MOISTURISER);
            for (DayOfWeek day : DayOfWeek.values()) {
                List<Step> tonight = r.evening().steps().stream()
                        .filter(s -> s.nights().contains(day) && s.kind() != StepKind.LIP)
                        .toList();
                assertThat(tonight.size())
                        .isLessThanOrEqualTo(
                                Math.min(life.mostSteps(), c.method().mostSteps()));
                assertThat(tonight.stream().filter(s -> s.nights().size() < 7).count())
                        .isLessThanOrEqualTo(1);
                noClash(tonight);
            }
            noClash(r.morning().steps());
        }
    }

    @Test
    void pregnancy_takes_the_retinoid_off_the_shelf_with_the_reason() {
        Regimen r =
                planned(with(OILY, Consultations.NOTHING.yes("pregnant"), Consultations.owned("retinol-serum-02", 20)));
        assertThat(r.shelf().getFirst().fate()).isEqualTo(Fate.STOP);
        assertThat(r.shelf().getFirst().because().sentence())
                .contains("Retinol")
                .contains("planning to birth");
        assertThat(r.steps())
                .noneMatch(s -> Consultations.product(s.product().value()).has(ActiveKind.RETINOID));
    }

    @Test
    void what_is_banned_cannot_be_put_in_by_hand() {
        Consultation pregnant = with(OILY, Consultations.NOTHING.yes("pregnant"));
        Choice retinal = new Choice(Part.EVENING, new ProductId("retinal-cream-005"));
        assertThat(Planner.refusal(pregnant, retinal).orElseThrow().because().sentence())
                .contains("Retinal");
        Regimen r = planned(pregnant.with(retinal));
        assertThat(r.refusals()).hasSize(1);
        assertThat(r.products()).doesNotContain(retinal.product());
        assertThat(Planner.refusal(with(OILY, Consultations.NOTHING), retinal)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "MORNING, retinal-cream-005, evening",
        "EVENING, sun-fluid-50, no work in the evening",
        "MORNING, oil-cleanse-clear, takes off sunscreen"
    })
    void what_belongs_to_the_other_half_of_the_day_is_refused(Part part, String product, String because) {
        assertThat(Planner.refusal(with(OILY, Consultations.NOTHING), new Choice(part, new ProductId(product)))
                        .orElseThrow()
                        .because()
                        .sentence())
                .contains(because);
    }

    @Test
    void a_pin_is_followed_and_takes_its_computed_place() {
        Choice honey = new Choice(Part.EVENING, new ProductId("serum-honey"));
        Regimen r = planned(with(OILY, Consultations.NOTHING).with(honey));
        assertThat(r.refusals()).isEmpty();
        List<StepKind> kinds = r.evening().steps().stream().map(Step::kind).toList();
        assertThat(r.evening().steps()).anyMatch(s -> s.product().equals(honey.product()));
        assertThat(kinds.indexOf(StepKind.SERUM)).isLessThan(kinds.indexOf(StepKind.MOISTURISER));
    }

    @Test
    void a_broken_barrier_gets_a_calm_reset() {
        Faces broken = face().with(Sign.SHINE, 1, 1, 1, 0, 0)
                .with(Sign.STING, 2, 2, 2, 3, 3)
                .with(Sign.REDNESS, 3, 3, 3, 3, 3)
                .with(Sign.TIGHTNESS, 3, 3, 3, 3, 3)
                .with(Sign.FLAKING, 2, 2, 2, 2, 2);
        Regimen r = planned(with(broken, Consultations.NOTHING, Consultations.owned("glycolic-fluid-8", 3)));
        assertThat(r.steps().map(Step::kind))
                .doesNotContain(StepKind.TREATMENT, StepKind.CLAY_MASK, StepKind.ENZYME, StepKind.SCRUB);
        assertThat(r.evening().steps()).anyMatch(s -> s.kind() == StepKind.SEAL);
        assertThat(r.morning().steps()).noneMatch(s -> s.kind() == StepKind.WASH);
        assertThat(r.shelf().getFirst().fate()).isEqualTo(Fate.STOP);
    }

    @Test
    void a_prescription_keeps_its_nights_and_nothing_else_strong_meets_it() {
        Product cream = ProductReader.read(new Product.Facts(
                new ProductId("rx"),
                "Tretinoin cream 0.05 %",
                "",
                30,
                "g",
                0,
                "Tretinoin 0.05 %",
                Optional.empty(),
                OptionalDouble.empty(),
                true));
        List<DayOfWeek> nights = List.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY);
        Regimen r = planned(with(OILY, Consultations.NOTHING.yes("prescribed-retinoid"), new Owned(cream, 14, nights)));
        Step rx = r.evening().steps().stream()
                .filter(Step::prescription)
                .findFirst()
                .orElseThrow();
        assertThat(rx.nights()).isEqualTo(nights);
        assertThat(r.evening().steps().stream().filter(s -> s.nights().size() < 7 && !s.prescription()))
                .allSatisfy(s -> assertThat(s.nights()).doesNotContainAnyElementsOf(nights));
        assertThat(r.asked().spf().value()).isEqualTo(50);
        assertThatThrownBy(() -> new Owned(cream, 0, List.of())).hasMessageContaining("nights are needed");
    }

    @Test
    void an_allergen_in_a_prescription_is_said_and_left_to_the_prescriber() {
        Product cream = ProductReader.read(new Product.Facts(
                new ProductId("rx"),
                "Tretinoin cream",
                "",
                30,
                "g",
                0,
                "Aqua, Lanolin, Tretinoin 0.05 %",
                Optional.empty(),
                OptionalDouble.empty(),
                true));
        Owned owned = new Owned(cream, 14, List.of(DayOfWeek.MONDAY));
        Regimen r = planned(with(OILY, Consultations.NOTHING.yes("lanolin").yes("prescribed-retinoid"), owned));
        assertThat(r.notices())
                .anyMatch(n -> n.sentence().contains("Lanolin") && n.sentence().contains("prescriber"));
        assertThat(r.evening().steps()).anyMatch(Step::prescription);
        Regimen other = planned(with(OILY, Consultations.NOTHING.yes("wheat").yes("prescribed-retinoid"), owned));
        assertThat(other.notices()).isEmpty();
    }

    @Test
    void refer_first_shows_no_plan_until_it_is_settled() {
        Faces severe = face().with(Sign.SHINE, 2, 2, 2, 2, 2).with(Sign.SPOTS, 4, 4, 4, 4, 4);
        assertThat(Planner.plan(with(severe, Consultations.NOTHING))).isInstanceOf(Outcome.ReferFirst.class);
        assertThat(Planner.plan(with(
                        severe,
                        new Answers(
                                Consultations.TODAY,
                                List.of(),
                                OptionalInt.empty(),
                                List.of(),
                                List.of(),
                                List.of(new Answers.Settled(
                                        new RuleId("spots-severe"), "Dr Ashdown", LocalDate.of(2026, 11, 24), ""))))))
                .isInstanceOf(Outcome.Planned.class);
    }

    @Test
    void too_few_minutes_are_said_and_the_necessary_steps_stay() {
        Consultation c = Consultations.of(
                OILY.reading(),
                "classic",
                Month.MAY,
                Consultations.CATALOGUE,
                List.of(),
                Consultations.NOTHING,
                new Life(1, 1, 2, 2, 5, true, 3, Set.of(), Taste.ANY, Taste.ANY, Taste.ANY, OptionalDouble.empty()));
        Regimen r = planned(c);
        assertThat(r.notices())
                .anyMatch(n -> n.sentence().contains("minutes for its necessary steps"))
                .anyMatch(n -> n.sentence().contains("steps; the limit is 2"));
        assertThat(r.morning().steps().getLast().kind()).isEqualTo(StepKind.SUNSCREEN);
    }

    @Test
    void what_she_owns_is_used_up_first_unless_it_strips() {
        Regimen r = planned(with(OILY, Consultations.NOTHING, Consultations.owned("milk-wash-thirsty", 4)));
        assertThat(r.evening().steps()).anyMatch(s -> s.product().value().equals("milk-wash-thirsty") && s.owned());
        Faces thirsty = face().with(Sign.SHINE, 3, 3, 3, 3, 3)
                .with(Sign.TIGHTNESS, 3, 3, 3, 3, 3)
                .with(Sign.FLAKING, 1, 1, 1, 1, 1);
        Regimen strips = planned(with(thirsty, Consultations.NOTHING, Consultations.owned("foam-wash-strong", 60)));
        assertThat(strips.shelf().getFirst().fate()).isEqualTo(Fate.SET_ASIDE);
        assertThat(strips.shelf().getFirst().because().sentence()).contains("surfactant");
    }

    @Test
    void no_scent_means_none() {
        Consultation c = Consultations.of(
                OILY.reading(),
                "classic",
                Month.MAY,
                Consultations.CATALOGUE,
                List.of(Consultations.owned("cream-scented", 9)),
                Consultations.NOTHING,
                new Life(
                        8, 15, 6, 2, 2, false, 3, Set.of(), Taste.NEVER, Taste.ANY, Taste.ANY, OptionalDouble.empty()));
        assertThat(planned(c).shelf().getFirst().because().sentence()).contains("no scent is wanted");
    }

    @Test
    void nothing_waits_where_the_method_does_not_and_a_budget_is_kept() {
        Life thrifty =
                new Life(10, 25, 8, 2, 2, false, 3, Set.of(), Taste.ANY, Taste.ANY, Taste.ANY, OptionalDouble.of(25));
        Consultation rich = Consultations.of(
                Faces.face().reading(),
                "classic",
                Month.NOVEMBER,
                Consultations.CATALOGUE,
                List.of(),
                Consultations.NOTHING,
                Life.USUAL);
        Consultation poor = Consultations.of(
                Faces.face().reading(),
                "classic",
                Month.NOVEMBER,
                Consultations.CATALOGUE,
                List.of(),
                Consultations.NOTHING,
                thrifty);
        assertThat(month(planned(poor))).isLessThanOrEqualTo(25);
        assertThat(month(planned(poor))).isLessThan(month(planned(rich)));
        assertThat(planned(rich.by(Methods.find("essentials").orElseThrow()))
                        .evening()
                        .steps())
                .allSatisfy(s -> assertThat(s.settle()).isZero());
    }

    /** What a month of a plan costs, as the supply reckons it. */
    private static double month(Regimen r) {
        Map<ProductId, Double> grams = Supply.gramsAWeek(r.steps().toList());
        return grams.entrySet().stream()
                .mapToDouble(e -> Supply.month(Consultations.product(e.getKey().value()), e.getValue())
                        .orElse(0))
                .sum();
    }

    @Test
    void an_unread_face_gets_the_safe_base_only() {
        Regimen r = planned(with(face(), Consultations.NOTHING));
        assertThat(r.steps().map(Step::kind).toList())
                .isSubsetOf(
                        StepKind.WASH, StepKind.FIRST_CLEANSE, StepKind.MOISTURISER, StepKind.SUNSCREEN, StepKind.SEAL);
    }

    @Test
    void an_empty_catalogue_is_said_step_by_step() {
        Regimen r = planned(Consultations.of(
                OILY.reading(), "classic", Month.MAY, List.of(), List.of(), Consultations.NOTHING, Life.USUAL));
        assertThat(r.steps()).isEmpty();
        assertThat(r.notices()).anyMatch(n -> n.sentence().contains("may stand as sunscreen"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"classic", "layered"})
    void every_step_of_every_plan_is_explained(String method) {
        Regimen r = planned(Consultations.of(
                OILY.reading(),
                method,
                Month.MARCH,
                Consultations.CATALOGUE,
                List.of(),
                Consultations.NOTHING,
                Life.USUAL));
        assertThat(r.steps()).allSatisfy(s -> {
            assertThat(s.place().sentence()).isNotBlank();
            assertThat(s.purpose())
                    .isNotEmpty()
                    .allSatisfy(b -> assertThat(b.source()).isNotBlank());
            assertThat(s.amount().because().source()).isNotBlank();
        });
        assertThat(r.alternatives())
                .hasSize((int) r.steps().count())
                .allSatisfy(a -> assertThat(a.choices())
                        .allSatisfy(x -> assertThat(x.because().sentence()).isNotBlank()));
        assertThat(r.sheetNotes()).isNotEmpty();
    }

    @Test
    void the_interaction_table_has_both_sides_of_every_pair() {
        Set<String> seen = new HashSet<>();
        for (Interactions.Interaction i : Conflicts.SHIPPED.interactions().all()) {
            assertThat(Conflicts.SHIPPED.interactions().between(i.a(), i.b())).contains(i);
            assertThat(Conflicts.SHIPPED.interactions().between(i.b(), i.a())).contains(i);
            assertThat(seen.add(i.id().value())).isTrue();
        }
        assertThat(Conflicts.SHIPPED
                        .interactions()
                        .between(ActiveKind.VITAMIN_C_ACID, ActiveKind.NIACINAMIDE)
                        .orElseThrow()
                        .meeting())
                .isEqualTo(Meeting.MYTH);
        assertThat(Conflicts.SHIPPED.interactions().between(ActiveKind.HUMECTANT, ActiveKind.RETINOID))
                .isEmpty();
    }

    private static void noClash(List<Step> together) {
        List<Product> stays = new ArrayList<>();
        together.stream()
                .map(s -> Consultations.product(s.product().value()))
                .filter(p -> p.kind() != StepKind.WASH && p.kind() != StepKind.FIRST_CLEANSE)
                .forEach(stays::add);
        for (Product a : stays) {
            for (Product b : stays) {
                if (a != b) {
                    a.actives()
                            .forEach(x -> b.actives()
                                    .forEach(y -> assertThat(Conflicts.SHIPPED
                                                    .interactions()
                                                    .between(x.kind(), y.kind())
                                                    .map(Interactions.Interaction::meeting))
                                            .as("%s with %s", a.name(), b.name())
                                            .isNotIn(
                                                    Optional.of(Meeting.NEVER),
                                                    Optional.of(Meeting.AM_PM),
                                                    Optional.of(Meeting.NIGHTS))));
                }
            }
        }
    }

    private static Consultation with(Faces face, Answers answers, Owned... shelf) {
        return Consultations.of(
                face.reading(),
                "classic",
                Month.NOVEMBER,
                Consultations.CATALOGUE,
                List.of(shelf),
                answers,
                Life.USUAL);
    }

    private static Regimen planned(Consultation c) {
        return ((Outcome.Planned) Planner.plan(c)).regimen();
    }
}
