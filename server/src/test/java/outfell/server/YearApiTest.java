package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.TestPropertySource;
import org.springframework.transaction.support.TransactionTemplate;
import outfell.server.practice.SignedSettings;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The year after a visit, spells over it, and the places whose air it is, over HTTP. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@TestPropertySource(properties = {"outfell.memory=year", "outfell.demo=true", "outfell.probe.port=0"})
class YearApiTest extends OverHttp {
    private static final String WHO = "Signe";

    private JsonNode year(String visit) throws Exception {
        return get("/api/visits/" + visit + "/year").body();
    }

    @Test
    void a_year_begins_today_with_the_plan_of_the_board_and_ends_a_year_later() throws Exception {
        String visit = readOnly("Maren Oskell");
        JsonNode year = year(visit);
        assertThat(year.at("/from").asString()).isEqualTo(LocalDate.now().toString());
        assertThat(year.at("/until").asString())
                .isEqualTo(LocalDate.now().plusYears(1).toString());
        String month = LocalDate.now().getMonth().name();
        JsonNode board =
                get("/api/visits/" + visit + "/plan?month=" + month).body().at("/regimen");
        assertThat(year.at("/stretches/0/morning")).isEqualTo(board.at("/morning"));
        assertThat(year.at("/stretches/0/evening")).isEqualTo(board.at("/evening"));
        assertThat(year.at("/stretches").size()).isGreaterThan(2);
        assertThat(year.at("/months").size()).isEqualTo(12);
        for (JsonNode stretch : year.at("/stretches").valueStream().skip(1).toList()) {
            assertThat(stretch.at("/changes").size() + stretch.at("/told").size())
                    .isPositive();
        }
    }

    @Test
    void at_another_place_it_is_another_year_and_the_client_stays_where_she_is() throws Exception {
        String visit = readOnly("Maren Oskell");
        JsonNode there = get("/api/visits/" + visit + "/year?place=pale-quay").body();
        assertThat(there.at("/elsewhere").asBoolean()).isTrue();
        assertThat(there.at("/place").asString()).isEqualTo("Pale Quay");
        assertThat(year(visit).at("/elsewhere").asBoolean()).isFalse();
        Answer nowhere = get("/api/visits/" + visit + "/year?place=nowhere");
        assertThat(nowhere.status()).isEqualTo(400);
        assertThat(nowhere.body().at("/errors/0/sentence").asString()).startsWith("There is no place nowhere");
    }

    @Test
    void a_flight_rests_what_is_strong_is_packed_and_stands_on_the_sheet_until_it_is_taken_out() throws Exception {
        String visit = readOnly("Hedda Saltvik");
        String client = get("/api/visits/" + visit).body().at("/client").asString();
        LocalDate day = LocalDate.now().plusDays(40);
        Answer kept = post(
                "/api/clients/" + client + "/pauses",
                "{\"kind\": \"flight\", \"from\": \"%s\", \"until\": \"%s\", \"remark\": \"\"}".formatted(day, day));
        assertThat(kept.status()).isEqualTo(200);
        JsonNode spell = year(visit).at("/spells/0");
        assertThat(spell.at("/id").asString()).isEqualTo("flight");
        assertThat(spell.at("/quietFrom").asString()).isEqualTo(day.minusDays(1).toString());
        assertThat(words(spell, "RESTS")).contains("Retinal cream 0.05 % rests");
        assertThat(spell.at("/pack").valueStream().filter(p -> p.at("/decant").asBoolean()))
                .as("no bottle over a tenth of a litre")
                .allSatisfy(p -> assertThat(p.at("/words").asString()).contains("100 ml at most"));
        assertThat(sheet(visit)).contains("Through the year").contains("A flight");
        String id = kept.body().at("/pauses/0/id").asString();
        assertThat(delete("/api/pauses/" + id).status()).isEqualTo(200);
        assertThat(year(visit).at("/spells").size()).isZero();
    }

    private static List<String> words(JsonNode spell, String what) {
        return spell.at("/lines")
                .valueStream()
                .filter(l -> l.at("/what").asString().equals(what))
                .map(l -> l.at("/words").asString())
                .toList();
    }

