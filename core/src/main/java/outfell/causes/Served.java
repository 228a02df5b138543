package outfell.causes;

import java.util.List;
import outfell.knowledge.Because;

/**
 * What is done for a concern.
 *
 * @param by names of the products that serve it; none when nothing may or can
 * @param cause of what kind the reason is that nothing does; the skin where something does
 */
public record Served(String concern, double weight, List<String> by, Cause cause, Because because) {}
