package outfell.product;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A label as read.
 *
 * @param lines of the ingredient list, in printed order
 * @param onePercentLine position from which everything is at or below one percent; 0 when no marker tells
 * @param claimed what the product's own name says is in it and the list does not hold, position 0
 * @param left what else is printed and was not taken for an ingredient: claims, directions, warnings
 * @param beside what that text speaks of and somebody may react to: never certain, never harmless
 */
public record Label(
        List<LabelLine> lines, int onePercentLine, List<LabelLine> claimed, List<String> left, List<LabelLine> beside) {
    public static final Label EMPTY = new Label(List.of(), 0, List.of(), List.of(), List.of());

    public Label {
        lines = List.copyOf(lines);
        claimed = List.copyOf(claimed);
        left = List.copyOf(left);
        beside = List.copyOf(beside);
    }

    /** Whether nobody has read an ingredient list of it. */
    public boolean unread() {
        return lines.isEmpty();
    }

    Label claiming(List<LabelLine> others) {
        return new Label(lines, onePercentLine, others, left, beside);
    }

    Label leaving(List<String> others) {
        return new Label(lines, onePercentLine, claimed, others, Beside.of(others));
    }

    /** What is to be reckoned with: what is certainly in it, and what its name says. */
    public List<LabelLine> held() {
        return claimed.isEmpty()
                ? certain()
                : Stream.concat(claimed.stream(), certain().stream()).toList();
    }

    /** Everything that it may hold: by its name, every line of its list, and what stands beside the list. */
    public Stream<LabelLine> all() {
        return Stream.of(claimed, lines, beside).flatMap(List::stream);
    }

    /** What is certainly in it. */
    public List<LabelLine> certain() {
        return lines.stream().filter(l -> !l.mayContain()).toList();
    }

    public List<String> unknown() {
        return lines.stream()
                .filter(l -> l.ingredient().isEmpty())
                .map(LabelLine::printed)
                .toList();
    }

    /** Written so that reading it again gives the same names, percentages and sections. */
    public String print() {
        String certain =
                lines.stream().filter(l -> !l.mayContain()).map(Label::printed).collect(Collectors.joining(", "));
        String may =
                lines.stream().filter(LabelLine::mayContain).map(Label::printed).collect(Collectors.joining(", "));
        return may.isEmpty() ? certain : certain + " may contain: " + may;
    }

    private static String printed(LabelLine line) {
        return line.declared().isPresent()
                ? "%s %s%%".formatted(line.printed(), percent(line.declared().getAsDouble()))
                : line.printed();
    }

    private static String percent(double value) {
        return value == Math.rint(value) ? "%.0f".formatted(value) : String.format(Locale.ROOT, "%s", value);
    }
}
