package outfell.method;

/** Where a step may stand in a routine, see places.yaml. */
public enum Place {
    FIRST_CLEANSE,
    WASH,
    EXFOLIATION,
    MASK,
    LIP_SCRUB,
    /** An essence that goes on before the toner. */
    FIRST_ESSENCE,
    TONER,
    /** What works on clean skin at a low pH. */
    ACID,
    /** Serums and essences that only water, where a method has them apart. */
    WATER_LAYERS,
    /** Serums that work, where a method has them apart. */
    ACTIVES,
    /** A sheet or a cream of which the rest is pressed in. */
    LEAVE_ON_MASK,
    /** Stirred into the thin layer that follows. */
    POWDER,
    /** Every other thin layer, thinnest first. */
    LIGHT,
    EYES,
    LIGHT_EYES,
    PRESCRIPTION,
    OIL,
    RICH_EYES,
    /** A dot on each spot. */
    SPOTS,
    /** Rich serums and creams, thinnest first. */
    CREAMS,
    WATER_FREE,
    /** Over the cream, instead of a seal. */
    SLEEPING_MASK,
    LIPS,
    HANDS,
    BODY,
    SUNSCREEN,
    /** Make-up: after the sunscreen. */
    BASE,
    BEARD;

    /** Whether it is about the eyes alone. */
    public boolean isEyes() {
        return this == EYES || this == LIGHT_EYES || this == RICH_EYES;
    }
}
