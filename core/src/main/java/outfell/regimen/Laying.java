package outfell.regimen;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.aims.Benefits;
import outfell.aims.Candidate;
import outfell.aims.Rations;
import outfell.aims.Uses;
import outfell.aims.Weigher;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Hers;
import outfell.hand.Adjustments;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Direction;
import outfell.product.Directions;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.routine.Adjustment;
import outfell.routine.Amounts;
import outfell.routine.Condition;
import outfell.routine.Coverage;
import outfell.routine.Layout;
import outfell.routine.Part;
import outfell.routine.Room;
import outfell.routine.Step;
import outfell.routine.Where;
import outfell.routine.ZoneStep;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.season.Asked.Oil;
import outfell.skin.Concern;
import outfell.skin.SkinVerdict;
import outfell.sun.Film;
import outfell.week.Tolerance;

/** How what was chosen is laid out: on which nights, what each step is for, and what of it is the therapist's own. */
final class Laying {
    private final Consultation consultation;
    private final SkinVerdict skin;
    private final SafetyVerdict safety;
    private final Asked asked;
    private final Tolerance tolerance;
    private final Uses uses;
    private final Adjustments adjustments;
    private final Weigher weigher;
    private final Room room;
    private final ZoneCare zones;
    private final Rations rations;

    Laying(
            Consultation consultation,
            SkinVerdict skin,
            SafetyVerdict safety,
            Asked asked,
            Tolerance tolerance,
            Uses uses,
            Adjustments adjustments,
            Weigher weigher,
            Rations rations,
            Room room) {
        this.consultation = consultation;
        this.skin = skin;
        this.safety = safety;
        this.asked = asked;
        this.tolerance = tolerance;
        this.uses = uses;
        this.adjustments = adjustments;
        this.weigher = weigher;
        this.room = room;
        this.zones = new ZoneCare(consultation.reading().observations(), skin);
        this.rations = rations;
    }

    Layout layout(List<Candidate> morning, List<Candidate> evening) {
        List<Candidate> all = Stream.concat(morning.stream(), evening.stream()).toList();
        Layout layout = new Layout(
                consultation.method(),
                skin.type().bands(),
                consultation.shelf().stream().map(o -> o.product().id()).collect(Collectors.toSet()),
                nights(morning, evening),
                (part, p) -> said(part, find(all, p), all),
                p -> used(all, p),
                byHand(all),
                room.air(),
                skin.sensitivity().treatAsSensitive());
        return movedOil()
                .map(place -> layout.withOil(place, asked.oilPlace().because()))
                .orElse(layout);
    }

    /** The air moves an oil only by the cream: a school that lays it on wet skin has its reason in any air. */
    private Optional<Method.OilPlace> movedOil() {
        return switch (consultation.method().oilPlace()) {
            case AFTER_CREAM -> moved(Oil.IN_CREAM, Method.OilPlace.DROP_IN_CREAM);
            case DROP_IN_CREAM -> moved(Oil.OVER_CREAM, Method.OilPlace.AFTER_CREAM);
            case AFTER_TONER, DROP_IN_SERUM, BEFORE_CREAM -> Optional.empty();
        };
    }

    private Optional<Method.OilPlace> moved(Oil by, Method.OilPlace to) {
        return asked.oilPlace().oil() == by ? Optional.of(to) : Optional.empty();
    }

    private Layout.ByHand byHand(List<Candidate> all) {
        Map<Part, Set<ProductId>> kept = new EnumMap<>(Part.class);
        for (Part part : Part.values()) {
            kept.put(
                    part,
                    consultation.byHand().kept().stream()
                            .filter(c -> c.part() == part)
                            .map(Choice::product)
                            .collect(Collectors.toSet()));
        }
        return new Layout.ByHand(kept, adjustments.followed(), tools(all)::against);
    }

