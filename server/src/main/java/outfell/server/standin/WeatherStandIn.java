package outfell.server.standin;

import java.io.IOException;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import outfell.server.place.Places;
import outfell.server.weather.HttpWeather;
import outfell.server.weather.WeatherService;
import tools.jackson.databind.json.JsonMapper;

/** The simulated weather service in the place of a real one. */
@Configuration(proxyBeanMethods = false)
class WeatherStandIn {
    @Bean(destroyMethod = "close")
    SimulatedWeather simulatedWeather(Places places, @Value("${outfell.weather.seed:11}") long seed, JsonMapper json)
            throws IOException {
        return new SimulatedWeather(places::find, seed, json);
    }

    @Bean
    WeatherService weatherService(
            SimulatedWeather simulated,
            @Value("${outfell.weather.patience-ms:2500}") long patienceMs,
            JsonMapper json) {
        return new HttpWeather(simulated::address, Duration.ofMillis(patienceMs), json);
    }
}
