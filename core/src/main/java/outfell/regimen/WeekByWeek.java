package outfell.regimen;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import outfell.aims.Candidate;
import outfell.aims.PatchCall;
import outfell.aims.Rations;
import outfell.aims.Uses;
import outfell.aims.Weigher;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.routine.Condition;
import outfell.routine.Step;
import outfell.skin.SkinVerdict;
import outfell.week.Calming;
import outfell.week.CheckIn;
import outfell.week.Diary;
import outfell.week.Ramp;
import outfell.week.Tolerance;

/** Lays a plan out over its weeks: every evening from the day of the visit on. */
final class WeekByWeek {
    /** A new strong thing that comes after the one that is begun now. */
    record Queued(Product product, LocalDate begins) {}

    private static final Because ONE_AT_A_TIME =
            Because.custom("One new thing at a time, so that a reaction has one suspect: this one comes next.");

    static final int WEEKS = 12;
    private static final int WEEKS_AFTER_TODAY = 6;
    private static final int WEEKS_BEFORE = 4;
    private static final int DAYS = 7;

    private final Consultation consultation;
    private final Weigher weigher;
    private final Uses uses;
    private final Tolerance tolerance;
    private final OwnNights ownNights;
    private final Draft.Sides sides;
    private final Regimen regimen;
    private final Diary diary;
    private final LocalDate begun;
    private final LocalDate now;
    /** The day from which its weeks are counted: the last check-in takes effect at once. */
    private final LocalDate from;

    private final int weeks;
    private final List<Candidate> own;
    private final NightsOf nights;
    private final Rations rations;

    WeekByWeek(
            Consultation consultation,
            Weigher weigher,
            Uses uses,
            Rations rations,
            Tolerance tolerance,
            OwnNights ownNights,
            Draft.Sides sides,
            Regimen regimen,
            LocalDate now) {
        this.consultation = consultation;
        this.weigher = weigher;
        this.uses = uses;
        this.tolerance = tolerance;
        this.ownNights = ownNights;
        this.sides = sides;
        this.regimen = regimen;
        this.diary = consultation.diary();
        this.begun = consultation.answers().today();
        this.now = now.isBefore(begun) ? begun : now;
        this.from = anchor(consultation, this.now);
        this.weeks = weeksFrom(from, this.now);
        this.own = ownNights.rationed(sides.evening());
        this.nights = new NightsOf(
                rations,
                consultation,
                sides.both().stream()
                        .filter(c -> !own.contains(c) && !c.rationed())
                        .toList());
        this.rations = rations;
    }

    /** Weeks of a plan: twelve, and some after today when it is older. */
    static int weeksFrom(LocalDate from, LocalDate now) {
        return Math.max(WEEKS, (int) ChronoUnit.WEEKS.between(from, now) + WEEKS_AFTER_TODAY);
    }

    /** The visit, or the last check-in after it. */
    static LocalDate anchor(Consultation consultation, LocalDate now) {
        LocalDate begun = consultation.answers().today();
        return consultation
                .diary()
                .lastCheckIn(now)
                .filter(d -> d.isAfter(begun))
                .orElse(begun);
    }

