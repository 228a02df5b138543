package outfell.supply;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ActiveIn;
import outfell.product.ActiveKind;
import outfell.product.Direction;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Step;

/**
 * When a pack is empty or past its time, whichever comes first, and what a month of it costs. Grams and millilitres are taken as
 * one. Nothing is rounded up: days that are begun do not count.
 */
public final class Supply {
    private static final double DAYS_A_MONTH = 365.0 / 12;
    private static final double DAYS_A_WEEK = 7;
    private static final double FULL = 100;

    /**
     * One product as a plan uses it.
     *
     * @param gramsAWeek both routines together, more than 0
     * @param pack the one in use; absent when a new one is opened today
     */
    public record Used(Product product, double gramsAWeek, Optional<Pack> pack) {}

    /**
     * A pack in use.
     *
     * @param opened when, if known
     * @param left percent, 0 to 100
     */
    public record Pack(Optional<LocalDate> opened, double left) {}

    /** What ends a pack. */
    public enum End {
        EMPTY,
        PAST_ITS_TIME,
        NOT_KNOWN
    }

    /**
     * How long one bottle lasts. What goes on in two parts has two of them.
     *
     * @param second whether it is the bottle of the second part
     * @param days until it ends; 0 when it has ended or is not known
     * @param ends the day; absent when the size is not known
     * @param soon whether it ends within the days of warning
     * @param month what a month of it costs, packs thrown away past their time included; absent without price or size
     */
    public record Line(
            ProductId product,
            boolean second,
            String name,
            double gramsAWeek,
            int days,
            Optional<LocalDate> ends,
            End end,
            boolean soon,
            OptionalDouble month,
            Because because) {}

    /**
     * A whole plan.
     *
     * @param month of all whose price is known, once all is bought again
     * @param bought the part of it that is for packs not yet owned
     * @param unpriced names of those without price or size
     */
    public record Whole(List<Line> lines, double month, double bought, List<String> unpriced) {
        /** What is to be bought above a budget; 0 within it. What is owned is paid for. */
        public double over(double budget) {
            return Supply.over(bought, budget);
        }
    }

    private record OfKind(StepKind kind, double waste, int months, Because because) {}

    private record OfActive(ActiveKind active, int months, Because because) {}

    private static final Row FILE = KnowledgeFile.yaml("supply.yaml");
    private static final Map<StepKind, OfKind> KINDS = kinds();
    private static final List<OfActive> ACTIVES = Row.unique(
            FILE.rows("actives"),
            r -> new OfActive(r.one("active", ActiveKind.class), r.whole("months", 1, 60), r.because(r.text("reason"))),
            OfActive::active);
    private static final int WARN_DAYS = FILE.whole("warn-days", 1, 100);

    private Supply() {}

    /** What a month costs above a budget; 0 within it. */
    public static double over(double month, double budget) {
        return Math.max(0, month - budget);
    }

    public static Whole of(List<Used> used, LocalDate today) {
        List<Line> lines = used.stream()
                .flatMap(u -> Bottle.of(u.product()).stream().map(b -> line(u, b, today)))
                .toList();
        return new Whole(
                lines,
                lines.stream().mapToDouble(l -> l.month().orElse(0)).sum(),
                used.stream()
                        .filter(u -> u.pack().isEmpty())
                        .mapToDouble(u -> month(u.product(), u.gramsAWeek()).orElse(0))
                        .sum(),
                lines.stream().filter(l -> l.month().isEmpty()).map(Line::name).toList());
    }

    /** Grams a week of each product of a plan, in the order in which they are met. */
    public static Map<ProductId, Double> gramsAWeek(List<Step> steps) {
        Map<ProductId, Double> grams = new LinkedHashMap<>();
        steps.forEach(s -> grams.merge(s.product(), s.amount().grams() * s.aWeek(), Double::sum));
        steps.stream()
                .flatMap(s -> s.then().stream())
                .filter(a -> a.grams() > 0)
                .forEach(a -> a.again().ifPresent(p -> grams.merge(p, a.grams() * a.aWeek(), Double::sum)));
        return grams;
    }

    /** What another product used the same way would save a month; nothing where it saves nothing or a price is missing. */
    public static OptionalDouble saves(Used used, Product instead) {
        OptionalDouble now = month(used.product(), used.gramsAWeek());
        OptionalDouble then = month(instead, used.gramsAWeek());
        return now.isPresent() && then.isPresent() && then.getAsDouble() < now.getAsDouble()
                ? OptionalDouble.of(now.getAsDouble() - then.getAsDouble())
                : OptionalDouble.empty();
    }

