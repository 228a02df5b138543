package outfell.server.patch;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import outfell.safety.PatchTest;
import outfell.safety.PatchTest.Standing;
import outfell.server.patch.Patches.PatchView;
import outfell.server.patch.Patches.TestView;
import outfell.server.patch.Patches.WaiverView;

/** Which test of a product counts. */
class PatchesTest {
    private static final LocalDateTime FIRST = LocalDateTime.of(2026, 9, 1, 10, 0);
    private static final LocalDateTime AGAIN = LocalDateTime.of(2026, 10, 1, 10, 0);
    private static final TestView FAILED = test(FIRST, new PatchTest.Reading(24, 2));
    private static final TestView PASSED = test(AGAIN, new PatchTest.Reading(24, 0), new PatchTest.Reading(48, 0));
    private static final TestView BEGUN = test(AGAIN);

    @Test
    void a_failed_test_stands_while_the_retest_runs_and_after_it_until_somebody_signs() {
        assertThat(standing(List.of(BEGUN, FAILED))).isEqualTo(Standing.DO_NOT_USE);
        assertThat(standing(List.of(PASSED, FAILED))).isEqualTo(Standing.DO_NOT_USE);
        assertThat(standing(List.of(PASSED, FAILED), signed(AGAIN.toLocalDate())))
                .isEqualTo(Standing.MAY_USE);
    }

    @Test
    void what_was_signed_before_the_retest_signs_for_nothing() {
        assertThat(standing(List.of(PASSED, FAILED), signed(AGAIN.toLocalDate().minusDays(1))))
                .isEqualTo(Standing.DO_NOT_USE);
        assertThat(standing(List.of(BEGUN, FAILED), signed(AGAIN.toLocalDate())))
                .isEqualTo(Standing.DO_NOT_USE);
    }

    @Test
    void without_a_failed_one_the_newest_counts() {
        assertThat(standing(List.of(PASSED))).isEqualTo(Standing.MAY_USE);
        assertThat(standing(List.of(BEGUN, PASSED))).isEqualTo(Standing.OPEN);
    }

    private static WaiverView signed(LocalDate on) {
        return new WaiverView("acid", "Acid fluid", "Signe", "read twice", on);
    }

    private static Standing standing(List<TestView> newestFirst, WaiverView... waivers) {
        return Patches.standing(new PatchView(newestFirst, List.of(waivers), List.of()), "acid")
                .orElseThrow()
                .standing();
    }

    private static TestView test(LocalDateTime started, PatchTest.Reading... readings) {
        PatchTest test = new PatchTest(PatchTest.Kind.SHORT_SCREEN, PatchTest.Site.FOREARM, started, List.of(readings));
        return new TestView(
                UUID.randomUUID(),
                "acid",
                "Acid fluid",
                test.kind(),
                test.site(),
                started,
                List.of(),
                test.verdict(),
                test.schedule());
    }
}
