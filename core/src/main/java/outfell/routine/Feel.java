package outfell.routine;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.StepKind;

/**
 * How a layer should not feel, and what to do then, from feel.yaml.
 *
 * @param sign what is felt or seen
 * @param then what to do
 * @param because the two in a sentence, with evidence and source
 */
public record Feel(String sign, String then, Because because) {
    private record Rule(
            String id,
            Feel feel,
            List<StepKind> kinds,
            List<ActiveKind> has,
            double thinUnder,
            double richFrom,
            int sheet) {
        boolean speaksOf(Product p) {
            return kinds.contains(p.kind())
                    && (has.isEmpty() || p.hasAny(has))
                    && p.texture() < thinUnder
                    && p.texture() >= richFrom;
        }

        static Rule read(Row row) {
            String sign = row.text("sign");
            String then = row.text("then");
            return new Rule(
                    row.text("id"),
                    new Feel(sign, then, row.because("%s: %s".formatted(sign, lower(then)))),
                    row.several("kinds", StepKind.class),
                    row.several("has", ActiveKind.class),
                    row.number("thin", Double.POSITIVE_INFINITY),
                    row.number("rich", 0),
                    row.whole("sheet", 0, 10));
        }

        private static String lower(String then) {
            return then.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + then.substring(1);
        }
    }

    private static final Row FILE = KnowledgeFile.yaml("feel.yaml");
    private static final List<Rule> RULES = Row.unique(FILE.rows("signs"), Rule::read, Rule::id);
    private static final int SHEET_MOST = FILE.whole("sheet-most", 0, 10);

    /** What may be felt of a product, in the order of the file. */
    public static List<Feel> of(Product product) {
        return RULES.stream().filter(r -> r.speaksOf(product)).map(Rule::feel).toList();
    }

    /** What the client's sheet tells of the products of a plan: the weightiest, each once. */
    public static List<Feel> forSheet(Stream<Product> products) {
        List<Product> all = products.distinct().toList();
        return RULES.stream()
                .filter(r -> r.sheet() > 0 && all.stream().anyMatch(r::speaksOf))
                .sorted(Comparator.comparingInt(r -> -r.sheet()))
                .limit(SHEET_MOST)
                .map(Rule::feel)
                .toList();
    }
}
