package outfell.server.sheet;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.lang3.StringUtils;
import org.jspecify.annotations.Nullable;
import outfell.aims.PatchCall;
import outfell.product.ProductId;
import outfell.regimen.Regimen;
import outfell.regimen.Tonight;
import outfell.regimen.Weeks;
import outfell.routine.Routine;
import outfell.routine.Step;
import outfell.server.client.ClientStore.Client;
import outfell.server.plan.VerdictView;
import outfell.server.practice.House;
import outfell.server.visit.PlanStore.SavedPlan;
import outfell.server.visit.VisitStore.Visit;
import outfell.server.visit.YearView;

/**
 * The client's sheet in words, ready to be set: two lists, the evenings by their dates, what changes when, the cautions.
 *
 * @param next when the next visit is
 * @param evenings rows of seven; empty when every evening is the same
 * @param turns by thing, when its nights change
 * @param year what changes through the year, and what if
 * @param foot which plan it is
 */
public record Sheet(
        String title,
        String air,
        boolean draft,
        House.Details practice,
        String practiceLine,
        String next,
        List<String> unsure,
        List<ListOf> lists,
        String eveningsTitle,
        List<List<EveningOf>> evenings,
        List<TurnsOf> turns,
        List<List<NoteOf>> notes,
        List<NoteOf> year,
        String foot) {
    /**
     * One routine.
     *
     * @param ifs what is done otherwise on days that are not like others
     */
    public record ListOf(String title, String minutes, List<StepOf> steps, List<String> ifs) {}

    /** @param marks what else is to be known of it, in a box each */
    public record StepOf(int number, String name, String does, String nights, List<String> marks, String how) {}

    /** One evening. */
    public record EveningOf(String day, String what) {}

    /** A thing and when its nights change. */
    public record TurnsOf(String name, String nights) {}

    /** What is said beside the steps. */
    public record NoteOf(String title, String text) {}

    /**
     * @param kept absent for a draft
     */
    record Facts(
            Visit visit,
            Client client,
            House.Details practice,
            Regimen regimen,
            Weeks weeks,
            VerdictView verdict,
            @Nullable SavedPlan kept,
            List<YearView.SheetLine> year) {}

    private static final int ROW = 7;
    private static final int ROWS = 2;

    static Sheet of(Facts f) {
        Days days = new Days(f.practice().formats());
        Regimen regimen = f.regimen();
        Set<ProductId> waits = regimen.patches().stream()
                .filter(PatchCall::waits)
                .map(PatchCall::product)
                .collect(Collectors.toSet());
        boolean alike = !f.weeks().byDate();
        List<Weeks.Evening> evenings = f.weeks().evenings().stream()
                .filter(e -> !e.date().isBefore(f.weeks().now()))
                .limit((long) ROW * ROWS)
                .toList();
        return new Sheet(
                "%s’s skin plan".formatted(f.client().name()),
                "For the air of %s".formatted(regimen.month().getDisplayName(TextStyle.FULL, Locale.UK)),
                f.kept() == null,
                f.practice(),
                Stream.of(
                                f.practice().address().replace("\n", ", "),
                                f.practice().telephone(),
                                f.practice().hours())
                        .filter(StringUtils::isNotBlank)
                        .collect(Collectors.joining(" · ")),
                f.client().nextVisit() != null
                                && f.client()
                                        .nextVisit()
                                        .toLocalDate()
                                        .isAfter(f.visit().date())
                        ? "Next visit: %s".formatted(days.dayAndTime(f.client().nextVisit()))
                        : "Next visit: about six weeks from now",
                regimen.unsure().stream().map(b -> b.sentence()).toList(),
                List.of(list(regimen, regimen.morning(), waits), list(regimen, regimen.evening(), waits)),
                alike || evenings.isEmpty()
                        ? ""
                        : "Your evenings, %s to %s"
                                .formatted(
                                        days.day(evenings.getFirst().date()),
                                        days.day(evenings.getLast().date())),
                alike
                        ? List.of()
                        : rows(evenings.stream().map(e -> evening(e, days)).toList(), ROW),
                alike ? List.of() : turns(f.weeks(), days),
                rows(notes(regimen, f.verdict()), 2),
                f.year().stream().map(l -> yearLine(l, days)).toList(),
                foot(f, days));
    }

    private static ListOf list(Regimen regimen, Routine r, Set<ProductId> waits) {
        long most = (long) Math.ceil(r.timeline().minutes());
        long least = (long) Math.ceil(r.timeline().shortestMinutes());
        return new ListOf(
                StringUtils.capitalize(r.part().words()),
                most == least ? "%d minutes".formatted(most) : "%d to %d minutes".formatted(least, most),
                r.steps().stream().map(s -> step(s, waits)).toList(),
                regimen.tonight().stream()
                        .filter(v -> v.part() == r.part())
                        .map(Tonight.Version::told)
                        .filter(StringUtils::isNotBlank)
                        .toList());
    }

    private static StepOf step(Step s, Set<ProductId> waits) {
        List<String> marks = new ArrayList<>();
        if (s.hand().optional()) {
            marks.add("may be left out");
        }
        if (waits.contains(s.product())) {
            marks.add("not before its patch test is read");
        }
        String how = Stream.of(
                        s.amount().words(),
                        s.toldWhere(),
                        s.hand().words().isEmpty() ? s.technique() : s.hand().words(),
                        s.settle() > 0 ? "wait %s".formatted(seconds(s.settle())) : "",
                        s.contact() > 0 ? "leave %s".formatted(seconds(s.contact())) : "",
                        beside(s))
                .filter(StringUtils::isNotBlank)
                .collect(Collectors.joining("; "));
        return new StepOf(s.number(), s.name(), s.does(), often(s), marks, how);
    }

    /** What is done straight before or after it, in its words. */
    private static String beside(Step s) {
        return s.then().stream().map(a -> "%s: %s".formatted(a.told(), a.how())).collect(Collectors.joining("; "));
    }

    private static String often(Step s) {
        if (!s.hand().when().isEmpty()) {
            return s.often();
        }
        return s.everyDay() ? "" : "some evenings";
    }

    private static String seconds(int seconds) {
        int rest = seconds % 60;
        return seconds < 60
                ? "%d s".formatted(seconds)
                : rest == 0 ? "%d min".formatted(seconds / 60) : "%d min %d s".formatted(seconds / 60, rest);
    }

    private static EveningOf evening(Weeks.Evening e, Days days) {
        String what = e.calm()
                ? e.uses().stream().map(u -> ", " + u.name()).collect(Collectors.joining("", "calm", ""))
                : e.uses().isEmpty()
                        ? "rest"
                        : e.uses().stream().map(Weeks.UsedThen::name).collect(Collectors.joining(", "));
        return new EveningOf(days.day(e.date()), what);
    }

    /** What changes after today: a thing that stays as it is has no line. */
    private static List<TurnsOf> turns(Weeks weeks, Days days) {
        return weeks.tracks().stream()
                .map(t -> new TurnsOf(
                        t.name(),
                        t.turns().stream()
                                .filter(turn -> turn.from().isAfter(weeks.now()))
                                .map(turn -> "from %s: %s".formatted(days.day(turn.from()), turn.nights()))
                                .collect(Collectors.joining("; "))))
                .filter(t -> !t.nights().isEmpty())
                .toList();
    }

    private static List<NoteOf> notes(Regimen regimen, VerdictView verdict) {
        return Stream.concat(
                        regimen.sheetNotes().stream().map(n -> new NoteOf(n.title(), n.text())),
                        verdict.safety().cautions().stream()
                                .filter(c -> !c.forClient().isEmpty())
                                .map(c -> new NoteOf(StringUtils.capitalize(c.name()), c.forClient())))
                .toList();
    }

    /** "18 March" or "6 to 7 February: a flight" before what is done. */
    private static NoteOf yearLine(YearView.SheetLine line, Days days) {
        LocalDate from = line.from();
        LocalDate until = line.until();
        String when = from == null
                ? ""
                : until == null
                        ? "From %s".formatted(days.dayOfYear(from))
                        : until.equals(from)
                                ? days.dayOfYear(from)
                                : "%s to %s".formatted(days.dayOfYear(from), days.dayOfYear(until));
        String title = Stream.of(when, line.title()).filter(t -> !t.isEmpty()).collect(Collectors.joining(", "));
        return new NoteOf(title, line.text());
    }

    private static String foot(Facts f, Days days) {
        SavedPlan kept = f.kept();
        String mind = f.verdict().safety().bans().stream()
                .map(b -> b.name())
                .distinct()
                .collect(Collectors.joining(", "));
        String plan = kept == null
                ? "Draft of %s, not kept.".formatted(days.whole(f.visit().date()))
                : "Plan %d of %s, kept %s."
                        .formatted(
                                kept.number(),
                                days.whole(f.visit().date()),
                                days.whole(kept.savedAt().toLocalDate()));
        return mind.isEmpty() ? plan : "%s Kept in mind: %s.".formatted(plan, mind);
    }

    private static <T> List<List<T>> rows(List<T> all, int wide) {
        List<List<T>> rows = new ArrayList<>();
        for (int i = 0; i < all.size(); i += wide) {
            rows.add(all.subList(i, Math.min(all.size(), i + wide)));
        }
        return rows;
    }

    /** Days as this practice writes them. */
    private record Days(House.Formats formats) {
        String day(java.time.LocalDate day) {
            return format(
                            switch (formats.dates()) {
                                case DAY_MONTH_YEAR -> "EEE d MMM";
                                case MONTH_DAY_YEAR -> "EEE, MMM d";
                                case YEAR_MONTH_DAY -> "EEE yyyy-MM-dd";
                            })
                    .format(day);
        }

        String dayOfYear(LocalDate day) {
            return format(
                            switch (formats.dates()) {
                                case DAY_MONTH_YEAR -> "d MMMM";
                                case MONTH_DAY_YEAR -> "MMMM d";
                                case YEAR_MONTH_DAY -> "yyyy-MM-dd";
                            })
                    .format(day);
        }

        String whole(java.time.LocalDate day) {
            return format(
                            switch (formats.dates()) {
                                case DAY_MONTH_YEAR -> "d MMMM yyyy";
                                case MONTH_DAY_YEAR -> "MMMM d, yyyy";
                                case YEAR_MONTH_DAY -> "yyyy-MM-dd";
                            })
                    .format(day);
        }

        String dayAndTime(java.time.LocalDateTime at) {
            return "%s, %s"
                    .formatted(
                            day(at.toLocalDate()),
                            format(formats.clock24() ? "HH:mm" : "h:mm a").format(at));
        }

        private static DateTimeFormatter format(String pattern) {
            return DateTimeFormatter.ofPattern(pattern, Locale.UK);
        }
    }
}
