package outfell.aims;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Owned;
import outfell.consultation.Hers;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.routine.Part;
import outfell.season.Asked;
import outfell.week.Diary;
import outfell.week.Ramp;
import outfell.week.Tolerance;

/** On how many nights a week this skin, this month and this method let a rationed product be used. */
public final class Uses {
    /** Weeks after which a ramp has reached its height. */
    static final int GOT_USED_TO = Tolerance.GOT_USED_TO;

    private static final List<ActiveKind> EXFOLIANTS =
            List.of(ActiveKind.AHA, ActiveKind.BHA, ActiveKind.PHA, ActiveKind.ENZYME, ActiveKind.SCRUB);

    private final Method method;
    private final Asked asked;
    private final Tolerance tolerance;
    private final Consultation.Standing standing;
    private final Diary diary;
    private final LocalDate today;
    private final Map<ProductId, Owned> owned = new HashMap<>();

    public Uses(Consultation consultation, Asked asked, Tolerance tolerance) {
        this.method = consultation.method();
        this.asked = asked;
        this.tolerance = tolerance;
        this.standing = consultation.standing();
        this.diary = consultation.diary();
        this.today = consultation.answers().today();
        consultation.shelf().forEach(o -> owned.put(o.product().id(), o));
    }

    /** Weeks of getting used to it that count: those in which it was halved, paused or left out do not. */
    public int weeks(Product p) {
        int passed = passed(p);
        return passed == 0 || !p.rationed() ? passed : Ramp.led(thing(p, today.minusWeeks(passed)), diary, today);
    }

    /**
     * A thing with nights of its own, as it is led up to from the day on which it began, or begins.
     *
     * @param begins the first day, for one that is new
     * @param waits why it does not begin at once
     * @param back weeks that it waits after a calm reset
     */
    public Ramp.Thing ramp(Product p, LocalDate begins, Optional<Because> waits, int back, Because because) {
        int passed = passed(p);
        return new Ramp.Thing(
                p,
                passed > 0 ? today.minusWeeks(passed) : begins,
                p.rationed() ? led -> at(p, led) : led -> led == 0 ? Tolerance.LED_UP_TO_USES : DAYS,
                passed > 0 ? Optional.empty() : waits,
                back,
                because);
    }

    private int passed(Product p) {
        Owned o = owned.get(p.id());
        int before = Math.max(o == null ? 0 : o.weeks(), standing.before().getOrDefault(p.id(), 0));
        return standing.has(p.id()) ? before + standing.weeks() : before;
    }

    /** Weeks for which a product counts as used though nobody put it on the shelf: a plan kept before has it. */
    public Optional<Integer> countedAsUsed(Product p) {
        return owns(p)
                ? Optional.empty()
                : Optional.ofNullable(standing.before().get(p.id()));
    }

    /** A product as it is led up to from a day on. */
    private Ramp.Thing thing(Product p, LocalDate begins) {
        return new Ramp.Thing(p, begins, led -> at(p, led), Optional.empty(), 0, tolerance.because());
    }

    public boolean isNew(Product p) {
        return passed(p) == 0;
    }

    boolean owns(Product p) {
        return owned.containsKey(p.id());
    }

    /** Nights a week of a rationed product, 0 when this skin or this month allows none. */
    public int now(Product p) {
        Owned o = owned.get(p.id());
        if (p.prescription() && o != null) {
            return o.prescribedNights().size();
        }
        if (p.kind().onlyHers() && !p.strong()) {
            return hers(p);
        }
        if (isNew(p) && p.has(ActiveKind.RETINOID) && !asked.newRetinoid().yes()) {
            return 0;
        }
        if (isNew(p) && p.has(ActiveKind.AHA) && !asked.newAcid().yes()) {
            return 0;
        }
        int uses = at(p, weeks(p));
        // half of one night a week is one in two weeks: in a plan by the week it stays
        return diary.stepBack(today).isPresent() ? Math.max(Math.min(1, uses), uses / 2) : uses;
    }

    /** Evenings a week of what no plan chooses by itself: hers, else as many as its kind is for. */
    private int hers(Product p) {
        return byPack(p, otherwise(p));
    }

