package outfell.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The nights of a plan and the weeks after: read, changed by mouse, by keys and at phone width, and taken along. */
class NightsIT extends InTheBrowser {
    @Test
    void what_she_says_by_telephone_has_its_effect_on_her_evenings_and_is_taken_back() {
        page.navigate(readOnly("Orrin Teague") + "/nights");
        heading("Nights");
        assertThat(page.getByText("Calm reset since")).isVisible();
        assertThat(page.getByText("So far 1.")).isVisible();
        assertThat(evening(0)).containsText("Calm");
        nothingToMend("nights, calm");

        Locator asked = page.getByRole(AriaRole.FORM, named("Check-in"));
        for (String sign : List.of("Stinging", "Redness", "Flaking")) {
            asked.getByRole(AriaRole.GROUP, new Locator.GetByRoleOptions().setName(sign))
                    .getByRole(AriaRole.BUTTON)
                    .first()
                    .click();
        }
        page.getByLabel("How was it?").fill("all calm");
        page.reload();
        assertThat(page.getByLabel("How was it?")).hasValue("all calm");
        button("Note it").click();
        assertThat(page.getByText("Calm reset since")).isHidden();
        assertThat(page.locator(".check-ins li").first()).containsText("all calm");
        page.locator(".check-ins li")
                .first()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take back"))
                .click();
        assertThat(page.getByText("Calm reset since")).isVisible();
    }

    @Test
    void a_face_that_asks_for_calm_has_calm_evenings_and_the_client_taps_how_it_goes() {
        page.navigate(readOnly("Wilma Crake") + "/nights");
        assertThat(page.getByText("Calm reset since")).isVisible();
        assertThat(page.getByText("So far none.")).isVisible();
        assertThat(page.getByText("Stays off: Glycolic")).isVisible();
        assertThat(evening(0)).containsText("Calm");

        page.getByRole(AriaRole.LINK, named("Hand it over")).click();
        heading("Wilma Crake, how has your skin been");
        assertThat(page.getByText("Wilma Crake")).hasCount(1);
        nothingToMend("own check-in");
        for (String sign : List.of("Stinging", "Redness", "Flaking")) {
            page.getByRole(AriaRole.GROUP, named(sign))
                    .getByRole(AriaRole.BUTTON)
                    .nth(1)
                    .click();
        }
        page.getByLabel("How was it?").fill("tight in the wind");
        page.reload();
        assertThat(page.getByLabel("How was it?")).hasValue("tight in the wind");
        button("Note it").click();
        heading("Thank you");
        button("Back to the therapist").click();
        assertThat(page.getByText("So far 1.")).isVisible();
        assertThat(page.locator(".check-ins li").first()).containsText("Tapped by the client");
    }

    @Test
    void nights_come_round_otherwise_are_set_by_hand_and_undone() {
        String visit = visitOf("Lisbet Marl");
        page.navigate(visit + "/nights");
        assertThat(button("every 3 nights")).hasAttribute("aria-pressed", "true");
        button("by weekday").click();
        saved();
        assertThat(page.locator(".stair-turn").first()).hasText("Tue");
        button("Undo").click();
        saved();
        assertThat(button("every 3 nights")).hasAttribute("aria-pressed", "true");

        evening(1).click();
        Locator open = page.getByRole(AriaRole.REGION, named("The evening of"));
        Locator put = open.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Put it on"));
        assertThat(put.first()).isDisabled();
        open.getByLabel("Reason, for the record").fill("away next week");
        put.first().click();
        saved();
        assertThat(evening(1)).containsText("Glycolic");
        page.reload();
        assertThat(evening(1)).containsText("Glycolic");
        button("Undo").click();
        saved();
        assertThat(evening(1)).not().containsText("Glycolic");

        page.getByRole(AriaRole.GROUP, named("swims, every week on"))
                .getByRole(AriaRole.BUTTON)
                .nth(2)
                .click();
        saved();
        assertThat(page.getByRole(AriaRole.REGION, named("Evenings that are not free")))
                .containsText("Every Wed:");
    }

    @Test
    void by_keys_alone_and_at_the_width_of_a_phone() {
        page.navigate(visitOf("Hedda Saltvik") + "/sheet");
        heading("Hedda Saltvik’s skin plan");
        page.keyboard().press("Alt+4");
        heading("Nights");
        evening(0).waitFor();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        assertThat(evening(1)).hasAttribute("aria-expanded", "true");
        page.keyboard().press("Escape");
        assertThat(evening(1)).hasAttribute("aria-expanded", "false");
        nothingToMend("nights");

        page.setViewportSize(390, 844);
        assertThat(evening(0)).isVisible();
        Object over = page.evaluate("() => document.documentElement.scrollWidth - window.innerWidth");
        assertThat(((Number) over).intValue()).isLessThanOrEqualTo(0);
        page.getByRole(AriaRole.BUTTON, named("Retinal cream")).last().click();
        assertThat(page.getByText("half the nights").last()).isVisible();
    }

