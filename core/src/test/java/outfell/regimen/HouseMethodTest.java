package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import outfell.consultation.Consultation;
import outfell.consultation.Yardstick;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.method.MethodId;
import outfell.method.Methods;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Adjustment;
import outfell.routine.Aside;
import outfell.routine.Condition;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.routine.StepOrder;
import outfell.skin.Concern;
import outfell.week.CheckIn;
import outfell.week.Diary;
import outfell.week.Rhythm;

/** What a practice's own answers change in a plan. */
class HouseMethodTest {
    private static final Consultation PLAIN = Consultations.some("classic", 5);

    @Test
    void sunscreen_mixed_in_the_palm_says_what_protection_is_lost() {
        Regimen mixed = plan(with(Map.of("sunscreen-and-cream", "mixed_in_palm")));
        Step cream = step(mixed, StepKind.MOISTURISER);
        assertThat(cream.settle()).isLessThan(120);
        assertThat(step(mixed, StepKind.SUNSCREEN).technique()).startsWith("into the cream in the palm");
        // 1.45 g in 1.45 + 0.90 g: 62 parts in 100; 50^0.617 is 11, 1 + 49 x 0.617 is 31
        assertThat(mixed.notices())
                .anySatisfy(n -> assertThat(n.sentence())
                        .contains("works like")
                        .contains("by the careful law")
                        .contains("In two layers it keeps its number."));
    }

    @Test
    void a_cream_with_filters_takes_the_place_of_the_morning_cream_at_its_full_dose() {
        Regimen one = plan(with(Map.of("sunscreen-and-cream", "filter_in_cream")));
        assertThat(one.morning().steps()).noneMatch(s -> s.kind() == StepKind.MOISTURISER);
        assertThat(one.notices())
                .anySatisfy(n -> assertThat(n.sentence()).endsWith("counts only at the full dose, 1.55 g."));
        assertThat(plan(PLAIN).notices()).noneMatch(n -> n.sentence().contains("full dose"));
    }

    @Test
    void the_sunscreen_alone_has_no_cream_under_it_and_says_so_where_the_skin_asks_for_one() {
        int asked = 0;
        for (int seed = 0; seed < 12; seed++) {
            Consultation c = answering(Consultations.some("classic", seed), Map.of("sunscreen-and-cream", "no_cream"));
            Regimen alone = plan(c);
            assertThat(alone.morning().steps()).noneMatch(s -> s.kind() == StepKind.MOISTURISER);
            boolean told =
                    alone.notices().stream().anyMatch(n -> n.sentence().contains("puts no cream under the sunscreen"));
            assertThat(told).isEqualTo(alone.asked().moisturiserNeeded().yes());
            asked += told ? 1 : 0;
        }
        assertThat(asked).isPositive();
    }

    @Test
    void a_morning_may_begin_with_a_first_cleanse_alone_or_before_the_wash() {
        int milk = 0;
        int twice = 0;
        for (int seed = 0; seed < 12; seed++) {
            Consultation usual = Consultations.some("classic", seed);
            List<StepKind> alone = morning(plan(answering(usual, Map.of("morning-wash", "first_cleanse"))));
            assertThat(alone).doesNotContain(StepKind.WASH);
            plan(answering(usual, Map.of("morning-wash", "first_cleanse"))).morning().steps().stream()
                    .filter(s -> s.kind() == StepKind.FIRST_CLEANSE)
                    .forEach(s -> assertThat(s.place().sentence() + s.next().sentence())
                            .as("there is no sunscreen yet, and no wash")
                            .doesNotContain("sunscreen and make-up")
                            .doesNotContain("wash"));
            milk += alone.contains(StepKind.FIRST_CLEANSE) ? 1 : 0;
            List<StepKind> both = morning(plan(answering(usual, Map.of("morning-wash", "twice"))));
            twice += both.containsAll(List.of(StepKind.FIRST_CLEANSE, StepKind.WASH)) ? 1 : 0;
            assertThat(morning(plan(usual))).doesNotContain(StepKind.FIRST_CLEANSE);
        }
        assertThat(milk).isPositive();
        assertThat(twice).isPositive();
    }

