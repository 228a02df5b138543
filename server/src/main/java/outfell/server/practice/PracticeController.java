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
    record BandForm(
            @NotNull(message = "Say where low ends.") Double low,
            @NotNull(message = "Say where high begins.") Double high,

            @NotBlank(message = "Say who changes it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String by) {}

    private final Bands bands;

    PracticeController(Bands bands) {
        this.bands = bands;
    }

    @GetMapping("/probe-bands")
    List<Bands.BandView> bands() {
        return bands.view();
    }

    @PutMapping("/probe-bands/{band}")
    List<Bands.BandView> set(@PathVariable ProbeBands.Band band, @RequestBody @Valid BandForm form) {
        return bands.set(band, form.low(), form.high(), form.by());
    }
}
