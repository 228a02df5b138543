package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static outfell.skin.Faces.face;

import java.time.Month;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import outfell.conflict.Conflicts;
import outfell.conflict.Interactions;
import outfell.conflict.Meeting;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Life;
import outfell.knowledge.Because;
import outfell.knowledge.RuleId;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.regimen.Findings.Mend;
import outfell.regimen.Findings.Met;
import outfell.routine.Adjustment;
import outfell.routine.Part;
import outfell.skin.Sign;

class FindingsTest {
    private static final Product PHOTOTOXIC =
            made("citrus", "Red drops", StepKind.SERUM, "Aqua, Glycerin, Xanthan Gum, Hypericum Perforatum Extract");
    private static final Product COPPER = made("copper", "Copper serum", StepKind.SERUM, "Aqua, Copper Tripeptide-1");

    @Test
    void every_row_has_an_id_of_its_own_a_reason_and_a_source() {
        Set<RuleId> ids = new HashSet<>();
        Conflicts.SHIPPED
                .interactions()
                .all()
                .forEach(i -> assertThat(ids.add(i.id())).as("%s", i.id()).isTrue());
        Conflicts.SHIPPED
                .meetings()
                .forEach(m -> assertThat(ids.add(m.id())).as("%s", m.id()).isTrue());
        assertThat(Conflicts.SHIPPED.meetings())
                .hasSizeGreaterThan(20)
                .allSatisfy(m -> assertThat(m.because().source()).isNotBlank());
    }

    @Test
    void what_burns_with_light_is_refused_by_day_by_hand_too_and_not_in_the_evening() {
        assertThat(PHOTOTOXIC.tags()).contains(Tag.PHOTOTOXIC);
        assertThat(refused(with(PHOTOTOXIC, Part.MORNING)))
                .singleElement()
                .asString()
                .contains("burns and stains");
        assertThat(refused(with(PHOTOTOXIC, Part.EVENING))).isEmpty();
        assertThat(Planner.findings(with(PHOTOTOXIC, Part.EVENING)))
                .noneMatch(f -> f.id().value().equals("phototoxic-by-day"));
    }

    private static List<String> refused(Consultation c) {
        return ((Outcome.Planned) Planner.plan(c))
                .regimen().refusals().stream().map(r -> r.because().sentence()).toList();
    }

    @Test
    void copper_beside_vitamin_c_is_refused_in_one_routine_and_not_across_two() {
        Product c12 = Consultations.product("serum-vitamin-c-12");
        Consultation together = with(COPPER, Part.MORNING).with(new Choice(Part.MORNING, c12.id()));
        Consultation apart = with(COPPER, Part.EVENING).with(new Choice(Part.MORNING, c12.id()));
        assertThat(refused(together)).singleElement().asString().contains("decay of vitamin C");
        assertThat(refused(apart)).isEmpty();
        assertThat(Planner.findings(apart)).noneMatch(f -> f.id().value().equals("vitamin-c-copper"));
    }

    @Test
    void the_gravest_stands_first_and_a_repair_is_never_offered_that_does_not_mend() {
        Consultation c = with(PHOTOTOXIC, Part.MORNING);
        List<Met> all = Planner.findings(c);
        assertThat(all).isSortedAccordingTo(java.util.Comparator.comparing(Met::meeting));
        for (Met f : all) {
            for (Findings.Repair r : f.repairs()) {
                Consultation mended = c.leaving(new Choice(r.from(), r.product()));
                if (r.mend() == Mend.MOVE) {
                    mended = mended.with(
                            new Choice(r.from() == Part.MORNING ? Part.EVENING : Part.MORNING, r.product()));
                }
                assertThat(Planner.findings(mended)).as(r.words()).noneMatch(f::same);
            }
        }
    }

    @Test
    void a_plan_made_by_the_engine_holds_nothing_that_may_not_meet() {
        for (int seed = 0; seed < 6; seed++) {
            Consultation c = Consultations.of(
                    Consultations.face(
                            RandomGeneratorFactory.of("L64X128MixRandom").create(seed)),
                    seed % 2 == 0 ? "layered" : "classic",
                    Month.of(1 + seed * 2),
                    Consultations.CATALOGUE,
                    List.of(),
                    Consultations.NOTHING,
                    Life.USUAL);
            assertThat(Planner.findings(c)).as("seed %d", seed).noneMatch(Met::grave);
        }
    }

    @Test
    void adapalene_bears_peroxide_and_other_retinoids_do_not() {
        Product peroxide = made("peroxide", "Peroxide gel", StepKind.SERUM, "Aqua, Benzoyl Peroxide 5%, Carbomer");
        Product adapalene = made("adapalene", "Adapalene gel", StepKind.TREATMENT, "Aqua, Adapalene 0.1%, Carbomer");
        Product retinol = made("retinol", "Retinol fluid", StepKind.TREATMENT, "Aqua, Glycerin, Retinol 0.3%");
        Interactions shipped = Conflicts.SHIPPED.interactions();
        assertThat(shipped.between(peroxide, ActiveKind.BENZOYL_PEROXIDE, retinol, ActiveKind.RETINOID)
                        .orElseThrow()
                        .meeting())
                .isEqualTo(Meeting.AM_PM);
        assertThat(shipped.between(peroxide, ActiveKind.BENZOYL_PEROXIDE, adapalene, ActiveKind.RETINOID)
                        .orElseThrow()
                        .meeting())
                .isEqualTo(Meeting.CAUTION);
        assertThat(bears(peroxide, retinol)).isFalse();
        assertThat(bears(peroxide, adapalene)).isTrue();
    }

