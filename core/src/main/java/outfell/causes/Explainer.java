package outfell.causes;

import java.time.Month;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import outfell.aims.Barred;
import outfell.aims.Benefits;
import outfell.aims.Candidate;
import outfell.aims.Posed;
import outfell.aims.Slot;
import outfell.aims.Slots;
import outfell.aims.Suits;
import outfell.aims.Weigher;
import outfell.causes.Alternatives.Alternative;
import outfell.causes.ShelfAdvice.Fate;
import outfell.choice.Worth;
import outfell.choice.Worth.Aim;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Owned;
import outfell.knowledge.Because;
import outfell.product.ActiveKind;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.routine.Part;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.skin.Contradiction;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.RankedConcern;

/** Says of a choice what else could have been, what each concern gets, and what becomes of the shelf. */
public final class Explainer {
    private static final int ALTERNATIVES = 3;
    /** A cream within it has the weight that is asked for. */
    private static final double HALF_A_GRADE = 0.51;

    private static final double CENT = 0.005;

    private final Consultation consultation;
    private final SkinVerdict skin;
    private final SafetyVerdict safety;
    private final Suits suits;
    private final Weigher weigher;
    private final Slots places;
    private final List<Slot> slots;
    private final Posed.Found found;

    public Explainer(
            Consultation consultation,
            SkinVerdict skin,
            SafetyVerdict safety,
            Suits suits,
            Weigher weigher,
            Slots places,
            List<Slot> slots,
            Posed.Found found) {
        this.consultation = consultation;
        this.skin = skin;
        this.safety = safety;
        this.suits = suits;
        this.weigher = weigher;
        this.places = places;
        this.slots = slots;
        this.found = found;
    }

    public List<Alternatives> alternatives() {
        List<Alternatives> all = new ArrayList<>();
        Set<ProductId> inPlan = new LinkedHashSet<>();
        found.chosen().forEach(c -> c.ifPresent(x -> inPlan.add(x.product().id())));
        for (int s = 0; s < slots.size(); s++) {
            Optional<Candidate> chosen = found.chosen().get(s);
            if (chosen.isPresent()) {
                all.add(new Alternatives(
                        slots.get(s).part(), chosen.get().product().id(), alternatives(s, chosen.get(), inPlan)));
            }
        }
        return List.copyOf(all);
    }

    private List<Alternative> alternatives(int s, Candidate chosen, Set<ProductId> inPlan) {
        List<Candidate> candidates = slots.get(s).candidates();
        List<Optional<Worth>> worths = found.within().with(found.chosen(), s);
        return IntStream.range(0, candidates.size())
                .filter(i -> worths.get(i).isPresent()
                        && !inPlan.contains(candidates.get(i).product().id()))
                .boxed()
                .sorted(Comparator.comparing((Integer i) -> worths.get(i).orElseThrow())
                        .reversed()
                        .thenComparing(i -> candidates.get(i).product().id()))
                .limit(ALTERNATIVES)
                .map(i -> alternative(chosen, candidates.get(i), worths.get(i).orElseThrow()))
                .toList();
    }

    private Alternative alternative(Candidate chosen, Candidate other, Worth worth) {
        double price = other.product().price() - chosen.product().price();
        return new Alternative(
                other.product().id(),
                other.product().name(),
                Math.round(price * 100) / 100.0,
                Because.house(why(chosen, other, worth)));
    }

    /** The first aim in which the other is behind, and of that the one difference that weighs most. */
    String why(Candidate chosen, Candidate other, Worth worth) {
        Aim aim = Worth.parting(found.worth(), worth).orElse(Aim.NAME);
        return switch (aim) {
            case WANTS ->
                IntStream.range(0, weigher.firsts())
                        .filter(c ->
                                chosen.option().grades()[c] > other.option().grades()[c])
                        .mapToObj(c -> "Does less for %s."
                                .formatted(weigher.concerns().get(c).concern().words()))
                        .findFirst()
                        .orElse("What it helps is served already by other steps.");
            case BOTTLES, STEPS, MONEY, MILDNESS, NAME -> thrift(aim, chosen, other);
            case COMFORT, SCHOOL, REFINEMENT -> points(aim, chosen, other);
        };
    }

    private static String thrift(Aim aim, Candidate chosen, Candidate other) {
        double more = other.option().costs().money() - chosen.option().costs().money();
        return switch (aim) {
            case BOTTLES -> "As good, and one bottle more to buy.";
            case MONEY -> "As good, and %.2f a month dearer.".formatted(more);
            case MILDNESS -> "As good, and less mild.";
            default -> "As good in everything; the first by name stands.";
        };
    }

