package outfell.regimen;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import outfell.aims.Allowance;
import outfell.aims.Barred;
import outfell.aims.Candidate;
import outfell.aims.Given;
import outfell.aims.Parting;
import outfell.aims.Patches;
import outfell.aims.Posed;
import outfell.aims.Rations;
import outfell.aims.Scarcity;
import outfell.aims.Slot;
import outfell.aims.Slots;
import outfell.aims.Suits;
import outfell.aims.Uses;
import outfell.aims.Weigher;
import outfell.causes.Balanced;
import outfell.causes.Explainer;
import outfell.causes.Ladder;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.hand.Adjustments;
import outfell.hand.Pins;
import outfell.hand.Refusal;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Feel;
import outfell.routine.Layout;
import outfell.routine.Part;
import outfell.routine.Room;
import outfell.routine.Routine;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.skin.Sign;
import outfell.skin.SkinVerdict;
import outfell.skin.TypeVerdict;
import outfell.week.Tolerance;

/** One plan in the making: its slots, the choice among who may fill them, and its layout. */
final class Draft {
    private static final double CENT = 0.005;
    /** How far over the client's limit a ladder looks. */
    private static final double MORE_MONEY = 20;

    private static final double MORE_MINUTES = 15;
    private static final double MORE_STEPS = 3;

    private final Consultation consultation;
    private final Given given;
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
    private final Rations rations;
    private final OwnNights ownNights;
    private final Patches patches;
    private final Barred barred;
    private final List<Product> allowed;
    private Slots places;
    private final Allowance allowance;
    private final List<Because> notices = new ArrayList<>();
    private final List<Refusal> refusals = new ArrayList<>();

    Draft(Consultation consultation, SkinVerdict skin, SafetyVerdict safety, Given given, Asked asked) {
        this.consultation = consultation;
        this.given = given;
        this.skin = skin;
        this.safety = safety;
        this.asked = asked;
        this.tolerance = Tolerance.of(skin);
        this.method = consultation.method();
        this.patches = given.patches();
        this.barred = given.barred(asked.spf().value());
        this.allowed = given.allowed(asked.spf().value());
        this.uses = new Uses(consultation, asked, tolerance);
        this.adjustments = new Adjustments(consultation, uses, tolerance);
        Parting parting = new Parting(consultation, uses);
        this.pins = new Pins(consultation, safety, asked, tolerance, uses, barred, parting);
        this.refusals.addAll(pins.refusals());
        this.refusals.addAll(adjustments.refusals());
        boolean tight = consultation.reading().observations().stream()
                .anyMatch(o -> o.sign() == Sign.TIGHTNESS && o.grade() > 0);
        this.suits = new Suits(skin, asked, tight, consultation.leavesTight());
        this.weigher = new Weigher(consultation, skin, given, asked, uses, suits, parting, adjustments.followed());
        this.rations = new Rations(weigher, parting, tolerance, uses.exfoliations());
        this.ownNights = new OwnNights(consultation, asked, tolerance, uses, adjustments, weigher, rations);
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
        notices.addAll(adjustments.notices());
        notices.addAll(allowance.notices(
                chosen.posed().slots(),
                chosen.posed().problem().limits(),
                chosen.found().within().problem().limits()));
        chosen.found()
                .unproven()
                .map(u -> Notices.mightBeBetter(u, consultation.house()))
                .ifPresent(notices::add);
        return laid(sides(chosen), chosen);
    }

    /** The steps of the same plan without their reasons. */
    Bare bare() {
        Sides sides = sides(choose());
        Layout layout = laying(room(sides)).layout(sides);
        return new Bare(
                layout.bare(Part.MORNING, products(sides.morning())),
                layout.bare(Part.EVENING, products(sides.evening())));
    }

    /** Its nights from the day of the visit on: what is led up to, what waits, and what each evening carries. */
    Weeks weeks(LocalDate now, List<WeekByWeek.Queued> queued, Optional<Regimen> calm) {
        Chosen chosen = choose();
        Sides sides = sides(chosen);
        return new WeekByWeek(
                        consultation, weigher, uses, rations, tolerance, ownNights, sides, laid(sides, chosen), now)
                .weeks(queued, calm);
    }

    private record Chosen(Posed posed, Posed.Found found) {}

    /** The choice, and where it spends too much the one among what is owned and borne. */
    private Chosen choose() {
        Posed posed = posed();
        Posed.Found found = posed.choose(given.solved());
        if (overspends(posed, found)) {
            Slots lenient = places(true);
            Posed other = posed(lenient);
            Posed.Found cheaper = other.choose(given.solved());
            if (money(cheaper.within()) < money(found.within())) {
                places = lenient;
                notices.add(Because.house(
                        "The budget of %s a month is too small for what suits best: what is owned, or misses by little, stands in its place."
                                .formatted(consultation
                                        .house()
                                        .money(consultation.life().budget().orElse(0)))));
                return new Chosen(other, cheaper);
            }
        }
        return new Chosen(posed, found);
    }

