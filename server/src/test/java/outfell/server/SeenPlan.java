package outfell.server;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import outfell.product.Product;
import outfell.product.StarterCatalogue;
import tools.jackson.databind.JsonNode;

/**
 * An answered plan as somebody reads it who has only the packs to go by: actives and tags are read from the labels by the words of
 * signoff-tables.json, not by what the tool makes of them.
 */
record SeenPlan(JsonNode document, JsonNode answer, JsonNode tables) {
    private static final List<String> COMES_OFF = List.of("FIRST_CLEANSE", "WASH", "SCRUB", "ENZYME", "CLAY_MASK");
    private static final List<String> STRONG_AT_THE_TAIL = List.of("aha", "scrub", "clay", "bha", "azelaic");
    private static final Map<String, Pack> HOUSE = house();

    /** What stands on a pack. */
    record Pack(String name, String label, double price, double size) {}

    /** A step with its routine. */
    record Step(String part, JsonNode of) {
        String kind() {
            return of.at("/kind").asString();
        }

        String product() {
            return of.at("/product").asString();
        }

        double texture() {
            return of.at("/texture").asDouble();
        }

        boolean comesOff() {
            return COMES_OFF.contains(kind());
        }

        List<String> nights() {
            return of.at("/nights").valueStream().map(JsonNode::asString).toList();
        }

        String named() {
            return part.charAt(0) + " " + of.at("/name").asString();
        }
    }

    private static Map<String, Pack> house() {
        Map<String, Pack> packs = new HashMap<>();
        for (Product.Facts f : StarterCatalogue.facts()) {
            packs.put(f.id().value(), new Pack(f.name(), f.label(), f.price(), f.size()));
        }
        return packs;
    }

    JsonNode regimen() {
        return answer.at("/regimen");
    }

    boolean planned() {
        return !regimen().isMissingNode() && !regimen().isNull();
    }

    List<Step> steps(String part) {
        List<String> parts =
                part.equals("EITHER") || part.equals("BOTH") ? List.of("MORNING", "EVENING") : List.of(part);
        return parts.stream()
                .flatMap(p -> regimen()
                        .at("/" + p.toLowerCase(java.util.Locale.ROOT) + "/steps")
                        .valueStream()
                        .map(s -> new Step(p, s)))
                .toList();
    }

    List<Step> steps(String part, Predicate<Step> which) {
        return steps(part).stream().filter(which).toList();
    }

    /** The steps that an expectation speaks of. */
    List<Step> selected(String part, JsonNode e) {
        return steps(part, s -> fits(s, e));
    }

    private boolean fits(Step s, JsonNode e) {
        return any(e, "kind", s.kind()::equals)
                && any(e, "active", actives(pack(s))::contains)
                && any(e, "tag", t -> found(tables.at("/tags").get(t), pack(s).label()))
                && any(e, "product", s.product()::equals)
                && (!e.has("spf") || spf(pack(s)) >= e.at("/spf").asInt())
                && (!e.has("owned")
                        || s.of().at("/owned").asBoolean() == e.at("/owned").asBoolean())
                && (!e.has("leaveOn") || s.comesOff() != e.at("/leaveOn").asBoolean())
                && s.texture() >= e.path("minTexture").asDouble(0)
                && (!e.has("name") || found(e.get("name"), s.of().at("/name").asString()));
    }

    private static boolean any(JsonNode e, String key, Predicate<String> holds) {
        return !e.has(key) || texts(e.get(key)).stream().anyMatch(holds);
    }

    static List<String> texts(JsonNode one) {
        return one.isArray() ? one.valueStream().map(JsonNode::asString).toList() : List.of(one.asString());
    }

    static boolean found(JsonNode pattern, String text) {
        return pattern(pattern.asString()).matcher(text).find();
    }

    static Pattern pattern(String text) {
        return Pattern.compile(text, Pattern.CASE_INSENSITIVE);
    }

    private static int spf(Pack pack) {
        Matcher m = pattern("spf\\s*(\\d+)").matcher(pack.name());
        return m.find() ? Integer.parseInt(m.group(1)) : 0;
    }

    Pack pack(Step s) {
        return Stream.of("/owned", "/catalogue")
                .flatMap(list -> document.at(list).valueStream())
                .map(o -> o.has("product") ? o.get("product") : o)
                .filter(p -> p.path("id").asString("").equals(s.product())
                        && !p.path("label").asString("").isEmpty())
                .findFirst()
                .map(p -> new Pack(
                        p.at("/name").asString(),
                        p.at("/label").asString(),
                        p.path("price").asDouble(0),
                        p.path("size").asDouble(0)))
                .orElseGet(() -> HOUSE.getOrDefault(
                        s.product(), new Pack(s.of().at("/name").asString(), "", 0, 0)));
    }

