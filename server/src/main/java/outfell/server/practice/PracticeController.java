package outfell.server.practice;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import outfell.skin.ProbeBands;

/** Settings of the practice. */
@RestController
@RequestMapping("/api/practice")
class PracticeController {
    /** @param version how often the band had been set when this was typed */
    record BandForm(
            @NotNull(message = "Say where low ends.") Double low,
            @NotNull(message = "Say where high begins.") Double high,
            int version,

            @NotBlank(message = "Say who changes it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String by) {}

    record CurrencyForm(
            @NotBlank(message = "Say which currency.")
            @Size(max = 3, message = "A currency is three letters, such as EUR.")
            String code,

            int version,

            @NotBlank(message = "Say who changes it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String by) {}

    record YardstickForm(
            @NotNull(message = "Say how much.") Double value,
            int version,

            @NotBlank(message = "Say who changes it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String by) {}

    record SchoolForm(
            boolean other,
            int version,

            @NotBlank(message = "Say who changes it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String by) {}

    private final Bands bands;
    private final Settings settings;
    private final Yardsticks yardsticks;
    private final FollowedSchools schools;
    private final OwnRules own;

    PracticeController(Bands bands, Settings settings, Yardsticks yardsticks, FollowedSchools schools, OwnRules own) {
        this.bands = bands;
        this.settings = settings;
        this.yardsticks = yardsticks;
        this.schools = schools;
        this.own = own;
    }

    /** The rules that the practice has otherwise than they ship. */
    @GetMapping("/own-rules")
    List<OwnRules.OwnRuleView> ownRules() {
        return own.view();
    }

    /** Rows of what may meet on which schools differ. */
    @GetMapping("/schools")
    List<FollowedSchools.DebatedView> schools() {
        return schools.view();
    }

    @PutMapping("/schools/{id}")
    List<FollowedSchools.DebatedView> follow(@PathVariable String id, @RequestBody @Valid SchoolForm form) {
        return schools.follow(id, form.other(), form.by(), form.version());
    }

    @GetMapping("/yardstick")
    List<Yardsticks.YardstickView> yardstick() {
        return yardsticks.view();
    }

    @PutMapping("/yardstick/{id}")
    List<Yardsticks.YardstickView> setYardstick(@PathVariable String id, @RequestBody @Valid YardstickForm form) {
        return yardsticks.set(id, form.value(), form.by(), form.version());
    }

    @GetMapping("/currency")
    Settings.CurrencyView currency() {
        return settings.currencyView();
    }

    @PutMapping("/currency")
    Settings.CurrencyView setCurrency(@RequestBody @Valid CurrencyForm form) {
        return settings.setCurrency(form.code(), form.by(), form.version());
    }

    @GetMapping("/probe-bands")
    List<Bands.BandView> bands() {
        return bands.view();
    }

    @PutMapping("/probe-bands/{band}")
    List<Bands.BandView> set(@PathVariable ProbeBands.Band band, @RequestBody @Valid BandForm form) {
        return bands.set(band, form.low(), form.high(), form.by(), form.version());
    }
}