    private String points(Aim aim, Candidate chosen, Candidate other) {
        String reason = aim == Aim.REFINEMENT ? "What it helps is served already by other steps." : "Asked for less.";
        double most = 0.05;
        Map<String, Double> differences = new TreeMap<>();
        chosen.points().stream()
                .filter(p -> p.aim() == aim)
                .forEach(p -> differences.merge(p.reason(), p.points(), Double::sum));
        other.points().stream()
                .filter(p -> p.aim() == aim)
                .forEach(p -> differences.merge(p.reason(), -p.points(), Double::sum));
        for (Map.Entry<String, Double> d : differences.entrySet()) {
            if (d.getValue() > most) {
                most = d.getValue();
                boolean its = other.points().stream().anyMatch(p -> p.reason().equals(d.getKey()));
                reason = its ? "Behind for %s.".formatted(d.getKey()) : "Ahead of it: %s.".formatted(d.getKey());
            }
        }
        for (int c = 0; aim == Aim.REFINEMENT && c < weigher.concerns().size(); c++) {
            double less = chosen.option().helps()[c] - other.option().helps()[c];
            if (less > most) {
                most = less;
                reason = "Does less for %s."
                        .formatted(weigher.concerns().get(c).concern().words());
            }
        }
        return reason;
    }

    /** @param forbidden why a product may not be used at all */
    public List<Served> served(Function<Product, Optional<Because>> forbidden) {
        List<Served> all = new ArrayList<>();
        for (RankedConcern concern : skin.concerns()) {
            Set<String> by = new LinkedHashSet<>();
            found.chosen().stream()
                    .flatMap(Optional::stream)
                    .filter(c -> share(c, concern) > 0)
                    .sorted(Comparator.comparingDouble((Candidate c) -> -share(c, concern)))
                    .forEach(c -> by.add(c.product().name()));
            all.add(new Served(
                    concern.concern().words(),
                    concern.weight(),
                    List.copyOf(by),
                    servedBecause(concern, by, forbidden)));
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

    private Because servedBecause(
            RankedConcern concern, Set<String> by, Function<Product, Optional<Because>> forbidden) {
        if (!by.isEmpty()) {
            return concern.because();
        }
        if (!weigher.concerns().contains(concern)) {
            return Because.house("Not among the heaviest; it waits until those are better.");
        }
        if (skin.barrier().calmReset()) {
            return Because.house("Nothing for %s yet: the barrier comes first."
                    .formatted(concern.concern().words()));
        }
        return outweighed(concern)
                .or(() -> keptOut(concern, forbidden))
                .orElseGet(() -> Because.house("Nothing on the shelf or in the catalogue helps %s."
                        .formatted(concern.concern().words())));
    }

    /** What could stand and does not, and the one limit that holds it back: let out, it would come in. */
    private Optional<Because> outweighed(RankedConcern concern) {
        Optional<Candidate> best = slots.stream()
                .flatMap(s -> s.candidates().stream())
                .filter(c -> share(c, concern) > 0)
                .max(Comparator.comparingDouble((Candidate c) -> share(c, concern))
                        .thenComparing(c -> c.product().id()));
        return best.map(c -> limits().heldBack(found.chosen(), x -> share(x, concern) > 0, f -> by(f, concern))
                .map(held -> Because.house("%s would help; %s.".formatted(held.name(), held.words())))
                .orElseGet(() -> Because.house(standsAside(c))));
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

    /** Of what no single limit holds back: whom it does not go with, or that it is not worth a step. */
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
                                        : "%s would help; within the limits, which no single one decides, other steps come first.")
                                .formatted(c.product().name()));
    }

    /** The best that there is, and what keeps it out altogether. */
    private Optional<Because> keptOut(RankedConcern concern, Function<Product, Optional<Because>> forbidden) {
        return consultation.products().stream()
                .filter(p -> helps(p, concern) > 0)
                .max(Comparator.comparingDouble((Product p) -> helps(p, concern))
                        .thenComparing(Product::id))
                .map(p -> forbidden
                        .apply(p)
                        .or(() -> suits.against(p, Part.EVENING))
                        .map(because ->
                                because.withSentence("%s would help, but: %s".formatted(p.name(), because.sentence())))
                        .orElseGet(() ->
                                Because.house("%s would help; %s, this skin and this month have no place for a %s now."
                                        .formatted(
                                                p.name(),
                                                consultation.method().name(),
                                                Kinds.of(p.kind()).label().toLowerCase(Locale.ROOT)))));
    }

    /** What the method asks for and does not get, with the limit that holds it back. */
    List<Because> askedFor() {
        List<Because> all = new ArrayList<>();
        Set<String> said = new LinkedHashSet<>();
        for (Slots.Place place : places.places()) {
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
                String why = !open
                        ? "nothing on the shelf or in the catalogue that suits may stand there"
                        : limits().heldBack(
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
                                .orElse("other steps come first");
                all.add(Because.custom("%s asks for %s in the %s; %s."
                        .formatted(
                                consultation.method().name(), what, place.part().words(), why)));
            }
        }
        return all;
    }

