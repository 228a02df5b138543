package outfell.regimen;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.routine.Coverage;
import outfell.routine.Part;
import outfell.routine.ZoneStep;
import outfell.skin.Band;
import outfell.skin.Observation;
import outfell.skin.Sign;
import outfell.skin.Signs;
import outfell.skin.SkinVerdict;
import outfell.skin.Zone;

/** What the plan proposes for a part of the face only, from zones.yaml: where a sign stands out there, and the rest was looked at, too. */
final class ZoneCare {
    private static final Row FILE = KnowledgeFile.yaml("zones.yaml");
    private static final Map<Zone, Double> AREAS = areas();
    private static final List<Proposal> PROPOSALS = Row.unique(FILE.rows("proposals"), Proposal::read, Proposal::id);
    private static final Row EYES = FILE.row("seal-round-the-eyes");
    private static final List<Tag> SCENTED = EYES.several("never", Tag.class);
    private static final List<Band> EYES_BANDS = EYES.several("bands", Band.class);
    /** Why the seal goes round the eyes, too. */
    static final ZoneStep EYES_TOO = new ZoneStep(
            ZoneStep.Does.PLACE,
            Optional.empty(),
            Coverage.EYE_AREA.words(),
            Coverage.EYE_AREA.cm2(),
            0,
            1,
            EYES.because(EYES.text("text")));

    private record Proposal(
            String id,
            List<StepKind> kinds,
            List<ActiveKind> has,
            Optional<Part> part,
            List<Sign> signs,
            int from,
            int apart,
            ZoneStep.Does does,
            int seconds,
            double amount,
            String text,
            Because because) {
        static Proposal read(Row row) {
            return new Proposal(
                    row.text("id"),
                    row.several("kinds", StepKind.class),
                    row.several("has", ActiveKind.class),
                    row.has("part") ? Optional.of(row.one("part", Part.class)) : Optional.empty(),
                    row.several("signs", Sign.class),
                    row.whole("from", 1, 4),
                    row.whole("apart", 1, 4),
                    row.one("does", ZoneStep.Does.class),
                    row.whole("seconds", 0, 120),
                    row.number("amount", 0, 1),
                    row.text("text"),
                    row.because(row.text("text")));
        }

        boolean speaksOf(Product p) {
            return kinds.contains(p.kind()) && (has.isEmpty() || p.hasAny(has)) && !p.strong() && !p.prescription();
        }
    }

    private final List<Observation> seen;
    private final boolean dry;

    ZoneCare(List<Observation> seen, SkinVerdict skin) {
        this.seen = seen.stream().filter(o -> o.zone().inRegimen()).toList();
        this.dry = EYES_BANDS.contains(skin.type().bandU());
    }

    /** What of a product goes on a part of the face only. */
    List<ZoneStep> of(Product p) {
        return PROPOSALS.stream()
                .filter(r -> r.speaksOf(p))
                .flatMap(r -> proposed(r).stream())
                .toList();
    }

    /** Whether any part of the face gets more of one of these. */
    boolean any(Stream<Product> products) {
        List<Product> all = products.toList();
        return all.stream().anyMatch(p -> roundTheEyes(p, all.stream()) || !of(p).isEmpty());
    }

    /** Whether a seal goes round the eyes, too. */
    boolean roundTheEyes(Product p, Stream<Product> beside) {
        return p.kind() == StepKind.SEAL
                && dry
                && p.directions().roundTheEyes().orElse(true)
                && SCENTED.stream().noneMatch(p.tags()::contains)
                && beside.noneMatch(b -> b.kind() == StepKind.EYE);
    }

    /** By the sign that stands out most, the first in the rule when equal. */
    private Optional<ZoneStep> proposed(Proposal rule) {
        return rule.signs().stream()
                .flatMap(sign -> standsOut(rule, sign).stream())
                .max(Comparator.comparingInt(StandsOut::by))
                .map(found -> new ZoneStep(
                        rule.does(),
                        rule.part(),
                        words(found.zones()),
                        found.zones().stream().mapToDouble(AREAS::get).sum(),
                        rule.seconds(),
                        rule.amount(),
                        rule.because()
                                .withSentence(rule.text()
                                        .replace("{places}", words(found.zones()))
                                        .replace(
                                                "{sign}",
                                                Signs.of(found.sign()).label().toLowerCase())
                                        .replace("{grade}", Integer.toString(found.grade()))
                                        .replace("{rest}", Integer.toString(found.rest())))));
    }

    /**
     * Zones in which one sign is so much stronger than in all others.
     *
     * @param grade the strongest among them
     * @param rest the strongest elsewhere
     */
    private record StandsOut(Sign sign, Set<Zone> zones, int grade, int rest) {
        int by() {
            return grade - rest;
        }
    }

    /** Nothing where nobody looked elsewhere: whether it is a part is not known then. */
    private Optional<StandsOut> standsOut(Proposal rule, Sign sign) {
        Map<Zone, Integer> grades = seen.stream()
                .filter(o -> o.sign() == sign)
                .collect(Collectors.toMap(
                        Observation::zone, Observation::grade, (_, b) -> b, () -> new EnumMap<>(Zone.class)));
        OptionalInt most = grades.values().stream().mapToInt(g -> g).max();
        if (most.isEmpty() || most.getAsInt() < rule.from()) {
            return Optional.empty();
        }
        int least = most.getAsInt() - rule.apart() + 1;
        Set<Zone> there = grades.entrySet().stream()
                .filter(e -> e.getValue() >= Math.max(rule.from(), least))
                .map(Map.Entry::getKey)
                .collect(Collectors.toCollection(() -> java.util.EnumSet.noneOf(Zone.class)));
        OptionalInt rest = grades.entrySet().stream()
                .filter(e -> !there.contains(e.getKey()))
                .mapToInt(Map.Entry::getValue)
                .max();
        return rest.isPresent()
                        && most.getAsInt() - rest.getAsInt() >= rule.apart()
                        && there.stream().allMatch(AREAS::containsKey)
                ? Optional.of(new StandsOut(sign, there, most.getAsInt(), rest.getAsInt()))
                : Optional.empty();
    }

    /** "cheeks", "right cheek and chin". */
    private static String words(Set<Zone> zones) {
        List<String> names = new ArrayList<>();
        boolean cheeks = zones.containsAll(Zone.U);
        for (Zone z : zones) {
            if (cheeks && z == Zone.CHEEK_R) {
                names.add("cheeks");
            } else if (!cheeks || z != Zone.CHEEK_L) {
                names.add(z.words());
            }
        }
        return names.size() < 2
                ? names.getFirst()
                : String.join(", ", names.subList(0, names.size() - 1)) + " and " + names.getLast();
    }

    private static Map<Zone, Double> areas() {
        Row row = FILE.row("areas");
        row.because("cm2");
        Map<Zone, Double> areas = new LinkedHashMap<>();
        for (Zone zone : Zone.values()) {
            String key = zone.name().toLowerCase();
            if (row.has(key)) {
                areas.put(zone, row.number(key, 1, 600));
            }
        }
        return areas;
    }
}
