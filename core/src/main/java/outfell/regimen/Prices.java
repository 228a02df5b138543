package outfell.regimen;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import outfell.routine.Part;

/**
 * An upper bound on what a plan can score, by putting a price on all that ties the slots together: on what is scarce, and on
 * being among the best that is done for a concern. At given prices each slot (or pair of twins, or row of slots alike) is
 * best filled by itself, and the sum is never less than any plan's score (Lagrangian relaxation). Prices are then moved
 * against what the slots would take, so that the bound sinks.
 *
 * <p>What is done for a concern is a sum of contributions, largest first, weighed 1, a, a², … It equals a sum of "the i
 * largest together" with weights aⁱ − aⁱ⁺¹, and the i largest of any numbers are at most i × t + Σ max(0, number − t) for
 * every threshold t. Likewise the best of one active, which counts whole while the others of it count a part, is at most
 * q + Σ max(0, bonus − q). So thresholds t and q are prices too.
 */
final class Prices {
    /** How many places of a concern have a threshold of their own; all later ones count like the last. */
    private static final int PLACES = 4;

    /** How far one step moves the charge for the longest night. */
    private static final double SHIFT = 0.15;

    private final List<Slot> slots;
    private final Scarce[] scarce;
    private final double same;
    private final double anotherBottle;
    private final double[] weight = new double[PLACES];
    private final int concerns;
    /** For slot, candidate and entry of {@link Candidate#on}: number of its concern and active together. */
    private final int[][][] pair;

    private final int pairs;
    private final int[][] groups;
    private final int[] groupOf;
    private final int[] twin;
    /** For slot and candidate: index of the same product in the twin slot, or -1. */
    private final int[][] inTwin;
    /** For slot and candidate: what it takes, a rationed step its part of its row's mean. */
    private final double[][][] takes;
    /** For each group whether some of it is rationed: of these steps only the longest night counts. */
    private final boolean[] rationed;
    /** For slot and candidate: numbers of what it takes any of, where that may have a price. */
    private final int[][][] taking;
    /** For slot and candidate: what a month costs more than by weight alone, where that is certain. */
    private final double[][] floor;

    /** One setting of all prices. */
    final class Setting {
        private final double[] of = new double[Scarcity.COUNT];
        private final double[][] threshold = new double[concerns][PLACES - 1];
        private final double[][] bonus = new double[pairs][PLACES];
        /**
         * For each rationed group the part of a routine's longest night that it is charged for. The longest is no less than any
         * mean of them, so in each routine the parts add up to one.
         */
        private final double[] share = new double[groups.length];

        void copy(Setting other) {
            System.arraycopy(other.share, 0, share, 0, share.length);
            System.arraycopy(other.of, 0, of, 0, of.length);
            for (int k = 0; k < concerns; k++) {
                System.arraycopy(other.threshold[k], 0, threshold[k], 0, PLACES - 1);
            }
            for (int p = 0; p < pairs; p++) {
                System.arraycopy(other.bonus[p], 0, bonus[p], 0, PLACES);
            }
        }
    }

    /** For slot and candidate: what it is worth at the present prices, and the part of it that is help. */
    private final double[][] worth;

    private final double[][] help;
    /** For slot and candidate: the best that its group can bring with it, and with the slot empty. */
    private final double[][] with;

    private final double[] without;
    private final double[] best;
    /** What each slot would take, -1 for nothing. */
    private final int[] taken;

    private double bound;

    private final Setting slope;

