package outfell.regimen;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import outfell.consultation.Consultation;
import outfell.product.ProductId;
import outfell.routine.BareStep;
import outfell.supply.Supply;

/** What a month of a plan costs. */
public final class MonthCost {
    private MonthCost() {}

    /** Of what is not owned, where prices are known. */
    public static double toBuy(Consultation consultation, List<BareStep> steps) {
        Map<ProductId, Double> grams = new LinkedHashMap<>();
        steps.forEach(s -> grams.merge(s.product(), s.gramsAWeek(), Double::sum));
        return grams.entrySet().stream()
                .filter(e -> !consultation.owns(e.getKey()))
                .mapToDouble(e -> consultation
                        .find(e.getKey())
                        .map(p -> Supply.month(p, e.getValue()).orElse(0))
                        .orElse(0.0))
                .sum();
    }
}
