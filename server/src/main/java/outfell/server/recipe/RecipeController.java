package outfell.server.recipe;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import outfell.product.HomeUse;
import outfell.product.ProductId;
import outfell.recipe.Pantry;
import outfell.server.client.Shelf;

/** Mixtures made at home. */
@RestController
@RequestMapping("/api")
class RecipeController {
    record PantryView(List<Pantry.PantryItem> items, List<Pantry.MeasureWords> measures, List<HomeUseWords> uses) {}

    record HomeUseWords(HomeUse use, String label) {}

    record ShelfRecipe(
            @NotNull(message = "Say what is mixed.") @Valid RecipeForm recipe,

            @Min(value = 0, message = "Weeks run from 0.") @Max(value = 2000, message = "Weeks run to 2000.")
            int weeks) {}

    private final Recipes recipes;

    RecipeController(Recipes recipes) {
        this.recipes = recipes;
    }

    /** What can be mixed, and how it is measured. */
    @GetMapping("/pantry")
    PantryView pantry() {
        return new PantryView(
                Pantry.items(),
                Pantry.measures(),
                Arrays.stream(HomeUse.values())
                        .map(u -> new HomeUseWords(u, u.words()))
                        .toList());
    }

    /** Reads a mixture and keeps nothing. */
    @PostMapping("/recipes")
    Recipes.MixedView read(@RequestBody @Valid RecipeForm form) {
        return recipes.read(form);
    }

    @PostMapping("/clients/{id}/shelf/recipes")
    List<Shelf.Item> put(@PathVariable UUID id, @RequestBody @Valid ShelfRecipe form) {
        return recipes.put(id, form.recipe(), form.weeks());
    }

    @GetMapping("/products/{id}/recipe")
    Recipes.RecipeView of(@PathVariable String id) {
        return recipes.of(new ProductId(id));
    }
}
