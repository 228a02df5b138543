package outfell.product;

import java.util.Locale;

/** What an ingredient does or is; the closed list of ingredients.csv. */
public enum Tag {
    HUMECTANT,
    EMOLLIENT,
    OCCLUSIVE,
    FATTY_ALCOHOL,
    SOLVENT,
    PENETRATION_ENHANCER,
    EMULSIFIER,
    THICKENER,
    SURFACTANT_MILD,
    SURFACTANT_STRONG,
    AHA,
    BHA,
    PHA,
    EXFOLIATING_ACID,
    EXFOLIATING_ENZYME,
    ENZYME,
    EXFOLIATING_PARTICLE,
    KERATOLYTIC,
    RETINOID,
    RETINOID_ALTERNATIVE,
    /** No longer allowed in what is sold. */
    WITHDRAWN,
    PRESCRIPTION,
    MEDICINE,
    STEROID,
    POISON,
    CAUSTIC,
    PREGNANCY_AVOID,
    VITC_ACID,
    VITC_DERIVATIVE,
    NIACINAMIDE,
    AZELAIC,
    BENZOYL_PEROXIDE,
    HYDROQUINONE,
    DEPIGMENTING,
    BRIGHTENER,
    SULFUR,
    ANTIBACTERIAL,
    SEBUM_REGULATOR,
    PEPTIDE,
    COPPER_PEPTIDE,
    ANTIOXIDANT,
    UV_MINERAL,
    UV_ORGANIC,
    PRESERVATIVE,
    FORMALDEHYDE_RELEASER,
    STRONG_SENSITISER,
    CHELATOR,
    PH_ADJUSTER,
    FRAGRANCE,
    FRAGRANCE_ALLERGEN,
    ESSENTIAL_OIL,
    PHOTOTOXIC,
    DRYING_ALCOHOL,
    ASTRINGENT,
    COOLING,
    IRRITANT_SENSORY,
    SILICONE,
    SOOTHING,
    CERAMIDE_LIPID,
    CLAY,
    ABSORBENT,
    COLOURANT,
    FILM_FORMER,
    VASOCONSTRICTIVE,
    ANIMAL_ORIGIN,
    ALLERGEN_BEE,
    ALLERGEN_LANOLIN,
    ALLERGEN_NUT,
    ALLERGEN_WHEAT,
    ALLERGEN_SOY,
    ALLERGEN_SESAME,
    ALLERGEN_SHELLFISH,
    ALLERGEN_ASTERACEAE,
    ALLERGEN_LATEX_CROSS,
    ALLERGEN_PARABEN,
    ALLERGEN_COLOPHONY,
    ALLERGEN_SALICYLATE,
    ALLERGEN_SALICYLATE_WEAK;

    /** As a therapist says it. */
    public String words() {
        String plain = name().toLowerCase(Locale.ROOT).replace('_', ' ');
        return switch (this) {
            case AHA, BHA, PHA -> name();
            case PREGNANCY_AVOID -> "out in pregnancy";
            case VITC_ACID -> "vitamin C acid";
            case VITC_DERIVATIVE -> "vitamin C derivative";
            case UV_MINERAL -> "mineral UV filter";
            case UV_ORGANIC -> "organic UV filter";
            case SURFACTANT_MILD -> "mild surfactant";
            case SURFACTANT_STRONG -> "strong surfactant";
            case PHOTOTOXIC -> "burns in light";
            case FRAGRANCE_ALLERGEN -> "perfume allergen by law";
            case ALLERGEN_ASTERACEAE -> "daisy family allergen";
            case ALLERGEN_LATEX_CROSS -> "cross-reacts with latex";
            default -> plain.startsWith("allergen ") ? plain.substring("allergen ".length()) + " allergen" : plain;
        };
    }
}