    @Test
    void a_practice_that_follows_the_other_school_gets_its_verdict_in_choice_and_findings() {
        Product pha = made("pha", "Gluconolactone fluid", StepKind.SERUM, "Aqua, Gluconolactone 4%, Glycerin");
        Product retinol = made("retinol", "Retinol fluid", StepKind.TREATMENT, "Aqua, Glycerin, Retinol 0.3%");
        Conflicts other = Conflicts.following(Set.of(new RuleId("retinoid-pha")));
        assertThat(other.interactions()
                        .between(pha, ActiveKind.PHA, retinol, ActiveKind.RETINOID)
                        .orElseThrow())
                .satisfies(i -> {
                    assertThat(i.meeting()).isEqualTo(Meeting.FINE);
                    assertThat(i.because().sentence()).startsWith("Together is fine");
                    assertThat(i.otherSchool()).startsWith("Milder acids");
                });
        assertThat(Conflicts.debated())
                .hasSizeGreaterThan(10)
                .allSatisfy(d -> assertThat(d.otherSchool()).isNotBlank())
                .allSatisfy(d -> assertThat(d.other()).isNotEqualTo(d.shipped()));
        assertThatThrownBy(() -> Conflicts.following(Set.of(new RuleId("retinoid-scrub"))))
                .hasMessage("Schools do not differ on \"retinoid-scrub\".");
    }

    @Test
    void a_seal_over_a_retinoid_is_mended_by_other_nights() {
        Consultation c = IntStream.range(0, 60)
                .mapToObj(seed -> Consultations.of(
                                Consultations.face(RandomGeneratorFactory.of("L64X128MixRandom")
                                        .create(seed)),
                                "classic",
                                Month.MAY,
                                Consultations.CATALOGUE,
                                List.of(),
                                Consultations.NOTHING,
                                Life.USUAL)
                        .with(new Choice(Part.EVENING, new ProductId("retinal-cream-005")))
                        .with(new Choice(Part.EVENING, new ProductId("balm-seal"))))
                .filter(x -> Planner.findings(x).stream()
                        .anyMatch(f -> f.id().value().equals("seal-over-retinoid")))
                .findFirst()
                .orElseThrow();
        Met met = Planner.findings(c).stream()
                .filter(f -> f.id().value().equals("seal-over-retinoid"))
                .findFirst()
                .orElseThrow();
        Findings.Repair repair = met.repairs().stream()
                .filter(r -> r.mend() == Mend.OTHER_NIGHTS)
                .findFirst()
                .orElseThrow();
        assertThat(repair.words()).contains(" on ").endsWith(" only");
        Consultation mended = c.by(
                c.byHand().with(Adjustment.none(Part.EVENING, repair.product()).on(repair.nights())));
        assertThat(Planner.findings(mended)).noneMatch(met::same);
    }

    @Test
    void a_trace_of_silicone_does_not_roll_up_and_a_film_of_it_does() {
        Product trace = made(
                "trace",
                "Plain cream",
                StepKind.MOISTURISER,
                "Aqua, Glycerin, Cetyl Alcohol, Phenoxyethanol, Dimethicone");
        Product film = made(
                "film",
                "Smooth cream",
                StepKind.MOISTURISER,
                "Aqua, Dimethicone, Glycerin, Cetyl Alcohol, Phenoxyethanol");
        assertThat(trace.share(Tag.SILICONE)).isPositive().isLessThan(2);
        assertThat(film.share(Tag.SILICONE)).isGreaterThan(5);
    }

    private static boolean bears(Product a, Product b) {
        List<Product> both = new ArrayList<>(Consultations.CATALOGUE);
        both.add(a);
        both.add(b);
        Consultation tolerant = Consultations.of(
                        face().with(Sign.SHINE, 3, 3, 3, 3, 3)
                                .calm()
                                .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                                .with(Sign.STING, 0, 0, 0, 0, 0)
                                .with(Sign.SPOTS, 2, 0, 2, 1, 1)
                                .history(0, 0)
                                .reading(),
                        "classic",
                        Month.OCTOBER,
                        both,
                        List.of(),
                        Consultations.NOTHING,
                        Life.USUAL)
                .with(new Choice(Part.EVENING, a.id()));
        Optional<Because> refusal =
                Planner.refusal(tolerant, new Choice(Part.EVENING, b.id())).map(r -> r.because());
        assertThat(refusal.map(Because::sentence).orElse("Peroxide")).contains("Peroxide");
        return refusal.isEmpty();
    }

    private static Consultation with(Product extra, Part part) {
        List<Product> catalogue = new ArrayList<>(Consultations.CATALOGUE);
        catalogue.add(extra);
        return Consultations.of(
                        Consultations.face(
                                RandomGeneratorFactory.of("L64X128MixRandom").create(3)),
                        "classic",
                        Month.NOVEMBER,
                        catalogue,
                        List.of(),
                        Consultations.NOTHING,
                        Life.USUAL)
                .with(new Choice(part, extra.id()));
    }

    private static Product made(String id, String name, StepKind kind, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId(id), name, "", 30, "ml", 10, label, Optional.of(kind), OptionalDouble.empty(), false));
    }
}