    @Test
    void a_pause_is_noted_and_the_sheet_tells_the_evenings_by_their_dates() {
        String visit = visitOf("Hedda Saltvik");
        page.navigate(visit + "/nights");
        Locator pauses = page.getByRole(AriaRole.FORM, named("Pauses"));
        pauses.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Pause"))
                .click();
        Locator noted = page.getByRole(AriaRole.REGION, named("Pauses")).getByRole(AriaRole.LISTITEM);
        assertThat(noted).hasCount(1);
        assertThat(noted.first()).containsText("waxing");
        noted.first()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take back"))
                .click();
        assertThat(noted).hasCount(0);

        page.navigate(visit + "/sheet");
        Locator sheet = page.locator("article");
        assertThat(sheet).containsText("Your evenings,");
        assertThat(sheet.locator(".paper-week.dated > div")).hasCount(14);
        assertThat(sheet).containsText(String.valueOf(LocalDate.now().getDayOfMonth()));
        Locator pdf = page.getByRole(AriaRole.LINK, named("The sheet as a PDF"));
        assertThat(page.context()
                        .request()
                        .get(server.address() + pdf.getAttribute("href"))
                        .headers()
                        .get("content-type"))
                .isEqualTo("application/pdf");
        Locator calendar = page.getByRole(AriaRole.LINK, named("The evenings for a calendar"));
        assertThat(page.context()
                        .request()
                        .get(server.address() + calendar.getAttribute("href"))
                        .text())
                .startsWith("BEGIN:VCALENDAR");
    }

    @Test
    void a_swelling_holds_everything_until_somebody_has_looked_at_it() {
        page.navigate(readOnly("Edda Quill") + "/nights");
        heading("Nights");
        button("Swelling or a blister").click();
        button("Note it").click();
        assertThat(page.getByText("Calm reset since")).isVisible();
        assertThat(page.getByText("emergency help at once").first()).isVisible();

        Locator seen = page.getByRole(AriaRole.FORM, named("The swelling of"));
        seen.getByLabel("Who looked at it").fill("the harbour doctor");
        seen.getByLabel("What they said").fill("a sting of a jellyfish");
        page.reload();
        assertThat(seen.getByLabel("Who looked at it")).hasValue("the harbour doctor");
        seen.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Note it"))
                .click();
        assertThat(page.locator(".check-ins li").first()).containsText("by the harbour doctor: a sting of a jellyfish");
        assertThat(page.getByText("emergency help at once")).hasCount(0);
        nothingToMend("nights, swelling");
        button("Nobody has looked at it after all").click();
        assertThat(seen).isVisible();
    }

    @Test
    void a_step_waits_for_its_condition_and_the_board_draws_the_evening_of_a_day() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        step("Evening").last().click();
        Locator evening = page.locator("[data-part=EVENING]");
        evening.getByText("Here because:").waitFor();
        evening.getByRole(AriaRole.COMBOBOX, new Locator.GetByRoleOptions().setName("Only when"))
                .press("ArrowDown");
        page.getByRole(AriaRole.OPTION, named("the skin feels dry")).click();
        saved();
        assertThat(evening.getByText("counted at 3 a week").first()).isVisible();
        page.keyboard().press("Escape");
        button("By date").click();
        Locator day = evening.locator(".evening-of p");
        assertThat(day).isVisible();
        String first = day.textContent();
        page.getByRole(AriaRole.BUTTON, named("The evening after")).click();
        assertThat(day).not().hasText(first);
        nothingToMend("regimen of a day");
        button("Usual evening").click();
        assertThat(day).hasCount(0);
    }

    @Test
    void nights_of_another_rhythm_are_kept_as_they_are_and_let_go() {
        page.navigate(visitOf("Lisbet Marl") + "/nights");
        heading("Nights");
        button("every 3 nights").click();
        button("Keep these nights").click();
        saved();
        button("All as planned").click();
        saved();
        assertThat(button("All as planned")).hasCount(0);
    }

    private Locator evening(int nth) {
        return page.locator("[data-date]").nth(nth);
    }
}
