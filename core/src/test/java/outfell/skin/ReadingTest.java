package outfell.skin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static outfell.skin.Faces.face;
import static outfell.skin.ProbeReading.Quantity.HYDRATION;
import static outfell.skin.ProbeReading.Quantity.PH;
import static outfell.skin.ProbeReading.Quantity.SEBUM;
import static outfell.skin.ProbeReading.Quantity.WATER_LOSS;

import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import outfell.skin.ProbeConditions.Standing;
import outfell.skin.SkinVerdict.BarrierState;
import outfell.skin.SkinVerdict.Missing;
import outfell.skin.SkinVerdict.OilyOrThirsty.Answer;
import outfell.skin.SkinVerdict.WaterState;

/** Probe, word, phototype, contradictions and verdicts set by hand. */
class ReadingTest {
    // ---- conditions and noise of the probe

    @ParameterizedTest
    @CsvSource({
        "HYDRATION, 21, 50, 240, true, 20, 14, VALID",
        "HYDRATION, 20, 40, 120, false, 15, 12, VALID",
        "HYDRATION, 22, 60, 180, true, 15, 12, VALID",
        "HYDRATION, 21, 39, 240, true, 20, 14, NOTED",
        "HYDRATION, 21, 61, 240, true, 20, 14, NOTED",
        "HYDRATION, 21, 29.9, 240, true, 20, 14, INVALID",
        "HYDRATION, 21, 70.1, 240, true, 20, 14, INVALID",
        "HYDRATION, 21, 50, 119, false, 20, 14, NOTED",
        "HYDRATION, 21, 50, 59, false, 20, 14, INVALID",
        "HYDRATION, 21, 50, 179, true, 20, 14, NOTED",
        "SEBUM, 21, 50, 150, false, 20, 14, NOTED",
        "SEBUM, 21, 50, 180, false, 20, 14, VALID",
        "HYDRATION, 22.1, 50, 240, true, 20, 14, INVALID",
        "HYDRATION, 21, 50, 240, true, 14, 14, INVALID",
        "HYDRATION, 21, 50, 240, true, 20, 11, INVALID",
        "HYDRATION, 21, 35, 90, true, 20, 14, INVALID"
    })
    void each_border_of_a_valid_reading(
            ProbeReading.Quantity quantity,
            double room,
            double humidity,
            int washed,
            boolean cleanser,
            int settled,
            int product,
            Standing standing) {
        assertThat(conditions(room, humidity, washed, cleanser, settled, product)
                        .judge(quantity)
                        .standing())
                .isEqualTo(standing);
    }

    @Test
    void what_is_not_written_down_is_said_and_makes_a_reading_count_half() {
        var line = face().in(ProbeConditions.UNSTATED)
                .measured(SEBUM, 150)
                .verdict()
                .probe()
                .getFirst();
        assertThat(line.counts()).isEqualTo(0.5);
        assertThat(line.because().sentence()).contains("Not written down", "room temperature", "counts half");
    }

    @Test
    void an_invalid_reading_is_kept_and_marked_and_moves_nothing() {
        ProbeConditions justWashed = conditions(21, 50, 10, true, 20, 14);
        SkinVerdict with = face().with(Sign.SHINE, 3, 3, 3, 3, 3)
                .measured(SEBUM, 50, 50, 50, 50, 50)
                .in(justWashed)
                .verdict();
        SkinVerdict without = face().with(Sign.SHINE, 3, 3, 3, 3, 3).verdict();
        assertThat(with.type().words()).isEqualTo(without.type().words());
        assertThat(with.contradictions()).isEmpty();
        assertThat(with.probe()).hasSize(5).allSatisfy(l -> {
            assertThat(l.counts()).isZero();
            assertThat(l.because().sentence()).contains("kept, not counted").contains("10 min ago");
        });
    }

    @ParameterizedTest
    @CsvSource({
        "HYDRATION, 40, 43, 46, false",
        "HYDRATION, 40, 40, 46.1, true",
        "SEBUM, 100, 100, 125, false",
        "SEBUM, 100, 100, 126, true",
        "WATER_LOSS, 10, 10, 12.5, false",
        "WATER_LOSS, 10, 10, 12.6, true",
        "PH, 5.0, 5.2, 5.4, false",
        "PH, 5.0, 5.2, 5.5, true"
    })
    void three_readings_disagree_from_a_spread_of_their_own(
            ProbeReading.Quantity quantity, double a, double b, double c, boolean noisy) {
        var line = face().spot(quantity, Zone.NOSE, a, b, c).verdict().probe().getFirst();
        assertThat(line.noisy()).isEqualTo(noisy);
        assertThat(line.counts()).isEqualTo(noisy ? 0.5 : 1);
    }

