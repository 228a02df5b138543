package outfell.regimen;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
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
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.routine.Routine;
import outfell.routine.Step;
import outfell.skin.SkinVerdict;
import outfell.week.CheckIn;
import outfell.week.Diary;
import outfell.week.EmptyNight;
import outfell.week.HandNight;
import outfell.week.OneMore;
import outfell.week.Ramp;
import outfell.week.Rhythm;
import outfell.week.Round;
import outfell.week.Tolerance;

/** Lays a plan out over its weeks: every evening from the day of the visit on. */
final class WeekByWeek {
    /** A new strong thing that comes after the one that is begun now. */
    record Queued(Product product, LocalDate begins) {}

    private record Going(
            Product product, boolean queued, Ramp.Thing thing, List<Ramp.WeekOfIt> weeks, List<DayOfWeek> fixed) {
        int uses(int week) {
            return weeks.get(week).uses();
        }
    }

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
                going.stream().map(g -> track(g, first, found, current)).toList(),
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
                .filter(g -> g.uses(week) > 0 && !isDaily(g, week))
                .map(g -> new NightsOf.Asking(g.product(), g.uses(week), g.fixed()))
                .toList();
        return nights.from(asking, from.plusWeeks(week));
    }

    private static boolean isDaily(Going g, int week) {
        return !g.product().rationed() && g.uses(week) == DAYS;
    }

    // ---- evening by evening

    private List<Weeks.Evening> evenings(List<Going> going, List<NightsOf.Found> found, Optional<Regimen> calm) {
        List<Weeks.Evening> all = new ArrayList<>();
        Map<ProductId, LocalDate> last = new HashMap<>();
        for (int day = 0; day < weeks * DAYS; day++) {
            int week = day / DAYS;
            LocalDate date = from.plusDays(day);
            Weeks.Evening evening = diary.reset(date).isPresent() && calm.isPresent()
                    ? calmEvening(date, day, calm.get())
                    : evening(date, day, going, week, found.get(week), all, last);
            evening.uses().forEach(u -> last.put(u.product(), date));
            all.add(evening);
        }
        return all;
    }

    private Weeks.Evening calmEvening(LocalDate date, int day, Regimen calm) {
        List<Step> steps = calm.evening().steps();
        return new Weeks.Evening(
                date,
                round(date, day, nights.always(List.of())),
                List.of(),
                steps.stream().map(Step::product).toList(),
                0,
                0,
                Routine.minutes(steps),
                true,
                diary.reset(date).map(Diary.Heard::because),
                List.of(),
                Optional.empty());
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
        double carried = before.stream()
                .skip(Math.max(0, before.size() - THREE + 1))
                .mapToDouble(Weeks.Evening::load)
                .sum();
        for (Going g : going) {
            Product p = g.product();
            int i = found.place(p);
            Optional<HandNight> hand = isDaily(g, week) ? Optional.empty() : byHand(p, date);
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
                        letter(p),
                        points,
                        hand.isPresent(),
                        hand.map(HandNight::why).orElse("")));
            }
        }
        List<Step> steps = steps(going, week, used, date);
        boolean strong = used.stream().anyMatch(u -> u.points() > 0);
        Optional<Because> rest = strong ? Optional.empty() : Optional.of(rest(date, going, week, found, left));
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
                .filter(g -> !isDaily(g, week))
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

    // ---- why

    private Because rest(LocalDate date, List<Going> going, int week, NightsOf.Found found, List<Weeks.LeftOut> left) {
        if (!left.isEmpty()) {
            return left.getFirst().because();
        }
        List<Going> strong =
                going.stream().filter(g -> Tolerance.points(g.product()) > 0).toList();
        Optional<Ramp.WeekOfIt> stopped = strong.stream()
                .map(g -> g.weeks().get(week))
                .filter(w -> w.uses() == 0)
                .findFirst();
        boolean none = strong.stream().allMatch(g -> g.uses(week) == 0);
        if (none) {
            return stopped.map(Ramp.WeekOfIt::because)
                    .or(() -> regimen.unsure().stream().findFirst())
                    .orElse(Because.house("Nothing in this plan needs a night of its own."));
        }
        List<Optional<Because>> off = strong.stream()
                .filter(g -> g.uses(week) > 0)
                .map(g -> off(g.product(), date))
                .toList();
        if (off.stream().allMatch(Optional::isPresent)) {
            return off.getFirst().orElseThrow();
        }
        return IntStream.range(0, found.things().size())
                .filter(i -> found.wanted().get(i).points() > 0 && found.uses(i) > 0)
                .mapToObj(i ->
                        kept(found, i, found.rhythm().night(date, found.round().nights())))
                .min(Comparator.comparingInt((Kept k) -> k.limits().size()))
                .map(k -> set(found, k)
                        .or(() -> halved(going, week, k))
                        .orElseGet(
                                () -> Because.house("Rest. No more of %s: %s.".formatted(k.name(), words(k.limits())))))
                .orElse(Because.house("Rest."));
    }

    private record Kept(ProductId product, String name, Set<Round.Limit> limits) {}

    /** Of a thing whose nights somebody has set, that is the reason. */
    private static Optional<Because> set(NightsOf.Found found, Kept kept) {
        return found.things().stream()
                .filter(t ->
                        t.product().id().equals(kept.product()) && !t.fixed().isEmpty())
                .map(t -> t.product().prescription()
                        ? Because.custom("Rest. The nights of %s are the prescriber's.".formatted(kept.name()))
                        : Because.house("Rest. The nights of %s are set by hand.".formatted(kept.name())))
                .findFirst();
    }

    /** Where it is the check-in that leaves it fewer nights, that is told. */
    private static Optional<Because> halved(List<Going> going, int week, Kept kept) {
        return going.stream()
                .filter(g ->
                        g.product().id().equals(kept.product()) && kept.limits().contains(Round.Limit.USES))
                .map(g -> g.weeks().get(week))
                .filter(w -> w.standing() == Ramp.Standing.HALVED || w.standing() == Ramp.Standing.HELD)
                .map(Ramp.WeekOfIt::because)
                .findFirst();
    }

    private static Kept kept(NightsOf.Found found, int thing, int night) {
        Product product = found.things().get(thing).product();
        return new Kept(
                product.id(),
                product.name(),
                EmptyNight.keepsOff(found.wanted(), found.round(), found.laid(), thing, night));
    }

    private static String words(Set<Round.Limit> limits) {
        if (limits.contains(Round.Limit.USES)) {
            // it is of the thing itself, whatever the night
            return Round.Limit.USES.words();
        }
        return limits.isEmpty()
                ? "nothing stands against it but the nights already chosen"
                : limits.stream().map(Round.Limit::words).collect(Collectors.joining("; "));
    }

    private Weeks.Track track(Going g, LocalDate first, List<NightsOf.Found> found, NightsOf.Found current) {
        List<Ramp.WeekOfIt> all = Ramp.of(g.thing(), diary, from, weeks);
        int shown = (int) ChronoUnit.WEEKS.between(first, from) + weeks;
        return new Weeks.Track(
                g.product().id(),
                g.product().name(),
                letter(g.product()),
                Tolerance.points(g.product()),
                g.queued(),
                all.subList(Math.max(0, all.size() - shown), all.size()),
                diary.courses().stream()
                        .filter(c -> c.product().equals(g.product().id()))
                        .findFirst(),
                weekdays(g, current),
                more(g, current),
                stronger(g, all),
                turns(g, found));
    }

    private List<DayOfWeek> weekdays(Going g, NightsOf.Found found) {
        int thing = found.place(g.product());
        return thing >= 0
                        && found.round().nights() == Rhythm.WEEK
                        && found.wanted().get(thing).free()
                ? found.days(thing, now)
                : List.of();
    }

    /** Strength goes up only when the nights rest, and after some weeks of enough of them without a sign. */
    private static Optional<Because> stronger(Going g, List<Ramp.WeekOfIt> weeks) {
        if (!g.product().has(ActiveKind.RETINOID) || g.product().prescription()) {
            return Optional.empty();
        }
        int calm = 0;
        for (Ramp.WeekOfIt w : weeks) {
            boolean goes = w.standing() == Ramp.Standing.LED_UP || w.standing() == Ramp.Standing.SETTLED;
            calm = goes && w.uses() >= Tolerance.STRONGER_NIGHTS ? calm + 1 : 0;
            if (calm >= Tolerance.STRONGER_WEEKS && w.standing() == Ramp.Standing.SETTLED) {
                return Optional.of(Because.custom(
                        "A stronger one not before %s: %d weeks of %d nights or more without a sign, and not while the nights still rise."
                                .formatted(
                                        Weekdays.dated(w.from().plusWeeks(1)),
                                        Tolerance.STRONGER_WEEKS,
                                        Tolerance.STRONGER_NIGHTS)));
            }
        }
        return Optional.of(Because.custom(
                "A stronger one not within these weeks: it asks for %d weeks of %d nights or more without a sign, with nights that no longer rise."
                        .formatted(Tolerance.STRONGER_WEEKS, Tolerance.STRONGER_NIGHTS)));
    }

    private static String more(Going g, NightsOf.Found found) {
        int thing = found.place(g.product());
        if (thing < 0 || !found.wanted().get(thing).free()) {
            return "";
        }
        OneMore more = OneMore.of(found.wanted(), found.round(), found.laid(), thing);
        String gives = more.gives().stream()
                .map(i -> found.things().get(i).product().name())
                .collect(Collectors.joining(" or "));
        String limits = more.limits().stream()
                .findFirst()
                .map(l -> words(l.isEmpty() ? EnumSet.noneOf(Round.Limit.class) : EnumSet.copyOf(l)))
                .orElse("no night bears it");
        return "One more night of %s: %s.%s"
                .formatted(
                        g.product().name(),
                        limits,
                        gives.isEmpty() ? "" : " One night less of %s would make room.".formatted(gives));
    }

    /** The days on which its nights change. */
    private List<Weeks.NightsFrom> turns(Going g, List<NightsOf.Found> found) {
        List<Weeks.NightsFrom> turns = new ArrayList<>();
        String before = "";
        for (int w = 0; w < weeks; w++) {
            String now = said(g, w, found.get(w));
            if (!now.equals(before)) {
                turns.add(new Weeks.NightsFrom(from.plusWeeks(w), now));
                before = now;
            }
        }
        return turns;
    }

    private String said(Going g, int week, NightsOf.Found found) {
        Ramp.WeekOfIt w = g.weeks().get(week);
        if (w.uses() == 0) {
            return switch (w.standing()) {
                case WAITS -> "not yet";
                case RESET -> "off until the skin is calm";
                case PAUSED -> "paused";
                case OFF_COURSE -> "off";
                case LED_UP, SETTLED, HELD, HALVED -> "not now";
            };
        }
        if (isDaily(g, week)) {
            return "every day";
        }
        int thing = found.place(g.product());
        if (thing < 0 || found.uses(thing) == 0) {
            return "not now";
        }
        return found.round().nights() == Rhythm.WEEK
                ? Weekdays.said(found.days(thing, from.plusWeeks(week)))
                : Weekdays.times(found.uses(thing), found.round().nights());
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
                        r.because()
                                .withSentence("%s %s"
                                        .formatted(
                                                r.because().sentence(),
                                                diary.calmSoFar(now) == 0
                                                        ? "None is yet."
                                                        : "So far %d.".formatted(diary.calmSoFar(now))))));
    }

    private static String letter(Product p) {
        return p.actives().stream()
                .map(a -> Actives.of(a.kind()))
                .filter(a -> a.rationed() || a.ledUpTo())
                .map(Actives.Family::letter)
                .findFirst()
                .orElse("");
    }
}
