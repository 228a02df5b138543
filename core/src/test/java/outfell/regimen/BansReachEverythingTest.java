package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Consultation.Owned;
import outfell.consultation.Life;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.routine.Part;
import outfell.safety.Answers;
import outfell.safety.SafetyScreen;
import outfell.skin.Faces;
import outfell.skin.Sign;

/** Every ban keeps out every kind of product that holds what it speaks of, owned and put in by hand, or offered by the house. */
class BansReachEverythingTest {
    /** Works where it is left on and where it is washed off. */
    private static final String ANYWHERE = "";

    private static final String LEFT_ON = "left on";

    /**
     * @param holds what is out, with its share
     * @param where everywhere, or only where it stays on
     */
    private record Row(String question, String holds, String where) {}

    private static final List<Row> ROWS = List.of(
            new Row("pregnant", "Retinol 0.3 %", ANYWHERE),
            new Row("pregnant", "Retinyl Sunflowerate", ANYWHERE),
            new Row("pregnant", "Bakuchiol 1 %", ANYWHERE),
            new Row("trying", "Retinal 0.1 %", ANYWHERE),
            new Row("breastfeeding", "Retinol 0.3 %", ANYWHERE),
            new Row("isotretinoin", "Glycolic Acid 8 %", ANYWHERE),
            new Row("isotretinoin", "Benzoyl Peroxide 5 %", ANYWHERE),
            new Row("isotretinoin", "Succinic Acid 5 %", ANYWHERE),
            new Row("prescribed-retinoid", "Retinol 0.3 %", ANYWHERE),
            new Row("photosensitising", "Citrus Aurantium Bergamia Peel Oil", ANYWHERE),
            new Row("blood-thinner", "Perlite 5 %", ANYWHERE),
            new Row("cold-sore", "Salicylic Acid 2 %", ANYWHERE),
            new Row("cold-sore", "Papain 0.5 %", ANYWHERE),
            new Row("over-exfoliation", "Gluconolactone 8 %", ANYWHERE),
            new Row("superficial-peel", "Parfum", ANYWHERE),
            new Row("light-or-laser", "Menthol", ANYWHERE),
            new Row("sunburn", "Ascorbic Acid 15 %", LEFT_ON),
            new Row("waxing", "Lactic Acid 5 %", ANYWHERE),
            new Row("eczema", "Benzoyl Peroxide 5 %", ANYWHERE),
            new Row("eczema", "Ascorbic Acid 15 %", LEFT_ON),
            new Row("eczema", "Isopropyl Lanolate", ANYWHERE),
            new Row("rosacea", "Alcohol Denat.", ANYWHERE),
            new Row("vitiligo", "Alpha-Arbutin 2 %", ANYWHERE),
            new Row("nuts", "Hazelnut Oil", ANYWHERE),
            new Row("bee-products", "PEG-8 Beeswax", ANYWHERE),
            new Row("latex", "Hevea Brasiliensis Extract", ANYWHERE),
            new Row("fragrance", "Geraniol", ANYWHERE),
            new Row("salicylates", "Zinc Salicylate", ANYWHERE),
            new Row("preservatives", "Propylparaben", ANYWHERE),
            new Row("formaldehyde", "Paraformaldehyde", ANYWHERE),
            new Row("isothiazolinones", "Benzisothiazolinone", ANYWHERE));

    record Case(String question, String holds, StepKind kind) {
        @Override
        public String toString() {
            return "%s: %s in a %s".formatted(question, holds, kind);
        }
    }

    static List<Case> everything() {
        List<Case> all = new ArrayList<>();
        for (Row row : ROWS) {
            for (StepKind kind : StepKind.values()) {
                boolean washed = kind == StepKind.WASH || kind == StepKind.FIRST_CLEANSE;
                if (!washed || row.where().equals(ANYWHERE)) {
                    all.add(new Case(row.question(), row.holds(), kind));
                }
            }
        }
        return all;
    }

    @ParameterizedTest
    @MethodSource("everything")
    void a_ban_keeps_it_out(Case c) {
        Product product = product(c.kind(), "Aqua, Glycerin, " + c.holds());
        Answers answers = Consultations.NOTHING.yes(c.question());
        assertThat(planned(answers, List.of(product), List.of()))
                .as("offered by the house")
                .doesNotContain(product.name());
        assertThat(planned(answers, List.of(), List.of(product)))
                .as("owned, and put in by hand")
                .doesNotContain(product.name());
    }

    @ParameterizedTest
    @MethodSource("everything")
    void without_the_ban_nothing_of_that_name_forbids_it(Case c) {
        Product product = product(c.kind(), "Aqua, Glycerin, Squalane");
        assertThat(SafetyScreen.screen(
                                Consultations.NOTHING.yes(c.question()), FACE.reading(), FACE.verdict(), List.of())
                        .forbids(product))
                .isEmpty();
    }

    private static final Faces FACE = Faces.face()
            .with(Sign.SHINE, 1, 1, 1, 1, 1)
            .with(Sign.REDNESS, 0, 0, 0, 0, 0)
            .with(Sign.STING, 0, 0, 0, 0, 0)
            .calm();

    private static List<String> planned(Answers answers, List<Product> offered, List<Product> owned) {
        Consultation c = Consultations.of(
                FACE.reading(),
                "layered",
                Month.NOVEMBER,
                Stream.concat(Consultations.CATALOGUE.stream(), offered.stream())
                        .toList(),
                owned.stream().map(p -> new Owned(p, 20, List.of())).toList(),
                answers,
                Life.USUAL);
        for (Product p : owned) {
            for (Part part : Part.values()) {
                c = c.with(new Choice(part, p.id()));
            }
        }
        return switch (Planner.plan(c)) {
            case Outcome.Planned planned ->
                Stream.of(Part.values())
                        .flatMap(part -> planned.regimen().routine(part).steps().stream())
                        .map(s -> s.name())
                        .toList();
            case Outcome.ReferFirst _ -> List.of();
        };
    }

    private static Product product(StepKind kind, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId("tested"),
                "The thing in question",
                "",
                30,
                "ml",
                1,
                label,
                Optional.of(kind),
                OptionalDouble.empty(),
                false));
    }
}
