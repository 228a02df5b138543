package outfell.aims;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.routine.Part;
import outfell.season.Asked;
import outfell.skin.Band;
import outfell.skin.Concern;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.BarrierState;

/**
 * What suits this skin, from suits.yaml: a filter and no weight. What does not suit is not chosen while anything else may stand
 * there, however cheap it is or whose.
 */
public final class Suits {
    private static final Row FILE = KnowledgeFile.yaml("suits.yaml");
    private static final double GRADES_OFF = FILE.number("cream-grades-off", 0, 8);
    private static final double LENIENT_GRADES_OFF = FILE.number("lenient-cream-grades-off", 0, 8);
    private static final double SUNSCREEN_GRADES_OFF = FILE.number("sunscreen-grades-off", 0, 8);
    private static final double PRONE_MOST = FILE.number("prone-most-grade", 1, 8);
    private static final List<Concern> PRONE = FILE.several("prone", Concern.class);
    /** What an oily T-zone asks for and dry or normal cheeks do not. */
    static final List<ActiveKind> T_ZONE_ONLY = FILE.several("t-zone-only", ActiveKind.class);

    /** From this grade on chapped lips are among the first concerns, whatever their weight. */
    static final double CHAPPED_FIRST = FILE.number("chapped-first-from", 0, 4);

    /** Under this age nobody cleanses twice for a bare face. */
    static final int YOUNG = FILE.whole("young-under", 0, 120);

    private static final List<Rule> RULES = Row.unique(FILE.rows("rules"), Suits::read, Rule::id);

    /** Which skins a rule speaks of. */
    private enum Skin {
        /** Every skin but one that is tolerant, oily, holds water and does not feel tight. */
        NOT_OILY_AND_TOLERANT,
        SENSITIVE,
        ANY
    }

    private record Rule(
            String id,
            Skin skin,
            Set<StepKind> kinds,
            boolean leftOn,
            Set<Tag> tags,
            Optional<Part> part,
            boolean borne,
            Because because) {
        boolean speaksOf(Product p, Part in) {
            return (kinds.isEmpty() || kinds.contains(p.kind()))
                    && !(leftOn && p.kind().comesOff())
                    && (part.isEmpty() || part.get() == in)
                    && !Collections.disjoint(tags, p.tags());
        }
    }

    private static final Row TIGHT = FILE.row("leaves-tight");
    private static final Because LEAVES_TIGHT = TIGHT.because(TIGHT.text("sentence"));

    private final SkinVerdict skin;
    private final Asked asked;
    private final boolean bearsStripping;
    private final boolean prone;
    private final Set<ProductId> leavesTight;
    /** Those that are for this skin. */
    private final List<Rule> rules;

    /**
     * @param tight whether the skin is seen or said to be tight
     * @param leavesTight washes that leave this skin tight, as the client says
     */
    public Suits(SkinVerdict skin, Asked asked, boolean tight, Set<ProductId> leavesTight) {
        this.leavesTight = leavesTight;
        this.skin = skin;
        this.asked = asked;
        this.bearsStripping = skin.type().bandU() == Band.OILY
                && !skin.sensitivity().treatAsSensitive()
                && !skin.water().dehydrated()
                && skin.barrier().state() == BarrierState.SOUND
                && !tight;
        this.prone =
                skin.type().bandU() != Band.DRY && skin.concerns().stream().anyMatch(c -> PRONE.contains(c.concern()));
        this.rules = RULES.stream().filter(r -> applies(r.skin())).toList();
    }

    /** Why a product does not suit in a routine; nothing when it does. Its texture is another question. */
    public Optional<Because> against(Product p, Part part) {
        return against(p, part, false);
    }

    /** @param pinched whether money is too short for what suits: then what is owned and borne for once a day may stand */
    public Optional<Because> against(Product p, Part part, boolean pinched) {
        return broken(p, part, pinched)
                .map(Rule::because)
                .or(() -> tightens(p, pinched) ? Optional.of(LEAVES_TIGHT) : Optional.empty())
                .map(b -> b.withSentence("%s: %s".formatted(p.name(), b.sentence())));
    }

    /** Whether it does, asked of a whole catalogue. */
    boolean fits(Product p, Part part, boolean pinched) {
        return broken(p, part, pinched).isEmpty() && !tightens(p, pinched);
    }

    /** What she has tried herself counts like a strong surfactant: borne only where money is too short for another. */
    private boolean tightens(Product p, boolean pinched) {
        return !pinched && leavesTight.contains(p.id());
    }

    private Optional<Rule> broken(Product p, Part part, boolean pinched) {
        for (Rule rule : rules) {
            if (rule.speaksOf(p, part) && !(pinched && rule.borne())) {
                return Optional.of(rule);
            }
        }
        return Optional.empty();
    }

    private boolean applies(Skin which) {
        return switch (which) {
            case NOT_OILY_AND_TOLERANT -> !bearsStripping;
            case SENSITIVE -> skin.sensitivity().treatAsSensitive();
            case ANY -> true;
        };
    }

    /**
     * Grades by which a cream or sunscreen misses what is asked beyond what suits; 0 when it suits, or has no grade to keep.
     *
     * @param lenient for what is owned, and where money is too short: its amount makes up for some of it
     */
    public double gradesOff(Product p, Part part, boolean lenient) {
        return switch (p.kind()) {
            case MOISTURISER -> {
                double heavy = prone && !lenient ? Math.max(0, p.texture() - PRONE_MOST) : 0;
                yield Math.max(
                        heavy,
                        Math.max(
                                0, Math.abs(p.texture() - target(part)) - (lenient ? LENIENT_GRADES_OFF : GRADES_OFF)));
            }
            case SUNSCREEN -> Math.max(0, Math.abs(p.texture() - sunscreenTarget()) - SUNSCREEN_GRADES_OFF);
            default -> 0;
        };
    }

    /** The grade of cream that is asked for, 1 to 8. */
    public double target(Part part) {
        return part == Part.MORNING
                ? asked.moisturiserByDay().grade()
                : asked.moisturiser().grade();
    }

    public double sunscreenTarget() {
        return Math.max(3, asked.moisturiserByDay().grade() - 1);
    }

    private static Rule read(Row row) {
        String sentence = row.text("sentence");
        return new Rule(
                row.text("id"),
                row.one("skin", Skin.class),
                Set.copyOf(row.several("kinds", StepKind.class)),
                row.flag("left-on"),
                Set.copyOf(row.several("tags", Tag.class)),
                row.has("part") ? Optional.of(row.one("part", Part.class)) : Optional.empty(),
                row.flag("borne"),
                row.because(sentence));
    }
}
