package outfell.method;

import outfell.knowledge.Because;

/**
 * A school's settings: questions on which practitioners differ, answered one way.
 *
 * @param tonerLayers 0 none, 1 once, up to 7 thin layers
 * @param serumsMorning most serums in the morning
 * @param serumsEvening most serums in the evening, treatments apart
 * @param strongActives most strong actives in one week, each on its own nights
 * @param masks whether clay, enzyme or scrub nights belong to it
 * @param mostSteps most steps in one routine
 * @param because why a therapist would choose it
 */
public record Method(
        String id,
        String name,
        String note,
        SecondCleanse secondCleanse,
        MorningWash morningWash,
        int tonerLayers,
        boolean essence,
        AcidPlace acidPlace,
        int serumsMorning,
        int serumsEvening,
        int strongActives,
        boolean masks,
        EyePlace eyePlace,
        OilPlace oilPlace,
        boolean vitaminCApartFromNiacinamide,
        int mostSteps,
        Because because) {

    /** Cleanse twice in the evening? */
    public enum SecondCleanse {
        ALWAYS,
        AFTER_MAKE_UP_OR_SUNSCREEN,
        ONCE
    }

    public enum MorningWash {
        WASH,
        WATER,
        BY_TYPE
    }

    /** Acids before the toner, straight on clean skin, or after it. */
    public enum AcidPlace {
        BEFORE_TONER,
        AFTER_TONER
    }

    public enum EyePlace {
        BEFORE_SERUMS,
        AFTER_SERUMS,
        AFTER_MOISTURISER
    }

    public enum OilPlace {
        BEFORE_CREAM,
        AFTER_CREAM
    }
}
