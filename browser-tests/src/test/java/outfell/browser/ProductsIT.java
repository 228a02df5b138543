package outfell.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Any bottle put before the tool: by its label, by hand, side by side, as part of a routine, from a file, from the kitchen. */
class ProductsIT extends InTheBrowser {
    /** For what is long on a busy machine. */
    private static final double PATIENT_MS = 180_000;

    @Test
    void a_pasted_label_with_slips_is_read_put_right_and_kept() {
        page.navigate(server.address() + "/products");
        button("Add by its label").click();
        Locator form = form("A product by its label");
        form.getByLabel("Name on the pack").fill("Kiosk serum");
        form.getByLabel("Ingredient list, as printed")
                .fill(
                        "INGREDIENTS: AQUA • GLYCERIN • NlACINAMIDE (5 %)\n• PANTHEN0L • ALANTOIN • SEASPRITE JUICE*. *organic");
        form.getByText("Read the label").click();
        Locator slips = page.getByLabel("Perhaps misspelt");
        assertThat(slips).containsText("ALANTOIN");
        slips.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Allantoin")))
                .click();
        assertThat(form.getByLabel("Ingredient list, as printed")).hasValue(Pattern.compile("Allantoin"));
        assertThat(form).containsText("Active: niacinamide, 5 %");
        assertThat(form).containsText("Not known:");
        form.getByText("Add to the house shelf").click();
        assertThat(form).hasCount(0);
        page.getByLabel("Find by name, maker or ingredient").fill("kiosk");
        assertThat(page.getByRole(AriaRole.LINK, named("Kiosk serum"))).isVisible();
    }

    @Test
    void what_was_put_right_by_hand_stands_with_who_did_it_and_can_be_taken_back() {
        product("Plain cream, glycerin 10 %");
        assertThat(page.getByText("Sign first")).isVisible();
        page.getByLabel("Signed by").fill("Signe");
        page.getByText("Put something right").click();
        page.getByLabel("Texture", new Page.GetByLabelOptions().setExact(true)).click();
        page.getByRole(AriaRole.OPTION, named("7 ")).click();
        Locator right = page.getByText("The texture is 7");
        assertThat(right).isVisible();
        assertThat(page.locator(".put-right")).containsText("Signe");
        page.reload();
        assertThat(right).isVisible();
        button("Take back: The texture").click();
        assertThat(right).hasCount(0);
    }

    @Test
    void round_one_thing_three_routines_are_built_on_a_plain_skin_and_on_a_clients() {
        product("Vitamin C serum 12 %");
        page.getByRole(AriaRole.LINK, named("Build round it")).click();
        Locator smallest = page.getByRole(AriaRole.REGION, named("the smallest"));
        assertThat(smallest).containsText("in the morning:");
        assertThat(page.getByRole(AriaRole.REGION, named("the fullest"))).containsText("by Layered");
        nothingToMend("round one thing");
        Locator whose = page.getByRole(AriaRole.COMBOBOX, named("On whose skin"));
        whose.fill("Hedda");
        page.getByRole(AriaRole.OPTION, named("Hedda Saltvik")).waitFor();
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Enter");
        assertThat(page.getByText("By the face, the answers and the limits")).isVisible();
        assertThat(whose).hasValue("Hedda Saltvik");
        page.setViewportSize(390, 844);
        nothingToMend("round one thing on a phone");
    }

    @Test
    void a_new_list_makes_a_new_formula_and_the_old_one_stays_to_be_read() {
        product("Face oil, squalane");
        page.getByLabel("Signed by").fill("Signe");
        button("Change").click();
        Locator form = form("Change the product");
        form.getByLabel("Size").fill("one");
        form.getByText("Save the change").click();
        assertThat(form).containsText("\"one\" is not a number.");
        form.getByLabel("Size").fill("1.7");
        form.getByLabel("Unit").click();
        page.getByRole(AriaRole.OPTION, named("fl oz")).click();
        form.getByLabel("Ingredient list, as printed").fill("Squalane, Tocopherol");
        // what is typed is not lost by a reload
        page.reload();
        button("Change").click();
        assertThat(form.getByLabel("Ingredient list, as printed")).hasValue("Squalane, Tocopherol");
        form.getByText("Save the change").click();
        assertThat(page.getByText("50.3 ml")).isVisible();
        assertThat(page.getByText("formula 2")).isVisible();
        page.getByText("The label of formula 1").click();
        assertThat(page.getByLabel("What it was before")).containsText("Squalane");
    }

