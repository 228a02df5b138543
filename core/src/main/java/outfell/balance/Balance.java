package outfell.balance;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.lang3.StringUtils;
import outfell.knowledge.Because;
import outfell.knowledge.Row;
import outfell.product.Composition;
import outfell.product.ProductId;

/** Sums of points against their bands: low, at the edge, inside or high, which layer moves each most, and what would bring it in. */
public final class Balance {
    /**
     * One layer that stays on the face.
     *
     * @param points at its amount; a sunscreen's before its morning share is taken
     * @param grams of one use
     * @param sunscreen whether only a share of it counts
     * @param dosed whether its amount is set by what it does, as a sunscreen's and a serum's are
     * @param needed whether the routine cannot do without it
     */
    public record Layer(
            ProductId product,
            String name,
            Points points,
            double grams,
            boolean sunscreen,
            boolean dosed,
            boolean needed) {
        Points counted() {
            return sunscreen ? points.times(SUNSCREEN_COUNTS) : points;
        }
    }

    /** Where a sum lies against its band. */
    public enum Lies {
        LOW,
        LOW_EDGE,
        INSIDE,
        HIGH_EDGE,
        HIGH;

        /** Whether it may stay as it is. */
        public boolean bearable() {
            return this != LOW && this != HIGH;
        }
    }

    /**
     * @param points the sum, to one decimal
     * @param most name of the layer that gives most of it; empty when none gives any
     */
    public record Line(Need need, double points, Target.Range range, Lies lies, String most) {}

    /**
     * @param verdict in words, without a figure
     * @param lines water, oils, seal
     * @param sealRule said when the room is so dry that held water wants a seal, and there is too little
     * @param change the one change that would bring it in, or nearest; absent when nothing need change
     * @param mends whether that change brings all three in
     * @param because what made the bands, and the figures
     */
    public record Gauge(
            Because verdict,
            List<Line> lines,
            Optional<Because> sealRule,
            Optional<Because> change,
            boolean mends,
            Because because) {
        /** Whether nothing about it need change. */
        public boolean stays() {
            return lines.stream().noneMatch(l -> wants(l.need(), l.lies())) && sealRule.isEmpty();
        }
    }

    /** What the reference of a need comes to. */
    private static final double REFERENCE_POINTS = 100;

    private static final Row REFERENCES = Target.FILE.row("references");
    private static final Points REFERENCE = new Points(
            REFERENCES.number("water", 0.01, 10),
            REFERENCES.number("oils", 0.01, 10),
            REFERENCES.number("seal", 0.01, 10));
    private static final double SUNSCREEN_COUNTS = Target.FILE.row("morning").number("sunscreen-counts", 0, 1);
    private static final double EDGE = Target.FILE.number("edge", 0, 1);
    private static final double AMOUNT_FROM = Target.FILE.number("amount-from", 0.1, 1);
    private static final double AMOUNT_TO = Target.FILE.number("amount-to", 1, 3);
    private static final double AMOUNT_STEP = 0.05;
    /** An amount moved by no more than this share is moved a little. */
    private static final double LITTLE = Target.FILE.number("little", 0, 1);
    /** A sum outside by more than this share of its limit is much outside. */
    private static final double MUCH = Target.FILE.number("much", 0, 1);

    private static final Row SEAL_RULE = Target.FILE.row("seal-rule");
    private static final double ROOM_BELOW = SEAL_RULE.number("room-below", 0, 100);
    private static final double WATER_FROM = SEAL_RULE.number("water-from", 0, 1000);
    private static final double OILS_SHARE = SEAL_RULE.number("oils-share", 0, 1);
    private static final double WATER_SHARE = SEAL_RULE.number("water-share", 0, 1);

    private Balance() {}

    /**
     * Points of one layer: 100 × f × q / reference, f a mass fraction.
     *
     * @param q density on the face, mg/cm²; facts: grams × 1000 / area
     */
    public static Points points(Composition composition, double q) {
        return new Points(
                REFERENCE_POINTS * composition.humectant() * q / REFERENCE.water(),
                REFERENCE_POINTS * composition.emollient() * q / REFERENCE.oils(),
                REFERENCE_POINTS * composition.occlusive() * q / REFERENCE.seal());
    }

