package outfell.server.visit;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Month;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import outfell.consultation.Patience;
import outfell.server.plan.PlanAnswer;
import outfell.server.plan.VerdictView;
import outfell.server.visit.VisitStore.Visit;

/** What a save answers: the visit as it is on disk, and with it what the window that saved it shows of it. */
@Service
class AfterSave {
    private static final Logger LOG = LoggerFactory.getLogger(AfterSave.class);

    /**
     * A visit that was saved.
     *
     * @param visit as it is kept
     * @param verdict where no plan was asked for; absent when it cannot be told now
     * @param plan of the month that was asked for; absent when it cannot be told now
     */
    record Saved(
            Visit visit,
            @Schema(types = {"object", "null"}) @Nullable VerdictView verdict,
            @Schema(types = {"object", "null"}) @Nullable PlanAnswer plan) {}

    private final Visits visits;

    AfterSave(Visits visits) {
        this.visits = visits;
    }

    /** @param shown the month whose plan is in sight; absent where none is */
    Saved of(Visits.Kept kept, @Nullable Month shown) {
        return shown == null
                ? new Saved(kept.visit(), orNothing(() -> visits.verdict(kept.visit())), null)
                : new Saved(kept.visit(), null, orNothing(() -> visits.plan(kept, shown)));
    }

    /** What is saved is saved, whatever becomes of the rest: that is asked for by itself then, and says what is wrong. */
    private static <T> @Nullable T orNothing(Supplier<T> told) {
        try {
            return told.get();
        } catch (Patience.Over givenUp) {
            return null;
        } catch (RuntimeException fault) {
            LOG.warn(
                    "A visit was saved, and what follows from it could not be told with it: {}",
                    fault.getClass().getName());
            return null;
        }
    }
}