    Prices(List<Slot> slots, int concerns, Limits limits, Yardstick yardstick) {
        this.slots = slots;
        this.scarce = limits.inOrder();
        this.same = yardstick.secondOfSameKind();
        this.anotherBottle = yardstick.anotherBottle();
        this.concerns = concerns;
        double a = yardstick.secondOfAnotherKind();
        double power = 1;
        for (int i = 0; i < PLACES; i++) {
            weight[i] = i < PLACES - 1 ? power - power * a : power;
            power *= a;
        }
        int n = slots.size();
        this.pair = new int[n][][];
        Map<Integer, Integer> numbers = new HashMap<>();
        for (int s = 0; s < n; s++) {
            List<Candidate> candidates = slots.get(s).candidates();
            pair[s] = new int[candidates.size()][];
            for (int i = 0; i < candidates.size(); i++) {
                Candidate c = candidates.get(i);
                pair[s][i] = Arrays.stream(c.on())
                        .map(k -> numbers.computeIfAbsent(k * 1000 + c.kinds()[k], _ -> numbers.size()))
                        .toArray();
            }
        }
        this.pairs = numbers.size();
        this.twin = Slot.twins(slots);
        this.groups = groups(slots, twin);
        this.groupOf = new int[n];
        for (int g = 0; g < groups.length; g++) {
            for (int s : groups[g]) {
                groupOf[s] = g;
            }
        }
        this.inTwin = Slot.inTwin(slots, twin);
        this.rationed = new boolean[groups.length];
        for (int g = 0; g < groups.length; g++) {
            rationed[g] = Arrays.stream(groups[g])
                    .anyMatch(s -> slots.get(s).candidates().stream().anyMatch(Candidate::rationed));
        }
        this.takes = new double[n][][];
        this.taking = new int[n][][];
        this.floor = new double[n][];
        this.worth = new double[n][];
        this.help = new double[n][];
        this.with = new double[n][];
        this.without = new double[n];
        this.best = new double[groups.length];
        this.taken = new int[n];
        for (int s = 0; s < n; s++) {
            int size = slots.get(s).candidates().size();
            takes[s] = takes(s);
            taking[s] = Arrays.stream(takes[s]).map(this::priced).toArray(int[][]::new);
            floor[s] = floors(s);
            worth[s] = new double[size];
            help[s] = new double[size];
            with[s] = new double[size];
        }
        this.slope = new Setting();
    }

    Setting setting() {
        Setting setting = new Setting();
        for (Part part : Part.values()) {
            for (int g = 0; g < groups.length; g++) {
                if (rationed[g] && slots.get(groups[g][0]).part() == part) {
                    setting.share[g] = 1;
                    break;
                }
            }
        }
        return setting;
    }

    /** Slots that are bounded together: rows of slots alike, pairs of twins, and each other slot alone. */
    private static int[][] groups(List<Slot> slots, int[] twin) {
        List<int[]> groups = new ArrayList<>();
        boolean[] seen = new boolean[slots.size()];
        for (int s = 0; s < slots.size(); s++) {
            if (seen[s]) {
                continue;
            }
            List<Integer> mine = new ArrayList<>(List.of(s));
            for (int o = s + 1; o < slots.size(); o++) {
                if (twin[s] == o || slots.get(s).alike(slots.get(o))) {
                    mine.add(o);
                    seen[o] = true;
                }
            }
            groups.add(mine.stream().mapToInt(Integer::intValue).toArray());
        }
        return groups.toArray(int[][]::new);
    }

    private double[][] takes(int s) {
        List<Candidate> candidates = slots.get(s).candidates();
        double[][] all = new double[candidates.size()][];
        for (int i = 0; i < all.length; i++) {
            Candidate c = candidates.get(i);
            all[i] = c.takes();
            if (c.rationed()) {
                all[i] = c.takes().clone();
                for (int r = 0; r <= Scarcity.EVENING_STEPS.ordinal(); r++) {
                    all[i][r] /= groups[groupOf[s]].length;
                }
            }
        }
        return all;
    }

    /** What a candidate is charged for at these prices. */
    private double charged(Setting at, int s, int i, Candidate c, int r) {
        boolean part = c.rationed() && r <= Scarcity.EVENING_STEPS.ordinal();
        return part ? at.share[groupOf[s]] * takes[s][i][r] : takes[s][i][r];
    }

    private int[] priced(double[] of) {
        return IntStream.range(0, scarce.length)
                .filter(r -> of[r] != 0 && scarce[r].mostPrice() > 0)
                .toArray();
    }

