package outfell.regimen;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
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
import outfell.routine.Routine;
import outfell.routine.Step;
import outfell.skin.SkinVerdict;
import outfell.week.CheckIn;
import outfell.week.Diary;
import outfell.week.HandNight;
import outfell.week.Ramp;
import outfell.week.Rhythm;
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
    private static final int THREE = 3;
    private static final double HAIR = 1e-9;

    private final Consultation consultation;
    private final Weigher weigher;
    private final Uses uses;
    private final Tolerance tolerance;
    private final Laying laying;
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
    private final WhyRest why;

    WeekByWeek(
            Consultation consultation,
            Weigher weigher,
            Uses uses,
            Rations rations,
            Tolerance tolerance,
            Laying laying,
            Draft.Sides sides,
            Regimen regimen,
            LocalDate now) {
        this.consultation = consultation;
        this.weigher = weigher;
        this.uses = uses;
        this.tolerance = tolerance;
        this.laying = laying;
        this.sides = sides;
        this.regimen = regimen;
        this.diary = consultation.diary();
        this.begun = consultation.answers().today();
        this.now = now.isBefore(begun) ? begun : now;
        this.from = anchor(consultation, this.now);
        this.weeks = weeksFrom(from, this.now);
        this.own = laying.rationed(sides.evening());
        this.nights = new NightsOf(
                rations,
                diary,
                Stream.concat(sides.morning().stream(), sides.evening().stream())
                        .filter(c -> !own.contains(c))
                        .toList());
        this.why = new WhyRest(regimen.unsure(), this::off);
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
        List<Weeks.Evening> evenings = evenings(going, found, calm);
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
                diary.read(now),
                dueCheckIns(going),
                calm.flatMap(c -> calm(c)),
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
            LocalDate begins = waiting.isPresent() && !next.isAfter(now) ? now.plusWeeks(1) : next;
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
        Ramp.Thing thing = uses.ramp(p, begins, waits, back, tolerance.because());
        List<Ramp.WeekOfIt> all = Ramp.of(thing, diary, from, weeks);
        return new Going(p, queued, thing, all.subList(all.size() - weeks, all.size()), laying.fixed(p));
    }

    /** What has nights in a week; a step that has become a daily one has none of its own. */
    private NightsOf.Found found(List<Going> going, int week) {
        List<NightsOf.Asking> asking = going.stream()
                .filter(g -> g.uses(week) > 0 && !g.isDaily(week))
                .map(g -> new NightsOf.Asking(g.product(), g.uses(week), g.fixed()))
                .toList();
        return nights.from(asking, from.plusWeeks(week));
    }

    // ---- evening by evening

    private List<Weeks.Evening> evenings(List<Going> going, List<NightsOf.Found> found, Optional<Regimen> calm) {
        List<Weeks.Evening> all = new ArrayList<>();
        Map<ProductId, LocalDate> last = new HashMap<>();
        for (int day = 0; day < weeks * DAYS; day++) {
            int week = day / DAYS;
            LocalDate date = from.plusDays(day);
            Weeks.Evening evening = diary.reset(date).isPresent() && calm.isPresent()
                    ? calmEvening(date, day, calm.get(), all)
                    : evening(date, day, going, week, found.get(week), all, last);
            evening.uses().forEach(u -> last.put(u.product(), date));
            all.add(evening);
        }
        return all;
    }

    /** What is prescribed stays on its prescriber's nights, and weighs what it weighs. */
    private Weeks.Evening calmEvening(LocalDate date, int day, Regimen calm, List<Weeks.Evening> before) {
        List<Step> steps = calm.evening().steps().stream()
                .filter(s -> s.everyDay() || s.nights().contains(date.getDayOfWeek()))
                .filter(s -> !diary.doesWithout(s.kind(), date))
                .toList();
        List<Weeks.UsedThen> prescribed = steps.stream()
                .filter(Step::prescription)
                .flatMap(s -> consultation.find(s.product()).stream())
                .map(p -> new Weeks.UsedThen(p.id(), p.name(), "", Tolerance.points(p), false, ""))
                .toList();
        double load = prescribed.stream().mapToDouble(Weeks.UsedThen::points).sum();
        return new Weeks.Evening(
                date,
                round(date, day, nights.always(List.of())),
                prescribed,
                steps.stream().map(Step::product).toList(),
                load,
                load + carried(before),
                Routine.minutes(steps),
                true,
                load > 0 ? Optional.empty() : diary.reset(date).map(Diary.Heard::because),
                List.of(),
                over(prescribed, load, load + carried(before)));
    }

    /** What the two evenings before carry. */
    private static double carried(List<Weeks.Evening> before) {
        return before.stream()
                .skip(Math.max(0, before.size() - THREE + 1))
                .mapToDouble(Weeks.Evening::load)
                .sum();
    }

    private Weeks.Evening evening(
            LocalDate date,
            int day,
            List<Going> going,
            int week,
            NightsOf.Found found,
            List<Weeks.Evening> before,
            Map<ProductId, LocalDate> last) {
        List<Weeks.UsedThen> used = new ArrayList<>();
        List<Weeks.LeftOut> left = new ArrayList<>();
        double load = nights.daily();
        double carried = carried(before);
        for (Going g : going) {
            Product p = g.product();
            int i = found.place(p);
            Optional<HandNight> hand = g.isDaily(week) ? Optional.empty() : byHand(p, date);
            boolean planned = i >= 0 && found.on(i, date);
            boolean on = hand.map(HandNight::on).orElse(planned);
            if (!on) {
                hand.filter(h -> planned).ifPresent(h -> left.add(new Weeks.LeftOut(p.id(), p.name(), byHand(h))));
                continue;
            }
            double points = Tolerance.points(p);
            boolean free = i < 0 || found.wanted().get(i).free();
            Optional<Because> off = hand.isPresent()
                    ? Optional.empty()
                    : off(p, date).or(() -> free ? edge(p, date, last) : Optional.empty());
            double would = load + points;
            if (off.isEmpty() && hand.isEmpty() && free && points > 0) {
                off = tooMuch(would, carried);
            }
            if (off.isPresent()) {
                left.add(new Weeks.LeftOut(p.id(), p.name(), off.get()));
            } else {
                load = would;
                used.add(new Weeks.UsedThen(
                        p.id(),
                        p.name(),
                        g.letter(),
                        points,
                        hand.isPresent(),
                        hand.map(HandNight::why).orElse("")));
            }
        }
        List<Step> steps = steps(going, week, used, date);
        boolean strong = used.stream().anyMatch(u -> u.points() > 0);
        Optional<Because> rest = strong ? Optional.empty() : Optional.of(why.of(date, going, week, found, left));
        return new Weeks.Evening(
                date,
                round(date, day, found),
                used,
                products(steps, used),
                load,
                load + carried,
                Routine.minutes(steps),
                false,
                rest,
                left,
                over(used, load, load + carried));
    }

    /** In the order of the evening; what is only next in line has no place in it yet and stands last. */
    private static List<ProductId> products(List<Step> steps, List<Weeks.UsedThen> used) {
        return Stream.concat(steps.stream().map(Step::product), used.stream().map(Weeks.UsedThen::product))
                .distinct()
                .toList();
    }

    private static int round(LocalDate date, int day, NightsOf.Found found) {
        int every = found.rhythm().every();
        return every == Rhythm.WEEK
                ? day / DAYS
                : (int) Math.floorDiv(ChronoUnit.DAYS.between(found.rhythm().first(), date), (long) every);
    }

    private Optional<HandNight> byHand(Product p, LocalDate date) {
        return diary.byHand().stream()
                .filter(h -> h.product().equals(p.id()) && h.date().equals(date))
                .reduce((a, b) -> b);
    }

    private static Because byHand(HandNight h) {
        return Because.custom(h.why().isBlank() ? "Left out by hand." : "Left out by hand: %s".formatted(h.why()));
    }

    private Optional<Because> off(Product p, LocalDate date) {
        return p.prescription()
                ? Optional.empty()
                : diary.reset(date).map(Diary.Heard::because).or(() -> diary.keepsOff(p, date));
    }

    /** Where one pattern of nights meets the next. */
    private static Optional<Because> edge(Product p, LocalDate date, Map<ProductId, LocalDate> last) {
        LocalDate then = last.get(p.id());
        int apart = Tolerance.nightsApart(p);
        return then == null || ChronoUnit.DAYS.between(then, date) >= apart
                ? Optional.empty()
                : Optional.of(Because.house("It had its night on %s, and needs %d nights from one to the next."
                        .formatted(Weekdays.dated(then), apart)));
    }

    private Optional<Because> tooMuch(double load, double carried) {
        if (load > tolerance.night() + HAIR) {
            return Optional.of(Because.house(
                    "The night would carry %.1f; this skin bears %.1f.".formatted(load, tolerance.night())));
        }
        return load + carried > tolerance.three() + HAIR
                ? Optional.of(
                        Because.house("With the two nights before it would come to %.1f; this skin bears %.1f in three."
                                .formatted(load + carried, tolerance.three())))
                : Optional.empty();
    }

    /** Only what was put on by hand, or by a prescriber, can be more than this skin bears: it is told. */
    private Optional<Because> over(List<Weeks.UsedThen> used, double load, double three) {
        return used.isEmpty() ? Optional.empty() : tooMuch(load, three - load);
    }

    /** The steps of an evening: those of every day, those whose night it is, and no course that is not on. */
    private List<Step> steps(List<Going> going, int week, List<Weeks.UsedThen> used, LocalDate date) {
        Set<ProductId> tonight = used.stream().map(Weeks.UsedThen::product).collect(Collectors.toSet());
        Set<ProductId> withNights = going.stream()
                .filter(g -> !g.isDaily(week))
                .map(g -> g.product().id())
                .collect(Collectors.toSet());
        return regimen.evening().steps().stream()
                .filter(s -> withNights.contains(s.product())
                        ? tonight.contains(s.product())
                        : own.stream().anyMatch(c -> c.product().id().equals(s.product()))
                                || s.everyDay()
                                || s.nights().contains(date.getDayOfWeek()))
                .filter(s -> !diary.doesWithout(s.kind(), date))
                .filter(s -> diary.courses().stream().noneMatch(c -> c.product().equals(s.product()) && !c.isOn(date)))
                .toList();
    }

    // ---- check-ins, calm

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

    private Optional<Weeks.Calm> calm(Regimen calm) {
        Set<ProductId> kept = Set.copyOf(calm.products());
        return diary.reset(now)
                .map(r -> new Weeks.Calm(
                        r.checkIn().on(),
                        calm.morning(),
                        calm.evening(),
                        Stream.of(regimen.morning(), regimen.evening())
                                .flatMap(x -> x.steps().stream())
                                .filter(s -> !kept.contains(s.product()))
                                .map(Step::name)
                                .distinct()
                                .toList(),
                        r.because().withSentence("%s %s".formatted(r.because().sentence(), howFar()))));
    }

    /** How far the calm reset has come, and what still keeps it from ending. */
    private String howFar() {
        Diary.Calming calming = diary.calming(now);
        String calm = calming.calm() == 0 ? "None is yet." : "So far %d.".formatted(calming.calm());
        return calming.unseen().stream()
                .map(u -> u.checkIn().on())
                .min(Comparator.naturalOrder())
                .map(on ->
                        "%s Nobody has noted yet what a doctor says of the swelling of %s: until then it does not end."
                                .formatted(calm, Diary.DAY.format(on)))
                .orElse(calm);
    }
}
