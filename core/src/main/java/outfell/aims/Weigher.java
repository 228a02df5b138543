package outfell.aims;

import java.util.List;
import java.util.Optional;
import outfell.aims.Candidate.Point;
import outfell.balance.Balance;
import outfell.balance.Target;
import outfell.choice.Option;
import outfell.choice.Worth.Aim;
import outfell.consultation.Consultation;
import outfell.consultation.Yardstick;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.method.Method;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.routine.Adjustment;
import outfell.routine.Amounts;
import outfell.routine.ByAir;
import outfell.routine.Coverage;
import outfell.routine.Layout;
import outfell.routine.Part;
import outfell.routine.Where;
import outfell.season.Asked;
import outfell.skin.Band;
import outfell.skin.Concern;
import outfell.skin.FaceBands;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.RankedConcern;
import outfell.supply.Supply;
import outfell.week.Tolerance;

/** Weighs single products for a consultation: what each brings to every aim, what it takes, what it clashes with. */
public final class Weigher {
    private static final Row MARKS = KnowledgeFile.yaml("zones.yaml").row("marks");
    private static final List<ActiveKind> MARKS_ACTIVES = MARKS.several("actives", ActiveKind.class);
    private static final List<Concern> MARKS_CONCERNS = MARKS.several("concerns", Concern.class);
    private static final double MARKS_MOST = MARKS.number("most", 0, 1);

    private final Consultation consultation;
    private final SkinVerdict skin;
    private final ByAir byAir;
    private final Uses uses;
    private final List<Adjustment> byHand;
    private final Yardstick yardstick;
    private final Target evening;
    private final Suits suits;
    private final Parting parting;
    private final Merits merits;
    private final Given given;

    public Weigher(
            Consultation consultation,
            SkinVerdict skin,
            Given given,
            Asked asked,
            Uses uses,
            Suits suits,
            Parting parting,
            List<Adjustment> byHand) {
        this.consultation = consultation;
        this.given = given;
        this.skin = skin;
        this.byAir = new ByAir(
                asked.tonerLayers().value(),
                asked.creamAmount().share(),
                asked.creamAmount().because());
        this.uses = uses;
        this.suits = suits;
        this.byHand = byHand;
        this.yardstick = consultation.house().yardstick();
        this.evening = Target.evening(skin, asked.air());
        this.parting = parting;
        List<Product> ownedSuitable = given.allowed(asked.spf().value()).stream()
                .filter(p -> uses.owns(p) && suits.against(p, Part.EVENING).isEmpty())
                .toList();
        this.merits = new Merits(consultation, skin, asked, suits, uses, concerns(), ownedSuitable);
    }

    /** The concerns that the plan works on: the first ones, then the others, heaviest first. */
    public List<RankedConcern> concerns() {
        return given.serving().concerns();
    }

    /** How many of the concerns come first, each before the next. */
    public int firsts() {
        return given.serving().firsts();
    }

    /** How many products there are to number. */
    public int products() {
        return given.products();
    }

    /** What the air would make of amounts: for what it is chosen for a thing counts with its usual one. */
    public ByAir byAir() {
        return byAir;
    }

    /** What stays out beside a retinoid that is new. */
    public List<ActiveKind> waitBeside(Product p) {
        return uses.waitBeside(p);
    }

    private boolean hers(Product p) {
        return uses.owns(p) || consultation.standing().has(p.id());
    }

    /** How much a place is asked for. */
    public enum Asking {
        /** A plan without it is none. */
        NEEDED,
        /** Skin or air ask for it: comfort of the ground. */
        WANTED,
        /** The method asks for it. */
        SCHOOL,
        /** It may stand where it helps. */
        OPTIONAL
    }

