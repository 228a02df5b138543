package outfell.regimen;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import outfell.aims.Candidate;
import outfell.aims.Slot;
import outfell.choice.Worth;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.method.Method;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.routine.Part;
import outfell.routine.Routine;
import outfell.routine.Step;

/** A routine on a day that is not like others: too little time, or a skin that stings. */
public final class Tonight {
    private static final Row FILE = KnowledgeFile.yaml("tonight.yaml");
    private static final double SHARE = FILE.number("short-share", 0.1, 1);
    private static final Row SORE = FILE.row("sore");
    private static final List<StepKind> KEPT = SORE.several("keeps", StepKind.class);
    private static final List<ActiveKind> STINGING = SORE.several("actives", ActiveKind.class);
    private static final List<Tag> SCENTED = SORE.several("tags", Tag.class);

    /** Why the routine is another. */
    public enum Why {
        BARE,
        DRY,
        HOT,
        SORE,
        SHORT_OF_TIME
    }

    /** What a step would have to wait for, by the therapist's hand: a row of conditions.yaml. */
    @FunctionalInterface
    interface Waits {
        boolean forOneOf(Product p, List<String> conditions);
    }

    /** An evening of another kind, from tonight.yaml. */
    private record Evening(
            Why why,
            String label,
            List<StepKind> kinds,
            boolean nights,
            boolean waterFast,
            boolean madeUpDays,
            boolean twice,
            List<String> without,
            Because because) {
        static Evening read(Row row) {
            return new Evening(
                    row.one("id", Why.class),
                    row.text("label"),
                    row.several("kinds", StepKind.class),
                    row.flag("nights"),
                    row.flag("water-fast"),
                    row.flag("made-up-days"),
                    row.flag("twice"),
                    row.texts("without"),
                    row.because(row.text("text")));
        }

        boolean leaves(Product p, Waits waits) {
            return !p.prescription()
                    && (kinds.contains(p.kind()) || (nights && p.rationed()) || waits.forOneOf(p, without));
        }
    }

    private static final List<Evening> EVENINGS = Row.unique(FILE.rows("evenings"), Evening::read, Evening::why);
    private static final Map<Why, String> LABELS = labels();
    private static final List<String> NOT_SORE = SORE.texts("without");
    private static final List<String> NOT_LATE = late();

    private static Map<Why, String> labels() {
        Map<Why, String> labels = new EnumMap<>(Why.class);
        EVENINGS.forEach(e -> labels.put(e.why(), e.label()));
        labels.put(Why.SORE, SORE.text("label"));
        labels.put(Why.SHORT_OF_TIME, FILE.row("short").text("label"));
        return labels;
    }

    private static List<String> late() {
        Row row = FILE.row("short");
        row.because("without");
        return row.texts("without");
    }

    /**
     * @param label after "if": "sore", "bare-faced"
     * @param told for the client's sheet, by the numbers of the steps: "If sore: only 2 and 5."
     * @param minutes it takes, to one decimal
     * @param steps that are done, in the routine's order
     * @param timeline of them
     * @param keep names of the steps, in no order of their own: the routine's
     * @param leave names of what is left out, least loss first
     * @param because what it costs, or what it spares
     */
    public record Version(
            Part part,
            Why why,
            String label,
            String told,
            double minutes,
            List<ProductId> steps,
            Routine.Timeline timeline,
            List<String> keep,
            List<String> leave,
            Because because) {}

    /** A version before it is drawn. */
    record Found(Part part, Why why, List<Product> keep, List<Product> leave, Because because) {
        /** By the shorter of the two lists. */
        private String told(Routine routine, List<Step> done) {
            List<Step> left =
                    routine.steps().stream().filter(s -> !done.contains(s)).toList();
            return left.isEmpty()
                    ? ""
                    : "If %s: %s."
                            .formatted(
                                    LABELS.getOrDefault(why, ""),
                                    left.size() <= done.size() ? "without " + numbers(left) : "only " + numbers(done));
        }

