package outfell.year;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import outfell.causes.Cause;
import outfell.changes.Airs;
import outfell.changes.Change;
import outfell.changes.Changes;
import outfell.climate.Air;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.House;
import outfell.consultation.Consultation.Owned;
import outfell.consultation.Consultation.Standing;
import outfell.consultation.Life;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.regimen.MonthCost;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.regimen.Read;
import outfell.regimen.Regimen;
import outfell.routine.BareStep;
import outfell.supply.Supply;
import outfell.year.Stretch.ToldNote;
import outfell.year.Stretch.TurnOfAir;
import outfell.year.Turns.Turn;

/**
 * Lays out the year after a visit: on which dates the air turns, and what the plan becomes on each. What stood before is kept where it
 * can be; money, minutes, shelf and method are held as they are, so that of two plans that meet at a date only the air differs.
 */
public final class YearAhead {
    private static final double SLACK = Turns.FILE.number("money-slack", 0, 1);
    private static final List<StepKind> MOVES = Turns.FILE.several("moves", StepKind.class);
    private static final int TOGETHER_DAYS = Turns.FILE.whole("together-days", 0, 60);

    private final Consultation consultation;
    private final Outcome.Planned visit;
    private final LocalDate from;
    private final LocalDate until;
    private final Map<ProductId, Integer> used = new HashMap<>();

    private YearAhead(Consultation consultation, Outcome.Planned visit, LocalDate from) {
        this.consultation = consultation;
        this.visit = visit;
        this.from = from;
        this.until = from.plusYears(1);
        for (Owned owned : consultation.shelf()) {
            used.put(owned.product().id(), owned.weeks());
        }
    }

    /**
     * The year after a day; nothing when the consultation leads to no plan.
     *
     * @param from the first day, that of the visit or later: it begins with the plan as that month's air turns it
     * @param packs in use, by product
     */
    public static Optional<Year> of(Consultation consultation, LocalDate from, Map<ProductId, Supply.Pack> packs) {
        Consultation then = Changes.in(consultation, from.getMonth()).orElse(consultation);
        return Planner.plan(then) instanceof Outcome.Planned planned
                ? Optional.of(new YearAhead(then, planned, from).year(packs))
                : Optional.empty();
    }

    private Year year(Map<ProductId, Supply.Pack> packs) {
        List<List<Turn>> dates = together(turns());
        LocalDate ends = dates.isEmpty() ? until : day(dates.getFirst());
        AirOf air = new AirOf(consultation.month(), Map.of(), from, ends);
        List<Stretch> all = new ArrayList<>();
        all.add(first(air));
        for (int i = 0; i < dates.size(); i++) {
            LocalDate next = i + 1 < dates.size() ? day(dates.get(i + 1)) : until;
            AirOf then = air.after(dates.get(i), next);
            Stretch before = all.getLast();
            Consultation ripe = ripe(before, then.from());
            Stretch stretch = turned(before, ripe, air, then, dates.get(i));
            if (stretch.changes().isEmpty() && stretch.told().isEmpty()) {
                all.set(all.size() - 1, before.until(next, stretch.quiet()));
            } else {
                LocalDate begins = begins(stretch);
                keep(before, begins);
                all.set(all.size() - 1, before.until(begins, List.of()));
                all.add(stretch.beginning(begins));
            }
            air = then;
        }
        List<SpellPlan> spells = new Spells(consultation, visit).over(all);
        List<Bottle> bottles = new Bottles(consultation, all, packs).all();
        return new Year(
                from,
                until,
                all,
                months(),
                spells,
                ForTheSheet.of(all, spells, consultation.life()),
                Apart.of(all),
                bottles,
                YearCost.of(all, bottles, consultation.life().budget()));
    }

    /** The first day on which something turned that made a difference; what turned before it changed nothing. */
    private static LocalDate begins(Stretch stretch) {
        return stretch.turned().stream()
                .filter(t -> stretch.quiet().stream()
                        .noneMatch(q -> q.day().equals(t.day()) && q.words().equals(t.words())))
                .map(TurnOfAir::day)
                .min(Comparator.naturalOrder())
                .orElse(stretch.from());
    }

    private static LocalDate day(List<Turn> turns) {
        return turns.getFirst().day();
    }

    private List<Turn> turns() {
        return new Turns(
                        day -> AirOf.on(consultation, day),
                        (day, air) -> consultation.ask(air, day.getMonth(), visit.skin(), visit.safety()),
                        from)
                .between(visit.regimen().asked(), from.plusDays(1), until.minusDays(TOGETHER_DAYS));
    }

    /** What turns within a few days of the first turns with it. */
    static List<List<Turn>> together(List<Turn> turns) {
        List<List<Turn>> all = new ArrayList<>();
        for (Turn turn : turns) {
            boolean joins = !all.isEmpty()
                    && turn.day().isBefore(day(all.getLast()).plusDays(TOGETHER_DAYS))
                    && all.getLast().stream().noneMatch(t -> t.lever() == turn.lever());
            if (!joins) {
                all.add(new ArrayList<>());
            }
            all.getLast().add(turn);
        }
        return all;
    }

