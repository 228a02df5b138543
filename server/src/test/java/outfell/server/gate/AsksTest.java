package outfell.server.gate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.Month;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Patience;
import outfell.method.Methods;
import outfell.product.StarterCatalogue;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.safety.Answers;
import outfell.skin.History;
import outfell.skin.ProbeConditions;
import outfell.skin.SkinReading;
import outfell.week.Diary;

/** A question that is being worked out can be given up by whoever asked it, and by nobody else. */
class AsksTest {
    private static final String NAME = "0f8b2c1e-0000-4000-8000-000000000001";
    private final Asks asks = new Asks();

    @Test
    void a_plan_is_given_up_by_the_name_it_was_asked_under() {
        assertThatThrownBy(() -> planned(NAME, () -> asks.giveUp(NAME))).isInstanceOf(Patience.Over.class);
    }

    @Test
    void another_name_or_one_of_before_gives_nothing_up() throws Exception {
        asks.giveUp(NAME);
        assertThat(planned(NAME, () -> asks.giveUp("0f8b2c1e-0000-4000-8000-000000000002")))
                .isInstanceOf(Outcome.Planned.class);
    }

    @Test
    void what_is_no_name_is_answered_and_cannot_be_given_up() throws Exception {
        assertThat(planned("not a name", () -> asks.giveUp("not a name"))).isInstanceOf(Outcome.Planned.class);
        assertThat(planned(null, () -> asks.giveUp(NAME))).isInstanceOf(Outcome.Planned.class);
    }

    /** Plans inside the gate, after something has happened. */
    private Outcome planned(@org.jspecify.annotations.Nullable String name, Runnable before) throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", "/api/visits/1/plan");
        request.addHeader("Host", "localhost");
        if (name != null) {
            request.addHeader("X-Ask", name);
        }
        Outcome[] planned = new Outcome[1];
        new Gate(asks).doFilter(request, new MockHttpServletResponse(), (_, _) -> {
            before.run();
            planned[0] = Planner.plan(consultation());
        });
        return planned[0];
    }

    private static Consultation consultation() {
        return new Consultation(
                new SkinReading(
                        List.of(), List.of(), ProbeConditions.UNSTATED, History.NONE, List.of(), List.of(), List.of()),
                Answers.none(LocalDate.of(2026, 11, 25)),
                Life.USUAL,
                Set.of(),
                List.of(),
                StarterCatalogue.products(),
                Methods.find("classic").orElseThrow(),
                Sites.all().getFirst(),
                Month.NOVEMBER,
                Consultation.ByHand.NOTHING,
                Consultation.Standing.NONE,
                List.of(),
                Consultation.House.SHIPPED,
                Diary.NONE);
    }
}