    /** What counts of a sunscreen's points in the morning. */
    public static Points underSunscreen(Points points) {
        return points.times(SUNSCREEN_COUNTS);
    }

    /**
     * @param roomHumidity relative, percent
     * @param when "by day", "by night"
     */
    public static Gauge gauge(List<Layer> layers, Target target, double roomHumidity, String when) {
        Points sum = felt(sum(layers));
        List<Line> lines = java.util.Arrays.stream(Need.values())
                .map(need -> new Line(
                        need,
                        Math.round(sum.of(need) * 10) / 10.0,
                        target.of(need),
                        lies(sum.of(need), target.of(need)),
                        most(layers, need)))
                .toList();
        Optional<Because> sealRule = sealRule(sum, roomHumidity);
        boolean stays = lines.stream().noneMatch(l -> wants(l.need(), l.lies()));
        Optional<Tried> change = stays ? Optional.empty() : change(layers, target);
        return new Gauge(
                Because.house(verdict(lines, sealRule.isPresent(), when)),
                lines,
                sealRule,
                stays ? Optional.empty() : Optional.of(said(change, sum, target)),
                change.filter(c -> c.outside() == 0).isPresent(),
                target.because().withSentence(figures(target, lines, change)));
    }

    /** Whether a gauge of these layers would say that nothing need change: asked for many plans at once. */
    public static boolean stays(List<Layer> layers, Target target, double roomHumidity) {
        Points sum = felt(sum(layers));
        for (Need need : Need.values()) {
            if (wants(need, lies(sum.of(need), target.of(need)))) {
                return false;
            }
        }
        return sealRule(sum, roomHumidity).isEmpty();
    }

    private static String verdict(List<Line> lines, boolean sealRule, String when) {
        List<String> asks = lines.stream()
                .filter(l -> wants(l.need(), l.lies()))
                .map(Balance::asks)
                .toList();
        if (asks.isEmpty() && sealRule) {
            return "A little more seal %s: the rooms are dry.".formatted(when);
        }
        return asks.isEmpty()
                ? "Balanced %s: water, oil and seal are about what skin and air ask.".formatted(when)
                : StringUtils.capitalize("%s %s.".formatted(String.join(", ", asks), when));
    }

    /** "a little more seal", or "more seal" where it lies outside by over half of its limit. */
    private static String asks(Line line) {
        boolean low = line.lies() == Lies.LOW;
        double limit = low ? line.range().low() : line.range().high();
        double off = line.range().outside(line.points()) / Math.max(1, limit);
        return "%s%s %s"
                .formatted(
                        off > MUCH ? "" : "a little ",
                        low ? "more" : "less",
                        line.need().plain());
    }

    private static String figures(Target target, List<Line> lines, Optional<Tried> change) {
        String figures = String.join(
                ", ",
                lines.stream()
                        .map(l -> "%s %.0f of %.0f to %.0f"
                                .formatted(
                                        l.need().plain(),
                                        l.points(),
                                        l.range().low(),
                                        l.range().high()))
                        .toList());
        return "%s In points, 100 for a layer of the reference: %s.%s"
                .formatted(
                        target.because().sentence(),
                        figures,
                        change.map(c -> c.figures().isEmpty() ? "" : " " + c.figures())
                                .orElse(""));
    }

    /** What water-binders are felt to do: over the reference each further one does less, by the square root. */
    static Points felt(Points sum) {
        double water = sum.water() <= REFERENCE_POINTS
                ? sum.water()
                : REFERENCE_POINTS * Math.sqrt(sum.water() / REFERENCE_POINTS);
        return new Points(water, sum.oils(), sum.seal());
    }

    static Lies lies(double points, Target.Range range) {
        if (points < range.low()) {
            return points >= range.low() * (1 - EDGE) ? Lies.LOW_EDGE : Lies.LOW;
        }
        if (points > range.high()) {
            return points <= range.high() * (1 + EDGE) ? Lies.HIGH_EDGE : Lies.HIGH;
        }
        return Lies.INSIDE;
    }

    /** Whether something is to be changed for it. Water above its band is told only: shares of water-binders are rough, and it dries. */
    private static boolean wants(Need need, Lies lies) {
        return need == Need.WATER ? lies == Lies.LOW : !lies.bearable();
    }

