package outfell.server.catalogue;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import outfell.product.NetSize;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;

/** A product as it is typed at the chair. */
public record ProductForm(
        @NotBlank(message = "Say what stands on the pack, in a few words.")
        @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
        String name,

        @NotNull @Size(max = 120, message = "The maker is too long; allowed is 120 characters.")
        String maker,

        @DecimalMin(value = "0", message = "A size cannot be less than 0.")
        @DecimalMax(value = "5000", message = "The size is too large; allowed is up to 5000.")
        double size,

        @NotNull @Pattern(regexp = "ml|g|fl oz|oz", message = "The unit is ml, g, fl oz or oz.")
        String unit,

        @DecimalMin(value = "0", message = "A price cannot be less than 0.")
        @DecimalMax(value = "100000", message = "The price is too high; allowed is up to 100000.")
        double price,

        @NotNull @Size(max = 20000, message = "The list is too long; allowed is 20000 characters.")
        String label,

        @Schema(types = {"string", "null"}) @Nullable StepKind kind,

        @Schema(types = {"number", "null"})
        @DecimalMin(value = "1", message = "Texture runs from 1, water-thin.")
        @DecimalMax(value = "8", message = "Texture runs to 8, ointment.")
        @Nullable
        Double texture,

        boolean prescription) {

    public Product.Facts facts(ProductId id) {
        return new Product.Facts(
                id,
                name,
                maker,
                NetSize.of(size, unit).amount(),
                NetSize.of(size, unit).unit(),
                price,
                label,
                Optional.ofNullable(kind),
                texture == null ? OptionalDouble.empty() : OptionalDouble.of(texture),
                prescription);
    }
}