    private String sheet(String visit) throws Exception {
        byte[] pdf = http.send(
                        HttpRequest.newBuilder(
                                        URI.create("http://localhost:" + port + "/api/visits/" + visit + "/sheet.pdf"))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray())
                .body();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void the_sun_of_the_day_is_a_word_its_arithmetic_and_no_leave_to_stay_out() throws Exception {
        String visit = readOnly("Maren Oskell");
        JsonNode july = get("/api/visits/" + visit + "/sun?month=JULY").body();
        assertThat(july.at("/word/sentence").asString()).isEqualTo("cover up, and shade round midday");
        assertThat(july.at("/coats").valueStream().map(JsonNode::asString))
                .containsExactly("09:15:00", "11:30:00", "13:30:00", "15:30:00");
        assertThat(july.at("/tested/0/careful").asDouble()).isEqualTo(50);
        assertThat(july.at("/truly/0/careful").asDouble()).isLessThan(5);
        assertThat(july.at("/cautions").valueStream().map(c -> c.at("/sentence").asString()))
                .anyMatch(c -> c.contains("leave to stay out"));
        JsonNode winter = get("/api/visits/" + visit + "/sun?month=DECEMBER").body();
        assertThat(winter.at("/coats").size()).isEqualTo(1);
        assertThat(winter.at("/cautions/0/sentence").asString()).startsWith("UVA is there in winter");
    }

    @Test
    void an_air_that_is_only_thought_of_moves_the_plan_and_keeps_nothing() throws Exception {
        String visit = readOnly("Hedda Saltvik");
        JsonNode before = get("/api/visits/" + visit).body();
        String thought = "/api/visits/" + visit + "/what-if?celsius=-10&humidity=70&wind=6&uv=%s&hours=2";
        JsonNode bitter = get(thought.formatted(1)).body();
        assertThat(bitter.at("/air/dryness").asDouble()).isGreaterThan(50);
        assertThat(bitter.at("/moved").valueStream().map(m -> m.at("/lever").asString()))
                .contains("SEAL", "WASH");
        assertThat(get("/api/visits/" + visit).body()).isEqualTo(before);
        Answer outside = get(thought.formatted(40));
        assertThat(outside.status()).isEqualTo(400);
        assertThat(sentence(outside)).startsWith("UV index 40");
    }

    @Test
    void a_place_is_made_from_questions_used_changed_and_taken_from_the_choice() throws Exception {
        JsonNode months = post("/api/places/asked", """
                        {"coldest": "JULY", "winter": "HEATED", "hottest": "JANUARY", "summer": "HOT_DRY", "sun": "STRONG", "wind": "WINDY"}""").body();
        assertThat(months.size()).isEqualTo(12);
        assertThat(months.at("/0/celsius").asDouble()).isEqualTo(33);
        assertThat(months.at("/6/celsius").asDouble()).isEqualTo(2);
        assertThat(months.at("/11/uvIndex").asDouble())
                .as("the sun of the south")
                .isEqualTo(9);
        Answer made = post("/api/places", form("Kelp Point", months, 0).toString());
        assertThat(made.status()).isEqualTo(201);
        String id = made.body().at("/id").asString();
        Answer twice = post("/api/places", form("kelp point", months, 0).toString());
        assertThat(twice.body().at("/errors/0/sentence").asString())
                .isEqualTo("There is a place called kelp point already.");

        String visit = readOnly("Maren Oskell");
        assertThat(get("/api/visits/" + visit + "/year?place=" + id)
                        .body()
                        .at("/place")
                        .asString())
                .isEqualTo("Kelp Point");
        ObjectNode windless = form("Kelp Point", months, 1);
        ((ObjectNode) windless.at("/months/3")).put("wind", 90);
        Answer refused = put("/api/places/" + id, windless);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.body().at("/errors/0/pointer").asString()).isEqualTo("/months/3");
        assertThat(refused.body().at("/errors/0/sentence").asString()).startsWith("April: Wind 90");
        assertThat(put("/api/places/" + id, form("Kelp Head", months, 1))
                        .body()
                        .at("/version")
                        .asInt())
                .isEqualTo(2);
        assertThat(put("/api/places/" + id, form("Kelp Nose", months, 1)).status())
                .as("somebody was quicker")
                .isEqualTo(409);

        ObjectNode away =
                JSON.createObjectNode().put("version", 2).put("offered", false).put("by", WHO);
        assertThat(put("/api/places/" + id + "/offered", away)
                        .body()
                        .at("/offered")
                        .asBoolean())
                .isFalse();
        assertThat(get("/api/visits/" + visit + "/year?place=" + id).status())
                .as("what has it keeps it")
                .isEqualTo(200);
        assertThat(put("/api/places/skarrow-harbour/offered", away)
                        .body()
                        .at("/detail")
                        .asString())
                .startsWith("A place that ships stays as it is");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "torn | {torn",
                "bare | {}",
                "short | {\"name\": \"A\", \"note\": \"\", \"offered\": true, \"months\": []}",
                "mad | {\"name\": \"A\", \"note\": \"\", \"offered\": true, \"months\": [{\"celsius\": 900}]}"
            })
    void a_place_that_cannot_be_read_is_one_line_and_stays_as_it_is(
            String id, String stored, @Autowired SignedSettings settings) throws Exception {
        settings.set("place/own-" + id, 0, stored, WHO);
        JsonNode torn = get("/api/places")
                .body()
                .at("/places")
                .valueStream()
                .filter(p -> p.at("/id").asString().equals("own-" + id))
                .findFirst()
                .orElseThrow();
        assertThat(torn.at("/offered").asBoolean()).isFalse();
        assertThat(torn.at("/note").asString()).startsWith("What is stored of this place cannot be read.");
        ObjectNode back =
                JSON.createObjectNode().put("version", 1).put("offered", true).put("by", WHO);
        assertThat(put("/api/places/own-" + id + "/offered", back)
                        .body()
                        .at("/code")
                        .asString())
                .isEqualTo("unreadable-place");
        assertThat(settings.of("place/own-" + id).orElseThrow().document()).isEqualTo(stored);
        assertThat(get("/api/visits/" + readOnly("Hedda Saltvik") + "/year?place=own-" + id)
                        .body()
                        .at("/errors/0/sentence")
                        .asString())
                .startsWith("What is stored of this place cannot be read.");
    }

    private static ObjectNode form(String name, JsonNode months, int version) {
        ObjectNode form = JSON.createObjectNode()
                .put("name", name)
                .put("note", "")
                .put("by", WHO)
                .put("version", version);
        ArrayNode all = form.putArray("months");
        months.forEach(m -> all.add(m.deepCopy()));
        return form;
    }

    @Test
    void a_table_of_a_spreadsheet_is_read_and_a_broken_one_says_its_line() throws Exception {
        String table = "Month;°C;%;m/s;UV\n" + "Jan;3,5;87;9,5;0,5\n".repeat(12);
        JsonNode read = table(table).body();
        assertThat(read.size()).isEqualTo(12);
        assertThat(read.at("/0/celsius").asDouble()).isEqualTo(3.5);
        assertThat(table("3.5,87,9.5,0.5\n".repeat(12)).body().size()).isEqualTo(12);
        assertThat(sentence(table("3.5\t87\t9.5\t0.5\n".repeat(11))))
                .isEqualTo("The table has 11 lines with figures; a year has twelve, January first.");
        assertThat(sentence(table("3.5,87,9.5,0.5\n" + "3.5,wet,9.5,0.5\n".repeat(11))))
                .isEqualTo("Line 2: “wet” is no number for humidity.");
        assertThat(sentence(table("3.5,87,95,0.5\n".repeat(12)))).startsWith("Line 1: Wind 95");
        assertThat(sentence(table("\"3.5,87\n"))).startsWith("The table cannot be read");
    }

    private Answer table(String text) throws Exception {
        return post(
                "/api/places/table", JSON.createObjectNode().put("text", text).toString());
    }

    private static String sentence(Answer answer) {
        assertThat(answer.status()).isEqualTo(400);
        return answer.body().at("/errors/0/sentence").asString();
    }

    @Test
    void hours_in_other_air_and_outdoors_by_month_are_kept_and_move_the_air() throws Exception {
        String visit = newVisit("Rue Halyard");
        ready(visit);
        ObjectNode document = document(visit);
        ObjectNode intake = (ObjectNode) document.at("/intake");
        intake.putArray("places").add("PLANES");
        intake.putArray("hoursIn").addObject().put("place", "PLANES").put("hours", 9);
        ArrayNode outdoors = intake.putArray("outdoorsByMonth");
        for (int m = 0; m < 12; m++) {
            outdoors.add(m);
        }
        double before = dryness(visit);
        assertThat(put("/api/visits/" + visit, document).status()).isEqualTo(200);
        JsonNode kept = get("/api/visits/" + visit).body().at("/intake");
        assertThat(kept.at("/hoursIn/0/hours").asDouble()).isEqualTo(9);
        assertThat(kept.at("/outdoorsByMonth/11").asDouble()).isEqualTo(11);
        assertThat(dryness(visit)).isGreaterThan(before + 10);
        intake.putArray("outdoorsByMonth").add(3);
        assertThat(put("/api/visits/" + visit, document).status()).isEqualTo(400);
    }

    private double dryness(String visit) throws Exception {
        return year(visit).at("/stretches/0/air/dryness").asDouble();
    }

    @Test
    void her_own_last_winter_is_told_with_what_was_read_what_stood_and_how_it_went() throws Exception {
        String visit = readOnly("Jorun Pell");
        LocalDate today = LocalDate.now();
        JsonNode before =
                lastYear(visit, today.minusDays(20), today.plusDays(60)).body();
        assertThat(before.at("/from").asString())
                .isEqualTo(today.minusDays(20).minusYears(1).toString());
        assertThat(before.at("/stood/steps/evening").size()).isPositive();
        assertThat(before.at("/stood/kept").asString())
                .isEqualTo(today.minusDays(374).toString());
        assertThat(before.at("/read").valueStream().map(r -> r.at("/date").asString()))
                .as("those of the days themselves")
                .containsExactly(
                        today.minusDays(374).toString(), today.minusDays(312).toString());
        assertThat(before.at("/read/0/concerns").size()).isBetween(1, 3);
        assertThat(before.at("/said/0/remark").asString()).isEqualTo("Tight after the pool, shins too.");
        assertThat(before.at("/now").valueStream().map(d -> d.at("/what").asString()))
                .isNotEmpty();
    }

    @Test
    void a_kept_plan_of_last_year_that_cannot_be_read_is_one_line(
            @Autowired JdbcTemplate jdbc, @Autowired TransactionTemplate transaction) throws Exception {
        String visit = readOnly("Jorun Pell");
        LocalDate today = LocalDate.now();
        JsonNode whole =
                lastYear(visit, today.minusDays(20), today.plusDays(60)).body();
        UUID plan = UUID.fromString(whole.at("/stood/plan").asString());
        String written = jdbc.queryForObject("select document from plan where id = ?", String.class, plan);
        transaction.executeWithoutResult(s -> jdbc.update("update plan set document = '{\"torn' where id = ?", plan));
        try {
            JsonNode torn =
                    lastYear(visit, today.minusDays(20), today.plusDays(60)).body();
            assertThat(torn.at("/stood/fault").asString()).startsWith("This plan cannot be read.");
            assertThat(torn.at("/stood/steps/evening").size()).isZero();
            assertThat(torn.at("/now").size()).isZero();
            assertThat(torn.at("/read")).isEqualTo(whole.at("/read"));
            assertThat(torn.at("/said")).isEqualTo(whole.at("/said"));
        } finally {
            transaction.executeWithoutResult(
                    s -> jdbc.update("update plan set document = ? where id = ?", written, plan));
        }
    }

    @Test
    void where_nobody_was_here_a_year_ago_that_is_said() throws Exception {
        String visit = readOnly("Hedda Saltvik");
        LocalDate today = LocalDate.now();
        JsonNode before = lastYear(visit, today, today.plusDays(90)).body();
        assertThat(before.at("/stood").isNull()).isTrue();
        assertThat(before.at("/read").size()).isZero();
        assertThat(before.at("/since").asString())
                .isGreaterThan(before.at("/until").asString());
    }

    @Test
    void days_that_end_before_they_begin_are_refused() throws Exception {
        LocalDate today = LocalDate.now();
        assertThat(lastYear(readOnly("Hedda Saltvik"), today, today).status()).isEqualTo(400);
        assertThat(lastYear(readOnly("Hedda Saltvik"), today, today.plusYears(2))
                        .status())
                .isEqualTo(400);
    }

    private Answer lastYear(String visit, LocalDate from, LocalDate until) throws Exception {
        return get("/api/visits/%s/last-year?from=%s&until=%s".formatted(visit, from, until));
    }

    @Test
    void a_flight_has_its_hours_and_snow_its_height_and_both_are_asked_within_reason() throws Exception {
        String visit = readOnly("Ines Varro");
        String client = get("/api/visits/" + visit).body().at("/client").asString();
        LocalDate day = LocalDate.now().plusDays(30);
        assertThat(spell(client, "flight", day, "11").status()).isEqualTo(200);
        JsonNode flight = year(visit).at("/spells/0");
        assertThat(flight.at("/label").asString()).isEqualTo("a flight, 11 h");
        assertThat(flight.at("/air/dryBecause/sentence").asString()).contains("11 h in cabin air");
        Answer absurd = spell(client, "flight", day.plusDays(9), "40");
        assertThat(absurd.status()).isEqualTo(400);
        assertThat(absurd.body().at("/errors/0/pointer").asString()).isEqualTo("/figure");
        assertThat(absurd.body().at("/errors/0/sentence").asString()).contains("outside 1 to 20 h");
        assertThat(spell(client, "beach", day.plusDays(9), "3").status()).isEqualTo(400);

        double low = uv(client, visit, day.plusDays(60), "0");
        double high = uv(client, visit, day.plusDays(60), "4000");
        assertThat(high / low).as("each thousand metres add 11 %").isCloseTo(1.44, within(0.001));
    }

    private double uv(String client, String visit, LocalDate day, String height) throws Exception {
        assertThat(spell(client, "snow", day, height).status()).isEqualTo(200);
        return year(visit)
                .at("/spells")
                .valueStream()
                .filter(s -> s.at("/label").asString().endsWith(", %s m".formatted(height)))
                .mapToDouble(s -> s.at("/air/outdoors/uvIndex").asDouble())
                .findFirst()
                .orElseThrow();
    }

    private Answer spell(String client, String kind, LocalDate day, String figure) throws Exception {
        return post(
                "/api/clients/" + client + "/pauses",
                "{\"kind\": \"%s\", \"from\": \"%s\", \"until\": \"%s\", \"figure\": %s, \"remark\": \"\"}"
                        .formatted(kind, day, day.plusDays(2), figure));
    }

    @Test
    void hours_are_kept_as_they_are_typed_also_of_a_place_that_is_no_longer_ticked() throws Exception {
        String visit = newVisit("Typed Hours");
        ObjectNode document = document(visit);
        ObjectNode intake = (ObjectNode) document.at("/intake");
        intake.put("outdoorHours", 7.25);
        intake.putArray("places").add("SEA");
        ArrayNode hours = intake.putArray("hoursIn");
        hours.addObject().put("place", "PLANES").put("hours", 3.75);
        assertThat(put("/api/visits/" + visit, document).status()).isEqualTo(200);
        JsonNode kept = get("/api/visits/" + visit).body().at("/intake");
        assertThat(kept.at("/outdoorHours").asDouble()).isEqualTo(7.25);
        assertThat(kept.at("/places").size()).isEqualTo(1);
        assertThat(kept.at("/hoursIn/0/place").asString()).isEqualTo("PLANES");
        assertThat(kept.at("/hoursIn/0/hours").asDouble()).isEqualTo(3.75);
    }
}
