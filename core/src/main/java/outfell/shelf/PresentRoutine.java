package outfell.shelf;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.conflict.Conflicts;
import outfell.conflict.Interactions;
import outfell.conflict.Meeting;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.ActiveIn;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.routine.Part;
import outfell.routine.StepOrder;
import outfell.safety.SafetyVerdict;
import outfell.season.Season;
import outfell.skin.SkinVerdict;
import outfell.week.Tolerance;

/** What a client does now, read as a regimen: its order, its clashes, doubles and gaps, and what to keep, move, use less or stop. */
public final class PresentRoutine {
    /** Families of which several products are no double. */
    private static final Set<ActiveKind> MAY_REPEAT =
            Set.of(ActiveKind.HUMECTANT, ActiveKind.SOOTHING, ActiveKind.CERAMIDE, ActiveKind.PETROLATUM);

    /**
     * @param daysAWeek 0 to 7
     * @param leavesTight of a wash: whether the skin is tight after it; absent where nobody asked
     */
    public record Used(
            Product product,
            int weeks,
            boolean morning,
            boolean evening,
            int daysAWeek,
            Optional<Boolean> leavesTight) {
        /** Nobody asked whether it leaves the skin tight. */
        public Used(Product product, int weeks, boolean morning, boolean evening, int daysAWeek) {
            this(product, weeks, morning, evening, daysAWeek, Optional.empty());
        }
    }

    /** What becomes of a thing. */
    public enum Fate {
        KEEP,
        MOVE,
        USE_LESS,
        /** Until its list is read, or everybody's questions are asked. */
        WAITS,
        STOP
    }

    /**
     * One thing in one routine, in its place.
     *
     * @param number from 1
     * @param place why it stands there
     * @param because why this fate
     */
    public record Now(
            int number, ProductId product, String name, String kind, Because place, Fate fate, Because because) {}

    /** What is wrong with the whole. */
    public enum Flaw {
        CLASH,
        DOUBLE,
        GAP,
        LOAD
    }

    /** @param products names that it concerns; none for a gap */
    public record Flawed(Flaw flaw, List<String> products, Because because) {}

    /**
     * @param morning in the order in which they should go on
     * @param found clashes first, then doubles, gaps and load
     */
    public record Present(List<Now> morning, List<Now> evening, List<Flawed> found) {}

    private final List<Used> shelf;
    private final SkinVerdict skin;
    private final SafetyVerdict safety;
    private final StepOrder order;
    private final Method method;
    private final Tolerance tolerance;
    private final Conflicts conflicts;

    private PresentRoutine(
            List<Used> shelf, SkinVerdict skin, SafetyVerdict safety, Method method, Conflicts conflicts) {
        this.shelf = shelf;
        this.skin = skin;
        this.safety = safety;
        this.order = new StepOrder(method);
        this.method = method;
        this.conflicts = conflicts;
        this.tolerance = Tolerance.of(skin);
    }

    public static Present read(
            List<Used> shelf, SkinVerdict skin, SafetyVerdict safety, Method method, Conflicts conflicts) {
        PresentRoutine routine = new PresentRoutine(shelf, skin, safety, method, conflicts);
        List<Flawed> found = new ArrayList<>();
        found.addAll(routine.clashes());
        found.addAll(routine.doubles());
        found.addAll(routine.gaps());
        routine.load().ifPresent(found::add);
        return new Present(routine.lay(Part.MORNING), routine.lay(Part.EVENING), List.copyOf(found));
    }

    private Stream<Used> in(Part part) {
        return shelf.stream().filter(u -> u.daysAWeek() > 0 && (part == Part.MORNING ? u.morning() : u.evening()));
    }

    private List<Now> lay(Part part) {
        Map<ProductId, Used> uses =
                in(part).collect(Collectors.toMap(u -> u.product().id(), u -> u, (a, b) -> a));
        List<Product> sorted =
                order.sort(uses.values().stream().map(Used::product).toList());
        List<Now> all = new ArrayList<>();
        for (int i = 0; i < sorted.size(); i++) {
            Product p = sorted.get(i);
            Used used = java.util.Objects.requireNonNull(uses.get(p.id()));
            Because place = order.place(p, sorted.subList(0, i), sorted.subList(i + 1, sorted.size()));
            all.add(now(i + 1, used, part, place));
        }
        return List.copyOf(all);
    }

