package outfell.server.weather;

import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import outfell.server.place.Places;
import outfell.year.AirToday;

/** Today's air where the practice is. */
@RestController
@RequestMapping("/api/weather")
class WeatherController {
    private final Places places;
    private final PlaceWeather weather;

    WeatherController(Places places, PlaceWeather weather) {
        this.places = places;
        this.weather = weather;
    }

    /** Nothing, with status 204, while nobody has said where the practice is. */
    @GetMapping
    ResponseEntity<AirTodayView> today() {
        return places.home()
                .map(weather::at)
                .map(h -> ResponseEntity.ok(AirTodayView.of(AirToday.of(h.weather()), h.simulated())))
                .orElse(ResponseEntity.noContent().build());
    }
}
