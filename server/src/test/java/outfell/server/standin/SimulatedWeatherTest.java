package outfell.server.standin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import outfell.climate.Site;
import outfell.climate.SiteId;
import outfell.climate.Sites;
import outfell.server.standin.SimulatedWeather.Mood;
import outfell.server.weather.HttpWeather;
import outfell.server.weather.WeatherService;
import outfell.server.weather.WeatherService.Unheard;
import outfell.weather.ToldDay;
import outfell.weather.Weather;
import tools.jackson.databind.json.JsonMapper;

/** The simulated weather service over its real socket, asked as a real one would be. */
class SimulatedWeatherTest {
    private static final LocalDate DAY = LocalDate.of(2026, 12, 1);
    private static final SiteId HARBOUR = new SiteId("skarrow-harbour");
    private static final JsonMapper JSON = new JsonMapper();
    /** Long enough for any machine where an answer is to come, and short where none is. */
    private static final Duration PATIENT = Duration.ofSeconds(60);

    private static final Duration HURRIED = Duration.ofMillis(300);

    private SimulatedWeather simulated;
    private WeatherService service;

    @BeforeEach
    void opens() throws IOException {
        simulated = new SimulatedWeather(Sites::find, 11, JSON);
        service = new HttpWeather(simulated::address, PATIENT, JSON);
    }

    @AfterEach
    void closes() {
        simulated.close();
    }

    static List<Site> sites() {
        return Sites.all();
    }

    @Test
    void it_tells_as_many_days_as_it_is_asked_for_and_says_that_it_is_simulated() throws Unheard {
        WeatherService.Told told = service.days(HARBOUR, DAY, 19);
        assertThat(told.simulated()).isTrue();
        assertThat(told.days())
                .hasSize(19)
                .isSortedAccordingTo((a, b) -> a.day().compareTo(b.day()));
        assertThat(told.days().getFirst().day()).isEqualTo(DAY);
    }

    @Test
    void a_day_is_the_same_whenever_it_is_asked_for_and_another_with_another_seed() throws Exception {
        ToldDay asked = service.days(HARBOUR, DAY, 1).days().getFirst();
        assertThat(service.days(HARBOUR, DAY.minusDays(8), 19).days()).contains(asked);
        SimulatedWeather other = new SimulatedWeather(Sites::find, 12, JSON);
        assertThat(new HttpWeather(other::address, PATIENT, JSON)
                        .days(HARBOUR, DAY, 1)
                        .days())
                .doesNotContain(asked);
        other.close();
    }

    @ParameterizedTest
    @MethodSource("sites")
    void its_days_lie_round_the_normals_and_all_of_them_can_be_believed(Site site) {
        MadeUpDays days = new MadeUpDays(11);
        List<LocalDate> years = DAY.datesUntil(DAY.plusYears(4)).toList();
        double off = years.stream()
                .mapToDouble(d -> days.on(site, d).celsius() - site.on(d).celsius())
                .average()
                .orElseThrow();
        assertThat(off).as("mean of four years").isCloseTo(0, within(1.0));
        for (LocalDate today :
                years.stream().filter(d -> d.getDayOfMonth() == 1).toList()) {
            List<ToldDay> told = Weather.first(today)
                    .datesUntil(Weather.first(today).plusDays(Weather.span()))
                    .map(d -> told(d, days, site))
                    .toList();
            assertThat(Weather.of(site, today, told).missing()).isEmpty();
        }
    }

    private static ToldDay told(LocalDate d, MadeUpDays days, Site site) {
        var air = days.on(site, d);
        return new ToldDay(d, air.celsius(), air.humidity(), air.wind(), air.uvIndex());
    }

    @Test
    void a_winter_of_the_harbour_has_cold_snaps_and_not_every_week() {
        MadeUpDays days = new MadeUpDays(11);
        Site harbour = Sites.find("skarrow-harbour").orElseThrow();
        long cold = LocalDate.of(2026, 11, 1)
                .datesUntil(LocalDate.of(2027, 4, 1))
                .filter(d -> days.on(harbour, d).celsius() < harbour.on(d).celsius() - 6)
                .count();
        assertThat(cold).isBetween(4L, 40L);
    }

