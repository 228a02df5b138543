package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.test.context.TestPropertySource;
import tools.jackson.databind.JsonNode;

/** Today's air over HTTP, with a service that is fair, slow, failing or lying. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@TestPropertySource(
        properties = {
            "outfell.memory=weather",
            "outfell.demo=true",
            "outfell.probe.port=0",
            "outfell.weather.patience-ms=6000"
        })
class WeatherApiTest extends OverHttp {
    @AfterEach
    void fairAgain() throws Exception {
        be("FAIR");
    }

    private void be(String mood) throws Exception {
        assertThat(put("/api/standin/weather", JSON.createObjectNode().put("mood", mood))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void the_desk_has_todays_air_where_the_practice_is() throws Exception {
        JsonNode today = get("/api/weather").body();
        assertThat(today.at("/site").asString()).isEqualTo("skarrow-harbour");
        assertThat(today.at("/day").asString()).isEqualTo(LocalDate.now().toString());
        assertThat(today.at("/told").asBoolean()).isTrue();
        assertThat(today.at("/simulated").asBoolean()).isTrue();
        assertThat(today.at("/missing").isNull()).isTrue();
        assertThat(today.at("/days").size()).isEqualTo(10);
        assertThat(today.at("/days/0/celsius").asDouble())
                .isEqualTo(today.at("/air/outdoors/celsius").asDouble());
    }

    @ParameterizedTest
    @CsvSource({
        "SLOW, does not answer",
        "DOWN, does not answer",
        "GARBLED, cannot be understood",
        "ABSURD, Not believed"
    })
    void a_service_that_fails_leaves_the_usual_air_and_says_why(String mood, String words) throws Exception {
        be(mood);
        Answer today = get("/api/weather");
        assertThat(today.status()).isEqualTo(200);
        assertThat(today.body().at("/told").asBoolean()).isFalse();
        assertThat(today.body().at("/missing/sentence").asString()).contains(words);
        assertThat(today.body().at("/days/0/celsius").asDouble())
                .isEqualTo(today.body().at("/days/0/usual").asDouble());
        assertThat(today.body().at("/spells").size()).isZero();
    }

    @Test
    void bitter_days_ahead_are_told_until_they_are_laid_over() throws Exception {
        be("BITTER");
        assertThat(get("/api/weather").body().at("/spells/0/id").asString()).isEqualTo("cold_snap");
        String visit = readOnly("Jorun Pell");
        String client = get("/api/visits/" + visit).body().at("/client").asString();
        JsonNode told = get("/api/visits/" + visit + "/weather").body().at("/spells/0");
        assertThat(told.at("/label").asString()).isEqualTo("a cold snap");
        assertThat(told.at("/because/sentence").asString()).contains("colder than is usual");
        Answer kept = post(
                "/api/clients/" + client + "/pauses",
                "{\"kind\": \"cold_snap\", \"from\": \"%s\", \"until\": \"%s\", \"remark\": \"\"}"
                        .formatted(
                                told.at("/from").asString(), told.at("/until").asString()));
        assertThat(kept.status()).isEqualTo(200);
        assertThat(get("/api/visits/" + visit + "/weather").body().at("/spells").size())
                .isZero();
    }

    @Test
    void a_client_has_the_air_of_her_own_place() throws Exception {
        String visit = readOnly("Hedda Saltvik");
        JsonNode today = get("/api/visits/" + visit + "/weather").body();
        assertThat(today.at("/site").asString())
                .isEqualTo(get("/api/visits/" + visit).body().at("/intake/site").asString());
        assertThat(today.at("/air/rooms/sentence").asString()).isNotBlank();
    }

    @Test
    void an_unknown_mood_is_refused() throws Exception {
        assertThat(put("/api/standin/weather", JSON.createObjectNode().put("mood", "STORMY"))
                        .status())
                .isEqualTo(400);
    }

    @Test
    void the_practice_is_moved_by_one_at_a_time_and_to_a_place_that_there_is() throws Exception {
        int version = get("/api/places").body().at("/home/version").asInt();
        assertThat(home("upper-tarn", version).status()).isEqualTo(200);
        assertThat(get("/api/weather").body().at("/site").asString()).isEqualTo("upper-tarn");
        assertThat(home("port-lenz", version).status()).isEqualTo(409);
        Answer nowhere = home("nowhere", version + 1);
        assertThat(nowhere.status()).isEqualTo(400);
        assertThat(nowhere.body().at("/errors/0/sentence").asString()).startsWith("There is no place nowhere");
        String visit = newVisit("Somebody New");
        assertThat(get("/api/visits/" + visit).body().at("/intake/site").asString())
                .as("who is new is taken to live where the practice is")
                .isEqualTo("upper-tarn");
        assertThat(home("skarrow-harbour", version + 1).status()).isEqualTo(200);
    }

    private Answer home(String place, int version) throws Exception {
        return put(
                "/api/places/home",
                JSON.createObjectNode().put("place", place).put("by", "Signe").put("version", version));
    }
}
