package outfell.year;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.lang3.StringUtils;
import outfell.changes.InWords;
import outfell.consultation.Life;
import outfell.knowledge.Because;
import outfell.year.SpellPlan.SpellLine;
import outfell.year.Stretch.ToldNote;

/** What the client's sheet says of the year: what changes when, what is done in a spell, and what if one comes unasked. */
final class ForTheSheet {
    /** Dates that a sheet has room for: those after them belong to the next visit. */
    private static final int MOST_DATES = Turns.FILE.whole("sheet-dates", 0, 12);

    private ForTheSheet() {}

    static List<Year.YearLine> of(List<Stretch> stretches, List<SpellPlan> spells, Life life) {
        List<Year.YearLine> lines = new ArrayList<>();
        stretches.stream()
                .skip(1)
                .limit(MOST_DATES)
                .map(ForTheSheet::date)
                .filter(l -> !l.text().isEmpty())
                .forEach(lines::add);
        spells.forEach(s -> lines.add(new Year.YearLine(
                Optional.of(s.from()), Optional.of(s.until()), StringUtils.capitalize(s.label()), spell(s))));
        Set<String> called = spells.stream().map(SpellPlan::id).collect(Collectors.toSet());
        Spell.all().stream()
                .filter(s -> s.sheet().stream().anyMatch(life.places()::contains))
                .filter(s -> !called.contains(s.pause().id()))
                .forEach(s -> lines.add(new Year.YearLine(
                        Optional.empty(), Optional.empty(), "If " + s.ahead(), sentence(said(s.says())))));
        return List.copyOf(lines);
    }

    private static Year.YearLine date(Stretch stretch) {
        Stream<String> notes = stretch.told().stream()
                .filter(ToldNote::begins)
                .map(t -> "%s: %s".formatted(t.title(), StringUtils.substringBefore(t.text(), ". ")))
                .map(t -> StringUtils.removeEnd(t, "."));
        return new Year.YearLine(
                Optional.of(stretch.from()),
                Optional.empty(),
                "",
                sentence(Stream.concat(InWords.of(stretch.changes()).stream(), notes)
                        .collect(Collectors.joining("; "))));
    }

    private static String spell(SpellPlan s) {
        return sentence(Stream.concat(
                        s.lines().stream()
                                .filter(l -> l.what() != SpellPlan.What.STAYS)
                                .map(SpellLine::words),
                        s.says().stream().map(Because::sentence))
                .collect(Collectors.joining("; ")));
    }

    private static String said(List<Because> says) {
        return says.stream().map(Because::sentence).collect(Collectors.joining("; "));
    }

    private static String sentence(String words) {
        return words.isEmpty() ? "" : StringUtils.capitalize(words) + ".";
    }
}
