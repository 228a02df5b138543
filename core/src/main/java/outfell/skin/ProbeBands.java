package outfell.skin;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.skin.ProbeReading.Quantity;

/**
 * Where a probe's figures turn from low to usual to high. Probes differ, so each practice sets its own; probe.yaml holds
 * what ships.
 *
 * @param bounds for every band
 */
public record ProbeBands(Map<Band, Bounds> bounds) {
    /** What has bounds of its own. */
    public enum Band {
        /** a.u.: under low very dry, under high dry, else adequate. */
        HYDRATION,
        /** µg/cm² on forehead, nose and chin. */
        SEBUM_T,
        /** µg/cm² on the cheeks. */
        SEBUM_U,
        /** Times the usual water loss of the spot: up to low usual, from high at its worst. */
        WATER_LOSS,
        /** pH units. */
        PH
    }

    /** @param low less than high, both in the unit of the band */
    public record Bounds(double low, double high) {}

    /**
     * A band as shown and set.
     *
     * @param unit in words
     * @param least that a bound may be set to
     * @param most that a bound may be set to
     * @param words for below, between and above
     * @param otherSchool what others set, in words
     */
    public record Setting(
            Band band,
            String label,
            String unit,
            double least,
            double most,
            Bounds shipped,
            List<String> words,
            String otherSchool,
            Because because) {}

    private static final List<Setting> ROWS =
            Row.unique(KnowledgeFile.yaml("probe.yaml").rows("bands"), ProbeBands::read, Setting::band);
    /** What ships. */
    public static final ProbeBands SHIPPED = shipped();

    private static final Map<Zone, Double> REFERENCE = references();

    public ProbeBands {
        for (Setting row : ROWS) {
            Bounds b = bounds.get(row.band());
            if (b == null) {
                throw new IllegalArgumentException("No bounds for %s.".formatted(row.label()));
            }
            if (!(b.low() >= row.least() && b.high() <= row.most() && b.low() < b.high())) {
                throw new IllegalArgumentException(
                        "%s: %s and %s will not do; low comes before high, within %s to %s %s."
                                .formatted(
                                        row.label(),
                                        SkinReader.n(b.low()),
                                        SkinReader.n(b.high()),
                                        SkinReader.n(row.least()),
                                        SkinReader.n(row.most()),
                                        row.unit()));
            }
        }
        bounds = Map.copyOf(bounds);
    }

    /** The bands with their words, in the order of the file. */
    public static List<Setting> rows() {
        return ROWS;
    }

    public Bounds of(Band band) {
        return Objects.requireNonNull(bounds.get(band));
    }

    /** These bands with one changed. */
    public ProbeBands with(Band band, Bounds changed) {
        Map<Band, Bounds> all = new EnumMap<>(bounds);
        all.put(band, changed);
        return new ProbeBands(all);
    }

    /** Usual water loss of a spot, g/(m²·h); house judgement on kottner-2013. */
    static double reference(Zone zone) {
        return REFERENCE.getOrDefault(zone, REFERENCE.getOrDefault(Zone.CHEEK_R, 12.0));
    }

    static boolean hasReference(Zone zone) {
        return REFERENCE.containsKey(zone);
    }

    static Band band(Quantity quantity, Zone zone) {
        return switch (quantity) {
            case HYDRATION -> Band.HYDRATION;
            case SEBUM -> zone.isT() ? Band.SEBUM_T : Band.SEBUM_U;
            case WATER_LOSS -> Band.WATER_LOSS;
            case PH -> Band.PH;
        };
    }

    /** "low", "usual", "high" and their like, for a value at a spot. */
    String words(Quantity quantity, Zone zone, double value) {
        Band band = band(quantity, zone);
        double v = quantity == Quantity.WATER_LOSS ? value / reference(zone) : value;
        List<String> words = ROWS.stream()
                .filter(r -> r.band() == band)
                .findFirst()
                .orElseThrow()
                .words();
        boolean lowEndsBelow = band == Band.HYDRATION;
        if (v < of(band).low() || (band == Band.WATER_LOSS && v == of(band).low())) {
            return words.get(0);
        }
        return v < of(band).high() || (!lowEndsBelow && v == of(band).high()) ? words.get(1) : words.get(2);
    }

    private static ProbeBands shipped() {
        Map<Band, Bounds> all = new EnumMap<>(Band.class);
        ROWS.forEach(r -> all.put(r.band(), r.shipped()));
        return new ProbeBands(all);
    }

    private static Map<Zone, Double> references() {
        Map<Zone, Double> all = new EnumMap<>(Zone.class);
        for (Row row : KnowledgeFile.yaml("probe.yaml").rows("usual-water-loss")) {
            row.because("usual water loss");
            row.several("zones", Zone.class).forEach(z -> all.put(z, row.number("loss", 1, 100)));
            row.done();
        }
        return Map.copyOf(all);
    }

    private static Setting read(Row row) {
        List<String> words = row.texts("words");
        if (words.size() != 3) {
            throw row.fault("a band has three words, this one has " + words.size());
        }
        return new Setting(
                row.one("id", Band.class),
                row.text("label"),
                row.text("unit"),
                row.number("least"),
                row.number("most"),
                new Bounds(row.number("low"), row.number("high")),
                words,
                row.text("other-school"),
                row.because(row.text("label")));
    }
}