    private static Points sum(List<Layer> layers) {
        return layers.stream().map(Layer::counted).reduce(Points.NONE, Points::and);
    }

    private static String most(List<Layer> layers, Need need) {
        return layers.stream()
                .filter(l -> l.counted().of(need) > 0)
                .max(Comparator.comparingDouble(l -> l.counted().of(need)))
                .map(Layer::name)
                .orElse("");
    }

    private static Optional<Because> sealRule(Points sum, double roomHumidity) {
        double seals = sum.seal() + OILS_SHARE * sum.oils();
        if (roomHumidity >= ROOM_BELOW || sum.water() < WATER_FROM || seals >= WATER_SHARE * sum.water()) {
            return Optional.empty();
        }
        return Optional.of(SEAL_RULE.because(
                "Rooms at %.0f %% and much held water, yet little to keep it in: seal and half the softening add up to %.0f, %.0f are wanted."
                        .formatted(roomHumidity, seals, WATER_SHARE * sum.water())));
    }

    /** @param figures of an amount, in grams; empty where something is left out */
    private record Tried(double outside, double moved, String sentence, String figures) {}

    private static Because said(Optional<Tried> change, Points sum, Target target) {
        return Because.house(change.map(t -> t.sentence()
                        + (t.outside() == 0
                                ? ": that brings all three in."
                                : ": nearer, yet not all inside; " + lacks(sum, target)))
                .orElseGet(() -> "No amount mends it: " + lacks(sum, target)));
    }

    /** Another amount of one layer, or one layer left out: what leaves least outside, then what moves least. */
    private static Optional<Tried> change(List<Layer> layers, Target target) {
        Points sum = sum(layers);
        double now = outside(felt(sum), target);
        List<Tried> tried = new ArrayList<>();
        for (Layer layer : layers) {
            if (!layer.dosed()) {
                amounts(layer, sum, target, tried);
            }
            if (!layer.needed()) {
                double outside = outside(felt(sum.and(layer.counted().times(-1))), target);
                tried.add(new Tried(outside, 1, "Leave out %s".formatted(layer.name()), ""));
            }
        }
        return tried.stream()
                .filter(t -> t.outside() < now - 1)
                .min(Comparator.comparingDouble(Tried::outside).thenComparingDouble(Tried::moved));
    }

    private static void amounts(Layer layer, Points sum, Target target, List<Tried> tried) {
        int steps = (int) Math.round((AMOUNT_TO - AMOUNT_FROM) / AMOUNT_STEP);
        for (int i = 0; i <= steps; i++) {
            double factor = AMOUNT_FROM + i * AMOUNT_STEP;
            double outside = outside(felt(sum.and(layer.counted().times(factor - 1))), target);
            tried.add(new Tried(
                    outside,
                    Math.abs(factor - 1),
                    "%s %s".formatted(moreOrLess(factor), layer.name()),
                    String.format(
                            Locale.ROOT,
                            "%s from %.2f to %.2f g.",
                            layer.name(),
                            layer.grams(),
                            layer.grams() * factor)));
        }
    }

    private static String moreOrLess(double factor) {
        String little = Math.abs(factor - 1) <= LITTLE + 1e-9 ? "A little " : "";
        return StringUtils.capitalize(little + (factor > 1 ? "more" : "less"));
    }

    /** Points outside beyond what an edge allows, each in shares of its band. */
    private static double outside(Points sum, Target target) {
        double all = 0;
        for (Need need : Need.values()) {
            Target.Range range = target.of(need);
            double edge = wants(need, lies(sum.of(need), range)) ? range.outside(sum.of(need)) : 0;
            all += 100 * edge / range.width();
        }
        return all;
    }

    private static String lacks(Points sum, Target target) {
        List<String> lacks = new ArrayList<>();
        for (Need need : Need.values()) {
            Lies lies = lies(sum.of(need), target.of(need));
            if (wants(need, lies)) {
                lacks.add("%s layer %s".formatted(lies == Lies.LOW ? "a more" : "a less", need.words()));
            }
        }
        return lacks.isEmpty() ? "it is near enough." : "it wants " + words(lacks) + ".";
    }

    private static String words(List<String> lacks) {
        return String.join(" and ", lacks).replace("layer ", "").replaceAll("(a (?:more|less) [a-z-]+)", "$1 layer");
    }
}
