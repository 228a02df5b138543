package outfell.regimen;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.product.ProductId;
import outfell.routine.Routine;
import outfell.week.Course;
import outfell.week.Diary;
import outfell.week.Ramp;
import outfell.week.Rhythm;

/**
 * A plan in time: what is led up to week by week, and what each evening brings.
 *
 * @param now the day on which it is looked at
 * @param begun the day of the visit
 * @param from the day on which its first evening is: the visit's, or that of the last check-in
 * @param first the first day of the tracks: some weeks before it when something is in use already
 * @param until the last day
 * @param rhythm how the nights come round
 * @param methodEvery nights after which they come again as the method has it
 * @param nights in a round
 * @param bears what this skin bears
 * @param fullestThree the most that any three evenings running carry from now on
 * @param checkIns that were, each with what it asked
 * @param dueCheckIns days on which the next are due
 * @param usual the evening without a calm reset
 * @param calm the routine of a calm reset that is on; absent when none is
 * @param byDate whether its evenings are to be told by date: not all are the evening of the visit's plan
 * @param notFollowed what was set by hand for an evening to come, and cannot be
 * @param verdicts when the concerns of the plan may be judged
 */
public record Weeks(
        LocalDate now,
        LocalDate begun,
        LocalDate from,
        LocalDate first,
        LocalDate until,
        Rhythm rhythm,
        int methodEvery,
        int nights,
        Bears bears,
        double fullestThree,
        List<Track> tracks,
        List<Evening> evenings,
        List<Diary.Heard> checkIns,
        List<LocalDate> dueCheckIns,
        Routine usual,
        Optional<Calm> calm,
        boolean byDate,
        List<NotFollowed> notFollowed,
        List<Verdicts.JudgedFrom> verdicts) {
    /**
     * What this skin bears.
     *
     * @param week load points of a week
     * @param night of one night
     * @param three of any three nights running
     * @param daily what every day brings by itself
     */
    public record Bears(double week, double night, double three, double daily, Because because) {}

    /**
     * A calm reset that is on.
     *
     * @param since the day on which it began
     * @param evening what is done instead
     * @param out names of what stays off
     * @param ends what ends it
     * @param back how what was in use comes back after it, in words
     * @param doctor why a doctor is to look at it; absent when it goes as it should
     */
    public record Calm(
            LocalDate since,
            Routine morning,
            Routine evening,
            List<String> out,
            Because ends,
            String back,
            Optional<Because> doctor) {}

    /**
     * One thing with nights of its own, through the weeks.
     *
     * @param letter of its leading active
     * @param points load of one night of it
     * @param queued whether it is not in today's plan: it is next in line
     * @param weeks from the first day of the tracks on
     * @param course that it is on
     * @param free whether its nights are computed: nobody has set them and no condition is upon it
     * @param weekdays its nights this week, where they come by weekday and nobody has set them; else none
     * @param more what would have to give for one more night of it
     * @param stronger when a stronger one may be thought of, and why not before; empty for what comes in one strength
     * @param turns days on which its nights change, in words
     */
    public record Track(
            ProductId product,
            String name,
            String letter,
            double points,
            boolean queued,
            List<Ramp.WeekOfIt> weeks,
            Optional<Course> course,
            boolean free,
            List<DayOfWeek> weekdays,
            String more,
            Optional<Because> stronger,
            List<NightsFrom> turns) {}

    /** From a day on a thing has these nights. */
    public record NightsFrom(LocalDate from, String nights) {}

    /** A thing on an evening. */
    public record UsedThen(ProductId product, String name, String letter, double points, boolean byHand, String why) {}

    /**
     * A thing that may be on an evening: whether it is, is seen then. Its load is none of the evening's; room for its usual number
     * is kept in the week.
     *
     * @param points load when it is; 0 when it has none
     * @param when its condition, in words
     */
    public record Maybe(ProductId product, String name, String letter, double points, String when) {}

    /**
     * A thing that is not on an evening, if it were put on by hand.
     *
     * @param load of the evening then
     * @param allowed whether it may be, with a reason
     * @param against what speaks against it; absent when nothing does
     */
    public record Would(ProductId product, double load, boolean allowed, Optional<Because> against) {}

    /** A thing that has no place on an evening though its pattern says so. */
    public record LeftOut(ProductId product, String name, Because because) {}

    /** What was set by hand for an evening, and is not as it was set. */
    public record NotFollowed(LocalDate date, String name, Because because) {}

    /**
     * One evening.
     *
     * @param round which round it is in, from 0
     * @param uses what has nights of its own and is used
     * @param maybe what is used when its condition is met
     * @param would what it would be with one thing more
     * @param products all that is used or may be, in the order of the evening
     * @param daily points that every day brings
     * @param load points, with what every day brings
     * @param three points of it and the two evenings before it
     * @param calm whether it is one of a calm reset
     * @param rest why nothing strong is used; absent when something is
     * @param leftOut what would be used and is not
     * @param over why it is more than this skin bears; absent when it is not
     */
    public record Evening(
            LocalDate date,
            int round,
            List<UsedThen> uses,
            List<Maybe> maybe,
            List<Would> would,
            List<ProductId> products,
            double daily,
            double load,
            double three,
            double minutes,
            boolean calm,
            Optional<Because> rest,
            List<LeftOut> leftOut,
            Optional<Because> over) {}

    public Weeks {
        tracks = List.copyOf(tracks);
        evenings = List.copyOf(evenings);
        checkIns = List.copyOf(checkIns);
        dueCheckIns = List.copyOf(dueCheckIns);
        notFollowed = List.copyOf(notFollowed);
        verdicts = List.copyOf(verdicts);
    }

    /** What is done on an evening, in its order and on its clock. */
    public Routine routine(Evening evening) {
        Routine whole = evening.calm() ? calm.map(Calm::evening).orElse(usual) : usual;
        return whole.doing(whole.steps().stream()
                .filter(s -> evening.products().contains(s.product()))
                .toList());
    }

    /** The evening of a day; none outside of its days. */
    public Optional<Evening> on(LocalDate day) {
        return evenings.stream().filter(e -> e.date().equals(day)).findFirst();
    }
}
