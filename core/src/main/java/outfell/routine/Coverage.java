package outfell.routine;

/** A part of the face that one step may be kept to; its size is in amounts.yaml. */
public enum Coverage {
    T_ZONE,
    CHEEKS,
    CHIN_AND_JAW,
    DRY_PLACES,
    MARKS,
    EYE_AREA,
    NECK;

    /** "T-zone", "dry places". */
    public String words() {
        return Amounts.coverage(this).words();
    }

    /** Of what the step covers by itself, above 0 and at most 1. */
    public double share() {
        return Amounts.coverage(this).share();
    }
}