        private static String numbers(List<Step> steps) {
            List<String> all =
                    steps.stream().map(s -> String.valueOf(s.number())).toList();
            return all.size() < 2
                    ? String.join("", all)
                    : String.join(", ", all.subList(0, all.size() - 1)) + " and " + all.getLast();
        }

        /** Drawn by the steps of its routine. */
        Version drawn(Routine routine) {
            List<Step> done = routine.steps().stream()
                    .filter(s -> keep.stream().anyMatch(p -> p.id().equals(s.product())))
                    .toList();
            Routine.Timeline timeline =
                    Routine.of(part, done, routine.timeline().limitMinutes()).timeline();
            return new Version(
                    part,
                    why,
                    LABELS.getOrDefault(why, ""),
                    told(routine, done),
                    timeline.minutes(),
                    done.stream().map(Step::product).toList(),
                    timeline,
                    keep.stream().map(Product::name).toList(),
                    leave.stream().map(Product::name).toList(),
                    because);
        }
    }

    private Tonight() {}

    /**
     * The best of a routine that half of the minutes allow: every way of leaving out steps is weighed.
     *
     * @param leave slots that may stay empty for once
     * @param worth of a whole plan; nothing where a rule forbids it
     * @param minutes that a plan takes in this routine
     */
    static Optional<Found> shorter(
            Part part,
            List<Slot> slots,
            List<Integer> leave,
            List<Optional<Candidate>> chosen,
            Waits waits,
            int limitMinutes,
            Function<List<Optional<Candidate>>, Optional<Worth>> worth,
            ToDoubleFunction<List<Optional<Candidate>>> minutes) {
        List<Integer> optional = leave.stream()
                .filter(s -> slots.get(s).part() == part && chosen.get(s).isPresent())
                .toList();
        double target = limitMinutes * SHARE;
        if (optional.isEmpty() || minutes.applyAsDouble(chosen) <= target) {
            return Optional.empty();
        }
        List<Optional<Candidate>> early = chosen.stream()
                .map(c -> c.filter(x -> x.product().prescription() || !waits.forOneOf(x.product(), NOT_LATE)))
                .toList();
        List<Optional<Candidate>> best = without(early, optional, 0);
        Optional<Worth> most = Optional.empty();
        for (int kept = 0; kept < 1 << optional.size(); kept++) {
            List<Optional<Candidate>> plan = without(early, optional, kept);
            Optional<Worth> here = minutes.applyAsDouble(plan) <= target ? worth.apply(plan) : Optional.empty();
            if (here.isPresent() && (most.isEmpty() || here.get().compareTo(most.get()) > 0)) {
                best = plan;
                most = here;
            }
        }
        double takes = minutes.applyAsDouble(best);
        String sentence = takes > target
                ? "The necessary steps alone take %.1f minutes.".formatted(takes)
                : "%.1f minutes in place of %.1f; one evening without the rest does no harm."
                        .formatted(takes, minutes.applyAsDouble(chosen));
        return Optional.of(version(part, Why.SHORT_OF_TIME, slots, chosen, best, Because.house(sentence)));
    }

    /** What stays on when the skin stings: water, cream and seal after a wash, and of those nothing strong, sour or scented. */
    static Optional<Found> sore(Part part, List<Slot> slots, List<Optional<Candidate>> chosen, Waits waits) {
        List<Optional<Candidate>> plan = new ArrayList<>();
        for (int s = 0; s < slots.size(); s++) {
            boolean spared = slots.get(s).part() == part;
            plan.add(chosen.get(s)
                    .filter(c -> !spared || (gentle(c.product()) && !waits.forOneOf(c.product(), NOT_SORE))));
        }
        if (plan.equals(chosen)) {
            return Optional.empty();
        }
        return Optional.of(version(part, Why.SORE, slots, chosen, plan, Because.custom(onlyThese(part, slots, plan))));
    }

