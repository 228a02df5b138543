package outfell.server.visit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import outfell.routine.Part;
import outfell.server.visit.KeptPlans.Difference;
import outfell.server.visit.KeptPlans.PlanDifference;

class ClientPageTest {
    private static final PlanDifference OTHER_NIGHT =
            new PlanDifference(Part.EVENING, Difference.OTHER_NIGHTS, "Tern serum: tuesday", "Tern serum: every day");
    private static final PlanDifference LATER =
            new PlanDifference(Part.MORNING, Difference.MOVED, "Slip cream", "Slip cream");

    @Test
    void products_that_came_and_went_are_named() {
        assertThat(ClientPage.came(List.of(
                        OTHER_NIGHT,
                        LATER,
                        new PlanDifference(Part.MORNING, Difference.TAKEN_OUT, "Kelp wash", ""),
                        new PlanDifference(Part.EVENING, Difference.REPLACED, "Dune oil", "Drift oil"))))
                .isEqualTo("Kelp wash out, Drift oil in");
    }

    @Test
    void one_that_came_in_both_routines_is_named_once_and_many_are_counted() {
        assertThat(ClientPage.came(List.of(
                        new PlanDifference(Part.MORNING, Difference.PUT_IN, "", "Slip cream"),
                        new PlanDifference(Part.EVENING, Difference.PUT_IN, "", "Slip cream"),
                        new PlanDifference(Part.EVENING, Difference.PUT_IN, "", "Tern serum"),
                        new PlanDifference(Part.EVENING, Difference.TAKEN_OUT, "Dune oil", ""))))
                .isEqualTo("Slip cream in, Tern serum in and 1 more");
    }

    @Test
    void another_night_or_order_is_no_product_that_came() {
        assertThat(ClientPage.came(List.of(OTHER_NIGHT, LATER))).isEqualTo("same products, used otherwise");
        assertThat(ClientPage.came(List.of())).isEqualTo("plan kept as before");
    }
}
