package outfell.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import outfell.product.HomeUse;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.safety.Answers;
import outfell.safety.SafetyScreen;
import outfell.safety.SafetyVerdict;
import outfell.skin.History;
import outfell.skin.ProbeConditions;
import outfell.skin.SkinReader;
import outfell.skin.SkinReading;

class RecipeReaderTest {
    private static final Product SUN =
            product("Sun fluid SPF 50", "Aqua, Ethylhexyl Salicylate, Glycerin, Zinc Oxide, Phenoxyethanol");
    private static final Product CREAM =
            product("Day cream", "Aqua, Glycerin, Niacinamide (5 %), Squalane, Phenoxyethanol");

    @Test
    void drops_and_spoons_are_weighed_and_shares_come_to_a_hundred() {
        Mixed m = mixed(HomeUse.BY_NIGHT, pantry("olive-oil", 30, Measure.ML), pantry("lavender-oil", 6, Measure.DROP));
        assertThat(m.grams()).isCloseTo(27.6 + 6 * 0.037 * 0.9, within(0.001));
        assertThat(m.shares().stream().mapToDouble(Mixed.Share::percent).sum()).isCloseTo(100, within(0.001));
        assertThat(m.dilutions()).singleElement().satisfies(d -> {
            assertThat(d.oil()).isEqualTo("lavender oil");
            assertThat(d.percent()).isCloseTo(0.72, within(0.01));
        });
        assertThat(m.shares().getFirst().words()).isEqualTo("30 ml");
        assertThat(m.shares().getLast().words()).isEqualTo("6 drops");
    }

    @ParameterizedTest
    @CsvSource({"3, none", "5, mind", "20, refused", "200, refused"})
    void essential_oils_are_minded_by_their_share(int drops, String verdict) {
        Mixed m =
                mixed(HomeUse.BY_NIGHT, pantry("jojoba", 30, Measure.ML), pantry("tea-tree-oil", drops, Measure.DROP));
        assertThat(m.harms()).hasSize(verdict.equals("none") ? 0 : 1);
        assertThat(m.refused().isPresent()).isEqualTo(verdict.equals("refused"));
        assertThat(m.harms()).allSatisfy(h -> assertThat(h.harm()).isEqualTo("essential oil too strong"));
    }

    @ParameterizedTest
    @CsvSource({
        "lemon-juice, BY_NIGHT, lemon juice burns, true",
        "lemon-juice, BY_DAY, sun burns, true",
        "lemon-oil, BY_DAY, sun burns, true",
        "lemon-oil, BY_NIGHT, sun burns, false",
        "baking-soda, WASH, baking soda strips, true",
        "walnut-shell, WASH, hard splinters scratch, true",
        "salt, WASH, salt scratches, true",
        "sugar, WASH, sugar is rough, false",
        "coffee, WASH, coffee is rough, false",
        "cinnamon, MASK, spice burns, true",
        "clove-oil, BY_NIGHT, spice burns, true",
        "vinegar, WASH, vinegar burns, true",
        "turmeric, MASK, turmeric stains, false",
        "honey, MASK, kitchen honey is not sterile, false",
        "coconut-oil, BY_NIGHT, coconut oil clogs, false",
        "vitamin-c-powder, BY_NIGHT, raw vitamin C stings, true",
        "papaya, MASK, raw fruit enzymes sting, false",
        "spirits, BY_NIGHT, spirits dry, false"
    })
    void every_harm_is_named_with_its_reason(String item, HomeUse use, String harm, boolean refused) {
        Mixed m = mixed(use, pantry(item, 1, Measure.TEASPOON), pantry("glycerin", 1, Measure.TEASPOON));
        assertThat(m.harms()).anySatisfy(h -> {
            assertThat(h.harm()).isEqualTo(harm);
            assertThat(h.refused()).isEqualTo(refused);
            assertThat(h.because().sentence()).isNotBlank();
            assertThat(h.because().source()).isNotBlank();
        });
        assertThat(m.product().harms().isEmpty()).isEqualTo(m.refused().isEmpty());
    }

