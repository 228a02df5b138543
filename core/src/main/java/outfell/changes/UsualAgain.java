package outfell.changes;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.commons.lang3.StringUtils;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.skin.Lately;
import outfell.skin.Signs;
import outfell.skin.SkinReader;

/** What becomes of a plan that is made for these weeks, when the skin is again as it is as a rule. */
public final class UsualAgain {
    /**
     * @param usual the type as a rule, in words; empty where the client has no word for it
     * @param now the type as it was read
     * @param since when it is otherwise; absent where nobody knows
     * @param lookAgain the day on which it is looked at again
     * @param causes what is done about each cause
     * @param putDown the signs that are taken to go with them, in words
     * @param changes from the plan for now to the usual one; none where they are one, or where one of them is no plan
     * @param because what it comes to, in a sentence
     */
    public record UsualTold(
            String usual,
            String now,
            Optional<LocalDate> since,
            LocalDate lookAgain,
            List<CauseTold> causes,
            List<String> putDown,
            List<Change> changes,
            Because because) {}

    /** A cause and what is done about it. */
    public record CauseTold(String label, Because because) {}

    private UsualAgain() {}

    /** @param consultation of these weeks */
    public static UsualTold of(Consultation consultation, Lately lately) {
        Consultation usual = consultation
                .parts()
                .reading(lately.usual(consultation.reading()))
                .together();
        Optional<Changes.Held> held = Changes.between(consultation, usual);
        boolean hers = consultation.reading().history().says().isPresent();
        LocalDate again = consultation.answers().today().plusWeeks(lately.weeks());
        List<Change> changes = held.map(Changes.Held::changes).orElseGet(List::of);
        return new UsualTold(
                hers ? type(usual) : "",
                type(consultation),
                lately.since(),
                again,
                lately.causes().stream()
                        .map(c -> new CauseTold(c.label(), c.because()))
                        .toList(),
                lately.putDownTo(consultation.reading()).stream()
                        .map(sign -> Signs.of(sign).label())
                        .toList(),
                changes,
                Because.house(
                        sentence(held.isPresent(), hers || !lately.causes().isEmpty(), changes)));
    }

    private static String sentence(boolean plans, boolean known, List<Change> changes) {
        if (!known) {
            return "Nobody has said what the skin is as a rule, or by what it is otherwise: this plan stands until it is looked at again.";
        }
        if (!plans) {
            return "A doctor comes first: what is usual waits until then.";
        }
        return changes.isEmpty()
                ? "As a rule the plan would be the same: nothing changes when the skin is as usual again."
                : "This plan is for these weeks; when the skin is as usual again, it becomes the usual one.";
    }

    private static String type(Consultation c) {
        return SkinReader.read(c.reading(), c.lifted(), c.house().bands())
                .type()
                .words();
    }

    /** For the client's sheet, in a line; empty where nothing changes. */
    public static String forTheSheet(UsualTold told) {
        return StringUtils.capitalize(String.join("; ", InWords.of(told.changes())));
    }
}