    @Test
    void the_next_likely_kind_is_one_tap_away_and_what_stands_beside_the_list_is_told() {
        page.navigate(server.address() + "/products");
        button("Add by its label").click();
        Locator form = form("A product by its label");
        form.getByLabel("Name on the pack").fill("Clarifying water 2 %");
        form.getByLabel("Ingredient list, as printed")
                .fill(
                        "Aqua, Methylpropanediol, Butylene Glycol, Salicylic Acid, Polysorbate 20, Sodium Hydroxide. Warnings: avoid the eyes. May contain traces of nuts.");
        form.getByText("Read the label").click();
        assertThat(form).containsText("Read as: treatment");
        assertThat(form).containsText("may hold traces of nuts");
        form.getByText("Rather: toner").click();
        assertThat(form).containsText("Read as: toner");
        form.getByText("Not now").click();
    }

    @Test
    void a_search_looks_through_what_people_call_a_thing_and_through_a_slip() {
        page.navigate(server.address() + "/products");
        Locator find = page.getByLabel("Find by name, maker or ingredient");
        find.fill("vit c");
        assertThat(page.getByRole(AriaRole.LINK, named("Vitamin C serum 12 %"))).isVisible();
        find.fill("niacinamdie");
        assertThat(page.getByText("looked for niacinamide")).isVisible();
        assertThat(page.getByRole(AriaRole.LINK, named("Niacinamide serum 5 %")))
                .isVisible();
        product("Retinol serum 0.2 %");
        assertThat(page.getByLabel("What else would do this job")).containsText("give no retinoid");
    }

    @Test
    void what_the_practice_says_of_a_name_is_read_in_every_label_and_can_be_taken_back() {
        page.navigate(server.address() + "/products");
        button("Add by its label").click();
        Locator form = form("A product by its label");
        form.getByLabel("Name on the pack").fill("Ebb cream");
        form.getByLabel("Ingredient list, as printed").fill("Aqua, Ebbwrack Essence, Glycerin");
        form.getByText("Read the label").click();
        assertThat(form).containsText("Not known: Ebbwrack Essence");
        form.getByText("Add to the house shelf").click();
        assertThat(form).hasCount(0);
        page.navigate(server.address() + "/products/ingredients?say=Ebbwrack%20Essence");
        Locator saying = page.getByLabel("Say what a name is");
        saying.getByLabel("It is").click();
        page.getByRole(AriaRole.OPTION, named("soothes")).click();
        saying.getByLabel("Why: what tells you so").fill("the maker's sheet");
        page.reload();
        assertThat(saying.getByLabel("Why: what tells you so")).hasValue("the maker's sheet");
        saying.getByLabel("Signed by").fill("Signe");
        saying.getByText("Keep it").click();
        assertThat(saying).containsText("Labels that say something else now: 1");
        assertThat(saying).containsText("Ebb cream");
        Locator said = page.getByLabel("Said by this practice");
        assertThat(said).containsText("the maker's sheet (Signe");
        said.getByText("Take back").click();
        assertThat(said).containsText("Nothing yet");
    }

    @Test
    void a_suppliers_headings_are_said_once() {
        page.navigate(server.address() + "/products/files");
        drop("supplier.csv", "Ware;Preis\nPier balm;12,50 €\n");
        Locator headings = page.locator(".file-headings");
        headings.getByLabel("“Ware” is").click();
        page.getByRole(AriaRole.OPTION, named("name")).click();
        headings.getByLabel("Signed by").fill("Signe");
        headings.getByText("Read it anew so, and remember it").click();
        assertThat(page.getByText("Nothing is stored yet.")).isVisible();
        assertThat(page.locator(".file-changes")).containsText("Pier balm");
        drop("next.csv", "Ware;Preis\nPier milk;9,50 €\n");
        assertThat(page.locator(".file-changes")).containsText("Pier milk");
    }

