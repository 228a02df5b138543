package outfell.product;

import java.util.List;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/**
 * What a product is made of, as mass fractions 0 to 1: judged from the label's likely ranges.
 *
 * @param humectant binds water
 * @param emollient softens; oils of UV filters included
 * @param occlusive seals; what both softens and seals counts half in each, as dimethicone does
 * @param filter UV filters
 */
public record Composition(double humectant, double emollient, double occlusive, double filter) {
    /** Something of what is listed is in it, however much is declared. */
    private static final Row SHARES = KnowledgeFile.yaml("shares.yaml");

    private static final double LEAST_OPEN = SHARES.number("least-open", 0, 1);
    private static final double LEAST_WATER = SHARES.number("least-water", 0, 1);
    private static final List<Taken> TAKEN_AS = Row.unique(SHARES.rows("taken-as"), Taken::read, Taken::under);

    /** The mass fraction that a likely share under a bound, percent, is taken for. */
    private record Taken(double under, double fraction) {
        static Taken read(Row row) {
            row.because(row.text("id"));
            double under = row.has("under") ? row.number("under", 0, 100) : Double.POSITIVE_INFINITY;
            return new Taken(under, row.number("fraction", 0, 1));
        }
    }

    public static final Composition NONE = new Composition(0, 0, 0, 0);

    /** Shares of the four bands in which a layer is drawn; they add up to 1. */
    public record Shares(double water, double oils, double sealing, double filter) {}

    static Composition of(List<LabelLine> certain) {
        return of(certain, 1);
    }

    /**
     * The same of a product that is mostly water.
     *
     * @param solids the most that is not water, as a mass fraction: what the label's order leaves open shares what is left of it
     */
    static Composition of(List<LabelLine> certain, double solids) {
        double declared = 0;
        double open = 0;
        for (LabelLine line : certain) {
            if (line.declared().isPresent()) {
                declared += fraction(line);
            } else if (line.isAny(Tag.HUMECTANT, Tag.EMOLLIENT, Tag.OCCLUSIVE, Tag.UV_ORGANIC, Tag.UV_MINERAL)) {
                open += fraction(line);
            }
        }
        double left = Math.max(LEAST_OPEN, solids - declared);
        return scaled(certain, open > left && solids < 1 ? left / open : 1);
    }

    /** @param share of what is likely that each line which declares nothing is taken for */
    private static Composition scaled(List<LabelLine> certain, double share) {
        double h = 0;
        double e = 0;
        double o = 0;
        double f = 0;
        for (LabelLine line : certain) {
            double fraction = fraction(line) * (line.declared().isPresent() ? 1 : share);
            boolean softens = line.is(Tag.EMOLLIENT);
            boolean seals = line.is(Tag.OCCLUSIVE) && !line.is(Tag.UV_MINERAL);
            h += line.is(Tag.HUMECTANT) ? fraction : 0;
            e += softens && seals ? fraction / 2 : softens || line.is(Tag.UV_ORGANIC) ? fraction : 0;
            o += softens && seals ? fraction / 2 : seals ? fraction : 0;
            f += line.isAny(Tag.UV_ORGANIC, Tag.UV_MINERAL) ? fraction : 0;
        }
        return new Composition(round(h), round(e), round(o), round(f));
    }

    /** Declared shares are exact; likely ones fall into five bands: trace, low, medium, high, very high. House judgement. */
    private static double fraction(LabelLine line) {
        if (line.declared().isPresent()) {
            return line.declared().getAsDouble() / 100;
        }
        double percent = line.likely();
        return TAKEN_AS.stream()
                .filter(t -> percent < t.under())
                .findFirst()
                .map(Taken::fraction)
                .orElseThrow();
    }

    public Shares shares(boolean waterFree) {
        double water = waterFree ? 0 : Math.max(LEAST_WATER, 1 - emollient - occlusive - filter);
        double sum = water + emollient + occlusive + filter;
        if (sum == 0) {
            return new Shares(1, 0, 0, 0);
        }
        return new Shares(round(water / sum), round(emollient / sum), round(occlusive / sum), round(filter / sum));
    }

    private static double round(double x) {
        return Math.round(x * 1000) / 1000.0;
    }
}