    @Test
    void a_look_for_residue_is_a_step_after_the_last_cleanse_of_the_evening_and_takes_its_seconds() {
        for (String order : List.of("oil_first", "water_first")) {
            for (int seed = 0; seed < 6; seed++) {
                Consultation usual = answering(Consultations.some("classic", seed), Map.of("cleanse-order", order));
                Consultation looks = answering(
                        Consultations.some("classic", seed), Map.of("cleanse-order", order, "residue-check", "step"));
                assertThat(plan(usual).evening().steps())
                        .allSatisfy(s -> assertThat(residue(s)).isEmpty());
                Regimen r = plan(looks);
                assertThat(r.morning().steps())
                        .allSatisfy(s -> assertThat(residue(s)).isEmpty());
                List<Step> cleanses = r.evening().steps().stream()
                        .filter(s -> s.kind() == StepKind.WASH || s.kind() == StepKind.FIRST_CLEANSE)
                        .toList();
                assertThat(residue(cleanses.getLast())).singleElement().satisfies(a -> {
                    assertThat(a.seconds()).isEqualTo(20);
                    assertThat(a.byHand()).isFalse();
                    assertThat(a.before()).isFalse();
                });
                assertThat(cleanses.subList(0, cleanses.size() - 1))
                        .allSatisfy(s -> assertThat(residue(s)).isEmpty());
                assertThat(r.evening().steps())
                        .as("told in one place")
                        .allSatisfy(s -> assertThat(s.tools())
                                .noneMatch(t -> t.sentence().contains("lash line, hairline")));
                assertThat(r.evening().timeline().minutes())
                        .isLessThanOrEqualTo(usual.life().eveningMinutes());
            }
        }
    }

    private static List<Aside> residue(Step step) {
        return step.then().stream().filter(a -> a.told().contains("residue")).toList();
    }

    @Test
    void an_acid_as_the_toner_has_its_nights_and_the_toner_has_the_others() {
        int seen = 0;
        for (int seed = 0; seed < 30; seed++) {
            Regimen r = plan(answering(Consultations.some("classic", seed), Map.of("acid-place", "as_toner")));
            List<Step> evening = r.evening().steps();
            List<Step> acids = evening.stream()
                    .filter(s ->
                            StepOrder.lowPh(Consultations.product(s.product().value())))
                    .toList();
            List<Step> toners =
                    evening.stream().filter(s -> s.kind() == StepKind.TONER).toList();
            if (acids.isEmpty() || toners.isEmpty()) {
                continue;
            }
            seen++;
            Step toner = toners.getFirst();
            assertThat(toner.nights())
                    .doesNotContainAnyElementsOf(acids.getFirst().nights())
                    .hasSize(7 - acids.getFirst().nights().size());
            assertThat(toner.aWeek()).isEqualTo(toner.nights().size());
            assertThat(toner.nightsBecause().sentence())
                    .isEqualTo("On its nights %s is the toner: the House method has it so."
                            .formatted(acids.getFirst().name()));
        }
        assertThat(seen).isPositive();
    }

    private static List<StepKind> morning(Regimen r) {
        return r.morning().steps().stream().map(Step::kind).toList();
    }

    @Test
    void by_date_the_toner_stands_on_every_evening_on_which_no_acid_does() {
        int both = 0;
        for (int seed = 0; seed < 30; seed++) {
            Consultation c = answering(Consultations.some("classic", seed), Map.of("acid-place", "as_toner"));
            List<Step> evening = plan(c).evening().steps();
            List<ProductId> toners = products(evening, s -> s.kind() == StepKind.TONER);
            List<ProductId> acids = products(
                    evening,
                    s -> StepOrder.lowPh(Consultations.product(s.product().value())) && !s.everyDay());
            if (toners.isEmpty() || acids.isEmpty()) {
                continue;
            }
            for (Weeks.Evening e :
                    Planner.weeks(c, Consultations.TODAY).orElseThrow().evenings()) {
                boolean acid = e.products().stream().anyMatch(acids::contains);
                assertThat(e.products().stream().anyMatch(toners::contains))
                        .as("seed %d, %s", seed, e.date())
                        .isEqualTo(!acid);
                both += acid ? 1 : 0;
            }
        }
        assertThat(both).isPositive();
    }

    @Test
    void an_acid_for_some_evenings_only_leaves_the_toner_on_all() {
        Consultation c = IntStream.range(0, 30)
                .mapToObj(seed -> answering(Consultations.some("classic", seed), Map.of("acid-place", "as_toner")))
                .filter(x ->
                        plan(x).evening().steps().stream().anyMatch(s -> s.kind() == StepKind.TONER && !s.everyDay()))
                .findFirst()
                .orElseThrow();
        ProductId acid = products(
                        plan(c).evening().steps(),
                        s -> StepOrder.lowPh(Consultations.product(s.product().value())) && !s.everyDay())
                .getFirst();
        Condition shine = new Condition(Condition.kind("shine").orElseThrow(), 1);
        Regimen some =
                plan(c.by(c.byHand().with(Adjustment.none(Part.EVENING, acid).when(shine))));
        assertThat(some.evening().steps())
                .filteredOn(s -> s.kind() == StepKind.TONER)
                .isNotEmpty()
                .allMatch(Step::everyDay);
    }

