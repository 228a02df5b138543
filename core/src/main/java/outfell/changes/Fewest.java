package outfell.changes;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * The fewest of some facts that together undo an effect. What a set misses that does not undo it is a set of which every answer
 * holds one; the smallest that holds one of each such set is tried next, until one undoes the effect. No smaller one is there as long
 * as more facts taken back never bring the effect in again.
 */
final class Fewest {
    private final BitSet all;
    private final Predicate<BitSet> undoes;
    private final int most;
    private final List<BitSet> owed = new ArrayList<>();
    private int asked;

    private Fewest(BitSet all, Predicate<BitSet> undoes, int most) {
        this.all = all;
        this.undoes = undoes;
        this.most = most;
    }

    /**
     * @param all undoes the effect
     * @param most questions asked for it; past them the answer is a set of which none can be left out
     */
    static BitSet of(BitSet all, Predicate<BitSet> undoes, int most) {
        return new Fewest(all, undoes, most).find();
    }

    private BitSet find() {
        while (asked < most) {
            BitSet next = smallest();
            if (asks(next)) {
                return noneToSpare(next);
            }
            owed.add(missed(next));
        }
        return noneToSpare(all);
    }

    private boolean asks(BitSet taken) {
        asked++;
        return undoes.test(taken);
    }

    /** Of what is taken back beside a set as long as that does not undo the effect, the rest: one of it is needed. */
    private BitSet missed(BitSet set) {
        BitSet taken = (BitSet) set.clone();
        for (int f = all.nextSetBit(0); f >= 0; f = all.nextSetBit(f + 1)) {
            if (!taken.get(f)) {
                taken.set(f);
                if (asks(taken)) {
                    taken.clear(f);
                }
            }
        }
        BitSet rest = (BitSet) all.clone();
        rest.andNot(taken);
        return rest;
    }

    /** The smallest set that holds one of each that is owed; of several the first in the order of the facts. */
    private BitSet smallest() {
        for (int size = 0; size < owed.size(); size++) {
            Optional<BitSet> found = holding(new BitSet(), size);
            if (found.isPresent()) {
                return found.get();
            }
        }
        return holding(new BitSet(), owed.size()).orElseThrow();
    }

    private Optional<BitSet> holding(BitSet chosen, int left) {
        Optional<BitSet> open = owed.stream().filter(o -> !o.intersects(chosen)).findFirst();
        if (open.isEmpty()) {
            return Optional.of((BitSet) chosen.clone());
        }
        if (left == 0) {
            return Optional.empty();
        }
        for (int f : open.get().stream().toArray()) {
            chosen.set(f);
            Optional<BitSet> found = holding(chosen, left - 1);
            chosen.clear(f);
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    /** Of a set that undoes the effect one of which none can be left out; more taken back may bring an effect in again. */
    private BitSet noneToSpare(BitSet undoing) {
        BitSet needed = (BitSet) undoing.clone();
        boolean left = true;
        // what one leaves free may free another
        while (left) {
            left = false;
            for (int f = needed.length() - 1; f >= 0; f--) {
                if (needed.get(f)) {
                    needed.clear(f);
                    boolean without = undoes.test(needed);
                    needed.set(f, !without);
                    left |= without;
                }
            }
        }
        return needed;
    }
}
