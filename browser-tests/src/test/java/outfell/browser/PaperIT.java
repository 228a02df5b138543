package outfell.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Media;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The client's sheet on paper, and how letters and light are chosen. */
class PaperIT extends InTheBrowser {
    private static final double PIXELS_A_POINT = 96.0 / 72;
    private static final List<String> CLIENTS =
            List.of("Maren Oskell", "Anselm Roake", "Edda Quill", "Hedda Saltvik", "Lisbet Marl", "Orrin Teague");
    /** Smallest type of the steps and of all else on the paper, px. */
    private static final String TYPE = """
            () => {
              const size = e => parseFloat(getComputedStyle(e).fontSize)
              const written = [...document.querySelectorAll('[data-paper] *')]
                  .filter(e => !e.closest('svg') && [...e.childNodes].some(n => n.nodeType === 3 && n.data.trim()))
              return {
                step: Math.min(...[...document.querySelectorAll('[data-paper] ol li > b, [data-paper] ol li > span')]
                    .filter(e => !e.matches('.paper-boxes')).map(size)),
                least: Math.min(...written.map(size)),
              }
            }""";

    @Test
    void the_sheet_prints_on_one_side_in_letters_that_can_be_read_across_and_upright() {
        for (String lies : List.of("Across", "Upright")) {
            for (String name : CLIENTS) {
                sheetOf(name);
                button(lies).click();
                button("Usual letters").click();
                assertThat(sides()).as("%s, %s", name, lies).isEqualTo(1);
                assertType(11, 9.5);
            }
        }
    }

    @Test
    void large_letters_take_two_sides_and_leave_nothing_off() {
        sheetOf("Anselm Roake");
        button("Large letters").click();
        assertThat(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("On the back: ")))
                .isVisible();
        assertThat(sides()).isEqualTo(2);
        assertType(14, 12);
        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
        assertThat(page.getByRole(AriaRole.HEADING, named("Through the year"))).isVisible();
    }

    @Test
    void what_one_side_has_no_room_for_is_said_and_printed_when_it_is_asked_for() {
        sheetOf("Maren Oskell");
        assertThat(page.getByText("One side has no room for: Through the year."))
                .isVisible();
        page.getByLabel("Print the back too").check();
        assertThat(sides()).isEqualTo(2);
        page.getByLabel("Boxes to tick").check();
        assertThat(page.locator(".paper-boxes .box").first()).isVisible();
        page.getByLabel("Room to write").check();
        page.reload();
        assertThat(page.getByLabel("Room to write")).isChecked();
        assertThat(page.locator(".front .paper-room")).isVisible();
    }

    @Test
    void the_board_is_printed_with_whose_it_is_and_without_what_only_a_hand_needs() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        step("Evening").first().waitFor();
        button("Aa, letters and light").click();
        button("dark").click();
        page.keyboard().press("Escape");
        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
        assertThat(page.getByText("Maren Oskell, Classic")).isVisible();
        assertThat(button("Keep this plan")).isHidden();
        assertThat(step("Evening").first()).isVisible();
        assertThat(page.evaluate("getComputedStyle(document.documentElement).colorScheme"))
                .as("dark ink on white paper, whatever the screen is")
                .isEqualTo("light");
        assertThat(sides()).isLessThanOrEqualTo(2);
    }

    @Test
    void letters_and_light_are_chosen_by_hand_and_kept_on_this_machine() {
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        step("Evening").first().waitFor();
        button("Aa, letters and light").click();
        button("dark").click();
        button("large").click();
        page.keyboard().press("Escape");
        assertThat(button("Aa, letters and light")).isFocused();
        page.reload();
        step("Evening").first().waitFor();
        assertThat(page.evaluate("getComputedStyle(document.documentElement).fontSize"))
                .isEqualTo("20px");
        assertThat(page.evaluate("getComputedStyle(document.documentElement).colorScheme"))
                .isEqualTo("dark");
        assertThat(page.evaluate("[...document.querySelectorAll('.strip-label')].filter(l => {"
                        + " const b = l.querySelector('.amount').getBoundingClientRect();"
                        + " const strip = l.closest('.strip').querySelector('svg').getBoundingClientRect();"
                        + " return b.bottom > strip.bottom - 78; }).length"))
                .as("amounts that reach into the blocks")
                .isEqualTo(0);
        nothingToMend("regimen in large letters, dark");
    }

    private void sheetOf(String name) {
        page.navigate(visitOf(name) + "/sheet");
        heading(name);
        // printed in another font than its own it would be longer
        page.waitForFunction("document.fonts.status === 'loaded'");
    }

    private long sides() {
        String pdf =
                new String(page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true)), StandardCharsets.ISO_8859_1);
        return Pattern.compile("/Type /Page\\b").matcher(pdf).results().count();
    }

    private void assertType(double step, double note) {
        Map<?, ?> type = (Map<?, ?>) page.evaluate(TYPE);
        assertThat(points(type.get("step"))).isGreaterThanOrEqualTo(step - 0.01);
        assertThat(points(type.get("least"))).isGreaterThanOrEqualTo(note - 0.01);
    }

    private static double points(Object pixels) {
        return ((Number) pixels).doubleValue() / PIXELS_A_POINT;
    }
}