    Weeks weeks(List<Queued> queued, Optional<Regimen> calm) {
        List<Going> going = going(queued);
        List<NightsOf.Found> found =
                IntStream.range(0, weeks).mapToObj(w -> found(going, w)).toList();
        LocalDate first = from.minusWeeks(going.stream()
                .mapToLong(g -> Math.clamp(ChronoUnit.WEEKS.between(g.thing().begins(), from), 0, WEEKS_BEFORE))
                .max()
                .orElse(0));
        List<Weeks.Evening> evenings =
                new Evenings(consultation, regimen, calm, tolerance, rations, nights, own, going, from).of(found);
        int today = (int) ChronoUnit.WEEKS.between(from, now);
        NightsOf.Found current = found.get(today);
        Tracks tracks = new Tracks(diary, from, first, now, weeks);
        return new Weeks(
                now,
                begun,
                from,
                first,
                from.plusWeeks(weeks).minusDays(1),
                current.rhythm(),
                NightsOf.rhythm(consultation.method()).every(),
                current.round().nights(),
                new Weeks.Bears(
                        tolerance.cap(), tolerance.night(), tolerance.three(), nights.daily(), tolerance.because()),
                evenings.stream()
                        .filter(e -> !e.date().isBefore(now))
                        .mapToDouble(Weeks.Evening::three)
                        .max()
                        .orElse(0),
                going.stream().map(g -> tracks.of(g, found, current)).toList(),
                evenings,
                heard(),
                dueCheckIns(going),
                regimen.evening(),
                calm.flatMap(c -> calm(c, going)),
                byDate(going),
                new HandNights(consultation, regimen)
                        .notFollowed(
                                evenings.stream()
                                        .filter(e -> !e.date().isBefore(now))
                                        .toList(),
                                going),
                weigher.concerns().stream()
                        .limit(weigher.firsts())
                        .map(SkinVerdict.RankedConcern::concern)
                        .flatMap(c -> Verdicts.of(c, begun).stream())
                        .toList());
    }

    // ---- what goes on

    private List<Going> going(List<Queued> queued) {
        List<Going> all = new ArrayList<>();
        LocalDate next = begun;
        for (Candidate c : own) {
            Product p = c.product();
            Optional<PatchCall> waiting = regimen.patches().stream()
                    .filter(call -> call.product().equals(p.id()) && call.waits())
                    .findFirst();
            LocalDate soonest = p.prescription() ? begun : next;
            LocalDate begins = waiting.isPresent() && !next.isAfter(now) ? now.plusWeeks(1) : soonest;
            Optional<Because> waits = waiting.map(PatchCall::because)
                    .or(() -> begins.isAfter(begun) ? Optional.of(ONE_AT_A_TIME) : Optional.empty());
            all.add(going(p, false, begins, waits, all.size()));
            if (uses.isNew(p) && !p.prescription()) {
                next = begins.plusDays(c.beginner() ? Tolerance.DAYS_BETWEEN_NEW : Tolerance.DAYS_AFTER_MILD);
            }
        }
        for (Queued q : queued) {
            LocalDate soonest = next.isBefore(now) ? now : next;
            LocalDate begins = q.begins().isBefore(soonest) ? soonest : q.begins();
            all.add(going(q.product(), true, begins, Optional.of(ONE_AT_A_TIME), all.size()));
            next = begins.plusDays(Tolerance.DAYS_BETWEEN_NEW);
        }
        return all;
    }

    private Going going(Product p, boolean queued, LocalDate begins, Optional<Because> waits, int place) {
        int back = p.prescription() ? 0 : place * Tolerance.DAYS_BETWEEN_NEW / DAYS;
        Optional<Condition> when = ownNights.condition(p);
        Ramp.Thing always = uses.ramp(p, begins, waits, back, tolerance.because());
        Ramp.Thing thing = when.map(Condition::usual).map(always::atMost).orElse(always);
        List<Ramp.WeekOfIt> all = Ramp.of(thing, diary, from, weeks);
        return new Going(p, queued, thing, all.subList(all.size() - weeks, all.size()), ownNights.fixed(p), when);
    }

    /** What has nights in a week; a step that has become a daily one has none of its own. */
    private NightsOf.Found found(List<Going> going, int week) {
        List<NightsOf.Asking> asking = going.stream()
                .filter(g -> g.uses(week) > 0 && !g.isDaily(week))
                .map(g -> new NightsOf.Asking(
                        g.product(), g.uses(week), g.fixed(), g.thing().begins()))
                .toList();
        return nights.from(asking, from.plusWeeks(week));
    }

    /** While the calm reset that the face asked for is on, every evening is that of the plan. */
    private boolean byDate(List<Going> going) {
        boolean calm = diary.reset(now).isPresent();
        return diary.isAskedByTheFaceOf(begun) ? !calm && !going.isEmpty() : calm || !going.isEmpty();
    }

