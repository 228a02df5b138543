package outfell.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** The talk with a client at the desk: how long it is, how it is walked by keys, and what in it nobody was asked. */
class TalkIT extends InTheBrowser {
    private static final int MOST_STOPS = 40;
    private static final int WINDOWS = 2;

    @Test
    void the_talk_of_a_first_visit_fits_two_windows_and_forty_stops() {
        firstVisit("Sorrel Fenn");
        assertThat(((Number) page.evaluate("document.scrollingElement.scrollHeight")).intValue())
                .isLessThanOrEqualTo(WINDOWS * 800);
        page.locator("#page").focus();
        int stops = 0;
        do {
            page.keyboard().press("Tab");
            stops++;
        } while (focusIn("#page") && stops <= 2 * MOST_STOPS);
        assertThat(stops - 1).isBetween(MOST_STOPS / 2, MOST_STOPS);
    }

    @Test
    void a_question_is_one_stop_and_its_answers_are_walked_by_arrows() {
        firstVisit("Arne Holm");
        Locator says = page.getByRole(AriaRole.GROUP, named("Calls the skin"));
        says.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("dry"))
                .focus();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("Space");
        Locator oily = says.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("oily"));
        assertThat(oily).hasAttribute("aria-pressed", "true");
        page.keyboard().press("Tab");
        assertThat(focusIn("[aria-labelledby]")).isTrue();
        assertThat(oily).not().isFocused();
        page.keyboard().press("Shift+Tab");
        assertThat(oily).isFocused();
    }

    @Test
    void what_nobody_was_asked_is_told_from_what_was_and_a_word_confirms_it_for_good() {
        firstVisit("Bette Orm");
        Locator time = page.getByRole(AriaRole.REGION, named("Time and taste"));
        assertThat(button("6 assumed: right so, Time")).isVisible();
        page.getByLabel("Minutes, morning").fill("9");
        assertThat(button("5 assumed: right so, Time")).isVisible();
        button("5 assumed: right so, Time").click();
        assertThat(time.getByText("assumed")).hasCount(0);
        assertThat(focusIn("#page")).isTrue();
        saved();
        page.reload();
        assertThat(page.getByLabel("Minutes, morning")).hasValue("9");
        assertThat(time.getByText("assumed")).hasCount(0);
        assertThat(button("3 assumed: right so, Make-up")).isVisible();
    }

    @Test
    void the_rest_of_a_group_is_what_is_in_sight_and_the_focus_stays_on_the_page() {
        firstVisit("Cato Wrenn");
        page.locator(".alone.open").first().waitFor();
        noneOfAllTheseByKeys();
        assertThat(focusIn("#page")).isTrue();
        assertThat(button("6 seldom: not asked, Allergies")).isVisible();
        button("6 seldom: not asked, Allergies").click();
        assertThat(button("Sesame: not asked")).isVisible();
        saved();
        page.reload();
        assertThat(button("8 more: no, 6 seldom: not asked, Allergies")).isVisible();
    }

    private void firstVisit(String name) {
        page.navigate(server.address());
        button("New client").click();
        page.getByRole(
                        AriaRole.TEXTBOX,
                        new Page.GetByRoleOptions().setName("Name").setExact(true))
                .fill(name);
        page.keyboard().press("Enter");
        heading("Talk with " + name.split(" ")[0]);
        page.locator(".group").first().waitFor();
    }

    private boolean focusIn(String selector) {
        return (boolean) page.evaluate(
                "selector => document.activeElement !== document.body && !!document.activeElement.closest(selector)",
                selector);
    }
}
