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

    /**
     * Set by the therapist, whatever was computed.
     *
     * @param t band of forehead, nose and chin
     * @param u band of the cheeks
     */
    record SetByTherapist(Band t, Band u, Because because) implements TypeVerdict {}

    /** Only one side is known; its band stands in for the whole. */
    record Provisional(Band band, double oil, Because because) implements TypeVerdict {}

    /** Neither side is known. */
    record NotYet(Because because) implements TypeVerdict {}

    /** Band of the T side that a plan can be built on; normal while nothing is known. */
    default Band bandT() {
        return switch (this) {
            case Told told -> told.combination() ? told.t() : told.overall();
            case SetByTherapist set -> set.t();
            case Provisional provisional -> provisional.band();
            case NotYet _ -> Band.NORMAL;
        };
    }

    /** Both sides, as far as a plan can be built on them. */
    default FaceBands bands() {
        return new FaceBands(bandT(), bandU());
    }

    /** Band of the cheeks that a plan can be built on; normal while nothing is known. */
    default Band bandU() {
        return switch (this) {
            case Told told -> told.combination() ? told.u() : told.overall();
            case SetByTherapist set -> set.u();
            case Provisional provisional -> provisional.band();
            case NotYet _ -> Band.NORMAL;
        };
    }

    default boolean combination() {
        return switch (this) {
            case Told told -> told.combination();
            case SetByTherapist set -> set.t() != set.u();
            case Provisional _, NotYet _ -> false;
        };
    }

    /** As said aloud: "combination, oily T-zone with dry cheeks". */
    default String words() {
        return switch (this) {
            case Told told ->
                told.combination()
                        ? combined(told.t(), told.u())
                        : told.overall().words();
            case SetByTherapist set ->
                combination() ? combined(set.t(), set.u()) : set.t().words();
            case Provisional provisional ->
                "%s, for now".formatted(provisional.band().words());
            case NotYet _ -> "not known yet";
        };
    }

    private static String combined(Band t, Band u) {
        return "combination, %s T-zone with %s cheeks".formatted(t.words(), u.words());
    }
}
