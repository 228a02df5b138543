package outfell.balance;

/** What skin wants of its layers. */
public enum Need {
    WATER("water-binding"),
    OILS("softening"),
    SEAL("sealing");

    private final String words;

    Need(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    String key() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }
}
