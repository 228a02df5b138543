package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.boot.test.context.SpringBootTest;
import tools.jackson.databind.JsonNode;

/** What must not stand in a plan, what must be said, and what must not be forbidden without need. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"outfell.demo=true", "outfell.probe.port=0"})
class SafetyCasesTest extends OverHttp {
    private static final Path CASES = Path.of("src/test/resources/safety-cases.json");
    private static final Pattern SPF = Pattern.compile("(?i)SPF\\s*(\\d+)");

    record Case(JsonNode shortForm) {
        @Override
        public String toString() {
            return shortForm.at("/id").asString();
        }
    }

    static List<Case> cases() throws IOException {
        return JSON.readTree(Files.readString(CASES))
                .at("/cases")
                .valueStream()
                .map(Case::new)
                .toList();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void a_careful_practitioner_would_sign_it(Case c) throws Exception {
        Answer answer = post("/api/plan", SafetyCase.document(c.shortForm()).toString());
        String wanted = c.shortForm().at("/expect/status").asString("");
        if (wanted.equals("REJECTED")) {
            assertThat(answer.status()).isBetween(400, 499);
            return;
        }
        assertThat(answer.status()).as(answer.body().at("/detail").asString("")).isEqualTo(200);
        assertThat(faults(c.shortForm(), new Seen(answer.body())))
                .as(c.shortForm().at("/what").asString())
                .isEmpty();
    }

    /** What an answer comes to. */
    private record Seen(JsonNode answer) {
        List<String> names(String part) {
            return answer.at("/regimen/" + part + "/steps")
                    .valueStream()
                    .map(s -> s.at("/name").asString())
                    .toList();
        }

        List<String> planned() {
            return Stream.of("morning", "evening")
                    .flatMap(p -> names(p).stream())
                    .toList();
        }

        /** By a ban. */
        List<String> kept() {
            return answer.at("/regimen/keptOut")
                    .valueStream()
                    .flatMap(k -> k.at("/products").valueStream())
                    .map(JsonNode::asString)
                    .toList();
        }

        List<String> refused() {
            return answer.at("/regimen/refusals")
                    .valueStream()
                    .map(r -> r.at("/name").asString())
                    .toList();
        }

        boolean setAside(String name) {
            return answer.at("/regimen/shelf")
                    .valueStream()
                    .anyMatch(s -> s.at("/name").asString().equals(name)
                            && !s.at("/fate").asString().equals("USED"));
        }

        List<String> open() {
            return referrals().map(r -> r.at("/rule").asString()).toList();
        }

        private Stream<JsonNode> referrals() {
            return answer.at("/verdict/safety/referrals")
                    .valueStream()
                    .filter(r -> r.at("/settled").isNull() || r.at("/settled").isMissingNode());
        }

        String referred() {
            return referrals()
                    .map(r -> r.at("/name").asString() + " | " + r.at("/whom").asString() + " | "
                            + r.at("/note").asString())
                    .collect(Collectors.joining("\n"));
        }

        String cautions() {
            return answer.at("/verdict/safety/cautions")
                    .valueStream()
                    .map(x -> x.at("/name").asString() + " | "
                            + x.at("/forTherapist").asString() + " | "
                            + x.at("/forClient").asString())
                    .collect(Collectors.joining("\n"));
        }

        String everything() {
            List<String> texts = new ArrayList<>();
            texts(answer.at("/regimen"), texts);
            texts(answer.at("/changes"), texts);
            return String.join("\n", texts) + "\n" + cautions() + "\n" + referred();
        }

        private static void texts(JsonNode node, List<String> to) {
            if (node.isString()) {
                to.add(node.asString());
            }
            node.forEach(child -> texts(child, to));
        }

        int nights(String part, String name) {
            return answer.at("/regimen/" + part + "/steps")
                    .valueStream()
                    .filter(s -> s.at("/name").asString().equals(name))
                    .mapToInt(s -> s.at("/nights").size())
                    .max()
                    .orElse(0);
        }

        int spf() {
            return answer.at("/regimen/morning/steps")
                    .valueStream()
                    .filter(s -> s.at("/kind").asString().equals("SUNSCREEN"))
                    .map(s -> SPF.matcher(s.at("/name").asString()))
                    .filter(Matcher::find)
                    .mapToInt(m -> Integer.parseInt(m.group(1)))
                    .max()
                    .orElse(0);
        }
    }

    private static List<String> faults(JsonNode c, Seen seen) {
        JsonNode e = c.at("/expect");
        List<String> bad = new ArrayList<>();
        String status = seen.answer().at("/status").asString();
        if (e.has("status") && !e.at("/status").asString().equals(status)) {
            bad.add("status %s, open %s".formatted(status, seen.open()));
        }
        for (String n : texts(e, "out", "stopped")) {
            need(bad, !seen.planned().contains(n), "\"%s\" stands in the plan".formatted(n));
        }
        if (status.equals("PLANNED")) {
            for (String n : texts(e, "stopped")) {
                need(bad, seen.kept().contains(n) || seen.refused().contains(n) || seen.setAside(n), "no word on " + n);
            }
            for (String n : texts(e, "banned")) {
                need(bad, seen.kept().contains(n), "no ban keeps out " + n);
            }
        }
        for (String n : texts(e, "morning_out")) {
            need(bad, !seen.names("morning").contains(n), "\"%s\" stands in the morning".formatted(n));
        }
        for (String n : texts(e, "in")) {
            need(bad, seen.planned().contains(n), "\"%s\" is not in the plan".formatted(n));
        }
        for (String n : texts(e, "free")) {
            need(bad, !seen.kept().contains(n) && !seen.refused().contains(n), "\"%s\" is kept out".formatted(n));
        }
        for (String r : texts(e, "refer")) {
            need(bad, seen.open().contains(r), "no referral " + r);
        }
        for (String r : texts(e, "norefer")) {
            need(bad, !seen.open().contains(r), "referral %s is open".formatted(r));
        }
        said(bad, texts(e, "refer_any"), seen.referred(), "no referral says ");
        said(bad, texts(e, "caution"), seen.cautions(), "no caution says ");
        said(bad, texts(e, "says"), seen.everything(), "nothing says ");
        said(bad, texts(e, "asks"), questions(seen), "no question speaks of ");
        unsaid(bad, texts(e, "nocaution"), seen.cautions());
        unsaid(
                bad,
                texts(e, "never"),
                c.at("/steps_only").asBoolean(false) ? String.join("\n", seen.planned()) : seen.everything());
        for (String w : texts(e, "stale")) {
            need(bad, labels(seen, "askAgain").contains(w), "not asked again: " + w);
        }
        e.at("/max_nights").propertyStream().forEach(m -> {
            int nights = Math.max(seen.nights("morning", m.getKey()), seen.nights("evening", m.getKey()));
            need(bad, nights <= m.getValue().asInt(), "%s on %d nights".formatted(m.getKey(), nights));
        });
        if (e.has("refused_one")) {
            need(bad, texts(e, "refused_one").stream().anyMatch(seen.refused()::contains), "none is refused");
        }
        if (e.has("spf")) {
            need(bad, seen.spf() >= e.at("/spf").asInt(), "morning SPF " + seen.spf());
        }
        return bad;
    }

    private static String questions(Seen seen) {
        return seen.answer()
                .at("/verdict/safety/questions")
                .valueStream()
                .map(q -> q.at("/text").asString())
                .collect(Collectors.joining("\n"));
    }

    private static List<String> labels(Seen seen, String list) {
        return seen.answer()
                .at("/verdict/safety/" + list)
                .valueStream()
                .map(q -> q.at("/label").asString())
                .toList();
    }

    private static List<String> texts(JsonNode e, String... keys) {
        return Stream.of(keys)
                .flatMap(k -> e.at("/" + k).valueStream())
                .map(JsonNode::asString)
                .toList();
    }

    private static void need(List<String> bad, boolean holds, String otherwise) {
        if (!holds) {
            bad.add(otherwise);
        }
    }

    private static void said(List<String> bad, List<String> patterns, String text, String otherwise) {
        patterns.forEach(p -> need(bad, found(p, text), otherwise + p));
    }

    private static void unsaid(List<String> bad, List<String> patterns, String text) {
        patterns.forEach(p -> need(bad, !found(p, text), "it says " + p));
    }

    private static boolean found(String pattern, String text) {
        return Pattern.compile(pattern, Pattern.CASE_INSENSITIVE).matcher(text).find();
    }
}
