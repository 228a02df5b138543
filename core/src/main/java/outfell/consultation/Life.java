package outfell.consultation;

import java.time.Month;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import outfell.climate.Stay;
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
 * @param around how long she is in which air
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
        OptionalDouble budget,
        Surroundings around) {
    private static final int MOST_MINUTES = 120;
    private static final int MOST_STEPS = 14;
    public static final Life USUAL =
            new Life(8, 15, 6, 2, 2, false, 3, Set.of(), Taste.ANY, Taste.ANY, Taste.ANY, OptionalDouble.empty());

    public Life {
        places = Set.copyOf(places);
        within("Morning minutes", morningMinutes, 1, MOST_MINUTES);
        within("Evening minutes", eveningMinutes, 1, MOST_MINUTES);
        within("Steps", mostSteps, 2, MOST_STEPS);
        within("Outdoor hours", outdoorHours, 0, 24);
        within("Make-up days", makeUpDays, 0, 7);
        within("Sunscreen days", sunscreenDays, 0, 7);
        if (budget.isPresent() && !(budget.getAsDouble() > 0)) {
            throw new IllegalArgumentException("A budget of %s buys nothing; leave it out when money is no matter."
                    .formatted(budget.getAsDouble()));
        }
    }

    /** Without hours in other air, or by month. */
    public Life(
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
        this(
                morningMinutes,
                eveningMinutes,
                mostSteps,
                outdoorHours,
                makeUpDays,
                fullMakeUp,
                sunscreenDays,
                places,
                scent,
                animal,
                oils,
                budget,
                Surroundings.NOT_ASKED);
    }

    /** Hours of the day in other air than that of the rooms at home. */
    public List<Stay> stays() {
        return around.stays(places);
    }

    /** Hours a day that are spent outdoors in a month. */
    public double outdoorHours(Month month) {
        return around.outdoors(month).orElse(outdoorHours);
    }

    /** The same with other hours outdoors a day. */
    public Life outdoors(double hours) {
        return living(hours, around);
    }

    public Life within(Surroundings other) {
        return living(outdoorHours, other);
    }

    private Life living(double hours, Surroundings in) {
        return new Life(
                morningMinutes,
                eveningMinutes,
                mostSteps,
                hours,
                makeUpDays,
                fullMakeUp,
                sunscreenDays,
                places,
                scent,
                animal,
                oils,
                budget,
                in);
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

    /** Something of a life that may be otherwise by itself. */
    public enum Matter {
        MONEY,
        MORNING_MINUTES,
        EVENING_MINUTES,
        STEPS,
        SCENT,
        ANIMAL,
        OILS,
        OUTDOORS,
        MAKE_UP,
        SUNSCREEN,
        PLACES
    }

    /** The same life with one matter as in another. */
    public Life as(Life other, Matter matter) {
        return new Life(
                matter == Matter.MORNING_MINUTES ? other.morningMinutes : morningMinutes,
                matter == Matter.EVENING_MINUTES ? other.eveningMinutes : eveningMinutes,
                matter == Matter.STEPS ? other.mostSteps : mostSteps,
                matter == Matter.OUTDOORS ? other.outdoorHours : outdoorHours,
                matter == Matter.MAKE_UP ? other.makeUpDays : makeUpDays,
                matter == Matter.MAKE_UP ? other.fullMakeUp : fullMakeUp,
                matter == Matter.SUNSCREEN ? other.sunscreenDays : sunscreenDays,
                matter == Matter.PLACES ? other.places : places,
                matter == Matter.SCENT ? other.scent : scent,
                matter == Matter.ANIMAL ? other.animal : animal,
                matter == Matter.OILS ? other.oils : oils,
                matter == Matter.MONEY ? other.budget : budget,
                new Surroundings(
                        matter == Matter.PLACES ? other.around.hours() : around.hours(),
                        matter == Matter.OUTDOORS ? other.around.outdoorsByMonth() : around.outdoorsByMonth()));
    }

    /** The same without a limit of money, or with the longest time, the most steps that there can be. */
    public Life letOut(Matter limit) {
        return switch (limit) {
            case MONEY -> within(morningMinutes, eveningMinutes, mostSteps, OptionalDouble.empty());
            case MORNING_MINUTES -> withMinutes(Part.MORNING, MOST_MINUTES);
            case EVENING_MINUTES -> withMinutes(Part.EVENING, MOST_MINUTES);
            case STEPS -> withSteps(MOST_STEPS);
            case SCENT, ANIMAL, OILS, OUTDOORS, MAKE_UP, SUNSCREEN, PLACES -> this;
        };
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
                money,
                around);
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
