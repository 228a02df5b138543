package outfell.regimen;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import outfell.aims.Candidate;
import outfell.choice.Choice.Short;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.regimen.Regimen.KeptOut;
import outfell.safety.SafetyVerdict;
import outfell.skin.SkinVerdict;
import outfell.skin.TypeVerdict;

/** What is said of a plan as a whole: what it was made without, what bans keep out, what was not proven. */
final class Notices {
    private final Consultation consultation;
    private final SkinVerdict skin;
    private final SafetyVerdict safety;

    Notices(Consultation consultation, SkinVerdict skin, SafetyVerdict safety) {
        this.consultation = consultation;
        this.skin = skin;
        this.safety = safety;
    }

    /** What is said of a search that came to the end of its work before the end of its plans. */
    static Because mightBeBetter(Short unproven, Consultation.House house) {
        String what = switch (unproven.aim()) {
            case WANTS -> "another might serve a first concern better";
            case COMFORT -> "another might be more comfortable";
            case SCHOOL -> "another might keep more of what the method asks for";
            case REFINEMENT ->
                "another might bring more, by at most %.0f of a hundred points".formatted(Math.ceil(unproven.gap()));
            case BOTTLES -> "another might do with fewer bottles, by at most %.0f".formatted(Math.ceil(unproven.gap()));
            case STEPS -> "another might do with fewer steps, by at most %.0f".formatted(Math.ceil(unproven.gap()));
            case MONEY ->
                "another, as good, might be cheaper by at most %s a month".formatted(house.money(unproven.gap()));
            case MILDNESS, NAME -> "others are as good";
        };
        return Because.house(
                "There was more to try than one plan is given work for. This is the best that was found; %s."
                        .formatted(what));
    }

    /** What each ban keeps out of this plan, of the shelf and the catalogue. */
    List<KeptOut> keptOut() {
        return safety.bans().stream()
                .map(b -> new KeptOut(
                        b.name(),
                        b.because(),
                        b.guess(),
                        consultation.products().stream()
                                .filter(p -> b.keepsOut(p))
                                .map(Product::name)
                                .distinct()
                                .toList()))
                .toList();
    }

    /** What the plan is made without: a face that was read, questions nobody asked, answers that have grown stale. */
    List<Because> unsure() {
        List<Because> all = new ArrayList<>();
        if (skin.type() instanceof TypeVerdict.NotYet) {
            all.add(Because.custom("Made without reading the skin: a bland frame, until the face is read."));
        }
        safety.madeWithout()
                .ifPresent(what ->
                        all.add(Because.custom("Made without asking today: %s. Strong steps wait.".formatted(what))));
        return all;
    }

    /** Names that nobody here can read, in what stands in the plan of a client with an open ban. */
    List<Because> unknown(List<Candidate> morning, List<Candidate> evening) {
        return Stream.concat(morning.stream(), evening.stream())
                .map(Candidate::product)
                .distinct()
                .map(safety::unknownIn)
                .flatMap(Optional::stream)
                .toList();
    }
}
