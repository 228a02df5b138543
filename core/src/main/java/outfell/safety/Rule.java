package outfell.safety;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFault;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.knowledge.RuleId;
import outfell.product.ActiveKind;
import outfell.product.StepKind;
import outfell.product.Tag;

/** One row of safety.yaml. */
record Rule(
        RuleId id,
        String group,
        String label,
        String question,
        Optional<Condition> askIf,
        boolean must,
        boolean alone,
        boolean seldom,
        boolean eachVisit,
        boolean dated,
        int days,
        List<Condition> when,
        Ban.Out out,
        boolean beside,
        int spf,
        boolean holdsAcids,
        int barrierSize,
        int barrierWindow,
        String therapist,
        String client,
        String whom,
        String note,
        boolean lasting,
        Because because) {

    /** A heading under which questions are asked. */
    record Group(String id, String label) {}

    /** What waits, and why. */
    record NotAsked(Ban.Out out, Because because) {}

    private static final Row FILE = KnowledgeFile.yaml("safety.yaml");
    static final List<Group> GROUPS =
            Row.unique(FILE.rows("groups"), row -> new Group(row.text("id"), row.text("label")), Group::id);
    /** What waits while a question that everybody is asked has no answer of today. */
    static final NotAsked NOT_ASKED = notAsked(FILE.row("not-asked"));

    static final List<Rule> ALL = linked(Row.unique(FILE.rows("rules"), Rule::read, Rule::id));

    boolean asks() {
        return !question.isEmpty();
    }

    /** The question that it asks, by the name under which it is answered. */
    String asked() {
        return id.value();
    }

    boolean allergy() {
        return group.equals("allergy");
    }

    boolean bans() {
        return out.anything();
    }

    /**
     * From when the row no longer holds, for one that runs out: its own date or that of the question it follows. A date that
     * nobody gave counts as the day it was asked.
     */
    Optional<LocalDate> until(Answers answers) {
        if (days == 0) {
            return Optional.empty();
        }
        return Optional.of(since(answers).plusDays(days));
    }

    private LocalDate since(Answers answers) {
        List<String> questions = asks()
                ? List.of(asked())
                : when.stream().flatMap(c -> c.yes().stream()).toList();
        return questions.stream()
                .map(answers::to)
                .flatMap(Optional::stream)
                .filter(Answers.Answer::yes)
                .map(a -> a.on().orElse(a.asked()))
                .max(LocalDate::compareTo)
                .orElse(answers.today());
    }

    /** When the latest yes that it rests on was given; a release from before that releases something else. */
    Optional<LocalDate> told(Answers answers) {
        return Stream.concat(Stream.of(asked()), when.stream().flatMap(c -> c.yes().stream()))
                .map(answers::to)
                .flatMap(Optional::stream)
                .filter(Answers.Answer::yes)
                .map(Answers.Answer::asked)
                .max(LocalDate::compareTo);
    }

    boolean applies(Condition.Facts facts) {
        boolean holds = facts.answers().isYes(asked()) || when.stream().anyMatch(c -> c.holds(facts));
        return holds
                && until(facts.answers())
                        .map(u -> facts.answers().today().isBefore(u))
                        .orElse(true);
    }

    /**
     * The row that asks a question.
     *
     * @param row that names the question, for the fault when there is none
     */
    static Rule of(String question, Row row) {
        return ALL.stream()
                .filter(r -> r.asks() && r.asked().equals(question))
                .findFirst()
                .orElseThrow(() -> row.fault("nobody asks \"%s\"".formatted(question)));
    }

    Set<Tag> tags() {
        return out.tags();
    }

    private static List<Rule> linked(List<Rule> rules) {
        Set<String> questions = new HashSet<>();
        rules.stream().filter(Rule::asks).forEach(r -> questions.add(r.asked()));
        for (Rule rule : rules) {
            if (!rule.asks() && rule.when().isEmpty()) {
                throw new KnowledgeFault(
                        "safety.yaml", 0, "the row \"%s\" neither asks nor says when".formatted(rule.id()));
            }
            rule.when().forEach(c -> known(rule, c, questions));
            rule.askIf().ifPresent(c -> known(rule, c, questions));
            if (rule.asks() && GROUPS.stream().noneMatch(g -> g.id().equals(rule.group()))) {
                throw new KnowledgeFault("safety.yaml", 0, "the row \"%s\" has no group".formatted(rule.id()));
            }
            if (!rule.whom().isEmpty() && rule.note().isEmpty()) {
                throw new KnowledgeFault("safety.yaml", 0, "the referral \"%s\" has no note".formatted(rule.id()));
            }
        }
        return rules;
    }

    private static void known(Rule rule, Condition c, Set<String> questions) {
        for (List<String> names : List.of(c.yes(), c.also(), c.no())) {
            for (String name : names) {
                if (!questions.contains(name)) {
                    throw new KnowledgeFault(
                            "safety.yaml",
                            0,
                            "the row \"%s\" waits for \"%s\", which nobody asks".formatted(rule.id(), name));
                }
            }
        }
    }

    private static NotAsked notAsked(Row row) {
        NotAsked waits = new NotAsked(out(row), row.because(row.text("because")));
        row.done();
        return waits;
    }

    private static Ban.Out out(Row row) {
        Set<Tag> tags = EnumSet.noneOf(Tag.class);
        tags.addAll(row.several("ban-tags", Tag.class));
        Set<ActiveKind> actives = EnumSet.noneOf(ActiveKind.class);
        actives.addAll(row.several("ban-actives", ActiveKind.class));
        Set<StepKind> kinds = EnumSet.noneOf(StepKind.class);
        kinds.addAll(row.several("ban-kinds", StepKind.class));
        Set<StepKind> only = EnumSet.noneOf(StepKind.class);
        only.addAll(row.several("only-kinds", StepKind.class));
        Map<ActiveKind, Double> over = new EnumMap<>(ActiveKind.class);
        for (Row each : row.rows("ban-over")) {
            over.put(each.one("active", ActiveKind.class), each.number("over", 0, 100));
            each.done();
        }
        return new Ban.Out(
                tags,
                row.flag("leave-on"),
                actives,
                kinds,
                only,
                over,
                row.has("texture-over") ? row.number("texture-over", 1, 8) : Ban.Out.ANY_TEXTURE);
    }

    private static boolean seldom(Row row) {
        if (row.flag("seldom") && row.flag("must")) {
            throw row.fault("Everybody is asked this, so it cannot be folded away as seldom.");
        }
        return row.flag("seldom");
    }

    private static Rule read(Row row) {
        String label = row.text("label");
        return new Rule(
                new RuleId(row.text("id")),
                row.text("group", ""),
                label,
                row.text("question", ""),
                row.has("ask-if") ? Optional.of(Condition.read(row.row("ask-if"))) : Optional.empty(),
                row.flag("must"),
                row.flag("alone"),
                seldom(row),
                row.text("again", "").equals("visit"),
                row.flag("dated"),
                (int) row.number("days", 0),
                row.rows("when").stream().map(Condition::read).toList(),
                out(row),
                row.flag("beside"),
                row.has("spf") ? row.whole("spf", 15, 100) : 0,
                row.flag("hold-acids"),
                (int) row.number("barrier-size", 0),
                (int) row.number("barrier-window", 1),
                row.text("therapist", ""),
                row.text("client", ""),
                row.text("refer-to", ""),
                row.text("note", ""),
                row.text("release", "").equals("lasting"),
                row.because(row.text("because")));
    }
}
