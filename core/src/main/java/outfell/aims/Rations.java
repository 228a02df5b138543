package outfell.aims;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.week.Rhythm;
import outfell.week.Round;
import outfell.week.Tolerance;
import outfell.week.Wanted;

/** What has nights of its own, as the planner of nights asks for it: its worth, its load, and what may share a night with it. */
public final class Rations {
    /**
     * One thing with nights of its own.
     *
     * @param uses a week that it may have for now
     * @param fixed nights set by the prescriber or by hand, as bits of the round
     * @param barred nights that it may not have, as bits of the round
     */
    public record Thing(Product product, int uses, int fixed, int barred) {}

    /** What is in the plan has a night before another has one more: more than all that uses are worth together. */
    private static final int CHOSEN = 10_000_000;

    private final Weigher weigher;
    private final Parting parting;
    private final Tolerance tolerance;
    private final int exfoliations;

    /** @param exfoliations a week, of the method */
    public Rations(Weigher weigher, Parting parting, Tolerance tolerance, int exfoliations) {
        this.weigher = weigher;
        this.parting = parting;
        this.tolerance = tolerance;
        this.exfoliations = exfoliations;
    }

    /** The things as they are asked for in a round of so many nights. */
    public List<Wanted> wanted(List<Thing> things, int nights) {
        List<Wanted> all = new ArrayList<>();
        for (Thing t : things) {
            all.add(new Wanted(
                    t.product().id(),
                    worth(t, nights),
                    Tolerance.points(t.product()),
                    Tolerance.exfoliation(t.product()),
                    Tolerance.nightsApart(t.product()),
                    t.fixed(),
                    t.barred(),
                    parted(things, t)));
        }
        return all;
    }

    private List<Integer> worth(Thing t, int nights) {
        int most = Rhythm.inRound(t.uses(), nights);
        return IntStream.rangeClosed(0, most)
                .mapToObj(u -> u == 0 ? 0 : CHOSEN + weigher.worth(t.product(), t.uses() * u / Math.max(1, most)) + u)
                .toList();
    }

    /** Why two things may not share a night; empty when they may. */
    public Optional<Because> whyNotOneNight(Product a, Product b) {
        return parting.whyNotOneNight(a, b);
    }

    private long parted(List<Thing> things, Thing t) {
        long parted = 0;
        for (int i = 0; i < things.size(); i++) {
            Product other = things.get(i).product();
            if (other != t.product()
                    && parting.whyNotOneNight(t.product(), other).isPresent()) {
                parted |= 1L << i;
            }
        }
        return parted;
    }

    /**
     * A round of so many nights on this skin; what it bears in a week is shared out over it, less what every day brings.
     *
     * @param daily points that every day brings by itself
     * @param taken exfoliations a week that are none of the things'
     */
    public Round round(Rhythm rhythm, int nights, double daily, double taken) {
        double weeks = nights / 7.0;
        return new Round(
                nights,
                Math.max(0, tolerance.cap() * weeks - daily * nights),
                tolerance.night(),
                tolerance.three(),
                daily,
                Math.max(0, exfoliations - taken) * weeks,
                (int) Math.ceil(tolerance.rest() * weeks - 1e-9),
                rhythm.liked(nights));
    }
}
