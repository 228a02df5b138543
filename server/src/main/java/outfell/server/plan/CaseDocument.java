package outfell.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.DayOfWeek;
import java.time.Month;
import java.util.List;
import org.jspecify.annotations.Nullable;
import outfell.product.StepKind;
import outfell.regimen.Consultation.Scent;
import outfell.routine.Part;
import outfell.safety.Answers.Expecting;
import outfell.skin.Concern;
import outfell.skin.How;
import outfell.skin.ProbeReading;
import outfell.skin.RecentEvent;
import outfell.skin.Sign;
import outfell.skin.Zone;

/**
 * A whole case as a document: docs/formats/case.schema.json. Absent parts mean "not asked" or "not looked at".
 *
 * @param owned what the client owns
 * @param catalogue what may be chosen; the starter catalogue when absent
 * @param pins products put in by hand
 * @param takenOut products taken out by hand
 */
public record CaseDocument(
        @Nullable Client client,
        Intake intake,
        Reading reading,
        @Nullable List<OwnedProduct> owned,
        @Nullable List<ProductFacts> catalogue,
        String method,
        Month month,
        @Nullable List<Choice> pins,
        @Nullable List<Choice> takenOut) {

    /** Who it is about; names are not needed to plan. */
    public record Client(@Nullable String name, @Nullable String trade) {}

    /**
     * What is asked before the skin is read.
     *
     * @param settled who settled what had to be referred first, and when; empty while open
     */
    public record Intake(
            String site,
            double outdoorHours,
            int makeUpDays,
            int sunscreenDays,
            int morningMinutes,
            int eveningMinutes,
            int mostSteps,
            Scent scent,
            boolean swings,
            Expecting expecting,
            List<String> allergies,
            List<String> otherAllergies,
            boolean prescribedRetinoid,
            @Schema(types = {"integer", "null"}) @Nullable Integer flush,
            @Schema(types = {"integer", "null"}) @Nullable Integer reactions,
            List<Event> recent,
            List<Concern> matters,
            String settled,
            String note) {}

    /** Something that lately thinned the barrier. */
    public record Event(RecentEvent.Kind kind, int days) {}

    /** The face. */
    public record Reading(List<Grade> grades, List<Probe> probe) {}

    /** One sign in one zone, 0 to 4. */
    public record Grade(Zone zone, Sign sign, int grade, How how) {}

    /** One probe value. */
    public record Probe(ProbeReading.Quantity quantity, Zone zone, double value) {}

    /** A product as it is typed. */
    public record ProductFacts(
            @Schema(types = {"string", "null"}) @Nullable String id,
            String name,
            @Schema(types = {"string", "null"}) @Nullable String maker,
            @Schema(types = {"number", "null"}) @Nullable Double size,
            @Schema(types = {"string", "null"}) @Nullable String unit,
            @Schema(types = {"number", "null"}) @Nullable Double price,
            @Schema(types = {"string", "null"}) @Nullable String label,
            @Schema(types = {"string", "null"}) @Nullable StepKind kind,
            @Schema(types = {"number", "null"}) @Nullable Double texture) {}

    /** A product that she owns. */
    public record OwnedProduct(
            ProductFacts product,
            @Schema(types = {"integer", "null"}) @Nullable Integer weeks,
            @Schema(types = {"boolean", "null"}) @Nullable Boolean prescription,
            @Nullable List<DayOfWeek> nights) {}

    /** A product in one routine. */
    public record Choice(Part part, String product) {}
}