    private Stretch first(AirOf air) {
        Air mean = air.mean(consultation);
        return new Stretch(
                air.from(),
                air.until(),
                Names.of(air.outside(consultation)),
                mean,
                List.of(),
                visit.regimen(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                month(visit.regimen()));
    }

    /** The consultation as a later day finds it: what stood until then is used. */
    private Consultation ripe(Stretch before, LocalDate day) {
        return consultation
                .in(day.getMonth())
                .living(withSlack(consultation.life()))
                .parts()
                .house(keeping(consultation.house()))
                .catalogue(cast(before))
                .together()
                .keeping(new Standing(before.plan().choices(), weeks(before.from(), day), used));
    }

    /** The air brings in nothing but what answers it: who else plays is for a visit to decide. */
    private List<Product> cast(Stretch before) {
        Set<ProductId> stood = new HashSet<>(used.keySet());
        stood.addAll(before.plan().products());
        stood.addAll(visit.regimen().products());
        return consultation.catalogue().stream()
                .filter(p -> MOVES.contains(p.kind()) || stood.contains(p.id()))
                .toList();
    }

    /** What has stood through a part of the year is bought: it is not given up for less than what is owned would be. */
    private static House keeping(House house) {
        double owned = Math.max(house.yardstick().owned(), house.yardstick().standing());
        return house.with(house.yardstick().withStanding(owned));
    }

    /** A dear season is made up for by a cheap one: until then nothing is dropped for so much. */
    private static Life withSlack(Life life) {
        return life.budget().isPresent() ? life.withBudget(life.budget().getAsDouble() * (1 + SLACK)) : life;
    }

    private void keep(Stretch stretch, LocalDate ends) {
        stretch.plan().products().forEach(p -> used.merge(p, weeks(stretch.from(), ends), Integer::sum));
    }

    private static int weeks(LocalDate from, LocalDate to) {
        return (int) ChronoUnit.WEEKS.between(from, to);
    }

    private Stretch turned(Stretch before, Consultation ripe, AirOf was, AirOf is, List<Turn> turns) {
        Outcome.Planned stood = new Outcome.Planned(visit.skin(), visit.safety(), before.plan());
        Read read = Planner.read(ripe);
        Outcome.Planned stands = (Outcome.Planned) read.plan(is);
        Regimen plan = stands.regimen();
        List<Change> all = Changes.between(ripe, stood, ripe, read, stands, new Airs(was, is)).stream()
                .map(c -> c.cause() == Cause.MONEY ? withTheTenth(c) : c)
                .toList();
        List<Change> changes = all.stream().filter(c -> !c.because().isEmpty()).toList();
        List<Change> ripened = all.stream().filter(c -> c.because().isEmpty()).toList();
        List<TurnOfAir> turned = turns.stream()
                .sorted(Comparator.comparing(Turn::lever))
                .map(t -> new TurnOfAir(
                        t.day(), t.lever(), t.lever().words(), t.lever().because(plan.asked())))
                .toList();
        List<ToldNote> told = ToldNote.between(before.plan(), plan);
        Air mean = is.mean(consultation);
        return new Stretch(
                is.from(),
                is.until(),
                Names.of(is.outside(consultation)),
                mean,
                turned,
                plan,
                changes,
                ripened.isEmpty() ? ripened : ripened(ripened, before, ripe, is),
                told,
                new Stillness(ripe, plan, changes, told).of(turned),
                month(plan));
    }

    /** The limit that is told is the month's with what a part of the year may cost more. */
    private static Change withTheTenth(Change c) {
        return new Change(
                c.part(),
                c.kind(),
                c.what(),
                c.from(),
                c.to(),
                c.products(),
                c.cause(),
                c.because(),
                c.limit()
                        .map(l -> l.withSentence("%s It is the month’s limit and %.0f %% over it."
                                .formatted(l.sentence(), 100 * SLACK))));
    }

    /** What no air has done: use, or the tenth that a dear month may cost more. */
    private List<Change> ripened(List<Change> all, Stretch before, Consultation ripe, AirOf is) {
        return Planner.plan(ripe.living(consultation.life()), is) instanceof Outcome.Planned within
                ? Changes.ripened(all, before.plan(), within.regimen())
                : all;
    }

    private double month(Regimen plan) {
        return MonthCost.toBuy(consultation, plan.steps().map(BareStep::of).toList());
    }

    private List<Year.MonthAhead> months() {
        return IntStream.range(0, 12)
                .mapToObj(i -> YearMonth.from(from).plusMonths(i))
                .map(m -> new Year.MonthAhead(
                        m.getYear(),
                        m.getMonth(),
                        Air.of(
                                consultation.site().in(m.getMonth()),
                                consultation.life().stays())))
                .toList();
    }
}
