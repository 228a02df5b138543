package outfell.safety;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import outfell.knowledge.RuleId;

/**
 * What the client answers to the screen.
 *
 * @param today the day of the visit: answers grow stale and waits run out against it
 * @param given at most one to a question
 * @param age in years, 0 to 120
 * @param medicines in her own words; matched against medicines.yaml as text
 * @param otherAllergies in her own words; matched against labels as text, and said to be a guess
 * @param settled referrals that somebody has settled
 */
public record Answers(
        LocalDate today,
        List<Answer> given,
        OptionalInt age,
        List<String> medicines,
        List<String> otherAllergies,
        List<Settled> settled) {
    /**
     * @param question id of a row of safety.yaml
     * @param on the day it happened, for a dated question; not after the day it was asked
     * @param asked the day on which it was answered
     */
    public record Answer(String question, boolean yes, Optional<LocalDate> on, LocalDate asked) {
        public Answer {
            if (on.isPresent() && on.get().isAfter(asked)) {
                throw new IllegalArgumentException(
                        "%s lies ahead of the day it was asked, %s; was the year mistyped?".formatted(on.get(), asked));
            }
        }
    }

    /**
     * A referral released.
     *
     * @param referral id of a row of safety.yaml
     * @param who settled it
     * @param on the day it was settled
     * @param remark what was said; may be empty
     */
    public record Settled(RuleId referral, String who, LocalDate on, String remark) {
        public Settled {
            if (who.isBlank()) {
                throw new IllegalArgumentException("A referral is released by somebody: say who settled it.");
            }
        }
    }

    public Answers {
        given = List.copyOf(given);
        medicines = stripped(medicines);
        otherAllergies = stripped(otherAllergies);
        settled = List.copyOf(settled);
        for (Answer a : given) {
            if (a.asked().isAfter(today)) {
                throw new IllegalArgumentException("The answer to %s was given on %s, after the visit of %s."
                        .formatted(a.question(), a.asked(), today));
            }
        }
        for (Settled s : settled) {
            if (s.on().isAfter(today)) {
                throw new IllegalArgumentException(
                        "%s cannot have settled it on %s, after the visit of %s.".formatted(s.who(), s.on(), today));
            }
        }
    }

    /** Nothing asked. */
    public static Answers none(LocalDate today) {
        return new Answers(today, List.of(), OptionalInt.empty(), List.of(), List.of(), List.of());
    }

    /** These with one more question answered yes, today. */
    public Answers yes(String question) {
        return with(new Answer(question, true, Optional.empty(), today));
    }

    /** These with one more answer in place of an earlier one to the same question. */
    public Answers with(Answer answer) {
        List<Answer> all = new java.util.ArrayList<>(given);
        all.removeIf(a -> a.question().equals(answer.question()));
        all.add(answer);
        return new Answers(today, all, age, medicines, otherAllergies, settled);
    }

    Optional<Answer> to(String question) {
        return given.stream().filter(a -> a.question().equals(question)).findFirst();
    }

    /** Whether a question was answered yes. */
    public boolean isYes(String question) {
        return to(question).filter(Answer::yes).isPresent();
    }

    private static List<String> stripped(List<String> words) {
        return words.stream().map(String::strip).filter(s -> !s.isEmpty()).toList();
    }
}
