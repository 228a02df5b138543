package outfell.server.probe;

import outfell.skin.ProbeReading.Quantity;
import outfell.skin.Zone;

/** A skin probe. One reading at a time; a second call waits for the first to end. */
public interface SkinProbe {
    /** Hears what a reading does while it is taken. */
    interface Listener {
        /** A value on the way: it still drifts while the probe settles. */
        void sample(double value);
    }

    /**
     * Who answers.
     *
     * @param serial of the probe
     * @param simulated whether it is the stand-in
     */
    record Identity(String serial, boolean simulated) {}

    /** Air of the room at the probe: °C and % relative humidity. */
    record Room(double celsius, double humidity) {}

    /** The probe does not answer: unplugged, out of reach, or gone in the middle of a reading. */
    final class Lost extends Exception {
        private static final long serialVersionUID = 1L;

        public Lost(String sentence) {
            super(sentence);
        }
    }

    /** Connects when needed. */
    Identity identity() throws Lost;

    Room room() throws Lost;

    /** @return the value on which the probe has settled, in the unit of the quantity */
    double measure(Quantity quantity, Zone zone, Listener listener) throws Lost;
}
