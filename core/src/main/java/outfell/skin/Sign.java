package outfell.skin;

/** What is looked at, felt or asked; graded 0 to 4 by the descriptors of signs.yaml. */
public enum Sign {
    SHINE,
    FLAKING,
    TIGHTNESS,
    DEHYDRATION_LINES,
    REDNESS,
    STING,
    CONGESTION,
    SPOTS,
    PIGMENT,
    LINES,
    PORES,
    ROUGHNESS,
    DARKNESS,
    PUFFINESS,
    MILIA,
    CHAPPING,
    DULLNESS,
    AFTER_MARKS,
    SHAVING_BUMPS
}
