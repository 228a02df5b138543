package outfell.product;

/** Families of actives that a plan works with; actives.yaml says which ingredients belong to each. */
public enum ActiveKind {
    RETINOID,
    BAKUCHIOL,
    AHA,
    BHA,
    PHA,
    ENZYME,
    SCRUB,
    CLAY,
    VITAMIN_C_ACID,
    VITAMIN_C_DERIVATIVE,
    NIACINAMIDE,
    AZELAIC,
    BENZOYL_PEROXIDE,
    BRIGHTENER,
    PEPTIDE,
    SOOTHING,
    CERAMIDE,
    HUMECTANT,
    UREA,
    PETROLATUM,
    CAFFEINE,
    ZINC
}
