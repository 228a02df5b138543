package outfell.routine;

import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.method.Method;
import outfell.method.Methods;
import outfell.product.ActiveIn;
import outfell.product.Actives;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.skin.FaceBands;

/** Puts chosen products in order and gives each its place, amount, technique and time. */
public final class Layout {
    private static final List<DayOfWeek> EVERY_DAY = List.of(DayOfWeek.values());
    private static final Because DAILY = Because.custom("Every day.");
    private static final Because BY_HAND = Because.custom("Its days are set by hand.");
    private static final Because LAST = Because.custom("It is the last step.");
    private static final Because NO_WAIT = Because.custom("No wait.");

    /**
     * Nights of a step that is not daily.
     *
     * @param because why these nights
     * @param often how often, in words, where they do not come by weekday; else empty
     */
    public record OnNights(List<DayOfWeek> nights, Because because, String often) {
        public OnNights(List<DayOfWeek> nights, Because because) {
            this(nights, because, "");
        }
    }

    private final Method method;
    private final FaceBands bands;
    private final Set<ProductId> owned;
    private final Map<ProductId, OnNights> nights;
    private final BiFunction<Part, Product, Said> said;
    private final Function<Product, Used> used;
    private final ByHand byHand;
    private final ByAir byAir;
    private final boolean reactive;
    private final Asides asides;
    /** Why an oil lies where it does, where the air has moved it. */
    private final Optional<Because> oil;

    /**
     * What stands by hand.
     *
     * @param kept steps that planning again keeps, by routine
     * @param adjustments in the order in which they were made
     * @param against what speaks for now against a step without a product
     */
    public record ByHand(
            Map<Part, Set<ProductId>> kept, List<Adjustment> adjustments, Function<Alone, Optional<Because>> against) {
        public static final ByHand NOTHING = new ByHand(Map.of(), List.of(), _ -> Optional.empty());

        /** What speaks against it beside a step; nothing where her reason overrules it. */
        Optional<Because> against(Part part, ProductId step, Alone alone) {
            return of(part, step).overrule().isEmpty() ? against.apply(alone) : Optional.empty();
        }

        Adjustment of(Part part, ProductId product) {
            return Adjustment.of(adjustments, part, product);
        }

        List<Adjustment> in(Part part) {
            return adjustments.stream().filter(a -> a.part() == part).toList();
        }

        boolean keeps(Part part, ProductId product) {
            return kept.getOrDefault(part, Set.of()).contains(product);
        }
    }

    /**
     * What is told of a product beside how it is used.
     *
     * @param does what it does for the client, in six words at most
     * @param purpose what it is for
     * @param heed what of it is to be read before it is used on this skin
     * @param tools what it is done with, and when not
     */
    public record Said(String does, List<Because> purpose, List<Because> heed, List<Because> tools) {}

    /**
     * How a product is used, as long as she says nothing else.
     *
     * @param leftOut where it might go and does not; found out when it is told
     * @param zones what a part of the face gets of it beside
     * @param bothTimes whether it stands in both routines
     * @param days days a week of what she does on some days, whichever they are; absent for the others
     */
    public record Used(
            Where where,
            Supplier<List<Step.NotOn>> leftOut,
            List<ZoneStep> zones,
            boolean bothTimes,
            OptionalInt days) {
        /** By custom, every day, in one routine. */
        public static Used custom(Product p) {
            return new Used(Where.of(p.kind()), List::of, List.of(), false, OptionalInt.empty());
        }
    }

    /**
     * @param bands the skin that amounts are measured for
     * @param nights of the steps that are not daily
     * @param said what is told of each product
     * @param used how each is used
     * @param byHand what the therapist has changed
     * @param byAir what the air makes of amounts
     * @param reactive whether the skin is treated as sensitive
     */
    public Layout(
            Method method,
            FaceBands bands,
            Set<ProductId> owned,
            Map<ProductId, OnNights> nights,
            BiFunction<Part, Product, Said> said,
            Function<Product, Used> used,
            ByHand byHand,
            ByAir byAir,
            boolean reactive) {
        this(method, bands, owned, nights, said, used, byHand, byAir, reactive, Optional.empty());
    }

