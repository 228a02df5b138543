package outfell.causes;

import java.util.Optional;
import outfell.balance.Balance;
import outfell.knowledge.Because;
import outfell.routine.Part;

/**
 * The gauge of one routine.
 *
 * @param whyNot why the plan does not bring it in; absent where nothing need change, or another amount does it
 */
public record PartBalance(Part part, Balance.Gauge gauge, Optional<Because> whyNot) {}
