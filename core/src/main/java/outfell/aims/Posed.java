package outfell.aims;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import outfell.choice.Choice;
import outfell.choice.Limit;
import outfell.choice.Option;
import outfell.choice.Place;
import outfell.choice.Problem;
import outfell.choice.Solved;
import outfell.choice.Worth;
import outfell.consultation.Patience;
import outfell.consultation.Yardstick;
import outfell.product.StepKind;
import outfell.routine.Part;

/** A plan's slots posed as a problem of numbers, and its answers read as candidates again. */
public final class Posed {
    /** Work of a search that only asks whether something would come in. */
    private static final long FOR_A_REASON = 60_000;

    private static final long FOR_A_RUNG = 100_000;

    private final List<Slot> slots;
    private final Problem problem;

    /** @param firsts how many of the concerns come first, each before the next */
    public Posed(List<Slot> slots, List<Limit> limits, int firsts, int concerns, int products, Yardstick yardstick) {
        this.slots = slots;
        this.problem = new Problem(
                places(slots),
                limits,
                firsts,
                concerns,
                products,
                yardstick.secondOfAnotherKind(),
                yardstick.secondOfSameKind(),
                yardstick.alike());
    }

    private Posed(List<Slot> slots, Problem problem) {
        this.slots = slots;
        this.problem = problem;
    }

    /**
     * @param chosen by slot; absent where it stays empty
     * @param helps points of everything that helps a concern
     * @param unproven the first aim that a better plan might serve better, and by how much at most; absent where none can be there
     * @param within the same with its limits let out for what is needed
     * @param used of each limit, in the order of {@link Scarcity}
     */
    public record Found(
            List<Optional<Candidate>> chosen,
            Worth worth,
            double helps,
            Optional<Choice.Short> unproven,
            Posed within,
            List<Double> used) {
        public double uses(Scarcity limit) {
            return used.get(limit.ordinal());
        }
    }

    public Problem problem() {
        return problem;
    }

    public List<Slot> slots() {
        return slots;
    }

    public Found choose() {
        return choose(new Solved());
    }

    /** @param solved what was found for the same client in another air */
    public Found choose(Solved solved) {
        return read(solved.of(problem, Patience::ask));
    }

    /** The same, looked for no longer than a reason is worth. */
    public Found forAReason() {
        return read(Choice.of(problem, FOR_A_REASON, Patience::ask));
    }

    /** The same with its limits let out for what is needed. */
    public Posed within() {
        return new Posed(slots, Choice.within(problem, Patience::ask));
    }

    /** The same, looked for as long as one rung of a ladder is worth. */
    public Found rung() {
        return read(Choice.of(problem, FOR_A_RUNG, Patience::ask));
    }

    private Found read(Choice.Found found) {
        List<Optional<Candidate>> chosen = IntStream.range(0, slots.size())
                .mapToObj(s -> found.chosen().get(s).map(o -> candidate(s, o)))
                .toList();
        return new Found(
                chosen, found.worth(), found.helps(), found.unproven(), new Posed(slots, found.within()), found.used());
    }

    /** The same with one limit let out. */
    public Posed with(Scarcity limit, double most) {
        return new Posed(slots, problem.with(limit.ordinal(), most));
    }

    /** The same with some places that need not be filled. */
    public Posed optional(List<Integer> which) {
        List<Place> places = new ArrayList<>(problem.places());
        which.forEach(p -> places.set(p, places.get(p).optional()));
        return new Posed(slots, problem.over(places));
    }

    /** What a whole plan is worth; nothing when a limit or a meeting forbids it. */
    public Optional<Worth> worth(List<Optional<Candidate>> plan) {
        return Choice.worth(problem, options(plan));
    }

    /** For each candidate of one slot, what the plan is worth with it there; nothing where that is forbidden. */
    public List<Optional<Worth>> with(List<Optional<Candidate>> plan, int slot) {
        return Choice.with(problem, options(plan), slot);
    }

    /** Limits that a plan would pass with one of some candidates where it may stand. */
    public Set<Scarcity> passed(List<Optional<Candidate>> plan, Predicate<Candidate> which) {
        Set<Scarcity> all = EnumSet.noneOf(Scarcity.class);
        for (int s = 0; s < slots.size(); s++) {
            List<Candidate> candidates = slots.get(s).candidates();
            if (candidates.stream().anyMatch(which)) {
                List<List<Integer>> passed = Choice.passed(problem, options(plan), s);
                for (int i = 0; i < candidates.size(); i++) {
                    if (which.test(candidates.get(i))) {
                        passed.get(i).forEach(r -> all.add(Scarcity.values()[r]));
                    }
                }
            }
        }
        return all;
    }

    private static List<Optional<Option>> options(List<Optional<Candidate>> plan) {
        return plan.stream().map(c -> c.map(Candidate::option)).toList();
    }

    private Candidate candidate(int slot, Option option) {
        return slots.get(slot).candidates().stream()
                .filter(c -> c.option().thing() == option.thing())
                .findFirst()
                .orElseThrow();
    }

    private static List<Place> places(List<Slot> slots) {
        List<Place> places = new ArrayList<>();
        for (int s = 0; s < slots.size(); s++) {
            Slot slot = slots.get(s);
            int like = s;
            while (like > 0 && slot.alike(slots.get(like - 1))) {
                like--;
            }
            places.add(new Place(
                    slot.part().ordinal(),
                    slot.required(),
                    like,
                    under(slots, s),
                    slot.candidates().stream().map(Candidate::option).toList()));
        }
        return places;
    }

    /** The day's cream lies under the night's, unless one of them is hers. */
    private static int under(List<Slot> slots, int s) {
        Slot slot = slots.get(s);
        if (slot.part() != Part.MORNING || slot.kind() != StepKind.MOISTURISER || slot.pinned()) {
            return -1;
        }
        return IntStream.range(0, slots.size())
                .filter(o -> slots.get(o).part() == Part.EVENING && slots.get(o).kind() == StepKind.MOISTURISER)
                .filter(o -> !slots.get(o).pinned())
                .findFirst()
                .orElse(-1);
    }
}
