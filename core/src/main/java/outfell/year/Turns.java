package outfell.year;

import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import outfell.climate.Air;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.season.Asked;
import outfell.season.Lever;

/**
 * On which days what the air asks turns: not on the first day past a figure, but when most of some days lie past it, and by more than a
 * little. So nothing turns to and fro where the air hovers.
 */
final class Turns {
    static final Row FILE = KnowledgeFile.yaml("year.yaml");
    private static final Row TURNS = FILE.row("turns");
    static final int PAST = TURNS.whole("past", 1, 60);
    static final int OF_DAYS = TURNS.whole("of-days", PAST, 60);
    static final double DRYNESS = TURNS.number("dryness", 0, 50);
    static final double HEAT = TURNS.number("heat", 0, 50);
    static final double UV = TURNS.number("uv", 0, 5);

    /**
     * One thing that is asked otherwise from a day on.
     *
     * @param day on which it was seen that it had turned; what is asked that day is what stands since
     */
    record Turn(LocalDate day, Lever lever) {}

    private final Function<LocalDate, Air> air;
    private final Asking ask;
    private final LocalDate atOnce;

    /** What an air asks of the skin on a day: hours outdoors may differ by month. */
    @FunctionalInterface
    interface Asking {
        Asked ask(LocalDate day, Air air);
    }

    /**
     * @param air of a day
     * @param atOnce the day from which more sunscreen is asked at once: of normals from the first, of real days today, for one bright
     *     day of last week is over
     */
    Turns(Function<LocalDate, Air> air, Asking ask, LocalDate atOnce) {
        this.air = air;
        this.ask = ask;
        this.atOnce = atOnce;
    }

    /**
     * @param standing what is asked until the first turn
     * @param from the first day that may turn
     * @param until the day after the last
     * @return in the order of days
     */
    List<Turn> between(Asked standing, LocalDate from, LocalDate until) {
        Asked stands = standing;
        Map<Lever, Deque<Near>> seen = new EnumMap<>(Lever.class);
        List<Turn> turns = new ArrayList<>();
        for (LocalDate day = from; day.isBefore(until); day = day.plusDays(1)) {
            Near today = new Near(day, air.apply(day));
            for (Lever lever : Lever.switched()) {
                boolean differs = lever.differs(today.now(), stands);
                boolean more = differs && !day.isBefore(atOnce) && lever.isMoreSunscreen(today.now(), stands);
                if (more || mostly(seen, lever, today, stands)) {
                    turns.add(new Turn(day, lever));
                    stands = stands.with(lever, today.now());
                    seen.remove(lever);
                }
            }
        }
        return turns;
    }

    /** Whether most of the last days, and the last of them, lie well past what stands. */
    private static boolean mostly(Map<Lever, Deque<Near>> seen, Lever lever, Near today, Asked stands) {
        Deque<Near> days = seen.computeIfAbsent(lever, _ -> new ArrayDeque<>());
        days.addLast(today);
        if (days.size() > OF_DAYS) {
            days.removeFirst();
        }
        // what is not even past it is not well past it, and is asked without asking what lies near
        return lever.differs(today.now(), stands)
                && days.stream().filter(d -> lever.differs(d.now(), stands)).count() >= PAST
                && today.isWellPast(lever, stands)
                && days.stream().filter(d -> d.isWellPast(lever, stands)).count() >= PAST;
    }

    /** What a day asks, and what it would ask were its air a little otherwise; worked out where it is asked for. */
    private final class Near {
        /** Three indices, each to either side. */
        private static final int CORNERS = 8;

        private final LocalDate day;
        private final Air air;
        private final Asked now;
        private final List<Asked> corners = new ArrayList<>();

        Near(LocalDate day, Air air) {
            this.day = day;
            this.air = air;
            this.now = ask.ask(day, air);
        }

        Asked now() {
            return now;
        }

        /** Whether it is asked otherwise with each index a little further to either side: no lever turns back in between. */
        boolean isWellPast(Lever lever, Asked stands) {
            boolean past = lever.differs(now, stands);
            for (int c = 0; past && c < CORNERS; c++) {
                if (c == corners.size()) {
                    corners.add(ask.ask(day, air.moved(side(c, 0) * DRYNESS, side(c, 1) * HEAT, side(c, 2) * UV)));
                }
                past = lever.differs(corners.get(c), stands);
            }
            return past;
        }

        /** To which side an index lies in a corner, −1 or 1. */
        private static int side(int corner, int index) {
            return (corner >> index & 1) == 0 ? -1 : 1;
        }
    }
}
