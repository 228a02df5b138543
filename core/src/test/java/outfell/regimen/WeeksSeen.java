package outfell.regimen;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.routine.Condition;
import outfell.skin.Concern;
import outfell.week.CheckIn;
import outfell.week.Course;
import outfell.week.Diary;
import outfell.week.HerEvening;
import outfell.week.Pause;
import outfell.week.Ramp;
import outfell.week.Tolerance;

/** What the figures of the weeks do: check-ins, pauses, courses, when a plan may be judged. */
final class WeeksSeen {
    private static final LocalDate DAY = LocalDate.of(2026, 11, 30);

    private WeeksSeen() {}

    static String weeks() {
        StringBuilder text = new StringBuilder();
        for (int before = 0; before <= 2; before++) {
            for (String sign : List.of("sting", "redness", "flaking")) {
                CheckIn.Before was = new CheckIn.Before(OptionalInt.of(before), OptionalInt.of(before));
                text.append("%s after %d: %s%n"
                        .formatted(
                                sign,
                                before,
                                IntStream.rangeClosed(0, 4)
                                        .mapToObj(g ->
                                                checkIn(0, sign, g).says(was).name())
                                        .collect(Collectors.joining(", "))));
            }
        }
        for (int grade = 0; grade <= 2; grade++) {
            Diary calm =
                    diary(List.of(checkIn(0, "sting", 4), all(7, grade), all(14, grade), all(21, grade)), List.of());
            text.append("after a reset three of grade %d: %s%n"
                    .formatted(grade, calm.calming(DAY.plusDays(21)).ended()));
        }
        for (int first : new int[] {1, 10}) {
            Diary daily = diary(
                    Stream.concat(
                                    Stream.of(checkIn(0, "sting", 4)),
                                    IntStream.range(first, 30).mapToObj(day -> all(day, 1)))
                            .toList(),
                    List.of());
            text.append("after a reset, asked every day from day %d: %s%n"
                    .formatted(first, daily.calming(DAY.plusDays(30)).ended()));
        }
        for (int day = 12; day <= 16; day++) {
            for (int grade = 2; grade <= 4; grade++) {
                Diary still = diary(List.of(checkIn(0, "sting", 3), checkIn(day, "sting", grade)), List.of());
                text.append("a sting of 3, after %d days %d: %s%n"
                        .formatted(
                                day,
                                grade,
                                still.calming(DAY.plusDays(day))
                                        .doctor()
                                        .map(Because::sentence)
                                        .orElse("")));
            }
        }
        text.append(rungs("sting 2 in week 4", diary(List.of(checkIn(28, "sting", 2)), List.of())));
        for (int skipped = 0; skipped <= 3; skipped++) {
            text.append(
                    rungs("%d left out in week 7".formatted(skipped), diary(List.of(skipped(49, skipped)), List.of())));
        }
        for (int skipped = 2; skipped <= 4; skipped++) {
            text.append(rungs(
                    "%d left out in week 10".formatted(skipped), diary(List.of(skipped(70, skipped)), List.of())));
        }
        for (int days : new int[] {4, 13, 14, 21}) {
            Pause rest = new Pause(Pause.kind("rest").orElseThrow(), DAY.plusDays(28), DAY.plusDays(27 + days));
            text.append(rungs("%d days off".formatted(days), diary(List.of(), List.of(rest))));
        }
        List<Pause.KindOfPause> kinds = new ArrayList<>(Pause.kinds());
        kinds.addAll(HerEvening.kinds());
        kinds.forEach(k -> text.append("%s: %d days before, %d after, stops %s, leaves out %s%n"
                .formatted(k.label(), k.before(), k.after(), k.stops(), k.leavesOut())));
        Condition.kinds()
                .forEach(c -> text.append("when %s (%s): %d a week%n".formatted(c.label(), c.words(), c.usual())));
        for (Course.KindOfCourse kind : Course.kinds()) {
            Course course = new Course(Consultations.product("serum-peptide").id(), kind, DAY);
            text.append("%s: on %s%n"
                    .formatted(
                            kind.label(),
                            IntStream.range(0, 200)
                                    .filter(d -> course.isOn(DAY.plusDays(d)) != course.isOn(DAY.plusDays(d - 1)))
                                    .boxed()
                                    .toList()));
        }
        for (Concern concern : Concern.values()) {
            Verdicts.of(concern, DAY)
                    .ifPresent(
                            v -> text.append("judge %s: first %s, fair %s%n".formatted(concern, v.first(), v.fair())));
        }
        text.append("check-ins every %d, %d in a reset, %d when settled%n"
                .formatted(CheckIn.EVERY_LED_UP, CheckIn.EVERY_IN_RESET, CheckIn.EVERY_SETTLED));
        text.append("new things %d days apart, %d after a mild one; stronger after %d weeks of %d nights%n"
                .formatted(
                        Tolerance.DAYS_BETWEEN_NEW,
                        Tolerance.DAYS_AFTER_MILD,
                        Tolerance.STRONGER_WEEKS,
                        Tolerance.STRONGER_NIGHTS));
        for (Tolerance.Kind kind : Tolerance.Kind.values()) {
            Tolerance t = Tolerance.of(kind);
            text.append("%s: %.1f a night, %.1f in three%n".formatted(t.label(), t.night(), t.three()));
        }
        for (String id : List.of(
                "glycolic-fluid-8",
                "salicylic-fluid-2",
                "gluconolactone-8",
                "enzyme-powder",
                "enzyme-gel-bromelain",
                "scrub-silica-fine",
                "clay-mask-kaolin",
                "retinal-cream-005")) {
            Consultations.CATALOGUE.stream()
                    .filter(p -> p.id().value().equals(id))
                    .forEach(p -> text.append("%s: %d nights apart%n".formatted(p.name(), Tolerance.nightsApart(p))));
        }
        return text.toString();
    }

    private static String rungs(String what, Diary diary) {
        Ramp.Thing retinal = new Ramp.Thing(
                Consultations.product("retinal-cream-005"),
                DAY,
                led -> Tolerance.of(Tolerance.Kind.NORMAL).usesPerWeek(Consultations.product("retinal-cream-005"), led),
                Optional.empty(),
                0,
                Because.house("why"));
        return "%s: %s%n"
                .formatted(
                        what,
                        Ramp.of(retinal, diary, DAY, 12).stream()
                                .map(w -> "%d %s".formatted(w.uses(), w.standing()))
                                .collect(Collectors.joining(", ")));
    }

    private static Diary diary(List<CheckIn> checkIns, List<Pause> pauses) {
        return new Diary(CheckIn.Before.UNKNOWN, checkIns, pauses, Optional.empty(), List.of(), List.of(), List.of());
    }

    private static CheckIn checkIn(int day, String sign, int grade) {
        return new CheckIn(
                DAY.plusDays(day),
                OptionalInt.of(sign.equals("sting") ? grade : 0),
                OptionalInt.of(sign.equals("redness") ? grade : 0),
                OptionalInt.of(sign.equals("flaking") ? grade : 0),
                false,
                OptionalInt.empty());
    }

    private static CheckIn all(int day, int grade) {
        return new CheckIn(
                DAY.plusDays(day),
                OptionalInt.of(grade),
                OptionalInt.of(grade),
                OptionalInt.of(grade),
                false,
                OptionalInt.empty());
    }

    private static CheckIn skipped(int day, int nights) {
        return new CheckIn(
                DAY.plusDays(day),
                OptionalInt.of(0),
                OptionalInt.of(0),
                OptionalInt.of(0),
                false,
                OptionalInt.of(nights));
    }
}
