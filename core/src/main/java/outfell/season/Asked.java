package outfell.season;

import java.util.List;
import java.util.Optional;
import outfell.climate.Air;
import outfell.knowledge.Because;
import outfell.skin.Concern;

/**
 * What one month's air asks of a plan for one skin.
 *
 * @param air the month
 * @param moisturiser grade of texture wanted in the evening, 1 to 8
 * @param moisturiserByDay the same under the sunscreen, never richer
 * @param moisturiserNeeded false when heat lets an oily skin go without one in the morning
 * @param seal whether a seal in the evening is asked for
 * @param oil whether a face oil is welcome
 * @param spf least on the pack
 * @param exfoliantsHalved whether exfoliation is halved
 * @param newRetinoid whether a retinoid may be begun
 * @param newAcid whether an acid may be begun
 */
public record Asked(
        Air air,
        Graded moisturiser,
        Graded moisturiserByDay,
        Whether moisturiserNeeded,
        Whether seal,
        Whether oil,
        Least spf,
        Whether exfoliantsHalved,
        Whether newRetinoid,
        Whether newAcid) {

    /** A wanted grade with its reason. */
    public record Graded(double grade, Because because) {}

    /** Yes or no with its reason. */
    public record Whether(boolean yes, Because because) {}

    /** A least value with its reason. */
    public record Least(int value, Because because) {}

    /**
     * What the air acts on.
     *
     * @param swings whether she says "oily in summer, dry in winter"
     * @param outdoorHours a day, 0 to 24
     * @param least what the client's health asks of a sunscreen; absent when nothing does
     * @param noNewAcid why no acid is begun whatever the month; absent when one may be
     * @param concerns heaviest first
     */
    public record Wearer(
            outfell.skin.SkinVerdict skin,
            boolean swings,
            double outdoorHours,
            Optional<Least> least,
            Optional<Because> noNewAcid,
            List<Concern> concerns) {}
}
