package outfell.changes;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.function.Predicate;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class FewestTest {
    private static final int NO_END = 1_000_000;

    @Test
    void three_that_only_together_undo_it_are_found_without_trying_every_three() {
        int[] asked = new int[1];
        BitSet found = Fewest.of(
                first(20),
                taken -> {
                    asked[0]++;
                    return taken.get(3) && taken.get(11) && taken.get(19);
                },
                NO_END);
        assertThat(found).isEqualTo(set(3, 11, 19));
        assertThat(asked[0]).isLessThan(100);
    }

    @Test
    void two_are_told_where_three_others_would_do_it_too() {
        Predicate<BitSet> undoes =
                taken -> taken.get(0) && taken.get(1) && taken.get(2) || taken.get(3) && taken.get(4);
        assertThat(Fewest.of(first(6), undoes, NO_END)).isEqualTo(set(3, 4));
        // with no question left none of what stays can be left out: the last are let go first
        assertThat(Fewest.of(first(6), undoes, 0)).isEqualTo(set(0, 1, 2));
    }

    /** Effects that some sets of up to eight facts undo, and whatever holds one of them: the size is that of trying every set. */
    @RepeatedTest(200)
    void no_smaller_set_undoes_it(RepetitionInfo repetition) {
        RandomGenerator random =
                RandomGeneratorFactory.of("L64X128MixRandom").create(repetition.getCurrentRepetition());
        int n = 2 + random.nextInt(7);
        List<BitSet> enough = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(5); i++) {
            BitSet set = new BitSet();
            IntStream.range(0, n).filter(_ -> random.nextInt(3) > 0).forEach(set::set);
            set.set(random.nextInt(n));
            enough.add(set);
        }
        Predicate<BitSet> undoes = taken -> enough.stream().anyMatch(e -> holds(taken, e));
        int least = enough.stream().mapToInt(BitSet::cardinality).min().orElseThrow();

        BitSet found = Fewest.of(first(n), undoes, NO_END);
        assertThat(undoes.test(found)).isTrue();
        assertThat(found.cardinality()).isEqualTo(least);

        BitSet cutShort = Fewest.of(first(n), undoes, random.nextInt(6));
        assertThat(undoes.test(cutShort)).isTrue();
        cutShort.stream().forEach(f -> {
            BitSet without = (BitSet) cutShort.clone();
            without.clear(f);
            assertThat(undoes.test(without)).as("%s without %d", cutShort, f).isFalse();
        });
    }

    private static boolean holds(BitSet taken, BitSet all) {
        BitSet missing = (BitSet) all.clone();
        missing.andNot(taken);
        return missing.isEmpty();
    }

    private static BitSet first(int n) {
        BitSet all = new BitSet();
        all.set(0, n);
        return all;
    }

    private static BitSet set(int... facts) {
        BitSet set = new BitSet();
        IntStream.of(facts).forEach(set::set);
        return set;
    }
}
