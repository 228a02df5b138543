package outfell.server.practice;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import outfell.consultation.Consultation;
import outfell.consultation.OwnRule;
import outfell.consultation.Yardstick;
import outfell.knowledge.Because;

/** The rules that the practice has otherwise than they ship, and who made them so. */
@Service
public class OwnRules {
    /**
     * One of them.
     *
     * @param because how it stands, in place of what, with the row that it is about
     * @param by who set it last; absent where that is not known
     */
    public record OwnRuleView(
            Because because,
            @Schema(types = {"string", "null"}) @Nullable String by,
            @Schema(types = {"string", "null"}) @Nullable LocalDateTime at) {}

    private record Signed(String by, LocalDateTime at) {}

    private final Bands bands;
    private final Yardsticks yardsticks;
    private final FollowedSchools schools;

    OwnRules(Bands bands, Yardsticks yardsticks, FollowedSchools schools) {
        this.bands = bands;
        this.yardsticks = yardsticks;
        this.schools = schools;
    }

    public List<OwnRuleView> view() {
        Consultation.House house = new Consultation.House(
                bands.current(), yardsticks.current(), schools.current(), Consultation.House.SHIPPED.currency());
        List<OwnRule> own = OwnRule.between(Consultation.House.SHIPPED, house);
        Map<String, Signed> signed = own.isEmpty() ? Map.of() : signed();
        return own.stream()
                .map(rule -> {
                    Signed by = rule.because().rule().map(signed::get).orElse(null);
                    return new OwnRuleView(rule.because(), by == null ? null : by.by(), by == null ? null : by.at());
                })
                .toList();
    }

    /** Who last set what, by the place of its row. */
    private Map<String, Signed> signed() {
        Map<String, Signed> all = new HashMap<>();
        bands.view()
                .forEach(b -> b.changes().stream()
                        .findFirst()
                        .ifPresent(c -> b.because().rule().ifPresent(at -> all.put(at, new Signed(c.by(), c.at())))));
        Map<String, Yardsticks.YardstickView> set =
                yardsticks.view().stream().collect(Collectors.toMap(Yardsticks.YardstickView::id, y -> y));
        for (Yardstick.Setting setting : Yardstick.settings()) {
            Objects.requireNonNull(set.get(setting.id())).changes().stream()
                    .findFirst()
                    .ifPresent(c -> setting.because().rule().ifPresent(at -> all.put(at, new Signed(c.by(), c.at()))));
        }
        for (FollowedSchools.DebatedView d : schools.view()) {
            if (d.by() != null && d.at() != null) {
                Signed by = new Signed(d.by(), d.at());
                d.because().rule().ifPresent(at -> all.put(at, by));
            }
        }
        return all;
    }
}
