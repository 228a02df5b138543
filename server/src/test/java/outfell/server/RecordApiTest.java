package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaLocation;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The record lasts: sent twice it is kept once, changed twice it is told, and a visit stays of its day. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"outfell.demo=true", "outfell.memory=record"})
class RecordApiTest extends OverHttp {
    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private TransactionTemplate transaction;

    // ---- sent twice

    @Test
    void the_same_save_sent_twice_is_a_success_and_another_on_the_same_version_is_a_clash() throws Exception {
        String visit = newVisit("Twice Sent");
        ObjectNode d = document(visit);
        ((ObjectNode) d.at("/intake")).put("note", "windy");
        Answer first = put("/api/visits/" + visit, d);
        Answer again = put("/api/visits/" + visit, d);
        assertThat(again.status()).isEqualTo(200);
        assertThat(again.body()).isEqualTo(first.body());
        ((ObjectNode) d.at("/intake")).put("note", "calm");
        Answer other = put("/api/visits/" + visit, d);
        assertThat(other.status()).isEqualTo(409);
        assertThat(other.body().at("/theirs/intake/note").asString()).isEqualTo("windy");
    }

    @Test
    void two_taps_begin_one_visit_one_client_one_patch_test_and_keep_one_plan() throws Exception {
        UUID id = UUID.randomUUID();
        String form = "{\"id\": \"%s\", \"name\": \"Two Taps\", \"trade\": \"\", \"nextVisit\": null}".formatted(id);
        assertThat(post("/api/clients", form).body().at("/id").asString())
                .isEqualTo(post("/api/clients", form).body().at("/id").asString());
        List<Answer> begun = atOnce(6, () -> post("/api/clients/" + id + "/visits", ""));
        assertThat(begun.stream().map(a -> a.body().at("/id").asString()).distinct())
                .hasSize(1);
        String test = "{\"product\": \"lactic-serum-5\", \"kind\": \"USE_TEST\", \"site\": \"FOREARM\"}";
        atOnce(4, () -> post("/api/clients/" + id + "/patch-tests", test));
        assertThat(get("/api/clients/" + id + "/patch-tests").body().at("/tests"))
                .hasSize(1);
        String visit = begun.getFirst().body().at("/id").asString();
        ready(visit);
        List<Answer> kept = atOnce(6, () -> post("/api/visits/" + visit + "/plans", ""));
        assertThat(kept).allSatisfy(k -> assertThat(k.status()).isEqualTo(201));
        assertThat(get("/api/visits/" + visit + "/plans").body()).hasSize(1);
    }

    @Test
    void the_desk_shows_what_was_saved_last_whoever_looks_at_it_meanwhile() throws Exception {
        String visit = newVisit("Looked At");
        for (int i = 0; i < 12; i++) {
            boolean allergic = i % 2 == 0;
            ObjectNode d = document(visit);
            ArrayNode told = ((ObjectNode) d.at("/intake")).putArray("otherAllergies");
            if (allergic) {
                told.add("lanolin");
            }
            List<Callable<Answer>> all = new ArrayList<>(List.of(() -> put("/api/visits/" + visit, d)));
            for (int looks = 0; looks < 3; looks++) {
                all.add(() -> get("/api/desk?text=Looked"));
            }
            assertThat(atOnce(all)).allSatisfy(a -> assertThat(a.status()).isEqualTo(200));
            assertThat(get("/api/desk?text=Looked").body().at("/clients/0/mind").valueStream())
                    .as("after save %d", i)
                    .extracting(JsonNode::asString)
                    .isEqualTo(allergic ? List.of("allergy: lanolin") : List.of());
        }
    }

    // ---- changed twice

