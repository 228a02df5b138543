package outfell.year;

import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;
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
        Map<Lever, Deque<Boolean>> seen = new EnumMap<>(Lever.class);
        List<Turn> turns = new ArrayList<>();
        for (LocalDate day = from; day.isBefore(until); day = day.plusDays(1)) {
            Air today = air.apply(day);
            Asked now = ask.ask(day, today);
            List<Asked> near = new ArrayList<>();
            for (Lever lever : Lever.switched()) {
                boolean differs = lever.differs(now, stands);
                if (differs && near.isEmpty()) {
                    near.addAll(near(day, today));
                }
                Asked stood = stands;
                boolean past = differs && near.stream().allMatch(n -> lever.differs(n, stood));
                boolean more = differs && !day.isBefore(atOnce) && lever.isMoreSunscreen(now, stands);
                if (more || mostly(seen, lever, past)) {
                    turns.add(new Turn(day, lever));
                    stands = stands.with(lever, now);
                    seen.remove(lever);
                }
            }
        }
        return turns;
    }

    private static boolean mostly(Map<Lever, Deque<Boolean>> seen, Lever lever, boolean past) {
        Deque<Boolean> days = seen.computeIfAbsent(lever, _ -> new ArrayDeque<>());
        days.addLast(past);
        if (days.size() > OF_DAYS) {
            days.removeFirst();
        }
        return past && days.stream().filter(p -> p).count() >= PAST;
    }

    /** What would be asked with each index a little further to either side: the more of one, the further it goes. */
    private List<Asked> near(LocalDate day, Air today) {
        return Stream.of(-1, 1)
                .flatMap(d -> Stream.of(-1, 1)
                        .flatMap(h -> Stream.of(-1, 1).map(u -> today.moved(d * DRYNESS, h * HEAT, u * UV))))
                .map(air -> ask.ask(day, air))
                .toList();
    }
}
