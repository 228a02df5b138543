package outfell.regimen;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.product.ActiveIn;
import outfell.product.Actives;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.regimen.Consultation.Patched;
import outfell.safety.PatchTest;

/** What patch tests say to a plan: a failed one keeps a product out, a missing one holds a strong step back. */
final class Patches {
    private final Map<ProductId, Patched> known = new HashMap<>();

    Patches(List<Patched> patches) {
        patches.forEach(p -> known.put(p.product(), p));
    }

    Optional<Because> forbids(Product p) {
        return test(p).filter(t -> t.standing().fails())
                .map(t -> t.because()
                        .withSentence("%s failed its patch test. %s"
                                .formatted(p.name(), t.because().sentence())));
    }

    /** For each strong step that is new to the client: whether it may begin. */
    List<Regimen.PatchCall> calls(List<Product> fresh) {
        return fresh.stream()
                .distinct()
                .filter(p -> !p.prescription() && p.kind() != outfell.product.StepKind.WASH)
                .flatMap(p -> strong(p).map(a -> call(p, a)).stream())
                .toList();
    }

    private static Optional<ActiveIn> strong(Product p) {
        return p.actives().stream()
                .filter(a -> Actives.of(a.kind()).patchFirst())
                .findFirst();
    }

    private Regimen.PatchCall call(Product p, ActiveIn active) {
        String what = Actives.of(active.kind()).label();
        Optional<Consultation.Waiver> waiver =
                Optional.ofNullable(known.get(p.id())).flatMap(Patched::waiver);
        Optional<PatchTest.Verdict> test = test(p);
        if (test.isPresent() && test.get().standing() == PatchTest.Standing.MAY_USE) {
            return call(p, Regimen.PatchState.PASSED, test.get().because());
        }
        if (waiver.isPresent()) {
            return call(
                    p,
                    Regimen.PatchState.WAIVED,
                    Because.custom("No patch test, decided by %s: %s"
                            .formatted(waiver.get().who(), waiver.get().why())));
        }
        return test.isPresent()
                ? call(p, Regimen.PatchState.RUNNING, test.get().because())
                : call(
                        p,
                        Regimen.PatchState.MISSING,
                        Because.custom(
                                "%s holds %s and is new: it waits until a patch test is read, or is waived with a reason."
                                        .formatted(p.name(), what)));
    }

    private static Regimen.PatchCall call(Product p, Regimen.PatchState state, Because because) {
        return new Regimen.PatchCall(p.id(), p.name(), state, because);
    }

    private Optional<PatchTest.Verdict> test(Product p) {
        return Optional.ofNullable(known.get(p.id())).flatMap(Patched::test);
    }
}