    @Test
    void of_six_edits_at_once_one_is_saved_and_five_are_told() throws Exception {
        ObjectNode edit = JSON.createObjectNode().put("who", "Signe").put("version", 0);
        edit.set("product", JSON.readTree("""
                {"name": "Sealing balm", "maker": "", "size": 30, "unit": "ml", "price": 1, "label": "Petrolatum",
                 "kind": null, "texture": null, "prescription": false}"""));
        String id = post("/api/products", edit.at("/product").toString())
                .body()
                .at("/id")
                .asString();
        List<Callable<Answer>> all = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            ObjectNode one = edit.deepCopy();
            ((ObjectNode) one.at("/product")).put("price", 10 + i);
            all.add(() -> put("/api/products/" + id, one));
        }
        List<Integer> statuses =
                atOnce(all).stream().map(Answer::status).sorted().toList();
        assertThat(statuses).containsExactly(200, 409, 409, 409, 409, 409);

        List<Callable<Answer>> bands = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            ObjectNode band = JSON.createObjectNode()
                    .put("low", 20 + i)
                    .put("high", 50)
                    .put("by", "Runa")
                    .put("version", 0);
            bands.add(() -> put("/api/practice/probe-bands/SEBUM_T", band));
        }
        List<Integer> set = atOnce(bands).stream().map(Answer::status).toList();
        assertThat(set).containsOnlyOnce(200);
    }

    @Test
    void details_of_a_client_carry_a_version_and_the_same_change_twice_is_none() throws Exception {
        String id = post("/api/clients", "{\"name\": \"Wenna Spray\", \"trade\": \"\", \"nextVisit\": null}")
                .body()
                .at("/id")
                .asString();
        ObjectNode details = JSON.createObjectNode()
                .put("version", 0)
                .put("name", "Wenna Spray")
                .put("trade", "diver")
                .put("contact", "555 0190")
                .put("note", "")
                .putNull("nextVisit")
                .put("archived", false);
        assertThat(put("/api/clients/" + id, details).body().at("/version").asInt())
                .isEqualTo(1);
        assertThat(put("/api/clients/" + id, details).body().at("/version").asInt())
                .isEqualTo(1);
        Answer late = put("/api/clients/" + id, details.deepCopy().put("trade", "welder"));
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.body().at("/theirs/trade").asString()).isEqualTo("diver");
    }

    @Test
    void an_allergen_put_right_is_in_the_next_search_and_plan_always() throws Exception {
        String id = post("/api/products", """
                        {"name": "Racing balm", "maker": "", "size": 30, "unit": "ml", "price": 1, "label": "Aqua",
                         "kind": null, "texture": null, "prescription": false}""").body().at("/id").asString();
        try (ExecutorService searching = Executors.newVirtualThreadPerTaskExecutor()) {
            for (int i = 0; i < 25; i++) {
                String name = "Racing balm %d".formatted(i);
                for (int beside = 0; beside < 4; beside++) {
                    searching.submit(() -> get("/api/products/search?text=racing"));
                }
                ObjectNode edit = JSON.createObjectNode().put("who", "Signe").put("version", i);
                edit.set("product", JSON.readTree("""
                        {"name": "%s", "maker": "", "size": 30, "unit": "ml", "price": 1, "label": "Aqua, Lanolin",
                         "kind": null, "texture": null, "prescription": false}""".formatted(name)));
                assertThat(put("/api/products/" + id, edit).status()).isEqualTo(200);
                assertThat(get("/api/products/search?text=racing")
                                .body()
                                .at("/products/0/name")
                                .asString())
                        .isEqualTo(name);
            }
        }
    }

    // ---- one fault is one line

    @Test
    void a_prescription_is_asked_for_its_nights_when_it_is_put_on_a_shelf() throws Exception {
        String visit = newVisit("Prescribed Nights");
        String client = get("/api/visits/" + visit).body().at("/client").asString();
        String product = post("/api/products", """
                        {"name": "Tretinoin gel 0.025 %", "maker": "", "size": 30, "unit": "g", "price": 9,
                         "label": "Aqua, Tretinoin", "kind": null, "texture": null, "prescription": true}""").body().at("/id").asString();
        String without = "{\"product\": \"%s\", \"weeks\": 4, \"nights\": []}".formatted(product);
        Answer refused = post("/api/clients/" + client + "/shelf/products", without);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.body().at("/errors/0/pointer").asString()).isEqualTo("/nights");
        assertThat(post("/api/clients/" + client + "/shelf/products", without.replace("[]", "[\"MONDAY\", \"FRIDAY\"]"))
                        .body()
                        .at("/0/nights")
                        .size())
                .isEqualTo(2);

        // as an earlier Outfell kept it: the desk and the visit stand, and the missing thing is said
        transaction.executeWithoutResult(s -> jdbc.update(
                "delete from prescribed_night where shelf_item_id in (select id from shelf_item where client_id = ?)",
                UUID.fromString(client)));
        ObjectNode d = document(visit);
        ((ObjectNode) d.at("/intake")).put("note", "still saved");
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
        JsonNode line = line("Prescribed Nights");
        assertThat(line.at("/fault").asString()).contains("Tretinoin gel", "nights are not known");
        JsonNode item = get("/api/clients/" + client + "/shelf").body().get(0);
        assertThat(item.at("/missing").asString()).contains("counts as every night");
        ObjectNode use = ((ObjectNode) item.at("/use"))
                .put("version", item.at("/version").asInt());
        use.putArray("nights").add("TUESDAY");
        assertThat(put("/api/clients/" + client + "/shelf/" + item.at("/id").asString(), use)
                        .status())
                .isEqualTo(200);
        assertThat(line("Prescribed Nights").at("/fault").asString()).isEmpty();
    }

    @Test
    void a_record_that_cannot_be_read_is_one_line_and_nobody_elses_page_knows_of_it() throws Exception {
        String visit = newVisit("Broken Record");
        String client = get("/api/visits/" + visit).body().at("/client").asString();
        transaction.executeWithoutResult(s -> {
            jdbc.update("update visit set scent = 'NONSENSE' where id = ?", UUID.fromString(visit));
            jdbc.update("delete from desk_line where client_id = ?", UUID.fromString(client));
        });
        JsonNode desk = get("/api/desk").body();
        assertThat(desk.at("/clients").size()).isGreaterThan(8);
        assertThat(line("Broken Record").at("/fault").asString()).contains("cannot be read");
        assertThat(line("Maren Oskell").at("/fault").asString()).isEmpty();
        Answer page = get("/api/clients/" + client + "/page");
        assertThat(page.status()).isEqualTo(200);
        assertThat(page.body().at("/visits/0/fault").asString()).contains("cannot be read");
        assertThat(page.body().at("/mind/0/title").asString()).contains("cannot be read");
        transaction.executeWithoutResult(
                s -> jdbc.update("update visit set scent = 'ANY' where id = ?", UUID.fromString(visit)));
    }

    @Test
    void a_desk_of_many_is_laid_page_by_page_and_searched() throws Exception {
        transaction.executeWithoutResult(s -> {
            for (int i = 0; i < 130; i++) {
                jdbc.update(
                        "insert into client (id, name, trade, contact, added_at) values (random_uuid(), ?, 'cockle picker', '', now())",
                        "Zelah %03d".formatted(i));
            }
        });
        JsonNode first = get("/api/desk?text=zelah%20cockle").body();
        assertThat(first.at("/total").asInt()).isEqualTo(130);
        assertThat(first.at("/clients").size()).isEqualTo(50);
        JsonNode last = get("/api/desk?text=zelah%20cockle&skipped=100").body();
        assertThat(last.at("/clients").size()).isEqualTo(30);
        assertThat(last.at("/clients/29/name").asString()).isEqualTo("Zelah 129");
        assertThat(get("/api/desk?scope=DAY")
                        .body()
                        .at("/clients")
                        .valueStream()
                        .map(c -> c.at("/name").asString()))
                .containsExactly("Maren Oskell", "Tobit Harl", "Bram Otterholt");
        assertThat(get("/api/desk?scope=WEEK&day=" + LocalDate.now().plusDays(1))
                        .body()
                        .at("/clients")
                        .valueStream()
                        .map(c -> c.at("/name").asString()))
                .contains("Wilma Crake", "Jorun Pell")
                .doesNotContain("Maren Oskell", "Edda Quill");
        transaction.executeWithoutResult(s -> {
            jdbc.update(
                    "delete from desk_line where client_id in (select id from client where trade = 'cockle picker')");
            jdbc.update("delete from client where trade = 'cockle picker'");
        });
    }

    // ---- a visit of its day

    @Test
    void an_earlier_visit_is_read_and_changed_only_as_a_marked_correction() throws Exception {
        String visit = readOnly("Sunniva Thorne");
        ObjectNode d = document(visit);
        ((ObjectNode) d.at("/intake")).put("note", "typed weeks later");
        Answer refused = put("/api/visits/" + visit, d);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body().at("/code").asString()).isEqualTo("earlier-visit");
        assertThat(post("/api/visits/" + visit + "/plans", "").status()).isEqualTo(422);
        assertThat(get("/api/visits/" + visit + "/day").body().at("/earlier").asBoolean())
                .isTrue();

        String why = "{\"who\": \"Signe\", \"why\": \"the wrong box was ticked\"}";
        post("/api/visits/" + visit + "/corrections", why);
        JsonNode day = post("/api/visits/" + visit + "/corrections", why).body();
        assertThat(day.at("/open").asBoolean()).isTrue();
        assertThat(day.at("/corrections")).hasSize(1);
        assertThat(day.at("/corrections/0/why").asString()).isEqualTo("the wrong box was ticked");
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
        // what was put right is still a visit of its day
        JsonNode after = get("/api/visits/" + visit + "/day").body();
        assertThat(after.at("/earlier").asBoolean()).isTrue();
        assertThat(after.at("/corrections")).hasSize(1);
    }

    @Test
    void what_was_typed_on_the_day_and_sent_later_is_no_correction() throws Exception {
        String visit = readOnly("Edda Quill");
        JsonNode day = get("/api/visits/" + visit + "/day").body();
        ObjectNode d = document(visit);
        ((ObjectNode) d.at("/intake")).put("note", "typed on the ferry");
        assertThat(put("/api/visits/" + visit + "?typed=" + LocalDate.now().minusDays(1) + "T10:00:00", d)
                        .status())
                .isEqualTo(422);
        assertThat(put("/api/visits/" + visit + "?typed=" + day.at("/date").asString() + "T16:59:00", d)
                        .status())
                .isEqualTo(200);
        assertThat(get("/api/visits/" + visit + "/day").body().at("/corrections"))
                .isEmpty();
    }

    @Test
    void todays_visit_is_begun_from_a_client_whose_last_was_weeks_ago_and_is_not_marked() throws Exception {
        String before = readOnly("Anselm Roake");
        String client = get("/api/visits/" + before).body().at("/client").asString();
        JsonNode begun = post("/api/clients/" + client + "/visits", "").body();
        assertThat(begun.at("/id").asString()).isNotEqualTo(before);
        assertThat(begun.at("/date").asString()).isEqualTo(LocalDate.now().toString());
        assertThat(post(
                                "/api/visits/" + begun.at("/id").asString() + "/corrections",
                                "{\"who\": \"S\", \"why\": \"w\"}")
                        .status())
                .isEqualTo(422);
    }

    // ---- the client's page

    @Test
    void the_page_of_a_client_has_what_to_mind_the_visits_and_the_plans_kept() throws Exception {
        JsonNode page = page("Maren Oskell");
        assertThat(page.at("/visits").size()).isEqualTo(4);
        assertThat(page.at("/visits/3/today").asBoolean()).isTrue();
        assertThat(page.at("/visits/1/weeks").asInt()).isEqualTo(6);
        assertThat(page.at("/visits/0/came").asString()).isEqualTo("first plan kept");
        assertThat(page.at("/visits/0/steps/evening").size()).isPositive();
        assertThat(page.at("/plans").size()).isEqualTo(3);
        assertThat(page.at("/mind").valueStream().map(m -> m.at("/kind").asString()))
                .contains("BAN", "DUE");
        JsonNode ban = page.at("/mind")
                .valueStream()
                .filter(m -> m.at("/kind").asString().equals("BAN"))
                .findFirst()
                .orElseThrow();
        assertThat(ban.at("/because/0/sentence").asString()).isNotEmpty();
        assertThat(ban.at("/because/0/evidence").asString()).isNotEmpty();
        assertThat(ban.at("/because/0/source").asString()).isNotEmpty();
        assertThat(page.at("/todays").asString())
                .isEqualTo(page.at("/visits/3/visit").asString());
    }

    @Test
    void a_client_of_whom_nothing_was_asked_is_not_one_with_nothing_to_mind() throws Exception {
        String form = "{\"name\": \"Perran Holm\", \"trade\": \"\", \"nextVisit\": null}";
        String client = post("/api/clients", form).body().at("/id").asString();
        post("/api/clients/" + client + "/visits", "");
        assertThat(page("Perran Holm")
                        .at("/mind")
                        .valueStream()
                        .map(m -> m.at("/text").asString()))
                .anyMatch(text -> text.matches("\\d+ safety questions were not asked\\."));
    }

    @Test
    void a_kept_plan_is_read_as_it_was_and_held_against_others() throws Exception {
        JsonNode plans = page("Maren Oskell").at("/plans");
        String newest = plans.at("/0/plan/id").asString();
        String oldest = plans.at("/2/plan/id").asString();
        JsonNode kept = get("/api/plans/" + newest).body();
        assertThat(kept.at("/answer/status").asString()).isEqualTo("PLANNED");
        assertThat(kept.at("/answer/regimen/morning/steps").size()).isPositive();
        assertThat(get("/api/plans/" + newest + "/against/" + newest).body()).isEmpty();
        String visit = lastVisit("Maren Oskell");
        assertThat(put("/api/visits/" + visit, asked(visit)).status()).isEqualTo(200);
        String today =
                post("/api/visits/" + visit + "/plans", "").body().at("/id").asString();
        JsonNode there = get("/api/plans/" + oldest + "/against/" + today).body();
        JsonNode back = get("/api/plans/" + today + "/against/" + oldest).body();
        assertThat(there.size()).isPositive();
        assertThat(there.valueStream()
                        .filter(l -> l.at("/what").asString().equals("PUT_IN"))
                        .count())
                .isEqualTo(back.valueStream()
                        .filter(l -> l.at("/what").asString().equals("TAKEN_OUT"))
                        .count());
        assertThat(get("/api/plans/" + newest + "/against-now").status()).isEqualTo(200);
        assertThat(get("/api/plans/" + UUID.randomUUID()).status()).isEqualTo(404);
    }

    @Test
    void finishing_a_visit_says_what_is_still_open_until_it_is_done() throws Exception {
        String visit = newVisit("Open Ends");
        assertThat(open(visit)).anyMatch(s -> s.contains("not asked")).anyMatch(s -> s.contains("face was not read"));
        assertThat(open(visit)).contains("No plan of this visit is kept.", "No next visit is agreed.");
        Answer early = post("/api/visits/" + visit + "/plans", "");
        assertThat(early.status()).isEqualTo(422);
        assertThat(early.body().at("/code").asString()).isEqualTo("not-asked");
        assertThat(early.body().at("/detail").asString()).contains("year of birth", "pregnancy", "draft");
        assertThat(put("/api/visits/" + visit, asked(visit)).status()).isEqualTo(200);
        assertThat(post("/api/visits/" + visit + "/plans", "")
                        .body()
                        .at("/code")
                        .asString())
                .isEqualTo("not-read");
        ready(visit);
        assertThat(post("/api/visits/" + visit + "/plans", "").status()).isEqualTo(201);
        assertThat(open(visit)).doesNotContain("No plan of this visit is kept.");
        ObjectNode d = document(visit);
        d.put("method", "layered");
        put("/api/visits/" + visit, d);
        assertThat(open(visit)).contains("The plan has changed since it was kept.");
    }

    @Test
    void a_whole_record_goes_out_by_its_schema_and_is_erased_after_it_was_said_what_stays() throws Exception {
        String visit = newVisit("Erase Me");
        String client = get("/api/visits/" + visit).body().at("/client").asString();
        post("/api/clients/" + client + "/shelf/labels", """
                {"product": {"name": "Own brew", "maker": "", "size": 10, "unit": "ml", "price": 0, "label": "Aqua",
                 "kind": null, "texture": null, "prescription": false}, "weeks": 1, "nights": []}""");
        ready(visit);
        post("/api/visits/" + visit + "/plans", "");
        String record = raw("/api/clients/" + client + "/record").body();
        assertThat(bySchema(record)).isEmpty();
        assertThat(record).contains("Erase Me", "Own brew", "outfell-client-record");

        JsonNode said = get("/api/clients/" + client + "/erasure").body();
        assertThat(said.at("/goes").toString()).contains("Erase Me", "1 visit", "1 kept plan");
        assertThat(said.at("/stays").toString()).contains("Backups");
        assertThat(post("/api/clients/" + client + "/erasure", "{\"version\": 7, \"who\": \"Signe\"}")
                        .status())
                .isEqualTo(409);
        assertThat(post("/api/clients/" + client + "/erasure", "{\"version\": 0, \"who\": \"Signe\"}")
                        .status())
                .isEqualTo(204);
        assertThat(get("/api/clients/" + client).status()).isEqualTo(404);
        assertThat(get("/api/visits/" + visit).status()).isEqualTo(404);
        assertThat(get("/api/products/search?text=own%20brew")
                        .body()
                        .at("/total")
                        .asInt())
                .isZero();
        assertThat(post("/api/clients/" + client + "/erasure", "{\"version\": 0, \"who\": \"Signe\"}")
                        .status())
                .isEqualTo(204);
    }

    // ---- the practice

    @Test
    void the_practice_has_a_page_of_its_own_with_who_works_there_and_a_mark() throws Exception {
        JsonNode house = get("/api/practice/house").body();
        assertThat(house.at("/details/name").asString()).isEqualTo("Gannet Steps Skin Room");
        ObjectNode form = ((ObjectNode) house.at("/details").deepCopy())
                .put("version", house.at("/version").asInt())
                .put("by", "Runa Vale")
                .put("hours", "by appointment");
        Answer set = put("/api/practice/house", form);
        assertThat(set.body().at("/details/hours").asString()).isEqualTo("by appointment");
        assertThat(put("/api/practice/house", form).status()).isEqualTo(200);
        assertThat(put("/api/practice/house", form.deepCopy().put("hours", "never"))
                        .status())
                .isEqualTo(409);

        JsonNode joined = post("/api/practice/house/workers", "{\"name\": \"Ottilie Reed\"}")
                .body();
        assertThat(joined.at("/workers").toString()).contains("Ottilie Reed");
        String id = joined.at("/workers")
                .valueStream()
                .filter(w -> w.at("/name").asString().equals("Ottilie Reed"))
                .map(w -> w.at("/id").asString())
                .findFirst()
                .orElseThrow();
        assertThat(delete("/api/practice/house/workers/" + id)
                        .body()
                        .at("/workers")
                        .toString())
                .doesNotContain("Ottilie Reed");

        assertThat(mark("<svg xmlns=\"http://www.w3.org/2000/svg\"><rect width=\"9\" height=\"9\"/></svg>"))
                .isEqualTo(200);
        HttpResponse<String> shown = raw("/api/practice/house/mark");
        assertThat(shown.headers().firstValue("content-type")).contains("image/svg+xml");
        assertThat(shown.headers().firstValue("content-security-policy").orElse(""))
                .contains("sandbox");
        for (String wrong : List.of(
                "<svg><script>alert(1)</script></svg>",
                "<svg onload=\"x()\"></svg>",
                "<svg><image href=\"http://elsewhere\"/></svg>",
                "GIF89a")) {
            assertThat(mark(wrong)).as(wrong).isEqualTo(400);
        }
    }

    // ---- who is let in

    @Test
    void only_this_machines_own_windows_are_let_in() throws Exception {
        assertThat(status("GET", "/api/desk", Map.of("Host", "evil.example:" + port)))
                .isEqualTo(421);
        for (String host : List.of("localhost:" + port, "127.0.0.1:" + port, "[::1]:" + port, "LOCALHOST")) {
            assertThat(status("GET", "/api/desk", Map.of("Host", host)))
                    .as(host)
                    .isEqualTo(200);
        }
        String begin = "/api/clients/" + UUID.randomUUID() + "/visits";
        assertThat(status("POST", begin, Map.of("Host", "localhost:" + port, "Origin", "http://evil.example")))
                .isEqualTo(403);
        assertThat(status("POST", begin, Map.of("Host", "localhost:" + port, "Origin", "http://localhost:1")))
                .isEqualTo(403);
        assertThat(status("POST", begin, Map.of("Host", "localhost:" + port, "Origin", "null")))
                .isEqualTo(403);
        assertThat(status("POST", begin, Map.of("Host", "localhost:" + port, "Sec-Fetch-Site", "cross-site")))
                .isEqualTo(403);
        assertThat(status("POST", begin, Map.of("Host", "localhost:" + port, "Sec-Fetch-Site", "same-site")))
                .isEqualTo(403);
        assertThat(status(
                        "POST",
                        begin,
                        Map.of(
                                "Host",
                                "localhost:" + port,
                                "Origin",
                                "http://localhost:" + port,
                                "Sec-Fetch-Site",
                                "same-origin")))
                .isEqualTo(404);
        HttpResponse<String> page = raw("/api/desk");
        assertThat(page.headers().firstValue("content-security-policy").orElse(""))
                .contains("default-src 'self'", "frame-ancestors 'none'");
        assertThat(page.headers().firstValue("x-content-type-options")).contains("nosniff");
        assertThat(page.headers().firstValue("referrer-policy")).contains("no-referrer");
        assertThat(page.headers().firstValue("cache-control")).contains("no-store");
    }

    // ---- helpers

    private JsonNode line(String name) throws Exception {
        return get("/api/desk?text=" + name.replace(" ", "%20")).body().at("/clients/0");
    }

    private JsonNode page(String name) throws Exception {
        return get("/api/clients/" + line(name).at("/id").asString() + "/page").body();
    }

    private List<String> open(String visit) throws Exception {
        return get("/api/visits/" + visit + "/open-ends")
                .body()
                .valueStream()
                .map(e -> e.at("/sentence").asString())
                .toList();
    }

    private int mark(String picture) throws Exception {
        return http.send(
                        HttpRequest.newBuilder(
                                        URI.create("http://localhost:" + port + "/api/practice/house/mark?by=Runa"))
                                .header("content-type", "application/octet-stream")
                                .PUT(HttpRequest.BodyPublishers.ofString(picture))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .statusCode();
    }

    private static List<String> bySchema(String record) throws Exception {
        String text = Files.readString(Path.of("../docs/formats/client-record.schema.json"));
        SchemaRegistry registry = SchemaRegistry.withDefaultDialect(
                SpecificationVersion.DRAFT_2020_12, b -> b.schemas(Map.of("urn:outfell:format:client-record", text)));
        return registry
                .getSchema(SchemaLocation.of("urn:outfell:format:client-record"))
                .validate(record, InputFormat.JSON)
                .stream()
                .map(Object::toString)
                .toList();
    }

    /** Headers that a client library would not let through are written by hand. */
    private int status(String method, String path, Map<String, String> headers) throws Exception {
        try (java.net.Socket socket = new java.net.Socket("localhost", port)) {
            StringBuilder request = new StringBuilder("%s %s HTTP/1.1\r\n".formatted(method, path));
            headers.forEach((name, value) ->
                    request.append(name).append(": ").append(value).append("\r\n"));
            request.append("Content-Length: 0\r\nConnection: close\r\n\r\n");
            socket.getOutputStream().write(request.toString().getBytes(java.nio.charset.StandardCharsets.US_ASCII));
            String line = new java.io.BufferedReader(new java.io.InputStreamReader(
                            socket.getInputStream(), java.nio.charset.StandardCharsets.UTF_8))
                    .readLine();
            return Integer.parseInt(line.split(" ")[1]);
        }
    }

    private static List<Answer> atOnce(int times, Callable<Answer> call) throws Exception {
        return atOnce(java.util.Collections.nCopies(times, call));
    }

    private static List<Answer> atOnce(List<Callable<Answer>> calls) throws Exception {
        try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
            List<Answer> all = new ArrayList<>();
            for (Future<Answer> f : threads.invokeAll(calls)) {
                all.add(f.get());
            }
            return all;
        }
    }
}
