package outfell.skin;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Stream;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/**
 * The oil axis (0 no oil, 100 very oily) and the water axis (0 none, 100 well hydrated), zone by zone, by the figures of
 * skin.yaml; a practice's own bands move the probe's knots.
 */
final class Axis {
    private static final Row FILE = KnowledgeFile.yaml("skin.yaml");
    private static final Row SEBUM = FILE.row("sebum");
    private static final double[] SEBUM_TO_OIL = points(SEBUM, "points", 4);
    private static final double TOP_TIMES_HIGH = SEBUM.number("top-times-high", 1, 5);
    private static final Row HYDRATION = FILE.row("hydration");
    private static final double[] HYDRATION_TO_WATER = points(HYDRATION, "points", 5);
    private static final double UNDER_LOW = HYDRATION.number("under-low", 0, 100);
    private static final double[] OVER_HIGH = points(HYDRATION, "over-high", 2);
    private static final Row SHINE = FILE.row("shine");
    private static final double[] SHINE_T = points(SHINE, "t-zone", 5);
    private static final double[] SHINE_U = points(SHINE, "cheeks", 5);
    private static final double MATT_BUT_COMFORTABLE = SHINE.number("matt-and-comfortable", 0, 100);
    private static final Row SIGNS = FILE.row("water-by-signs");
    private static final double WHOLE = SIGNS.number("whole", 0, 100);
    private static final double A_TIGHTNESS = SIGNS.number("tightness", 0, 100);
    private static final double A_FLAKING = SIGNS.number("flaking", 0, 100);
    private static final double A_LINE = SIGNS.number("dehydration-lines", 0, 100);
    private static final Row TOGETHER = FILE.row("together");
    private static final double PROBE_SHARE = TOGETHER.number("probe", 0, 1);
    /** Beyond this many points apart, eye and probe contradict one another. */
    private static final double CONFLICT = TOGETHER.number("apart-over", 0, 100);

    private static final double PROBE_SHARE_IN_CONFLICT = TOGETHER.number("probe-apart", 0, 1);
    private static final int SURE_FROM = TOGETHER.whole("sure-from-zones", 1, 6);
    private static final Row T_ZONE = FILE.row("t-zone");
    private static final Map<Zone, Double> T_WEIGHTS = Map.of(
            Zone.FOREHEAD, T_ZONE.number("forehead", 0, 1),
            Zone.NOSE, T_ZONE.number("nose", 0, 1),
            Zone.CHIN, T_ZONE.number("chin", 0, 1));

    private static double[] points(Row row, String key, int wanted) {
        List<Double> all = row.numbers(key);
        if (all.size() != wanted) {
            throw row.fault("%s has %d figures; %d are wanted".formatted(key, all.size(), wanted));
        }
        return all.stream().mapToDouble(Double::doubleValue).toArray();
    }

    /** What is weighed. */
    enum Of {
        OIL,
        WATER;

        String id(Zone zone) {
            return name() + ":" + zone.name();
        }
    }

    /**
     * One zone on one axis.
     *
     * @param value 0 to 100
     * @param sources how many of eye and probe spoke
     * @param conflict whether they contradict
     * @param settled whether the therapist has kept one of them
     * @param whole whether the probe counts in full, or did not speak
     */
    record Point(
            double value, double eye, double probe, int sources, boolean conflict, boolean settled, boolean whole) {
        Point keeping(Settlement.Side side) {
            return switch (side) {
                case EYE -> new Point(eye, eye, probe, sources, conflict, true, whole);
                case PROBE -> new Point(probe, eye, probe, sources, conflict, true, whole);
                case WORD, READING -> this;
            };
        }

        boolean open() {
            return conflict && !settled;
        }
    }

    private Axis() {}

    static Map<Zone, Point> oil(SkinReading reading, ProbeBands bands) {
        return each(reading, Of.OIL, zone -> oilByProbe(reading, bands, zone), zone -> oilByEye(reading, zone));
    }

    static Map<Zone, Point> water(SkinReading reading, ProbeBands bands) {
        return each(reading, Of.WATER, zone -> waterByProbe(reading, bands, zone), zone -> waterByEye(reading, zone));
    }

    /** @param weight what it counts, 0 to 1 */
    private record Heard(double value, double weight) {}

    private static Map<Zone, Point> each(
            SkinReading reading, Of axis, Function<Zone, Optional<Heard>> probe, Function<Zone, OptionalDouble> eye) {
        Map<Zone, Point> points = new EnumMap<>(Zone.class);
        Stream.concat(Zone.T.stream(), Zone.U.stream()).forEach(zone -> {
            Optional<Heard> p = probe.apply(zone).filter(h -> h.weight() > 0);
            OptionalDouble e = eye.apply(zone);
            if (p.isPresent() || e.isPresent()) {
                Point fused = fuse(p, e);
                points.put(
                        zone,
                        reading.settled(axis.id(zone))
                                .map(s -> fused.keeping(s.keeps()))
                                .orElse(fused));
            }
        });
        return points;
    }

