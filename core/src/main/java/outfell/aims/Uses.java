package outfell.aims;

import java.time.DayOfWeek;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Owned;
import outfell.method.Method;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.routine.Part;
import outfell.season.Asked;
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
    private final Map<ProductId, Owned> owned = new HashMap<>();

    public Uses(Consultation consultation, Asked asked, Tolerance tolerance) {
        this.method = consultation.method();
        this.asked = asked;
        this.tolerance = tolerance;
        this.standing = consultation.standing();
        consultation.shelf().forEach(o -> owned.put(o.product().id(), o));
    }

    public int weeks(Product p) {
        Owned o = owned.get(p.id());
        int before = o == null ? 0 : o.weeks();
        return standing.has(p.id()) ? before + standing.weeks() : before;
    }

    public boolean isNew(Product p) {
        return weeks(p) == 0;
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
        int weeks = weeks(p);
        if (weeks == 0 && p.has(ActiveKind.RETINOID) && !asked.newRetinoid().yes()) {
            return 0;
        }
        if (weeks == 0 && p.has(ActiveKind.AHA) && !asked.newAcid().yes()) {
            return 0;
        }
        int uses = tolerance.usesPerWeek(p, weeks);
        boolean exfoliates = !p.has(ActiveKind.RETINOID);
        if (exfoliates && p.hasAny(EXFOLIANTS)) {
            uses = Math.min(uses, method.exfoliationsAWeek());
        }
        return exfoliates && asked.exfoliantsHalved().yes() ? (uses + 1) / 2 : uses;
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
        return Math.max(now(p), tolerance.usesPerWeek(p, GOT_USED_TO));
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
