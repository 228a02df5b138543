package outfell.skin;

import java.util.Arrays;
import java.util.List;

/**
 * What a skin probe said at one spot.
 *
 * @param values one to nine readings in the order taken, each in the unit and within the range of the quantity
 * @param simulated whether the stand-in gave them and no real probe
 */
public record ProbeReading(Quantity quantity, Zone zone, List<Double> values, boolean simulated) {
    /** How many readings make a spot. */
    public static final int WANTED = 3;

    /** What a probe measures. Ranges are those a reading can have at all, not those of healthy skin. */
    public enum Quantity {
        /** Capacitance, arbitrary units. */
        HYDRATION("Hydration", "a.u.", 0, 130),
        /** Casual level on a film, µg/cm². */
        SEBUM("Sebum", "µg/cm²", 0, 400),
        /** Water loss, g/(m²·h). */
        WATER_LOSS("Water loss", "g/m²h", 0, 200),
        /** Of the surface, pH units. */
        PH("pH", "", 2, 11);

        private final String label;
        private final String unit;
        private final double least;
        private final double most;

        Quantity(String label, String unit, double least, double most) {
            this.label = label;
            this.unit = unit;
            this.least = least;
            this.most = most;
        }

        public String label() {
            return label;
        }

        public String unit() {
            return unit;
        }

        public double least() {
            return least;
        }

        public double most() {
            return most;
        }
    }

    public ProbeReading {
        values = List.copyOf(values);
        if (values.isEmpty() || values.size() > 9) {
            throw new IllegalArgumentException(
                    "%s of the %s has %d readings; one to nine are possible, three are wanted."
                            .formatted(quantity.label, zone.words(), values.size()));
        }
        for (double value : values) {
            if (!(value >= quantity.least && value <= quantity.most)) {
                throw new IllegalArgumentException("%s of %s is outside %s..%s %s."
                        .formatted(quantity.label, value, quantity.least, quantity.most, quantity.unit)
                        .replace(" .", "."));
            }
        }
    }

    /** The middle reading; the mean of the two middle ones when their number is even. */
    public double median() {
        double[] sorted =
                values.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        int middle = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
    }

    /** (max − min) / median; for pH max − min, in pH units; to three places. */
    public double spread() {
        double[] sorted =
                values.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        double range = sorted[sorted.length - 1] - sorted[0];
        double spread = quantity == Quantity.PH || range == 0 ? range : range / Math.max(median(), 1e-9);
        return Math.round(1000 * spread) / 1000.0;
    }

    @Override
    public String toString() {
        return "%s of the %s %s".formatted(quantity.label, zone.words(), Arrays.toString(values.toArray()));
    }
}
