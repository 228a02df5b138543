package outfell.method;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** The places of a method's routines in their order: those that every method has, edited by its answers; from places.yaml. */
public final class Places {
    /**
     * A place of a method.
     *
     * @param because why a step stands there
     * @param bySchool whether it is there because this method says so
     */
    public record Placed(Place place, String because, boolean bySchool) {}

    /** One answer's edit: a place straight before or after another. */
    private record Edit(String question, String answer, Placed put, Place beside, boolean before) {
        boolean follows(Map<String, String> settings) {
            return answer.equals(settings.get(question));
        }
    }

    private static final Row FILE = KnowledgeFile.yaml("places.yaml");
    private static final List<Placed> ALWAYS = Row.unique(
            FILE.rows("always"), r -> new Placed(r.one("place", Place.class), r.text("because"), false), Placed::place);
    private static final List<Edit> EDITS = edits();

    private final List<Placed> order;
    private final Map<Place, Integer> index = new EnumMap<>(Place.class);

    private Places(List<Placed> order) {
        this.order = order;
        for (int i = 0; i < order.size(); i++) {
            index.put(order.get(i).place(), i);
        }
    }

    /** @param settings the answers of a method */
    static Places of(Map<String, String> settings) {
        List<Placed> order = new ArrayList<>(ALWAYS);
        EDITS.stream().filter(e -> e.follows(settings)).forEach(e -> follow(e, order));
        return new Places(List.copyOf(order));
    }

    private static void follow(Edit edit, List<Placed> order) {
        order.removeIf(p -> p.place() == edit.put().place());
        int beside = indexIn(order, edit.beside());
        order.add(edit.before() ? beside : beside + 1, edit.put());
    }

    private static int indexIn(List<Placed> order, Place place) {
        return order.stream().map(Placed::place).toList().indexOf(place);
    }

    /** First to last. */
    public List<Place> order() {
        return order.stream().map(Placed::place).toList();
    }

    /** The first of some places that is in the list. */
    public Placed first(List<Place> wanted) {
        for (Place place : wanted) {
            Integer at = index.get(place);
            if (at != null) {
                return order.get(at);
            }
        }
        throw new IllegalArgumentException("None of %s is in %s.".formatted(wanted, order()));
    }

    /** Its number in the list, from 0. */
    public int index(Place place) {
        return index.getOrDefault(place, -1);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Places p && p.order.equals(order);
    }

    @Override
    public int hashCode() {
        return order.hashCode();
    }

    @Override
    public String toString() {
        return order().toString();
    }

    /** Ids of the questions whose answers edit the list. */
    static List<String> questions() {
        return EDITS.stream().map(Edit::question).distinct().toList();
    }

    private static List<Edit> edits() {
        EnumSet<Place> known = EnumSet.noneOf(Place.class);
        ALWAYS.forEach(p -> known.add(p.place()));
        List<Edit> edits = new ArrayList<>();
        for (Row row : FILE.rows("edits")) {
            Edit edit = read(row);
            if (ALWAYS.stream().noneMatch(p -> p.place() == edit.beside())) {
                throw row.fault("%s is not in every method".formatted(edit.beside()));
            }
            known.add(edit.put().place());
            edits.add(edit);
        }
        Optional<Place> never =
                Stream.of(Place.values()).filter(p -> !known.contains(p)).findFirst();
        if (never.isPresent()) {
            throw FILE.fault("nothing ever puts %s into a list".formatted(never.get()));
        }
        return List.copyOf(edits);
    }

    private static Edit read(Row row) {
        boolean before = row.has("before");
        Edit edit = new Edit(
                row.text("question"),
                row.text("answer"),
                new Placed(row.one("put", Place.class), row.text("because"), row.flag("school")),
                row.one(before ? "before" : "after", Place.class),
                before);
        row.done();
        return edit;
    }
}
