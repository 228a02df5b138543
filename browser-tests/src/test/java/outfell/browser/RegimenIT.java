package outfell.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The board by hand: methods, undo, and what meets what. */
class RegimenIT extends InTheBrowser {
    @Test
    void one_tap_on_a_rung_lets_a_limit_out_and_undo_takes_it_back() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        Locator money = page.getByRole(AriaRole.GROUP, named("Money a month"));
        Locator stands = money.locator("[aria-pressed=true]");
        assertThat(stands).isVisible();
        String before = stands.textContent();
        money.locator(".rung-above").first().click();
        saved();
        assertThat(stands).not().hasText(before);
        nothingToMend("ladders");
        button("Undo").click();
        saved();
        assertThat(stands).hasText(before);
    }

    @Test
    void another_method_says_what_it_changes_and_undo_and_redo_walk_back_and_forth() {
        page.navigate(visitOf("Anselm Roake") + "/regimen");
        step("Evening").first().waitFor();
        List<String> before = step("Evening").allTextContents();
        assertThat(button("Undo")).isDisabled();
        button("Essentials").click();
        assertThat(page.getByRole(AriaRole.HEADING, named("Essentials in place of Classic")))
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
    void another_month_names_the_one_fact_behind_each_change_and_the_rule_opens_by_key() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        button("Jul").click();
        Locator changes = page.getByRole(AriaRole.REGION, named("What July changes"));
        Locator serum = changes.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Niacinamide serum"));
        assertThat(serum).containsText("Money");
        assertThat(serum).containsText("UV 6 asks for SPF 50.");
        assertThat(serum).containsText("The budget of €30 no longer holds it.");
        Locator fluid =
                changes.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("Day fluid SPF 30"));
        assertThat(fluid).containsText("Air");
        nothingToMend("what July changes");
        assertThat(fluid).containsText("On or in water");
        Locator rule = fluid.getByRole(AriaRole.BUTTON).first();
        rule.focus();
        page.keyboard().press("Enter");
        Locator behind = page.getByRole(AriaRole.DIALOG);
        assertThat(behind).containsText("World Health Organization");
        assertThat(behind).containsText("high spf");
        nothingToMend("what stands behind a change");
        page.keyboard().press("Escape");
        assertThat(behind).not().isVisible();
        assertThat(rule).isFocused();
    }

    @Test
    void two_months_stand_one_over_the_other_and_full_size_is_one_tap_away() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        step("Evening").first().waitFor();
        button("Jul").click();
        Locator evening = page.getByRole(AriaRole.REGION, named("Evening"));
        assertThat(evening).containsText(LocalDate.now().getMonth().getDisplayName(TextStyle.FULL, Locale.UK));
        assertThat(evening).containsText("July");
        // the serum leaves: the fourth step of this month's evening is marked
        assertThat(evening.locator(".two-row").first().locator(".marked"))
                .containsText(new String[] {"3", "4", "5", "6"});
        Locator drawer = page.getByRole(AriaRole.BUTTON, named("In July"));
        assertThat(drawer).containsText("steps change");
        assertThat(drawer).hasAttribute("aria-expanded", "true");
        button("Draw full size").click();
        assertThat(step("Evening").first()).isVisible();
        assertThat(drawer).hasAttribute("aria-expanded", "true");
        drawer.click();
        assertThat(page.getByRole(AriaRole.REGION, named("What July changes"))).hasCount(0);
        page.setViewportSize(390, 844);
        assertThat(page.locator(".step-list").first()).isVisible();
        assertThat(page.locator(".two-months").first()).not().isVisible();
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
        assertThat(page.locator(".strip-label:focus")).hasCount(1);
        button("Undo").first().click();
        page.waitForCondition(() -> step("Evening").allTextContents().equals(before));
        assertThat(step("Evening").allTextContents()).isEqualTo(before);
    }

    @Test
    void the_gauges_say_their_sums_in_words() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        button("Balance").click();
        Locator balance = page.getByRole(AriaRole.REGION, named("Balance"));
        assertThat(balance.getByRole(AriaRole.IMG)).hasCount(6);
        assertThat(balance).containsText("Water held");
    }

    @Test
    void a_step_is_moved_by_keyboard_with_a_reason_that_outlives_a_reload() {
        page.navigate(visitOf("Wilma Crake") + "/regimen");
        step("Evening").first().waitFor();
        List<String> before = names("Evening");
        Locator cream = step("Evening").nth(3);
        cream.focus();
        page.keyboard().press("Shift+ArrowLeft");
        Locator asks = page.getByRole(AriaRole.DIALOG);
        assertThat(asks).containsText("as step 3?");
        assertThat(asks).containsText("Thinner first");
        page.getByLabel("Why all the same").fill("the serum stings on bare skin");
        page.keyboard().press("Enter");
        List<String> moved = swapped(before, 2, 3);
        page.waitForCondition(() -> names("Evening").equals(moved));
        Locator byHand = page.getByRole(AriaRole.REGION, named("Changed by hand"));
        assertThat(byHand).containsText("moved: the serum stings on bare skin");
        byHand.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Hold it against"))
                .click();
        assertThat(byHand.getByRole(AriaRole.LISTITEM).last())
                .containsText("Rich cream for cold weather stands elsewhere");
        saved();
        page.reload();
        page.waitForCondition(() -> names("Evening").equals(moved));
        byHand.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("As computed"))
                .click();
        page.waitForCondition(() -> names("Evening").equals(before));
    }

    @Test
    void a_step_is_dragged_and_nothing_is_dragged_over_the_sunscreen() {
        page.navigate(visitOf("Ines Varro") + "/regimen");
        step("Morning").first().waitFor();
        List<String> before = names("Morning");
        int last = before.size() - 1;
        drag(step("Morning").nth(last - 1), step("Morning").nth(last));
        Locator asks = page.getByRole(AriaRole.DIALOG);
        assertThat(asks).containsText("cannot be step " + (last + 1));
        assertThat(asks).containsText("Nothing goes over the sunscreen");
        button("Leave it where it is").click();
        assertThat(asks).isHidden();
        drag(step("Morning").nth(last - 1), step("Morning").nth(last - 2));
        page.getByLabel("Why all the same").fill("she has always done so");
        button("Move it").click();
        List<String> moved = swapped(before, last - 2, last - 1);
        page.waitForCondition(() -> names("Morning").equals(moved));
        page.keyboard().press("Control+z");
        page.waitForCondition(() -> names("Morning").equals(before));
    }

    @Test
    void a_kept_step_stays_when_another_method_plans_again() {
        page.navigate(visitOf("Anselm Roake") + "/regimen");
        step("Evening").first().waitFor();
        List<String> before = step("Evening").allTextContents();
        Locator serum = step("Evening").nth(3);
        String name = names("Evening").get(3);
        serum.focus();
        page.keyboard().press("k");
        assertThat(serum).containsText("kept");
        button("Essentials").click();
        assertThat(page.getByRole(AriaRole.HEADING, named("Essentials in place of Classic")))
                .isVisible();
        assertThat(step("Evening").filter(new Locator.FilterOptions().setHasText(name)))
                .containsText("kept");
        page.keyboard().press("Control+z");
        page.keyboard().press("Control+z");
        page.waitForCondition(() -> step("Evening").allTextContents().equals(before));
        saved();
    }

    @Test
    void a_repair_takes_away_what_it_mends() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        button("Meets").click();
        Locator meets = page.getByRole(AriaRole.REGION, named("What meets"));
        Locator minded = meets.locator("> ul > li").filter(new Locator.FilterOptions().setHasText("Mind:"));
        minded.first().waitFor();
        String first = minded.first().locator("b").textContent();
        minded.first().getByRole(AriaRole.BUTTON).first().click();
        assertThat(meets.getByText(first)).isHidden();
        button("Undo").click();
        assertThat(meets.getByText(first)).isVisible();
    }

    @Test
    void own_words_days_and_what_may_be_left_out_stand_on_the_sheet() {
        String visit = visitOf("Edda Quill");
        page.navigate(visit + "/regimen");
        step("Evening").nth(2).click();
        Locator hand = page.getByRole(AriaRole.REGION, named("By hand"));
        hand.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("May be left out"))
                .click();
        hand.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Sun"))
                .click();
        Locator where = where();
        where.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("cheeks").setExact(true))
                .click();
        assertThat(page.getByRole(AriaRole.REGION, named("Changed by hand"))).containsText("only on cheeks");
        page.getByLabel("Own words on the sheet").fill("three drops, then count to ten");
        page.keyboard().press("Enter");
        assertThat(step("Evening").nth(2)).containsText("may be left out");
        assertThat(step("Evening").nth(2)).containsText("Mon, Tue, Wed, Thu, Fri, Sat");
        saved();
        page.navigate(visit + "/sheet");
        Locator paper = page.locator("[data-paper]");
        assertThat(paper).containsText("three drops, then count to ten");
        assertThat(paper).containsText("may be left out");
    }

    @Test
    void a_step_goes_on_more_places_each_with_what_it_gets_and_back() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        step("Morning").last().click();
        Locator where = where();
        assertThat(where).containsText("Money is counted");
        Locator chest = where.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("chest"));
        chest.click();
        assertThat(step("Morning").last()).containsText("neck, chest");
        assertThat(chest).hasAttribute("aria-pressed", "true");
        assertThat(where.locator("li").filter(new Locator.FilterOptions().setHasText("chest")))
                .containsText("2 peas");
        nothingToMend("where it goes");
        saved();
        where.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Back to the computed places"))
                .click();
        assertThat(step("Morning").last()).not().containsText("chest");
        saved();
        page.keyboard().press("Escape");
        assertThat(page.locator(".fold")).hasCount(0);
        assertThat(step("Morning").last()).isFocused();
    }

    @Test
    void a_cream_gets_the_places_of_a_toner_by_key() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        step("Morning").nth(1).click();
        Locator where = where();
        where.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("chest"))
                .click();
        saved();
        where.getByRole(AriaRole.COMBOBOX, new Locator.GetByRoleOptions().setName("The same places for"))
                .focus();
        page.keyboard().press("Enter");
        page.getByRole(AriaRole.OPTION).nth(1).focus();
        page.keyboard().press("Enter");
        assertThat(step("Morning").nth(2)).containsText("3 peas");
        saved();
        for (int step = 0; step < 2; step++) {
            page.getByRole(AriaRole.REGION, named("Changed by hand"))
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("As computed"))
                    .first()
                    .click();
            saved();
        }
        assertThat(page.getByRole(AriaRole.REGION, named("Changed by hand"))).hasCount(0);
    }

    @Test
    void a_toner_comes_again_after_a_serum_by_key_and_a_look_for_residue_stands_beside_it() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        Locator serum = step("Evening")
                .filter(new Locator.FilterOptions().setHasText("Niacinamide serum"))
                .first();
        serum.click();
        Locator beside = page.getByRole(AriaRole.COMBOBOX, named("Beside it"));
        beside.focus();
        page.keyboard().press("Enter");
        page.getByRole(AriaRole.OPTION, named("Water toner, no alcohol again")).focus();
        page.keyboard().press("Enter");
        assertThat(serum).containsText("then 3 again");
        beside.click();
        page.getByRole(AriaRole.OPTION, named("Look for residue")).click();
        assertThat(page.getByText("lash line, hairline").first()).isVisible();
        assertThat(page.getByText("a step again, or hands alone")).isVisible();
        nothingToMend("what stands beside a step");
        saved();
        page.reload();
        assertThat(serum).containsText("then 3 again");
        page.navigate(visitOf("Maren Oskell") + "/sheet");
        assertThat(page.locator(".paper").first()).containsText("then 3 again: 1 splash into the palm");
        // the next test finds the plan as it was computed
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        page.getByRole(AriaRole.REGION, named("Changed by hand"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("As computed"))
                .click();
        assertThat(page.getByRole(AriaRole.REGION, named("Changed by hand"))).hasCount(0);
        saved();
    }

    @Test
    void an_evening_is_drawn_bare_faced_and_as_usual_again() {
        page.navigate(readOnly("Maren Oskell") + "/regimen");
        step("Evening").first().waitFor();
        int usual = step("Evening").count();
        Locator rail = page.getByRole(AriaRole.GROUP, named("How the evening is drawn"));
        rail.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("bare-faced"))
                .click();
        assertThat(step("Evening")).hasCount(usual - 1);
        assertThat(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("Left out:")))
                .containsText("the wash alone takes off the day");
        nothingToMend("an evening of another kind");
        rail.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("usual"))
                .click();
        assertThat(step("Evening")).hasCount(usual);
    }

    /** Where the open step goes. */
    private Locator where() {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Where: ")))
                .click();
        Locator where = page.getByRole(AriaRole.REGION, named("Where it goes"));
        where.waitFor();
        return where;
    }

    @Test
    void a_rule_of_the_practice_itself_is_told_where_it_worked_and_by_whom() {
        String weight = server.address() + "/api/practice/yardstick/newcomers";
        page.context()
                .request()
                .put(weight, RequestOptions.create().setData(Map.of("value", 1, "version", 0, "by", "Runa")));
        page.navigate(readOnly("Ines Varro") + "/regimen");
        button("Own rules").click();
        Locator own = page.getByRole(AriaRole.REGION, named("This practice’s own rules"));
        assertThat(own).containsText("Set by Runa");
        assertThat(own).containsText("Niacinamide serum 5 % becomes Azelaic serum 10 %");
        assertThat(own).containsText("this practice’s own");
        nothingToMend("own rules");
        step("Evening").nth(3).click();
        assertThat(page.locator(".fold")).containsText("By this practice’s own rule:");
        page.context()
                .request()
                .put(weight, RequestOptions.create().setData(Map.of("value", 2, "version", 1, "by", "Runa")));
        page.reload();
        step("Evening").first().waitFor();
        assertThat(button("Own rules")).isHidden();
    }

    @Test
    void what_a_hard_limit_forbids_is_said_at_the_step() {
        page.navigate(visitOf("Sunniva Thorne") + "/regimen");
        step("Morning").last().click();
        button("May be left out").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("never left out");
        button("May be left out").click();
        assertThat(page.getByRole(AriaRole.ALERT)).isHidden();
    }

    @Test
    void a_method_of_the_house_is_copied_refused_with_a_sentence_and_planned_by() {
        page.navigate(visitOf("Jorun Pell") + "/regimen");
        step("Evening").first().waitFor();
        button("Side by side").click();
        button("Copy Layered").click();
        Locator form = page.getByRole(AriaRole.FORM, named("A method of the house"));
        form.getByLabel("Name").fill("Slip way");
        form.getByLabel("Who").fill("Runa");
        choose(form, "Toner?", "skipped");
        button("Keep it and plan by it").click();
        assertThat(form.getByRole(AriaRole.ALERT)).containsText("An essence without a toner");
        page.reload();
        step("Evening").first().waitFor();
        button("Side by side").click();
        assertThat(form.getByLabel("Name")).hasValue("Slip way");
        choose(form, "Essence over the toner?", "none");
        nothingToMend("a method of the house");
        button("Keep it and plan by it").click();
        assertThat(page.getByRole(AriaRole.BUTTON, named("Slip way"))).hasAttribute("aria-pressed", "true");
        button("Withdraw Slip way").click();
        assertThat(page.getByText("Runa,")).isVisible();
    }

    @Test
    void by_touch_on_a_phone_a_step_is_moved_with_its_buttons() {
        Page phone = onAPhone();
        phone.navigate(visitOf("Tobit Harl") + "/regimen");
        Locator listed = phone.getByRole(AriaRole.REGION, named("Evening")).locator(".step-list > li > button");
        listed.nth(1).tap();
        assertThat(phone.getByRole(AriaRole.REGION, named("Evening"))
                        .locator(".step-list > li")
                        .nth(1)
                        .locator(".fold"))
                .isVisible();
        phone.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Move .* later")))
                .tap();
        phone.getByLabel("Why all the same").fill("so it is");
        phone.getByRole(AriaRole.BUTTON, named("Move it")).tap();
        assertThat(listed.nth(1).or(listed.nth(2)).filter(new Locator.FilterOptions().setHasText("moved")))
                .isVisible();
        phone.context().close();
    }

    @Test
    void the_house_says_what_it_weighs_and_which_school_it_follows() {
        page.navigate(server.address() + "/practice");
        Locator weighs = page.getByRole(AriaRole.REGION, named("What the choice weighs"));
        weighs.getByText("Effort").click();
        weighs.getByLabel("Who").fill("Runa");
        Locator step = weighs.getByRole(AriaRole.TEXTBOX, inside("Points off for each step that is not needed"));
        step.fill("999");
        weighs.getByRole(AriaRole.BUTTON, inside("Set: points off for each step"))
                .click();
        assertThat(weighs.getByRole(AriaRole.ALERT)).containsText("999 lies outside 0 to 50");
        step.fill("3");
        weighs.getByRole(AriaRole.BUTTON, inside("Set: points off for each step"))
                .click();
        assertThat(weighs).containsText("shipped with 2");
        weighs.getByRole(AriaRole.BUTTON, inside("Back to 2")).click();
        assertThat(step).hasValue("2");

        Locator meets = page.getByRole(AriaRole.REGION, named("What may meet"));
        meets.getByText("meetings on which schools differ").click();
        Locator pair = meets.getByRole(AriaRole.GROUP, inside("Retinoid and polyhydroxy acid"));
        pair.getByRole(AriaRole.BUTTON, inside("Fine")).click();
        assertThat(meets).containsText("the other school in 1");
        pair.getByRole(AriaRole.BUTTON, inside("Not on one night")).click();
        assertThat(meets).not().containsText("the other school in 1");
        nothingToMend("the settings of the house");
    }

    private static Locator.GetByRoleOptions inside(String name) {
        return new Locator.GetByRoleOptions().setName(Pattern.compile("^" + escaped(name)));
    }

    private Page onAPhone() {
        var touch = context.browser()
                .newContext(new Browser.NewContextOptions()
                        .setViewportSize(390, 844)
                        .setHasTouch(true));
        touch.setDefaultTimeout(PATIENCE_MS);
        return touch.newPage();
    }

    private void choose(Locator form, String question, String answer) {
        form.getByRole(
                        AriaRole.COMBOBOX,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^" + escaped(question))))
                .click();
        page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName(answer).setExact(true))
                .click();
        // the list fades out; what is looked at next must not be seen through it
        assertThat(page.getByRole(AriaRole.LISTBOX)).hasCount(0);
    }

    private void drag(Locator from, Locator to) {
        var start = from.boundingBox();
        var end = to.boundingBox();
        page.mouse().move(start.x + 40, start.y + 20);
        page.mouse().down();
        page.mouse().move(start.x + 20, start.y + 22, new Mouse.MoveOptions().setSteps(4));
        page.mouse().move(end.x + 40, end.y + 24, new Mouse.MoveOptions().setSteps(8));
        page.mouse().up();
    }

    private List<String> names(String part) {
        return step(part).locator(".name").allTextContents();
    }

    private static List<String> swapped(List<String> names, int a, int b) {
        List<String> other = new ArrayList<>(names);
        Collections.swap(other, a, b);
        return other;
    }
}