    /** The kinds that are kept, in words. */
    private static String onlyThese(Part part, List<Slot> slots, List<Optional<Candidate>> plan) {
        List<Product> kept = IntStream.range(0, slots.size())
                .filter(s -> slots.get(s).part() == part)
                .mapToObj(plan::get)
                .flatMap(Optional::stream)
                .map(Candidate::product)
                .toList();
        String kinds = kept.stream()
                .filter(p -> !p.prescription())
                .map(Product::kind)
                .distinct()
                .sorted()
                .map(k -> Kinds.of(k).label())
                .collect(Collectors.joining(", "));
        String prescribed = kept.stream().anyMatch(Product::prescription)
                ? " What is prescribed waits only if the prescriber said so."
                : "";
        return "Until it no longer stings only these: %s.%s".formatted(kinds, prescribed);
    }

    private static boolean gentle(Product p) {
        if (p.prescription()) {
            return true;
        }
        boolean staysOn = !p.kind().comesOff();
        boolean strong = p.rationed()
                || (staysOn
                        && p.actives().stream()
                                .anyMatch(a -> Actives.of(a.kind()).rationed()));
        return KEPT.contains(p.kind())
                && !strong
                && !p.hasAny(STINGING)
                && !(staysOn && SCENTED.stream().anyMatch(p.tags()::contains));
    }

    private static List<Optional<Candidate>> without(
            List<Optional<Candidate>> chosen, List<Integer> optional, int kept) {
        List<Optional<Candidate>> plan = new ArrayList<>(chosen);
        for (int o = 0; o < optional.size(); o++) {
            if ((kept >> o & 1) == 0) {
                plan.set(optional.get(o), Optional.empty());
            }
        }
        return plan;
    }

    /** Evenings of other kinds, each where it leaves out anything. */
    static List<Found> others(
            List<Slot> slots, List<Optional<Candidate>> chosen, Waits waits, int makeUpDays, Method method) {
        boolean waterFast = chosen.stream()
                .flatMap(Optional::stream)
                .map(Candidate::product)
                .anyMatch(p -> p.kind() == StepKind.SUNSCREEN && p.waterFast());
        List<Found> all = new ArrayList<>();
        for (Evening e : EVENINGS) {
            boolean here = !(e.waterFast() && waterFast) && !(e.madeUpDays() && makeUpDays == 0);
            boolean twiceAllTheSame = e.twice() && method.secondCleanse() == Method.SecondCleanse.ALWAYS;
            List<Optional<Candidate>> plan = new ArrayList<>();
            for (int s = 0; s < slots.size(); s++) {
                boolean evening = slots.get(s).part() == Part.EVENING;
                plan.add(chosen.get(s)
                        .filter(c -> !evening
                                || !e.leaves(c.product(), waits)
                                || (twiceAllTheSame && c.product().kind() == StepKind.FIRST_CLEANSE)));
            }
            if (here && !plan.equals(chosen)) {
                Because because = twiceAllTheSame ? twice(e, method) : e.because();
                all.add(version(Part.EVENING, e.why(), slots, chosen, plan, because));
            }
        }
        return all;
    }

    private static Because twice(Evening evening, Method method) {
        return evening.because()
                .withSentence("What is for days with make-up waits; the %s method cleanses twice all the same."
                        .formatted(method.name()));
    }

    private static Found version(
            Part part,
            Why why,
            List<Slot> slots,
            List<Optional<Candidate>> from,
            List<Optional<Candidate>> to,
            Because because) {
        List<Product> keep = new ArrayList<>();
        List<Product> leave = new ArrayList<>();
        for (int s = 0; s < slots.size(); s++) {
            if (slots.get(s).part() == part && from.get(s).isPresent()) {
                (to.get(s).isPresent() ? keep : leave).add(from.get(s).get().product());
            }
        }
        return new Found(part, why, List.copyOf(keep), List.copyOf(leave), because);
    }
}
