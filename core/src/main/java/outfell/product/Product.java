package outfell.product;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.commons.lang3.StringUtils;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;

/**
 * A product as the tool understands it.
 *
 * @param size in the unit; 0 when not known
 * @param unit "ml" or "g"
 * @param price in the practice's currency; 0 when not known
 * @param kindsRead what kinds its pack may be of, the likeliest first, whatever has been said by hand
 * @param texture 1 water-thin to 8 ointment; a liquid plant oil is 6.5
 * @param waterFree whether it holds no water phase
 * @param tags kinds of what is certain to be in it or stands in its name
 * @param mayHold the same with what its list says that it may contain, and what a name may be a misprint of
 * @param spf on the pack; 0 for none
 * @param prescription whether a prescriber owns its strength and nights
 * @param clogging how many of its ingredients old scores call highly comedogenic, above one percent; debated
 * @param irritancy sum over its ingredients, to tell the milder of two
 * @param madeAtHome whether it is mixed at home
 * @param allHarms what of it harms, or is to be minded
 * @param directions what its pack directs, as far as anybody knows
 */
public record Product(
        ProductId id,
        String name,
        String maker,
        double size,
        String unit,
        double price,
        StepKind kind,
        List<KindRead> kindsRead,
        double texture,
        boolean waterFree,
        Composition composition,
        List<ActiveIn> actives,
        Set<Tag> tags,
        Set<Tag> mayHold,
        int spf,
        boolean prescription,
        int clogging,
        int irritancy,
        Label label,
        List<Finding> findings,
        boolean madeAtHome,
        List<Harms.Harm> allHarms,
        Directions directions) {
    private static final List<String> WATER_FAST =
            KnowledgeFile.yaml("name-claims.yaml").texts("water-fast");
    private static final List<String> NOT_WATER_FAST =
            KnowledgeFile.yaml("name-claims.yaml").texts("not-water-fast");
    private static final Pattern TWO_PART = Pattern.compile("(?i)\\b(two|2)[- ]part\\b");

    /** Whether its pack says that its film stays on in water, and does not say that it does not. */
    public boolean waterFast() {
        return WATER_FAST.stream()
                .filter(w -> StringUtils.containsIgnoreCase(name, w))
                .anyMatch(w -> NOT_WATER_FAST.stream().noneMatch(n -> StringUtils.containsIgnoreCase(name, n + w)));
    }

    /** What kind it may be instead, by the signs that weigh most. */
    public Optional<KindRead> kindElse() {
        return kindsRead.stream().filter(k -> k.kind() != kind).findFirst();
    }

    /** Whether an ingredient of that INCI name is certain to be in it. */
    public boolean holds(String inci) {
        return is(label.claimed(), inci) || is(label.lines(), inci);
    }

    private static boolean is(List<LabelLine> lines, String inci) {
        // asked for every product of a catalogue, many times a plan
        for (LabelLine line : lines) {
            if (!line.mayContain()
                    && line.ingredient().isPresent()
                    && line.ingredient().get().inci().equals(inci)) {
                return true;
            }
        }
        return false;
    }

    /** Whether any line of its list, its name, or what one may be a misprint of, is of one of those kinds. */
    public boolean mayHold(Set<Tag> kinds) {
        return !Collections.disjoint(kinds, mayHold);
    }

    /** Whether a line of its list, or its name, is of that kind. */
    public boolean holds(Tag tag) {
        return tags.contains(tag);
    }

    /**
     * Whether its sun protection can be believed: bought, an SPF on the pack, and UV filters in a list that somebody has read,
     * at a share that can carry the claim.
     */
    public boolean protectsFromSun() {
        return spf > 0
                && kind != StepKind.BASE
                && !madeAtHome
                && label.lines().stream()
                                .filter(l -> l.isAny(Tag.UV_MINERAL, Tag.UV_ORGANIC))
                                .mapToDouble(LabelLine::high)
                                .sum()
                        >= Kinds.LEAST_FILTER;
    }

    /** The likely share of all ingredients that are of a kind, percent. */
    public double share(Tag tag) {
        double sum = 0;
        for (LabelLine line : label.lines()) {
            sum += !line.mayContain() && line.is(tag) ? line.likely() : 0;
        }
        return sum;
    }

    /** Whether it goes on in two parts, one over the other, and comes off as one. */
    public boolean twoPart() {
        return twoPart(kind, name);
    }

    static boolean twoPart(StepKind kind, String name) {
        return kind.comesOff() && TWO_PART.matcher(name).find();
    }

    /** Whether something in it keeps it from everybody. */
    public boolean harmful() {
        for (Harms.Harm harm : allHarms) {
            if (harm.refused()) {
                return true;
            }
        }
        return false;
    }

    /** Why it is used by nobody, each by the harm; empty when it may be. */
    public List<Because> harms() {
        return allHarms.stream()
                .filter(Harms.Harm::refused)
                .map(h -> h.because()
                        .withSentence("%s: %s. %s"
                                .formatted(name, h.harm(), h.because().sentence())))
                .toList();
    }

    /**
     * What is known of a product before its label is read.
     *
     * @param label ingredient list as printed; may be empty
     * @param kind set by hand, if it was
     * @param texture set by hand, if it was
     * @param corrections by whom and when, at most one to a name, kind or texture
     * @param home how a mixture made at home is used; absent for a bought product
     */
    public record Facts(
            ProductId id,
            String name,
            String maker,
            double size,
            String unit,
            double price,
            String label,
            Optional<StepKind> kind,
            OptionalDouble texture,
            boolean prescription,
            List<Correction> corrections,
            Optional<HomeUse> home) {
        /** Bought, and nothing put right yet. */
        public Facts(
                ProductId id,
                String name,
                String maker,
                double size,
                String unit,
                double price,
                String label,
                Optional<StepKind> kind,
                OptionalDouble texture,
                boolean prescription) {
            this(id, name, maker, size, unit, price, label, kind, texture, prescription, List.of(), Optional.empty());
        }

        /** The same, mixed at home. */
        public Facts madeAtHome(HomeUse use) {
            return new Facts(
                    id,
                    name,
                    maker,
                    size,
                    unit,
                    price,
                    label,
                    kind,
                    texture,
                    prescription,
                    corrections,
                    Optional.of(use));
        }

        /** What names of the label were said to be: printed to INCI, or to nothing. */
        Map<String, String> names() {
            return corrections.stream()
                    .filter(c -> c.about() == Correction.About.NAME)
                    .collect(Collectors.toMap(c -> Ingredients.key(c.of()), Correction::to, (a, b) -> b));
        }

        /** The same with what was put right. */
        public Facts corrected(List<Correction> others) {
            Optional<StepKind> setKind = others.stream()
                    .filter(c -> c.about() == Correction.About.KIND && !c.to().isEmpty())
                    .map(c -> StepKind.valueOf(c.to()))
                    .findFirst();
            OptionalDouble setTexture = others.stream()
                    .filter(c -> c.about() == Correction.About.TEXTURE && !c.to().isEmpty())
                    .mapToDouble(c -> Double.parseDouble(c.to()))
                    .findFirst();
            return new Facts(
                    id,
                    name,
                    maker,
                    size,
                    unit,
                    price,
                    label,
                    setKind.or(() -> kind),
                    setTexture.isPresent() ? setTexture : texture,
                    prescription,
                    others,
                    home);
        }

        public Facts {
            corrections = List.copyOf(corrections);
            if (name.isBlank()) {
                throw new IllegalArgumentException("A product needs a name.");
            }
            if (!(size >= 0 && size <= 5000)) {
                throw new IllegalArgumentException("Size %s is outside 0..5000.".formatted(size));
            }
            if (texture.isPresent() && !(texture.getAsDouble() >= 1 && texture.getAsDouble() <= 8)) {
                throw new IllegalArgumentException("Texture %s is outside 1..8.".formatted(texture.getAsDouble()));
            }
        }
    }

    public Product {
        actives = List.copyOf(actives);
        tags = Set.copyOf(tags);
        mayHold = Set.copyOf(mayHold);
        findings = List.copyOf(findings);
    }

    public boolean has(ActiveKind kind) {
        // asked for every product of a catalogue, many times a plan
        for (ActiveIn active : actives) {
            if (active.kind() == kind) {
                return true;
            }
        }
        return false;
    }

    public boolean hasAny(List<ActiveKind> kinds) {
        for (ActiveKind kind : kinds) {
            if (has(kind)) {
                return true;
            }
        }
        return false;
    }

    /** Whether it has its own nights, by what is in it. */
    public boolean rationed() {
        return switch (kind) {
            case WASH, FIRST_CLEANSE -> false;
            default -> kind.someEvenings() || prescription || holdsRationed() || packKeepsIt();
        };
    }

    /** Whether it has nights of its own by nothing but its pack's word. */
    public boolean rationedByPackAlone() {
        return rationed() && !kind.someEvenings() && !prescription && !holdsRationed();
    }

    /** Whether it is what is in it, or that it rubs and dries, by which it has nights of its own: not its pack alone, nor a mild mask. */
    public boolean nightsByStrength() {
        return rationed() && !rationedByPackAlone() && (strong() || !kind.onlyHers());
    }

    /** Whether it is for some days by what it is, and not strong: a mask, a scrub, an enzyme that light does nothing to. */
    public boolean maskOfADay() {
        return kind.someEvenings() && kind != StepKind.SLEEPING_MASK && byDay() && !strong();
    }

    /** Whether its pack keeps it to some days of a week. */
    private boolean packKeepsIt() {
        return directions.times().isPresent() && directions.times().getAsInt() < 7;
    }

    /** Whether it stays on and what is in it is strong enough to have nights of its own. */
    public boolean strong() {
        return !kind.comesOff() && (prescription || holdsRationed());
    }

    private boolean holdsRationed() {
        for (ActiveIn active : actives) {
            if (Actives.of(active.kind()).rationed()) {
                return true;
            }
        }
        return false;
    }

    /** Whether it may be worn by day. */
    public boolean byDay() {
        for (ActiveIn active : actives) {
            if (!Actives.of(active.kind()).byDay()) {
                return false;
            }
        }
        return !prescription;
    }

    /** The active that names it on a strip: the first rationed one, else the first of all. */
    public Optional<ActiveIn> leading() {
        return actives.stream()
                .filter(a -> Actives.of(a.kind()).rationed())
                .findFirst()
                .or(() -> actives.stream()
                        .filter(a -> !Actives.of(a.kind()).bland())
                        .findFirst());
    }
}
