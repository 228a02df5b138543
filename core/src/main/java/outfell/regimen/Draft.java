package outfell.regimen;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import outfell.aims.Allowance;
import outfell.aims.Barred;
import outfell.aims.Benefits;
import outfell.aims.Candidate;
import outfell.aims.Parting;
import outfell.aims.Patches;
import outfell.aims.Posed;
import outfell.aims.Scarcity;
import outfell.aims.Slot;
import outfell.aims.Slots;
import outfell.aims.Suits;
import outfell.aims.Uses;
import outfell.aims.Weigher;
import outfell.causes.Balanced;
import outfell.causes.Explainer;
import outfell.causes.Ladder;
import outfell.choice.Choice.Short;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.hand.Adjustments;
import outfell.hand.Pins;
import outfell.hand.Refusal;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.ActiveKind;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.regimen.Regimen.KeptOut;
import outfell.routine.Adjustment;
import outfell.routine.Layout;
import outfell.routine.Part;
import outfell.routine.Routine;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.skin.Sign;
import outfell.skin.SkinVerdict;
import outfell.skin.TypeVerdict;
import outfell.week.Nights;
import outfell.week.Tolerance;

/** One plan in the making: its slots, the choice among who may fill them, and its layout. */
final class Draft {
    private static final double CENT = 0.005;
    /** How far over the client's limit a ladder looks. */
    private static final double MORE_MONEY = 20;

    private static final double MORE_MINUTES = 15;
    private static final double MORE_STEPS = 3;

    private final Consultation consultation;
    private final SkinVerdict skin;
    private final SafetyVerdict safety;
    private final Asked asked;
    private final Tolerance tolerance;
    private final Method method;
    private final Uses uses;
    private final Adjustments adjustments;
    private final Pins pins;
    private final Suits suits;
    private final Weigher weigher;
    private final Patches patches;
    private final Barred barred;
    private final List<Product> allowed;
    private Slots places;
    private final Allowance allowance;
    private final List<Because> notices = new ArrayList<>();
    private final List<Refusal> refusals = new ArrayList<>();

    Draft(Consultation consultation, SkinVerdict skin, SafetyVerdict safety, Asked asked) {
        this.consultation = consultation;
        this.skin = skin;
        this.safety = safety;
        this.asked = asked;
        this.tolerance = Tolerance.of(skin);
        this.method = consultation.method();
        this.patches = new Patches(consultation.patches(), skin.sensitivity().treatAsSensitive());
        this.barred = new Barred(consultation, skin, safety, patches, asked);
        this.allowed = consultation.products().stream()
                .filter(p -> barred.anywhere(p).isEmpty())
                .toList();
        this.uses = new Uses(consultation, asked, tolerance);
        this.adjustments = new Adjustments(consultation, uses, tolerance);
        Parting parting = new Parting(consultation, uses);
        this.pins = new Pins(consultation, safety, asked, tolerance, uses, barred, parting);
        this.refusals.addAll(pins.refusals());
        this.refusals.addAll(adjustments.refusals());
        boolean tight = consultation.reading().observations().stream()
                .anyMatch(o -> o.sign() == Sign.TIGHTNESS && o.grade() > 0);
        this.suits = new Suits(skin, asked, tight);
        this.weigher = new Weigher(consultation, skin, asked, uses, suits, parting, allowed, adjustments.followed());
        this.places = places(false);
        this.allowance = new Allowance(consultation, uses, tolerance);
    }

    private Slots places(boolean pinched) {
        return new Slots(consultation, skin, asked, allowed, barred, suits, weigher, pinched);
    }

    Regimen regimen() {
        Chosen chosen = choose();
        notices.addAll(places.notices());
        notices.addAll(pins.notices());
        notices.addAll(allowance.notices(
                chosen.posed().slots(),
                chosen.posed().problem().limits(),
                chosen.found().within().problem().limits()));
        chosen.found().unproven().map(Draft::mightBeBetter).ifPresent(notices::add);
        return laid(chosen.posed().slots(), chosen.found());
    }