    private Layout(
            Method method,
            FaceBands bands,
            Set<ProductId> owned,
            Map<ProductId, OnNights> nights,
            BiFunction<Part, Product, Said> said,
            Function<Product, Used> used,
            ByHand byHand,
            ByAir byAir,
            boolean reactive,
            Optional<Because> oil) {
        this.oil = oil;
        this.method = method;
        this.bands = bands;
        this.owned = owned;
        this.nights = nights;
        this.said = said;
        this.used = used;
        this.byHand = byHand;
        this.byAir = byAir;
        this.reactive = reactive;
        this.asides = new Asides(method, byAir, reactive, nights, byHand, new Asides.Laid() {
            @Override
            public List<DayOfWeek> nights(Part part, Product p) {
                return on(part, p, byHand.of(part, p.id())).nights();
            }

            @Override
            public int aWeek(Part part, Product p) {
                return days(part, p, byHand.of(part, p.id()));
            }

            @Override
            public Amounts.Amount layer(Part part, Product p) {
                return amount(part, p, 1, Adjustment.none(part, p.id()).onPlacesOf(byHand.of(part, p.id())));
            }
        });
    }

    /** The same with an oil where the air has it, by the reason of that. */
    public Layout withOil(Method.OilPlace place, Because because) {
        Method moved = Methods.answering(method, "oil-place", place.name().toLowerCase(Locale.ROOT));
        return new Layout(moved, bands, owned, nights, said, used, byHand, byAir, reactive, Optional.of(because));
    }

