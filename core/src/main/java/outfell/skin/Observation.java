package outfell.skin;

/**
 * One sign graded in one zone. "Not looked at" has no observation; it is never grade 0.
 *
 * @param grade 0 none, 1 faint, 2 mild, 3 marked, 4 severe
 */
public record Observation(Zone zone, Sign sign, int grade, How how) {
    public Observation {
        if (grade < 0 || grade > 4) {
            throw new IllegalArgumentException("Grade %d of %s is outside 0..4."
                    .formatted(grade, sign.name().toLowerCase()));
        }
        if (!Signs.of(sign).zones().contains(zone)) {
            throw new IllegalArgumentException("%s is not read on the %s; it is read on %s."
                    .formatted(
                            Signs.of(sign).label(), zone.words(), Signs.of(sign).zoneWords()));
        }
    }
}