    @Test
    void what_harms_nobody_has_no_harm() {
        assertThat(mixed(
                                HomeUse.MASK,
                                pantry("oat-flour", 2, Measure.TABLESPOON),
                                pantry("water", 2, Measure.TABLESPOON))
                        .harms())
                .isEmpty();
        assertThat(mixed(HomeUse.BY_NIGHT, pantry("rosehip-oil", 10, Measure.ML))
                        .harms())
                .isEmpty();
        // a trace of vitamin C is minded, not refused
        assertThat(mixed(HomeUse.BY_NIGHT, pantry("water", 20, Measure.ML), pantry("vitamin-c-powder", 1, Measure.GRAM))
                        .refused())
                .isEmpty();
    }

    @Test
    void a_harm_keeps_the_mixture_out_of_every_plan() {
        Product scrub =
                mixed(HomeUse.WASH, pantry("baking-soda", 1, Measure.TEASPOON)).product();
        SkinReading bare = new SkinReading(
                List.of(), List.of(), ProbeConditions.UNSTATED, History.NONE, List.of(), List.of(), List.of());
        SafetyVerdict nothingAsked = SafetyScreen.screen(
                Answers.none(LocalDate.of(2026, 11, 25)), bare, SkinReader.read(bare, Set.of()), List.of());
        assertThat(nothingAsked.forbids(scrub))
                .hasValueSatisfying(b -> assertThat(b.sentence()).contains("baking soda strips"));
    }

    @Test
    void water_goes_off_oil_keeps_and_a_palm_is_for_once() {
        assertThat(mixed(HomeUse.BY_NIGHT, pantry("rosehip-oil", 10, Measure.ML), pantry("jojoba", 10, Measure.ML))
                        .keeps()
                        .days())
                .isEqualTo(90);
        Mixed wet =
                mixed(HomeUse.BY_NIGHT, pantry("glycerin", 1, Measure.TEASPOON), pantry("rose-water", 100, Measure.ML));
        assertThat(wet.keeps().days()).isEqualTo(7);
        assertThat(wet.keeps().because().sentence()).contains("without a preservative");
        Recipe kept =
                new Recipe("Tonic", HomeUse.BY_NIGHT, false, true, List.of(pantry("rose-water", 100, Measure.ML)));
        assertThat(RecipeReader.read(kept).keeps().days()).isEqualTo(90);
        Mixed palm =
                palm(HomeUse.BY_NIGHT, Recipe.Part.ofProduct(CREAM, 3, Measure.PEA), pantry("jojoba", 2, Measure.DROP));
        assertThat(palm.keeps().days()).isZero();
    }

    @Test
    void drops_of_oil_in_a_cream_thin_its_active() {
        Mixed m =
                palm(HomeUse.BY_NIGHT, Recipe.Part.ofProduct(CREAM, 3, Measure.PEA), pantry("jojoba", 3, Measure.DROP));
        // 0.75 g cream, 0.102 g oil: 5 % becomes 4.4 %
        assertThat(m.strengths()).anySatisfy(s -> {
            assertThat(s.active()).isEqualTo("niacinamide");
            assertThat(s.before()).isEqualTo("5 %");
            assertThat(s.after()).isEqualTo("4.4 %");
        });
        assertThat(m.product().kind()).isEqualTo(StepKind.MOISTURISER);
        assertThat(m.product().actives()).anyMatch(a -> a.strength().equals("4.4 %"));
    }

    @Test
    void sunscreen_in_the_palm_loses_most_and_is_refused_by_day() {
        Mixed m = palm(
                HomeUse.BY_DAY,
                Recipe.Part.ofProduct(SUN, 1, Measure.GRAM),
                Recipe.Part.ofProduct(CREAM, 1, Measure.GRAM));
        assertThat(m.sun()).singleElement().satisfies(s -> {
            assertThat(s.spf()).isEqualTo(50);
            assertThat(s.share()).isCloseTo(50, within(0.001));
            assertThat(s.careful()).isEqualTo(7);
            assertThat(s.hopeful()).isEqualTo(25);
        });
        assertThat(m.refused()).hasValueSatisfying(h -> assertThat(h.harm()).isEqualTo("sunscreen is thinned"));
        assertThat(m.product().spf()).isZero();
        assertThat(m.product().kind()).isNotEqualTo(StepKind.SUNSCREEN);
    }