    Set<String> actives(Pack pack) {
        Set<String> all = new HashSet<>();
        tables.at("/actives").propertyStream().forEach(a -> {
            if (found(a.getValue(), pack.label()) && !trace(pack, a.getKey())) {
                all.add(a.getKey());
            }
        });
        return all;
    }

    private OptionalDouble percent(Pack pack, String active) {
        Matcher m = pattern("(?:%s)[^,%%]*?(\\d+(?:\\.\\d+)?)\\s*%%"
                        .formatted(tables.at("/actives").get(active).asString()))
                .matcher(pack.label());
        return m.find() ? OptionalDouble.of(Double.parseDouble(m.group(m.groupCount()))) : OptionalDouble.empty();
    }

    /** An acid at the tail of a list, without its strength, sets the pH; clay or sugar in a base is no scrub. */
    private boolean trace(Pack pack, String active) {
        if (!STRONG_AT_THE_TAIL.contains(active) || percent(pack, active).isPresent()) {
            return false;
        }
        String[] names = pack.label().split(",");
        int far = List.of("aha", "clay", "scrub").contains(active) ? 2 : 5;
        for (int i = 0; i < names.length; i++) {
            if (found(tables.at("/actives").get(active), names[i])) {
                return i > far;
            }
        }
        return true;
    }

    boolean helps(Step s, String concern) {
        JsonNode only = tables.at("/kindOnly").get(concern);
        if (concern.equals("CHAPPED_LIPS") && s.kind().equals("SEAL")) {
            return found(
                    JSON_LIPS,
                    s.of().at("/amount/where").asString()
                            + s.of().at("/technique").asString()
                            + s.of().at("/part").asString());
        }
        if (only != null) {
            return texts(only).contains(s.kind());
        }
        if (List.of("SUNSCREEN", "LIP", "EYE").contains(s.kind())) {
            return false;
        }
        JsonNode by = tables.at(s.comesOff() ? "/rinsed" : "/helps").get(concern);
        return by != null
                && by.valueStream()
                        .map(JsonNode::asString)
                        .filter(actives(pack(s))::contains)
                        .anyMatch(a -> {
                            JsonNode least = tables.at("/least").get(concern + " " + a);
                            return least == null || percent(pack(s), a).orElse(least.asDouble()) >= least.asDouble();
                        });
    }

    private static final JsonNode JSON_LIPS = OverHttp.JSON.valueToTree("\\blips?\\b");

    /** Every sentence that tells why, by its place. */
    Map<String, List<String>> sentences() {
        Map<String, List<String>> all = new LinkedHashMap<>();
        tell(all, "notice", regimen().at("/notices"), "");
        regimen()
                .at("/served")
                .valueStream()
                .filter(s -> s.at("/by").isEmpty())
                .forEach(s -> all.computeIfAbsent("unserved", _ -> new ArrayList<>())
                        .add(s.at("/because/sentence").asString()));
        tell(all, "shelf", regimen().at("/shelf"), "/because");
        tell(all, "change", answer.at("/changes"), "/because");
        tell(all, "kept out", regimen().at("/keptOut"), "/because");
        tell(all, "refused", regimen().at("/refusals"), "/because");
        regimen().at("/asked").propertyStream().map(Map.Entry::getValue).forEach(a -> {
            if (a.has("because")) {
                all.computeIfAbsent("asked", _ -> new ArrayList<>())
                        .add(a.at("/because/sentence").asString());
            }
        });
        for (Step s : steps("EITHER")) {
            List<String> here = all.computeIfAbsent("step", _ -> new ArrayList<>());
            s.of().at("/purpose")
                    .valueStream()
                    .forEach(p -> here.add(p.at("/sentence").asString()));
            here.add(s.of().at("/place/sentence").asString());
            here.add(s.of().at("/nightsBecause/sentence").asString());
        }
        return all;
    }

    private static void tell(Map<String, List<String>> all, String place, JsonNode of, String at) {
        of.valueStream()
                .forEach(n -> all.computeIfAbsent(place, _ -> new ArrayList<>())
                        .add(n.at(at + "/sentence").asString()));
    }

