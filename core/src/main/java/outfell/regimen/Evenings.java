package outfell.regimen;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.aims.Candidate;
import outfell.aims.Rations;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Routine;
import outfell.routine.Step;
import outfell.week.Calming;
import outfell.week.Diary;
import outfell.week.HandNight;
import outfell.week.Rhythm;
import outfell.week.Tolerance;

/** Evening by evening: what of its pattern a day really has, with what happens on it and what was set by hand. */
final class Evenings {
    private static final int DAYS = 7;
    private static final int THREE = 3;
    private static final double HAIR = 1e-9;

    private final Consultation consultation;
    private final Regimen regimen;
    private final Optional<Regimen> calm;
    private final Tolerance tolerance;
    private final Rations rations;
    private final NightsOf nights;
    private final List<Candidate> own;
    private final List<Going> going;
    private final LocalDate from;
    private final Diary diary;
    private final WhyRest why;
    private final HandNights byHand;
    private final List<Weeks.Evening> done = new ArrayList<>();
    private final Map<ProductId, LocalDate> last = new HashMap<>();

    /**
     * @param calm the routine of a calm reset that is on
     * @param own what of the plan has nights of its own
     * @param going the same and what comes after it, through the weeks
     * @param from the first evening
     */
    Evenings(
            Consultation consultation,
            Regimen regimen,
            Optional<Regimen> calm,
            Tolerance tolerance,
            Rations rations,
            NightsOf nights,
            List<Candidate> own,
            List<Going> going,
            LocalDate from) {
        this.consultation = consultation;
        this.regimen = regimen;
        this.calm = calm;
        this.tolerance = tolerance;
        this.rations = rations;
        this.nights = nights;
        this.own = own;
        this.going = going;
        this.from = from;
        this.diary = consultation.diary();
        this.byHand = new HandNights(consultation, regimen);
        this.why = new WhyRest(regimen.unsure(), this::off);
    }

    /** @param found the nights of each week, from the first */
    List<Weeks.Evening> of(List<NightsOf.Found> found) {
        for (int day = 0; day < found.size() * DAYS; day++) {
            LocalDate date = from.plusDays(day);
            Weeks.Evening evening = diary.reset(date).isPresent() && calm.isPresent()
                    ? calmEvening(date, day, calm.get())
                    : new OneEvening(date, day, found.get(day / DAYS)).evening();
            evening.uses().forEach(u -> last.put(u.product(), date));
            done.add(evening);
        }
        return done;
    }

