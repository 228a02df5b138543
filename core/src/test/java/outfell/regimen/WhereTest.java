package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Month;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.hand.Refusal;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.routine.Adjustment;
import outfell.routine.Amounts;
import outfell.routine.Coverage;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.routine.Where;
import outfell.skin.Faces;
import outfell.skin.Sign;

/** The places of the body that a step goes on: by custom, by sun, by what a part of the face shows, and by hand. */
class WhereTest {
    private static final Life PLENTY = Life.USUAL;

    @Test
    void what_the_sun_reaches_gets_sunscreen_where_no_money_is_counted() {
        Step july = step(of(calm(), Month.JULY, outdoors(6, OptionalDouble.empty())), Part.MORNING, StepKind.SUNSCREEN);
        assertThat(july.amount().where()).isEqualTo("face, ears, neck, nape and chest");
        assertThat(july.amount().words()).isEqualTo("¼ teaspoon face, 5 peas ears, neck, nape, chest");
        assertThat(july.amount().grams()).isEqualTo(2.36);
        assertThat(july.amount().places().stream()
                        .mapToDouble(Amounts.AtPlace::grams)
                        .sum())
                .isCloseTo(july.amount().grams(), within(0.03));
        assertThat(july.leftOut()).isEmpty();
        assertThat(july.amount().because().sentence())
                .contains("Along the fingers, as others measure, it is 1½ finger lengths");

        Step january =
                step(of(calm(), Month.JANUARY, outdoors(6, OptionalDouble.empty())), Part.MORNING, StepKind.SUNSCREEN);
        assertThat(january.amount().where()).isEqualTo("face, ears and neck");
        assertThat(january.leftOut()).extracting(Step.NotOn::place).containsExactly(Coverage.NECK_BACK, Coverage.CHEST);
        assertThat(january.leftOut().getFirst().because().sentence()).contains("what the collar covers");
        Step anHour =
                step(of(calm(), Month.JULY, outdoors(1, OptionalDouble.empty())), Part.MORNING, StepKind.SUNSCREEN);
        assertThat(anHour.amount().where()).isEqualTo("face, ears, neck and nape");
    }

    @Test
    void where_money_is_counted_the_dose_is_one_and_more_of_it_is_hers_to_say_with_its_price() {
        Consultation tight = of(calm(), Month.JULY, outdoors(6, OptionalDouble.of(60)));
        Step sunscreen = step(tight, Part.MORNING, StepKind.SUNSCREEN);
        assertThat(sunscreen.amount().where()).isEqualTo("face and neck");
        assertThat(sunscreen.leftOut()).hasSize(3);
        assertThat(sunscreen.leftOut())
                .allSatisfy(l -> assertThat(l.because().sentence())
                        .startsWith("Money is counted")
                        .contains("a month"));

        Step byHand = step(
                by(
                        tight,
                        sunscreen,
                        Part.MORNING,
                        Set.of(Coverage.FACE, Coverage.NECK, Coverage.CHEST, Coverage.HANDS)),
                Part.MORNING,
                StepKind.SUNSCREEN);
        assertThat(byHand.amount().grams()).isEqualTo(2.45);
        assertThat(byHand.handsOn())
                .isEqualTo(sunscreen.handsOn() + Coverage.CHEST.seconds() + Coverage.HANDS.seconds());
        assertThat(byHand.hand().on()).containsExactly("FACE", "NECK", "CHEST", "HANDS");
        assertThat(byHand.leftOut()).extracting(Step.NotOn::place).containsExactly(Coverage.EARS, Coverage.NECK_BACK);
    }

    @Test
    void no_sunscreen_leaves_the_neck_bare_and_nothing_strong_goes_round_the_eyes() {
        Consultation c = of(calm(), Month.JULY, PLENTY);
        Step sunscreen = step(c, Part.MORNING, StepKind.SUNSCREEN);
        assertThat(refusals(by(c, sunscreen, Part.MORNING, Set.of(Coverage.FACE))))
                .extracting(r -> r.because().sentence())
                .containsExactly("The sunscreen covers face and neck; a bare place burns.");
        Consultation spots = with(of(calm(), Month.JANUARY, PLENTY), "salicylic-fluid-2");
        Step strong = steps(spots, Part.EVENING)
                .filter(s -> s.product().value().equals("salicylic-fluid-2"))
                .findFirst()
                .orElseThrow();
        assertThat(refusals(by(spots, strong, Part.EVENING, Set.of(Coverage.EYE_AREA))))
                .anySatisfy(r -> assertThat(r.because().sentence()).contains("thin skin round the eye"));
        assertThat(strong.rest()).isEmpty();
    }