    /** A pack that stands in one slot alone costs no less than what is thrown away of it. */
    private double[] floors(int s) {
        Slot slot = slots.get(s);
        long elsewhere = slots.stream().filter(o -> o.kind() == slot.kind()).count();
        boolean alone = elsewhere == 1 || (elsewhere == 2 && twin[s] >= 0);
        return slot.candidates().stream()
                .mapToDouble(c -> alone ? Math.max(0, c.spendLeast() - c.spend()) : 0)
                .toArray();
    }

    /** Starts from the prices that a good plan suggests: half way between the last that counts and the first that does not. */
    void startFrom(Partial plan, Setting setting) {
        for (int k = 0; k < concerns; k++) {
            double[] counted = plan.counted(k);
            for (int i = 0; i < PLACES - 1; i++) {
                double in = i < counted.length ? counted[i] : 0;
                double out = i + 1 < counted.length ? counted[i + 1] : 0;
                setting.threshold[k][i] = (in + out) / 2;
            }
        }
        for (Scarcity r : Scarcity.values()) {
            Scarce cost = scarce[r.ordinal()];
            double use = plan.use(r);
            setting.of[r.ordinal()] = use > cost.high() ? cost.over() : 0;
        }
        for (int s = 0; s < slots.size(); s++) {
            Candidate c = plan.at(s);
            int i = c == null ? -1 : slots.get(s).candidates().indexOf(c);
            for (int on = 0; c != null && on < c.on().length; on++) {
                int k = c.on()[on];
                int p = pair[s][i][on];
                for (int place = 0; place < PLACES; place++) {
                    double b = bonus(c.helps()[k], place < PLACES - 1 ? setting.threshold[k][place] : 0);
                    setting.bonus[p][place] = Math.max(setting.bonus[p][place], b / 2);
                }
            }
        }
    }

    /** What the best of an active gets above a threshold beyond the part that every one of it gets. */
    private double bonus(double value, double threshold) {
        return Math.max(0, value - threshold) - Math.max(0, same * value - threshold);
    }

    /**
     * The bound at these prices over the candidates that are left.
     *
     * @param left by slot, indexes of candidates; a slot that may stay empty holds -1 among them
     */
    double bound(Setting at, Left left) {
        double sum = fixed(at);
        for (int s = 0; s < slots.size(); s++) {
            List<Candidate> candidates = slots.get(s).candidates();
            for (int j = 0; j < left.size(s); j++) {
                int i = left.at(s, j);
                price(at, s, i, candidates.get(i));
            }
        }
        for (int g = 0; g < groups.length; g++) {
            best[g] = groups[g].length == 1
                    ? single(groups[g][0], left)
                    : twin[groups[g][0]] >= 0 ? twins(groups[g][0], groups[g][1], at, left) : row(groups[g], left);
            sum += best[g];
        }
        bound = sum;
        return sum;
    }

    private double fixed(Setting at) {
        double sum = 0;
        for (int r = 0; r < scarce.length; r++) {
            sum += scarce[r].slack(at.of[r]);
        }
        for (double[] thresholds : at.threshold) {
            for (int i = 0; i < thresholds.length; i++) {
                sum += weight[i] * (i + 1) * thresholds[i];
            }
        }
        for (double[] bonuses : at.bonus) {
            for (int i = 0; i < PLACES; i++) {
                sum += weight[i] * bonuses[i];
            }
        }
        return sum;
    }

    private void price(Setting at, int s, int i, Candidate c) {
        double helps = 0;
        int[] on = c.on();
        int[] pairs = pair[s][i];
        for (int o = 0; o < on.length; o++) {
            double v = c.helps()[on[o]];
            double half = same * v;
            double[] thresholds = at.threshold[on[o]];
            double[] bonuses = at.bonus[pairs[o]];
            for (int place = 0; place < PLACES - 1; place++) {
                double part = Math.max(0, half - thresholds[place]);
                double whole = Math.max(0, v - thresholds[place]);
                helps += weight[place] * (part + Math.max(0, whole - part - bonuses[place]));
            }
            helps += weight[PLACES - 1] * (half + Math.max(0, v - half - bonuses[PLACES - 1]));
        }
        double cost = at.of[Scarcity.MONEY.ordinal()] * floor[s][i];
        for (int r : taking[s][i]) {
            cost += at.of[r] * charged(at, s, i, c, r);
        }
        help[s][i] = helps;
        worth[s][i] = c.own() + helps - cost;
    }

