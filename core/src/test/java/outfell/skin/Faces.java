package outfell.skin;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;

/** Builds readings in tests: grades in the order forehead, nose, chin, right cheek, left cheek; a minus is "not looked at". */
public final class Faces {
    private static final List<Zone> FIVE = List.of(Zone.FOREHEAD, Zone.NOSE, Zone.CHIN, Zone.CHEEK_R, Zone.CHEEK_L);
    private final List<Observation> observations = new ArrayList<>();
    private final List<ProbeReading> probe = new ArrayList<>();
    private final List<RecentEvent> events = new ArrayList<>();
    private OptionalInt flush = OptionalInt.empty();
    private OptionalInt reactions = OptionalInt.empty();

    public static Faces face() {
        return new Faces();
    }

    public Faces with(Sign sign, int... grades) {
        for (int i = 0; i < grades.length; i++) {
            if (grades[i] >= 0) {
                observations.add(new Observation(FIVE.get(i), sign, grades[i], How.SEEN));
            }
        }
        return this;
    }

    public Faces calm() {
        return with(Sign.TIGHTNESS, 0, 0, 0, 0, 0).with(Sign.FLAKING, 0, 0, 0, 0, 0);
    }

    public Faces measured(ProbeReading.Quantity quantity, double... values) {
        for (int i = 0; i < values.length; i++) {
            if (values[i] >= 0) {
                probe.add(new ProbeReading(quantity, FIVE.get(i), values[i]));
            }
        }
        return this;
    }

    public Faces after(RecentEvent.Kind kind, int days) {
        events.add(new RecentEvent(kind, days));
        return this;
    }

    public Faces history(int flushes, int reacted) {
        flush = OptionalInt.of(flushes);
        reactions = OptionalInt.of(reacted);
        return this;
    }

    public SkinReading reading() {
        return new SkinReading(observations, probe, flush, reactions, events);
    }

    public SkinVerdict verdict() {
        return SkinReader.read(reading(), Set.of());
    }
}
