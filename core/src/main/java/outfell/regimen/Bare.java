package outfell.regimen;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.consultation.Consultation.Choice;
import outfell.routine.BareStep;
import outfell.routine.Part;

/** The two routines of a plan without their reasons: enough to see what another plan has that it has not. */
public record Bare(List<BareStep> morning, List<BareStep> evening) {
    public Bare {
        morning = List.copyOf(morning);
        evening = List.copyOf(evening);
    }

    public static Bare of(Regimen regimen) {
        return new Bare(
                regimen.morning().steps().stream().map(BareStep::of).toList(),
                regimen.evening().steps().stream().map(BareStep::of).toList());
    }

    /** Every step as a product in its routine. */
    public Set<Choice> choices() {
        return Stream.of(Part.values())
                .flatMap(part -> routine(part).stream().map(s -> new Choice(part, s.product())))
                .collect(Collectors.toSet());
    }

    public List<BareStep> routine(Part part) {
        return part == Part.MORNING ? morning : evening;
    }
}
