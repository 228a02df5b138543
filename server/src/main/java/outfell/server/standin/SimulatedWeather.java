package outfell.server.standin;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import org.springframework.web.util.UriComponentsBuilder;
import outfell.climate.MonthlyAir;
import outfell.climate.Site;
import tools.jackson.databind.json.JsonMapper;

/**
 * A weather service that is not there: it listens on this machine and answers as docs/formats/weather.md says, as a real one would. Its
 * days are {@link MadeUpDays}. It can be made slow, silent, absurd or garbled.
 */
final class SimulatedWeather {
    /** How it answers. */
    enum Mood {
        /** As a service should. */
        FAIR,
        /** The same with some bitter days ahead, whatever the month. */
        BITTER,
        /** So late that nobody waits for it. */
        SLOW,
        /** With a fault of its own, whatever is asked. */
        DOWN,
        /** With numbers that no air has. */
        ABSURD,
        /** With something that is no answer. */
        GARBLED
    }

    record DayAnswer(LocalDate day, double celsius, double humidity, double wind, double uvIndex) {}

    record DaysAnswer(String place, boolean simulated, List<DayAnswer> days) {}

    private static final int MOST_DAYS = 60;
    /** The last so many of the days that are asked for are bitter: so much colder than is usual, and no warmer than so much. */
    private static final int BITTER_DAYS = 7;

    private static final double BITTER_BY = 9;
    private static final double BITTER_AT_MOST = 2;
    /** Later than anybody waits; what waits for it ends when it is closed. */
    private static final long SLOW_S = 120;

    private final Function<String, Optional<Site>> places;
    private final MadeUpDays days;
    private final JsonMapper json;
    private final HttpServer server;
    private final ExecutorService answering = Executors.newCachedThreadPool(
            Thread.ofPlatform().daemon().name("simulated weather ", 0).factory());
    private final CountDownLatch closed = new CountDownLatch(1);
    private volatile Mood mood = Mood.FAIR;

    /** @param places by id */
    SimulatedWeather(Function<String, Optional<Site>> places, long seed, JsonMapper json) throws IOException {
        this.places = places;
        this.days = new MadeUpDays(seed);
        this.json = json;
        this.server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/days", this::answer);
        server.setExecutor(answering);
        server.start();
    }

    URI address() {
        return URI.create("http://%s:%d/"
                .formatted(
                        server.getAddress().getAddress().getHostAddress(),
                        server.getAddress().getPort()));
    }

    Mood mood() {
        return mood;
    }

    void be(Mood other) {
        mood = other;
    }

    void close() {
        closed.countDown();
        server.stop(0);
        answering.shutdownNow();
    }

    private void answer(HttpExchange call) throws IOException {
        try (call) {
            switch (mood) {
                case DOWN -> say(call, 503, "{\"fault\": \"out of order\"}");
                case GARBLED -> say(call, 200, "<html>Please log in");
                case SLOW -> {
                    wait(call);
                    tell(call);
                }
                case FAIR, BITTER, ABSURD -> tell(call);
            }
        }
    }

    private void wait(HttpExchange call) {
        try {
            if (closed.await(SLOW_S, TimeUnit.SECONDS)) {
                call.close();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private void tell(HttpExchange call) throws IOException {
        Map<String, String> asked = UriComponentsBuilder.fromUri(call.getRequestURI())
                .build()
                .getQueryParams()
                .toSingleValueMap();
        Optional<Site> site = places.apply(asked.getOrDefault("place", ""));
        if (site.isEmpty()) {
            say(call, 404, "{\"fault\": \"no such place\"}");
            return;
        }
        LocalDate from;
        int count;
        try {
            from = LocalDate.parse(asked.getOrDefault("from", ""));
            count = Math.clamp(Integer.parseInt(asked.getOrDefault("days", "")), 1, MOST_DAYS);
        } catch (DateTimeException | NumberFormatException wrong) {
            say(call, 400, "{\"fault\": \"from is a date, days a number\"}");
            return;
        }
        List<DayAnswer> told = from.datesUntil(from.plusDays(count))
                .map(day -> day(site.get(), day, !day.isBefore(from.plusDays(count - BITTER_DAYS))))
                .toList();
        say(call, 200, json.writeValueAsString(new DaysAnswer(site.get().id().value(), true, told)));
    }

    private DayAnswer day(Site site, LocalDate day, boolean ahead) {
        MonthlyAir air = days.on(site, day);
        return switch (mood) {
            case ABSURD -> new DayAnswer(day, air.celsius() + 70, air.humidity() + 100, air.wind(), air.uvIndex());
            case BITTER ->
                new DayAnswer(
                        day,
                        ahead ? Math.min(site.on(day).celsius() - BITTER_BY, BITTER_AT_MOST) : air.celsius(),
                        air.humidity(),
                        air.wind(),
                        air.uvIndex());
            default -> new DayAnswer(day, air.celsius(), air.humidity(), air.wind(), air.uvIndex());
        };
    }

    private static void say(HttpExchange call, int status, String body) throws IOException {
        byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
        call.getResponseHeaders().set("Content-Type", "application/json");
        call.sendResponseHeaders(status, bytes.length);
        call.getResponseBody().write(bytes);
    }
}
