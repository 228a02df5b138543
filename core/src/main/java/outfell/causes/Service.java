package outfell.causes;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.apache.commons.lang3.StringUtils;
import outfell.aims.Benefits;
import outfell.aims.Candidate;
import outfell.aims.Place;
import outfell.aims.Posed;
import outfell.aims.Slot;
import outfell.aims.Slots;
import outfell.aims.Suits;
import outfell.aims.Weigher;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.routine.Part;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.RankedConcern;

/** What each concern gets; and of what it, or the method, does not get, what holds it back. */
final class Service {
    private final Consultation consultation;
    private final SkinVerdict skin;
    private final Suits suits;
    private final Weigher weigher;
    private final Slots places;
    private final List<Slot> slots;
    private final Posed.Found found;
    private final SetAside setAside;

    Service(
            Consultation consultation,
            SkinVerdict skin,
            Suits suits,
            Weigher weigher,
            Slots places,
            List<Slot> slots,
            Posed.Found found,
            SetAside setAside) {
        this.consultation = consultation;
        this.setAside = setAside;
        this.skin = skin;
        this.suits = suits;
        this.weigher = weigher;
        this.places = places;
        this.slots = slots;
        this.found = found;
    }

    /** @param forbidden why a product may not be used at all */
    List<Served> served(Function<Product, Optional<Because>> forbidden) {
        List<Served> all = new ArrayList<>();
        for (RankedConcern concern : skin.concerns()) {
            Set<String> by = new LinkedHashSet<>();
            found.chosen().stream()
                    .flatMap(Optional::stream)
                    .filter(c -> share(c, concern) > 0)
                    .sorted(Comparator.comparingDouble((Candidate c) -> -share(c, concern)))
                    .forEach(c -> by.add(c.product().name()));
            Told told = told(concern, by, forbidden);
            all.add(new Served(
                    concern.concern().words(), concern.weight(), List.copyOf(by), told.cause(), told.because()));
        }
        return List.copyOf(all);
    }

    private static double share(Candidate c, RankedConcern concern) {
        return c.because().stream()
                .filter(h -> h.concern() == concern.concern())
                .mapToDouble(Benefits.Help::share)
                .max()
                .orElse(0);
    }

    private record Told(Cause cause, Because because) {
        static Told house(Cause cause, String sentence) {
            return new Told(cause, Because.house(sentence));
        }
    }

    private Told told(RankedConcern concern, Set<String> by, Function<Product, Optional<Because>> forbidden) {
        if (!by.isEmpty()) {
            return new Told(Cause.SKIN, concern.because());
        }
        if (!weigher.concerns().contains(concern)) {
            return Told.house(Cause.SKIN, "Not among the heaviest; it waits until those are better.");
        }
        if (skin.barrier().calmReset()) {
            return Told.house(
                    Cause.SKIN,
                    "Nothing for %s yet: the barrier comes first."
                            .formatted(concern.concern().words()));
        }
        return outweighed(concern)
                .or(() -> keptOut(concern, forbidden))
                .orElseGet(() -> Told.house(
                        Cause.PRACTICE,
                        "Nothing on the shelf or in the catalogue helps %s."
                                .formatted(concern.concern().words())));
    }

    /** What could stand and does not, and the limit that holds it back, or the two: let out, it would come in. */
    private Optional<Told> outweighed(RankedConcern concern) {
        Optional<Candidate> best = slots.stream()
                .flatMap(s -> s.candidates().stream())
                .filter(c -> share(c, concern) > 0)
                .max(Comparator.comparingDouble((Candidate c) -> share(c, concern))
                        .thenComparing(c -> c.product().id()));
        return best.map(c -> limits().heldBack(found.chosen(), x -> share(x, concern) > 0, f -> by(f, concern))
                .map(held -> Told.house(held.cause(), "%s would help; %s.".formatted(held.name(), held.words())))
                .orElseGet(() -> Told.house(Cause.CHOICE, standsAside(c))));
    }

    private static Optional<String> by(Posed.Found other, RankedConcern concern) {
        return other.chosen().stream()
                .flatMap(Optional::stream)
                .filter(c -> share(c, concern) > 0)
                .max(Comparator.comparingDouble(c -> share(c, concern)))
                .map(c -> c.product().name());
    }

    private HoldsBack limits() {
        return new HoldsBack(consultation, found.within());
    }

