package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.Month;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.ByHand;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Consultation.Owned;
import outfell.consultation.Life;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.routine.Adjustment;
import outfell.routine.Condition;
import outfell.routine.Coverage;
import outfell.routine.Moves;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.skin.Faces;
import outfell.skin.Sign;
import outfell.supply.Supply;

class ByHandTest {
    private static final Consultation PLAIN = consultation("classic", 5);

    @Test
    void a_step_moves_within_the_rules_without_a_reason_and_against_them_with_one() {
        Step cream = step(PLAIN, Part.EVENING, StepKind.MOISTURISER);
        Moves.Shift toFront = cream.shifts().getFirst();
        assertThat(toFront.to()).isEqualTo(1);
        assertThat(toFront.against()).isNotEmpty();
        ProductId first = regimen(PLAIN).evening().steps().getFirst().product();

        Regimen unexplained = regimen(changed(PLAIN, moved(cream, first, "")));
        assertThat(unexplained.refusals())
                .singleElement()
                .satisfies(r -> assertThat(r.because().sentence()).contains("needs a reason"));
        assertThat(numbers(unexplained)).isEqualTo(numbers(regimen(PLAIN)));

        Regimen explained = regimen(changed(PLAIN, moved(cream, first, "the skin stings without it")));
        assertThat(explained.refusals()).isEmpty();
        Step moved = explained.evening().steps().getFirst();
        assertThat(moved.product()).isEqualTo(cream.product());
        assertThat(moved.hand().movedBecause()).isEqualTo("the skin stings without it");
        assertThat(moved.next().sentence()).isEqualTo("By hand: the skin stings without it");
    }

    @Test
    void nothing_is_laid_over_the_sunscreen_whatever_the_reason() {
        Step cream = step(PLAIN, Part.MORNING, StepKind.MOISTURISER);
        Step sunscreen = step(PLAIN, Part.MORNING, StepKind.SUNSCREEN);
        assertThat(cream.shifts())
                .filteredOn(s -> s.to() == sunscreen.number())
                .singleElement()
                .satisfies(s -> {
                    assertThat(s.allowed()).isFalse();
                });
        Adjustment over = new Adjustment(
                Part.MORNING,
                cream.product(),
                false,
                java.util.Set.of(),
                List.of(),
                Optional.empty(),
                false,
                "",
                Optional.of(new Adjustment.Move(Optional.of(sunscreen.product()), Optional.empty(), "she likes it")));
        Regimen regimen = regimen(changed(PLAIN, over));
        assertThat(regimen.refusals())
                .singleElement()
                .satisfies(r -> assertThat(r.because().sentence()).contains("Nothing goes over the sunscreen"));
        assertThat(regimen.morning().steps().getLast().kind()).isEqualTo(StepKind.SUNSCREEN);
    }

    @Test
    void a_move_whose_neighbours_have_left_is_not_followed_and_says_so() {
        Step cream = step(PLAIN, Part.EVENING, StepKind.MOISTURISER);
        Adjustment lost = moved(cream, new ProductId("gone-from-here"), "why not");
        assertThat(regimen(changed(PLAIN, lost)).refusals())
                .singleElement()
                .satisfies(r -> assertThat(r.because().sentence()).contains("no longer here"));
    }

    @Test
    void part_of_the_face_some_days_and_a_second_coat_change_amount_time_and_month() {
        Step cream = step(PLAIN, Part.EVENING, StepKind.MOISTURISER);
        Step part = step(changed(PLAIN, on(cream, Coverage.DRY_PLACES, false)), Part.EVENING, StepKind.MOISTURISER);
        assertThat(part.part()).isEqualTo("dry places");
        double share = Coverage.DRY_PLACES.cm2()
                / cream.amount().places().stream()
                        .mapToDouble(s -> s.place().cm2())
                        .sum();
        assertThat(part.amount().grams())
                .isEqualTo(Math.round(100 * share * cream.amount().grams()) / 100.0);
        Step twice = step(changed(PLAIN, on(cream, null, true)), Part.EVENING, StepKind.MOISTURISER);
        assertThat(twice.amount().grams()).isEqualTo(Math.round(cream.amount().grams() * 200) / 100.0);
        assertThat(twice.amount().words()).endsWith(", 2 coats");
        assertThat(twice.handsOn()).isEqualTo(2 * cream.handsOn());

        Step serum = step(PLAIN, Part.MORNING, StepKind.SERUM);
        Regimen some = regimen(changed(PLAIN, nights(Part.MORNING, serum, DayOfWeek.MONDAY, DayOfWeek.THURSDAY)));
        assertThat(step(some, Part.MORNING, serum.product()).nights())
                .containsExactly(DayOfWeek.MONDAY, DayOfWeek.THURSDAY);
    }