    /** What is said of a search that came to the end of its work before the end of its plans. */
    private static Because mightBeBetter(Short unproven) {
        String what = switch (unproven.aim()) {
            case WANTS -> "another might serve a first concern better";
            case COMFORT -> "another might be more comfortable";
            case SCHOOL -> "another might keep more of what the method asks for";
            case REFINEMENT ->
                "another might bring more, by at most %.0f of a hundred points".formatted(Math.ceil(unproven.gap()));
            case BOTTLES -> "another might do with %.0f bottles less".formatted(Math.ceil(unproven.gap()));
            case STEPS -> "another might do with %.0f steps less".formatted(Math.ceil(unproven.gap()));
            case MONEY -> "another, as good, might be cheaper by at most %.2f a month".formatted(unproven.gap());
            case MILDNESS, NAME -> "others are as good";
        };
        return Because.house(
                "There was more to try than one plan is given work for. This is the best that was found; %s."
                        .formatted(what));
    }

    private record Chosen(Posed posed, Posed.Found found) {}

    /** The choice, and where it spends too much the one among what is owned and borne. */
    private Chosen choose() {
        Posed posed = posed();
        Posed.Found found = posed.choose();
        if (overspends(posed, found)) {
            Slots lenient = places(true);
            Posed other = posed(lenient);
            Posed.Found cheaper = other.choose();
            if (money(cheaper.within()) < money(found.within())) {
                places = lenient;
                notices.add(Because.house(
                        "The budget of %.0f a month is too small for what suits best: what is owned, or misses by little, stands in its place."
                                .formatted(consultation.life().budget().orElse(0))));
                return new Chosen(other, cheaper);
            }
        }
        return new Chosen(posed, found);
    }

    /** For each of the client's limits, what less would take and what more would buy. */
    List<Ladder> ladders() {
        Chosen chosen = choose();
        Consultation.Life life = consultation.life();
        return Stream.of(Ladder.Limit.values())
                .map(l -> switch (l) {
                    case MONEY -> ladder(l, life.budget().stream().boxed().findFirst(), MORE_MONEY, chosen);
                    case MORNING_MINUTES ->
                        ladder(l, Optional.of((double) life.morningMinutes()), MORE_MINUTES, chosen);
                    case EVENING_MINUTES ->
                        ladder(l, Optional.of((double) life.eveningMinutes()), MORE_MINUTES, chosen);
                    case STEPS -> ladder(l, Optional.of((double) life.mostSteps()), MORE_STEPS, chosen);
                })
                .toList();
    }

    private Ladder ladder(Ladder.Limit limit, Optional<Double> hers, double more, Chosen chosen) {
        double asked = hers.orElse(Double.POSITIVE_INFINITY) + more;
        double most = limit == Ladder.Limit.STEPS ? Math.min(asked, method.mostSteps()) : asked;
        return Ladder.of(limit, hers, most, chosen.posed(), chosen.found(), weigher);
    }

    private static boolean overspends(Posed posed, Posed.Found found) {
        return money(found.within()) > money(posed) + CENT;
    }

    private static double money(Posed posed) {
        return posed.problem().limits().get(Scarcity.MONEY.ordinal()).most();
    }

    /** The choice as it is posed: every slot with everybody who may fill it, and every limit. */
    Posed posed() {
        return posed(places);
    }

    private Posed posed(Slots from) {
        List<Slot> slots = from.with(pins.kept());
        return new Posed(
                slots,
                allowance.limits(slots),
                weigher.firsts(),
                weigher.concerns().size(),
                weigher.products(),
                consultation.house().yardstick());
    }

    /** What each ban keeps out of this plan, of the shelf and the catalogue. */
    private List<KeptOut> keptOut() {
        return safety.bans().stream()
                .map(b -> new KeptOut(
                        b.name(),
                        b.because(),
                        b.guess(),
                        consultation.products().stream()
                                .filter(p -> b.forbids(p).isPresent())
                                .map(Product::name)
                                .distinct()
                                .toList()))
                .toList();
    }

    // ---- from choice to plan

