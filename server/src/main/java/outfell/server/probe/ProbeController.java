package outfell.server.probe;

import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import outfell.server.problem.Problem;
import outfell.skin.ProbeReading.Quantity;
import outfell.skin.Zone;

/** The probe as the screens see it: whether it is there, and readings as they come. */
@RestController
@RequestMapping("/api/probe")
class ProbeController {
    /** One spot takes seconds; a minute is a probe that hangs. */
    private static final long MOST_MS = 60_000;

    /**
     * @param connected whether it answers
     * @param sentence what to do when it does not; else empty
     */
    record ProbeState(
            boolean connected,
            boolean simulated,
            String serial,
            @Schema(types = {"number", "null"}) @Nullable Double roomCelsius,
            @Schema(types = {"number", "null"}) @Nullable Double humidity,
            String sentence) {}

    /** One thing heard from the probe, as sent to the screen. */
    record Heard(
            @Schema(types = {"number", "null"}) @Nullable Double value, boolean simulated, String sentence) {}

    private final SkinProbe probe;
    private final ExecutorService readings = Executors.newVirtualThreadPerTaskExecutor();

    ProbeController(SkinProbe probe) {
        this.probe = probe;
    }

    @GetMapping
    ProbeState state() {
        try {
            SkinProbe.Identity who = probe.identity();
            SkinProbe.Room room = probe.room();
            return new ProbeState(true, who.simulated(), who.serial(), room.celsius(), room.humidity(), "");
        } catch (SkinProbe.Lost lost) {
            return new ProbeState(false, false, "", null, null, String.valueOf(lost.getMessage()));
        }
    }

    /**
     * Takes readings of one spot. Events: "sample" while a reading drifts, "value" when it has settled, then "done"; "lost"
     * when the probe goes, and then nothing more.
     */
    @GetMapping(path = "/readings", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter readings(@RequestParam Quantity quantity, @RequestParam Zone zone, @RequestParam int count) {
        if (count < 1 || count > 9) {
            throw Problem.field("/count", "%d readings will not do; one to nine are possible.".formatted(count));
        }
        SseEmitter screen = new SseEmitter(MOST_MS);
        readings.execute(() -> take(quantity, zone, count, screen));
        return screen;
    }

    private void take(Quantity quantity, Zone zone, int count, SseEmitter screen) {
        try {
            boolean simulated = probe.identity().simulated();
            for (int i = 0; i < count; i++) {
                double value = probe.measure(quantity, zone, v -> tell(screen, "sample", new Heard(v, simulated, "")));
                tell(screen, "value", new Heard(value, simulated, ""));
            }
            tell(screen, "done", new Heard(null, simulated, ""));
        } catch (SkinProbe.Lost lost) {
            tell(screen, "lost", new Heard(null, false, String.valueOf(lost.getMessage())));
        }
        screen.complete();
    }

    /** A screen that has gone away hears nothing more; the reading ends by itself. */
    private static void tell(SseEmitter screen, String event, Heard heard) {
        try {
            screen.send(SseEmitter.event().name(event).data(heard, MediaType.APPLICATION_JSON));
        } catch (IOException | IllegalStateException gone) {
            screen.completeWithError(gone);
        }
    }
}
