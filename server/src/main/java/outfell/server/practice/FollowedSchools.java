package outfell.server.practice;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.conflict.Conflicts;
import outfell.conflict.Meeting;
import outfell.knowledge.Because;
import outfell.knowledge.RuleId;
import outfell.server.problem.Clash;
import outfell.server.problem.Problem;

/** Which school the practice follows where they differ on what may meet. */
@Service
public class FollowedSchools {
    private static final String PREFIX = "school/";
    private static final String OTHER = "other";
    private static final String SHIPPED = "shipped";

    /**
     * A row on which schools differ.
     *
     * @param followsOther whether the practice follows the other school
     * @param version how often that was said
     * @param by who said so last; absent while nobody has
     */
    public record DebatedView(
            String id,
            String name,
            Because because,
            Meeting meeting,
            String otherSchool,
            Meeting otherMeeting,
            boolean followsOther,
            int version,
            @Schema(types = {"string", "null"}) @Nullable String by,
            @Schema(types = {"string", "null"}) @Nullable LocalDateTime at) {}

    private final SettingStore store;
    private final Clock clock;

    FollowedSchools(SettingStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    public Conflicts current() {
        return Conflicts.following(others(store.under(PREFIX)));
    }

    public List<DebatedView> view() {
        Map<String, List<SettingStore.Setting>> set = store.under(PREFIX);
        Set<RuleId> others = others(set);
        return Conflicts.debated().stream()
                .map(d -> {
                    Optional<SettingStore.Setting> last =
                            set.getOrDefault(d.id().value(), List.of()).stream().findFirst();
                    return new DebatedView(
                            d.id().value(),
                            d.name(),
                            d.because(),
                            d.shipped(),
                            d.otherSchool(),
                            d.other(),
                            others.contains(d.id()),
                            set.getOrDefault(d.id().value(), List.of()).size(),
                            last.map(SettingStore.Setting::by).orElse(null),
                            last.map(SettingStore.Setting::at).orElse(null));
                })
                .toList();
    }

    /** @throws Problem when schools do not differ on it */
    @Transactional
    public List<DebatedView> follow(String id, boolean other, String by, int version) {
        if (Conflicts.debated().stream().noneMatch(d -> d.id().value().equals(id))) {
            throw Problem.notFound("debated meeting", id);
        }
        String to = other ? OTHER : SHIPPED;
        List<SettingStore.Setting> before = store.of(PREFIX + id);
        if (!before.isEmpty()
                && before.size() == version + 1
                && before.getFirst().to().equals(to)) {
            return view();
        }
        if (!store.add(PREFIX + id, version, new SettingStore.Setting(to, by.strip(), LocalDateTime.now(clock)))) {
            throw new Clash("This row", view());
        }
        return view();
    }

    private static Set<RuleId> others(Map<String, List<SettingStore.Setting>> set) {
        Set<RuleId> others = new HashSet<>();
        for (Conflicts.Debated d : Conflicts.debated()) {
            // a row that a later version no longer debates is followed as it ships
            boolean other = set.getOrDefault(d.id().value(), List.of()).stream()
                    .findFirst()
                    .filter(s -> s.to().equals(OTHER))
                    .isPresent();
            if (other) {
                others.add(d.id());
            }
        }
        return others;
    }
}
