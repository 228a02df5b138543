package outfell.causes;

import java.time.Month;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.apache.commons.lang3.StringUtils;
import outfell.aims.Candidate;
import outfell.aims.Posed;
import outfell.aims.Slot;
import outfell.aims.Slots;
import outfell.aims.Suits;
import outfell.aims.Weigher;
import outfell.choice.Worth;
import outfell.consultation.Consultation;
import outfell.method.Method;
import outfell.method.Methods;
import outfell.product.ActiveKind;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.routine.Part;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.skin.SkinVerdict;
import outfell.week.Tolerance;

/** Why a thing that is owned and may be used is not in the plan, found by putting it in; and when its time comes. */
final class SetAside {
    /** A cream within it has the weight that is asked for. */
    private static final double HALF_A_GRADE = 0.51;

    private final Consultation consultation;
    private final SkinVerdict skin;
    private final SafetyVerdict safety;
    private final Suits suits;
    private final Weigher weigher;
    private final List<Slot> slots;
    private final Posed.Found found;
    private final Explainer explainer;
    private final Asked asked;

    SetAside(
            Consultation consultation,
            SkinVerdict skin,
            SafetyVerdict safety,
            Suits suits,
            Weigher weigher,
            List<Slot> slots,
            Posed.Found found,
            Explainer explainer) {
        this.consultation = consultation;
        this.skin = skin;
        this.safety = safety;
        this.suits = suits;
        this.weigher = weigher;
        this.slots = slots;
        this.found = found;
        this.explainer = explainer;
        this.asked = consultation.ask(skin, safety);
    }

    /**
     * @param sentence without when its time comes
     */
    record Why(Cause cause, String sentence) {}

    Why why(Product p) {
        return waits(p).or(() -> byHand(p))
                .or(() -> inAPlace(p))
                .or(() -> suits.against(p, Part.EVENING)
                        .or(() -> suits.against(p, Part.MORNING))
                        .map(b -> new Why(Cause.SKIN, b.sentence())))
                .or(() -> notNow(p))
                .orElseGet(() -> noPlace(p));
    }

    /** A thing that waits beside a retinoid which is new. */
    private Optional<Why> waits(Product p) {
        return found.chosen().stream()
                .flatMap(Optional::stream)
                .map(Candidate::product)
                .filter(o -> p.hasAny(weigher.waitBeside(o)))
                .findFirst()
                .map(o -> new Why(
                        Cause.SAFETY,
                        "It waits beside %s: nothing that exfoliates stands beside a new retinoid in its first twelve weeks."
                                .formatted(o.name())));
    }

    private Optional<Why> byHand(Product p) {
        boolean left =
                consultation.byHand().left().stream().anyMatch(c -> c.product().equals(p.id()));
        return left ? Optional.of(new Why(Cause.HAND, "It is taken out by hand.")) : Optional.empty();
    }

    private record At(int slot, Candidate candidate, Optional<Worth> worth) {}

    /** Put in where it would be worth most: what of it is behind; where no place takes it, the limit or the step in its way. */
    private Optional<Why> inAPlace(Product p) {
        List<At> places = IntStream.range(0, slots.size())
                .boxed()
                .flatMap(s -> {
                    List<Candidate> candidates = slots.get(s).candidates();
                    return IntStream.range(0, candidates.size())
                            .filter(i -> candidates.get(i).product().id().equals(p.id()))
                            .mapToObj(i -> new At(
                                    s,
                                    candidates.get(i),
                                    found.within().with(found.chosen(), s).get(i)));
                })
                .toList();
        return places.stream()
                .filter(a -> a.worth().isPresent())
                .reduce((a, b) -> b.worth().orElseThrow().compareTo(a.worth().orElseThrow()) > 0 ? b : a)
                .map(this::behind)
                .or(() -> places.stream().findFirst().map(a -> inItsWay(p, a)));
    }

    private Why behind(At at) {
        Worth worth = at.worth().orElseThrow();
        return found.chosen()
                .get(at.slot())
                .map(c -> new Why(
                        explainer.cause(worth),
                        "Held against %s: %s"
                                .formatted(
                                        c.product().name(),
                                        StringUtils.uncapitalize(explainer.why(c, at.candidate(), worth)))))
                .orElseGet(() -> new Why(Cause.CHOICE, "What it brings is not worth one more step."));
    }

    private Why inItsWay(Product p, At at) {
        Optional<HoldsBack.Held> held = new HoldsBack(consultation, found.within())
                .heldBack(
                        found.chosen(),
                        c -> c.product().id().equals(p.id()),
                        f -> f.chosen().stream()
                                .flatMap(Optional::stream)
                                .filter(c -> c.product().id().equals(p.id()))
                                .map(c -> c.product().name())
                                .findFirst());
        return held.map(h -> new Why(h.cause(), StringUtils.capitalize(h.words()) + "."))
                .or(() -> clash(at)
                        .map(c -> new Why(
                                Cause.CHOICE,
                                "It does not go with %s.".formatted(c.product().name()))))
                .orElseGet(() ->
                        new Why(Cause.CHOICE, "Within the limits, which no single one decides, others come first."));
    }

