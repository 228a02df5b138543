package outfell.server.standin;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.jspecify.annotations.Nullable;
import outfell.skin.ProbeReading.Quantity;
import outfell.skin.Zone;

/**
 * A probe that is not there: it listens on a socket of this machine and speaks the lines of docs/formats/probe.md, as a real
 * one would. Its readings are those of the face beneath it with noise and with the drift of a head that warms up; the same
 * seed, face and order of readings give the same values. It can be unplugged.
 */
final class SimulatedProbe {
    private static final int SAMPLES = 6;
    /** The first reading after switching on lies this far off, the later ones less and less. */
    private static final double COLD = 0.06;
    /** How far the first sample of a reading is from where it settles. */
    private static final double SETTLING = 0.25;

    private final long seed;
    private final long paceMs;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private volatile ProbeFace face;
    private volatile @Nullable ServerSocket listening;
    private volatile int port;
    private int taken;

    /**
     * @param seed of the noise
     * @param paceMs between two samples, 0 or more
     */
    SimulatedProbe(long seed, long paceMs, ProbeFace face) {
        this.seed = seed;
        this.paceMs = paceMs;
        this.face = face;
    }

    /** Switches it on; the head is cold. */
    synchronized void plugIn() throws IOException {
        if (listening == null) {
            ServerSocket socket = new ServerSocket(0, 5, InetAddress.getLoopbackAddress());
            port = socket.getLocalPort();
            listening = socket;
            taken = 0;
            Thread.ofPlatform().daemon().name("simulated probe").start(() -> accept(socket));
        }
    }

    /** Pulls the plug, whatever it is doing. */
    synchronized void unplug() {
        ServerSocket socket = listening;
        listening = null;
        close(socket);
        open.forEach(SimulatedProbe::close);
        open.clear();
    }

    boolean plugged() {
        return listening != null;
    }

    InetSocketAddress address() {
        return new InetSocketAddress(InetAddress.getLoopbackAddress(), port);
    }

    ProbeFace face() {
        return face;
    }

    synchronized void hold(ProbeFace other) {
        face = other;
    }

    private void accept(ServerSocket socket) {
        try {
            while (true) {
                Socket caller = socket.accept();
                if (answers(socket, caller)) {
                    Thread.ofPlatform().daemon().name("simulated probe line").start(() -> serve(caller));
                }
            }
        } catch (IOException unplugged) {
            close(socket);
        }
    }

    /** A call that comes in while the plug is pulled is not answered. */
    private synchronized boolean answers(ServerSocket socket, Socket caller) {
        boolean plugged = listening == socket;
        if (plugged) {
            open.add(caller);
        } else {
            close(caller);
        }
        return plugged;
    }

    private void serve(Socket caller) {
        try (caller;
                BufferedReader in =
                        new BufferedReader(new InputStreamReader(caller.getInputStream(), StandardCharsets.US_ASCII));
                BufferedWriter out = new BufferedWriter(
                        new OutputStreamWriter(caller.getOutputStream(), StandardCharsets.US_ASCII))) {
            for (String asked = in.readLine(); asked != null; asked = in.readLine()) {
                answer(asked.split(" "), out);
            }
        } catch (IOException unplugged) {
            close(caller);
        } finally {
            open.remove(caller);
        }
    }

    private void answer(String[] asked, BufferedWriter out) throws IOException {
        switch (asked[0]) {
            case "HELLO" -> say(out, "READY SIM-%d SIMULATED".formatted(seed));
            case "PING" -> say(out, "PONG");
            case "ROOM" -> say(out, "ROOM %s %s".formatted(number(face.roomCelsius()), number(face.humidity())));
            case "MEASURE" -> measure(asked, out);
            default -> say(out, "ERROR unknown " + asked[0]);
        }
    }

    private void measure(String[] asked, BufferedWriter out) throws IOException {
        Quantity quantity;
        Zone zone;
        try {
            quantity = Quantity.valueOf(asked.length == 3 ? asked[1] : "");
            zone = Zone.valueOf(asked[2]);
        } catch (IllegalArgumentException unknown) {
            say(out, "ERROR cannot measure " + String.join(" ", asked));
            return;
        }
        double value = next(quantity, zone);
        for (int i = 0; i < SAMPLES; i++) {
            say(out, "SAMPLE " + number(value * (1 - SETTLING * Math.exp(-i))));
            rest();
        }
        say(out, "VALUE " + number(value));
    }

    /** Truth · (1 + cold · e^(−n/3)) · (1 + σ · noise), within what the quantity can be. */
    private synchronized double next(Quantity quantity, Zone zone) {
        int n = taken++;
        RandomGenerator noise = RandomGeneratorFactory.of("L64X128MixRandom")
                .create(seed + 31L * n + 1009L * quantity.ordinal() + 9973L * zone.ordinal());
        double truth = face.at(quantity, zone);
        double drift = quantity == Quantity.PH ? 0 : COLD * Math.exp(-n / 3.0);
        double value = truth * (1 + drift) * (1 + sigma(quantity) * Math.clamp(noise.nextGaussian(), -2, 2));
        return Math.round(10 * Math.clamp(value, quantity.least(), quantity.most())) / 10.0;
    }

    /** Share by which one reading of a spot differs from the next; facts of repeat readings. */
    private static double sigma(Quantity quantity) {
        return switch (quantity) {
            case HYDRATION -> 0.03;
            case SEBUM -> 0.06;
            case WATER_LOSS -> 0.05;
            case PH -> 0.012;
        };
    }

    private void rest() {
        try {
            Thread.sleep(paceMs);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static void say(BufferedWriter out, String text) throws IOException {
        out.write(text + "\n");
        out.flush();
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    private static void close(@Nullable AutoCloseable socket) {
        if (socket != null) {
            try {
                socket.close();
            } catch (Exception alreadyGone) {
                // it is gone, which is what was wanted
            }
        }
    }
}
