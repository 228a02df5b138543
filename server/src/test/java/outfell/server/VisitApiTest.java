package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.context.SpringBootTest;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Clients, shelves, visits and plans over real HTTP and a real database. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"outfell.demo=true", "outfell.probe.pace-ms=1", "outfell.memory=visits"})
class VisitApiTest extends OverHttp {
    @Test
    void the_demo_practice_has_clients_who_differ_and_a_full_shelf() throws Exception {
        Answer desk = get("/api/desk");
        assertThat(desk.body().at("/clients").size()).isGreaterThanOrEqualTo(6);
        assertThat(desk.body()
                        .at("/clients")
                        .valueStream()
                        .map(c -> c.at("/skin").asString())
                        .distinct()
                        .count())
                .isGreaterThan(4);
        assertThat(get("/api/products/search").body().at("/total").asInt()).isGreaterThanOrEqualTo(40);
    }

    @Test
    void a_saved_visit_reads_the_same_and_the_second_window_loses_nothing() throws Exception {
        String visit = newVisit("Kit Marrow");
        ObjectNode mine = document(visit);
        ((ObjectNode) mine.at("/intake")).put("note", "two\nlines").put("morningMinutes", 9);
        mine.withArray("/reading/grades")
                .addObject()
                .put("zone", "NOSE")
                .put("sign", "SHINE")
                .put("grade", 3)
                .put("how", "SEEN");
        Answer saved = put("/api/visits/" + visit, mine);
        assertThat(saved.status()).isEqualTo(200);
        assertThat(saved.body().at("/visit/version").asInt()).isEqualTo(1);
        JsonNode again = get("/api/visits/" + visit).body();
        assertThat(again.at("/intake/note").asString()).isEqualTo("two\nlines");
        assertThat(again.at("/reading")).isEqualTo(mine.at("/reading"));

        ObjectNode second = mine.deepCopy();
        ((ObjectNode) second.at("/intake")).put("note", "from the other window");
        Answer clash = put("/api/visits/" + visit, second);
        assertThat(clash.status()).isEqualTo(409);
        assertThat(clash.body().at("/code").asString()).isEqualTo("clash");
        assertThat(clash.body().at("/theirs/intake/note").asString()).isEqualTo("two\nlines");
        second.put("version", clash.body().at("/theirs/version").asInt());
        assertThat(put("/api/visits/" + visit, second).status()).isEqualTo(200);
        assertThat(get("/api/visits/" + visit).body().at("/intake/note").asString())
                .isEqualTo("from the other window");
    }

    @Test
    void a_save_answers_the_verdict_or_the_plan_of_the_month_in_sight_as_each_is_told_by_itself() throws Exception {
        String visit = newVisit("Mara Skelling");
        ready(visit);
        ObjectNode d = document(visit).put("method", "essentials");
        JsonNode withPlan = put("/api/visits/" + visit + "?shown=JULY", d).body();
        assertThat(withPlan.at("/plan/status").asString()).isEqualTo("PLANNED");
        assertThat(withPlan.at("/plan"))
                .isEqualTo(get("/api/visits/" + visit + "/plan?month=JULY").body());
        assertThat(withPlan.at("/verdict").isNull()).isTrue();

        d.put("version", withPlan.at("/visit/version").asInt()).put("method", "classic");
        JsonNode withVerdict = put("/api/visits/" + visit, d).body();
        assertThat(withVerdict.at("/verdict"))
                .isEqualTo(post(
                                "/api/visits/" + visit + "/verdict",
                                document(visit).toString())
                        .body());
        assertThat(withVerdict.at("/plan").isNull()).isTrue();
        assertThat(withVerdict.at("/visit"))
                .isEqualTo(get("/api/visits/" + visit).body());
    }