    public Routine lay(Part part, List<Product> products, int limitMinutes) {
        StepOrder order = new StepOrder(method, oil);
        List<Product> sorted = sorted(part, order, products);
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < sorted.size(); i++) {
            steps.add(step(part, order, sorted, i));
        }
        return Routine.of(part, steps, limitMinutes);
    }

    private List<Product> sorted(Part part, StepOrder order, List<Product> products) {
        return Moves.apply(order, computed(part, order, products), byHand.in(part))
                .steps();
    }

    /** The order by places, with what its method does inside a wait straight after the step that settles. */
    private List<Product> computed(Part part, StepOrder order, List<Product> products) {
        List<Product> sorted = order.sort(products);
        List<Product> fillers = sorted.stream().filter(order::inAWait).toList();
        if (fillers.isEmpty()) {
            return sorted;
        }
        List<Product> chain = new ArrayList<>(sorted);
        chain.removeAll(fillers);
        int[] left = new int[chain.size()];
        for (int i = 0; i < chain.size() - 1; i++) {
            left[i] = task(part, chain, i).settle();
        }
        Map<Product, List<Product>> into = new LinkedHashMap<>();
        for (Product filler : fillers) {
            int seconds = task(part, List.of(filler), 0).handsOn();
            OptionalInt wait = firstWait(left, seconds);
            if (wait.isPresent()) {
                left[wait.getAsInt()] -= seconds;
                into.computeIfAbsent(chain.get(wait.getAsInt()), _ -> new ArrayList<>())
                        .add(filler);
            }
        }
        List<Product> placed = into.values().stream().flatMap(List::stream).toList();
        return sorted.stream()
                .filter(p -> !placed.contains(p))
                .flatMap(p -> Stream.concat(Stream.of(p), into.getOrDefault(p, List.of()).stream()))
                .toList();
    }

    /** The first wait that is long enough, else the longest. */
    private static OptionalInt firstWait(int[] left, int seconds) {
        OptionalInt enough =
                IntStream.range(0, left.length).filter(i -> left[i] >= seconds).findFirst();
        return enough.isPresent()
                ? enough
                : IntStream.range(0, left.length).filter(i -> left[i] > 0).reduce((a, b) -> left[b] > left[a] ? b : a);
    }

    /** Minutes of the longest day with these products, to one decimal; the same as {@link #lay} finds, without its reasons. */
    public double minutes(Part part, List<Product> products) {
        List<Product> sorted = sorted(part, new StepOrder(method, oil), products);
        List<Schedule.Timed> steps = new ArrayList<>();
        for (int i = 0; i < sorted.size(); i++) {
            steps.add(new Schedule.Timed(sorted.get(i).id(), task(part, sorted, i), asides.of(part, sorted, i)));
        }
        return Routine.timeline(Schedule.tasks(steps), 0).minutes();
    }

    /** The steps in their order without their reasons; otherwise those that {@link #lay} finds. */
    public List<BareStep> bare(Part part, List<Product> products) {
        List<Product> sorted = sorted(part, new StepOrder(method, oil), products);
        return IntStream.range(0, sorted.size())
                .mapToObj(i -> bare(part, sorted, i))
                .toList();
    }

    private BareStep bare(Part part, List<Product> sorted, int i) {
        Product p = sorted.get(i);
        Adjustment hand = byHand.of(part, p.id());
        Amounts.Amount amount = amount(part, p, hand);
        return new BareStep(
                p.id(), days(part, p, hand), amount.words(), amount.grams(), BareStep.told(asides.of(part, sorted, i)));
    }

    private Amounts.Amount amount(Part part, Product p, Adjustment hand) {
        return amount(part, p, byAir.layers(method, p), hand);
    }

    private Amounts.Amount amount(Part part, Product p, int layers, Adjustment hand) {
        Used use = used.apply(p);
        return Amounts.amount(
                p, bands, byAir, layers, part, hand, hand.where(use.where()), use.bothTimes(), coat(part, use, hand));
    }

    /** A second coat of hers takes the place of the computed one. */
    private static Optional<ZoneStep> coat(Part part, Used use, Adjustment hand) {
        return hand.secondCoat() || !hand.on().isEmpty()
                ? Optional.empty()
                : use.zones().stream()
                        .filter(z -> z.in(part) && z.does() == ZoneStep.Does.COAT)
                        .findFirst();
    }

    private Schedule.Task task(Part part, List<Product> sorted, int i) {
        Product p = sorted.get(i);
        Adjustment hand = byHand.of(part, p.id());
        return new Schedule.Task(
                i + 1,
                p.kind(),
                handsOn(p, byAir.layers(method, p) * hand.coats())
                        + hand.coats() * hand.where(used.apply(p).where()).secondsMore(p.kind())
                        + coat(part, used.apply(p), hand).map(ZoneStep::seconds).orElse(0),
                contact(p),
                Math.max(settle(method, p), underSunscreen(sorted, i) ? creamBeforeSunscreen(method) : 0),
                on(part, p, hand).nights(),
                hand.when().isEmpty(),
                false);
    }

    /** Whether the sunscreen is the next that goes over what stays on the face, in a layer of its own. */
    private boolean underSunscreen(List<Product> sorted, int i) {
        Product p = sorted.get(i);
        return method.sunscreenAndCream() != Method.SunscreenAndCream.MIXED_IN_PALM
                && !p.kind().comesOff()
                && !Schedule.elsewhere(p.kind())
                && sorted.stream()
                        .skip(i + 1L)
                        .filter(next -> !Schedule.elsewhere(next.kind()))
                        .findFirst()
                        .filter(next -> next.kind() == StepKind.SUNSCREEN)
                        .isPresent();
    }

    /** Moves by hand that are not followed, and why. */
    public List<Moves.NotFollowed> notFollowed(Part part, List<Product> products) {
        StepOrder order = new StepOrder(method, oil);
        Moves.Moved moved = Moves.apply(order, computed(part, order, products), byHand.in(part));
        return Stream.concat(moved.notFollowed().stream(), asides.notFollowed(part, moved.steps()).stream())
                .toList();
    }

    private Step step(Part part, StepOrder order, List<Product> sorted, int i) {
        Product p = sorted.get(i);
        Amounts.Use use = Amounts.of(p.kind());
        Adjustment hand = byHand.of(part, p.id());
        OnNights on = on(part, p, hand);
        Schedule.Task task = task(part, sorted, i);
        boolean underSunscreen = underSunscreen(sorted, i) && task.settle() == creamBeforeSunscreen(method);
        Said about = said.apply(part, p);
        Used used = this.used.apply(p);
        Where where = hand.where(used.where());
        return new Step(
                i + 1,
                p.id(),
                p.name(),
                p.maker(),
                p.kind(),
                Kinds.of(p.kind()).label(),
                p.texture(),
                p.composition().shares(p.waterFree()),
                p.leading().map(a -> Actives.of(a.kind()).letter()).orElse(""),
                p.kind().comesOff(),
                left(sorted, i),
                amount(part, p, hand),
                technique(part, sorted, i),
                damp(p, use),
                task.handsOn(),
                task.contact(),
                task.settle(),
                settleBecause(p, task.settle(), underSunscreen),
                on.nights(),
                days(part, p, hand),
                on.often(),
                on.because(),
                where.part(),
                toldWhere(p, where),
                where.rest(p),
                used.leftOut().get().stream()
                        .filter(l -> !where.places().contains(l.place()))
                        .toList(),
                used.zones().stream()
                        .filter(z -> z.in(part)
                                && (z.does() == ZoneStep.Does.PAD || hand.on().isEmpty())
                                && (z.does() != ZoneStep.Does.COAT
                                        || coat(part, used, hand).isPresent()))
                        .map(ZoneStep::because)
                        .toList(),
                owned.contains(p.id()),
                p.prescription(),
                place(order, sorted, i),
                about.does(),
                about.purpose(),
                about.heed(),
                about.tools(),
                asides.of(part, sorted, i),
                p.directions().because(),
                Feel.of(p),
                next(part, order, sorted, i),
                Step.Hand.of(hand, byHand.keeps(part, p.id())),
                Moves.shifts(order, sorted, i));
    }

    /** Where, as the client's sheet tells it: when it is not what goes without saying; a sunscreen's amount says so itself. */
    private static String toldWhere(Product p, Where where) {
        return p.kind() == StepKind.SUNSCREEN || where.equals(Where.of(p.kind())) ? "" : where.words();
    }

    /** The pack decides, else custom and the method. */
    private boolean damp(Product p, Amounts.Use use) {
        return p.directions()
                .dry()
                .map(dry -> !dry)
                .orElse(use.damp() && method.betweenLayers() == Method.BetweenLayers.DAMP);
    }

    private OnNights on(Part part, Product p, Adjustment hand) {
        if (!hand.nights().isEmpty()) {
            return new OnNights(hand.nights(), BY_HAND);
        }
        OnNights computed = nights.get(p.id());
        OnNights on = computed != null && (part == Part.EVENING || p.maskOfADay())
                ? computed
                : everyDay(used.apply(p).days());
        return hand.when()
                .map(w -> new OnNights(
                        on.nights(),
                        w.kind()
                                .because()
                                .withSentence("By hand: %s. On no fixed day; counted at %d a week.%s"
                                        .formatted(w.kind().words(), w.usual(), mayBe(on))),
                        w.words()))
                .orElse(on);
    }

    private static OnNights everyDay(OptionalInt days) {
        if (days.isEmpty()) {
            return new OnNights(EVERY_DAY, DAILY);
        }
        String often = "about %d day%s a week".formatted(days.getAsInt(), days.getAsInt() == 1 ? "" : "s");
        return new OnNights(
                EVERY_DAY, Because.custom("As it is done now: %s, on no fixed day.".formatted(often)), often);
    }

    /** Days a week that it is counted at. */
    private int days(Part part, Product p, Adjustment hand) {
        OnNights on = on(part, p, hand);
        OptionalInt hers = used.apply(p).days();
        return hand.daysOr(
                on.nights().size() == EVERY_DAY.size() && hers.isPresent()
                        ? hers.getAsInt()
                        : on.nights().size());
    }

    /** On which nights it meets nothing that it must not. */
    private static String mayBe(OnNights on) {
        return on.nights().size() == EVERY_DAY.size()
                ? ""
                : " Only on %s: on the others it meets what it must not."
                        .formatted(on.nights().stream()
                                .map(d -> d.getDisplayName(TextStyle.SHORT, Locale.UK))
                                .collect(Collectors.joining(", ")));
    }

    private Because next(Part part, StepOrder order, List<Product> sorted, int i) {
        if (i + 1 >= sorted.size()) {
            return LAST;
        }
        Product step = sorted.get(i);
        Product then = sorted.get(i + 1);
        return order.between(step, then, movedBecause(part, step, then));
    }

    /** Of two that stand the other way round than a rule has it, one was moved with a reason. */
    private String movedBecause(Part part, Product a, Product b) {
        return Stream.of(a, b)
                .flatMap(p -> byHand.of(part, p.id()).move().stream())
                .map(Adjustment.Move::why)
                .filter(why -> !why.isBlank())
                .findFirst()
                .orElse("a step between them was moved.");
    }

    /** Seconds of one use with contact and wait, as this method waits. */
    public static int seconds(Method method, ByAir byAir, boolean reactive, Part part, Product p, int coats) {
        int halfTheCream = Asides.between(method, reactive, p)
                ? Amounts.of(StepKind.MOISTURISER).handsOn()
                : 0;
        return handsOn(p, byAir.layers(method, p) * coats)
                + halfTheCream
                + contact(p)
                + settle(method, p)
                + Asides.residueSeconds(method, part, p);
    }

    /** Both parts of a two-part step stay on for their time. */
    private static int contact(Product p) {
        int first = p.directions().contact().orElse(Amounts.of(p.kind()).contact());
        return p.twoPart() ? first + p.directions().secondContact().orElse(first) : first;
    }

    private static int handsOn(Product p, int coats) {
        return Amounts.of(p.kind()).handsOn() * coats * (p.twoPart() ? 2 : 1);
    }

    private Because place(StepOrder order, List<Product> sorted, int i) {
        Product p = sorted.get(i);
        if (p.kind() == StepKind.OIL && oil.isPresent()) {
            return oil.get();
        }
        Because place = order.place(p, sorted.subList(0, i), sorted.subList(i + 1, sorted.size()));
        return asides.cream(sorted, i).isPresent()
                ? new Because(
                        "Between two thin coats of cream: it irritates less, and may work a little less. %s"
                                .formatted(place.sentence()),
                        Evidence.SMALL,
                        "draelos-ertel-2006")
                : place;
    }

    /** Seconds for the cream to settle before a sunscreen goes on it, as this method waits. */
    public static int creamBeforeSunscreen(Method method) {
        return waited(method, Amounts.creamBeforeSunscreen());
    }

    /** A prescriber's wait stands whatever the method says. */
    private static int settle(Method method, Product p) {
        int full = Amounts.settle(p);
        if (p.prescription()) {
            return full;
        }
        return sinksIn(method, p) ? Math.max(full, Amounts.SUNK_IN) : waited(method, full);
    }

    private static boolean sinksIn(Method method, Product p) {
        return method.waits() == Method.Waits.SUNK_IN && Amounts.sinksIn(p.kind());
    }

    private static int waited(Method method, int full) {
        return switch (method.waits()) {
            case NONE -> 0;
            case SHORT -> Math.min(full, Amounts.SHORT_WAIT);
            case FULL, SUNK_IN -> full;
        };
    }

    /** In the morning the first layer says what went before it, where nothing is washed. */
    private String technique(Part part, List<Product> sorted, int i) {
        Product p = sorted.get(i);
        boolean rinsed = part == Part.MORNING && i == 0 && !p.kind().comesOff();
        return rinsed ? "rinse the face with water, pat; then " + technique(p, sorted) : technique(p, sorted);
    }

    private String technique(Product p, List<Product> sorted) {
        String technique = Amounts.technique(p);
        if (p.twoPart()) {
            return "part one, leave on%s; part two over it, leave on%s; rinse both off together"
                    .formatted(
                            minutes(p.directions().contact()),
                            minutes(p.directions().secondContact()));
        }
        if (p.kind() == StepKind.WASH) {
            return technique + (method.cloth() == Method.Cloth.FRESH ? " with a fresh cloth" : " with the day's cloth");
        }
        if (p.kind() == StepKind.SUNSCREEN && method.sunscreenAndCream() == Method.SunscreenAndCream.MIXED_IN_PALM) {
            return "into the cream in the palm, pat on together; ears too";
        }
        if (p.kind() == StepKind.OIL && method.oilPlace() == Method.OilPlace.DROP_IN_CREAM) {
            return "into the cream in the palm, press on together";
        }
        if (p.kind() == StepKind.OIL && method.oilPlace() == Method.OilPlace.DROP_IN_SERUM) {
            return "into the serum in the palm, press on together";
        }
        return p.kind() == StepKind.TONER && byAir.layers(method, p) > 1
                ? technique + asides.around(sorted)
                : technique;
    }

    private static String minutes(OptionalInt seconds) {
        return seconds.isPresent() ? " for %d min".formatted(seconds.getAsInt() / 60) : "";
    }

    private static double left(List<Product> sorted, int i) {
        Product p = sorted.get(i);
        if (!p.kind().comesOff()) {
            return 0;
        }
        boolean last = i + 1 >= sorted.size() || !sorted.get(i + 1).kind().comesOff();
        return last ? 0 : Amounts.of(p.kind()).left();
    }

    private Because settleBecause(Product p, int seconds, boolean underSunscreen) {
        if (seconds == 0) {
            return NO_WAIT;
        }
        if (underSunscreen) {
            return Because.custom("%s, so that the sunscreen lies on a dry film.".formatted(time(seconds)));
        }
        if (sinksIn(method, p) && Amounts.settle(p) < seconds) {
            return Because.custom("%s, till it has sunk in: the %s method waits between layers."
                    .formatted(time(seconds), method.name()));
        }
        String what = p.leading()
                .map(ActiveIn::kind)
                .map(k -> Actives.of(k).label())
                .orElse(Kinds.of(p.kind()).label());
        return Because.custom("The %s settles for %s before anything covers it.".formatted(what, time(seconds)));
    }

    private static String time(int seconds) {
        return seconds < 60
                ? seconds + " s"
                : seconds % 60 == 0 ? seconds / 60 + " min" : "%d min %d s".formatted(seconds / 60, seconds % 60);
    }
}
