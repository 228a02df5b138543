package outfell.skin;

/**
 * One value of a skin probe at one spot, already the median of its three readings.
 *
 * @param value in the unit and within the range of its quantity
 */
public record ProbeReading(Quantity quantity, Zone zone, double value) {
    /** What a probe measures. Ranges are those a reading can have at all, not those of healthy skin. */
    public enum Quantity {
        /** Capacitance, arbitrary units. */
        HYDRATION("a.u.", 0, 130),
        /** Casual level on a film, µg/cm². */
        SEBUM("µg/cm²", 0, 400),
        /** Water loss, g/(m²·h). */
        WATER_LOSS("g/m²h", 0, 200);

        private final String unit;
        private final double least;
        private final double most;

        Quantity(String unit, double least, double most) {
            this.unit = unit;
            this.least = least;
            this.most = most;
        }
    }

    public ProbeReading {
        if (!(value >= quantity.least && value <= quantity.most)) {
            throw new IllegalArgumentException("%s of %s is outside %s..%s %s."
                    .formatted(quantity.name().toLowerCase(), value, quantity.least, quantity.most, quantity.unit));
        }
    }
}