    /** What stands in the plan, in its routine or for all of it, and may not stand beside it. */
    private Optional<Candidate> clash(At at) {
        Part part = slots.get(at.slot()).part();
        return IntStream.range(0, slots.size())
                .filter(s -> s != at.slot())
                .mapToObj(s -> found.chosen()
                        .get(s)
                        .filter(c -> !c.option()
                                .bears(at.candidate().option(), slots.get(s).part() == part)))
                .flatMap(Optional::stream)
                .findFirst();
    }

    /** What this month lets nobody begin, what it asks of a sunscreen, and what this skin bears on no night. */
    private Optional<Why> notNow(Product p) {
        if (p.kind() == StepKind.SUNSCREEN && p.spf() < asked.spf().value()) {
            return Optional.of(new Why(Cause.AIR, asked.spf().because().sentence()));
        }
        if (p.kind() == StepKind.SUNSCREEN && asked.waterFast().yes() && !p.waterFast() && waterFastIsWorn()) {
            return Optional.of(new Why(Cause.AIR, asked.waterFast().because().sentence()));
        }
        if (p.has(ActiveKind.RETINOID) && !asked.newRetinoid().yes()) {
            return Optional.of(new Why(Cause.AIR, asked.newRetinoid().because().sentence()));
        }
        if (p.has(ActiveKind.AHA) && !asked.newAcid().yes()) {
            return Optional.of(new Why(Cause.AIR, asked.newAcid().because().sentence()));
        }
        return Optional.empty();
    }

    private boolean waterFastIsWorn() {
        return found.chosen().stream()
                .flatMap(Optional::stream)
                .map(Candidate::product)
                .anyMatch(c -> c.kind() == StepKind.SUNSCREEN && c.waterFast());
    }

    /** Whether another method, or another month, has a place for it. */
    private Why noPlace(Product p) {
        StepKind kind = p.kind();
        String what = Kinds.one(kind);
        if (kind.onlyHers()) {
            return new Why(
                    Cause.CHOICE,
                    "No plan chooses %s by itself: it comes in by hand, or when she does it already.".formatted(what));
        }
        Method method = consultation.method();
        if (Slots.opens(kind, consultation, skin, asked)) {
            return notTaken(p);
        }
        for (Method other : Methods.all()) {
            if (Slots.opens(kind, consultation.by(other), skin, asked)) {
                return new Why(
                        Cause.METHOD, "%s has no place for %s; %s has.".formatted(method.name(), what, other.name()));
            }
        }
        Set<Month> months = EnumSet.noneOf(Month.class);
        for (Month month : Month.values()) {
            if (Slots.opens(
                    kind, consultation.in(month), skin, consultation.in(month).ask(skin, safety))) {
                months.add(month);
            }
        }
        return months.isEmpty()
                ? new Why(Cause.SKIN, "This skin asks for %s at no time of the year.".formatted(what))
                : new Why(Cause.AIR, "This month’s air does not ask for %s.".formatted(what));
    }

    /** Of what has a place of its kind and is not taken into it. */
    private Why notTaken(Product p) {
        if (p.rationed()) {
            return new Why(
                    Cause.NIGHTS,
                    "%s skin bears none of it now."
                            .formatted(StringUtils.capitalize(Tolerance.of(skin).label())));
        }
        return p.kind() == StepKind.MOISTURISER
                ? new Why(Cause.SKIN, "Others come nearer to the weight that skin and air ask for.")
                : new Why(Cause.CHOICE, "No place of this plan takes it.");
    }

    /** When its time comes: other air, or the end of what stands in its place; empty where neither tells. */
    String keepFor(Product p) {
        if (suits.against(p, Part.EVENING).isPresent()) {
            return "";
        }
        Set<Month> months = EnumSet.noneOf(Month.class);
        for (Month month : Month.values()) {
            boolean then = month != consultation.month()
                    && asksFor(p, consultation.in(month).ask(skin, safety));
            if (then && !asksFor(p, asked)) {
                months.add(month);
            }
        }
        if (!months.isEmpty()) {
            return " Keep it for %s, when the air asks for it.".formatted(Months.words(months));
        }
        return found.chosen().stream()
                .flatMap(Optional::stream)
                .map(Candidate::product)
                .filter(o -> o.kind() == p.kind())
                .findFirst()
                .filter(o -> !o.prescription())
                .map(o -> " Keep it closed until %s is empty.".formatted(o.name()))
                .orElse("");
    }

    /** Whether a month's air has a place for it: an oil, a seal, a new strong step, a cream of that weight. */
    private static boolean asksFor(Product p, Asked asked) {
        return switch (p.kind()) {
            case OIL -> asked.oil().yes();
            case RINSE_MASK, LIP_SCRUB, LEAVE_ON_MASK, POWDER, SLEEPING_MASK, LIP_MASK, HAND, BODY, BASE, BEARD_OIL ->
                false;
            case SEAL -> asked.seal().yes();
            case TREATMENT, SPOT ->
                !(p.has(ActiveKind.RETINOID) && !asked.newRetinoid().yes())
                        && !(p.has(ActiveKind.AHA) && !asked.newAcid().yes());
            case MOISTURISER -> Math.abs(p.texture() - asked.moisturiser().grade()) < HALF_A_GRADE;
            default -> true;
        };
    }
}
