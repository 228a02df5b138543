package outfell.server.probe;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import outfell.skin.ProbeReading.Quantity;
import outfell.skin.Zone;

/** A probe on a socket, spoken to in lines: docs/formats/probe.md. It reconnects by itself at the next call. */
public final class SocketProbe implements SkinProbe {
    private static final int CONNECT_MS = 500;
    private static final int ANSWER_MS = 5000;

    private final Supplier<InetSocketAddress> address;
    private final ReentrantLock line = new ReentrantLock();
    private @Nullable Connection connection;

    /** @param address where it listens; asked at each new connection */
    public SocketProbe(Supplier<InetSocketAddress> address) {
        this.address = address;
    }

    private record Connection(Socket socket, BufferedReader in, BufferedWriter out, Identity identity) {
        void say(String text) throws IOException {
            out.write(text + "\n");
            out.flush();
        }

        String[] hear() throws IOException {
            String text = in.readLine();
            if (text == null) {
                throw new IOException("the probe has hung up");
            }
            return text.split(" ");
        }
    }

    @FunctionalInterface
    private interface Talk<T> {
        T with(Connection connection) throws IOException;
    }

    @Override
    public Identity identity() throws Lost {
        return talk(Connection::identity);
    }

    @Override
    public Room room() throws Lost {
        return talk(c -> {
            c.say("ROOM");
            String[] answer = expect(c.hear(), "ROOM", 3);
            return new Room(number(answer[1]), number(answer[2]));
        });
    }

    @Override
    public double measure(Quantity quantity, Zone zone, Listener listener) throws Lost {
        return talk(c -> {
            c.say("MEASURE %s %s".formatted(quantity, zone));
            while (true) {
                String[] answer = c.hear();
                if (answer[0].equals("SAMPLE")) {
                    listener.sample(number(expect(answer, "SAMPLE", 2)[1]));
                } else {
                    return number(expect(answer, "VALUE", 2)[1]);
                }
            }
        });
    }

    private <T> T talk(Talk<T> talk) throws Lost {
        line.lock();
        try {
            return talk.with(connected());
        } catch (IOException gone) {
            hangUp();
            throw new Lost("The probe does not answer. Check that it is on and in reach.");
        } finally {
            line.unlock();
        }
    }

    /** The open connection if it still answers, else a new one: a probe may have been off and on again meanwhile. */
    private Connection connected() throws IOException {
        Connection open = connection;
        if (open != null && !answers(open)) {
            hangUp();
            open = null;
        }
        if (open == null) {
            Socket socket = new Socket();
            socket.connect(address.get(), CONNECT_MS);
            socket.setSoTimeout(ANSWER_MS);
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII));
            BufferedWriter out =
                    new BufferedWriter(new OutputStreamWriter(socket.getOutputStream(), StandardCharsets.US_ASCII));
            open = new Connection(socket, in, out, new Identity("", false));
            open.say("HELLO 1");
            String[] ready = expect(open.hear(), "READY", 3);
            open = new Connection(socket, in, out, new Identity(ready[1], ready[2].equals("SIMULATED")));
            connection = open;
        }
        return open;
    }

    private static boolean answers(Connection open) {
        try {
            open.say("PING");
            return open.hear()[0].equals("PONG");
        } catch (IOException gone) {
            return false;
        }
    }

    private void hangUp() {
        Connection open = connection;
        connection = null;
        if (open != null) {
            try {
                open.socket().close();
            } catch (IOException alreadyGone) {
                // it is gone, which is what was wanted
            }
        }
    }

    private static String[] expect(String[] answer, String word, int parts) throws IOException {
        if (!answer[0].equals(word) || answer.length != parts) {
            throw new IOException("expected %s, heard %s".formatted(word, String.join(" ", answer)));
        }
        return answer;
    }

    private static double number(String text) throws IOException {
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException garbled) {
            throw new IOException("not a number: " + text, garbled);
        }
    }
}
