package outfell.regimen;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import outfell.aims.PatchCall;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.week.Calming;
import outfell.week.Diary;
import outfell.week.HandNight;

/** Single evenings that the therapist has set: which of them hold, and why others cannot. */
final class HandNights {
    private static final Because PRESCRIBED =
            Because.custom("It is prescribed: its nights are the prescriber's, and only the prescriber changes them.");
    private static final Because DAILY = Because.custom("It is used every day by then.");
    private static final Because NONE =
            Because.custom("It is no longer among the things of this plan that have nights of their own.");

    private final Consultation consultation;
    private final Regimen regimen;
    private final Diary diary;

    HandNights(Consultation consultation, Regimen regimen) {
        this.consultation = consultation;
        this.regimen = regimen;
        this.diary = consultation.diary();
    }

    /** What no hand changes: a prescriber's nights, and a test that is not read by then. */
    Optional<Because> never(Going g, LocalDate date) {
        return g.product().prescription()
                ? Optional.of(PRESCRIBED)
                : regimen.patches().stream()
                        .filter(call -> call.product().equals(g.product().id()) && call.waits() && !g.begunOn(date))
                        .findFirst()
                        .map(PatchCall::because);
    }

    /** What was set for a thing on an evening, where it holds. */
    Optional<HandNight> of(Going g, LocalDate date) {
        return Optional.ofNullable(on(date).get(g.product().id()))
                .filter(h -> h.on() ? never(g, date).isEmpty() : !g.product().prescription());
    }

    static Because because(HandNight h) {
        return Because.custom(h.why().isBlank() ? "Left out by hand." : "Left out by hand: %s".formatted(h.why()));
    }

    /** What was set for these evenings and is not as it was set. */
    List<Weeks.NotFollowed> notFollowed(List<Weeks.Evening> evenings, List<Going> going) {
        return evenings.stream()
                .flatMap(e -> on(e.date()).values().stream()
                        .filter(h -> h.on() != uses(e, h.product()))
                        .map(h -> new Weeks.NotFollowed(e.date(), name(h.product()), whyNot(h, e, going))))
                .toList();
    }

    /** Of an evening that was set twice the last holds. */
    private Map<ProductId, HandNight> on(LocalDate date) {
        Map<ProductId, HandNight> last = new LinkedHashMap<>();
        diary.byHand().stream().filter(h -> h.date().equals(date)).forEach(h -> last.put(h.product(), h));
        return last;
    }

    private static boolean uses(Weeks.Evening e, ProductId product) {
        return e.uses().stream().anyMatch(u -> u.product().equals(product));
    }

    private String name(ProductId product) {
        return consultation.find(product).map(Product::name).orElse(product.value());
    }

    private Because whyNot(HandNight h, Weeks.Evening e, List<Going> going) {
        return going.stream()
                .filter(g -> g.product().id().equals(h.product()))
                .findFirst()
                .map(g -> never(g, e.date())
                        .or(() -> diary.reset(e.date()).map(Calming.Begun::because))
                        .or(() -> g.when()
                                .map(w -> Because.custom("It waits for its condition: %s."
                                        .formatted(w.kind().words()))))
                        .orElse(DAILY))
                .orElse(NONE);
    }
}
