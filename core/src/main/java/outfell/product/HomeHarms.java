package outfell.product;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** What of a mixture made at home harms, from pantry.yaml: by what it holds, how much, and how it is used. */
public final class HomeHarms {
    /**
     * A harm that a mixture does.
     *
     * @param harm its name
     * @param refused whether it keeps the mixture out of every plan, or is only to be minded
     */
    public record Harm(String harm, boolean refused, Because because) {}

    private record HarmRule(
            String harm,
            Set<Tag> tags,
            List<String> names,
            double over,
            Set<HomeUse> uses,
            boolean refused,
            Because because) {

        boolean holds(LabelLine line) {
            return tags.stream().anyMatch(line::is)
                    || line.ingredient()
                            .map(i -> names.contains(i.inci().toLowerCase(Locale.ROOT)))
                            .orElse(false);
        }
    }

    private static final List<HarmRule> RULES = KnowledgeFile.yaml("pantry.yaml").rows("harms").stream()
            .map(HomeHarms::read)
            .toList();

    private HomeHarms() {}

    /** In the order of the table, each harm once, at its worst. */
    static List<Harm> of(List<LabelLine> certain, HomeUse use) {
        List<Harm> found = new ArrayList<>();
        for (HarmRule rule : RULES) {
            List<LabelLine> held = certain.stream().filter(rule::holds).toList();
            double share = held.stream().mapToDouble(LabelLine::likely).sum();
            boolean named = found.stream().anyMatch(h -> h.harm().equals(rule.harm()));
            if (!held.isEmpty() && share > rule.over() && rule.uses().contains(use) && !named) {
                found.add(new Harm(rule.harm(), rule.refused(), rule.because().withSentence(said(rule, held, share))));
            }
        }
        return List.copyOf(found);
    }

    private static String said(HarmRule rule, List<LabelLine> held, double share) {
        String names = String.join(
                ", ", held.stream().map(LabelLine::common).distinct().limit(3).toList());
        return "%s In it: %s, %s %%.".formatted(rule.because().sentence(), names, LabelRanges.number(share));
    }

    private static HarmRule read(Row r) {
        HarmRule rule = new HarmRule(
                r.text("harm"),
                Set.copyOf(r.several("tags", Tag.class)),
                r.texts("names").stream()
                        .map(n -> Ingredients.find(n)
                                .orElseThrow(() -> r.fault("there is no ingredient " + n))
                                .inci()
                                .toLowerCase(Locale.ROOT))
                        .toList(),
                r.number("over", 0, 100),
                Set.copyOf(r.several("uses", HomeUse.class)),
                r.flag("refused"),
                r.because(r.text("sentence")));
        r.done();
        return rule;
    }
}
