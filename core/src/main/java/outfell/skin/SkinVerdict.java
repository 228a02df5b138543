package outfell.skin;

import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;

/**
 * What a reading says, each part with the evidence that led to it.
 *
 * @param zones type of each zone that could be told, in zone order
 * @param concerns heaviest first; weights add up to 100
 * @param phototype by burning and tanning
 * @param oilyOrThirsty the commonest misreading, answered by evidence
 * @param swing what the seasons do, when she says so
 * @param contradictions where eye, probe and word part, settled or open
 * @param asymmetries where left and right part
 * @param probe every probe reading with what it counts
 * @param elsewhere what is read on places that this regimen does not reach
 * @param byHand verdicts that the therapist has set against the computed ones
 * @param missing what would settle a verdict, cheapest first
 */
public record SkinVerdict(
        TypeVerdict type,
        List<ZoneType> zones,
        Water water,
        Sensitivity sensitivity,
        Barrier barrier,
        List<RankedConcern> concerns,
        Phototype phototype,
        OilyOrThirsty oilyOrThirsty,
        Optional<Because> swing,
        List<Contradiction> contradictions,
        List<Because> asymmetries,
        List<ProbeLine> probe,
        List<Because> elsewhere,
        List<SetByHand> byHand,
        List<Missing> missing) {

    /** The same face once a calm reset is over, before anybody has read it anew. */
    public SkinVerdict calmed() {
        return new SkinVerdict(
                type,
                zones,
                water,
                sensitivity,
                BarrierReader.calmed(),
                concerns,
                phototype,
                oilyOrThirsty,
                swing,
                contradictions,
                asymmetries,
                probe,
                elsewhere,
                byHand,
                missing);
    }

    /** Band of one zone. */
    public record ZoneType(Zone zone, Band band, double oil, Because because) {}

    /**
     * Water state, a condition that any type may have.
     *
     * @param water 0 to 100; absent when it cannot be told
     */
    public record Water(WaterState state, Optional<Double> water, Confidence confidence, Because because) {
        public boolean dehydrated() {
            return state == WaterState.SLIGHTLY_DEHYDRATED
                    || state == WaterState.DEHYDRATED
                    || state == WaterState.VERY_DEHYDRATED;
        }
    }

    /** By the bounds of skin.yaml. */
    public enum WaterState {
        HYDRATED,
        SLIGHTLY_DEHYDRATED,
        DEHYDRATED,
        VERY_DEHYDRATED,
        NOT_YET;

        public String words() {
            return this == NOT_YET ? "not known yet" : name().toLowerCase().replace('_', ' ');
        }
    }

    /**
     * @param score 0 to 100; absent when it cannot be told
     * @param treatAsSensitive by score or by the override for a lasting sting or strong redness
     */
    public record Sensitivity(
            SensitivityBand band,
            Optional<Double> score,
            boolean treatAsSensitive,
            Confidence confidence,
            Because because) {}

    /** By the bounds of skin.yaml. */
    public enum SensitivityBand {
        TOLERANT,
        REACTIVE_TENDENCY,
        SENSITIVE,
        NOT_YET;

        public String words() {
            return this == NOT_YET ? "not known yet" : name().toLowerCase().replace('_', ' ');
        }
    }

    /**
     * @param index 0 to 100, 100 sound; absent when it cannot be told
     * @param calmReset whether section 4.3 of the house rules asks for a calm reset
     */
    public record Barrier(
            BarrierState state, Optional<Double> index, boolean calmReset, Confidence confidence, Because because) {}

    /** By the bounds of skin.yaml. */
    public enum BarrierState {
        SOUND,
        STRAINED,
        BROKEN,
        NOT_YET;

        public String words() {
            return this == NOT_YET ? "not known yet" : name().toLowerCase();
        }
    }

    /**
     * @param severity mean grade of the zones it touches, 0 to 4
     * @param weight share of all concerns, in points of 100
     */
    public record RankedConcern(
            Concern concern, double severity, int zonesTouched, int zonesLooked, double weight, Because because) {}

    /**
     * @param type 1 to 6; 0 when not known
     * @param numeral as written, empty when not known
     */
    public record Phototype(int type, String numeral, Confidence confidence, Because because) {
        public boolean known() {
            return type > 0;
        }

        private static final int DARK_FROM =
                KnowledgeFile.yaml("skin.yaml").row("looks").whole("dark-from", 1, 7);

        /** Skin in which redness is under-seen. */
        public boolean dark() {
            return type >= DARK_FROM;
        }
    }

    /** The question and its answer. */
    public record OilyOrThirsty(Answer answer, Because because) {
        /** What the evidence says. */
        public enum Answer {
            NOT_ASKED,
            OILY,
            THIRSTY,
            BOTH,
            NEITHER,
            CANNOT_TELL
        }
    }

    /**
     * One spot of the probe.
     *
     * @param median in the unit
     * @param spread (max − min) / median; for pH max − min
     * @param band in words
     * @param counts beside the eye, 0 not at all to 1 whole
     * @param because why it counts that much
     */
    public record ProbeLine(
            ProbeReading.Quantity quantity,
            Zone zone,
            List<Double> values,
            double median,
            double spread,
            boolean noisy,
            boolean simulated,
            String band,
            ProbeConditions.Standing standing,
            double counts,
            Because because) {}

    /** A computed verdict beside the therapist's. */
    public record SetByHand(ByHand.Verdict verdict, String computed, String stands, String who, String why) {}

    /**
     * @param what to do next
     * @param where to find it
     * @param sign to grade, for a sign
     * @param seconds that it takes
     * @param settles which verdict it would settle
     */
    public record Missing(String what, Where where, Optional<Sign> sign, int seconds, String settles) {
        /** Where a missing thing is found. */
        public enum Where {
            SIGN,
            PROBE,
            TALK
        }
    }
}
