package outfell.season;

import java.util.List;
import java.util.Optional;
import outfell.climate.Air;
import outfell.knowledge.Because;
import outfell.skin.Concern;

/**
 * What the air asks of a plan for one skin.
 *
 * @param air of the month, or of the day
 * @param moisturiser grade of texture wanted in the evening, 1 to 8
 * @param moisturiserByDay the same under the sunscreen, never richer
 * @param moisturiserNeeded false when heat lets an oily skin go without one in the morning
 * @param creamAmount share of the usual amount of cream in the evening, and by day where it is less
 * @param seal whether a seal in the evening is asked for
 * @param oil whether a face oil is welcome
 * @param oilPlace where it lies, where the method has it by the cream
 * @param wash how much of a wash is asked for
 * @param tonerLayers layers of a toner more, or fewer, than the method's
 * @param carrier what a serum is better carried by
 * @param lips whether a lip balm is asked for, chapped or not
 * @param spf least on the pack
 * @param sunAgain hours after which the sunscreen is put on again; 0 for once a day
 * @param bare so many places beside face and front of the neck get sun and so sunscreen: ears, nape, chest
 * @param waterFast whether the sunscreen is to stay on in water
 * @param exfoliantsHalved whether exfoliation is halved
 * @param retinoidFewer whether a retinoid that is long borne has a night fewer
 * @param newRetinoid whether a retinoid may be begun
 * @param newAcid whether an acid may be begun
 * @param mist whether water is to be given through the day
 * @param hands whether hands and neck are told of
 */
public record Asked(
        Air air,
        Graded moisturiser,
        Graded moisturiserByDay,
        Whether moisturiserNeeded,
        Portion creamAmount,
        Whether seal,
        Whether oil,
        Lying oilPlace,
        Wash wash,
        Least tonerLayers,
        Carried carrier,
        Whether lips,
        Least spf,
        Least sunAgain,
        Least bare,
        Whether waterFast,
        Whether exfoliantsHalved,
        Whether retinoidFewer,
        Whether newRetinoid,
        Whether newAcid,
        Whether mist,
        Whether hands) {

    /** One answer with its reason. */
    public sealed interface Answer {
        /** The answer without its reason, to be held against another. */
        Object said();

        Because because();
    }

    /** A wanted grade with its reason. */
    public record Graded(double grade, Because because) implements Answer {
        @Override
        public Object said() {
            return grade;
        }
    }

    /** A share of what is usual, 1 for as usual. */
    public record Portion(double share, Because because) implements Answer {
        @Override
        public Object said() {
            return share;
        }
    }

    /** Yes or no with its reason. */
    public record Whether(boolean yes, Because because) implements Answer {
        @Override
        public Object said() {
            return yes;
        }
    }

    /** A number with its reason. */
    public record Least(int value, Because because) implements Answer {
        @Override
        public Object said() {
            return value;
        }
    }

    /** How much of a wash. */
    public enum Washing {
        /** As mild as it can be, and water alone in the morning where the T-zone is not oily. */
        GENTLE,
        USUAL,
        /** A wash in the morning, too. */
        THOROUGH
    }

    /** How much of a wash, with its reason. */
    public record Wash(Washing washing, Because because) implements Answer {
        @Override
        public Object said() {
            return washing;
        }
    }

    /** What carries a serum. */
    public enum Carrier {
        WATER,
        EITHER,
        OIL
    }

    /** What carries a serum, with its reason. */
    public record Carried(Carrier by, Because because) implements Answer {
        @Override
        public Object said() {
            return by;
        }
    }

    /** Where an oil lies by the air. */
    public enum Oil {
        /** A drop in the cream. */
        IN_CREAM,
        /** Where the method has it. */
        BY_METHOD,
        /** The last layer. */
        OVER_CREAM
    }

    /** Where an oil lies, with its reason. */
    public record Lying(Oil oil, Because because) implements Answer {
        @Override
        public Object said() {
            return oil;
        }
    }

    /** What is asked here, with one thing as it is asked there. */
    public Asked with(Lever lever, Asked there) {
        return new Asked(
                lever == Lever.AIR ? there.air : air,
                lever == Lever.EVENING_CREAM ? there.moisturiser : moisturiser,
                lever == Lever.DAY_CREAM ? there.moisturiserByDay : moisturiserByDay,
                lever == Lever.DAY_CREAM_NEEDED ? there.moisturiserNeeded : moisturiserNeeded,
                lever == Lever.AMOUNT ? there.creamAmount : creamAmount,
                lever == Lever.SEAL ? there.seal : seal,
                lever == Lever.OIL ? there.oil : oil,
                lever == Lever.OIL_PLACE ? there.oilPlace : oilPlace,
                lever == Lever.WASH ? there.wash : wash,
                lever == Lever.TONER ? there.tonerLayers : tonerLayers,
                lever == Lever.CARRIER ? there.carrier : carrier,
                lever == Lever.LIPS ? there.lips : lips,
                lever == Lever.SPF ? there.spf : spf,
                lever == Lever.SUN_AGAIN ? there.sunAgain : sunAgain,
                lever == Lever.BARE ? there.bare : bare,
                lever == Lever.WATER_FAST ? there.waterFast : waterFast,
                lever == Lever.EXFOLIATION ? there.exfoliantsHalved : exfoliantsHalved,
                lever == Lever.RETINOID ? there.retinoidFewer : retinoidFewer,
                lever == Lever.NEW_RETINOID ? there.newRetinoid : newRetinoid,
                lever == Lever.NEW_ACID ? there.newAcid : newAcid,
                lever == Lever.MIST ? there.mist : mist,
                lever == Lever.HANDS ? there.hands : hands);
    }

    /**
     * What the air acts on.
     *
     * @param swings whether she says "oily in summer, dry in winter"
     * @param outdoorHours a day, 0 to 24
     * @param inWater whether the day is spent on or in water
     * @param least what the client's health asks of a sunscreen; absent when nothing does
     * @param noNewAcid why no acid is begun whatever the month; absent when one may be
     * @param concerns heaviest first
     */
    public record Wearer(
            outfell.skin.SkinVerdict skin,
            boolean swings,
            double outdoorHours,
            boolean inWater,
            Optional<Least> least,
            Optional<Because> noNewAcid,
            List<Concern> concerns) {}
}
