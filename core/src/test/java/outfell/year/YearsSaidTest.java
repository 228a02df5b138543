package outfell.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Month;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.changes.Change;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Owned;
import outfell.consultation.Life;
import outfell.consultation.Life.Place;
import outfell.consultation.Life.Taste;
import outfell.consultation.Surroundings;
import outfell.knowledge.Because;
import outfell.regimen.Consultations;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.skin.Faces;
import outfell.skin.Sign;

/** The years of four clients at four places, date by date and word for word. -Doutfell.update=true writes them anew. */
class YearsSaidTest {
    private static final Path FOLDER = Path.of("src/test/resources/rules/years");

    private static final List<String> SITES = List.of("skarrow-harbour", "upper-tarn", "port-lenz", "tern-bay");

    private static final Map<String, Consultation> CLIENTS = Map.of(
            "deckhand-oily-spots",
            client(
                    calm().with(Sign.SHINE, 3, 3, 3, 2, 2).with(Sign.SPOTS, 1, 1, 2, 1, 1),
                    "classic",
                    life(8, 10, 6, 8, 35, Set.of(Place.SEA, Place.OUTDOORS), Map.of()),
                    List.of()),
            "net-maker-dry",
            client(
                    calm().with(Sign.SHINE, 0, 0, 0, 0, 0)
                            .with(Sign.TIGHTNESS, 1, 0, 1, 2, 2)
                            .with(Sign.FLAKING, 0, 0, 0, 1, 1)
                            .with(Sign.LINES, 1, -1, 0, 2, 2),
                    "layered",
                    life(10, 20, 8, 1, 60, Set.of(Place.HEATED_ROOMS), Map.of()),
                    List.of()),
            "ferry-cook-combination-red",
            client(
                    calm().with(Sign.SHINE, 3, 2, 2, 0, 0).with(Sign.REDNESS, 0, 1, 0, 2, 2),
                    "barrier-first",
                    life(6, 10, 5, 2, 30, Set.of(Place.HEAT), Map.of(Place.HEAT, 8.0)),
                    List.of()),
            "pilot-retinal-borne",
            client(
                    calm().with(Sign.SHINE, 1, 1, 1, 0, 0).with(Sign.LINES, 2, -1, 0, 2, 2),
                    "classic",
                    life(8, 30, 6, 1, 70, Set.of(Place.PLANES), Map.of(Place.PLANES, 8.0)),
                    List.of(
                            new Owned(Consultations.product("retinal-cream-005"), 30, List.of()),
                            new Owned(Consultations.product("cream-ceramide-light"), 30, List.of()))));

    private static Faces calm() {
        return Faces.face()
                .calm()
                .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .person(40, false, false)
                .history(0, 0);
    }

    private static Life life(
            int morning,
            int evening,
            int steps,
            double out,
            double money,
            Set<Place> places,
            Map<Place, Double> hours) {
        return new Life(
                        morning,
                        evening,
                        steps,
                        out,
                        0,
                        false,
                        4,
                        places,
                        Taste.ANY,
                        Taste.ANY,
                        Taste.ANY,
                        OptionalDouble.of(money))
                .within(new Surroundings(hours, List.of()));
    }

    private static Consultation client(Faces face, String method, Life life, List<Owned> shelf) {
        return Consultations.of(
                face.reading(), method, Month.NOVEMBER, Consultations.CATALOGUE, shelf, Consultations.NOTHING, life);
    }

    static Stream<String> years() {
        return CLIENTS.keySet().stream().sorted().flatMap(c -> SITES.stream().map(s -> c + " at " + s));
    }

    @ParameterizedTest
    @MethodSource("years")
    void a_year_is_what_was_agreed(String which) throws IOException {
        String[] parts = which.split(" at ");
        Consultation c = Objects.requireNonNull(CLIENTS.get(parts[0]))
                .parts()
                .site(Sites.find(parts[1]).orElseThrow())
                .together();
        String said = YearAhead.of(c, c.answers().today(), Map.of())
                .map(YearsSaidTest::told)
                .orElse("no plan%n".formatted());
        Path file = FOLDER.resolve(which.replace(" at ", "-at-") + ".txt");
        if (Boolean.getBoolean("outfell.update")) {
            Files.createDirectories(FOLDER);
            Files.writeString(file, said);
        }
        assertThat(said.lines().toList())
                .isEqualTo(Files.readString(file).lines().toList());
    }

    static String told(Year year) {
        StringBuilder text = new StringBuilder();
        for (Stretch s : year.stretches()) {
            text.append("=== %s to %s: %s; %s a month%n"
                    .formatted(s.from(), s.until(), s.name(), String.format(Locale.ROOT, "%.2f", s.month())));
            s.turned()
                    .forEach(t -> text.append("  turned %s %s: %s%n"
                            .formatted(t.day(), t.words(), t.because().sentence())));
            for (Change c : s.changes()) {
                text.append("  %s %s %s -> %s [%s] %s%s%n"
                        .formatted(
                                c.part(),
                                c.what(),
                                c.from(),
                                c.to(),
                                c.cause(),
                                c.because().stream().map(Because::sentence).collect(Collectors.joining(" + ")),
                                c.limit().map(l -> " / " + l.sentence()).orElse("")));
            }
            s.ripened()
                    .forEach(c ->
                            text.append("  by use %s %s %s -> %s%n".formatted(c.part(), c.what(), c.from(), c.to())));
            s.told().forEach(t -> text.append("  sheet %s %s%n".formatted(t.begins() ? "says" : "drops", t.title())));
            s.quiet()
                    .forEach(q -> text.append("  quiet %s %s: %s%n"
                            .formatted(q.day(), q.words(), q.because().sentence())));
            for (Part part : Part.values()) {
                text.append("  %s: %s%n"
                        .formatted(
                                part,
                                s.plan().routine(part).steps().stream()
                                        .map(YearsSaidTest::step)
                                        .collect(Collectors.joining("; "))));
            }
        }
        year.sheet()
                .forEach(l -> text.append("sheet %s %s %s: %s%n".formatted(l.from(), l.until(), l.title(), l.text())));
        return text.toString();
    }

    private static String step(Step s) {
        return "%s, %s%s"
                .formatted(s.name(), s.amount().words(), s.aWeek() < 7 ? ", %d a week".formatted(s.aWeek()) : "");
    }
}
