package outfell.aims;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.lang3.StringUtils;
import outfell.conflict.Interactions;
import outfell.conflict.Interactions.Interaction;
import outfell.conflict.Meeting;
import outfell.conflict.Meetings;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.ActiveIn;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.season.Season;

/**
 * What may stand together: the one rule that the choice, what is put in by hand and what is said of both ask. For the choice as
 * bits, by which two products part when one leaves behind what the other minds; for people as the reason. A test holds the two
 * against each other.
 */
public final class Parting {
    private static final List<ActiveKind> LIGHT_WEAKENS = List.of(ActiveKind.RETINOID, ActiveKind.AHA);

    /**
     * @param held a bit for each active on the skin, one for each rule with exceptions that it is none of, one for a low filter
     * @param notInPlan bits of those that may not be in one plan with it
     * @param notInRoutine bits of those that may not be in one routine with it
     */
    public record Bits(long held, long notInPlan, long notInRoutine) {
        static final Bits NONE = new Bits(0, 0, 0);
    }

    private final Method method;
    private final Uses uses;
    private final Interactions interactions;
    private final List<Interaction> withExceptions;
    private final List<Meetings.Rule> parting;
    private final List<Meetings.Rule> atNight;
    private final Map<ProductId, Bits> known = new HashMap<>();

    public Parting(Consultation consultation, Uses uses) {
        this.method = consultation.method();
        this.uses = uses;
        this.interactions = consultation.house().conflicts().interactions();
        this.withExceptions =
                interactions.all().stream().filter(i -> !i.but().isEmpty()).toList();
        this.parting = consultation.house().conflicts().parting();
        this.atNight = consultation.house().conflicts().meetings().stream()
                .filter(r ->
                        r.where() == Meetings.Where.NIGHT && r.meeting() != Meeting.FINE && r.meeting() != Meeting.MYTH)
                .toList();
        if (lowFilterBit() >= Long.SIZE) {
            throw new IllegalStateException("Too many rules part products: a long has no bit left for each.");
        }
    }

    public Bits of(Product p) {
        return known.computeIfAbsent(p.id(), _ -> rinsed(p) ? Bits.NONE : bits(p));
    }

    /** Why two products may not stand in one plan, or in one routine; absent when they may. */
    public Optional<Because> why(Product a, Product b, boolean sameRoutine) {
        if (rinsed(a) || rinsed(b)) {
            return Optional.empty();
        }
        return Stream.of(between(a, b, sameRoutine), between(b, a, sameRoutine))
                .flatMap(Optional::stream)
                .findFirst()
                .map(because -> because.withSentence("With %s: %s".formatted(b.name(), because.sentence())));
    }

    /**
     * Why two products with nights of their own may not share one; absent when they may. Strong actives of which no rule says that
     * they go together stay apart: what is not known is not taken as harmless.
     */
    public Optional<Because> whyNotOneNight(Product a, Product b) {
        Optional<Because> apart = why(a, b, true).or(() -> why(b, a, true));
        if (apart.isPresent()) {
            return apart;
        }
        if (method.maskAfterScrub() && (rinsedThenClay(a, b) || rinsedThenClay(b, a))) {
            return Optional.empty();
        }
        Optional<Meetings.Rule> met =
                atNight.stream().filter(r -> r.between(a, b) || r.between(b, a)).findFirst();
        if (met.isPresent()) {
            return met.map(Meetings.Rule::because);
        }
        for (ActiveIn x : strong(a)) {
            for (ActiveIn y : strong(b)) {
                Optional<Interaction> i = interactions.between(a, x.kind(), b, y.kind());
                if (i.isEmpty() || !together(i.get())) {
                    return i.map(Interaction::because)
                            .or(() -> Optional.of(Because.custom("Of %s with %s no rule says that one night bears both."
                                    .formatted(
                                            Actives.of(x.kind()).label(),
                                            Actives.of(y.kind()).label()))));
                }
            }
        }
        return Optional.empty();
    }

