package outfell.server.standin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import outfell.server.probe.SkinProbe;
import outfell.server.probe.SocketProbe;
import outfell.skin.ProbeReading.Quantity;
import outfell.skin.Zone;
import tools.jackson.databind.json.JsonMapper;

/** The simulated probe over its real socket, spoken to as a real one would be. */
class SimulatedProbeTest {
    private ProbeFaces faces;
    private SimulatedProbe simulated;
    private SkinProbe probe;

    @BeforeEach
    void plugIn() throws IOException {
        faces = ProbeFaces.read(new JsonMapper());
        simulated = new SimulatedProbe(7, 0, faces.find("even").orElseThrow());
        simulated.plugIn();
        probe = new SocketProbe(simulated::address);
    }

    @AfterEach
    void unplug() {
        simulated.unplug();
    }

    @Test
    void it_says_who_it_is_and_how_the_room_is() throws SkinProbe.Lost {
        assertThat(probe.identity()).isEqualTo(new SkinProbe.Identity("SIM-7", true));
        assertThat(probe.room()).isEqualTo(new SkinProbe.Room(21, 50));
    }

    @Test
    void the_same_seed_and_order_give_the_same_values_and_another_seed_others() throws Exception {
        List<Double> first = three(Quantity.SEBUM);
        simulated.unplug();
        simulated.plugIn();
        assertThat(three(Quantity.SEBUM)).isEqualTo(first);
        SimulatedProbe other = new SimulatedProbe(8, 0, faces.find("even").orElseThrow());
        other.plugIn();
        probe = new SocketProbe(other::address);
        assertThat(three(Quantity.SEBUM)).isNotEqualTo(first);
        other.unplug();
    }

    @Test
    void readings_lie_near_the_face_beneath_and_the_cold_head_drifts_towards_it() throws SkinProbe.Lost {
        List<Double> many = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            many.add(probe.measure(Quantity.HYDRATION, Zone.FOREHEAD, v -> {}));
        }
        double early = many.subList(0, 3).stream().mapToDouble(d -> d).average().orElseThrow();
        double late =
                many.subList(20, 30).stream().mapToDouble(d -> d).average().orElseThrow();
        assertThat(late).isBetween(56 * 0.96, 56 * 1.04);
        assertThat(early).isGreaterThan(late);
    }

    @Test
    void a_reading_settles_from_its_samples_to_its_value() throws SkinProbe.Lost {
        List<Double> samples = new ArrayList<>();
        double value = probe.measure(Quantity.WATER_LOSS, Zone.CHEEK_R, samples::add);
        assertThat(samples).hasSize(6).isSorted();
        assertThat(Math.abs(samples.getLast() - value)).isLessThan(0.2);
    }

    @Test
    void another_face_beneath_gives_other_values() throws SkinProbe.Lost {
        double even = probe.measure(Quantity.SEBUM, Zone.NOSE, v -> {});
        simulated.hold(faces.find("dry-tight").orElseThrow());
        assertThat(probe.measure(Quantity.SEBUM, Zone.NOSE, v -> {})).isLessThan(even / 2);
    }

    @Test
    void unplugged_in_the_middle_it_is_lost_and_plugged_in_again_it_answers() throws Exception {
        probe.identity();
        List<Double> heard = new ArrayList<>();
        SimulatedProbe slow = new SimulatedProbe(7, 20, faces.find("even").orElseThrow());
        slow.plugIn();
        SkinProbe slowly = new SocketProbe(slow::address);
        assertThatThrownBy(() -> slowly.measure(Quantity.SEBUM, Zone.NOSE, v -> {
                    heard.add(v);
                    if (heard.size() == 2) {
                        slow.unplug();
                    }
                }))
                .isInstanceOf(SkinProbe.Lost.class)
                .hasMessageContaining("does not answer");
        assertThatThrownBy(slowly::identity).isInstanceOf(SkinProbe.Lost.class);
        slow.plugIn();
        assertThat(slowly.identity().simulated()).isTrue();
        slow.unplug();
    }

    @Test
    void what_it_does_not_understand_it_says_and_does_not_do() throws IOException {
        InetSocketAddress address = simulated.address();
        try (Socket socket = new Socket(address.getAddress(), address.getPort())) {
            socket.getOutputStream()
                    .write("HELLO 1\nMEASURE LENGTH NOSE\nMEASURE PH\nDANCE\nPING\n"
                            .getBytes(StandardCharsets.US_ASCII));
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII));
            assertThat(in.readLine()).isEqualTo("READY SIM-7 SIMULATED");
            assertThat(in.readLine()).startsWith("ERROR cannot measure");
            assertThat(in.readLine()).startsWith("ERROR cannot measure");
            assertThat(in.readLine()).isEqualTo("ERROR unknown DANCE");
            assertThat(in.readLine()).isEqualTo("PONG");
        }
    }

    private List<Double> three(Quantity quantity) throws SkinProbe.Lost {
        List<Double> values = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            values.add(probe.measure(quantity, Zone.NOSE, v -> {}));
        }
        return values;
    }
}
