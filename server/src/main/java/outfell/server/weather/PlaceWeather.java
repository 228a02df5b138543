package outfell.server.weather;

import java.time.Clock;
import java.time.LocalDate;
import org.springframework.stereotype.Service;
import outfell.climate.Site;
import outfell.weather.Weather;

/** The weather at a place; when the service fails, its normals, and why. */
@Service
public class PlaceWeather {
    /** @param simulated whether what was told is the stand-in's */
    public record Heard(Weather weather, boolean simulated) {}

    private final WeatherService service;
    private final Clock clock;

    PlaceWeather(WeatherService service, Clock clock) {
        this.service = service;
        this.clock = clock;
    }

    public Heard at(Site site) {
        LocalDate today = LocalDate.now(clock);
        try {
            WeatherService.Told told = service.days(site.id(), Weather.first(today), Weather.span());
            return new Heard(Weather.of(site, today, told.days()), told.simulated());
        } catch (WeatherService.Unheard unheard) {
            return new Heard(Weather.normals(site, today, String.valueOf(unheard.getMessage())), false);
        }
    }
}
