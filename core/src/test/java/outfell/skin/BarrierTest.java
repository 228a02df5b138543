package outfell.skin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static outfell.skin.Faces.face;
import static outfell.skin.ProbeReading.Quantity.WATER_LOSS;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import outfell.skin.SkinVerdict.BarrierState;
import outfell.skin.SkinVerdict.SensitivityBand;

/** The worked examples of the barrier index and of the sensitivity score. */
class BarrierTest {
    @Test
    void sound_at_the_usual_water_loss_and_exactly_at_its_border() {
        barrier(cheek(11), 100.0, BarrierState.SOUND);
        barrier(cheek(14.4), 100.0, BarrierState.SOUND);
    }

    @Test
    void some_loss_and_faint_signs_are_still_sound() {
        barrier(cheek(18).with(Sign.REDNESS, 1).with(Sign.STING, 1).with(Sign.TIGHTNESS, 1), 80.1, BarrierState.SOUND);
    }

    @Test
    void marked_redness_caps_the_index() {
        barrier(cheek(20).with(Sign.REDNESS, 3), 74.0, BarrierState.STRAINED);
    }

    @Test
    void water_loss_with_mild_signs_everywhere_is_broken() {
        barrier(
                cheek(26)
                        .with(Sign.REDNESS, 2)
                        .with(Sign.STING, 2)
                        .with(Sign.TIGHTNESS, 2)
                        .with(Sign.FLAKING, 2),
                45.7,
                BarrierState.BROKEN);
    }

    @Test
    void by_eye_only() {
        barrier(face().with(Sign.REDNESS, 1).with(Sign.STING, 1).with(Sign.TIGHTNESS, 1), 80.5, BarrierState.SOUND);
        barrier(
                face().with(Sign.REDNESS, 2)
                        .with(Sign.STING, 3)
                        .with(Sign.TIGHTNESS, 3)
                        .with(Sign.FLAKING, 2)
                        .after("over-exfoliation", 15, 14, 4),
                27.8,
                BarrierState.BROKEN);
        barrier(
                face().with(Sign.REDNESS, 1)
                        .with(Sign.TIGHTNESS, 1)
                        .with(Sign.FLAKING, 2)
                        .after("a superficial peel", 20, 7, 2),
                66.2,
                BarrierState.STRAINED);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void no_single_grade_raised_makes_the_barrier_look_better(long seed) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
        for (int trial = 0; trial < 100; trial++) {
            List<Observation> grades = randomGrades(random);
            double before = index(grades);
            for (int i = 0; i < grades.size(); i++) {
                Observation o = grades.get(i);
                if (o.grade() < 4) {
                    List<Observation> raised = new ArrayList<>(grades);
                    raised.set(i, new Observation(o.zone(), o.sign(), o.grade() + 1, o.how()));
                    assertThat(index(raised)).as("seed %d, %s raised", seed, o).isLessThanOrEqualTo(before);
                }
            }
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14})
    void no_higher_loss_and_no_new_sign_makes_the_barrier_look_better(long seed) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
        for (int trial = 0; trial < 100; trial++) {
            double right = 5 + 30 * random.nextDouble();
            double left = 5 + 30 * random.nextDouble();
            List<Observation> grades = randomGrades(random).stream()
                    .filter(o -> random.nextInt(3) > 0)
                    .toList();
            double before = index(grades, right, left);
            assertThat(index(grades, right + 3, left))
                    .as("seed %d, more loss", seed)
                    .isLessThanOrEqualTo(before);
            for (Sign sign : List.of(Sign.REDNESS, Sign.STING, Sign.TIGHTNESS, Sign.FLAKING)) {
                if (grades.stream().noneMatch(o -> o.sign() == sign)) {
                    List<Observation> more = new ArrayList<>(grades);
                    more.add(new Observation(Zone.CHEEK_R, sign, random.nextInt(5), How.SEEN));
                    assertThat(index(more, right, left))
                            .as("seed %d, %s seen", seed, sign)
                            .isLessThanOrEqualTo(before);
                }
            }
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = Sign.class,
            names = {"REDNESS", "STING", "TIGHTNESS", "FLAKING"})
    void one_sign_alone_at_three_is_never_sound(Sign sign) {
        for (int grade : List.of(3, 4)) {
            assertThat(cheek(8).with(sign, grade).verdict().barrier().index().orElseThrow())
                    .as("%s %d", sign, grade)
                    .isLessThanOrEqualTo(74);
        }
        assertThat(cheek(8).with(sign, 2).verdict().barrier().state()).isEqualTo(BarrierState.SOUND);
    }

