package outfell.browser;

import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

/**
 * How soon a change is painted, by the browser's own clock: from the event of the key or tap to the frame after what it asked for is on
 * the page. A measurement and no test: {@code ./outfell bench web} runs it and prints a table.
 */
class HowSoon extends InTheBrowser {
    private static final int TIMES = 60;
    private static final int WARM = 15;
    private static final int STEP_MS = 50;
    private static final Duration QUIET = Duration.ofMillis(400);

    /** Watches what is asked for; what is waited for is set anew before each change. */
    private static final String WATCH = """
            () => {
              const on = (kind) => document.addEventListener(kind, (e) => { if (window.begun === 0) window.begun = e.timeStamp }, true)
              on('pointerdown')
              on('keydown')
              window.arm = (done) => {
                window.begun = 0
                window.took = null
                window.seen = {}
                const watch = new MutationObserver(() => {
                  if (window.begun === 0 || !done(window.seen)) return
                  watch.disconnect()
                  requestAnimationFrame(() => {
                    const after = new MessageChannel()
                    after.port1.onmessage = () => { window.took = performance.now() - window.begun }
                    after.port2.postMessage(0)
                  })
                })
                watch.observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true })
              }
            }
            """;

    /** A plan that is fetched is marked busy until it is there. */
    private static final String PLANNED = """
            () => window.arm((seen) => {
              const busy = document.querySelector('.regimen [aria-busy]')?.getAttribute('aria-busy')
              seen.busy = seen.busy || busy === 'true'
              return seen.busy && busy === 'false'
            })
            """;

    private static final String FOLLOWED = """
            () => {
              const words = () => document.querySelector('.what-if > p')?.textContent
              const before = words()
              window.arm(() => words() !== before)
            }
            """;

    /** When something was last asked for, or came. */
    private final AtomicLong fetched = new AtomicLong();

    @Test
    void changes_are_painted_so_soon() {
        page.onRequest(_ -> fetched.set(System.nanoTime()));
        page.onRequestFinished(_ -> fetched.set(System.nanoTime()));
        page.onRequestFailed(_ -> fetched.set(System.nanoTime()));
        page.navigate(visitOf("Maren Oskell") + "/regimen");
        page.locator(".regimen [aria-busy=false]").first().waitFor();
        page.evaluate(WATCH);
        List<String> methods = List.of("Essentials", "Classic", "Layered", "Classic");
        table(
                "another method, saved and planned",
                times(PLANNED, i -> button(methods.get(i % methods.size())).click()));
        table(
                "undo and redo, saved and planned",
                times(PLANNED, i -> page.keyboard().press(i % 2 == 0 ? "Control+z" : "Control+Shift+z")));

        page.navigate(visitOf("Maren Oskell") + "/year");
        button("What if").click();
        page.locator(".what-if > p").waitFor();
        page.evaluate(WATCH);
        page.getByRole(AriaRole.SLIDER, named("Warmth outdoors")).focus();
        table(
                "what if, another warmth outdoors",
                times(FOLLOWED, i -> page.keyboard().press(i % 2 == 0 ? "PageUp" : "PageDown")));
    }

    private interface Doing {
        void it(int time);
    }

    private List<Double> times(String arm, Doing doing) {
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < WARM + TIMES; i++) {
            quiet();
            page.evaluate(arm);
            doing.it(i);
            page.waitForFunction("() => window.took !== null");
            if (i >= WARM) {
                all.add(((Number) page.evaluate("() => window.took")).doubleValue());
            }
        }
        return all;
    }

    /** Until nothing is on its way any more: what one change fetches after its plan is no part of the next. */
    private void quiet() {
        while (System.nanoTime() - fetched.get() < QUIET.toNanos()) {
            page.waitForTimeout(STEP_MS);
        }
    }

    private static void table(String what, List<Double> all) {
        Collections.sort(all);
        System.out.printf(
                Locale.ROOT,
                "%-40s median %4.0f ms   95th percentile %4.0f ms%n",
                what,
                all.get(all.size() / 2),
                all.get(all.size() * 95 / 100));
    }
}
