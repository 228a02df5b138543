package outfell.server.gate;

import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is being worked out now and by which name its asker can give it up: a later question needs no answer to an earlier one. */
@Component
class Asks {
    private static final Pattern NAME = Pattern.compile("[0-9a-fA-F-]{8,40}");

    private final ConcurrentMap<String, AtomicBoolean> running = new ConcurrentHashMap<>();

    /** One question while it is worked out. */
    final class Ask implements AutoCloseable {
        private final Optional<String> name;
        private final AtomicBoolean givenUp = new AtomicBoolean();

        private Ask(Optional<String> name) {
            this.name = name;
            name.ifPresent(n -> running.put(n, givenUp));
        }

        boolean givenUp() {
            return givenUp.get();
        }

        @Override
        public void close() {
            name.ifPresent(n -> running.remove(n, givenUp));
        }
    }

    /** @param name given by the asker; what is no such name cannot be given up */
    Ask begin(@Nullable String name) {
        return new Ask(Optional.ofNullable(name).filter(n -> NAME.matcher(n).matches()));
    }

    /** Gives up what is asked under that name; nothing when it has been answered. */
    void giveUp(String name) {
        AtomicBoolean asked = running.get(name);
        if (asked != null) {
            asked.set(true);
        }
    }
}
