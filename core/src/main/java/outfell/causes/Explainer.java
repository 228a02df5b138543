package outfell.causes;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import outfell.aims.Barred;
import outfell.aims.Candidate;
import outfell.aims.Posed;
import outfell.aims.Slot;
import outfell.aims.Slots;
import outfell.aims.Suits;
import outfell.aims.Weigher;
import outfell.causes.Alternatives.Alternative;
import outfell.choice.Worth;
import outfell.choice.Worth.Aim;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.safety.SafetyVerdict;
import outfell.skin.Contradiction;
import outfell.skin.SkinVerdict;

/** Says of a choice what else could have been, what each concern gets, and what becomes of the shelf. */
public final class Explainer {
    private static final int ALTERNATIVES = 3;

    private final Consultation consultation;
    private final SkinVerdict skin;
    private final SafetyVerdict safety;
    private final Suits suits;
    private final Weigher weigher;
    private final Slots places;
    private final List<Slot> slots;
    private final Posed.Found found;
    private final SetAside setAside;
    private final Service service;

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
        this.setAside = new SetAside(consultation, skin, safety, suits, weigher, slots, found, this);
        this.service = new Service(consultation, skin, suits, weigher, places, slots, found, setAside);
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

    /** Of what kind the first difference to the plan as it stands is. */
    Cause cause(Worth worth) {
        return switch (Worth.parting(found.worth(), worth).orElse(Aim.NAME)) {
            case MONEY -> Cause.MONEY;
            case STEPS -> Cause.STEPS;
            case SCHOOL -> Cause.METHOD;
            case WANTS, COMFORT, REFINEMENT, BOTTLES, MILDNESS, NAME -> Cause.CHOICE;
        };
    }

    private String thrift(Aim aim, Candidate chosen, Candidate other) {
        double more = other.option().costs().money() - chosen.option().costs().money();
        return switch (aim) {
            case BOTTLES -> "As good, and one bottle more to buy.";
            case MONEY ->
                "As good, and %s a month dearer.".formatted(consultation.house().money(more));
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

    /** @param barred what may not stand, and what only waits */
    public List<ShelfAdvice> shelf(Barred barred) {
        return new Fates(consultation.shelf(), found, barred, setAside).all();
    }

    /** @param forbidden why a product may not be used at all */
    public List<Served> served(Function<Product, Optional<Because>> forbidden) {
        return service.served(forbidden);
    }

    /** @param forbidden why a product may not be used at all */
    public List<Because> notices(Function<Product, Optional<Because>> forbidden) {
        return Stream.concat(service.askedFor(forbidden).stream(), open().stream())
                .toList();
    }

    private List<Because> open() {
        return skin.contradictions().stream()
                .filter(c -> c.settled().isEmpty())
                .map(Contradiction::because)
                .toList();
    }
}
