package outfell.hand;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import outfell.aims.Barred;
import outfell.aims.Parting;
import outfell.aims.Uses;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.knowledge.Because;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.routine.Adjustment;
import outfell.routine.Part;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.week.Tolerance;

/** What stands in the plan whatever the choice says: prescriptions, and what the therapist has put in; what a rule forbids is refused. */
public final class Pins {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.UK);

    private final Consultation consultation;
    private final SafetyVerdict safety;
    private final Asked asked;
    private final Tolerance tolerance;
    private final Uses uses;
    private final Barred barred;
    private final Parting parting;
    private final List<Because> notices = new ArrayList<>();
    private final List<Refusal> refusals = new ArrayList<>();
    private final List<Choice> kept;

    public Pins(
            Consultation consultation,
            SafetyVerdict safety,
            Asked asked,
            Tolerance tolerance,
            Uses uses,
            Barred barred,
            Parting parting) {
        this.consultation = consultation;
        this.safety = safety;
        this.asked = asked;
        this.tolerance = tolerance;
        this.uses = uses;
        this.barred = barred;
        this.parting = parting;
        this.kept = pins();
    }

    public List<Choice> kept() {
        return kept;
    }

    /** What a prescriber is to be told. */
    public List<Because> notices() {
        return List.copyOf(notices);
    }

    public List<Refusal> refusals() {
        return List.copyOf(refusals);
    }

    private List<Choice> pins() {
        List<Choice> follow = new ArrayList<>();
        List<Choice> wanted = new ArrayList<>();
        consultation.shelf().stream()
                .filter(o -> o.product().prescription())
                .forEach(o -> wanted.add(new Choice(Part.EVENING, o.product().id())));
        // what she has used longest stays; what is newer gives way to it
        consultation.byHand().kept().stream()
                .filter(p -> !wanted.contains(p))
                .sorted(Comparator.comparingInt((Choice p) -> -weeks(p)))
                .forEach(wanted::add);
        Set<Choice> byHabit = byHabit(wanted);
        wanted.addAll(byHabit);
        for (Choice pin : wanted) {
            Optional<Product> product = consultation.find(pin.product());
            if (product.isEmpty()) {
                continue;
            }
            safety.tellPrescriber(product.get()).ifPresent(notices::add);
            Optional<Because> refusal =
                    forbids(product.get(), pin.part(), follow).or(() -> unlessOverruled(product.get(), pin, follow));
            if (refusal.isPresent()
                    && byHabit.contains(pin)
                    && barred.in(pin.part(), product.get()).isPresent()) {
                // nobody asked for it: what becomes of her things tells the ban
                continue;
            } else if (refusal.isPresent()) {
                refusals.add(new Refusal(
                        pin.part(),
                        pin.product(),
                        product.get().name(),
                        refusal.get(),
                        forbids(product.get(), pin.part(), follow).isEmpty()));
            } else {
                follow.add(pin);
            }
        }
        return List.copyOf(follow);
    }

    /** What she does that no plan chooses by itself, where she does it; not what was taken out. */
    private Set<Choice> byHabit(List<Choice> already) {
        return consultation.shelf().stream()
                .flatMap(o -> o.hers().stream()
                        .map(part -> new Choice(part, o.product().id())))
                .filter(c ->
                        !already.contains(c) && !consultation.byHand().left().contains(c))
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private int weeks(Choice pin) {
        return consultation.find(pin.product()).map(uses::weeks).orElse(0);
    }

    /** What a therapist may overrule with a reason: then it stands, and rule and reason are told with the plan. */
    private Optional<Because> unlessOverruled(Product p, Choice pin, List<Choice> kept) {
        Optional<Because> rule = overrulable(p, pin.part(), kept);
        String reason = Adjustment.of(consultation.byHand().adjustments(), pin.part(), p.id())
                .overrule();
        if (rule.isPresent() && !reason.isEmpty()) {
            notices.add(rule.get()
                    .withSentence("Against a rule, by hand: %s Because: %s"
                            .formatted(rule.get().sentence(), reason)));
            return Optional.empty();
        }
        return rule;
    }

    private Optional<Because> overrulable(Product p, Part part, List<Choice> kept) {
        if (part == Part.MORNING
                && p.kind() == StepKind.FIRST_CLEANSE
                && !consultation.method().morningWash().firstCleanse()) {
            return Optional.of(
                    Because.custom("%s takes off sunscreen; in the morning there is none.".formatted(p.name())));
        }
        if (part == Part.MORNING
                && p.kind() == StepKind.SUNSCREEN
                && p.spf() < asked.spf().value()) {
            return Optional.of(lowSpf(p));
        }
        if (part == Part.MORNING && p.maskOfADay() && p.nightsByStrength()) {
            return Optional.of(Because.custom(
                    "%s rubs or dries: an evening, so that no sun and no wind follow it.".formatted(p.name())));
        }
        return beginsStrong(p)
                ? kept.stream()
                        .map(k -> consultation.find(k.product()))
                        .flatMap(Optional::stream)
                        .filter(o -> !o.id().equals(p.id()) && beginsStrong(o))
                        .findFirst()
                        .map(o -> secondNew(p, o))
                : Optional.empty();
    }

    private Because lowSpf(Product p) {
        return asked.spf()
                .because()
                .withSentence("%s has SPF %d. %s"
                        .formatted(p.name(), p.spf(), asked.spf().because().sentence()));
    }

    /** What no reason overrules: a ban, light and a strong step, a skin that bears none, two that must not meet. */
    private Optional<Because> forbids(Product p, Part part, List<Choice> kept) {
        Optional<Because> ban = barred.in(part, p);
        if (ban.isPresent()) {
            return ban;
        }
        if (part == Part.MORNING && p.kind() == StepKind.SLEEPING_MASK) {
            return Optional.of(
                    Because.custom("%s covers the night; the morning wash takes it off.".formatted(p.name())));
        }
        if (part == Part.MORNING && p.byDay() && p.rationedByPackAlone()) {
            return Optional.of(Because.custom(
                    "%s is for some days of the week, as its pack says: those are evenings here.".formatted(p.name())));
        }
        if (part == Part.MORNING && !p.maskOfADay() && (!p.byDay() || p.rationed())) {
            return Optional.of(Because.custom(
                    "%s belongs to the evening: light and a strong step do not go together.".formatted(p.name())));
        }
        if (part == Part.EVENING && p.kind() == StepKind.BASE) {
            return Optional.of(Because.custom("Make-up has no work in the evening: it comes off."));
        }
        if (part == Part.EVENING && p.kind() == StepKind.SUNSCREEN) {
            return Optional.of(Because.custom("A sunscreen has no work in the evening."));
        }
        int least = safety.sun().least().map(l -> l.spf()).orElse(0);
        if (part == Part.MORNING && p.kind() == StepKind.SUNSCREEN && p.spf() < least) {
            return Optional.of(lowSpf(p));
        }
        if (p.rationed() && !p.prescription() && uses.now(p) == 0) {
            return Optional.of(noNight(p));
        }
        if (uses.daily(p, part) == 0) {
            return Optional.of(Because.custom(
                    "%s is new and dries: it begins in the evening, every other night.".formatted(p.name())));
        }
        return kept.stream()
                .map(k -> consultation
                        .find(k.product())
                        .flatMap(other ->
                                other.id().equals(p.id()) ? Optional.empty() : parting.why(p, other, k.part() == part)))
                .flatMap(Optional::stream)
                .findFirst();
    }

    private boolean beginsStrong(Product p) {
        return p.strong() && !p.prescription() && uses.isNew(p);
    }

    private Because secondNew(Product p, Product first) {
        LocalDate from = consultation.answers().today().plusDays(Tolerance.DAYS_BETWEEN_NEW);
        return Because.custom(
                "%s waits: one new strong thing at a time, so that a reaction has one suspect. %s begins first; %s from %s on."
                        .formatted(p.name(), first.name(), p.name(), DAY.format(from)));
    }

    private Because noNight(Product p) {
        if (p.has(ActiveKind.RETINOID) && uses.isNew(p) && !asked.newRetinoid().yes()) {
            return asked.newRetinoid().because();
        }
        if (p.has(ActiveKind.AHA) && uses.isNew(p) && !asked.newAcid().yes()) {
            return asked.newAcid().because();
        }
        return tolerance
                .because()
                .withSentence("%s has no night: a %s skin bears none of it.".formatted(p.name(), tolerance.label()));
    }
}