    @Test
    void a_disagreeing_probe_pulls_the_type_half_as_far() {
        double whole = oil(face().with(Sign.SHINE, 2).spot(SEBUM, Zone.FOREHEAD, 220.0, 220.0, 220.0));
        double half = oil(face().with(Sign.SHINE, 2).spot(SEBUM, Zone.FOREHEAD, 160.0, 220.0, 280.0));
        assertThat(whole).isEqualTo(63.0); // 0.6 · 65 + 0.4 · 60
        assertThat(half).isEqualTo(61.5); // 0.3 · 65 + 0.7 · 60
    }

    @Test
    void fewer_than_three_readings_count_half() {
        assertThat(face().spot(PH, Zone.NOSE, 5.0, 5.1)
                        .verdict()
                        .probe()
                        .getFirst()
                        .because()
                        .sentence())
                .contains("2 of 3 readings", "counts half");
    }

    @Test
    void each_figure_has_its_word_in_the_practice_s_bands() {
        SkinVerdict v = face().spot(HYDRATION, Zone.CHIN, 30.0, 30.0, 30.0)
                .spot(SEBUM, Zone.NOSE, 220.0, 220.0, 220.0)
                .spot(SEBUM, Zone.CHEEK_L, 181.0, 181.0, 181.0)
                .spot(WATER_LOSS, Zone.CHEEK_R, 14.4, 14.4, 14.4)
                .spot(PH, Zone.FOREHEAD, 5.9, 5.9, 5.9)
                .verdict();
        assertThat(v.probe())
                .extracting(SkinVerdict.ProbeLine::band)
                .containsExactly("dry", "usual", "high", "usual", "high");
        ProbeBands faceSchool = ProbeBands.SHIPPED.with(ProbeBands.Band.HYDRATION, new ProbeBands.Bounds(50, 60));
        SkinReading reading = face().measured(HYDRATION, 55, 55, 55, 55, 55).reading();
        assertThat(SkinReader.read(reading, Set.of()).water().state()).isEqualTo(WaterState.HYDRATED);
        assertThat(SkinReader.read(reading, Set.of(), faceSchool).water().state())
                .isEqualTo(WaterState.SLIGHTLY_DEHYDRATED);
        assertThat(SkinReader.read(reading, Set.of(), faceSchool)
                        .probe()
                        .getFirst()
                        .band())
                .isEqualTo("dry");
    }

    @Test
    void bands_that_cross_are_refused_with_what_is_allowed() {
        assertThatThrownBy(() -> ProbeBands.SHIPPED.with(ProbeBands.Band.PH, new ProbeBands.Bounds(6, 5)))
                .hasMessageContaining("low comes before high");
        assertThatThrownBy(() -> conditions(21, 140, 1, true, 1, 1))
                .hasMessageContaining("140")
                .hasMessageContaining("100");
    }

    @Test
    void a_doubtful_water_loss_lies_between_the_index_with_it_and_the_index_without() {
        Faces signs = face().with(Sign.REDNESS, 1).with(Sign.STING, 1);
        double without = signs.verdict().barrier().index().orElseThrow();
        double with = face().with(Sign.REDNESS, 1)
                .with(Sign.STING, 1)
                .spot(WATER_LOSS, Zone.CHEEK_R, 30.0, 30.0, 30.0)
                .verdict()
                .barrier()
                .index()
                .orElseThrow();
        double doubtful = face().with(Sign.REDNESS, 1)
                .with(Sign.STING, 1)
                .spot(WATER_LOSS, Zone.CHEEK_R, 24.0, 30.0, 36.0)
                .verdict()
                .barrier()
                .index()
                .orElseThrow();
        assertThat(doubtful).isEqualTo((with + without) / 2);
    }

    // ---- oily or only thirsty

    @ParameterizedTest
    @CsvSource({
        "3, 0, OILY",
        "3, 3, BOTH",
        "2, 3, THIRSTY",
        "2, 0, NEITHER",
        "1, 3, NOT_ASKED",
    })
    void oily_or_only_thirsty_is_answered_by_both_axes(int shine, int tight, Answer answer) {
        SkinVerdict v = face().with(Sign.SHINE, shine, shine, shine, Math.min(shine, 1), Math.min(shine, 1))
                .with(Sign.TIGHTNESS, tight, tight, tight, tight, tight)
                .verdict();
        assertThat(v.oilyOrThirsty().answer()).isEqualTo(answer);
    }

    @Test
    void the_question_says_what_it_still_needs() {
        assertThat(face().says(History.Says.OILY).verdict().oilyOrThirsty().answer())
                .isEqualTo(Answer.CANNOT_TELL);
        assertThat(face().with(Sign.SHINE, 3, 3, 3, 3, 3)
                        .verdict()
                        .oilyOrThirsty()
                        .because()
                        .sentence())
                .contains("Ask for tightness");
    }

