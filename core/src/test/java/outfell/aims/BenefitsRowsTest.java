package outfell.aims;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.consultation.Yardstick;
import outfell.knowledge.Evidence;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ActiveIn;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.Products;
import outfell.product.StepKind;
import outfell.skin.Concern;

/** Each row of what helps what: a case made from the row in which it holds, and what misses it by one thing. */
class BenefitsRowsTest {
    private static final Row FILE = KnowledgeFile.yaml("benefits.yaml");
    private static final Yardstick YARD = Yardstick.SHIPPED;

    private record Written(
            Concern concern, ActiveKind active, double low, double high, double full, Evidence evidence) {}

    static Stream<Written> benefits() {
        return FILE.rows("benefits").stream()
                .map(r -> new Written(
                        r.one("concern", Concern.class),
                        r.one("active", ActiveKind.class),
                        r.number("low"),
                        r.number("high"),
                        r.number("full"),
                        Evidence.ofLetter(r.text("evidence"))));
    }

    /** The kind of step by which a concern is reached whole. */
    private static StepKind kindFor(Concern concern) {
        String key = concern.name().toLowerCase(Locale.ROOT);
        return FILE.row("only").has(key) ? FILE.row("only").one(key, StepKind.class) : StepKind.SERUM;
    }

    private static double reach(StepKind kind) {
        return FILE.row("reach").number(kind.name().toLowerCase(Locale.ROOT));
    }

    private static Optional<Benefits.Help> help(Written row, StepKind kind, double percent, double uses) {
        Product p = Products.bare(kind, percent, Products.carrier(row.active()));
        return Benefits.of(p, uses, YARD).stream()
                .filter(h -> h.concern() == row.concern())
                .findFirst();
    }

    private static boolean hasPurposeFor(Written row, StepKind kind, double percent) {
        Product p = Products.bare(kind, percent, Products.carrier(row.active()));
        return FILE.rows("purposes").stream()
                .filter(r -> r.several("concerns", Concern.class).contains(row.concern()))
                .noneMatch(r -> p.hasAny(r.several("holding", ActiveKind.class))
                        || r.several("kinds", StepKind.class).contains(kind));
    }

    @ParameterizedTest
    @MethodSource("benefits")
    void it_helps_whole_from_its_low_end_at_its_full_use_and_less_under_either(Written row) {
        StepKind kind = kindFor(row.concern());
        if (row.low() == 0 || !hasPurposeFor(row, kind, row.low())) {
            return;
        }
        Benefits.Help whole = help(row, kind, row.low(), row.full()).orElseThrow(() -> new AssertionError(row));
        boolean first = whole.active() == row.active();
        double reach = FILE.row("only").has(row.concern().name().toLowerCase(Locale.ROOT)) ? 1 : reach(kind);
        assertThat(whole.share()).isGreaterThanOrEqualTo(YARD.of(row.evidence()) * reach - 1e-9);
        if (!first) {
            return;
        }
        assertThat(whole.share()).isCloseTo(YARD.of(row.evidence()) * reach, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(whole.because().evidence()).isEqualTo(row.evidence());
        assertThat(help(row, kind, row.low(), row.full() + 1).orElseThrow().share())
                .as("more than its full use does no more")
                .isEqualTo(whole.share());
        if (row.full() > 1) {
            double less = help(row, kind, row.low(), row.full() - 1)
                    .map(Benefits.Help::share)
                    .orElse(0.0);
            assertThat(less).as("a use a week less").isLessThan(whole.share());
        }
        double weaker = help(row, kind, row.low() * 0.99, row.full())
                .filter(h -> h.active() == row.active())
                .map(Benefits.Help::share)
                .orElse(0.0);
        assertThat(weaker).as("a little weaker than its low end").isLessThan(whole.share());
    }

    @ParameterizedTest
    @MethodSource("benefits")
    void more_than_its_high_end_is_said_to_do_no_more(Written row) {
        StepKind kind = kindFor(row.concern());
        for (boolean over : row.high() < 100 ? List.of(false, true) : List.of(false)) {
            help(row, kind, over ? row.high() * 1.01 : row.high(), row.full())
                    .filter(h -> h.active() == row.active())
                    .ifPresent(h -> assertThat(h.because().sentence().contains(" % is enough"))
                            .as("%s %s", row, h.because().sentence())
                            .isEqualTo(over));
        }
    }

    @Test
    void an_active_that_no_row_joins_to_a_concern_does_nothing_for_it() {
        List<String> joined =
                benefits().map(b -> b.active() + " " + b.concern()).toList();
        for (ActiveKind active : ActiveKind.values()) {
            Product p = Products.serum(5, Products.carrier(active));
            List<ActiveKind> held = p.actives().stream().map(ActiveIn::kind).toList();
            for (Concern concern : Concern.values()) {
                if (held.stream().noneMatch(k -> joined.contains(k + " " + concern))) {
                    assertThat(Benefits.of(p, 7, YARD)).noneMatch(h -> h.concern() == concern);
                }
            }
        }
    }

    static Stream<Row> purposes() {
        return FILE.rows("purposes").stream();
    }

    @ParameterizedTest
    @MethodSource("purposes")
    void what_a_product_is_not_for_takes_its_share_and_only_of_what_is_named(Row row) {
        double share = row.number("share");
        for (Concern concern : row.several("concerns", Concern.class)) {
            ActiveKind helper = benefits()
                    .filter(b -> b.concern() == concern)
                    .filter(b -> !row.several("holding", ActiveKind.class).contains(b.active()))
                    .map(Written::active)
                    .findFirst()
                    .orElseThrow();
            StepKind plain = kindFor(concern);
            double without = share(concern, plain, List.of(helper));
            for (ActiveKind holding : row.several("holding", ActiveKind.class)) {
                boolean others = purposes()
                        .filter(o -> o.several("concerns", Concern.class).contains(concern))
                        .anyMatch(o ->
                                o.several("holding", ActiveKind.class).contains(holding) && o.number("share") < share);
                if (!others && without > 0) {
                    assertThat(share(concern, plain, List.of(helper, holding)))
                            .as("%s with %s", concern, holding)
                            .isLessThanOrEqualTo(Math.max(without * share, best(concern, holding) * share) + 1e-9);
                }
            }
        }
    }

    private static double best(Concern concern, ActiveKind active) {
        return benefits()
                .filter(b -> b.concern() == concern && b.active() == active)
                .mapToDouble(b -> YARD.of(b.evidence()))
                .max()
                .orElse(0);
    }

    private static double share(Concern concern, StepKind kind, List<ActiveKind> actives) {
        Product p = Products.of(
                kind,
                OptionalDouble.empty(),
                5,
                actives.stream().map(Products::carrier).toList());
        return Benefits.of(p, 7, YARD).stream()
                .filter(h -> h.concern() == concern)
                .mapToDouble(Benefits.Help::share)
                .max()
                .orElse(0);
    }
}
