package outfell.server.standin;

import java.time.LocalDate;
import java.util.Objects;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import outfell.climate.MonthlyAir;
import outfell.climate.Site;

/**
 * Days round the normals of a place: a warmth that wanders from day to day, and now and then a cold snap or a warm one. The same seed,
 * place and day give the same air, in whatever order they are asked for.
 */
final class MadeUpDays {
    /** How many days back a day is felt, and how much of it is left a day later. */
    private static final int MEMORY = 9;

    private static final double LEFT_OVER = 0.7;
    /** Of each so many days, a snap may begin in one. */
    private static final int BLOCK_DAYS = 25;

    private static final double SHARE_WITH_A_SNAP = 0.6;
    private static final int SHORTEST_SNAP = 4;
    private static final int LONGEST_SNAP = 7;
    private static final double LARGEST_SNAP = 10;

    private final long seed;

    MadeUpDays(long seed) {
        this.seed = seed;
    }

    MonthlyAir on(Site site, LocalDate day) {
        MonthlyAir normal = site.on(day);
        double lively = liveliness(site);
        double warmth = lively * (1.5 * wander(site, day, "warmth") + snap(site, day));
        double moist = 6 * wander(site, day, "moist") - 0.8 * warmth;
        double wind = normal.wind() * Math.exp(0.25 * wander(site, day, "wind"));
        double cloud = Math.clamp(0.9 + 0.12 * wander(site, day, "cloud"), 0.5, 1.05);
        return new MonthlyAir(
                rounded(normal.celsius() + warmth),
                Math.clamp(Math.round(normal.humidity() + moist), 8, 100),
                rounded(Math.clamp(wind, 0, 30)),
                rounded(Math.clamp(normal.uvIndex() * cloud, 0, 16)));
    }

    /** Where winter and summer are alike, days are: 0.3 in the tropics, 1 where they differ by twelve degrees or more. */
    private static double liveliness(Site site) {
        double least =
                site.months().stream().mapToDouble(MonthlyAir::celsius).min().orElseThrow();
        double most =
                site.months().stream().mapToDouble(MonthlyAir::celsius).max().orElseThrow();
        return Math.clamp((most - least) / 12, 0.3, 1);
    }

    /** Each day's chance with what is left of those before: about 0 in the mean, 1 to either side. */
    private double wander(Site site, LocalDate day, String what) {
        double sum = 0;
        double share = 1;
        for (int back = 0; back < MEMORY; back++) {
            sum += share * dice(site, day.toEpochDay() - back, what).nextGaussian();
            share *= LEFT_OVER;
        }
        return sum * Math.sqrt(1 - LEFT_OVER * LEFT_OVER);
    }

    /** °C that a snap adds; 0 on days without one. */
    private double snap(Site site, LocalDate day) {
        long block = Math.floorDiv(day.toEpochDay(), BLOCK_DAYS);
        RandomGenerator dice = dice(site, block, "snap");
        if (dice.nextDouble() > SHARE_WITH_A_SNAP) {
            return 0;
        }
        int length = dice.nextInt(SHORTEST_SNAP, LONGEST_SNAP + 1);
        int begins = dice.nextInt(0, BLOCK_DAYS - length);
        double size = dice.nextDouble(LARGEST_SNAP - 2, LARGEST_SNAP + 1);
        boolean cold = dice.nextBoolean();
        long in = Math.floorMod(day.toEpochDay(), BLOCK_DAYS) - begins;
        return in >= 0 && in < length ? (cold ? -size : size) : 0;
    }

    private RandomGenerator dice(Site site, long n, String what) {
        return RandomGeneratorFactory.of("L64X128MixRandom")
                .create(seed + 1_000_003L * n + 7_919L * Objects.hash(site.id().value(), what));
    }

    private static double rounded(double x) {
        return Math.round(x * 10) / 10.0;
    }
}
