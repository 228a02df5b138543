package outfell.server.standin;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import tools.jackson.databind.json.JsonMapper;

/** The faces that the simulated probe can be held to, the one at the start first. */
record ProbeFaces(List<ProbeFace> all) {
    ProbeFaces {
        all = List.copyOf(all);
    }

    static ProbeFaces read(JsonMapper json) throws IOException {
        try (InputStream in =
                Objects.requireNonNull(ProbeFaces.class.getResourceAsStream("/standin/probe-faces.json"))) {
            return new ProbeFaces(List.of(json.readValue(in, ProbeFace[].class)));
        }
    }

    Optional<ProbeFace> find(String id) {
        return all.stream().filter(f -> f.id().equals(id)).findFirst();
    }
}
