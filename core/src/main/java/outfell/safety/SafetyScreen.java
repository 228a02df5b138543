package outfell.safety;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.lang3.StringUtils;
import outfell.knowledge.Because;
import outfell.knowledge.RuleId;
import outfell.product.Product;
import outfell.safety.Answers.Answer;
import outfell.safety.SafetyVerdict.AskBack;
import outfell.safety.SafetyVerdict.Caution;
import outfell.safety.SafetyVerdict.Question;
import outfell.safety.SafetyVerdict.Referral;
import outfell.safety.SafetyVerdict.Stale;
import outfell.skin.RecentEvent;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict;

/** Runs the rows of safety.yaml over answers and reading. */
public final class SafetyScreen {
    /** A heading under which questions are asked. */
    public record Group(String id, String label) {}

    private static final String YEAR_OF_BIRTH = "year of birth";

    private SafetyScreen() {}

    public static List<Group> groups() {
        return Rule.GROUPS.stream().map(g -> new Group(g.id(), g.label())).toList();
    }

    /** Ids of every question, asked or not. */
    public static Set<String> questions() {
        return Rule.ALL.stream().filter(Rule::asks).map(Rule::asked).collect(Collectors.toUnmodifiableSet());
    }

    /** Ids of the questions of one group, in order. */
    public static List<String> questions(String group) {
        return Rule.ALL.stream()
                .filter(r -> r.asks() && r.group().equals(group))
                .map(Rule::asked)
                .toList();
    }

    /** Whether a referral, once settled, stays settled at later visits. */
    public static boolean staysSettled(RuleId referral) {
        return Rule.ALL.stream().anyMatch(r -> r.id().equals(referral) && r.lasting());
    }

    /** Whether what happened on a day no longer matters on another: its wait and its weight on the barrier are over. */
    public static boolean hasRunOut(String question, LocalDate on, LocalDate today) {
        return Rule.ALL.stream()
                .filter(r -> r.asked().equals(question) && r.dated())
                .anyMatch(r -> !today.isBefore(on.plusDays(Math.max(r.days(), r.barrierWindow()))));
    }

    /** Whether a question is asked by itself, never with others by one tap. */
    public static boolean askedAlone(String question) {
        return Rule.ALL.stream().anyMatch(r -> r.asked().equals(question) && r.alone());
    }

    public static boolean refers(RuleId referral) {
        return Rule.ALL.stream()
                .anyMatch(r -> r.id().equals(referral) && !r.whom().isEmpty());
    }

    /** What lately thinned the barrier, of what was answered yes. */
    public static List<RecentEvent> events(Answers answers) {
        return Rule.ALL.stream()
                .filter(r -> r.barrierSize() > 0)
                .flatMap(r -> answers.to(r.asked()).stream().filter(Answer::yes).map(a -> event(r, a, answers)))
                .toList();
    }

    private static RecentEvent event(Rule rule, Answer answer, Answers answers) {
        long days = rule.dated()
                ? java.time.temporal.ChronoUnit.DAYS.between(answer.on().orElse(answer.asked()), answers.today())
                : 0;
        return new RecentEvent(rule.label(), rule.barrierSize(), rule.barrierWindow(), (int) days);
    }

    /** @param shelf what stands at home: what it holds may itself be for a doctor */
    public static SafetyVerdict screen(Answers answers, SkinReading reading, SkinVerdict skin, List<Product> shelf) {
        Condition.Facts facts = new Condition.Facts(answers, reading, skin, shelf);
        List<Ban> bans = new ArrayList<>();
        List<Caution> cautions = new ArrayList<>();
        List<Referral> referrals = new ArrayList<>();
        for (Rule rule : Rule.ALL) {
            if (rule.applies(facts)) {
                if (rule.bans()) {
                    bans.add(Ban.of(rule, answers));
                }
                if (!rule.whom().isEmpty()) {
                    referrals.add(referral(rule, answers));
                }
                if (!rule.therapist().isEmpty() || !rule.client().isEmpty()) {
                    cautions.add(caution(rule, answers));
                }
            }
        }
        List<Allergies.Meant> said = answers.otherAllergies().stream()
                .map(w -> Allergies.of(w, answers))
                .toList();
        said.forEach(m -> bans.add(Ban.allergy(m)));
        answers.medicines().forEach(word -> cautions.add(medicine(word, answers.today())));
        List<Question> questions = asked(facts);
        List<String> unasked = unasked(questions, answers);
        List<String> waitsFor = waitsFor(questions, unasked);
        if (!waitsFor.isEmpty()) {
            bans.add(Ban.notAsked(waitsFor));
        }
        return new SafetyVerdict(
                bans,
                cautions,
                referrals,
                questions,
                stale(questions),
                said.stream().flatMap(SafetyScreen::meant).toList(),
                unasked,
                sun(facts));
    }

