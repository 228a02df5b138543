package outfell.regimen;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import outfell.aims.Uses;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.method.Method;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.routine.Alone;
import outfell.routine.NotWhile;
import outfell.routine.Then;
import outfell.skin.Concern;
import outfell.skin.SkinVerdict;

/** What a step is done with beside its product, how that is kept clean, and when not, from tools.yaml. */
final class Tools {
    private static final Row FILE = KnowledgeFile.yaml("tools.yaml");
    private static final Map<NotWhile, String> REASONS = reasons();
    private static final List<Tool> TOOLS = Row.unique(FILE.rows("tools"), Tool::read, Tool::id);

    /** To whom alone a tool is told. */
    private enum For {
        FULL_MAKE_UP,
        PUFFINESS
    }

    private record Tool(
            String id,
            List<StepKind> kinds,
            double thinUnder,
            List<For> only,
            List<NotWhile> not,
            String instead,
            Because because) {
        static Tool read(Row row) {
            return new Tool(
                    row.text("id"),
                    row.several("kinds", StepKind.class),
                    row.number("thin", Double.POSITIVE_INFINITY),
                    row.several("for", For.class),
                    row.several("not", NotWhile.class),
                    row.text("instead", ""),
                    row.because(row.text("text")));
        }

        Optional<Because> of(Product p, Set<For> who, Set<NotWhile> against) {
            boolean told = kinds.contains(p.kind())
                    && p.texture() < thinUnder
                    && (only.isEmpty() || only.stream().anyMatch(who::contains));
            return told
                    ? Optional.of(not.stream()
                            .filter(against::contains)
                            .findFirst()
                            .map(a -> because.withSentence(instead.replace("{why}", REASONS.getOrDefault(a, ""))))
                            .orElse(because))
                    : Optional.empty();
        }
    }

    private final Set<For> who;
    private final Set<NotWhile> against;
    /** What the method makes a step of its own, which is told there. */
    private final Set<String> ofMethod;

    /** @param plan its products */
    Tools(Consultation consultation, SkinVerdict skin, Uses uses, Stream<Product> plan) {
        this.who = EnumSet.noneOf(For.class);
        this.against = EnumSet.noneOf(NotWhile.class);
        this.ofMethod =
                consultation.method().residueCheck() == Method.ResidueCheck.STEP ? Set.of(Alone.RESIDUE) : Set.of();
        if (consultation.life().fullMakeUp() && consultation.life().makeUpDays() > 0) {
            who.add(For.FULL_MAKE_UP);
        }
        if (has(skin, Concern.PUFFINESS)) {
            who.add(For.PUFFINESS);
        }
        if (skin.barrier().state() == SkinVerdict.BarrierState.STRAINED
                || skin.barrier().state() == SkinVerdict.BarrierState.BROKEN) {
            against.add(NotWhile.STRAINED);
        }
        if (has(skin, Concern.BREAKOUTS)) {
            against.add(NotWhile.SPOTS);
        }
        if (plan.anyMatch(p -> p.has(ActiveKind.RETINOID) && uses.isNew(p))) {
            against.add(NotWhile.NEW_RETINOID);
        }
    }

    /**
     * In the order of the file.
     *
     * @param beside what stands beside it as a step of its own, and is told there
     */
    List<Because> of(Product p, List<Then> beside) {
        return TOOLS.stream()
                .filter(t -> !ofMethod.contains(t.id()))
                .filter(t -> beside.stream().flatMap(b -> b.alone().stream()).noneMatch(a -> a.id().equals(t.id())))
                .flatMap(t -> t.of(p, who, against).stream())
                .toList();
    }

    /** What speaks for now against a step without a product, and what is done instead. */
    Optional<Because> against(Alone step) {
        return step.not().stream()
                .filter(against::contains)
                .findFirst()
                .map(a -> step.because().withSentence(step.instead().replace("{why}", REASONS.getOrDefault(a, ""))));
    }

    private static boolean has(SkinVerdict skin, Concern concern) {
        return skin.concerns().stream().anyMatch(c -> c.concern() == concern);
    }

    private static Map<NotWhile, String> reasons() {
        Row row = FILE.row("reasons");
        Map<NotWhile, String> reasons = new EnumMap<>(NotWhile.class);
        for (NotWhile a : NotWhile.values()) {
            reasons.put(a, row.text(a.name().toLowerCase(Locale.ROOT)));
        }
        return reasons;
    }
}
