package outfell.causes;

import java.util.List;
import outfell.knowledge.Because;

/** @param by names of the products that serve it; none when nothing may or can */
public record Served(String concern, double weight, List<String> by, Because because) {}
