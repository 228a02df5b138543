package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.week.CheckIn;
import outfell.week.Diary;
import outfell.week.HerEvening;
import outfell.week.Pause;
import outfell.week.Ramp;
import outfell.week.Rhythm;

/**
 * The weeks of plans, night by night and word for word, with what happens to clients: check-ins, pauses, evenings of their own,
 * rhythms of other nights. -Doutfell.update=true writes them anew.
 */
class WeeksSaidTest {
    private static final Path FOLDER = Path.of("src/test/resources/rules/weeks");
    private static final int CLIENTS = 24;
    private static final int NIGHTS = 35;

    static IntStream clients() {
        return IntStream.rangeClosed(1, CLIENTS);
    }

    @ParameterizedTest
    @MethodSource("clients")
    void weeks_are_what_was_agreed(int client) throws IOException {
        Consultation without = PlansSaidTest.consultation(client);
        LocalDate begun = without.answers().today();
        Consultation c = without.parts().diary(happened(client, begun)).together();
        String said = Planner.weeks(c, begun.plusDays(client % 4 == 0 ? 40 : 0))
                .map(WeeksSaidTest::told)
                .orElse("no plan%n".formatted());
        Path file = FOLDER.resolve("client-%02d.txt".formatted(client));
        if (Boolean.getBoolean("outfell.update")) {
            Files.createDirectories(FOLDER);
            Files.writeString(file, said);
        }
        assertThat(said.lines().toList())
                .isEqualTo(Files.readString(file).lines().toList());
    }

    /** Something else for each, so that every sentence is told to somebody. */
    private static Diary happened(int client, LocalDate begun) {
        List<CheckIn> checkIns = switch (client % 8) {
            case 0 -> List.of(said(begun.plusDays(28), 3, 1, 0, 0));
            case 4 ->
                client < 12
                        ? List.of(said(begun.plusDays(14), 2, 0, 0, 0), said(begun.plusDays(35), 0, 1, 0, 1))
                        : List.of(
                                said(begun.plusDays(10), 4, 2, 1, 0),
                                said(begun.plusDays(24), 0, 1, 1, 0),
                                said(begun.plusDays(38), 1, 0, 0, 0));
            default -> List.of();
        };
        List<Pause> pauses = client % 5 == 1
                ? List.of(new Pause(Pause.kind("waxing").orElseThrow(), begun.plusDays(20), begun.plusDays(20)))
                : List.of();
        Rhythm rhythm =
                client % 6 == 2 ? new Rhythm(4, begun) : client % 6 == 5 ? new Rhythm(14, begun) : Rhythm.weekly();
        List<HerEvening> evenings = client % 3 == 0
                ? List.of(new HerEvening(
                        HerEvening.kind("swim").orElseThrow(),
                        Optional.of(java.time.DayOfWeek.TUESDAY),
                        Optional.empty()))
                : List.of();
        return new Diary(CheckIn.Before.UNKNOWN, checkIns, pauses, Optional.of(rhythm), evenings, List.of(), List.of());
    }

    private static CheckIn said(LocalDate on, int sting, int redness, int flaking, int skipped) {
        return new CheckIn(
                on,
                OptionalInt.of(sting),
                OptionalInt.of(redness),
                OptionalInt.of(flaking),
                false,
                OptionalInt.of(skipped));
    }

    static String told(Weeks w) {
        StringBuilder text = new StringBuilder(
                "%s, %s to %s, every %d of %d; bears %.1f a week, %.1f a night, %.1f in three, daily %.1f%n"
                        .formatted(
                                w.begun(),
                                w.from(),
                                w.until(),
                                w.rhythm().every(),
                                w.nights(),
                                w.bears().week(),
                                w.bears().night(),
                                w.bears().three(),
                                w.bears().daily()));
        w.checkIns()
                .forEach(r -> text.append(
                        "check-in %s: %s%n".formatted(r.says(), r.because().sentence())));
        text.append("next check-ins %s%n".formatted(w.dueCheckIns()));
        w.calm()
                .ifPresent(c -> text.append("calm since %s, without %s; %s %s %s%n"
                        .formatted(
                                c.since(),
                                c.out(),
                                c.ends().sentence(),
                                c.back(),
                                c.doctor().map(Because::sentence).orElse("no doctor"))));
        w.verdicts().forEach(v -> text.append("judge %s from %s: %s%n".formatted(v.concern(), v.fair(), v.look())));
        for (Weeks.Track t : w.tracks()) {
            text.append("== %s [%s] %.1f%s%n".formatted(t.name(), t.letter(), t.points(), t.queued() ? " queued" : ""));
            Ramp.Standing before = null;
            String why = "";
            for (Ramp.WeekOfIt week : t.weeks()) {
                boolean same =
                        week.standing() == before && week.because().sentence().equals(why);
                text.append("  %s led %d, %d nights, %s%s%n"
                        .formatted(
                                week.from(),
                                week.led(),
                                week.uses(),
                                week.standing(),
                                same ? "" : ": " + week.because().sentence()));
                before = week.standing();
                why = week.because().sentence();
            }
            t.turns().forEach(turn -> text.append("  from %s: %s%n".formatted(turn.from(), turn.nights())));
            text.append("  %s%n".formatted(t.more()));
            t.stronger().ifPresent(b -> text.append("  %s%n".formatted(b.sentence())));
        }
        String before = "";
        // the first weeks night by night; the tracks tell of the others
        for (Weeks.Evening e : w.evenings().subList(0, NIGHTS)) {
            String why = Stream.concat(
                            e.rest().stream().map(Because::sentence),
                            e.over().stream().map(b -> "over: " + b.sentence()))
                    .collect(Collectors.joining(" "));
            text.append("%s %s round %d: %s load %.1f, three %.1f, %.1f min, %d steps%s%s%s%n"
                    .formatted(
                            e.date(),
                            e.date().getDayOfWeek().name().substring(0, 3),
                            e.round(),
                            e.uses().stream().map(Weeks.UsedThen::name).toList(),
                            e.load(),
                            e.three(),
                            e.minutes(),
                            e.products().size(),
                            e.calm() ? " calm" : "",
                            why.isEmpty() || why.equals(before) ? "" : ": " + why,
                            e.leftOut().stream()
                                    .map(l -> "; without %s: %s"
                                            .formatted(l.name(), l.because().sentence()))
                                    .collect(Collectors.joining())));
            before = why.isEmpty() ? before : why;
        }
        return text.toString();
    }
}
