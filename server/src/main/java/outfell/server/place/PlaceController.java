package outfell.server.place;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Month;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import outfell.climate.MonthlyAir;
import outfell.climate.PlaceAsked;
import outfell.climate.PlaceAsked.Summer;
import outfell.climate.PlaceAsked.Sun;
import outfell.climate.PlaceAsked.Wind;
import outfell.climate.PlaceAsked.Winter;
import outfell.server.exchange.MonthTable;
import outfell.server.problem.Problem;

/** Places: those that ship, and the practice's own. */
@RestController
@RequestMapping("/api/places")
class PlaceController {
    /** One month as it is typed. */
    record MonthForm(
            @NotNull(message = "Each month needs its warmth in °C.")
            Double celsius,

            @NotNull(message = "Each month needs its humidity in %.")
            Double humidity,

            @NotNull(message = "Each month needs its wind in m/s.")
            Double wind,

            @NotNull(message = "Each month needs its UV index.")
            Double uvIndex) {}

    record PlaceForm(
            @NotBlank(message = "Give the place a name.")
            @Size(max = 60, message = "The name is too long; allowed is 60 characters.")
            String name,

            @NotNull(message = "A note may be empty, but is needed.")
            @Size(max = 160, message = "The note is too long; allowed is 160 characters.")
            String note,

            @NotNull(message = "A place needs its twelve months.")
            @Size(min = 12, max = 12, message = "A place needs its twelve months, January first.")
            @Valid
            List<MonthForm> months,

            @NotBlank(message = "Say who changes it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String by,

            int version) {}

    record OfferedForm(
            int version,

            boolean offered,

            @NotBlank(message = "Say who changes it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String by) {}

    /** Three questions and the wind, for who knows no table. */
    record AskedForm(
            @NotNull(message = "Say which month is the coldest.")
            Month coldest,

            @NotNull(message = "Say how the coldest month is.")
            Winter winter,

            @NotNull(message = "Say which month is the hottest.")
            Month hottest,

            @NotNull(message = "Say how the hottest month is.")
            Summer summer,

            @NotNull(message = "Say how strong the midday sun gets.")
            Sun sun,

            @NotNull(message = "Say how windy it is.") Wind wind) {}

    record TableForm(
            @NotBlank(message = "The table is empty.")
            @Size(max = 20000, message = "That is more than a table of twelve months.")
            String text) {}

    /** All places, where the practice is, and the answers by which a place is made. */
    record PlacesView(
            List<Places.PlaceView> places, Places.HomeView home, Map<String, List<PlaceAsked.PlaceAnswer>> questions) {}

    record HomeForm(
            @NotBlank(message = "Say which place it is.") String place,

            @NotBlank(message = "Say who changes it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String by,

            int version) {}

    private final Places places;

    PlaceController(Places places) {
        this.places = places;
    }

    @GetMapping
    PlacesView places() {
        return new PlacesView(
                places.view(),
                places.homeView(),
                Stream.of("winters", "summers", "suns", "winds")
                        .collect(Collectors.toMap(
                                q -> q, PlaceAsked::choices, (a, _) -> a, java.util.LinkedHashMap::new)));
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Places.PlaceView add(@RequestBody @Valid PlaceForm form) {
        return places.add(form.name(), form.note(), months(form.months()), form.by());
    }

    @PutMapping("/{id}")
    Places.PlaceView change(@PathVariable String id, @RequestBody @Valid PlaceForm form) {
        return places.change(id, form.name(), form.note(), months(form.months()), form.by(), form.version());
    }

    /** Where the practice is. */
    @PutMapping("/home")
    Places.HomeView setHome(@RequestBody @Valid HomeForm form) {
        return places.setHome(form.place(), form.by(), form.version());
    }

    /** Whether it is offered for clients. */
    @PutMapping("/{id}/offered")
    Places.PlaceView offer(@PathVariable String id, @RequestBody @Valid OfferedForm form) {
        return places.offer(id, form.offered(), form.by(), form.version());
    }

    /** Twelve months from answers, to be looked at and mended before they are kept. */
    @PostMapping("/asked")
    List<MonthlyAir> asked(@RequestBody @Valid AskedForm f) {
        if (f.coldest() == f.hottest()) {
            throw Problem.field("/hottest", "The coldest month cannot be the hottest one, too.");
        }
        return new PlaceAsked(f.coldest(), f.winter(), f.hottest(), f.summer(), f.sun(), f.wind()).months();
    }

    /** Twelve months from a table of a spreadsheet, likewise. */
    @PostMapping("/table")
    List<MonthlyAir> table(@RequestBody @Valid TableForm form) {
        return MonthTable.read(form.text());
    }

    private static List<MonthlyAir> months(List<MonthForm> typed) {
        return IntStream.range(0, typed.size())
                .mapToObj(i -> month(i, typed.get(i)))
                .toList();
    }

    private static MonthlyAir month(int i, MonthForm m) {
        try {
            return new MonthlyAir(m.celsius(), m.humidity(), m.wind(), m.uvIndex());
        } catch (IllegalArgumentException outside) {
            throw Problem.field(
                    "/months/%d".formatted(i),
                    "%s: %s"
                            .formatted(
                                    Month.of(i + 1)
                                            .getDisplayName(java.time.format.TextStyle.FULL, java.util.Locale.UK),
                                    outside.getMessage()));
        }
    }
}
