package outfell.conflict;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import outfell.knowledge.Because;
import outfell.product.Actives;

/**
 * What may meet and what happens when it does, as one practice follows the schools.
 *
 * @param meetings beyond the pairs of actives
 */
public record Conflicts(Interactions interactions, List<Meetings.Rule> meetings) {
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
            String id, String name, Meeting shipped, Because because, String otherSchool, Meeting other) {}

    /**
     * @param others ids of the rows in which the other school is followed
     * @throws IllegalArgumentException when there is no such row, or nobody has it otherwise
     */
    public static Conflicts following(Set<String> others) {
        List<String> known = debated().stream().map(Debated::id).toList();
        others.stream().filter(o -> !known.contains(o)).findFirst().ifPresent(o -> {
            throw new IllegalArgumentException("Schools do not differ on \"%s\".".formatted(o));
        });
        return new Conflicts(new Interactions(others), Meetings.following(others));
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
        return rule.id().replace('-', ' ').replace("vitamin c", "vitamin C");
    }
}
