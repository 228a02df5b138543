package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.test.context.TestPropertySource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The weeks of a plan, check-ins and pauses, the calendar file and the sheet as a PDF, over HTTP. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@TestPropertySource(properties = {"outfell.memory=weeks", "outfell.demo=true", "outfell.probe.port=0"})
class WeeksApiTest extends OverHttp {
    private static final String SAID = """
            {"on": "%s", "how": "TELEPHONE", "sting": %s, "redness": %s, "flaking": %s, "swelling": false, "skipped": 0, "remark": "rang at noon"}""";

    @Test
    void the_client_in_her_sixth_week_has_her_ramp_halved_by_what_she_said() throws Exception {
        JsonNode weeks = weeks(readOnly("Hedda Saltvik"));
        JsonNode retinal = track(weeks, "retinal-cream-005");

        assertThat(weeks.at("/checkIns").valueStream().map(c -> c.at("/says").asString()))
                .containsExactly("CALM", "STEP_BACK");
        assertThat(retinal.at("/weeks").valueStream().map(w -> w.at("/standing").asString()))
                .contains("HALVED")
                .endsWith("SETTLED");
        assertThat(evening(
                                weeks,
                                LocalDate.now()
                                        .plusDays((10
                                                        - LocalDate.now()
                                                                .getDayOfWeek()
                                                                .getValue())
                                                % 7))
                        .at("/uses"))
                .as("she swims on Wednesdays")
                .isEmpty();
    }

    @Test
    void a_calm_reset_takes_out_what_is_strong_and_ends_with_the_second_calm_check_in() throws Exception {
        String visit = readOnly("Orrin Teague");
        String client = clientOf(visit);
        JsonNode before = weeks(visit);
        assertThat(before.at("/calm/out").valueStream().map(JsonNode::asString)).contains("Salicylic fluid 2 %");
        assertThat(evening(before, LocalDate.now()).at("/calm").asBoolean()).isTrue();

        Answer said = post("/api/clients/" + client + "/check-ins", SAID.formatted(LocalDate.now(), 0, 1, 0));
        assertThat(said.status()).isEqualTo(200);
        JsonNode after = weeks(visit);
        assertThat(after.at("/calm").isMissingNode() || after.at("/calm").isNull())
                .isTrue();
        assertThat(track(after, "salicylic-fluid-2")
                        .at("/weeks")
                        .valueStream()
                        .filter(w -> w.at("/from")
                                .asString()
                                .equals(after.at("/from").asString()))
                        .map(w -> w.at("/led").asInt()))
                .containsExactly(0);

        String id = said.body()
                .at("/checkIns")
                .valueStream()
                .filter(c -> c.at("/said/on").asString().equals(LocalDate.now().toString()))
                .map(c -> c.at("/id").asString())
                .findFirst()
                .orElseThrow();
        assertThat(delete("/api/check-ins/" + id).status()).isEqualTo(200);
        assertThat(evening(weeks(visit), LocalDate.now()).at("/calm").asBoolean())
                .isTrue();
    }

    @Test
    void a_calm_reset_that_a_face_asked_for_goes_on_at_the_next_visit() throws Exception {
        String before = readOnly("Wilma Crake");
        String since = get("/api/visits/" + before).body().at("/date").asString();
        assertThat(weeks(before).at("/calm/since").asString()).isEqualTo(since);
        assertThat(weeks(before).at("/calm/out").valueStream().map(JsonNode::asString))
                .contains("Glycolic fluid 8 %");

        String today = post("/api/clients/" + clientOf(before) + "/visits", "{}")
                .body()
                .at("/id")
                .asString();
        assertThat(today).isNotEqualTo(before);
        assertThat(weeks(today).at("/calm/since").asString()).isEqualTo(since);
        assertThat(weeks(today).at("/calm/ends/sentence").asString()).contains("A calm reset comes first.");
    }

