package outfell.changes;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import outfell.consultation.Consultation;
import outfell.regimen.Bare;
import outfell.regimen.Read;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.season.Lever;
import outfell.skin.SkinVerdict;

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

    /** Its plan by what is read of its client. */
    Optional<Bare> plan(Read read) {
        return read.bare(this::asked);
    }

    /** What its air asks of a client. */
    Asked asked(Consultation of, SkinVerdict skin, SafetyVerdict safety) {
        Asked asked = airs.to().ask(of, skin, safety);
        if (back.isEmpty()) {
            return asked;
        }
        Asked before =
                airs.from().ask(of.parts().site(air.site()).month(air.month()).together(), skin, safety);
        for (Lever each : back) {
            asked = asked.with(each, before);
        }
        return asked;
    }
}
