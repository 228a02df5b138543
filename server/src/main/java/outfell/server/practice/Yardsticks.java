package outfell.server.practice;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.consultation.Yardstick;
import outfell.server.problem.Clash;
import outfell.server.problem.Problem;

/** By what the practice chooses: the shipped yardstick with what the practice has set over it. */
@Service
public class Yardsticks {
    private static final String PREFIX = "yardstick/";

    /**
     * A setting as shown.
     *
     * @param onOff whether it is a switch, 1 for on
     * @param changes newest first; none while the shipped value stands
     */
    public record YardstickView(
            String id,
            String group,
            String words,
            double value,
            double shipped,
            double least,
            double most,
            boolean onOff,
            List<YardstickChange> changes) {}

    /** Who set it when. */
    public record YardstickChange(double value, String by, LocalDateTime at) {}

    private final SettingStore store;
    private final Clock clock;

    Yardsticks(SettingStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    public Yardstick current() {
        return Yardstick.with(own());
    }

    public List<YardstickView> view() {
        Map<String, List<SettingStore.Setting>> set = store.under(PREFIX);
        return Yardstick.settings().stream()
                .map(s -> {
                    List<YardstickChange> changes = changes(set.getOrDefault(s.id(), List.of()));
                    return new YardstickView(
                            s.id(),
                            s.group(),
                            s.words(),
                            changes.isEmpty() ? s.shipped() : changes.getFirst().value(),
                            s.shipped(),
                            s.least(),
                            s.most(),
                            s.onOff(),
                            changes);
                })
                .toList();
    }

    /** @throws Problem when there is no such setting, or the value lies outside its range */
    @Transactional
    public List<YardstickView> set(String id, double value, String by, int version) {
        Map<String, Double> all = own();
        all.put(id, value);
        try {
            Yardstick.with(all);
        } catch (IllegalArgumentException outside) {
            throw Problem.field("/value", String.valueOf(outside.getMessage()));
        }
        List<SettingStore.Setting> before = store.of(PREFIX + id);
        if (!before.isEmpty()
                && before.size() == version + 1
                && Double.parseDouble(before.getFirst().to()) == value) {
            return view();
        }
        SettingStore.Setting next =
                new SettingStore.Setting(String.valueOf(value), by.strip(), LocalDateTime.now(clock));
        if (!store.add(PREFIX + id, version, next)) {
            throw new Clash("This weight", view());
        }
        return view();
    }

    private Map<String, Double> own() {
        Set<String> known =
                Yardstick.settings().stream().map(Yardstick.Setting::id).collect(Collectors.toSet());
        Map<String, Double> own = new LinkedHashMap<>();
        // what was set of a weight that there is no more says nothing now; it stays in the record
        store.under(PREFIX).forEach((id, all) -> {
            if (known.contains(id)) {
                own.put(id, Double.valueOf(all.getFirst().to()));
            }
        });
        return own;
    }

    private static List<YardstickChange> changes(List<SettingStore.Setting> settings) {
        return settings.stream()
                .map(s -> new YardstickChange(Double.parseDouble(s.to()), s.by(), s.at()))
                .toList();
    }
}
