package outfell.changes;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.apache.commons.lang3.StringUtils;
import outfell.causes.Cause;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.regimen.Outcome;
import outfell.safety.Answers;
import outfell.safety.Answers.Answer;

/** In what two screens differ: answer by answer, medicine by medicine, word by word. */
final class SafetyFacts {
    private final Answers was;
    private final Answers is;
    private final Outcome planned;
    private final List<Fact> all;

    SafetyFacts(Consultation from, Consultation to, Outcome planned, List<Fact> all) {
        this.was = from.answers();
        this.is = to.answers();
        this.planned = planned;
        this.all = all;
    }

    void find() {
        Set<String> questions = new LinkedHashSet<>();
        is.given().forEach(a -> questions.add(a.question()));
        was.given().forEach(a -> questions.add(a.question()));
        for (String question : questions) {
            Optional<Answer> before = to(was, question);
            Optional<Answer> now = to(is, question);
            if (!before.equals(now)) {
                add(
                        "answer " + question,
                        "%s: %s; before, %s.".formatted(text(question), said(now), said(before)),
                        a -> answers(a, Facts.restored(a.given(), now, before), a.medicines(), a.otherAllergies()));
            }
        }
        words("Medicine", Answers::medicines, (a, l) -> answers(a, a.given(), l, a.otherAllergies()));
        words(
                "Allergy in the client’s own words",
                Answers::otherAllergies,
                (a, l) -> answers(a, a.given(), a.medicines(), l));
        if (!was.today().equals(is.today())
                || !was.age().equals(is.age())
                || !was.settled().equals(is.settled())) {
            add(
                    "screen",
                    "The screen is of another day, age or release.",
                    a -> new Answers(
                            was.today(), a.given(), was.age(), a.medicines(), a.otherAllergies(), was.settled()));
        }
    }

    private interface Putting {
        Answers into(Answers answers, List<String> words);
    }

    private void words(String what, Function<Answers, List<String>> of, Putting into) {
        Set<String> words = new LinkedHashSet<>(of.apply(is));
        words.addAll(of.apply(was));
        for (String word : words) {
            Optional<String> before = Optional.of(word).filter(of.apply(was)::contains);
            Optional<String> now = Optional.of(word).filter(of.apply(is)::contains);
            if (!before.equals(now)) {
                add(
                        what + " " + word,
                        "%s: %s%s.".formatted(what, word, now.isPresent() ? "" : " no longer"),
                        a -> into.into(a, Facts.restored(of.apply(a), now, before)));
            }
        }
    }

    private void add(String id, String sentence, UnaryOperator<Answers> back) {
        all.add(new Fact(
                id,
                Cause.SAFETY,
                Because.custom(sentence),
                Facts.part(p -> p.answers(back.apply(p.together().answers())))));
    }

    private static Answers answers(Answers a, List<Answer> given, List<String> medicines, List<String> allergies) {
        return new Answers(a.today(), given, a.age(), medicines, allergies, a.settled());
    }

    private static Optional<Answer> to(Answers answers, String question) {
        return answers.given().stream()
                .filter(a -> a.question().equals(question))
                .findFirst();
    }

    private String text(String question) {
        return planned.safety().questions().stream()
                .filter(q -> q.id().equals(question))
                .map(q -> StringUtils.stripEnd(q.text(), "?:. "))
                .findFirst()
                .orElse(question.replace('-', ' '));
    }

    private static String said(Optional<Answer> answer) {
        return answer.map(a -> a.yes() ? "yes" : "no").orElse("not asked");
    }
}
