package outfell.aims;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Patched;
import outfell.knowledge.Because;
import outfell.product.Actives;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.safety.PatchTest;

/** What patch tests say to a plan: a failed one keeps a product out, a missing one holds a strong step back. */
public final class Patches {
    private final Map<ProductId, Patched> known = new HashMap<>();
    private final boolean sensitive;

    /** @param sensitive whether the skin reacts: then scent that is new is tested, too */
    public Patches(List<Patched> patches, boolean sensitive) {
        this.sensitive = sensitive;
        patches.forEach(p -> known.put(p.product(), p));
    }

    Optional<Because> forbids(Product p) {
        return test(p).filter(t -> t.standing().fails())
                .map(t -> t.because()
                        .withSentence(
                                "%s failed its patch test. %s A retest counts once it is read to its end and somebody has signed for it."
                                        .formatted(p.name(), t.because().sentence())));
    }

    /** For each new step that is tested first: whether it may begin. */
    public List<PatchCall> calls(List<Product> fresh) {
        return fresh.stream()
                .distinct()
                .filter(p -> !p.prescription() && p.kind() != StepKind.WASH)
                .flatMap(p -> tested(p).map(what -> call(p, what)).stream())
                .toList();
    }

    private Optional<String> tested(Product p) {
        return p.actives().stream()
                .map(a -> Actives.of(a.kind()))
                .filter(Actives.Family::patchFirst)
                .map(Actives.Family::label)
                .findFirst()
                .or(() -> sensitive
                                && !p.kind().comesOff()
                                && PatchTest.SENSITIVE_TESTS.stream().anyMatch(p::holds)
                        ? Optional.of("scent")
                        : Optional.empty());
    }

    private PatchCall call(Product p, String what) {
        Optional<Consultation.Waiver> waiver =
                Optional.ofNullable(known.get(p.id())).flatMap(Patched::waiver);
        Optional<PatchTest.Verdict> test = test(p);
        if (test.isPresent() && test.get().standing() == PatchTest.Standing.MAY_USE) {
            return call(p, PatchCall.PatchState.PASSED, test.get().because());
        }
        if (waiver.isPresent()) {
            return call(
                    p,
                    PatchCall.PatchState.WAIVED,
                    Because.custom("No patch test, decided by %s: %s"
                            .formatted(waiver.get().who(), waiver.get().why())));
        }
        return test.isPresent()
                ? call(p, PatchCall.PatchState.RUNNING, test.get().because())
                : call(
                        p,
                        PatchCall.PatchState.MISSING,
                        Because.custom(
                                "%s holds %s and is new: it waits until a patch test is read, or is waived with a reason."
                                        .formatted(p.name(), what)));
    }

    private static PatchCall call(Product p, PatchCall.PatchState state, Because because) {
        return new PatchCall(p.id(), p.name(), state, because);
    }

    private Optional<PatchTest.Verdict> test(Product p) {
        return Optional.ofNullable(known.get(p.id())).flatMap(Patched::test);
    }
}
