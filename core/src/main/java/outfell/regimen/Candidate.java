package outfell.regimen;

import java.util.List;
import org.jspecify.annotations.Nullable;
import outfell.product.Product;
import outfell.product.StepKind;

/**
 * A product weighed for one slot.
 *
 * @param number of the product, its own within one consultation
 * @param points what it earns or loses by itself, each with its reason
 * @param own sum of the points, with a trace for ties: cheaper, then milder, then id
 * @param helps weight of concern × share, by concern index; 0 where it does nothing
 * @param kinds ordinal of the active behind each help
 * @param on the concerns that it helps at all
 * @param takes of what is scarce, in the order of {@link Scarcity}
 * @param spendLeast a month, whatever the amount: packs go past their time
 * @param rationed whether it has its own nights
 * @param uses nights a week when rationed; else 7
 * @param load points of strong work a week
 * @param beginner whether it is a strong active that is new to her
 * @param held bits of the actives it leaves on the skin
 * @param notInPlan bits of the actives that may not be in one plan with it
 * @param notInRoutine bits of the actives that may not be in one routine with it
 * @param because what it is for
 */
record Candidate(
        Product product,
        int number,
        List<Point> points,
        double own,
        double[] helps,
        int[] kinds,
        int[] on,
        double[] takes,
        double spendLeast,
        boolean rationed,
        int uses,
        double load,
        boolean beginner,
        boolean strong,
        boolean owned,
        long held,
        long notInPlan,
        long notInRoutine,
        boolean wantsHighFilter,
        List<Benefits.Help> because) {

    private static final int HIGH_FILTER = 50;

    /** @param points earned, or lost when negative */
    record Point(String reason, double points) {}

    /** One weighing is one candidate: two are the same only when they are one. */
    @Override
    public boolean equals(@Nullable Object other) {
        return this == other;
    }

    @Override
    public int hashCode() {
        return number;
    }

    double alone() {
        double sum = own;
        for (double h : helps) {
            sum += h;
        }
        return sum;
    }

    /** Elapsed, of one use with its waits. */
    double minutes() {
        return takes[Scarcity.MORNING_MINUTES.ordinal()] + takes[Scarcity.EVENING_MINUTES.ordinal()];
    }

    /** A month by weight alone. */
    double spend() {
        return takes[Scarcity.MONEY.ordinal()];
    }

    /** Whether both may stand in one plan. */
    boolean bears(Candidate other, boolean sameRoutine) {
        return (notInPlan & other.held) == 0
                && (other.notInPlan & held) == 0
                && !(sameRoutine && ((notInRoutine & other.held) != 0 || (other.notInRoutine & held) != 0))
                && !(wantsHighFilter && other.lowFilter())
                && !(other.wantsHighFilter && lowFilter());
    }

    private boolean lowFilter() {
        return product.kind() == StepKind.SUNSCREEN && product.spf() < HIGH_FILTER;
    }

    /**
     * Whether no plan is made worse by putting this in the other's place, in a slot of the same routine, while this stands
     * nowhere else: what it earns more by itself covers what it may do less for each concern and move what is scarce.
     */
    boolean dominates(Candidate other, Scarce[] scarce, double sameKind) {
        if (own < other.own
                || rationed != other.rationed
                || (beginner && !other.beginner)
                || (strong && !other.strong)
                || (wantsHighFilter && !other.wantsHighFilter)
                || product.spf() < Math.min(HIGH_FILTER, other.product.spf())
                || !subset(held, other.held)
                || !subset(notInPlan, other.notInPlan)
                || !subset(notInRoutine, other.notInRoutine)) {
            return false;
        }
        double ahead = own - other.own;
        for (int r = 0; r < scarce.length && ahead >= 0; r++) {
            double more = takes[r] - other.takes[r];
            if (more > 0 && !Double.isInfinite(scarce[r].ceiling())) {
                return false;
            }
            ahead -= Math.max(0, more) * scarce[r].over();
        }
        if (spendLeast > other.spendLeast && !scarce[Scarcity.MONEY.ordinal()].equals(Scarce.FREE)) {
            return false;
        }
        for (int c = 0; c < helps.length && ahead >= 0; c++) {
            // by another active it may be the one that is halved as a repetition
            double sure = kinds[c] == other.kinds[c] ? helps[c] : sameKind * helps[c];
            ahead -= Math.max(0, other.helps[c] - sure);
        }
        return ahead >= 0;
    }

    private static boolean subset(long a, long b) {
        return (a & ~b) == 0;
    }
}