    /** The one exfoliation that some schools put straight before another: it is rinsed off, and clay follows. */
    private static boolean rinsedThenClay(Product first, Product then) {
        return then.kind() == StepKind.CLAY_MASK && (first.kind() == StepKind.SCRUB || first.kind() == StepKind.ENZYME);
    }

    private static List<ActiveIn> strong(Product p) {
        return p.actives().stream()
                .filter(a ->
                        Actives.of(a.kind()).rationed() || Actives.of(a.kind()).ledUpTo())
                .toList();
    }

    private static boolean together(Interaction i) {
        return switch (i.meeting()) {
            case FINE, MYTH -> true;
            case NEVER, AM_PM, NIGHTS, CAUTION -> false;
        };
    }

    /** What one product minds of another. */
    private Optional<Because> between(Product a, Product b, boolean sameRoutine) {
        Optional<Meetings.Rule> met = parting.stream()
                .filter(r -> sameRoutine || r.inPlan())
                .filter(r -> r.between(a, b))
                .findFirst();
        if (met.isPresent()) {
            return met.map(Meetings.Rule::because);
        }
        if (a.has(ActiveKind.RETINOID) && b.has(ActiveKind.RETINOID)) {
            return Optional.of(Because.custom("Two retinoids: no gain, more to bear."));
        }
        Optional<ActiveKind> waits = uses.waitBeside(a).stream().filter(b::has).findFirst();
        if (waits.isPresent()) {
            return Optional.of(Because.custom("%s waits until the retinoid is got used to: %d weeks."
                    .formatted(StringUtils.capitalize(Actives.of(waits.get()).label()), Uses.GOT_USED_TO)));
        }
        if (wantsHighFilter(a) && lowFilter(b)) {
            return Optional.of(Because.custom(
                    "%s thins what light meets: by day it asks for SPF %d.".formatted(a.name(), Season.HIGH_SPF)));
        }
        for (ActiveIn x : a.actives()) {
            for (ActiveIn y : b.actives()) {
                Optional<Interaction> i = interactions.between(a, x.kind(), b, y.kind());
                if (i.filter(m -> apartInPlan(m) || (sameRoutine && apartInRoutine(a.rationed(), m, y.kind())))
                        .isPresent()) {
                    return i.map(Interaction::because);
                }
            }
        }
        return Optional.empty();
    }

    private static boolean rinsed(Product p) {
        return Kinds.of(p.kind()).left() < 1;
    }

    private Bits bits(Product p) {
        long filter = 1L << lowFilterBit();
        return new Bits(
                held(p) | (lowFilter(p) ? filter : 0),
                clash(p, false) | (wantsHighFilter(p) ? filter : 0),
                clash(p, true));
    }

    private static boolean wantsHighFilter(Product p) {
        return p.rationed() && !p.kind().comesOff() && (p.prescription() || p.hasAny(LIGHT_WEAKENS));
    }

    private static boolean lowFilter(Product p) {
        return p.kind() == StepKind.SUNSCREEN && p.spf() < Season.HIGH_SPF;
    }

    private int lowFilterBit() {
        return ActiveKind.values().length + 2 * withExceptions.size() + 2 * parting.size();
    }

    private long partingBit(int rule, boolean first) {
        return 1L << (ActiveKind.values().length + 2 * withExceptions.size() + 2 * rule + (first ? 0 : 1));
    }

    private static long ruleBit(int rule, boolean first) {
        return 1L << (ActiveKind.values().length + 2 * rule + (first ? 0 : 1));
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

    private long clash(Product p, boolean inRoutine) {
        long bits = 0;
        if (!inRoutine && p.has(ActiveKind.RETINOID)) {
            bits |= 1L << ActiveKind.RETINOID.ordinal();
            for (ActiveKind waits : uses.waitBeside(p)) {
                bits |= 1L << waits.ordinal();
            }
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
