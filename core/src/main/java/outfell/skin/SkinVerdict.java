package outfell.skin;

import java.util.List;
import outfell.knowledge.Because;

/**
 * What a reading says, each part with the evidence that led to it.
 *
 * @param zones type of each zone that could be told, in zone order
 * @param concerns heaviest first; weights add up to 100
 * @param contradictions where eye and probe part, never averaged away in silence
 * @param missing what would settle most, cheapest first
 */
public record SkinVerdict(
        TypeVerdict type,
        List<ZoneType> zones,
        Water water,
        Sensitivity sensitivity,
        Barrier barrier,
        List<RankedConcern> concerns,
        List<Because> contradictions,
        List<Missing> missing) {

    /** Band of one zone. */
    public record ZoneType(Zone zone, Band band, double oil, Because because) {}

    /**
     * Water state, a condition that any type may have.
     *
     * @param water 0 to 100; negative when not known
     */
    public record Water(WaterState state, double water, Because because) {
        public boolean dehydrated() {
            return state == WaterState.SLIGHTLY_DEHYDRATED
                    || state == WaterState.DEHYDRATED
                    || state == WaterState.VERY_DEHYDRATED;
        }
    }

    /** Sixty and more hydrated, 45 slightly dehydrated, 30 dehydrated, under that very dehydrated. House judgement. */
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
     * @param score 0 to 100; negative when not known
     * @param treatAsSensitive by score or by the override for a lasting sting or strong redness
     */
    public record Sensitivity(SensitivityBand band, double score, boolean treatAsSensitive, Because because) {}

    /** Under 25 tolerant, under 45 a reactive tendency, else sensitive. House judgement. */
    public enum SensitivityBand {
        TOLERANT,
        REACTIVE_TENDENCY,
        SENSITIVE,
        NOT_YET
    }

    /**
     * @param index 0 to 100, 100 sound; negative when not known
     * @param calmReset whether section 4.3 of the house rules asks for a calm reset
     */
    public record Barrier(
            BarrierState state, double index, boolean calmReset, Confidence confidence, Because because) {}

    /** Seventy-five and more sound, 50 and more strained, else broken. House judgement. */
    public enum BarrierState {
        SOUND,
        STRAINED,
        BROKEN,
        NOT_YET
    }

    /**
     * @param severity mean grade of the zones it touches, 0 to 4
     * @param weight share of all concerns, in points of 100
     */
    public record RankedConcern(
            Concern concern, double severity, int zonesTouched, int zonesLooked, double weight, Because because) {}

    /**
     * @param what to do next
     * @param settles which verdict it would settle
     */
    public record Missing(String what, Sign sign, String settles) {}
}
