package outfell.skin;

import static outfell.skin.SkinReader.n;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.apache.commons.lang3.StringUtils;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.skin.SkinVerdict.ProbeLine;

/** Every probe reading with its band, its faults and what it counts; none is dropped in silence. */
final class ProbeReader {
    private ProbeReader() {}

    static List<ProbeLine> lines(SkinReading reading, ProbeBands bands) {
        return reading.probe().stream()
                .sorted(Comparator.comparing(ProbeReading::quantity).thenComparing(ProbeReading::zone))
                .map(p -> line(reading, bands, p))
                .toList();
    }

    private static ProbeLine line(SkinReading reading, ProbeBands bands, ProbeReading p) {
        ProbeConditions.Judged judged = reading.conditions().judge(p.quantity());
        boolean noisy = ProbeLimits.HOUSE.noisy(p);
        double counts = reading.weight(p);
        List<String> faults = new ArrayList<>(judged.faults());
        if (noisy) {
            faults.add("the readings disagree by %s"
                    .formatted(
                            p.quantity() == ProbeReading.Quantity.PH
                                    ? n(Axis.tenth(p.spread()))
                                    : n(Math.round(100 * p.spread())) + " %"));
        }
        if (p.values().size() < ProbeReading.WANTED) {
            faults.add("%d of %d readings".formatted(p.values().size(), ProbeReading.WANTED));
        }
        String found = faults.isEmpty() ? "valid conditions, readings agree" : String.join("; ", faults);
        String weighed = counts == 1 ? "counts in full" : counts == 0 ? "kept, not counted" : "counts " + share(counts);
        return new ProbeLine(
                p.quantity(),
                p.zone(),
                p.values(),
                Axis.tenth(p.median()),
                p.spread(),
                noisy,
                p.simulated(),
                bands.words(p.quantity(), p.zone(), p.median()),
                judged.standing(),
                counts,
                new Because(
                        "%s: %s.".formatted(StringUtils.capitalize(found), weighed), Evidence.SMALL, "pinnagoda-1990"));
    }

    private static String share(double counts) {
        return counts == 0.5 ? "half" : counts == 0.25 ? "a quarter" : n(Math.round(100 * counts)) + " %";
    }
}
