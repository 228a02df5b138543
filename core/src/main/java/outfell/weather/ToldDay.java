package outfell.weather;

import java.time.LocalDate;

/**
 * A day's air as somebody tells it, before it is believed: any number may stand in it.
 *
 * @param celsius mean of the day
 * @param humidity relative, %
 * @param wind m/s
 * @param uvIndex at midday
 */
public record ToldDay(LocalDate day, double celsius, double humidity, double wind, double uvIndex) {}