    @Test
    void a_swelling_keeps_what_is_strong_off_until_somebody_has_looked_at_it() throws Exception {
        String visit = readOnly("Sunniva Thorne");
        String client = clientOf(visit);
        LocalDate swollen = LocalDate.now().minusDays(20);
        String checkIns = "/api/clients/" + client + "/check-ins";
        String id = post(checkIns, SAID.formatted(swollen, 1, 1, 1).replace("false", "true"))
                .body()
                .at("/checkIns/0/id")
                .asString();
        post(checkIns, SAID.formatted(swollen.plusDays(9), 0, 0, 0));
        post(checkIns, SAID.formatted(swollen.plusDays(16), 0, 0, 0));
        assertThat(weeks(visit).at("/calm/ends/sentence").asString())
                .contains("Nobody has noted yet what a doctor says of the swelling");

        String seen = "/api/check-ins/" + id + "/seen";
        assertThat(put(seen, looked(swollen.minusDays(1), "too soon"))
                        .body()
                        .at("/errors/0/sentence")
                        .asString())
                .isEqualTo("It cannot have been looked at before it was there.");
        assertThat(put(seen, looked(swollen.plusDays(21), "ahead"))
                        .body()
                        .at("/errors/0/sentence")
                        .asString())
                .contains("lies ahead");
        assertThat(put(seen, looked(swollen.plusDays(2), " ")).status()).isEqualTo(400);
        assertThat(put(seen, looked(swollen.plusDays(2), "a contact reaction")).status())
                .isEqualTo(200);
        assertThat(weeks(visit).at("/calm").isObject()).isFalse();

        // told anew for the same day, what was noted of it stays
        post(checkIns, SAID.formatted(swollen, 2, 1, 1).replace("false", "true"));
        Answer silenced = post(checkIns, SAID.formatted(swollen, 0, 0, 0));
        assertThat(silenced.status()).isEqualTo(422);
        assertThat(silenced.body().at("/detail").asString()).startsWith("A swelling is noted for this day");
        JsonNode diary = get("/api/clients/" + client + "/diary").body();
        assertThat(diary.at("/checkIns/0/said/seen/by").asString()).isEqualTo("the harbour doctor");
        delete("/api/check-ins/" + diary.at("/checkIns/0/id").asString() + "/seen");
        assertThat(weeks(visit).at("/calm").isObject()).isTrue();
    }