    /**
     * One bottle of a product.
     *
     * @param size as of a product; 0 when not known
     * @param price what it costs by itself; absent for a second bottle that is sold with the first
     */
    private record Bottle(boolean second, String name, double size, OptionalDouble price) {
        static List<Bottle> of(Product p) {
            Bottle first = new Bottle(false, p.name(), p.size(), OptionalDouble.of(p.price()));
            return p.twoPart()
                    ? List.of(
                            first,
                            new Bottle(
                                    true,
                                    "%s, part two".formatted(p.name()),
                                    p.directions().secondSize().orElse(0),
                                    p.directions().secondPrice()))
                    : List.of(first);
        }

        double net(Product p) {
            return size * (1 - Supply.of(p.kind()).waste());
        }
    }

    private static Line line(Used u, Bottle bottle, LocalDate today) {
        Product p = u.product();
        OptionalDouble month = month(p, bottle, u.gramsAWeek());
        if (bottle.size() == 0) {
            return new Line(
                    p.id(),
                    bottle.second(),
                    bottle.name(),
                    u.gramsAWeek(),
                    0,
                    Optional.empty(),
                    End.NOT_KNOWN,
                    false,
                    month,
                    Because.house(
                            bottle.second()
                                    ? "How much is in the bottle of part two is not known: say it on its page."
                                    : "Its size is not known."));
        }
        double left = u.pack().map(Pack::left).orElse(FULL) / FULL;
        int empty = daysToEmpty(bottle.net(p), left, u.gramsAWeek());
        Optional<LocalDate> opened = u.pack().isPresent() ? u.pack().get().opened() : Optional.of(today);
        Optional<LocalDate> past = opened.map(d -> pastItsTime(p, d));
        boolean timeFirst = past.isPresent() && past.get().isBefore(today.plusDays(empty));
        int days = timeFirst ? (int) Math.max(0, ChronoUnit.DAYS.between(today, past.orElseThrow())) : empty;
        Because because = timeFirst ? past(p, empty) : emptied(u, bottle, opened.isPresent());
        return new Line(
                p.id(),
                bottle.second(),
                bottle.name(),
                u.gramsAWeek(),
                days,
                Optional.of(timeFirst ? past.orElseThrow() : today.plusDays(empty)),
                timeFirst ? End.PAST_ITS_TIME : End.EMPTY,
                days <= WARN_DAYS,
                month,
                bottle.second() ? because.withSentence(because.sentence() + second(u, bottle)) : because);
    }

    /** What is to be said of a second bottle: what it costs, and what nobody has said of it. */
    private static String second(Used u, Bottle bottle) {
        return (bottle.price().isPresent() ? "" : " Its price is in that of part one: they are sold as one.")
                + (u.pack().filter(k -> k.left() < FULL).isPresent()
                        ? " How much of part two is left nobody has said: taken to be as full as part one."
                        : "");
    }

    /** Whole days for which what comes out of the pack is enough. */
    static int daysToEmpty(double net, double left, double gramsAWeek) {
        return (int) Math.floor(net * left / (gramsAWeek / DAYS_A_WEEK));
    }

    /** The day from which a pack that was opened on a day is past its time. */
    public static LocalDate pastItsTime(Product p, LocalDate opened) {
        return opened.plusMonths(monthsOpen(p));
    }

    static int monthsOpen(Product p) {
        int months = p.directions().monthsOpen().orElse(of(p.kind()).months());
        return shortest(p).map(a -> Math.min(months, a.months())).orElse(months);
    }

    /** What comes out of a full pack, g or ml; of two parts what comes out of the smaller bottle; 0 where its size is not known. */
    public static double net(Product p) {
        return Bottle.of(p).stream()
                .mapToDouble(b -> b.net(p))
                .filter(net -> net > 0)
                .min()
                .orElse(0);
    }

    /** What a month costs, packs thrown away past their time included; nothing without price or size. */
    public static OptionalDouble month(Product p, double gramsAWeek) {
        return priced(p)
                ? OptionalDouble.of(Bottle.of(p).stream()
                        .mapToDouble(b -> month(p, b, gramsAWeek).orElse(0))
                        .sum())
                : OptionalDouble.empty();
    }

