package outfell.changes;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import outfell.causes.Cause;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.ByHand;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Consultation.Owned;
import outfell.consultation.Parts;
import outfell.knowledge.Because;
import outfell.method.Methods;
import outfell.method.Schools;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.regimen.Outcome;
import outfell.routine.Adjustment;
import outfell.season.Asked;
import outfell.season.Lever;

/** Everything in which two consultations differ, each by itself, the heaviest kinds first. */
final class Facts {
    private final Consultation from;
    private final Consultation to;
    private final Outcome planned;
    private final Airs airs;
    private final List<Fact> all = new ArrayList<>();

    private Facts(Consultation from, Consultation to, Outcome planned, Airs airs) {
        this.airs = airs;
        this.from = from;
        this.to = to;
        this.planned = planned;
    }

    /**
     * @param planned what the second leads to
     * @param airs what the air asks of each
     */
    static List<Fact> between(Consultation from, Consultation to, Outcome planned, Airs airs) {
        Facts facts = new Facts(from, to, planned, airs);
        new SafetyFacts(from, to, planned, facts.all).find();
        new SkinFacts(from, to, facts.all).find();
        facts.air();
        facts.method();
        new LifeFacts(from, to, facts.all).find();
        facts.shelf();
        facts.hand();
        facts.time();
        new PracticeFacts(from, to, facts.all).find();
        facts.rest();
        return List.copyOf(facts.all);
    }

    /** A part of the consultation put back. */
    static UnaryOperator<Case> part(UnaryOperator<Parts> back) {
        return c -> c.with(back.apply(c.consultation().parts()).together());
    }

    /** A list with one of its entries as it was: the others stay as they are. */
    static <T> List<T> restored(List<T> now, Optional<T> entry, Optional<T> before) {
        List<T> all = new ArrayList<>(now);
        if (entry.isPresent() && before.isPresent()) {
            all.replaceAll(x -> x.equals(entry.get()) ? before.get() : x);
        } else {
            entry.ifPresent(all::remove);
            before.ifPresent(all::add);
        }
        return all;
    }

    /** The air by what it asks of this skin, each by itself; the month and the place ask nothing else. */
    private void air() {
        Asked now = airs.to().ask(to, planned.skin(), planned.safety());
        Asked before = airs.from()
                .ask(to.parts().site(from.site()).month(from.month()).together(), planned.skin(), planned.safety());
        for (Lever lever : Lever.values()) {
            if (lever.differs(now, before)) {
                all.add(new Fact("air " + lever, Cause.AIR, lever.because(now), c -> c.with(lever)));
            }
        }
    }

    /** A method by its answers, each by itself where the others do not speak against it. */
    private void method() {
        if (from.method().equals(to.method())) {
            return;
        }
        for (Schools.SchoolAnswer was : Schools.of(from.method())) {
            Schools.SchoolAnswer is = Schools.of(to.method()).stream()
                    .filter(a -> a.id().equals(was.id()))
                    .findFirst()
                    .orElseThrow();
            if (!is.value().equals(was.value())) {
                all.add(new Fact(
                        "method " + is.id(),
                        Cause.METHOD,
                        to.method()
                                .because()
                                .withSentence("%s %s: %s. %s: %s."
                                        .formatted(
                                                is.question(),
                                                to.method().name(),
                                                is.answer(),
                                                from.method().name(),
                                                was.answer())),
                        c -> c.with(c.consultation()
                                .by(Methods.answering(c.consultation().method(), is.id(), was.value())))));
            }
        }
    }

    private void shelf() {
        Map<ProductId, Owned> was = owned(from);
        Map<ProductId, Owned> is = owned(to);
        for (ProductId id : union(was, is)) {
            Optional<Owned> before = Optional.ofNullable(was.get(id));
            Optional<Owned> now = Optional.ofNullable(is.get(id));
            if (!before.equals(now)) {
                all.add(new Fact(
                        "shelf " + id.value(),
                        Cause.SHELF,
                        Because.house(ownedWords(before, now)),
                        c -> c.with(c.consultation()
                                .parts()
                                .shelf(restored(c.consultation().shelf(), now, before))
                                .together())));
            }
        }
    }

    private static String ownedWords(Optional<Owned> before, Optional<Owned> now) {
        if (now.isEmpty()) {
            return "%s is no longer on the client’s shelf."
                    .formatted(before.orElseThrow().product().name());
        }
        String name = now.get().product().name();
        if (before.isEmpty()) {
            return "%s is on the client’s shelf now.".formatted(name);
        }
        return before.get().weeks() != now.get().weeks()
                ? "%s has been used for %d weeks; it was %d."
                        .formatted(name, now.get().weeks(), before.get().weeks())
                : "%s stands otherwise on the client’s shelf: its list, its nights, the day it was opened, or how it is used and how it feels."
                        .formatted(name);
    }

