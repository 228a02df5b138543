package outfell.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import outfell.climate.Air;
import outfell.climate.MonthlyAir;
import outfell.season.Asked;
import outfell.season.Asked.Wearer;
import outfell.season.Lever;
import outfell.season.Season;
import outfell.skin.Faces;
import outfell.skin.ProbeBands;
import outfell.skin.SkinReader;
import outfell.year.Turns.Turn;

/** When what the air asks turns: late enough not to flap, at once where it is about the sun. */
class TurnsTest {
    private static final LocalDate DAY = LocalDate.of(2026, 11, 25);
    private static final Air MILD = Air.of(new MonthlyAir(18, 60, 3, 2));
    private static final Wearer WEARER = new Wearer(
            SkinReader.read(Faces.face().calm().reading(), Set.of(), ProbeBands.SHIPPED),
            false,
            4,
            false,
            Optional.empty(),
            Optional.empty(),
            List.of());

    private static Asked ask(Air air) {
        return Season.ask(air, WEARER);
    }

    private static Air at(double dryness, double uv) {
        return MILD.moved(dryness - MILD.dryness(), 0, uv - MILD.outdoors().uvIndex());
    }

    private static List<Turn> turns(Function<Integer, Air> air) {
        return turns(air, DAY);
    }

    private static List<Turn> turns(Function<Integer, Air> air, LocalDate atOnce) {
        return new Turns(day -> air.apply((int) ChronoUnit.DAYS.between(DAY, day)), (_, a) -> ask(a), atOnce)
                .between(ask(MILD), DAY.plusDays(1), DAY.plusYears(1));
    }

    private static List<LocalDate> of(List<Turn> turns, Lever lever) {
        return turns.stream().filter(t -> t.lever() == lever).map(Turn::day).toList();
    }

    @Test
    void it_turns_when_seven_of_ten_days_lie_well_past_the_figure() {
        assertThat(of(turns(d -> at(d < 10 ? 0 : 60, 2)), Lever.LIPS)).containsExactly(DAY.plusDays(16));
        assertThat(of(turns(d -> at(d < 10 || d > 15 ? 0 : 60, 2)), Lever.LIPS))
                .as("six days are a cold snap and no season")
                .isEmpty();
        assertThat(of(turns(d -> at(d >= 10 && d % 10 < 7 ? 60 : 0, 2)), Lever.LIPS))
                .as("seven of each ten are")
                .hasSize(1);
        assertThat(of(turns(d -> at(d >= 10 && d % 10 < 6 ? 60 : 0, 2)), Lever.LIPS))
                .isEmpty();
    }

    @Test
    void a_hairs_breadth_past_the_figure_is_not_past_it() {
        assertThat(of(turns(_ -> at(35 + Turns.DRYNESS - 0.1, 2)), Lever.LIPS)).isEmpty();
        assertThat(of(turns(_ -> at(35 + Turns.DRYNESS, 2)), Lever.LIPS)).hasSize(1);
        assertThat(of(turns(d -> at(d < 20 ? 60 : 35 - Turns.DRYNESS, 2)), Lever.LIPS))
                .as("and back only as far on the other side")
                .hasSize(1);
        assertThat(of(turns(d -> at(d < 20 ? 60 : 35 - Turns.DRYNESS - 0.1, 2)), Lever.LIPS))
                .hasSize(2);
    }

    @Test
    void more_sunscreen_is_asked_on_the_first_day_and_less_of_it_late() {
        assertThat(of(turns(d -> at(0, d == 30 ? 2.5 : 2)), Lever.SPF))
                .as("one bright day, and back when seven of ten were low again")
                .containsExactly(DAY.plusDays(30), DAY.plusDays(37));
        List<LocalDate> spring = of(turns(d -> at(0, d < 30 || d >= 200 ? 2 : 6)), Lever.SPF);
        assertThat(spring).containsExactly(DAY.plusDays(30), DAY.plusDays(206));
        assertThat(of(turns(d -> at(0, d < 30 ? 2 : d < 60 ? 6 : 2.3)), Lever.SPF))
                .as("2.3 is not yet well under 2.5")
                .hasSize(1);
    }

    @Test
    void a_bright_day_that_is_over_asks_for_nothing_and_days_that_are_mostly_bright_do() {
        LocalDate today = DAY.plusDays(40);
        assertThat(of(turns(d -> at(0, d == 30 ? 6 : 2), today), Lever.SPF)).isEmpty();
        assertThat(of(turns(d -> at(0, d == 40 ? 6 : 2), today), Lever.SPF))
                .as("today's sun burns today")
                .startsWith(today);
        assertThat(of(turns(d -> at(0, d >= 30 && d < 38 ? 6 : 2), today), Lever.SPF))
                .startsWith(DAY.plusDays(36));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void nothing_flaps_in_any_weather(long seed) {
        Random random = new Random(seed);
        Map<Integer, Air> days = new HashMap<>();
        double dryness = random.nextDouble(60);
        double uv = random.nextDouble(8);
        for (int d = 0; d <= 366; d++) {
            dryness = Math.clamp(dryness + random.nextGaussian() * 8, 0, 100);
            uv = Math.clamp(uv + random.nextGaussian(), 0, 12);
            days.put(d, at(dryness, uv));
        }
        Map<Lever, LocalDate> last = new EnumMap<>(Lever.class);
        List<Turn> turns = turns(days::get);
        assertThat(turns).isNotEmpty();
        for (Turn turn : turns) {
            boolean sun = turn.lever() == Lever.SPF || turn.lever() == Lever.SUN_AGAIN || turn.lever() == Lever.BARE;
            LocalDate before = last.put(turn.lever(), turn.day());
            if (before != null && !sun) {
                assertThat(ChronoUnit.DAYS.between(before, turn.day()))
                        .as("%s after %s", turn, before)
                        .isGreaterThanOrEqualTo(Turns.PAST);
            }
        }
    }

    @Test
    void air_that_stays_turns_nothing() {
        assertThat(turns(_ -> MILD)).isEmpty();
    }
}