    /** The product weighed for one kind of slot; nothing when it has no night there. */
    Optional<Candidate> weigh(Product p, Part part, Asking asking) {
        boolean rationed = p.rationed();
        Adjustment hand = byHand(part, p);
        int days = hand.daysOr(rationed ? uses.now(p) : uses.daily(p, part));
        if (days == 0) {
            return Optional.empty();
        }
        Serving.Serves serves = given.serving().of(p, hand.daysOr(rationed ? uses.inTime(p) : 7));
        List<Point> points = merits.of(p, part, asking);
        boolean strong = p.strong();
        Parting.Bits bits = parting.of(p);
        double[] takes = takes(p, part, rationed, days, hand);
        return Optional.of(new Candidate(
                p,
                points,
                new Option(
                        given.rank(p),
                        serves.grades(),
                        serves.points(),
                        serves.on(),
                        serves.by(),
                        sum(points, Aim.COMFORT),
                        sum(points, Aim.SCHOOL),
                        sum(points, Aim.REFINEMENT),
                        uses.owns(p) ? 0 : 1,
                        costs(p, part, takes),
                        takes,
                        spendLeast(p),
                        rationed,
                        bits.held(),
                        bits.notInPlan(),
                        bits.notInRoutine(),
                        p.kind() == StepKind.MOISTURISER ? p.texture() : 0),
                rationed,
                days,
                strong && uses.isNew(p) && !p.prescription(),
                serves.helps()));
    }

    private static double sum(List<Point> points, Aim aim) {
        double sum = 0;
        for (Point point : points) {
            sum += point.aim() == aim ? point.points() : 0;
        }
        return sum;
    }

    /** What a product does at so many days a week, wherever it stands. */
    public List<Benefits.Help> helps(Product p, int days) {
        return given.serving().helps(p, days);
    }

    /** What a product does for all concerns together at so many uses a week, in whole points of the house; more with each use. */
    public int worth(Product p, int days) {
        return given.serving().worth(p, days);
    }

    /** The bands that the evening's and the morning's layers should lie in. */
    public Target target(Part part) {
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
        takes[Scarcity.minutes(part).ordinal()] = freeOfLimits(p)
                ? 0
                : (seconds(p, part, hand.coats(), where(p, hand)) + hand.besideSeconds(consultation::find)) / 60.0;
        // chapped lips are a place of their own, not a step of the face; lips that are only kept so are a step more
        boolean chapped = skin.concerns().stream().anyMatch(c -> c.concern() == Concern.CHAPPED_LIPS);
        takes[Scarcity.steps(part).ordinal()] = stepOfTheFace(p, chapped) ? 1 : 0;
        takes[Scarcity.MONEY.ordinal()] = spend(p, part, days * hand.coats(), where(p, hand)) + again(part, days, hand);
        if (!p.prescription()) {
            boolean strong = p.strong();
            takes[Scarcity.NIGHTS.ordinal()] = p.nightsByStrength() ? days : 0;
            takes[Scarcity.LOAD.ordinal()] = days * Tolerance.points(p);
            takes[Scarcity.EXFOLIATIONS.ordinal()] = days * Tolerance.exfoliation(p);
            takes[Scarcity.STRONG.ordinal()] = strong ? 1 : 0;
            takes[Scarcity.BEGINNERS.ordinal()] = strong && uses.isNew(p) ? 1 : 0;
            takes[Scarcity.NEWCOMERS.ordinal()] = newcomer(p) ? 1 : 0;
        }
        return takes;
    }

    /**
     * Whether minutes and steps are not taken from anything else for it: make-up and hands are no care of the face, and what she does
     * on her own account, a mask at the weekend, does not cost her the serum of every day.
     */
    private boolean freeOfLimits(Product p) {
        return p.kind().besideTheCare() || (p.kind().onlyHers() && uses.owns(p));
    }

    /** Lips are a step of the face where they are only kept as they are. */
    private boolean stepOfTheFace(Product p, boolean chapped) {
        return p.kind() == StepKind.LIP ? !chapped : !freeOfLimits(p);
    }

    /** A serum, a treatment or a spot treatment with an active that the client has never had: a reaction must have one suspect. */
    private boolean newcomer(Product p) {
        boolean carries = p.kind() == StepKind.SERUM || p.kind() == StepKind.TREATMENT || p.kind() == StepKind.SPOT;
        return carries
                && !hers(p)
                && p.actives().stream().anyMatch(a -> !Actives.of(a.kind()).bland());
    }

