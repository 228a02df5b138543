package outfell.server.place;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.climate.MonthlyAir;
import outfell.climate.Site;
import outfell.climate.SiteId;
import outfell.climate.Sites;
import outfell.server.practice.SignedSettings;
import outfell.server.problem.Clash;
import outfell.server.problem.Problem;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The places whose air plans are made for: those that ship, and the practice's own. */
@Service
public class Places {
    private static final String PREFIX = "place/";
    private static final String HOME = "home-place";
    private static final String UNREADABLE =
            "What is stored of this place cannot be read. It is kept as it is; set the place up anew under a name of its own.";

    /**
     * A place as shown.
     *
     * @param own whether the practice made it, so that it may be changed
     * @param offered whether it is offered for a client; visits that have it keep it
     * @param version how often it was set; 0 for one that ships
     * @param months January first; none when what is stored cannot be read
     * @param by who set it last; absent for one that ships
     */
    public record PlaceView(
            String id,
            String name,
            String note,
            boolean own,
            boolean offered,
            int version,
            List<MonthlyAir> months,
            @Schema(types = {"string", "null"}) @Nullable String by,
            @Schema(types = {"string", "null"}) @Nullable LocalDateTime at) {
        Site site() {
            return new Site(new SiteId(id), name, note, months);
        }

        private boolean legible() {
            return !months.isEmpty();
        }
    }

    /** What is kept of one. */
    record Kept(String name, String note, boolean offered, List<MonthlyAir> months) {
        Kept {
            if (name == null || note == null || months == null || months.size() != 12 || months.contains(null)) {
                throw new IllegalArgumentException("A place has a name, a note and twelve months.");
            }
            months = List.copyOf(months);
        }
    }

    /**
     * Where the practice is.
     *
     * @param place its id; absent while nobody has said
     * @param version how often it was set
     */
    public record HomeView(
            @Schema(types = {"string", "null"}) @Nullable String place, int version) {}

    /** What is kept of it. */
    record KeptHome(String place) {}

    private final SignedSettings settings;
    private final JsonMapper json;

    Places(SignedSettings settings, JsonMapper json) {
        this.settings = settings;
        this.json = json;
    }

    /** Those that ship, then the practice's by name. */
    public List<PlaceView> view() {
        return Stream.concat(
                        Sites.all().stream().map(Places::shipped),
                        settings.under(PREFIX).entrySet().stream()
                                .map(this::own)
                                .sorted(Comparator.comparing(
                                                (PlaceView p) -> p.name().toLowerCase())
                                        .thenComparing(PlaceView::id)))
                .toList();
    }

    public Optional<Site> find(String id) {
        return Sites.find(id)
                .or(() -> settings.of(PREFIX + id)
                        .map(s -> own(Map.entry(id, s)))
                        .filter(PlaceView::legible)
                        .map(PlaceView::site));
    }

    /** @throws Problem when there is none of that id, or what is stored of it cannot be read */
    public Site get(String id) {
        return find(id).orElseThrow(() -> Problem.field("/intake/site", missing(id)));
    }

    private String missing(String id) {
        return settings.of(PREFIX + id).isPresent()
                ? UNREADABLE
                : "There is no place %s; there are %s."
                        .formatted(
                                id,
                                view().stream()
                                        .filter(PlaceView::offered)
                                        .map(PlaceView::name)
                                        .toList());
    }

    public HomeView homeView() {
        return settings.of(HOME)
                .map(s -> new HomeView(
                        json.readValue(s.document(), KeptHome.class).place(), s.version()))
                .orElse(new HomeView(null, 0));
    }

    /** Where the practice is; nothing while nobody has said, or what is stored of that place cannot be read. */
    public Optional<Site> home() {
        return Optional.ofNullable(homeView().place()).flatMap(this::find);
    }

    /** @throws Problem when there is no such place; @throws Clash when it was set meanwhile */
    @Transactional
    public HomeView setHome(String place, String by, int version) {
        if (find(place).isEmpty()) {
            throw Problem.field("/place", missing(place));
        }
        if (!settings.set(HOME, version, json.writeValueAsString(new KeptHome(place)), by)) {
            throw new Clash("Where the practice is", homeView());
        }
        return homeView();
    }

    @Transactional
    public PlaceView add(String name, String note, List<MonthlyAir> months, String by) {
        nameIsFree("", name);
        String id = "own-" + UUID.randomUUID().toString().substring(0, 13);
        return set(id, 0, new Kept(name.strip(), note.strip(), true, months), by);
    }

    /** @throws Problem when it ships or is not there, or its name is taken */
    @Transactional
    public PlaceView change(String id, String name, String note, List<MonthlyAir> months, String by, int version) {
        PlaceView before = ownOf(id);
        nameIsFree(id, name);
        return set(id, version, new Kept(name.strip(), note.strip(), before.offered(), months), by);
    }

    /** Takes it from the choice, or puts it back; visits that have it keep it. */
    @Transactional
    public PlaceView offer(String id, boolean offered, String by, int version) {
        PlaceView b = ownOf(id);
        return set(id, version, new Kept(b.name(), b.note(), offered, b.months()), by);
    }

    private PlaceView set(String id, int version, Kept kept, String by) {
        boolean still = settings.set(PREFIX + id, version, json.writeValueAsString(kept), by);
        PlaceView now = own(Map.entry(id, settings.of(PREFIX + id).orElseThrow()));
        if (!still) {
            throw new Clash("This place", now);
        }
        return now;
    }

    private PlaceView ownOf(String id) {
        if (Sites.find(id).isPresent()) {
            throw Problem.refused("shipped-place", "A place that ships stays as it is: copy it, and change the copy.");
        }
        PlaceView place = settings.of(PREFIX + id)
                .map(s -> own(Map.entry(id, s)))
                .orElseThrow(() -> Problem.notFound("place", id));
        if (!place.legible()) {
            throw Problem.refused("unreadable-place", UNREADABLE);
        }
        return place;
    }

    private void nameIsFree(String id, String name) {
        boolean taken =
                view().stream().anyMatch(p -> !p.id().equals(id) && p.name().equalsIgnoreCase(name.strip()));
        if (taken) {
            throw Problem.field("/name", "There is a place called %s already.".formatted(name.strip()));
        }
    }

    private static PlaceView shipped(Site s) {
        return new PlaceView(s.id().value(), s.name(), s.note(), false, true, 0, s.months(), null, null);
    }

    /** One that cannot be read is a line that says so, and is not offered: the others go on. */
    private PlaceView own(Map.Entry<String, SignedSettings.Signed> e) {
        try {
            Kept kept = json.readValue(e.getValue().document(), Kept.class);
            return own(e, kept.name(), kept.note(), kept.offered(), kept.months());
        } catch (JacksonException unreadable) {
            return own(e, "A place that cannot be read", UNREADABLE, false, List.of());
        }
    }

    private static PlaceView own(
            Map.Entry<String, SignedSettings.Signed> e,
            String name,
            String note,
            boolean offered,
            List<MonthlyAir> months) {
        return new PlaceView(
                e.getKey(),
                name,
                note,
                true,
                offered,
                e.getValue().version(),
                months,
                e.getValue().by(),
                e.getValue().at());
    }
}