    private double single(int s, Left left) {
        double most = left.mayBeEmpty(s) ? 0 : Double.NEGATIVE_INFINITY;
        taken[s] = -1;
        without[s] = 0;
        for (int j = 0; j < left.size(s); j++) {
            int i = left.at(s, j);
            with[s][i] = worth[s][i];
            if (worth[s][i] > most) {
                most = worth[s][i];
                taken[s] = i;
            }
        }
        return most;
    }

    /** Slots alike: the best few different ones. Slots already filled hold one candidate each. */
    private double row(int[] row, Left left) {
        double sum = 0;
        int open = 0;
        int last = row[row.length - 1];
        for (int s : row) {
            if (left.size(s) + (left.mayBeEmpty(s) ? 1 : 0) == 1) {
                taken[s] = left.size(s) == 1 ? left.at(s, 0) : -1;
                double w = taken[s] < 0 ? 0 : worth[s][taken[s]];
                without[s] = 0;
                if (taken[s] >= 0) {
                    with[s][taken[s]] = w;
                }
                sum += w;
            } else {
                open++;
                last = s;
            }
        }
        if (open == 0) {
            return sum;
        }
        boolean empty = left.mayBeEmpty(last);
        // the few best of what the slots still open share
        double[] top = new double[open];
        int[] which = new int[open];
        Arrays.fill(top, empty ? 0 : Double.NEGATIVE_INFINITY);
        Arrays.fill(which, -1);
        for (int j = 0; j < left.size(last); j++) {
            int i = left.at(last, j);
            int place = open;
            while (place > 0 && worth[last][i] > top[place - 1]) {
                place--;
            }
            if (place < open) {
                System.arraycopy(top, place, top, place + 1, open - place - 1);
                System.arraycopy(which, place, which, place + 1, open - place - 1);
                top[place] = worth[last][i];
                which[place] = i;
            }
        }
        double all = Arrays.stream(top).sum();
        int next = 0;
        double fixedSum = sum;
        for (int s : row) {
            if (left.size(s) + (left.mayBeEmpty(s) ? 1 : 0) > 1) {
                taken[s] = which[next++];
                without[s] = fixedSum + all - top[open - 1];
                for (int j = 0; j < left.size(s); j++) {
                    int i = left.at(s, j);
                    with[s][i] = fixedSum + Math.min(all, all - top[open - 1] + worth[s][i]);
                }
            } else if (taken[s] >= 0) {
                with[s][taken[s]] = fixedSum + all;
            } else {
                without[s] = fixedSum + all;
            }
        }
        return fixedSum + all;
    }

