package outfell.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;

/** The year after a visit: its dates, spells laid over it, other places, and what of it stands on the sheet. */
class YearIT extends InTheBrowser {
    @Test
    void a_date_of_the_year_opens_by_mouse_and_by_keys_and_closes_again() {
        page.navigate(readOnly("Maren Oskell") + "/year");
        heading("The year at Skarrow harbour");
        assertThat(dates().first()).isVisible();
        nothingToMend("year");

        dates().first().click();
        assertThat(open()).isFocused();
        assertThat(open()).containsText("From then");
        assertThat(open().locator(".change-list li").first()).isVisible();
        nothingToMend("year, a date open");
        page.keyboard().press("Escape");
        assertThat(open()).isHidden();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        assertThat(dates().nth(1)).hasAttribute("aria-pressed", "true");
        page.keyboard().press("ArrowLeft");
        assertThat(dates().first()).hasAttribute("aria-pressed", "true");
    }

    @Test
    void a_flight_is_laid_over_the_year_stands_on_the_sheet_and_is_taken_out() {
        String visit = visitOf("Hedda Saltvik");
        page.navigate(visit + "/year");
        button("Add a spell").click();
        typeDay("First day", LocalDate.now().plusDays(60));
        page.getByLabel("Hours in the air, h").fill("11");
        nothingToMend("year, a spell asked");
        button("Lay it over the year").click();
        Locator card = page.getByRole(AriaRole.REGION, named("A flight"));
        assertThat(card).containsText("Retinal cream 0.05 % rests");
        card.getByText("Into the bag").click();
        assertThat(card.locator(".decant").first()).containsText("100 ml at most");

        page.keyboard().press("Alt+6");
        assertThat(page.locator("[data-spare='year']")).containsText("A flight, 11 h");
        nothingToMend("sheet with the year");
        page.keyboard().press("Alt+5");
        card.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take it out"))
                .click();
        assertThat(card).isHidden();
    }

    @Test
    void a_cold_snap_that_is_told_is_laid_over_the_year_at_once() {
        weather("BITTER");
        String visit = visitOf("Jorun Pell");
        page.navigate(visit + "/year");
        Locator air = page.getByRole(AriaRole.REGION, named("The air today at Skarrow harbour"));
        assertThat(air).containsText("Simulated weather.");
        // the day itself may be colder than is usual, too: the button tells of the snap alone
        Locator lay = air.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Lay it over the year"));
        assertThat(lay).isVisible();
        nothingToMend("year, a cold snap told");
        lay.click();
        Locator card = page.getByRole(AriaRole.REGION, named("A cold snap"));
        assertThat(card).isVisible();
        assertThat(lay).hasCount(0);
        card.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take it out"))
                .click();
        assertThat(lay).isVisible();
        weather("FAIR");
    }

    @Test
    void the_desk_shows_the_usual_air_and_says_so_while_the_weather_service_fails() {
        weather("DOWN");
        page.navigate(server.address());
        Locator air = page.getByRole(AriaRole.REGION, named("The air today at Skarrow harbour"));
        assertThat(air).containsText("is usual at Skarrow harbour today");
        assertThat(air).containsText("The weather service does not answer");
        nothingToMend("desk, no weather");
        page.getByRole(AriaRole.LINK, named("Practice")).click();
        page.getByRole(AriaRole.LINK, named("See and change places")).click();
        page.getByRole(AriaRole.BUTTON, named("answers")).click();
        page.getByRole(AriaRole.LINK, named("Desk")).click();
        assertThat(air).containsText("at Skarrow harbour today:");
        assertThat(air).containsText("Simulated weather.");
    }

    private void weather(String mood) {
        assertThat(page.request()
                        .put(
                                server.address() + "/api/standin/weather",
                                RequestOptions.create().setData(java.util.Map.of("mood", mood))))
                .isOK();
    }

    @Test
    void two_days_are_laid_side_by_side_and_the_same_weeks_of_last_year_beside_these() {
        page.navigate(readOnly("Jorun Pell") + "/year");
        button("Compare two days").click();
        Locator two = page.getByRole(AriaRole.REGION, named("Compare two days"));
        assertThat(two).isFocused();
        assertThat(two.locator(".year-two > li").first()).isVisible();
        nothingToMend("year, two days");
        two.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Close"))
                .click();
        assertThat(two).isHidden();

        button("A year ago").click();
        Locator before = page.getByRole(AriaRole.REGION, named("A year before"));
        assertThat(before).containsText("Tight after the pool, shins too.");
        assertThat(before).containsText("What stood, kept on");
        nothingToMend("year, a year ago");
        before.getByRole(AriaRole.LINK).first().click();
        page.waitForURL("**/read");
    }

    @Test
    void a_place_is_made_from_questions_and_the_year_is_looked_at_there() {
        page.navigate(server.address() + "/practice");
        page.getByRole(AriaRole.LINK, named("See and change places")).click();
        page.waitForURL("**/places");
        button("A new place").waitFor();
        page.getByLabel("Who").fill("Signe");
        button("A new place").click();
        nothingToMend("places, a new one");
        page.getByLabel("Name", new com.microsoft.playwright.Page.GetByLabelOptions().setExact(true))
                .fill("Kelp Point");
        button("Fill the table").click();
        assertThat(page.getByLabel("January, UV index")).hasValue("0.8");
        page.getByLabel("January, UV index").fill("0.9");
        page.reload();
        button("A new place").click();
        assertThat(page.getByLabel("January, UV index")).hasValue("0.9");
        button("Keep the place").click();
        assertThat(page.getByRole(AriaRole.REGION, named("Kelp Point"))).containsText("Set by Signe");

        page.navigate(readOnly("Maren Oskell") + "/year");
        page.getByRole(AriaRole.COMBOBOX, named("Place")).click();
        page.getByRole(AriaRole.OPTION, named("Kelp Point")).click();
        heading("The year at Kelp Point");
        assertThat(page.getByText("Not the client’s own place")).isVisible();
    }

    @Test
    void an_air_is_thought_of_by_sliders_and_the_plan_follows() {
        page.navigate(readOnly("Hedda Saltvik") + "/year");
        button("What if").click();
        Locator thought = page.locator(".what-if");
        thought.getByLabel("Warmth outdoors").fill("-20");
        assertThat(thought).containsText("A seal in the evening:");
        thought.getByLabel("UV index").press("Home");
        assertThat(thought.locator(".two-row").nth(1)).containsText("In that air");
        nothingToMend("year, what if");
        button("As it is").click();
        assertThat(thought.getByLabel("Hours outdoors")).hasValue("2");
    }

    @Test
    void on_a_telephone_nothing_lies_beside_the_page() {
        page.setViewportSize(390, 844);
        page.navigate(readOnly("Edda Quill") + "/year");
        heading("The year at Upper Tarn");
        assertThat(dates().first()).isVisible();
        assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(390);
        page.locator(".year-card").first().getByRole(AriaRole.BUTTON).click();
        assertThat(open()).isVisible();
        assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(390);
        button("Compare two days").click();
        assertThat(page.getByRole(AriaRole.REGION, named("Compare two days"))).isVisible();
        button("A year ago").click();
        assertThat(page.getByRole(AriaRole.REGION, named("A year before"))).isVisible();
        assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(390);
        nothingToMend("year on a telephone");
    }

    private Locator dates() {
        return page.locator(".year-date");
    }

    private Locator open() {
        return page.locator(".year-open");
    }
}
