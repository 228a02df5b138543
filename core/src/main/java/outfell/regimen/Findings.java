package outfell.regimen;

import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import outfell.aims.Barred;
import outfell.conflict.Conflicts;
import outfell.conflict.Meeting;
import outfell.conflict.Meetings;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.knowledge.Because;
import outfell.knowledge.RuleId;
import outfell.product.ActiveIn;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Adjustment;
import outfell.routine.Part;
import outfell.routine.Routine;
import outfell.routine.Step;
import outfell.skin.SkinVerdict;

/** What the steps of a plan do to one another: within a product, a routine, a night and the whole plan, gravest first. */
public final class Findings {
    /**
     * One meeting of two products, or of one with its hour or the skin.
     *
     * @param names of the products, one or two
     * @param otherSchool may be empty
     * @param repairs checked: each, done, takes this away and brings nothing as grave
     */
    public record Met(
            RuleId id,
            Meeting meeting,
            List<ProductId> products,
            List<String> names,
            Because because,
            String otherSchool,
            List<Repair> repairs) {
        boolean grave() {
            return meeting == Meeting.NEVER || meeting == Meeting.AM_PM || meeting == Meeting.NIGHTS;
        }

        boolean same(Met other) {
            return id.equals(other.id) && products.equals(other.products);
        }

        Met with(List<Repair> found) {
            return new Met(id, meeting, products, names, because, otherSchool, found);
        }
    }

    /** What mends a finding. */
    public enum Mend {
        MOVE,
        OTHER_NIGHTS,
        TAKE_OUT
    }

    /**
     * @param from the routine that the product stands in now
     * @param nights for other nights: which; else none
     */
    public record Repair(Mend mend, Part from, ProductId product, List<DayOfWeek> nights, String words) {}

    /** One step with its product and nights. */
    private record Placed(Part part, int at, Step step, Product product) {}

    private Findings() {}

    /** All that meets in a consultation's plan, each with the repairs that mend it. */
    static List<Met> of(Consultation consultation) {
        if (!(Planner.plan(consultation) instanceof Outcome.Planned planned)) {
            return List.of();
        }
        List<Met> all = in(consultation, planned);
        return all.stream()
                .map(f -> f.grave() || f.meeting() == Meeting.CAUTION
                        ? f.with(repairs(consultation, f, all, planned))
                        : f)
                .toList();
    }

    private static List<Met> in(Consultation consultation, Outcome.Planned planned) {
        List<Placed> placed = new ArrayList<>();
        for (Part part : Part.values()) {
            Routine routine = planned.regimen().routine(part);
            for (int i = 0; i < routine.steps().size(); i++) {
                int at = i;
                consultation
                        .find(routine.steps().get(i).product())
                        .ifPresent(p ->
                                placed.add(new Placed(part, at, routine.steps().get(at), p)));
            }
        }
        Map<String, Met> found = new LinkedHashMap<>();
        for (Placed x : placed) {
            for (Meetings.Rule rule : consultation.house().conflicts().meetings()) {
                alone(rule, x, planned.skin()).ifPresent(f -> found.putIfAbsent(key(f), f));
            }
            for (Placed y : placed) {
                if (x != y) {
                    pairs(consultation.house().conflicts(), x, y, planned.skin())
                            .forEach(f -> found.putIfAbsent(key(f), f));
                }
            }
        }
        return found.values().stream()
                .sorted(Comparator.comparing(Met::meeting).thenComparing(m -> m.id().value()))
                .toList();
    }

    private static String key(Met f) {
        List<String> ids =
                new ArrayList<>(f.products().stream().map(ProductId::value).toList());
        Collections.sort(ids);
        return f.id().value() + ids;
    }

    private static Optional<Met> alone(Meetings.Rule rule, Placed x, SkinVerdict skin) {
        boolean here = rule.where() == Meetings.Where.PRODUCT
                && rule.a().test(x.product())
                && rule.b().map(b -> b.test(x.product())).orElse(true)
                && Barred.holds(rule, x.part(), skin);
        return here
                ? Optional.of(new Met(
                        rule.id(),
                        rule.meeting(),
                        List.of(x.product().id()),
                        List.of(x.product().name()),
                        rule.because(),
                        rule.otherSchool(),
                        List.of()))
                : Optional.empty();
    }

    private static List<Met> pairs(Conflicts conflicts, Placed x, Placed y, SkinVerdict skin) {
        List<Met> all = new ArrayList<>();
        for (Meetings.Rule rule : conflicts.meetings()) {
            if (rule.b().isPresent()
                    && rule.where() != Meetings.Where.PRODUCT
                    && !x.product().id().equals(y.product().id())
                    && rule.a().test(x.product())
                    && rule.b().get().test(y.product())
                    && near(rule.where(), x, y)
                    && Barred.holds(rule, x.part(), skin)) {
                all.add(pair(rule.id(), rule.meeting(), x, y, rule.because(), rule.otherSchool()));
            }
        }
        if (x.part() == y.part() && x.at() < y.at() && oneNight(x, y)) {
            for (ActiveIn a : Conflicts.held(x.product())) {
                for (ActiveIn b : Conflicts.held(y.product())) {
                    conflicts
                            .interactions()
                            .between(x.product(), a.kind(), y.product(), b.kind())
                            .ifPresent(i -> all.add(pair(i.id(), i.meeting(), x, y, i.because(), i.otherSchool())));
                }
            }
        }
        return all;
    }