    /**
     * A product as a layer on the whole face; kept to part of it, it is none.
     *
     * @param bothTimes whether it stands in both routines
     * @param air what the air makes of amounts in this plan
     */
    public Balance.Layer layer(Part part, Product p, boolean needed, boolean bothTimes, ByAir air) {
        Adjustment hand = byHand(part, p);
        double times = (where(p, hand).wholeFace() || hand.on().isEmpty() ? hand.coats() : 0)
                * (bothTimes ? Amounts.oneBottleByDay(p, part) : 1);
        return new Balance.Layer(
                p.id(),
                p.name(),
                Balance.points(
                        p.composition(),
                        times * air.share(p, part) * Amounts.density(p, bands(), layers(p, air), part)),
                times * air.share(p, part) * Amounts.grams(p, bands(), layers(p, air), part),
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

    /**
     * The part of the face that asks for a product, beside what its kind is for anyway: what unblocks is kept to an oily T-zone beside other
     * cheeks, what only lightens to marks that are few.
     */
    public Optional<Coverage> zone(Product p) {
        if (p.kind() == StepKind.SPOT) {
            return Optional.empty();
        }
        if (onlyLightens(p) && fewMarks()) {
            return Optional.of(Coverage.MARKS);
        }
        boolean mixed = skin.type().bandT() == Band.OILY && skin.type().bandU() != Band.OILY;
        return mixed && p.hasAny(Suits.T_ZONE_ONLY) && !p.prescription() && p.rationed()
                ? Optional.of(Coverage.T_ZONE)
                : Optional.empty();
    }

    /** What lightens and helps nothing else that this skin shows. */
    private boolean onlyLightens(Product p) {
        boolean carrier = p.kind() == StepKind.SERUM || p.kind() == StepKind.TREATMENT;
        return carrier
                && !p.prescription()
                && p.hasAny(MARKS_ACTIVES)
                && given.serving().of(p, 7).helps().stream().allMatch(h -> MARKS_CONCERNS.contains(h.concern()));
    }

    /** Where marks are named, and on no more than the share of what was looked at that makes them few. */
    private boolean fewMarks() {
        List<RankedConcern> marks = skin.concerns().stream()
                .filter(c -> MARKS_CONCERNS.contains(c.concern()))
                .toList();
        return !marks.isEmpty()
                && marks.stream()
                        .allMatch(c -> c.zonesLooked() > 1 && c.zonesTouched() <= MARKS_MOST * c.zonesLooked());
    }

    /** Where it goes, as far as the choice reckons with it: hers, the skin's, or custom's. */
    private Where where(Product p, Adjustment hand) {
        return hand.where(zone(p).map(Where::of).orElseGet(() -> Where.of(p.kind())));
    }

    private FaceBands bands() {
        return skin.type().bands();
    }

    private int layers(Product p, ByAir air) {
        return air.layers(consultation.method(), p);
    }

    /** What is owned is paid for. */
    private double spend(Product p, Part part, double times, Where where) {
        return uses.owns(p)
                ? 0
                : Supply.monthByWeight(p, Amounts.grams(p, bands(), layers(p, ByAir.AS_USUAL), part, where) * times);
    }

    /** What comes again beside a step by hand, one layer of it each time. */
    private double again(Part part, int days, Adjustment hand) {
        return hand.then().stream()
                .flatMap(then -> then.again().flatMap(consultation::find).stream())
                .mapToDouble(p -> spend(p, part, days, where(p, byHand(part, p))) / layers(p, ByAir.AS_USUAL))
                .sum();
    }

    private double spendLeast(Product p) {
        return uses.owns(p) ? 0 : Supply.monthByTime(p);
    }

    /** Elapsed seconds in a routine. The cream's wait before the sunscreen is reckoned with it wherever it may be needed. */
    private int seconds(Product p, Part part, int coats, Where where) {
        int own = Layout.seconds(
                        consultation.method(),
                        ByAir.AS_USUAL,
                        skin.sensitivity().treatAsSensitive(),
                        part,
                        p,
                        coats)
                + coats * where.secondsMore(p.kind());
        boolean over = p.kind() == StepKind.SUNSCREEN
                && consultation.method().sunscreenAndCream() != Method.SunscreenAndCream.MIXED_IN_PALM;
        return over ? own + Layout.creamBeforeSunscreen(consultation.method()) : own;
    }

    /** What is saved; last the name, by which of two that could change places the first stands by day. */
    private Option.Costs costs(Product p, Part part, double[] takes) {
        int name = given.rank(p);
        double cents = Math.rint(100 * takes[Scarcity.MONEY.ordinal()]) / 100;
        return new Option.Costs(1, cents, p.irritancy(), part == Part.MORNING ? 3 * name : 2 * name);
    }
}
