package outfell.regimen;

import java.util.Optional;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.routine.Routine;
import outfell.routine.Step;
import outfell.season.Asked;
import outfell.sun.Film;

/** What a method that does not lay the sunscreen over the cream loses, or asks for. */
final class OverCream {
    private OverCream() {}

    /** @param asked what the air asks of this skin */
    static Optional<Because> notice(Consultation consultation, Asked asked, Routine morning) {
        Optional<Step> sunscreen = morning.steps().stream()
                .filter(s -> s.kind() == StepKind.SUNSCREEN)
                .findFirst();
        return sunscreen.flatMap(sun -> switch (consultation.method().sunscreenAndCream()) {
            case TWO_LAYERS -> Optional.empty();
            case NO_CREAM ->
                asked.moisturiserNeeded().yes() && cream(morning).isEmpty()
                        ? Optional.of(Because.custom(
                                "The %s method puts no cream under the sunscreen; this skin asks for one by day. Feel an hour after %s whether it alone is enough."
                                        .formatted(consultation.method().name(), sun.name())))
                        : Optional.empty();
            case FILTER_IN_CREAM ->
                Optional.of(Because.custom(
                        "%s stands for the cream too: its protection counts only at the full dose, %.2f g."
                                .formatted(sun.name(), sun.amount().grams())));
            case MIXED_IN_PALM ->
                cream(morning).flatMap(cream -> consultation.find(sun.product()).map(p -> mixed(p, sun, cream)));
        });
    }

    private static Optional<Step> cream(Routine morning) {
        return morning.steps().stream()
                .filter(s -> s.kind() == StepKind.MOISTURISER)
                .findFirst();
    }

    /** What of the film on the face is the sunscreen, 0 to 1: 1 where nothing is mixed into it. */
    static double share(Consultation consultation, Routine morning) {
        return consultation.method().sunscreenAndCream() == Method.SunscreenAndCream.MIXED_IN_PALM
                ? morning.steps().stream()
                        .filter(s -> s.kind() == StepKind.SUNSCREEN)
                        .findFirst()
                        .flatMap(sun -> cream(morning).map(cream -> share(sun, cream)))
                        .orElse(1.0)
                : 1;
    }

    private static double share(Step sun, Step cream) {
        return sun.amount().grams() / (sun.amount().grams() + cream.amount().grams());
    }

    private static Because mixed(Product sunscreen, Step sun, Step cream) {
        double share = share(sun, cream);
        Film.KeptFilm kept = Film.kept(sunscreen.spf(), Film.TESTED * share);
        return kept.because()
                .withSentence(
                        "Mixed in the palm with %s, %s is thinned to %.0f in 100 parts: SPF %d works like %.0f by the careful law, %.0f by the hopeful one. In two layers it keeps its number."
                                .formatted(
                                        cream.name(),
                                        sun.name(),
                                        100 * share,
                                        sunscreen.spf(),
                                        kept.careful(),
                                        kept.hopeful()));
    }
}
