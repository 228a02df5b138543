package outfell.server.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.method.MethodId;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.recipe.Mixed;
import outfell.recipe.Recipe;
import outfell.recipe.RecipeReader;
import outfell.server.problem.Problem;

/** What a case brings along that does not ship: a method of its house, and what is mixed at home or in the palm. */
final class OfTheHouse {
    private OfTheHouse() {}

    /** The case's own method where it is named; else one that ships. */
    static Method method(CaseDocument c) {
        CaseDocument.OwnMethod own = c.ownMethod();
        if (own == null || !own.id().equals(c.method())) {
            return Cases.method(c.method());
        }
        if (Methods.find(own.id()).isPresent()) {
            throw Problem.field(
                    "/ownMethod/id", "A method called %s ships: give yours another id.".formatted(own.id()));
        }
        return Cases.at(
                "/ownMethod/settings",
                () -> Methods.of(
                        new MethodId(own.id()),
                        own.name(),
                        Optional.ofNullable(own.note()).orElse(""),
                        own.settings(),
                        Because.house(Optional.ofNullable(own.because()).orElse("The house works so."))));
    }

    /**
     * What a mixture is by what it is made of.
     *
     * @param known products that its parts may name, by id
     */
    static Product mixed(
            String pointer, ProductId id, String name, CaseDocument.Blend blend, Map<ProductId, Product> known) {
        List<Recipe.Part> parts = IntStream.range(0, blend.parts().size())
                .mapToObj(i -> Cases.at(
                        "%s/blend/parts/%d".formatted(pointer, i),
                        () -> part(blend.parts().get(i), known)))
                .toList();
        Mixed mixed = Cases.at(
                pointer + "/blend",
                () -> RecipeReader.read(new Recipe(name.strip(), blend.use(), blend.palm(), blend.preserved(), parts)));
        Product.Facts facts = mixed.facts();
        return ProductReader.read(new Product.Facts(
                id,
                facts.name(),
                facts.maker(),
                facts.size(),
                facts.unit(),
                facts.price(),
                facts.label(),
                facts.kind(),
                facts.texture(),
                false,
                List.of(),
                facts.home()));
    }

    private static Recipe.Part part(CaseDocument.BlendPart part, Map<ProductId, Product> known) {
        String item = part.item();
        if (item != null) {
            return Recipe.Part.ofPantry(item, part.amount(), part.measure());
        }
        return Recipe.Part.ofProduct(named(part.product(), known), part.amount(), part.measure());
    }

    private static Product named(@Nullable String id, Map<ProductId, Product> known) {
        if (id == null || id.isBlank()) {
            throw new IllegalArgumentException("Say what it is: something of the pantry, or a product of this case.");
        }
        return Optional.ofNullable(known.get(new ProductId(id)))
                .orElseThrow(() -> new IllegalArgumentException(
                        "There is no product %s in the case before this mixture.".formatted(id)));
    }
}