    private static boolean near(Meetings.Where where, Placed x, Placed y) {
        return switch (where) {
            case PRODUCT -> false;
            case ORDER -> x.part() == y.part() && x.at() < y.at() && oneNight(x, y);
            case NIGHT -> x.part() == y.part() && oneNight(x, y);
            case ROUTINE -> x.part() == y.part();
            case PLAN -> true;
        };
    }

    private static boolean oneNight(Placed x, Placed y) {
        return !Collections.disjoint(x.step().nights(), y.step().nights());
    }

    private static Met pair(RuleId id, Meeting meeting, Placed x, Placed y, Because because, String otherSchool) {
        return new Met(
                id,
                meeting,
                List.of(x.product().id(), y.product().id()),
                List.of(x.product().name(), y.product().name()),
                because,
                otherSchool,
                List.of());
    }

    // ---- what mends

    private static List<Repair> repairs(
            Consultation consultation, Met finding, List<Met> before, Outcome.Planned planned) {
        List<Repair> all = new ArrayList<>();
        for (Part part : Part.values()) {
            for (Step step : planned.regimen().routine(part).steps()) {
                if (finding.products().contains(step.product()) && !step.prescription()) {
                    Choice here = new Choice(part, step.product());
                    Choice there = new Choice(part == Part.MORNING ? Part.EVENING : Part.MORNING, step.product());
                    if (mends(consultation.leaving(here).with(there), finding, before, Optional.of(there))) {
                        all.add(new Repair(
                                Mend.MOVE,
                                part,
                                step.product(),
                                List.of(),
                                "Move %s to the %s"
                                        .formatted(step.name(), there.part().words())));
                    }
                    otherNights(consultation, finding, before, planned, step, part)
                            .ifPresent(all::add);
                    if (mends(consultation.leaving(here), finding, before, Optional.empty())) {
                        all.add(new Repair(
                                Mend.TAKE_OUT,
                                part,
                                step.product(),
                                List.of(),
                                out(consultation.leaving(here), part, step, planned)));
                    }
                }
            }
        }
        return List.copyOf(all);
    }

    /** The step on nights that the other of a pair leaves free; the wash, the cream and a prescription keep theirs. */
    private static Optional<Repair> otherNights(
            Consultation consultation, Met finding, List<Met> before, Outcome.Planned planned, Step step, Part part) {
        boolean daily = step.kind() == StepKind.WASH
                || step.kind() == StepKind.FIRST_CLEANSE
                || step.kind() == StepKind.MOISTURISER;
        if (part == Part.MORNING || daily || finding.products().size() < 2) {
            return Optional.empty();
        }
        Set<DayOfWeek> free = EnumSet.allOf(DayOfWeek.class);
        planned.regimen().evening().steps().stream()
                .filter(s -> !s.product().equals(step.product()) && !s.everyDay())
                .filter(s -> !step.everyDay() || finding.products().contains(s.product()))
                .forEach(s -> free.removeAll(s.nights()));
        List<DayOfWeek> nights =
                free.stream().limit(step.everyDay() ? 7 : step.nights().size()).toList();
        if (nights.isEmpty() || nights.size() == 7 || nights.equals(step.nights())) {
            return Optional.empty();
        }
        Adjustment now = Adjustment.of(consultation.byHand().adjustments(), part, step.product());
        Consultation changed = consultation.by(consultation.byHand().with(now.on(nights)));
        return mends(changed, finding, before, Optional.of(new Choice(part, step.product())))
                ? Optional.of(new Repair(
                        Mend.OTHER_NIGHTS,
                        part,
                        step.product(),
                        nights,
                        "%s on %s only".formatted(step.name(), words(nights))))
                : Optional.empty();
    }

    private static String words(List<DayOfWeek> nights) {
        return nights.stream()
                .map(n -> n.getDisplayName(TextStyle.SHORT, Locale.ENGLISH))
                .collect(Collectors.joining(", "));
    }

    /** What comes in its place, when something of its kind does. */
    private static String out(Consultation changed, Part part, Step step, Outcome.Planned before) {
        return Planner.plan(changed) instanceof Outcome.Planned planned
                ? planned.regimen().routine(part).steps().stream()
                        .filter(s -> s.kind() == step.kind()
                                && !before.regimen().products().contains(s.product()))
                        .findFirst()
                        .map(s -> "Put %s in place of %s".formatted(s.name(), step.name()))
                        .orElseGet(() -> "Take %s out of the %s".formatted(step.name(), part.words()))
                : "Take %s out of the %s".formatted(step.name(), part.words());
    }

    /** Planned again with the change: it is followed, this finding is gone, and nothing as grave has come. */
    private static boolean mends(Consultation changed, Met finding, List<Met> before, Optional<Choice> asked) {
        if (!(Planner.plan(changed) instanceof Outcome.Planned planned)) {
            return false;
        }
        boolean followed =
                asked.map(c -> planned.regimen().choices().contains(c)).orElse(true);
        List<Met> after = in(changed, planned);
        return followed
                && after.stream().noneMatch(f -> f.same(finding))
                && after.stream()
                        .filter(f -> f.meeting().compareTo(finding.meeting()) <= 0)
                        .allMatch(f -> before.stream().anyMatch(f::same));
    }
}
