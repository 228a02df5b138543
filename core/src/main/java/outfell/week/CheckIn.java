package outfell.week;

import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/**
 * How the skin took the last weeks, as she says at a visit, by telephone or from home.
 *
 * @param sting 0 none to 4 unbearable, after the strong step; absent when nobody asked
 * @param redness 0 to 4
 * @param flaking 0 to 4
 * @param swelling whether there was swelling or a blister
 * @param skipped strong nights left out since the last check-in; absent when nobody asked
 * @param seen who looked at a swelling; absent as long as nobody has
 */
public record CheckIn(
        LocalDate on,
        OptionalInt sting,
        OptionalInt redness,
        OptionalInt flaking,
        boolean swelling,
        OptionalInt skipped,
        Optional<Seen> seen) {
    /**
     * A swelling that a doctor has looked at.
     *
     * @param by who looked
     * @param said what they said
     */
    public record Seen(LocalDate on, String by, String said) {
        public Seen {
            if (by.isBlank() || said.isBlank()) {
                throw new IllegalArgumentException("Say who looked at it and what they said.");
            }
        }
    }

    /** What a check-in asks of the strong actives, the mildest first. */
    public enum Says {
        /** all three are at most 1, or no worse than before */
        CALM,
        /** not everything was asked, and what was asked is calm */
        NOT_TOLD,
        /** half the nights for a while */
        STEP_BACK,
        /** stop, calm the skin, go back when two check-ins are calm */
        RESET,
        /** stop, and a doctor looks at it */
        REFER
    }

    private static final Row FILE = KnowledgeFile.yaml("checkin.yaml");
    private static final int CALM_MOST = FILE.whole("calm-most", 0, 4);
    private static final int RISE = FILE.whole("rise", 0, 4);
    private static final Row STEP_BACK = FILE.row("step-back");
    private static final Row RESET = FILE.row("reset");
    private static final Row REFER = FILE.row("refer");
    /** What is said to whoever tells of a swelling, until somebody has looked at it. */
    public static final String URGENT = REFER.text("urgent");

    private static final int BACK_STING = STEP_BACK.whole("sting", 1, 4);
    private static final int BACK_REDNESS = STEP_BACK.whole("redness", 1, 4);
    private static final int BACK_FLAKING = STEP_BACK.whole("flaking", 1, 4);
    private static final int RESET_STING = RESET.whole("sting", 1, 4);
    private static final int RESET_REDNESS = RESET.whole("redness", 1, 4);
    /** Weeks of half the nights. */
    static final int WEEKS_BACK = STEP_BACK.whole("weeks", 1, 12);
    /** Calm check-ins that end a reset. */
    static final int CALM_ENDS = RESET.whole("calm-check-ins", 1, 5);
    /** Days that a reset lasts at least; after as many without any sign getting better a doctor looks at it. */
    static final int RESET_DAYS = RESET.whole("days", 1, 60);
    /** Days from one calm check-in to the next that counts. */
    static final int RESET_APART = RESET.whole("apart", 1, 60);
    /** Share of a week's strong nights that may be left out. */
    static final double SKIPPED = FILE.number("skipped", 0, 1);

    /** For how many weeks back check-ins are told beside the weeks of a plan. */
    public static final int TOLD_WEEKS = FILE.whole("told-weeks", 1, 520);
    /** Weeks to the next check-in while something is led up to, in a calm reset, and when nothing is. */
    public static final int EVERY_LED_UP = FILE.row("every").whole("led-up", 1, 26);

    public static final int EVERY_IN_RESET = FILE.row("every").whole("in-reset", 1, 26);

    public static final int EVERY_SETTLED = FILE.row("every").whole("settled", 1, 26);

    public CheckIn {
        within("Stinging", sting, 4);
        within("Redness", redness, 4);
        within("Flaking", flaking, 4);
        within("Nights left out", skipped, 60);
        if (seen.isPresent() && !swelling) {
            throw new IllegalArgumentException("There was no swelling to be looked at.");
        }
        if (seen.filter(x -> x.on().isBefore(on)).isPresent()) {
            throw new IllegalArgumentException("It cannot have been looked at before it was there.");
        }
    }

    /** One without a swelling that was looked at. */
    public CheckIn(
            LocalDate on,
            OptionalInt sting,
            OptionalInt redness,
            OptionalInt flaking,
            boolean swelling,
            OptionalInt skipped) {
        this(on, sting, redness, flaking, swelling, skipped, Optional.empty());
    }

    /** What there was before, so that only a rise counts. */
    public record Before(OptionalInt redness, OptionalInt flaking) {
        public static final Before UNKNOWN = new Before(OptionalInt.empty(), OptionalInt.empty());
    }

    /** @param before the check-in before it, or the face as it was read */
    public Says says(Before before) {
        if (swelling) {
            return Says.REFER;
        }
        if (sting.orElse(0) >= RESET_STING || rose(redness, before.redness(), RESET_REDNESS)) {
            return Says.RESET;
        }
        if (sting.orElse(0) >= BACK_STING
                || rose(redness, before.redness(), BACK_REDNESS)
                || rose(flaking, before.flaking(), BACK_FLAKING)) {
            return Says.STEP_BACK;
        }
        return sting.isEmpty() || redness.isEmpty() || flaking.isEmpty() ? Says.NOT_TOLD : Says.CALM;
    }

    /** Whether it counts towards the end of a reset: then every sign must be low, whatever it was before. */
    boolean allLow() {
        return !swelling && isLow(sting) && isLow(redness) && isLow(flaking);
    }

    static boolean isLow(OptionalInt grade) {
        return grade.orElse(CALM_MOST + 1) <= CALM_MOST;
    }

    static Because resetBecause(String sentence) {
        return RESET.because(sentence);
    }

    /** What ends a calm reset, in words. */
    public static String resetEnds() {
        return "It lasts %d days at least; then %d calm check-ins, %d days or more apart, end it, or a visit that finds the face sound."
                .formatted(RESET_DAYS, CALM_ENDS, RESET_APART);
    }

    /** What it is about, in words: the sign that says most. */
    public Because because(Before before) {
        return switch (says(before)) {
            case REFER ->
                REFER.because(
                        "Swelling or a blister on %s: everything strong stops until a doctor has looked at it and the skin is calm. %s"
                                .formatted(
                                        Diary.DAY.format(on),
                                        seen.map(x -> "Looked at on %s by %s: %s"
                                                        .formatted(Diary.DAY.format(x.on()), x.by(), x.said()))
                                                .orElse(URGENT)));
            case RESET ->
                RESET.because("%s on %s: everything strong stops until the skin is calm."
                        .formatted(
                                sting.orElse(0) >= RESET_STING
                                        ? "Stinging %d of 4".formatted(sting.orElse(0))
                                        : "Redness %d of 4".formatted(redness.orElse(0)),
                                Diary.DAY.format(on)));
            case STEP_BACK ->
                STEP_BACK.because("%s on %s: half the nights for %d weeks."
                        .formatted(
                                sting.orElse(0) >= BACK_STING
                                        ? "Stinging %d of 4".formatted(sting.orElse(0))
                                        : rose(redness, before.redness(), BACK_REDNESS)
                                                ? "Redness %d of 4".formatted(redness.orElse(0))
                                                : "Flaking %d of 4".formatted(flaking.orElse(0)),
                                Diary.DAY.format(on),
                                WEEKS_BACK));
            case NOT_TOLD ->
                Because.custom("On %s not all of stinging, redness and flaking was asked: it does not count as calm."
                        .formatted(Diary.DAY.format(on)));
            case CALM -> Because.custom("Calm on %s.".formatted(Diary.DAY.format(on)));
        };
    }

    private static boolean rose(OptionalInt now, OptionalInt before, int from) {
        return now.orElse(0) >= from && (before.isEmpty() || now.orElse(0) - before.getAsInt() >= RISE);
    }

    private static void within(String what, OptionalInt value, int most) {
        if (value.isPresent() && (value.getAsInt() < 0 || value.getAsInt() > most)) {
            throw new IllegalArgumentException("%s %d is outside 0..%d.".formatted(what, value.getAsInt(), most));
        }
    }
}
