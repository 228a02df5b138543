package outfell.skin;

import java.util.Optional;
import java.util.OptionalInt;

/**
 * What the client says of her skin.
 *
 * @param flush how often the face reddens and heats, 0 never to 4 daily
 * @param reactions to products in the last twelve months, 0 or more
 * @param swings whether she says "oily in summer, dry in winter"
 * @param says the type she believes in
 * @param burns class of phototypes.yaml, 1 always burns to 6 hardly ever
 * @param tans class of phototypes.yaml, 1 never tans to 6 deep by nature
 * @param age in years, 0 to 120
 * @param beard whether there is a beard or a shave
 */
public record History(
        OptionalInt flush,
        OptionalInt reactions,
        boolean swings,
        Optional<Says> says,
        OptionalInt burns,
        OptionalInt tans,
        OptionalInt age,
        boolean beard) {
    public static final History NONE = new History(
            OptionalInt.empty(),
            OptionalInt.empty(),
            false,
            Optional.empty(),
            OptionalInt.empty(),
            OptionalInt.empty(),
            OptionalInt.empty(),
            false);

    /** A type in the client's own word. */
    public enum Says {
        DRY,
        NORMAL,
        OILY,
        COMBINATION
    }

    public History {
        within("Flush", flush, 0, 4);
        within("Reactions", reactions, 0, 50);
        within("Burning class", burns, 1, 6);
        within("Tanning class", tans, 1, 6);
        within("Age", age, 0, 120);
    }

    private static void within(String what, OptionalInt value, int least, int most) {
        if (value.isPresent() && (value.getAsInt() < least || value.getAsInt() > most)) {
            throw new IllegalArgumentException(
                    "%s %d is outside %d..%d.".formatted(what, value.getAsInt(), least, most));
        }
    }
}
