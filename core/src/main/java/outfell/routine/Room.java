package outfell.routine;

import java.util.function.Supplier;
import outfell.knowledge.Because;

/**
 * How much of everything there is room for beside all that was chosen.
 *
 * @param air what the air makes of amounts
 * @param zones whether parts of the face get their second coat
 * @param reach so many further places get sunscreen, as {@link Where#of(outfell.product.Product, int)} counts them
 * @param full why the next place gets none; found out when it is asked for
 */
public record Room(ByAir air, boolean zones, int reach, Supplier<Because> full) {
    private static final Because ALL = Because.house("All that the sun reaches gets it.");

    /** The same with parts of the face getting their second coat. */
    public Room withZones() {
        return new Room(air, true, reach, full);
    }

    /** The same as far as this many further places, and why not one more. */
    public Room reaching(int places, Supplier<Because> why) {
        return new Room(air, zones, places, why);
    }

    /** The places of custom, nothing more anywhere. */
    public static Room of(ByAir air) {
        return new Room(air, false, 0, () -> ALL);
    }
}
