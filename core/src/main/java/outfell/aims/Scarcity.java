package outfell.aims;

import outfell.routine.Part;

/** What a plan has only so much of. */
public enum Scarcity {
    /** Elapsed, without the waits that end a routine. */
    MORNING_MINUTES,
    EVENING_MINUTES,
    MORNING_STEPS,
    EVENING_STEPS,
    /** A month, in the practice's currency. */
    MONEY,
    /** A week, for strong work. */
    NIGHTS,
    /** Points of strong work a week. */
    LOAD,
    /** A week, of everything that takes off scales: acids, particles, enzymes, clay, acid washes. */
    EXFOLIATIONS,
    /** Strong actives, a prescription apart. */
    STRONG,
    /** Strong actives that are new to the client. */
    BEGINNERS,
    /** Things with an active that are new to the client, strong or not. */
    NEWCOMERS;

    static final int COUNT = values().length;

    static Scarcity minutes(Part part) {
        return part == Part.MORNING ? MORNING_MINUTES : EVENING_MINUTES;
    }

    static Scarcity steps(Part part) {
        return part == Part.MORNING ? MORNING_STEPS : EVENING_STEPS;
    }
}
