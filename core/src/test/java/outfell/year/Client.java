package outfell.year;

import outfell.consultation.Consultation;
import outfell.regimen.Consultations;
import outfell.skin.Faces;
import outfell.skin.Sign;

/** Whose year the tests look at: a calm face of forty with lines, neither oily nor dry, at the place that is usual in tests. */
final class Client {
    private Client() {}

    static Consultation calm() {
        return Consultations.of(Faces.face()
                .calm()
                .with(Sign.SHINE, 1, 1, 1, 0, 0)
                .with(Sign.LINES, 1, -1, 0, 2, 2)
                .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .person(40, false, false)
                .history(0, 0));
    }
}