    /** For each of the client's limits, what less would take and what more would buy. */
    List<Ladder> ladders() {
        Chosen chosen = choose();
        Life life = consultation.life();
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

    // ---- from choice to plan

    /** Who was chosen for the morning, who for the evening, and the nights of those that have their own. */
    record Sides(List<Candidate> morning, List<Candidate> evening, Map<ProductId, Layout.OnNights> nights) {
        List<Candidate> both() {
            return Stream.concat(morning.stream(), evening.stream()).toList();
        }
    }

    private Sides sides(Chosen chosen) {
        Map<Part, List<Candidate>> all = new EnumMap<>(Part.class);
        List<Slot> slots = chosen.posed().slots();
        for (int s = 0; s < slots.size(); s++) {
            List<Candidate> side = all.computeIfAbsent(slots.get(s).part(), _ -> new ArrayList<>());
            chosen.found().chosen().get(s).ifPresent(side::add);
        }
        List<Candidate> morning = all.getOrDefault(Part.MORNING, List.of());
        List<Candidate> evening = all.getOrDefault(Part.EVENING, List.of());
        return new Sides(morning, evening, ownNights.of(morning, evening));
    }

    private Laying laying(Room room) {
        return new Laying(consultation, skin, safety, asked, uses, adjustments, weigher, room);
    }

    private Room room(Sides sides) {
        return new Amounting(
                        consultation,
                        room -> laying(room).layout(sides),
                        products(sides.morning()),
                        products(sides.evening()))
                .room(
                        weigher.byAir(),
                        new ZoneCare(consultation.reading().observations(), skin)
                                .any(sides.both().stream().map(Candidate::product)),
                        asked.bare().value());
    }

    private Regimen laid(Sides sides, Chosen chosen) {
        List<Slot> slots = chosen.posed().slots();
        Posed.Found found = chosen.found();
        List<Candidate> morning = sides.morning();
        List<Candidate> evening = sides.evening();
        Room room = room(sides);
        Layout layout = laying(room).layout(sides);
        Routine am =
                layout.lay(Part.MORNING, products(morning), consultation.life().morningMinutes());
        Routine pm =
                layout.lay(Part.EVENING, products(evening), consultation.life().eveningMinutes());
        notFollowed(layout, Part.MORNING, products(morning));
        notFollowed(layout, Part.EVENING, products(evening));
        Explainer explainer = new Explainer(consultation, skin, safety, suits, weigher, places, slots, found);
        notices.addAll(explainer.notices(barred::anywhere));
        OverCream.notice(consultation, asked, am).ifPresent(notices::add);
        Notices whole = new Notices(consultation, skin, safety);
        notices.addAll(whole.unknown(morning, evening));
        return new Regimen(
                consultation.month(),
                am,
                pm,
                found.helps(),
                skin.type() instanceof TypeVerdict.NotYet
                        ? List.of()
                        : new Balanced(weigher, asked, slots, found, explainer, room.air()).parts(),
                new Versions(consultation, adjustments, places).tonight(slots, found, layout, List.of(am, pm)),
                asked,
                explainer.alternatives(),
                explainer.shelf(barred),
                explainer.served(barred::anywhere),
                List.copyOf(notices),
                whole.unsure(),
                List.copyOf(refusals),
                whole.keptOut(),
                patches.calls(Stream.concat(morning.stream(), evening.stream())
                        .filter(c -> uses.isNew(c.product()))
                        .map(Candidate::product)
                        .toList()),
                SheetNotes.of(
                        evening.stream()
                                .filter(c -> c.product().nightsByStrength()
                                        && !c.product().prescription())
                                .map(c -> c.product().name())
                                .toList(),
                        consultation.life(),
                        asked,
                        evening.stream().anyMatch(c -> c.product().kind() == StepKind.FIRST_CLEANSE),
                        Holding.words(
                                method,
                                weigher.concerns().stream()
                                        .map(SkinVerdict.RankedConcern::concern)
                                        .findFirst())),
                Feel.forSheet(Stream.concat(morning.stream(), evening.stream()).map(Candidate::product)));
    }

    private void notFollowed(Layout layout, Part part, List<Product> products) {
        layout.notFollowed(part, products)
                .forEach(n -> refusals.add(new Refusal(part, n.product(), n.name(), n.because(), n.overrulable())));
    }

    private static List<Product> products(List<Candidate> candidates) {
        return candidates.stream().map(Candidate::product).toList();
    }
}
