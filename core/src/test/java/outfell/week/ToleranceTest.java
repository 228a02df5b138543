package outfell.week;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.Products;
import outfell.product.StepKind;
import outfell.skin.Faces;
import outfell.skin.ProbeBands;
import outfell.skin.Sign;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;
import outfell.week.Tolerance.Kind;

/** What strong work weighs, and how much of it each skin bears. */
class ToleranceTest {
    private static Product glycolic(double percent) {
        return Products.of(StepKind.TREATMENT, OptionalDouble.empty(), percent, List.of("Glycolic Acid"));
    }

    private static SkinVerdict read(Faces face) {
        return SkinReader.read(face.reading(), Set.of(), ProbeBands.SHIPPED);
    }

    private static Faces shiny(int t, int u) {
        return Faces.face().with(Sign.SHINE, t, t, t, u, u);
    }

    private static Faces quiet(int t, int u) {
        return shiny(t, u)
                .calm()
                .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .history(0, 0);
    }

    private static Faces worn(int tight, int flakes, int stings, int reactions) {
        return shiny(1, 1)
                .with(Sign.TIGHTNESS, tight, tight, tight, tight, tight)
                .with(Sign.FLAKING, flakes, flakes, flakes, flakes, flakes)
                .with(Sign.REDNESS, 1, 1, 1, 1, 1)
                .with(Sign.STING, stings, stings, stings, stings, stings)
                .history(reactions, reactions);
    }

    @Test
    void the_weaker_of_barrier_sensitivity_and_type_rules() {
        assertThat(Tolerance.of(read(quiet(3, 3))).kind()).isEqualTo(Kind.OILY);
        assertThat(Tolerance.of(read(quiet(1, 1))).kind()).isEqualTo(Kind.NORMAL);
        assertThat(Tolerance.of(read(quiet(3, 0))).kind()).as("combination").isEqualTo(Kind.NORMAL);
        assertThat(Tolerance.of(read(shiny(0, 0)
                                .with(Sign.TIGHTNESS, 1, 0, 1, 2, 2)
                                .with(Sign.FLAKING, 0, 0, 0, 1, 1)
                                .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                                .with(Sign.STING, 0, 0, 0, 0, 0)
                                .history(0, 0)))
                        .kind())
                .isEqualTo(Kind.DRY);
        assertThat(Tolerance.of(read(worn(2, 1, 1, 1))).kind()).isEqualTo(Kind.STRAINED);
        assertThat(Tolerance.of(read(worn(4, 4, 4, 4))).kind()).isEqualTo(Kind.BROKEN);
        SkinVerdict reactive = read(shiny(1, 1)
                .calm()
                .with(Sign.REDNESS, 1, 1, 1, 1, 1)
                .with(Sign.STING, 1, 1, 1, 1, 1)
                .history(4, 4));
        assertThat(reactive.barrier().state()).isEqualTo(SkinVerdict.BarrierState.SOUND);
        assertThat(Tolerance.of(reactive).kind()).isEqualTo(Kind.REACTIVE);
    }

    @Test
    void an_acid_weighs_more_from_its_strength_on_and_less_where_it_is_washed_off() {
        double mild = Tolerance.points(glycolic(1.5));
        double strong = Tolerance.points(glycolic(30));
        assertThat(strong).isGreaterThan(mild);
        assertThat(mild).isPositive();
        double turns = turns();
        assertThat(Tolerance.points(glycolic(turns))).isEqualTo(strong);
        assertThat(Tolerance.points(glycolic(turns - 0.5))).isEqualTo(mild);
        Product wash = Products.of(StepKind.WASH, OptionalDouble.empty(), 5, List.of("Glycolic Acid"));
        assertThat(Tolerance.points(wash)).isPositive().isLessThan(strong);
        assertThat(Tolerance.points(Products.of(StepKind.WASH, OptionalDouble.empty(), 5, List.of("Panthenol"))))
                .isZero();
        assertThat(Tolerance.points(Products.serum(5, "Panthenol"))).isZero();
        assertThat(Tolerance.points(Products.serum(5, "Glycolic Acid", "Salicylic Acid")))
                .as("both count")
                .isGreaterThan(Tolerance.points(glycolic(5)));
    }

