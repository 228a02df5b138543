package outfell.regimen;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Comparator;
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
import outfell.balance.Balance;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.ActiveKind;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.regimen.Consultation.Choice;
import outfell.regimen.Regimen.KeptOut;
import outfell.regimen.Regimen.PartBalance;
import outfell.regimen.Regimen.Refusal;
import outfell.routine.Adjustment;
import outfell.routine.Layout;
import outfell.routine.Part;
import outfell.routine.Routine;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.skin.Band;
import outfell.skin.Concern;
import outfell.skin.SkinVerdict;
import outfell.skin.TypeVerdict;
import outfell.week.Nights;
import outfell.week.Tolerance;

/** One plan in the making: which slots there are, who may fill them, the choice, and its layout. */
final class Draft {
    /** What decides most comes first, so that the search cuts early; the choice does not depend on it. */
    private static final List<StepKind> BRANCHING = List.of(
            StepKind.MOISTURISER,
            StepKind.SEAL,
            StepKind.OIL,
            StepKind.SUNSCREEN,
            StepKind.TREATMENT,
            StepKind.SERUM,
            StepKind.TONER,
            StepKind.ESSENCE,
            StepKind.EYE,
            StepKind.CLAY_MASK,
            StepKind.ENZYME,
            StepKind.SCRUB,
            StepKind.LIP,
            StepKind.WASH,
            StepKind.FIRST_CLEANSE);