    /** Days a week of what she does on some days only, whichever they are; absent for what is daily and for what has nights. */
    public OptionalInt someDays(Product p) {
        Owned o = owned.get(p.id());
        return o == null || o.hers().isEmpty() || p.rationed() || o.hersAWeek() == DAYS
                ? OptionalInt.empty()
                : OptionalInt.of(o.hersAWeek());
    }

    /** No more than its pack allows. */
    private static int byPack(Product p, int uses) {
        return Math.min(uses, p.directions().times().orElse(DAYS));
    }

    /** Nights a week that there would be if its pack said nothing. */
    private int otherwise(Product p) {
        if (p.kind().onlyHers() && !p.strong()) {
            return Optional.ofNullable(owned.get(p.id()))
                    .map(Owned::hersAWeek)
                    .orElse(Hers.of(p.kind()).usual());
        }
        return tolerance.usesPerWeek(p, weeks(p));
    }

    /** Whether it is its pack that keeps it from more nights: without its word there would be more. */
    public boolean keptByPack(Product p) {
        return p.rationedByPackAlone()
                || (!p.prescription()
                        && p.directions().times().isPresent()
                        && otherwise(p) > p.directions().times().getAsInt());
    }

    /** Nights a week after so many weeks of getting used to it, in this month's air and by this method. */
    int at(Product p, int weeks) {
        if (p.prescription()) {
            return prescribedNights(p).size();
        }
        if (p.kind().onlyHers() && !p.strong()) {
            return hers(p);
        }
        if (p.rationedByPackAlone()) {
            return byPack(p, DAYS);
        }
        int uses = byPack(p, tolerance.usesPerWeek(p, weeks));
        boolean exfoliates = !p.has(ActiveKind.RETINOID);
        if (!exfoliates && asked.retinoidFewer().yes() && weeks >= GOT_USED_TO) {
            return Math.max(1, uses - 1);
        }
        if (exfoliates && p.hasAny(EXFOLIANTS)) {
            uses = Math.min(uses, exfoliations());
        }
        return exfoliates && asked.exfoliantsHalved().yes() ? (uses + 1) / 2 : uses;
    }

    /** Evenings a week on which all that exfoliates may come together: the method's, half of them in dry air. */
    public int exfoliations() {
        int most = method.exfoliationsAWeek();
        return asked.exfoliantsHalved().yes() ? (most + 1) / 2 : most;
    }

    /** Whether a daily step is led up to: new, left on, and drying enough to begin every other night. */
    public boolean ledUpTo(Product p) {
        return !p.rationed()
                && !p.kind().comesOff()
                && !p.prescription()
                && isNew(p)
                && p.actives().stream().anyMatch(a -> Actives.of(a.kind()).ledUpTo());
    }

    /** Days a week of a step without nights of its own; one that is led up to begins in the evening only. */
    public int daily(Product p, Part part) {
        return !ledUpTo(p) ? DAYS : part == Part.EVENING ? Tolerance.LED_UP_TO_USES : 0;
    }

    private static final int DAYS = 7;

    /** Nights a week that it will come to once it is got used to: what it is chosen for. */
    int inTime(Product p) {
        return p.kind().onlyHers() || p.rationedByPackAlone()
                ? now(p)
                : Math.max(now(p), byPack(p, tolerance.usesPerWeek(p, GOT_USED_TO)));
    }

    /** What stays out of the plan while this retinoid is new: by a prescriber's everything that exfoliates, by some schools acids. */
    List<ActiveKind> waitBeside(Product p) {
        if (!p.has(ActiveKind.RETINOID) || weeks(p) >= GOT_USED_TO) {
            return List.of();
        }
        boolean acidsWait = method.retinoidAndAcid() == Method.RetinoidAndAcid.ACIDS_WAIT;
        return p.prescription() ? EXFOLIANTS : acidsWait ? List.of(ActiveKind.AHA, ActiveKind.BHA) : List.of();
    }

    public List<DayOfWeek> prescribedNights(Product p) {
        Owned o = owned.get(p.id());
        return o == null ? List.of() : o.prescribedNights();
    }
}
