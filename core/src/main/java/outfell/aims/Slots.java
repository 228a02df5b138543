package outfell.aims;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import outfell.aims.Weigher.Asking;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.ActiveKind;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Part;
import outfell.season.Asked;
import outfell.skin.Band;
import outfell.skin.Concern;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.BarrierState;
import outfell.skin.TypeVerdict;

/** Which places a plan has for this skin, month and method, how much each is asked for, and who may fill it. */
public final class Slots {
    /** What decides most comes first, so that the search cuts early; the choice does not depend on it. */
    private static final List<StepKind> BRANCHING = List.of(
            StepKind.TREATMENT,
            StepKind.SERUM,
            StepKind.LIP,
            StepKind.MOISTURISER,
            StepKind.SEAL,
            StepKind.OIL,
            StepKind.SUNSCREEN,
            StepKind.TONER,
            StepKind.ESSENCE,
            StepKind.EYE,
            StepKind.CLAY_MASK,
            StepKind.ENZYME,
            StepKind.SCRUB,
            StepKind.WASH,
            StepKind.FIRST_CLEANSE);
    /** A kind of slot that method, skin and season open; several alike when {@code many} is over one. */
    public record Place(Part part, StepKind kind, int many, Asking asking) {
        public boolean needed() {
            return asking == Asking.NEEDED;
        }
    }

    private final Consultation consultation;
    private final SkinVerdict skin;
    private final Asked asked;
    private final Method method;
    private final List<Product> allowed;
    private final Barred barred;
    private final Suits suits;
    private final Weigher weigher;
    /** Whether money is too short for what suits. */
    private final boolean pinched;

    private final List<Because> notices = new ArrayList<>();
    private final List<Place> places;

    public Slots(
            Consultation consultation,
            SkinVerdict skin,
            Asked asked,
            List<Product> allowed,
            Barred barred,
            Suits suits,
            Weigher weigher,
            boolean pinched) {
        this.consultation = consultation;
        this.skin = skin;
        this.asked = asked;
        this.method = consultation.method();
        this.allowed = allowed;
        this.barred = barred;
        this.suits = suits;
        this.weigher = weigher;
        this.pinched = pinched;
        this.places = List.copyOf(open());
    }

    public List<Place> places() {
        return places;
    }

    /** What could not be had as it should be. */
    public List<Because> notices() {
        return List.copyOf(notices);
    }

    /** The places as slots, with what stands whatever the choice says in its own. */
    public List<Slot> with(List<Choice> pins) {
        List<Slot> slots = new ArrayList<>();
        List<Choice> left = new ArrayList<>(pins);
        for (Place place : places) {
            slots.addAll(fill(place, left));
        }
        for (Choice pin : left) {
            consultation
                    .find(pin.product())
                    .flatMap(p -> weigher.weigh(p, pin.part(), Asking.NEEDED))
                    .ifPresent(c -> slots.add(new Slot(pin.part(), c.product().kind(), 9, true, true, List.of(c))));
        }
        return slots.stream()
                .sorted(Comparator.comparing(s -> BRANCHING.indexOf(s.kind())))
                .toList();
    }

    // ---- places

    private List<Place> open() {
        boolean known = !(skin.type() instanceof TypeVerdict.NotYet);
        boolean calm = skin.barrier().calmReset();
        List<Place> all = new ArrayList<>();
        all.add(new Place(Part.MORNING, StepKind.SUNSCREEN, 1, Asking.NEEDED));
        if (method.sunscreenAndCream() != Method.SunscreenAndCream.FILTER_IN_CREAM) {
            all.add(new Place(Part.MORNING, StepKind.MOISTURISER, 1, creamByDay()));
        }
        all.add(new Place(Part.EVENING, StepKind.MOISTURISER, 1, Asking.NEEDED));
        all.add(new Place(Part.EVENING, StepKind.WASH, 1, Asking.NEEDED));
        morningWash(calm).ifPresent(a -> all.add(new Place(Part.MORNING, StepKind.WASH, 1, a)));
        firstCleanse(calm).ifPresent(a -> all.add(new Place(Part.EVENING, StepKind.FIRST_CLEANSE, 1, a)));
        if (asked.seal().yes()) {
            all.add(new Place(Part.EVENING, StepKind.SEAL, 1, Asking.WANTED));
        }
        if (known) {
            strong(all, calm);
            serums(all, Part.EVENING, method.serumsEvening());
            serums(all, Part.MORNING, method.serumsMorning());
            extras(all);
        }
        return all;
    }

