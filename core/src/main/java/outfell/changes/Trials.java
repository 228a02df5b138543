package outfell.changes;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import outfell.consultation.Life.Matter;
import outfell.method.Methods;
import outfell.regimen.Outcome;
import outfell.regimen.Regimen;

/** Plans again with some facts taken back; each such plan is made once. */
final class Trials {
    /** Plans that the fewest facts of one effect are worth. */
    private static final int WORTH = 150;

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
     * The fewest facts whose taking back takes the effect back: the first single one, or the fewest that do it together; past so
     * many plans a set of which none can be left out.
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
        return groups().stream()
                .filter(group -> undoes(effect, group))
                .findFirst()
                .map(group -> Fewest.of(group, taken -> undoes(effect, taken), WORTH).stream()
                        .mapToObj(facts::get)
                        .toList())
                .orElse(List.of());
    }

    /** All facts; where they do not undo an effect, what could not be named beside them, and each kind by itself. */
    private List<BitSet> groups() {
        List<BitSet> all = new ArrayList<>();
        all.add(of(f -> !f.isRest()));
        all.add(of(_ -> true));
        facts.stream()
                .map(Fact::cause)
                .distinct()
                .forEach(cause -> all.add(of(f -> f.cause() == cause && !f.isRest())));
        return all;
    }

    private BitSet of(Predicate<Fact> which) {
        BitSet group = new BitSet();
        IntStream.range(0, facts.size()).filter(f -> which.test(facts.get(f))).forEach(group::set);
        return group;
    }
}