    /** What is prescribed stays on its prescriber's nights, and weighs what it weighs. */
    private Weeks.Evening calmEvening(LocalDate date, int day, Regimen calm) {
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
                maybe(steps),
                List.of(),
                steps.stream().map(Step::product).toList(),
                0,
                load,
                load + carried(),
                Routine.minutes(steps),
                true,
                load > 0 ? Optional.empty() : diary.reset(date).map(Calming.Begun::because),
                List.of(),
                over(prescribed, load, load + carried()));
    }

    /** One that is none of a calm reset, thing by thing. */
    private final class OneEvening {
        private final LocalDate date;
        private final int day;
        private final int week;
        private final NightsOf.Found found;
        private final double carried = carried();
        private final List<Weeks.UsedThen> used = new ArrayList<>();
        private final List<Weeks.LeftOut> left = new ArrayList<>();
        private double load = nights.daily();

        OneEvening(LocalDate date, int day, NightsOf.Found found) {
            this.date = date;
            this.day = day;
            this.week = day / DAYS;
            this.found = found;
        }

        Weeks.Evening evening() {
            List<Going> sure = going.stream().filter(g -> g.when().isEmpty()).toList();
            sure.forEach(this::take);
            Set<ProductId> tonight = going.stream()
                    .filter(g -> g.when().isPresent() && may(g))
                    .map(g -> g.product().id())
                    .collect(Collectors.toSet());
            used.forEach(u -> tonight.add(u.product()));
            List<Step> steps = steps(tonight);
            List<Weeks.Maybe> maybe = maybe(steps);
            boolean strong = used.stream().anyMatch(u -> u.points() > 0);
            Optional<Because> rest = strong
                    ? Optional.empty()
                    : Optional.of(free(maybe).orElseGet(() -> why.of(date, sure, week, found, left)));
            return new Weeks.Evening(
                    date,
                    round(date, day, found),
                    used,
                    maybe,
                    would(sure),
                    products(steps, used),
                    nights.daily(),
                    load,
                    load + carried,
                    Routine.minutes(steps),
                    false,
                    rest,
                    left,
                    over(used, load, load + carried));
        }

        private void take(Going g) {
            Product p = g.product();
            int i = found.place(p.id());
            Optional<HandNight> hand = g.isDaily(week) ? Optional.empty() : byHand.of(g, date);
            boolean planned = i >= 0 && found.on(i, date) && g.begunOn(date);
            if (!hand.map(HandNight::on).orElse(planned)) {
                hand.filter(h -> planned)
                        .ifPresent(h -> left.add(new Weeks.LeftOut(p.id(), p.name(), HandNights.because(h))));
                return;
            }
            double points = Tolerance.points(p);
            boolean free = i < 0 || found.wanted().get(i).free();
            Optional<Because> off = hand.isPresent()
                    ? Optional.empty()
                    : off(p, date)
                            .or(() -> free ? edge(p, date) : Optional.empty())
                            .or(() -> free && points > 0 ? tooMuch(load + points, carried) : Optional.empty());
            if (off.isPresent()) {
                left.add(new Weeks.LeftOut(p.id(), p.name(), off.get()));
                return;
            }
            load += points;
            used.add(new Weeks.UsedThen(
                    p.id(),
                    p.name(),
                    g.letter(),
                    points,
                    hand.isPresent(),
                    hand.map(HandNight::why).orElse("")));
        }

        /** Whether a thing may be used when its condition is met. */
        private boolean may(Going g) {
            int i = found.place(g.product().id());
            return i >= 0
                    && g.begunOn(date)
                    && found.may(i, found.rhythm().night(date, found.round().nights()))
                    && off(g.product(), date).isEmpty()
                    && tooMuch(load + Tolerance.points(g.product()), carried).isEmpty()
                    && meets(g.product()).isEmpty();
        }

        /** Why it may not be on the same night as something that is used. */
        private Optional<Because> meets(Product p) {
            return used.stream()
                    .flatMap(u -> consultation.find(u.product()).stream())
                    .flatMap(other -> rations.whyNotOneNight(p, other).stream())
                    .findFirst();
        }

        /** What it would be with one thing more by hand. */
        private List<Weeks.Would> would(List<Going> sure) {
            return sure.stream()
                    .filter(g -> !g.isDaily(week))
                    .filter(g -> used.stream()
                            .noneMatch(u -> u.product().equals(g.product().id())))
                    .map(this::would)
                    .toList();
        }

        private Weeks.Would would(Going g) {
            Product p = g.product();
            double with = load + Tolerance.points(p);
            Optional<Because> never = byHand.never(g, date);
            return new Weeks.Would(
                    p.id(),
                    with,
                    never.isEmpty(),
                    never.or(() -> off(p, date))
                            .or(() -> g.begunOn(date)
                                    ? Optional.empty()
                                    : g.thing().waits())
                            .or(() -> meets(p))
                            .or(() -> tooMuch(with, carried))
                            .or(() -> edge(p, date)));
        }

        /** The steps of the evening: those of every day, those whose night it is, and no course that is not on. */
        private List<Step> steps(Set<ProductId> tonight) {
            Set<ProductId> withNights = going.stream()
                    .filter(g -> !g.isDaily(week))
                    .map(g -> g.product().id())
                    .collect(Collectors.toSet());
            Predicate<Step> daily = s -> s.everyDay()
                    || s.nights().contains(date.getDayOfWeek())
                    || own.stream().anyMatch(c -> c.product().id().equals(s.product()));
            boolean replaced = used.stream()
                    .flatMap(u -> consultation.find(u.product()).stream())
                    .anyMatch(AcidAsToner::takesItsPlace);
            return regimen.evening().steps().stream()
                    .filter(s -> withNights.contains(s.product())
                            ? tonight.contains(s.product())
                            : mayBeReplaced(s) ? !replaced : daily.test(s))
                    .filter(s -> !diary.doesWithout(s.kind(), date))
                    .filter(s ->
                            diary.courses().stream().noneMatch(c -> c.product().equals(s.product()) && !c.isOn(date)))
                    .toList();
        }
    }

    /** A toner whose nights are those on which no acid takes its place. */
    private boolean mayBeReplaced(Step s) {
        return consultation.method().acidPlace() == Method.AcidPlace.AS_TONER
                && s.kind() == StepKind.TONER
                && !s.hand().nightsSet();
    }

    /** What the two evenings before carry. */
    private double carried() {
        return done.stream()
                .skip(Math.max(0, done.size() - THREE + 1))
                .mapToDouble(Weeks.Evening::load)
                .sum();
    }

    private List<Weeks.Maybe> maybe(List<Step> steps) {
        return steps.stream()
                .filter(s -> !s.hand().when().isEmpty())
                .flatMap(s -> consultation.find(s.product()).stream()
                        .map(p -> new Weeks.Maybe(
                                p.id(),
                                p.name(),
                                s.letter(),
                                Tolerance.points(p),
                                s.hand().when())))
                .toList();
    }

    /** The evening is rest, unless the day asks for what is kept for it. */
    private static Optional<Because> free(List<Weeks.Maybe> maybe) {
        return maybe.stream()
                .filter(m -> m.points() > 0)
                .findFirst()
                .map(m -> Because.custom("Rest, or %s %s.".formatted(m.name(), m.when())));
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

    private Optional<Because> off(Product p, LocalDate date) {
        return p.prescription()
                ? Optional.empty()
                : diary.reset(date).map(Calming.Begun::because).or(() -> diary.keepsOff(p, date));
    }

    /** Where one pattern of nights meets the next. */
    private Optional<Because> edge(Product p, LocalDate date) {
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
}
