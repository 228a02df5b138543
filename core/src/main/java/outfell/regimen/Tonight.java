package outfell.regimen;

import java.util.ArrayList;
import java.util.List;
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
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.routine.Part;

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
        SHORT_OF_TIME,
        SORE
    }

    /**
     * @param minutes it takes, to one decimal
     * @param keep names of the steps, in no order of their own: the routine's
     * @param leave names of what is left out, least loss first
     * @param because what it costs, or what it spares
     */
    public record Version(Part part, Why why, double minutes, List<String> keep, List<String> leave, Because because) {}

    private Tonight() {}

    /**
     * The best of a routine that half of the minutes allow: every way of leaving out steps is weighed.
     *
     * @param leave slots that may stay empty for once
     * @param worth of a whole plan; nothing where a rule forbids it
     * @param minutes that a plan takes in this routine
     */
    static Optional<Version> shorter(
            Part part,
            List<Slot> slots,
            List<Integer> leave,
            List<Optional<Candidate>> chosen,
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
        List<Optional<Candidate>> best = without(chosen, optional, 0);
        Optional<Worth> most = Optional.empty();
        for (int kept = 0; kept < 1 << optional.size(); kept++) {
            List<Optional<Candidate>> plan = without(chosen, optional, kept);
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
        return Optional.of(version(part, Why.SHORT_OF_TIME, slots, chosen, best, takes, Because.house(sentence)));
    }

    /** What stays on when the skin stings: water, cream and seal after a wash, and of those nothing strong, sour or scented. */
    static Optional<Version> sore(
            Part part,
            List<Slot> slots,
            List<Optional<Candidate>> chosen,
            ToDoubleFunction<List<Optional<Candidate>>> minutes) {
        List<Optional<Candidate>> plan = new ArrayList<>();
        for (int s = 0; s < slots.size(); s++) {
            boolean spared = slots.get(s).part() == part;
            plan.add(chosen.get(s).filter(c -> !spared || gentle(c.product())));
        }
        if (plan.equals(chosen)) {
            return Optional.empty();
        }
        return Optional.of(version(
                part,
                Why.SORE,
                slots,
                chosen,
                plan,
                minutes.applyAsDouble(plan),
                Because.custom(onlyThese(part, slots, plan))));
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

    private static Version version(
            Part part,
            Why why,
            List<Slot> slots,
            List<Optional<Candidate>> from,
            List<Optional<Candidate>> to,
            double minutes,
            Because because) {
        List<String> keep = new ArrayList<>();
        List<String> leave = new ArrayList<>();
        for (int s = 0; s < slots.size(); s++) {
            if (slots.get(s).part() == part && from.get(s).isPresent()) {
                (to.get(s).isPresent() ? keep : leave)
                        .add(from.get(s).get().product().name());
            }
        }
        return new Version(part, why, Math.round(minutes * 10) / 10.0, List.copyOf(keep), List.copyOf(leave), because);
    }
}
