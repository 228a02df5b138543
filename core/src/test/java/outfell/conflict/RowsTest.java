package outfell.conflict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.conflict.Interactions.But;
import outfell.conflict.Interactions.Interaction;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.Products;
import outfell.product.StepKind;
import outfell.product.Tag;

/** Each row of what may meet: a case made from the row in which it holds, and one that misses it by a single thing. */
class RowsTest {
    private static final Product BLAND = Products.serum(1, "Panthenol");

    static Stream<Interaction> interactions() {
        return Conflicts.SHIPPED.interactions().all().stream();
    }

    @ParameterizedTest
    @MethodSource("interactions")
    void a_pair_of_actives_meets_as_its_row_says_and_no_other_does(Interaction row) {
        Interactions table = Conflicts.SHIPPED.interactions();
        Product a = Products.serum(5, Products.carrier(row.a()));
        Product b = Products.serum(5, Products.carrier(row.b()));
        Row written = KnowledgeFile.yaml("interactions.yaml").rows("interactions").stream()
                .filter(r -> r.text("id").equals(row.id().value()))
                .findFirst()
                .orElseThrow();
        Meeting meeting = written.one("meeting", Meeting.class);
        List<String> but = row.but().stream().map(But::ingredient).toList();
        if (!but.contains(Products.carrier(row.a())) && !but.contains(Products.carrier(row.b()))) {
            assertThat(table.between(a, row.a(), b, row.b()).orElseThrow().meeting())
                    .isEqualTo(meeting);
            assertThat(table.between(b, row.b(), a, row.a()).orElseThrow().meeting())
                    .as("the other way round")
                    .isEqualTo(meeting);
        }
        for (But exception : row.but()) {
            Product other = Products.serum(5, exception.ingredient());
            assertThat(table.between(other, row.a(), b, row.b()).orElseThrow().meeting())
                    .as(exception.ingredient())
                    .isEqualTo(exception.meeting());
        }
        assertThat(BLAND.has(row.a()) || BLAND.has(row.b())).isFalse();
    }

    @Test
    void actives_that_no_row_joins_are_nothing_to_one_another() {
        Set<String> joined = interactions()
                .flatMap(i -> Stream.of(i.a() + " " + i.b(), i.b() + " " + i.a()))
                .collect(Collectors.toSet());
        for (ActiveKind a : ActiveKind.values()) {
            for (ActiveKind b : ActiveKind.values()) {
                assertThat(Conflicts.SHIPPED.interactions().between(a, b).isPresent())
                        .as("%s and %s", a, b)
                        .isEqualTo(joined.contains(a + " " + b));
            }
        }
    }

    @Test
    void the_other_school_is_followed_where_it_is_asked_for_and_nowhere_else() {
        List<Interaction> debated =
                interactions().filter(i -> i.otherMeeting().isPresent()).toList();
        assertThat(debated).isNotEmpty();
        for (Interaction row : debated) {
            Interactions table = Conflicts.following(Set.of(row.id())).interactions();
            for (Interaction each : table.all()) {
                Interaction shipped = Conflicts.SHIPPED.interactions().all().stream()
                        .filter(i -> i.id().equals(each.id()))
                        .findFirst()
                        .orElseThrow();
                assertThat(each.meeting())
                        .isEqualTo(
                                each.id().equals(row.id()) ? row.otherMeeting().orElseThrow() : shipped.meeting());
            }
        }
    }

    static Stream<Row> meetings() {
        return KnowledgeFile.yaml("meetings.yaml").rows("meetings").stream();
    }

    @ParameterizedTest
    @MethodSource("meetings")
    void products_meet_as_their_row_says_and_not_without_a_single_part_of_it(Row written) {
        Meetings.Rule rule = Conflicts.SHIPPED.meetings().stream()
                .filter(r -> r.id().value().equals(written.text("id")))
                .findFirst()
                .orElseThrow();
        assertThat(rule.meeting()).isEqualTo(written.one("meeting", Meeting.class));
        assertThat(rule.where()).isEqualTo(written.one("where", Meetings.Where.class));
        List<String> a = parts(written.text("a"));
        assertThat(rule.a().test(made(a))).as("%s, first", rule.id()).isTrue();
        for (String without : a) {
            assertThat(rule.a().test(made(less(a, without), without)))
                    .as("%s without %s", rule.id(), without)
                    .isFalse();
        }
        assertThat(rule.b().isPresent()).isEqualTo(written.has("b"));
        rule.b().ifPresent(second -> {
            List<String> b = parts(written.text("b"));
            assertThat(second.test(made(b))).as("%s, second", rule.id()).isTrue();
            assertThat(rule.between(made(a), made(b))).isTrue();
            for (String without : b) {
                assertThat(rule.between(made(a), made(less(b, without), without)))
                        .as("%s without %s", rule.id(), without)
                        .isFalse();
            }
        });
    }

    private static List<String> parts(String text) {
        return Arrays.stream(text.split(" & ")).map(String::strip).toList();
    }

    private static List<String> less(List<String> parts, String one) {
        List<String> others = new ArrayList<>(parts);
        others.remove(one);
        return others;
    }

    private static Product made(List<String> parts) {
        return made(parts, "");
    }

    /** A product of which all parts hold, and one does not. */
    private static Product made(List<String> parts, String not) {
        StepKind kind =
                not.equals("leave-on") ? StepKind.WASH : not.equals("kind serum") ? StepKind.TONER : StepKind.SERUM;
        OptionalDouble texture = not.startsWith("texture") ? OptionalDouble.of(1) : OptionalDouble.empty();
        double percent = not.startsWith("much") ? 1 : 6;
        List<String> inci = new ArrayList<>();
        if (not.startsWith("much")) {
            inci.add(Products.tagged(tag(not)));
        }
        for (String part : parts) {
            String[] words = part.split(" ", 2);
            switch (words[0]) {
                case "kind" -> kind = StepKind.valueOf(words[1].toUpperCase(Locale.ROOT));
                case "active" -> inci.add(Products.carrier(ActiveKind.valueOf(words[1].toUpperCase(Locale.ROOT))));
                case "tag", "much" -> inci.add(Products.tagged(tag(part)));
                case "ingredient" -> inci.add(words[1]);
                case "texture" -> texture = OptionalDouble.of(Double.parseDouble(words[1].split("-")[0]));
                case "leave-on" -> {}
                default -> throw new IllegalArgumentException(part);
            }
        }
        return Products.of(kind, texture, percent, inci);
    }

    private static Tag tag(String part) {
        return Tag.valueOf(part.split(" ", 2)[1].toUpperCase(Locale.ROOT));
    }
}