    @Test
    void a_place_that_it_does_not_know_is_said() {
        assertThatThrownBy(() -> service.days(new SiteId("own-nowhere"), DAY, 1))
                .isInstanceOf(Unheard.class)
                .hasMessageContaining("does not know this place");
    }

    @Test
    void slow_is_not_waited_for() {
        simulated.be(Mood.SLOW);
        assertThatThrownBy(() -> new HttpWeather(simulated::address, HURRIED, JSON).days(HARBOUR, DAY, 1))
                .isInstanceOf(Unheard.class)
                .hasMessageContaining("does not answer");
    }

    @ParameterizedTest
    @EnumSource(names = {"DOWN", "GARBLED"})
    void down_and_garbled_are_no_answer(Mood mood) {
        simulated.be(mood);
        assertThatThrownBy(() -> service.days(HARBOUR, DAY, 1)).isInstanceOf(Unheard.class);
    }

    @Test
    void nobody_there_is_no_answer() {
        simulated.close();
        assertThatThrownBy(() -> service.days(HARBOUR, DAY, 1))
                .isInstanceOf(Unheard.class)
                .hasMessageContaining("does not answer");
    }

    @Test
    void absurd_is_told_and_not_believed() throws Unheard {
        simulated.be(Mood.ABSURD);
        Site harbour = Sites.find("skarrow-harbour").orElseThrow();
        Weather weather = Weather.of(
                harbour,
                DAY,
                service.days(HARBOUR, Weather.first(DAY), Weather.span()).days());
        assertThat(weather.days()).noneMatch(d -> d.told());
        assertThat(weather.missing().orElseThrow().sentence())
                .contains("Not believed")
                .contains("19 days");
        assertThat(weather.now().air()).isEqualTo(harbour.on(DAY));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"day\": \"2026-12-02\", \"celsius\": \"n/a\", \"humidity\": 80, \"wind\": 4, \"uvIndex\": 1}",
                "{\"day\": \"2026-12-02\", \"humidity\": 80, \"wind\": 4, \"uvIndex\": 1}",
                "{\"day\": \"soon\", \"celsius\": 4, \"humidity\": 80, \"wind\": 4, \"uvIndex\": 1}",
                "null",
                "7"
            })
    void one_bad_day_is_left_out_and_the_others_are_told(String bad) throws Exception {
        String good = "{\"day\": \"2026-12-01\", \"celsius\": 4, \"humidity\": 80, \"wind\": 4, \"uvIndex\": 1}";
        withAnswer("{\"days\": [%s, %s]}".formatted(bad, good), address -> {
            WeatherService.Told told = new HttpWeather(() -> address, PATIENT, JSON).days(HARBOUR, DAY, 2);
            assertThat(told.days()).containsExactly(new ToldDay(DAY, 4, 80, 4, 1));
            assertThat(told.simulated()).isFalse();
        });
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "{}", "[]", "{\"days\": 3}", "true"})
    void an_answer_without_days_is_none(String body) throws Exception {
        withAnswer(
                body,
                address -> assertThatThrownBy(() -> new HttpWeather(() -> address, PATIENT, JSON).days(HARBOUR, DAY, 1))
                        .isInstanceOf(Unheard.class)
                        .hasMessageContaining("cannot be understood"));
    }

    private interface Asking {
        void at(URI address) throws Exception;
    }

    private static void withAnswer(String body, Asking asking) throws Exception {
        HttpServer other = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        other.createContext("/days", call -> {
            try (call) {
                byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
                call.sendResponseHeaders(200, bytes.length == 0 ? -1 : bytes.length);
                call.getResponseBody().write(bytes);
            }
        });
        other.start();
        try {
            asking.at(URI.create(
                    "http://127.0.0.1:%d/".formatted(other.getAddress().getPort())));
        } finally {
            other.stop(0);
        }
    }
}
