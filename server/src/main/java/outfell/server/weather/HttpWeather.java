package outfell.server.weather;

import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import outfell.climate.SiteId;
import outfell.weather.ToldDay;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A weather service spoken to over HTTP: docs/formats/weather.md. Whoever asks waits no longer than its patience. */
public final class HttpWeather implements WeatherService {
    private static final String SILENT = "The weather service does not answer: the usual air of these days is shown.";
    private static final String GARBLED =
            "What the weather service says cannot be understood: the usual air of these days is shown.";
    private static final String NO_SUCH_PLACE = "The weather service does not know this place: its usual air is shown.";
    private static final int NOT_FOUND = 404;
    private static final int OK = 200;

    private final Supplier<URI> address;
    private final Duration patience;
    private final JsonMapper json;
    private final HttpClient http;

    /**
     * @param address of the service; asked at each call
     * @param patience how long the whole of an answer may take
     */
    public HttpWeather(Supplier<URI> address, Duration patience, JsonMapper json) {
        this.address = address;
        this.patience = patience;
        this.json = json;
        this.http = HttpClient.newBuilder().connectTimeout(patience).build();
    }

    @Override
    public Told days(SiteId place, LocalDate from, int days) throws Unheard {
        HttpResponse<String> answer = ask("days?place=%s&from=%s&days=%d"
                .formatted(URLEncoder.encode(place.value(), StandardCharsets.UTF_8), from, days));
        if (answer.statusCode() == NOT_FOUND) {
            throw new Unheard(NO_SUCH_PLACE);
        }
        if (answer.statusCode() != OK) {
            throw new Unheard(SILENT);
        }
        JsonNode told = read(answer.body());
        List<ToldDay> all =
                told.at("/days").valueStream().flatMap(d -> day(d).stream()).toList();
        return new Told(all, told.at("/simulated").asBoolean(false));
    }

    /** A body may trickle in for ever: the patience is for all of it, not for its beginning only. */
    private HttpResponse<String> ask(String what) throws Unheard {
        HttpRequest request = HttpRequest.newBuilder(address.get().resolve(what))
                .timeout(patience)
                .build();
        var answer = http.sendAsync(request, HttpResponse.BodyHandlers.ofString());
        try {
            return answer.get(patience.toMillis(), TimeUnit.MILLISECONDS);
        } catch (TimeoutException | ExecutionException silent) {
            answer.cancel(true);
            throw new Unheard(SILENT);
        } catch (InterruptedException stopped) {
            answer.cancel(true);
            Thread.currentThread().interrupt();
            throw new Unheard(SILENT);
        }
    }

    private JsonNode read(String body) throws Unheard {
        JsonNode told;
        try {
            told = json.readTree(body);
        } catch (JacksonException garbled) {
            throw new Unheard(GARBLED);
        }
        if (!told.at("/days").isArray()) {
            throw new Unheard(GARBLED);
        }
        return told;
    }

    /** A day that lacks a number or its date is not told; the others are. */
    private static Optional<ToldDay> day(JsonNode d) {
        boolean whole = List.of("/celsius", "/humidity", "/wind", "/uvIndex").stream()
                .allMatch(n -> d.at(n).isNumber());
        try {
            return whole
                    ? Optional.of(new ToldDay(
                            LocalDate.parse(d.at("/day").asString("")),
                            d.at("/celsius").asDouble(),
                            d.at("/humidity").asDouble(),
                            d.at("/wind").asDouble(),
                            d.at("/uvIndex").asDouble()))
                    : Optional.empty();
        } catch (DateTimeException noDay) {
            return Optional.empty();
        }
    }
}
