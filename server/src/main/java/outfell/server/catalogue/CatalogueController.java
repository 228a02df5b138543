package outfell.server.catalogue;

import jakarta.validation.Valid;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import outfell.product.ProductId;
import outfell.product.ProductReader;

/** The house catalogue, and the reading of a label before anything is kept. */
@RestController
@RequestMapping("/api")
class CatalogueController {
    private final Catalogue catalogue;

    CatalogueController(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    @GetMapping("/products")
    List<ProductView> products() {
        return catalogue.house().stream().map(ProductView::of).toList();
    }

    @PostMapping("/products")
    @ResponseStatus(HttpStatus.CREATED)
    ProductView add(@RequestBody @Valid ProductForm form) {
        return ProductView.of(catalogue.add(form, true));
    }

    /** Reads a label and keeps nothing. */
    @PostMapping("/labels")
    ProductView read(@RequestBody @Valid ProductForm form) {
        return ProductView.of(ProductReader.read(form.facts(new ProductId("not-kept"))));
    }
}
