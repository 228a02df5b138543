package outfell.server.weather;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import outfell.climate.Air;
import outfell.climate.SiteId;
import outfell.knowledge.Because;
import outfell.weather.Snap;
import outfell.weather.Weather;
import outfell.weather.WeatherDay;
import outfell.week.Pause;
import outfell.year.AirToday;
import outfell.year.Stretch;

/**
 * Today's air at a place, as it is drawn.
 *
 * @param told whether today's air was told; else it is the usual one
 * @param simulated whether a stand-in told it
 * @param name "dry heated rooms, low sun"
 * @param compared how today's warmth lies to what is usual
 * @param missing why the usual air stands for some of the days; absent where it stands for none
 * @param days from today on
 * @param early what the days up to today ask of the client's plan already
 * @param spells of the days ahead, not laid over the client's days yet
 */
public record AirTodayView(
        SiteId site,
        String place,
        LocalDate day,
        boolean told,
        boolean simulated,
        Air air,
        String name,
        Because compared,
        Optional<Because> missing,
        List<DayOfWeather> days,
        List<Stretch.TurnOfAir> early,
        List<SpellTold> spells) {
    /**
     * @param usual °C that are usual on that day
     * @param told whether {@code celsius} was told
     */
    public record DayOfWeather(LocalDate day, double celsius, double usual, double uvIndex, boolean told) {}

    /**
     * @param id of the spell, as a pause has it
     * @param label "a cold snap"
     */
    public record SpellTold(String id, String label, LocalDate from, LocalDate until, Because because) {}

    public static AirTodayView of(AirToday today, boolean simulated) {
        Weather w = today.weather();
        return new AirTodayView(
                w.site().id(),
                w.site().name(),
                w.today(),
                w.now().told(),
                simulated,
                today.air(),
                today.name(),
                w.compared(),
                w.missing(),
                w.days().stream()
                        .filter(d -> !d.day().isBefore(w.today()))
                        .map(AirTodayView::day)
                        .toList(),
                today.early(),
                today.snaps().stream().map(AirTodayView::spell).toList());
    }

    private static DayOfWeather day(WeatherDay d) {
        return new DayOfWeather(
                d.day(), d.air().celsius(), d.normal().celsius(), d.air().uvIndex(), d.told());
    }

    private static SpellTold spell(Snap s) {
        String label = Pause.kind(s.spell()).map(Pause.KindOfPause::label).orElse(s.spell());
        return new SpellTold(s.spell(), label, s.from(), s.until(), s.because());
    }
}