    @Test
    void two_products_are_narrowed_to_chosen_and_laid_side_by_side() {
        page.navigate(server.address() + "/products");
        pick(page.getByRole(AriaRole.COMBOBOX, named("Narrow by")), "without perfume");
        page.keyboard().press("Escape");
        page.getByLabel("Find by name, maker or ingredient").fill("cream");
        assertThat(page.locator(".house-row").first()).isVisible();
        page.getByRole(AriaRole.BUTTON, named("Compare ")).nth(0).click();
        assertThat(page.getByText("Choose one more")).isVisible();
        page.getByRole(AriaRole.BUTTON, named("Compare ")).nth(1).click();
        page.reload();
        assertThat(page.getByText("2 of 4 chosen")).isVisible();
        button("Lay side by side").click();
        heading("Side by side");
        assertThat(page.getByRole(AriaRole.ROWHEADER, named("Price a month"))).isVisible();
        assertThat(page.locator(".compare tr.parts").first()).isVisible();
        nothingToMend("comparison");
    }

    @Test
    void the_present_routine_is_one_screen_with_what_stays_and_what_goes() {
        page.navigate(visitOf("Wilma Crake") + "/talk");
        page.getByRole(AriaRole.LINK, named("Read as a routine")).click();
        heading("What Wilma does now");
        Locator evening = page.getByRole(AriaRole.REGION, named("Evening"));
        assertThat(evening.locator("li.is-stop").first()).containsText("Glycolic fluid 8 %");
        assertThat(page.getByText("No sunscreen in the morning")).isVisible();
        nothingToMend("present routine");
        page.getByRole(AriaRole.LINK, named("The new regimen")).click();
        assertThat(step("Evening").first()).isVisible();
    }

    @Test
    void a_kept_plan_is_told_of_a_new_formula() {
        String visit = visitOf("Edda Quill");
        page.navigate(visit + "/regimen");
        assertThat(step("Evening").first()).isVisible();
        button("Keep this plan").click();
        assertThat(page.getByText(Pattern.compile("Plan 1 kept"))).isVisible();
        product("Face oil, rosehip");
        page.getByLabel("Signed by").fill("Signe");
        button("Change").click();
        form("Change the product").getByLabel("Ingredient list, as printed").fill("Rosa Canina Fruit Oil, Tocopherol");
        page.getByText("Save the change").click();
        assertThat(page.getByText("formula 2")).isVisible();
        page.navigate(visit + "/regimen");
        assertThat(page.getByLabel("Products that changed since the last plan"))
                .containsText("built with formula 1, this one with formula 2");
    }

    @Test
    void a_plan_says_what_a_month_costs_and_when_each_pack_ends() {
        page.navigate(visitOf("Tobit Harl") + "/regimen");
        button("Bottles").click();
        Locator supply = page.getByLabel("Money and supply");
        assertThat(supply).containsText("within the budget");
        assertThat(supply).containsText(Pattern.compile("empty in \\d+ days"));
        nothingToMend("supply");
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        button("Bottles").click();
        assertThat(supply).containsText("within the budget");
        page.navigate(visitOf("Jorun Pell") + "/regimen");
        button("Bottles").click();
        assertThat(supply).containsText("would save");
        Locator cheaper = supply.getByRole(AriaRole.LINK).first();
        cheaper.click();
        heading("Side by side");
    }

    @Test
    void a_broken_file_changes_nothing_and_says_where_it_is_broken() {
        page.navigate(server.address() + "/products/files");
        drop("bad.csv", """
                name;maker;size;unit;price;ingredients
                Kelp toner;Cold Bell;150;ml;12,50;Aqua
                ;Cold Bell;50;ml;12;Aqua
                Dear cream;Cold Bell;50;ml;twelve;Aqua
                Short line;Cold Bell
                """);
        assertThat(page.getByText("faults stop it")).isVisible();
        Locator remarks = page.locator(".file-remarks tbody tr");
        assertThat(remarks).hasCount(3);
        assertThat(remarks.nth(0)).containsText("3");
        assertThat(remarks.nth(1)).containsText("price is \"twelve\"");
        assertThat(remarks.nth(2)).containsText("wrong-cell-count");
        assertThat(button("Take all of it in")).hasCount(0);
        nothingToMend("file");
        page.navigate(server.address() + "/products?text=kelp");
        assertThat(page.getByText("Nothing fits all of this")).isVisible();
    }

