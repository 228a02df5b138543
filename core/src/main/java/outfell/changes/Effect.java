package outfell.changes;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import outfell.changes.Change.What;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.regimen.Bare;
import outfell.regimen.Regimen;
import outfell.routine.BareStep;
import outfell.routine.Part;
import outfell.routine.Step;

/**
 * One difference between two plans.
 *
 * @param products what it is about, as it stood and as it stands
 * @param undone whether a plan is without it
 */
record Effect(
        Part part, StepKind kind, What what, String from, String to, List<ProductId> products, Predicate<Bare> undone) {
    /** What an amount may be off by and still be the same, as a share. */
    private static final double SAME = 0.02;

    /** Routine after routine, in the order of work. */
    static List<Effect> between(Regimen was, Regimen is) {
        List<Effect> all = new ArrayList<>();
        for (Part part : Part.values()) {
            for (StepKind kind : StepKind.values()) {
                of(part, kind, was, is, all);
            }
            moved(part, was, is, all);
        }
        return List.copyOf(all);
    }

    private static void of(Part part, StepKind kind, Regimen was, Regimen is, List<Effect> all) {
        List<Step> before = new ArrayList<>(steps(was, part, kind));
        List<Step> after = new ArrayList<>(steps(is, part, kind));
        for (Step step : List.copyOf(before)) {
            at(after, step.product()).ifPresent(now -> {
                before.remove(step);
                after.remove(now);
                kept(part, step, now, all);
            });
        }
        while (!before.isEmpty() && !after.isEmpty()) {
            Step out = before.removeFirst();
            Step in = after.removeFirst();
            all.add(new Effect(
                    part,
                    kind,
                    What.REPLACED,
                    out.name(),
                    in.name(),
                    List.of(out.product(), in.product()),
                    r -> find(r, part, out.product()).isPresent()
                            && find(r, part, in.product()).isEmpty()));
        }
        for (Step out : before) {
            all.add(new Effect(
                    part,
                    kind,
                    What.TAKEN_OUT,
                    out.name(),
                    "",
                    List.of(out.product()),
                    r -> find(r, part, out.product()).isPresent()));
        }
        for (Step in : after) {
            all.add(new Effect(
                    part,
                    kind,
                    What.PUT_IN,
                    "",
                    in.name(),
                    List.of(in.product()),
                    r -> find(r, part, in.product()).isEmpty()));
        }
    }

    /** What is otherwise of a step that stands in both. */
    private static void kept(Part part, Step was, Step is, List<Effect> all) {
        if (was.aWeek() != is.aWeek()) {
            all.add(new Effect(
                    part,
                    is.kind(),
                    What.OTHER_NIGHTS,
                    "%s, %d a week".formatted(was.name(), was.aWeek()),
                    "%s, %d a week".formatted(is.name(), is.aWeek()),
                    List.of(is.product()),
                    r -> find(r, part, was.product())
                            .filter(s -> s.aWeek() == was.aWeek())
                            .isPresent()));
        }
        if (!BareStep.of(was).then().equals(BareStep.of(is).then())) {
            all.add(new Effect(
                    part,
                    is.kind(),
                    What.OTHER_BESIDE,
                    beside(was, BareStep.of(was)),
                    beside(is, BareStep.of(is)),
                    List.of(is.product()),
                    r -> find(r, part, was.product())
                            .filter(s -> s.then().equals(BareStep.of(was).then()))
                            .isPresent()));
        }
        if (!same(BareStep.of(was), BareStep.of(is))) {
            all.add(new Effect(
                    part,
                    is.kind(),
                    What.OTHER_AMOUNT,
                    "%s, %s".formatted(was.name(), amount(was, is)),
                    "%s, %s".formatted(is.name(), amount(is, was)),
                    List.of(is.product()),
                    r -> find(r, part, was.product())
                            .filter(s -> same(s, BareStep.of(was)))
                            .isPresent()));
        }
    }

    private static String beside(Step step, BareStep bare) {
        return bare.then().isEmpty() ? step.name() : "%s, %s".formatted(step.name(), bare.then());
    }

    /** In words; where those are the same for both, in grams. */
    private static String amount(Step of, Step other) {
        String words = of.amount().words();
        return words.equals(other.amount().words())
                ? "%s (%s g)"
                        .formatted(
                                words,
                                String.format(Locale.ROOT, "%.2f", of.amount().grams()))
                : words;
    }

    private static boolean same(BareStep a, BareStep b) {
        return Math.abs(a.grams() - b.grams()) <= SAME * a.grams() && a.words().equals(b.words());
    }

    /** Of the steps in both, those that have changed places with another; the fewest that explain it. */
    private static void moved(Part part, Regimen was, Regimen is, List<Effect> all) {
        List<ProductId> before = common(was, is, part);
        List<ProductId> after = common(is, was, part);
        Set<ProductId> byHand = is.routine(part).steps().stream()
                .filter(s -> s.hand().moved())
                .map(Step::product)
                .collect(Collectors.toSet());
        Set<ProductId> stayed = longest(before, after, byHand);
        for (ProductId product : after) {
            if (!stayed.contains(product)) {
                Step step = at(is.routine(part).steps(), product).orElseThrow();
                all.add(new Effect(
                        part,
                        step.kind(),
                        What.MOVED,
                        step.name(),
                        step.name(),
                        List.of(product),
                        r -> standsAs(r, part, product, before)));
            }
        }
    }

    /** Whether a product stands among the steps that stayed as it did. */
    private static boolean standsAs(Bare r, Part part, ProductId product, List<ProductId> before) {
        List<ProductId> now = r.routine(part).stream()
                .map(BareStep::product)
                .filter(before::contains)
                .toList();
        return now.contains(product)
                && now.stream()
                        .filter(o -> !o.equals(product))
                        .allMatch(o ->
                                now.indexOf(o) < now.indexOf(product) == before.indexOf(o) < before.indexOf(product));
    }

    private static List<ProductId> common(Regimen of, Regimen other, Part part) {
        return of.routine(part).steps().stream()
                .map(Step::product)
                .filter(p -> at(other.routine(part).steps(), p).isPresent())
                .toList();
    }

    /**
     * The longest run of products that stand in the same order in both; of several, one without those that were moved by hand.
     */
    private static Set<ProductId> longest(List<ProductId> before, List<ProductId> after, Set<ProductId> byHand) {
        List<List<ProductId>> ending = new ArrayList<>();
        List<ProductId> best = List.of();
        for (int i = 0; i < after.size(); i++) {
            ProductId product = after.get(i);
            List<ProductId> run = List.of();
            for (int j = 0; j < i; j++) {
                boolean follows = before.indexOf(after.get(j)) < before.indexOf(product);
                run = follows && weight(ending.get(j), byHand) > weight(run, byHand) ? ending.get(j) : run;
            }
            List<ProductId> longer = new ArrayList<>(run);
            longer.add(product);
            ending.add(longer);
            best = weight(longer, byHand) > weight(best, byHand) ? longer : best;
        }
        return best.stream().collect(Collectors.toSet());
    }

    /** Each product counts, and a little less when it was moved by hand. */
    private static double weight(List<ProductId> run, Set<ProductId> byHand) {
        return run.stream().mapToDouble(p -> byHand.contains(p) ? 0.99 : 1).sum();
    }

    private static List<Step> steps(Regimen regimen, Part part, StepKind kind) {
        return regimen.routine(part).steps().stream()
                .filter(s -> s.kind() == kind)
                .toList();
    }

    private static Optional<BareStep> find(Bare bare, Part part, ProductId product) {
        return bare.routine(part).stream()
                .filter(s -> s.product().equals(product))
                .findFirst();
    }

    private static Optional<Step> at(List<Step> steps, ProductId product) {
        return steps.stream().filter(s -> s.product().equals(product)).findFirst();
    }
}
