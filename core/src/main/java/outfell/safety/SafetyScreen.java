package outfell.safety;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ActiveKind;
import outfell.product.Tag;
import outfell.safety.SafetyVerdict.Caution;
import outfell.safety.SafetyVerdict.Referral;
import outfell.skin.Observation;
import outfell.skin.Sign;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict;

/** Runs the rows of safety.yaml over answers and reading. */
public final class SafetyScreen {
    /** When a row applies. */
    private enum When {
        PREGNANT,
        TRYING,
        BREASTFEEDING,
        ALLERGY,
        PRESCRIBED_RETINOID,
        PRESCRIBED_RETINOID_WHILE_EXPECTING,
        BARRIER_BROKEN,
        SPOTS_SEVERE,
        FLAKING_SEVERE
    }

    /**
     * A known allergy that can be ticked.
     *
     * @param id used in documents
     * @param label as shown
     */
    public record Allergy(String id, String label) {}

    private record Rule(
            String id,
            String label,
            List<When> when,
            Set<Tag> tags,
            Set<ActiveKind> actives,
            String therapist,
            String client,
            String whom,
            Because because) {}

    private static final List<Rule> RULES =
            Row.unique(KnowledgeFile.yaml("safety.yaml").rows("rules"), SafetyScreen::read, Rule::id);

    private SafetyScreen() {}

    /** The allergies that the table knows, in its order. */
    public static List<Allergy> allergies() {
        return RULES.stream()
                .filter(r -> r.when().contains(When.ALLERGY))
                .map(r -> new Allergy(r.id(), r.label()))
                .toList();
    }

    public static SafetyVerdict screen(Answers answers, SkinReading reading, SkinVerdict skin) {
        List<Ban> bans = new ArrayList<>();
        List<Caution> cautions = new ArrayList<>();
        List<Referral> referrals = new ArrayList<>();
        for (Rule rule : RULES) {
            if (applies(rule, answers, reading, skin)) {
                if (!rule.tags().isEmpty() || !rule.actives().isEmpty()) {
                    bans.add(new Ban(
                            rule.label(),
                            rule.tags(),
                            rule.actives(),
                            "",
                            false,
                            rule.when().contains(When.ALLERGY),
                            rule.because()));
                }
                if (!rule.whom().isEmpty()) {
                    referrals.add(new Referral(rule.label(), rule.whom(), rule.because()));
                }
                if (!rule.therapist().isEmpty()) {
                    cautions.add(new Caution(rule.label(), rule.therapist(), rule.client(), rule.because()));
                }
            }
        }
        answers.otherAllergies().forEach(word -> bans.add(unknownAllergy(word)));
        return new SafetyVerdict(bans, cautions, referrals);
    }

    private static Ban unknownAllergy(String word) {
        return new Ban(
                "allergy: " + word,
                Set.of(),
                Set.of(),
                word,
                true,
                true,
                Because.house("Reacts to %s, which the table does not know.".formatted(word)));
    }

    private static boolean applies(Rule rule, Answers answers, SkinReading reading, SkinVerdict skin) {
        return rule.when().stream().anyMatch(w -> holds(w, rule, answers, reading, skin));
    }

    private static boolean holds(When when, Rule rule, Answers answers, SkinReading reading, SkinVerdict skin) {
        return switch (when) {
            case PREGNANT -> answers.expecting() == Answers.Expecting.PREGNANT;
            case TRYING -> answers.expecting() == Answers.Expecting.TRYING;
            case BREASTFEEDING -> answers.expecting() == Answers.Expecting.BREASTFEEDING;
            case ALLERGY -> answers.allergies().contains(rule.id());
            case PRESCRIBED_RETINOID -> answers.prescribedRetinoid();
            case PRESCRIBED_RETINOID_WHILE_EXPECTING ->
                answers.prescribedRetinoid() && answers.expecting() != Answers.Expecting.NO;
            case BARRIER_BROKEN -> skin.barrier().calmReset();
            case SPOTS_SEVERE -> severe(reading, Sign.SPOTS);
            case FLAKING_SEVERE -> severe(reading, Sign.FLAKING);
        };
    }

    private static boolean severe(SkinReading reading, Sign sign) {
        return reading.observations().stream()
                .filter(o -> o.sign() == sign)
                .mapToInt(Observation::grade)
                .anyMatch(g -> g == 4);
    }

    private static Rule read(Row row) {
        Set<Tag> tags = EnumSet.noneOf(Tag.class);
        tags.addAll(row.several("ban-tags", Tag.class));
        Set<ActiveKind> actives = EnumSet.noneOf(ActiveKind.class);
        actives.addAll(row.several("ban-actives", ActiveKind.class));
        return new Rule(
                row.text("id"),
                row.text("label"),
                row.several("when", When.class),
                tags,
                actives,
                row.text("therapist", ""),
                row.text("client", ""),
                row.text("refer-to", ""),
                row.because(row.text("because")));
    }
}