    @Test
    void what_the_client_taps_takes_no_place_of_what_the_therapist_noted() throws Exception {
        String client = clientOf(readOnly("Jorun Pell"));
        String checkIns = "/api/clients/" + client + "/check-ins";
        String own = SAID.formatted(LocalDate.now(), 1, 1, 1).replace("TELEPHONE", "CLIENT");
        assertThat(post(checkIns, own).status()).isEqualTo(200);
        assertThat(post(checkIns, own).status()).as("her own she may change").isEqualTo(200);
        assertThat(post(checkIns, SAID.formatted(LocalDate.now(), 0, 0, 0)).status())
                .isEqualTo(200);
        Answer refused = post(checkIns, own);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body().at("/detail").asString()).contains("has been noted already");
        assertThat(get("/api/clients/" + client + "/diary")
                        .body()
                        .at("/checkIns/0/how")
                        .asString())
                .isEqualTo("TELEPHONE");
    }

    private static JsonNode looked(LocalDate on, String said) {
        return JSON.createObjectNode()
                .put("on", on.toString())
                .put("by", "the harbour doctor")
                .put("said", said);
    }

    @Test
    void what_cannot_be_is_refused_in_a_sentence() throws Exception {
        String client = clientOf(readOnly("Hedda Saltvik"));
        Answer ahead = post(
                "/api/clients/" + client + "/check-ins",
                SAID.formatted(LocalDate.now().plusDays(2), 0, 0, 0));
        assertThat(ahead.status()).isEqualTo(400);
        assertThat(ahead.body().at("/errors/0/sentence").asString()).contains("lies ahead");
        assertThat(post("/api/clients/" + client + "/check-ins", SAID.formatted(LocalDate.now(), 5, 0, 0))
                        .body()
                        .at("/errors/0/sentence")
                        .asString())
                .isEqualTo("Grades run to 4.");
        Answer back = post(
                "/api/clients/" + client + "/pauses",
                "{\"kind\": \"waxing\", \"from\": \"2027-02-03\", \"until\": \"2027-02-01\", \"remark\": \"\"}");
        assertThat(back.body().at("/errors/0/sentence").asString()).contains("cannot end");
        assertThat(post(
                                "/api/clients/" + client + "/pauses",
                                "{\"kind\": \"moult\", \"from\": \"2027-02-03\", \"until\": \"2027-02-04\", \"remark\": \"\"}")
                        .body()
                        .at("/errors/0/sentence")
                        .asString())
                .startsWith("There is no pause moult; there are [waxing,");
    }

    @Test
    void a_pause_clears_its_evenings_and_taking_it_back_fills_them() throws Exception {
        String visit = readOnly("Hedda Saltvik");
        String client = clientOf(visit);
        List<String> used = strong(weeks(visit));
        assertThat(used).isNotEmpty();
        String pause = "{\"kind\": \"rest\", \"from\": \"%s\", \"until\": \"%s\", \"remark\": \"\"}"
                .formatted(used.getFirst(), used.getFirst());

        Answer paused = post("/api/clients/" + client + "/pauses", pause);
        assertThat(post("/api/clients/" + client + "/pauses", pause).body().at("/pauses"))
                .hasSize(1);
        assertThat(strong(weeks(visit))).doesNotContain(used.getFirst());
        assertThat(evening(weeks(visit), LocalDate.parse(used.getFirst()))
                        .at("/rest/sentence")
                        .asString())
                .isEqualTo("Left out by hand.");

        delete("/api/pauses/" + paused.body().at("/pauses/0/id").asString());
        assertThat(strong(weeks(visit))).isEqualTo(used);
    }

    @Test
    void the_rhythm_the_course_and_an_evening_by_hand_come_back_as_they_were_saved() throws Exception {
        String visit = lastVisit("Lisbet Marl");
        ObjectNode d = document(visit);
        assertThat(d.at("/week/every").asInt()).isEqualTo(3);
        assertThat(d.at("/week/courses/0/kind").asString()).isEqualTo("thirty_days");
        ObjectNode week = (ObjectNode) d.at("/week");
        String day = LocalDate.now().plusDays(1).toString();
        week.put("every", 14);
        week.withArray("/byHand")
                .addObject()
                .put("product", "glycolic-fluid-8")
                .put("date", day)
                .put("on", true)
                .put("why", "a wedding later");
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
        assertThat(get("/api/visits/" + visit).body().at("/week")).isEqualTo(week);
        assertThat(evening(weeks(visit), LocalDate.parse(day))
                        .at("/uses/0/byHand")
                        .asBoolean())
                .isTrue();

        ObjectNode wrong = document(visit);
        ((ObjectNode) wrong.at("/week"))
                .withArray("/evenings")
                .addObject()
                .put("kind", "moult")
                .put("weekday", "MONDAY")
                .putNull("date");
        Answer refused = put("/api/visits/" + visit, wrong);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.body().at("/errors/0/pointer").asString()).isEqualTo("/week/evenings/0");
    }

    @Test
    void a_step_on_a_condition_comes_back_as_saved_and_an_evening_of_any_day_is_one_call() throws Exception {
        String visit = lastVisit("Sunniva Thorne");
        String day = LocalDate.now().plusDays(9).toString();
        String evening = "/api/visits/" + visit + "/evenings/";
        JsonNode cream = get(evening + day)
                .body()
                .at("/routine/steps")
                .valueStream()
                .filter(s -> s.at("/kind").asString().equals("MOISTURISER"))
                .findFirst()
                .orElseThrow();
        ObjectNode d = document(visit);
        ObjectNode step = d.withArray("/steps").addObject();
        step.put("part", "EVENING")
                .put("product", cream.at("/product").asString())
                .put("optional", false)
                .putNull("on")
                .put("secondCoat", false)
                .put("words", "");
        step.putArray("nights");
        step.putObject("when").put("kind", "weather").put("usual", 2);
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
        assertThat(get("/api/visits/" + visit).body().at("/steps/0/when")).isEqualTo(step.at("/when"));

        JsonNode then = get(evening + day).body();
        assertThat(then.at("/evening/maybe/0/when").asString()).isEqualTo("after a windy or cold day");
        assertThat(then.at("/routine/timeline/shortestMinutes").asDouble())
                .isLessThan(then.at("/routine/timeline/minutes").asDouble());
        assertThat(get(evening + LocalDate.now().plusYears(3))
                        .body()
                        .at("/errors/0/sentence")
                        .asString())
                .startsWith("The evenings of this plan run from");

        ObjectNode unknown = document(visit);
        ((ObjectNode) unknown.at("/steps/0/when")).put("kind", "moult");
        assertThat(put("/api/visits/" + visit, unknown)
                        .body()
                        .at("/errors/0/sentence")
                        .asString())
                .startsWith("There is no condition moult; there are [dry,");
    }

    @Test
    void another_reader_opens_the_calendar_and_a_newer_file_takes_the_place_of_an_older() throws Exception {
        String visit = readOnly("Hedda Saltvik");
        Map<String, VEvent> first = events(visit);
        JsonNode weeks = weeks(visit);

        assertThat(first).hasSizeGreaterThan(50);
        weeks.at("/evenings")
                .valueStream()
                .filter(e ->
                        !(e.at("/date").asString().compareTo(weeks.at("/now").asString()) < 0))
                .forEach(e -> {
                    VEvent event = Objects.requireNonNull(
                            first.get("evening-%s-%s@outfell"
                                    .formatted(e.at("/date").asString(), client(visit))),
                            e.at("/date").asString());
                    String uses = e.at("/uses")
                            .valueStream()
                            .map(u -> u.at("/name").asString())
                            .collect(Collectors.joining(", "));
                    assertThat(event.getSummary().getValue())
                            .isEqualTo(uses.isEmpty() ? "Skin: rest" : "Skin: " + uses);
                    assertThat(event.getDateStart()
                                    .getValue()
                                    .getRawComponents()
                                    .getHour())
                            .isEqualTo(21);
                });
        assertThat(first.keySet()).anyMatch(uid -> uid.startsWith("check-in-1-"));

        Map<String, VEvent> second = events(visit);
        assertThat(second.keySet()).isEqualTo(first.keySet());
        second.forEach((uid, event) -> assertThat(event.getSequence().getValue())
                .isGreaterThanOrEqualTo(
                        Objects.requireNonNull(first.get(uid)).getSequence().getValue()));
    }

    @Test
    void the_sheet_as_a_pdf_has_one_side_and_says_what_the_plan_says() throws Exception {
        for (String name : List.of("Hedda Saltvik", "Maren Oskell", "Anselm Roake", "Orrin Teague")) {
            String visit = readOnly(name);
            HttpResponse<byte[]> answer = http.send(
                    HttpRequest.newBuilder(
                                    URI.create("http://localhost:%d/api/visits/%s/sheet.pdf".formatted(port, visit)))
                            .build(),
                    HttpResponse.BodyHandlers.ofByteArray());
            assertThat(answer.statusCode()).isEqualTo(200);
            try (PDDocument pdf = Loader.loadPDF(answer.body())) {
                assertThat(pdf.getNumberOfPages()).as(name).isEqualTo(1);
                String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
                assertThat(text).contains(name + "’s skin plan", "Gannet Steps Skin Room", "Morning", "Evening");
                get("/api/visits/" + visit + "/plan?month="
                                + get("/api/visits/" + visit)
                                        .body()
                                        .at("/month")
                                        .asString())
                        .body()
                        .at("/regimen/evening/steps")
                        .valueStream()
                        .forEach(s -> assertThat(text).contains(s.at("/name").asString()));
            }
        }
    }

    @Test
    void the_record_holds_what_was_said_and_erasing_takes_it_out() throws Exception {
        String client = clientOf(readOnly("Orrin Teague"));
        assertThat(get("/api/clients/" + client + "/record").body().at("/diary/checkIns"))
                .hasSizeGreaterThanOrEqualTo(3);
        assertThat(get("/api/clients/" + client + "/erasure")
                        .body()
                        .at("/goes")
                        .valueStream()
                        .map(JsonNode::asString))
                .anyMatch(line -> line.contains("check-ins"));
    }

    private Map<String, VEvent> events(String visit) throws Exception {
        HttpResponse<String> answer = http.send(
                HttpRequest.newBuilder(
                                URI.create("http://localhost:%d/api/visits/%s/calendar.ics".formatted(port, visit)))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        assertThat(answer.headers().firstValue("content-type").orElse("")).startsWith("text/calendar");
        ICalendar calendar = Biweekly.parse(answer.body()).first();
        Map<String, VEvent> all = new HashMap<>();
        calendar.getEvents().forEach(e -> all.put(e.getUid().getValue(), e));
        assertThat(all).hasSize(calendar.getEvents().size());
        return all;
    }

    private JsonNode weeks(String visit) throws Exception {
        return get("/api/visits/" + visit + "/weeks").body();
    }

    private static JsonNode track(JsonNode weeks, String product) {
        return weeks.at("/tracks")
                .valueStream()
                .filter(t -> t.at("/product").asString().equals(product))
                .findFirst()
                .orElseThrow();
    }

    private static JsonNode evening(JsonNode weeks, LocalDate day) {
        return weeks.at("/evenings")
                .valueStream()
                .filter(e -> e.at("/date").asString().equals(day.toString()))
                .findFirst()
                .orElseThrow();
    }

    /** Evenings from today on that have something strong. */
    private static List<String> strong(JsonNode weeks) {
        return weeks.at("/evenings")
                .valueStream()
                .filter(e -> e.at("/date").asString().compareTo(weeks.at("/now").asString()) >= 0
                        && !e.at("/uses").isEmpty())
                .map(e -> e.at("/date").asString())
                .toList();
    }

    private String clientOf(String visit) throws Exception {
        return get("/api/visits/" + visit).body().at("/client").asString();
    }

    private String client(String visit) {
        try {
            return clientOf(visit);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }
}
