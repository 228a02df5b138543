package outfell.product;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.knowledge.KnowledgeFile;

/** What a list tells beside kind, texture and actives: make-up, sun filters, pH, hazards, and what is not in it. */
final class LabelFindings {
    /** Alcohol this early dries; custom. */
    private static final int ALCOHOL_WITHIN = KnowledgeFile.yaml("shares.yaml").whole("alcohol-within", 1, 50);

    private static final Pattern UVA = Pattern.compile("(?i)\\buva\\b|\\bpa\\s*\\+{2,4}|broad\\s+spectrum");
    private static final String AVOBENZONE = "Butyl Methoxydibenzoylmethane";
    private static final String OCTINOXATE = "Ethylhexyl Methoxycinnamate";
    private static final List<String> STEADIES =
            List.of("Octocrylene", "Bis-Ethylhexyloxyphenol Methoxyphenyl Triazine", "Diethylhexyl Butamido Triazone");

    private final List<LabelLine> certain;
    private final List<Finding> all = new ArrayList<>();

    private LabelFindings(List<LabelLine> certain) {
        this.certain = certain;
    }

    static List<Finding> of(
            Product.Facts facts,
            StepKind kind,
            List<LabelLine> certain,
            List<ActiveIn> actives,
            Composition composition,
            int spf) {
        LabelFindings findings = new LabelFindings(certain);
        findings.makeUp(composition);
        if (!kind.comesOff()) {
            findings.sun(facts.name(), spf);
        }
        findings.acidity(actives);
        findings.hazards();
        findings.absences();
        return List.copyOf(findings.all);
    }

    private void makeUp(Composition c) {
        double sum = c.humectant() + c.emollient() + c.occlusive();
        if (!certain.isEmpty() && sum > 0) {
            add(
                    "make-up",
                    "water-binding %.0f %%, softening %.0f %%, sealing %.0f %%"
                            .formatted(100 * c.humectant(), 100 * c.emollient(), 100 * c.occlusive()),
                    "likely",
                    Because.house("Added up from the likely share of each ingredient."));
        }
    }

    // ---- sun

    private void sun(String name, int spf) {
        List<LabelLine> filters = lines(l -> l.isAny(Tag.UV_MINERAL, Tag.UV_ORGANIC));
        boolean mineral = filters.stream().anyMatch(l -> l.is(Tag.UV_MINERAL));
        boolean organic = filters.stream().anyMatch(l -> l.is(Tag.UV_ORGANIC));
        if (spf > 0 && certain.isEmpty()) {
            return;
        }
        if (spf > 0 && filters.isEmpty()) {
            add(
                    "sun",
                    "no filter found",
                    "likely",
                    Because.house(
                            "SPF %d is claimed, and no filter of the table stands in the list: read the pack again."
                                    .formatted(spf)));
        }
        if (!filters.isEmpty()) {
            add(
                    "sun",
                    "%s filters: %s"
                            .formatted(
                                    mineral && organic ? "mineral and organic" : mineral ? "mineral" : "organic",
                                    names(filters)),
                    "sure",
                    new Because("UV filters by name.", Evidence.CONTROLLED, "eu-1223-2009"));
            if (spf == 0) {
                add("sun", "no SPF on the pack", "sure", Because.house("Filters without a tested SPF count as none."));
            } else if (!UVA.matcher(name).find()) {
                add(
                        "sun",
                        "UVA not told",
                        "sure",
                        new Because(
                                "The words given say nothing of UVA: look for the mark or the words on the pack.",
                                Evidence.CONTROLLED,
                                "iso-24444"));
            }
            steadiness(mineral);
        }
        boolean plantOil = certain.stream().anyMatch(l -> l.is(Tag.EMOLLIENT) && lower(l).contains("oil"));
        if (spf == 0 && plantOil && filters.isEmpty()) {
            add("mind", "no sun protection", "sure", Because.house("A plant oil's own filter counts as zero."));
        }
    }

    private void steadiness(boolean mineral) {
        if (!has(AVOBENZONE)) {
            return;
        }
        if (has(OCTINOXATE)) {
            add(
                    "mind",
                    "two filters that break each other down",
                    "likely",
                    new Because(
                            "Avobenzone and octinoxate lose strength together in light; a label cannot show whether the formula is steadied.",
                            Evidence.SMALL,
                            "sayre-2005"));
        } else if (STEADIES.stream().noneMatch(this::has)) {
            add(
                    "mind",
                    "avobenzone without a steadier",
                    "guess",
                    new Because(
                            "Avobenzone fades in light unless something steadies it; none that the table knows stands in the list.",
                            Evidence.SMALL,
                            "sayre-2005"));
        }
        if (mineral) {
            add(
                    "mind",
                    "avobenzone beside a mineral filter",
                    "guess",
                    new Because(
                            "Uncoated zinc or titanium can break avobenzone down; coated grades do not, and a label rarely tells.",
                            Evidence.SMALL,
                            "sayre-2005"));
        }
    }

    // ---- acidity