    private final Consultation consultation;
    private final SkinVerdict skin;
    private final SafetyVerdict safety;
    private final Asked asked;
    private final Tolerance tolerance;
    private final Method method;
    private final List<Product> allowed;
    private final Uses uses;
    private final Adjustments adjustments;
    private final Pins pins;
    private final Weigher weigher;
    private final Yardstick yardstick;
    private final Patches patches;
    private final Barred barred;
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
        this.pins = new Pins(consultation, safety, asked, tolerance, uses, barred);
        this.refusals.addAll(pins.refusals());
        this.refusals.addAll(adjustments.refusals());
        this.yardstick = consultation.house().yardstick();
        this.weigher = new Weigher(consultation, skin, asked, uses, allowed, adjustments.followed());
    }

    Regimen regimen() {
        List<Slot> slots = slots(pins.kept());
        Allowance allowance = allowance(slots);
        Limits limits = allowance.limits();
        notices.addAll(pins.notices());
        notices.addAll(allowance.notices());
        Search search = search(slots, limits);
        Optional<Search.Found> found = search.run();
        if (found.isPresent()) {
            return laid(slots, found.get(), search, limits);
        }
        // the cheapest and quickest that is needed may be what wears the skin most: then its wear is let out, and said
        Limits wider = allowance.wider();
        notices.add(
                Because.house(
                        "What is needed and within money and time takes more off the skin than the week's total allows: look for a milder wash."));
        Search again = search(slots, wider);
        return laid(slots, again.run().orElseThrow(Draft::nothingFits), again, wider);
    }

    private static IllegalStateException nothingFits() {
        return new IllegalStateException("The limits were widened until the needed steps fit, yet nothing fits.");
    }

    /** How many nodes the search looks at; for benchmarks and tests. */
    Search.Found found() {
        return searchOf(openSlots()).run().orElseThrow();
    }

    /** Every slot with everybody who may fill it, nothing pruned; for tests that try everything. */
    List<Slot> openSlots() {
        return slots(pins.kept());
    }

    /** What any plan of these slots must keep to and pays for. */
    Limits limitsOf(List<Slot> slots) {
        return allowance(slots).limits();
    }

    private Allowance allowance(List<Slot> slots) {
        return new Allowance(consultation, uses, tolerance, slots);
    }

    /** How many concerns the plan works on. */
    int concerns() {
        return weigher.concerns().size();
    }

    Search searchOf(List<Slot> slots) {
        return search(slots, limitsOf(slots));
    }

    private Search search(List<Slot> slots, Limits limits) {
        return new Search(slots, weigher.concerns().size(), weigher.products(), limits, yardstick);
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

    // ---- slots

    private List<Slot> slots(List<Choice> pins) {
        List<Slot> slots = new ArrayList<>();
        List<Choice> open = new ArrayList<>(pins);
        for (Place place : places()) {
            slots.addAll(fill(place, open));
        }
        for (Choice pin : open) {
            Planner.find(consultation, pin.product())
                    .flatMap(p -> weigher.weigh(p, pin.part(), p.kind(), false, false))
                    .ifPresent(c -> slots.add(new Slot(pin.part(), c.product().kind(), 9, true, List.of(c))));
        }
        return slots.stream()
                .sorted(Comparator.comparing(s -> BRANCHING.indexOf(s.kind())))
                .toList();
    }

    /** A kind of slot that method, skin and season open; several alike when {@code many} is over one. */
    private record Place(Part part, StepKind kind, int many, boolean required, boolean methodWants) {}

    private List<Place> places() {
        boolean known = !(skin.type() instanceof TypeVerdict.NotYet);
        boolean calm = skin.barrier().calmReset();
        boolean toner = method.tonerLayers() > 0;
        boolean layered = method.tonerLayers() > 1;
        List<Place> places = new ArrayList<>();
        places.add(new Place(Part.MORNING, StepKind.SUNSCREEN, 1, true, false));
        if (method.sunscreenAndCream() != Method.SunscreenAndCream.FILTER_IN_CREAM) {
            places.add(new Place(
                    Part.MORNING,
                    StepKind.MOISTURISER,
                    1,
                    asked.moisturiserNeeded().yes(),
                    false));
        }
        places.add(new Place(Part.EVENING, StepKind.MOISTURISER, 1, true, false));
        places.add(new Place(Part.EVENING, StepKind.WASH, 1, true, false));
        if (morningWash(calm)) {
            places.add(new Place(Part.MORNING, StepKind.WASH, 1, true, false));
        }
        if (firstCleanse(calm)) {
            places.add(new Place(Part.EVENING, StepKind.FIRST_CLEANSE, 1, true, false));
        }
        if (asked.seal().yes()) {
            places.add(new Place(Part.EVENING, StepKind.SEAL, 1, false, false));
        }
        if (known) {
            strong(places, calm);
            if (method.serumsEvening() > 0) {
                places.add(new Place(Part.EVENING, StepKind.SERUM, method.serumsEvening(), false, false));
            }
            if (method.serumsMorning() > 0) {
                places.add(new Place(Part.MORNING, StepKind.SERUM, method.serumsMorning(), false, false));
            }
            extras(places, toner, layered);
        }
        return places;
    }

    private void strong(List<Place> places, boolean calm) {
        boolean prescribed =
                consultation.shelf().stream().anyMatch(o -> o.product().prescription());
        int treatments = (calm ? 0 : method.strongActives()) + (prescribed ? 1 : 0);
        if (treatments > 0) {
            places.add(new Place(Part.EVENING, StepKind.TREATMENT, treatments, false, false));
        }
        if (method.masks() && !calm) {
            places.add(new Place(Part.EVENING, StepKind.CLAY_MASK, 1, false, true));
            places.add(new Place(Part.EVENING, StepKind.ENZYME, 1, false, true));
        }
    }

    private void extras(List<Place> places, boolean toner, boolean layered) {
        if (toner) {
            places.add(new Place(Part.EVENING, StepKind.TONER, 1, false, true));
            places.add(new Place(Part.MORNING, StepKind.TONER, 1, false, true));
        }
        if (method.essence() && layered) {
            places.add(new Place(Part.EVENING, StepKind.ESSENCE, 1, false, true));
        }
        boolean eyes = has(Concern.DARK_CIRCLES) || has(Concern.PUFFINESS) || has(Concern.LINES);
        if (eyes) {
            places.add(new Place(Part.EVENING, StepKind.EYE, 1, false, false));
            places.add(new Place(Part.MORNING, StepKind.EYE, 1, false, false));
        }
        if (asked.oil().yes()) {
            places.add(new Place(Part.EVENING, StepKind.OIL, 1, false, false));
        }
        if (has(Concern.CHAPPED_LIPS)) {
            places.add(new Place(Part.EVENING, StepKind.LIP, 1, false, false));
        }
    }

    private boolean has(Concern concern) {
        return skin.concerns().stream().anyMatch(c -> c.concern() == concern);
    }

    private boolean morningWash(boolean calm) {
        return switch (method.morningWash()) {
            case WASH -> !calm;
            case WATER -> false;
            case BY_TYPE -> !calm && skin.type().bandT() != Band.DRY;
        };
    }

    private boolean firstCleanse(boolean calm) {
        if (calm) {
            return false;
        }
        return switch (method.secondCleanse()) {
            case ALWAYS -> true;
            // The plan itself puts a sunscreen on every morning, so every evening follows one.
            case AFTER_MAKE_UP_OR_SUNSCREEN -> true;
            case ONCE -> false;
        };
    }

    private List<Slot> fill(Place place, List<Choice> open) {
        List<Candidate> candidates = candidates(place);
        List<Slot> slots = new ArrayList<>();
        List<Candidate> pinned = new ArrayList<>();
        for (Choice pin : List.copyOf(open)) {
            Optional<Candidate> c = pin.part() == place.part() && slots.size() < place.many()
                    ? Planner.find(consultation, pin.product())
                            .filter(p -> p.kind() == place.kind())
                            .flatMap(p ->
                                    weigher.weigh(p, place.part(), place.kind(), place.required(), place.methodWants()))
                    : Optional.empty();
            c.ifPresent(found -> {
                open.remove(pin);
                pinned.add(found);
                slots.add(new Slot(place.part(), place.kind(), slots.size(), true, List.of(found)));
            });
        }
        List<Candidate> rest = List.copyOf(candidates.stream()
                .filter(c -> pinned.stream()
                        .noneMatch(p -> p.product().id().equals(c.product().id())))
                .toList());
        if (rest.isEmpty() && place.required() && pinned.isEmpty()) {
            notices.add(Because.house("Nothing on the shelf or in the catalogue may stand as %s in the %s."
                    .formatted(Kinds.of(place.kind()).label(), place.part().words())));
        }
        while (slots.size() < place.many() && !rest.isEmpty()) {
            slots.add(new Slot(place.part(), place.kind(), slots.size(), place.required(), rest));
        }
        return slots;
    }

    private List<Candidate> candidates(Place place) {
        Set<ProductId> out = consultation.byHand().left().stream()
                .filter(c -> c.part() == place.part())
                .map(Choice::product)
                .collect(Collectors.toSet());
        return allowed.stream()
                .filter(p -> p.kind() == place.kind() && !out.contains(p.id()) && !p.prescription())
                .filter(p -> place.part() == Part.EVENING || (p.byDay() && !p.rationed()))
                .filter(p -> barred.in(place.part(), p).isEmpty())
                .filter(p ->
                        p.kind() != StepKind.SUNSCREEN || p.spf() >= asked.spf().value())
                .map(p -> weigher.weigh(p, place.part(), place.kind(), place.required(), place.methodWants()))
                .flatMap(Optional::stream)
                .sorted(Comparator.comparingDouble((Candidate c) -> -c.alone())
                        .thenComparing(c -> c.product().id()))
                .toList();
    }

    // ---- from choice to plan

    private Regimen laid(List<Slot> slots, Search.Found found, Search search, Limits limits) {
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
        Explainer explainer = new Explainer(consultation, skin, safety, slots, found, search);
        notices.addAll(explainer.notices());
        OverCream.notice(consultation, am).ifPresent(notices::add);
        notices.addAll(unknown(morning, evening));
        return new Regimen(
                consultation.month(),
                am,
                pm,
                found.benefit(),
                balances(slots, found),
                tonight(slots, found, search, limits, layout),
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
    private Slot forOnce(Slot slot) {
        boolean needed =
                places().stream().anyMatch(p -> p.required() && p.part() == slot.part() && p.kind() == slot.kind());
        boolean prescribed =
                slot.candidates().stream().anyMatch(c -> c.product().prescription());
        return slot.required() && (prescribed || (needed && !optional(slot))) ? slot : slot.optional();
    }

    private boolean optional(Slot slot) {
        return adjustments.followed().stream()
                .anyMatch(a -> a.optional()
                        && a.part() == slot.part()
                        && slot.candidates().stream()
                                .allMatch(c -> c.product().id().equals(a.product())));
    }

    private List<Tonight.Version> tonight(
            List<Slot> slots, Search.Found found, Search search, Limits limits, Layout layout) {
        List<Tonight.Version> all = new ArrayList<>();
        List<Slot> forOnce = slots.stream().map(this::forOnce).toList();
        Search weighing = forOnce.equals(slots) ? search : search(forOnce, limits);
        for (Part part : Part.values()) {
            ToDoubleFunction<List<Optional<Candidate>>> takes = plan -> layout.minutes(part, of(part, slots, plan));
            Tonight.shorter(
                            part,
                            forOnce,
                            found.chosen(),
                            consultation.life().minutes(part),
                            plan -> weighing.weigh(plan).orElse(Double.NEGATIVE_INFINITY),
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

    private List<PartBalance> balances(List<Slot> slots, Search.Found found) {
        if (skin.type() instanceof TypeVerdict.NotYet) {
            return List.of();
        }
        return Stream.of(Part.values())
                .map(part -> new PartBalance(
                        part,
                        Balance.gauge(
                                layers(part, slots, found),
                                weigher.target(part),
                                asked.air().roomHumidity())))
                .toList();
    }

    /** What lies on the face every day: the nights' own steps are thin, and not on every night. */
    private List<Balance.Layer> layers(Part part, List<Slot> slots, Search.Found found) {
        List<Balance.Layer> layers = new ArrayList<>();
        for (int s = 0; s < slots.size(); s++) {
            Slot slot = slots.get(s);
            found.chosen()
                    .get(s)
                    .filter(c -> slot.part() == part && !c.rationed())
                    .map(c -> weigher.layer(part, c.product(), slot.required()))
                    .filter(l ->
                            l.points().water() + l.points().oils() + l.points().seal() > 0)
                    .ifPresent(layers::add);
        }
        return layers;
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
                safety.unknownIn(candidate.product()).stream().toList());
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
