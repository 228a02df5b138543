package outfell.skin;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * In what a probe was read. What is not written down is not assumed: it makes a reading count less.
 *
 * @param roomCelsius of the air, −10 to 50
 * @param humidity relative, in percent, 0 to 100
 * @param minutesSinceWash 0 to 10 080
 * @param cleanser whether that wash was with more than water
 * @param minutesSettled that the skin has been bare and she has sat, 0 to 600
 * @param hoursSinceProduct since anything was left on the skin, 0 to 720
 */
public record ProbeConditions(
        OptionalDouble roomCelsius,
        OptionalDouble humidity,
        OptionalInt minutesSinceWash,
        boolean cleanser,
        OptionalInt minutesSettled,
        OptionalInt hoursSinceProduct) {
    public static final ProbeConditions UNSTATED = new ProbeConditions(
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalInt.empty(),
            false,
            OptionalInt.empty(),
            OptionalInt.empty());

    /** How far readings taken in these conditions may be relied on. */
    public enum Standing {
        VALID,
        NOTED,
        INVALID
    }

    /**
     * @param standing of every reading of one quantity
     * @param faults what keeps it from being valid, in words; none when valid
     */
    public record Judged(Standing standing, List<String> faults) {}

    public ProbeConditions {
        within("Room temperature", roomCelsius, -10, 50, "°C");
        within("Humidity", humidity, 0, 100, "%");
        within("Minutes since washing", whole(minutesSinceWash), 0, 10_080, "min");
        within("Minutes settled", whole(minutesSettled), 0, 600, "min");
        within("Hours since a product", whole(hoursSinceProduct), 0, 720, "h");
    }

    /**
     * All met is valid; one soft fault, or something not written down, is usable with a note; anything else is kept and
     * never counted. Sources: pinnagoda-1990, eemco; the limits stand in probe.yaml.
     */
    Judged judge(ProbeReading.Quantity quantity) {
        List<String> soft = new ArrayList<>();
        List<String> hard = new ArrayList<>();
        List<String> open = new ArrayList<>();
        ProbeLimits limits = ProbeLimits.HOUSE;
        judgeRoom(limits, soft, hard, open);
        judgeSkin(limits, quantity, soft, hard, open);
        List<String> faults = new ArrayList<>(hard);
        faults.addAll(soft);
        if (!open.isEmpty()) {
            faults.add("not written down: " + String.join(", ", open));
        }
        Standing standing = !hard.isEmpty() || soft.size() > 1
                ? Standing.INVALID
                : soft.isEmpty() && open.isEmpty() ? Standing.VALID : Standing.NOTED;
        return new Judged(standing, List.copyOf(faults));
    }

    private void judgeRoom(ProbeLimits limits, List<String> soft, List<String> hard, List<String> open) {
        if (roomCelsius.isEmpty()) {
            open.add("room temperature");
        } else if (!limits.room().holds(roomCelsius.getAsDouble())) {
            hard.add("room at %s °C, valid is %s".formatted(SkinReader.n(roomCelsius.getAsDouble()), limits.room()));
        }
        if (humidity.isEmpty()) {
            open.add("humidity");
        } else if (!limits.humidityUsable().holds(humidity.getAsDouble())) {
            hard.add("air at %s %%, valid is %s".formatted(SkinReader.n(humidity.getAsDouble()), limits.humidity()));
        } else if (!limits.humidity().holds(humidity.getAsDouble())) {
            soft.add("air at %s %%, valid is %s".formatted(SkinReader.n(humidity.getAsDouble()), limits.humidity()));
        }
    }

    private void judgeSkin(
            ProbeLimits limits,
            ProbeReading.Quantity quantity,
            List<String> soft,
            List<String> hard,
            List<String> open) {
        int needed = quantity == ProbeReading.Quantity.SEBUM
                ? limits.sebumAfterWash()
                : cleanser ? limits.afterCleanser() : limits.afterWater();
        if (minutesSinceWash.isEmpty()) {
            open.add("minutes since washing");
        } else if (minutesSinceWash.getAsInt() < limits.leastAfterWash()) {
            hard.add("washed %d min ago, %d are needed".formatted(minutesSinceWash.getAsInt(), needed));
        } else if (minutesSinceWash.getAsInt() < needed) {
            soft.add("washed %d min ago, %d are needed".formatted(minutesSinceWash.getAsInt(), needed));
        }
        if (minutesSettled.isEmpty()) {
            open.add("minutes settled");
        } else if (minutesSettled.getAsInt() < limits.settled()) {
            hard.add("settled %d min, %d are needed".formatted(minutesSettled.getAsInt(), limits.settled()));
        }
        if (hoursSinceProduct.isEmpty()) {
            open.add("hours since a product");
        } else if (hoursSinceProduct.getAsInt() < limits.afterProduct()) {
            hard.add(
                    "a product %d h ago, %d are needed".formatted(hoursSinceProduct.getAsInt(), limits.afterProduct()));
        }
    }

    private static OptionalDouble whole(OptionalInt value) {
        return value.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(value.getAsInt());
    }

    private static void within(String what, OptionalDouble value, double least, double most, String unit) {
        if (value.isPresent() && !(value.getAsDouble() >= least && value.getAsDouble() <= most)) {
            throw new IllegalArgumentException("%s of %s is outside %.0f to %.0f %s."
                    .formatted(what, SkinReader.n(value.getAsDouble()), least, most, unit));
        }
    }
}
