package outfell.aims;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import outfell.aims.Weigher.Asking;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.knowledge.Because;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Part;
import outfell.season.Asked;
import outfell.skin.SkinVerdict;

/** Which places a plan has for this skin, month and method, how much each is asked for, and who may fill it. */
public final class Slots {
    /** What decides most comes first, so that the search cuts early; the choice does not depend on it. */
    private static final List<StepKind> BRANCHING = List.of(
            StepKind.TREATMENT,
            StepKind.SPOT,
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
            StepKind.FIRST_CLEANSE,
            StepKind.LEAVE_ON_MASK,
            StepKind.SLEEPING_MASK,
            StepKind.RINSE_MASK,
            StepKind.POWDER,
            StepKind.BASE,
            StepKind.BEARD_OIL,
            StepKind.LIP_SCRUB,
            StepKind.LIP_MASK,
            StepKind.HAND,
            StepKind.BODY);

    private final Consultation consultation;
    private final Asked asked;
    private final Map<StepKind, List<Product>> allowed;
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
        this.asked = asked;
        this.allowed = allowed.stream().collect(Collectors.groupingBy(Product::kind));
        this.barred = barred;
        this.suits = suits;
        this.weigher = weigher;
        this.pinched = pinched;
        this.places = new Places(consultation, skin, asked).open();
    }

    /** Whether a plan for this skin has a place of that kind at all. */
    public static boolean opens(StepKind kind, Consultation consultation, SkinVerdict skin, Asked asked) {
        return new Places(consultation, skin, asked).open().stream().anyMatch(p -> p.kind() == kind);
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

    /** On water a sunscreen that stays on there; where none may stand, that is said. */
    private List<Product> lasting(Place place, List<Product> all) {
        if (place.kind() != StepKind.SUNSCREEN || !asked.waterFast().yes()) {
            return all;
        }
        List<Product> fast = all.stream().filter(Product::waterFast).toList();
        if (fast.isEmpty() && !all.isEmpty()) {
            notices.add(asked.waterFast()
                    .because()
                    .withSentence(
                            "%s None that suits says so on its pack: what is worn is put on again after each soaking."
                                    .formatted(asked.waterFast().because().sentence())));
        }
        return fast.isEmpty() ? all : fast;
    }

    private List<Candidate> candidates(Place place) {
        return suiting(place, mayStand(place)).stream()
                .map(p -> weigher.weigh(p, place.part(), place.asking()))
                .flatMap(Optional::stream)
                .sorted(Comparator.comparing(c -> c.product().id()))
                .toList();
    }

    private boolean owns(Product p) {
        return consultation.owns(p.id());
    }

    private List<Product> mayStand(Place place) {
        Set<ProductId> out = consultation.byHand().left().stream()
                .filter(c -> c.part() == place.part())
                .map(Choice::product)
                .collect(Collectors.toSet());
        return allowed.getOrDefault(place.kind(), List.of()).stream()
                .filter(p -> !out.contains(p.id()) && !p.prescription())
                .filter(p -> place.part() == Part.EVENING || (p.byDay() && !p.rationed()))
                .filter(p -> !barred.barsIn(place.part(), p))
                .filter(p ->
                        p.kind() != StepKind.SUNSCREEN || p.spf() >= asked.spf().value())
                .toList();
    }

    /** What suits; in a place that is needed, where nothing does, what comes nearest, and it is said. */
    private List<Product> suiting(Place place, List<Product> all) {
        List<Product> mild = all.stream()
                .filter(p -> suits.fits(p, place.part(), pinched && place.needed() && owns(p)))
                .toList();
        if (mild.isEmpty() && place.needed() && !all.isEmpty()) {
            notices.add(Because.house("No %s that suits this skin may stand in the %s: one that does not is taken."
                    .formatted(Kinds.of(place.kind()).label(), place.part().words())));
            return all;
        }
        List<Product> lasting = lasting(place, mild);
        Map<Product, Double> off = new IdentityHashMap<>();
        lasting.forEach(p -> off.put(p, suits.gradesOff(p, place.part(), (pinched && place.needed()) || owns(p))));
        double least =
                place.needed() ? off.values().stream().mapToDouble(d -> d).min().orElse(0) : 0;
        return lasting.stream()
                .filter(p -> off.getOrDefault(p, 0.0) <= least + 1e-9)
                .toList();
    }
}
