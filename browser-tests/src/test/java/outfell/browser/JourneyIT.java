package outfell.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The visit from the desk to the sheet, and what must survive on the way. */
class JourneyIT extends InTheBrowser {
    @Test
    void a_first_visit_by_mouse_from_the_desk_to_the_sheet_and_through_a_restart() {
        page.navigate(server.address());
        button("First visit, Bram Otterholt").click();
        heading("Talk with Bram");
        page.getByRole(AriaRole.COMBOBOX, named("Lives and works at")).click();
        page.getByRole(AriaRole.OPTION, named("Upper Tarn")).click();
        button("Lanolin").click();
        page.getByLabel("Year of birth").fill("1984");
        noneOfAllThese();
        page.getByLabel("Minutes, evening").fill("20");
        saved();
        button("Read the skin").click();

        gradeByTap("Shine", 3, 3, 2, 1, 1);
        gradeByTap("Flaking", 0, 0, 0, 1, 1);
        gradeByTap("Tightness", 0, 0, 0, 2, 2);
        gradeByTap("Redness", 1, 1, 1, 1, 1);
        gradeByTap("Sting", 0, 0, 0, 0, 0);
        gradeByTap("Congestion", 2, 3, 2, 0, 0);
        heading("Combination, oily T-zone with normal cheeks");
        assertThat(page.getByText("20 make two bands")).isVisible();
        assertThat(page.getByText("Still missing")).isVisible();

        button("Build the regimen from this").click();
        assertThat(step("Morning").last()).containsText("SPF");
        assertThat(step("Evening").first()).isVisible();
        List<String> classic = step("Evening").allTextContents();
        button("Layered").click();
        saved();
        page.waitForCondition(() -> !step("Evening").allTextContents().equals(classic));
        step("Evening").first().click();
        assertThat(page.getByText("Here because:")).isVisible();
        page.keyboard().press("Escape");

        button("Jul").click();
        assertThat(page.getByRole(AriaRole.HEADING, named("What July changes"))).isVisible();
        page.getByRole(AriaRole.BUTTON, named("Back to")).click();
        button("Keep this plan").click();
        assertThat(page.getByText("Plan 1 kept")).isVisible();
        List<String> kept = step("Evening").allTextContents();

        page.reload();
        assertThat(step("Evening").first()).isVisible();
        assertThat(step("Evening").allTextContents()).isEqualTo(kept);
        server.restart();
        page.reload();
        assertThat(step("Evening").first()).isVisible();
        assertThat(step("Evening").allTextContents()).isEqualTo(kept);
        assertThat(page.getByText("Plan 1 kept")).isVisible();

        page.getByRole(AriaRole.LINK, named("Sheet")).click();
        heading("Bram Otterholt’s skin plan");
        assertThat(button("Print the sheet")).isVisible();
        assertThat(page.locator("article")).containsText("Sunscreen");
    }

    @Test
    void the_same_by_keyboard_alone() {
        page.navigate(server.address());
        tabTo("New client");
        page.keyboard().press("Enter");
        page.keyboard().type("Rue Halyard");
        page.keyboard().press("Tab");
        page.keyboard().type("net mender");
        page.keyboard().press("Enter");
        heading("Talk with Rue");
        page.getByLabel("Year of birth").focus();
        page.keyboard().type("1984");
        noneOfAllTheseByKeys();
        saved();
        page.keyboard().press("Alt+2");
        assertThat(button("Shine")).isVisible();
        for (String grades : List.of("33211", "0011100", "001220", "00022", "1111110", "00011")) {
            page.keyboard().type(grades);
            page.keyboard().press("]");
        }
        heading("Combination, oily T-zone with normal cheeks");
        page.keyboard().press("z");
        page.keyboard().press("Alt+3");
        assertThat(step("Evening").first()).isVisible();
        step("Evening").first().focus();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Here because:")).isVisible();
        page.keyboard().press("Escape");
        assertThat(page.getByText("Here because:")).isHidden();
        tabTo("Keep this plan");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Plan 1 kept")).isVisible();
        page.keyboard().press("Alt+6");
        heading("Rue Halyard’s skin plan");
        // as it is typed on a keyboard that has it over another sign
        page.keyboard().press("Shift+Slash");
        assertThat(page.getByRole(AriaRole.DIALOG)).isVisible();
        page.keyboard().press("Escape");
        page.keyboard().press("Alt+d");
        assertThat(button("Go on, Rue Halyard")).isVisible();
    }

