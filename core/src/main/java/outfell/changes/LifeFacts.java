package outfell.changes;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import outfell.causes.Cause;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Life.Matter;
import outfell.knowledge.Because;
import outfell.skin.Concern;

/** In what two lives differ: time, steps, money, wishes, the day. */
final class LifeFacts {
    private final Consultation from;
    private final Consultation to;
    private final List<Fact> all;

    LifeFacts(Consultation from, Consultation to, List<Fact> all) {
        this.from = from;
        this.to = to;
        this.all = all;
    }

    void find() {
        Life was = from.life();
        Life is = to.life();
        for (Matter matter : Matter.values()) {
            if (!is.as(was, matter).equals(is)) {
                all.add(new Fact(
                        "life " + matter,
                        cause(matter),
                        Because.custom(words(matter, was, is)),
                        c -> c.with(
                                c.consultation().living(c.consultation().life().as(was, matter)))));
            }
        }
        for (Concern concern : Concern.values()) {
            boolean before = from.lifted().contains(concern);
            if (before != to.lifted().contains(concern)) {
                all.add(new Fact(
                        "matters " + concern,
                        Cause.DAY,
                        Because.custom("What matters to the client: %s%s."
                                .formatted(concern.words(), before ? " no longer" : "")),
                        Facts.part(p -> p.lifted(lifted(p.together(), concern, before)))));
            }
        }
    }

    private static Set<Concern> lifted(Consultation c, Concern concern, boolean before) {
        Set<Concern> lifted = EnumSet.of(concern);
        lifted.addAll(c.lifted());
        if (!before) {
            lifted.remove(concern);
        }
        return lifted;
    }

    private static Cause cause(Matter matter) {
        return switch (matter) {
            case MONEY -> Cause.MONEY;
            case MORNING_MINUTES, EVENING_MINUTES -> Cause.MINUTES;
            case STEPS -> Cause.STEPS;
            case SCENT, ANIMAL, OILS -> Cause.TASTE;
            case OUTDOORS, MAKE_UP, SUNSCREEN, PLACES -> Cause.DAY;
        };
    }

    private String words(Matter matter, Life was, Life is) {
        return switch (matter) {
            case MONEY -> "%s; before, %s.".formatted(budget(is), money(was.budget()));
            case MORNING_MINUTES ->
                "The morning has %d minutes; it had %d.".formatted(is.morningMinutes(), was.morningMinutes());
            case EVENING_MINUTES ->
                "The evening has %d minutes; it had %d.".formatted(is.eveningMinutes(), was.eveningMinutes());
            case STEPS -> "%d steps are borne at a time; it was %d.".formatted(is.mostSteps(), was.mostSteps());
            case SCENT -> taste("Scent", was.scent(), is.scent());
            case ANIMAL -> taste("What comes from animals", was.animal(), is.animal());
            case OILS -> taste("Oil on the face", was.oils(), is.oils());
            case OUTDOORS ->
                is.outdoorHours() == was.outdoorHours()
                        ? "The hours outdoors differ by month otherwise than before."
                        : "%s hours of the day are spent outdoors; it was %s.".formatted(hours(is), hours(was));
            case MAKE_UP -> "Now %s; before, %s.".formatted(makeUp(is), makeUp(was));
            case SUNSCREEN ->
                "A sunscreen is worn on %d days a week; it was %d.".formatted(is.sunscreenDays(), was.sunscreenDays());
            case PLACES -> "The day is spent in other air than before, or for other hours.";
        };
    }

    private String budget(Life life) {
        return life.budget().isPresent()
                ? "The budget is %s a month"
                        .formatted(to.house().money(life.budget().getAsDouble()))
                : "Money has no limit";
    }

    private String money(OptionalDouble budget) {
        return budget.isPresent() ? "it was %s".formatted(from.house().money(budget.getAsDouble())) : "it had none";
    }

    private static String taste(String what, Life.Taste was, Life.Taste is) {
        return "%s: %s; it was %s.".formatted(what, words(is), words(was));
    }

    private static String words(Life.Taste taste) {
        return switch (taste) {
            case ANY -> "welcome";
            case RATHER_NOT -> "rather not";
            case NEVER -> "never";
        };
    }

    private static String hours(Life life) {
        double hours = life.outdoorHours();
        return hours == Math.rint(hours) ? "%.0f".formatted(hours) : String.format(Locale.ROOT, "%.1f", hours);
    }

    private static String makeUp(Life life) {
        return life.makeUpDays() == 0
                ? "no make-up"
                : "%s make-up on %d days a week".formatted(life.fullMakeUp() ? "full" : "light", life.makeUpDays());
    }
}
