package outfell.server.practice;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The methods of the house beside the presets. */
@RestController
@RequestMapping("/api/methods")
class MethodController {
    record HouseMethodForm(
            @NotBlank(message = "Give the method a name.")
            @Size(max = 40, message = "The name is too long; allowed is 40 characters.")
            String name,

            @NotNull(message = "A note may be empty, but is needed.")
            @Size(max = 200, message = "The note is too long; allowed is 200 characters.")
            String note,

            @NotNull(message = "A reason may be empty, but is needed.")
            @Size(max = 200, message = "The reason is too long; allowed is 200 characters.")
            String because,

            @NotBlank(message = "Say which method it is a copy of.")
            String copyOf,

            @NotNull(message = "Answer the questions.") Map<String, String> settings,

            @NotBlank(message = "Say who changes it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String by,

            int version) {
        HouseMethods.MethodForm typed() {
            return new HouseMethods.MethodForm(name, note, because, copyOf, settings, by, version);
        }
    }

    record OfferForm(
            int version,

            boolean offered,

            @NotBlank(message = "Say who changes it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String by) {}

    private final HouseMethods methods;

    MethodController(HouseMethods methods) {
        this.methods = methods;
    }

    @GetMapping
    HouseMethods.MethodsView methods() {
        return methods.view();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    HouseMethods.MethodView add(@RequestBody @Valid HouseMethodForm form) {
        return methods.add(form.typed());
    }

    @PutMapping("/{id}")
    HouseMethods.MethodView change(@PathVariable String id, @RequestBody @Valid HouseMethodForm form) {
        return methods.change(id, form.typed());
    }

    /** Whether new plans may take it. */
    @PutMapping("/{id}/offered")
    HouseMethods.MethodView offer(@PathVariable String id, @RequestBody @Valid OfferForm form) {
        return methods.offer(id, form.offered(), form.by().strip(), form.version());
    }
}
