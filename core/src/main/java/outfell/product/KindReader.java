package outfell.product;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.product.Kinds.Sign;

/**
 * What kind of step a pack is, by the weight of its signs: words of its name, what washes, what is rationed, what scrubs, what it is
 * made of. The heaviest sum wins; the next is kept, for whoever knows better.
 */
final class KindReader {
    /**
     * What is known of a pack.
     *
     * @param certain lines that are certainly in it
     * @param spf SPF by its name, 0 for none
     */
    record Pack(
            Product.Facts facts,
            List<LabelLine> certain,
            List<ActiveIn> actives,
            Composition composition,
            boolean waterFree,
            int spf) {}

    private record Evident(StepKind kind, Sign sign, String sure, String sentence) {
        int weight() {
            return Kinds.weighs(sign);
        }
    }

    private final Pack pack;
    private final List<StepKind> named;
    private final List<Evident> signs = new ArrayList<>();

    private KindReader(Pack pack) {
        this.pack = pack;
        String name = pack.facts().name();
        this.named = named(Kinds.byName(name), clay(pack), Kinds.saysThatItIsRinsed(name));
    }

    /** Of a mask that says which it is, the bare word tells nothing more; one with clay among the first is a clay mask. */
    private static List<StepKind> named(List<StepKind> all, boolean clay, boolean rinsed) {
        List<StepKind> words = all.stream()
                .filter(k -> !(rinsed && k == StepKind.LEAVE_ON_MASK))
                .toList();
        boolean said = words.stream().anyMatch(KindReader::tellsOfAMask);
        return words.stream()
                .filter(k -> !(said && k == StepKind.RINSE_MASK))
                .filter(k -> !(k == StepKind.LIP
                        && (words.contains(StepKind.LIP_SCRUB) || words.contains(StepKind.LIP_MASK))))
                .map(k -> k == StepKind.RINSE_MASK && clay ? StepKind.CLAY_MASK : k)
                .distinct()
                .toList();
    }

    private static boolean tellsOfAMask(StepKind named) {
        return switch (named) {
            case CLAY_MASK, ENZYME, LEAVE_ON_MASK, SLEEPING_MASK, LIP, LIP_MASK, EYE -> true;
            default -> false;
        };
    }

    private static boolean clay(Pack pack) {
        return within(pack.certain(), ProductReader.SOLIDS_WITHIN, Tag.CLAY)
                || pack.actives().stream().anyMatch(a -> a.kind() == ActiveKind.CLAY);
    }

    /** At least one, the likeliest first; no two of one kind. */
    static List<KindRead> read(Pack pack) {
        KindReader reader = new KindReader(pack);
        reader.byName();
        reader.byFilters();
        reader.bySurfactant();
        reader.bySolids();
        reader.byActives();
        reader.byMakeUp();
        return reader.ranked();
    }

