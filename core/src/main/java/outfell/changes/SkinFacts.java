package outfell.changes;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.causes.Cause;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.skin.ByHand;
import outfell.skin.Observation;
import outfell.skin.Sign;
import outfell.skin.Signs;
import outfell.skin.SkinReading;
import outfell.skin.Zone;

/** In what two readings of a face differ: sign by sign, and all that is not seen. */
final class SkinFacts {
    private final SkinReading was;
    private final SkinReading is;
    private final List<Fact> all;

    SkinFacts(Consultation from, Consultation to, List<Fact> all) {
        this.was = from.reading();
        this.is = to.reading();
        this.all = all;
    }

    void find() {
        for (Sign sign : Sign.values()) {
            if (!grades(was, sign).equals(grades(is, sign))) {
                add("sign " + sign, sentence(sign), r -> seeing(r, sign));
            }
        }
        if (!was.probe().equals(is.probe()) || !was.conditions().equals(is.conditions())) {
            add(
                    "probe",
                    "The probe reads otherwise than before.",
                    r -> new SkinReading(
                            r.observations(),
                            was.probe(),
                            was.conditions(),
                            r.history(),
                            r.events(),
                            r.settlements(),
                            r.byHand()));
        }
        if (!was.history().equals(is.history())) {
            add(
                    "history",
                    "The client tells otherwise of the skin than before.",
                    r -> new SkinReading(
                            r.observations(),
                            r.probe(),
                            r.conditions(),
                            was.history(),
                            r.events(),
                            r.settlements(),
                            r.byHand()));
        }
        if (!was.events().equals(is.events())) {
            add(
                    "events",
                    "What lately thinned the barrier is otherwise than before.",
                    r -> new SkinReading(
                            r.observations(),
                            r.probe(),
                            r.conditions(),
                            r.history(),
                            was.events(),
                            r.settlements(),
                            r.byHand()));
        }
        if (!was.settlements().equals(is.settlements())) {
            add(
                    "settlements",
                    "What disagreed is settled otherwise.",
                    r -> new SkinReading(
                            r.observations(),
                            r.probe(),
                            r.conditions(),
                            r.history(),
                            r.events(),
                            was.settlements(),
                            r.byHand()));
        }
        for (ByHand.Verdict verdict : ByHand.Verdict.values()) {
            if (!held(was, verdict).equals(held(is, verdict))) {
                add("verdict " + verdict, sentence(verdict), r -> holding(r, verdict));
            }
        }
        // the same said in another order
        if (!was.observations().equals(is.observations()) && sameGrades()) {
            add(
                    "order",
                    "The face was read in another order.",
                    r -> new SkinReading(
                            was.observations(),
                            r.probe(),
                            r.conditions(),
                            r.history(),
                            r.events(),
                            r.settlements(),
                            r.byHand()));
        }
    }

    private static Optional<ByHand> held(SkinReading reading, ByHand.Verdict verdict) {
        return reading.byHand().stream().filter(b -> b.verdict() == verdict).findFirst();
    }

    /** What is held of it since, and why; or that it is as it was read. */
    private String sentence(ByHand.Verdict verdict) {
        String name = "The %s".formatted(verdict.name().toLowerCase(Locale.ROOT));
        return held(is, verdict)
                .map(b -> "%s is held to be %s: %s.".formatted(name, words(b.value()), b.why()))
                .orElse("%s is as it was read, no longer as it was held to be.".formatted(name));
    }

    /** "OILY-DRY" is the T-zone and the cheeks. */
    private static String words(String value) {
        String[] parts = value.toLowerCase(Locale.ROOT).split("-");
        return parts.length == 2 ? "%s on the T-zone, %s on the cheeks".formatted(parts[0], parts[1]) : parts[0];
    }

    private SkinReading holding(SkinReading reading, ByHand.Verdict verdict) {
        return new SkinReading(
                reading.observations(),
                reading.probe(),
                reading.conditions(),
                reading.history(),
                reading.events(),
                reading.settlements(),
                Stream.concat(
                                reading.byHand().stream().filter(b -> b.verdict() != verdict),
                                held(was, verdict).stream())
                        .toList());
    }

    private boolean sameGrades() {
        return java.util.Arrays.stream(Sign.values())
                .allMatch(s -> grades(was, s).equals(grades(is, s)));
    }

    private void add(String id, String sentence, UnaryOperator<SkinReading> back) {
        all.add(new Fact(
                id,
                Cause.SKIN,
                Because.custom(sentence),
                Facts.part(p -> p.reading(back.apply(p.together().reading())))));
    }

    private static Map<Zone, Observation> grades(SkinReading reading, Sign sign) {
        Map<Zone, Observation> map = new TreeMap<>();
        reading.observations().stream().filter(o -> o.sign() == sign).forEach(o -> map.put(o.zone(), o));
        return map;
    }

    private SkinReading seeing(SkinReading reading, Sign sign) {
        List<Observation> others = new ArrayList<>(
                reading.observations().stream().filter(o -> o.sign() != sign).toList());
        others.addAll(grades(was, sign).values());
        return new SkinReading(
                others,
                reading.probe(),
                reading.conditions(),
                reading.history(),
                reading.events(),
                reading.settlements(),
                reading.byHand());
    }

    private String sentence(Sign sign) {
        String now = worst(is, sign);
        String before = worst(was, sign);
        return "%s: %s; it was %s."
                .formatted(
                        Signs.of(sign).label(),
                        now.equals(before) ? everywhere(is, sign) : now,
                        now.equals(before) ? everywhere(was, sign) : before);
    }

    /** "none", "2 at worst, on the nose", or that nobody looked. */
    private static String worst(SkinReading reading, Sign sign) {
        Map<Zone, Observation> grades = grades(reading, sign);
        int worst = grades.values().stream().mapToInt(Observation::grade).max().orElse(-1);
        if (worst <= 0) {
            return worst < 0 ? "not looked at" : "none";
        }
        return "%d at worst, on the %s"
                .formatted(
                        worst,
                        grades.values().stream()
                                .filter(o -> o.grade() == worst)
                                .map(o -> o.zone().words())
                                .collect(Collectors.joining(", ")));
    }

    /** "2 on the right cheek, 1 on the nose". */
    private static String everywhere(SkinReading reading, Sign sign) {
        return grades(reading, sign).values().stream()
                .map(o -> "%d on the %s".formatted(o.grade(), o.zone().words()))
                .collect(Collectors.joining(", "));
    }
}
