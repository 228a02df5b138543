package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import outfell.causes.Cause;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Life.Place;
import outfell.consultation.Life.Taste;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.routine.Step;
import outfell.skin.Faces;
import outfell.skin.Sign;

/** Who is on or in water wears a sunscreen that stays on there, and takes it off in two goes. */
class WaterFastTest {
    private static Consultation client(Set<Place> places, double hours) {
        Life life = new Life(
                10, 20, 7, hours, 0, false, 7, places, Taste.ANY, Taste.ANY, Taste.ANY, OptionalDouble.empty());
        return Consultations.of(Faces.face()
                        .calm()
                        .with(Sign.SHINE, 1, 1, 1, 0, 0)
                        .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                        .with(Sign.STING, 0, 0, 0, 0, 0)
                        .person(40, false, false)
                        .history(0, 0))
                .living(life);
    }

    private static Consultation inJune(Set<Place> places, double hours) {
        return client(places, hours).in(Month.JUNE);
    }

    private static Product named(String name) {
        return ProductReader.read(new Product.Facts(
                new ProductId("pack"),
                name,
                "Slipway Works",
                50,
                "ml",
                20,
                "Aqua, Zinc Oxide",
                java.util.Optional.empty(),
                OptionalDouble.empty(),
                false));
    }

    private static Regimen plan(Consultation c) {
        return ((Outcome.Planned) Planner.plan(c)).regimen();
    }

    private static Product sunscreen(Consultation c) {
        return plan(c).morning().steps().stream()
                .filter(s -> s.kind() == StepKind.SUNSCREEN)
                .map(Step::product)
                .flatMap(p -> c.find(p).stream())
                .findFirst()
                .orElseThrow();
    }

    private static boolean cleansesTwice(Consultation c) {
        return plan(c).evening().steps().stream().anyMatch(s -> s.kind() == StepKind.FIRST_CLEANSE);
    }

    @Test
    void the_pack_says_it_in_its_name() {
        assertThat(Consultations.product("sun-fluid-50").waterFast()).isTrue();
        assertThat(Consultations.product("day-fluid-30").waterFast()).isFalse();
        assertThat(named("Sun milk SPF 50, very water-resistant").waterFast()).isTrue();
        assertThat(named("Sun milk SPF 50, not water-resistant").waterFast()).isFalse();
        assertThat(named("Sun milk SPF 50, non-water-resistant").waterFast()).isFalse();
    }

    @Test
    void on_water_in_june_it_stays_on_and_comes_off_in_two_goes_and_both_say_why() {
        Consultation deck = inJune(Set.of(Place.SEA), 6);
        assertThat(sunscreen(deck).waterFast()).isTrue();
        assertThat(cleansesTwice(deck)).isTrue();
        assertThat(plan(deck).steps().filter(s -> s.kind() == StepKind.SUNSCREEN || s.kind() == StepKind.FIRST_CLEANSE))
                .hasSize(2)
                .allSatisfy(
                        s -> assertThat(s.purpose()).anyMatch(b -> b.sentence().contains("On or in water")));
    }

    @Test
    void ashore_in_winter_or_hardly_out_nobody_asks_for_it() {
        assertThat(Planner.plan(inJune(Set.of(), 6)))
                .isInstanceOfSatisfying(
                        Outcome.Planned.class,
                        p -> assertThat(p.regimen().asked().waterFast().yes()).isFalse());
        assertThat(plan(client(Set.of(Place.SEA), 6).in(Month.DECEMBER))
                        .asked()
                        .waterFast()
                        .yes())
                .isFalse();
        assertThat(plan(inJune(Set.of(Place.SEA), 0)).asked().waterFast().yes()).isFalse();
    }

    @Test
    void where_no_pack_says_it_another_is_worn_and_that_is_told() {
        Consultation deck = inJune(Set.of(Place.SEA), 6);
        Consultation without = deck.parts()
                .catalogue(deck.catalogue().stream().filter(p -> !p.waterFast()).toList())
                .together();
        assertThat(sunscreen(without).spf()).isGreaterThanOrEqualTo(50);
        assertThat(plan(without).notices()).anyMatch(n -> n.sentence().contains("put on again after each soaking"));
        assertThat(plan(deck).notices()).noneMatch(n -> n.sentence().contains("put on again after each soaking"));
    }

    @Test
    void one_that_is_owned_and_does_not_stay_on_is_set_aside_for_the_water() {
        Consultation deck = inJune(Set.of(Place.SEA), 6);
        Product gel = Consultations.product("sun-gel-50");
        Consultation owns = deck.parts()
                .shelf(List.of(new Consultation.Owned(gel, 4, List.of())))
                .together();
        assertThat(sunscreen(owns).waterFast()).isTrue();
        assertThat(plan(owns).shelf().stream().filter(f -> f.product().equals(gel.id())))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.cause()).isEqualTo(Cause.AIR);
                    assertThat(f.because().sentence()).contains("On or in water");
                });
    }

    @Test
    void where_the_school_cleanses_once_the_wash_is_used_twice_and_the_sheet_says_so() {
        Consultation deck = inJune(Set.of(Place.SEA), 6);
        Consultation hurried = deck.by(outfell.method.Methods.find("essentials").orElseThrow());
        assertThat(cleansesTwice(hurried)).isFalse();
        assertThat(plan(hurried).sheetNotes()).anyMatch(n -> n.text().contains("wash twice"));
        assertThat(plan(deck).sheetNotes()).noneMatch(n -> n.text().contains("wash twice"));
    }
}
