package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;
import static outfell.skin.Faces.face;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.safety.Answers;
import outfell.safety.SafetyScreen;
import outfell.shelf.PresentRoutine;
import outfell.shelf.PresentRoutine.Fate;
import outfell.shelf.PresentRoutine.Flaw;
import outfell.shelf.PresentRoutine.Flawed;
import outfell.shelf.PresentRoutine.Now;
import outfell.shelf.PresentRoutine.Used;
import outfell.skin.Faces;
import outfell.skin.Sign;
import outfell.skin.SkinVerdict;

class PresentRoutineTest {
    private static final Faces SOUND = face().with(Sign.SHINE, 2, 2, 2, 2, 2)
            .calm()
            .with(Sign.STING, 0)
            .with(Sign.REDNESS, 0)
            .history(0, 0);

    @Test
    void it_is_put_in_order_with_reasons() {
        var r = read(
                SOUND, Consultations.NOTHING, daily("cream-fisher"), daily("gel-wash-low-foam"), daily("toner-plain"));
        assertThat(r.evening())
                .extracting(Now::product)
                .extracting(ProductId::value)
                .startsWith("gel-wash-low-foam")
                .endsWith("cream-fisher");
        assertThat(r.evening()).allSatisfy(n -> assertThat(n.place().sentence()).isNotBlank());
    }

    @Test
    void what_is_missing_is_said() {
        var r = read(SOUND, Consultations.NOTHING);
        assertThat(sentences(r, Flaw.GAP))
                .anyMatch(s -> s.contains("No sunscreen"))
                .anyMatch(s -> s.contains("day off"));
        var full = read(
                SOUND, Consultations.NOTHING, daily("cream-fisher"), daily("gel-wash-low-foam"), daily("sun-fluid-50"));
        assertThat(sentences(full, Flaw.GAP)).isEmpty();
    }

    @Test
    void three_products_with_the_same_acid_are_a_double_and_two_are_too() {
        var r = read(
                SOUND,
                Consultations.NOTHING,
                evening(named("Lactic fluid", "Aqua, Lactic Acid 5 %"), 2),
                evening(named("Fruit pads", "Aqua, Glycolic Acid 8 %"), 2),
                evening(named("Milk peel", "Aqua, Mandelic Acid 5 %"), 1));
        assertThat(sentences(r, Flaw.DOUBLE)).anyMatch(s -> s.startsWith("3 products give the same thing"));
        var one = read(SOUND, Consultations.NOTHING, evening(named("Lactic fluid", "Aqua, Lactic Acid 5 %"), 2));
        assertThat(sentences(one, Flaw.DOUBLE)).isEmpty();
    }

    @Test
    void an_acid_and_a_retinoid_clash_when_their_nights_must_meet() {
        Product acid = named("Fruit pads", "Aqua, Glycolic Acid 8 %");
        Product retinol = named("Night serum", "Aqua, Retinol 0.3 %");
        assertThat(sentences(read(SOUND, Consultations.NOTHING, evening(acid, 7), evening(retinol, 3)), Flaw.CLASH))
                .hasSize(1);
        assertThat(sentences(read(SOUND, Consultations.NOTHING, evening(acid, 2), evening(retinol, 3)), Flaw.CLASH))
                .isEmpty();
    }

    @Test
    void each_thing_is_kept_moved_used_less_or_stopped() {
        Product retinol = named("Night serum", "Aqua, Retinol 0.3 %");
        assertThat(fate(read(SOUND, Consultations.NOTHING, new Used(retinol, 3, true, false, 2))))
                .isEqualTo(Fate.MOVE);
        assertThat(fate(read(SOUND, Consultations.NOTHING, evening(named("Fruit pads", "Aqua, Glycolic Acid 8 %"), 7))))
                .isEqualTo(Fate.USE_LESS);
        assertThat(fate(read(SOUND, Consultations.NOTHING.yes("pregnant"), evening(retinol, 2))))
                .isEqualTo(Fate.STOP);
        assertThat(fate(read(
                        SOUND, Consultations.NOTHING, evening(named("Plain cream", "Aqua, Glycerin, Squalane"), 7))))
                .isEqualTo(Fate.KEEP);
        Faces tight = face().with(Sign.SHINE, 2, 2, 2, 2, 2).with(Sign.TIGHTNESS, 3, 3, 3, 3, 3);
        assertThat(fate(read(tight, Consultations.NOTHING, evening(Consultations.product("foam-wash-strong"), 7))))
                .isEqualTo(Fate.STOP);
        assertThat(fate(read(SOUND, Consultations.NOTHING, evening(Consultations.product("foam-wash-strong"), 7))))
                .isEqualTo(Fate.KEEP);
    }

    @Test
    void too_much_strong_work_is_added_up() {
        var r = read(SOUND, Consultations.NOTHING, evening(named("Fruit pads", "Aqua, Glycolic Acid 8 %"), 4));
        assertThat(sentences(r, Flaw.LOAD))
                .singleElement()
                .satisfies(s -> assertThat(s).contains("12 points"));
    }

    private static Fate fate(PresentRoutine.Present r) {
        return (r.evening().isEmpty() ? r.morning() : r.evening()).getFirst().fate();
    }

    private static List<String> sentences(PresentRoutine.Present r, Flaw flaw) {
        return r.found().stream()
                .filter(f -> f.flaw() == flaw)
                .map(Flawed::because)
                .map(b -> b.sentence())
                .toList();
    }

    private static PresentRoutine.Present read(Faces face, Answers answers, Used... shelf) {
        SkinVerdict skin = face.verdict();
        return PresentRoutine.read(
                List.of(shelf),
                skin,
                SafetyScreen.screen(
                        answers,
                        face.reading(),
                        skin,
                        Stream.of(shelf).map(Used::product).toList()),
                Methods.find("classic").orElseThrow(),
                outfell.conflict.Conflicts.SHIPPED);
    }

    private static Used daily(String id) {
        Product p = Consultations.CATALOGUE.stream()
                .filter(c -> c.id().value().equals(id))
                .findFirst()
                .orElseGet(() -> named("Plain toner", "Aqua, Glycerin"));
        return new Used(p, 10, true, true, 7);
    }

    private static Used evening(Product p, int days) {
        return new Used(p, 10, false, true, days);
    }

    private static Product named(String name, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId(name.toLowerCase(java.util.Locale.ROOT).replace(' ', '-')),
                name,
                "",
                30,
                "ml",
                0,
                label,
                Optional.empty(),
                OptionalDouble.empty(),
                false));
    }
}
