package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.yaml.snakeyaml.Yaml;
import outfell.knowledge.Certainty;

/** Labels as people paste them, and texts that nobody would. */
class LabelCorpusTest {
    /** One label of the corpus with what is to be read. */
    record Case(
            String id,
            String text,
            List<String> known,
            List<String> unknown,
            Map<String, Number> declared,
            List<String> perhaps,
            Map<String, String> meant) {
        @Override
        public String toString() {
            return id;
        }
    }

    @SuppressWarnings("unchecked")
    static List<Case> corpus() {
        Map<String, List<Map<String, Object>>> file = new Yaml()
                .load(new InputStreamReader(
                        Objects.requireNonNull(LabelCorpusTest.class.getResourceAsStream("/labels/corpus.yaml")),
                        StandardCharsets.UTF_8));
        return Objects.requireNonNull(file.get("labels")).stream()
                .map(row -> new Case(
                        (String) Objects.requireNonNull(row.get("id")),
                        (String) Objects.requireNonNull(row.get("text")),
                        (List<String>) Objects.requireNonNull(row.get("known")),
                        (List<String>) row.getOrDefault("unknown", List.of()),
                        (Map<String, Number>) row.getOrDefault("declared", Map.of()),
                        (List<String>) row.getOrDefault("perhaps", List.of()),
                        (Map<String, String>) row.getOrDefault("did-you-mean", Map.of())))
                .toList();
    }

    @ParameterizedTest
    @MethodSource("corpus")
    void each_label_is_read_as_it_was_meant(Case c) {
        Label label = LabelReader.read(c.text());
        assertThat(inci(label.certain())).as("known").isEqualTo(c.known());
        assertThat(label.unknown()).as("unknown").isEqualTo(c.unknown());
        assertThat(inci(label.lines().stream().filter(LabelLine::mayContain).toList()))
                .as("perhaps")
                .isEqualTo(c.perhaps());
        Map<String, Double> declared = new TreeMap<>();
        label.lines().stream()
                .filter(l -> l.declared().isPresent() && l.ingredient().isPresent())
                .forEach(l -> declared.put(
                        l.ingredient().orElseThrow().inci(), l.declared().getAsDouble()));
        Map<String, Double> wanted = new TreeMap<>();
        c.declared().forEach((name, share) -> wanted.put(name, share.doubleValue()));
        assertThat(declared).as("declared").isEqualTo(wanted);
        c.meant()
                .forEach((printed, meant) ->
                        assertThat(Spelling.likeliest(printed)).as(printed).hasValue(meant));
    }

    @ParameterizedTest
    @MethodSource("corpus")
    void each_label_printed_reads_the_same_again(Case c) {
        Label first = LabelReader.read(c.text());
        Label again = LabelReader.read(first.print());
        assertThat(again.lines())
                .extracting(LabelLine::printed)
                .isEqualTo(first.lines().stream().map(LabelLine::printed).toList());
        assertThat(again.lines())
                .extracting(LabelLine::declared)
                .isEqualTo(first.lines().stream().map(LabelLine::declared).toList());
        assertThat(again.lines())
                .extracting(LabelLine::mayContain)
                .isEqualTo(first.lines().stream().map(LabelLine::mayContain).toList());
    }

    @Test
    void letters_that_look_alike_are_read_through_with_a_mark_and_a_slip_is_offered_only() {
        LabelLine alike = LabelReader.read("Aqua, Glycerln").lines().getLast();
        assertThat(alike.ingredient().orElseThrow().inci()).isEqualTo("Glycerin");
        assertThat(alike.certainty()).isEqualTo(Certainty.LIKELY);
        assertThat(alike.because().sentence()).contains("letters that look alike");
        LabelLine slip =
                LabelReader.read("Aqua, Glicerin oil, Panthenyl").lines().getLast();
        assertThat(slip.ingredient()).isEmpty();
        assertThat(slip.maybe()).extracting(Ingredient::inci).contains("Panthenol");
        assertThat(Spelling.of("Glycerln").getFirst().because().sentence())
                .contains("may be Glycerin", "Look at the pack");
        assertThat(Spelling.of("Glycerin")).isEmpty();
        assertThat(Spelling.of("oil")).isEmpty();
        assertThat(Spelling.of("Kelp Moonlight Complex")).isEmpty();
    }

    @Test
    void thirty_thousand_random_texts_are_read_without_a_fault() {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(2026);
        List<String> scraps = new ArrayList<>(List.of(
                ", ",
                "; ",
                " • ",
                "\n",
                "- ",
                " / ",
                "/",
                "(",
                ")",
                "[",
                "]",
                "*",
                "%",
                "5 %",
                "0,3%",
                "May contain: ",
                "+/-",
                "Ingredients: ",
                "Active ingredients: ",
                "Inactive ingredients: ",
                ". ",
                "&",
                " and ",
                "&amp;",
                "\t",
                "\u00a0",
                "é",
                "中",
                "\ud83c\udf0a",
                "-\n",
                "1,2-",
                "100 %",
                "\u0000",
                "™",
                "nano"));
        Ingredients.all().stream().limit(200).forEach(i -> scraps.add(i.inci()));
        for (int trial = 0; trial < 30_000; trial++) {
            StringBuilder text = new StringBuilder();
            for (int n = random.nextInt(14); n > 0; n--) {
                text.append(scraps.get(random.nextInt(scraps.size())));
                if (random.nextInt(6) == 0) {
                    text.append((char) random.nextInt(32, 1000));
                }
            }
            Label label = LabelReader.read(text.toString());
            for (LabelLine line : label.lines()) {
                assertThat(line.low() <= line.high() && !line.printed().isBlank())
                        .as("%s in %s", line, text)
                        .isTrue();
            }
        }
    }

    private static List<String> inci(List<LabelLine> lines) {
        return lines.stream()
                .flatMap(l -> l.ingredient().stream())
                .map(Ingredient::inci)
                .toList();
    }
}
