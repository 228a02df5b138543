package outfell.knowledge;

/** How well a rule or figure is supported. The letters are those of the knowledge files. */
public enum Evidence {
    /** Controlled human data, or law. */
    CONTROLLED("A", "controlled studies in people, or law"),
    /** Laboratory chemistry or small human studies. */
    SMALL("B", "small human studies or laboratory work"),
    /** A mechanism that makes it likely, no more. */
    MECHANISM("C", "a likely mechanism, not tested in people"),
    /** What practitioners do. */
    CONVENTION("D", "custom of practice"),
    /** Published views differ. */
    DEBATED("debated", "published views differ"),
    /** A judgement of this house, to be changed by the practice that disagrees. */
    PROPOSED("house", "a judgement of this house");

    private final String letter;
    private final String words;

    Evidence(String letter, String words) {
        this.letter = letter;
        this.words = words;
    }

    /** Whether something was measured, so that neither custom nor the house's own word is a source of it. */
    boolean isMeasured() {
        return this == CONTROLLED || this == SMALL;
    }

    public String letter() {
        return letter;
    }

    public String words() {
        return words;
    }

    /**
     * @throws IllegalArgumentException when no evidence has that letter
     */
    public static Evidence ofLetter(String letter) {
        for (Evidence e : values()) {
            if (e.letter.equals(letter)) {
                return e;
            }
        }
        throw new IllegalArgumentException(
                "Evidence \"%s\" is not one of A, B, C, D, debated, house.".formatted(letter));
    }
}
