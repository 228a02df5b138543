package outfell.server.catalogue;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import outfell.product.Tag;

/** The table of ingredients, and what the practice says over it. */
@RestController
@RequestMapping("/api/ingredients")
class IngredientController {
    private static final String WHO = "Say who says it.";

    /**
     * What a name is.
     *
     * @param low lowest usual share of a finished product, percent; absent for what the table says
     * @param version how often the name was spoken of when this was typed
     */
    record OwnForm(
            @NotBlank(message = "Say which name is meant.") @Size(max = 200)
            String name,

            @NotNull @Size(max = 200) String common,
            @NotNull @Size(max = 40) Set<Tag> tags,

            @Schema(types = {"number", "null"}) @DecimalMin("0") @DecimalMax("100") @Nullable
            Double low,

            @Schema(types = {"number", "null"}) @DecimalMin("0") @DecimalMax("100") @Nullable
            Double high,

            @Schema(types = {"integer", "null"}) @Min(0) @Max(4) @Nullable
            Integer irritancy,

            @NotBlank(message = "Say why: what tells you so.") @Size(max = 1000)
            String why,

            @NotBlank(message = WHO) @Size(max = 120) String who,
            @Min(0) int version) {}

    record Withdrawal(
            @NotBlank @Size(max = 200) String name,

            @NotBlank(message = "Say why: what tells you so.") @Size(max = 1000)
            String why,

            @NotBlank(message = WHO) @Size(max = 120) String who,
            @Min(0) int version) {}

    private final IngredientBook book;

    IngredientController(IngredientBook book) {
        this.book = book;
    }

    /** Rows of the table among whose names the text stands. */
    @GetMapping
    IngredientBook.Found find(@RequestParam(defaultValue = "") @Size(max = 200) String text) {
        return book.find(text);
    }

    /** What the practice says over the table. */
    @GetMapping("/own")
    IngredientBook.Book own() {
        return book.book();
    }

    /** Says what a name is, over the table; answers which labels say something else since. */
    @PutMapping("/own")
    IngredientBook.IngredientAnswer say(@RequestBody @Valid OwnForm form) {
        return book.say(
                form.name(),
                form.common(),
                form.tags(),
                number(form.low()),
                number(form.high()),
                Optional.ofNullable(form.irritancy()),
                form.why(),
                form.who().strip(),
                form.version());
    }

    /** Takes a saying back. */
    @PostMapping("/own/withdrawn")
    IngredientBook.IngredientAnswer withdraw(@RequestBody @Valid Withdrawal form) {
        return book.withdraw(form.name(), form.why(), form.who().strip(), form.version());
    }

    private static OptionalDouble number(@Nullable Double x) {
        return x == null ? OptionalDouble.empty() : OptionalDouble.of(x);
    }
}
