package outfell.regimen;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import outfell.conflict.Interactions;
import outfell.conflict.Interactions.Interaction;
import outfell.conflict.Meetings;
import outfell.method.Method;
import outfell.product.ActiveIn;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;

/** How the actives of products part them from one another, as bits. */
final class Parting {
    private static final int HIGH_FILTER = 50;
    private static final List<ActiveKind> LIGHT_WEAKENS = List.of(ActiveKind.RETINOID, ActiveKind.AHA);

    /**
     * @param held a bit for each active on the skin, one for each rule with exceptions that it is none of, one for a low filter
     * @param notInPlan bits of those that may not be in one plan with it
     * @param notInRoutine bits of those that may not be in one routine with it
     */
    record Bits(long held, long notInPlan, long notInRoutine) {
        static final Bits NONE = new Bits(0, 0, 0);
    }

    private final Method method;
    private final Uses uses;
    private final Interactions interactions;
    private final List<Interaction> withExceptions;
    private final List<Meetings.Rule> parting;
    private final Map<ProductId, Bits> known = new HashMap<>();

    Parting(Consultation consultation, Uses uses) {
        this.method = consultation.method();
        this.uses = uses;
        this.interactions = consultation.house().conflicts().interactions();
        this.withExceptions =
                interactions.all().stream().filter(i -> !i.but().isEmpty()).toList();
        this.parting = consultation.house().conflicts().parting();
        if (lowFilterBit() >= Long.SIZE) {
            throw new IllegalStateException("Too many rules part products: a long has no bit left for each.");
        }
    }

    Bits of(Product p) {
        return known.computeIfAbsent(p.id(), _ -> meetsNothing(p) ? Bits.NONE : bits(p));
    }

    /** What is rinsed off in a wash meets nothing. */
    private static boolean meetsNothing(Product p) {
        return Kinds.of(p.kind()).left() < 1;
    }

    private Bits bits(Product p) {
        boolean strong = p.rationed() && !p.kind().comesOff();
        boolean wantsHighFilter = strong && (p.prescription() || p.hasAny(LIGHT_WEAKENS));
        boolean lowFilter = p.kind() == StepKind.SUNSCREEN && p.spf() < HIGH_FILTER;
        long filter = 1L << lowFilterBit();
        return new Bits(
                held(p) | (lowFilter ? filter : 0), clash(p, false) | (wantsHighFilter ? filter : 0), clash(p, true));
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
