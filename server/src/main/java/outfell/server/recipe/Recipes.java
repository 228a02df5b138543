package outfell.server.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.knowledge.Because;
import outfell.product.Harms;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.recipe.Mixed;
import outfell.recipe.Recipe;
import outfell.recipe.RecipeReader;
import outfell.server.catalogue.Catalogue;
import outfell.server.catalogue.ProductView;
import outfell.server.client.ClientStore;
import outfell.server.client.Shelf;
import outfell.server.problem.Problem;
import tools.jackson.databind.json.JsonMapper;

/** Mixtures read, and put on a shelf. */
@Service
public class Recipes {
    /** A mixture as the tool understands it. */
    public record MixedView(
            double grams,
            List<Mixed.Share> shares,
            String label,
            ProductView product,
            List<Harms.Harm> harms,
            List<Mixed.Strength> strengths,
            List<Mixed.Dilution> dilutions,
            Mixed.Keeps keeps,
            List<Mixed.SunLoss> sun,
            List<Because> because) {}

    /** A mixture on a shelf: what was typed, and what it is by what is known today. */
    public record RecipeView(RecipeForm recipe, MixedView mixed) {}

    private final Catalogue catalogue;
    private final ClientStore clients;
    private final Shelf shelf;
    private final JsonMapper json;

    Recipes(Catalogue catalogue, ClientStore clients, Shelf shelf, JsonMapper json) {
        this.catalogue = catalogue;
        this.clients = clients;
        this.shelf = shelf;
        this.json = json;
    }

    public MixedView read(RecipeForm form) {
        return view(mixed(form));
    }

    /** @throws Problem when the client or a part is not known */
    @Transactional
    public List<Shelf.Item> put(UUID client, RecipeForm form, int weeks) {
        if (clients.find(client).isEmpty()) {
            throw Problem.notFound("client", client);
        }
        Product product = catalogue.addRecipe(mixed(form).facts(), json.writeValueAsString(form));
        return shelf.addKnown(client, product.id(), ClientStore.Use.NEW.after(weeks), List.of());
    }

    public RecipeView of(ProductId product) {
        RecipeForm form = catalogue
                .recipe(product)
                .map(text -> json.readValue(text, RecipeForm.class))
                .orElseThrow(() -> Problem.notFound("recipe of", product));
        return new RecipeView(form, read(form));
    }

    private Mixed mixed(RecipeForm form) {
        List<Recipe.Part> parts = new ArrayList<>();
        List<Problem.Field> faults = new ArrayList<>();
        for (int i = 0; i < form.parts().size(); i++) {
            try {
                parts.add(part(form.parts().get(i)));
            } catch (IllegalArgumentException wrong) {
                faults.add(new Problem.Field("/parts/%d".formatted(i), String.valueOf(wrong.getMessage()), ""));
            }
        }
        if (!faults.isEmpty()) {
            throw Problem.fields(faults);
        }
        try {
            return RecipeReader.read(new Recipe(form.name().strip(), form.use(), form.palm(), form.preserved(), parts));
        } catch (IllegalArgumentException wrong) {
            throw Problem.field("/parts", String.valueOf(wrong.getMessage()));
        }
    }

    private Recipe.Part part(RecipeForm.PartForm form) {
        if (form.item() != null) {
            return Recipe.Part.ofPantry(form.item(), form.amount(), form.measure());
        }
        if (form.product() == null || form.product().isBlank()) {
            throw new IllegalArgumentException("Say what it is.");
        }
        Product product = catalogue
                .find(new ProductId(form.product()))
                .orElseThrow(() -> new IllegalArgumentException("There is no product %s.".formatted(form.product())));
        return Recipe.Part.ofProduct(product, form.amount(), form.measure());
    }

    private static MixedView view(Mixed m) {
        return new MixedView(
                m.grams(),
                m.shares(),
                m.facts().label(),
                ProductView.of(m.product()),
                m.harms(),
                m.strengths(),
                m.dilutions(),
                m.keeps(),
                m.sun(),
                m.because());
    }
}
