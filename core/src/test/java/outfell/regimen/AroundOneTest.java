package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.regimen.AroundOne.OneRound;
import outfell.regimen.AroundOne.Rounds;
import outfell.routine.Part;
import outfell.skin.Band;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.BarrierState;
import outfell.skin.TypeVerdict;

class AroundOneTest {
    private static final Consultation PLAIN = PlainSkin.consultation(
            Consultations.CATALOGUE,
            Sites.find("skarrow-harbour").orElseThrow(),
            Consultations.TODAY,
            Consultation.House.SHIPPED);

    @Test
    void a_plain_skin_is_normal_and_sound_and_has_no_concern() {
        SkinVerdict skin = SkinReader.read(PLAIN.reading(), PLAIN.lifted());
        assertThat(skin.type()).isNotInstanceOf(TypeVerdict.NotYet.class);
        assertThat(skin.type().bandT()).isEqualTo(Band.NORMAL);
        assertThat(skin.type().bandU()).isEqualTo(Band.NORMAL);
        assertThat(skin.barrier().state()).isEqualTo(BarrierState.SOUND);
        assertThat(skin.concerns()).isEmpty();
        assertThat(skin.sensitivity().treatAsSensitive()).isFalse();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "gel-wash-low-foam",
                "toner-water",
                "serum-niacinamide-5",
                "serum-vitamin-c-12",
                "cream-ceramide-night",
                "oil-squalane",
                "sun-fluid-50",
                "ointment-plain",
                "lip-balm-plain",
                "eye-cream-plain",
                "clay-mask-kaolin"
            })
    void round_one_thing_there_are_three_routines_each_with_it_and_none_smaller_than_the_one_before(String id) {
        Rounds answer = AroundOne.of(PLAIN, Consultations.product(id));
        assertThat(answer.refused()).isEmpty();
        assertThat(answer.rounds()).extracting(OneRound::id).containsExactly("least", "usual", "fullest");
        List<Integer> steps = new ArrayList<>();
        for (OneRound r : answer.rounds()) {
            assertThat(r.stands())
                    .isNotEmpty()
                    .allSatisfy(s -> assertThat(s.because().sentence()).isNotBlank());
            assertThat(r.buys()).doesNotContain(Consultations.product(id).name());
            assertThat(r.regimen().morning().steps())
                    .as("a sunscreen ends the morning of each")
                    .anyMatch(s -> s.kind() == StepKind.SUNSCREEN);
            steps.add(r.regimen().morning().steps().size()
                    + r.regimen().evening().steps().size());
        }
        assertThat(steps).isSorted();
        assertThat(steps.getFirst()).isLessThan(steps.getLast());
        OneRound least = answer.rounds().getFirst();
        assertThat(least.regimen().morning().steps()).hasSizeLessThanOrEqualTo(3);
        assertThat(least.regimen().evening().steps()).hasSizeLessThanOrEqualTo(3);
    }

    @Test
    void vitamin_c_goes_under_the_sunscreen_and_the_usual_is_more_than_the_smallest() {
        Rounds answer = AroundOne.of(PLAIN, Consultations.product("serum-vitamin-c-12"));
        assertThat(answer.rounds().get(0).stands()).extracting(s -> s.part()).containsExactly(Part.MORNING);
        assertThat(answer.rounds().get(1).stands()).extracting(s -> s.part()).contains(Part.MORNING);
        assertThat(answer.rounds()).extracting(OneRound::method).containsExactly("Essentials", "Classic", "Layered");
    }

    @Test
    void what_is_no_good_for_a_skin_is_not_built_round_and_says_why() {
        Product scrub = ProductReader.read(new Product.Facts(
                new ProductId("kernel"),
                "Ground kernel scrub",
                "Nobody",
                75,
                "ml",
                10,
                "Aqua, Juglans Regia Shell Powder, Glycerin",
                Optional.empty(),
                OptionalDouble.empty(),
                false));
        Rounds answer = AroundOne.of(PLAIN, scrub);
        assertThat(answer.rounds()).isEmpty();
        assertThat(answer.refused())
                .hasValueSatisfying(b -> assertThat(b.sentence()).contains(scrub.name()));
    }

    @Test
    void of_a_clients_shelf_only_what_is_prescribed_counts_beside_it() {
        Consultation hers = Consultations.some("classic", 3)
                .parts()
                .shelf(List.of(Consultations.owned("toner-rose", 9)))
                .together();
        Rounds answer = AroundOne.of(hers, Consultations.product("cream-ceramide-night"));
        assertThat(answer.rounds())
                .hasSize(3)
                .allSatisfy(r -> assertThat(r.regimen().shelf())
                        .noneMatch(f -> f.product().equals(new ProductId("toner-rose"))));
        OneRound least = answer.rounds().getFirst();
        assertThat(least.stands()).anyMatch(s -> s.part() == Part.EVENING);
        assertThat(least.regimen().evening().steps())
                .as("the smallest buys nothing that works")
                .noneMatch(s -> s.kind() == StepKind.SERUM || s.kind() == StepKind.TREATMENT);
    }

    @Test
    void a_prescription_waits_for_its_nights() {
        assertThat(AroundOne.of(PLAIN, Consultations.PRESCRIBED).refused())
                .hasValueSatisfying(b -> assertThat(b.sentence()).contains("its prescriber's nights first"));
    }
}
