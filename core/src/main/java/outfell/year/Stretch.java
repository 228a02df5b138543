package outfell.year;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import outfell.changes.Change;
import outfell.climate.Air;
import outfell.knowledge.Because;
import outfell.regimen.Regimen;
import outfell.season.Lever;

/**
 * A part of the year for which one plan stands.
 *
 * @param from the first day
 * @param until the day after the last
 * @param name by its air, "dry heated rooms, low sun"
 * @param air the mean of its days
 * @param turned what the air asks otherwise than before; empty for the first
 * @param changes from the plan before, each with the one cause that did it; none for the first
 * @param ripened what came to be otherwise until then by mere use
 * @param told what the sheet says from now on, or no longer
 * @param quiet what turned and changed nothing, and why nothing had to
 * @param month what a month of it costs for what is not owned, where prices are known
 */
public record Stretch(
        LocalDate from,
        LocalDate until,
        String name,
        Air air,
        List<TurnOfAir> turned,
        Regimen plan,
        List<Change> changes,
        List<Change> ripened,
        List<ToldNote> told,
        List<QuietTurn> quiet,
        double month) {
    public Stretch {
        turned = List.copyOf(turned);
        changes = List.copyOf(changes);
        ripened = List.copyOf(ripened);
        told = List.copyOf(told);
        quiet = List.copyOf(quiet);
    }

    /** One thing that the air asks otherwise from a day on. */
    public record TurnOfAir(LocalDate day, Lever lever, String words, Because because) {}

    /**
     * A note of the sheet that comes or goes.
     *
     * @param begins whether it comes
     */
    public record ToldNote(boolean begins, String title, String text, Because because) {
        /** What the sheet of the second plan says and that of the first does not, then the other way round. */
        static List<ToldNote> between(Regimen first, Regimen second) {
            return Stream.concat(only(second, first, true), only(first, second, false))
                    .toList();
        }

        private static Stream<ToldNote> only(Regimen of, Regimen other, boolean begins) {
            return of.sheetNotes().stream()
                    .filter(n ->
                            other.sheetNotes().stream().noneMatch(o -> o.title().equals(n.title())))
                    .map(n -> new ToldNote(begins, n.title(), n.text(), n.because()));
        }
    }

    /**
     * A turn of the air that changed nothing.
     *
     * @param because why nothing has to change
     */
    public record QuietTurn(LocalDate day, String words, Because because) {}

    Stretch beginning(LocalDate day) {
        return new Stretch(day, until, name, air, turned, plan, changes, ripened, told, quiet, month);
    }

    Stretch until(LocalDate later, List<QuietTurn> more) {
        List<QuietTurn> all = new java.util.ArrayList<>(quiet);
        all.addAll(more);
        return new Stretch(from, later, name, air, turned, plan, changes, ripened, told, all, month);
    }
}
