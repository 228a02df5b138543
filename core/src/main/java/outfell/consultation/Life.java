package outfell.consultation;

import java.util.OptionalDouble;
import java.util.Set;
import outfell.routine.Part;

/**
 * How a client lives, and how much of it goes to the skin.
 *
 * @param morningMinutes she truly has, 1 to 120
 * @param eveningMinutes she truly has, 1 to 120
 * @param mostSteps she will put up with in one routine, 2 to 12
 * @param outdoorHours a day, 0 to 24
 * @param makeUpDays a week, 0 to 7
 * @param fullMakeUp whether it is heavy
 * @param sunscreenDays a week that she wears one now, 0 to 7
 * @param places air that the day is spent in
 * @param scent whether perfume is welcome
 * @param animal whether anything from animals is
 * @param oils whether a face oil is
 * @param budget a month in the practice's currency, more than 0; absent when money is no matter
 */
public record Life(
        int morningMinutes,
        int eveningMinutes,
        int mostSteps,
        double outdoorHours,
        int makeUpDays,
        boolean fullMakeUp,
        int sunscreenDays,
        Set<Place> places,
        Taste scent,
        Taste animal,
        Taste oils,
        OptionalDouble budget) {
    public static final Life USUAL =
            new Life(8, 15, 6, 2, 2, false, 3, Set.of(), Taste.ANY, Taste.ANY, Taste.ANY, OptionalDouble.empty());

    public Life {
        places = Set.copyOf(places);
        within("Morning minutes", morningMinutes, 1, 120);
        within("Evening minutes", eveningMinutes, 1, 120);
        within("Steps", mostSteps, 2, 12);
        within("Outdoor hours", outdoorHours, 0, 24);
        within("Make-up days", makeUpDays, 0, 7);
        within("Sunscreen days", sunscreenDays, 0, 7);
        if (budget.isPresent() && !(budget.getAsDouble() > 0)) {
            throw new IllegalArgumentException("A budget of %s buys nothing; leave it out when money is no matter."
                    .formatted(budget.getAsDouble()));
        }
    }

    public int minutes(Part part) {
        return part == Part.MORNING ? morningMinutes : eveningMinutes;
    }

    public Life withMinutes(Part part, int minutes) {
        return within(
                part == Part.MORNING ? minutes : morningMinutes,
                part == Part.EVENING ? minutes : eveningMinutes,
                mostSteps,
                budget);
    }

    public Life withSteps(int steps) {
        return within(morningMinutes, eveningMinutes, steps, budget);
    }

    public Life withBudget(double money) {
        return within(morningMinutes, eveningMinutes, mostSteps, OptionalDouble.of(money));
    }

    /** The same life with other limits. */
    private Life within(int morning, int evening, int steps, OptionalDouble money) {
        return new Life(
                morning,
                evening,
                steps,
                outdoorHours,
                makeUpDays,
                fullMakeUp,
                sunscreenDays,
                places,
                scent,
                animal,
                oils,
                money);
    }

    private static void within(String what, double value, int least, int most) {
        if (!(value >= least && value <= most)) {
            throw new IllegalArgumentException("%s %s is outside %d..%d.".formatted(what, value, least, most));
        }
    }

    /** Air that a day is spent in, beside the site's own. */
    public enum Place {
        OUTDOORS,
        SEA,
        HEATED_ROOMS,
        COOLED_ROOMS,
        HEAT,
        PLANES
    }

    /** Whether something is welcome. */
    public enum Taste {
        ANY,
        RATHER_NOT,
        NEVER
    }
}
