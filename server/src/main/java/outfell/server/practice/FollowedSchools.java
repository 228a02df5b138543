package outfell.server.practice;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.conflict.Conflicts;
import outfell.conflict.Meeting;
import outfell.knowledge.Because;
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
            @Schema(types = {"string", "null"}) @Nullable String by,
            @Schema(types = {"string", "null"}) @Nullable LocalDateTime at) {}

    private final SettingStore store;
    private final Clock clock;

    FollowedSchools(SettingStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    public Conflicts current() {
        return Conflicts.following(others());
    }

    public List<DebatedView> view() {
        Set<String> others = others();
        return Conflicts.debated().stream()
                .map(d -> {
                    Optional<SettingStore.Setting> last =
                            store.of(PREFIX + d.id()).stream().findFirst();
                    return new DebatedView(
                            d.id(),
                            d.name(),
                            d.because(),
                            d.shipped(),
                            d.otherSchool(),
                            d.other(),
                            others.contains(d.id()),
                            last.map(SettingStore.Setting::by).orElse(null),
                            last.map(SettingStore.Setting::at).orElse(null));
                })
                .toList();
    }

    /** @throws Problem when schools do not differ on it */
    @Transactional
    public List<DebatedView> follow(String id, boolean other, String by) {
        if (Conflicts.debated().stream().noneMatch(d -> d.id().equals(id))) {
            throw Problem.notFound("debated meeting", id);
        }
        store.add(PREFIX + id, new SettingStore.Setting(other ? OTHER : SHIPPED, by.strip(), LocalDateTime.now(clock)));
        return view();
    }

    private Set<String> others() {
        Set<String> others = new HashSet<>();
        store.newest(PREFIX).forEach((name, to) -> {
            String id = name.substring(PREFIX.length());
            // a row that a later version no longer debates is followed as it ships
            if (to.equals(OTHER) && Conflicts.debated().stream().anyMatch(d -> d.id().equals(id))) {
                others.add(id);
            }
        });
        return others;
    }
}
