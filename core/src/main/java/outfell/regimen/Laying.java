package outfell.regimen;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.aims.Benefits;
import outfell.aims.Candidate;
import outfell.aims.Uses;
import outfell.aims.Weigher;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.hand.Adjustments;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.Actives;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.routine.Adjustment;
import outfell.routine.Amounts;
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

/** How what was chosen is laid out: on which nights, what each step is for, and what of it is the therapist's own. */
final class Laying {
    private final Consultation consultation;
    private final SkinVerdict skin;
    private final SafetyVerdict safety;
    private final Asked asked;
    private final Uses uses;
    private final Adjustments adjustments;
    private final Weigher weigher;
    private final Room room;
    private final ZoneCare zones;

    Laying(
            Consultation consultation,
            SkinVerdict skin,
            SafetyVerdict safety,
            Asked asked,
            Uses uses,
            Adjustments adjustments,
            Weigher weigher,
            Room room) {
        this.consultation = consultation;
        this.skin = skin;
        this.safety = safety;
        this.asked = asked;
        this.uses = uses;
        this.adjustments = adjustments;
        this.weigher = weigher;
        this.room = room;
        this.zones = new ZoneCare(consultation.reading().observations(), skin);
    }

    Layout layout(Draft.Sides sides) {
        List<Candidate> all = sides.both();
        Tools tools = new Tools(consultation, skin, uses, all.stream().map(Candidate::product));
        Layout layout = new Layout(
                consultation.method(),
                skin.type().bands(),
                consultation.shelf().stream().map(o -> o.product().id()).collect(Collectors.toSet()),
                sides.nights(),
                (part, p) -> said(part, find(all, p), tools),
                p -> used(all, p),
                byHand(tools),
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

    private Layout.ByHand byHand(Tools tools) {
        Map<Part, Set<ProductId>> kept = new EnumMap<>(Part.class);
        for (Part part : Part.values()) {
            kept.put(
                    part,
                    consultation.byHand().kept().stream()
                            .filter(c -> c.part() == part)
                            .map(Choice::product)
                            .collect(Collectors.toSet()));
        }
        return new Layout.ByHand(kept, adjustments.followed(), tools::against);
    }

    private static Candidate find(List<Candidate> all, Product p) {
        return all.stream()
                .filter(c -> c.product().id().equals(p.id()))
                .findFirst()
                .orElseThrow();
    }

    private Layout.Said said(Part part, Candidate candidate, Tools tools) {
        return new Layout.Said(
                InSixWords.of(candidate.product(), helped(candidate)),
                purpose(part, candidate),
                safety.unknownIn(candidate.product()).stream().toList(),
                tools.of(
                        candidate.product(),
                        Adjustment.of(
                                        adjustments.followed(),
                                        part,
                                        candidate.product().id())
                                .then()));
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
