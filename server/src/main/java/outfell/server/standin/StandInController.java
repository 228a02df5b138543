package outfell.server.standin;

import java.io.IOException;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import outfell.server.problem.Problem;

/** Face beneath and plug of the simulated probe. */
@RestController
@RequestMapping("/api/standin/probe")
class StandInController {
    record FaceWords(String id, String label) {}

    /**
     * @param face the one beneath the probe
     * @param plugged whether it is on
     */
    record KnobsView(String face, boolean plugged, List<FaceWords> faces) {}

    record Turn(String face, boolean plugged) {}

    private final ProbeFaces faces;
    private final SimulatedProbe simulated;

    StandInController(ProbeFaces faces, SimulatedProbe simulated) {
        this.faces = faces;
        this.simulated = simulated;
    }

    @GetMapping
    KnobsView knobs() {
        return new KnobsView(
                simulated.face().id(),
                simulated.plugged(),
                faces.all().stream().map(f -> new FaceWords(f.id(), f.label())).toList());
    }

    @PutMapping
    KnobsView turn(@RequestBody Turn turn) throws IOException {
        simulated.hold(
                faces.find(turn.face()).orElseThrow(() -> Problem.notFound("face beneath the probe", turn.face())));
        if (turn.plugged()) {
            simulated.plugIn();
        } else {
            simulated.unplug();
        }
        return knobs();
    }
}
