package outfell.server.practice;

import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.server.practice.HouseStore.MarkKept;
import outfell.server.practice.HouseStore.Worker;
import outfell.server.problem.Clash;
import outfell.server.problem.Problem;
import tools.jackson.databind.json.JsonMapper;

/** The practice itself: what it is called, how it is reached, how it writes, who works there. */
@Service
public class House {
    private static final String NAME = "details";
    /** A mark is printed small; more than this is a photograph. */
    private static final int MOST_MARK_BYTES = 512 * 1024;

    /** How a day is written. */
    public enum Dates {
        DAY_MONTH_YEAR,
        MONTH_DAY_YEAR,
        YEAR_MONTH_DAY
    }

    /** In what small amounts are told. */
    public enum Volume {
        ML,
        FL_OZ
    }

    /** In what warmth is told. */
    public enum Temperature {
        CELSIUS,
        FAHRENHEIT
    }

    /**
     * @param language of the screens, such as "en"
     * @param clock24 whether the afternoon is 13 to 23
     */
    public record Formats(
            String language, Dates dates, boolean clock24, DayOfWeek firstDay, Volume volume, Temperature temperature) {
        static final Formats USUAL =
                new Formats("en", Dates.DAY_MONTH_YEAR, true, DayOfWeek.MONDAY, Volume.ML, Temperature.CELSIUS);
    }

    /** What stands on the sheet and on the doctor's note. */
    public record Details(String name, String address, String telephone, String hours, Formats formats) {
        static final Details NONE = new Details("", "", "", "", Formats.USUAL);
    }

    /**
     * The practice as shown.
     *
     * @param version how often the details were set
     * @param mark the media type of its mark; empty while it has none
     * @param markVersion changes with the mark
     * @param workers who works here now, by name
     */
    public record HouseView(
            Details details,
            int version,
            @Schema(types = {"string", "null"}) @Nullable String by,
            @Schema(types = {"string", "null"}) @Nullable LocalDateTime at,
            String mark,
            String markVersion,
            List<Worker> workers) {}

    private final SettingStore settings;
    private final HouseStore store;
    private final JsonMapper json;
    private final Clock clock;

    House(SettingStore settings, HouseStore store, JsonMapper json, Clock clock) {
        this.settings = settings;
        this.store = store;
        this.json = json;
        this.clock = clock;
    }

    public HouseView view() {
        List<SettingStore.Setting> set = settings.of(NAME);
        Optional<SettingStore.Setting> last = set.stream().findFirst();
        Optional<MarkKept> mark = store.mark();
        return new HouseView(
                last.map(s -> json.readValue(s.to(), Details.class)).orElse(Details.NONE),
                set.size(),
                last.map(SettingStore.Setting::by).orElse(null),
                last.map(SettingStore.Setting::at).orElse(null),
                mark.map(MarkKept::mediaType).orElse(""),
                mark.map(m -> m.at().toString()).orElse(""),
                store.workers());
    }

    /** @throws Clash when somebody else has set them since this version was read */
    @Transactional
    public HouseView set(Details details, String by, int version) {
        HouseView before = view();
        if (before.details().equals(details)) {
            return before;
        }
        SettingStore.Setting next =
                new SettingStore.Setting(json.writeValueAsString(details), by.strip(), LocalDateTime.now(clock));
        if (!settings.add(NAME, version, next)) {
            throw new Clash("The practice's page", view());
        }
        return view();
    }

    public Optional<MarkKept> mark() {
        return store.mark();
    }

    /** @throws Problem when it is neither a PNG nor a plain SVG */
    @Transactional
    public HouseView setMark(byte[] picture, String by) {
        if (picture.length > MOST_MARK_BYTES) {
            throw Problem.field("/mark", "The mark is larger than 512 kB; a small drawing is enough for the sheet.");
        }
        store.setMark(new MarkKept(mediaType(picture), picture, by, LocalDateTime.now(clock)));
        return view();
    }

    @Transactional
    public HouseView dropMark() {
        store.dropMark();
        return view();
    }

    /** By what it holds, not by what it is called; a drawing that could run a script is none. */
    private static String mediaType(byte[] picture) {
        if (picture.length > 8
                && picture[0] == (byte) 0x89
                && picture[1] == 'P'
                && picture[2] == 'N'
                && picture[3] == 'G') {
            return "image/png";
        }
        String text = new String(picture, StandardCharsets.UTF_8).stripLeading();
        String small = text.toLowerCase(java.util.Locale.ROOT);
        boolean svg = (small.startsWith("<svg") || small.startsWith("<?xml") || small.startsWith("<!--"))
                && small.contains("<svg");
        boolean plain = !small.contains("<script")
                && !small.contains("<foreignobject")
                && !small.contains("<!entity")
                && !small.contains("href")
                && !small.matches("(?s).*\\son[a-z]+\\s*=.*");
        if (svg && plain) {
            return "image/svg+xml";
        }
        throw Problem.field(
                "/mark",
                svg
                        ? "This drawing refers to something outside itself or holds a script; save it as a plain SVG."
                        : "The mark is neither a PNG nor an SVG picture.");
    }

    /** A name that was here before works here again. */
    @Transactional
    public HouseView join(String name) {
        String known = name.strip();
        if (store.workers().stream().noneMatch(w -> w.name().equalsIgnoreCase(known))) {
            store.join(known);
        }
        return view();
    }

    /** What somebody signed stays signed; the name is no longer offered. */
    @Transactional
    public HouseView leave(UUID id) {
        store.leave(id, LocalDate.now(clock));
        return view();
    }
}
