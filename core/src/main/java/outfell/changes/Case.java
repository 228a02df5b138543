package outfell.changes;

import java.util.EnumSet;
import java.util.Set;
import outfell.consultation.Consultation;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.season.Asked;

/**
 * A consultation with some of what its air asks put back to what another month or place asks.
 *
 * @param air whose month and place those are
 */
record Case(Consultation consultation, Consultation air, Set<AirAsk> back) {
    Case {
        back = Set.copyOf(back);
    }

    Case with(Consultation other) {
        return new Case(other, air, back);
    }

    Case with(AirAsk ask) {
        Set<AirAsk> more = EnumSet.of(ask);
        more.addAll(back);
        return new Case(consultation, air, more);
    }

    Outcome plan() {
        return Planner.plan(consultation, (c, skin, safety) -> {
            Asked asked = c.ask(skin, safety);
            Asked before =
                    c.parts().site(air.site()).month(air.month()).together().ask(skin, safety);
            for (AirAsk each : back) {
                asked = each.back(asked, before);
            }
            return asked;
        });
    }
}
