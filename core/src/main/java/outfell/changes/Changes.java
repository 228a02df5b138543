package outfell.changes;

import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.lang3.StringUtils;
import outfell.causes.Cause;
import outfell.consultation.Consultation;
import outfell.consultation.Life.Matter;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.regimen.Bare;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.regimen.Read;
import outfell.regimen.Regimen;

/** What becomes of a plan when something is otherwise, and what did it. */
public final class Changes {
    private static final int WEEKS_A_YEAR = 52;
    private static final int MONTHS_A_YEAR = 12;

    private Changes() {}

    /** Two plans, and each difference from the first to the second with what did it. */
    public record Held(Outcome.Planned from, Outcome.Planned to, List<Change> changes) {}

    /**
     * @param because facts whose taking back takes the effect back; none where nothing does
     * @param limit that, let out, does the same
     */
    record Traced(Effect effect, List<Fact> because, Optional<Matter> limit) {}

    /** @return nothing when one of the two leads to no plan */
    public static Optional<Held> between(Consultation from, Consultation to) {
        return between(from, to, Airs.OF_MONTHS);
    }

    /** The same, each in an air that is not that of its month. */
    public static Optional<Held> between(Consultation from, Consultation to, Airs airs) {
        Read read = Planner.read(to);
        return Planner.plan(from, airs.from()) instanceof Outcome.Planned was
                        && read.plan(airs.to()) instanceof Outcome.Planned is
                ? Optional.of(new Held(was, is, between(from, was, to, read, is, airs)))
                : Optional.empty();
    }

    /**
     * From one plan to another that are already made.
     *
     * @param read the second, as it was read to be planned
     */
    public static List<Change> between(
            Consultation from, Outcome.Planned was, Consultation to, Read read, Outcome.Planned is, Airs airs) {
        return traced(from, was, to, read, is, airs).stream()
                .map(t -> said(t, to))
                .toList();
    }

    /**
     * Of changes that none of the facts has made: made by use, or by the money that a later month may cost more.
     *
     * @param was the plan before
     * @param withinBudget the later plan without that money
     */
    public static List<Change> ripened(List<Change> all, Regimen was, Regimen withinBudget) {
        List<Effect> still = Effect.between(was, withinBudget);
        return all.stream()
                .map(c -> {
                    boolean money = still.stream()
                            .noneMatch(e -> e.part() == c.part()
                                    && e.what() == c.what()
                                    && e.products().equals(c.products()));
                    return new Change(
                            c.part(),
                            c.kind(),
                            c.what(),
                            c.from(),
                            c.to(),
                            c.products(),
                            money ? Cause.MONEY : Cause.TIME,
                            List.of(money ? MORE_MONEY : BY_USE),
                            Optional.empty());
                })
                .toList();
    }

    private static final Because BY_USE = Because.house("By then the skin has got used to what stands.");
    private static final Because MORE_MONEY =
            Because.house("A month of the year may cost a little over the limit: the cheap ones make up for it.");

    static List<Traced> traced(
            Consultation from, Outcome.Planned was, Consultation to, Read read, Outcome.Planned is, Airs airs) {
        List<Effect> effects = Effect.between(was.regimen(), is.regimen());
        if (effects.isEmpty()) {
            return List.of();
        }
        Trials trials = new Trials(
                new Case(to, from, airs, Set.of()), read, Bare.of(is.regimen()), Facts.between(from, to, is, airs));
        List<Traced> all = new ArrayList<>();
        for (Effect effect : effects) {
            List<Fact> because = trials.least(effect);
            all.add(new Traced(effect, because, limit(trials, effect, because)));
        }
        return all;
    }

    /** The client's own limit that stands in the way since then; none where a limit is what changed. */
    private static Optional<Matter> limit(Trials trials, Effect effect, List<Fact> because) {
        boolean limits = because.stream()
                .anyMatch(f -> f.cause() == Cause.MONEY || f.cause() == Cause.MINUTES || f.cause() == Cause.STEPS);
        return limits ? Optional.empty() : trials.limit(effect);
    }

    private static Change said(Traced traced, Consultation to) {
        Effect effect = traced.effect();
        return new Change(
                effect.part(),
                effect.kind(),
                effect.what(),
                effect.from(),
                effect.to(),
                effect.products(),
                cause(traced),
                traced.because().stream().map(Fact::because).toList(),
                traced.limit().map(l -> Because.house(words(l, effect.what(), to))));
    }

    private static Cause cause(Traced traced) {
        return traced.limit()
                .map(l -> switch (l) {
                    case MONEY -> Cause.MONEY;
                    case STEPS -> Cause.STEPS;
                    default -> Cause.MINUTES;
                })
                .orElseGet(() -> traced.because().isEmpty()
                        ? Cause.CHOICE
                        : traced.because().getFirst().cause());
    }

    /** Of what left, that the limit holds it no longer; of anything else, that it would not be so. */
    private static String words(Matter limit, Change.What what, Consultation to) {
        String words = switch (limit) {
            case MONEY ->
                "the budget of %s".formatted(to.house().money(to.life().budget().orElse(0)));
            case MORNING_MINUTES ->
                "the morning of %d minutes".formatted(to.life().morningMinutes());
            case EVENING_MINUTES ->
                "the evening of %d minutes".formatted(to.life().eveningMinutes());
            default -> "the limit of %d steps".formatted(to.life().mostSteps());
        };
        return switch (what) {
            case TAKEN_OUT, REPLACED -> "%s no longer holds it.".formatted(StringUtils.capitalize(words));
            case PUT_IN, OTHER_NIGHTS, OTHER_AMOUNT, OTHER_BESIDE, MOVED ->
                "Without %s it would not be so.".formatted(words);
        };
    }

    /**
     * The consultation as another month finds it: what stands now is used until then. In its own month it is as it is.
     *
     * @return nothing when the consultation leads to no plan that could be used until then
     */
    public static Optional<Consultation> in(Consultation consultation, Month other) {
        if (other == consultation.month()) {
            return Optional.of(consultation);
        }
        int months = Math.floorMod(other.getValue() - consultation.month().getValue(), MONTHS_A_YEAR);
        return Planner.read(consultation)
                .bare(Consultation::ask)
                .map(base -> consultation
                        .in(other)
                        .keeping(new Consultation.Standing(base.choices(), months * WEEKS_A_YEAR / MONTHS_A_YEAR)));
    }

    /** What another month changes in the consultation's plan. */
    public static Optional<Held> turned(Consultation consultation, Month other) {
        return in(consultation, other).flatMap(then -> between(consultation, then));
    }

    /** What the consultation's method changes in the plan of another. */
    public static Optional<Held> instead(Consultation consultation, Method from) {
        return between(consultation.by(from), consultation);
    }

    /** What the practice's own rules change in a plan by those that ship; nothing where it has none. */
    public static Optional<Held> ofThePractice(Consultation consultation) {
        Consultation.House shipped = consultation.house().asShipped();
        return consultation.house().equals(shipped)
                ? Optional.empty()
                : between(consultation.parts().house(shipped).together(), consultation);
    }

    /** The consultation's plan against the same without anything by hand; nothing when there is no plan. */
    public static Optional<Compared> withComputed(Consultation consultation) {
        return between(consultation.by(Consultation.ByHand.NOTHING), consultation)
                .map(held -> Compared.withComputed(consultation, held));
    }
}
