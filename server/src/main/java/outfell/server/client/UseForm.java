package outfell.server.client;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.PastOrPresent;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a thing on the shelf is used, as sent.
 *
 * @param leavesTight of a wash: whether the skin is tight ten minutes after it; absent where nobody asked
 * @param nights the prescriber's; absent to leave them as they are
 * @param version that the change was made on
 */
public record UseForm(
        @Min(value = 0, message = "Weeks run from 0.") @Max(value = 2000, message = "Weeks run to 2000.")
        int weeks,

        boolean morning,
        boolean evening,

        @Min(value = 0, message = "Days a week run from 0.") @Max(value = 7, message = "Days a week run to 7.")
        int daysAWeek,

        @Schema(types = {"string", "null"}) @PastOrPresent(message = "A pack cannot be opened in the future.") @Nullable
        LocalDate opened,

        @Min(value = 0, message = "What is left runs from 0 %.")
        @Max(value = 100, message = "What is left runs to 100 %.")
        int left,

        @Schema(types = {"boolean", "null"}) @Nullable Boolean leavesTight,

        @Schema(types = {"array", "null"}) @Nullable List<DayOfWeek> nights,

        int version) {

    public ClientStore.Use use() {
        return new ClientStore.Use(weeks, morning, evening, daysAWeek, opened, left, leavesTight);
    }
}
