package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every demo client by every method, explained step by step, as it was read and agreed. Read the difference when a rule
 * changes; -Doutfell.update=true writes the files anew.
 */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {
            "outfell.demo=true",
            "outfell.probe.port=0",
            "spring.main.allow-bean-definition-overriding=true",
            "outfell.memory=golden"
        })
class GoldenRegimensTest extends OverHttp {
    private static final Path GOLDEN = Path.of("src/test/resources/golden/regimens");
    private static final List<String> METHODS = List.of("essentials", "classic", "layered", "re-tone", "barrier-first");

    /** The demo practice as of one day: visits and bottles count from it. */
    @TestConfiguration
    static class OneDay {
        @Bean
        @Primary
        Clock oneDay() {
            return Clock.fixed(Instant.parse("2026-11-25T10:00:00Z"), ZoneOffset.UTC);
        }
    }

    /** Night by night: what is used, the load, and why a night is rest. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "Maren Oskell",
                "Tobit Harl",
                "Wilma Crake",
                "Jorun Pell",
                "Ines Varro",
                "Anselm Roake",
                "Sunniva Thorne",
                "Edda Quill",
                "Hedda Saltvik",
                "Orrin Teague",
                "Lisbet Marl"
            })
    void the_weeks_of_a_client_are_what_was_agreed(String client) throws Exception {
        String visit = lastVisit(client);
        ObjectNode d = document(visit);
        d.put("method", "classic");
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
        JsonNode weeks = get("/api/visits/" + visit + "/weeks").body();
        StringBuilder text = new StringBuilder("begun %s, counted from %s, every %d, next check-ins %s%n"
                .formatted(
                        weeks.at("/begun").asString(),
                        weeks.at("/from").asString(),
                        weeks.at("/rhythm/every").asInt(),
                        weeks.at("/dueCheckIns")));
        weeks.at("/checkIns")
                .valueStream()
                .forEach(c -> text.append(
                        "check-in: %s%n".formatted(c.at("/because/sentence").asString())));
        if (weeks.has("calm") && !weeks.at("/calm").isNull()) {
            text.append("calm: %s without %s%n"
                    .formatted(weeks.at("/calm/ends/sentence").asString(), weeks.at("/calm/out")));
        }
        weeks.at("/tracks").valueStream().forEach(t -> {
            text.append("== %s%s%n"
                    .formatted(t.at("/name").asString(), t.at("/queued").asBoolean() ? ", next in line" : ""));
            t.at("/turns")
                    .valueStream()
                    .forEach(n -> text.append("  from %s: %s%n"
                            .formatted(n.at("/from").asString(), n.at("/nights").asString())));
            text.append("  %s%n".formatted(t.at("/more").asString()));
        });
        weeks.at("/evenings")
                .valueStream()
                .limit(28)
                .forEach(e -> text.append("%s: %s, load %s, %s min%s%s%n"
                        .formatted(
                                e.at("/date").asString(),
                                e.at("/uses")
                                        .valueStream()
                                        .map(u -> u.at("/name").asString())
                                        .toList(),
                                e.at("/load").asString(),
                                e.at("/minutes").asString(),
                                e.at("/rest/sentence").isMissingNode()
                                        ? ""
                                        : ": " + e.at("/rest/sentence").asString(),
                                e.at("/leftOut")
                                        .valueStream()
                                        .map(l -> "; without %s: %s"
                                                .formatted(
                                                        l.at("/name").asString(),
                                                        l.at("/because/sentence")
                                                                .asString()))
                                        .toList())));
        same(
                GOLDEN.resolveSibling("weeks")
                        .resolve(client.toLowerCase(java.util.Locale.ROOT).replace(' ', '-') + ".txt"),
                text.toString());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Maren Oskell",
                "Tobit Harl",
                "Wilma Crake",
                "Jorun Pell",
                "Ines Varro",
                "Anselm Roake",
                "Sunniva Thorne",
                "Edda Quill",
                "Hedda Saltvik",
                "Orrin Teague",
                "Lisbet Marl"
            })
    void each_method_plans_for_a_client_what_was_agreed(String client) throws Exception {
        String visit = lastVisit(client);
        StringBuilder text = new StringBuilder();
        for (String method : METHODS) {
            ObjectNode d = document(visit);
            d.put("method", method);
            assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
            JsonNode plan = get("/api/visits/" + visit + "/plan?month=NOVEMBER").body();
            if (text.isEmpty()) {
                text.append(skin(plan));
            }
            text.append("%n== %s%n".formatted(method)).append(explained(plan.at("/regimen")));
        }
        same(GOLDEN.resolve(client.toLowerCase(java.util.Locale.ROOT).replace(' ', '-') + ".txt"), text.toString());
    }

    private static String skin(JsonNode plan) {
        return "skin: %s; water: %s; barrier: %s%nconcerns: %s%nminds: %s%n"
                .formatted(
                        plan.at("/verdict/type").asString(),
                        plan.at("/verdict/water").asString(),
                        plan.at("/verdict/barrier/state").asString().toLowerCase(java.util.Locale.ROOT),
                        plan.at("/verdict/concerns")
                                .valueStream()
                                .map(c -> c.at("/name").asString())
                                .collect(Collectors.joining(", ")),
                        plan.at("/verdict/safety/bans")
                                .valueStream()
                                .map(b -> b.at("/name").asString())
                                .distinct()
                                .collect(Collectors.joining(", ")));
    }

    private static String explained(JsonNode regimen) {
        StringBuilder text = new StringBuilder();
        for (String part : List.of("morning", "evening")) {
            JsonNode routine = regimen.at("/" + part);
            text.append("%s, %s of %s min%n"
                    .formatted(
                            part,
                            routine.at("/timeline/minutes").asString(),
                            routine.at("/timeline/limitMinutes").asString()));
            routine.at("/steps").forEach(s -> text.append(step(s)));
        }
        regimen.at("/notices")
                .forEach(n ->
                        text.append("  look: %s%n".formatted(n.at("/sentence").asString())));
        regimen.at("/served")
                .valueStream()
                .filter(s -> s.at("/by").isEmpty())
                .forEach(s -> text.append("  nothing for %s: %s%n"
                        .formatted(
                                s.at("/concern").asString(),
                                s.at("/because/sentence").asString())));
        regimen.at("/shelf")
                .forEach(s -> text.append("  shelf: %s, %s. %s%n"
                        .formatted(
                                s.at("/name").asString(),
                                s.at("/fate").asString().toLowerCase(java.util.Locale.ROOT),
                                s.at("/because/sentence").asString())));
        return text.toString();
    }

    private static String step(JsonNode s) {
        String nights = s.at("/nights").size() == 7
                ? "daily"
                : s.at("/nights")
                        .valueStream()
                        .map(n -> n.asString().substring(0, 3).toLowerCase(java.util.Locale.ROOT))
                        .collect(Collectors.joining(" "));
        return "  %s %s | %s | %s | %s | wait %s s%s%n      %s For: %s%n"
                .formatted(
                        s.at("/number").asString(),
                        s.at("/name").asString(),
                        s.at("/amount/words").asString(),
                        s.at("/technique").asString(),
                        nights,
                        s.at("/settle").asString(),
                        s.at("/then")
                                .valueStream()
                                .map(a -> " | %s: %s"
                                        .formatted(
                                                a.at("/told").asString(),
                                                a.at("/how").asString()))
                                .collect(Collectors.joining()),
                        s.at("/place/sentence").asString(),
                        s.at("/purpose")
                                .valueStream()
                                .map(p -> p.at("/sentence").asString())
                                .collect(Collectors.joining(" ")));
    }

    private static void same(Path file, String text) throws IOException {
        if (Boolean.getBoolean("outfell.update")) {
            Files.createDirectories(file.getParent());
            Files.writeString(file, text);
        }
        assertThat(text).isEqualTo(Files.readString(file));
    }
}
