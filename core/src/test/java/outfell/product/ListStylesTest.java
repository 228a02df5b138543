package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The same list is the same list, however a maker prints it; and no text is too strange to be read. */
class ListStylesTest {
    private static final int LISTS = 400;
    private static final int TEXTS = 100_000;

    /** Ways in which packs print a list; the percentages of some lines, where there are any, before or behind the name. */
    enum Style {
        COMMAS((names, shares) -> "Ingredients: " + join(names, shares, ", ") + "."),
        CAPITALS((names, shares) -> "INGREDIENTS: " + join(names, shares, ", ").toUpperCase(Locale.ROOT)),
        SMALL((names, shares) -> "Zutaten: " + join(names, shares, ", ").toLowerCase(Locale.ROOT)),
        SEMICOLONS((names, shares) -> "Ingrédients : " + join(names, shares, "; ")),
        BULLETS((names, shares) -> join(names, shares, " • ")),
        DOTS((names, shares) -> join(names, shares, " · ")),
        LINES((names, shares) -> "Composition:\n" + join(names, shares, "\n")),
        NUMBERED((names, shares) -> IntStream.range(0, names.size())
                .mapToObj(i -> (i + 1) + ". " + with(names.get(i), shares.get(i)))
                .collect(Collectors.joining("\n"))),
        BROKEN((names, shares) -> "Ingredients: " + join(names, shares, ",\n  ")),
        ORIENTAL((names, shares) -> "全成分：" + join(names, shares, "、")),
        BEFORE((names, shares) -> "Ingredients: "
                + IntStream.range(0, names.size())
                        .mapToObj(i -> shares.get(i).isEmpty() ? names.get(i) : shares.get(i) + " " + names.get(i))
                        .collect(Collectors.joining(", "))),
        TAIL((names, shares) ->
                "Ingredients: " + join(names, shares, ", ") + ". Keep out of reach of children. Made in Skarrow.");

        private final BiFunction<List<String>, List<String>, String> print;

        Style(BiFunction<List<String>, List<String>, String> print) {
            this.print = print;
        }

        private static String join(List<String> names, List<String> shares, String by) {
            return IntStream.range(0, names.size())
                    .mapToObj(i -> with(names.get(i), shares.get(i)))
                    .collect(Collectors.joining(by));
        }

        private static String with(String name, String share) {
            return share.isEmpty() ? name : name + " " + share;
        }
    }

    @ParameterizedTest
    @EnumSource(Style.class)
    void the_same_list_reads_the_same_in_every_style(Style style) {
        Random random = new Random(20261127);
        List<Ingredient> table = Ingredients.all();
        List<String> wrong = new ArrayList<>();
        for (int i = 0; i < LISTS; i++) {
            List<Ingredient> some = new ArrayList<>(table.subList(0, 1));
            for (int k = random.nextInt(3, 25); k > 0; k--) {
                Ingredient next = table.get(random.nextInt(1, table.size()));
                if (!some.contains(next)) {
                    some.add(next);
                }
            }
            List<String> names = some.stream().map(Ingredient::inci).toList();
            List<String> shares = new ArrayList<>(Collections.nCopies(names.size(), ""));
            if (random.nextBoolean()) {
                shares.set(1, "5 %");
            }
            String text = style.print.apply(names, shares);
            Label label = LabelReader.read(text);
            List<String> read = label.lines().stream()
                    .map(l -> l.ingredient().map(Ingredient::inci).orElse("?" + l.printed()))
                    .toList();
            boolean share = shares.get(1).isEmpty()
                    || label.lines().size() > 1
                            && label.lines().get(1).declared().orElse(0) == 5;
            if (!read.equals(names) || !share) {
                wrong.add(text.replace('\n', '|') + "\n   read as " + read);
            }
        }
        assertThat(wrong).as("%d of %d", wrong.size(), LISTS).isEmpty();
    }

    /** Letters of the camera and of the hurried hand. */
    @Test
    void a_slip_in_a_long_name_is_known_with_a_mark_or_stays_as_printed() {
        Random random = new Random(7);
        for (Ingredient i : Ingredients.all().subList(0, 800)) {
            String slipped =
                    i.inci().replace('l', random.nextBoolean() ? 'I' : '1').replace('O', '0');
            Label label = LabelReader.read("Aqua, " + slipped + ", Glycerin");
            assertThat(label.lines()).as(slipped).hasSize(3);
            label.lines()
                    .get(1)
                    .ingredient()
                    .filter(_ -> !slipped.equals(i.inci()))
                    .ifPresent(read -> assertThat(label.lines().get(1).because().sentence())
                            .as(slipped)
                            .containsAnyOf("look alike", "by its name"));
        }
    }

    @Test
    void no_text_is_too_strange_and_nothing_of_it_is_dropped_in_silence() {
        Random random = new Random(42);
        List<String> pieces = List.of(
                "Aqua",
                "Glycerin",
                "Retinol 0.3 %",
                "(nano)",
                "[+/-",
                "CI 77491",
                "]",
                "Ingredients:",
                "Active ingredient",
                "Purpose",
                "Inactive ingredients",
                "•",
                "·",
                "、",
                "/",
                "(and)",
                ",",
                ";",
                "\n",
                "-\n",
                "1.",
                "2)",
                "%",
                "5 mg",
                "per 100 g",
                "May contain",
                "Avoid contact with eyes.",
                "free from parabens",
                "\u00ad",
                "\ud83c\udf0a",
                "PARFUM",
                "((",
                "))",
                "½",
                "100 %",
                "traces of nuts",
                "*organic",
                "정제수",
                "グリセリン",
                "\t",
                "&amp;",
                "e",
                "",
                "\u0000");
        for (int i = 0; i < TEXTS; i++) {
            StringBuilder text = new StringBuilder();
            for (int k = random.nextInt(1, 14); k > 0; k--) {
                text.append(pieces.get(random.nextInt(pieces.size()))).append(random.nextBoolean() ? " " : "");
            }
            Label label = LabelReader.read(text.toString());
            assertThat(label.lines())
                    .as(text.toString())
                    .allMatch(l -> l.low() <= l.high() && l.low() >= 0 && l.high() <= 100);
            boolean allergen = text.toString().matches("(?s)(?:.*[ ,;.•\\n])?traces of nuts(?:[ ,;.•\\n].*)?");
            if (allergen) {
                assertThat(label.all()
                                .anyMatch(l -> l.printed().contains("nut") || l.is(java.util.Set.of(Tag.ALLERGEN_NUT))))
                        .as(text.toString())
                        .isTrue();
            }
        }
    }
}
