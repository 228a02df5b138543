package outfell.causes;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import outfell.aims.Candidate;
import outfell.aims.Posed;
import outfell.aims.Scarcity;
import outfell.consultation.Consultation;

/** Which limit keeps something out of a plan: the one that, let out by itself, lets it in; else the two that do together. */
final class HoldsBack {
    /** The client's own limits first: those can be talked about. */
    private static final List<Scarcity> ORDER = List.of(
            Scarcity.MONEY,
            Scarcity.EVENING_MINUTES,
            Scarcity.MORNING_MINUTES,
            Scarcity.EVENING_STEPS,
            Scarcity.MORNING_STEPS,
            Scarcity.NEWCOMERS,
            Scarcity.BEGINNERS,
            Scarcity.STRONG,
            Scarcity.EXFOLIATIONS,
            Scarcity.NIGHTS,
            Scarcity.LOAD);

    private final Consultation consultation;
    private final Posed posed;

    /**
     * @param name of what comes in
     * @param cause of what kind the limit is
     * @param words what holds it back
     */
    record Held(String name, Cause cause, String words) {}

    HoldsBack(Consultation consultation, Posed posed) {
        this.consultation = consultation;
        this.posed = posed;
    }

    /**
     * @param chosen as it stands
     * @param missing candidates any of which would do: only limits that one of them would pass are let out
     * @param comesIn the name of what was missing, where another choice has it
     */
    Optional<Held> heldBack(
            List<Optional<Candidate>> chosen,
            Predicate<Candidate> missing,
            Function<Posed.Found, Optional<String>> comesIn) {
        List<Scarcity> passed =
                ORDER.stream().filter(posed.passed(chosen, missing)::contains).toList();
        for (Scarcity limit : passed) {
            Optional<String> name = comesIn.apply(out(limit).forAReason());
            if (name.isPresent()) {
                return Optional.of(new Held(name.get(), cause(limit), words(limit)));
            }
        }
        return together(passed, comesIn);
    }

    /** Two limits of which neither by itself lets it in. */
    private Optional<Held> together(List<Scarcity> passed, Function<Posed.Found, Optional<String>> comesIn) {
        for (int i = 0; i < passed.size(); i++) {
            for (int j = i + 1; j < passed.size(); j++) {
                Scarcity first = passed.get(i);
                Scarcity second = passed.get(j);
                Optional<String> name = comesIn.apply(
                        out(first).with(second, Double.POSITIVE_INFINITY).forAReason());
                if (name.isPresent()) {
                    String both = cause(first) == Cause.STEPS && cause(second) == Cause.STEPS
                            ? "%s, morning and evening".formatted(words(first))
                            : "%s; without that, %s".formatted(words(first), words(second));
                    return Optional.of(new Held(name.get(), cause(first), both));
                }
            }
        }
        return Optional.empty();
    }

    private Posed out(Scarcity limit) {
        return posed.with(limit, Double.POSITIVE_INFINITY);
    }

    private static Cause cause(Scarcity limit) {
        return switch (limit) {
            case MONEY -> Cause.MONEY;
            case MORNING_MINUTES, EVENING_MINUTES -> Cause.MINUTES;
            case MORNING_STEPS, EVENING_STEPS -> Cause.STEPS;
            case NEWCOMERS, BEGINNERS -> Cause.SAFETY;
            case STRONG, EXFOLIATIONS -> Cause.METHOD;
            case NIGHTS, LOAD -> Cause.NIGHTS;
        };
    }

    private String words(Scarcity limit) {
        return switch (limit) {
            case MONEY ->
                "the budget of %s a month holds it back"
                        .formatted(consultation
                                .house()
                                .money(consultation.life().budget().orElse(0)));
            case MORNING_MINUTES ->
                "the morning’s %d minutes hold it back"
                        .formatted(consultation.life().morningMinutes());
            case EVENING_MINUTES ->
                "the evening’s %d minutes hold it back"
                        .formatted(consultation.life().eveningMinutes());
            case MORNING_STEPS, EVENING_STEPS -> steps();
            case NEWCOMERS -> newcomers(consultation.house().yardstick().newcomers());
            case BEGINNERS -> "one new strong thing at a time, so that a reaction has one suspect";
            case STRONG ->
                "%s has %d strong active%s"
                        .formatted(
                                consultation.method().name(),
                                consultation.method().strongActives(),
                                consultation.method().strongActives() == 1 ? "" : "s");
            case EXFOLIATIONS ->
                exfoliations((int) posed.problem()
                        .limits()
                        .get(Scarcity.EXFOLIATIONS.ordinal())
                        .most());
            case NIGHTS, LOAD -> "this skin bears no more strong work in a week";
        };
    }

    private static String newcomers(int atOnce) {
        return atOnce == 1
                ? "one new thing with an active is enough at once, so that a reaction has one suspect"
                : "%d new things with an active are enough at once, so that a reaction has few suspects"
                        .formatted(atOnce);
    }

    private static String exfoliations(int aWeek) {
        return aWeek == 1
                ? "the method’s one exfoliation a week is used up"
                : "the method’s %d exfoliations a week are used up".formatted(aWeek);
    }

    private String steps() {
        int hers = consultation.life().mostSteps();
        int method = consultation.method().mostSteps();
        return hers <= method
                ? "the limit of %d steps holds it back".formatted(hers)
                : "%s ends at %d steps".formatted(consultation.method().name(), method);
    }
}
