package outfell.changes;

import java.util.function.Function;
import outfell.knowledge.Because;
import outfell.season.Asked;

/** One thing that a month's air asks of a plan, which can be taken back by itself. */
enum AirAsk {
    SPF(a -> a.spf().value(), a -> a.spf().because()),
    EVENING_CREAM(a -> a.moisturiser().grade(), a -> a.moisturiser().because()),
    DAY_CREAM(a -> a.moisturiserByDay().grade(), a -> a.moisturiserByDay().because()),
    DAY_CREAM_NEEDED(
            a -> a.moisturiserNeeded().yes(), a -> a.moisturiserNeeded().because()),
    SEAL(a -> a.seal().yes(), a -> a.seal().because()),
    OIL(a -> a.oil().yes(), a -> a.oil().because()),
    EXFOLIATION(a -> a.exfoliantsHalved().yes(), a -> a.exfoliantsHalved().because()),
    NEW_RETINOID(a -> a.newRetinoid().yes(), a -> a.newRetinoid().because()),
    NEW_ACID(a -> a.newAcid().yes(), a -> a.newAcid().because()),
    ROOMS(Asked::air, a -> a.air().rooms());

    private final Function<Asked, Object> value;
    private final Function<Asked, Because> because;

    AirAsk(Function<Asked, Object> value, Function<Asked, Because> because) {
        this.value = value;
        this.because = because;
    }

    boolean differs(Asked a, Asked b) {
        return !value.apply(a).equals(value.apply(b));
    }

    /** Why it is asked. */
    Because because(Asked asked) {
        return because.apply(asked);
    }

    /** What is asked, with this one as it was. */
    Asked back(Asked now, Asked before) {
        return new Asked(
                this == ROOMS ? before.air() : now.air(),
                this == EVENING_CREAM ? before.moisturiser() : now.moisturiser(),
                this == DAY_CREAM ? before.moisturiserByDay() : now.moisturiserByDay(),
                this == DAY_CREAM_NEEDED ? before.moisturiserNeeded() : now.moisturiserNeeded(),
                this == SEAL ? before.seal() : now.seal(),
                this == OIL ? before.oil() : now.oil(),
                this == SPF ? before.spf() : now.spf(),
                this == EXFOLIATION ? before.exfoliantsHalved() : now.exfoliantsHalved(),
                this == NEW_RETINOID ? before.newRetinoid() : now.newRetinoid(),
                this == NEW_ACID ? before.newAcid() : now.newAcid());
    }
}