    private Map<ProductId, Layout.OnNights> nights(List<Candidate> morning, List<Candidate> evening) {
        List<Candidate> rationed = rationed(evening);
        List<Candidate> everyDay = Stream.concat(morning.stream(), evening.stream())
                .filter(c -> !rationed.contains(c))
                .toList();
        NightsOf.Found found = new NightsOf(rations, consultation.diary(), everyDay)
                .always(rationed.stream()
                        .map(c -> new NightsOf.Asking(c.product(), c.uses(), fixed(c.product()), LocalDate.MIN))
                        .toList());
        Map<ProductId, Layout.OnNights> nights = new LinkedHashMap<>();
        for (int i = 0; i < rationed.size(); i++) {
            Candidate c = rationed.get(i);
            nights.put(
                    c.product().id(),
                    new Layout.OnNights(
                            condition(c.product()).isPresent()
                                    ? found.mayBe(i, consultation.answers().today())
                                    : found.days(i, consultation.answers().today()),
                            nightsBecause(c, found, i),
                            found.often(i)));
        }
        nights.putAll(AcidAsToner.toners(
                consultation.method(),
                evening.stream()
                        .map(Candidate::product)
                        // on which evenings it is used nobody can say: the toner stands on all
                        .filter(p -> condition(p).isEmpty())
                        .toList(),
                nights));
        return nights;
    }

    /** What has nights of its own, what does most for the client first. */
    List<Candidate> rationed(List<Candidate> evening) {
        return evening.stream()
                .filter(c -> c.rationed() || uses.ledUpTo(c.product()))
                .sorted(Comparator.comparingInt((Candidate c) -> -weigher.worth(c.product(), c.uses()))
                        .thenComparing(c -> c.product().id()))
                .toList();
    }

    /** The prescriber's nights, or hers. */
    List<DayOfWeek> fixed(Product p) {
        return p.prescription() ? uses.prescribedNights(p) : byHand(p).nights();
    }

    /** The condition that she has put upon it in the evening. */
    Optional<Condition> condition(Product p) {
        return byHand(p).when();
    }

    private Adjustment byHand(Product p) {
        return Adjustment.of(adjustments.followed(), Part.EVENING, p.id());
    }

    private Because nightsBecause(Candidate c, NightsOf.Found found, int thing) {
        if (c.product().prescription()) {
            return new Because("The prescriber's nights.", outfell.knowledge.Evidence.CONTROLLED, "label");
        }
        if (!c.rationed()) {
            return Because.custom(
                    "Every other night at first: it is new and dries; daily once the skin is used to it.");
        }
        String often = c.uses() == 1 ? "Once a week" : "%d nights a week".formatted(c.uses());
        Directions.Told times = c.product().directions().told().get(Direction.TIMES);
        if (times != null && uses.keptByPack(c.product())) {
            return times.because()
                    .withSentence("%s, as its pack says. %s"
                            .formatted(often, times.because().sentence()));
        }
        if (c.product().kind().onlyHers() && !c.product().strong()) {
            Because hers = Hers.of(c.product().kind()).because();
            return hers.withSentence("%s. %s".formatted(often, hers.sentence()));
        }
        String alone = found.shares(thing) ? "" : "; no other strong step shares its night";
        if (c.beginner()) {
            return tolerance
                    .because()
                    .withSentence("%s at first: it is new, and a %s skin is led up to it%s.%s"
                            .formatted(often, tolerance.label(), alone, found.fewer(thing)));
        }
        String since = uses.countedAsUsed(c.product())
                .map(weeks -> " Counted as in use for %d weeks, as the plan kept before says.".formatted(weeks))
                .orElse("");
        String halved = asked.exfoliantsHalved().yes() && !c.product().has(ActiveKind.RETINOID)
                ? " " + asked.exfoliantsHalved().because().sentence()
                : "";
        return tolerance
                .because()
                .withSentence("%s: what a %s skin bears%s.%s%s%s"
                        .formatted(often, tolerance.label(), alone, found.fewer(thing), halved, since));
    }

    private static Candidate find(List<Candidate> all, Product p) {
        return all.stream()
                .filter(c -> c.product().id().equals(p.id()))
                .findFirst()
                .orElseThrow();
    }

    private Layout.Said said(Part part, Candidate candidate, List<Candidate> all) {
        return new Layout.Said(
                InSixWords.of(candidate.product(), helped(candidate)),
                purpose(part, candidate),
                safety.unknownIn(candidate.product()).stream().toList(),
                tools(all)
                        .of(
                                candidate.product(),
                                Adjustment.of(
                                                adjustments.followed(),
                                                part,
                                                candidate.product().id())
                                        .then()));
    }

