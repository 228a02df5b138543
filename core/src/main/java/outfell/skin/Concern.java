package outfell.skin;

/** What a plan can work on. */
public enum Concern {
    BREAKOUTS("breakouts"),
    CONGESTION("congestion"),
    PIGMENT("pigment marks"),
    REDNESS("redness"),
    LINES("lines and firmness"),
    ROUGHNESS("roughness"),
    DEHYDRATION("dehydration"),
    DRYNESS("dryness"),
    OILINESS("oiliness"),
    PORES("visible pores"),
    DARK_CIRCLES("dark circles"),
    PUFFINESS("puffiness"),
    CHAPPED_LIPS("chapped lips"),
    DULLNESS("dullness"),
    AFTER_MARKS("red marks after spots"),
    SHAVING_BUMPS("shaving bumps"),
    BARRIER("weak barrier");

    private final String words;

    Concern(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
