package outfell.regimen;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import outfell.consultation.Consultation;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.routine.BareStep;
import outfell.supply.Supply;

/** What a month of a plan costs. */
public final class MonthCost {
    private MonthCost() {}

    /** Of what is not owned, where prices are known. */
    public static double toBuy(Consultation consultation, List<BareStep> steps) {
        Map<ProductId, Double> grams = new HashMap<>();
        steps.forEach(s -> grams.merge(s.product(), s.gramsAWeek(), Double::sum));
        double sum = 0;
        for (Product p : consultation.catalogue()) {
            Double aWeek = grams.get(p.id());
            sum += aWeek == null || consultation.owns(p.id())
                    ? 0
                    : Supply.month(p, aWeek).orElse(0);
        }
        return sum;
    }
}
