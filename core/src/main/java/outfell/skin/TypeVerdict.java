package outfell.skin;

import java.util.List;
import outfell.knowledge.Because;

/** Skin type: the oil axis only. Dehydration and sensitivity are apart from it. */
public sealed interface TypeVerdict {
    Because because();

    /**
     * Both sides are known.
     *
     * @param t band of forehead, nose and chin
     * @param u band of the cheeks
     * @param overall the band that a plan is built on: of the mean, or of each side when they part
     * @param combination whether the sides part
     * @param oilT oil of the T side, 0 to 100
     * @param oilU oil of the cheeks, 0 to 100
     * @param flags what else stands out, in words
     */
    record Told(
            Band t,
            Band u,
            Band overall,
            boolean combination,
            double oilT,
            double oilU,
            List<String> flags,
            Confidence confidence,
            Because because)
            implements TypeVerdict {}

    /** Only one side is known; its band stands in for the whole. */
    record Provisional(Band band, double oil, Because because) implements TypeVerdict {}

    /** Neither side is known. */
    record NotYet(Because because) implements TypeVerdict {}

    /** Band of the T side that a plan can be built on; normal while nothing is known. */
    default Band bandT() {
        return switch (this) {
            case Told told -> told.combination() ? told.t() : told.overall();
            case Provisional provisional -> provisional.band();
            case NotYet _ -> Band.NORMAL;
        };
    }

    /** Band of the cheeks that a plan can be built on; normal while nothing is known. */
    default Band bandU() {
        return switch (this) {
            case Told told -> told.combination() ? told.u() : told.overall();
            case Provisional provisional -> provisional.band();
            case NotYet _ -> Band.NORMAL;
        };
    }

    default boolean combination() {
        return this instanceof Told told && told.combination();
    }

    /** As said aloud: "combination, oily T-zone with dry cheeks". */
    default String words() {
        return switch (this) {
            case Told told
            when told.combination() ->
                "combination, %s T-zone with %s cheeks"
                        .formatted(told.t().words(), told.u().words());
            case Told told -> told.overall().words();
            case Provisional provisional ->
                "%s, for now".formatted(provisional.band().words());
            case NotYet _ -> "not known yet";
        };
    }
}
