package outfell.regimen;

import java.time.Month;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.aims.PatchCall;
import outfell.causes.Alternatives;
import outfell.causes.PartBalance;
import outfell.causes.Served;
import outfell.causes.ShelfAdvice;
import outfell.consultation.Consultation;
import outfell.hand.Refusal;
import outfell.knowledge.Because;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Feel;
import outfell.routine.Part;
import outfell.routine.Routine;
import outfell.routine.Step;
import outfell.season.Asked;

/**
 * A whole plan with its reasons.
 *
 * @param points what the steps earn by the yardstick, for holding two plans against each other
 * @param balances water, oils and seal of each routine's daily layers against what skin and air ask; none while the type is
 *     not known
 * @param tonight shorter and gentler versions, where they differ
 * @param asked what the month's air asks
 * @param alternatives by step, what else could stand there
 * @param shelf what becomes of each thing she owns
 * @param served what is done for each concern
 * @param notices what the therapist should look at
 * @param unsure what it is made without; then it is a draft, and says so at its head
 * @param refusals pins that were not followed, and why
 * @param keptOut what each ban keeps out
 * @param patches for each strong step that is new to the client, whether it may begin
 * @param sheetNotes what the client's sheet says beside the steps
 * @param feel what it says of how a layer should not feel, the weightiest first
 */
public record Regimen(
        Month month,
        Routine morning,
        Routine evening,
        double points,
        List<PartBalance> balances,
        List<Tonight.Version> tonight,
        Asked asked,
        List<Alternatives> alternatives,
        List<ShelfAdvice> shelf,
        List<Served> served,
        List<Because> notices,
        List<Because> unsure,
        List<Refusal> refusals,
        List<KeptOut> keptOut,
        List<PatchCall> patches,
        List<SheetNotes.SheetNote> sheetNotes,
        List<Feel> feel) {

    /**
     * What a ban keeps out of this plan.
     *
     * @param guess whether it is matched by text only
     * @param products names of those on the shelf and in the catalogue that it keeps out
     */
    public record KeptOut(String name, Because because, boolean guess, List<String> products) {}

    /** Every product in it. */
    public Set<ProductId> products() {
        return steps().map(Step::product).collect(Collectors.toSet());
    }

    /** Every step as a product in its routine. */
    public Set<Consultation.Choice> choices() {
        return Stream.of(morning, evening)
                .flatMap(r -> r.steps().stream().map(s -> new Consultation.Choice(r.part(), s.product())))
                .collect(Collectors.toSet());
    }

    public Stream<Step> steps() {
        return Stream.concat(morning.steps().stream(), evening.steps().stream());
    }

    public Routine routine(Part part) {
        return part == Part.MORNING ? morning : evening;
    }

    boolean has(Part part, StepKind kind) {
        return routine(part).steps().stream().anyMatch(s -> s.kind() == kind);
    }
}