    private static List<ProductId> products(List<Step> steps, Predicate<Step> which) {
        return steps.stream().filter(which).map(Step::product).toList();
    }

    @Test
    void a_method_that_waits_for_a_verdict_holds_the_plan_as_long_as_its_first_concern_needs() {
        assertThat(held(plan(PLAIN))).isEqualTo("change nothing for 6 weeks; then we look again together.");
        String verdict = held(plan(with(Map.of("hold", "verdict_due"))));
        assertThat(verdict).startsWith("change nothing for ").contains("cannot be judged");
        for (Concern concern : Concern.values()) {
            assertThat(Holding.weeks(concern)).as(concern.words()).isBetween(2, 12);
        }
    }

    @Test
    void the_cloth_and_the_place_of_the_eyes_follow_the_answers() {
        Regimen day = plan(with(Map.of("cloth", "one_a_day", "eye-place", "in_a_wait")));
        assertThat(day.evening().steps())
                .filteredOn(s -> s.kind() == StepKind.WASH)
                .allSatisfy(s -> assertThat(s.technique()).endsWith("with the day's cloth"));
        assertThatThrownBy(() -> with(Map.of("eye-place", "in_a_wait", "waits", "none")))
                .hasMessage("Eyes inside a wait, but there are no waits.");
    }

    @Test
    void a_yardstick_of_the_house_changes_the_choice_and_only_within_its_range() {
        Yardstick frugal = Yardstick.with(Map.of("optional-step", 50.0));
        Consultation c = new Consultation(
                PLAIN.reading(),
                PLAIN.answers(),
                PLAIN.life(),
                PLAIN.lifted(),
                PLAIN.shelf(),
                PLAIN.catalogue(),
                PLAIN.method(),
                PLAIN.site(),
                PLAIN.month(),
                PLAIN.byHand(),
                PLAIN.standing(),
                PLAIN.patches(),
                new Consultation.House(
                        PLAIN.house().bands(),
                        frugal,
                        PLAIN.house().conflicts(),
                        PLAIN.house().currency()),
                Diary.NONE);
        assertThat(plan(c).steps().count()).isLessThan(plan(PLAIN).steps().count());
        assertThat(Yardstick.settings())
                .hasSizeGreaterThan(20)
                .allSatisfy(s -> assertThat(s.shipped()).isBetween(s.least(), s.most()));
        assertThatThrownBy(() -> Yardstick.with(Map.of("owned", -1.0))).hasMessageContaining("-1 lies outside 0 to 50");
        assertThatThrownBy(() -> Yardstick.with(Map.of("luck", 1.0)))
                .hasMessage("There is no setting luck in the yardstick.");
    }

    private static String held(Regimen regimen) {
        return regimen.sheetNotes().stream()
                .filter(n -> n.title().equals("Keep to it"))
                .findFirst()
                .orElseThrow()
                .text();
    }

    private static Consultation with(Map<String, String> answers) {
        return answering(PLAIN, answers);
    }

    @Test
    void an_essence_may_be_the_toner() {
        int stood = 0;
        for (int seed = 0; seed < 12; seed++) {
            Consultation c = answering(
                    Consultations.some("classic", seed),
                    Map.of("essence", "yes", "essence-place", "as_toner", "toner-layers", "0"));
            Regimen r = plan(c);
            for (Part part : Part.values()) {
                List<StepKind> kinds =
                        r.routine(part).steps().stream().map(Step::kind).toList();
                assertThat(kinds).doesNotContain(StepKind.TONER);
                stood += kinds.contains(StepKind.ESSENCE) ? 1 : 0;
                List<Step> before = r.routine(part).steps().stream()
                        .takeWhile(s -> s.kind() != StepKind.ESSENCE)
                        .toList();
                if (kinds.contains(StepKind.ESSENCE)) {
                    assertThat(before)
                            .as("of what stays on only what wants bare skin goes on before it")
                            .allMatch(s -> s.comesOff()
                                    || StepOrder.lowPh(c.find(s.product()).orElseThrow()));
                }
            }
        }
        assertThat(stood).isGreaterThan(12);
        assertThatThrownBy(() -> answering(PLAIN, Map.of("essence-place", "as_toner")))
                .hasMessageContaining("no essence");
        assertThatThrownBy(() -> answering(PLAIN, Map.of("essence", "yes", "essence-place", "as_toner")))
                .hasMessageContaining("one of them is skipped");
    }