    private static OptionalDouble month(Product p, Bottle bottle, double gramsAWeek) {
        if (bottle.second() && bottle.price().isEmpty()) {
            return OptionalDouble.of(0);
        }
        return priced(p)
                ? OptionalDouble.of(Math.max(byWeight(p, bottle, gramsAWeek), byTime(p, bottle)))
                : OptionalDouble.empty();
    }

    /** What a month costs by what is used up; 0 without price or size. */
    public static double monthByWeight(Product p, double gramsAWeek) {
        if (!priced(p)) {
            return 0;
        }
        double sum = 0;
        for (Bottle bottle : Bottle.of(p)) {
            sum += byWeight(p, bottle, gramsAWeek);
        }
        return sum;
    }

    /** Two bottles that are sold as one are bought again when the first of them is empty. */
    private static double byWeight(Product p, Bottle bottle, double gramsAWeek) {
        double price = bottle.price().orElse(0);
        boolean asOne = p.directions().secondPrice().isEmpty();
        double net = asOne ? net(p) : bottle.net(p);
        return net > 0 ? price * gramsAWeek / DAYS_A_WEEK * DAYS_A_MONTH / net : 0;
    }

    /** What a month costs at least, since a pack goes past its time; 0 without price or size. */
    public static double monthByTime(Product p) {
        return priced(p) ? Bottle.of(p).stream().mapToDouble(b -> byTime(p, b)).sum() : 0;
    }

    private static double byTime(Product p, Bottle bottle) {
        return bottle.price().orElse(0) / monthsOpen(p);
    }

    private static boolean priced(Product p) {
        return p.size() > 0 && p.price() > 0;
    }

    private static Because past(Product p, int empty) {
        Because rule = shortest(p)
                .map(OfActive::because)
                .or(() -> Optional.ofNullable(p.directions().told().get(Direction.MONTHS))
                        .map(t -> t.because().withSentence("It %s.".formatted(t.words()))))
                .orElseGet(() -> of(p.kind())
                        .because()
                        .withSentence("Such a pack keeps about %d months once opened.".formatted(monthsOpen(p))));
        return rule.withSentence(
                "%s At this use it would last %d days, so some is thrown away: a smaller pack, if there is one."
                        .formatted(rule.sentence(), empty));
    }

    private static Because emptied(Used u, Bottle bottle, boolean opened) {
        Product p = u.product();
        String arithmetic = "%s %s%s, less %.0f %% that never comes out, at %.2f %s a day."
                .formatted(
                        number(bottle.size()),
                        p.unit(),
                        u.pack()
                                .filter(k -> k.left() < FULL)
                                .map(k -> ", %.0f %% left".formatted(k.left()))
                                .orElse(""),
                        FULL * of(p.kind()).waste(),
                        u.gramsAWeek() / DAYS_A_WEEK,
                        p.unit());
        return of(p.kind())
                .because()
                .withSentence(
                        opened
                                ? arithmetic
                                : arithmetic
                                        + " When it was opened is not known: ask, for it may be past its time sooner.");
    }

    private static Optional<OfActive> shortest(Product p) {
        List<ActiveKind> held = p.actives().stream().map(ActiveIn::kind).toList();
        return ACTIVES.stream()
                .filter(a -> held.contains(a.active())
                        && a.months()
                                < p.directions()
                                        .monthsOpen()
                                        .orElse(of(p.kind()).months()))
                .min((a, b) -> Integer.compare(a.months(), b.months()));
    }

    private static OfKind of(StepKind kind) {
        return Objects.requireNonNull(KINDS.get(kind));
    }

    private static String number(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : String.valueOf(x);
    }

    private static Map<StepKind, OfKind> kinds() {
        Map<StepKind, OfKind> map = new EnumMap<>(StepKind.class);
        Row.unique(
                        FILE.rows("kinds"),
                        r -> new OfKind(
                                r.one("id", StepKind.class),
                                r.number("waste", 0, 0.5),
                                r.whole("months", 1, 60),
                                r.because("The usual container of its kind.")),
                        OfKind::kind)
                .forEach(k -> map.put(k.kind(), k));
        for (StepKind kind : StepKind.values()) {
            if (!map.containsKey(kind)) {
                throw FILE.fault("there is no row for " + kind);
            }
        }
        return map;
    }
}