    private List<KindRead> ranked() {
        Map<StepKind, Integer> sums = new EnumMap<>(StepKind.class);
        signs.forEach(s -> sums.merge(s.kind(), s.weight(), Integer::sum));
        List<StepKind> order = sums.entrySet().stream()
                .sorted(Map.Entry.<StepKind, Integer>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .toList();
        boolean close = order.size() > 1
                && sums.getOrDefault(order.get(0), 0) - sums.getOrDefault(order.get(1), 0) <= Kinds.weighs(Sign.CLOSE);
        return order.stream()
                .map(k -> told(k, close && k == order.getFirst(), sums.getOrDefault(k, 0)))
                .toList();
    }

    private KindRead told(StepKind kind, boolean close, int weight) {
        Evident first = signs.stream()
                .filter(s -> s.kind() == kind)
                .max(Comparator.comparingInt(Evident::weight))
                .orElseThrow();
        return new KindRead(kind, close ? "guess" : first.sure(), weight, Because.house(first.sentence()));
    }

    private void sign(StepKind kind, Sign sign, String sure, String sentence) {
        signs.add(new Evident(kind, sign, sure, sentence));
    }

    private void byName() {
        for (StepKind kind : named) {
            boolean first = kind == named.getFirst();
            sign(kind, byName(kind, first), "likely", "The name says %s.".formatted(said(kind)));
        }
    }

    private static Sign byName(StepKind kind, boolean first) {
        return switch (kind) {
            case LIP, LIP_MASK, LIP_SCRUB, HAND, BODY, BEARD_OIL, BASE -> Sign.ELSEWHERE;
            case LEAVE_ON_MASK, SLEEPING_MASK -> Sign.COMES_OFF;
            case EYE -> first ? Sign.EYE : Sign.OTHER_WORD;
            default -> kind.comesOff() ? Sign.COMES_OFF : first ? Sign.NAME : Sign.OTHER_WORD;
        };
    }

    private static String said(StepKind kind) {
        return switch (kind) {
            case LIP -> "lips";
            case HAND -> "hands";
            case BODY -> "body";
            default -> Kinds.of(kind).label();
        };
    }

    private void byFilters() {
        boolean filters =
                pack.certain().stream().anyMatch(l -> l.isAny(Tag.UV_MINERAL, Tag.UV_ORGANIC) && l.likely() >= 1);
        if (pack.spf() > 0 && (filters || pack.certain().isEmpty())) {
            sign(
                    filtered(),
                    Sign.FILTERS,
                    "sure",
                    "SPF %d on the pack and UV filters in the list.".formatted(pack.spf()));
        }
    }

    /** A filter makes a sunscreen of a cream, but not of make-up, nor of what is for eyes, lips or hands and says nothing of sun. */
    private StepKind filtered() {
        return Kinds.saysSun(pack.facts().name())
                ? StepKind.SUNSCREEN
                : named.stream()
                        .filter(k -> byName(k, true) == Sign.ELSEWHERE || k == StepKind.EYE)
                        .findFirst()
                        .orElse(StepKind.SUNSCREEN);
    }

    /** What a name says comes off is settled by the name: a mask or a scrub with a surfactant is no wash. */
    private void bySurfactant() {
        int within = ProductReader.SURFACTANT_WITHIN;
        boolean stays = Kinds.saysThatItStaysOn(pack.facts().name());
        boolean settled = named.stream().anyMatch(StepKind::comesOff);
        List<LabelLine> washing =
                pack.certain().stream().filter(l -> !Kinds.dissolves(l)).toList();
        String sentence = "A surfactant stands among the first %d, so it washes.";
        if (settled) {
            return;
        }
        if (pack.waterFree() && washing.stream().anyMatch(l -> l.position() <= within && Kinds.rinsesOil(l))) {
            sign(
                    StepKind.FIRST_CLEANSE,
                    Sign.RINSES_OIL,
                    "likely",
                    "No water, and what makes oil rinse off stands among the first %d.".formatted(within));
        } else if (within(washing, within, Tag.SURFACTANT_STRONG)) {
            sign(StepKind.WASH, Sign.SURFACTANT_STRONG, "likely", sentence.formatted(within));
        } else if (within(washing, Kinds.SURFACTANT_FIRST, Tag.SURFACTANT_MILD)) {
            sign(StepKind.WASH, Sign.SURFACTANT_FIRST, "likely", sentence.formatted(Kinds.SURFACTANT_FIRST));
        } else if (within(washing, within, Tag.SURFACTANT_MILD)) {
            sign(StepKind.WASH, Sign.SURFACTANT, "likely", sentence.formatted(within));
        } else if (!stays && within(pack.certain(), within, Tag.SURFACTANT_MILD)) {
            sign(
                    StepKind.WASH,
                    Sign.SOLUBILISER,
                    "guess",
                    "What dissolves oil stands among the first %d, and nothing says that it stays on."
                            .formatted(within));
        }
    }

    private void bySolids() {
        int within = ProductReader.SOLIDS_WITHIN;
        if (clay(pack)) {
            sign(StepKind.CLAY_MASK, Sign.SOLIDS, "likely", "Clay stands among the first %d.".formatted(within));
        }
        if (within(pack.certain(), within, Tag.EXFOLIATING_PARTICLE)) {
            sign(StepKind.SCRUB, Sign.SOLIDS, "likely", "Scrub particles stand among the first %d.".formatted(within));
        } else if (acts(ActiveKind.SCRUB)) {
            sign(StepKind.SCRUB, Sign.SOLIDS, "guess", "It holds scrub particles.");
        }
    }

    private boolean acts(ActiveKind kind) {
        return pack.actives().stream().anyMatch(a -> a.kind() == kind);
    }

    private void byActives() {
        Optional<ActiveIn> strong = pack.actives().stream()
                .filter(a -> Actives.of(a.kind()).rationed() || a.kind() == ActiveKind.BENZOYL_PEROXIDE)
                // clay and grains are what a thing is made of, and no strength of it
                .filter(a -> a.kind() != ActiveKind.CLAY && a.kind() != ActiveKind.SCRUB)
                .findFirst();
        boolean medicine =
                pack.facts().prescription() || pack.certain().stream().anyMatch(l -> l.is(Tag.PRESCRIPTION));
        if (strong.isEmpty() && !medicine) {
            return;
        }
        String what = strong.map(a -> Actives.of(a.kind()).label()).orElse("a prescribed active");
        boolean buffer = !medicine && strong.filter(this::onlyBuffers).isPresent();
        sign(
                !medicine && Kinds.saysSpots(pack.facts().name()) ? StepKind.SPOT : StepKind.TREATMENT,
                buffer ? Sign.BUFFER : Sign.RATIONED,
                "likely",
                "It stays on and holds %s, so it has its own nights.".formatted(what));
    }

    /** A fruit acid that nobody praises or counts, beside its salt or a lye: it sets the pH. */
    private boolean onlyBuffers(ActiveIn active) {
        return active.kind() == ActiveKind.AHA
                && !active.declared()
                && !ProductReader.named(pack.facts().name(), Actives.of(active.kind()), active.ingredient())
                && pack.certain().stream().anyMatch(Kinds::buffers);
    }

    private void byMakeUp() {
        Composition c = pack.composition();
        if (pack.waterFree()) {
            boolean seals = c.occlusive() > ProductReader.SEALS;
            sign(
                    seals ? StepKind.SEAL : StepKind.OIL,
                    Sign.MAKE_UP,
                    "guess",
                    seals
                            ? "No water, and more than %.0f %% of it seals.".formatted(100 * ProductReader.SEALS)
                            : "No water, mostly softening oils.");
            return;
        }
        boolean thin = c.emollient() + c.occlusive() < ProductReader.HARDLY_OIL;
        sign(
                thin ? StepKind.SERUM : StepKind.MOISTURISER,
                Sign.MAKE_UP,
                "guess",
                thin ? "Water-based with hardly any oil." : "Water and oils together.");
    }

    private static boolean within(List<LabelLine> lines, int places, Tag... tags) {
        return lines.stream()
                .filter(l -> l.position() <= places
                        && (l.position() > 0 || l.declared().isPresent()))
                .anyMatch(l -> l.isAny(tags) && !(l.ingredient().isPresent() && l.high() <= 1));
    }
}