    @Test
    void what_a_hard_limit_forbids_is_refused_and_the_rest_is_followed() {
        Step sunscreen = step(PLAIN, Part.MORNING, StepKind.SUNSCREEN);
        Adjustment much = new Adjustment(
                Part.MORNING,
                sunscreen.product(),
                true,
                java.util.Set.of(Coverage.CHEEKS),
                List.of(DayOfWeek.MONDAY),
                Optional.empty(),
                true,
                "Two coats, ears too.",
                Optional.empty());
        Regimen regimen = regimen(changed(PLAIN, much));
        assertThat(regimen.refusals()).hasSize(3);
        Step after = step(regimen, Part.MORNING, sunscreen.product());
        assertThat(after.everyDay()).isTrue();
        assertThat(after.amount()).isEqualTo(sunscreen.amount());
        assertThat(after.hand().optional()).isFalse();
        assertThat(after.hand().words()).isEqualTo("Two coats, ears too.");
    }

    @Test
    void a_strong_step_gets_no_more_nights_than_the_skin_bears() {
        Consultation c = withStrong();
        Step strong = regimen(c).evening().steps().stream()
                .filter(s -> !s.everyDay())
                .findFirst()
                .orElseThrow();
        Regimen fewer = regimen(changed(c, nights(Part.EVENING, strong, DayOfWeek.FRIDAY)));
        assertThat(step(fewer, Part.EVENING, strong.product()).nights()).containsExactly(DayOfWeek.FRIDAY);
        Regimen all = regimen(changed(c, nights(Part.EVENING, strong, DayOfWeek.values())));
        assertThat(all.refusals())
                .singleElement()
                .satisfies(r -> assertThat(r.because().sentence())
                        .contains("on 7 nights")
                        .contains("bears"));
        assertThat(step(all, Part.EVENING, strong.product()).nights()).hasSameSizeAs(strong.nights());
    }

    @Test
    void one_night_more_than_the_skin_bears_stands_by_a_reason_and_two_more_do_not() {
        Consultation c = withStrong();
        Step strong = regimen(c).evening().steps().stream()
                .filter(s -> !s.everyDay())
                .findFirst()
                .orElseThrow();
        int borne = strong.nights().size();
        DayOfWeek[] days = DayOfWeek.values();
        Adjustment more = nights(Part.EVENING, strong, java.util.Arrays.copyOf(days, borne + 1));
        assertThat(regimen(changed(c, more)).refusals())
                .singleElement()
                .satisfies(r -> assertThat(r.overrulable()).isTrue());
        Regimen all = regimen(changed(c, more.beside(List.of(), "She has borne three for a year.")));
        assertThat(step(all, Part.EVENING, strong.product()).nights()).hasSize(borne + 1);
        assertThat(all.refusals()).isEmpty();
        assertThat(all.notices())
                .extracting(n -> n.sentence())
                .anySatisfy(s -> assertThat(s)
                        .startsWith("Against a rule, by hand: ")
                        .endsWith("Because: She has borne three for a year."));
        Adjustment many = nights(Part.EVENING, strong, java.util.Arrays.copyOf(days, borne + 2));
        assertThat(regimen(changed(c, many.beside(List.of(), "She insists."))).refusals())
                .singleElement()
                .satisfies(r -> assertThat(r.overrulable()).isFalse());
    }

