package outfell.weather;

import java.time.LocalDate;
import outfell.climate.MonthlyAir;
import outfell.knowledge.Because;

/**
 * Some days in a row that differ from what is usual.
 *
 * @param spell which spell it is, an id of spells.yaml
 * @param from the first of them, today or before
 * @param until the last of them that is told
 * @param air their mean
 */
public record Snap(String spell, LocalDate from, LocalDate until, MonthlyAir air, Because because) {}
