package outfell.changes;

import outfell.consultation.Consultation;
import outfell.regimen.Planner.Airing;

/** What the air asks of each of two consultations that are held against each other. */
public record Airs(Airing from, Airing to) {
    /** Each in the air of its own month. */
    public static final Airs OF_MONTHS = new Airs(Consultation::ask, Consultation::ask);
}