    private void acidity(List<ActiveIn> actives) {
        actives.stream()
                .flatMap(a -> Ingredients.find(a.ingredient()).stream())
                .filter(i -> i.isAny(Tag.AHA, Tag.BHA, Tag.PHA, Tag.VITC_ACID)
                        && i.phHigh().isPresent())
                .distinct()
                .forEach(i -> add(
                        "ask",
                        "the pH of it",
                        "sure",
                        Because.custom("%s works at pH %s to %s; outside that its share says little."
                                .formatted(
                                        i.inci(),
                                        LabelRanges.number(i.phLow().orElse(2)),
                                        LabelRanges.number(i.phHigh().orElse(7))))));
    }

    // ---- hazards and absences

    private void hazards() {
        mind("fragrance", Tag.FRAGRANCE, "Perfume is the commonest sensitiser in cosmetics.");
        mind("essential oil", Tag.ESSENTIAL_OIL, "Essential oils sensitise, most of all a strained skin.");
        named(
                "allergens that the law names",
                Tag.FRAGRANCE_ALLERGEN,
                new Because(
                        "Named on labels in the EU since they are known to sensitise.",
                        Evidence.CONTROLLED,
                        "eu-2023-1545"));
        mind("sun-reactive citrus oil", Tag.PHOTOTOXIC, "It reacts with light: never by day.");
        mind("soap or a strong surfactant", Tag.SURFACTANT_STRONG, "A strong surfactant costs barrier.");
        named("a strong sensitiser", Tag.STRONG_SENSITISER, Because.custom("Known to sensitise at small shares."));
        named(
                "formaldehyde releaser",
                Tag.FORMALDEHYDE_RELEASER,
                new Because("It gives off formaldehyde.", Evidence.CONTROLLED, "eu-1223-2009"));
        named(
                "not in pregnancy",
                Tag.PREGNANCY_AVOID,
                new Because("Out from planning a pregnancy to birth.", Evidence.CONTROLLED, "kaplan-2015"));
        named(
                "of animal origin",
                Tag.ANIMAL_ORIGIN,
                new Because("By the usual raw material; makers may differ.", Evidence.CONVENTION, "ingredient-table"));
        certain.stream()
                .filter(l -> l.is(Tag.DRYING_ALCOHOL) && l.position() > 0 && l.position() <= ALCOHOL_WITHIN)
                .findFirst()
                .ifPresent(l -> add(
                        "mind",
                        "drying alcohol",
                        "likely",
                        Because.custom("Alcohol stands at place %d, early enough to dry.".formatted(l.position()))));
        List<LabelLine> clogging = lines(
                l -> l.likely() >= 1 && l.ingredient().map(Ingredient::clogs).orElse(false));
        if (!clogging.isEmpty()) {
            add(
                    "mind",
                    "called comedogenic: " + names(clogging),
                    "guess",
                    new Because(
                            "Old scores say so; finished products with it need not clog.",
                            Evidence.DEBATED,
                            "fulton-1989"));
        }
        certain.stream()
                .flatMap(l -> l.ingredient().stream())
                .filter(i -> i.is(Tag.WITHDRAWN))
                .findFirst()
                .ifPresent(i -> add(
                        "mind",
                        "old stock: " + i.inci(),
                        "likely",
                        new Because(i.notes() + ".", Evidence.CONTROLLED, "eu-1223-2009")));
    }

    private void absences() {
        if (certain.isEmpty() || certain.stream().anyMatch(l -> l.ingredient().isEmpty())) {
            return;
        }
        if (certain.stream().noneMatch(l -> l.isAny(Tag.FRAGRANCE, Tag.ESSENTIAL_OIL, Tag.FRAGRANCE_ALLERGEN))) {
            add(
                    "free of",
                    "perfume",
                    "likely",
                    Because.house(
                            "No perfume, essential oil or named allergen in a list that is known to its last name."));
        }
        if (certain.stream().noneMatch(l -> l.is(Tag.DRYING_ALCOHOL))) {
            add(
                    "free of",
                    "drying alcohol",
                    "likely",
                    Because.house("None in a list that is known to its last name; fatty alcohols are not meant."));
        }
    }

    private void mind(String what, Tag tag, String why) {
        named(what, tag, Because.custom(why));
    }

    private void named(String what, Tag tag, Because because) {
        List<LabelLine> found = lines(l -> l.is(tag));
        if (!found.isEmpty()) {
            add("mind", "%s: %s".formatted(what, names(found)), "sure", because);
        }
    }

    private void add(String about, String found, String sure, Because because) {
        all.add(new Finding(about, found, sure, because));
    }

    private boolean has(String inci) {
        return certain.stream()
                .flatMap(l -> l.ingredient().stream())
                .anyMatch(i -> i.inci().equals(inci));
    }

    private List<LabelLine> lines(Predicate<LabelLine> wanted) {
        return certain.stream().filter(wanted).toList();
    }

    private static String names(List<LabelLine> lines) {
        List<String> names = lines.stream().map(LabelLine::printed).distinct().toList();
        return String.join(", ", names);
    }

    private static String lower(LabelLine line) {
        return line.printed().toLowerCase(Locale.ROOT);
    }
}