    /** What is told at a place: of a product on the shelf, of selected steps, in steps, on the sheet, or anywhere. */
    String told(JsonNode e, String part) {
        if (e.has("product")) {
            String id = e.at("/product").asString();
            String name = document.at("/owned")
                    .valueStream()
                    .map(o -> o.get("product"))
                    .filter(p -> p.path("id").asString("").equals(id))
                    .map(p -> p.at("/name").asString())
                    .findFirst()
                    .orElse("");
            return String.join(
                    "\n",
                    Stream.concat(
                                    regimen()
                                            .at("/shelf")
                                            .valueStream()
                                            .filter(s ->
                                                    s.at("/product").asString().equals(id)),
                                    regimen()
                                            .at("/keptOut")
                                            .valueStream()
                                            .filter(k ->
                                                    texts(k.at("/products")).contains(name)))
                            .map(s -> s.at("/because/sentence").asString())
                            .toList());
        }
        if (e.has("tag") || e.has("kind") || e.has("active")) {
            return String.join(
                    "\n", selected(part, e).stream().flatMap(SeenPlan::why).toList());
        }
        String steps = String.join(
                "\n", steps(part).stream().map(s -> s.of().toString()).toList());
        return switch (e.path("where").asString("")) {
            case "steps" -> steps;
            case "sheet" ->
                String.join(
                        "\n",
                        steps,
                        regimen().at("/sheetNotes").toString(),
                        regimen().at("/tonight").toString(),
                        regimen().at("/notices").toString(),
                        String.join(
                                "\n",
                                answer.at("/verdict/safety/cautions")
                                        .valueStream()
                                        .map(c -> c.at("/forClient").asString())
                                        .toList()));
            default -> answer.toString();
        };
    }

    private static Stream<String> why(Step s) {
        return Stream.concat(
                s.of().at("/purpose").valueStream().map(p -> p.at("/sentence").asString()),
                Stream.of(s.of().at("/place/sentence").asString()));
    }

    /** Evenings, and mornings for what is left on by day, with what exfoliates or is strong. */
    Set<String> nights(String of) {
        List<String> strong = Map.of(
                        "retinoid", List.of("retinoid"),
                        "acid", List.of("aha", "bha", "pha"),
                        "exfoliation", List.of("aha", "bha", "pha", "enzyme", "scrub"),
                        "strong", List.of("retinoid", "aha", "bha", "pha", "enzyme", "scrub", "clay"))
                .getOrDefault(of, List.of());
        Set<String> on = new HashSet<>();
        for (Step s : steps("EVENING")) {
            if (strongAtNight(s, of, strong)) {
                on.addAll(s.nights());
            }
        }
        for (Step s : steps("MORNING")) {
            boolean bland =
                    List.of("WASH", "FIRST_CLEANSE", "SUNSCREEN", "MOISTURISER").contains(s.kind());
            if (!bland && actives(pack(s)).stream().anyMatch(strong::contains)) {
                s.nights().forEach(n -> on.add(n + " day"));
            }
        }
        return on;
    }

    private boolean strongAtNight(Step s, String of, List<String> strong) {
        if (of.startsWith("product:")) {
            return s.product().equals(of.substring("product:".length()));
        }
        if (of.equals("mask")) {
            return List.of("CLAY_MASK", "ENZYME").contains(s.kind());
        }
        Set<String> actives = actives(pack(s));
        boolean washed = List.of("WASH", "FIRST_CLEANSE").contains(s.kind());
        boolean bland = List.of("MOISTURISER", "TONER", "ESSENCE").contains(s.kind());
        boolean sharp = Stream.of("retinoid", "bha", "aha").anyMatch(actives::contains);
        boolean rubs = !of.equals("retinoid")
                && !of.equals("acid")
                && List.of("SCRUB", "ENZYME").contains(s.kind());
        return rubs || (!washed && actives.stream().anyMatch(strong::contains) && (!bland || sharp));
    }

    /** A month of what is not owned. */
    double money() {
        Map<String, double[]> week = new HashMap<>();
        Map<String, Pack> packs = new HashMap<>();
        for (Step s : steps("EITHER")) {
            if (!s.of().at("/owned").asBoolean() && !s.of().at("/prescription").asBoolean()) {
                packs.put(s.product(), pack(s));
                week.computeIfAbsent(s.product(), _ -> new double[1])[0] +=
                        s.of().at("/amount/grams").asDouble() * s.nights().size();
            }
        }
        return packs.entrySet().stream()
                .filter(p -> p.getValue().size() > 0 && p.getValue().price() > 0)
                .mapToDouble(p -> {
                    double grams = week.getOrDefault(p.getKey(), new double[1])[0];
                    double byWeight = p.getValue().price()
                            * grams
                            / 7
                            * 30.4
                            / (0.95 * p.getValue().size());
                    return Math.max(byWeight, p.getValue().price() / 12);
                })
                .sum();
    }

    double richness(String part) {
        List<String> kinds =
                part.equals("EVENING") ? List.of("MOISTURISER", "OIL", "SEAL") : List.of("MOISTURISER", "OIL");
        return steps(part, s -> kinds.contains(s.kind())).stream()
                .mapToDouble(Step::texture)
                .max()
                .orElse(0);
    }

    static String names(List<Step> steps) {
        return Arrays.toString(steps.stream().map(Step::named).toArray());
    }
}