    private Tools tools(List<Candidate> all) {
        return new Tools(consultation, skin, uses, all.stream().map(Candidate::product));
    }

    private Layout.Used used(List<Candidate> all, Product p) {
        return new Layout.Used(
                where(p, all),
                () -> leftOut(p),
                room.zones() ? zoneSteps(p, all) : List.of(),
                all.stream().filter(c -> c.product().id().equals(p.id())).count() > 1,
                uses.someDays(p));
    }

    private List<ZoneStep> zoneSteps(Product p, List<Candidate> beside) {
        return roundTheEyes(p, beside)
                ? Stream.concat(zones.of(p).stream(), Stream.of(ZoneCare.EYES_TOO))
                        .toList()
                : zones.of(p);
    }

    private boolean roundTheEyes(Product p, List<Candidate> beside) {
        return zones.roundTheEyes(p, beside.stream().map(Candidate::product));
    }

    private Where where(Product p, List<Candidate> beside) {
        Where where = where(p);
        return room.zones() && roundTheEyes(p, beside) ? where.with(List.of(Coverage.EYE_AREA)) : where;
    }

    private Where where(Product p) {
        return weigher.zone(p).map(Where::of).orElseGet(() -> Where.of(p, room.reach()));
    }

    /** Places that it goes on elsewhere, and here does not: the sun does not reach them, or there is no room. */
    private List<Step.NotOn> leftOut(Product p) {
        List<Coverage> covered = where(p).places();
        List<Coverage> further = Where.further(p.kind());
        return further.stream()
                .filter(place -> !covered.contains(place))
                .map(place -> new Step.NotOn(
                        place,
                        further.indexOf(place) < asked.bare().value()
                                ? room.full().get()
                                : asked.bare().because()))
                .toList();
    }

    /** Concerns that an active of it helps, heaviest first: what only waters, softens or seals is told as that. */
    private List<Concern> helped(Candidate candidate) {
        return weigher.concerns().stream()
                .map(SkinVerdict.RankedConcern::concern)
                .filter(concern -> candidate.because().stream()
                        .anyMatch(h -> h.concern() == concern
                                && !Actives.of(h.in().kind()).bland()))
                .toList();
    }

    /** The concerns that a product serves, heaviest first; else what its kind is for. */
    private List<Because> purpose(Part part, Candidate candidate) {
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
            case BASE -> base(candidate.product(), kind);
            case SUNSCREEN ->
                Stream.concat(
                                Stream.of(asked.spf().because()),
                                asked.waterFast().yes() && candidate.product().waterFast()
                                        ? Stream.of(asked.waterFast().because())
                                        : Stream.of(kind.because().withSentence(kind.purpose())))
                        .toList();
            case FIRST_CLEANSE ->
                part == Part.MORNING
                        ? List.of(Because.custom(
                                consultation.method().morningWash() == Method.MorningWash.TWICE
                                        ? "Takes off what the night's oils left, before the wash."
                                        : "In place of a wash: takes off what the night's oils left, and little else."))
                        : asked.waterFast().yes()
                                ? List.of(
                                        kind.because().withSentence(kind.purpose()),
                                        asked.waterFast().because())
                                : List.of(kind.because().withSentence(kind.purpose()));
            case SEAL -> List.of(asked.seal().because());
            case OIL -> List.of(asked.oil().because());
            case LIP ->
                asked.lips().yes()
                        ? List.of(asked.lips().because(), kind.because().withSentence(kind.purpose()))
                        : List.of(kind.because().withSentence(kind.purpose()));
            default -> List.of(kind.because().withSentence(kind.purpose()));
        };
    }

    /** What a filter in make-up is worth at the amount that people put on, by the careful law. */
    private static List<Because> base(Product base, Kinds.KindOfStep kind) {
        Because purpose = kind.because().withSentence(kind.purpose());
        if (base.spf() == 0) {
            return List.of(purpose);
        }
        Film.KeptFilm kept = Film.kept(base.spf(), Amounts.worn(base));
        return List.of(
                purpose,
                kept.because()
                        .withSentence(
                                "Its SPF %d was tested at %.0f mg/cm²; make-up goes on at about %.1f, which leaves about SPF %.0f: it does not stand in for the sunscreen."
                                        .formatted(base.spf(), Film.TESTED, kept.density(), kept.careful())));
    }
}
