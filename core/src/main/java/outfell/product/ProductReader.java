package outfell.product;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.knowledge.Certainty;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Lexicon;
import outfell.knowledge.Row;

/** From a pack's words and ingredient list to what the product is, each answer with its reason. */
public final class ProductReader {
    private static final Pattern SPF = Pattern.compile("(?i)\\bspf\\s*(\\d{1,3})");
    /** Surfactants this early make a wash of it. */
    private static final Row SHARES = KnowledgeFile.yaml("shares.yaml");

    static final int SURFACTANT_WITHIN = SHARES.whole("surfactant-within", 1, 50);
    /** Clay or particles this early make a mask or a scrub of it. */
    static final int SOLIDS_WITHIN = SHARES.whole("solids-within", 1, 50);

    static final double SEALS = SHARES.number("seals-from", 0, 1);
    static final double HARDLY_OIL = SHARES.number("hardly-oil", 0, 1);

    /** The texture below a mass fraction of oils and seals. */
    private record ByFat(double below, double grade) {
        static ByFat read(Row row) {
            row.because(row.text("id"));
            double below = row.has("below") ? row.number("below", 0, 1) : Double.POSITIVE_INFINITY;
            return new ByFat(below, row.number("grade", 1, 8));
        }
    }

    private static final List<ByFat> TEXTURES = Row.unique(SHARES.rows("texture-by-fat"), ByFat::read, ByFat::below);

    private record Told<T>(T value, String sure, Because because) {}

    private ProductReader() {}

    public static Product read(Product.Facts facts) {
        return read(facts, OwnIngredients.NONE);
    }

    /** @param own what the practice has said of ingredients */
    public static Product read(Product.Facts facts, OwnIngredients own) {
        Label list = LabelReader.read(facts.label(), facts.names(), own);
        Label label = list.claiming(NameClaims.of(facts.name(), list));
        List<LabelLine> certain = label.certain();
        List<LabelLine> held = label.held();
        int spf = spf(facts.name());
        boolean waterFree = waterFree(facts, certain);
        Composition listed = Composition.of(certain);
        List<ActiveIn> actives = actives(facts, held);
        List<KindRead> kinds = KindReader.read(new KindReader.Pack(facts, certain, actives, listed, waterFree, spf));
        KindRead kind = facts.kind()
                .map(k -> new KindRead(k, "sure", 0, byHand(facts, Correction.About.KIND)))
                .orElse(kinds.getFirst());
        Composition composition = waterFree
                ? listed
                : Composition.of(certain, Kinds.of(kind.kind()).solids());
        Told<Double> texture = texture(facts, kind.kind(), composition, waterFree, certain);
        List<Finding> findings = new ArrayList<>();
        findings.add(new Finding("kind of step", Kinds.of(kind.kind()).label(), kind.sure(), kind.because()));
        findings.add(new Finding("texture", textureWords(texture.value()), texture.sure(), texture.because()));
        actives.forEach(a -> findings.add(active(a)));
        findings.addAll(LabelFindings.of(facts, kind.kind(), certain, actives, composition, spf));
        Directions directions = Directions.read(facts, kind.kind());
        Stream.of(Direction.values())
                .flatMap(d -> Optional.ofNullable(directions.told().get(d)).stream())
                .forEach(t -> findings.add(new Finding("by the pack", t.words(), "sure", t.because())));
        findings.addAll(corrected(facts));
        findings.addAll(unlisted(label));
        Stream.concat(label.lines().stream().filter(LabelLine::mayContain), label.beside().stream())
                .filter(l -> l.isAny(Beside.matter()))
                .forEach(l -> findings.add(new Finding("mind", "may hold " + l.common(), "guess", l.because())));
        List<Harms.Harm> harms = Harms.of(facts, kind.kind(), held);
        harms.forEach(h -> findings.add(new Finding("mind", h.harm(), "sure", h.because())));
        return new Product(
                facts.id(),
                facts.name().strip(),
                facts.maker().strip(),
                facts.size(),
                facts.unit(),
                facts.price(),
                kind.kind(),
                kinds,
                texture.value(),
                waterFree,
                composition,
                actives,
                tags(held),
                mayHold(label),
                spf,
                facts.prescription(),
                (int) certain.stream()
                        .filter(l -> l.likely() >= 1
                                && l.ingredient().map(Ingredient::clogs).orElse(false))
                        .count(),
                certain.stream()
                        .mapToInt(l -> l.ingredient().map(Ingredient::irritancy).orElse(0))
                        .sum(),
                label,
                findings,
                facts.home().isPresent(),
                harms,
                directions);
    }

