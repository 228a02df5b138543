package outfell.week;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import outfell.product.ProductId;
import outfell.product.StarterCatalogue;
import outfell.week.Round.Limit;

class NightsTest {
    private static final int MONDAY = 1;
    private static final int TUESDAY = 1 << 1;
    private static final int WEDNESDAY = 1 << 2;
    private static final int FRIDAY = 1 << 4;
    private static final List<Integer> LIKED = List.of(1, 3, 5, 0, 6, 2, 4);

    @Test
    void one_night_is_a_liked_one_and_two_lie_as_far_apart_as_a_week_allows() {
        assertThat(lay(free("a", 1)).on()).containsExactly(TUESDAY);
        assertThat(week().shortestGap(lay(free("a", 2)).on().getFirst())).isEqualTo(3);
        assertThat(week().shortestGap(lay(free("a", 3)).on().getFirst())).isEqualTo(2);
    }

    @Test
    void prescribed_nights_stand_and_what_is_parted_from_them_takes_others() {
        Wanted rx = fixed("rx", MONDAY | WEDNESDAY | FRIDAY);
        List<Integer> on = Nights.lay(List.of(rx, parted(free("a", 2), 0b101), parted(free("b", 1), 0b011)), week())
                .on();
        assertThat(on.getFirst()).isEqualTo(MONDAY | WEDNESDAY | FRIDAY);
        assertThat(on.stream().mapToInt(Integer::bitCount).sum()).isEqualTo(6);
        assertThat(on.getFirst() | on.get(1) | on.get(2))
                .satisfies(all -> assertThat(Integer.bitCount(all)).isEqualTo(6));
    }

    @Test
    void what_finds_no_night_gets_none() {
        assertThat(Nights.lay(List.of(fixed("rx", 127), parted(free("b", 1), 1)), week())
                        .on()
                        .get(1))
                .isZero();
    }

    @Test
    void two_that_may_share_a_night_do_so_only_when_they_must() {
        assertThat(shared(lay(free("a", 2), free("b", 2)))).isZero();
        assertThat(shared(lay(free("a", 5), free("b", 3)))).isEqualTo(1);
    }

    @Test
    void the_heavier_aim_has_its_nights_first_when_there_are_too_few() {
        Wanted strong = new Wanted(id("a"), List.of(0, 10, 20, 30, 40), 2, 0, 1, 0, 0, 0b10);
        Wanted mild = new Wanted(id("b"), List.of(0, 3, 6), 2, 0, 1, 0, 0, 0b01);
        Round tight = new Round(7, 8, 4, 6, 0, 9, 1, LIKED);
        Nights.Laid laid = Nights.lay(List.of(strong, mild), tight);
        assertThat(laid.on().stream().map(Integer::bitCount)).containsExactly(4, 0);
        assertThat(OneMore.of(List.of(strong, mild), tight, laid, 1).limits()).containsExactly(List.of(Limit.LOAD));
        assertThat(OneMore.of(List.of(strong, mild), tight, laid, 1).gives()).containsExactly(0);
    }

    @Test
    void three_nights_running_carry_no_more_than_they_may_over_the_weeks_edge_too() {
        Wanted a = new Wanted(id("a"), List.of(0, 10, 20, 30), 3, 0, 1, 0, 0, 0);
        assertThat(Nights.lay(List.of(a), new Round(7, 20, 5, 5, 0, 9, 0, LIKED))
                        .on()
                        .getFirst())
                .satisfies(on -> assertThat(week().shortestGap(on)).isGreaterThanOrEqualTo(3));
    }

    @Test
    void what_every_day_brings_leaves_less_for_the_night() {
        Wanted a = new Wanted(id("a"), List.of(0, 10), 3, 0, 1, 0, 0, 0);
        assertThat(Nights.lay(List.of(a), new Round(7, 20, 3, 9, 0, 9, 0, LIKED))
                        .on())
                .doesNotContain(0);
        assertThat(Nights.lay(List.of(a), new Round(7, 20, 3, 9, 0.5, 9, 0, LIKED))
                        .on())
                .containsExactly(0);
    }

