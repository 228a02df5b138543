package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static outfell.skin.Faces.face;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;
import outfell.aims.PatchCall;
import outfell.aims.PatchCall.PatchState;
import outfell.aims.Tastes;
import outfell.causes.ShelfAdvice;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Owned;
import outfell.consultation.Consultation.Patched;
import outfell.consultation.Consultation.Standing;
import outfell.consultation.Consultation.Waiver;
import outfell.consultation.Life;
import outfell.consultation.Life.Place;
import outfell.consultation.Life.Taste;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.routine.Step;
import outfell.safety.Answers;
import outfell.safety.PatchTest;
import outfell.skin.Faces;
import outfell.skin.Sign;
import outfell.week.Diary;

/** What the screen, patch tests and tastes do to a plan. */
class SafetyInPlanTest {
    /** A face for which an acid or a retinoid is worth its night. */
    private static Faces congested() {
        return face().with(Sign.SHINE, 3, 3, 3, 3, 3)
                .calm()
                .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .with(Sign.CONGESTION, 3, 3, 3, 2, 2)
                .history(0, 0);
    }

    @Test
    void a_new_strong_step_waits_for_its_patch_test() {
        Regimen r = plan(Consultations.NOTHING, Life.USUAL);
        assertThat(r.patches()).isNotEmpty().allSatisfy(call -> {
            assertThat(call.state()).isEqualTo(PatchState.MISSING);
            assertThat(call.waits()).isTrue();
            assertThat(call.because().sentence()).contains(call.name());
        });
    }

    @Test
    void what_she_has_used_for_weeks_needs_no_test() {
        ProductId strong =
                plan(Consultations.NOTHING, Life.USUAL).patches().getFirst().product();
        Regimen r = planned(consultation(
                Consultations.NOTHING, Life.USUAL, List.of(Consultations.owned(strong.value(), 8)), List.of()));
        assertThat(r.products()).contains(strong);
        assertThat(r.patches()).extracting(PatchCall::product).doesNotContain(strong);
    }

    @Test
    void a_running_test_holds_the_step_back_and_a_passed_one_lets_it_begin() {
        ProductId strong =
                plan(Consultations.NOTHING, Life.USUAL).patches().getFirst().product();
        assertThat(stateAfter(strong, 24, 0)).isEqualTo(PatchState.RUNNING);
        assertThat(stateAfter(strong, 168, 0)).isEqualTo(PatchState.PASSED);
    }

    @Test
    void a_failed_test_keeps_the_product_out_by_choice_and_by_hand() {
        ProductId strong =
                plan(Consultations.NOTHING, Life.USUAL).patches().getFirst().product();
        Consultation c = consultation(Consultations.NOTHING, Life.USUAL, List.of(), List.of(tested(strong, 24, 2)));
        assertThat(planned(c).products()).doesNotContain(strong);
        assertThat(Planner.refusal(c, new Consultation.Choice(outfell.routine.Part.EVENING, strong))
                        .orElseThrow()
                        .because()
                        .sentence())
                .contains("failed its patch test");
    }

    @Test
    void a_waiver_stays_in_sight_with_who_and_why() {
        ProductId strong =
                plan(Consultations.NOTHING, Life.USUAL).patches().getFirst().product();
        Patched waived = new Patched(
                strong,
                Optional.empty(),
                Optional.of(new Waiver("Runa", "used it for years", LocalDate.of(2026, 11, 25))));
        Regimen r = planned(consultation(Consultations.NOTHING, Life.USUAL, List.of(), List.of(waived)));
        assertThat(r.patches())
                .filteredOn(p -> p.product().equals(strong))
                .singleElement()
                .satisfies(p -> {
                    assertThat(p.state()).isEqualTo(PatchState.WAIVED);
                    assertThat(p.because().sentence()).contains("Runa", "used it for years");
                });
        assertThatThrownBy(() -> new Waiver("Runa", " ", LocalDate.of(2026, 11, 25)))
                .hasMessageContaining("who decides it and why");
    }

    @Test
    void each_ban_says_what_it_keeps_out_of_this_plan() {
        Regimen r = plan(Consultations.NOTHING.yes("pregnant"), Life.USUAL);
        assertThat(r.keptOut())
                .filteredOn(k -> k.name().equals("pregnancy"))
                .first()
                .satisfies(k -> assertThat(k.products()).anyMatch(n -> n.contains("etin")));
        assertThat(r.keptOut().stream().flatMap(k -> k.products().stream()))
                .doesNotContainAnyElementsOf(r.steps().map(Step::name).toList());
    }

    @Test
    void a_wait_keeps_acids_out_until_its_day_and_not_after() {
        Answers yesterday = waxed(1);
        assertThat(strongSteps(plan(yesterday, Life.USUAL))).isEmpty();
        assertThat(strongSteps(plan(waxed(3), Life.USUAL))).isNotEmpty();
    }

