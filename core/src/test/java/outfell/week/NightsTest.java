package outfell.week;

import static java.time.DayOfWeek.FRIDAY;
import static java.time.DayOfWeek.MONDAY;
import static java.time.DayOfWeek.TUESDAY;
import static java.time.DayOfWeek.WEDNESDAY;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import outfell.product.ProductId;
import outfell.product.StarterCatalogue;

class NightsTest {
    private static final ProductId A = new ProductId("a");
    private static final ProductId B = new ProductId("b");
    private static final ProductId RX = new ProductId("rx");

    @Test
    void one_night_is_a_liked_one_and_two_lie_as_far_apart_as_a_week_allows() {
        assertThat(Nights.spread(List.of(free(A, 1))).get(A)).containsExactly(TUESDAY);
        assertThat(gap(Nights.spread(List.of(free(A, 2))).getOrDefault(A, List.of())))
                .isEqualTo(3);
        assertThat(gap(Nights.spread(List.of(free(A, 3))).getOrDefault(A, List.of())))
                .isEqualTo(2);
    }

    @Test
    void prescribed_nights_stand_and_nothing_else_shares_them() {
        Map<ProductId, List<DayOfWeek>> nights = Nights.spread(
                List.of(new Nights.Wanted(RX, 3, List.of(FRIDAY, MONDAY, WEDNESDAY)), free(A, 2), free(B, 1)));
        assertThat(nights.get(RX)).containsExactly(MONDAY, WEDNESDAY, FRIDAY);
        Set<DayOfWeek> all = new HashSet<>();
        nights.values()
                .forEach(on -> on.forEach(
                        d -> assertThat(all.add(d)).as("%s is taken twice", d).isTrue()));
        assertThat(nights.get(A)).hasSize(2);
        assertThat(nights.get(B)).hasSize(1);
    }

    @Test
    void what_finds_no_night_gets_none() {
        assertThat(Nights.spread(List.of(free(A, 7), free(B, 1))).get(B)).isEmpty();
    }

    @Test
    void load_points_follow_family_and_strength() {
        assertThat(points("lactic-serum-5")).isEqualTo(2);
        assertThat(points("glycolic-fluid-8")).isEqualTo(3);
        assertThat(points("salicylic-fluid-2")).isEqualTo(2);
        assertThat(points("retinal-cream-005")).isEqualTo(1);
        assertThat(points("clay-mask-kaolin")).isEqualTo(0.5);
    }

    @Test
    void a_ramp_begins_low_and_a_dry_skin_stays_lower() {
        var retinal = StarterCatalogue.products().stream()
                .filter(p -> p.id().value().equals("retinal-cream-005"))
                .findFirst()
                .orElseThrow();
        assertThat(Tolerance.of(Tolerance.Kind.NORMAL).usesPerWeek(retinal, 0)).isEqualTo(1);
        assertThat(Tolerance.of(Tolerance.Kind.NORMAL).usesPerWeek(retinal, 40)).isEqualTo(6);
        assertThat(Tolerance.of(Tolerance.Kind.DRY).usesPerWeek(retinal, 40)).isEqualTo(4);
        assertThat(Tolerance.of(Tolerance.Kind.STRAINED).usesPerWeek(retinal, 40))
                .isZero();
    }

    private static Nights.Wanted free(ProductId id, int uses) {
        return new Nights.Wanted(id, uses, List.of());
    }

    private static int gap(List<DayOfWeek> nights) {
        return Nights.shortestGap(
                nights.stream().mapToInt(d -> 1 << d.ordinal()).sum());
    }

    private static double points(String id) {
        return Tolerance.points(StarterCatalogue.products().stream()
                .filter(p -> p.id().value().equals(id))
                .findFirst()
                .orElseThrow());
    }
}
