package outfell.aims;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import outfell.consultation.Yardstick;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.skin.Concern;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.RankedConcern;

/** Which of a skin's concerns a plan works on, and what single products do for them. The air changes neither. */
final class Serving {
    /** So fine that two uses of different worth never count alike. */
    private static final int WORTH_OF_A_POINT = 1000;

    private final Yardstick yardstick;
    private final List<RankedConcern> concerns;
    private final int firsts;
    private final Map<OnDays, Serves> serving = new HashMap<>();
    private final Map<OnDays, List<Benefits.Help>> benefits = new HashMap<>();

    private record OnDays(ProductId product, int days) {}

    /**
     * What a product does for each concern, at so many days a week.
     *
     * @param grades by first concern: 0 not to speak of, 1 somewhat, 2 well
     * @param points by concern
     * @param on concerns with points
     * @param by the active that does it, by concern
     */
    record Serves(List<Benefits.Help> helps, int[] grades, double[] points, int[] on, int[] by) {}

    Serving(SkinVerdict skin, Yardstick yardstick) {
        this.yardstick = yardstick;
        List<RankedConcern> heaviest =
                skin.concerns().stream().limit(yardstick.firstConcerns()).toList();
        List<RankedConcern> first = skin.concerns().stream()
                .filter(c -> heaviest.contains(c)
                        || (c.concern() == Concern.CHAPPED_LIPS && c.severity() >= Suits.CHAPPED_FIRST))
                .toList();
        List<RankedConcern> later = skin.concerns().stream()
                .filter(c -> !first.contains(c))
                .limit(Math.max(0, yardstick.mostConcerns() - first.size()))
                .toList();
        this.concerns = Stream.concat(first.stream(), later.stream()).toList();
        this.firsts = first.size();
    }

    /** The first ones, then the others, heaviest first. */
    List<RankedConcern> concerns() {
        return concerns;
    }

    /** How many of the concerns come first, each before the next. */
    int firsts() {
        return firsts;
    }

    Serves of(Product p, int days) {
        return serving.computeIfAbsent(new OnDays(p.id(), days), _ -> serves(p, days));
    }

    private Serves serves(Product p, int days) {
        List<Benefits.Help> helps = new ArrayList<>();
        double[] values = new double[concerns.size()];
        int[] by = new int[concerns.size()];
        int[] grades = new int[firsts];
        for (Benefits.Help help : helps(p, days)) {
            for (int c = 0; c < values.length; c++) {
                double points = help.share() * concerns.get(c).weight();
                boolean reason = c < firsts ? grade(help) > 0 : points >= yardstick.leastHelp();
                if (help.concern() == concerns.get(c).concern() && reason) {
                    helps.add(help);
                    values[c] = points;
                    by[c] = help.active().ordinal();
                    if (c < firsts) {
                        grades[c] = grade(help);
                    }
                }
            }
        }
        int[] on = IntStream.range(0, values.length).filter(c -> values[c] > 0).toArray();
        return new Serves(List.copyOf(helps), grades, values, on, by);
    }

    /** How well a help serves a first concern: 0 not to speak of, 1 somewhat, 2 well. */
    private int grade(Benefits.Help help) {
        return help.share() >= yardstick.servesWell() ? 2 : help.share() >= yardstick.servesSome() ? 1 : 0;
    }

    /** What a product does at so many days a week, wherever it stands. */
    List<Benefits.Help> helps(Product p, int days) {
        return benefits.computeIfAbsent(new OnDays(p.id(), days), _ -> Benefits.of(p, days, yardstick));
    }

    /** What a product does for all concerns together at so many uses a week, in whole points of the house; more with each use. */
    int worth(Product p, int days) {
        double sum = 0;
        for (Benefits.Help help : helps(p, days)) {
            for (RankedConcern concern : concerns) {
                sum += concern.concern() == help.concern() ? help.share() * concern.weight() : 0;
            }
        }
        return (int) Math.round(sum * WORTH_OF_A_POINT) + days;
    }
}
