package outfell.year;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import outfell.climate.Air;
import outfell.climate.Air.DryBand;
import outfell.climate.Air.HeatBand;
import outfell.climate.Air.UvBand;
import outfell.knowledge.Row;

/** What a stretch of the year is called: by its air, never by a season. */
final class Names {
    private record Name(String id, List<DryBand> dry, List<HeatBand> heat, String words) {
        boolean fits(Air air) {
            return (dry.isEmpty() || dry.contains(air.dryBand())) && (heat.isEmpty() || heat.contains(air.heatBand()));
        }
    }

    private record Sun(UvBand id, String words) {}

    private static final List<Name> NAMES = Row.unique(Turns.FILE.rows("names"), Names::name, Name::id);
    private static final Map<UvBand, Sun> SUNS =
            Row.unique(Turns.FILE.rows("suns"), r -> new Sun(r.one("id", UvBand.class), r.text("words")), Sun::id)
                    .stream()
                    .collect(Collectors.toMap(Sun::id, Function.identity()));

    private Names() {}

    /** "dry heated rooms, low sun". */
    static String of(Air air) {
        String words = NAMES.stream()
                .filter(n -> n.fits(air))
                .findFirst()
                .map(Name::words)
                .orElseThrow();
        return "%s, %s"
                .formatted(words, Objects.requireNonNull(SUNS.get(air.uvBand())).words());
    }

    private static Name name(Row row) {
        return new Name(
                row.text("id"),
                row.several("dry", DryBand.class),
                row.several("heat", HeatBand.class),
                row.text("words"));
    }
}