    @Test
    void a_visit_read_while_it_is_saved_is_of_one_version() throws Exception {
        String visit = newVisit("Sall Brack");
        ObjectNode saved = document(visit);
        note(saved, 0);
        saved.put(
                "version",
                put("/api/visits/" + visit, saved).body().at("/visit/version").asInt());
        int mixed = 0;
        try (ExecutorService saving = Executors.newVirtualThreadPerTaskExecutor()) {
            Future<Integer> all = saving.submit(() -> {
                for (int i = 1; i <= 60; i++) {
                    note(saved, i);
                    Answer next = put("/api/visits/" + visit, saved);
                    assertThat(next.status()).isEqualTo(200);
                    saved.put("version", next.body().at("/visit/version").asInt());
                }
                return 60;
            });
            while (!all.isDone()) {
                JsonNode read = get("/api/visits/" + visit).body();
                // the one stands in the visit's own row, the other in a table of its parts
                if (!read.at("/intake/note")
                        .asString()
                        .equals(read.at("/intake/otherAllergies/0").asString())) {
                    mixed++;
                }
            }
            assertThat(all.get()).isEqualTo(60);
        }
        assertThat(mixed).isZero();
    }

    private static void note(ObjectNode document, int i) {
        ObjectNode intake = (ObjectNode) document.at("/intake");
        intake.put("note", "note " + i);
        intake.putArray("otherAllergies").add("note " + i);
    }

