package outfell.changes;

import java.util.EnumSet;
import java.util.Set;
import outfell.consultation.Consultation;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.season.Asked;
import outfell.season.Lever;

/**
 * A consultation with some of what its air asks put back to what another month or place asks.
 *
 * @param air whose month and place those are
 * @param airs what the air asks of either
 */
record Case(Consultation consultation, Consultation air, Airs airs, Set<Lever> back) {
    Case {
        back = Set.copyOf(back);
    }

    Case with(Consultation other) {
        return new Case(other, air, airs, back);
    }

    Case with(Lever lever) {
        Set<Lever> more = EnumSet.of(lever);
        more.addAll(back);
        return new Case(consultation, air, airs, more);
    }

    Outcome plan() {
        return Planner.plan(consultation, (c, skin, safety) -> {
            Asked asked = airs.to().ask(c, skin, safety);
            Asked before = airs.from()
                    .ask(c.parts().site(air.site()).month(air.month()).together(), skin, safety);
            for (Lever each : back) {
                asked = asked.with(each, before);
            }
            return asked;
        });
    }
}