    @Test
    void a_night_that_is_hers_stays_free_and_would_have_to_give() {
        Wanted a = new Wanted(id("a"), List.of(0, 1, 2, 3, 4, 5, 6, 7), 1, 0, 1, 0, TUESDAY, 0);
        Round free = new Round(7, 20, 5, 15, 0, 9, 0, LIKED);
        Nights.Laid laid = Nights.lay(List.of(a), free);
        assertThat(laid.on().getFirst() & TUESDAY).isZero();
        assertThat(OneMore.of(List.of(a), free, laid, 0).limits()).containsExactly(List.of(Limit.HERS));
    }

    @Test
    void each_limit_is_named_when_it_alone_is_in_the_way() {
        List<Integer> four = List.of(0, 1, 2, 3, 4);
        assertThat(binding(new Wanted(id("a"), List.of(0, 1), 1, 1, 1, 0, 0, 0), wide()))
                .containsExactly(List.of(Limit.USES));
        assertThat(binding(new Wanted(id("a"), four, 1, 1, 1, 0, 0, 0), new Round(7, 2, 9, 27, 0, 9, 0, LIKED)))
                .containsExactly(List.of(Limit.LOAD));
        assertThat(binding(new Wanted(id("a"), four, 1, 1, 1, 0, 0, 0), new Round(7, 9, 9, 27, 0, 2, 0, LIKED)))
                .containsExactly(List.of(Limit.EXFOLIATIONS));
        assertThat(binding(new Wanted(id("a"), four, 1, 1, 1, 0, 0, 0), new Round(7, 9, 9, 27, 0, 9, 5, LIKED)))
                .containsExactly(List.of(Limit.REST));
        assertThat(binding(new Wanted(id("a"), four, 1, 1, 3, 0, 0, 0), wide())).containsExactly(List.of(Limit.APART));
        assertThat(binding(new Wanted(id("a"), four, 2, 1, 1, 0, 0, 0), new Round(7, 9, 1, 27, 0, 9, 0, LIKED)))
                .containsExactly(List.of(Limit.NIGHT));
    }

    /** Every way of laying three things over rounds of every kind, held against the search: the nights, not only how good they are. */
    @Test
    void equals_trying_everything() {
        Random random = new Random(7);
        for (int n = 0; n < 400; n++) {
            int count = 1 + random.nextInt(3);
            Round round = someRound(random, 3 + random.nextInt(count == 3 ? 3 : 5));
            List<Wanted> things = some(random, round.nights(), count);
            assertThat(Nights.lay(things, round).on())
                    .as("%s in %s", things, round)
                    .isEqualTo(byTryingEverything(things, round));
        }
    }

