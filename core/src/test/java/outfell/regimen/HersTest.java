package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.ByHand;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Consultation.Habit;
import outfell.consultation.Consultation.Owned;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Adjustment;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.skin.Faces;
import outfell.skin.Sign;

/** What a client does that no plan chooses by itself: it stands where she does it, and takes no step from the face. */
class HersTest {
    private static final Consultation PLAIN = Consultations.of(Faces.face().with(Sign.SHINE, 1, 1, 1, 1, 1));
    private static final Habit DAILY = new Habit(true, true, 7);

    @Test
    void nothing_of_it_is_chosen_by_itself() {
        assertThat(regimen(PLAIN).steps()).noneMatch(s -> s.kind().onlyHers());
        assertThat(PLAIN.catalogue()).anyMatch(p -> p.kind().onlyHers());
    }

    @Test
    void what_she_does_stands_in_its_place_and_the_rest_stays_as_it_was() {
        List<Owned> shelf = List.of(
                owned("base-tinted-15", DAILY),
                owned("beard-oil-plain", DAILY),
                owned("mask-sheet-plain", new Habit(false, true, 2)),
                owned("mask-sleeping-oat", new Habit(false, true, 3)),
                owned("lip-scrub-sugar", new Habit(false, true, 1)),
                owned("lip-mask-night", DAILY),
                owned("hand-cream-urea", DAILY),
                owned("body-lotion-plain", DAILY),
                owned("mask-honey-cream", new Habit(false, true, 1)));
        Regimen hers = regimen(with(shelf));

        assertThat(kinds(hers, Part.MORNING))
                .containsSubsequence(StepKind.SUNSCREEN, StepKind.BASE, StepKind.BEARD_OIL)
                .endsWith(StepKind.BEARD_OIL)
                .contains(StepKind.HAND)
                .doesNotContain(StepKind.LEAVE_ON_MASK, StepKind.SLEEPING_MASK, StepKind.BODY);
        assertThat(kinds(hers, Part.EVENING))
                .containsSubsequence(StepKind.WASH, StepKind.RINSE_MASK, StepKind.LIP_SCRUB, StepKind.LEAVE_ON_MASK)
                .containsSubsequence(
                        StepKind.LEAVE_ON_MASK,
                        StepKind.MOISTURISER,
                        StepKind.SLEEPING_MASK,
                        StepKind.LIP_MASK,
                        StepKind.HAND,
                        StepKind.BODY,
                        StepKind.BEARD_OIL)
                .doesNotContain(StepKind.BASE);
        // and it costs nothing of what the plan chooses
        for (Part part : Part.values()) {
            assertThat(kinds(hers, part).stream().filter(k -> !k.onlyHers()).filter(k -> k != StepKind.FIRST_CLEANSE))
                    .as(part.words())
                    .isEqualTo(kinds(regimen(PLAIN), part).stream()
                            .filter(k -> k != StepKind.FIRST_CLEANSE)
                            .toList());
        }
        assertThat(step(hers, Part.EVENING, StepKind.LEAVE_ON_MASK).nights()).hasSize(2);
        assertThat(step(hers, Part.EVENING, StepKind.SLEEPING_MASK).nights()).hasSize(3);
        assertThat(step(hers, Part.EVENING, StepKind.LIP_MASK).everyDay()).isTrue();
        assertThat(hers.refusals()).isEmpty();
    }

    @Test
    void make_up_hands_hair_and_lips_take_no_step_and_no_minute_from_the_face() {
        Regimen plain = regimen(PLAIN);
        List<Owned> shelf = List.of(
                owned("beard-oil-plain", DAILY), owned("hand-cream-urea", DAILY), owned("lip-mask-night", DAILY));
        for (Part part : Part.values()) {
            List<StepKind> face = kinds(regimen(with(shelf)), part).stream()
                    .filter(k -> !k.onlyHers())
                    .toList();
            assertThat(face).as(part.words()).isEqualTo(kinds(plain, part));
            assertThat(regimen(with(shelf)).routine(part).timeline().minutes())
                    .isEqualTo(plain.routine(part).timeline().minutes());
        }
    }

    @Test
    void what_she_has_stopped_and_what_was_taken_out_stay_out() {
        Habit stopped = new Habit(true, true, 0);
        assertThat(regimen(with(List.of(owned("beard-oil-plain", stopped)))).steps())
                .noneMatch(s -> s.kind() == StepKind.BEARD_OIL);

        Consultation both = with(List.of(owned("beard-oil-plain", DAILY)));
        Choice morning = new Choice(Part.MORNING, new ProductId("beard-oil-plain"));
        Regimen out = regimen(both.by(new ByHand(List.of(), List.of(morning), List.of())));
        assertThat(kinds(out, Part.MORNING)).doesNotContain(StepKind.BEARD_OIL);
        assertThat(kinds(out, Part.EVENING)).contains(StepKind.BEARD_OIL);
    }

    @Test
    void no_more_nights_than_its_kind_is_for() {
        Regimen hers = regimen(with(List.of(owned("mask-sheet-plain", DAILY))));
        assertThat(step(hers, Part.EVENING, StepKind.LEAVE_ON_MASK).nights()).hasSize(3);
        assertThat(kinds(hers, Part.MORNING)).doesNotContain(StepKind.LEAVE_ON_MASK);
    }

