package outfell.changes;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import outfell.consultation.Consultation;
import outfell.regimen.Consultations;
import outfell.skin.Band;
import outfell.skin.History;
import outfell.skin.Lately;
import outfell.skin.Observation;
import outfell.skin.ProbeConditions;
import outfell.skin.Sign;
import outfell.skin.Signs;
import outfell.skin.SkinReader;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.BarrierState;
import outfell.skin.Zone;

/** What a skin is as a rule, and what the plan becomes when it is so again. */
class UsualAgainTest {
    private static final LocalDate OCTOBER = LocalDate.of(2026, 10, 1);

    @Test
    void what_is_put_down_to_a_cause_goes_with_it_and_nothing_else_does() {
        SkinReading now = overdone(Optional.of(History.Says.OILY));
        SkinReading usual = lately("overdone").usual(now);
        assertThat(usual.observations())
                .allSatisfy(o -> assertThat(o.grade())
                        .isEqualTo(
                                List.of(Sign.REDNESS, Sign.STING, Sign.TIGHTNESS, Sign.FLAKING, Sign.DEHYDRATION_LINES)
                                                .contains(o.sign())
                                        ? 0
                                        : grade(now, o)));
        SkinVerdict as = SkinReader.read(usual, java.util.Set.of());
        assertThat(as.type().bandT()).isEqualTo(Band.OILY);
        assertThat(as.barrier().state()).isEqualTo(BarrierState.SOUND);
        assertThat(SkinReader.read(now, java.util.Set.of()).barrier().state()).isNotEqualTo(BarrierState.SOUND);
    }

    @Test
    void a_mask_does_its_work_where_it_lies() {
        SkinReading now = face(Optional.empty(), Sign.SPOTS, 3);
        List<Zone> under = List.of(Zone.NOSE, Zone.CHIN, Zone.CHEEK_L, Zone.CHEEK_R, Zone.UPPER_LIP);
        SkinReading usual = lately("mask").usual(now);
        assertThat(usual.observations())
                .filteredOn(o -> o.sign() == Sign.SPOTS)
                .allSatisfy(o -> assertThat(o.grade()).isEqualTo(under.contains(o.zone()) ? 0 : 3));
    }

    @Test
    void the_plan_for_now_says_what_it_becomes_and_when_that_is_looked_at() {
        Consultation now = consultation(overdone(Optional.of(History.Says.OILY)));
        UsualAgain.UsualTold told = UsualAgain.of(now, lately("overdone", "picking"));
        assertThat(told.usual()).isEqualTo("oily");
        assertThat(told.lookAgain()).isEqualTo(Consultations.TODAY.plusWeeks(4));
        assertThat(told.since()).contains(OCTOBER);
        assertThat(told.causes()).extracting(UsualAgain.CauseTold::label).hasSize(2);
        assertThat(told.putDown()).contains(Signs.of(Sign.REDNESS).label());
        assertThat(told.changes()).isNotEmpty();
        assertThat(told.because().sentence()).contains("becomes the usual one");
        assertThat(UsualAgain.forTheSheet(told).split("; "))
                .as("each with its routine: what moves from evening to morning is not added and dropped at once")
                .allMatch(line -> line.endsWith("morning") || line.endsWith("evening"));
    }

    @Test
    void where_nobody_said_what_is_usual_or_why_nothing_is_taken_to_go() {
        Consultation now = consultation(overdone(Optional.empty()));
        UsualAgain.UsualTold told = UsualAgain.of(now, new Lately(Optional.empty(), List.of()));
        assertThat(told.usual()).isEmpty();
        assertThat(told.changes()).isEmpty();
        assertThat(told.because().sentence()).startsWith("Nobody has said what the skin is as a rule");
        assertThat(UsualAgain.of(now, lately("not_known")).changes()).isEmpty();
    }

    private static Lately lately(String... causes) {
        return new Lately(
                Optional.of(OCTOBER),
                Arrays.stream(causes).map(c -> Lately.known(c).orElseThrow()).toList());
    }

    private static int grade(SkinReading face, Observation of) {
        return face.observations().stream()
                .filter(o -> o.zone() == of.zone() && o.sign() == of.sign())
                .findFirst()
                .orElseThrow()
                .grade();
    }

    /** Tight, stinging and flaking, and read as normal: shine 1, the rest nought. */
    private static SkinReading overdone(Optional<History.Says> says) {
        List<Observation> all = new ArrayList<>(face(says, Sign.SHINE, 1).observations());
        all.replaceAll(o -> Stream.of(Sign.REDNESS, Sign.STING, Sign.TIGHTNESS, Sign.FLAKING)
                        .anyMatch(s -> s == o.sign())
                ? new Observation(o.zone(), o.sign(), 2, o.how())
                : o);
        return reading(says, all);
    }

    private static SkinReading face(Optional<History.Says> says, Sign sign, int grade) {
        List<Observation> all = new ArrayList<>();
        for (Sign s : Sign.values()) {
            Signs.of(s).zones().stream()
                    .filter(Zone::inRegimen)
                    .filter(z -> !z.onRequest())
                    .forEach(z -> all.add(new Observation(
                            z, s, s == sign ? grade : 0, Signs.of(s).how())));
        }
        return reading(says, all);
    }

    private static SkinReading reading(Optional<History.Says> says, List<Observation> all) {
        return new SkinReading(
                all,
                List.of(),
                ProbeConditions.UNSTATED,
                new History(
                        OptionalInt.of(0),
                        OptionalInt.of(0),
                        false,
                        says,
                        OptionalInt.empty(),
                        OptionalInt.empty(),
                        OptionalInt.empty(),
                        false),
                List.of(),
                List.of(),
                List.of());
    }

    private static Consultation consultation(SkinReading face) {
        return Consultations.some("classic", 0).parts().reading(face).together();
    }
}