    @Test
    void a_sunscreen_open_for_over_a_year_is_no_sunscreen_and_without_one_no_acid_stands() {
        Product sun = Consultations.product("sun-fluid-50");
        Product acid = Consultations.product("salicylic-fluid-2");
        List<Product> house = Consultations.CATALOGUE.stream()
                .filter(p -> p.kind() != StepKind.SUNSCREEN)
                .toList();
        Regimen fresh = owning(house, sun, Consultations.TODAY.minusMonths(11), acid);
        assertThat(fresh.morning().steps()).anyMatch(s -> s.product().equals(sun.id()));
        Regimen old = owning(house, sun, Consultations.TODAY.minusMonths(12), acid);
        assertThat(old.morning().steps()).noneMatch(s -> s.product().equals(sun.id()));
        assertThat(old.evening().steps()).noneMatch(s -> s.product().equals(acid.id()));
        assertThat(old.shelf())
                .extracting(s -> s.because().sentence())
                .anySatisfy(s -> assertThat(s).contains("open for too long"))
                .anySatisfy(s -> assertThat(s).contains("no sunscreen that can be believed"));
    }

    private static Regimen owning(List<Product> house, Product sun, LocalDate opened, Product acid) {
        Consultation c = Consultations.of(
                Faces.face()
                        .with(Sign.SHINE, 3, 3, 3, 3, 3)
                        .with(Sign.CONGESTION, 2, 2, 2, 1, 1)
                        .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                        .with(Sign.STING, 0, 0, 0, 0, 0)
                        .calm()
                        .reading(),
                "classic",
                Month.NOVEMBER,
                house,
                List.of(new Owned(sun, 40, List.of(), Optional.of(opened)), new Owned(acid, 40, List.of())),
                Consultations.NOTHING,
                Life.USUAL);
        return ((Outcome.Planned) Planner.plan(c)).regimen();
    }

    @Test
    void an_answer_that_went_stale_is_said_on_the_plan() {
        Answers old = Consultations.NOTHING.with(
                new Answers.Answer("pregnant", false, Optional.empty(), Consultations.TODAY.minusDays(50)));
        assertThat(plan(old, Life.USUAL).unsure())
                .anySatisfy(n -> assertThat(n.sentence()).contains("without asking today: pregnancy"));
        assertThat(plan(Answers.none(Consultations.TODAY), Life.USUAL).unsure())
                .anySatisfy(n -> assertThat(n.sentence()).contains("Made without asking today: year of birth"));
        assertThat(plan(Consultations.NOTHING, Life.USUAL).unsure()).isEmpty();
    }

    @Test
    void under_sixteen_there_is_no_plan_without_a_guardian_and_no_retinoid_with_one() {
        Answers child = aged(15);
        assertThat(Planner.plan(consultation(child, Life.USUAL, List.of(), List.of())))
                .isInstanceOf(Outcome.ReferFirst.class);
        Regimen r = plan(child.yes("guardian"), Life.USUAL);
        assertThat(r.keptOut()).anyMatch(k -> k.name().equals("under sixteen"));
    }

    @Test
    void what_is_never_wanted_is_never_chosen() {
        Life never = new Life(
                8, 15, 6, 2, 2, false, 3, Set.of(), Taste.NEVER, Taste.NEVER, Taste.NEVER, OptionalDouble.empty());
        Regimen r = plan(Consultations.NOTHING, never);
        List<Product> chosen = Consultations.CATALOGUE.stream()
                .filter(p -> r.products().contains(p.id()))
                .toList();
        assertThat(chosen)
                .isNotEmpty()
                .allSatisfy(
                        p -> assertThat(Tastes.against(never, p, Taste.NEVER)).isEmpty());
        assertThat(Consultations.CATALOGUE)
                .anyMatch(p -> !Tastes.against(never, p, Taste.NEVER).isEmpty());
    }

    @Test
    void the_sheet_speaks_of_the_air_she_lives_in_and_of_make_up_only_where_it_comes_off() {
        Life sea = new Life(
                8,
                15,
                6,
                2,
                5,
                true,
                3,
                Set.of(Place.SEA, Place.PLANES),
                Taste.ANY,
                Taste.ANY,
                Taste.ANY,
                OptionalDouble.empty());
        assertThat(titles(plan(Consultations.NOTHING, sea))).contains("Salt and pool water", "Dry air", "Full make-up");
        assertThat(titles(plan(Consultations.NOTHING, Life.USUAL)))
                .doesNotContain("Salt and pool water", "Dry air", "Full make-up", "Heat and steam");
        Faces broken =
                face().with(Sign.SHINE, 1, 1, 1, 1, 1).with(Sign.STING, 3).with(Sign.REDNESS, 3);
        Regimen calm = planned(new Consultation(
                broken.reading(),
                Consultations.NOTHING,
                sea,
                Set.of(),
                List.of(),
                Consultations.CATALOGUE,
                outfell.method.Methods.find("classic").orElseThrow(),
                outfell.climate.Sites.find("skarrow-harbour").orElseThrow(),
                Month.NOVEMBER,
                Consultation.ByHand.NOTHING,
                Standing.NONE,
                List.of(),
                Consultation.House.SHIPPED,
                Diary.NONE));
        assertThat(titles(calm)).doesNotContain("Full make-up");
    }

