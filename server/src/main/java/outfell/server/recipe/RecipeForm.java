package outfell.server.recipe;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;
import outfell.product.HomeUse;
import outfell.recipe.Measure;

/** A mixture as it is typed. */
public record RecipeForm(
        @NotBlank(message = "Give it a name, such as honey mask.")
        @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
        String name,

        @NotNull(message = "Say how it is used.") HomeUse use,

        boolean palm,
        boolean preserved,

        @NotEmpty(message = "Say what is in it.") @Size(max = 30, message = "A mixture has 30 parts at most.")
        List<@NotNull(message = "Say what it is.") @Valid PartForm> parts) {

    /**
     * @param item of the pantry, or absent
     * @param product by its id, when it is not of the pantry
     */
    public record PartForm(
            @Schema(types = {"string", "null"}) @Nullable String item,

            @Schema(types = {"string", "null"}) @Nullable String product,

            @DecimalMin(value = "0", inclusive = false, message = "How much? More than 0.")
            @DecimalMax(value = "10000", message = "That is too much; allowed is up to 10000.")
            double amount,

            @NotNull(message = "Say in which measure.") Measure measure) {}
}
