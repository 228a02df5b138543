package outfell.server.catalogue;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import outfell.knowledge.Because;
import outfell.product.ActiveKind;
import outfell.product.Correction;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.server.problem.Problem;
import outfell.shelf.Finder;
import outfell.shelf.SideBySide;
import outfell.shelf.Substitutes;
import outfell.skin.Concern;

/** The house catalogue, and the reading of a label before anything is kept. */
@RestController
@RequestMapping("/api")
class CatalogueController {
    record SubstituteView(ProductId id, String name, Because because) {}

    /** What would do the job, and where nothing would, why not. */
    record InsteadView(List<SubstituteView> found, Optional<Because> none) {}

    /** @param version that the change was made on */
    record ProductEdit(
            int version,

            @Valid @NotNull(message = "Say what it is now.") ProductForm product,

            @NotBlank(message = "Say who changes it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String who) {}

    record Retirement(
            int version,

            boolean retired,

            @NotBlank(message = "Say who decides it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String who) {}

    record CorrectionForm(
            int version,
            @NotNull(message = "Say what is put right.") Correction.About about,
            @NotNull @Size(max = 200) String of,
            @NotNull @Size(max = 200) String to,

            @NotBlank(message = "Say who puts it right.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String who) {}

    private final Catalogue catalogue;

    CatalogueController(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    @PostMapping("/products")
    @ResponseStatus(HttpStatus.CREATED)
    ProductView add(@RequestBody @Valid ProductForm form) {
        return ProductView.of(catalogue.add(form, true));
    }

    /** Everything about one product. */
    @GetMapping("/products/{id}")
    Catalogue.Detail product(@PathVariable String id) {
        return catalogue.detail(new ProductId(id));
    }

    /** Search as one types: every word and every filter must fit. */
    @GetMapping("/products/search")
    Catalogue.SearchResult search(
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "") Set<StepKind> kinds,
            @RequestParam(defaultValue = "") Set<ActiveKind> actives,
            @RequestParam(defaultValue = "") Set<Concern> concerns,
            @RequestParam(defaultValue = "") Set<Finder.FreeOf> free,
            @RequestParam(required = false) @Nullable Double leastTexture,
            @RequestParam(required = false) @Nullable Double mostTexture,
            @RequestParam(required = false) @Nullable Double mostPrice) {
        return catalogue.find(new Finder.Wanted(
                text, kinds, actives, concerns, free, bound(leastTexture), bound(mostTexture), bound(mostPrice)));
    }

    private static OptionalDouble bound(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** Two to four side by side. */
    @GetMapping("/products/comparison")
    List<SideBySide.ComparisonRow> compare(@RequestParam List<String> ids) {
        if (ids.size() < 2 || ids.size() > 4) {
            throw Problem.field("/ids", "%d products cannot be compared; two to four can.".formatted(ids.size()));
        }
        return catalogue.compare(ids);
    }

    /** What else would do this job, better in the way wanted. */
    @GetMapping("/products/{id}/substitutes")
    InsteadView substitutes(@PathVariable String id, @RequestParam Substitutes.Want want) {
        Substitutes.Instead instead = catalogue.substitutes(new ProductId(id), want);
        return new InsteadView(
                instead.found().stream()
                        .map(s ->
                                new SubstituteView(s.product().id(), s.product().name(), s.because()))
                        .toList(),
                instead.none());
    }

    /** A new name, price or formula. */
    @PutMapping("/products/{id}")
    Catalogue.Detail change(@PathVariable String id, @RequestBody @Valid ProductEdit form) {
        return catalogue.change(new ProductId(id), form.product(), form.who().strip(), form.version());
    }

    @PutMapping("/products/{id}/retirement")
    Catalogue.Detail retire(@PathVariable String id, @RequestBody @Valid Retirement form) {
        return catalogue.retire(new ProductId(id), form.retired(), form.who().strip(), form.version());
    }

    /** Puts right a name, the kind or the texture; it stays when the label is read again. */
    @PutMapping("/products/{id}/corrections")
    Catalogue.Detail correct(@PathVariable String id, @RequestBody @Valid CorrectionForm form) {
        return catalogue.correct(
                new ProductId(id),
                form.about(),
                form.of(),
                form.to(),
                form.who().strip(),
                form.version());
    }

    @DeleteMapping("/products/{id}/corrections")
    Catalogue.Detail uncorrect(
            @PathVariable String id,
            @RequestParam Correction.About about,
            @RequestParam String of,
            @RequestParam int version) {
        return catalogue.uncorrect(new ProductId(id), about, of, version);
    }

    /** Reads a label and keeps nothing. */
    @PostMapping("/labels")
    ProductView read(@RequestBody @Valid ProductForm form) {
        return ProductView.of(catalogue.read(form.facts(new ProductId("not-kept"))));
    }
}