    @Test
    void a_large_file_shows_how_far_it_is_is_taken_in_and_taken_back() {
        page.navigate(server.address() + "/products/files");
        drop(
                "barrels.csv",
                "name,maker,price,ingredients\n"
                        + IntStream.range(0, 8000)
                                .mapToObj(i ->
                                        "Barrel cream %d,Cold Bell,%d,\"Aqua, Glycerin, Panthenol %d %%, Squalane\"\n"
                                                .formatted(i, i % 90, 1 + i % 5))
                                .collect(Collectors.joining()));
        assertThat(page.getByRole(AriaRole.PROGRESSBAR)).isVisible();
        assertThat(page.locator(".file-sums"))
                .containsText("8000 new", new LocatorAssertions.ContainsTextOptions().setTimeout(PATIENT_MS));
        // the chosen file is still there after a reload
        page.reload();
        assertThat(page.locator(".file-sums")).containsText("8000 new");
        page.getByLabel("Signed by").first().fill("Signe");
        button("Take all of it in").click();
        assertThat(page.getByText("All of it is stored.")).isVisible();
        button("Take back barrels.csv").click();
        assertThat(page.getByText("Taken back by Signe")).isVisible();
        page.navigate(server.address() + "/products?text=barrel");
        assertThat(page.getByText("Nothing fits all of this")).isVisible();
    }

    @Test
    void the_catalogue_goes_out_as_a_file_that_comes_in_as_the_same() throws IOException {
        page.navigate(server.address() + "/products/files");
        Download file = page.waitForDownload(() ->
                page.getByRole(AriaRole.LINK, named("CSV with semicolons")).click());
        String text = Files.readString(file.path());
        assertThat(text).startsWith("\uFEFFid;name;maker;");
        drop("again.csv", text);
        assertThat(page.getByText("there is nothing to take in")).isVisible();
    }

    @Test
    void a_mixture_grows_part_by_part_and_a_harmful_one_is_refused_by_name() {
        page.navigate(visitOf("Jorun Pell") + "/talk");
        button("Home-made").click();
        Locator form = form("A mixture made at home");
        form.getByLabel("What it is called").fill("Lemon scrub");
        button("as a wash or scrub").click();
        part(form, "sugar", "2");
        assertThat(form).containsText("Sugar is rough");
        button("Another part").click();
        part(form, "lemon juice", "1");
        assertThat(form.getByRole(AriaRole.ALERT)).containsText("Lemon juice burns");
        assertThat(form).containsText("Keeps one day");
        page.reload();
        button("Home-made").click();
        assertThat(form.getByRole(AriaRole.ALERT)).containsText("Lemon juice burns");
        nothingToMend("mixture");
        button("Put it on the shelf").click();
        page.getByRole(AriaRole.LINK, named("Lemon scrub")).click();
        assertThat(page.getByLabel("Made at home")).containsText("2 teaspoons");
        page.navigate(visitOf("Jorun Pell") + "/now");
        assertThat(page.locator("li.is-stop").first()).containsText("lemon juice burns");
    }

    @Test
    void the_currency_of_the_practice_is_written_everywhere() {
        page.navigate(server.address() + "/practice");
        page.getByLabel("Who").first().fill("Signe");
        pick(page.getByRole(AriaRole.COMBOBOX, named("Prices are in")), "British Pound");
        assertThat(page.getByLabel("Currency")).containsText("Signe: GBP");
        page.navigate(server.address() + "/products");
        assertThat(page.locator(".house-row").first()).containsText("£");
        page.navigate(server.address() + "/practice");
        pick(page.getByRole(AriaRole.COMBOBOX, named("Prices are in")), "Euro");
        assertThat(page.getByLabel("Currency")).containsText("Signe: EUR");
    }

    private void part(Locator form, String what, String amount) {
        Locator part = form.locator(".mix-part").last();
        pick(part.getByLabel("What"), what);
        part.getByLabel("Amount").fill(amount);
    }

    private void product(String name) {
        page.navigate(server.address() + "/products");
        page.getByLabel("Find by name, maker or ingredient").fill(name);
        page.getByRole(AriaRole.LINK, named(name)).click();
        heading(name);
    }

    private Locator form(String name) {
        return page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName(name));
    }

    private void drop(String name, String text) {
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload(name, "text/csv", text.getBytes(StandardCharsets.UTF_8)));
    }
}
