package outfell.server.visit;

import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Service;
import outfell.regimen.Planner;
import outfell.regimen.Weeks;
import outfell.routine.Routine;
import outfell.server.problem.Problem;

/** The plan of a visit in time. */
@Service
public class VisitWeeks {
    /** One evening of a plan: what is on it and why, and how it is done. */
    public record DatedEvening(Weeks.Evening evening, Routine routine) {}

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.UK);

    private final Visits visits;
    private final VisitCases cases;
    private final Clock clock;

    VisitWeeks(Visits visits, VisitCases cases, Clock clock) {
        this.visits = visits;
        this.cases = cases;
        this.clock = clock;
    }

    /** As it stands today. */
    public Weeks weeks(UUID id) {
        return Planner.weeks(cases.of(visits.find(id)), LocalDate.now(clock))
                .orElseThrow(() ->
                        Problem.refused("refer-first", "There are no nights to lay until the referral is settled."));
    }

    /**
     * One evening of it, as it stands today.
     *
     * @throws Problem when the plan does not reach to that day
     */
    public DatedEvening evening(UUID id, LocalDate day) {
        Weeks weeks = weeks(id);
        Weeks.Evening evening = weeks.on(day)
                .orElseThrow(() -> Problem.field(
                        "/date",
                        "The evenings of this plan run from %s to %s."
                                .formatted(DAY.format(weeks.from()), DAY.format(weeks.until()))));
        return new DatedEvening(evening, weeks.routine(evening));
    }
}
