package outfell.causes;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import outfell.aims.Barred;
import outfell.aims.Posed;
import outfell.causes.ShelfAdvice.Fate;
import outfell.consultation.Consultation.Owned;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.product.ProductId;

/** What becomes of each thing that is owned: used, kept for another time, waiting, or stopped, and why. */
final class Fates {
    private final List<Owned> shelf;
    private final Posed.Found found;
    private final Barred barred;
    private final SetAside setAside;

    /** @param barred what may not stand, and what only waits */
    Fates(List<Owned> shelf, Posed.Found found, Barred barred, SetAside setAside) {
        this.shelf = shelf;
        this.found = found;
        this.barred = barred;
        this.setAside = setAside;
    }

    List<ShelfAdvice> all() {
        Set<ProductId> used = new LinkedHashSet<>();
        found.chosen().stream()
                .flatMap(Optional::stream)
                .forEach(c -> used.add(c.product().id()));
        return shelf.stream()
                .map(Owned::product)
                .map(p -> advice(p, used.contains(p.id())))
                .toList();
    }

    private ShelfAdvice advice(Product p, boolean used) {
        if (used) {
            return new ShelfAdvice(
                    p.id(), p.name(), Fate.USED, Cause.CHOICE, Because.house("It has its place in the plan."));
        }
        Optional<Because> forbidden = barred.anywhere(p);
        if (forbidden.isPresent()) {
            return new ShelfAdvice(
                    p.id(), p.name(), barred.onlyWaits(p) ? Fate.WAITS : Fate.STOP, Cause.SAFETY, forbidden.get());
        }
        SetAside.Why why = setAside.why(p);
        return new ShelfAdvice(
                p.id(), p.name(), Fate.SET_ASIDE, why.cause(), Because.house(why.sentence() + setAside.keepFor(p)));
    }
}