    @Test
    void an_spf_in_the_name_of_a_mixture_is_not_believed() {
        Recipe named = new Recipe(
                "My own SPF 30 oil", HomeUse.BY_DAY, false, false, List.of(pantry("olive-oil", 30, Measure.ML)));
        Mixed m = RecipeReader.read(named);
        assertThat(m.product().name()).isEqualTo("My own oil");
        Recipe bare = new Recipe("SPF 50", HomeUse.BY_DAY, false, false, List.of(pantry("olive-oil", 30, Measure.ML)));
        assertThat(RecipeReader.read(bare).product().name()).isEqualTo("Mixture");
        assertThat(m.product().spf()).isZero();
    }

    @Test
    void essential_oil_without_a_carrier_is_said_to_float() {
        assertThat(mixed(HomeUse.BY_NIGHT, pantry("water", 100, Measure.ML), pantry("lavender-oil", 3, Measure.DROP))
                        .because())
                .anyMatch(b -> b.sentence().contains("float on water"));
    }

    @Test
    void what_cannot_be_measured_so_is_refused_with_a_sentence() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> pantry("oat-flour", 3, Measure.DROP))
                .withMessage("oat flour does not drop; measure it by the spoon.");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> pantry("olive-oil", 0, Measure.ML))
                .withMessageContaining("olive oil");
        assertThatIllegalArgumentException().isThrownBy(() -> pantry("gunpowder", 1, Measure.ML));
        assertThatIllegalArgumentException().isThrownBy(() -> mixed(HomeUse.MASK));
        assertThatIllegalArgumentException().isThrownBy(() -> palm(HomeUse.MASK, pantry("honey", 1, Measure.TEASPOON)));
    }

    @Test
    void any_mixture_reads_weighs_and_keeps_its_parts() {
        Random random = new Random(11);
        List<Pantry.PantryItem> items = Pantry.items();
        for (int i = 0; i < 2000; i++) {
            List<Recipe.Part> parts = random.ints(1 + random.nextInt(6), 0, items.size())
                    .distinct()
                    .mapToObj(n -> {
                        Measure measure = Measure.values()[random.nextInt(Measure.values().length)];
                        boolean drops = measure != Measure.DROP || items.get(n).drops();
                        return pantry(items.get(n).id(), 0.5 + random.nextInt(40), drops ? measure : Measure.GRAM);
                    })
                    .toList();
            HomeUse use = HomeUse.values()[random.nextInt(4)];
            Mixed m = RecipeReader.read(new Recipe("Mixture", use, false, random.nextBoolean(), parts));
            assertThat(m.shares().stream().mapToDouble(Mixed.Share::percent).sum())
                    .isCloseTo(100, within(1e-6));
            assertThat(m.product().label().unknown()).isEmpty();
            assertThat(m.keeps().days()).isPositive();
            assertThat(m.refused().isPresent()).isEqualTo(!m.product().harms().isEmpty());
            long weighed = m.shares().stream().filter(s -> s.percent() >= 0.001).count();
            assertThat(m.product().label().lines().size()).isEqualTo((int) parts.stream()
                    .map(p -> p.item().orElseThrow().inci())
                    .distinct()
                    .count());
            assertThat(weighed).isPositive();
        }
    }

    private static Mixed mixed(HomeUse use, Recipe.Part... parts) {
        return RecipeReader.read(new Recipe("Mixture", use, false, false, List.of(parts)));
    }

    private static Mixed palm(HomeUse use, Recipe.Part... parts) {
        return RecipeReader.read(new Recipe("Blend", use, true, false, List.of(parts)));
    }

    private static Recipe.Part pantry(String id, double amount, Measure measure) {
        return Recipe.Part.ofPantry(id, amount, measure);
    }

    private static Product product(String name, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId("p"), name, "", 50, "ml", 0, label, Optional.empty(), OptionalDouble.empty(), false));
    }
}
