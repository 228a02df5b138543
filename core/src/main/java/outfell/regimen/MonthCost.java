package outfell.regimen;

import java.util.List;
import java.util.Map;
import outfell.consultation.Consultation;
import outfell.product.ProductId;
import outfell.routine.Step;
import outfell.supply.Supply;

/** What a month of a plan costs. */
public final class MonthCost {
    private MonthCost() {}

    /** Of what is not owned, where prices are known. */
    public static double toBuy(Consultation consultation, List<Step> steps) {
        Map<ProductId, Double> grams = Supply.gramsAWeek(steps);
        return grams.entrySet().stream()
                .filter(e -> !consultation.owns(e.getKey()))
                .mapToDouble(e -> consultation
                        .find(e.getKey())
                        .map(p -> Supply.month(p, e.getValue()).orElse(0))
                        .orElse(0.0))
                .sum();
    }
}