    /** Morning and evening of one kind: one bottle that helps once, or two that cost a second bottle. */
    private double twins(int s, int t, Setting at, Left left) {
        int firstT = -1;
        int secondT = -1;
        for (int j = 0; j < left.size(t); j++) {
            int i = left.at(t, j);
            if (firstT < 0 || worth[t][i] > worth[t][firstT]) {
                secondT = firstT;
                firstT = i;
            } else if (secondT < 0 || worth[t][i] > worth[t][secondT]) {
                secondT = i;
            }
        }
        double aloneT = firstT < 0 ? Double.NEGATIVE_INFINITY : worth[t][firstT];
        double bestAlone = Double.NEGATIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        taken[s] = -1;
        taken[t] = -1;
        without[s] = left.mayBeEmpty(s)
                ? Math.max(left.mayBeEmpty(t) ? 0 : Double.NEGATIVE_INFINITY, aloneT)
                : Double.NEGATIVE_INFINITY;
        if (without[s] > most) {
            most = without[s];
            taken[t] = left.mayBeEmpty(t) && aloneT <= 0 ? -1 : firstT;
        }
        double firstS = Double.NEGATIVE_INFINITY;
        double secondS = Double.NEGATIVE_INFINITY;
        int firstIndex = -1;
        for (int j = 0; j < left.size(s); j++) {
            int i = left.at(s, j);
            double mine = worth[s][i];
            bestAlone = Math.max(bestAlone, mine);
            if (mine > firstS) {
                secondS = firstS;
                firstS = mine;
                firstIndex = i;
            } else {
                secondS = Math.max(secondS, mine);
            }
            int theirs = inTwin[s][i];
            int other = firstT >= 0 && firstT == theirs ? secondT : firstT;
            double two = other < 0 ? Double.NEGATIVE_INFINITY : mine + worth[t][other] - anotherBottle;
            double one = both(s, i, at, left);
            double lone = left.mayBeEmpty(t) ? mine : Double.NEGATIVE_INFINITY;
            double w = Math.max(lone, Math.max(one, two));
            with[s][i] = w;
            if (w > most) {
                most = w;
                taken[s] = i;
                taken[t] = w == one ? theirs : w == two ? other : -1;
            }
        }
        without[t] = left.mayBeEmpty(t)
                ? Math.max(left.mayBeEmpty(s) ? 0 : Double.NEGATIVE_INFINITY, bestAlone)
                : Double.NEGATIVE_INFINITY;
        for (int j = 0; j < left.size(t); j++) {
            int i = left.at(t, j);
            int theirs = inTwin[t][i];
            double partner = firstIndex >= 0 && firstIndex == theirs ? secondS : firstS;
            double two = worth[t][i] + partner - anotherBottle;
            double one = both(t, i, at, left);
            double lone = left.mayBeEmpty(s) ? worth[t][i] : Double.NEGATIVE_INFINITY;
            with[t][i] = Math.max(lone, Math.max(one, two));
        }
        return most;
    }

    /** The same product in both: it helps once, and what is thrown away of it is thrown away once. */
    private double both(int s, int i, Setting at, Left left) {
        int theirs = inTwin[s][i];
        if (theirs < 0 || !left.has(twin[s], theirs)) {
            return Double.NEGATIVE_INFINITY;
        }
        Candidate mine = slots.get(s).candidates().get(i);
        Candidate other = slots.get(twin[s]).candidates().get(theirs);
        double wasted = Math.max(0, mine.spendLeast() - mine.spend() - other.spend());
        double money = at.of[Scarcity.MONEY.ordinal()] * (floor[s][i] + floor[twin[s]][theirs] - wasted);
        return worth[s][i] + worth[twin[s]][theirs] - Math.min(help[s][i], help[twin[s]][theirs]) + money;
    }

    /** What no plan with this candidate in this slot can score more than; after {@link #bound}. */
    double boundWith(int s, int i) {
        return bound - best[groupOf[s]] + with[s][i];
    }

    /** The same with the slot left empty. */
    double boundWithout(int s) {
        return bound - best[groupOf[s]] + without[s];
    }

    /** Index of what a slot would take now, -1 for nothing; after {@link #bound}. */
    int taken(int s) {
        return taken[s];
    }

    /**
     * Moves the prices one step against what the slots would take; after {@link #bound}.
     *
     * @param aim a score that the bound should sink to
     * @return false when nothing pulls any more: the bound is as low as it gets
     */
    boolean improve(Setting at, double aim, double eagerness) {
        double length = slopes(at);
        if (length < 1e-12) {
            return false;
        }
        double step = eagerness * Math.max(bound - aim, 1e-6) / length;
        share(at);
        for (int r = 0; r < scarce.length; r++) {
            at.of[r] = Math.clamp(at.of[r] - step * slope.of[r], 0, scarce[r].mostPrice());
        }
        for (int k = 0; k < concerns; k++) {
            for (int i = 0; i < PLACES - 1; i++) {
                at.threshold[k][i] = Math.max(0, at.threshold[k][i] - step * slope.threshold[k][i]);
            }
        }
        for (int p = 0; p < pairs; p++) {
            for (int i = 0; i < PLACES; i++) {
                at.bonus[p][i] = Math.max(0, at.bonus[p][i] - step * slope.bonus[p][i]);
            }
        }
        return true;
    }

