package outfell.causes;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import outfell.aims.Posed;
import outfell.aims.Scarcity;
import outfell.aims.Weigher;
import outfell.choice.Worth;
import outfell.choice.Worth.Aim;
import outfell.knowledge.Because;
import outfell.product.ProductId;
import outfell.routine.Part;

/**
 * The best plan as one of the client's limits grows from the least that holds the ground upward: each rung is the best plan at its
 * limit, the others held.
 *
 * @param hers the client's limit; absent when money is no matter
 * @param uses what the standing plan takes of it
 * @param rungs the least first
 */
public record Ladder(Limit limit, Optional<Double> hers, double uses, List<Rung> rungs) {
    /** What grows: money a month in the practice's currency, minutes, or steps of either routine. */
    public enum Limit {
        MONEY(Scarcity.MONEY),
        MORNING_MINUTES(Scarcity.MORNING_MINUTES),
        EVENING_MINUTES(Scarcity.EVENING_MINUTES),
        STEPS(Scarcity.MORNING_STEPS, Scarcity.EVENING_STEPS);

        private final List<Scarcity> of;

        Limit(Scarcity... of) {
            this.of = List.of(of);
        }
    }

    /** Whether a rung lies under the standing plan, is it, or lies over it. */
    public enum Where {
        BELOW,
        STANDS,
        ABOVE
    }

    /**
     * @param at the limit in whole units that it asks for
     * @param month what its plan costs a month, of what is not owned
     * @param brings names that the rung below has not, with the routine
     * @param leaves names that it no longer has
     * @param because what it brings, and for what
     */
    public record Rung(
            double at, double month, Where where, List<String> brings, List<String> leaves, Because because) {}

    public Ladder {
        rungs = List.copyOf(rungs);
    }

    /** Rungs looked for at most: more than anybody reads. */
    private static final int MOST = 40;

    private static final double DUST = 1e-6;
    private static final int NAMED = 3;

    private record Step(double at, Posed.Found found) {}

    /**
     * @param posed as the standing plan was chosen
     * @param most the largest limit that is asked for
     */
    public static Ladder of(
            Limit limit, Optional<Double> hers, double most, Posed posed, Posed.Found standing, Weigher weigher) {
        List<Step> steps = telling(downward(limit, most, posed), standing);
        double uses = uses(limit, standing);
        List<Rung> rungs = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            Optional<Posed.Found> below =
                    i == 0 ? Optional.empty() : Optional.of(steps.get(i - 1).found());
            rungs.add(rung(step, below, where(step, standing), posed, weigher));
        }
        return new Ladder(limit, hers, uses, rungs);
    }

    /** Rungs that only refine are left out, unless they are next to where the plan stands. */
    private static List<Step> telling(List<Step> all, Posed.Found standing) {
        int stands = IntStream.range(0, all.size())
                .filter(i -> where(all.get(i), standing) == Where.STANDS)
                .findFirst()
                .orElse(0);
        List<Step> told = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            boolean near = i >= stands - 1 && i <= stands + 2;
            boolean more = told.isEmpty()
                    || Worth.parting(
                                    told.getLast().found().worth(),
                                    all.get(i).found().worth())
                            .filter(a -> a.compareTo(Aim.REFINEMENT) < 0)
                            .isPresent();
            if (near || more) {
                told.add(all.get(i));
            }
        }
        return told;
    }

    /** From the best of all down to the least: the next rung is the best plan with less than this one takes. */
    private static List<Step> downward(Limit limit, double most, Posed posed) {
        List<Step> steps = new ArrayList<>();
        double at = most;
        while (steps.size() < MOST) {
            Posed.Found found = at(limit, at, posed).rung();
            double uses = Math.ceil(uses(limit, found) - DUST);
            steps.addFirst(new Step(uses, found));
            at = uses - 1;
            if (at < 0 || passes(limit, at, posed)) {
                // what is needed takes as much as this: it is the ground
                break;
            }
        }
        return steps;
    }

    /** Whether what is needed does not fit so small a limit. */
    private static boolean passes(Limit limit, double at, Posed posed) {
        Posed within = at(limit, at, posed).within();
        return limit.of.stream()
                .anyMatch(s -> within.problem().limits().get(s.ordinal()).most() > at + DUST);
    }

    private static Posed at(Limit limit, double at, Posed posed) {
        Posed other = posed;
        for (Scarcity s : limit.of) {
            other = other.with(s, at);
        }
        return other;
    }

    private static double uses(Limit limit, Posed.Found found) {
        return limit.of.stream().mapToDouble(found::uses).max().orElse(0);
    }

    private static Where where(Step step, Posed.Found standing) {
        int order = step.found().worth().compareTo(standing.worth());
        return order < 0 ? Where.BELOW : order > 0 ? Where.ABOVE : Where.STANDS;
    }

    private static Rung rung(Step step, Optional<Posed.Found> below, Where where, Posed posed, Weigher weigher) {
        Map<String, ProductId> mine = names(posed, step.found());
        Map<String, ProductId> theirs = below.map(b -> names(posed, b)).orElse(Map.of());
        List<String> brings =
                mine.keySet().stream().filter(n -> !theirs.containsKey(n)).toList();
        List<String> leaves =
                theirs.keySet().stream().filter(n -> !mine.containsKey(n)).toList();
        return new Rung(
                step.at(),
                Math.round(100 * step.found().uses(Scarcity.MONEY)) / 100.0,
                where,
                brings,
                leaves,
                Because.house(below.map(b -> sentence(brings, leaves, step.found(), b, weigher))
                        .orElse("What is needed, and the best that goes with it at the least.")));
    }

    /** Names of what stands, with the routine where a thing could stand in both. */
    private static Map<String, ProductId> names(Posed posed, Posed.Found found) {
        Map<String, ProductId> names = new LinkedHashMap<>();
        for (int s = 0; s < posed.slots().size(); s++) {
            Part part = posed.slots().get(s).part();
            found.chosen()
                    .get(s)
                    .ifPresent(c -> names.put(
                            "%s, %s".formatted(c.product().name(), part.words()),
                            c.product().id()));
        }
        return names;
    }

    private static String sentence(
            List<String> brings, List<String> leaves, Posed.Found mine, Posed.Found theirs, Weigher weigher) {
        Set<String> better = new LinkedHashSet<>();
        for (int c = 0; c < weigher.concerns().size(); c++) {
            int concern = c;
            if (best(mine, concern) > best(theirs, concern) + DUST) {
                better.add(weigher.concerns().get(c).concern().words());
            }
        }
        Aim aim = Worth.parting(mine.worth(), theirs.worth()).orElse(Aim.NAME);
        String why = !better.isEmpty()
                ? "for " + String.join(", ", better.stream().limit(NAMED).toList())
                : switch (aim) {
                    case WANTS -> "for the first concerns";
                    case COMFORT -> "for comfort";
                    case SCHOOL -> "as the method asks";
                    case REFINEMENT -> "it fits a little better";
                    case BOTTLES, STEPS, MONEY, MILDNESS, NAME -> "to save elsewhere";
                };
        String what = brings.isEmpty() ? "Other nights" : String.join("; ", brings);
        String instead = leaves.isEmpty() ? "" : ", in place of " + String.join("; ", leaves);
        return "%s%s: %s.".formatted(what, instead, why);
    }

    private static double best(Posed.Found found, int concern) {
        return IntStream.range(0, found.chosen().size())
                .mapToObj(found.chosen()::get)
                .flatMap(Optional::stream)
                .mapToDouble(c -> c.option().helps()[concern])
                .max()
                .orElse(0);
    }
}
