package outfell.consultation;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.apache.commons.lang3.StringUtils;
import outfell.conflict.Conflicts;
import outfell.consultation.Consultation.House;
import outfell.knowledge.Because;
import outfell.knowledge.RuleId;
import outfell.skin.ProbeBands;

/**
 * A rule that one house has otherwise than another, or than it ships.
 *
 * @param because how it stands now and how it stood, with the row that it is about
 * @param back a house with this rule as it was
 */
public record OwnRule(Because because, UnaryOperator<House> back) {
    /** Bands of the probe, weights of the choice, schools; in that order. */
    public static List<OwnRule> between(House from, House to) {
        List<OwnRule> all = new ArrayList<>();
        bands(from.bands(), to.bands(), all);
        weights(from.yardstick(), to.yardstick(), all);
        schools(from.conflicts(), to.conflicts(), all);
        return List.copyOf(all);
    }

    private static void bands(ProbeBands from, ProbeBands to, List<OwnRule> all) {
        for (ProbeBands.Setting row : ProbeBands.rows()) {
            ProbeBands.Bounds was = from.of(row.band());
            ProbeBands.Bounds is = to.of(row.band());
            if (!was.equals(is)) {
                all.add(new OwnRule(
                        row.because()
                                .withSentence("%s turns at %s and %s %s, in place of %s and %s."
                                        .formatted(
                                                row.label(),
                                                Yardstick.plain(is.low()),
                                                Yardstick.plain(is.high()),
                                                row.unit(),
                                                Yardstick.plain(was.low()),
                                                Yardstick.plain(was.high()))),
                        h -> new House(h.bands().with(row.band(), was), h.yardstick(), h.conflicts(), h.currency())));
            }
        }
    }

    private static void weights(Yardstick from, Yardstick to, List<OwnRule> all) {
        for (Yardstick.Setting setting : Yardstick.settings()) {
            double was = from.value(setting);
            double is = to.value(setting);
            if (was != is) {
                all.add(new OwnRule(
                        setting.because()
                                .withSentence("%s: %s, in place of %s."
                                        .formatted(
                                                StringUtils.capitalize(setting.words()),
                                                Yardstick.plain(is),
                                                Yardstick.plain(was))),
                        h -> new House(h.bands(), h.yardstick().with(setting, was), h.conflicts(), h.currency())));
            }
        }
    }

    private static void schools(Conflicts from, Conflicts to, List<OwnRule> all) {
        for (Conflicts.Debated row : Conflicts.debated()) {
            RuleId id = row.id();
            boolean was = from.others().contains(id);
            boolean is = to.others().contains(id);
            if (was != is) {
                String said = is ? row.otherSchool() : row.because().sentence();
                all.add(new OwnRule(
                        row.because()
                                .withSentence("%s: this house holds that %s"
                                        .formatted(StringUtils.capitalize(row.name()), StringUtils.uncapitalize(said))),
                        h -> new House(h.bands(), h.yardstick(), h.conflicts().with(id, was), h.currency())));
            }
        }
    }
}
