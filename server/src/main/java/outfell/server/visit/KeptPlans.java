package outfell.server.visit;

import com.fasterxml.jackson.annotation.JsonRawValue;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import outfell.product.Composition;
import outfell.routine.Part;
import outfell.server.plan.PlanAnswer;
import outfell.server.problem.Problem;
import outfell.server.visit.PlanStore.PlanOfVisit;
import outfell.server.visit.PlanStore.SavedPlan;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Plans as they were handed over: read as they were written, whatever has changed since. */
@Service
class KeptPlans {
    /** A kept plan, whole. */
    record KeptPlanView(
            UUID visit,
            UUID client,
            LocalDate visitDate,
            SavedPlan plan,

            @Schema(implementation = PlanAnswer.class) @JsonRawValue
            String answer) {}

    /**
     * A step of a kept plan, as much of it as a small strip and a comparison need.
     *
     * @param part where on the face, empty for all of it
     * @param nights how many a week, 0 to 7
     */
    record KeptStep(
            String product,
            String name,
            String kind,
            int number,
            double texture,
            Composition.Shares shares,
            boolean comesOff,
            String part,
            String amount,
            List<String> nights) {}

    /** Both routines of a kept plan; empty when there was nothing but a referral. */
    record KeptSteps(List<KeptStep> morning, List<KeptStep> evening) {
        static final KeptSteps NONE = new KeptSteps(List.of(), List.of());

        List<KeptStep> of(Part part) {
            return part == Part.MORNING ? morning : evening;
        }
    }

    /** Where two plans part. */
    enum Difference {
        TAKEN_OUT,
        PUT_IN,
        REPLACED,
        OTHER_NIGHTS,
        OTHER_AMOUNT,
        MOVED
    }

    /**
     * One step in which two plans part.
     *
     * @param from in the first; empty when it was put in
     * @param to in the second; empty when it was taken out
     */
    record PlanDifference(Part part, Difference what, String from, String to) {}

    private final PlanStore store;
    private final Visits visits;
    private final JsonMapper json;

    KeptPlans(PlanStore store, Visits visits, JsonMapper json) {
        this.store = store;
        this.visits = visits;
        this.json = json;
    }

    KeptPlanView find(UUID id) {
        PlanOfVisit plan = plan(id);
        return new KeptPlanView(
                plan.visit(),
                visits.find(plan.visit()).client(),
                plan.visitDate(),
                plan.plan(),
                store.document(id).orElseThrow());
    }

    /** Where a kept plan and another part, step by step. */
    List<PlanDifference> between(UUID from, UUID to) {
        plan(from);
        plan(to);
        return between(steps(from), steps(to));
    }

    /** Where a kept plan and what its client's newest visit plans now part. */
    List<PlanDifference> againstNow(UUID from) {
        UUID client = visits.find(plan(from).visit()).client();
        VisitStore.Visit newest = visits.latest(client).orElseThrow(() -> Problem.notFound("visit of", client));
        return between(steps(from), now(newest));
    }

    /** What a visit plans now. */
    KeptSteps now(VisitStore.Visit visit) {
        return read(json.writeValueAsString(visits.plan(visit.id(), visit.month())));
    }

    KeptSteps steps(UUID plan) {
        return store.document(plan).map(this::read).orElse(KeptSteps.NONE);
    }

    private PlanOfVisit plan(UUID id) {
        return store.find(id).orElseThrow(() -> Problem.notFound("kept plan", id));
    }

    /** A document of an older Outfell may lack a field; what it has is read. */
    KeptSteps read(String document) {
        try {
            JsonNode regimen = json.readTree(document).path("regimen");
            return new KeptSteps(steps(regimen.path("morning")), steps(regimen.path("evening")));
        } catch (JacksonException broken) {
            throw new IllegalArgumentException("A kept plan is not written as a plan is.", broken);
        }
    }

    private static List<KeptStep> steps(JsonNode routine) {
        return routine.path("steps").valueStream().map(KeptPlans::step).toList();
    }

    private static KeptStep step(JsonNode s) {
        JsonNode shares = s.path("shares");
        return new KeptStep(
                s.path("product").asString(""),
                s.path("name").asString(""),
                s.path("kind").asString(""),
                s.path("number").asInt(0),
                s.path("texture").asDouble(1),
                new Composition.Shares(
                        shares.path("water").asDouble(0),
                        shares.path("oils").asDouble(0),
                        shares.path("sealing").asDouble(0),
                        shares.path("filter").asDouble(0)),
                s.path("comesOff").asBoolean(false),
                s.path("part").asString(""),
                s.path("amount").path("words").asString(""),
                s.path("nights").valueStream().map(n -> n.asString("")).toList());
    }

    static List<PlanDifference> between(KeptSteps from, KeptSteps to) {
        List<PlanDifference> all = new ArrayList<>();
        for (Part part : Part.values()) {
            between(part, from.of(part), to.of(part), all);
        }
        return all;
    }

    private static void between(Part part, List<KeptStep> from, List<KeptStep> to, List<PlanDifference> all) {
        List<KeptStep> gone = from.stream().filter(s -> named(to, s).isEmpty()).toList();
        List<KeptStep> come = new ArrayList<>(
                to.stream().filter(s -> named(from, s).isEmpty()).toList());
        for (KeptStep old : gone) {
            Optional<KeptStep> instead =
                    come.stream().filter(s -> s.kind().equals(old.kind())).findFirst();
            instead.ifPresent(come::remove);
            all.add(
                    instead.isPresent()
                            ? new PlanDifference(
                                    part,
                                    Difference.REPLACED,
                                    old.name(),
                                    instead.get().name())
                            : new PlanDifference(part, Difference.TAKEN_OUT, old.name(), ""));
        }
        come.forEach(s -> all.add(new PlanDifference(part, Difference.PUT_IN, "", s.name())));
        List<KeptStep> before =
                from.stream().filter(s -> named(to, s).isPresent()).toList();
        List<KeptStep> after =
                to.stream().filter(s -> named(from, s).isPresent()).toList();
        for (int i = 0; i < after.size(); i++) {
            KeptStep now = after.get(i);
            KeptStep then = named(from, now).orElseThrow();
            if (!then.nights().equals(now.nights())) {
                all.add(new PlanDifference(part, Difference.OTHER_NIGHTS, nights(then), nights(now)));
            }
            if (!then.amount().equals(now.amount())) {
                all.add(new PlanDifference(
                        part,
                        Difference.OTHER_AMOUNT,
                        "%s: %s".formatted(then.name(), then.amount()),
                        "%s: %s".formatted(now.name(), now.amount())));
            }
            if (!before.get(i).product().equals(now.product()) && before.indexOf(then) > i) {
                all.add(new PlanDifference(part, Difference.MOVED, then.name(), now.name()));
            }
        }
    }

    private static String nights(KeptStep step) {
        return "%s: %s"
                .formatted(
                        step.name(),
                        step.nights().size() == 7
                                ? "every day"
                                : String.join(", ", step.nights()).toLowerCase(java.util.Locale.ROOT));
    }

    private static Optional<KeptStep> named(List<KeptStep> steps, KeptStep like) {
        return steps.stream().filter(s -> s.product().equals(like.product())).findFirst();
    }
}
