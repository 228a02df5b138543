package outfell.product;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
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

    private static final int SURFACTANT_WITHIN = SHARES.whole("surfactant-within", 1, 50);
    /** Clay or particles this early make a mask or a scrub of it. */
    private static final int SOLIDS_WITHIN = SHARES.whole("solids-within", 1, 50);

    private record Told<T>(T value, String sure, Because because) {}

    private ProductReader() {}

    public static Product read(Product.Facts facts) {
        Label list = LabelReader.read(facts.label(), facts.names());
        Label label = list.claiming(NameClaims.of(facts.name(), list));
        List<LabelLine> certain = label.certain();
        List<LabelLine> held = label.held();
        int spf = spf(facts.name());
        boolean waterFree = waterFree(facts, certain);
        Composition listed = Composition.of(certain);
        List<ActiveIn> actives = actives(facts, held);
        Told<StepKind> kind = kind(facts, certain, actives, listed, waterFree, spf);
        Composition composition = waterFree
                ? listed
                : Composition.of(certain, Kinds.of(kind.value()).solids());
        Told<Double> texture = texture(facts, kind.value(), composition, waterFree, certain);
        List<Finding> findings = new ArrayList<>();
        findings.add(new Finding("kind of step", Kinds.of(kind.value()).label(), kind.sure(), kind.because()));
        findings.add(new Finding("texture", textureWords(texture.value()), texture.sure(), texture.because()));
        actives.forEach(a -> findings.add(active(a)));
        findings.addAll(LabelFindings.of(facts, kind.value(), certain, actives, composition, spf));
        findings.addAll(corrected(facts));
        findings.addAll(unlisted(label));
        List<Harms.Harm> harms = Harms.of(facts, kind.value(), held);
        harms.forEach(h -> findings.add(new Finding("mind", h.harm(), "sure", h.because())));
        return new Product(
                facts.id(),
                facts.name().strip(),
                facts.maker().strip(),
                facts.size(),
                facts.unit(),
                facts.price(),
                kind.value(),
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
                harms);
    }

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
                    .or(() -> Kinds.byName(facts.name()))
                    .filter(k -> k == StepKind.OIL || k == StepKind.SEAL || k == StepKind.LIP)
                    .isPresent();
        }
        return certain.stream()
                .limit(3)
                .noneMatch(
                        l -> l.is(Tag.SOLVENT) && !l.is(Tag.EMOLLIENT) || l.is(Tag.HUMECTANT) && !l.is(Tag.EMOLLIENT));
    }

    private static List<ActiveIn> actives(Product.Facts facts, List<LabelLine> held) {
        List<ActiveIn> found = new ArrayList<>();
        for (Actives.Family family : Actives.all()) {
            List<ActiveIn> members = held.stream()
                    .filter(l ->
                            Actives.of(l).filter(f -> f.kind() == family.kind()).isPresent())
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

    private static boolean named(String name, Actives.Family family, String inci) {
        String lower = name.toLowerCase(Locale.ROOT);
        String first = inci.toLowerCase(Locale.ROOT).split("[ /]")[0];
        return lower.contains(first)
                || lower.contains(family.label())
                || family.called().stream().anyMatch(c -> Lexicon.standsIn(c, name));
    }

    private static Told<StepKind> kind(
            Product.Facts facts,
            List<LabelLine> certain,
            List<ActiveIn> actives,
            Composition composition,
            boolean waterFree,
            int spf) {
        if (facts.kind().isPresent()) {
            return new Told<>(facts.kind().get(), "sure", byHand(facts, Correction.About.KIND));
        }
        Optional<StepKind> byName = Kinds.byName(facts.name());
        if (byName.isPresent() && byName.get() == StepKind.LIP) {
            return told(StepKind.LIP, "likely", "The name says lips.");
        }
        boolean filters = certain.stream().anyMatch(l -> l.isAny(Tag.UV_MINERAL, Tag.UV_ORGANIC) && l.likely() >= 1);
        if (spf > 0 && (filters || certain.isEmpty())) {
            return told(StepKind.SUNSCREEN, "sure", "SPF %d on the pack and UV filters in the list.".formatted(spf));
        }
        return byContent(facts, certain, actives, byName)
                .or(() -> byName.map(k -> told(
                        k, "likely", "The name says %s.".formatted(Kinds.of(k).label()))))
                .orElseGet(() -> byMakeUp(composition, waterFree));
    }

    private static Optional<Told<StepKind>> byContent(
            Product.Facts facts, List<LabelLine> certain, List<ActiveIn> actives, Optional<StepKind> byName) {
        boolean namedToComeOff = byName.filter(StepKind::comesOff).isPresent();
        List<LabelLine> washing = Kinds.saysThatItStaysOn(facts.name())
                ? certain.stream().filter(l -> !Kinds.dissolves(l)).toList()
                : certain;
        if (!namedToComeOff && within(washing, SURFACTANT_WITHIN, Tag.SURFACTANT_MILD, Tag.SURFACTANT_STRONG)) {
            return Optional.of(told(
                    StepKind.WASH,
                    "likely",
                    "A surfactant stands among the first %d, so it washes.".formatted(SURFACTANT_WITHIN)));
        }
        if (byName.isEmpty() && within(certain, SOLIDS_WITHIN, Tag.CLAY)) {
            return Optional.of(
                    told(StepKind.CLAY_MASK, "likely", "Clay stands among the first %d.".formatted(SOLIDS_WITHIN)));
        }
        if (byName.isEmpty() && within(certain, SOLIDS_WITHIN, Tag.EXFOLIATING_PARTICLE)) {
            return Optional.of(told(
                    StepKind.SCRUB, "likely", "Scrub particles stand among the first %d.".formatted(SOLIDS_WITHIN)));
        }
        Optional<ActiveIn> strong = actives.stream()
                .filter(a -> Actives.of(a.kind()).rationed() || a.kind() == ActiveKind.BENZOYL_PEROXIDE)
                .findFirst();
        boolean eye = byName.filter(k -> k == StepKind.EYE).isPresent();
        boolean medicine = facts.prescription() || certain.stream().anyMatch(l -> l.is(Tag.PRESCRIPTION));
        if (!namedToComeOff && !eye && (strong.isPresent() || medicine)) {
            String what = strong.map(a -> Actives.of(a.kind()).label()).orElse("a prescribed active");
            return Optional.of(told(
                    StepKind.TREATMENT,
                    "likely",
                    "It stays on and holds %s, so it has its own nights.".formatted(what)));
        }
        return Optional.empty();
    }

    private static Told<StepKind> byMakeUp(Composition c, boolean waterFree) {
        if (waterFree) {
            return c.occlusive() > 0.4
                    ? told(StepKind.SEAL, "guess", "No water, and more than two fifths seal.")
                    : told(StepKind.OIL, "guess", "No water, mostly softening oils.");
        }
        double fat = c.emollient() + c.occlusive();
        return fat < 0.03
                ? told(StepKind.SERUM, "guess", "Water-based with hardly any oil.")
                : told(StepKind.MOISTURISER, "guess", "Water and oils together.");
    }

    private static boolean within(List<LabelLine> certain, int places, Tag... tags) {
        return certain.stream()
                .filter(l -> l.position() <= places
                        && (l.position() > 0 || l.declared().isPresent()))
                .anyMatch(l -> l.isAny(tags) && !(l.ingredient().isPresent() && l.high() <= 1));
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
        double grade = waterFree ? (c.occlusive() > 0.4 ? 8 : 6.5) : byFat(c, certain);
        return told(
                grade,
                "guess",
                "Oils and seals make up about %.0f %% of it.".formatted(100 * (c.emollient() + c.occlusive())));
    }

    private static double byFat(Composition c, List<LabelLine> certain) {
        double fat = c.emollient() + c.occlusive();
        if (fat < 0.03) {
            return certain.stream().anyMatch(l -> l.is(Tag.THICKENER)) ? 2 : 1;
        }
        return fat < 0.10 ? 4 : fat < 0.20 ? 5 : fat < 0.40 ? 6 : 7;
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