    // ---- contradictions and who settles them

    @Test
    void a_settled_contradiction_keeps_one_side_and_stays_in_sight() {
        Faces apart = face().with(Sign.SHINE, 4, -1, -1, 1, 1).spot(SEBUM, Zone.FOREHEAD, 30.0, 30.0, 30.0);
        assertThat(apart.verdict().contradictions()).singleElement().satisfies(c -> {
            assertThat(c.id()).isEqualTo("OIL:FOREHEAD");
            assertThat(c.settled()).isEmpty();
            assertThat(c.sides()).hasSize(2);
        });
        assertThat(oil(apart)).isEqualTo(52.8); // (95 + 10.5) / 2, to a tenth
        SkinVerdict kept = apart.keeping("OIL:FOREHEAD", Settlement.Side.EYE).verdict();
        assertThat(kept.zones().getFirst().oil()).isEqualTo(95.0);
        assertThat(kept.contradictions().getFirst().settled()).isPresent();
        assertThat(((TypeVerdict.Told) kept.type()).confidence()).isEqualTo(Confidence.MEDIUM);
    }

    @Test
    void the_client_s_word_against_the_reading_is_a_line_of_its_own() {
        Faces dry = face().with(Sign.SHINE, 0, 0, 0, 0, 0).says(History.Says.OILY);
        assertThat(dry.verdict().contradictions()).extracting(Contradiction::id).containsExactly("TYPE:WORD");
        assertThat(face().with(Sign.SHINE, 3, 3, 3, 3, 3)
                        .says(History.Says.OILY)
                        .verdict()
                        .contradictions())
                .isEmpty();
        SkinVerdict kept = dry.keeping("TYPE:WORD", Settlement.Side.WORD).verdict();
        assertThat(kept.type().bandU()).isEqualTo(Band.OILY);
        assertThat(kept.type().because().sentence()).contains("Runa", "felt it twice");
    }

    @Test
    void burning_and_tanning_that_part_by_two_classes_contradict() {
        assertThat(face().inTheSun(1, 3).verdict().contradictions()).hasSize(1);
        assertThat(face().inTheSun(1, 2).verdict().contradictions()).isEmpty();
    }

    // ---- set by hand

    @Test
    void a_verdict_set_by_hand_stands_beside_the_computed_one() {
        SkinVerdict v = face().with(Sign.SHINE, 3, 3, 3, 3, 3)
                .calm()
                .set(ByHand.Verdict.TYPE, "OILY-NORMAL")
                .set(ByHand.Verdict.WATER, "DEHYDRATED")
                .set(ByHand.Verdict.SENSITIVITY, "SENSITIVE")
                .set(ByHand.Verdict.PHOTOTYPE, "5")
                .verdict();
        assertThat(v.type().combination()).isTrue();
        assertThat(v.water().dehydrated()).isTrue();
        assertThat(v.sensitivity().treatAsSensitive()).isTrue();
        assertThat(v.phototype().numeral()).isEqualTo("V");
        assertThat(v.byHand())
                .extracting(SkinVerdict.SetByHand::computed)
                .containsExactly("oily", "hydrated", "not known yet", "not known yet");
    }

    @Test
    void a_barrier_can_be_set_weaker_and_never_sounder() {
        Faces sound = face().with(Sign.REDNESS, 0).with(Sign.STING, 0);
        SkinVerdict broken = sound.set(ByHand.Verdict.BARRIER, "BROKEN").verdict();
        assertThat(broken.barrier().state()).isEqualTo(BarrierState.BROKEN);
        assertThat(broken.barrier().calmReset()).isTrue();
        SkinVerdict worse = face().with(Sign.STING, 4)
                .with(Sign.REDNESS, 4)
                .set(ByHand.Verdict.BARRIER, "STRAINED")
                .verdict();
        assertThat(worse.barrier().state()).isEqualTo(BarrierState.BROKEN);
        assertThat(worse.byHand().getFirst().stands()).isEqualTo("broken");
        assertThatThrownBy(() -> face().set(ByHand.Verdict.BARRIER, "SOUND").verdict())
                .hasMessageContaining("grade again");
        assertThatThrownBy(
                        () -> face().set(ByHand.Verdict.SENSITIVITY, "TOLERANT").verdict())
                .hasMessageContaining("grade again");
    }

