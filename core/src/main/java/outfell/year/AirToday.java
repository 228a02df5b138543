package outfell.year;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import outfell.changes.Changes;
import outfell.climate.Air;
import outfell.climate.MonthlyAir;
import outfell.climate.Stay;
import outfell.consultation.Consultation;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.season.Asked;
import outfell.season.Lever;
import outfell.weather.Snap;
import outfell.weather.Weather;
import outfell.year.Stretch.TurnOfAir;
import outfell.year.Turns.Turn;

/**
 * Today's air, and what it is to a client.
 *
 * @param air of today, with the client's hours in other air
 * @param name of it, "dry heated rooms, low sun"
 * @param early what the days up to today ask otherwise than the plan that stands, while by the usual air of these days it would stand
 * @param snaps spells of the days ahead that are not laid over her days yet
 */
public record AirToday(Weather weather, Air air, String name, List<TurnOfAir> early, List<Snap> snaps) {
    public AirToday {
        early = List.copyOf(early);
        snaps = List.copyOf(snaps);
    }

    /** Whoever it is. */
    public static AirToday of(Weather weather) {
        return new AirToday(weather, air(weather, List.of()), name(weather), List.of(), weather.snaps());
    }

    /** For one client; without a plan nothing is early. */
    public static AirToday of(Weather weather, Consultation consultation) {
        List<Snap> snaps =
                weather.snaps().stream().filter(s -> !laidOver(consultation, s)).toList();
        return new AirToday(
                weather, air(weather, consultation.life().stays()), name(weather), early(weather, consultation), snaps);
    }

    private static Air air(Weather weather, List<Stay> stays) {
        return Air.of(weather.now().air(), stays);
    }

    private static String name(Weather weather) {
        return Names.of(air(weather, List.of()));
    }

    private static boolean laidOver(Consultation consultation, Snap snap) {
        return consultation.diary().pauses().stream()
                .anyMatch(p -> p.kind().id().equals(snap.spell())
                        && Spell.within(p, snap.from(), snap.until().plusDays(1)));
    }

    private static List<TurnOfAir> early(Weather weather, Consultation consultation) {
        Consultation now = Changes.in(consultation, weather.today().getMonth()).orElse(consultation);
        if (!(Planner.plan(now) instanceof Outcome.Planned planned)) {
            return List.of();
        }
        Set<Lever> usual = turns(weather, now, planned, weather.site()::on).stream()
                .map(Turn::lever)
                .collect(Collectors.toSet());
        return turns(weather, now, planned, weather::on).stream()
                .filter(t -> !usual.contains(t.lever()))
                .map(t -> new TurnOfAir(
                        t.day(),
                        t.lever(),
                        t.lever().words(),
                        t.lever().because(asked(now, planned, t.day(), weather.on(t.day())))))
                .toList();
    }

    private static List<Turn> turns(
            Weather weather, Consultation now, Outcome.Planned planned, Function<LocalDate, MonthlyAir> outdoors) {
        return new Turns(
                        day -> Air.of(outdoors.apply(day), now.life().stays()),
                        (day, air) -> now.ask(air, day.getMonth(), planned.skin(), planned.safety()),
                        weather.today())
                .between(
                        planned.regimen().asked(),
                        Weather.first(weather.today()),
                        weather.today().plusDays(1));
    }

    private static Asked asked(Consultation now, Outcome.Planned planned, LocalDate day, MonthlyAir outdoors) {
        return now.ask(Air.of(outdoors, now.life().stays()), day.getMonth(), planned.skin(), planned.safety());
    }
}
