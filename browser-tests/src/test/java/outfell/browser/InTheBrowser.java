package outfell.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;

/** A window of headless Chromium on the packaged server with the demo practice, for each class its own. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
abstract class InTheBrowser {
    /** No step of a test takes so long; a machine that has other work is not to make one fail. */
    static final double PATIENCE_MS = 120_000;

    private static final List<String> FLAGS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    Server server;
    private Playwright playwright;
    private Browser browser;
    BrowserContext context;
    Page page;
    private final List<String> complaints = new ArrayList<>();

    @BeforeAll
    void open(@TempDir Path data) {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
        server = new Server(data);
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setHeadless(true)
                        .setArgs(FLAGS));
    }

    @AfterAll
    void close() {
        browser.close();
        playwright.close();
        server.stop();
    }

    @BeforeEach
    void window() {
        context = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
        context.setDefaultTimeout(PATIENCE_MS);
        page = context.newPage();
        complaints.clear();
        page.onPageError(complaints::add);
    }

    @AfterEach
    void done() {
        context.close();
        assertThat(complaints).isEmpty();
    }

    void choose(String product) {
        pick(page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Product")), product);
    }

    /** The house shelf is searched as one types, so the option is waited for by its name. */
    void pick(Locator field, String name) {
        field.fill(name);
        page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName(Pattern.compile(escaped(name), Pattern.CASE_INSENSITIVE)))
                .first()
                .click();
    }

    void gradeByTap(String sign, int... grades) {
        button(sign).click();
        List<String> zones = List.of("forehead", "nose", "chin", "right cheek", "left cheek");
        for (int i = 0; i < grades.length; i++) {
            page.locator(".zone[aria-label^='" + zones.get(i) + ":'] rect")
                    .last()
                    .click();
            page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Grade"))
                    .getByRole(AriaRole.BUTTON)
                    .nth(grades[i])
                    .click();
        }
    }

    /** Nothing in the view that those who cannot see it, or see it badly, would stumble over. */
    void nothingToMend(String view) {
        // the page's own policy lets no script of a test in; what the browser is told to evaluate is no script of the
        // page
        page.evaluate(source("../web/node_modules/axe-core/axe.min.js"));
        // a label on its way is pale for a moment; the next may start when one has ended
        page.waitForCondition(() -> Boolean.TRUE.equals(page.evaluate("() => document.getAnimations().length === 0")));
        Object found = page.evaluate(
                "() => axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'] })"
                        + ".then(r => r.violations.map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ')).join(', ')))");
        assertThat((List<?>) found).as(view).isEmpty();
    }

    static String source(String path) {
        try {
            return Files.readString(Path.of(path));
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    /** Types a day into a field as it is written here: day, month, year. */
    void typeDay(String label, LocalDate day) {
        Locator field = page.getByRole(AriaRole.GROUP, named(label));
        Locator first = field.getByRole(AriaRole.SPINBUTTON).first();
        first.click();
        assertThat(first).isFocused();
        // as fast as a person: what is typed must stand while the rest of it is on its way
        page.keyboard()
                .type(
                        "%02d%02d%04d".formatted(day.getDayOfMonth(), day.getMonthValue(), day.getYear()),
                        new Keyboard.TypeOptions().setDelay(120));
        assertThat(field)
                .containsText("%02d/%02d/%04d".formatted(day.getDayOfMonth(), day.getMonthValue(), day.getYear()));
    }

    /** Presses Tab until a control of that name has the focus. */
    /** Everybody's questions: no to each group by its own button, no to each emergency by itself. */
    void noneOfAllThese() {
        Locator emergencies = page.locator(".alone.open");
        emergencies.first().waitFor();
        for (int left = emergencies.count(); left > 0; left--) {
            emergencies
                    .first()
                    .getByText("No", new Locator.GetByTextOptions().setExact(true))
                    .click();
            assertThat(emergencies).hasCount(left - 1);
        }
        Locator groups = page.locator(".none-of");
        for (int left = groups.count(); left > 0; left--) {
            groups.first().click();
            assertThat(groups).hasCount(left - 1);
        }
        assertThat(page.locator(".chip.open")).hasCount(0);
    }

    /** The same by keys: one Enter a group, with the focus going on by itself. */
    int noneOfAllTheseByKeys() {
        int keys = 0;
        Locator emergencies = page.locator(".alone.open");
        for (int left = emergencies.count(); left > 0; left--) {
            emergencies.first().getByRole(AriaRole.BUTTON).first().focus();
            page.keyboard().press("Space");
            keys += 2;
            assertThat(emergencies).hasCount(left - 1);
        }
        Locator groups = page.locator(".none-of");
        groups.first().focus();
        for (int left = groups.count(); left > 0; left--) {
            page.keyboard().press("Enter");
            keys++;
            assertThat(groups).hasCount(left - 1);
        }
        return keys;
    }

    void tabTo(String name) {
        for (int i = 0; i < 120; i++) {
            page.keyboard().press("Tab");
            Object focused = page.evaluate(
                    "() => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? ''");
            if (String.valueOf(focused).equals(name)) {
                return;
            }
        }
        throw new AssertionError("Tab never reaches \"%s\".".formatted(name));
    }

    /** A client's newest visit; one of an earlier day is opened for a correction first. */
    String visitOf(String name) {
        String visit = readOnly(name);
        page.context()
                .request()
                .post(
                        visit.replace("/visits/", "/api/visits/") + "/corrections",
                        RequestOptions.create().setData(Map.of("who", "Signe", "why", "put right for a test")));
        return visit;
    }

    /** A client's newest visit as it stands. */
    String readOnly(String name) {
        Object id = page.context()
                .request()
                .get(server.address() + "/api/desk")
                .text()
                .transform(text -> {
                    var match = Pattern.compile("\"name\":\"" + name + "\".*?\"lastVisit\":\"([^\"]+)\"")
                            .matcher(text);
                    return match.find() ? match.group(1) : "";
                });
        return server.address() + "/visits/" + id;
    }

    Locator step(String part) {
        return page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName(part).setExact(true))
                .locator(".strip-label");
    }

    void saved() {
        assertThat(page.locator(".saving")).hasText("Saved");
    }

    void heading(String name) {
        assertThat(page.getByRole(AriaRole.HEADING, named(name))).isVisible();
    }

    Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, named(name)).first();
    }

    static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(Pattern.compile("^" + escaped(name)));
    }

    static String escaped(String name) {
        return name.replaceAll("[.*+?^$()|\\[\\]{}]", "\\\\$0");
    }
}
