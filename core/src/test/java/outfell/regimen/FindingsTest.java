package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import outfell.conflict.Interactions;
import outfell.conflict.Meeting;
import outfell.conflict.Meetings;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.regimen.Consultation.Choice;
import outfell.regimen.Findings.Mend;
import outfell.regimen.Findings.Met;
import outfell.routine.Part;

class FindingsTest {
    private static final Product PHOTOTOXIC =
            made("citrus", "Citrus drops", StepKind.SERUM, "Aqua, Citrus Limon Peel Oil");
    private static final Product COPPER = made("copper", "Copper serum", StepKind.SERUM, "Aqua, Copper Tripeptide-1");

    @Test
    void every_row_has_an_id_of_its_own_a_reason_and_a_source() {
        Set<String> ids = new HashSet<>();
        Interactions.all().forEach(i -> assertThat(ids.add(i.id())).as(i.id()).isTrue());
        Meetings.all().forEach(m -> assertThat(ids.add(m.id())).as(m.id()).isTrue());
        assertThat(Meetings.all())
                .hasSizeGreaterThan(20)
                .allSatisfy(m -> assertThat(m.because().source()).isNotBlank());
    }

    @Test
    void pressed_citrus_by_day_is_never_and_moving_it_to_the_evening_mends_it() {
        Consultation c = with(PHOTOTOXIC, Part.MORNING);
        assertThat(PHOTOTOXIC.tags()).contains(outfell.product.Tag.PHOTOTOXIC);
        Met finding = Planner.findings(c).stream()
                .filter(f -> f.id().equals("phototoxic-by-day"))
                .findFirst()
                .orElseThrow();
        assertThat(finding.meeting()).isEqualTo(Meeting.NEVER);
        assertThat(finding.names()).containsExactly("Citrus drops");
        assertThat(finding.repairs()).extracting(Findings.Repair::mend).contains(Mend.MOVE, Mend.TAKE_OUT);
        assertThat(Planner.findings(with(PHOTOTOXIC, Part.EVENING))).noneMatch(f -> f.id().equals("phototoxic-by-day"));
    }

    @Test
    void copper_beside_vitamin_c_is_found_in_one_routine_and_not_across_two() {
        Product c12 = Consultations.product("serum-vitamin-c-12");
        Consultation together = with(COPPER, Part.MORNING).with(new Choice(Part.MORNING, c12.id()));
        Consultation apart = with(COPPER, Part.EVENING).with(new Choice(Part.MORNING, c12.id()));
        assertThat(Planner.findings(together)).anyMatch(f -> f.id().equals("vitamin-c-copper"));
        assertThat(Planner.findings(apart)).noneMatch(f -> f.id().equals("vitamin-c-copper"));
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
                    Consultation.Life.USUAL);
            assertThat(Planner.findings(c)).as("seed %d", seed).noneMatch(Met::grave);
        }
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
                        Consultation.Life.USUAL)
                .with(new Choice(part, extra.id()));
    }

    private static Product made(String id, String name, StepKind kind, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId(id), name, "", 30, "ml", 10, label, Optional.of(kind), OptionalDouble.empty(), false));
    }
}
