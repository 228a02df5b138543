package outfell.causes;

/** What kind of fact lies behind an effect: the one whose taking back takes the effect back. */
public enum Cause {
    /** What harms, and what a prescriber owns. */
    SAFETY,
    /** The face as it was read. */
    SKIN,
    /** The air and the sun of a month at a place. */
    AIR,
    METHOD,
    MONEY,
    MINUTES,
    STEPS,
    /** Nights and load that the skin bears. */
    NIGHTS,
    /** What the client owns. */
    SHELF,
    TASTE,
    /** How the day is spent: outdoors, made up, in which rooms; what matters to the client. */
    DAY,
    /** What was used until then. */
    TIME,
    HAND,
    /** What the practice offers, and how it measures and weighs. */
    PRACTICE,
    /** Other products that do more for this skin. */
    CHOICE
}
