package outfell.year;

import java.time.LocalDate;
import java.time.Month;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import outfell.climate.Air;
import outfell.climate.MonthlyAir;
import outfell.climate.Site;
import outfell.climate.Stay;
import outfell.consultation.Consultation;
import outfell.regimen.Planner.Airing;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.season.Lever;
import outfell.skin.SkinVerdict;

/**
 * The air of a stretch of the year: what has turned is asked as on the day of its turn, the rest as in the month of the visit.
 *
 * @param visit the month of the visit
 * @param turned by what has turned, the day from which it is asked so
 * @param from the first day
 * @param until the day after the last
 */
record AirOf(Month visit, Map<Lever, LocalDate> turned, LocalDate from, LocalDate until) implements Airing {
    AirOf {
        turned = Map.copyOf(turned);
    }

    /** The stretch after it, with more that has turned. */
    AirOf after(List<Turns.Turn> turns, LocalDate ends) {
        Map<Lever, LocalDate> more = new EnumMap<>(Lever.class);
        more.putAll(turned);
        turns.forEach(t -> more.put(t.lever(), t.day()));
        return new AirOf(visit, more, until, ends);
    }

    @Override
    public Asked ask(Consultation c, SkinVerdict skin, SafetyVerdict safety) {
        Asked asked = c.ask(Air.of(c.site().in(visit), c.life().stays()), visit, skin, safety);
        for (Map.Entry<Lever, LocalDate> turn : turned.entrySet()) {
            LocalDate day = turn.getValue();
            asked = asked.with(turn.getKey(), c.ask(on(c, day), day.getMonth(), skin, safety));
        }
        return turned.isEmpty() ? asked : asked.with(Lever.AIR, c.ask(mean(c), from.getMonth(), skin, safety));
    }

    static Air on(Consultation c, LocalDate day) {
        return Air.of(c.site().on(day), c.life().stays());
    }

    /** The mean of its days. */
    Air mean(Consultation c) {
        return mean(c.site(), c.life().stays());
    }

    /** The same without her hours in other air. */
    Air outside(Consultation c) {
        return mean(c.site(), List.of());
    }

    private Air mean(Site site, List<Stay> stays) {
        return Air.of(MonthlyAir.mean(from.datesUntil(until).map(site::on).toList()), stays);
    }
}