    /** Kinds of which one whose list nobody has read is taken to hold no water. */
    private static final Set<StepKind> WATER_FREE_BY_NAME = EnumSet.of(
            StepKind.OIL,
            StepKind.SEAL,
            StepKind.LIP,
            StepKind.LIP_MASK,
            StepKind.LIP_SCRUB,
            StepKind.BEARD_OIL,
            StepKind.POWDER);

    /** Texture grades in words, as custom has them. */
    public static String textureWords(double grade) {
        return switch ((int) Math.floor(grade)) {
            case 1 -> "water-thin";
            case 2 -> "thin serum";
            case 3 -> "gel serum";
            case 4 -> "fluid or milk";
            case 5 -> "gel-cream or lotion";
            case 6 -> grade > 6 ? "liquid oil" : "cream";
            case 7 -> "rich cream or balm";
            default -> "ointment";
        };
    }

    private static int spf(String name) {
        Matcher m = SPF.matcher(name);
        return m.find() ? Integer.parseInt(m.group(1)) : 0;
    }

    private static Set<Tag> tags(List<LabelLine> certain) {
        Set<Tag> tags = EnumSet.noneOf(Tag.class);
        certain.forEach(l -> l.ingredient().ifPresent(i -> tags.addAll(i.tags())));
        return tags;
    }

    private static Set<Tag> mayHold(Label label) {
        Set<Tag> tags = EnumSet.noneOf(Tag.class);
        label.all()
                .flatMap(l -> Stream.concat(l.ingredient().stream(), l.maybe().stream()))
                .forEach(i -> tags.addAll(i.tags()));
        return tags;
    }

    private static boolean waterFree(Product.Facts facts, List<LabelLine> certain) {
        if (certain.stream().noneMatch(l -> l.ingredient().isPresent())) {
            return facts.kind()
                    .or(() -> Kinds.byName(facts.name()).stream().findFirst())
                    .filter(WATER_FREE_BY_NAME::contains)
                    .isPresent();
        }
        return certain.stream()
                .limit(3)
                .noneMatch(
                        l -> l.is(Tag.SOLVENT) && !l.is(Tag.EMOLLIENT) || l.is(Tag.HUMECTANT) && !l.is(Tag.EMOLLIENT));
    }

    private static List<ActiveIn> actives(Product.Facts facts, List<LabelLine> held) {
        Map<ActiveKind, List<LabelLine>> byKind = new EnumMap<>(ActiveKind.class);
        held.forEach(l -> Actives.of(l)
                .ifPresent(f ->
                        byKind.computeIfAbsent(f.kind(), _ -> new ArrayList<>()).add(l)));
        List<ActiveIn> found = new ArrayList<>();
        for (Actives.Family family : Actives.all()) {
            List<ActiveIn> members = byKind.getOrDefault(family.kind(), List.of()).stream()
                    .map(l -> activeIn(facts.name(), family, l))
                    .toList();
            together(family, members)
                    .filter(a -> a.declared()
                            ? a.high() >= family.counts()
                            : Math.sqrt(a.low() * a.high()) >= family.counts())
                    .ifPresent(found::add);
        }
        return found;
    }

    /** What burdens the skin adds up, under the name of the strongest; of what only helps the strongest counts. */
    private static Optional<ActiveIn> together(Actives.Family family, List<ActiveIn> members) {
        Optional<ActiveIn> strongest = members.stream().max((a, b) -> Double.compare(a.high(), b.high()));
        return !family.rationed() || members.size() < 2
                ? strongest
                : strongest.map(s -> new ActiveIn(
                        s.kind(),
                        s.ingredient(),
                        members.stream().mapToDouble(ActiveIn::low).sum(),
                        members.stream().mapToDouble(ActiveIn::high).sum(),
                        members.stream().allMatch(ActiveIn::declared)));
    }

