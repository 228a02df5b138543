package outfell.server.catalogue;

import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.product.Composition;
import outfell.product.Direction;
import outfell.product.Directions;
import outfell.product.Finding;
import outfell.product.Kinds;
import outfell.product.LabelLine;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.Spelling;
import outfell.product.StepKind;

/** A product as the tool understands it. */
public record ProductView(
        ProductId id,
        String name,
        String maker,
        double size,
        String unit,
        double price,
        StepKind kind,
        String kindLabel,
        Optional<KindElse> kindElse,
        double texture,
        String textureWords,
        Composition.Shares shares,
        int spf,
        boolean prescription,
        List<Finding> findings,
        List<LineView> lines,
        List<String> unknown,
        List<String> left,
        List<Meant> meant,
        List<DirectionOf> directions) {

    /**
     * What can be directed of this kind of step, and what is.
     *
     * @param value what is directed; empty where nobody knows
     * @param words the same in words; empty where nobody knows
     * @param because who says it; absent where nobody does
     * @param toAsk whether it is to be asked at the chair: it changes what is done, and nobody has said it
     */
    public record DirectionOf(
            Direction direction,
            String question,
            List<Directions.Value> values,
            String value,
            String words,
            Optional<Because> because,
            boolean toAsk) {
        static List<DirectionOf> of(Product p) {
            return Directions.of(p.kind(), p.name()).stream()
                    .map(a -> of(a, Optional.ofNullable(p.directions().told().get(a.direction())), p))
                    .toList();
        }

        private static DirectionOf of(Directions.Asked asked, Optional<Directions.Told> told, Product p) {
            return new DirectionOf(
                    asked.direction(),
                    asked.question(),
                    asked.values(),
                    told.map(Directions.Told::value).orElse(""),
                    told.map(Directions.Told::words).orElse(""),
                    told.map(Directions.Told::because),
                    Directions.toAsk(p, asked));
        }
    }

    /** The kind that it may be instead, by the signs that weigh next most. */
    public record KindElse(StepKind kind, String label, Because because) {}

    /** What an unknown name may have been meant for; offered, never taken by itself. */
    public record Meant(String printed, List<Spelling.Guess> guesses) {}

    /**
     * One ingredient.
     *
     * @param known common name of what it was matched to; empty when unknown
     * @param inci INCI name of it; empty when unknown
     * @param low likely least share, percent
     */
    public record LineView(
            String printed, String known, String inci, double low, double high, boolean mayContain, String because) {}

    public static ProductView of(Product p) {
        return new ProductView(
                p.id(),
                p.name(),
                p.maker(),
                p.size(),
                p.unit(),
                p.price(),
                p.kind(),
                Kinds.of(p.kind()).label(),
                p.kindElse().map(k -> new KindElse(k.kind(), Kinds.of(k.kind()).label(), k.because())),
                p.texture(),
                ProductReader.textureWords(p.texture()),
                p.composition().shares(p.waterFree()),
                p.spf(),
                p.prescription(),
                p.findings(),
                p.label().lines().stream().map(ProductView::line).toList(),
                p.label().unknown(),
                p.label().left(),
                p.label().unknown().stream()
                        .distinct()
                        .map(u -> new Meant(u, Spelling.of(u)))
                        .filter(m -> !m.guesses().isEmpty())
                        .toList(),
                DirectionOf.of(p));
    }

    private static LineView line(LabelLine l) {
        return new LineView(
                l.printed(),
                l.ingredient().map(i -> i.common()).orElse(""),
                l.ingredient().map(i -> i.inci()).orElse(""),
                l.low(),
                l.high(),
                l.mayContain(),
                l.because().sentence());
    }
}
