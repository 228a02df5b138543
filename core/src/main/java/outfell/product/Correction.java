package outfell.product;

import java.time.LocalDate;

/**
 * What a therapist has put right about a product; kept when its label is read again.
 *
 * @param of the name as printed, for a name; a {@link Direction}; empty for kind and texture
 * @param to an INCI name, or empty for "no ingredient"; a {@link StepKind}; a texture grade 1 to 8; what is directed, or empty where the pack is
 *     silent
 */
public record Correction(About about, String of, String to, String who, LocalDate on) {
    /** What can be put right. */
    public enum About {
        NAME,
        KIND,
        TEXTURE,
        DIRECTION
    }

    /** @throws IllegalArgumentException when it says what cannot be */
    public Correction {
        if (who.isBlank()) {
            throw new IllegalArgumentException("A correction needs the name of whoever makes it.");
        }
        switch (about) {
            case NAME -> {
                if (!to.isEmpty() && Ingredients.find(to).isEmpty()) {
                    throw new IllegalArgumentException("The table knows no ingredient \"%s\".".formatted(to));
                }
                if (of.isBlank()) {
                    throw new IllegalArgumentException("Say which name of the label is meant.");
                }
            }
            case KIND -> {
                if (!to.isEmpty()) {
                    StepKind.valueOf(to);
                }
            }
            case DIRECTION -> Directions.check(of, to);
            case TEXTURE -> {
                if (!to.isEmpty() && !(Double.parseDouble(to) >= 1 && Double.parseDouble(to) <= 8)) {
                    throw new IllegalArgumentException("Texture %s is outside 1..8.".formatted(to));
                }
            }
        }
    }
}
