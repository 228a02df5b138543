package outfell.conflict;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.knowledge.RuleId;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.product.Tag;

/** What products do to one another, or by themselves at an hour or on a skin, from meetings.yaml. */
public final class Meetings {
    /** How near two products must be for a rule to hold. */
    public enum Where {
        PRODUCT,
        ORDER,
        NIGHT,
        ROUTINE,
        PLAN
    }

    /** A skin that a rule is for. */
    public enum OnSkin {
        SENSITIVE,
        OILY,
        STRAINED,
        PRONE
    }

    /** A routine that a rule is for. */
    public enum Hour {
        MORNING,
        EVENING
    }

    /**
     * One rule.
     *
     * @param b absent for a rule about one product by itself
     * @param otherSchool what those say who see it otherwise; may be empty
     * @param otherMeeting what they make of it; absent where nobody has it otherwise
     */
    public record Rule(
            RuleId id,
            Predicate<Product> a,
            Optional<Predicate<Product>> b,
            Where where,
            Optional<Hour> hour,
            Optional<OnSkin> skin,
            Meeting meeting,
            Because because,
            String otherSchool,
            Optional<Meeting> otherMeeting) {
        /** Whether it holds for all of a plan, and not in one routine or night only. */
        public boolean inPlan() {
            return where == Where.PLAN && meeting == Meeting.NEVER;
        }

        /** Whether one product is its first and another its second. */
        public boolean between(Product first, Product second) {
            return a.test(first) && b.filter(p -> p.test(second)).isPresent();
        }

        Rule switched() {
            return new Rule(
                    id,
                    a,
                    b,
                    where,
                    hour,
                    skin,
                    otherMeeting.orElse(meeting),
                    because.withSentence(otherSchool),
                    because.sentence(),
                    otherMeeting.map(_ -> meeting));
        }
    }

    /** Percent from which an ingredient makes a film of its own. */
    private static final double MUCH = KnowledgeFile.yaml("meetings.yaml").number("much", 0, 100);

    private static final List<Rule> ALL =
            Row.unique(KnowledgeFile.yaml("meetings.yaml").rows("meetings"), Meetings::read, Rule::id);

    private Meetings() {}

    /** @param others ids of the rows in which the other school is followed */
    static List<Rule> following(Set<RuleId> others) {
        return ALL.stream().map(r -> others.contains(r.id()) ? r.switched() : r).toList();
    }

    private static Rule read(Row row) {
        return new Rule(
                new RuleId(row.text("id")),
                condition(row, row.text("a")),
                row.has("b") ? Optional.of(condition(row, row.text("b"))) : Optional.empty(),
                row.one("where", Where.class),
                row.has("part") ? Optional.of(row.one("part", Hour.class)) : Optional.empty(),
                row.has("skin") ? Optional.of(row.one("skin", OnSkin.class)) : Optional.empty(),
                row.one("meeting", Meeting.class),
                row.because(row.text("reason")),
                row.text("other-school", ""),
                row.has("other-meeting") ? Optional.of(row.one("other-meeting", Meeting.class)) : Optional.empty());
    }

    private static Predicate<Product> condition(Row row, String text) {
        return Arrays.stream(text.split(" & "))
                .map(part -> one(row, part.strip()))
                .reduce(_ -> true, Predicate::and);
    }

    private static Predicate<Product> one(Row row, String part) {
        if (part.equals("leave-on")) {
            return p -> !p.kind().comesOff();
        }
        String[] words = part.split(" ", 2);
        try {
            return switch (words[0]) {
                case "active" -> {
                    ActiveKind kind = ActiveKind.valueOf(words[1].toUpperCase(Locale.ROOT));
                    yield p -> p.kind() != StepKind.WASH && p.kind() != StepKind.FIRST_CLEANSE && p.has(kind);
                }
                case "kind" -> {
                    StepKind kind = StepKind.valueOf(words[1].toUpperCase(Locale.ROOT));
                    yield p -> p.kind() == kind;
                }
                case "tag" -> {
                    Tag tag = Tag.valueOf(words[1].toUpperCase(Locale.ROOT));
                    yield p -> p.tags().contains(tag);
                }
                case "texture" -> {
                    String[] ends = words[1].split("-");
                    double low = Double.parseDouble(ends[0]);
                    double high = Double.parseDouble(ends[1]);
                    yield p -> p.texture() >= low && p.texture() <= high;
                }
                case "ingredient" -> p -> p.holds(words[1]);
                case "much" -> {
                    Tag tag = Tag.valueOf(words[1].toUpperCase(Locale.ROOT));
                    yield p -> p.share(tag) >= MUCH;
                }
                default -> throw row.fault("\"%s\" is no condition".formatted(part));
            };
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException slip) {
            throw row.fault("\"%s\" is no condition".formatted(part));
        }
    }
}
