package outfell.safety;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** Each row of the medicines: words that it knows, and the ways of saying them in which it does not count. */
class MedicinesRowsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
    private static final Row FILE = KnowledgeFile.yaml("medicines.yaml");

    static Stream<Row> rows() {
        return FILE.rows("medicines").stream();
    }

    private static String plain(String name) {
        return name.startsWith("*") ? "zyx" + name.substring(1) : name.replace("*", "");
    }

    private static String word(String list, String id) {
        return FILE.rows(list).stream()
                .filter(r -> r.text("id").equals(id))
                .map(r -> plain(r.texts("words").getFirst()))
                .findFirst()
                .orElseThrow();
    }

    private static String placed(Row row, String name) {
        return row.has("place") ? plain(name) + " " + word("places", row.text("place")) : plain(name);
    }

    private static boolean taken(Row row, String typed, LocalDate on) {
        return Medicines.of(typed, on).stream().anyMatch(m -> m.kind().equals(row.text("class")));
    }

    @ParameterizedTest
    @MethodSource("rows")
    void each_of_its_names_is_known(Row row) {
        for (String name : row.texts("names")) {
            assertThat(taken(row, placed(row, name), TODAY)).as(name).isTrue();
        }
    }

    @ParameterizedTest
    @MethodSource("rows")
    void it_does_not_count_where_it_was_never_taken(Row row) {
        for (String never : FILE.texts("never")) {
            assertThat(Medicines.of(never + " " + placed(row, row.texts("names").getFirst()), TODAY))
                    .as(never)
                    .isEmpty();
        }
    }

    @ParameterizedTest
    @MethodSource("rows")
    void it_counts_only_the_ways_that_it_names(Row row) {
        if (row.texts("routes").isEmpty()) {
            return;
        }
        // some names tell their way themselves
        String name = row.texts("names").stream()
                .filter(n -> FILE.rows("routes").stream()
                        .flatMap(r -> r.texts("words").stream())
                        .noneMatch(w -> plain(n).contains(plain(w))))
                .findFirst()
                .orElseThrow();
        for (Row route : FILE.rows("routes")) {
            String id = route.text("id");
            String typed = placed(row, name) + " " + word("routes", id);
            if (row.texts("routes").contains(id)) {
                assertThat(taken(row, typed, TODAY)).as(typed).isTrue();
            } else {
                assertThat(taken(row, typed, TODAY) && onlyThisRow(row, name))
                        .as(typed)
                        .isFalse();
            }
        }
    }

    private static boolean onlyThisRow(Row row, String name) {
        return rows().filter(r -> r.text("class").equals(row.text("class")))
                        .filter(r -> r.texts("names").stream().anyMatch(n -> plain(n).equals(plain(name))))
                        .count()
                == 1;
    }

    @ParameterizedTest
    @MethodSource("rows")
    void where_it_must_be_used_at_a_place_it_does_not_count_without(Row row) {
        if (row.has("place")) {
            for (String name : row.texts("names")) {
                assertThat(taken(row, plain(name), TODAY)).as(name).isFalse();
            }
        }
    }

    @ParameterizedTest
    @MethodSource("rows")
    void words_that_mean_another_thing_are_let_be(Row row) {
        for (String but : row.texts("but")) {
            String typed = plain(row.texts("names").getFirst()) + " " + plain(but);
            assertThat(taken(row, typed, TODAY)).as(typed).isFalse();
        }
    }

    @ParameterizedTest
    @MethodSource("rows")
    void after_its_end_it_counts_for_its_days_and_no_longer(Row row) {
        int days = row.has("clear-days") ? row.whole("clear-days", 0, 3650) : 0;
        LocalDate ended = LocalDate.of(2020, 12, 31);
        String typed = placed(row, row.texts("names").getFirst()) + " until 2020";
        List<Boolean> counts = Stream.of(days - 1, days)
                .map(d -> taken(row, typed, ended.plusDays(Math.max(0, d))))
                .toList();
        assertThat(counts).as("%s, %d days", typed, days).isEqualTo(List.of(days > 0, false));
    }
}