    private Regimen laid(List<Slot> slots, Posed.Found found) {
        Map<Part, List<Candidate>> chosen = new LinkedHashMap<>();
        for (Part part : Part.values()) {
            chosen.put(part, new ArrayList<>());
        }
        for (int s = 0; s < slots.size(); s++) {
            Part part = slots.get(s).part();
            found.chosen()
                    .get(s)
                    .ifPresent(c -> chosen.getOrDefault(part, new ArrayList<>()).add(c));
        }
        List<Candidate> morning = chosen.getOrDefault(Part.MORNING, List.of());
        List<Candidate> evening = chosen.getOrDefault(Part.EVENING, List.of());
        Layout layout = new Layout(
                method,
                skin.type().bandU(),
                consultation.shelf().stream().map(o -> o.product().id()).collect(Collectors.toSet()),
                nights(evening),
                id -> said(Stream.concat(morning.stream(), evening.stream()).toList(), id),
                byHand(),
                skin.sensitivity().treatAsSensitive());
        Routine am =
                layout.lay(Part.MORNING, products(morning), consultation.life().morningMinutes());
        Routine pm =
                layout.lay(Part.EVENING, products(evening), consultation.life().eveningMinutes());
        notFollowed(layout, Part.MORNING, products(morning));
        notFollowed(layout, Part.EVENING, products(evening));
        Explainer explainer = new Explainer(consultation, skin, safety, suits, weigher, places, slots, found);
        notices.addAll(explainer.notices());
        OverCream.notice(consultation, am).ifPresent(notices::add);
        notices.addAll(unknown(morning, evening));
        return new Regimen(
                consultation.month(),
                am,
                pm,
                found.helps(),
                skin.type() instanceof TypeVerdict.NotYet
                        ? List.of()
                        : new Balanced(weigher, asked, slots, found, explainer).parts(),
                tonight(slots, found, layout),
                asked,
                explainer.alternatives(),
                explainer.shelf(barred),
                explainer.served(barred::anywhere),
                List.copyOf(notices),
                unsure(),
                List.copyOf(refusals),
                keptOut(),
                patches.calls(Stream.concat(morning.stream(), evening.stream())
                        .filter(c -> uses.isNew(c.product()))
                        .map(Candidate::product)
                        .toList()),
                SheetNotes.of(
                        evening.stream()
                                .filter(c -> c.rationed() && !c.product().prescription())
                                .map(c -> c.product().name())
                                .toList(),
                        consultation.life(),
                        evening.stream().anyMatch(c -> c.product().kind() == StepKind.FIRST_CLEANSE),
                        Holding.words(
                                method,
                                weigher.concerns().stream()
                                        .map(SkinVerdict.RankedConcern::concern)
                                        .findFirst())));
    }

    private Layout.ByHand byHand() {
        Map<Part, Set<ProductId>> kept = new EnumMap<>(Part.class);
        for (Part part : Part.values()) {
            kept.put(
                    part,
                    consultation.byHand().kept().stream()
                            .filter(c -> c.part() == part)
                            .map(Choice::product)
                            .collect(Collectors.toSet()));
        }
        return new Layout.ByHand(kept, adjustments.followed());
    }

    private void notFollowed(Layout layout, Part part, List<Product> products) {
        layout.notFollowed(part, products)
                .forEach(n -> refusals.add(new Refusal(part, n.product(), n.name(), n.because())));
    }

    /** On one evening everything may be left out but what is needed by itself; a prescription never is. */
    private boolean maybeLeftOut(Slot slot) {
        boolean needed = places.places().stream()
                .anyMatch(p -> p.needed() && p.part() == slot.part() && p.kind() == slot.kind());
        boolean prescribed =
                slot.candidates().stream().anyMatch(c -> c.product().prescription());
        return !slot.required() || !(prescribed || (needed && !optional(slot)));
    }

    private boolean optional(Slot slot) {
        return adjustments.followed().stream()
                .anyMatch(a -> a.optional()
                        && a.part() == slot.part()
                        && slot.candidates().stream()
                                .allMatch(c -> c.product().id().equals(a.product())));
    }

    private List<Tonight.Version> tonight(List<Slot> slots, Posed.Found found, Layout layout) {
        List<Tonight.Version> all = new ArrayList<>();
        List<Integer> leave = IntStream.range(0, slots.size())
                .filter(s -> maybeLeftOut(slots.get(s)))
                .boxed()
                .toList();
        Posed forOnce = found.within().optional(leave);
        for (Part part : Part.values()) {
            ToDoubleFunction<List<Optional<Candidate>>> takes = plan -> layout.minutes(part, of(part, slots, plan));
            Tonight.shorter(
                            part,
                            slots,
                            leave,
                            found.chosen(),
                            consultation.life().minutes(part),
                            forOnce::worth,
                            takes)
                    .ifPresent(all::add);
            if (part == Part.EVENING) {
                Tonight.sore(part, slots, found.chosen(), takes).ifPresent(all::add);
            }
        }
        return all;
    }

    private static List<Product> of(Part part, List<Slot> slots, List<Optional<Candidate>> plan) {
        return IntStream.range(0, slots.size())
                .filter(s -> slots.get(s).part() == part)
                .mapToObj(plan::get)
                .flatMap(Optional::stream)
                .map(Candidate::product)
                .toList();
    }

