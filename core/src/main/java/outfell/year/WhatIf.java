package outfell.year;

import java.util.List;
import java.util.Optional;
import outfell.climate.Air;
import outfell.climate.MonthlyAir;
import outfell.consultation.Consultation;
import outfell.consultation.Surroundings;
import outfell.knowledge.Because;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.regimen.Regimen;
import outfell.season.Asked;
import outfell.season.Lever;

/**
 * The plan in an air that is only thought of, to see what air does.
 *
 * @param air what it makes of rooms, dryness and heat
 * @param plan in that air
 * @param moved what it asks otherwise than the air of the consultation's month
 */
public record WhatIf(Air air, Regimen plan, List<MovedByAir> moved) {
    public WhatIf {
        moved = List.copyOf(moved);
    }

    /** One thing that is asked otherwise. */
    public record MovedByAir(Lever lever, String words, Because because) {}

    /**
     * Nothing when the consultation leads to no plan.
     *
     * @param hours outdoors a day, 0 to 24
     */
    public static Optional<WhatIf> of(Consultation consultation, MonthlyAir outdoors, double hours) {
        Consultation then = consultation.living(consultation
                .life()
                .outdoors(hours)
                .within(new Surroundings(consultation.life().around().hours(), List.of())));
        Air air = Air.of(outdoors, then.life().stays());
        Planner.Airing thought = (c, skin, safety) -> c.ask(air, c.month(), skin, safety);
        if (!(Planner.plan(then, thought) instanceof Outcome.Planned planned)) {
            return Optional.empty();
        }
        Asked usual = consultation.ask(planned.skin(), planned.safety());
        Asked asked = planned.regimen().asked();
        return Optional.of(new WhatIf(
                air,
                planned.regimen(),
                Lever.switched().stream()
                        .filter(l -> l.differs(asked, usual))
                        .map(l -> new MovedByAir(l, l.words(), l.because(asked)))
                        .toList()));
    }
}
