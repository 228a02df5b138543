package outfell.changes;

import java.util.List;
import outfell.causes.Served;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.regimen.MonthCost;
import outfell.regimen.Regimen;
import outfell.routine.BareStep;

/**
 * One plan held against another.
 *
 * @param changes from the other plan to this
 * @param behind points that this earns less, at least 0
 * @param lost concerns that the other serves and this does not
 * @param month what this costs a month for what is still to be bought, where prices are known
 * @param monthOther what the other costs
 * @param because the whole in one sentence
 */
public record Compared(
        List<Change> changes, double behind, List<String> lost, double month, double monthOther, Because because) {
    /** The plan as it stands against the one that is computed without anything by hand. */
    static Compared withComputed(Consultation consultation, Changes.Held held) {
        Regimen computed = held.from().regimen();
        Regimen hers = held.to().regimen();
        double behind = behind(computed, hers);
        List<String> lost = lost(computed, hers);
        String points = behind == 0
                ? "Nothing is lost against the computed plan"
                : "The computed plan earns %.0f points more".formatted(Math.max(1, behind));
        return new Compared(
                held.changes(),
                behind,
                lost,
                MonthCost.toBuy(consultation, hers.steps().map(BareStep::of).toList()),
                MonthCost.toBuy(consultation, computed.steps().map(BareStep::of).toList()),
                Because.house("%s; %s.".formatted(points, leaves(lost))));
    }

    private static double behind(Regimen other, Regimen mine) {
        return Math.max(0, Math.round((other.points() - mine.points()) * 10) / 10.0);
    }

    private static List<String> lost(Regimen other, Regimen mine) {
        return other.served().stream()
                .filter(s -> !s.by().isEmpty())
                .map(Served::concern)
                .filter(c -> mine.served().stream().anyMatch(s -> s.concern().equals(c) && s.by().isEmpty()))
                .toList();
    }

    private static String leaves(List<String> lost) {
        return lost.isEmpty()
                ? "every concern that was served still is"
                : "nothing is done any more for %s".formatted(String.join(", ", lost));
    }
}
