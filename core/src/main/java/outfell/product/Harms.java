package outfell.product;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Lexicon;
import outfell.knowledge.Row;

/** What harms a face, from harms.yaml: by what a product holds, how much, how sharp, and how it is used. */
public final class Harms {
    /**
     * A harm that a product does.
     *
     * @param harm its name
     * @param refused whether it keeps the product out of every plan, or is only to be minded
     */
    public record Harm(String harm, boolean refused, Because because) {}

    /** What a rule of harm is for. */
    private enum Of {
        MIXTURE,
        ANY
    }

    /**
     * @param says words of which one stands on the list or in the product's name
     * @param phUnder holds only where the pack tells a lower pH; 14 for no matter
     * @param prescribed whether it holds for what a prescriber gave, too
     */
    private record HarmRule(
            String harm,
            Set<Tag> tags,
            List<String> names,
            List<Lexicon.Phrase> says,
            Of of,
            double over,
            double phUnder,
            Set<HomeUse> uses,
            boolean refused,
            boolean prescribed,
            Because because) {

        boolean holds(Printed printed) {
            LabelLine line = printed.line();
            return tags.stream().anyMatch(line::is)
                    || line.ingredient()
                            .map(i -> names.contains(i.inci().toLowerCase(Locale.ROOT)))
                            .orElse(false)
                    || says(printed.words());
        }

        boolean says(List<String> words) {
            return says.stream().anyMatch(p -> p.standsIn(words));
        }
    }

    /** A line with the words of its name, taken apart once for all rules. */
    private record Printed(LabelLine line, List<String> words) {}

    /** A pH as packs print it: "pH 3.5". */
    private static final Pattern PH = Pattern.compile("(?i)\\bpH\\s*[:=]?\\s*(\\d{1,2}(?:[.,]\\d)?)");

    private static final List<HarmRule> RULES = KnowledgeFile.yaml("harms.yaml").rows("harms").stream()
            .map(Harms::read)
            .toList();

    private Harms() {}

    /** In the order of the table, each harm once, at its worst. */
    static List<Harm> of(Product.Facts facts, StepKind kind, List<LabelLine> held) {
        Set<HomeUse> uses = facts.home()
                .map(Set::of)
                .orElse(
                        kind.comesOff()
                                ? Set.of(HomeUse.MASK, HomeUse.WASH)
                                : Set.of(HomeUse.BY_DAY, HomeUse.BY_NIGHT));
        double ph = ph(facts);
        List<Printed> printed = held.stream()
                .map(l -> new Printed(l, Lexicon.words(l.printed())))
                .toList();
        List<String> name = Lexicon.words(facts.name());
        List<Harm> found = new ArrayList<>();
        for (HarmRule rule : RULES) {
            boolean concerns = (rule.of() == Of.ANY || facts.home().isPresent())
                    && (rule.prescribed() || !facts.prescription())
                    && uses.stream().anyMatch(rule.uses()::contains)
                    && ph < rule.phUnder()
                    && found.stream().noneMatch(h -> h.harm().equals(rule.harm()));
            if (concerns) {
                harm(rule, name, printed, facts.home().isPresent()).ifPresent(found::add);
            }
        }
        return List.copyOf(found);
    }

    /** @param weighed whether the shares were weighed in a kitchen; of a bought product only what is sure to be in it counts */
    private static Optional<Harm> harm(HarmRule rule, List<String> name, List<Printed> held, boolean weighed) {
        List<LabelLine> lines =
                held.stream().filter(rule::holds).map(Printed::line).toList();
        double share = lines.stream()
                .mapToDouble(l -> weighed ? l.likely() : l.certainShare())
                .sum();
        if (!lines.isEmpty() && share > rule.over()) {
            return Optional.of(
                    new Harm(rule.harm(), rule.refused(), rule.because().withSentence(said(rule, lines, share))));
        }
        return rule.says(name)
                ? Optional.of(new Harm(
                        rule.harm(),
                        rule.refused(),
                        rule.because().withSentence(rule.because().sentence() + " The name says so.")))
                : Optional.empty();
    }

    /** The pH that name or list tells; 14 when neither does, so that no rule of sharpness holds. */
    private static double ph(Product.Facts facts) {
        Matcher told = PH.matcher(facts.name() + " " + facts.label());
        return told.find() ? Double.parseDouble(told.group(1).replace(',', '.')) : NEVER_SHARP;
    }

    private static final double NEVER_SHARP = 14;

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
                r.texts("says").stream().map(Lexicon::phrase).toList(),
                r.one("of", Of.class),
                r.number("over", 0, 100),
                r.has("ph-under") ? r.number("ph-under", 0, 14) : NEVER_SHARP + 1,
                Set.copyOf(r.several("uses", HomeUse.class)),
                r.flag("refused"),
                r.flag("prescribed"),
                r.because(r.text("sentence")));
        r.done();
        return rule;
    }
}