    @Test
    void what_is_left_on_the_hands_goes_down_the_neck() {
        Step cream = step(of(calm(), Month.JANUARY, PLENTY), Part.EVENING, StepKind.MOISTURISER);
        assertThat(cream.rest()).containsExactly(Coverage.NECK_BACK, Coverage.CHEST, Coverage.HANDS);
        assertThat(cream.amount().where()).isEqualTo("face and neck");
        assertThat(cream.toldWhere()).isEmpty();
    }

    @Test
    void dry_cheeks_beside_a_comfortable_t_zone_get_a_second_coat_and_only_they() {
        Faces cheeks = calm().with(Sign.FLAKING, 0, 0, 0, 2, 2).with(Sign.TIGHTNESS, 0, 0, 0, 1, 1);
        Step cream = step(of(cheeks, Month.JANUARY, PLENTY), Part.EVENING, StepKind.MOISTURISER);
        assertThat(cream.zones())
                .extracting(Because::sentence)
                .containsExactly("A second thin coat on the cheeks: flaking 2 there, 0 at most elsewhere.");
        assertThat(cream.amount().words()).contains(" more on the cheeks");
        Step all = step(
                of(calm().with(Sign.FLAKING, 2, 2, 2, 2, 2), Month.JANUARY, PLENTY),
                Part.EVENING,
                StepKind.MOISTURISER);
        assertThat(all.zones()).as("all of the face is no part of it").isEmpty();
        Step unseen = step(
                of(Faces.face().with(Sign.FLAKING, -1, -1, -1, 2, 2), Month.JANUARY, PLENTY),
                Part.EVENING,
                StepKind.MOISTURISER);
        assertThat(unseen.zones())
                .as("where nobody looked elsewhere it is not known")
                .isEmpty();
    }

    @Test
    void combination_skin_gets_a_thin_film_on_the_t_zone_and_its_amount_says_so() {
        Consultation c = of(calm().with(Sign.SHINE, 3, 3, 3, 0, 0), Month.MAY, PLENTY);
        Step cream = step(c, Part.EVENING, StepKind.MOISTURISER);
        assertThat(cream.amount().because().sentence()).contains("a thin film on the T-zone");
        Step even = step(of(calm(), Month.MAY, PLENTY), Part.EVENING, StepKind.MOISTURISER);
        assertThat(cream.amount().grams()).isLessThan(even.amount().grams() * 1.3);
    }

    @Test
    void what_only_lightens_is_kept_to_marks_that_are_few() {
        Consultation few = marked(calm().with(Sign.PIGMENT, 0, 0, 0, 2, 2));
        Step serum = brightening(few);
        assertThat(serum.part()).isEqualTo("marks only");
        assertThat(serum.toldWhere()).isEqualTo("marks only");
        assertThat(brightening(marked(calm().with(Sign.PIGMENT, 2, 2, 2, 2, 2))).part())
                .isEmpty();
    }

    @Test
    void a_cloth_is_told_of_and_not_while_spots_spread_or_a_barrier_is_strained() {
        assertThat(step(of(calm(), Month.MAY, PLENTY), Part.EVENING, StepKind.WASH)
                        .tools())
                .extracting(Because::sentence)
                .anySatisfy(s -> assertThat(s).startsWith("A soft cloth, fresh each time"))
                .anySatisfy(s -> assertThat(s).contains("hairline"));
        assertThat(step(of(calm().with(Sign.SPOTS, 2, 2, 2, 2, 2), Month.MAY, PLENTY), Part.EVENING, StepKind.WASH)
                        .tools())
                .extracting(Because::sentence)
                .contains("Hands and water only, no cloth and no brush: spots spread by rubbing.");
        assertThat(step(of(calm(), Month.MAY, PLENTY), Part.MORNING, StepKind.SUNSCREEN)
                        .tools())
                .hasSize(1);
    }

