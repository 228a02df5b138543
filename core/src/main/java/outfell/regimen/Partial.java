package outfell.regimen;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import outfell.routine.Part;

/** A plan in the making: what has been taken so far, whether one more is allowed, and what it scores. */
final class Partial {
    private final List<Slot> slots;
    private final Yardstick yardstick;
    private final Scarce[] scarce;
    private final int mostStrong;
    private final Tally[] tallies;
    private final @Nullable Candidate[] chosen;
    private final boolean[] helping;
    /** How often each product stands in it, by its number. */
    private final int[] stands;
    /** What a month of each product costs by weight alone. */
    private final double[] spent;

    private final int[] twin;

    private final double[] used = new double[Scarcity.COUNT];
    /** Least that the open required slots will take. */
    private final double[] needed = new double[Scarcity.COUNT];

    private final double[] leastMinutes;
    private final boolean[] requiredDaily;

    private int strong;
    private int beginners;
    private double own;

    Partial(List<Slot> slots, int concerns, int products, Limits limits, Yardstick yardstick) {
        this.slots = slots;
        this.yardstick = yardstick;
        this.scarce = limits.inOrder();
        this.mostStrong = limits.strong();
        this.tallies = new Tally[concerns];
        for (int k = 0; k < concerns; k++) {
            tallies[k] = new Tally(yardstick);
        }
        this.chosen = new Candidate[slots.size()];
        this.helping = new boolean[slots.size()];
        this.stands = new int[products];
        this.spent = new double[products];
        this.twin = Slot.twins(slots);
        this.leastMinutes = new double[slots.size()];
        this.requiredDaily = new boolean[slots.size()];
        for (int s = 0; s < slots.size(); s++) {
            Slot slot = slots.get(s);
            requiredDaily[s] = slot.requiredDaily();
            if (requiredDaily[s]) {
                leastMinutes[s] = slot.candidates().stream()
                        .mapToDouble(Candidate::minutes)
                        .min()
                        .orElse(0);
                need(s, 1);
            }
        }
    }

    private void need(int s, int sign) {
        Part part = slots.get(s).part();
        needed[Scarcity.minutes(part).ordinal()] += sign * leastMinutes[s];
        needed[Scarcity.steps(part).ordinal()] += sign;
    }

    @Nullable
    Candidate at(int s) {
        return chosen[s];
    }

    boolean stands(Candidate c) {
        return stands(c.number());
    }

    boolean stands(int number) {
        return stands[number] > 0;
    }

    List<Optional<Candidate>> plan() {
        return Arrays.stream(chosen).map(Optional::ofNullable).toList();
    }

    /** Whether a candidate may be put into an empty slot beside all that is taken, with room left for what is required. */
    boolean allows(int s, Candidate c) {
        Slot slot = slots.get(s);
        Scarcity minutes = Scarcity.minutes(slot.part());
        Scarcity steps = Scarcity.steps(slot.part());
        boolean mine = requiredDaily[s];
        double longest = longest(slot.part());
        double addMinutes = c.rationed() ? Math.max(0, c.minutes() - longest) : c.minutes();
        double addSteps = c.rationed() && longest > 0 ? 0 : 1;
        double needMinutes = needed[minutes.ordinal()] - (mine ? leastMinutes[s] : 0);
        double needSteps = needed[steps.ordinal()] - (mine ? 1 : 0);
        return scarce[minutes.ordinal()].allows(used[minutes.ordinal()] + longest + addMinutes + needMinutes)
                && scarce[steps.ordinal()].allows(used[steps.ordinal()] + (longest > 0 ? 1 : 0) + addSteps + needSteps)
                && allows(Scarcity.NIGHTS, c.takes()[Scarcity.NIGHTS.ordinal()])
                && allows(Scarcity.LOAD, c.takes()[Scarcity.LOAD.ordinal()])
                && allows(Scarcity.MONEY, costOfOneMore(c))
                && !(c.strong() && strong + 1 > mostStrong)
                && !(c.beginner() && beginners > 0)
                && meets(slot, c, s);
    }

    private boolean allows(Scarcity of, double more) {
        return scarce[of.ordinal()].allows(used[of.ordinal()] + more);
    }

    private double costOfOneMore(Candidate c) {
        return month(c, spent[c.number()] + c.spend()) - month(c, spent[c.number()]);
    }

    /** A month by weight, but no less than what is thrown away past its time. */
    private static double month(Candidate c, double byWeight) {
        return byWeight == 0 ? 0 : Math.max(byWeight, c.spendLeast());
    }

    private boolean meets(Slot slot, Candidate c, int s) {
        for (int o = 0; o < chosen.length; o++) {
            Candidate other = chosen[o];
            if (other != null && o != s && !c.bears(other, slots.get(o).part() == slot.part())) {
                return false;
            }
            if (other != null && o != s && other.number() == c.number() && slot.alike(slots.get(o))) {
                return false;
            }
        }
        return true;
    }

    /** The longest of the steps that have their own nights: no two fall on one. */
    private double longest(Part part) {
        double longest = 0;
        for (int o = 0; o < chosen.length; o++) {
            Candidate c = chosen[o];
            if (c != null && c.rationed() && slots.get(o).part() == part) {
                longest = Math.max(longest, c.minutes());
            }
        }
        return longest;
    }

