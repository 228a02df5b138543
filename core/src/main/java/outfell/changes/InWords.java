package outfell.changes;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import outfell.product.StepKind;
import outfell.routine.Part;

/** Changes as the client's sheet tells them: short, each once, with the routine that it is in. */
public final class InWords {
    private InWords() {}

    /** "Y in place of X, evening"; what changes in both routines alike is told once. */
    public static List<String> of(List<Change> changes) {
        Map<String, List<Part>> said = new LinkedHashMap<>();
        changes.forEach(
                c -> said.computeIfAbsent(words(c), _ -> new ArrayList<>()).add(c.part()));
        return said.entrySet().stream()
                .map(e -> e.getValue().size() > 1
                        ? e.getKey() + ", morning and evening"
                        : "%s, %s".formatted(e.getKey(), e.getValue().getFirst().words()))
                .toList();
    }

    private static String words(Change c) {
        return switch (c.what()) {
            case TAKEN_OUT -> "no more " + c.from();
            case PUT_IN -> c.kind() == StepKind.LIP ? c.to() : "add " + c.to();
            case REPLACED -> "%s in place of %s".formatted(c.to(), c.from());
            case OTHER_NIGHTS, OTHER_AMOUNT, OTHER_BESIDE, MOVED -> c.to();
        };
    }
}
