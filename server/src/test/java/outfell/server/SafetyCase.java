package outfell.server;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The short form of a case, unfolded into the whole document that is planned. */
final class SafetyCase {
    private static final List<String> ZONES = List.of("FOREHEAD", "NOSE", "CHIN", "CHEEK_R", "CHEEK_L");
    private static final Map<String, List<String>> WHERE = Map.of("LINES", List.of("FOREHEAD", "CHEEK_R", "CHEEK_L"));
    private static final Map<String, Integer> CALM =
            Map.of("SHINE", 1, "TIGHTNESS", 0, "FLAKING", 0, "REDNESS", 0, "STING", 0);
    private static final List<String> MUST = List.of(
            "pregnant",
            "trying",
            "breastfeeding",
            "isotretinoin",
            "prescribed-retinoid",
            "photosensitising",
            "blood-thinner",
            "immunosuppressed",
            "emergency",
            "infection",
            "open-skin",
            "mole",
            "rash",
            "acne-severe",
            "cold-sore");
    private static final String PLAIN = """
            [{"id": "plain-wash", "name": "Plain wash", "kind": "WASH",
              "label": "Aqua, Coco-Glucoside, Glycerin, Xanthan Gum, Citric Acid, Sodium Benzoate"},
             {"id": "plain-cleanse", "name": "Plain first cleanse", "kind": "FIRST_CLEANSE",
              "label": "Caprylic/Capric Triglyceride, Polyglyceryl-4 Oleate"},
             {"id": "plain-cream", "name": "Plain cream", "kind": "MOISTURISER",
              "label": "Aqua, Glycerin, Petrolatum, Cetearyl Alcohol, Dimethicone, Phenoxyethanol"}]""";
    private static final String SUN = """
            {"id": "plain-sun", "name": "Plain sun fluid SPF 50", "kind": "SUNSCREEN",
             "label": "Aqua, Zinc Oxide 20 %, Glycerin, Dimethicone, Phenoxyethanol"}""";
    private static final String INTAKE = """
            {"site": "skarrow-harbour", "places": [], "outdoorHours": 1, "makeUpDays": 0, "makeUp": "LIGHT",
             "sunscreenDays": 7, "morningMinutes": 20, "eveningMinutes": 40, "mostSteps": 10, "budget": null, "scent": "ANY",
             "animal": "ANY", "oils": "ANY", "birthYear": 1990, "says": null, "swings": false, "flush": null,
             "reactions": null, "burns": null, "tans": null, "answers": [], "medicines": [], "otherAllergies": [],
             "matters": [], "settled": [], "note": ""}""";

    private final JsonNode c;
    private final String date;

    private SafetyCase(JsonNode c) {
        this.c = c;
        this.date = c.at("/date").asString("2026-11-25");
    }

    static ObjectNode document(JsonNode shortForm) {
        return new SafetyCase(shortForm).unfolded();
    }

    private ObjectNode unfolded() {
        ObjectNode d = OverHttp.JSON.createObjectNode();
        d.set("intake", intake());
        d.set("reading", reading());
        ArrayNode owned = d.putArray("owned");
        ArrayNode pins = d.putArray("pins");
        ArrayNode patches = d.putArray("patches");
        c.at("/own").forEach(o -> own(o, owned, pins, patches));
        d.put("method", c.at("/method").asString("classic"));
        d.put("month", c.at("/month").asString("NOVEMBER"));
        d.put("date", date);
        c.at("/pins").forEach(p -> choice(pins, p));
        if (c.at("/shelf_only").asBoolean(false)) {
            ArrayNode plain = (ArrayNode) OverHttp.JSON.readTree(PLAIN);
            if (!c.at("/no_sun").asBoolean(false)) {
                plain.add(OverHttp.JSON.readTree(SUN));
            }
            d.set("catalogue", plain);
        }
        if (c.has("takenOut")) {
            ArrayNode out = d.putArray("takenOut");
            c.at("/takenOut").forEach(p -> choice(out, p));
        }
        if (c.has("steps")) {
            d.set("steps", c.at("/steps"));
        }
        return d;
    }

    private static void choice(ArrayNode to, JsonNode pair) {
        to.addObject()
                .put("part", pair.at("/0").asString())
                .put("product", pair.at("/1").asString());
    }

