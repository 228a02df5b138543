package outfell.conflict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.Test;
import outfell.knowledge.RuleId;
import outfell.product.ActiveIn;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.Products;
import outfell.product.StepKind;
import outfell.product.Tag;

/** What parts two products, and where the schools see it otherwise. */
class ConflictsTest {
    private static final Product RETINOL = Products.serum(0.3, "Retinol");
    private static final Product RETINAL = Products.serum(0.1, "Retinal");
    private static final Product COPPER = Products.serum(1, Products.tagged(Tag.COPPER_PEPTIDE));
    private static final Product VITAMIN_C = Products.serum(12, "Ascorbic Acid");

    @Test
    void two_retinoids_never_share_a_plan_and_copper_leaves_the_vitamin_its_own_routine() {
        assertThat(Conflicts.SHIPPED.apart(RETINOL, RETINAL, false))
                .hasValueSatisfying(r -> assertThat(r.id().value()).isEqualTo("two-retinoids"));
        assertThat(Conflicts.SHIPPED.apart(COPPER, VITAMIN_C, true))
                .hasValueSatisfying(r -> assertThat(r.id().value()).isEqualTo("vitamin-c-copper"));
        assertThat(Conflicts.SHIPPED.apart(VITAMIN_C, COPPER, true))
                .as("the other way round")
                .isPresent();
        assertThat(Conflicts.SHIPPED.apart(COPPER, VITAMIN_C, false))
                .as("one by day, one by night")
                .isEmpty();
        assertThat(Conflicts.SHIPPED.apart(RETINOL, Products.serum(5, "Panthenol"), true))
                .isEmpty();
    }

    @Test
    void only_what_may_not_stand_together_on_any_skin_parts_two_products() {
        assertThat(Conflicts.following(Set.of()).parting()).isNotEmpty().allSatisfy(r -> {
            assertThat(r.b()).isPresent();
            assertThat(r.skin()).isEmpty();
            assertThat(r.where()).isIn(Meetings.Where.PLAN, Meetings.Where.ROUTINE, Meetings.Where.NIGHT);
            assertThat(r.meeting()).isIn(Meeting.NEVER, Meeting.AM_PM);
        });
        List<String> parting = Conflicts.following(Set.of()).parting().stream()
                .map(r -> r.id().value())
                .toList();
        assertThat(parting)
                .contains("two-retinoids", "vitamin-c-copper", "peroxide-hydroquinone")
                .doesNotContain("copper-retinoid", "oil-under-water", "aha-by-day", "strong-wash-retinoid");
    }

    @Test
    void a_row_is_followed_as_the_other_school_has_it_and_back_again() {
        for (Conflicts.Debated row : Conflicts.debated()) {
            Conflicts other = Conflicts.SHIPPED.with(row.id(), true);
            assertThat(other)
                    .as(row.name())
                    .isEqualTo(Conflicts.following(Set.of(row.id())))
                    .hasSameHashCodeAs(Conflicts.following(Set.of(row.id())))
                    .isNotEqualTo(Conflicts.SHIPPED);
            assertThat(other.hashCode()).isNotEqualTo(Conflicts.SHIPPED.hashCode());
            assertThat(other.with(row.id(), false)).isEqualTo(Conflicts.SHIPPED);
            Stream.concat(
                            other.interactions().all().stream()
                                    .filter(i -> i.id().equals(row.id()))
                                    .map(i -> List.of(i.meeting(), i.otherMeeting(), i.otherSchool())),
                            other.meetings().stream()
                                    .filter(r -> r.id().equals(row.id()))
                                    .map(r -> List.of(r.meeting(), r.otherMeeting(), r.otherSchool())))
                    .forEach(said -> assertThat(said)
                            .isEqualTo(List.of(
                                    row.other(),
                                    Optional.of(row.shipped()),
                                    row.because().sentence())));
        }
        assertThat(Conflicts.SHIPPED).isNotEqualTo(null);
    }

    @Test
    void two_actives_are_to_one_another_what_they_are_the_other_way_round() {
        Interactions table = new Interactions(Set.of());
        assertThat(table.all()).hasSizeGreaterThan(20).allSatisfy(i -> {
            assertThat(table.between(i.a(), i.b())).contains(i);
            assertThat(table.between(i.b(), i.a())).contains(i);
            assertThat(table.of(i.a())).contains(i);
            assertThat(i.meeting().words()).isNotBlank();
        });
    }

    @Test
    void a_wash_leaves_nothing_to_meet_others() {
        Product wash = Products.of(StepKind.WASH, OptionalDouble.empty(), 2, List.of("Salicylic Acid"));
        assertThat(wash.has(ActiveKind.BHA)).isTrue();
        assertThat(Conflicts.held(wash)).isEmpty();
        assertThat(Conflicts.held(Products.serum(2, "Salicylic Acid")))
                .extracting(ActiveIn::kind)
                .contains(ActiveKind.BHA);
    }

    @Test
    void each_debated_row_names_what_meets_and_both_schools() {
        assertThat(Conflicts.debated()).hasSizeGreaterThan(5).allSatisfy(d -> {
            assertThat(d.name()).isNotBlank();
            assertThat(d.other()).isNotEqualTo(d.shipped());
            assertThat(d.otherSchool()).isNotBlank();
            assertThat(d.because().sentence()).isNotEqualTo(d.otherSchool());
        });
        assertThat(Conflicts.debated())
                .extracting(Conflicts.Debated::id, Conflicts.Debated::name)
                .contains(Tuple.tuple(new RuleId("vitamin-c-copper"), "vitamin C copper"));
        assertThat(Conflicts.debated().stream().map(Conflicts.Debated::id))
                .containsAll(Conflicts.SHIPPED.interactions().all().stream()
                        .filter(i -> i.otherMeeting().isPresent())
                        .map(Interactions.Interaction::id)
                        .toList());
    }

    @Test
    void a_school_that_follows_the_others_meets_as_they_say_and_an_unknown_row_is_refused() {
        Conflicts others = Conflicts.following(Set.of(new RuleId("vitamin-c-copper")));
        Meetings.Rule rule = others.meetings().stream()
                .filter(r -> r.id().value().equals("vitamin-c-copper"))
                .findFirst()
                .orElseThrow();
        Meetings.Rule shipped = Conflicts.SHIPPED.meetings().stream()
                .filter(r -> r.id().value().equals("vitamin-c-copper"))
                .findFirst()
                .orElseThrow();
        assertThat(rule.meeting()).isEqualTo(shipped.otherMeeting().orElseThrow());
        assertThat(rule.because().sentence()).isEqualTo(shipped.otherSchool());
        assertThat(rule.otherSchool()).isEqualTo(shipped.because().sentence());
        assertThat(others.apart(COPPER, VITAMIN_C, true)).isEmpty();
        assertThatThrownBy(() -> Conflicts.following(Set.of(new RuleId("nobody"))))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("nobody");
    }
}
