package outfell.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.time.LocalDate;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The first ten minutes of a visit: asking, screening, reading by eye and probe, and what is decided by hand. */
class IntakeAndReadingIT extends InTheBrowser {
    /** Finding a key and pressing it, with a look at the face between: slower than typing, by a wide margin. */
    private static final double SECONDS_A_KEY = 1.5;

    @Test
    void a_first_visit_by_keyboard_asks_screens_and_reads_a_whole_face_in_under_ninety_seconds() {
        page.navigate(server.address());
        tabTo("New client");
        page.keyboard().press("Enter");
        page.keyboard().type("Gale Thwaite");
        page.keyboard().press("Tab");
        page.keyboard().type("lock keeper");
        page.keyboard().press("Enter");
        heading("Talk with Gale");
        page.getByLabel("Year of birth").focus();
        page.keyboard().type("1970");
        noneOfAllTheseByKeys();
        assertThat(page.locator(".chip.open")).hasCount(0);
        assertThat(page.locator(".chip.yes")).hasCount(0);
        button("Lanolin").focus();
        page.keyboard().press("Space");
        assertThat(page.locator(".chip.yes")).hasCount(1);
        saved();

        page.keyboard().press("Alt+2");
        assertThat(button("Shine")).isVisible();
        int keys = 0;
        for (String typed : List.of("33211]", "00012r]", "00122r]", "00011]", "11122r]", "00011")) {
            page.keyboard().type(typed);
            keys += typed.length();
        }
        heading("Combination, oily T-zone with normal cheeks");
        for (String sign : List.of("Shine", "Flaking", "Tightness", "Thirst lines", "Redness", "Sting")) {
            button(sign).click();
            assertThat(page.locator(".zone[aria-label$='not looked at']")).hasCount(0);
        }
        assertThat(keys * SECONDS_A_KEY).as("%d keys", keys).isLessThan(90);
        assertThat(page.getByText("Still missing")).isVisible();
        page.keyboard().press("Alt+3");
        assertThat(step("Evening").first()).isVisible();
        button("Kept out").click();
        assertThat(page.getByRole(AriaRole.REGION, named("Kept out"))).containsText("Lanolin");
    }

    @Test
    void what_was_asked_before_is_asked_again_and_what_has_changed_is_marked() {
        page.navigate(nextVisitOf("Tobit Harl") + "/talk");
        assertThat(page.getByText("What has changed since")).isVisible();
        Locator pregnant = page.locator(".chip.stale").first();
        assertThat(pregnant).isVisible();
        Locator stillSo = page.getByRole(AriaRole.BUTTON, named("Still as on"));
        for (int groups = stillSo.count(); groups > 0; groups--) {
            stillSo.first().click();
            assertThat(stillSo).hasCount(groups - 1);
        }
        assertThat(page.locator(".chip.stale")).hasCount(0);
        page.getByLabel("Minutes, morning").fill("11");
        assertThat(page.getByText("was: 5")).isVisible();
        button("A cold sore now").click();
        assertThat(page.locator(".chip.yes small")).hasText("was no");
        assertThat(page.locator(".follows")).containsText("cold sore");

        page.keyboard().press("Alt+2");
        button("Redness").click();
        assertThat(page.locator(".zone[aria-label^='forehead:']"))
                .hasAttribute("aria-label", "forehead: not looked at");
        button("As last time").click();
        assertThat(page.locator(".zone[aria-label^='forehead:']")).hasAttribute("aria-label", "forehead: 1");
        button("Undo").click();
        assertThat(page.locator(".zone[aria-label^='forehead:']"))
                .hasAttribute("aria-label", "forehead: not looked at");
    }

