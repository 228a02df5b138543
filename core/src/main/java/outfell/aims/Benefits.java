package outfell.aims;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.commons.lang3.StringUtils;
import outfell.consultation.Yardstick;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ActiveIn;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.skin.Concern;

/** What helps what, from benefits.yaml. */
public final class Benefits {
    /** One row: an active against a concern within a useful range, percent, with the uses a week for full effect. */
    record Benefit(Concern concern, ActiveKind active, double low, double high, double full, Because because) {}

    /**
     * What one product does for one concern.
     *
     * @param share of the concern's weight, 0 to 1
     */
    public record Help(Concern concern, ActiveIn in, double share, Benefit benefit) {
        ActiveKind active() {
            return in.kind();
        }

        public Because because() {
            String enough =
                    in.low() > benefit.high() ? ", where %s %% is enough".formatted(percent(benefit.high())) : "";
            return benefit.because()
                    .withSentence("%s (%s%s) for %s."
                            .formatted(
                                    StringUtils.capitalize(Actives.of(in.kind()).label()),
                                    in.strength(),
                                    enough,
                                    concern.words()));
        }
    }

    private static String percent(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : String.valueOf(x);
    }

    /** What a product is not for, or for a share only, whatever its base holds. */
    private record Purpose(
            List<Concern> concerns, List<ActiveKind> holding, List<StepKind> kinds, double share, Because because) {
        boolean speaksOf(Product p, Concern concern) {
            return concerns.contains(concern) && (p.hasAny(holding) || kinds.contains(p.kind()));
        }
    }

    private static final Row FILE = KnowledgeFile.yaml("benefits.yaml");
    private static final List<Benefit> ALL =
            Row.unique(FILE.rows("benefits"), Benefits::read, b -> b.concern() + " " + b.active());
    private static final Map<ActiveKind, List<Benefit>> BY_ACTIVE = ALL.stream()
            .collect(
                    Collectors.groupingBy(Benefit::active, () -> new EnumMap<>(ActiveKind.class), Collectors.toList()));
    private static final List<Purpose> PURPOSES =
            FILE.rows("purposes").stream().map(Benefits::purpose).toList();
    private static final Map<StepKind, Double> REACH = reach();
    private static final Map<Concern, StepKind> ONLY = only();

    private Benefits() {}

    /** The best help of a product for each concern, at so many uses a week. */
    public static List<Help> of(Product product, double usesPerWeek, Yardstick yardstick) {
        Map<Concern, Help> best = new EnumMap<>(Concern.class);
        for (ActiveIn active : product.actives()) {
            for (Benefit benefit : BY_ACTIVE.getOrDefault(active.kind(), List.of())) {
                double share = share(product, active, benefit, usesPerWeek, yardstick);
                Help before = best.get(benefit.concern());
                if (share > 0 && (before == null || share > before.share())) {
                    best.put(benefit.concern(), new Help(benefit.concern(), active, share, benefit));
                }
            }
        }
        return new ArrayList<>(best.values());
    }

    private static double share(
            Product product, ActiveIn active, Benefit benefit, double usesPerWeek, Yardstick yardstick) {
        StepKind only = ONLY.get(benefit.concern());
        double reach = only == null ? REACH.getOrDefault(product.kind(), 0.0) : only == product.kind() ? 1 : 0;
        double purpose = reach == 0 ? 0 : purpose(product, benefit.concern());
        return purpose == 0
                ? 0
                : purpose
                        * yardstick.of(benefit.because().evidence())
                        * fit(active, benefit, yardstick)
                        * Math.min(1, usesPerWeek / benefit.full())
                        * reach;
    }

    private static double purpose(Product product, Concern concern) {
        double share = 1;
        for (Purpose purpose : PURPOSES) {
            if (purpose.share() < share && purpose.speaksOf(product, concern)) {
                share = purpose.share();
            }
        }
        return share;
    }

    /** Inside or above the useful range counts whole, surely below a part, a range that straddles its foot between. */
    private static double fit(ActiveIn active, Benefit benefit, Yardstick yardstick) {
        if (active.low() >= benefit.low()) {
            return 1;
        }
        return active.high() < benefit.low() ? yardstick.belowUseful() : yardstick.strengthUnknown();
    }

    private static Purpose purpose(Row row) {
        Purpose purpose = new Purpose(
                row.several("concerns", Concern.class),
                row.several("holding", ActiveKind.class),
                row.several("kinds", StepKind.class),
                row.number("share", 0, 1),
                row.because("purpose"));
        row.done();
        return purpose;
    }

    private static Benefit read(Row row) {
        Concern concern = row.one("concern", Concern.class);
        ActiveKind active = row.one("active", ActiveKind.class);
        double low = row.number("low", 0, 100);
        return new Benefit(
                concern,
                active,
                low,
                row.number("high", low, 100),
                row.number("full", 1, 14),
                row.because("%s helps %s.".formatted(Actives.of(active).label(), concern.words())));
    }

    private static Map<StepKind, Double> reach() {
        Row row = FILE.row("reach");
        Map<StepKind, Double> map = new EnumMap<>(StepKind.class);
        for (StepKind kind : StepKind.values()) {
            map.put(kind, row.number(kind.name().toLowerCase(java.util.Locale.ROOT), 0, 1));
        }
        row.done();
        return map;
    }

    private static Map<Concern, StepKind> only() {
        Row row = FILE.row("only");
        Map<Concern, StepKind> map = new EnumMap<>(Concern.class);
        for (Concern concern : Concern.values()) {
            String key = concern.name().toLowerCase(java.util.Locale.ROOT);
            if (row.has(key)) {
                map.put(concern, row.one(key, StepKind.class));
            }
        }
        row.done();
        return map;
    }
}