    @Test
    void places_read_in_the_order_of_the_body() {
        assertThat(new Where(List.of(Coverage.CHEST, Coverage.FACE, Coverage.EARS)).words())
                .isEqualTo("face, ears and chest");
        assertThat(Where.of(Coverage.MARKS).words()).isEqualTo("marks only");
        assertThat(Where.of(StepKind.EYE).part()).isEqualTo("eyes only");
    }

    private static Faces calm() {
        return Faces.face()
                .calm()
                .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .person(40, false, false)
                .history(0, 0);
    }

    private static Life outdoors(double hours, OptionalDouble money) {
        Life l = Life.USUAL;
        return new Life(20, 30, 9, hours, 0, false, 0, Set.of(), l.scent(), l.animal(), l.oils(), money);
    }

    private static Consultation of(Faces face, Month month, Life life) {
        return Consultations.of(
                face.reading(), "classic", month, Consultations.CATALOGUE, List.of(), Consultations.NOTHING, life);
    }

    private static Consultation marked(Faces face) {
        return with(of(face, Month.JANUARY, PLENTY), "serum-tranexamic-3");
    }

    private static Consultation with(Consultation c, String product) {
        return c.by(c.byHand()
                .with(new Consultation.Choice(
                        Part.EVENING, Consultations.product(product).id())));
    }

    private static Step brightening(Consultation c) {
        return steps(c, Part.EVENING)
                .filter(s -> s.product().value().equals("serum-tranexamic-3"))
                .findFirst()
                .orElseThrow();
    }

    private static Consultation by(Consultation c, Step step, Part part, Set<Coverage> on) {
        return c.by(c.byHand()
                .with(new Adjustment(
                        part, step.product(), false, on, List.of(), Optional.empty(), false, "", Optional.empty())));
    }

    private static List<Refusal> refusals(Consultation c) {
        return ((Outcome.Planned) Planner.plan(c)).regimen().refusals();
    }

    private static java.util.stream.Stream<Step> steps(Consultation c, Part part) {
        return ((Outcome.Planned) Planner.plan(c)).regimen().routine(part).steps().stream();
    }

    private static Step step(Consultation c, Part part, StepKind kind) {
        return steps(c, part).filter(s -> s.kind() == kind).findFirst().orElseThrow();
    }

    @Test
    void a_spot_treatment_goes_on_spots_alone_and_what_lightens_dark_spots_does_not() {
        Product gel = named("Spot gel, salicylic 2 %", "Aqua, Salicylic Acid 2 %, Glycerin");
        assertThat(gel.kind()).isEqualTo(StepKind.SPOT);
        assertThat(named("Dark spot treatment", "Aqua, Tranexamic Acid 3 %, Glycerin")
                        .kind())
                .isEqualTo(StepKind.TREATMENT);
        assertThat(named("Spotless serum", "Aqua, Niacinamide 5 %").kind()).isEqualTo(StepKind.SERUM);
        assertThat(named("Blemish wash", "Aqua, Coco-Glucoside, Glycerin").kind())
                .isEqualTo(StepKind.WASH);
        Step step = IntStream.range(0, 30)
                .mapToObj(seed -> Consultations.some("classic", seed)
                        .parts()
                        .catalogue(Stream.concat(Consultations.CATALOGUE.stream(), Stream.of(gel))
                                .toList())
                        .together())
                .map(c -> ((Outcome.Planned) Planner.plan(c.with(new Consultation.Choice(Part.EVENING, gel.id()))))
                        .regimen())
                .flatMap(plan -> plan.evening().steps().stream())
                .filter(s -> s.product().equals(gel.id()))
                .findFirst()
                .orElseThrow();
        assertThat(step.amount().places()).extracting(a -> a.place()).containsExactly(Coverage.SPOTS);
        assertThat(step.amount().grams()).as("a dab, not a coat").isLessThan(0.1);
    }

    private static Product named(String name, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId(name.toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z]+", "-")),
                name,
                "Nobody",
                15,
                "ml",
                9,
                label,
                Optional.empty(),
                java.util.OptionalDouble.empty(),
                false));
    }
}
