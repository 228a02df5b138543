package outfell.hand;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import outfell.aims.Uses;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.product.Direction;
import outfell.product.Directions;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.routine.Adjustment;
import outfell.routine.Condition;
import outfell.routine.Coverage;
import outfell.routine.Moves;
import outfell.routine.Part;
import outfell.routine.Then;
import outfell.routine.Where;
import outfell.week.Tolerance;

/** What of the therapist's changes to single steps is followed; what a hard limit forbids is refused with the reason. */
public final class Adjustments {
    private final Consultation consultation;
    private final Uses uses;
    private final Tolerance tolerance;
    private final List<Adjustment> followed = new ArrayList<>();
    private final List<Refusal> refusals = new ArrayList<>();
    private final List<Because> notices = new ArrayList<>();
    private final Set<DayOfWeek> strongNights = EnumSet.noneOf(DayOfWeek.class);

    public Adjustments(Consultation consultation, Uses uses, Tolerance tolerance) {
        this.consultation = consultation;
        this.uses = uses;
        this.tolerance = tolerance;
        consultation.shelf().forEach(o -> strongNights.addAll(o.prescribedNights()));
        consultation.byHand().adjustments().forEach(this::take);
    }

    public List<Adjustment> followed() {
        return List.copyOf(followed);
    }

    public List<Refusal> refusals() {
        return List.copyOf(refusals);
    }

    /** What was let through against a rule, with her reason. */
    public List<Because> notices() {
        return List.copyOf(notices);
    }

    private void take(Adjustment a) {
        Optional<Product> product = consultation.find(a.product());
        if (product.isEmpty()) {
            return;
        }
        Product p = product.get();
        boolean optional = a.optional() && allowed(a, p, mayBeLeftOut(a.part(), p));
        boolean nights = !a.nights().isEmpty()
                && allowed(a, p, mayHaveNights(a, p))
                && borne(a, p, a.nights().size());
        Optional<Condition> when =
                a.when().filter(w -> allowed(a, p, mayHaveCondition(a, p)) && borne(a, p, w.usual()));
        boolean on = !a.on().isEmpty() && allowed(a, p, mayGoOn(a.on(), p));
        boolean coat = a.secondCoat() && allowed(a, p, mayHaveSecondCoat(p));
        if (nights && p.rationed()) {
            strongNights.addAll(a.nights());
        }
        followed.add(new Adjustment(
                a.part(),
                a.product(),
                optional,
                on ? a.on() : Set.of(),
                nights ? a.nights() : List.of(),
                when,
                coat,
                a.words(),
                a.move(),
                a.overrule(),
                a.then().stream()
                        .filter(t -> allowed(a, p, mayStandBeside(p, t)))
                        .toList()));
    }

    /** One night more than this skin bears stands by a reason of hers, and both are told; two more do not. */
    private boolean borne(Adjustment a, Product p, int nights) {
        int most = mostNights(p);
        if (nights <= most) {
            return true;
        }
        Because rule = tooMany(p, nights);
        boolean overrulable = nights == most + 1;
        if (!overrulable || a.overrule().isEmpty()) {
            refuse(new Refusal(a.part(), p.id(), p.name(), rule, overrulable));
            return false;
        }
        notices.add(
                rule.withSentence("Against a rule, by hand: %s Because: %s".formatted(rule.sentence(), a.overrule())));
        return true;
    }

    private boolean allowed(Adjustment a, Product p, Optional<Because> against) {
        against.ifPresent(because -> refuse(new Refusal(a.part(), p.id(), p.name(), because)));
        return against.isEmpty();
    }

    /** Two changes that one reason forbids are refused in one sentence. */
    private void refuse(Refusal refusal) {
        if (!refusals.contains(refusal)) {
            refusals.add(refusal);
        }
    }

    private static Optional<Because> prescribed(Product p) {
        return p.prescription()
                ? Optional.of(Because.custom(
                        "%s is prescribed: how much, where and when is the prescriber's.".formatted(p.name())))
                : Optional.empty();
    }

    private static Optional<Because> mayBeLeftOut(Part part, Product p) {
        return prescribed(p).or(() -> needed(part, p));
    }

    private static Optional<Because> needed(Part part, Product p) {
        if (p.kind() == StepKind.SUNSCREEN) {
            return Optional.of(Because.custom("A sunscreen ends every morning; it is never left out."));
        }
        return part == Part.EVENING && p.kind() == StepKind.WASH
                ? Optional.of(Because.custom("Every evening the day comes off; the wash is never left out."))
                : Optional.empty();
    }

