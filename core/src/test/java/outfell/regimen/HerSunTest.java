package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Life.Place;
import outfell.consultation.Life.Taste;
import outfell.knowledge.Because;
import outfell.method.Methods;
import outfell.product.ActiveKind;
import outfell.skin.Faces;
import outfell.skin.Sign;

/** What asks for more care in the sun of a day, and what is always told with it. */
class HerSunTest {
    private static Consultation client(Sign sign, Place... places) {
        Life life = new Life(
                10, 25, 8, 4, 0, false, 7, Set.of(places), Taste.ANY, Taste.ANY, Taste.ANY, OptionalDouble.empty());
        return Consultations.of(Faces.face()
                        .calm()
                        .with(Sign.SHINE, 1, 1, 1, 0, 0)
                        .with(sign, 2, sign == Sign.LINES ? -1 : 2, 2, 2, 2)
                        .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                        .with(Sign.STING, 0, 0, 0, 0, 0)
                        .person(40, false, false)
                        .history(0, 0))
                .living(life)
                .in(Month.DECEMBER);
    }

    private static List<String> raised(Consultation c) {
        return HerSun.of(c).orElseThrow().raised().stream()
                .map(Because::sentence)
                .toList();
    }

    private static List<String> cautions(Consultation c) {
        return HerSun.of(c).orElseThrow().cautions().stream()
                .map(Because::sentence)
                .toList();
    }

    @Test
    void a_product_that_thins_what_shields_the_skin_is_named_and_goes_with_it() {
        Consultation clogged = client(Sign.CONGESTION);
        assertThat(raised(clogged)).anyMatch(s -> s.startsWith("Retinol serum 0.2 % thins what shields the skin"));
        Consultation without = clogged.parts()
                .catalogue(clogged.catalogue().stream()
                        .filter(p -> !p.has(ActiveKind.RETINOID))
                        .toList())
                .together();
        assertThat(raised(without)).noneMatch(s -> s.contains("thins what shields"));
    }

    @Test
    void marks_raise_it_whatever_stands() {
        assertThat(raised(client(Sign.PIGMENT))).anyMatch(s -> s.startsWith("Pigment marks darken"));
        assertThat(raised(client(Sign.LINES))).noneMatch(s -> s.startsWith("Pigment marks darken"));
    }

    @Test
    void winter_and_water_are_cautioned_where_they_are_and_leave_to_stay_out_is_never_given() {
        assertThat(cautions(client(Sign.LINES, Place.SEA)))
                .anyMatch(s -> s.startsWith("UVA is there in winter"))
                .anyMatch(s -> s.startsWith("Foam and water"))
                .anyMatch(s -> s.startsWith("None of this is leave to stay out"));
        assertThat(cautions(client(Sign.LINES).in(Month.JUNE)))
                .noneMatch(s -> s.startsWith("UVA is there in winter"))
                .noneMatch(s -> s.startsWith("Foam and water"))
                .anyMatch(s -> s.startsWith("None of this is leave to stay out"));
    }

    @Test
    void mixed_into_the_cream_the_sunscreen_is_a_part_of_the_film_and_keeps_a_part_of_its_number() {
        Consultation layered = client(Sign.LINES);
        assertThat(HerSun.of(layered).orElseThrow().share()).isEqualTo(1);
        HerSun mixed = HerSun.of(
                        layered.by(Methods.answering(layered.method(), "sunscreen-and-cream", "mixed_in_palm")))
                .orElseThrow();
        assertThat(mixed.share()).isBetween(0.5, 0.9);
        assertThat(mixed.sun().tested().getFirst().density()).isEqualTo(2 * mixed.share());
    }

    @Test
    void a_number_on_a_base_is_not_counted_and_that_is_told_to_who_wears_one() {
        Consultation bare = client(Sign.LINES);
        assertThat(cautions(bare)).noneMatch(s -> s.startsWith("A number on a base"));
        Life life = bare.life();
        Consultation madeUp = bare.living(new Life(
                life.morningMinutes(),
                life.eveningMinutes(),
                life.mostSteps(),
                4,
                3,
                false,
                7,
                life.places(),
                Taste.ANY,
                Taste.ANY,
                Taste.ANY,
                OptionalDouble.empty()));
        assertThat(cautions(madeUp)).anyMatch(s -> s.startsWith("A number on a base"));
    }
}
