package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Consultation.Habit;
import outfell.consultation.Consultation.Owned;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.routine.Amounts;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.skin.Faces;
import outfell.skin.Sign;
import outfell.supply.Supply;

/** What a pack directs binds the step that it becomes: skin, eyes, how it leaves, minutes, nights, pump, months. */
class PackBindsTest {
    private static final Consultation PLAIN = Consultations.of(Faces.face().with(Sign.SHINE, 1, 1, 1, 1, 1));
    private static final String CREAM = "Ingredients: Aqua, Glycerin, Squalane, Cetearyl Alcohol, Phenoxyethanol. ";

    @Test
    void a_mask_lies_as_long_as_its_pack_says_and_goes_on_the_skin_that_it_says() {
        String mask = "Ingredients: Mel, Aqua, Glycerin, Squalane, Phenoxyethanol. ";
        Step silent = step("Honey mask", mask, Part.EVENING);
        Step told = step("Honey mask", mask + "Apply to dry skin. Leave on for 5 minutes, wipe off.", Part.EVENING);
        assertThat(silent.contact()).isEqualTo(600);
        assertThat(silent.damp()).isTrue();
        assertThat(silent.technique()).endsWith("rinse lukewarm");
        assertThat(silent.pack()).isEmpty();
        assertThat(told.contact()).isEqualTo(300);
        assertThat(told.damp()).isFalse();
        assertThat(told.technique()).startsWith("on dry skin: ").endsWith("take off with a wet cloth");
        assertThat(told.pack())
                .hasSize(3)
                .allSatisfy(b -> assertThat(b.sentence()).contains("The pack says"));
    }

    @Test
    void a_cleansing_milk_goes_on_wet_skin_or_is_wiped_off_where_the_pack_has_it_so() {
        String milk = "Ingredients: Aqua, Caprylic/Capric Triglyceride, Glycerin, Cetearyl Alcohol, Phenoxyethanol. ";
        assertThat(step("Cleansing milk", milk, Part.EVENING).technique()).startsWith("dry hands, dry face");
        assertThat(step("Cleansing milk", milk + "Apply to damp skin.", Part.EVENING)
                        .technique())
                .isEqualTo("wet face, massage 60 s, rinse");
        assertThat(step("Cleansing milk", milk + "Wipe off with cotton.", Part.EVENING)
                        .technique())
                .isEqualTo("massage 60 s, take off with a soaked pad, no rubbing");
    }

    @Test
    void a_thin_water_stays_on_its_pad_though_its_pack_says_no_rinsing() {
        String water = "Ingredients: Aqua, Glycerin, Poloxamer 184, Phenoxyethanol. ";
        String silent = step("Micellar water", water, Part.EVENING).technique();
        assertThat(step("Micellar water", water + "No need to rinse.", Part.EVENING)
                        .technique())
                .isEqualTo(silent)
                .startsWith("soaked pad");
    }

    @Test
    void a_peel_that_its_pack_has_rinsed_off_is_told_to_be_rinsed_off() {
        String peel = "Ingredients: Aqua, Salicylic Acid 2 %, Propanediol. Leave on for 10 minutes, then rinse.";
        Step step = step("Salicylic peel", peel, Part.EVENING);
        assertThat(step.contact()).isEqualTo(600);
        assertThat(step.technique()).endsWith(", then rinse off");
    }

    @Test
    void a_mild_serum_that_its_pack_keeps_to_some_days_is_refused_in_the_morning_by_its_pack_and_not_by_light() {
        Product p = product("Peptide serum", CREAM + "Use twice a week.");
        List<Product> catalogue = new ArrayList<>(PLAIN.catalogue());
        catalogue.add(p);
        assertThat(Planner.refusal(PLAIN.parts().catalogue(catalogue).together(), new Choice(Part.MORNING, p.id())))
                .hasValueSatisfying(r -> assertThat(r.because().sentence()).contains("as its pack says"));
        assertThat(p.nightsByStrength()).isFalse();
    }

    @Test
    void a_cream_keeps_off_the_eyes_or_goes_round_them_as_its_pack_says() {
        assertThat(step("Day cream", CREAM, Part.MORNING).technique()).doesNotContain("eyes");
        assertThat(step("Day cream", CREAM + "Avoid the eye area.", Part.MORNING)
                        .technique())
                .endsWith(", not round the eyes");
        assertThat(step("Day cream", CREAM + "Suitable for the eye area.", Part.MORNING)
                        .technique())
                .endsWith(", round the eyes too");
    }

