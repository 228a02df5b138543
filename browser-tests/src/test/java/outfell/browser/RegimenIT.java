package outfell.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The board by hand: methods, undo, and what meets what. */
class RegimenIT extends InTheBrowser {
    @Test
    void another_method_says_what_it_changes_and_undo_and_redo_walk_back_and_forth() {
        page.navigate(visitOf("Anselm Roake") + "/regimen");
        step("Evening").first().waitFor();
        List<String> before = step("Evening").allTextContents();
        assertThat(button("Undo")).isDisabled();
        button("Essentials").click();
        assertThat(page.getByRole(AriaRole.HEADING, named("Essentials in place of Classic changes")))
                .isVisible();
        page.waitForCondition(() -> !step("Evening").allTextContents().equals(before));
        List<String> essentials = step("Evening").allTextContents();
        page.keyboard().press("Control+z");
        page.waitForCondition(() -> step("Evening").allTextContents().equals(before));
        assertThat(button("Undo")).isDisabled();
        page.keyboard().press("Control+Shift+z");
        page.waitForCondition(() -> step("Evening").allTextContents().equals(essentials));
        button("Back to Classic").click();
        page.waitForCondition(() -> step("Evening").allTextContents().equals(before));
    }

    @Test
    void methods_stand_side_by_side_and_nothing_is_to_mend() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        step("Evening").first().waitFor();
        button("Side by side").click();
        Locator table = page.getByRole(AriaRole.REGION, named("Methods side by side"));
        assertThat(table).containsText("acids out while the retinoid ramps");
        assertThat(table.getByRole(AriaRole.COLUMNHEADER)).hasCount(6);
        nothingToMend("methods side by side");
    }

    @Test
    void a_step_taken_out_comes_back_with_undo() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        Locator last = step("Evening").last();
        last.waitFor();
        List<String> before = step("Evening").allTextContents();
        last.click();
        button("Take out").click();
        page.waitForCondition(() -> !step("Evening").allTextContents().equals(before));
        button("Undo").first().click();
        page.waitForCondition(() -> step("Evening").allTextContents().equals(before));
        assertThat(step("Evening").allTextContents()).isEqualTo(before);
    }

    @Test
    void the_gauges_say_their_sums_in_words() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        Locator balance = page.getByRole(AriaRole.REGION, named("Balance"));
        assertThat(balance.getByRole(AriaRole.IMG)).hasCount(6);
        assertThat(balance).containsText("Water held");
    }
}
