package outfell.regimen;

import java.util.Arrays;
import java.util.Map;

/**
 * What a plan must keep to and what it pays for.
 *
 * @param strong most strong actives in a week, a prescription apart
 */
record Limits(Map<Scarcity, Scarce> of, int strong) {
    Limits {
        of = Map.copyOf(of);
    }

    Scarce of(Scarcity scarcity) {
        return of.getOrDefault(scarcity, Scarce.FREE);
    }

    /** In the order of {@link Scarcity}. */
    Scarce[] inOrder() {
        return Arrays.stream(Scarcity.values()).map(this::of).toArray(Scarce[]::new);
    }
}