    @Test
    void a_prescription_is_the_prescribers_and_a_strong_step_gets_no_second_coat() {
        Product tretinoin = ProductReader.read(new Product.Facts(
                new ProductId("tret"),
                "Tretinoin cream",
                "",
                20,
                "g",
                0,
                "Aqua, Tretinoin 0.05%, Glycerin",
                Optional.of(StepKind.TREATMENT),
                OptionalDouble.empty(),
                true));
        Consultation c = Consultations.of(
                PLAIN.reading(),
                "classic",
                Month.NOVEMBER,
                Consultations.CATALOGUE,
                List.of(new Owned(tretinoin, 30, List.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY))),
                Consultations.NOTHING,
                Life.USUAL);
        Step prescribed = step(regimen(c), Part.EVENING, tretinoin.id());
        Adjustment everything = new Adjustment(
                Part.EVENING,
                tretinoin.id(),
                true,
                java.util.Set.of(Coverage.MARKS),
                List.of(DayOfWeek.SUNDAY),
                Optional.empty(),
                true,
                "as the doctor said",
                Optional.empty());
        Regimen after = regimen(changed(c, everything));
        assertThat(after.refusals())
                .as("told once, whatever was changed")
                .singleElement()
                .satisfies(r -> assertThat(r.because().sentence()).contains("is the prescriber's"));
        Step still = step(after, Part.EVENING, tretinoin.id());
        assertThat(still.nights()).isEqualTo(prescribed.nights());
        assertThat(still.amount()).isEqualTo(prescribed.amount());
        assertThat(still.hand().words()).isEqualTo("as the doctor said");

