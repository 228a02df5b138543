package outfell.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The record at the chair: the client's page, a visit of its day, kept plans, and what must survive. */
class RecordIT extends InTheBrowser {
    @Test
    void a_client_is_found_from_anywhere_and_their_page_changes_what_is_known_and_agrees_the_next_visit() {
        page.navigate(server.address() + "/practice");
        heading("The practice");
        page.keyboard().press("/");
        page.getByRole(AriaRole.COMBOBOX, named("Name, trade or contact")).fill("deckhand");
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(Pattern.compile("Maren Oskell")))
                .click();
        heading("Maren Oskell");
        assertThat(page.getByRole(AriaRole.REGION, named("To mind"))).containsText("Lanolin");
        assertThat(page.getByRole(AriaRole.REGION, named("Visits")).getByRole(AriaRole.LINK))
                .hasCount(4);
        nothingToMend("client");
        button("Details").click();
        page.getByLabel("Contact").fill("555 0199, evenings");
        page.reload();
        button("Details").click();
        assertThat(page.getByLabel("Contact")).hasValue("555 0199, evenings");
        button("Save the details").click();
        assertThat(page.locator(".client-name")).containsText("555 0199, evenings");
        Locator appointments = page.getByRole(AriaRole.REGION, named("Appointments"));
        appointments.getByRole(AriaRole.SPINBUTTON).first().click();
        int year = LocalDate.now().getYear() + 1;
        page.keyboard().type("0801%d0930".formatted(year));
        appointments
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Agree it"))
                .click();
        assertThat(appointments).containsText("8 Jan %d, 09:30".formatted(year));
        button("Go on with today’s visit").click();
        heading("Talk with Maren");
    }

    @Test
    void an_earlier_visit_shows_its_day_takes_no_change_and_is_put_right_only_with_who_and_why() {
        String visit = readOnly("Sunniva Thorne");
        page.navigate(visit + "/regimen");
        Locator day = page.getByRole(AriaRole.REGION, named("An earlier visit"));
        assertThat(day).containsText("nothing on this page can be changed");
        assertThat(step("Evening").first()).isVisible();
        assertThat(button("Keep this plan")).isHidden();
        nothingToMend("earlier");
        button("Layered").click();
        assertThat(button("Classic")).hasAttribute("aria-pressed", "true");
        assertThat(day.getByRole(AriaRole.ALERT)).isVisible();
        page.navigate(visit + "/talk");
        page.getByLabel("Note").fill("typed weeks later");
        assertThat(page.getByLabel("Note")).not().hasValue("typed weeks later");

        button("Put something right").click();
        page.getByLabel("Who").fill("Signe");
        page.getByLabel("Why it is put right").fill("the note was left out");
        button("Open it for a correction").click();
        assertThat(day).containsText("It is being put right");
        page.getByLabel("Note").fill("typed as a correction");
        saved();
        assertThat(day).containsText("Signe: the note was left out");
        day.getByRole(AriaRole.LINK).click();
        assertThat(page.getByRole(AriaRole.REGION, named("Visits"))).containsText("put right once");
        button("Begin today’s visit").click();
        heading("Talk with Sunniva");
        assertThat(page.getByRole(AriaRole.REGION, named("An earlier visit"))).isHidden();
    }

    @Test
    void a_kept_plan_opens_as_it_was_with_its_number_and_is_held_against_what_stands_now() {
        page.navigate(visitOf("Maren Oskell").replaceAll("/visits/.*", "/"));
        page.getByRole(AriaRole.LINK, named("Maren Oskell").setExact(true))
                .first()
                .click();
        page.getByRole(AriaRole.REGION, named("Plans kept"))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile("^Open plan 1")))
                .first()
                .click();
        Locator paper = page.locator("[data-paper]");
        assertThat(paper).containsText("Plan 1 of");
        assertThat(paper).not().containsText("Draft");
        assertThat(paper).containsText("Gannet Steps Skin Room");
        page.getByLabel("Held against").first().click();
        page.getByRole(AriaRole.OPTION, named("what is planned now")).click();
        assertThat(page.getByRole(AriaRole.REGION, named("Held against"))
                        .getByRole(AriaRole.LISTITEM)
                        .first())
                .isVisible();
        page.reload();
        assertThat(page.getByRole(AriaRole.REGION, named("Held against"))
                        .getByRole(AriaRole.LISTITEM)
                        .first())
                .isVisible();
        nothingToMend("kept plan");
    }

    @Test
    void what_is_not_kept_is_marked_as_a_draft_and_finishing_says_what_is_open() {
        String visit = visitOf("Jorun Pell");
        page.navigate(visit + "/sheet");
        assertThat(page.locator("[data-paper]")).containsText("Draft, not kept");
        page.navigate(visit + "/regimen");
        button("Keep this plan").click();
        assertThat(page.getByText(Pattern.compile("Plan 1 kept"))).isVisible();
        page.getByRole(AriaRole.LINK, named("Sheet")).first().click();
        assertThat(page.locator("[data-paper]")).not().containsText("Draft");
        assertThat(page.locator("[data-paper]")).containsText("Plan 1 of");
        button("Finish the visit").click();
        Locator finish = page.getByRole(AriaRole.REGION, named("Finish the visit"));
        assertThat(finish).not().containsText("No plan of this visit is kept");
        assertThat(finish).containsText("Next visit");
    }

    @Test
    void undo_reaches_through_steps_and_a_reload_and_leaves_what_is_signed() {
        page.navigate(visitOf("Maren Oskell") + "/talk");
        page.getByLabel("Minutes, evening").fill("25");
        page.keyboard().press("Alt+2");
        button("Redness").click();
        page.keyboard().press("4");
        saved();
        page.reload();
        button("Redness").click();
        assertThat(page.locator(".zone[aria-label='forehead: 4']")).isVisible();
        page.keyboard().press("Control+z");
        assertThat(page.locator(".zone[aria-label='forehead: 1']")).isVisible();
        page.keyboard().press("Control+z");
        page.keyboard().press("Alt+1");
        assertThat(page.getByLabel("Minutes, evening")).hasValue("20");
        page.locator("h1").click();
        page.keyboard().press("Control+Shift+z");
        assertThat(page.getByLabel("Minutes, evening")).hasValue("25");
        page.keyboard().press("Control+z");
        saved();
    }

    @Test
    void a_fault_of_the_server_is_said_as_one_and_tried_again_by_itself() {
        AtomicInteger faults = new AtomicInteger(2);
        page.route("**/api/visits/*?typed=*", route -> {
            if (route.request().method().equals("PUT") && faults.getAndDecrement() > 0) {
                route.fulfill(new Route.FulfillOptions()
                        .setStatus(500)
                        .setContentType("application/problem+json")
                        .setBody(
                                "{\"code\": \"fault\", \"detail\": \"Something in Outfell failed.\", \"errors\": []}"));
            } else {
                route.resume();
            }
        });
        page.navigate(visitOf("Maren Oskell") + "/talk");
        page.getByLabel("Note").fill("Typed while something failed.");
        assertThat(page.locator(".saving").first()).containsText("a fault");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("sent again by itself");
        saved();
        page.reload();
        assertThat(page.getByLabel("Note")).hasValue("Typed while something failed.");
    }

    @Test
    void two_windows_that_change_different_things_are_laid_together_without_a_question() {
        String talk = visitOf("Tobit Harl") + "/talk";
        page.navigate(talk);
        page.getByLabel("Note").waitFor();
        Page other = context.newPage();
        other.navigate(talk);
        other.getByLabel("Minutes, morning").fill("7");
        assertThat(other.locator(".saving")).hasText("Saved");
        page.getByLabel("Note").fill("Written beside it.");
        saved();
        assertThat(page.getByLabel("Minutes, morning")).hasValue("7");
        assertThat(page.getByLabel("Note")).hasValue("Written beside it.");
        other.reload();
        assertThat(other.getByLabel("Note")).hasValue("Written beside it.");
    }

    @Test
    void without_a_connection_the_page_opens_another_step_opens_and_writes_wait_their_turn() {
        String visit = visitOf("Maren Oskell");
        page.navigate(visit + "/talk");
        heading("Talk with Maren");
        page.evaluate("() => navigator.serviceWorker.ready.then(() => true)");
        // what was fetched is laid by a moment later
        page.waitForTimeout(2500);
        page.reload();
        heading("Talk with Maren");
        page.waitForTimeout(2500);
        context.setOffline(true);
        page.reload();
        heading("Talk with Maren");
        page.keyboard().press("Alt+2");
        assertThat(button("Shine")).isVisible();
        page.getByRole(AriaRole.LINK, named("Maren Oskell")).click();
        page.goBack();
        page.keyboard().press("Alt+1");
        page.getByLabel("Note").fill("Typed without a connection.");
        assertThat(page.locator(".saving").first()).containsText("Kept on this machine");
        button("Take off: Day fluid SPF 30").click();
        assertThat(page.getByText("1 change kept")).isVisible();
        context.setOffline(false);
        assertThat(page.getByText("1 change kept")).isHidden();
        saved();
        assertThat(page.locator(".shelf-list")).not().containsText("Day fluid SPF 30");
    }

    @Test
    void every_word_of_the_screens_stands_in_a_file_and_longer_ones_fit() {
        String house = server.address() + "/api/practice/house";
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        language(house, "en-XA");
        try {
            eachViewFits();
        } finally {
            language(house, "en");
        }
        page.navigate(server.address());
        assertThat(page.getByText("New client")).hasText("New client");
    }

    private void eachViewFits() {
        for (String view : List.of("/", "/products", "/practice", "talk", "read", "regimen", "sheet", "client")) {
            page.navigate(
                    view.startsWith("/")
                            ? server.address() + view
                            : view.equals("client") ? clientOf("Maren Oskell") : visitOf("Maren Oskell") + "/" + view);
            assertThat(page.getByRole(AriaRole.HEADING, marked()).first()).isVisible();
            // while something is fetched the page may still move; it must come to rest within its window
            page.waitForCondition(() -> Boolean.TRUE.equals(
                    page.evaluate("() => document.documentElement.scrollWidth <= window.innerWidth")));
        }
    }

    private static Page.GetByRoleOptions marked() {
        return new Page.GetByRoleOptions().setName(Pattern.compile("\\[.*~+]"));
    }

    private String clientOf(String name) {
        String text = context.request()
                .get(server.address() + "/api/desk?text=" + name.replace(" ", "%20"))
                .text();
        return server.address() + "/clients/" + text.replaceAll("(?s).*?\"clients\":\\[\\{\"id\":\"([^\"]+)\".*", "$1");
    }

    private void language(String house, String language) {
        String now = context.request().get(house).text();
        String version = now.replaceAll("(?s).*?\"version\":(\\d+).*", "$1");
        int status = context.request()
                .put(
                        house,
                        RequestOptions.create()
                                .setData(Map.of(
                                        "version",
                                        Integer.valueOf(version),
                                        "name",
                                        "Gannet Steps Skin Room",
                                        "address",
                                        "above the ferry slip\nSkarrow",
                                        "telephone",
                                        "555 0100",
                                        "hours",
                                        "Tue to Sat",
                                        "by",
                                        "Signe Marlow",
                                        "formats",
                                        Map.of(
                                                "language", language,
                                                "dates", "DAY_MONTH_YEAR",
                                                "clock24", true,
                                                "firstDay", "MONDAY",
                                                "volume", "ML",
                                                "temperature", "CELSIUS"))))
                .status();
        assertThat(status).isEqualTo(200);
    }
}
