package outfell.regimen;

import java.util.List;
import java.util.Optional;
import outfell.aims.Given;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Life.Matter;
import outfell.regimen.Planner.Airing;
import outfell.safety.SafetyScreen;
import outfell.safety.SafetyVerdict;
import outfell.skin.SkinVerdict;

/**
 * A consultation whose face and health are read, of which one plan after another is made: for another air, or past a limit, for
 * neither changes what was read. Not for two threads at once.
 */
public final class Read {
    private final Consultation consultation;
    private final SkinVerdict skin;
    private final SafetyVerdict safety;
    private final Given given;

    private Read(Consultation consultation, SkinVerdict skin, SafetyVerdict safety, Given given) {
        this.consultation = consultation;
        this.skin = skin;
        this.safety = safety;
        this.given = given;
    }

    /** @param skin as it counts, be a calm reset on or not */
    static Read of(Consultation consultation, SkinVerdict skin) {
        SafetyVerdict safety = SafetyScreen.screen(
                consultation.answers(),
                consultation.reading(),
                skin,
                consultation.shelf().stream().map(Consultation.Owned::product).toList());
        return new Read(consultation, skin, safety, new Given(consultation, skin, safety));
    }

    /** The same with some limits of the client's let out, which keep no product out by itself. */
    public Read beyond(List<Matter> limits) {
        Life life = consultation.life();
        for (Matter limit : limits) {
            life = life.letOut(limit);
        }
        return new Read(consultation.living(life), skin, safety, given);
    }

    public Outcome plan(Airing airing) {
        return refers()
                ? new Outcome.ReferFirst(skin, safety, safety.open())
                : new Outcome.Planned(skin, safety, draft(airing).regimen());
    }

    /** The steps of its plan without their reasons, to find out what did something; nothing where a referral comes first. */
    public Optional<Bare> bare(Airing airing) {
        return refers() ? Optional.empty() : Optional.of(draft(airing).bare());
    }

    boolean refers() {
        return !safety.open().isEmpty();
    }

    /** A plan in the making, whether or not a referral comes first. */
    Draft draft(Airing airing) {
        return new Draft(consultation, skin, safety, given, airing.ask(consultation, skin, safety));
    }
}