    private static void serums(List<Place> all, Part part, int many) {
        if (many > 0) {
            all.add(new Place(part, StepKind.SERUM, many, Asking.OPTIONAL));
        }
    }

    private void strong(List<Place> all, boolean calm) {
        boolean prescribed =
                consultation.shelf().stream().anyMatch(o -> o.product().prescription());
        int treatments = (calm ? 0 : method.strongActives()) + (prescribed ? 1 : 0);
        if (treatments > 0) {
            all.add(new Place(Part.EVENING, StepKind.TREATMENT, treatments, Asking.OPTIONAL));
        }
        if (method.masks() && !calm) {
            all.add(new Place(Part.EVENING, StepKind.CLAY_MASK, 1, Asking.SCHOOL));
            all.add(new Place(Part.EVENING, StepKind.ENZYME, 1, Asking.SCHOOL));
        }
    }

    private void extras(List<Place> all) {
        if (method.tonerLayers() > 0) {
            all.add(new Place(Part.EVENING, StepKind.TONER, 1, Asking.SCHOOL));
            all.add(new Place(Part.MORNING, StepKind.TONER, 1, Asking.SCHOOL));
        }
        if (method.essence() && method.tonerLayers() > 1) {
            all.add(new Place(Part.EVENING, StepKind.ESSENCE, 1, Asking.SCHOOL));
        }
        if (has(Concern.DARK_CIRCLES) || has(Concern.PUFFINESS) || has(Concern.LINES)) {
            all.add(new Place(Part.EVENING, StepKind.EYE, 1, Asking.OPTIONAL));
            all.add(new Place(Part.MORNING, StepKind.EYE, 1, Asking.OPTIONAL));
        }
        if (asked.oil().yes()) {
            all.add(new Place(Part.EVENING, StepKind.OIL, 1, Asking.WANTED));
        }
        if (has(Concern.CHAPPED_LIPS)) {
            all.add(new Place(Part.EVENING, StepKind.LIP, 1, Asking.WANTED));
        }
    }

    private boolean has(Concern concern) {
        return skin.concerns().stream().anyMatch(c -> c.concern() == concern);
    }

    /** Necessary where the skin is dry, strained or on a retinoid; wanted where it is normal or thirsty; else it may stand. */
    private Asking creamByDay() {
        if (!asked.moisturiserNeeded().yes()) {
            return Asking.OPTIONAL;
        }
        boolean dries = consultation.shelf().stream()
                .anyMatch(o -> o.product().prescription() && o.product().has(ActiveKind.RETINOID));
        boolean sound =
                skin.barrier().state() == BarrierState.SOUND || skin.barrier().state() == BarrierState.NOT_YET;
        boolean unknown = skin.type() instanceof TypeVerdict.NotYet;
        if (skin.type().bandU() == Band.DRY || !sound || dries || unknown) {
            return Asking.NEEDED;
        }
        boolean normal = skin.type().bandU() == Band.NORMAL && !skin.type().combination();
        return normal || skin.water().dehydrated() ? Asking.WANTED : Asking.OPTIONAL;
    }

    private Optional<Asking> morningWash(boolean calm) {
        boolean strained = skin.barrier().state() == BarrierState.STRAINED
                || skin.barrier().state() == BarrierState.BROKEN;
        if (calm || method.morningWash() == Method.MorningWash.WATER) {
            return Optional.empty();
        }
        if (method.morningWash() == Method.MorningWash.WASH) {
            return Optional.of(Asking.SCHOOL);
        }
        return switch (skin.type().bandT()) {
            case OILY -> Optional.of(strained ? Asking.OPTIONAL : Asking.WANTED);
            case NORMAL -> strained ? Optional.empty() : Optional.of(Asking.OPTIONAL);
            case DRY -> Optional.empty();
        };
    }