    @Test
    void a_drag_over_zones_paints_them_and_how_it_is_known_is_kept() {
        page.navigate(nextVisitOf("Ines Varro") + "/read");
        button("Roughness").click();
        page.keyboard().type("2");
        drag("nose", "left cheek");
        assertThat(page.locator(".zone[aria-label='nose: 2']")).isVisible();
        assertThat(page.locator(".zone[aria-label='left cheek: 2']")).isVisible();
        button("told").click();
        button("+ hands").click();
        page.keyboard().type("4");
        assertThat(page.locator(".zone[aria-label='hands: 4']")).isVisible();
        assertThat(page.getByText("Roughness 4 on the hands")).isVisible();
        saved();
        page.reload();
        button("Roughness").click();
        page.locator(".zone[aria-label='left cheek: 2']").focus();
        assertThat(button("told")).hasAttribute("aria-pressed", "true");
    }

    @Test
    void a_probe_lost_in_the_middle_loses_nothing_and_says_so() {
        page.navigate(nextVisitOf("Jorun Pell") + "/read");
        button("Probe").click();
        assertThat(page.getByText("Probe SIM-7, simulated")).isVisible();
        page.getByLabel("Washed, min ago").fill("200");
        page.getByLabel("Settled, min").fill("20");
        page.getByLabel("Product, h ago").fill("14");
        button("Take over the room").click();
        button("Measure hydration on the forehead").click();
        assertThat(readings()).containsText("Hydration, forehead");
        page.getByText("Reading 2 of 3").waitFor();
        button("Pull the cable").click();
        Locator lost =
                page.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("The probe was lost."));
        assertThat(lost).containsText(Pattern.compile("The [12] of 3 readings taken are kept"));
        assertThat(page.getByText("No probe")).isVisible();
        assertThat(readings()).containsText("of 3 readings: counts half");
        button("Plug it in").click();
        assertThat(page.getByText("Probe SIM-7, simulated")).isVisible();
        button("Not measured").click();
        button("Measure hydration on the forehead").click();
        assertThat(readings()).containsText("Valid conditions, readings agree: counts in full.");
        page.getByLabel("Washed, min ago").fill("10");
        assertThat(readings()).containsText("kept, not counted");
        page.getByLabel("Humidity, %").fill("140");
        assertThat(page.getByText("humidity is 140; allowed is 100 or less.").first())
                .isVisible();
        page.getByLabel("Humidity, %").fill("50");
        saved();
    }

    @Test
    void a_reading_off_another_probe_is_typed_and_one_that_cannot_be_is_refused_at_its_field() {
        page.navigate(nextVisitOf("Edda Quill") + "/read");
        button("Probe").click();
        button("pH").click();
        Locator field = page.getByLabel("Reading of the forehead");
        field.fill("70");
        assertThat(page.getByText("PH lies between 2 and 11")).isVisible();
        assertThat(button("Note it")).isDisabled();
        field.fill("6,3");
        button("Note it").click();
        assertThat(readings()).containsText("pH, forehead: 6.3");
        assertThat(readings()).containsText("high");
    }

    @Test
    void a_referral_stops_the_plan_prints_a_note_and_is_released_by_somebody() {
        page.navigate(nextVisitOf("Anselm Roake") + "/talk");
        button("Mole or sore").click();
        heading("Refer first");
        saved();
        page.keyboard().press("Alt+6");
        assertThat(page.getByText("No sheet yet")).isVisible();
        page.getByRole(AriaRole.LINK, named("The note to take along")).click();
        heading("Please have this looked at");
        assertThat(page.locator("article")).containsText("within two weeks");
        page.keyboard().press("Alt+3");
        page.getByLabel("Settled by whom").fill("Dr Ashdown");
        page.getByLabel("What was said").fill("harmless, seen today");
        page.reload();
        assertThat(page.getByLabel("Settled by whom")).hasValue("Dr Ashdown");
        button("It is settled").click();
        assertThat(step("Evening").first()).isVisible();
        page.keyboard().press("Alt+1");
        assertThat(page.getByText("settled by Dr Ashdown")).isVisible();
        button("Open again").click();
        heading("Refer first");
        assertThat(page.getByLabel("What was said")).hasValue(Pattern.compile("harmless, seen today"));
    }

    @Test
    void a_wait_counts_from_its_day_and_a_day_ahead_is_refused_at_its_field() {
        page.navigate(nextVisitOf("Edda Quill") + "/talk");
        button("Face waxed").click();
        button("2 days ago").click();
        assertThat(page.locator(".follows")).containsText("waxing or threading, until");
        typeDay("Day of: Face waxed or threaded", LocalDate.now().plusDays(30));
        assertThat(page.getByText("lies ahead of the day it was asked").first()).isVisible();
        typeDay("Day of: Face waxed or threaded", LocalDate.now().minusDays(20));
        assertThat(page.locator(".follows").getByText("waxing or threading, until"))
                .isHidden();
        page.getByLabel("Year of birth").fill("2090");
        assertThat(page.getByText("2090 lies after the visit").first()).isVisible();
        page.getByLabel("Year of birth").fill("1965");
        saved();
    }

    @Test
    void an_allergy_in_own_words_is_matched_as_text_or_asked_back_and_a_medicine_is_told_for_what_it_is() {
        page.navigate(server.address());
        button("First visit, Bram Otterholt").click();
        heading("Talk with Bram");
        Locator field = page.getByLabel("Another allergy, as on a label");
        field.fill("squala");
        page.reload();
        assertThat(field).hasValue("squala");
        field.fill("squalane");
        field.press("Enter");
        assertThat(page.locator(".follows")).containsText("Reacts to squalane, in the client’s own words");
        field.fill("kelpmoon");
        field.press("Enter");
        assertThat(page.locator(".follows")).containsText("matched against labels as text only");
        field.fill("walnuts");
        field.press("Enter");
        Locator back = page.getByRole(AriaRole.GROUP, named("Asked back"));
        assertThat(back).containsText("“walnuts”: does that mean nuts");
        back.getByText("Yes, all of it").click();
        assertThat(back).hasCount(0);
        assertThat(page.locator(".follows")).containsText("Reacts to nuts");
        Locator medicine = page.getByLabel("Medicine, by its name");
        medicine.fill("Doxycycline");
        medicine.press("Enter");
        assertThat(page.locator(".follows")).containsText("medicine that makes skin burn sooner");
        medicine.fill("Krakendrops");
        medicine.press("Enter");
        assertThat(page.locator(".follows")).containsText("is not in the table");
    }

    @Test
    void two_that_disagree_are_settled_with_who_and_why_and_a_verdict_can_be_set_by_hand() {
        page.navigate(visitOf("Jorun Pell") + "/read");
        Locator line = page.locator(".contradiction").first();
        assertThat(line).containsText("the client says oily; the reading says dry");
        button("Settle it").click();
        button("keep the reading").click();
        page.getByLabel("Why").fill("tissue stays dry all over");
        page.getByLabel("Who").fill("Runa");
        button("It stands").click();
        assertThat(line).containsText("Runa keeps the reading: tissue stays dry all over");
        page.getByRole(AriaRole.BUTTON, named("say otherwise: Barrier by hand")).click();
        button("broken").click();
        page.getByLabel("Why").fill("it feels like paper");
        button("It stands").click();
        heading("Barrier: broken");
        assertThat(page.getByText("By hand: broken. Computed: strained.")).isVisible();
        saved();
        page.reload();
        heading("Barrier: broken");
        page.getByRole(AriaRole.BUTTON, named("Take the computed one: Barrier")).click();
        heading("Barrier: strained");
    }

    @Test
    void a_patch_test_due_on_the_desk_is_read_and_a_strong_step_may_be_waived() {
        page.navigate(server.address());
        page.getByRole(AriaRole.REGION, named("Patch tests to read"))
                .getByRole(AriaRole.LINK)
                .filter(new Locator.FilterOptions().setHasText("Edda Quill"))
                .click();
        heading("Patch tests of Edda Quill");
        page.getByRole(AriaRole.GROUP, named("Read now"))
                .getByRole(AriaRole.BUTTON)
                .nth(2)
                .click();
        heading("Retinal cream 0.05 %: do not use");
        page.getByRole(AriaRole.BUTTON, named("Take back the reading after 80 h"))
                .click();
        heading("Retinal cream 0.05 %: still being read");

        page.navigate(visitOf("Sunniva Thorne") + "/regimen");
        Locator waits = page.getByText("Patch test first:");
        assertThat(waits.first()).isVisible();
        step("Morning")
                .filter(new Locator.FilterOptions().setHasText("Azelaic"))
                .click();
        button("Do without").click();
        page.getByLabel("Why").fill("has used one like it for years");
        page.getByLabel("Who").fill("Runa");
        button("It stands").click();
        assertThat(page.getByText("Without a patch test.")).isVisible();
        button("Ask for a test after all").click();
        assertThat(page.getByText("Patch test first.")).isVisible();
    }

    @Test
    void the_bands_of_the_probe_are_set_with_a_name_and_a_wrong_one_is_said() {
        page.navigate(server.address() + "/practice");
        Locator ph = page.getByRole(AriaRole.REGION, named("Surface pH"));
        ph.getByLabel("high begins at").fill("3");
        ph.getByLabel("Who").fill("Runa");
        ph.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Set").setExact(true))
                .click();
        assertThat(ph).containsText("low comes before high");
        ph.getByLabel("high begins at").fill("5.5");
        ph.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Set").setExact(true))
                .click();
        assertThat(ph).containsText("Runa: 4.1 and 5.5");
        ph.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Back to 4.1 and 5.8"))
                .click();
        assertThat(ph).containsText("Runa: 4.1 and 5.8");
    }

    @Test
    void the_new_views_have_nothing_to_mend_for_those_who_cannot_see_them() {
        page.navigate(visitOf("Edda Quill") + "/read");
        button("Probe").click();
        readings().waitFor();
        nothingToMend("probe");
        page.navigate(nextVisitOf("Wilma Crake") + "/talk");
        button("Mole or sore").click();
        button("Face waxed").click();
        heading("Refer first");
        nothingToMend("talk");
        saved();
        page.getByRole(AriaRole.LINK, named("Note to take along")).click();
        heading("Please have this looked at");
        nothingToMend("note");
        page.navigate(server.address());
        page.getByRole(AriaRole.REGION, named("Patch tests to read"))
                .getByRole(AriaRole.LINK)
                .first()
                .click();
        heading("Patch tests of");
        nothingToMend("patch");
    }

    private Locator readings() {
        return page.locator(".probe-lines");
    }

    private void drag(String from, String to) {
        BoundingBox a = box(from);
        BoundingBox b = box(to);
        page.mouse().move(a.x + a.width / 2, a.y + a.height / 2);
        page.mouse().down();
        page.mouse().move(b.x + b.width / 2, b.y + b.height / 2, new Mouse.MoveOptions().setSteps(12));
        page.mouse().up();
    }

    private BoundingBox box(String zone) {
        return page.locator(".zone[aria-label^='" + zone + ":'] .shape").boundingBox();
    }

    /** Begins a new visit, as the practice does when somebody comes back. */
    private String nextVisitOf(String name) {
        String desk =
                page.context().request().get(server.address() + "/api/desk").text();
        var match =
                Pattern.compile("\"id\":\"([^\"]+)\",\"name\":\"" + name + "\"").matcher(desk);
        assertThat(match.find()).as(name).isTrue();
        String begun = page.context()
                .request()
                .post(server.address() + "/api/clients/" + match.group(1) + "/visits")
                .text();
        var id = Pattern.compile("\"id\":\"([^\"]+)\"").matcher(begun);
        assertThat(id.find()).isTrue();
        return server.address() + "/visits/" + id.group(1);
    }
}
