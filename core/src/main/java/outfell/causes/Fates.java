package outfell.causes;

import java.time.Month;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import outfell.aims.Barred;
import outfell.aims.Candidate;
import outfell.aims.Posed;
import outfell.aims.Slot;
import outfell.aims.Suits;
import outfell.aims.Weigher;
import outfell.causes.ShelfAdvice.Fate;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Owned;
import outfell.knowledge.Because;
import outfell.product.ActiveKind;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.routine.Part;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.skin.SkinVerdict;

/** What becomes of each thing that is owned: used, kept for another time, waiting, or stopped, and why. */
final class Fates {
    /** A cream within it has the weight that is asked for. */
    private static final double HALF_A_GRADE = 0.51;

    private final Consultation consultation;
    private final SkinVerdict skin;
    private final SafetyVerdict safety;
    private final Suits suits;
    private final Weigher weigher;
    private final List<Slot> slots;
    private final Posed.Found found;

    Fates(
            Consultation consultation,
            SkinVerdict skin,
            SafetyVerdict safety,
            Suits suits,
            Weigher weigher,
            List<Slot> slots,
            Posed.Found found) {
        this.consultation = consultation;
        this.skin = skin;
        this.safety = safety;
        this.suits = suits;
        this.weigher = weigher;
        this.slots = slots;
        this.found = found;
    }

    /** @param barred what may not stand, and what only waits */
    List<ShelfAdvice> shelf(Barred barred) {
        Set<ProductId> used = new LinkedHashSet<>();
        found.chosen().stream()
                .flatMap(Optional::stream)
                .forEach(c -> used.add(c.product().id()));
        return consultation.shelf().stream()
                .map(Owned::product)
                .map(p -> advice(p, used.contains(p.id()), barred))
                .toList();
    }

    private ShelfAdvice advice(Product p, boolean used, Barred barred) {
        if (used) {
            return new ShelfAdvice(p.id(), p.name(), Fate.USED, Because.house("It has its place in the plan."));
        }
        Optional<Because> forbidden = barred.anywhere(p);
        if (forbidden.isPresent()) {
            return new ShelfAdvice(p.id(), p.name(), barred.onlyWaits(p) ? Fate.WAITS : Fate.STOP, forbidden.get());
        }
        return new ShelfAdvice(p.id(), p.name(), Fate.SET_ASIDE, Because.house(setAside(p)));
    }

    private String setAside(Product p) {
        Optional<String> against = suits.against(p, Part.EVENING)
                .or(() -> suits.against(p, Part.MORNING))
                .map(b -> b.sentence())
                .or(() -> waits(p))
                .or(() -> slots.stream()
                        .flatMap(s -> s.candidates().stream())
                        .filter(c -> c.product().id().equals(p.id()))
                        .flatMap(c -> c.points().stream())
                        .filter(point -> point.points() < 0 && !point.reason().equals("one more step"))
                        .map(point -> "What speaks against it: %s.".formatted(point.reason()))
                        .findFirst());
        Optional<Candidate> stands = found.chosen().stream()
                .flatMap(Optional::stream)
                .filter(c -> c.product().kind() == p.kind())
                .findFirst();
        String why = against.orElseGet(() -> stands.map(c -> "%s does more as %s now."
                        .formatted(c.product().name(), Kinds.of(p.kind()).label()))
                .orElseGet(() -> "No %s is asked for now."
                        .formatted(Kinds.of(p.kind()).label().toLowerCase(Locale.ROOT))));
        boolean unsuited = suits.against(p, Part.EVENING).isPresent();
        return unsuited ? why : why + keepFor(p, stands);
    }

    /** A thing that waits beside a retinoid which is new. */
    private Optional<String> waits(Product p) {
        return found.chosen().stream()
                .flatMap(Optional::stream)
                .map(Candidate::product)
                .filter(o -> p.hasAny(weigher.waitBeside(o)))
                .findFirst()
                .map(o ->
                        "It waits beside %s: nothing that exfoliates stands beside a new retinoid in its first twelve weeks."
                                .formatted(o.name()));
    }

    /** When its time comes: other air, or the end of what stands in its place. */
    private String keepFor(Product p, Optional<Candidate> stands) {
        Set<Month> months = EnumSet.noneOf(Month.class);
        for (Month month : Month.values()) {
            if (month != consultation.month() && asksFor(p, asked(month)) && !asksFor(p, asked(consultation.month()))) {
                months.add(month);
            }
        }
        if (!months.isEmpty()) {
            return " Keep it for %s, when the air asks for it.".formatted(Months.words(months));
        }
        return stands.filter(c -> !c.product().prescription())
                .map(c -> " Keep it closed until %s is empty."
                        .formatted(c.product().name()))
                .orElse("");
    }

    private Asked asked(Month month) {
        return consultation.in(month).ask(skin, safety);
    }

    /** Whether a month's air has a place for it: an oil, a seal, a new strong step, a cream of that weight. */
    private static boolean asksFor(Product p, Asked asked) {
        return switch (p.kind()) {
            case OIL -> asked.oil().yes();
            case SEAL -> asked.seal().yes();
            case TREATMENT ->
                !(p.has(ActiveKind.RETINOID) && !asked.newRetinoid().yes())
                        && !(p.has(ActiveKind.AHA) && !asked.newAcid().yes());
            case MOISTURISER -> Math.abs(p.texture() - asked.moisturiser().grade()) < HALF_A_GRADE;
            default -> true;
        };
    }
}