    /** Only one speaks: it. They agree: s · w · P + (1 − s · w) · E, with s what the probe counts; less where they contradict. */
    private static Point fuse(Optional<Heard> probe, OptionalDouble eye) {
        if (probe.isEmpty() || eye.isEmpty()) {
            double only = probe.map(Heard::value).orElse(eye.orElse(0));
            return new Point(
                    only,
                    only,
                    only,
                    1,
                    false,
                    false,
                    probe.map(h -> h.weight() == 1).orElse(true));
        }
        double p = probe.get().value();
        double e = eye.getAsDouble();
        boolean conflict = Math.abs(p - e) > CONFLICT;
        double share =
                (conflict ? PROBE_SHARE_IN_CONFLICT : PROBE_SHARE) * probe.get().weight();
        return new Point(
                share * p + (1 - share) * e,
                e,
                p,
                2,
                conflict,
                false,
                probe.get().weight() == 1);
    }

    private static Optional<Heard> oilByProbe(SkinReading reading, ProbeBands bands, Zone zone) {
        ProbeBands.Bounds b = bands.of(zone.isT() ? ProbeBands.Band.SEBUM_T : ProbeBands.Band.SEBUM_U);
        double[] knots = {0, b.low(), b.high(), TOP_TIMES_HIGH * b.high()};
        return reading.measured(zone, ProbeReading.Quantity.SEBUM)
                .map(p -> new Heard(linear(p.median(), knots, SEBUM_TO_OIL), reading.weight(p)));
    }

    private static OptionalDouble oilByEye(SkinReading reading, Zone zone) {
        OptionalInt shine = reading.grade(zone, Sign.SHINE);
        if (shine.isEmpty()) {
            return OptionalDouble.empty();
        }
        boolean comfortable = none(reading, zone, Sign.TIGHTNESS) && none(reading, zone, Sign.FLAKING);
        if (shine.getAsInt() == 0 && comfortable) {
            return OptionalDouble.of(MATT_BUT_COMFORTABLE);
        }
        return OptionalDouble.of((zone.isT() ? SHINE_T : SHINE_U)[shine.getAsInt()]);
    }

    /** Looked at, and not there: what nobody has looked at is not nothing. */
    private static boolean none(SkinReading reading, Zone zone, Sign sign) {
        OptionalInt grade = reading.grade(zone, sign);
        return grade.isPresent() && grade.getAsInt() == 0;
    }

    private static Optional<Heard> waterByProbe(SkinReading reading, ProbeBands bands, Zone zone) {
        ProbeBands.Bounds b = bands.of(ProbeBands.Band.HYDRATION);
        double[] knots = {b.low() - UNDER_LOW, b.low(), b.high(), b.high() + OVER_HIGH[0], b.high() + OVER_HIGH[1]};
        return reading.measured(zone, ProbeReading.Quantity.HYDRATION)
                .map(p -> new Heard(linear(p.median(), knots, HYDRATION_TO_WATER), reading.weight(p)));
    }

    /** What each grade takes off, at least 0; needs tightness or flaking. */
    private static OptionalDouble waterByEye(SkinReading reading, Zone zone) {
        OptionalInt tightness = reading.grade(zone, Sign.TIGHTNESS);
        OptionalInt flaking = reading.grade(zone, Sign.FLAKING);
        if (tightness.isEmpty() && flaking.isEmpty()) {
            return OptionalDouble.empty();
        }
        int lines = reading.grade(zone, Sign.DEHYDRATION_LINES).orElse(0);
        return OptionalDouble.of(Math.max(
                0, WHOLE - A_TIGHTNESS * tightness.orElse(0) - A_FLAKING * flaking.orElse(0) - A_LINE * lines));
    }

    /** Piecewise linear through the points, level beyond both ends. */
    private static double linear(double x, double[] from, double[] to) {
        if (x <= from[0]) {
            return to[0];
        }
        for (int i = 1; i < from.length; i++) {
            if (x <= from[i]) {
                return to[i - 1] + (x - from[i - 1]) / (from[i] - from[i - 1]) * (to[i] - to[i - 1]);
            }
        }
        return to[to.length - 1];
    }

    /** Each by its weight, renormalised when some are missing. */
    static OptionalDouble t(Map<Zone, Point> points) {
        double sum = 0;
        double weight = 0;
        for (Zone zone : Zone.T) {
            if (points.containsKey(zone)) {
                double w = T_WEIGHTS.getOrDefault(zone, 0.0);
                sum += w * points.get(zone).value();
                weight += w;
            }
        }
        return weight == 0 ? OptionalDouble.empty() : OptionalDouble.of(tenth(sum / weight));
    }

    /** The plain mean of the cheeks present. */
    static OptionalDouble u(Map<Zone, Point> points) {
        var mean = Zone.U.stream()
                .map(points::get)
                .filter(Objects::nonNull)
                .mapToDouble(Point::value)
                .average();
        return mean.isEmpty() ? mean : OptionalDouble.of(tenth(mean.getAsDouble()));
    }

    /** The oil of the T side needs the forehead, or two of its three zones: a nose alone never sets it. */
    static OptionalDouble oilT(Map<Zone, Point> points) {
        List<Zone> present = Zone.T.stream().filter(points::containsKey).toList();
        return present.contains(Zone.FOREHEAD) || present.size() >= 2 ? t(points) : OptionalDouble.empty();
    }

    /** Any open conflict is low, only one source medium, both agreeing in enough zones high. */
    static Confidence confidence(Map<Zone, Point> points) {
        if (points.isEmpty() || points.values().stream().anyMatch(Point::open)) {
            return Confidence.LOW;
        }
        long both = points.values().stream()
                .filter(p -> p.sources() == 2 && p.whole())
                .count();
        return both >= SURE_FROM ? Confidence.HIGH : Confidence.MEDIUM;
    }

    static double tenth(double x) {
        return Math.round(x * 10) / 10.0;
    }
}