    @Test
    void the_sensitivity_score_and_its_override() {
        var tendency = sensitivity(2, 1, 1, 1);
        assertThat(tendency.score()).hasValue(35.0);
        assertThat(tendency.band()).isEqualTo(SensitivityBand.REACTIVE_TENDENCY);
        assertThat(tendency.treatAsSensitive()).isTrue();
        assertThat(sensitivity(3, 2, 2, 3).score()).hasValue(65.0);
        assertThat(sensitivity(1, 3, 3, 0).score()).hasValue(40.0);
        assertThat(sensitivity(1, 3, 3, 0).treatAsSensitive()).isTrue();
        assertThat(sensitivity(1, 1, 1, 0).treatAsSensitive()).isFalse();
        assertThat(face().with(Sign.STING, 1).verdict().sensitivity().band()).isEqualTo(SensitivityBand.NOT_YET);
    }

    @Test
    void a_sting_of_two_on_a_strained_barrier_asks_for_a_calm_reset() {
        assertThat(face().with(Sign.REDNESS, 2)
                        .with(Sign.STING, 2)
                        .verdict()
                        .barrier()
                        .calmReset())
                .isTrue();
        assertThat(face().with(Sign.REDNESS, 3)
                        .with(Sign.STING, 1)
                        .verdict()
                        .barrier()
                        .calmReset())
                .isFalse();
    }

    @Test
    void what_cannot_be_is_refused_with_the_range() {
        assertThatThrownBy(() -> new Observation(Zone.NOSE, Sign.SHINE, 7, How.SEEN))
                .hasMessageContaining("0..4");
        assertThatThrownBy(() -> new Observation(Zone.LIPS, Sign.SHINE, 1, How.SEEN))
                .hasMessageContaining("not read on");
        assertThatThrownBy(() -> new ProbeReading(WATER_LOSS, Zone.NOSE, List.of(2000.0), false))
                .hasMessageContaining("0.0..200.0");
        assertThatThrownBy(() -> new RecentEvent("waxing", 10, 3, -1)).hasMessageContaining("ahead");
    }

    @Test
    void a_lifted_concern_weighs_half_as_much_again_and_all_add_up_to_a_hundred() {
        SkinReading reading = face().with(Sign.SPOTS, 2, 0, 0, 0, 0)
                .with(Sign.PIGMENT, 2, 0, 0, 0, 0)
                .reading();
        var plain = SkinReader.read(reading, Set.of()).concerns();
        var lifted = SkinReader.read(reading, Set.of(Concern.PIGMENT)).concerns();
        assertThat(plain).extracting(c -> c.weight()).containsExactly(50.0, 50.0);
        assertThat(lifted.getFirst().concern()).isEqualTo(Concern.PIGMENT);
        assertThat(lifted).extracting(c -> c.weight()).containsExactly(60.0, 40.0);
    }

    private static Faces cheek(double loss) {
        return face().measured(WATER_LOSS, -1, -1, -1, loss);
    }

    private static void barrier(Faces face, double index, BarrierState state) {
        SkinVerdict.Barrier b = face.verdict().barrier();
        assertThat(b.index()).hasValue(index);
        assertThat(b.state()).isEqualTo(state);
    }

    private static SkinVerdict.Sensitivity sensitivity(int sting, int redness, int flush, int reactions) {
        return face().with(Sign.STING, sting)
                .with(Sign.REDNESS, redness)
                .history(flush, reactions)
                .verdict()
                .sensitivity();
    }

    private static List<Observation> randomGrades(RandomGenerator random) {
        List<Observation> all = new ArrayList<>();
        for (Sign sign : List.of(Sign.REDNESS, Sign.STING, Sign.TIGHTNESS, Sign.FLAKING)) {
            for (Zone zone : List.of(Zone.FOREHEAD, Zone.CHEEK_R, Zone.CHEEK_L)) {
                all.add(new Observation(zone, sign, random.nextInt(5), How.SEEN));
            }
        }
        return all;
    }

    private static double index(List<Observation> grades, double right, double left) {
        Faces face = face().measured(WATER_LOSS, -1, -1, -1, right, left);
        grades.forEach(o -> face.at(o.zone(), o.sign(), o.grade()));
        return BarrierReader.read(face.reading(), ProbeBands.SHIPPED).index().orElseThrow();
    }

    private static double index(List<Observation> grades) {
        return BarrierReader.read(SkinReading.NONE.seeing(grades), ProbeBands.SHIPPED)
                .index()
                .orElseThrow();
    }
}
