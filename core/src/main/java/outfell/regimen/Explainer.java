package outfell.regimen;

import java.time.Month;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import outfell.knowledge.Because;
import outfell.product.ActiveKind;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.regimen.Consultation.Owned;
import outfell.regimen.Regimen.Alternative;
import outfell.regimen.Regimen.Alternatives;
import outfell.regimen.Regimen.Fate;
import outfell.regimen.Regimen.Served;
import outfell.regimen.Regimen.ShelfAdvice;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.skin.Contradiction;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.RankedConcern;

/** Says of a choice what else could have been, what each concern gets, and what becomes of the shelf. */
final class Explainer {
    private static final int ALTERNATIVES = 3;
    /** A cream within it has the weight that is asked for. */
    private static final double HALF_A_GRADE = 0.51;

    private final Consultation consultation;
    private final SkinVerdict skin;
    private final SafetyVerdict safety;
    private final List<Slot> slots;
    private final Search.Found found;
    private final Search search;

    Explainer(
            Consultation consultation,
            SkinVerdict skin,
            SafetyVerdict safety,
            List<Slot> slots,
            Search.Found found,
            Search search) {
        this.consultation = consultation;
        this.skin = skin;
        this.safety = safety;
        this.slots = slots;
        this.found = found;
        this.search = search;
    }

    List<Alternatives> alternatives() {
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
        double[] scores = search.scoresWith(found.chosen(), s);
        return IntStream.range(0, scores.length)
                .filter(i -> !Double.isNaN(scores[i])
                        && !inPlan.contains(candidates.get(i).product().id()))
                .boxed()
                .sorted(Comparator.comparingDouble((Integer i) -> -scores[i])
                        .thenComparing(i -> candidates.get(i).product().id()))
                .limit(ALTERNATIVES)
                .map(i -> alternative(chosen, candidates.get(i), found.score() - scores[i]))
                .toList();
    }

    private Alternative alternative(Candidate chosen, Candidate other, double behind) {
        double price = other.product().price() - chosen.product().price();
        return new Alternative(
                other.product().id(),
                other.product().name(),
                Math.max(0, Math.round(behind * 10) / 10.0),
                Math.round(price * 100) / 100.0,
                Because.house(why(chosen, other, behind)));
    }

    /** The one difference that weighs most against the other. */
    private String why(Candidate chosen, Candidate other, double behind) {
        String reason = behind < 1
                ? "Nearly the same; decided by price, then mildness."
                : "What it helps is served already by other steps.";
        double most = 0.05;
        Map<String, Double> differences = new HashMap<>();
        chosen.points().forEach(p -> differences.merge(p.reason(), p.points(), Double::sum));
        other.points().forEach(p -> differences.merge(p.reason(), -p.points(), Double::sum));
        for (Map.Entry<String, Double> d : new java.util.TreeMap<>(differences).entrySet()) {
            if (d.getValue() > most) {
                most = d.getValue();
                boolean its = other.points().stream().anyMatch(p -> p.reason().equals(d.getKey()));
                reason = its ? "Behind for %s.".formatted(d.getKey()) : "Ahead of it: %s.".formatted(d.getKey());
            }
        }
        for (int c = 0; c < chosen.helps().length; c++) {
            double less = chosen.helps()[c] - other.helps()[c];
            if (less > most) {
                most = less;
                reason = "Does less for %s."
                        .formatted(skin.concerns().get(c).concern().words());
            }
        }
        return reason;
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
        if (skin.concerns().indexOf(concern) >= consultation.house().yardstick().mostConcerns()) {
            return Because.house("Not among the heaviest; it waits until those are better.");
        }
        if (skin.barrier().calmReset()) {
            return Because.house("Nothing for %s yet: the barrier comes first."
                    .formatted(concern.concern().words()));
        }
        return Because.house(wouldHelp(concern, forbidden)
                .orElseGet(() -> "Nothing on the shelf or in the catalogue helps %s."
                        .formatted(concern.concern().words())));
    }

    /** The best that is there for a concern and not in the plan, and what keeps it out. */
    private Optional<String> wouldHelp(RankedConcern concern, Function<Product, Optional<Because>> forbidden) {
        Optional<String> outweighed = slots.stream()
                .flatMap(s -> s.candidates().stream())
                .filter(c -> share(c, concern) > 0)
                .max(Comparator.comparingDouble((Candidate c) -> share(c, concern))
                        .thenComparing(c -> c.product().id()))
                .map(c -> "%s would help; within these limits other steps bring more."
                        .formatted(c.product().name()));
        return outweighed.or(() -> consultation.products().stream()
                .filter(p -> helps(p, concern) > 0)
                .max(Comparator.comparingDouble((Product p) -> helps(p, concern))
                        .thenComparing(Product::id))
                .map(p -> forbidden
                        .apply(p)
                        .map(because -> "%s would help, but: %s".formatted(p.name(), because.sentence()))
                        .orElseGet(() -> "%s would help; %s, this skin and this month have no place for a %s now."
                                .formatted(
                                        p.name(),
                                        consultation.method().name(),
                                        Kinds.of(p.kind()).label().toLowerCase(Locale.ROOT)))));
    }

    private double helps(Product p, RankedConcern concern) {
        return Benefits.of(p, 7, consultation.house().yardstick()).stream()
                .filter(h -> h.concern() == concern.concern())
                .mapToDouble(Benefits.Help::share)
                .max()
                .orElse(0);
    }

    /** @param barred what may not stand, and what only waits */
    List<ShelfAdvice> shelf(Barred barred) {
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
        Optional<String> against = slots.stream()
                .flatMap(s -> s.candidates().stream())
                .filter(c -> c.product().id().equals(p.id()))
                .flatMap(c -> c.points().stream())
                .filter(point -> point.points() < 0 && !point.reason().equals("one more step"))
                .map(point -> "What speaks against it: %s.".formatted(point.reason()))
                .findFirst();
        Optional<Candidate> stands = found.chosen().stream()
                .flatMap(Optional::stream)
                .filter(c -> c.product().kind() == p.kind())
                .findFirst();
        String why = against.orElseGet(() -> stands.map(c -> "%s does more as %s now."
                        .formatted(c.product().name(), Kinds.of(p.kind()).label()))
                .orElseGet(() -> "No %s is asked for now."
                        .formatted(Kinds.of(p.kind()).label().toLowerCase(Locale.ROOT))));
        return why + keepFor(p, stands);
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
        return Planner.ask(consultation.in(month), skin, safety);
    }

    /** Whether a month's air has a place for it: an oil, a seal, a new strong step, a cream of that weight. */
    private static boolean asksFor(Product p, Asked asked) {
        return switch (p.kind()) {
            case OIL -> asked.oil().yes();
            case SEAL -> asked.seal().yes();
            case TREATMENT ->
                !(p.has(ActiveKind.RETINOID) && !asked.newRetinoid().yes())
                        && !(p.has(ActiveKind.AHA) && !asked.newAcid().yes());
            case MOISTURISER ->
                asked.moisturiserNeeded().yes()
                        && Math.abs(p.texture() - asked.moisturiser().grade()) < HALF_A_GRADE;
            default -> true;
        };
    }

    List<Because> notices() {
        return skin.contradictions().stream()
                .filter(c -> c.settled().isEmpty())
                .map(Contradiction::because)
                .toList();
    }
}