    private ObjectNode intake() {
        ObjectNode intake = (ObjectNode) OverHttp.JSON.readTree(INTAKE);
        ArrayNode answers = intake.withArray("/answers");
        JsonNode yes = c.at("/yes");
        yes.propertyStream().forEach(e -> answer(answers, e.getKey(), true, e.getValue()));
        if (yes.isArray()) {
            yes.forEach(q -> answer(answers, q.asString(), true, OverHttp.JSON.nullNode()));
        }
        List<String> no =
                c.has("no") ? c.at("/no").valueStream().map(JsonNode::asString).toList() : MUST;
        no.stream()
                .filter(q -> answers.valueStream()
                        .noneMatch(a -> a.at("/question").asString().equals(q)))
                .toList()
                .forEach(q -> answer(answers, q, false, OverHttp.JSON.nullNode()));
        c.at("/raw_answers")
                .forEach(a -> answer(answers, a.at("/0").asString(), a.at("/1").asBoolean(), OverHttp.JSON.nullNode()));
        if (c.has("year")) {
            intake.set("birthYear", c.at("/year"));
        }
        for (Map.Entry<String, String> e : Map.of(
                        "meds", "medicines", "allergies", "otherAllergies", "settled", "settled", "matters", "matters")
                .entrySet()) {
            if (c.has(e.getKey())) {
                intake.set(e.getValue(), c.at("/" + e.getKey()));
            }
        }
        if (c.has("site")) {
            intake.set("site", c.at("/site"));
        }
        c.at("/intake").propertyStream().forEach(e -> intake.set(e.getKey(), e.getValue()));
        return intake;
    }

    private void answer(ArrayNode to, String question, boolean yes, JsonNode on) {
        ObjectNode a = to.addObject().put("question", question).put("yes", yes);
        a.set("on", on);
        a.put("asked", c.at("/asked").asString(date));
    }

    private ObjectNode reading() {
        ObjectNode reading = OverHttp.JSON.createObjectNode();
        ArrayNode grades = reading.putArray("grades");
        CALM.forEach((sign, grade) -> {
            if (!c.at("/grades").has(sign)) {
                zones(sign).forEach(z -> grade(grades, z, sign, grade));
            }
        });
        c.at("/grades").propertyStream().forEach(e -> {
            if (e.getValue().isObject()) {
                e.getValue()
                        .propertyStream()
                        .forEach(z -> grade(
                                grades, z.getKey(), e.getKey(), z.getValue().asInt()));
            } else if (!e.getValue().isNull()) {
                zones(e.getKey())
                        .forEach(z -> grade(grades, z, e.getKey(), e.getValue().asInt()));
            }
        });
        reading.putArray("probe");
        reading.putNull("conditions");
        reading.putArray("settlements");
        ArrayNode byHand = reading.putArray("byHand");
        c.at("/by_hand")
                .forEach(b -> byHand.addObject()
                        .put("verdict", b.at("/0").asString())
                        .put("value", b.at("/1").asString())
                        .put("who", "Signe")
                        .put("why", "so it is"));
        return reading;
    }

    private static List<String> zones(String sign) {
        return WHERE.getOrDefault(sign, ZONES);
    }

    private static void grade(ArrayNode to, String zone, String sign, int grade) {
        to.addObject().put("zone", zone).put("sign", sign).put("grade", grade).put("how", "SEEN");
    }

    private static void own(JsonNode o, ArrayNode owned, ArrayNode pins, ArrayNode patches) {
        String name = o.at("/name").asString();
        String id = id(name);
        ObjectNode item = owned.addObject();
        ObjectNode product = item.putObject("product").put("id", id).put("name", name);
        for (String field : List.of("label", "kind")) {
            if (o.has(field)) {
                product.set(field, o.at("/" + field));
            }
        }
        item.put("weeks", o.at("/weeks").asInt(20));
        if (o.at("/rx").asBoolean(false)) {
            item.put("prescription", true);
            item.set("nights", OverHttp.JSON.readTree("[\"TUESDAY\", \"FRIDAY\"]"));
        }
        String pin = o.at("/pin").asString("");
        for (String part :
                pin.equals("BOTH") ? List.of("MORNING", "EVENING") : pin.isEmpty() ? List.<String>of() : List.of(pin)) {
            pins.addObject().put("part", part).put("product", id);
        }
        if (o.has("patch")) {
            ObjectNode patch = patches.addObject().put("product", id);
            ArrayNode readings = patch.putObject("test")
                    .put("kind", "USE_TEST")
                    .put("site", "FOREARM")
                    .putArray("readings");
            o.at("/patch")
                    .forEach(r -> readings.addObject()
                            .put("hours", r.at("/0").asDouble())
                            .put("grade", r.at("/1").asInt()));
            patch.putNull("waiver");
        }
    }

    static String id(String name) {
        String slug =
                name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return "own-" + slug.substring(0, Math.min(50, slug.length()));
    }
}
