package outfell.sun;

import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.knowledge.KnowledgeFile;

/** What is left of an SPF when less than the tested film lies on the skin; both published laws, never added up. */
public final class Film {
    /** Density at which SPF is tested, mg/cm². */
    public static final double TESTED = KnowledgeFile.yaml("film.yaml").number("tested", 0.1, 10);

    /**
     * What a thinner film keeps.
     *
     * @param density mg/cm²
     * @param careful by the exponential law, which the tool reckons with; 1 is none
     * @param hopeful by the linear law
     */
    public record KeptFilm(double density, double careful, double hopeful, Because because) {}

    private Film() {}

    /**
     * @param spf on the pack, 1 or more
     * @param density mg/cm², 0 or more; more than the tested film counts as that
     */
    public static KeptFilm kept(int spf, double density) {
        if (spf < 1 || density < 0) {
            throw new IllegalArgumentException("SPF %d at %s mg/cm² is no film.".formatted(spf, density));
        }
        double share = Math.min(1, density / TESTED);
        return new KeptFilm(
                density,
                Math.pow(spf, share),
                1 + (spf - 1) * share,
                new Because(
                        "SPF falls with the thickness of the film: by the careful law as its power, by the hopeful one in a straight line; the truth lies between.",
                        Evidence.SMALL,
                        "faurschou-2007"));
    }
}