    @Test
    void no_rule_is_broken_and_one_permission_more_never_gives_less() {
        Random random = new Random(11);
        for (int n = 0; n < 300; n++) {
            Round round = someRound(random, n % 5 == 0 ? 14 : 7);
            List<Wanted> things = some(random, round.nights(), 1 + random.nextInt(n % 5 == 0 ? 3 : 5));
            Nights.Laid laid = Nights.lay(things, round);
            assertThat(allowed(things, round, laid.on()))
                    .as("%s in %s: %s", things, round, laid)
                    .isTrue();
            for (Limit limit : List.of(Limit.LOAD, Limit.NIGHT, Limit.THREE, Limit.EXFOLIATIONS, Limit.REST)) {
                assertThat(Nights.lay(things, round.without(limit)).worth()).isGreaterThanOrEqualTo(laid.worth());
            }
            assertThat(Nights.lay(things, round)).isEqualTo(laid);
        }
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

    // ---- the same, slowly

    private static List<Integer> byTryingEverything(List<Wanted> things, Round round) {
        List<List<Integer>> all = new ArrayList<>();
        all.add(List.of());
        for (Wanted w : things) {
            List<List<Integer>> longer = new ArrayList<>();
            for (List<Integer> before : all) {
                for (int on = 0; on <= round.all(); on++) {
                    if (w.fixed() == 0 || w.fixed() == on) {
                        List<Integer> one = new ArrayList<>(before);
                        one.add(on);
                        longer.add(one);
                    }
                }
            }
            all = longer;
        }
        return all.stream()
                .filter(on -> allowed(things, round, on))
                .min(better(things, round))
                .orElseThrow();
    }

    private static Comparator<List<Integer>> better(List<Wanted> things, Round round) {
        List<Integer> order = Stream.concat(
                        IntStream.range(0, things.size())
                                .filter(i -> things.get(i).fixed() != 0)
                                .boxed(),
                        IntStream.range(0, things.size())
                                .filter(i -> things.get(i).fixed() == 0)
                                .boxed())
                .toList();
        Comparator<List<Integer>> rank = Comparator.comparingInt((List<Integer> on) -> -worth(things, on))
                .thenComparingInt(NightsTest::shared)
                .thenComparingInt(on -> on.stream().mapToInt(round::spread).sum())
                .thenComparingInt(on -> round.spread(strong(things, on)))
                .thenComparingInt(on -> -on.stream().mapToInt(round::liking).sum());
        for (int i : order) {
            rank = rank.thenComparingInt(on -> -things.get(i).worth(Integer.bitCount(on.get(i))))
                    .thenComparingInt(on -> round.spread(on.get(i)))
                    .thenComparingInt(on -> -round.liking(on.get(i)))
                    .thenComparing(on -> nights(on.get(i)));
        }
        return rank;
    }

    private static String nights(int on) {
        return IntStream.range(0, 21)
                .filter(n -> (on >> n & 1) == 1)
                .mapToObj("%02d"::formatted)
                .collect(Collectors.joining(","));
    }

    private static int worth(List<Wanted> things, List<Integer> on) {
        return IntStream.range(0, things.size())
                .map(i -> things.get(i).worth(Integer.bitCount(on.get(i))))
                .sum();
    }

    private static int strong(List<Wanted> things, List<Integer> on) {
        return IntStream.range(0, things.size())
                .filter(i -> things.get(i).points() > 0)
                .map(on::get)
                .reduce(0, (a, b) -> a | b);
    }

    private static int shared(Nights.Laid laid) {
        return shared(laid.on());
    }

    private static int shared(List<Integer> on) {
        int shared = 0;
        for (int i = 0; i < on.size(); i++) {
            for (int j = i + 1; j < on.size(); j++) {
                shared += Integer.bitCount(on.get(i) & on.get(j));
            }
        }
        return shared;
    }

    /** What each night may carry, read from the rules and not from the search. */
    private static boolean allowed(List<Wanted> things, Round round, List<Integer> on) {
        int nights = round.nights();
        double[] carried = new double[nights];
        double[] set = new double[nights];
        double load = 0;
        double loadSet = 0;
        double exfoliated = 0;
        boolean anyFreeExfoliates = false;
        for (int i = 0; i < on.size(); i++) {
            Wanted w = things.get(i);
            int uses = Integer.bitCount(on.get(i));
            if (w.fixed() == 0) {
                if (uses > w.most()
                        || (on.get(i) & w.barred()) != 0
                        || (uses > 1 && round.shortestGap(on.get(i)) < w.apart())) {
                    return false;
                }
                anyFreeExfoliates |= uses * w.exfoliation() > 0;
            } else {
                loadSet += uses * w.points();
            }
            load += uses * w.points();
            exfoliated += uses * w.exfoliation();
            for (int n = 0; n < nights; n++) {
                carried[n] += (on.get(i) >> n & 1) * w.points();
                set[n] += w.fixed() == 0 ? 0 : (on.get(i) >> n & 1) * w.points();
            }
            for (int j = 0; j < i; j++) {
                boolean parted = (w.parted() >> j & 1) == 1 || (things.get(j).parted() >> i & 1) == 1;
                if (parted
                        && (on.get(i) & on.get(j)) != 0
                        && (w.fixed() == 0 || things.get(j).fixed() == 0)) {
                    return false;
                }
            }
        }
        if (anyFreeExfoliates && exfoliated > round.exfoliations() + 1e-9) {
            return false;
        }
        boolean anyFreeStrong = load > loadSet;
        int strong = strong(things, on);
        int strongSet = IntStream.range(0, things.size())
                .filter(i -> things.get(i).fixed() != 0 && things.get(i).points() > 0)
                .map(on::get)
                .reduce(0, (a, b) -> a | b);
        if (anyFreeStrong
                && (load > round.load() + 1e-9
                        || Integer.bitCount(strong) > Math.max(nights - round.rest(), Integer.bitCount(strongSet)))) {
            return false;
        }
        for (int n = 0; n < nights; n++) {
            if (carried[n] > set[n] && carried[n] + round.daily() > round.night() + 1e-9) {
                return false;
            }
            double three = 0;
            double threeSet = 0;
            for (int k = 0; k < Math.min(3, nights); k++) {
                three += carried[(n + k) % nights] + round.daily();
                threeSet += set[(n + k) % nights] + round.daily();
            }
            if (three > threeSet && three > round.three() + 1e-9) {
                return false;
            }
        }
        return true;
    }

    // ---- some of each

    private static Round someRound(Random random, int nights) {
        List<Integer> liked = new ArrayList<>(IntStream.range(0, nights).boxed().toList());
        java.util.Collections.shuffle(liked, random);
        return new Round(
                nights,
                2 + random.nextInt(nights),
                1 + random.nextInt(4),
                2 + random.nextInt(5),
                random.nextInt(4) == 0 ? 0.5 : 0,
                random.nextInt(5),
                random.nextInt(3),
                liked);
    }

    private static List<Wanted> some(Random random, int nights, int count) {
        List<Wanted> all = new ArrayList<>();
        long[] parted = new long[count];
        for (int i = 0; i < count; i++) {
            for (int j = 0; j < i; j++) {
                if (random.nextInt(3) > 0) {
                    parted[i] |= 1L << j;
                    parted[j] |= 1L << i;
                }
            }
        }
        for (int i = 0; i < count; i++) {
            List<Integer> worth = new ArrayList<>(List.of(0));
            for (int u = 0; u < random.nextInt(4); u++) {
                worth.add(worth.getLast() + random.nextInt(4));
            }
            boolean set = random.nextInt(5) == 0;
            all.add(new Wanted(
                    id("p" + i),
                    worth,
                    random.nextInt(4) * 0.5,
                    random.nextInt(3) * 0.5,
                    1 + random.nextInt(2),
                    set ? 1 + random.nextInt((1 << nights) - 1) : 0,
                    random.nextInt(3) == 0 ? 1 << random.nextInt(nights) : 0,
                    parted[i]));
        }
        return all;
    }

    private static List<List<Limit>> binding(Wanted only, Round round) {
        return OneMore.of(List.of(only), round, Nights.lay(List.of(only), round), 0)
                .limits();
    }

    private static Round week() {
        return new Round(7, 100, 100, 300, 0, 100, 0, LIKED);
    }

    private static Round wide() {
        return week();
    }

    private static Nights.Laid lay(Wanted... things) {
        return Nights.lay(List.of(things), week());
    }

    private static Wanted free(String name, int most) {
        return new Wanted(id(name), IntStream.rangeClosed(0, most).boxed().toList(), 1, 0, 1, 0, 0, 0);
    }

    private static Wanted fixed(String name, int on) {
        return new Wanted(id(name), List.of(0), 2, 0, 1, on, 0, 0);
    }

    private static Wanted parted(Wanted w, long from) {
        return new Wanted(w.product(), w.worth(), w.points(), w.exfoliation(), w.apart(), w.fixed(), w.barred(), from);
    }

    private static ProductId id(String name) {
        return new ProductId(name);
    }

    private static double points(String id) {
        return StarterCatalogue.products().stream()
                .filter(p -> p.id().value().equals(id))
                .mapToDouble(Tolerance::points)
                .findFirst()
                .orElseThrow();
    }
}
