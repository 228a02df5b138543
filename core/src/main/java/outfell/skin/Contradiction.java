package outfell.skin;

import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;

/**
 * Two findings that cannot both be right; never averaged away in silence.
 *
 * @param id the same as long as the same two disagree, such as "OIL:NOSE"
 * @param sides what each says; two
 * @param settled by whom and why, once it is
 */
public record Contradiction(String id, List<Saying> sides, Because because, Optional<Settlement> settled) {
    /** One side with what it says. */
    public record Saying(Settlement.Side side, String says) {}
}