        Consultation strong = withStrong();
        Step acid = regimen(strong).evening().steps().stream()
                .filter(s -> !s.everyDay())
                .findFirst()
                .orElseThrow();
        assertThat(regimen(changed(strong, on(acid, null, true))).refusals())
                .singleElement()
                .satisfies(r -> assertThat(r.because().sentence()).contains("does not work faster"));
    }

    @Test
    void a_wash_has_no_second_coat_and_every_evening() {
        Step wash = step(PLAIN, Part.EVENING, StepKind.WASH);
        assertThat(regimen(changed(PLAIN, on(wash, null, true))).refusals())
                .singleElement()
                .satisfies(r -> assertThat(r.because().sentence()).contains("comes off again"));
        assertThat(regimen(changed(PLAIN, nights(Part.EVENING, wash, DayOfWeek.MONDAY)))
                        .refusals())
                .singleElement()
                .satisfies(r -> assertThat(r.because().sentence()).contains("never left out"));
    }

    @Test
    void of_two_new_strong_things_put_in_one_begins_and_the_other_has_its_day() {
        Consultation c = Consultations.of(Faces.face()
                        .with(Sign.SHINE, 2, 2, 2, 2, 2)
                        .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                        .with(Sign.STING, 0, 0, 0, 0, 0)
                        .calm())
                .with(new Choice(Part.EVENING, new ProductId("retinol-serum-02")))
                .with(new Choice(Part.EVENING, new ProductId("salicylic-fluid-2")));
        assertThat(regimen(c).refusals())
                .singleElement()
                .satisfies(r -> assertThat(r.because().sentence()).contains("one new strong thing", "from 9 December"));
    }

    @Test
    void two_strong_steps_set_to_one_night_do_not_share_it() {
        Consultation c = consultation("layered", 3);
        List<Step> strong =
                regimen(c).evening().steps().stream().filter(s -> !s.everyDay()).toList();
        if (strong.size() < 2) {
            c = java.util.stream.IntStream.range(0, 40)
                    .mapToObj(seed -> consultation("layered", seed))
                    .filter(x -> regimen(x).evening().steps().stream()
                                    .filter(s -> !s.everyDay())
                                    .count()
                            > 1)
                    .findFirst()
                    .orElseThrow();
            strong = regimen(c).evening().steps().stream()
                    .filter(s -> !s.everyDay())
                    .toList();
        }
        Consultation both = c.by(new ByHand(
                List.of(),
                List.of(),
                List.of(
                        nights(Part.EVENING, strong.get(0), DayOfWeek.FRIDAY),
                        nights(Part.EVENING, strong.get(1), DayOfWeek.FRIDAY))));
        Regimen after = regimen(both);
        assertThat(after.refusals())
                .singleElement()
                .satisfies(r -> assertThat(r.because().sentence()).contains("on Friday: another strong step"));
        assertThat(step(after, Part.EVENING, strong.get(0).product()).nights()).containsExactly(DayOfWeek.FRIDAY);
        assertThat(step(after, Part.EVENING, strong.get(1).product()).nights()).doesNotContain(DayOfWeek.FRIDAY);
    }

    @Test
    void an_adjustment_that_cannot_be_is_refused_where_it_is_made() {
        assertThatThrownBy(() -> new Adjustment.Move(Optional.empty(), Optional.empty(), "why"))
                .hasMessageContaining("needs a neighbour");
        assertThatThrownBy(() -> new Adjustment(
                        Part.MORNING,
                        new ProductId("x"),
                        false,
                        java.util.Set.of(),
                        List.of(),
                        Optional.empty(),
                        false,
                        "w".repeat(Adjustment.LONGEST_WORDS + 1),
                        Optional.empty()))
                .hasMessageContaining("160 characters, not 161");
        for (Coverage part : Coverage.values()) {
            assertThat(part.words()).isNotBlank();
            assertThat(part.cm2()).isBetween(1.0, 20_000.0);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void a_kept_step_stays_whatever_is_changed_around_it(int seed) {
        Consultation c = consultation(List.of("classic", "layered", "re-tone").get(seed % 3), seed);
        for (Step kept : regimen(c).evening().steps()) {
            Consultation locked = c.with(new Choice(Part.EVENING, kept.product()));
            for (Consultation other : List.of(
                    locked,
                    locked.in(Month.JULY),
                    locked.by(Methods.find("barrier-first").orElseThrow()),
                    locked.living(Life.USUAL.withSteps(4)))) {
                Regimen again = regimen(other);
                boolean stays = again.evening().steps().stream()
                        .anyMatch(s ->
                                s.product().equals(kept.product()) && s.hand().kept());
                boolean told =
                        again.refusals().stream().anyMatch(r -> r.product().equals(kept.product()));
                assertThat(stays || told).as("%s, seed %d", kept.name(), seed).isTrue();
            }
        }
    }

    @Test
    void a_step_with_a_condition_has_no_night_and_counts_at_its_usual_number() {
        Step cream = step(PLAIN, Part.EVENING, StepKind.MOISTURISER);
        Regimen plain = regimen(PLAIN);
        Regimen dry = regimen(changed(PLAIN, none(cream).when(when("dry", 2))));
        Step now = step(dry, Part.EVENING, cream.product());
        assertThat(now.aWeek()).isEqualTo(2);
        assertThat(now.often()).isEqualTo("when the skin feels dry, about 2 a week");
        assertThat(Supply.gramsAWeek(dry.evening().steps()).get(cream.product()))
                .isCloseTo(cream.amount().grams() * 2, within(1e-9));
        assertThat(dry.evening().timeline().minutes())
                .isEqualTo(plain.evening().timeline().minutes());
        assertThat(dry.evening().timeline().shortestMinutes())
                .isLessThan(plain.evening().timeline().shortestMinutes());

        Step wash = step(PLAIN, Part.EVENING, StepKind.WASH);
        assertThat(regimen(changed(PLAIN, none(wash).when(when("dry", 2)))).refusals())
                .singleElement()
                .satisfies(r -> assertThat(r.because().sentence()).contains("the day comes off"));
        assertThatThrownBy(() -> when("dry", 8)).hasMessageContaining("1 to 7 days");
        assertThatThrownBy(() -> new Adjustment(
                        Part.EVENING,
                        cream.product(),
                        false,
                        java.util.Set.of(),
                        List.of(DayOfWeek.MONDAY),
                        Optional.of(when("dry", 1)),
                        false,
                        "",
                        Optional.empty()))
                .hasMessageContaining("not both");
    }

    @Test
    void a_strong_step_with_a_condition_keeps_its_room_in_the_week_and_stays_off_what_it_must_not_meet() {
        Consultation strong = withStrong();
        Step acid = regimen(strong).evening().steps().stream()
                .filter(s -> !s.everyDay())
                .findFirst()
                .orElseThrow();
        assertThat(regimen(changed(strong, none(acid).when(when("shine", 7)))).refusals())
                .singleElement()
                .satisfies(r -> assertThat(r.because().sentence()).contains("bears"));
        Consultation shines = changed(strong, none(acid).when(when("shine", 1)));
        Regimen regimen = regimen(shines);
        Step now = step(regimen, Part.EVENING, acid.product());
        assertThat(now.aWeek()).isEqualTo(1);
        assertThat(now.nights()).hasSizeGreaterThan(1);
        Weeks weeks = Planner.weeks(shines, shines.answers().today()).orElseThrow();
        assertThat(weeks.evenings())
                .filteredOn(e -> e.maybe().stream().anyMatch(m -> m.product().equals(acid.product())))
                .isNotEmpty()
                .allSatisfy(e -> {
                    assertThat(e.uses()).extracting(Weeks.UsedThen::product).doesNotContain(acid.product());
                    assertThat(e.products()).contains(acid.product());
                    assertThat(e.load() + e.maybe().getFirst().points())
                            .isLessThanOrEqualTo(weeks.bears().night() + 1e-9);
                });
        assertThat(weeks.tracks())
                .filteredOn(t -> t.product().equals(acid.product()))
                .singleElement()
                .satisfies(t -> {
                    assertThat(t.weekdays()).isEmpty();
                    assertThat(t.turns().getLast().nights()).isEqualTo("when it shone by noon, up to 1 a week");
                });
    }

    private static Adjustment none(Step step) {
        return Adjustment.none(Part.EVENING, step.product());
    }

    private static Condition when(String kind, int usual) {
        return new Condition(Condition.kind(kind).orElseThrow(), usual);
    }

    private static Consultation consultation(String method, int seed) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
        return Consultations.of(
                Consultations.face(random),
                method,
                Month.NOVEMBER,
                Consultations.CATALOGUE,
                List.of(),
                Consultations.NOTHING,
                Life.USUAL);
    }

    private static Consultation withStrong() {
        return java.util.stream.IntStream.range(0, 30)
                .mapToObj(seed -> consultation("classic", seed))
                .filter(c -> regimen(c).evening().steps().stream().anyMatch(s -> !s.everyDay()))
                .findFirst()
                .orElseThrow();
    }

    private static Consultation changed(Consultation c, Adjustment a) {
        return c.by(new ByHand(List.of(), List.of(), List.of(a)));
    }

    private static Adjustment moved(Step step, ProductId before, String why) {
        return new Adjustment(
                Part.EVENING,
                step.product(),
                false,
                java.util.Set.of(),
                List.of(),
                Optional.empty(),
                false,
                "",
                Optional.of(new Adjustment.Move(Optional.empty(), Optional.of(before), why)));
    }

    private static Adjustment on(Step step, @org.jspecify.annotations.Nullable Coverage on, boolean coat) {
        return new Adjustment(
                Part.EVENING,
                step.product(),
                false,
                on == null ? java.util.Set.of() : java.util.Set.of(on),
                List.of(),
                Optional.empty(),
                coat,
                "",
                Optional.empty());
    }

    private static Adjustment nights(Part part, Step step, DayOfWeek... nights) {
        return new Adjustment(
                part,
                step.product(),
                false,
                java.util.Set.of(),
                List.of(nights),
                Optional.empty(),
                false,
                "",
                Optional.empty());
    }

    private static Regimen regimen(Consultation c) {
        return ((Outcome.Planned) Planner.plan(c)).regimen();
    }

    private static Step step(Consultation c, Part part, StepKind kind) {
        return regimen(c).routine(part).steps().stream()
                .filter(s -> s.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    private static Step step(Regimen regimen, Part part, ProductId product) {
        return regimen.routine(part).steps().stream()
                .filter(s -> s.product().equals(product))
                .findFirst()
                .orElseThrow();
    }

    private static Set<String> numbers(Regimen regimen) {
        return regimen.evening().steps().stream()
                .map(s -> s.number() + " " + s.name())
                .collect(java.util.stream.Collectors.toSet());
    }
}