    @Test
    void each_layer_under_the_cream_waits_till_it_has_sunk_in() {
        int waited = 0;
        for (int seed = 0; seed < 12; seed++) {
            Regimen r = plan(answering(Consultations.some("classic", seed), Map.of("waits", "sunk_in")));
            for (Part part : Part.values()) {
                for (Step s : r.routine(part).steps()) {
                    boolean light = s.kind() == StepKind.TONER || s.kind() == StepKind.SERUM;
                    assertThat(s.settle()).isGreaterThanOrEqualTo(light ? 60 : 0);
                    waited += s.settleBecause().sentence().contains("till it has sunk in") ? 1 : 0;
                }
            }
        }
        assertThat(waited).isPositive();
    }

    @Test
    void nights_come_round_as_the_method_has_them_unless_the_visit_says_otherwise() {
        int every = 0;
        for (int seed = 0; seed < 12; seed++) {
            Consultation other = answering(Consultations.some("classic", seed), Map.of("night-rhythm", "every_other"));
            List<String> often = plan(other).evening().steps().stream()
                    .map(Step::often)
                    .filter(o -> !o.isEmpty())
                    .toList();
            assertThat(often).allSatisfy(o -> assertThat(o).contains(" in "));
            Consultation weekly = other.parts().diary(by(Rhythm.weekly())).together();
            assertThat(plan(weekly).evening().steps())
                    .allSatisfy(s -> assertThat(s.often()).isEmpty());
            if (!often.isEmpty()) {
                LocalDate today = other.answers().today();
                Weeks weeks = Planner.weeks(other, today).orElseThrow();
                assertThat(weeks.rhythm().every()).isEqualTo(2);
                assertThat(weeks.methodEvery()).isEqualTo(2);
                assertThat(Planner.weeks(weekly, today).orElseThrow().methodEvery())
                        .isEqualTo(2);
                every++;
            }
        }
        assertThat(every).isPositive();
    }

    @Test
    void a_later_visit_does_not_shift_the_nights_of_the_method() {
        Consultation first = answering(Consultations.some("classic", 5), Map.of("night-rhythm", "every_third"));
        LocalDate today = first.answers().today();
        Weeks then = Planner.weeks(first, today).orElseThrow();
        Weeks now = Planner.weeks(first, today.plusDays(1)).orElseThrow();
        assertThat(now.evenings()).isNotEmpty();
        assertThat(then.rhythm().first()).isEqualTo(now.rhythm().first());
    }

    private static Diary by(Rhythm rhythm) {
        return new Diary(
                CheckIn.Before.UNKNOWN, List.of(), List.of(), Optional.of(rhythm), List.of(), List.of(), List.of());
    }

    @Test
    void a_spot_treatment_stands_before_the_cream_or_over_all_the_rest() {
        ProductId gel = new ProductId("spot-gel-bha");
        for (Map.Entry<String, Boolean> school :
                Map.of("before_cream", true, "last", false).entrySet()) {
            int stood = 0;
            for (int seed = 0; seed < 20; seed++) {
                Consultation c = answering(Consultations.some("classic", seed), Map.of("spot-place", school.getKey()));
                List<Step> steps = plan(c.with(new Consultation.Choice(Part.EVENING, gel)))
                        .evening()
                        .steps();
                List<StepKind> kinds = steps.stream().map(Step::kind).toList();
                if (!kinds.contains(StepKind.SPOT) || !kinds.contains(StepKind.MOISTURISER)) {
                    continue;
                }
                assertThat(kinds.indexOf(StepKind.SPOT) < kinds.indexOf(StepKind.MOISTURISER))
                        .isEqualTo(school.getValue());
                stood++;
            }
            assertThat(stood).isPositive();
        }
    }

    private static Consultation answering(Consultation consultation, Map<String, String> answers) {
        Method classic = Methods.find("classic").orElseThrow();
        Map<String, String> settings = new HashMap<>(classic.settings());
        settings.putAll(answers);
        return consultation.by(Methods.of(new MethodId("house"), "House", "", settings, Because.house("So it is.")));
    }

    private static Step step(Regimen regimen, StepKind kind) {
        return regimen.morning().steps().stream()
                .filter(s -> s.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    private static Regimen plan(Consultation c) {
        return ((Outcome.Planned) Planner.plan(c)).regimen();
    }
}
