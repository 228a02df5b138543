package outfell.product;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * A label as read.
 *
 * @param lines in printed order
 * @param onePercentLine position from which everything is at or below one percent; 0 when no marker tells
 */
public record Label(List<LabelLine> lines, int onePercentLine) {
    public static final Label EMPTY = new Label(List.of(), 0);

    public Label {
        lines = List.copyOf(lines);
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