    @Test
    void make_up_that_is_worn_every_day_asks_for_a_first_cleanse() {
        Regimen hers = regimen(with(List.of(owned("base-tinted-15", DAILY))));
        assertThat(kinds(regimen(PLAIN), Part.EVENING)).doesNotContain(StepKind.BASE);
        assertThat(kinds(hers, Part.EVENING)).contains(StepKind.FIRST_CLEANSE);
    }

    @Test
    void a_filter_in_make_up_counts_at_what_is_put_on_and_replaces_no_sunscreen() {
        Regimen hers = regimen(with(List.of(owned("base-tinted-15", DAILY))));
        assertThat(kinds(hers, Part.MORNING)).contains(StepKind.SUNSCREEN);
        // 0.4 g on 565 cm2 is 0.71 mg/cm2; 15^(0.71/2) = 2.6
        assertThat(step(hers, Part.MORNING, StepKind.BASE).purpose())
                .anySatisfy(b -> assertThat(b.sentence()).contains("at about 0.7, which leaves about SPF 3"));
        assertThat(Consultations.product("base-tinted-15").protectsFromSun()).isFalse();
    }

    @Test
    void make_up_in_the_evening_and_a_sleeping_mask_in_the_morning_are_refused_with_their_reasons() {
        Consultation asked = PLAIN.with(new Choice(Part.EVENING, new ProductId("base-tinted-15")))
                .with(new Choice(Part.MORNING, new ProductId("mask-sleeping-oat")));
        assertThat(regimen(asked).refusals())
                .extracting(r -> r.because().sentence())
                .containsExactlyInAnyOrder(
                        "Make-up has no work in the evening: it comes off.",
                        "Sleeping mask, oat covers the night; the morning wash takes it off.");
    }

    @Test
    void a_mask_in_the_morning_has_a_day_whose_evening_has_no_strong_step() {
        int beside = 0;
        for (int seed = 0; seed < 30; seed++) {
            Consultation usual = Consultations.some("layered", seed);
            if (!(Planner.plan(usual) instanceof Outcome.Planned)) {
                continue;
            }
            Regimen plan = regimen(usual.with(new Choice(Part.MORNING, new ProductId("mask-sheet-plain"))));
            Step mask = step(plan, Part.MORNING, StepKind.LEAVE_ON_MASK);
            assertThat(mask.nights()).hasSize(1);
            List<Step> own = plan.evening().steps().stream()
                    .filter(s -> s.nights().size() < 4)
                    .toList();
            assertThat(own).noneMatch(s -> s.nights().containsAll(mask.nights()));
            assertThat(plan.morning().timeline().minutes()).isPositive();
            beside += own.size();
        }
        assertThat(beside).isPositive();
    }

    @Test
    void a_mask_that_she_does_in_the_morning_stays_there() {
        Regimen hers = regimen(with(List.of(owned("mask-sheet-plain", new Habit(true, false, 1)))));
        assertThat(kinds(hers, Part.MORNING)).contains(StepKind.LEAVE_ON_MASK);
        assertThat(kinds(hers, Part.EVENING)).doesNotContain(StepKind.LEAVE_ON_MASK);
    }

    @Test
    void what_rubs_or_dries_stands_in_the_morning_by_a_reason_alone() {
        Consultation clay = PLAIN.with(new Choice(Part.MORNING, new ProductId("clay-mask-kaolin")));
        assertThat(regimen(clay).refusals()).singleElement().satisfies(r -> {
            assertThat(r.overrulable()).isTrue();
            assertThat(r.because().sentence()).contains("rubs or dries");
        });
        Regimen overruled = regimen(clay.by(new ByHand(
                clay.byHand().kept(),
                List.of(),
                List.of(Adjustment.of(List.of(), Part.MORNING, new ProductId("clay-mask-kaolin"))
                        .beside(List.of(), "before the band on Sunday")))));
        assertThat(overruled.refusals()).isEmpty();
        assertThat(step(overruled, Part.MORNING, StepKind.CLAY_MASK).nights()).hasSize(1);
        assertThat(overruled.notices()).anySatisfy(n -> assertThat(n.sentence()).contains("before the band on Sunday"));
    }

    @Test
    void what_a_ban_keeps_out_is_told_as_her_thing_and_not_as_a_wish_refused() {
        Consultation banned = with(List.of(owned("lip-scrub-sugar", DAILY)))
                .parts()
                .answers(Consultations.NOTHING.yes("blood-thinner"))
                .together();
        Regimen plan = regimen(banned);
        assertThat(plan.steps()).noneMatch(s -> s.kind() == StepKind.LIP_SCRUB);
        assertThat(plan.refusals()).isEmpty();
        assertThat(plan.shelf())
                .filteredOn(a -> a.product().value().equals("lip-scrub-sugar"))
                .singleElement()
                .satisfies(a -> assertThat(a.because().sentence()).contains("blood thinner"));
    }

    private static Owned owned(String id, Habit habit) {
        Product p = Consultations.product(id);
        return new Owned(p, 20, List.of(), Optional.empty(), Optional.of(habit));
    }

    private static Consultation with(List<Owned> shelf) {
        return PLAIN.parts().shelf(new ArrayList<>(shelf)).together().in(Month.NOVEMBER);
    }

    private static List<StepKind> kinds(Regimen regimen, Part part) {
        return regimen.routine(part).steps().stream().map(Step::kind).toList();
    }

    private static Step step(Regimen regimen, Part part, StepKind kind) {
        return regimen.routine(part).steps().stream()
                .filter(s -> s.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    private static Regimen regimen(Consultation consultation) {
        return ((Outcome.Planned) Planner.plan(consultation)).regimen();
    }
}
