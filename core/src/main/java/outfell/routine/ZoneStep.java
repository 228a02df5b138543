package outfell.routine;

import java.util.Optional;
import outfell.knowledge.Because;

/**
 * What a part of the face gets of a step and the rest does not.
 *
 * @param part in which routine; in both when absent
 * @param places "cheeks"
 * @param cm2 of them
 * @param seconds that it takes
 * @param amount share of a full coat, 0 to 1
 */
public record ZoneStep(
        Does does, Optional<Part> part, String places, double cm2, int seconds, double amount, Because because) {
    /** What is done there. */
    public enum Does {
        /** A second thin coat. */
        COAT,
        /** A soaked pad, held. */
        PAD,
        /** One place more than custom has it; its amount stands among the places. */
        PLACE
    }

    boolean in(Part routine) {
        return part.map(p -> p == routine).orElse(true);
    }
}
