package outfell.regimen;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import outfell.balance.Balance;
import outfell.balance.Need;
import outfell.balance.Points;
import outfell.balance.Target;
import outfell.conflict.Interactions;
import outfell.conflict.Interactions.Interaction;
import outfell.conflict.Meetings;
import outfell.method.Method;
import outfell.product.ActiveIn;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.regimen.Candidate.Point;
import outfell.regimen.Consultation.Choice;
import outfell.routine.Adjustment;
import outfell.routine.Amounts;
import outfell.routine.Layout;
import outfell.routine.Part;
import outfell.season.Asked;
import outfell.skin.Band;
import outfell.skin.Concern;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.RankedConcern;
import outfell.skin.TypeVerdict;
import outfell.supply.Supply;
import outfell.week.Tolerance;

/** Weighs single products for a consultation: what each earns by itself, what it helps, what it clashes with. */
final class Weigher {
    private final Consultation consultation;
    private final SkinVerdict skin;
    private final Asked asked;
    private final Uses uses;
    private final List<Adjustment> byHand;
    private final Yardstick yardstick;
    private final Target evening;
    private final Interactions interactions;
    private final List<Interaction> withExceptions;
    private final List<Meetings.Rule> parting;
    private final List<RankedConcern> concerns;
    private final List<Product> ownedSuitable;
    private final Map<ProductId, Integer> rank = new HashMap<>();
    private final Map<ProductId, Parting> partings = new HashMap<>();
    private final Map<OnDays, List<Benefits.Help>> benefits = new HashMap<>();

    Weigher(
            Consultation consultation,
            SkinVerdict skin,
            Asked asked,
            Uses uses,
            List<Product> allowed,
            List<Adjustment> byHand) {
        this.consultation = consultation;
        this.skin = skin;
        this.asked = asked;
        this.uses = uses;
        this.byHand = byHand;
        this.yardstick = consultation.house().yardstick();
        this.evening = Target.evening(skin, asked.air());
        this.interactions = consultation.house().conflicts().interactions();
        this.withExceptions =
                interactions.all().stream().filter(i -> !i.but().isEmpty()).toList();
        this.parting = consultation.house().conflicts().parting();
        if (ruleBits() > Long.SIZE) {
            throw new IllegalStateException("Too many rules part products: a long has no bit left for each.");
        }
        this.concerns = skin.concerns().stream().limit(yardstick.mostConcerns()).toList();
        List<ProductId> ids =
                consultation.products().stream().map(Product::id).sorted().toList();
        for (int i = 0; i < ids.size(); i++) {
            rank.put(ids.get(i), i);
        }
        this.ownedSuitable =
                allowed.stream().filter(p -> uses.owns(p) && suits(p)).toList();
    }

    List<RankedConcern> concerns() {
        return concerns;
    }

    /** How many products there are to number. */
    int products() {
        return rank.size();
    }

    private boolean hers(Product p) {
        return uses.owns(p) || consultation.standing().has(p.id());
    }

    /** The product weighed for one kind of slot; nothing when it has no night there. */
    Optional<Candidate> weigh(Product p, Part part, StepKind slot, boolean required, boolean methodWants) {
        boolean rationed = p.rationed();
        Adjustment hand = byHand(part, p);
        int days = hand.daysOr(rationed ? uses.now(p) : uses.daily(p, part));
        if (days == 0) {
            return Optional.empty();
        }
        List<Benefits.Help> helps = new ArrayList<>();
        double[] values = new double[concerns.size()];
        int[] kinds = new int[concerns.size()];
        for (Benefits.Help help : helps(p, hand.daysOr(rationed ? uses.inTime(p) : 7))) {
            for (int c = 0; c < values.length; c++) {
                double points = help.share() * concerns.get(c).weight();
                if (help.concern() == concerns.get(c).concern() && points >= yardstick.leastHelp()) {
                    helps.add(help);
                    values[c] = points;
                    kinds[c] = help.active().ordinal();
                }
            }
        }
        List<Point> points = points(p, part, slot, required, methodWants);
        double own = points.stream().mapToDouble(Point::points).sum() - trace(p, part);
        boolean strong = rationed && !p.kind().comesOff();
        Parting parting = parting(p);
        return Optional.of(new Candidate(
                p,
                rank.getOrDefault(p.id(), 0),
                points,
                own,
                values,
                kinds,
                IntStream.range(0, values.length).filter(c -> values[c] > 0).toArray(),
                takes(p, part, rationed, days, hand),
                spendLeast(p),
                rationed,
                days,
                days * Tolerance.points(p),
                strong && uses.isNew(p) && !p.prescription(),
                strong && !p.prescription(),
                hers(p),
                parting.held(),
                parting.notInPlan(),
                parting.notInRoutine(),
                strong && (p.prescription() || p.has(ActiveKind.RETINOID) || p.has(ActiveKind.AHA)),
                helps));
    }

