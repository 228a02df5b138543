package outfell.causes;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import outfell.aims.Candidate;
import outfell.aims.Posed;
import outfell.aims.Slot;
import outfell.aims.Weigher;
import outfell.balance.Balance;
import outfell.choice.Worth;
import outfell.knowledge.Because;
import outfell.routine.ByAir;
import outfell.routine.Part;
import outfell.season.Asked;

/** Water, oils and seal of a plan's routines, and why one that is outside its bands is not brought in. */
public final class Balanced {
    private final Weigher weigher;
    private final ByAir byAir;
    private final Asked asked;
    private final List<Slot> slots;
    private final Posed.Found found;
    private final Explainer explainer;

    /** @param byAir what the air makes of amounts in this plan */
    public Balanced(
            Weigher weigher, Asked asked, List<Slot> slots, Posed.Found found, Explainer explainer, ByAir byAir) {
        this.weigher = weigher;
        this.byAir = byAir;
        this.asked = asked;
        this.slots = slots;
        this.found = found;
        this.explainer = explainer;
    }

    public List<PartBalance> parts() {
        return Stream.of(Part.values())
                .map(part -> {
                    Balance.Gauge gauge = gauge(part, found.chosen());
                    return new PartBalance(
                            part, gauge, gauge.stays() || gauge.mends() ? Optional.empty() : Optional.of(whyNot(part)));
                })
                .toList();
    }

    private Balance.Gauge gauge(Part part, List<Optional<Candidate>> plan) {
        return Balance.gauge(
                layers(part, plan),
                weigher.target(part),
                asked.air().roomHumidity(),
                part == Part.EVENING ? "by night" : "by day");
    }

    /** What lies on the face every day: the nights' own steps are thin, and not on every night. */
    private List<Balance.Layer> layers(Part part, List<Optional<Candidate>> plan) {
        List<Balance.Layer> layers = new ArrayList<>();
        for (int s = 0; s < slots.size(); s++) {
            Slot slot = slots.get(s);
            plan.get(s)
                    .filter(c -> slot.part() == part && !c.rationed())
                    .map(c -> weigher.layer(part, c.product(), slot.required(), bothTimes(plan, c), byAir))
                    .filter(l ->
                            l.points().water() + l.points().oils() + l.points().seal() > 0)
                    .ifPresent(layers::add);
        }
        return layers;
    }

    private static boolean bothTimes(List<Optional<Candidate>> plan, Candidate candidate) {
        return plan.stream()
                        .flatMap(Optional::stream)
                        .filter(c -> c.product().id().equals(candidate.product().id()))
                        .count()
                > 1;
    }

    private record Other(int slot, Candidate instead, Optional<Candidate> chosen, Worth worth) {}

    /** The best plan with one thing exchanged that would be inside, and what puts it behind; or that there is none. */
    private Because whyNot(Part part) {
        return IntStream.range(0, slots.size())
                .filter(s -> slots.get(s).part() == part && !slots.get(s).pinned())
                .boxed()
                .flatMap(this::others)
                .sorted(Comparator.comparing(Other::worth)
                        .reversed()
                        .thenComparing(o -> o.instead().product().id()))
                .filter(o -> stays(part, o))
                .findFirst()
                .map(this::said)
                .orElseGet(() -> Because.house(
                        "No one thing that suits this skin and that the limits hold would bring it in by itself."));
    }

    private Stream<Other> others(int s) {
        List<Candidate> candidates = slots.get(s).candidates();
        List<Optional<Worth>> worths = found.within().with(found.chosen(), s);
        return IntStream.range(0, candidates.size())
                .filter(i -> worths.get(i).isPresent() && !found.chosen().contains(Optional.of(candidates.get(i))))
                .mapToObj(i -> new Other(
                        s,
                        candidates.get(i),
                        found.chosen().get(s),
                        worths.get(i).orElseThrow()));
    }

    private boolean stays(Part part, Other other) {
        List<Optional<Candidate>> plan = new ArrayList<>(found.chosen());
        plan.set(other.slot(), Optional.of(other.instead()));
        return Balance.stays(
                layers(part, plan), weigher.target(part), asked.air().roomHumidity());
    }

    private Because said(Other other) {
        String name = other.instead().product().name();
        return Because.house(other.chosen()
                .map(c -> "%s in place of %s would bring it in. %s"
                        .formatted(name, c.product().name(), explainer.why(c, other.instead(), other.worth())))
                .orElseGet(() -> "%s, added, would bring it in; %s.".formatted(name, added(other.worth()))));
    }

    private String added(Worth with) {
        return Worth.parting(found.worth(), with).filter(Worth.Aim::saves).isPresent()
                ? "for all else the plan is as good without it, and a bottle less"
                : "by all that it brings it is not worth one more step";
    }
}
