package outfell.server.calendar;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Collectors;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;
import org.jspecify.annotations.Nullable;
import outfell.regimen.Weeks;

/**
 * Evenings, check-ins, patch readings and the review as a calendar (RFC 5545). Every evening of the weeks is one entry whose name
 * stays the same, so that a newer file takes the place of an older one whatever has changed; hours are those of the clock on the
 * wall, so that a clock change moves none of them.
 */
final class CalendarFile {
    /**
     * @param patchReadings when a patch test is to be read, by product
     * @param review the next appointment
     * @param written the moment; a later one is a newer version
     */
    record Facts(
            UUID client,
            String practice,
            Weeks weeks,
            List<PatchReading> patchReadings,
            @Nullable LocalDateTime review,
            Instant written) {}

    record PatchReading(UUID test, int nth, String product, LocalDateTime at) {}

    private static final LocalTime EVENING = LocalTime.of(21, 0);
    private static final LocalTime NOON = LocalTime.NOON;
    private static final int QUARTER = 15;
    private static final int HOUR = 60;
    /** Versions are counted in minutes from here. */
    private static final Instant FIRST = Instant.parse("2026-01-01T00:00:00Z");

    private final Facts facts;
    private final Calendar calendar;

    private CalendarFile(Facts facts) {
        this.facts = facts;
        this.calendar = new Calendar()
                .withProdId("-//Outfell//Evenings//EN")
                .withDefaults()
                .withProperty(ImmutableMethod.PUBLISH)
                .getFluentTarget();
    }

    static String write(Facts facts) {
        CalendarFile file = new CalendarFile(facts);
        file.evenings();
        file.checkIns();
        file.patchReadings();
        file.review();
        try {
            StringWriter text = new StringWriter();
            new CalendarOutputter(true).output(file.calendar, text);
            return text.toString();
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
    }

    private void evenings() {
        for (Weeks.Evening e : facts.weeks().evenings()) {
            if (!e.date().isBefore(facts.weeks().now())) {
                event(
                        "evening-" + e.date(),
                        e.date().atTime(EVENING),
                        (int) Math.ceil(e.minutes()),
                        summary(e),
                        description(e));
            }
        }
    }

    private static String summary(Weeks.Evening e) {
        if (e.calm()) {
            return e.uses().stream()
                    .map(u -> ", " + u.name())
                    .collect(Collectors.joining("", "Skin: calm evening", ""));
        }
        return e.uses().isEmpty()
                ? "Skin: rest"
                : "Skin: " + e.uses().stream().map(Weeks.UsedThen::name).collect(Collectors.joining(", "));
    }

    private String description(Weeks.Evening e) {
        List<String> lines = new ArrayList<>();
        facts.weeks()
                .tracks()
                .forEach(t -> t.turns().stream()
                        .filter(turn -> turn.from().equals(e.date()))
                        .forEach(turn -> lines.add("From today %s: %s.".formatted(t.name(), turn.nights()))));
        e.maybe().forEach(m -> lines.add("%s %s.".formatted(m.name(), m.when())));
        e.leftOut()
                .forEach(l -> lines.add(
                        "Without %s: %s".formatted(l.name(), l.because().sentence())));
        e.rest().ifPresent(r -> lines.add(r.sentence()));
        lines.add("%s. If it burns for more than a minute: rinse, stop, ring us.".formatted(facts.practice()));
        return String.join("\n", lines);
    }

    private void checkIns() {
        List<LocalDate> due = facts.weeks().dueCheckIns();
        for (int i = 0; i < due.size(); i++) {
            event(
                    "check-in-%d".formatted(i + 1),
                    due.get(i).atTime(NOON),
                    QUARTER,
                    "Skin: check-in",
                    "Stinging, redness, flaking, each from 0 to 4, and how many evenings were left out. Ring %s."
                            .formatted(facts.practice()));
        }
    }

    private void patchReadings() {
        facts.patchReadings()
                .forEach(r -> event(
                        "patch-%s-%d".formatted(r.test(), r.nth()),
                        r.at(),
                        QUARTER,
                        "Skin: read the patch test",
                        "%s: look at the place in good light; it is not used on the face before."
                                .formatted(r.product())));
    }

    private void review() {
        LocalDateTime review = facts.review();
        if (review != null) {
            event("review", review, HOUR, facts.practice(), "Bring what you use, or a picture of each label.");
        }
    }

    private void event(String name, LocalDateTime at, int minutes, String summary, String description) {
        VEvent event = new VEvent(at, at.plusMinutes(Math.max(1, minutes)), summary);
        event.getProperties(DtStamp.DTSTAMP).forEach(event::remove);
        event.add(new DtStamp(facts.written()));
        event.add(new Uid("%s-%s@outfell".formatted(name, facts.client()).toLowerCase(Locale.ROOT)));
        event.add(new Sequence((int) ((facts.written().getEpochSecond() - FIRST.getEpochSecond()) / 60)));
        event.add(new Description(description));
        event.add(new Transp(ImmutableTransp.VALUE_TRANSPARENT));
        calendar.add(event);
    }
}