    @ParameterizedTest
    @CsvSource({"TYPE, SCALY", "TYPE, OILY-SCALY", "WATER, WET", "PHOTOTYPE, 7"})
    void a_value_that_is_none_is_refused_with_those_that_are(ByHand.Verdict verdict, String value) {
        assertThatThrownBy(() -> face().set(verdict, value).verdict())
                .hasMessageContaining(value)
                .hasMessageContaining(verdict == ByHand.Verdict.PHOTOTYPE ? "1 to 6" : "it is");
    }

    // ---- phototype and who is looked at

    @ParameterizedTest
    @CsvSource({"1, 1, I, MEDIUM", "3, 4, III, MEDIUM", "4, 2, II, LOW", "6, 6, VI, MEDIUM"})
    void the_phototype_is_the_more_careful_of_burning_and_tanning(
            int burns, int tans, String numeral, Confidence sure) {
        var p = face().inTheSun(burns, tans).verdict().phototype();
        assertThat(p.numeral()).isEqualTo(numeral);
        assertThat(p.confidence()).isEqualTo(sure);
        assertThat(p.because().sentence()).contains("Sunscreen every morning");
    }

    @Test
    void no_redness_by_sight_alone_is_no_finding_on_dark_skin() {
        Faces looked = face().with(Sign.REDNESS, 0, 0, 0, 0, 0)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .with(Sign.TIGHTNESS, 0, 0, 0, 0, 0)
                .history(0, 0)
                .inTheSun(5, 5);
        SkinVerdict v = looked.verdict();
        assertThat(v.sensitivity().confidence()).isEqualTo(Confidence.MEDIUM);
        assertThat(v.missing()).extracting(Missing::what).contains("Redness by warmth and touch");
        assertThat(v.barrier().because().sentence()).doesNotContainIgnoringCase("redness");
        SkinVerdict pale = face().with(Sign.REDNESS, 0, 0, 0, 0, 0)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .history(0, 0)
                .inTheSun(4, 4)
                .verdict();
        assertThat(pale.sensitivity().confidence()).isEqualTo(Confidence.HIGH);
    }

    @Test
    void each_person_is_looked_at_in_their_own_way() {
        assertThat(hints(face().inTheSun(6, 6))).anyMatch(h -> h.contains("feel for heat"));
        assertThat(hints(face().person(60, false, false))).anyMatch(h -> h.contains("Fine red vessels"));
        assertThat(hints(face().person(15, false, false))).anyMatch(h -> h.contains("Oil peaks"));
        assertThat(hints(face().person(30, true, false))).anyMatch(h -> h.contains("Part the hair"));
        assertThat(hints(face().person(30, false, false))).isEmpty();
    }

    // ---- sides, and places beyond the face

    @Test
    void left_and_right_that_part_by_two_are_said() {
        assertThat(face().with(Sign.REDNESS, -1, -1, -1, 3, 1).verdict().asymmetries())
                .singleElement()
                .satisfies(b -> assertThat(b.sentence()).contains("3 on the right cheek and 1 on the left cheek"));
        assertThat(face().with(Sign.REDNESS, -1, -1, -1, 2, 1).verdict().asymmetries())
                .isEmpty();
    }

    @Test
    void hands_and_scalp_are_said_apart_and_do_not_count_for_the_face() {
        SkinVerdict v = face().at(Zone.HANDS, Sign.ROUGHNESS, 4)
                .at(Zone.SCALP, Sign.FLAKING, 3)
                .verdict();
        assertThat(v.elsewhere()).hasSize(2);
        assertThat(v.concerns()).isEmpty();
        assertThat(v.barrier().state()).isEqualTo(BarrierState.NOT_YET);
        assertThat(face().at(Zone.DECOLLETE, Sign.ROUGHNESS, 2).verdict().concerns())
                .hasSize(1);
    }

    // ---- what is missing

    @Test
    void what_would_settle_a_verdict_comes_cheapest_first() {
        var missing = face().with(Sign.SHINE, 1, 1, 1, 1, 1).verdict().missing();
        assertThat(missing.getFirst().where()).isEqualTo(Missing.Where.TALK);
        assertThat(missing)
                .filteredOn(m -> !m.settles().startsWith("may be"))
                .extracting(Missing::seconds)
                .isSorted();
    }

    private static java.util.List<String> hints(Faces face) {
        SkinReading reading = face.reading();
        return Signs.hints(face.verdict().phototype(), reading.history()).stream()
                .map(Signs.Hint::text)
                .toList();
    }

    private static double oil(Faces face) {
        return face.verdict().zones().getFirst().oil();
    }

    private static ProbeConditions conditions(
            double room, double humidity, int washed, boolean cleanser, int settled, int product) {
        return new ProbeConditions(
                OptionalDouble.of(room),
                OptionalDouble.of(humidity),
                OptionalInt.of(washed),
                cleanser,
                OptionalInt.of(settled),
                OptionalInt.of(product));
    }
}