    private Optional<Because> mayHaveNights(Adjustment a, Product p) {
        Optional<Because> never = prescribed(p).or(() -> needed(a.part(), p));
        if (never.isPresent() || !p.rationed()) {
            return never;
        }
        return a.nights().stream()
                .filter(strongNights::contains)
                .findFirst()
                .map(night -> Because.custom("%s on %s: another strong step has that night, and two do not share one."
                        .formatted(p.name(), words(night))));
    }

    private static Optional<Because> mayHaveCondition(Adjustment a, Product p) {
        return prescribed(p).or(() -> needed(a.part(), p));
    }

    /** Nights a week that this skin bears of it for now; every one of what has no nights of its own. */
    private int mostNights(Product p) {
        return p.rationed() ? uses.now(p) : DayOfWeek.values().length;
    }

    private Because tooMany(Product p, int nights) {
        return tolerance
                .because()
                .withSentence("%s on %d nights a week: a %s skin bears %d for now."
                        .formatted(p.name(), nights, tolerance.label(), uses.now(p)));
    }

    private static String words(DayOfWeek day) {
        return day.name().charAt(0) + day.name().substring(1).toLowerCase(java.util.Locale.ROOT);
    }

    /** What may be more is anybody's choice; what a place may not lack, or never gets, is not. */
    private static Optional<Because> mayGoOn(Set<Coverage> places, Product p) {
        return prescribed(p).or(() -> switch (p.kind()) {
            case SUNSCREEN ->
                places.containsAll(Where.of(p.kind()).places())
                        ? Optional.empty()
                        : Optional.of(Because.custom("The sunscreen covers face and neck; a bare place burns."));
            case EYE, LIP, LIP_SCRUB, LIP_MASK ->
                places.equals(Set.copyOf(Where.of(p.kind()).places()))
                        ? Optional.empty()
                        : Optional.of(
                                Because.custom("%s goes on a small place of its own already.".formatted(p.name())));
            default ->
                ofTheBody(places, p)
                        ? Optional.of(Because.custom("Arms and legs are a step of their own, with its own bottle."))
                        : tooStrong(places, p);
        });
    }

    /** Arms and legs are a step of their own. */
    private static boolean ofTheBody(Set<Coverage> places, Product p) {
        return places.contains(Coverage.BODY) && p.kind() != StepKind.BODY;
    }

    /** What its pack keeps from the eyes, and what is strong. */
    private static Optional<Because> tooStrong(Set<Coverage> places, Product p) {
        boolean kept = !p.directions().roundTheEyes().orElse(true);
        if (kept && places.contains(Coverage.EYE_AREA)) {
            Directions.Told told = p.directions().told().get(Direction.EYES);
            return Optional.of((told == null ? Because.custom("") : told.because())
                    .withSentence("%s does not go round the eyes, as its pack says.".formatted(p.name())));
        }
        return p.strong() && places.contains(Coverage.EYE_AREA)
                ? Optional.of(Because.custom(
                        "%s is strong: the thin skin round the eye does not bear it.".formatted(p.name())))
                : Optional.empty();
    }

    /** What may not come again beside a step; a step without a product may stand by any. */
    private Optional<Because> mayStandBeside(Product step, Then then) {
        return then.again().flatMap(consultation::find).flatMap(again -> mayComeAgain(step, again));
    }

    private static Optional<Because> mayComeAgain(Product step, Product again) {
        if (step.kind() == StepKind.SUNSCREEN || step.kind() == StepKind.BASE) {
            return Optional.of(Moves.SUNSCREEN_LAST);
        }
        if (again.kind() == StepKind.SUNSCREEN) {
            return mayHaveSecondCoat(again);
        }
        if (again.prescription() || again.rationed()) {
            return Optional.of(Because.custom(
                    "%s is a strong step: once in a routine is what its nights count on.".formatted(again.name())));
        }
        return again.kind().comesOff() && !step.kind().comesOff()
                ? Optional.of(Because.custom("%s comes off again, and would carry off what %s has left."
                        .formatted(again.name(), step.name())))
                : Optional.empty();
    }

    private static Optional<Because> mayHaveSecondCoat(Product p) {
        if (p.kind() == StepKind.SUNSCREEN) {
            return Optional.of(Because.custom("The sunscreen's dose goes on in two coats already."));
        }
        if (p.kind().comesOff()) {
            return Optional.of(Because.custom("%s comes off again; a second coat does no more.".formatted(p.name())));
        }
        return prescribed(p)
                .or(() -> p.rationed()
                        ? Optional.of(
                                Because.custom("%s is a strong step: more of it irritates, it does not work faster."
                                        .formatted(p.name())))
                        : Optional.empty());
    }
}