    @Test
    void no_view_has_anything_to_mend_for_those_who_cannot_see_it() {
        for (String view :
                List.of("/", "/products", "/products/files", "/practice", "talk", "now", "read", "regimen", "sheet")) {
            page.navigate(view.startsWith("/") ? server.address() + view : visitOf("Maren Oskell") + "/" + view);
            page.getByRole(AriaRole.HEADING).first().waitFor();
            if (view.equals("regimen")) {
                step("Evening").first().click();
                page.getByText("Here because:").waitFor();
            }
            nothingToMend(view);
        }
    }

    @Test
    void a_second_window_that_saves_the_same_visit_is_told_and_loses_nothing() {
        String talk = visitOf("Edda Quill") + "/talk";
        page.navigate(talk);
        Page other = context.newPage();
        other.navigate(talk);
        other.getByLabel("Note").fill("Written in the other window.");
        assertThat(other.locator(".saving")).hasText("Saved");
        page.getByLabel("Note").fill("Written here meanwhile.");
        Locator band = page.getByRole(AriaRole.ALERT)
                .filter(new Locator.FilterOptions().setHasText("changed in another window"));
        assertThat(band).isVisible();
        assertThat(band).containsText("Note");
        assertThat(band).containsText("one field was changed in both");
        assertThat(page.getByRole(AriaRole.TEXTBOX, named("Note"))).hasValue("Written here meanwhile.");
        button("Keep what is here").click();
        saved();
        page.reload();
        assertThat(page.getByLabel("Note")).hasValue("Written here meanwhile.");
    }

    @Test
    void what_is_typed_survives_a_lost_connection_a_reload_and_a_wrong_field() {
        page.navigate(visitOf("Jorun Pell") + "/talk");
        page.getByLabel("Note").waitFor();
        context.setOffline(true);
        page.getByLabel("Note").fill("Typed on the ferry, no signal.");
        assertThat(page.locator(".saving")).containsText("Kept on this machine");
        context.setOffline(false);
        saved();
        page.reload();
        assertThat(page.getByLabel("Note")).hasValue("Typed on the ferry, no signal.");

        page.getByLabel("Minutes, morning").fill("ten");
        assertThat(page.getByText("\"ten\" is not a number")).isVisible();
        page.reload();
        assertThat(page.getByLabel("Minutes, morning")).hasValue("ten");
        page.getByLabel("Minutes, morning").fill("900");
        assertThat(page.getByText("morningMinutes is 900; allowed is 120 or less.")
                        .first())
                .isVisible();
        page.getByLabel("Minutes, morning").fill("12");
        saved();
    }

    @Test
    void a_pasted_label_is_read_corrected_and_takes_its_place() {
        page.navigate(visitOf("Anselm Roake") + "/talk");
        button("By its label").click();
        page.getByLabel("Name on the pack").fill("Fresh morning veil");
        page.getByLabel("Ingredient list, as printed")
                .fill(
                        "INGREDIENTS: Aqua/Water, Glycerin (5 %), Niacinamide\n4 %, Caprylic/Capric Triglyceride, Kelp Dust*, Phenoxyethanol. May contain: CI 77491");
        button("Read the label").click();
        assertThat(page.getByText("Read as: moisturiser")).isVisible();
        assertThat(page.getByText("niacinamide, 4 %")).isVisible();
        assertThat(page.locator(".label-read .look")).containsText("Kelp Dust");
        page.getByLabel("Kind, put right").click();
        page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName("serum").setExact(true))
                .click();
        button("Put it on the shelf").click();
        assertThat(page.locator(".shelf-list")).containsText("Fresh morning veil");
        page.getByRole(AriaRole.LINK, named("Regimen")).click();
        button("Own things").click();
        assertThat(page.getByRole(AriaRole.REGION, named("Own products"))).containsText("Fresh morning veil");
    }

    @Test
    void what_a_rule_forbids_cannot_be_put_in_and_what_it_allows_can() {
        page.navigate(visitOf("Ines Varro") + "/regimen");
        button("Add step to the evening").click();
        choose("Retinal cream");
        button("Put it in").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("planning to birth");
        choose("Calm serum");
        button("Put it in").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).isHidden();
        assertThat(page.getByRole(AriaRole.REGION, named("Evening"))).containsText("Calm serum");
        page.getByRole(AriaRole.REGION, named("Changed by hand"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("As computed"))
                .click();
        assertThat(page.getByRole(AriaRole.REGION, named("Changed by hand"))).isHidden();
    }

    @Test
    void severe_spots_refer_first_and_a_settled_referral_lets_the_plan_through() {
        page.navigate(visitOf("Sunniva Thorne") + "/read");
        button("Spots").click();
        page.keyboard().type("4");
        page.keyboard().press("Alt+3");
        heading("Refer first");
        page.getByLabel("Settled by whom").fill("Dr Ashdown");
        button("It is settled").click();
        assertThat(step("Evening").first()).isVisible();
    }
}
