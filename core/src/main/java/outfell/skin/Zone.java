package outfell.skin;

import java.util.List;

/** Places on the face that are read apart; left and right are the client's own. */
public enum Zone {
    FOREHEAD("forehead"),
    NOSE("nose"),
    CHIN("chin"),
    CHEEK_R("right cheek"),
    CHEEK_L("left cheek"),
    EYE_R("right eye area"),
    EYE_L("left eye area"),
    UPPER_LIP("upper lip"),
    LIPS("lips"),
    NECK("neck");

    /** Forehead, nose and chin, which set the T side of the type. */
    public static final List<Zone> T = List.of(FOREHEAD, NOSE, CHIN);
    /** Both cheeks, which set the other side. */
    public static final List<Zone> U = List.of(CHEEK_R, CHEEK_L);

    private final String words;

    Zone(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    boolean isT() {
        return T.contains(this);
    }
}
