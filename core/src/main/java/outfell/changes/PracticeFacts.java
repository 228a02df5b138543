package outfell.changes;

import static outfell.changes.Facts.restored;
import static outfell.changes.Facts.union;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.causes.Cause;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Patched;
import outfell.consultation.OwnRule;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.product.ProductId;

/** In which two consultations differ by the practice: what is offered, its own rules, the patch tests that it has made. */
final class PracticeFacts {
    private final Consultation from;
    private final Consultation to;
    private final List<Fact> all;

    PracticeFacts(Consultation from, Consultation to, List<Fact> all) {
        this.from = from;
        this.to = to;
        this.all = all;
    }

    void find() {
        offers();
        rules();
        patches();
    }

    private void offers() {
        Map<ProductId, Product> was = offered(from);
        Map<ProductId, Product> is = offered(to);
        for (ProductId id : union(was, is)) {
            Optional<Product> before = Optional.ofNullable(was.get(id));
            Optional<Product> now = Optional.ofNullable(is.get(id));
            if (!before.equals(now)) {
                String name = now.or(() -> before).map(Product::name).orElseThrow();
                String how = now.isEmpty()
                        ? "%s is offered no more."
                        : before.isEmpty() ? "%s is offered now." : "What is known of %s has changed.";
                all.add(new Fact(
                        "offer " + id.value(),
                        Cause.PRACTICE,
                        Because.house(how.formatted(name)),
                        c -> c.with(c.consultation()
                                .parts()
                                .catalogue(restored(c.consultation().catalogue(), now, before))
                                .together())));
            }
        }
    }

    private void rules() {
        for (OwnRule rule : OwnRule.between(from.house(), to.house())) {
            all.add(new Fact(
                    "rule " + rule.because().rule().orElseThrow(),
                    Cause.PRACTICE,
                    rule.because(),
                    c -> c.with(c.consultation()
                            .parts()
                            .house(rule.back().apply(c.consultation().house()))
                            .together())));
        }
    }

    private void patches() {
        for (Patched patched : Stream.concat(to.patches().stream(), from.patches().stream())
                .filter(p -> !(from.patches().contains(p) && to.patches().contains(p)))
                .collect(Collectors.toMap(Patched::product, p -> p, (a, _) -> a, LinkedHashMap::new))
                .values()) {
            Optional<Patched> before = patched(from, patched.product());
            Optional<Patched> now = patched(to, patched.product());
            all.add(new Fact(
                    "patch " + patched.product().value(),
                    Cause.SAFETY,
                    Because.custom("The patch test of %s stands otherwise.".formatted(name(patched.product()))),
                    c -> c.with(c.consultation()
                            .parts()
                            .patches(restored(c.consultation().patches(), now, before))
                            .together())));
        }
    }

    private static Optional<Patched> patched(Consultation of, ProductId product) {
        return of.patches().stream().filter(p -> p.product().equals(product)).findFirst();
    }

    private String name(ProductId id) {
        return to.find(id).or(() -> from.find(id)).map(Product::name).orElse(id.value());
    }

    private static Map<ProductId, Product> offered(Consultation of) {
        Map<ProductId, Product> all = new LinkedHashMap<>();
        of.catalogue().forEach(p -> all.put(p.id(), p));
        return all;
    }
}