    void take(int s, Candidate c) {
        if (requiredDaily[s]) {
            need(s, -1);
        }
        used[Scarcity.MONEY.ordinal()] += costOfOneMore(c);
        spent[c.number()] += c.spend();
        add(c, 1);
        helping[s] = stands[c.number()] == 0;
        if (helping[s]) {
            for (int k : c.on()) {
                tallies[k].push(c.helps()[k], c.kinds()[k]);
            }
        }
        stands[c.number()]++;
        chosen[s] = c;
    }

    /** Puts back what was taken last of all that stand. */
    void putBack(int s) {
        Candidate c = chosen[s];
        if (c == null) {
            return;
        }
        chosen[s] = null;
        stands[c.number()]--;
        if (helping[s]) {
            for (int i = c.on().length - 1; i >= 0; i--) {
                tallies[c.on()[i]].pop();
            }
        }
        add(c, -1);
        spent[c.number()] = stands[c.number()] == 0 ? 0 : spent[c.number()] - c.spend();
        used[Scarcity.MONEY.ordinal()] -= costOfOneMore(c);
        if (requiredDaily[s]) {
            need(s, 1);
        }
    }

    /** Empties it, whatever the order in which it was filled. */
    void reset() {
        for (int s = 0; s < chosen.length; s++) {
            Candidate c = chosen[s];
            if (c != null) {
                chosen[s] = null;
                stands[c.number()] = 0;
                spent[c.number()] = 0;
                if (requiredDaily[s]) {
                    need(s, 1);
                }
            }
        }
        Arrays.fill(used, 0);
        for (Tally tally : tallies) {
            tally.clear();
        }
        strong = 0;
        beginners = 0;
        own = 0;
    }

    /** A rationed step is counted by its longest night, not by its sum. */
    private void add(Candidate c, int sign) {
        for (int r = 0; r < used.length; r++) {
            if (r != Scarcity.MONEY.ordinal() && !(c.rationed() && r <= Scarcity.EVENING_STEPS.ordinal())) {
                used[r] += sign * c.takes()[r];
            }
        }
        strong += c.strong() ? sign : 0;
        beginners += c.beginner() ? sign : 0;
        own += sign * c.own();
    }

    /** In points: what each earns and helps, less what is scarce and what stands in two bottles. */
    double score() {
        double sum = benefit();
        for (int r = 0; r < used.length; r++) {
            sum -= scarce[r].cost(use(r));
        }
        return sum - yardstick.anotherBottle() * bottlesTwice();
    }

    /** What each earns by itself and all do for the concerns, whatever it takes. */
    double benefit() {
        double sum = own;
        for (Tally tally : tallies) {
            sum += tally.total();
        }
        return sum;
    }

    private double use(int r) {
        return r == Scarcity.MORNING_MINUTES.ordinal()
                ? used[r] + longest(Part.MORNING)
                : r == Scarcity.EVENING_MINUTES.ordinal() ? used[r] + longest(Part.EVENING) : used[r];
    }

    /** What it uses of something now. */
    double use(Scarcity of) {
        double more = switch (of) {
            case MORNING_STEPS -> longest(Part.MORNING) > 0 ? 1 : 0;
            case EVENING_STEPS -> longest(Part.EVENING) > 0 ? 1 : 0;
            default -> 0;
        };
        return use(of.ordinal()) + more;
    }

    /** What one more would add to the score. */
    double gain(int s, Candidate c) {
        double sum = gainUnhelping(s, c);
        if (stands[c.number()] == 0) {
            for (int k : c.on()) {
                sum += tallies[k].gain(c.helps()[k], c.kinds()[k]);
            }
        }
        return sum;
    }

    /** The same for a product that helps already from elsewhere. */
    double gainUnhelping(int s, Candidate c) {
        double sum = c.own();
        for (int r = 0; r < used.length; r++) {
            double more = r == Scarcity.MONEY.ordinal()
                    ? costOfOneMore(c)
                    : r <= Scarcity.EVENING_MINUTES.ordinal() && c.rationed() ? 0 : c.takes()[r];
            if (more > 0) {
                double now = use(r) + needed(r);
                more -= r <= Scarcity.EVENING_MINUTES.ordinal() && requiredDaily[s] ? leastMinutes[s] : 0;
                sum -= scarce[r].cost(now + more) - scarce[r].cost(now);
            }
        }
        Candidate beside = twin[s] < 0 ? null : chosen[twin[s]];
        return beside != null && beside.number() != c.number() ? sum - yardstick.anotherBottle() : sum;
    }

    /** What the open required slots will take of the minutes at least. */
    private double needed(int r) {
        return r <= Scarcity.EVENING_MINUTES.ordinal() ? needed[r] : 0;
    }

    /** The score with the least minutes that the open required slots will take. */
    double scoreWithNeeds() {
        double sum = score();
        for (int r = 0; r <= Scarcity.EVENING_MINUTES.ordinal(); r++) {
            sum -= scarce[r].cost(use(r) + needed[r]) - scarce[r].cost(use(r));
        }
        return sum;
    }

    /** Steps that may still be added beside those that are required. */
    int room(Scarcity steps) {
        double most = scarce[steps.ordinal()].ceiling();
        return Double.isInfinite(most) ? slots.size() : (int) Math.round(most - use(steps) - needed[steps.ordinal()]);
    }

    private int bottlesTwice() {
        int twice = 0;
        for (int s = 0; s < twin.length; s++) {
            Candidate one = chosen[s];
            Candidate other = twin[s] > s ? chosen[twin[s]] : null;
            if (one != null && other != null && one.number() != other.number()) {
                twice++;
            }
        }
        return twice;
    }

    /** The contributions to one concern, largest first, each as it counts. */
    double[] counted(int concern) {
        return tallies[concern].counted();
    }
}