    private static ActiveIn activeIn(String name, Actives.Family family, LabelLine line) {
        String inci = line.ingredient().map(Ingredient::inci).orElse(line.printed());
        OptionalDouble percent = NameClaims.percent(name);
        if (line.declared().isEmpty() && percent.isPresent() && named(name, family, inci)) {
            double x = percent.getAsDouble();
            return new ActiveIn(family.kind(), inci, x, x, true);
        }
        return new ActiveIn(
                family.kind(), inci, line.low(), line.high(), line.declared().isPresent());
    }

    static boolean named(String name, Actives.Family family, String inci) {
        String lower = name.toLowerCase(Locale.ROOT);
        String first = inci.toLowerCase(Locale.ROOT).split("[ /]")[0];
        return lower.contains(first)
                || lower.contains(family.label())
                || family.called().stream().anyMatch(c -> Lexicon.standsIn(c, name));
    }

    private static <T> Told<T> told(T value, String sure, String sentence) {
        return new Told<>(value, sure, Because.house(sentence));
    }

    private static Told<Double> texture(
            Product.Facts facts, StepKind kind, Composition c, boolean waterFree, List<LabelLine> certain) {
        if (facts.texture().isPresent()) {
            return new Told<>(facts.texture().getAsDouble(), "sure", byHand(facts, Correction.About.TEXTURE));
        }
        Optional<Double> byName = Kinds.textureByName(facts.name());
        if (byName.isPresent()) {
            return told(byName.get(), "likely", "The name says so: %s.".formatted(textureWords(byName.get())));
        }
        if (certain.isEmpty()) {
            return told(Kinds.of(kind).texture(), "guess", "Usual for its kind; no list to go by.");
        }
        double grade = waterFree ? (c.occlusive() > SEALS ? 8 : 6.5) : byFat(c, certain);
        return told(
                grade,
                "guess",
                "Oils and seals make up about %.0f %% of it.".formatted(100 * (c.emollient() + c.occlusive())));
    }

    private static double byFat(Composition c, List<LabelLine> certain) {
        double fat = c.emollient() + c.occlusive();
        if (fat < HARDLY_OIL) {
            return certain.stream().anyMatch(l -> l.is(Tag.THICKENER)) ? 2 : 1;
        }
        return TEXTURES.stream()
                .filter(t -> fat < t.below())
                .findFirst()
                .orElseThrow()
                .grade();
    }

    private static Because byHand(Product.Facts facts, Correction.About about) {
        return Because.custom(facts.corrections().stream()
                .filter(c -> c.about() == about)
                .map(c -> "Set by %s, %s.".formatted(c.who(), c.on()))
                .findFirst()
                .orElse("Set by hand."));
    }

    /** What only the product's name says, and how much is not known of what the list says. */
    private static List<Finding> unlisted(Label label) {
        List<Finding> all = new ArrayList<>();
        for (LabelLine line : label.claimed()) {
            all.add(new Finding("by its name", line.common(), line.certainty().words(), line.because()));
        }
        label.certain().stream()
                .filter(l -> l.ingredient().isPresent() && l.certainty() != Certainty.SURE)
                .forEach(l -> all.add(new Finding("mind", "not in the table: " + l.printed(), "likely", l.because())));
        return all;
    }

    private static List<Finding> corrected(Product.Facts facts) {
        return facts.corrections().stream()
                .filter(c -> c.about() == Correction.About.NAME)
                .map(c -> new Finding(
                        "corrected",
                        "\"%s\" is %s".formatted(c.of(), c.to().isEmpty() ? "no ingredient" : c.to()),
                        "sure",
                        Because.custom("Set by %s, %s.".formatted(c.who(), c.on()))))
                .toList();
    }

    private static Finding active(ActiveIn a) {
        Actives.Family family = Actives.of(a.kind());
        return new Finding(
                "active",
                "%s, %s".formatted(family.label(), a.strength()),
                a.declared() ? "sure" : "likely",
                family.because()
                        .withSentence("%s is %s."
                                .formatted(
                                        a.ingredient(),
                                        family.rationed()
                                                ? "a strong active with its own nights"
                                                : "an active that is worn daily")));
    }
}