    private void hand() {
        ByHand was = from.byHand();
        ByHand is = to.byHand();
        choices(
                "put in",
                was.pins(),
                is.pins(),
                (hand, pins) -> new ByHand(pins, hand.left(), hand.adjustments()),
                ByHand::pins);
        choices(
                "taken out",
                was.left(),
                is.left(),
                (hand, left) -> new ByHand(hand.pins(), left, hand.adjustments()),
                ByHand::left);
        for (Choice step : steps(was, is)) {
            Optional<Adjustment> before = adjusted(was, step);
            Optional<Adjustment> now = adjusted(is, step);
            if (!before.equals(now)) {
                all.add(new Fact(
                        "hand changed " + step,
                        Cause.HAND,
                        Because.custom(adjustedWords(step, before, now)),
                        hand(h -> new ByHand(h.pins(), h.left(), restored(h.adjustments(), now, before)))));
            }
        }
    }

    private interface Putting {
        ByHand into(ByHand hand, List<Choice> choices);
    }

    private void choices(
            String how, List<Choice> was, List<Choice> is, Putting into, Function<ByHand, List<Choice>> of) {
        for (Choice choice : Stream.concat(is.stream(), was.stream()).distinct().toList()) {
            Optional<Choice> before = Optional.of(choice).filter(was::contains);
            Optional<Choice> now = Optional.of(choice).filter(is::contains);
            if (!before.equals(now)) {
                all.add(new Fact(
                        "hand " + how + " " + choice,
                        Cause.HAND,
                        Because.custom("%s is %s by hand in the %s%s."
                                .formatted(
                                        name(choice.product()),
                                        how,
                                        choice.part().words(),
                                        now.isPresent() ? "" : " no more")),
                        hand(h -> into.into(h, restored(of.apply(h), now, before)))));
            }
        }
    }

    private static UnaryOperator<Case> hand(UnaryOperator<ByHand> back) {
        return c -> c.with(c.consultation().by(back.apply(c.consultation().byHand())));
    }

    private static List<Choice> steps(ByHand was, ByHand is) {
        return Stream.concat(is.adjustments().stream(), was.adjustments().stream())
                .map(a -> new Choice(a.part(), a.product()))
                .distinct()
                .toList();
    }

    private static Optional<Adjustment> adjusted(ByHand hand, Choice step) {
        return hand.adjustments().stream()
                .filter(a -> a.part() == step.part() && a.product().equals(step.product()))
                .findFirst();
    }

    private String adjustedWords(Choice step, Optional<Adjustment> before, Optional<Adjustment> now) {
        String name = name(step.product());
        String where = step.part().words();
        if (now.isEmpty()) {
            return "%s is no longer changed by hand in the %s.".formatted(name, where);
        }
        String why = now.get().move().map(Adjustment.Move::why).orElse("");
        return before.isPresent()
                ? "%s is changed otherwise by hand in the %s.".formatted(name, where)
                : "%s is changed by hand in the %s%s%s."
                        .formatted(name, where, why.isBlank() ? "" : ": ", why.isBlank() ? "" : why);
    }

    private String name(ProductId id) {
        return to.find(id).or(() -> from.find(id)).map(Product::name).orElse(id.value());
    }

    private void time() {
        if (!from.standing().equals(to.standing())) {
            all.add(new Fact(
                    "time",
                    Cause.TIME,
                    Because.house(
                            to.standing().weeks() > 0
                                    ? "By then the skin has had %d weeks to get used to what stands now."
                                            .formatted(to.standing().weeks())
                                    : "Nothing has been used until now."),
                    part(p -> p.standing(from.standing()))));
        }
    }

    /** Whatever else there is, so that with everything taken back the first of the two is left. */
    private void rest() {
        Case back = new Case(to, from, airs, Set.of());
        for (Fact fact : all) {
            back = fact.back().apply(back);
        }
        Consultation left = back.consultation();
        boolean whole = left.parts()
                .site(from.site())
                .month(from.month())
                .method(left.method().settings().equals(from.method().settings()) ? from.method() : left.method())
                .together()
                .equals(from);
        if (!whole) {
            all.add(Fact.rest(
                    Cause.PRACTICE,
                    Because.house("What was noted of the client stands otherwise."),
                    c -> c.with(from)));
        }
    }

    private static Map<ProductId, Owned> owned(Consultation of) {
        Map<ProductId, Owned> all = new LinkedHashMap<>();
        of.shelf().forEach(o -> all.put(o.product().id(), o));
        return all;
    }

    static <T> Set<ProductId> union(Map<ProductId, T> a, Map<ProductId, T> b) {
        Set<ProductId> all = new LinkedHashSet<>(b.keySet());
        all.addAll(a.keySet());
        return all;
    }
}