    private static Stream<AskBack> meant(Allergies.Meant meant) {
        return meant.asks().stream().map(q -> new AskBack(meant.word(), q, label(q)));
    }

    private static Caution caution(Rule rule, Answers answers) {
        Because because = rule.bans() && rule.until(answers).isPresent()
                ? Ban.of(rule, answers).because()
                : rule.because();
        String client = rule.client()
                .replace("{until}", rule.until(answers).map(Ban::day).orElse("it has healed"));
        return new Caution(rule.label(), rule.therapist(), client, because);
    }

    private static Referral referral(Rule rule, Answers answers) {
        Optional<Answers.Settled> settled = answers.settled().stream()
                .filter(s -> s.referral().equals(rule.id()))
                .filter(s -> rule.lasting()
                        || rule.told(answers).filter(s.on()::isBefore).isEmpty())
                .findFirst();
        return new Referral(rule.id(), rule.label(), rule.whom(), rule.note(), settled, rule.because());
    }

    private static Caution medicine(String word, LocalDate today) {
        List<Because> matches =
                Medicines.of(word, today).stream().map(Medicines.Match::because).toList();
        String unknown =
                "\"%s\" is not in the table, or is taken in a way or so long ago that it does not count: ask the pharmacist whether it changes how skin bears sun or rubbing."
                        .formatted(word);
        String said = matches.isEmpty()
                ? unknown
                : matches.stream().map(Because::sentence).distinct().collect(Collectors.joining(" "))
                        + " A match by text: ask the client.";
        Because because =
                matches.isEmpty() ? Because.house(said) : matches.getFirst().withSentence(said);
        return new Caution("medicine: " + word, said, "", because);
    }

    private static List<Question> asked(Condition.Facts facts) {
        return Rule.ALL.stream()
                .filter(r -> r.asks()
                        && (r.askIf().map(c -> c.holds(facts)).orElse(true)
                                || facts.answers().isYes(r.asked())))
                .map(r -> {
                    Optional<Answer> answer = facts.answers().to(r.asked());
                    boolean stale = r.eachVisit()
                            && answer.map(a ->
                                            a.asked().isBefore(facts.answers().today()))
                                    .orElse(false);
                    return new Question(
                            r.asked(),
                            r.group(),
                            r.question(),
                            r.dated(),
                            r.must(),
                            r.alone(),
                            r.seldom(),
                            answer,
                            stale);
                })
                .toList();
    }

    private static List<Stale> stale(List<Question> questions) {
        return questions.stream()
                .filter(Question::stale)
                .map(q -> new Stale(
                        q.id(),
                        label(q.id()),
                        q.must(),
                        q.answer().orElseThrow().asked()))
                .toList();
    }

    private static List<String> unasked(List<Question> questions, Answers answers) {
        return Stream.concat(
                        answers.age().isEmpty() ? Stream.of(YEAR_OF_BIRTH) : Stream.empty(),
                        questions.stream()
                                .filter(q -> q.must() && q.answer().isEmpty())
                                .map(q -> label(q.id())))
                .toList();
    }

    /** What nobody has asked, or not today: an answer of an earlier visit says nothing of this one. */
    private static List<String> waitsFor(List<Question> questions, List<String> unasked) {
        return Stream.concat(
                        unasked.stream(),
                        questions.stream().filter(q -> q.must() && q.stale()).map(q -> label(q.id())))
                .toList();
    }

    /** What the rows that apply ask of the sunscreen and of new acids. */
    private static SafetyVerdict.Sun sun(Condition.Facts facts) {
        List<Rule> rules = Rule.ALL.stream().filter(r -> r.applies(facts)).toList();
        return new SafetyVerdict.Sun(
                rules.stream()
                        .filter(r -> r.spf() > 0)
                        .max(Comparator.comparingInt(Rule::spf))
                        .map(r -> new SafetyVerdict.Protection(
                                r.spf(),
                                r.because()
                                        .withSentence("%s: SPF %d at least, strong in UVA, all year."
                                                .formatted(StringUtils.capitalize(r.label()), r.spf())))),
                rules.stream()
                        .filter(Rule::holdsAcids)
                        .findFirst()
                        .map(r -> r.because()
                                .withSentence("%s: no acid is begun.".formatted(StringUtils.capitalize(r.label())))));
    }

    private static String label(String id) {
        return Rule.ALL.stream()
                .filter(r -> r.asked().equals(id))
                .map(Rule::label)
                .findFirst()
                .orElse(id);
    }
}
