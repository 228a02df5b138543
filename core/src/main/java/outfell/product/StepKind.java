package outfell.product;

/** Kinds of step, in the order in which a routine meets them; kinds.yaml says the rest. */
public enum StepKind {
    FIRST_CLEANSE,
    WASH,
    SCRUB,
    ENZYME,
    CLAY_MASK,
    TONER,
    ESSENCE,
    TREATMENT,
    SERUM,
    EYE,
    MOISTURISER,
    OIL,
    SEAL,
    LIP,
    SUNSCREEN;

    /** Whether it leaves the skin again. */
    public boolean comesOff() {
        return switch (this) {
            case FIRST_CLEANSE, WASH, SCRUB, ENZYME, CLAY_MASK -> true;
            case TONER, ESSENCE, TREATMENT, SERUM, EYE, MOISTURISER, OIL, SEAL, LIP, SUNSCREEN -> false;
        };
    }
}
