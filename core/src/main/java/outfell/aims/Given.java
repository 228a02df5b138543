package outfell.aims;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import outfell.choice.Solved;
import outfell.consultation.Consultation;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.safety.SafetyVerdict;
import outfell.skin.SkinVerdict;

/**
 * What of a client's plans no air moves: what her concerns are, what each product does for them and what keeps it out. Worked out once
 * for all the plans that are held against each other.
 */
public final class Given {
    private final Consultation consultation;
    private final SkinVerdict skin;
    private final SafetyVerdict safety;
    private final Patches patches;
    private final Serving serving;
    private final Map<ProductId, Integer> rank = new HashMap<>();
    private final Solved solved = new Solved();
    private final Map<Integer, Kept> bySpf = new HashMap<>();

    /** @param allowed what nothing keeps out */
    private record Kept(Barred barred, List<Product> allowed) {}

    public Given(Consultation consultation, SkinVerdict skin, SafetyVerdict safety) {
        this.consultation = consultation;
        this.skin = skin;
        this.safety = safety;
        this.patches = new Patches(consultation.patches(), skin.sensitivity().treatAsSensitive());
        this.serving = new Serving(skin, consultation.house().yardstick());
        List<ProductId> ids =
                consultation.products().stream().map(Product::id).sorted().toList();
        for (int i = 0; i < ids.size(); i++) {
            rank.put(ids.get(i), i);
        }
    }

    public Patches patches() {
        return patches;
    }

    /** @param spf the least that a sunscreen has: of the air it is all that keeps anything out */
    public Barred barred(int spf) {
        return kept(spf).barred();
    }

    /** What nothing keeps out, the shelf before the catalogue. */
    public List<Product> allowed(int spf) {
        return kept(spf).allowed();
    }

    private Kept kept(int spf) {
        return bySpf.computeIfAbsent(spf, s -> {
            Barred barred = new Barred(consultation, skin, safety, patches, s);
            return new Kept(
                    barred,
                    consultation.products().stream()
                            .filter(p -> !barred.bars(p))
                            .toList());
        });
    }

    /** What was chosen already. */
    public Solved solved() {
        return solved;
    }

    Serving serving() {
        return serving;
    }

    /** Its number among all products by their ids, from 0; of one that is none of them 0. */
    int rank(Product p) {
        return rank.getOrDefault(p.id(), 0);
    }

    /** How many products there are to number. */
    int products() {
        return rank.size();
    }
}
