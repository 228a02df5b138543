package outfell.server.calendar;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import outfell.safety.PatchTest;
import outfell.server.client.ClientStore.Client;
import outfell.server.client.Clients;
import outfell.server.patch.Patches;
import outfell.server.practice.House;
import outfell.server.visit.VisitStore.Visit;
import outfell.server.visit.VisitWeeks;
import outfell.server.visit.Visits;

/** The calendar file of a visit's plan. */
@RestController
@RequestMapping("/api/visits/{id}/calendar.ics")
class CalendarController {
    private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);

    private final Visits visits;
    private final VisitWeeks weeks;
    private final Clients clients;
    private final Patches patches;
    private final House house;
    private final Clock clock;

    CalendarController(Visits visits, VisitWeeks weeks, Clients clients, Patches patches, House house, Clock clock) {
        this.visits = visits;
        this.weeks = weeks;
        this.clients = clients;
        this.patches = patches;
        this.house = house;
        this.clock = clock;
    }

    /** Evenings, check-ins, patch readings and the review; taken in again, it takes the place of an earlier one. */
    @GetMapping
    ResponseEntity<String> file(@PathVariable UUID id) {
        Visit visit = visits.find(id);
        Client client = clients.get(visit.client());
        LocalDateTime next = client.nextVisit();
        String text = CalendarFile.write(new CalendarFile.Facts(
                client.id(),
                house.view().details().name(),
                weeks.weeks(id),
                readings(client.id()),
                next != null && next.isAfter(LocalDateTime.now(clock)) ? next : null,
                clock.instant()));
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("evenings-%s.ics".formatted(visit.date()))
                                .build()
                                .toString())
                .body(text);
    }

    /** What of open tests is still to be read. */
    private List<CalendarFile.PatchReading> readings(UUID client) {
        LocalDateTime now = LocalDateTime.now(clock);
        return patches.view(client).tests().stream()
                .filter(t -> t.verdict().standing() == PatchTest.Standing.OPEN)
                .flatMap(t -> IntStream.range(0, t.schedule().size())
                        .filter(i -> t.schedule().get(i).isAfter(now))
                        .mapToObj(i -> new CalendarFile.PatchReading(
                                t.id(), i + 1, t.name(), t.schedule().get(i))))
                .toList();
    }
}
