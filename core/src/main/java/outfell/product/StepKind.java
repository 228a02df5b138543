package outfell.product;

/** Kinds of step, in the order in which a routine meets them; kinds.yaml says the rest. */
public enum StepKind {
    FIRST_CLEANSE,
    WASH,
    SCRUB,
    ENZYME,
    CLAY_MASK,
    RINSE_MASK,
    LIP_SCRUB,
    TONER,
    ESSENCE,
    /** A sheet, or a cream that is left on for some minutes, of which the rest is pressed in. */
    LEAVE_ON_MASK,
    /** Stirred into a watery layer in the palm. */
    POWDER,
    TREATMENT,
    SERUM,
    /** A dot on each spot. */
    SPOT,
    EYE,
    MOISTURISER,
    SLEEPING_MASK,
    OIL,
    SEAL,
    LIP,
    LIP_MASK,
    HAND,
    BODY,
    SUNSCREEN,
    BASE,
    BEARD_OIL;

    /** Whether it leaves the skin again. */
    public boolean comesOff() {
        return switch (this) {
            case FIRST_CLEANSE, WASH, SCRUB, ENZYME, CLAY_MASK, RINSE_MASK, LIP_SCRUB -> true;
            case TONER,
                    ESSENCE,
                    LEAVE_ON_MASK,
                    POWDER,
                    TREATMENT,
                    SERUM,
                    SPOT,
                    EYE,
                    MOISTURISER,
                    SLEEPING_MASK,
                    OIL,
                    SEAL,
                    LIP,
                    LIP_MASK,
                    HAND,
                    BODY,
                    SUNSCREEN,
                    BASE,
                    BEARD_OIL -> false;
        };
    }

    /** Whether it meets nothing that lies on the skin of the face: lips, hands, body and hair. */
    public boolean besideTheFace() {
        return switch (this) {
            case LIP, LIP_MASK, LIP_SCRUB, HAND, BODY, BEARD_OIL -> true;
            default -> false;
        };
    }

    /** Whether steps and minutes of the face's care are counted without it: make-up, hands, hair, body, and what lips get beside their balm. */
    public boolean besideTheCare() {
        return switch (this) {
            case LIP_SCRUB, LIP_MASK, HAND, BODY, BASE, BEARD_OIL -> true;
            default -> false;
        };
    }

    /** Whether it is for some evenings by what it is, whatever it holds. */
    public boolean someEvenings() {
        return switch (this) {
            case SCRUB, ENZYME, CLAY_MASK, RINSE_MASK, LIP_SCRUB, LEAVE_ON_MASK, SLEEPING_MASK -> true;
            default -> false;
        };
    }

    /**
     * Whether no plan chooses it by itself: it stands where the client does it already, or where somebody puts it in. hers.yaml says
     * when such a thing is done.
     */
    public boolean onlyHers() {
        return switch (this) {
            case RINSE_MASK, LIP_SCRUB, LEAVE_ON_MASK, POWDER, SLEEPING_MASK, LIP_MASK, HAND, BODY, BASE, BEARD_OIL ->
                true;
            default -> false;
        };
    }
}