    /** What a product does at so many days a week, wherever it stands. */
    private List<Benefits.Help> helps(Product p, int days) {
        return benefits.computeIfAbsent(new OnDays(p.id(), days), _ -> Benefits.of(p, days, yardstick));
    }

    private record OnDays(ProductId product, int days) {}

    /** The bands that the evening's and the morning's layers should lie in. */
    Target target(Part part) {
        return part == Part.EVENING ? evening : evening.morning();
    }

    private Adjustment byHand(Part part, Product p) {
        return byHand.stream()
                .filter(a -> a.part() == part && a.product().equals(p.id()))
                .findFirst()
                .orElseGet(() -> Adjustment.none(part, p.id()));
    }

    private double[] takes(Product p, Part part, boolean rationed, int days, Adjustment hand) {
        double[] takes = new double[Scarcity.COUNT];
        takes[Scarcity.minutes(part).ordinal()] = seconds(p, hand.coats()) / 60.0;
        takes[Scarcity.steps(part).ordinal()] = 1;
        takes[Scarcity.MONEY.ordinal()] = spend(p, days * hand.times());
        if (rationed && !p.prescription()) {
            takes[Scarcity.NIGHTS.ordinal()] = days;
        }
        if (!p.prescription()) {
            takes[Scarcity.LOAD.ordinal()] = days * Tolerance.points(p);
            takes[Scarcity.EXFOLIATIONS.ordinal()] = days * Tolerance.exfoliation(p);
        }
        return takes;
    }

    /** A product as a layer on the whole face; kept to part of it, it is none. */
    Balance.Layer layer(Part part, Product p, boolean needed) {
        Adjustment hand = byHand(part, p);
        double times = hand.on().isPresent() ? 0 : hand.coats();
        return new Balance.Layer(
                p.id(),
                p.name(),
                Balance.points(p.composition(), times * Amounts.density(p, band(), layers(p))),
                times * Amounts.grams(p, band(), layers(p)),
                p.kind() == StepKind.SUNSCREEN,
                dosed(p.kind()),
                needed);
    }

    /** Only what waters, softens and seals is given by more or less of it. */
    private static boolean dosed(StepKind kind) {
        return switch (kind) {
            case TONER, ESSENCE, MOISTURISER, OIL, SEAL -> false;
            default -> true;
        };
    }

    private Band band() {
        return skin.type().bandU();
    }

    private int layers(Product p) {
        return Layout.layers(consultation.method(), p);
    }

    /**
     * The cream carries a routine's softening and sealing, so the balance is judged by it: what it lacks or has too much of, in
     * tenths of the band. By day the sunscreen softens too, so nothing is too little. The gauge shows the whole sum.
     */
    private void balance(Product p, Part part, List<Point> points) {
        if (p.kind() != StepKind.MOISTURISER || p.rationed() || skin.type() instanceof TypeVerdict.NotYet) {
            return;
        }
        Points gives = Balance.points(p.composition(), Amounts.density(p, band(), 1));
        for (Need need : List.of(Need.OILS, Need.SEAL)) {
            Target.Range range = target(part).of(need);
            double tenth = range.width() / 10;
            double over = Math.max(0, gives.of(need) - range.high()) / tenth;
            double under = part == Part.MORNING ? 0 : Math.max(0, range.low() - gives.of(need)) / tenth;
            if (over + under > 0) {
                points.add(new Point(
                        (over > 0 ? "more " : "less ") + need.words() + " than skin and air ask",
                        -yardstick.balance() * (over + under)));
            }
        }
    }

    /** What is owned is paid for. */
    private double spend(Product p, double times) {
        return uses.owns(p) ? 0 : Supply.monthByWeight(p, Amounts.grams(p, band(), layers(p)) * times);
    }

    private double spendLeast(Product p) {
        return uses.owns(p) ? 0 : Supply.monthByTime(p);
    }

    /** Elapsed seconds in a routine. The cream's wait before the sunscreen is reckoned with it wherever it may be needed. */
    private int seconds(Product p, int coats) {
        int own = Layout.seconds(consultation.method(), skin.sensitivity().treatAsSensitive(), p, coats);
        boolean over = p.kind() == StepKind.SUNSCREEN
                && consultation.method().sunscreenAndCream() != Method.SunscreenAndCream.MIXED_IN_PALM;
        return over ? own + Layout.creamBeforeSunscreen(consultation.method()) : own;
    }