    private Now now(int number, Used used, Part part, Because place) {
        Product p = used.product();
        Optional<Because> stop = stop(p).or(() -> tightens(used));
        if (stop.isPresent()) {
            return now(number, p, place, safety.onlyWaits(p) ? Fate.WAITS : Fate.STOP, stop.get());
        }
        Optional<Because> move = move(p, part);
        if (move.isPresent()) {
            return now(number, p, place, Fate.MOVE, move.get());
        }
        Optional<Because> less = useLess(used);
        return less.isPresent()
                ? now(number, p, place, Fate.USE_LESS, less.get())
                : now(number, p, place, Fate.KEEP, Because.custom(kept(used)));
    }

    private static String kept(Used used) {
        Product p = used.product();
        if (p.prescription()) {
            return "The prescriber's: as they said.";
        }
        return p.kind() == StepKind.WASH && used.leavesTight().isEmpty()
                ? "Nothing known speaks against it; whether it leaves the skin tight has not been asked."
                : "Nothing speaks against it.";
    }

    /** What she has tried herself. */
    private static Optional<Because> tightens(Used used) {
        return used.leavesTight().orElse(false)
                ? Optional.of(
                        Because.custom("%s leaves the skin tight ten minutes after washing: it takes off too much."
                                .formatted(used.product().name())))
                : Optional.empty();
    }

    private static Now now(int number, Product p, Because place, Fate fate, Because because) {
        return new Now(
                number, p.id(), p.name(), outfell.product.Kinds.of(p.kind()).label(), place, fate, because);
    }

    private Optional<Because> stop(Product p) {
        Optional<Because> ban = safety.forbids(p);
        if (ban.isPresent() || p.prescription()) {
            return ban;
        }
        boolean bears = !skin.sensitivity().treatAsSensitive() && !skin.water().dehydrated();
        if (p.kind() == StepKind.WASH && p.tags().contains(Tag.SURFACTANT_STRONG) && !bears) {
            return Optional.of(Because.custom(
                    "%s strips: a wash that leaves this skin tight is wrong for it, however clean it feels."
                            .formatted(p.name())));
        }
        boolean stings = p.tags().contains(Tag.DRYING_ALCOHOL) || p.tags().contains(Tag.IRRITANT_SENSORY);
        return !p.kind().comesOff() && stings && !bears
                ? Optional.of(
                        Because.custom("%s stays on and holds drying alcohol or a sharp irritant.".formatted(p.name())))
                : Optional.empty();
    }

    private Optional<Because> move(Product p, Part part) {
        if (part == Part.MORNING
                && p.kind() == StepKind.FIRST_CLEANSE
                && !method.morningWash().firstCleanse()) {
            return Optional.of(Because.custom("It takes off sunscreen: to the evening, where there is one."));
        }
        if (part == Part.MORNING && (!p.byDay() || p.nightsByStrength()) && !p.prescription()) {
            return Optional.of(Because.custom(
                    p.maskOfADay()
                            ? "It rubs or dries: to the evening, so that no sun and no wind follow it."
                            : "A strong step and daylight do not go together: to the evening."));
        }
        return part == Part.EVENING && p.kind() == StepKind.SUNSCREEN
                ? Optional.of(Because.custom("A sunscreen has no work in the evening: to the morning."))
                : Optional.empty();
    }

    private Optional<Because> useLess(Used used) {
        Product p = used.product();
        if (!p.nightsByStrength() || p.prescription()) {
            return Optional.empty();
        }
        int bears = tolerance.usesPerWeek(p, used.weeks());
        return used.daysAWeek() > bears
                ? Optional.of(tolerance
                        .because()
                        .withSentence("%d days a week now; a %s skin bears %s."
                                .formatted(
                                        used.daysAWeek(),
                                        tolerance.label(),
                                        bears == 0 ? "none of it" : bears == 1 ? "one" : String.valueOf(bears))))
                : Optional.empty();
    }

    // ---- the whole

    private List<Flawed> clashes() {
        List<Flawed> all = new ArrayList<>();
        for (int i = 0; i < shelf.size(); i++) {
            for (int j = i + 1; j < shelf.size(); j++) {
                clash(shelf.get(i), shelf.get(j)).ifPresent(all::add);
            }
        }
        return all;
    }

