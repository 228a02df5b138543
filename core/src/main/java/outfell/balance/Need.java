package outfell.balance;

/** What skin wants of its layers. */
public enum Need {
    WATER("water-binding", "water"),
    OILS("softening", "oil"),
    SEAL("sealing", "seal");

    private final String words;
    private final String plain;

    Need(String words, String plain) {
        this.words = words;
        this.plain = plain;
    }

    /** As it is said to a client. */
    public String plain() {
        return plain;
    }

    public String words() {
        return words;
    }

    String key() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }
}
