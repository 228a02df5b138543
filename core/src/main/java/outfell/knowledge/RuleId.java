package outfell.knowledge;

/** Identity of a rule: of a row that asks, bans or refers, or that says what may meet. */
public record RuleId(String value) {
    public RuleId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("A rule needs an id; none was given.");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
