package outfell.skin;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;

/** Builds readings in tests: grades in the order forehead, nose, chin, right cheek, left cheek; a minus is "not looked at". */
public final class Faces {
    /** A room and a skin in which every reading is valid. */
    public static final ProbeConditions VALID = new ProbeConditions(
            OptionalDouble.of(21),
            OptionalDouble.of(50),
            OptionalInt.of(240),
            true,
            OptionalInt.of(20),
            OptionalInt.of(14));

    private static final List<Zone> FIVE = List.of(Zone.FOREHEAD, Zone.NOSE, Zone.CHIN, Zone.CHEEK_R, Zone.CHEEK_L);
    private final List<Observation> observations = new ArrayList<>();
    private final List<ProbeReading> probe = new ArrayList<>();
    private final List<RecentEvent> events = new ArrayList<>();
    private final List<Settlement> settlements = new ArrayList<>();
    private final List<ByHand> byHand = new ArrayList<>();
    private ProbeConditions conditions = VALID;
    private History history = History.NONE;

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

    public Faces at(Zone zone, Sign sign, int grade) {
        observations.add(new Observation(zone, sign, grade, Signs.of(sign).how()));
        return this;
    }

    public Faces calm() {
        return with(Sign.TIGHTNESS, 0, 0, 0, 0, 0).with(Sign.FLAKING, 0, 0, 0, 0, 0);
    }

    /** Each spot read three times alike. */
    public Faces measured(ProbeReading.Quantity quantity, double... values) {
        for (int i = 0; i < values.length; i++) {
            if (values[i] >= 0) {
                probe.add(new ProbeReading(quantity, FIVE.get(i), Collections.nCopies(3, values[i]), false));
            }
        }
        return this;
    }

    public Faces spot(ProbeReading.Quantity quantity, Zone zone, Double... values) {
        probe.add(new ProbeReading(quantity, zone, Arrays.asList(values), false));
        return this;
    }

    public Faces in(ProbeConditions other) {
        conditions = other;
        return this;
    }

    public Faces after(String words, int size, int window, int days) {
        events.add(new RecentEvent(words, size, window, days));
        return this;
    }

    public Faces history(int flushes, int reacted) {
        history = new History(
                OptionalInt.of(flushes),
                OptionalInt.of(reacted),
                history.swings(),
                history.says(),
                history.burns(),
                history.tans(),
                history.age(),
                history.beard());
        return this;
    }

    public Faces says(History.Says says) {
        history = new History(
                history.flush(),
                history.reactions(),
                history.swings(),
                Optional.of(says),
                history.burns(),
                history.tans(),
                history.age(),
                history.beard());
        return this;
    }

    public Faces inTheSun(int burns, int tans) {
        history = new History(
                history.flush(),
                history.reactions(),
                history.swings(),
                history.says(),
                OptionalInt.of(burns),
                OptionalInt.of(tans),
                history.age(),
                history.beard());
        return this;
    }

    public Faces person(int age, boolean beard, boolean swings) {
        history = new History(
                history.flush(),
                history.reactions(),
                swings,
                history.says(),
                history.burns(),
                history.tans(),
                OptionalInt.of(age),
                beard);
        return this;
    }

    public Faces keeping(String contradiction, Settlement.Side side) {
        settlements.add(new Settlement(contradiction, side, "Runa", "felt it twice"));
        return this;
    }

    public Faces set(ByHand.Verdict verdict, String value) {
        byHand.add(new ByHand(verdict, value, "Runa", "seen for years"));
        return this;
    }

    public SkinReading reading() {
        return new SkinReading(observations, probe, conditions, history, events, settlements, byHand);
    }

    public SkinVerdict verdict() {
        return SkinReader.read(reading(), Set.of());
    }
}