    /** Of what no limit and no two hold back: whom it does not go with, or that it is not worth a step. */
    private String standsAside(Candidate c) {
        Part part = slots.stream()
                .filter(s -> s.candidates().contains(c))
                .findFirst()
                .map(Slot::part)
                .orElse(Part.EVENING);
        return IntStream.range(0, slots.size())
                .mapToObj(s -> found.chosen()
                        .get(s)
                        .filter(o -> !o.option().bears(c.option(), slots.get(s).part() == part)))
                .flatMap(Optional::stream)
                .findFirst()
                .map(o -> "%s would help; it does not go with %s."
                        .formatted(c.product().name(), o.product().name()))
                .orElseGet(
                        () -> (found.within().passed(found.chosen(), c::equals).isEmpty()
                                        ? "%s would help a little, less than one more step is worth."
                                        : "%s would help; within the limits, which no one and no two decide, other steps come first.")
                                .formatted(c.product().name()));
    }

    /** The best that there is, and what keeps it out altogether. */
    private Optional<Told> keptOut(RankedConcern concern, Function<Product, Optional<Because>> forbidden) {
        return consultation.products().stream()
                .filter(p -> helps(p, concern) > 0)
                .max(Comparator.comparingDouble((Product p) -> helps(p, concern))
                        .thenComparing(Product::id))
                .map(p -> forbidden
                        .apply(p)
                        .map(because -> but(Cause.SAFETY, p, because))
                        .or(() -> suits.against(p, Part.EVENING).map(because -> but(Cause.SKIN, p, because)))
                        .orElseGet(() -> {
                            SetAside.Why why = setAside.why(p);
                            return Told.house(
                                    why.cause(), "%s would help, but: %s".formatted(p.name(), why.sentence()));
                        }));
    }

    private static Told but(Cause cause, Product p, Because because) {
        return new Told(cause, because.withSentence("%s would help, but: %s".formatted(p.name(), because.sentence())));
    }

    /**
     * What the method asks for and does not get, with the limit that holds it back, or what keeps the nearest thing out.
     *
     * @param forbidden why a product may not be used at all
     */
    List<Because> askedFor(Function<Product, Optional<Because>> forbidden) {
        List<Because> all = new ArrayList<>();
        Set<String> said = new LinkedHashSet<>();
        for (Place place : places.places()) {
            boolean stands = IntStream.range(0, slots.size())
                    .anyMatch(s -> slots.get(s).part() == place.part()
                            && slots.get(s).kind() == place.kind()
                            && found.chosen().get(s).isPresent());
            String what = Kinds.one(place.kind());
            if (place.asking() == Weigher.Asking.SCHOOL && !stands && said.add(what + place.part())) {
                boolean open = slots.stream()
                        .anyMatch(s -> s.part() == place.part()
                                && s.kind() == place.kind()
                                && !s.candidates().isEmpty());
                Because why = !open
                        ? noneMay(place, forbidden)
                        : Because.custom(limits().heldBack(
                                        found.chosen(),
                                        x -> x.product().kind() == place.kind(),
                                        f -> IntStream.range(0, slots.size())
                                                .filter(s -> slots.get(s).part() == place.part()
                                                        && slots.get(s).kind() == place.kind())
                                                .mapToObj(s -> f.chosen().get(s))
                                                .flatMap(Optional::stream)
                                                .map(c -> c.product().name())
                                                .findFirst())
                                .map(HoldsBack.Held::words)
                                .orElse("other steps come first"));
                all.add(why.withSentence("%s asks for %s in the %s; %s."
                        .formatted(
                                consultation.method().name(),
                                what,
                                place.part().words(),
                                StringUtils.removeEnd(why.sentence(), "."))));
            }
        }
        return all;
    }

    /** Where nothing of a kind may stand: what keeps out the first that is not forbidden altogether, by the rule that does. */
    private Because noneMay(Place place, Function<Product, Optional<Because>> forbidden) {
        return consultation.products().stream()
                .filter(p -> p.kind() == place.kind())
                .min(Comparator.comparing(p -> forbidden.apply(p).isPresent()))
                .map(p -> {
                    Because why = forbidden
                            .apply(p)
                            .orElseGet(() -> Because.custom(setAside.why(p).sentence()));
                    return why.withSentence("%s might do, but: %s".formatted(p.name(), why.sentence()));
                })
                .orElseGet(() -> Because.custom("there is none on the shelf or in the catalogue"));
    }

    private double helps(Product p, RankedConcern concern) {
        return weigher.helps(p, 7).stream()
                .filter(h -> h.concern() == concern.concern())
                .mapToDouble(Benefits.Help::share)
                .max()
                .orElse(0);
    }
}
