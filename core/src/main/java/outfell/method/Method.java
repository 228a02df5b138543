package outfell.method;

import java.util.Map;
import outfell.knowledge.Because;

/**
 * A school's settings: questions on which practitioners differ, answered one way.
 *
 * @param exfoliationsAWeek most uses a week of an acid, enzyme or scrub, 1 to 3
 * @param tonerLayers 0 none, 1 once, up to 7 thin layers
 * @param serumsMorning most serums in the morning
 * @param serumsEvening most serums in the evening, treatments apart
 * @param strongActives most strong actives in one week, each on its own nights
 * @param masks whether clay, enzyme or scrub nights belong to it
 * @param maskAfterScrub whether a scrub or an enzyme may come straight before clay, on one evening
 * @param mostSteps most steps in one routine
 * @param places of its routines, first to last
 * @param lipPlace when lips are done
 * @param residueCheck whether looking for residue is a step of the evening
 * @param nightRhythm how nights come round, unless a visit says otherwise
 * @param settings the answers by id of the question, as method-questions.yaml has them
 * @param because why a therapist would choose it
 */
public record Method(
        MethodId id,
        String name,
        String note,
        SecondCleanse secondCleanse,
        CleanseOrder cleanseOrder,
        MorningWash morningWash,
        int tonerLayers,
        boolean essence,
        EssencePlace essencePlace,
        AcidPlace acidPlace,
        int exfoliationsAWeek,
        RetinoidAndAcid retinoidAndAcid,
        int serumsMorning,
        int serumsEvening,
        int strongActives,
        boolean masks,
        boolean maskAfterScrub,
        NightRhythm nightRhythm,
        RetinoidPlace retinoidPlace,
        EyePlace eyePlace,
        OilPlace oilPlace,
        LipPlace lipPlace,
        BetweenLayers betweenLayers,
        Waits waits,
        boolean vitaminCApartFromNiacinamide,
        SunscreenAndCream sunscreenAndCream,
        Cloth cloth,
        ResidueCheck residueCheck,
        Hold hold,
        int mostSteps,
        Places places,
        Map<String, String> settings,
        Because because) {
    public Method {
        settings = Map.copyOf(settings);
    }

    /** Cleanse twice in the evening? */
    public enum SecondCleanse {
        ALWAYS,
        AFTER_MAKE_UP_OR_SUNSCREEN,
        ONCE
    }

    /** A wash, water alone, or by type; or what takes off oil with oil, alone or before the wash. */
    public enum MorningWash {
        WASH,
        WATER,
        BY_TYPE,
        FIRST_CLEANSE,
        TWICE;

        /** Whether a first cleanse has its place in the morning, too. */
        public boolean firstCleanse() {
            return this == FIRST_CLEANSE || this == TWICE;
        }
    }

    /** Which of two cleanses comes first. */
    public enum CleanseOrder {
        OIL_FIRST,
        WATER_FIRST
    }

    /** An essence after the toner, before it, or in its place. */
    public enum EssencePlace {
        AFTER_TONER,
        BEFORE_TONER,
        AS_TONER
    }

    /** Acids before the toner, straight on clean skin; after it; between two layers of it; over the light layers; or in its place. */
    public enum AcidPlace {
        BEFORE_TONER,
        AFTER_TONER,
        BETWEEN_TONERS,
        AFTER_WATER,
        AS_TONER
    }

    /** The same evenings each week, or every so many nights whatever the weekday. */
    public enum NightRhythm {
        WEEKDAY,
        EVERY_OTHER,
        EVERY_THIRD
    }

    /** A retinoid that nobody prescribed: under the cream, or between two thin coats of it. */
    public enum RetinoidPlace {
        BEFORE_CREAM,
        BETWEEN_CREAMS_WHEN_REACTIVE,
        BETWEEN_CREAMS
    }

    public enum EyePlace {
        BEFORE_SERUMS,
        AFTER_SERUMS,
        AFTER_MOISTURISER,
        /** After the serums in the list; done while one of them settles. */
        IN_A_WAIT,
        BY_TEXTURE
    }

    public enum LipPlace {
        LAST,
        FIRST,
        /** Done while something settles. */
        IN_A_WAIT
    }

    public enum OilPlace {
        AFTER_TONER,
        DROP_IN_SERUM,
        BEFORE_CREAM,
        DROP_IN_CREAM,
        AFTER_CREAM
    }

    /** Retinoid and acid on alternate nights, or no acid while the retinoid ramps. */
    public enum RetinoidAndAcid {
        ALTERNATE_NIGHTS,
        ACIDS_WAIT
    }

    public enum BetweenLayers {
        DAMP,
        DRY
    }

    /** Two layers; mixed in the palm, which loses protection; a cream with filters alone; or the sunscreen alone. */
    public enum SunscreenAndCream {
        TWO_LAYERS,
        MIXED_IN_PALM,
        FILTER_IN_CREAM,
        NO_CREAM;

        /** Whether the morning has a cream beside the sunscreen. */
        public boolean ownCream() {
            return this == TWO_LAYERS || this == MIXED_IN_PALM;
        }
    }

    public enum Cloth {
        FRESH,
        ONE_A_DAY
    }

    /** Looking for what a cleanse has left: a word at the wash, or a step of its own after the last cleanse of the evening. */
    public enum ResidueCheck {
        WORD,
        STEP
    }

    /** How long a plan is held before something is changed in it. */
    public enum Hold {
        SIX_WEEKS,
        VERDICT_DUE
    }

    /** None, up to a minute a layer, in full where a step asks for one, or beside that between all light layers. */
    public enum Waits {
        NONE,
        SHORT,
        FULL,
        /** In full, and each layer under the cream till it has sunk in. */
        SUNK_IN
    }
}
