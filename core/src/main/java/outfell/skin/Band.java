package outfell.skin;

/** Band of the oil axis: under 35 dry, 35 to 65 normal, over 65 oily. House judgement. */
public enum Band {
    DRY,
    NORMAL,
    OILY;

    static Band of(double oil) {
        return oil < 35 ? DRY : oil <= 65 ? NORMAL : OILY;
    }

    public String words() {
        return name().toLowerCase();
    }
}
