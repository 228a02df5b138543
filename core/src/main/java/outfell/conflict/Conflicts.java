package outfell.conflict;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import outfell.knowledge.Because;
import outfell.knowledge.RuleId;
import outfell.product.ActiveIn;
import outfell.product.Actives;
import outfell.product.Kinds;
import outfell.product.Product;

/**
 * What may meet and what happens when it does, as one practice follows the schools.
 *
 * @param others the rows in which it follows the other school
 * @param meetings beyond the pairs of actives
 * @param parting of those, the rules that keep two products apart: for good, or out of one routine
 */
public record Conflicts(
        Set<RuleId> others, Interactions interactions, List<Meetings.Rule> meetings, List<Meetings.Rule> parting) {
    public static final Conflicts SHIPPED = following(Set.of());

    /**
     * A row on which schools differ.
     *
     * @param name what meets, in words
     * @param shipped what is made of it unless the practice follows the others
     * @param otherSchool what the others say
     * @param other what they make of it
     */
    public record Debated(
            RuleId id, String name, Meeting shipped, Because because, String otherSchool, Meeting other) {}

    /**
     * @param others ids of the rows in which the other school is followed
     * @throws IllegalArgumentException when there is no such row, or nobody has it otherwise
     */
    public static Conflicts following(Set<RuleId> others) {
        List<RuleId> known = debated().stream().map(Debated::id).toList();
        others.stream().filter(o -> !known.contains(o)).findFirst().ifPresent(o -> {
            throw new IllegalArgumentException("Schools do not differ on \"%s\".".formatted(o));
        });
        List<Meetings.Rule> meetings = Meetings.following(others);
        return new Conflicts(Set.copyOf(others), new Interactions(others), meetings, parting(meetings));
    }

    /** The same, with one row as it ships or as the other school has it. */
    public Conflicts with(RuleId row, boolean other) {
        Set<RuleId> all = new HashSet<>(others);
        if (other) {
            all.add(row);
        } else {
            all.remove(row);
        }
        return following(all);
    }

    /** One house holds what another does when it follows the same schools. */
    @Override
    public boolean equals(@Nullable Object o) {
        return o instanceof Conflicts c && c.others.equals(others);
    }

    @Override
    public int hashCode() {
        return others.hashCode();
    }

    private static List<Meetings.Rule> parting(List<Meetings.Rule> meetings) {
        return meetings.stream()
                .filter(r -> r.b().isPresent() && r.skin().isEmpty())
                .filter(r -> r.where() != Meetings.Where.PRODUCT && r.where() != Meetings.Where.ORDER)
                .filter(r -> r.meeting() == Meeting.NEVER || r.meeting() == Meeting.AM_PM)
                .toList();
    }

    /** What a product leaves on the skin to meet others: of what is rinsed off in a wash, nothing. */
    public static List<ActiveIn> held(Product p) {
        return Kinds.of(p.kind()).left() < 1 ? List.of() : p.actives();
    }

    /** The rule by which two products may not stand in one routine, or in one plan. */
    public Optional<Meetings.Rule> apart(Product a, Product b, boolean sameRoutine) {
        return parting.stream()
                .filter(r -> sameRoutine || r.inPlan())
                .filter(r -> r.between(a, b) || r.between(b, a))
                .findFirst();
    }

    /** Every row on which schools differ, as it ships. */
    public static List<Debated> debated() {
        List<Debated> all = new ArrayList<>();
        new Interactions(Set.of())
                .all()
                .forEach(i -> i.otherMeeting()
                        .ifPresent(m ->
                                all.add(new Debated(i.id(), name(i), i.meeting(), i.because(), i.otherSchool(), m))));
        Meetings.following(Set.of())
                .forEach(r -> r.otherMeeting()
                        .ifPresent(m ->
                                all.add(new Debated(r.id(), name(r), r.meeting(), r.because(), r.otherSchool(), m))));
        return List.copyOf(all);
    }

    private static String name(Interactions.Interaction i) {
        return "%s and %s"
                .formatted(Actives.of(i.a()).label(), Actives.of(i.b()).label());
    }

    /** The rules' ids are words. */
    private static String name(Meetings.Rule rule) {
        return rule.id().value().replace('-', ' ').replace("vitamin c", "vitamin C");
    }
}
