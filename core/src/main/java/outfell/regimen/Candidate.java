package outfell.regimen;

import java.util.List;
import outfell.product.Product;

/**
 * A product weighed for one slot.
 *
 * @param number of the product, its own within one consultation
 * @param points what it earns or loses by itself, each with its reason
 * @param own sum of the points, with a trace for ties: cheaper, then milder, then id
 * @param helps weight of concern × share, by concern index; 0 where it does nothing
 * @param kinds ordinal of the active behind each help
 * @param on the concerns that it helps at all
 * @param seconds of one use
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
        int seconds,
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

    /** @param points earned, or lost when negative */
    record Point(String reason, double points) {}

    double alone() {
        double sum = own;
        for (double h : helps) {
            sum += h;
        }
        return sum;
    }

    /**
     * Whether no plan can be made worse by taking this instead of the other in the same slot: it brings at least as much to
     * every concern by the same active, or twice as much by another, costs no more time, nights or load, and clashes with nothing that the other bears.
     */
    boolean dominates(Candidate other) {
        if (own < other.own
                || seconds > other.seconds
                || rationed != other.rationed
                || load > other.load
                || (rationed && uses > other.uses)
                || (beginner && !other.beginner)
                || (strong && !other.strong)
                || (wantsHighFilter && !other.wantsHighFilter)
                || product.spf() < Math.min(50, other.product.spf())
                || !subset(held, other.held)
                || !subset(notInPlan, other.notInPlan)
                || !subset(notInRoutine, other.notInRoutine)) {
            return false;
        }
        for (int c = 0; c < helps.length; c++) {
            // By another active it may be the one that is halved as a repetition, so there it must bring twice as much.
            double needed = kinds[c] == other.kinds[c] ? other.helps[c] : 2 * other.helps[c];
            if (other.helps[c] > 0 && helps[c] < needed) {
                return false;
            }
        }
        return true;
    }

    private static boolean subset(long a, long b) {
        return (a & ~b) == 0;
    }
}