    /** The group whose night would be the longest is charged for more of it, the others for less. */
    private void share(Setting at) {
        for (Part part : Part.values()) {
            int longest = -1;
            double most = 0;
            for (int g = 0; g < groups.length; g++) {
                if (rationed[g] && slots.get(groups[g][0]).part() == part) {
                    double minutes = 0;
                    for (int s : groups[g]) {
                        Candidate c =
                                taken[s] < 0 ? null : slots.get(s).candidates().get(taken[s]);
                        minutes += c == null || !c.rationed() ? 0 : c.minutes();
                    }
                    if (minutes > most) {
                        most = minutes;
                        longest = g;
                    }
                }
            }
            for (int g = 0; longest >= 0 && g < groups.length; g++) {
                if (rationed[g] && slots.get(groups[g][0]).part() == part) {
                    at.share[g] += SHIFT * ((g == longest ? 1 : 0) - at.share[g]);
                }
            }
        }
    }

    /** How the bound moves with each price, at what the slots would take now. */
    private double slopes(Setting at) {
        double[] use = new double[scarce.length];
        for (int k = 0; k < concerns; k++) {
            for (int i = 0; i < PLACES - 1; i++) {
                slope.threshold[k][i] = weight[i] * (i + 1);
            }
        }
        for (double[] bonuses : slope.bonus) {
            System.arraycopy(weight, 0, bonuses, 0, PLACES);
        }
        for (int s = 0; s < slots.size(); s++) {
            int i = taken[s];
            if (i >= 0) {
                Candidate c = slots.get(s).candidates().get(i);
                for (int r = 0; r < use.length; r++) {
                    use[r] += charged(at, s, i, c, r);
                }
                use[Scarcity.MONEY.ordinal()] += floor[s][i];
                boolean counted = twin[s] >= 0 && twin[s] < s && inTwin[s][i] >= 0 && taken[twin[s]] == inTwin[s][i];
                if (!counted) {
                    slopes(at, s, i, c);
                }
            }
        }
        double length = 0;
        for (int r = 0; r < use.length; r++) {
            slope.of[r] = scarce[r].fairUse(at.of[r], use[r]) - use[r];
            if (!pulls(slope.of[r], at.of[r], scarce[r].mostPrice())) {
                slope.of[r] = 0;
            }
            length += slope.of[r] * slope.of[r];
        }
        length += length(slope.threshold, at.threshold);
        length += length(slope.bonus, at.bonus);
        return length;
    }

    /** At the end of its range a price is not pulled further out. */
    private static boolean pulls(double slope, double at, double most) {
        return slope > 0 ? at > 0 : slope < 0 && at < most;
    }

    private static double length(double[][] slopes, double[][] at) {
        double sum = 0;
        for (int k = 0; k < slopes.length; k++) {
            for (int i = 0; i < slopes[k].length; i++) {
                if (slopes[k][i] > 0 && at[k][i] == 0) {
                    slopes[k][i] = 0;
                }
                sum += slopes[k][i] * slopes[k][i];
            }
        }
        return sum;
    }

    private void slopes(Setting at, int s, int i, Candidate c) {
        for (int on = 0; on < c.on().length; on++) {
            int k = c.on()[on];
            int p = pair[s][i][on];
            double v = c.helps()[k];
            for (int place = 0; place < PLACES; place++) {
                boolean own = place < PLACES - 1;
                double t = own ? at.threshold[k][place] : 0;
                boolean whole = v > t;
                boolean part = same * v > t;
                boolean bonus = bonus(v, t) > at.bonus[p][place];
                if (own && part) {
                    slope.threshold[k][place] -= weight[place];
                }
                if (bonus) {
                    slope.bonus[p][place] -= weight[place];
                    if (own) {
                        slope.threshold[k][place] += weight[place] * ((part ? 1 : 0) - (whole ? 1 : 0));
                    }
                }
            }
        }
    }
}