    @Test
    void what_waits_for_a_sunscreen_only_waits() {
        List<Product> house = Consultations.CATALOGUE.stream()
                .filter(p -> p.kind() != StepKind.SUNSCREEN)
                .toList();
        Regimen r = owning(
                house,
                Consultations.product("sun-fluid-50"),
                Consultations.TODAY.minusMonths(12),
                Consultations.product("salicylic-fluid-2"));
        assertThat(r.shelf())
                .filteredOn(s -> s.because().sentence().contains("no sunscreen that can be believed"))
                .singleElement()
                .satisfies(s -> assertThat(s.fate()).isEqualTo(ShelfAdvice.Fate.WAITS));
    }

    @Test
    void a_name_that_nobody_knows_is_said_at_its_step_while_a_ban_is_open() {
        Product cream = ProductReader.read(new Product.Facts(
                new ProductId("cream-kelp"),
                "Kelp cream",
                "Slipway Works",
                50,
                "ml",
                9,
                "Aqua, Glycerin, Caprylic/Capric Triglyceride, Kelp Moonlight Complex, Phenoxyethanol",
                Optional.of(StepKind.MOISTURISER),
                OptionalDouble.of(5),
                false));
        List<Product> house = java.util.stream.Stream.concat(
                        Consultations.CATALOGUE.stream().filter(p -> p.kind() != StepKind.MOISTURISER),
                        java.util.stream.Stream.of(cream))
                .toList();
        assertThat(heed(house, cream, Consultations.NOTHING.yes("lanolin")))
                .singleElement()
                .satisfies(b -> assertThat(b.sentence()).contains("Kelp Moonlight Complex", "lanolin"));
        assertThat(heed(house, cream, Consultations.NOTHING)).isEmpty();
    }

    private static List<Because> heed(List<Product> house, Product of, Answers answers) {
        return planned(Consultations.of(
                        face().with(Sign.SHINE, 0, 0, 0, 0, 0).reading(),
                        "classic",
                        Month.NOVEMBER,
                        house,
                        List.of(),
                        answers,
                        Life.USUAL))
                .steps()
                .filter(s -> s.product().equals(of.id()))
                .findFirst()
                .orElseThrow()
                .heed();
    }

    private static List<String> titles(Regimen r) {
        return r.sheetNotes().stream().map(SheetNotes.SheetNote::title).toList();
    }

    private static List<Step> strongSteps(Regimen r) {
        return r.steps().filter(s -> s.nights().size() < 7).toList();
    }

    private static Answers waxed(int daysAgo) {
        return Consultations.NOTHING.with(new Answers.Answer(
                "waxing", true, Optional.of(Consultations.TODAY.minusDays(daysAgo)), Consultations.TODAY));
    }

    private static Answers aged(int age) {
        return new Answers(
                Consultations.TODAY,
                Consultations.NOTHING.given(),
                OptionalInt.of(age),
                List.of(),
                List.of(),
                List.of());
    }

    private static Patched tested(ProductId product, int hours, int grade) {
        return new Patched(
                product,
                Optional.of(new PatchTest(
                                PatchTest.Kind.USE_TEST,
                                PatchTest.Site.FOREARM,
                                LocalDateTime.of(2026, 11, 15, 9, 0),
                                List.of(new PatchTest.Reading(hours, grade)))
                        .verdict()),
                Optional.empty());
    }

    private static PatchState stateAfter(ProductId product, int hours, int grade) {
        return planned(consultation(
                        Consultations.NOTHING, Life.USUAL, List.of(), List.of(tested(product, hours, grade))))
                .patches()
                .stream()
                .filter(p -> p.product().equals(product))
                .map(PatchCall::state)
                .findFirst()
                .orElseThrow();
    }

    private static Regimen plan(Answers answers, Life life) {
        return planned(consultation(answers, life, List.of(), List.of()));
    }

    private static Regimen planned(Consultation c) {
        return ((Outcome.Planned) Planner.plan(c)).regimen();
    }

    private static Consultation consultation(
            Answers answers, Life life, List<Consultation.Owned> shelf, List<Patched> patches) {
        return new Consultation(
                congested().reading(),
                answers,
                life,
                Set.of(),
                shelf,
                Consultations.CATALOGUE,
                outfell.method.Methods.find("classic").orElseThrow(),
                outfell.climate.Sites.find("skarrow-harbour").orElseThrow(),
                Month.NOVEMBER,
                Consultation.ByHand.NOTHING,
                Standing.NONE,
                patches,
                Consultation.House.SHIPPED,
                Diary.NONE);
    }
}