    @Test
    void a_pump_that_is_known_measures_the_amount() {
        Step peas = step("Day cream", CREAM, Part.EVENING);
        Step strokes = step("Day cream", CREAM + "0.6 ml per pump.", Part.EVENING);
        assertThat(peas.amount().words()).contains("pea");
        // 0.9 g for face and neck at 0.6 ml a stroke
        assertThat(strokes.amount().where()).isEqualTo("face and neck");
        assertThat(strokes.amount().grams()).isEqualTo(0.9);
        assertThat(strokes.amount().words()).isEqualTo("1½ strokes");
        assertThat(strokes.amount().places()).extracting(Amounts.AtPlace::words).contains("1 stroke", "½ stroke");
    }

    @Test
    void a_cream_whose_pack_keeps_it_to_some_evenings_has_them_and_its_pack_is_the_reason() {
        Step twice = step("Night cream", CREAM + "Use twice a week.", Part.EVENING);
        assertThat(twice.nights()).hasSize(2);
        assertThat(twice.nightsBecause().sentence())
                .isEqualTo("2 nights a week, as its pack says. The pack says: \"Use twice a week\".");
        assertThat(step("Night cream", CREAM, Part.EVENING).everyDay()).isTrue();
    }

    @Test
    void a_pack_that_allows_more_than_the_skin_bears_is_not_told_as_the_reason() {
        String acid = "Ingredients: Aqua, Salicylic Acid 2 %, Propanediol, Phenoxyethanol. ";
        Step often = step("Salicylic fluid", acid + "Up to 7 times a week.", Part.EVENING);
        assertThat(often.nightsBecause().sentence()).doesNotContain("pack");

        // new, it is led up to: that is why, whatever the pack says
        assertThat(step("Salicylic fluid", acid + "Once a week.", Part.EVENING)
                        .nightsBecause()
                        .sentence())
                .startsWith("Once a week at first: it is new");
        Step usedLong = used("Salicylic fluid", acid + "Once a week.");
        assertThat(usedLong.nights()).hasSize(1);
        assertThat(usedLong.nightsBecause().sentence()).startsWith("Once a week, as its pack says.");
        assertThat(used("Salicylic fluid", acid).nights()).hasSizeGreaterThan(1);
    }

    @Test
    void a_pack_keeps_as_many_months_as_it_says() {
        assertThat(Supply.monthByTime(product("Day cream", CREAM))).isEqualTo(12.0 / 12);
        assertThat(Supply.monthByTime(product("Day cream", CREAM + "6 M"))).isEqualTo(12.0 / 6);
    }

    @Test
    void what_is_done_on_some_days_is_counted_at_them_on_no_fixed_day() {
        Product base = Consultations.product("base-tinted-15");
        Owned fourDays = new Owned(base, 20, List.of(), Optional.empty(), Optional.of(new Habit(true, false, 4)));
        Step step = of(PLAIN.parts().shelf(List.of(fourDays)).together(), Part.MORNING, base.id());
        assertThat(step.aWeek()).isEqualTo(4);
        assertThat(step.often()).isEqualTo("about 4 days a week");
        assertThat(step.nightsBecause().sentence())
                .isEqualTo("As it is done now: about 4 days a week, on no fixed day.");
    }

    private static Step step(String name, String pack, Part part) {
        Product p = product(name, pack);
        List<Product> catalogue = new ArrayList<>(PLAIN.catalogue());
        catalogue.add(p);
        return of(PLAIN.parts().catalogue(catalogue).together().with(new Choice(part, p.id())), part, p.id());
    }

    private static Step used(String name, String pack) {
        Product p = product(name, pack);
        Consultation owning =
                PLAIN.parts().shelf(List.of(new Owned(p, 20, List.of()))).together();
        return of(owning.with(new Choice(Part.EVENING, p.id())), Part.EVENING, p.id());
    }

    private static Step of(Consultation consultation, Part part, ProductId id) {
        return ((Outcome.Planned) Planner.plan(consultation))
                .regimen().routine(part).steps().stream()
                        .filter(s -> s.product().equals(id))
                        .findFirst()
                        .orElseThrow();
    }

    private static Product product(String name, String pack) {
        return ProductReader.read(new Product.Facts(
                new ProductId("bound"),
                name,
                "Nobody",
                50,
                "ml",
                12,
                pack,
                Optional.empty(),
                OptionalDouble.empty(),
                false));
    }
}
