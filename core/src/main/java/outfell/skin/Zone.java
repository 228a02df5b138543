package outfell.skin;

import java.util.List;
import java.util.Optional;

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
    NECK("neck"),
    DECOLLETE("décolleté"),
    EARS("ears"),
    BEARD("beard area"),
    SCALP("scalp"),
    HANDS("hands");

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

    /** Whether the regimen reaches it: scalp and hands are read and cared for apart. */
    public boolean inRegimen() {
        return this != SCALP && this != HANDS;
    }

    /** Whether it is read on request only. */
    public boolean onRequest() {
        return this == BEARD || this == SCALP || this == HANDS;
    }

    /** The same place on the other side, if it has one. */
    public Optional<Zone> otherSide() {
        return switch (this) {
            case CHEEK_R -> Optional.of(CHEEK_L);
            case CHEEK_L -> Optional.of(CHEEK_R);
            case EYE_R -> Optional.of(EYE_L);
            case EYE_L -> Optional.of(EYE_R);
            case FOREHEAD, NOSE, CHIN, UPPER_LIP, LIPS, NECK, DECOLLETE, EARS, BEARD, SCALP, HANDS -> Optional.empty();
        };
    }

    boolean isT() {
        return T.contains(this);
    }
}
