package outfell.server.weather;

import java.time.LocalDate;
import java.util.List;
import outfell.climate.SiteId;
import outfell.weather.ToldDay;

/** Somebody who tells the air of days at a place. It is asked about places only, never about a client. */
public interface WeatherService {
    /**
     * What was told, not yet believed.
     *
     * @param simulated whether it is the stand-in
     */
    record Told(List<ToldDay> days, boolean simulated) {}

    /** The service does not answer, or so that it cannot be understood. */
    final class Unheard extends Exception {
        private static final long serialVersionUID = 1L;

        public Unheard(String sentence) {
            super(sentence);
        }
    }

    /** @param days how many, from the first on; fewer may be told */
    Told days(SiteId place, LocalDate from, int days) throws Unheard;
}
