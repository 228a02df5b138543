package outfell.server.standin;

import java.io.IOException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import outfell.server.probe.SkinProbe;
import outfell.server.probe.SocketProbe;
import tools.jackson.databind.json.JsonMapper;

/** The simulated probe in the place of a real one. */
@Configuration(proxyBeanMethods = false)
class ProbeStandIn {
    @Bean
    ProbeFaces probeFaces(JsonMapper json) throws IOException {
        return ProbeFaces.read(json);
    }

    @Bean(destroyMethod = "unplug")
    SimulatedProbe simulatedProbe(
            ProbeFaces faces,
            @Value("${outfell.probe.seed:7}") long seed,
            @Value("${outfell.probe.pace-ms:120}") long paceMs)
            throws IOException {
        SimulatedProbe simulated = new SimulatedProbe(seed, paceMs, faces.all().getFirst());
        simulated.plugIn();
        return simulated;
    }

    @Bean
    SkinProbe skinProbe(SimulatedProbe simulated) {
        return new SocketProbe(simulated::address);
    }
}