    // ---- check-ins, calm

    private List<Diary.Heard> heard() {
        LocalDate back = now.minusWeeks(CheckIn.TOLD_WEEKS);
        LocalDate since = from.isBefore(back) ? from : back;
        return diary.read(now).stream()
                .filter(h -> !h.checkIn().on().isBefore(since))
                .toList();
    }

    private List<LocalDate> dueCheckIns(List<Going> going) {
        List<LocalDate> due = new ArrayList<>();
        LocalDate until = from.plusWeeks(weeks);
        LocalDate next = from.plusWeeks(every(going, from));
        while (next.isBefore(until)) {
            due.add(next);
            next = next.plusWeeks(every(going, next));
        }
        return due;
    }

    private int every(List<Going> going, LocalDate day) {
        if (diary.reset(now).isPresent()) {
            return CheckIn.EVERY_IN_RESET;
        }
        int week = (int) Math.clamp(ChronoUnit.WEEKS.between(from, day), 0, weeks - 1);
        boolean led = going.stream().anyMatch(g -> switch (g.weeks().get(week).standing()) {
            case SETTLED, OFF_COURSE -> false;
            case WAITS, LED_UP, HELD, HALVED, PAUSED, RESET -> true;
        });
        return led ? CheckIn.EVERY_LED_UP : CheckIn.EVERY_SETTLED;
    }

    private Optional<Weeks.Calm> calm(Regimen calm, List<Going> going) {
        Set<ProductId> kept = Set.copyOf(calm.products());
        Calming calming = diary.calming(now);
        return calming.begun()
                .map(b -> new Weeks.Calm(
                        calming.first().orElse(b).on(),
                        calm.morning(),
                        calm.evening(),
                        out(kept),
                        b.because()
                                .withSentence("%s %s %s"
                                        .formatted(b.because().sentence(), CheckIn.resetEnds(), howFar(calming))),
                        comesBack(going),
                        calming.doctor()));
    }

    /** What the plan has and the calm one has not, and what is in use and strong. */
    private List<String> out(Set<ProductId> kept) {
        return Stream.concat(
                        Stream.of(regimen.morning(), regimen.evening())
                                .flatMap(x -> x.steps().stream())
                                .filter(s -> !kept.contains(s.product()))
                                .map(Step::name),
                        consultation.shelf().stream()
                                .map(Consultation.Owned::product)
                                .filter(p -> p.rationed() && !p.prescription() && !kept.contains(p.id()))
                                .map(Product::name))
                .distinct()
                .toList();
    }

    /** How far the calm reset has come, and what still keeps it from ending. */
    private static String howFar(Calming calming) {
        String calm = calming.calm() == 0 ? "So far none." : "So far %d.".formatted(calming.calm());
        return calming.unseen().stream()
                .map(u -> u.checkIn().on())
                .min(Comparator.naturalOrder())
                .map(on ->
                        "%s Nobody has noted yet what a doctor says of the swelling of %s: until then it does not end."
                                .formatted(calm, Diary.DAY.format(on)))
                .orElse(calm);
    }

    /** One by one, each from its first rung; where the face asked for the reset, what is new is for a face read anew. */
    private String comesBack(List<Going> going) {
        String after = diary.isAskedByTheFaceOf(begun) ? " Anything new waits until the face is read anew." : "";
        List<String> back = going.stream()
                .filter(g -> !g.product().prescription() && !g.queued())
                .map(g -> g.product().name())
                .toList();
        return switch (back.size()) {
            case 0 -> "After it the face is read anew, and what is strong is chosen then.";
            case 1 -> "After it %s begins again from the first rung.%s".formatted(back.getFirst(), after);
            default ->
                "After it, one every %d days and each from the first rung: %s.%s"
                        .formatted(Tolerance.DAYS_BETWEEN_NEW, String.join(", ", back), after);
        };
    }
}