    private Optional<Flawed> clash(Used a, Used b) {
        if (Conflicts.held(a.product()).isEmpty()
                || Conflicts.held(b.product()).isEmpty()
                || a.daysAWeek() == 0
                || b.daysAWeek() == 0) {
            return Optional.empty();
        }
        boolean together = (a.morning() && b.morning()) || (a.evening() && b.evening());
        Optional<Flawed> met = conflicts
                .apart(a.product(), b.product(), together)
                .map(rule -> clash(a, b, rule.meeting(), rule.because()));
        if (met.isPresent()) {
            return met;
        }
        for (ActiveIn x : Conflicts.held(a.product())) {
            for (ActiveIn y : Conflicts.held(b.product())) {
                Optional<Interactions.Interaction> i =
                        conflicts.interactions().between(a.product(), x.kind(), b.product(), y.kind());
                if (i.isPresent() && meets(i.get().meeting(), together, a.daysAWeek() + b.daysAWeek())) {
                    return i.map(found -> clash(a, b, found.meeting(), found.because()));
                }
            }
        }
        return Optional.empty();
    }

    private static Flawed clash(Used a, Used b, Meeting meeting, Because because) {
        return new Flawed(
                Flaw.CLASH,
                List.of(a.product().name(), b.product().name()),
                because.withSentence("%s with %s, %s: %s"
                        .formatted(a.product().name(), b.product().name(), meeting.words(), because.sentence())));
    }

    private static boolean meets(Meeting meeting, boolean together, int daysOfBoth) {
        return switch (meeting) {
            case NEVER -> true;
            case AM_PM -> together;
            case NIGHTS -> together && daysOfBoth > 7;
            case CAUTION, FINE, MYTH -> false;
        };
    }

    private List<Flawed> doubles() {
        Map<ActiveKind, List<String>> holders = new EnumMap<>(ActiveKind.class);
        for (Used used : shelf) {
            if (used.daysAWeek() > 0) {
                Conflicts.held(used.product()).stream()
                        .map(ActiveIn::kind)
                        .filter(k -> !MAY_REPEAT.contains(k))
                        .distinct()
                        .forEach(k -> holders.computeIfAbsent(k, none -> new ArrayList<>())
                                .add(used.product().name()));
            }
        }
        return holders.entrySet().stream()
                .filter(e -> e.getValue().size() > 1)
                .map(e -> new Flawed(
                        Flaw.DOUBLE,
                        List.copyOf(e.getValue()),
                        Because.custom("%d products give the same thing, %s: %s. One is enough."
                                .formatted(
                                        e.getValue().size(),
                                        Actives.of(e.getKey()).label(),
                                        String.join(", ", e.getValue())))))
                .toList();
    }

    private List<Flawed> gaps() {
        List<Flawed> all = new ArrayList<>();
        Optional<Product> sunscreen = kind(Part.MORNING, StepKind.SUNSCREEN);
        if (sunscreen.isEmpty()) {
            all.add(gap("No sunscreen in the morning, for every skin colour and all year."));
        } else if (sunscreen.get().spf() > 0 && sunscreen.get().spf() < Season.USUAL_SPF) {
            all.add(gap("SPF %d; %d is the least.".formatted(sunscreen.get().spf(), Season.USUAL_SPF)));
        }
        if (kind(Part.EVENING, StepKind.WASH).isEmpty()
                && kind(Part.EVENING, StepKind.FIRST_CLEANSE).isEmpty()) {
            all.add(gap("Nothing takes the day off in the evening."));
        }
        boolean dries = in(Part.EVENING)
                .anyMatch(u ->
                        u.product().kind() == StepKind.CLAY_MASK || u.product().strong());
        if (kind(Part.EVENING, StepKind.MOISTURISER).isEmpty()
                && kind(Part.EVENING, StepKind.SEAL).isEmpty()) {
            all.add(gap(dries ? "No cream after a step that dries." : "Nothing keeps water in overnight."));
        }
        return all;
    }

    private static Flawed gap(String sentence) {
        return new Flawed(Flaw.GAP, List.of(), Because.custom(sentence));
    }

    private Optional<Product> kind(Part part, StepKind kind) {
        return in(part).map(Used::product).filter(p -> p.kind() == kind).findFirst();
    }

    private Optional<Flawed> load() {
        double points = shelf.stream()
                .filter(u -> u.product().rationed())
                .mapToDouble(u -> Tolerance.points(u.product()) * u.daysAWeek())
                .sum();
        return points > tolerance.cap()
                ? Optional.of(new Flawed(
                        Flaw.LOAD,
                        shelf.stream()
                                .filter(u -> u.product().rationed())
                                .map(u -> u.product().name())
                                .toList(),
                        tolerance
                                .because()
                                .withSentence("%.0f points of strong work a week; a %s skin bears %.0f."
                                        .formatted(points, tolerance.label(), tolerance.cap()))))
                : Optional.empty();
    }
}
