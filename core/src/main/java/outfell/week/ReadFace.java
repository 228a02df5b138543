package outfell.week;

import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;
import outfell.knowledge.Because;
import outfell.skin.Sign;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict.Barrier;
import outfell.skin.SkinVerdict.BarrierState;

/**
 * A face that was read at a visit, as far as a calm reset goes by it: one that asks for a reset begins it, and one that is calm
 * counts towards its end as a check-in does.
 *
 * @param sting worst grade of it, 0 to 4; absent when nobody asked
 * @param redness worst grade of it
 * @param flaking worst grade of it
 * @param sound whether its barrier is sound
 * @param calm why it asks for a calm reset; absent when it does not
 */
public record ReadFace(
        LocalDate on,
        OptionalInt sting,
        OptionalInt redness,
        OptionalInt flaking,
        boolean sound,
        Optional<Because> calm) {
    public static ReadFace of(LocalDate on, SkinReading reading, Barrier barrier) {
        return new ReadFace(
                on,
                reading.worstGrade(Sign.STING),
                reading.worstGrade(Sign.REDNESS),
                reading.worstGrade(Sign.FLAKING),
                barrier.state() == BarrierState.SOUND,
                barrier.calmReset()
                        ? Optional.of(barrier.because()
                                .withSentence("%s: %s"
                                        .formatted(
                                                Diary.DAY.format(on),
                                                barrier.because().sentence())))
                        : Optional.empty());
    }

    /** Whether everything was looked at that tells whether it is calm. */
    boolean isWhole() {
        return sting.isPresent() && redness.isPresent() && flaking.isPresent();
    }

    Calming.Look look() {
        return new Calming.Look(
                on,
                sting,
                redness,
                flaking,
                sound && CheckIn.isLow(sting) && CheckIn.isLow(redness) && CheckIn.isLow(flaking));
    }
}
