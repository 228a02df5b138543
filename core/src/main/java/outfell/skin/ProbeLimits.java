package outfell.skin;

import java.util.EnumMap;
import java.util.Map;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.skin.ProbeReading.Quantity;

/**
 * Conditions for a valid reading and the spread from which readings disagree, from probe.yaml.
 *
 * @param room °C
 * @param humidity % that is valid
 * @param humidityUsable % that is usable with a note
 * @param leastAfterWash minutes under which no reading counts
 * @param afterWater minutes after plain water, for all but sebum
 * @param afterCleanser minutes after a cleanser, for all but sebum
 * @param sebumAfterWash minutes, for sebum
 * @param settled minutes bare and seated
 * @param afterProduct hours since anything was left on
 * @param noisyFrom spread over which readings of one spot disagree
 * @param noted what a reading with a note counts, 0 to 1
 * @param invalid what an invalid reading counts, 0 to 1
 * @param doubtful by what a spot counts less that disagrees or has too few readings, 0 to 1
 */
record ProbeLimits(
        Range room,
        Range humidity,
        Range humidityUsable,
        int leastAfterWash,
        int afterWater,
        int afterCleanser,
        int sebumAfterWash,
        int settled,
        int afterProduct,
        Map<Quantity, Double> noisyFrom,
        double noted,
        double invalid,
        double doubtful) {
    static final ProbeLimits HOUSE = read();

    /** Both ends inclusive. */
    record Range(double least, double most) {
        boolean holds(double value) {
            return value >= least && value <= most;
        }

        @Override
        public String toString() {
            return "%s to %s".formatted(SkinReader.n(least), SkinReader.n(most));
        }
    }

    boolean noisy(ProbeReading reading) {
        return reading.spread() > noisyFrom.getOrDefault(reading.quantity(), Double.MAX_VALUE);
    }

    /** What a reading counts in these conditions, 0 to 1. */
    double weight(ProbeReading reading, ProbeConditions.Standing standing) {
        double whole = switch (standing) {
            case VALID -> 1;
            case NOTED -> noted;
            case INVALID -> invalid;
        };
        return noisy(reading) || reading.values().size() < ProbeReading.WANTED ? whole * doubtful : whole;
    }

    private static ProbeLimits read() {
        Row file = KnowledgeFile.yaml("probe.yaml");
        Row row = file.row("conditions");
        row.because("conditions");
        Row weights = file.row("weights");
        weights.because("weights");
        Map<Quantity, Double> noisy = new EnumMap<>(Quantity.class);
        for (Row each : file.rows("noise")) {
            each.because("noise");
            noisy.put(each.one("id", Quantity.class), each.number("over", 0, 5));
            each.done();
        }
        ProbeLimits limits = new ProbeLimits(
                new Range(row.number("room-least"), row.number("room-most")),
                new Range(row.number("humidity-least"), row.number("humidity-most")),
                new Range(row.number("humidity-usable-least"), row.number("humidity-usable-most")),
                row.whole("least-after-wash", 0, 600),
                row.whole("after-water", 0, 600),
                row.whole("after-cleanser", 0, 600),
                row.whole("sebum-after-wash", 0, 600),
                row.whole("settled", 0, 120),
                row.whole("after-product", 0, 100),
                Map.copyOf(noisy),
                weights.number("noted", 0, 1),
                weights.number("invalid", 0, 1),
                weights.number("doubtful", 0, 1));
        row.done();
        weights.done();
        return limits;
    }
}