    @Test
    void a_wrong_field_changes_nothing() throws Exception {
        String visit = newVisit("Pim Oster");
        ObjectNode wrong = document(visit);
        ((ObjectNode) wrong.at("/intake")).put("morningMinutes", 999);
        Answer refused = put("/api/visits/" + visit, wrong);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.body().at("/errors/0/pointer").asString()).isEqualTo("/intake/morningMinutes");
        assertThat(get("/api/visits/" + visit).body().at("/version").asInt()).isZero();
    }

    @Test
    void a_label_goes_on_the_shelf_and_into_the_plan() throws Exception {
        String visit = newVisit("Una Fleet");
        String client = get("/api/visits/" + visit).body().at("/client").asString();
        Answer shelf = post("/api/clients/" + client + "/shelf/labels", """
                {"product": {"name": "Gel wash from the ferry kiosk", "maker": "", "size": 150, "unit": "ml", "price": 0,
                 "label": "Aqua/Water, Coco-Glucoside,\\nGlycerin, Panthenol (2 %), Unheard Of Extract. May contain: CI 77491",
                 "kind": null, "texture": null, "prescription": false}, "weeks": 3, "nights": []}""");
        assertThat(shelf.status()).isEqualTo(200);
        assertThat(shelf.body().at("/0/product/kind").asString()).isEqualTo("WASH");
        assertThat(shelf.body().at("/0/product/unknown/0").asString()).isEqualTo("Unheard Of Extract");
        JsonNode plan = get("/api/visits/" + visit + "/plan?month=MAY").body();
        String id = shelf.body().at("/0/product/id").asString();
        assertThat(plan.at("/regimen/evening/steps")
                        .valueStream()
                        .map(s -> s.at("/product").asString()))
                .contains(id);
        Answer off = delete(
                "/api/clients/" + client + "/shelf/" + shelf.body().at("/0/id").asString());
        assertThat(off.body()).isEmpty();
        // what is gone already stays gone: the same taking off, sent twice, is one
        assertThat(delete("/api/clients/" + client + "/shelf/"
                                + shelf.body().at("/0/id").asString())
                        .status())
                .isEqualTo(200);
    }

    @Test
    void a_plan_says_what_it_costs_and_when_its_packs_end() throws Exception {
        String visit = lastVisit("Tobit Harl");
        JsonNode supply = get("/api/visits/" + visit + "/supply?month=NOVEMBER").body();
        JsonNode plan = get("/api/visits/" + visit + "/plan?month=NOVEMBER").body();
        java.util.Set<String> planned = new java.util.TreeSet<>();
        for (String part : java.util.List.of("morning", "evening")) {
            plan.at("/regimen/" + part + "/steps")
                    .valueStream()
                    .forEach(s -> planned.add(s.at("/product").asString()));
        }
        assertThat(supply.at("/lines").valueStream().map(l -> l.at("/product").asString()))
                .containsExactlyInAnyOrderElementsOf(planned);
        double sum = supply.at("/lines")
                .valueStream()
                .mapToDouble(l -> l.at("/month").asDouble(0))
                .sum();
        assertThat(supply.at("/month").asDouble())
                .isGreaterThan(1)
                .isCloseTo(sum, org.assertj.core.api.Assertions.within(0.001));
        assertThat(supply.at("/budget").asDouble()).isEqualTo(20);
        assertThat(supply.at("/over").asDouble())
                .isEqualTo(Math.max(0, supply.at("/bought").asDouble() - 20));
        assertThat(supply.at("/bought").asDouble()).isBetween(0.0, sum);
        assertThat(supply.at("/lines").valueStream())
                .allSatisfy(
                        l -> assertThat(l.at("/because/sentence").asString()).isNotBlank());
    }

    @Test
    void a_prescription_needs_its_nights() throws Exception {
        String client = get("/api/visits/" + newVisit("Ode Sallow"))
                .body()
                .at("/client")
                .asString();
        Answer refused = post("/api/clients/" + client + "/shelf/labels", """
                {"product": {"name": "Tretinoin cream", "maker": "", "size": 0, "unit": "g", "price": 0, "label": "Tretinoin 0.05 %",
                 "kind": null, "texture": null, "prescription": true}, "weeks": 0, "nights": []}""");
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.body().at("/errors/0/pointer").asString()).isEqualTo("/nights");
    }

    @Test
    void a_rule_that_is_no_ban_is_refused_as_one_and_a_reason_stays_with_the_visit() throws Exception {
        String visit = newVisit("Overruled");
        Answer refused = post(
                "/api/visits/" + visit + "/choices/check",
                "{\"part\": \"MORNING\", \"product\": \"oil-cleanse-clear\"}");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body().at("/code").asString()).isEqualTo("against-a-rule");

        ObjectNode mine = document(visit);
        mine.withArray("/pins").addObject().put("part", "MORNING").put("product", "oil-cleanse-clear");
        mine.withArray("/steps")
                .addObject()
                .put("part", "MORNING")
                .put("product", "oil-cleanse-clear")
                .put("optional", false)
                .putNull("on")
                .put("secondCoat", false)
                .put("words", "")
                .put("overrule", "sleeps in an ointment")
                .putArray("nights");
        assertThat(put("/api/visits/" + visit, mine).status()).isEqualTo(200);
        assertThat(document(visit).at("/steps/0/overrule").asString()).isEqualTo("sleeps in an ointment");
        ((ObjectNode) mine.at("/steps/0")).put("overrule", "x".repeat(201));
        assertThat(put("/api/visits/" + visit, mine).status()).isEqualTo(400);
    }

    @Test
    void what_a_rule_forbids_is_refused_by_hand_with_the_reason() throws Exception {
        String ines = lastVisit("Ines Varro");
        Answer refused = post(
                "/api/visits/" + ines + "/choices/check",
                "{\"part\": \"EVENING\", \"product\": \"retinal-cream-005\"}");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body().at("/detail").asString()).contains("Retinal").contains("planning to birth");
        assertThat(post(
                                "/api/visits/" + ines + "/choices/check",
                                "{\"part\": \"EVENING\", \"product\": \"serum-soothe\"}")
                        .status())
                .isEqualTo(204);
        assertThat(post("/api/visits/" + ines + "/choices/check", "{\"part\": \"EVENING\", \"product\": \"nothing\"}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void a_kept_plan_stays_and_the_next_gets_the_next_number() throws Exception {
        String visit = lastVisit("Tobit Harl");
        Answer first = post("/api/visits/" + visit + "/plans", "");
        assertThat(first.status()).isEqualTo(201);
        ObjectNode other = document(visit);
        other.put("method", "layered");
        assertThat(put("/api/visits/" + visit, other).status()).isEqualTo(200);
        Answer second = post("/api/visits/" + visit + "/plans", "");
        assertThat(second.body().at("/number").asInt())
                .isEqualTo(first.body().at("/number").asInt() + 1);
        assertThat(get("/api/visits/" + visit + "/plans").body().size()).isEqualTo(2);
    }

    @Test
    void a_new_visit_carries_over_what_was_asked_and_reads_the_face_anew() throws Exception {
        String client = get("/api/visits/" + lastVisit("Jorun Pell"))
                .body()
                .at("/client")
                .asString();
        JsonNode begun = post("/api/clients/" + client + "/visits", "").body();
        assertThat(begun.at("/intake/morningMinutes").asInt()).isEqualTo(10);
        assertThat(begun.at("/reading/grades")).isEmpty();
        assertThat(begun.at("/intake/note").asString()).isEmpty();
        assertThat(begun.at("/intake/assumed").toString())
                .as("what nobody was asked last time nobody was asked yet")
                .contains("OILS");
    }

    @Test
    void the_first_visit_says_of_every_usual_value_that_it_is_assumed() throws Exception {
        JsonNode client = post("/api/clients", "{\"name\": \"Wick Sorley\", \"trade\": \"net mender\"}")
                .body();
        JsonNode visit = post("/api/clients/" + client.at("/id").asString() + "/visits", "")
                .body();
        assertThat(visit.at("/intake/assumed")).hasSize(12);
        assertThat(visit.at("/intake/budget").isNull())
                .as("a budget has no usual value")
                .isTrue();
    }

    @Test
    void the_whole_intake_and_reading_come_back_as_they_were_sent() throws Exception {
        String visit = newVisit("Lowe Birk");
        ObjectNode d = document(visit);
        JsonNode intake = JSON.readTree("""
                {"site": "port-lenz", "places": ["PLANES", "SEA"], "outdoorHours": 3.5, "makeUpDays": 4, "makeUp": "FULL",
                 "sunscreenDays": 2, "morningMinutes": 7, "eveningMinutes": 12, "mostSteps": 5, "budget": 22.5,
                 "scent": "RATHER_NOT", "animal": "NEVER", "oils": "ANY", "birthYear": 1980, "says": "DRY", "swings": true,
                 "flush": 2, "reactions": 3, "burns": 5, "tans": 5,
                 "answers": [{"question": "pregnant", "yes": false, "on": null, "asked": "%1$s", "bulk": true},
                             {"question": "waxing", "yes": true, "on": "%2$s", "asked": "%1$s", "bulk": false}],
                 "medicines": ["Doxycycline", "Krakendrops"], "otherAllergies": ["oarweed"], "matters": ["REDNESS"],
                 "settled": [{"referral": "mole", "who": "Dr Ashdown", "on": "%2$s", "remark": "harmless"}],
                 "note": "line one\\n  line two",
                 "hoursIn": [{"place": "PLANES", "hours": 3.5}], "outdoorsByMonth": null,
                 "lately": {"asUsual": false, "since": "2026-01-02", "causes": ["mask", "stress"]},
                 "assumed": ["EVENING_MINUTES", "OILS"]}""".formatted(today(), today().minusDays(1)));
        JsonNode reading = JSON.readTree("""
                {"grades": [{"zone": "HANDS", "sign": "ROUGHNESS", "grade": 3, "how": "FELT"}],
                 "probe": [{"quantity": "PH", "zone": "NOSE", "values": [5.1, 5.3, 5.2], "simulated": true}],
                 "conditions": {"roomCelsius": 21.5, "humidity": 44.0, "minutesSinceWash": 200, "cleanser": true,
                                "minutesSettled": 20, "hoursSinceProduct": 13},
                 "settlements": [{"contradiction": "TYPE:WORD", "keeps": "READING", "who": "Runa", "why": "seen twice"}],
                 "byHand": [{"verdict": "BARRIER", "value": "STRAINED", "who": "Runa", "why": "it feels thin"}]}""");
        d.set("intake", intake);
        d.set("reading", reading);
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
        JsonNode again = get("/api/visits/" + visit).body();
        assertThat(again.at("/intake")).isEqualTo(intake);
        assertThat(again.at("/reading")).isEqualTo(reading);
    }

    @Test
    void a_long_note_and_a_birthday_ahead_are_refused_at_their_field_and_change_nothing() throws Exception {
        String visit = newVisit("Tarn Elling");
        ObjectNode d = document(visit);
        ((ObjectNode) d.at("/intake")).put("note", "x".repeat(20_001));
        Answer tooLong = put("/api/visits/" + visit, d);
        assertThat(tooLong.body().at("/errors/0/pointer").asString()).isEqualTo("/intake/note");
        assertThat(tooLong.body().at("/detail").asString()).contains("20000 characters");
        ((ObjectNode) d.at("/intake")).put("note", "y".repeat(20_000)).put("birthYear", 2090);
        assertThat(put("/api/visits/" + visit, d).body().at("/errors/0/pointer").asString())
                .isEqualTo("/intake/birthYear");
        ((ObjectNode) d.at("/intake")).put("birthYear", 1990);
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
        assertThat(get("/api/visits/" + visit).body().at("/intake/note").asString())
                .hasSize(20_000);
    }

    @Test
    void a_referral_stops_the_plan_until_somebody_settles_it() throws Exception {
        String visit = newVisit("Odd Harrow");
        ObjectNode d = document(visit);
        d.withArray("/intake/answers")
                .addObject()
                .put("question", "infection")
                .put("yes", true)
                .putNull("on")
                .put("asked", today().toString());
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
        JsonNode stopped = get("/api/visits/" + visit + "/plan?month=MAY").body();
        assertThat(stopped.at("/status").asString()).isEqualTo("REFER_FIRST");
        assertThat(stopped.at("/verdict/safety/referrals/0/note").asString()).contains("see a doctor today");
        assertThat(post("/api/visits/" + visit + "/plans", "").status()).isEqualTo(422);
        d.put("version", 1);
        d.withArray("/intake/settled")
                .addObject()
                .put("referral", "infection")
                .put("who", "Dr Ashdown")
                .put("on", today().toString())
                .put("remark", "");
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
        assertThat(get("/api/visits/" + visit + "/plan?month=MAY")
                        .body()
                        .at("/status")
                        .asString())
                .isEqualTo("PLANNED");
    }

    @Test
    void the_next_visit_knows_the_one_before_and_what_must_be_asked_again() throws Exception {
        String client = get("/api/visits/" + lastVisit("Ines Varro"))
                .body()
                .at("/client")
                .asString();
        String next =
                post("/api/clients/" + client + "/visits", "").body().at("/id").asString();
        JsonNode before = get("/api/visits/" + next + "/before").body();
        assertThat(before.at("/reading/grades")).isNotEmpty();
        Answer verdict = post("/api/visits/" + next + "/verdict", document(next).toString());
        assertThat(verdict.body()
                        .at("/safety/askAgain")
                        .valueStream()
                        .map(a -> a.at("/id").asString()))
                .contains("pregnant", "mole")
                .doesNotContain("lanolin");
        assertThat(verdict.body()
                        .at("/safety/bans")
                        .valueStream()
                        .map(b -> b.at("/rule").asString()))
                .contains("pregnant");
        assertThat(get("/api/visits/" + newVisit("Nan Selkirk") + "/before").status())
                .isEqualTo(204);
    }

    @Test
    void a_label_is_read_for_the_client_whose_skin_it_is_for() throws Exception {
        String form = """
                {"name": "Wool fat cream", "maker": "", "size": 50, "unit": "ml", "price": 0,
                 "label": "Aqua, Lanolin, Glycerin", "kind": null, "texture": null, "prescription": false}""";
        JsonNode maren = post("/api/visits/" + lastVisit("Maren Oskell") + "/labels", form)
                .body();
        assertThat(maren.at("/product/kind").asString()).isEqualTo("MOISTURISER");
        assertThat(maren.at("/forbidden/0/sentence").asString()).contains("holds Lanolin");
        assertThat(post("/api/visits/" + lastVisit("Jorun Pell") + "/labels", form)
                        .body()
                        .at("/forbidden"))
                .isEmpty();
    }

    @Test
    void a_patch_test_is_started_read_taken_back_and_counts_in_the_plan() throws Exception {
        String visit = newVisit("Perrin Vane");
        ready(visit);
        String client = get("/api/visits/" + visit).body().at("/client").asString();
        String tests = "/api/clients/" + client + "/patch-tests";
        Answer begun =
                post(tests, "{\"product\": \"lactic-serum-5\", \"kind\": \"SHORT_SCREEN\", \"site\": \"FOREARM\"}");
        assertThat(begun.status()).isEqualTo(200);
        String test = begun.body().at("/tests/0/id").asString();
        assertThat(begun.body().at("/tests/0/verdict/standing").asString()).isEqualTo("OPEN");
        assertThat(get("/api/desk")
                        .body()
                        .at("/patchTests")
                        .valueStream()
                        .map(p -> p.at("/clientName").asString()))
                .contains("Perrin Vane");
        Answer red =
                post("/api/patch-tests/" + test + "/readings", "{\"grade\": 2, \"at\": null, \"remark\": \"itches\"}");
        assertThat(red.body().at("/tests/0/verdict/standing").asString()).isEqualTo("DO_NOT_USE");
        Answer refused = post(
                "/api/visits/" + visit + "/choices/check", "{\"part\": \"EVENING\", \"product\": \"lactic-serum-5\"}");
        assertThat(refused.body().at("/detail").asString()).contains("failed its patch test");
        Answer again = post(tests, "{\"product\": \"lactic-serum-5\", \"kind\": \"USE_TEST\", \"site\": \"FOREARM\"}");
        assertThat(again.body().at("/tests/0/verdict/standing").asString()).isEqualTo("OPEN");
        assertThat(post(
                                "/api/visits/" + visit + "/choices/check",
                                "{\"part\": \"EVENING\", \"product\": \"lactic-serum-5\"}")
                        .body()
                        .at("/detail")
                        .asString())
                .as("a retest alone releases nothing")
                .contains("failed its patch test", "signed");
        String retest = again.body().at("/tests/0/id").asString();
        assertThat(again.body().at("/unsigned")).isEmpty();
        delete("/api/patch-tests/" + retest);
        String reading = red.body().at("/tests/0/readings/0/id").asString();
        assertThat(delete("/api/patch-tests/" + test).status()).isEqualTo(422);
        assertThat(delete("/api/patch-tests/" + test + "/readings/" + reading)
                        .body()
                        .at("/tests/0/readings"))
                .isEmpty();
        Answer ahead = post(
                "/api/patch-tests/" + test + "/readings",
                "{\"grade\": 0, \"at\": \"%sT10:00:00\", \"remark\": \"\"}".formatted(today().plusDays(3)));
        assertThat(ahead.body().at("/errors/0/pointer").asString()).isEqualTo("/at");
        assertThat(post("/api/patch-tests/" + test + "/readings", "{\"grade\": 7, \"at\": null, \"remark\": \"\"}")
                        .status())
                .isEqualTo(400);
        assertThat(delete("/api/patch-tests/" + test).body().at("/tests")).isEmpty();
    }

    @Test
    void a_waiver_needs_a_reason_and_can_be_taken_back() throws Exception {
        String client =
                get("/api/visits/" + newVisit("Sable Roy")).body().at("/client").asString();
        String waivers = "/api/clients/" + client + "/patch-waivers";
        Answer bare = post(waivers, "{\"product\": \"lactic-serum-5\", \"who\": \"Runa\", \"why\": \" \"}");
        assertThat(bare.body().at("/errors/0/pointer").asString()).isEqualTo("/why");
        Answer waived =
                post(waivers, "{\"product\": \"lactic-serum-5\", \"who\": \"Runa\", \"why\": \"used for years\"}");
        assertThat(waived.body().at("/waivers/0/who").asString()).isEqualTo("Runa");
        assertThat(delete(waivers + "/lactic-serum-5").body().at("/waivers")).isEmpty();
    }

    @Test
    void the_bands_of_the_probe_are_the_practice_s_with_who_changed_them() throws Exception {
        Answer set = put(
                "/api/practice/probe-bands/HYDRATION",
                JSON.readTree("{\"low\": 50, \"high\": 60, \"by\": \"Runa\", \"version\": 0}"));
        assertThat(set.status()).isEqualTo(200);
        JsonNode band = set.body()
                .valueStream()
                .filter(b -> b.at("/band").asString().equals("HYDRATION"))
                .findFirst()
                .orElseThrow();
        assertThat(band.at("/low").asDouble()).isEqualTo(50);
        assertThat(band.at("/shipped/low").asDouble()).isEqualTo(30);
        assertThat(band.at("/changes/0/by").asString()).isEqualTo("Runa");
        JsonNode verdict = post(
                        "/api/visits/" + lastVisit("Edda Quill") + "/verdict",
                        document(lastVisit("Edda Quill")).toString())
                .body();
        assertThat(verdict.at("/probe/0/band").asString()).isEqualTo("very dry");
        Answer crossed = put(
                "/api/practice/probe-bands/HYDRATION",
                JSON.readTree("{\"low\": 70, \"high\": 60, \"by\": \"Runa\", \"version\": 0}"));
        assertThat(crossed.body().at("/detail").asString()).contains("low comes before high");
        put(
                "/api/practice/probe-bands/HYDRATION",
                JSON.readTree("{\"low\": 30, \"high\": 40, \"by\": \"Runa\", \"version\": 1}"));
    }

    @Test
    void the_probe_streams_its_readings_and_says_when_it_is_lost() throws Exception {
        assertThat(get("/api/probe").body().at("/simulated").asBoolean()).isTrue();
        String heard =
                raw("/api/probe/readings?quantity=SEBUM&zone=NOSE&count=2").body();
        assertThat(heard.split("event:value", -1)).hasSize(3);
        assertThat(heard).contains("event:sample", "event:done");
        JsonNode off = JSON.readTree("{\"face\": \"even\", \"plugged\": false}");
        assertThat(put("/api/standin/probe", off).body().at("/plugged").asBoolean())
                .isFalse();
        assertThat(get("/api/probe").body().at("/sentence").asString()).contains("does not answer");
        assertThat(raw("/api/probe/readings?quantity=SEBUM&zone=NOSE&count=2").body())
                .contains("event:lost")
                .doesNotContain("event:value");
        assertThat(put("/api/standin/probe", JSON.readTree("{\"face\": \"nobody\", \"plugged\": true}"))
                        .status())
                .isEqualTo(404);
        put("/api/standin/probe", JSON.readTree("{\"face\": \"oily-thirsty\", \"plugged\": true}"));
        assertThat(get("/api/probe").body().at("/connected").asBoolean()).isTrue();
        assertThat(get("/api/probe/readings?quantity=SEBUM&zone=NOSE&count=99").status())
                .isEqualTo(400);
    }

    @Test
    void how_a_thing_is_used_is_kept_and_others_shelves_name_no_owner() throws Exception {
        String tarn =
                get("/api/visits/" + newVisit("Kell Tarn")).body().at("/client").asString();
        JsonNode others = get("/api/clients/" + tarn + "/shelf/others").body();
        assertThat(others.toString()).doesNotContain("Tretinoin").doesNotContain("Anselm");
        JsonNode shelf = post(
                        "/api/clients/" + tarn + "/shelf/products",
                        "{\"product\": \"day-fluid-30\", \"weeks\": 4, \"nights\": []}")
                .body();
        String item = shelf.at("/0/id").asString();
        JsonNode used = put(
                        "/api/clients/" + tarn + "/shelf/" + item,
                        JSON.readTree(
                                "{\"weeks\": 12, \"morning\": true, \"evening\": false, \"daysAWeek\": 3, \"opened\": \"2026-01-05\", \"left\": 25, \"version\": 0}"))
                .body();
        assertThat(used.at("/0/use/daysAWeek").asInt()).isEqualTo(3);
        assertThat(used.at("/0/use/opened").asString()).isEqualTo("2026-01-05");
        assertThat(used.at("/0/use/left").asInt()).isEqualTo(25);
        assertThat(used.at("/0/use/evening").asBoolean()).isFalse();
        assertThat(put(
                                "/api/clients/" + tarn + "/shelf/" + item,
                                JSON.readTree(
                                        "{\"weeks\": 12, \"morning\": true, \"evening\": false, \"daysAWeek\": 9, \"left\": 25, \"version\": 0}"))
                        .status())
                .isEqualTo(400);
    }

    @Test
    void a_client_without_a_name_and_a_visit_that_is_not_are_said_plainly() throws Exception {
        Answer nameless = post("/api/clients", "{\"name\": \" \", \"trade\": \"\", \"nextVisit\": null}");
        assertThat(nameless.status()).isEqualTo(400);
        assertThat(nameless.body().at("/errors/0/pointer").asString()).isEqualTo("/name");
        assertThat(get("/api/visits/" + java.util.UUID.randomUUID()).status()).isEqualTo(404);
        assertThat(get("/api/visits/no-id").status()).isEqualTo(400);
        assertThat(get("/api/visits/" + lastVisit("Tobit Harl") + "/plan?month=SMARCH")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void any_address_that_is_no_file_is_the_one_page() throws Exception {
        assertThat(raw("/visits/x/read").body()).contains("id=\"root\"");
        assertThat(raw("/api/nothing").statusCode()).isEqualTo(404);
        assertThat(raw("/assets/nothing.js").statusCode()).isEqualTo(404);
    }

    private static LocalDate today() {
        return LocalDate.now();
    }
}