    /** For ties only, far below any point: cheaper, then milder, then id; of two that could change places the first by day. */
    private double trace(Product p, Part part) {
        double id = (part == Part.MORNING ? 1.5e-12 : 1e-12) * rank.getOrDefault(p.id(), 0);
        return 1e-5 * p.price() + 1e-8 * p.irritancy() + id;
    }

    private List<Point> points(Product p, Part part, StepKind slot, boolean required, boolean methodWants) {
        List<Point> points = new ArrayList<>();
        texture(p, points);
        balance(p, part, points);
        if (uses.owns(p) && suits(p)) {
            points.add(new Point("it is on the client's shelf", yardstick.owned()));
        } else if (consultation.standing().steps().contains(new Choice(part, p.id()))) {
            points.add(new Point("it stands in the plan already", yardstick.standing()));
        } else if (!hers(p) && ownedSuitable.stream().anyMatch(o -> o.kind() == p.kind() && !o.rationed())) {
            points.add(new Point("another of its kind is on the shelf", -yardstick.duplicate()));
        }
        if (!required) {
            points.add(new Point("one more step", -yardstick.optionalStep()));
        }
        if (methodWants) {
            points.add(new Point("the method asks for it", yardstick.methodWants()));
        }
        if ((slot == StepKind.SEAL && asked.seal().yes())
                || (slot == StepKind.OIL && asked.oil().yes())) {
            points.add(new Point("the air or the barrier asks for it", yardstick.seasonWants()));
        }
        harshness(p, points);
        byDay(p, part, points);
        scent(p, points);
        clogging(p, points);
        return points;
    }

    private void texture(Product p, List<Point> points) {
        double target = asked.moisturiser().grade();
        if (p.kind() == StepKind.MOISTURISER) {
            off(points, Math.abs(p.texture() - target), yardstick.textureOff());
        } else if (p.kind() == StepKind.SUNSCREEN) {
            off(points, Math.abs(p.texture() - Math.max(3, target - 1)), yardstick.sunscreenTextureOff());
        }
    }

    private static void off(List<Point> points, double grades, double each) {
        if (grades > 0) {
            points.add(new Point("texture " + Math.round(grades * 10) / 10.0 + " grades off", -grades * each));
        }
    }

    /** What strips or stings does not suit, so owning it is no reason to use it up. */
    private boolean suits(Product p) {
        return !(p.kind() == StepKind.WASH && strips(p) && !bearsStripping()) && !stings(p);
    }

    private static boolean strips(Product p) {
        return p.tags().contains(Tag.SURFACTANT_STRONG);
    }

    /** Alcohol or menthol that stays on. */
    private static boolean stings(Product p) {
        return !p.kind().comesOff()
                && (p.tags().contains(Tag.DRYING_ALCOHOL)
                        || p.tags().contains(Tag.COOLING)
                        || p.tags().contains(Tag.IRRITANT_SENSORY));
    }

    /** An oily, tolerant skin with water enough. */
    private boolean bearsStripping() {
        return skin.type().bandU() == Band.OILY
                && !skin.sensitivity().treatAsSensitive()
                && !skin.water().dehydrated();
    }

    private void harshness(Product p, List<Point> points) {
        if (p.kind() == StepKind.WASH && strips(p)) {
            points.add(new Point("a strong surfactant", -yardstick.harshWash() * (bearsStripping() ? 1 : 2)));
        }
        if (stings(p)) {
            points.add(new Point("drying alcohol or menthol that stays on", -yardstick.harshLeaveOn()));
        }
    }

    private void byDay(Product p, Part part, List<Point> points) {
        if (part == Part.MORNING && p.kind() == StepKind.SERUM && p.has(ActiveKind.VITAMIN_C_ACID)) {
            points.add(new Point("vitamin C adds to the sunscreen by day", yardstick.vitaminCByDay()));
        }
    }

    private void scent(Product p, List<Point> points) {
        if (p.tags().contains(Tag.FRAGRANCE) || p.tags().contains(Tag.ESSENTIAL_OIL)) {
            if (skin.sensitivity().treatAsSensitive()) {
                points.add(new Point("perfume on a sensitive skin", -yardstick.fragranceSensitive()));
            }
        }
        Tastes.against(consultation.life(), p, Consultation.Taste.RATHER_NOT)
                .forEach(t -> points.add(new Point(t.point(), -yardstick.disliked())));
    }