    /** The plan itself puts a sunscreen on every morning, so it may stand every evening; make-up makes it more. */
    private Optional<Asking> firstCleanse(boolean calm) {
        boolean madeUp = consultation.life().makeUpDays() > 0;
        boolean young = consultation.answers().age().isPresent()
                && consultation.answers().age().getAsInt() < Suits.YOUNG;
        if (calm || method.secondCleanse() == Method.SecondCleanse.ONCE || (young && !madeUp)) {
            return Optional.empty();
        }
        if (madeUp && consultation.life().fullMakeUp()) {
            return Optional.of(Asking.NEEDED);
        }
        if (method.secondCleanse() == Method.SecondCleanse.ALWAYS) {
            return Optional.of(Asking.SCHOOL);
        }
        boolean clogs = skin.type().bandT() == Band.OILY || has(Concern.CONGESTION) || has(Concern.BREAKOUTS);
        return Optional.of(madeUp || clogs ? Asking.WANTED : Asking.OPTIONAL);
    }

    // ---- who may fill them

    private List<Slot> fill(Place place, List<Choice> open) {
        List<Slot> slots = new ArrayList<>();
        List<Candidate> pinned = new ArrayList<>();
        for (Choice pin : List.copyOf(open)) {
            Optional<Candidate> c = pin.part() == place.part() && slots.size() < place.many()
                    ? consultation
                            .find(pin.product())
                            .filter(p -> p.kind() == place.kind())
                            .flatMap(p -> weigher.weigh(p, place.part(), place.asking()))
                    : Optional.empty();
            c.ifPresent(found -> {
                open.remove(pin);
                pinned.add(found);
                slots.add(new Slot(place.part(), place.kind(), slots.size(), true, true, List.of(found)));
            });
        }
        if (slots.size() < place.many()) {
            List<Candidate> rest = candidates(place).stream()
                    .filter(c -> pinned.stream()
                            .noneMatch(p -> p.product().id().equals(c.product().id())))
                    .toList();
            if (rest.isEmpty() && place.needed() && pinned.isEmpty()) {
                notices.add(Because.house("Nothing on the shelf or in the catalogue may stand as %s in the %s."
                        .formatted(Kinds.of(place.kind()).label(), place.part().words())));
            }
            while (slots.size() < place.many() && !rest.isEmpty()) {
                slots.add(new Slot(place.part(), place.kind(), slots.size(), place.needed(), false, rest));
            }
        }
        return slots;
    }

    private List<Candidate> candidates(Place place) {
        return suiting(place, mayStand(place)).stream()
                .map(p -> weigher.weigh(p, place.part(), place.asking()))
                .flatMap(Optional::stream)
                .sorted(Comparator.comparing(c -> c.product().id()))
                .toList();
    }

    private boolean owns(Product p) {
        return consultation.shelf().stream().anyMatch(o -> o.product().id().equals(p.id()));
    }

    private List<Product> mayStand(Place place) {
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
                .toList();
    }

    /** What suits; in a place that is needed, where nothing does, what comes nearest, and it is said. */
    private List<Product> suiting(Place place, List<Product> all) {
        List<Product> mild = all.stream()
                .filter(p -> suits.against(p, place.part(), pinched && place.needed() && owns(p))
                        .isEmpty())
                .toList();
        if (mild.isEmpty() && place.needed() && !all.isEmpty()) {
            notices.add(Because.house("No %s that suits this skin may stand in the %s: one that does not is taken."
                    .formatted(Kinds.of(place.kind()).label(), place.part().words())));
            return all;
        }
        double least = mild.stream()
                .mapToDouble(p -> suits.gradesOff(p, place.part(), (pinched && place.needed()) || owns(p)))
                .min()
                .orElse(0);
        double off = place.needed() ? least : 0;
        return mild.stream()
                .filter(p -> suits.gradesOff(p, place.part(), (pinched && place.needed()) || owns(p)) <= off + 1e-9)
                .toList();
    }
}