    private double helps(Product p, RankedConcern concern) {
        return weigher.helps(p, 7).stream()
                .filter(h -> h.concern() == concern.concern())
                .mapToDouble(Benefits.Help::share)
                .max()
                .orElse(0);
    }

    /** @param barred what may not stand, and what only waits */
    public List<ShelfAdvice> shelf(Barred barred) {
        Set<ProductId> used = new LinkedHashSet<>();
        found.chosen().stream()
                .flatMap(Optional::stream)
                .forEach(c -> used.add(c.product().id()));
        return consultation.shelf().stream()
                .map(Owned::product)
                .map(p -> advice(p, used.contains(p.id()), barred))
                .toList();
    }

    private ShelfAdvice advice(Product p, boolean used, Barred barred) {
        if (used) {
            return new ShelfAdvice(p.id(), p.name(), Fate.USED, Because.house("It has its place in the plan."));
        }
        Optional<Because> forbidden = barred.anywhere(p);
        if (forbidden.isPresent()) {
            return new ShelfAdvice(p.id(), p.name(), barred.onlyWaits(p) ? Fate.WAITS : Fate.STOP, forbidden.get());
        }
        return new ShelfAdvice(p.id(), p.name(), Fate.SET_ASIDE, Because.house(setAside(p)));
    }

    private String setAside(Product p) {
        Optional<String> against = suits.against(p, Part.EVENING)
                .or(() -> suits.against(p, Part.MORNING))
                .map(b -> b.sentence())
                .or(() -> waits(p))
                .or(() -> slots.stream()
                        .flatMap(s -> s.candidates().stream())
                        .filter(c -> c.product().id().equals(p.id()))
                        .flatMap(c -> c.points().stream())
                        .filter(point -> point.points() < 0 && !point.reason().equals("one more step"))
                        .map(point -> "What speaks against it: %s.".formatted(point.reason()))
                        .findFirst());
        Optional<Candidate> stands = found.chosen().stream()
                .flatMap(Optional::stream)
                .filter(c -> c.product().kind() == p.kind())
                .findFirst();
        String why = against.orElseGet(() -> stands.map(c -> "%s does more as %s now."
                        .formatted(c.product().name(), Kinds.of(p.kind()).label()))
                .orElseGet(() -> "No %s is asked for now."
                        .formatted(Kinds.of(p.kind()).label().toLowerCase(Locale.ROOT))));
        boolean unsuited = suits.against(p, Part.EVENING).isPresent();
        return unsuited ? why : why + keepFor(p, stands);
    }

    /** A thing that waits beside a retinoid which is new. */
    private Optional<String> waits(Product p) {
        return found.chosen().stream()
                .flatMap(Optional::stream)
                .map(Candidate::product)
                .filter(o -> p.hasAny(weigher.waitBeside(o)))
                .findFirst()
                .map(o ->
                        "It waits beside %s: nothing that exfoliates stands beside a new retinoid in its first twelve weeks."
                                .formatted(o.name()));
    }

    /** When its time comes: other air, or the end of what stands in its place. */
    private String keepFor(Product p, Optional<Candidate> stands) {
        Set<Month> months = EnumSet.noneOf(Month.class);
        for (Month month : Month.values()) {
            if (month != consultation.month() && asksFor(p, asked(month)) && !asksFor(p, asked(consultation.month()))) {
                months.add(month);
            }
        }
        if (!months.isEmpty()) {
            return " Keep it for %s, when the air asks for it.".formatted(Months.words(months));
        }
        return stands.filter(c -> !c.product().prescription())
                .map(c -> " Keep it closed until %s is empty."
                        .formatted(c.product().name()))
                .orElse("");
    }

    private Asked asked(Month month) {
        return consultation.in(month).ask(skin, safety);
    }

    /** Whether a month's air has a place for it: an oil, a seal, a new strong step, a cream of that weight. */
    private static boolean asksFor(Product p, Asked asked) {
        return switch (p.kind()) {
            case OIL -> asked.oil().yes();
            case SEAL -> asked.seal().yes();
            case TREATMENT ->
                !(p.has(ActiveKind.RETINOID) && !asked.newRetinoid().yes())
                        && !(p.has(ActiveKind.AHA) && !asked.newAcid().yes());
            case MOISTURISER -> Math.abs(p.texture() - asked.moisturiser().grade()) < HALF_A_GRADE;
            default -> true;
        };
    }

    public List<Because> notices() {
        return Stream.concat(askedFor().stream(), open().stream()).toList();
    }

    private List<Because> open() {
        return skin.contradictions().stream()
                .filter(c -> c.settled().isEmpty())
                .map(Contradiction::because)
                .toList();
    }
}
