package outfell.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ForcedColors;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What holds of every view: at each width, in light and in dark, with letters of twice the size, and by keys. */
class EveryViewIT extends InTheBrowser {
    private static final List<Integer> WIDTHS = List.of(1280, 1024, 390);
    private static final int HEIGHT = 800;

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/",
                "/products",
                "/products/ingredients",
                "/products/compare",
                "/products/files",
                "/practice",
                "/places",
                "/clients/{client}",
                "/clients/{client}/check-in",
                "/patch/{client}",
                "{visit}/talk",
                "{visit}/now",
                "{visit}/read",
                "{visit}/regimen",
                "{visit}/nights",
                "{visit}/year",
                "{visit}/sheet",
                "{visit}/referral"
            })
    void nothing_is_to_mend_and_nothing_goes_sideways_at_any_width_by_day_and_by_night(String path) {
        String visit = visitOf("Maren Oskell");
        String address = path.startsWith("{visit}") ? path.replace("{visit}", visit) : server.address() + path;
        page.navigate(address.replace("{client}", clientOf(visit)));
        page.getByRole(AriaRole.HEADING).first().waitFor();
        page.waitForFunction(
                "() => ![...document.querySelectorAll('[role=status]')].some(e => e.textContent.startsWith('Fetching'))");
        for (int width : WIDTHS) {
            page.setViewportSize(width, HEIGHT);
            // what is drawn to measure is drawn anew a moment after the window has changed
            page.waitForFunction("width => document.documentElement.scrollWidth <= width", width);
        }
        page.evaluate("() => { document.documentElement.style.fontSize = '200%' }");
        Set<Object> grounds = new HashSet<>();
        for (int width : WIDTHS) {
            page.setViewportSize(width, HEIGHT);
            page.waitForFunction("width => document.documentElement.scrollWidth <= width", width);
            for (ColorScheme scheme : List.of(ColorScheme.LIGHT, ColorScheme.DARK)) {
                page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(scheme));
                grounds.add(page.evaluate("() => getComputedStyle(document.body).backgroundColor"));
                nothingToMend("%s, %d wide, %s, letters of twice the size".formatted(path, width, scheme));
            }
        }
        assertThat(grounds).as("day and night look different").hasSize(2);
    }

    @Test
    void on_reading_the_focus_is_the_cursor_and_the_signs_are_one_stop() {
        page.navigate(visitOf("Maren Oskell") + "/read");
        Locator shine = page.locator("[data-sign='SHINE']");
        shine.focus();
        page.keyboard().press("ArrowRight");
        assertThat(page.locator("[data-sign='FLAKING']")).isFocused();
        page.keyboard().press("ArrowLeft");
        assertThat(shine).isFocused();
        page.keyboard().press("Tab");
        assertThat(zone("FOREHEAD")).isFocused();
        page.keyboard().press("ArrowRight");
        assertThat(zone("NOSE")).isFocused();
        page.keyboard().press("4");
        assertThat(zone("CHIN")).isFocused();
        assertThat(zone("NOSE")).hasAttribute("aria-label", "nose: 4");
        page.keyboard().press("Enter");
        // the chin of that visit was graded, so the focus goes to its grade
        assertThat(page.getByRole(AriaRole.GROUP, named("Grade")).locator("[aria-pressed='true']"))
                .isFocused();
        // one stop for the signs, one for the zones: from the grades back to the row of signs it is two
        page.keyboard().press("Shift+Tab");
        while (Boolean.TRUE.equals(
                page.evaluate("() => document.activeElement.closest('.pads, .more-places') !== null"))) {
            page.keyboard().press("Shift+Tab");
        }
        assertThat(zone("CHIN")).isFocused();
        page.keyboard().press("Shift+Tab");
        assertThat(shine).isFocused();
        // dark circles are not read on the chin: the focus stays on the face, on a zone that they are read on
        page.keyboard().press("Tab");
        while (!"Dark circles"
                .equals(page.locator(".signs [aria-pressed='true']").evaluate("e => e.firstChild.data"))) {
            String shown = page.locator(".signs [aria-pressed='true']").textContent();
            page.keyboard().press("]");
            assertThat(page.locator(".signs [aria-pressed='true']")).not().hasText(shown);
        }
        assertThat(page.locator("[data-zone][tabindex='0']")).isFocused();
    }

    @Test
    void what_is_chosen_is_seen_where_the_reader_forces_colours() {
        page.emulateMedia(new Page.EmulateMediaOptions().setForcedColors(ForcedColors.ACTIVE));
        page.navigate(visitOf("Maren Oskell") + "/read");
        Locator chosen = page.locator("[data-sign='SHINE']");
        chosen.waitFor();
        assertThat(colours(chosen)).isNotEqualTo(colours(page.locator("[data-sign='FLAKING']")));
        for (Locator drawn : List.of(chosen, button("Build the regimen from this"), page.locator(".st.active"))) {
            assertThat((Boolean)
                            drawn.evaluate("e => getComputedStyle(e).color !== getComputedStyle(e).backgroundColor"))
                    .as(drawn.textContent())
                    .isTrue();
        }
    }

    @Test
    void a_face_of_six_signs_is_read_by_a_finger_in_four_gestures_a_sign() {
        page.setViewportSize(390, 844);
        page.navigate(visitOf("Maren Oskell") + "/read");
        List<String> signs = List.of("SHINE", "FLAKING", "TIGHTNESS", "DEHYDRATION_LINES", "REDNESS", "STING");
        Map<String, Integer> zones = new HashMap<>();
        for (String sign : signs) {
            Locator shown = page.locator(".signs [aria-pressed='true']");
            assertThat(shown).hasAttribute("data-sign", sign);
            zones.put(sign, page.locator("[data-zone]").count());
            Locator grades = page.getByRole(AriaRole.GROUP, named("Grade")).getByRole(AriaRole.BUTTON);
            // one grade by a tap, a second painted over both cheeks, the rest is none: what most faces need
            grades.nth(2).click();
            drag("CHEEK_R", "CHEEK_L");
            button("Rest none").click();
            button("Next: ").click();
            page.waitForFunction(
                    "sign => document.querySelector('.signs [aria-pressed=true]').dataset.sign !== sign", sign);
        }
        // four gestures a sign, some two seconds each with a gloved finger: every zone of every sign is then read
        for (String sign : signs) {
            String told = page.locator("[data-sign='%s'] small".formatted(sign)).textContent();
            assertThat(told).as(sign).endsWith(", " + zones.get(sign));
        }
        assertThat(page.locator(".grade-bar .verdict-line")).isInViewport();
    }

    private void drag(String from, String to) {
        var start = zone(from).locator("circle").boundingBox();
        var end = zone(to).locator("circle").boundingBox();
        page.mouse().move(start.x + start.width / 2, start.y + start.height / 2);
        page.mouse().down();
        page.mouse().move(end.x + end.width / 2, end.y + end.height / 2, new Mouse.MoveOptions().setSteps(12));
        page.mouse().up();
    }

    private Locator zone(String zone) {
        return page.locator("[data-zone='%s']".formatted(zone));
    }

    private static Object colours(Locator of) {
        return of.evaluate("e => [getComputedStyle(e).color, getComputedStyle(e).backgroundColor].join()");
    }

    private String clientOf(String visit) {
        String told = page.context()
                .request()
                .get(visit.replace("/visits/", "/api/visits/"))
                .text();
        var match = Pattern.compile("\"client\":\"([^\"]+)\"").matcher(told);
        assertThat(match.find()).isTrue();
        return match.group(1);
    }
}
