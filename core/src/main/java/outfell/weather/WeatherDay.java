package outfell.weather;

import java.time.LocalDate;
import java.util.Optional;
import outfell.climate.MonthlyAir;
import outfell.knowledge.Because;

/**
 * One day's air: as it was told, or the normal of the day where nothing was told that can be believed.
 *
 * @param told whether {@code air} was told
 * @param doubt why what was told is not believed; absent where it is, or nothing was told
 */
public record WeatherDay(LocalDate day, MonthlyAir air, MonthlyAir normal, boolean told, Optional<Because> doubt) {
    /** °C above what is usual on that day; below 0 where it is colder. */
    double above() {
        return air.celsius() - normal.celsius();
    }
}