    /** The least whole percent at which it weighs as much as at thirty. */
    private static double turns() {
        double strong = Tolerance.points(glycolic(30));
        double percent = 1;
        while (Tolerance.points(glycolic(percent)) < strong) {
            percent++;
        }
        return percent;
    }

    @Test
    void a_prescription_weighs_what_it_weighs_and_exfoliates_nothing() {
        Product prescribed = ProductReader.read(new Product.Facts(
                new ProductId("rx"),
                "Prescribed acid",
                "Nobody",
                30,
                "g",
                0,
                "Aqua, Glycolic Acid 20 %",
                Optional.of(StepKind.TREATMENT),
                OptionalDouble.empty(),
                true));
        assertThat(Tolerance.points(prescribed)).isEqualTo(2);
        assertThat(Tolerance.exfoliation(prescribed)).isZero();
    }

    @Test
    void what_takes_off_scales_counts_once_clay_half_and_a_wash_by_what_it_leaves() {
        assertThat(Tolerance.exfoliation(glycolic(8))).isEqualTo(1);
        assertThat(Tolerance.exfoliation(Products.serum(5, "Panthenol"))).isZero();
        Product clay = Products.of(StepKind.CLAY_MASK, OptionalDouble.empty(), 30, List.of("Kaolin"));
        assertThat(Tolerance.exfoliation(clay)).isPositive().isLessThan(1);
        Product both = Products.of(StepKind.CLAY_MASK, OptionalDouble.empty(), 30, List.of("Kaolin", "Glycolic Acid"));
        assertThat(Tolerance.exfoliation(both)).isGreaterThanOrEqualTo(Tolerance.exfoliation(clay));
        Product wash = Products.of(StepKind.WASH, OptionalDouble.empty(), 5, List.of("Glycolic Acid"));
        assertThat(Tolerance.exfoliation(wash)).isPositive().isLessThan(1);
    }

    @ParameterizedTest
    @CsvSource({"OILY", "NORMAL", "DRY", "REACTIVE", "STRAINED", "BROKEN"})
    void a_retinoid_climbs_its_ramp_and_stays_at_its_top(Kind kind) {
        Tolerance t = Tolerance.of(kind);
        Product retinol = Products.serum(0.3, "Retinol");
        for (int week = 0; week < 12; week++) {
            assertThat(t.usesPerWeek(retinol, week)).isEqualTo(t.ramp().get(week));
        }
        assertThat(t.usesPerWeek(retinol, 12)).isEqualTo(t.ramp().getLast());
        assertThat(t.usesPerWeek(retinol, 400)).isEqualTo(t.ramp().getLast());
        assertThat(t.ramp()).isSorted();
    }

    @ParameterizedTest
    @CsvSource({"OILY", "NORMAL", "DRY", "REACTIVE"})
    void an_acid_begins_low_and_never_passes_the_cap(Kind kind) {
        Tolerance t = Tolerance.of(kind);
        for (double percent : new double[] {2, 8, 20}) {
            Product acid = glycolic(percent);
            int later = t.usesPerWeek(acid, 2);
            assertThat(t.usesPerWeek(acid, 0)).isEqualTo(Math.min(1, later));
            assertThat(t.usesPerWeek(acid, 1)).isEqualTo(Math.min(1, later));
            assertThat(later * Tolerance.points(acid)).isLessThanOrEqualTo(t.cap());
            assertThat((later + 1) * Tolerance.points(acid) > t.cap()
                            || later == t.uses().getOrDefault(ActiveKind.AHA, 0))
                    .as("no use less than is borne")
                    .isTrue();
        }
        assertThat(t.usesPerWeek(Products.serum(5, "Glycolic Acid", "Salicylic Acid"), 9))
                .isLessThanOrEqualTo(t.usesPerWeek(Products.serum(5, "Salicylic Acid"), 9));
    }

    @Test
    void a_broken_skin_bears_no_strong_work() {
        assertThat(Tolerance.of(Kind.BROKEN).usesPerWeek(glycolic(5), 9)).isZero();
        assertThat(Tolerance.of(Kind.BROKEN).usesPerWeek(Products.serum(0.3, "Retinol"), 30))
                .isZero();
    }
}
