package outfell.routine;

import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.product.Product;
import outfell.product.StepKind;

/**
 * The places of the body that a step goes on.
 *
 * @param places in the order of the body, at least one
 */
public record Where(List<Coverage> places) {
    public Where {
        if (places.isEmpty()) {
            throw new IllegalArgumentException("A step goes somewhere.");
        }
        places = List.copyOf(EnumSet.copyOf(places));
    }

    public static Where of(Coverage place) {
        return new Where(List.of(place));
    }

    /** By custom of its kind. */
    public static Where of(StepKind kind) {
        return Amounts.of(kind).where();
    }

    /**
     * By custom, and on the first of the further places.
     *
     * @param reach so many further places
     */
    public static Where of(Product p, int reach) {
        return of(p.kind()).with(further(p.kind()).stream().limit(reach).toList());
    }

    /** Places beside the customary ones that get it where the sun reaches them, those first that come first. */
    public static List<Coverage> further(StepKind kind) {
        return Amounts.of(kind).further();
    }

    /**
     * Places that get what is left on the hands, beside those that it goes on. What is strong stays on the face: the skin of neck and chest
     * is thinner and bears less.
     */
    public List<Coverage> rest(Product p) {
        return p.strong() || p.prescription() || !wholeFace()
                ? List.of()
                : Amounts.of(p.kind()).rest().stream()
                        .filter(place -> !places.contains(place))
                        .toList();
    }

    public Where with(Collection<Coverage> more) {
        return more.isEmpty()
                ? this
                : new Where(Stream.concat(places.stream(), more.stream()).toList());
    }

    /** Whether all of the face gets it; what is kept to a part of it is no layer on the face. */
    public boolean wholeFace() {
        return places.contains(Coverage.FACE);
    }

    public double cm2() {
        return places.stream().mapToDouble(Coverage::cm2).sum();
    }

    /** Seconds more than custom takes. */
    public int secondsMore(StepKind kind) {
        List<Coverage> custom = of(kind).places;
        return places.stream()
                .filter(p -> !custom.contains(p))
                .mapToInt(Coverage::seconds)
                .sum();
    }

    /** "face and neck"; "marks only" where it is the one place. */
    public String words() {
        return places.size() == 1
                ? places.getFirst().alone()
                : joined(places.stream().map(Coverage::words).toList());
    }

    /** Words for a step that is not for the whole face; empty for one that is. */
    public String part() {
        return wholeFace() ? "" : words();
    }

    /** Its places beside the face, "neck, ears". */
    String beside() {
        return places.stream()
                .filter(p -> p != Coverage.FACE)
                .map(Coverage::words)
                .collect(Collectors.joining(", "));
    }

    private static String joined(List<String> names) {
        return names.size() < 2
                ? String.join("", names)
                : String.join(", ", names.subList(0, names.size() - 1)) + " and " + names.getLast();
    }
}
