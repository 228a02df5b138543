package outfell.safety;

import java.util.List;

/**
 * What the client answers to the screen.
 *
 * @param allergies ids of known allergies, see safety.yaml
 * @param otherAllergies in her own words; matched against labels as text, and said to be a guess
 * @param prescribedRetinoid whether a prescriber has given one
 * @param settled who settled what had to be referred first, and when; empty while nobody has
 */
public record Answers(
        Expecting expecting,
        List<String> allergies,
        List<String> otherAllergies,
        boolean prescribedRetinoid,
        String settled) {
    public static final Answers NONE = new Answers(Expecting.NO, List.of(), List.of(), false, "");

    /** Pregnancy and nursing. */
    public enum Expecting {
        NO,
        PREGNANT,
        TRYING,
        BREASTFEEDING
    }

    public Answers {
        allergies = List.copyOf(allergies);
        otherAllergies = otherAllergies.stream()
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .toList();
    }
}
