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
import outfell.regimen.Bare;
import outfell.regimen.Planner;
import outfell.regimen.Read;

/** Plans again with some facts taken back; each such plan is made once. */
final class Trials {
    /** The client's own limits: those can be talked about. */
    private static final List<Matter> LIMITS =
            List.of(Matter.MONEY, Matter.EVENING_MINUTES, Matter.MORNING_MINUTES, Matter.STEPS);

    /** Plans that the fewest facts of one effect are worth. */
    private static final int WORTH = 150;

    private final Case now;
    private final Read read;
    private final Bare stands;
    private final List<Fact> facts;
    private final Map<BitSet, Optional<Bare>> plans = new HashMap<>();
    private final Map<List<Matter>, Optional<Bare>> letOut = new HashMap<>();

    /**
     * @param read the client of the case
     * @param stands the plan of the case
     */
    Trials(Case now, Read read, Bare stands, List<Fact> facts) {
        this.now = now;
        this.read = read;
        this.stands = stands;
        this.facts = facts;
    }

    /** Whether an effect is gone with these facts taken back. */
    boolean undoes(Effect effect, BitSet taken) {
        return plans.computeIfAbsent((BitSet) taken.clone(), this::without)
                .filter(effect.undone())
                .isPresent();
    }

    /** Of the client's own limits the first with which let out an effect is gone. */
    Optional<Matter> limit(Effect effect) {
        return LIMITS.stream()
                .filter(l -> !noneBinds()
                        && letOut.computeIfAbsent(List.of(l), this::beyond)
                                .filter(effect.undone())
                                .isPresent())
                .findFirst();
    }

    /** What is best without any of the limits, and keeps them all, is best with any of them. */
    private boolean noneBinds() {
        return letOut.computeIfAbsent(LIMITS, this::beyond).equals(Optional.of(stands));
    }

    private Optional<Bare> beyond(List<Matter> limits) {
        return now.plan(read.beyond(limits));
    }

    /** Nothing where what is taken back cannot be beside what is left: a day before its answers, a method against itself. */
    private Optional<Bare> without(BitSet taken) {
        Case back = now;
        try {
            for (int f : taken.stream().toArray()) {
                back = facts.get(f).back().apply(back);
            }
        } catch (IllegalArgumentException cannotBe) {
            return Optional.empty();
        }
        return plan(back);
    }

    /** Where the air alone is put back, its client is read already. */
    private Optional<Bare> plan(Case c) {
        if (Methods.contradiction(c.consultation().method()).isPresent()) {
            return Optional.empty();
        }
        return c.plan(c.consultation() == now.consultation() ? read : Planner.read(c.consultation()));
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
