package outfell.skin;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;

/**
 * The oil axis (0 no oil, 100 very oily) and the water axis (0 none, 100 well hydrated), zone by zone. House judgement,
 * on the bands of youn-2005 and heinrich-2003.
 */
final class Axis {
    private static final double[] SEBUM_T = {0, 100, 220, 352};
    private static final double[] SEBUM_U = {0, 70, 180, 288};
    private static final double[] SEBUM_TO_OIL = {0, 35, 65, 100};
    private static final double[] HYDRATION = {20, 30, 40, 60, 80};
    private static final double[] HYDRATION_TO_WATER = {0, 30, 60, 85, 100};
    private static final double[] SHINE_T = {15, 42, 60, 80, 95};
    private static final double[] SHINE_U = {15, 45, 68, 84, 96};
    private static final double MATT_BUT_COMFORTABLE = 35;
    /** Beyond this many points apart, eye and probe contradict one another. */
    private static final double CONFLICT = 35;

    /**
     * One zone on one axis.
     *
     * @param value 0 to 100
     * @param sources how many of eye and probe spoke
     * @param conflict whether they contradict
     */
    record Point(double value, double eye, double probe, int sources, boolean conflict) {}

    private Axis() {}

    static Map<Zone, Point> oil(SkinReading reading) {
        return each(reading, Axis::oilByProbe, Axis::oilByEye);
    }

    static Map<Zone, Point> water(SkinReading reading) {
        return each(reading, Axis::waterByProbe, Axis::waterByEye);
    }

    private interface Look {
        OptionalDouble at(SkinReading reading, Zone zone);
    }

    private static Map<Zone, Point> each(SkinReading reading, Look probe, Look eye) {
        Map<Zone, Point> points = new EnumMap<>(Zone.class);
        Stream.concat(Zone.T.stream(), Zone.U.stream()).forEach(zone -> {
            OptionalDouble p = probe.at(reading, zone);
            OptionalDouble e = eye.at(reading, zone);
            if (p.isPresent() || e.isPresent()) {
                points.put(zone, fuse(p, e));
            }
        });
        return points;
    }

    private static Point fuse(OptionalDouble probe, OptionalDouble eye) {
        if (probe.isEmpty() || eye.isEmpty()) {
            double only = probe.orElse(eye.orElse(0));
            return new Point(only, only, only, 1, false);
        }
        double p = probe.getAsDouble();
        double e = eye.getAsDouble();
        boolean conflict = Math.abs(p - e) > CONFLICT;
        return new Point(conflict ? (p + e) / 2 : 0.6 * p + 0.4 * e, e, p, 2, conflict);
    }

    private static OptionalDouble oilByProbe(SkinReading reading, Zone zone) {
        OptionalDouble sebum = reading.measured(zone, ProbeReading.Quantity.SEBUM);
        return sebum.isEmpty()
                ? sebum
                : OptionalDouble.of(linear(sebum.getAsDouble(), zone.isT() ? SEBUM_T : SEBUM_U, SEBUM_TO_OIL));
    }

    private static OptionalDouble oilByEye(SkinReading reading, Zone zone) {
        OptionalInt shine = reading.grade(zone, Sign.SHINE);
        if (shine.isEmpty()) {
            return OptionalDouble.empty();
        }
        boolean comfortable = reading.grade(zone, Sign.TIGHTNESS).orElse(-1) == 0
                && reading.grade(zone, Sign.FLAKING).orElse(-1) == 0;
        if (shine.getAsInt() == 0 && comfortable) {
            return OptionalDouble.of(MATT_BUT_COMFORTABLE);
        }
        return OptionalDouble.of((zone.isT() ? SHINE_T : SHINE_U)[shine.getAsInt()]);
    }

    private static OptionalDouble waterByProbe(SkinReading reading, Zone zone) {
        OptionalDouble units = reading.measured(zone, ProbeReading.Quantity.HYDRATION);
        return units.isEmpty() ? units : OptionalDouble.of(linear(units.getAsDouble(), HYDRATION, HYDRATION_TO_WATER));
    }

    /** W = 90 − 11 · tightness − 7 · flaking − 4.5 · thirst lines, at least 0; needs tightness or flaking. */
    private static OptionalDouble waterByEye(SkinReading reading, Zone zone) {
        OptionalInt tightness = reading.grade(zone, Sign.TIGHTNESS);
        OptionalInt flaking = reading.grade(zone, Sign.FLAKING);
        if (tightness.isEmpty() && flaking.isEmpty()) {
            return OptionalDouble.empty();
        }
        int lines = reading.grade(zone, Sign.DEHYDRATION_LINES).orElse(0);
        return OptionalDouble.of(Math.max(0, 90 - 11 * tightness.orElse(0) - 7 * flaking.orElse(0) - 4.5 * lines));
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

    /** T = 0.4 · forehead + 0.3 · nose + 0.3 · chin, weights renormalised when some are missing. */
    static OptionalDouble t(Map<Zone, Point> points) {
        double sum = 0;
        double weight = 0;
        for (Zone zone : Zone.T) {
            if (points.containsKey(zone)) {
                double w = zone == Zone.FOREHEAD ? 0.4 : 0.3;
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

    static double tenth(double x) {
        return Math.round(x * 10) / 10.0;
    }
}