    private void clogging(Product p, List<Point> points) {
        boolean prone =
                concerns.stream().anyMatch(c -> c.concern() == Concern.BREAKOUTS || c.concern() == Concern.CONGESTION);
        if (p.clogging() > 0 && !p.kind().comesOff()) {
            double each = prone ? yardstick.clogging() : yardstick.cloggingElsewhere();
            points.add(new Point("ingredients that old scores call comedogenic, debated", -each * p.clogging()));
        }
    }

    /** What is rinsed off in a wash meets nothing. */
    private static boolean meetsNothing(Product p) {
        return p.kind() == StepKind.WASH || p.kind() == StepKind.FIRST_CLEANSE;
    }

    /**
     * How the actives of a product part it from others.
     *
     * @param held a bit for each active on the skin, and one for each rule with exceptions that it is none of
     * @param notInPlan bits of those that may not be in one plan with it
     * @param notInRoutine bits of those that may not be in one routine with it
     */
    private record Parting(long held, long notInPlan, long notInRoutine) {
        static final Parting NONE = new Parting(0, 0, 0);
    }

    private Parting parting(Product p) {
        return partings.computeIfAbsent(
                p.id(), _ -> meetsNothing(p) ? Parting.NONE : new Parting(held(p), clash(p, false), clash(p, true)));
    }

    /** Bits for actives, for rules with exceptions, and for rules that part products by more than their actives. */
    private int ruleBits() {
        return ActiveKind.values().length + 2 * withExceptions.size() + 2 * parting.size();
    }

    private long partingBit(int rule, boolean first) {
        return 1L << (ActiveKind.values().length + 2 * withExceptions.size() + 2 * rule + (first ? 0 : 1));
    }

    private long held(Product p) {
        long bits = 0;
        for (int n = 0; n < parting.size(); n++) {
            bits |= parting.get(n).a().test(p) ? partingBit(n, true) : 0;
            bits |= parting.get(n).b().filter(b -> b.test(p)).isPresent() ? partingBit(n, false) : 0;
        }
        for (ActiveIn active : p.actives()) {
            bits |= 1L << active.kind().ordinal();
            for (int n = 0; n < withExceptions.size(); n++) {
                Interaction i = withExceptions.get(n);
                boolean first = i.a() == active.kind();
                if ((first || i.b() == active.kind()) && i.but().stream().noneMatch(x -> p.holds(x.ingredient()))) {
                    bits |= ruleBit(n, first);
                }
            }
        }
        return bits;
    }

    private static long ruleBit(int rule, boolean first) {
        return 1L << (ActiveKind.values().length + 2 * rule + (first ? 0 : 1));
    }

    private long clash(Product p, boolean inRoutine) {
        long bits = 0;
        if (!inRoutine && p.has(ActiveKind.RETINOID)) {
            bits |= 1L << ActiveKind.RETINOID.ordinal();
            bits |= uses.acidsWait(p) ? 1L << ActiveKind.AHA.ordinal() | 1L << ActiveKind.BHA.ordinal() : 0;
        }
        for (int n = 0; n < parting.size(); n++) {
            Meetings.Rule rule = parting.get(n);
            if (inRoutine || rule.inPlan()) {
                bits |= rule.a().test(p) ? partingBit(n, false) : 0;
                bits |= rule.b().filter(b -> b.test(p)).isPresent() ? partingBit(n, true) : 0;
            }
        }
        for (ActiveIn active : p.actives()) {
            for (Interaction i : interactions.of(active.kind())) {
                ActiveKind other = i.a() == active.kind() ? i.b() : i.a();
                Interaction mine = i.between(p, p);
                if (inRoutine ? apartInRoutine(p.rationed(), mine, other) : apartInPlan(mine)) {
                    int rule = withExceptions.indexOf(mine);
                    bits |= rule < 0 ? 1L << other.ordinal() : ruleBit(rule, mine.a() == other);
                }
            }
        }
        return bits;
    }

    private static boolean apartInPlan(Interaction i) {
        return switch (i.meeting()) {
            case NEVER -> true;
            case AM_PM, NIGHTS, CAUTION, FINE, MYTH -> false;
        };
    }

    /** Separate nights part two rationed steps by themselves; a daily step cannot step aside, so it may not share the routine. */
    private boolean apartInRoutine(boolean rationed, Interaction i, ActiveKind other) {
        Method method = consultation.method();
        return switch (i.meeting()) {
            case NEVER, AM_PM -> true;
            case NIGHTS -> !(rationed && Actives.of(other).rationed());
            case MYTH ->
                method.vitaminCApartFromNiacinamide()
                        && (other == ActiveKind.NIACINAMIDE || other == ActiveKind.VITAMIN_C_ACID);
            case CAUTION, FINE -> false;
        };
    }
}
