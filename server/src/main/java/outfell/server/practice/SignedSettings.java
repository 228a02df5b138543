package outfell.server.practice;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Documents of the practice, by name, each with who set it last and how often it was set. */
@Component
public class SignedSettings {
    /**
     * One document as it stands.
     *
     * @param version how often it was set
     */
    public record Signed(String document, int version, String by, LocalDateTime at) {}

    private final SettingStore store;
    private final Clock clock;

    SignedSettings(SettingStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    /** All whose name begins so, by the rest of the name. */
    public Map<String, Signed> under(String prefix) {
        return store.under(prefix).entrySet().stream().collect(Collectors.toMap(Map.Entry::getKey, e -> {
            SettingStore.Setting last = e.getValue().getFirst();
            return new Signed(last.to(), e.getValue().size(), last.by(), last.at());
        }));
    }

    public Optional<Signed> of(String name) {
        return Optional.ofNullable(under(name).get(""));
    }

    /**
     * Sets it anew.
     *
     * @param version that it was read at
     * @return whether it was still so; if not, nothing is changed
     */
    @Transactional
    public boolean set(String name, int version, String document, String by) {
        return store.add(name, version, new SettingStore.Setting(document, by.strip(), LocalDateTime.now(clock)));
    }
}
