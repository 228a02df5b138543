package outfell.changes;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import outfell.causes.Cause;
import outfell.consultation.Life.Matter;
import outfell.method.Methods;
import outfell.regimen.Outcome;
import outfell.regimen.Regimen;

/** Plans again with some facts taken back; each such plan is made once. */
final class Trials {
    /** Pairs are all tried up to so many facts. */
    private static final int PAIRS_UP_TO = 9;

    private final Case now;
    private final List<Fact> facts;
    private final Map<BitSet, Optional<Regimen>> plans = new HashMap<>();
    private final Map<Matter, Optional<Regimen>> letOut = new HashMap<>();

    Trials(Case now, List<Fact> facts) {
        this.now = now;
        this.facts = facts;
    }

    /** How many plans were made. */
    int made() {
        return plans.size() + letOut.size();
    }

    /** Whether an effect is gone with these facts taken back. */
    boolean undoes(Effect effect, BitSet taken) {
        return plans.computeIfAbsent((BitSet) taken.clone(), this::without)
                .filter(effect.undone())
                .isPresent();
    }

    /** Whether an effect is gone with one of the client's limits let out. */
    boolean letsIn(Effect effect, Matter limit) {
        return letOut.computeIfAbsent(
                        limit,
                        l -> regimen(now.with(now.consultation()
                                .living(now.consultation().life().letOut(l)))))
                .filter(effect.undone())
                .isPresent();
    }

    /** Nothing where what is taken back cannot be beside what is left: a day before its answers, a method against itself. */
    private Optional<Regimen> without(BitSet taken) {
        Case back = now;
        try {
            for (int f : taken.stream().toArray()) {
                back = facts.get(f).back().apply(back);
            }
        } catch (IllegalArgumentException cannotBe) {
            return Optional.empty();
        }
        return regimen(back);
    }

    private static Optional<Regimen> regimen(Case c) {
        return Methods.contradiction(c.consultation().method()).isEmpty() && c.plan() instanceof Outcome.Planned planned
                ? Optional.of(planned.regimen())
                : Optional.empty();
    }

    /**
     * The fewest facts whose taking back takes the effect back: the first single one, the first pair; of more, a set of which
     * none can be left out.
     *
     * @return none where not even all of them do
     */
    List<Fact> least(Effect effect) {
        int n = (int) facts.stream().filter(f -> !f.isRest()).count();
        for (int f = 0; f < n; f++) {
            BitSet one = new BitSet(n);
            one.set(f);
            if (undoes(effect, one)) {
                return List.of(facts.get(f));
            }
        }
        for (int f = 0; n <= PAIRS_UP_TO && f < n; f++) {
            for (int g = f + 1; g < n; g++) {
                BitSet two = new BitSet(n);
                two.set(f);
                two.set(g);
                if (undoes(effect, two)) {
                    return List.of(facts.get(f), facts.get(g));
                }
            }
        }
        return several(effect);
    }

    /** All facts of one kind, or all, with every one left out that is not needed: the lightest first. */
    private List<Fact> several(Effect effect) {
        for (BitSet group : groups()) {
            if (undoes(effect, group)) {
                BitSet needed = (BitSet) group.clone();
                while (leaveOut(effect, needed)) {
                    // what one leaves free may free another
                }
                return needed.stream().mapToObj(facts::get).toList();
            }
        }
        return List.of();
    }

    /** @return whether any could be left out */
    private boolean leaveOut(Effect effect, BitSet needed) {
        boolean left = false;
        for (int f = needed.length() - 1; f >= 0; f--) {
            if (needed.get(f)) {
                needed.clear(f);
                boolean without = undoes(effect, needed);
                needed.set(f, !without);
                left |= without;
            }
        }
        return left;
    }

    private List<BitSet> groups() {
        List<BitSet> all = new ArrayList<>();
        Set<Cause> causes = new LinkedHashSet<>();
        facts.stream().filter(f -> !f.isRest()).forEach(f -> causes.add(f.cause()));
        for (Cause cause : causes) {
            BitSet group = new BitSet();
            IntStream.range(0, facts.size())
                    .filter(f -> facts.get(f).cause() == cause && !facts.get(f).isRest())
                    .forEach(group::set);
            all.add(group);
        }
        BitSet every = new BitSet();
        every.set(0, facts.size());
        all.add(every);
        return all;
    }
}