    /** What the plan is made without: a face that was read, questions nobody asked, answers that have grown stale. */
    private List<Because> unsure() {
        List<Because> all = new ArrayList<>();
        if (skin.type() instanceof TypeVerdict.NotYet) {
            all.add(Because.custom("Made without reading the skin: a bland frame, until the face is read."));
        }
        safety.madeWithout()
                .ifPresent(what ->
                        all.add(Because.custom("Made without asking today: %s. Strong steps wait.".formatted(what))));
        return all;
    }

    /** Names that nobody here can read, in what stands in the plan of a client with an open ban. */
    private List<Because> unknown(List<Candidate> morning, List<Candidate> evening) {
        return Stream.concat(morning.stream(), evening.stream())
                .map(Candidate::product)
                .distinct()
                .map(safety::unknownIn)
                .flatMap(Optional::stream)
                .toList();
    }

    private static List<Product> products(List<Candidate> candidates) {
        return candidates.stream().map(Candidate::product).toList();
    }

    private Map<ProductId, Layout.OnNights> nights(List<Candidate> evening) {
        List<Candidate> rationed = evening.stream()
                .filter(c -> c.rationed() || uses.ledUpTo(c.product()))
                .toList();
        Map<ProductId, List<DayOfWeek>> spread = Nights.spread(rationed.stream()
                .map(c -> new Nights.Wanted(c.product().id(), c.uses(), fixed(c.product())))
                .toList());
        Map<ProductId, Layout.OnNights> nights = new LinkedHashMap<>();
        for (Candidate c : rationed) {
            List<DayOfWeek> on = spread.getOrDefault(c.product().id(), List.of());
            nights.put(c.product().id(), new Layout.OnNights(on, nightsBecause(c)));
        }
        return nights;
    }

    /** The prescriber's nights, or hers. */
    private List<DayOfWeek> fixed(Product p) {
        return p.prescription()
                ? uses.prescribedNights(p)
                : adjustments.followed().stream()
                        .filter(a -> a.part() == Part.EVENING && a.product().equals(p.id()))
                        .findFirst()
                        .map(Adjustment::nights)
                        .orElse(List.of());
    }

    private Because nightsBecause(Candidate c) {
        if (c.product().prescription()) {
            return new Because("The prescriber's nights.", outfell.knowledge.Evidence.CONTROLLED, "label");
        }
        if (!c.rationed()) {
            return Because.custom(
                    "Every other night at first: it is new and dries; daily once the skin is used to it.");
        }
        String often = c.uses() == 1 ? "Once a week" : "%d nights a week".formatted(c.uses());
        if (c.beginner()) {
            return tolerance
                    .because()
                    .withSentence(
                            "%s at first: it is new, and a %s skin is led up to it; no other strong step shares its night."
                                    .formatted(often, tolerance.label()));
        }
        String halved = asked.exfoliantsHalved().yes() && !c.product().has(ActiveKind.RETINOID)
                ? " " + asked.exfoliantsHalved().because().sentence()
                : "";
        return tolerance
                .because()
                .withSentence("%s: what a %s skin bears; no other strong step shares its night.%s"
                        .formatted(often, tolerance.label(), halved));
    }

    private Layout.Said said(List<Candidate> all, ProductId id) {
        Candidate candidate = all.stream()
                .filter(c -> c.product().id().equals(id))
                .findFirst()
                .orElseThrow();
        return new Layout.Said(
                purpose(candidate),
                safety.unknownIn(candidate.product()).stream().toList(),
                weigher.zone(candidate.product()));
    }

    /** The concerns that a product serves, heaviest first; else what its kind is for. */
    private List<Because> purpose(Candidate candidate) {
        List<Because> helps = weigher.concerns().stream()
                .flatMap(rc -> candidate.because().stream().filter(h -> h.concern() == rc.concern()))
                .map(Benefits.Help::because)
                .limit(3)
                .toList();
        if (!helps.isEmpty()) {
            return helps;
        }
        Kinds.KindOfStep kind = Kinds.of(candidate.product().kind());
        return switch (kind.kind()) {
            case SUNSCREEN -> List.of(asked.spf().because(), kind.because().withSentence(kind.purpose()));
            case SEAL -> List.of(asked.seal().because());
            case OIL -> List.of(asked.oil().because());
            default -> List.of(kind.because().withSentence(kind.purpose()));
        };
    }
}
