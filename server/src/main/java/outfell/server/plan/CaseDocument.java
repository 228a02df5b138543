package outfell.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import outfell.consultation.Life.Place;
import outfell.consultation.Life.Taste;
import outfell.product.HomeUse;
import outfell.product.StepKind;
import outfell.recipe.Measure;
import outfell.routine.Coverage;
import outfell.routine.Part;
import outfell.safety.PatchTest;
import outfell.skin.ByHand;
import outfell.skin.Concern;
import outfell.skin.History;
import outfell.skin.How;
import outfell.skin.ProbeReading;
import outfell.skin.Settlement;
import outfell.skin.Sign;
import outfell.skin.Zone;

/**
 * A whole case as a document: docs/formats/case.schema.json. Absent parts mean "not asked" or "not looked at".
 *
 * @param date day of the visit
 * @param owned what the client owns
 * @param catalogue what may be chosen; the starter catalogue when absent
 * @param pins products put in by hand
 * @param takenOut products taken out by hand
 * @param steps steps changed by hand
 * @param patches patch tests and waivers
 * @param week how nights come round; by weekday when absent
 * @param checkIns how the skin took the weeks before
 * @param pauses days on which strong work pauses
 * @param ownMethod a method of the house, whole, which {@code method} may name
 */
public record CaseDocument(
        @Nullable Client client,
        LocalDate date,
        Intake intake,
        Reading reading,
        @Nullable List<OwnedProduct> owned,
        @Nullable List<ProductFacts> catalogue,
        String method,
        Month month,
        @Nullable List<Choice> pins,
        @Nullable List<Choice> takenOut,
        @Nullable List<StepByHand> steps,
        @Nullable List<Patch> patches,
        @Nullable Week week,
        @Nullable List<SaidOfSkin> checkIns,
        @Nullable List<PauseOf> pauses,
        @Nullable OwnMethod ownMethod) {

    /** Who it is about; names are not needed to plan. */
    @Schema(name = "CaseClient")
    public record Client(@Nullable String name, @Nullable String trade) {}

    /** How heavy make-up is. */
    public enum MakeUp {
        LIGHT,
        FULL
    }

    /** What stands at its usual value until somebody says otherwise. */
    public enum Assumable {
        SITE,
        OUTDOOR_HOURS,
        MAKE_UP_DAYS,
        MAKE_UP,
        SUNSCREEN_DAYS,
        MORNING_MINUTES,
        EVENING_MINUTES,
        MOST_STEPS,
        SCENT,
        ANIMAL,
        OILS,
        SWINGS
    }

    /**
     * What is asked before the skin is read.
     *
     * @param assumed which of it nobody was asked; absent and empty for none
     */
    public record Intake(
            String site,
            List<Place> places,
            double outdoorHours,
            int makeUpDays,
            MakeUp makeUp,
            int sunscreenDays,
            int morningMinutes,
            int eveningMinutes,
            int mostSteps,
            @Schema(types = {"number", "null"}) @Nullable Double budget,
            Taste scent,
            Taste animal,
            Taste oils,
            @Schema(types = {"integer", "null"}) @Nullable Integer birthYear,
            @Schema(types = {"string", "null"}) History.@Nullable Says says,
            boolean swings,
            @Schema(types = {"integer", "null"}) @Nullable Integer flush,
            @Schema(types = {"integer", "null"}) @Nullable Integer reactions,
            @Schema(types = {"integer", "null"}) @Nullable Integer burns,
            @Schema(types = {"integer", "null"}) @Nullable Integer tans,
            List<Answer> answers,
            List<String> medicines,
            List<String> otherAllergies,
            List<Concern> matters,
            List<Settled> settled,
            String note,
            @Schema(types = {"array", "null"}) @Nullable List<HoursIn> hoursIn,
            @Schema(types = {"array", "null"}) @Nullable List<Double> outdoorsByMonth,
            @Schema(types = {"object", "null"}) @Nullable LatelySaid lately,
            @Schema(types = {"array", "null"}) @Nullable List<Assumable> assumed) {}

    /**
     * Whether the skin is as it is as a rule.
     *
     * @param since when it is otherwise; absent where nobody knows
     * @param causes by what, rows of lately.yaml; none where it is as usual, or nobody asked
     */
    public record LatelySaid(
            boolean asUsual,
            @Schema(types = {"string", "null"}) @Nullable LocalDate since,
            List<String> causes) {}

    /**
     * How long the day is spent in a place that is ticked.
     *
     * @param hours a day, 0 to 24
     */
    public record HoursIn(Place place, double hours) {}

    /**
     * One answer to the safety screen.
     *
     * @param bulk whether it was answered together with the others of its group, by one tap for all of them; absent for no
     */
    @Schema(name = "CaseAnswer")
    public record Answer(
            String question,
            boolean yes,
            @Schema(types = {"string", "null"}) @Nullable LocalDate on,
            LocalDate asked,
            @Schema(types = {"boolean", "null"}) @Nullable Boolean bulk) {
        /** Asked by itself. */
        public static Answer alone(String question, boolean yes, @Nullable LocalDate on, LocalDate asked) {
            return new Answer(question, yes, on, asked, false);
        }

        /** Whether it was answered with others by one tap. */
        public static boolean together(Answer a) {
            return Boolean.TRUE.equals(a.bulk());
        }
    }

    /** A referral released. */
    @Schema(name = "CaseSettled")
    public record Settled(String referral, String who, LocalDate on, String remark) {}

    /** The face. */
    public record Reading(
            List<Grade> grades,
            List<Probe> probe,
            @Schema(types = {"object", "null"}) @Nullable Conditions conditions,
            @Nullable List<Settling> settlements,
            @Nullable List<SetValue> byHand) {
        public static final Reading NONE = new Reading(List.of(), List.of(), null, List.of(), List.of());
    }

    /** One sign in one zone, 0 to 4. */
    public record Grade(Zone zone, Sign sign, int grade, How how) {}

    /** One spot of the probe. */
    public record Probe(ProbeReading.Quantity quantity, Zone zone, List<Double> values, boolean simulated) {}

    /** In what the probe was read. */
    public record Conditions(
            @Schema(types = {"number", "null"}) @Nullable Double roomCelsius,
            @Schema(types = {"number", "null"}) @Nullable Double humidity,
            @Schema(types = {"integer", "null"}) @Nullable Integer minutesSinceWash,
            boolean cleanser,
            @Schema(types = {"integer", "null"}) @Nullable Integer minutesSettled,
            @Schema(types = {"integer", "null"}) @Nullable Integer hoursSinceProduct) {}

    /** A contradiction settled. */
    public record Settling(String contradiction, Settlement.Side keeps, String who, String why) {}

    /** A verdict set by hand. */
    public record SetValue(ByHand.Verdict verdict, String value, String who, String why) {}

    /** What a patch test says of a product, or who did without one. */
    public record Patch(
            String product, @Nullable Test test, @Nullable Waiver waiver) {
        /** A test with its readings so far. */
        public record Test(PatchTest.Kind kind, PatchTest.Site site, List<Reading> readings) {}

        /** One reading of it. */
        @Schema(name = "PatchReading")
        public record Reading(double hours, int grade) {}

        /** Who does without. */
        public record Waiver(String who, String why, LocalDate on) {}
    }

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
            @Nullable List<DayOfWeek> nights,
            @Nullable Habit habit,
            @Nullable Blend blend) {}

    /**
     * What a thing is that is mixed at home or in the palm: its label is made of its parts.
     *
     * @param palm whether it is mixed in the palm each time
     * @param preserved whether a preservative was put in by its own label
     */
    public record Blend(HomeUse use, boolean palm, boolean preserved, List<BlendPart> parts) {}

    /**
     * One of the two, and how much of it.
     *
     * @param item of the pantry, a row of pantry.yaml
     * @param product id of a product of the case that stands before this one, or of its catalogue
     */
    public record BlendPart(
            @Schema(types = {"string", "null"}) @Nullable String item,
            @Schema(types = {"string", "null"}) @Nullable String product,
            double amount,
            Measure measure) {}

    /** A method of the house: an answer to every question of method-questions.yaml. */
    public record OwnMethod(
            String id,
            String name,
            @Schema(types = {"string", "null"}) @Nullable String note,
            @Schema(types = {"string", "null"}) @Nullable String because,
            Map<String, String> settings) {}

    /** How a thing is used now. */
    @Schema(name = "UsedNow")
    public record Habit(
            boolean morning,
            boolean evening,
            int daysAWeek,
            @Schema(types = {"boolean", "null"}) @Nullable Boolean leavesTight) {}

    /**
     * What is changed on one step by hand.
     *
     * @param on the one place that it is kept to, as files had it before there could be several; never written
     * @param places all that it goes on; as computed when absent or empty
     */
    public record StepByHand(
            Part part,
            String product,
            boolean optional,
            @Schema(types = {"string", "null"}) @Nullable Coverage on,
            @Nullable List<Coverage> places,
            List<DayOfWeek> nights,
            @Schema(types = {"object", "null"}) @Nullable OnCondition when,
            boolean secondCoat,
            String words,
            @Schema(types = {"object", "null"}) @Nullable MovedTo move,
            @Schema(types = {"string", "null"}) @Nullable String overrule,
            @Nullable List<BesideStep> then) {}

    /**
     * What stands beside a step: one of the two.
     *
     * @param again id of the product whose step comes once more
     * @param alone id of the step without a product, a row of alone.yaml
     */
    public record BesideStep(
            @Schema(types = {"string", "null"}) @Nullable String again,
            @Schema(types = {"string", "null"}) @Nullable String alone) {}

    /** For some days only: which, and how many a week they usually are. */
    public record OnCondition(String kind, int usual) {}

    /** Another place: after one neighbour, or before another when that one is gone. */
    public record MovedTo(
            @Schema(types = {"string", "null"}) @Nullable String after,
            @Schema(types = {"string", "null"}) @Nullable String before,
            String why) {}

    /** A product in one routine. */
    public record Choice(Part part, String product) {}

    /**
     * How nights come round, and what of hers is in them.
     *
     * @param every nights after which they come again; absent for as the method has it
     * @param first the first night of a round; absent for by weekday and as the method has it
     */
    public record Week(
            @Schema(types = {"integer", "null"}) @Nullable Integer every,
            @Schema(types = {"string", "null"}) @Nullable LocalDate first,
            List<OwnEvening> evenings,
            List<CourseOf> courses,
            List<NightByHand> byHand) {
        /** As the method has it, with nothing of hers. */
        public static final Week USUAL = new Week(null, null, List.of(), List.of(), List.of());
    }

    /** An evening of hers, every week or once. */
    public record OwnEvening(
            String kind,
            @Schema(types = {"string", "null"}) @Nullable DayOfWeek weekday,
            @Schema(types = {"string", "null"}) @Nullable LocalDate date) {}

    /** A thing that is not for ever. */
    public record CourseOf(String product, String kind, LocalDate from) {}

    /** A single evening set by hand. */
    public record NightByHand(String product, LocalDate date, boolean on, String why) {}

    /** How the skin took the weeks before; what nobody asked is absent. */
    public record SaidOfSkin(
            LocalDate on,
            @Schema(types = {"integer", "null"}) @Nullable Integer sting,
            @Schema(types = {"integer", "null"}) @Nullable Integer redness,
            @Schema(types = {"integer", "null"}) @Nullable Integer flaking,
            boolean swelling,
            @Schema(types = {"integer", "null"}) @Nullable Integer skipped,
            @Nullable Seen seen) {
        /** The same with who looked at the swelling; with nobody when absent. */
        public SaidOfSkin with(@Nullable Seen by) {
            return new SaidOfSkin(on, sting, redness, flaking, swelling, skipped, by);
        }
    }

    /** Who looked at a swelling, and what they said. */
    @Schema(name = "CaseSeen")
    public record Seen(LocalDate on, String by, String said) {}

    /** Days on which strong work pauses. */
    public record PauseOf(
            String kind,
            LocalDate from,
            LocalDate until,
            @Schema(types = {"number", "null"}) @Nullable Double figure) {}
}
