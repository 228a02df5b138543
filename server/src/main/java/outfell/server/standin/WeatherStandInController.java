package outfell.server.standin;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How the simulated weather service answers. */
@RestController
@RequestMapping("/api/standin/weather")
class WeatherStandInController {
    record WeatherKnob(
            @NotNull(message = "Say how it answers.") SimulatedWeather.Mood mood) {}

    private final SimulatedWeather simulated;

    WeatherStandInController(SimulatedWeather simulated) {
        this.simulated = simulated;
    }

    @GetMapping
    WeatherKnob knob() {
        return new WeatherKnob(simulated.mood());
    }

    @PutMapping
    WeatherKnob turn(@RequestBody @Valid WeatherKnob knob) {
        simulated.be(knob.mood());
        return knob();
    }
}
