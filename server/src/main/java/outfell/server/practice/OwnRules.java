package outfell.server.practice;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import outfell.consultation.Consultation;
import outfell.consultation.OwnRule;
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
        return OwnRule.between(Consultation.House.SHIPPED, house).stream()
                .map(rule -> {
                    Optional<Signed> signed = rule.because().rule().flatMap(this::signed);
                    return new OwnRuleView(
                            rule.because(),
                            signed.map(Signed::by).orElse(null),
                            signed.map(Signed::at).orElse(null));
                })
                .toList();
    }

    /** @param place of a row, as its reason names it */
    private Optional<Signed> signed(String place) {
        String id = place.substring(place.lastIndexOf('/') + 1);
        return bands.view().stream()
                .filter(b -> b.because().rule().filter(place::equals).isPresent())
                .flatMap(b -> b.changes().stream())
                .findFirst()
                .map(c -> new Signed(c.by(), c.at()))
                .or(() -> yardsticks.view().stream()
                        .filter(y -> place.startsWith("yardstick.yaml/") && y.id().equals(id))
                        .flatMap(y -> y.changes().stream())
                        .findFirst()
                        .map(c -> new Signed(c.by(), c.at())))
                .or(() -> schools.view().stream()
                        .filter(d -> d.because().rule().filter(place::equals).isPresent())
                        .flatMap(d -> d.by() == null || d.at() == null
                                ? Stream.empty()
                                : Stream.of(new Signed(d.by(), d.at())))
                        .findFirst());
    }
}
