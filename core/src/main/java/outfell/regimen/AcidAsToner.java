package outfell.regimen;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Layout;
import outfell.routine.StepOrder;

/** A method by which an acid is the toner of its nights: the toner stands on the others. */
final class AcidAsToner {
    private AcidAsToner() {}

    /**
     * The nights that are left to the toners of an evening.
     *
     * @param own nights of the products that have nights of their own, and are used on all of them
     * @return nothing where the method has it otherwise, where there is no acid or none with nights, or where it has them all
     */
    static Map<ProductId, Layout.OnNights> toners(
            Method method, List<Product> evening, Map<ProductId, Layout.OnNights> own) {
        if (method.acidPlace() != Method.AcidPlace.AS_TONER) {
            return Map.of();
        }
        List<Product> acids = evening.stream()
                .filter(p -> takesItsPlace(p) && own.containsKey(p.id()))
                .toList();
        List<DayOfWeek> left = new ArrayList<>(List.of(DayOfWeek.values()));
        acids.stream()
                .flatMap(a -> Optional.ofNullable(own.get(a.id())).stream())
                .forEach(on -> left.removeAll(on.nights()));
        if (acids.isEmpty() || left.isEmpty()) {
            return Map.of();
        }
        Layout.OnNights on = new Layout.OnNights(
                left,
                Because.custom("On its nights %s is the toner: the %s method has it so."
                        .formatted(
                                acids.stream().map(Product::name).collect(Collectors.joining(" or ")), method.name())));
        return evening.stream()
                .filter(p -> p.kind() == StepKind.TONER && !own.containsKey(p.id()))
                .collect(Collectors.toMap(Product::id, _ -> on));
    }

    /** Whether a toner is to be left to one of the acids. */
    static boolean takesItsPlace(Product p) {
        return StepOrder.lowPh(p) && !p.prescription();
    }
}
