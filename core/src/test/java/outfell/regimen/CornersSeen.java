package outfell.regimen;

import java.time.Month;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import outfell.aims.Slot;
import outfell.balance.Balance;
import outfell.balance.Points;
import outfell.balance.Target;
import outfell.conflict.Conflicts;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Life.Taste;
import outfell.knowledge.Because;
import outfell.method.Methods;
import outfell.product.Ingredient;
import outfell.product.Ingredients;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.Products;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.routine.ByAir;
import outfell.routine.Layout;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.safety.Answers;
import outfell.safety.SafetyScreen;
import outfell.safety.SafetyVerdict;
import outfell.skin.Band;
import outfell.skin.FaceBands;
import outfell.skin.Faces;
import outfell.skin.ProbeReading.Quantity;
import outfell.skin.Sign;
import outfell.skin.SkinReader;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict;
import outfell.skin.TypeVerdict;
import outfell.skin.Zone;

/** Faces, airs, shelves and sums that hardly anybody has, where figures turn that the wide grids of {@link RulesSeen} never meet. */
final class CornersSeen {
    private CornersSeen() {}

    static void into(Map<String, Supplier<String>> all) {
        all.put("corner-skin", CornersSeen::skin);
        all.put("corner-season", CornersSeen::season);
        all.put("corner-aims", CornersSeen::aims);
        all.put("corner-amounts", CornersSeen::amounts);
        all.put("corner-balance", () -> GoodsSeen.turns(balance()));
        all.put("corner-meetings", CornersSeen::meetings);
        all.put("corner-kinds", CornersSeen::kinds);
        all.put("corner-shares", () -> GoodsSeen.turns(shares()));
    }

    /** Shine by itself on each side of the face, a reading by itself, and from how many zones eye and probe are sure. */
    private static String skin() {
        StringBuilder text = new StringBuilder();
        for (int grade = 0; grade <= 4; grade++) {
            // tight, so that a matt face is no comfortable one
            Faces shining = Faces.face().with(Sign.TIGHTNESS, 1, 1, 1, 1, 1).with(Sign.FLAKING, 0, 0, 0, 0, 0);
            text.append("shine %d: %s%n"
                    .formatted(grade, type(shining.with(Sign.SHINE, grade, grade, grade, grade, grade))));
        }
        for (int sebum = 0; sebum <= 350; sebum += 10) {
            text.append("sebum %d: %s%n"
                    .formatted(sebum, type(Faces.face().measured(Quantity.SEBUM, sebum, sebum, sebum, sebum, sebum))));
        }
        for (int zones = 0; zones <= 5; zones++) {
            Faces face = Faces.face().calm().with(Sign.SHINE, 2, 2, 2, 2, 2).person(30, false, false);
            double[] sebum = new double[zones];
            double[] hydration = new double[zones];
            Arrays.fill(sebum, 120);
            Arrays.fill(hydration, 50);
            face.measured(Quantity.SEBUM, sebum).measured(Quantity.HYDRATION, hydration);
            SkinVerdict v = face.verdict();
            text.append("%d zones measured: %s, water %s%n"
                    .formatted(zones, type(face), v.water().confidence()));
        }
        return text.toString();
    }

    private static String type(Faces face) {
        return face.verdict().type() instanceof TypeVerdict.Told told
                ? "T %s, U %s, %s".formatted(told.oilT(), told.oilU(), told.confidence())
                : face.verdict().type().getClass().getSimpleName();
    }

    private static Map<String, Faces> rare() {
        Map<String, Faces> all = new LinkedHashMap<>();
        all.put(
                "oily and strained",
                Faces.face()
                        .with(Sign.SHINE, 3, 3, 3, 3, 3)
                        .with(Sign.TIGHTNESS, 2, 1, 1, 2, 2)
                        .with(Sign.FLAKING, 1, 1, 1, 2, 2)
                        .with(Sign.REDNESS, 2, 2, 2, 3, 3)
                        .with(Sign.STING, 1, 1, 1, 1, 1)
                        .history(2, 3));
        all.put(
                "oily, marks fourth",
                Faces.face()
                        .calm()
                        .with(Sign.SHINE, 4, 4, 4, 4, 4)
                        .with(Sign.SPOTS, 4, 4, 4, 4, 4)
                        .with(Sign.LINES, 3, -1, 1, 3, 3)
                        .with(Sign.PIGMENT, 2, 1, 1, 2, 2));
        return all;
    }

    private static String season() {
        StringBuilder text = new StringBuilder();
        rare().forEach((name, face) -> {
            SkinReading reading = face.reading();
            Consultation c = RulesSeen.consultation(reading, "classic", Month.MARCH);
            SkinVerdict skin = SkinReader.read(reading, Set.of(), c.house().bands());
            SafetyVerdict safety = SafetyScreen.screen(c.answers(), reading, skin, List.of());
            text.append("%s: %s, barrier %s, %s%n"
                    .formatted(
                            name,
                            skin.type().bandT(),
                            skin.barrier().state(),
                            skin.concerns().stream()
                                    .map(r -> r.concern().name())
                                    .collect(Collectors.joining(" "))));
            for (double celsius = -16; celsius <= 38; celsius += 9) {
                text.append("%s, %s C: %s"
                        .formatted(name, celsius, RulesSeen.told(c, skin, safety, RulesSeen.out(celsius, 40, 4, 2))));
            }
        });
        return text.toString();
    }

    /** Chapped lips by their grade, and who is too young to cleanse twice for a bare face. */
    private static String aims() {
        StringBuilder text = new StringBuilder();
        for (int grade = 1; grade <= 4; grade++) {
            Faces face = Faces.face()
                    .calm()
                    .with(Sign.SHINE, 4, 4, 4, 4, 4)
                    .with(Sign.SPOTS, 4, 4, 4, 4, 4)
                    .with(Sign.LINES, 2, -1, 0, 2, 2)
                    .with(Sign.PIGMENT, 4, 4, 4, 4, 4);
            face.at(Zone.LIPS, Sign.CHAPPING, grade);
            text.append("lips %d: %d come first%n"
                    .formatted(
                            grade,
                            draft(Consultations.of(face)).posed().problem().firsts()));
        }
        for (int age = 12; age <= 20; age++) {
            Faces face = Faces.face().calm().with(Sign.SHINE, 4, 4, 4, 4, 4).with(Sign.SPOTS, 3, 3, 3, 3, 3);
            Answers old = Consultations.NOTHING;
            Answers aged = new Answers(
                    old.today(),
                    old.given(),
                    OptionalInt.of(age),
                    old.medicines(),
                    old.otherAllergies(),
                    old.settled());
            for (int makeUp = 0; makeUp <= 1; makeUp++) {
                Consultation c = Consultations.of(face)
                        .parts()
                        .answers(aged)
                        .life(new Life(
                                8,
                                15,
                                6,
                                2,
                                makeUp,
                                false,
                                0,
                                Set.of(),
                                Taste.ANY,
                                Taste.ANY,
                                Taste.ANY,
                                OptionalDouble.empty()))
                        .together();
                text.append("%d years, made up on %d days: %s%n"
                        .formatted(
                                age,
                                makeUp,
                                draft(c).posed().slots().stream()
                                        .filter(s -> s.part() == Part.EVENING)
                                        .map(Slot::kind)
                                        .distinct()
                                        .sorted()
                                        .toList()));
            }
        }
        return text.toString();
    }

    private static Draft draft(Consultation c) {
        SkinVerdict skin = SkinReader.read(c.reading(), Set.of(), c.house().bands());
        return Read.of(c, skin).draft(Consultation::ask);
    }

    /** Two things that come off, one after the other: what the first leaves for the second. */
    private static String amounts() {
        StringBuilder text = new StringBuilder();
        List<StepKind> off =
                List.of(StepKind.values()).stream().filter(StepKind::comesOff).toList();
        for (StepKind one : off) {
            for (StepKind two : off) {
                if (one.compareTo(two) < 0) {
                    List<Product> both = List.of(made(one), made(two));
                    Layout layout = new Layout(
                            Methods.find("classic").orElseThrow(),
                            FaceBands.even(Band.NORMAL),
                            Set.of(),
                            Map.of(),
                            (_, _) -> new Layout.Said("", List.of(), List.of(), List.of()),
                            Layout.Used::custom,
                            Layout.ByHand.NOTHING,
                            ByAir.AS_USUAL,
                            false);
                    text.append("%s and %s: %s%n"
                            .formatted(
                                    one,
                                    two,
                                    layout.lay(Part.EVENING, both, 20).steps().stream()
                                            .map(CornersSeen::left)
                                            .toList()));
                }
            }
        }
        return text.toString();
    }

    private static String left(Step step) {
        return "%s leaves %s".formatted(step.product(), RulesSeen.n(step.left()));
    }

    private static Product made(StepKind kind) {
        return ProductReader.read(new Product.Facts(
                new ProductId(kind.name().toLowerCase(Locale.ROOT)),
                "Plain name",
                "Nobody",
                30,
                "ml",
                10,
                "Aqua, Glycerin",
                Optional.of(kind),
                OptionalDouble.empty(),
                false));
    }

    /** One layer more and more of it beside what is enough of the rest: where it lies, and what would bring it in. */
    private static String balance() {
        StringBuilder text = new StringBuilder();
        Target.Range range = new Target.Range(100, 200);
        Target target = new Target(range, range, range, Because.house("As it is."));
        for (boolean dosed : new boolean[] {false, true}) {
            for (int points = 2; points <= 400; points += 2) {
                List<Balance.Layer> layers = new ArrayList<>();
                layers.add(layer("Plain lotion", new Points(150, 0, 150), true));
                layers.add(layer("Plain cream", new Points(0, points, 0), dosed));
                Balance.Gauge gauge = Balance.gauge(layers, target, 50, "by night");
                text.append("%s, cream %d: %s, %s, mends %s%n"
                        .formatted(
                                dosed,
                                points,
                                gauge.lines().stream().map(Balance.Line::lies).toList(),
                                gauge.change().map(b -> b.sentence()).orElse("as it is"),
                                gauge.mends()));
            }
        }
        return text.toString();
    }

    private static Balance.Layer layer(String name, Points points, boolean dosed) {
        return new Balance.Layer(new ProductId(name), name, points, 1, false, dosed, true);
    }

    /** From how much on an ingredient is much. */
    private static String meetings() {
        StringBuilder text = new StringBuilder();
        Product gel = Products.of(StepKind.MOISTURISER, OptionalDouble.of(3), 0.3, List.of("Carbomer"));
        for (double percent = 1; percent <= 9; percent += 0.5) {
            Product under = Products.bare(StepKind.SERUM, percent, "Dimethicone");
            text.append("dimethicone %s %%: %s%n"
                    .formatted(
                            percent,
                            Conflicts.SHIPPED.meetings().stream()
                                    .filter(r -> r.between(under, gel))
                                    .map(r -> r.id())
                                    .toList()));
        }
        return text.toString();
    }

    /** What the signs of a kind weigh together, on packs whose signs speak for several. */
    private static String kinds() {
        StringBuilder text = new StringBuilder();
        Map<String, List<String>> packs = new LinkedHashMap<>();
        packs.put("Plain thing", List.of("Aqua, Glycerin"));
        packs.put("Lip cream SPF 30", List.of("Petrolatum, Titanium Dioxide 10 %"));
        packs.put("Day cream SPF 30", List.of("Aqua, Titanium Dioxide 10 %, Glycerin", "Aqua, Glycerin"));
        packs.put("Wash cream", List.of("Aqua, Glycerin", "Aqua, Kaolin 20 %, Glycerin"));
        packs.put("Eye serum", List.of("Aqua, Retinol 0.1 %, Glycerin", "Aqua, Glycerin"));
        packs.put("Serum", List.of("Aqua, Retinol 0.3 %, Glycerin", "Aqua, Lactic Acid 5 %, Glycerin"));
        packs.put(
                "Milk", List.of("Aqua, Sodium Laureth Sulfate, Glycerin", "Aqua, Glycerin, Panthenol, Coco-Glucoside"));
        packs.put(
                "Cream",
                List.of("Aqua, Coco-Glucoside, Glycerin", "Aqua, Glycerin, Squalane, Lactic Acid, Sodium Lactate"));
        packs.put(
                "Toner",
                List.of("Aqua, Glycerin, Polysorbate 20", "Aqua, Glycerin, Panthenol, Betaine, Coco-Glucoside"));
        packs.put(
                "Thing",
                List.of(
                        "Aqua, Glycerin, Coco-Glucoside",
                        "Aqua, Glycerin, Panthenol, Coco-Glucoside",
                        "Aqua, Kaolin 20 %",
                        "Aqua, Polysorbate 20, Glycerin",
                        "Aqua, Sodium Laureth Sulfate, Salicylic Acid 2 %, Kaolin 5 %"));
        packs.forEach((name, labels) -> labels.forEach(label -> text.append("%s of %s: %s%n"
                .formatted(
                        name,
                        label,
                        named(name, label).kindsRead().stream()
                                .map(k -> "%s %s %d".formatted(k.kind(), k.sure(), k.weight()))
                                .toList()))));
        return text.toString();
    }

    /** Of things that no name tells: what they are and how rich by what they hold; and how much of what is strong is believed. */
    private static String shares() {
        StringBuilder text = new StringBuilder();
        for (double percent = 0.5; percent < 80; percent += percent < 6 ? 0.25 : 1) {
            Product watery = unnamed("Aqua, Squalane %s %%, Glycerin".formatted(percent));
            text.append("%s in water: %s, %s%n".formatted(percent, watery.kind(), watery.texture()));
            Product oily = unnamed("Petrolatum %s %%, Squalane %s %%".formatted(percent, 100 - percent));
            text.append("%s sealing, no water: %s, %s%n".formatted(percent, oily.kind(), oily.texture()));
        }
        for (Ingredient i : Ingredients.all()) {
            if (i.usualHigh() > 1 && i.usualHigh() < 6 && (i.irritancy() >= 3 || i.is(Tag.RETINOID))) {
                text.append("%s, second, is %s%n"
                        .formatted(
                                i.inci(),
                                lines("Aqua, %s, Glycerin".formatted(i.inci())).get(1)));
            }
        }
        for (double least = 35; least <= 50; least += 0.5) {
            text.append("between 60 and %s %%: %s%n"
                    .formatted(
                            least,
                            unnamed("Glycerin 60 %%, Squalane, Urea %s %%".formatted(least))
                                    .composition()
                                    .emollient()));
        }
        return text.toString();
    }

    private static List<String> lines(String label) {
        return unnamed(label).label().lines().stream()
                .map(l -> l.low() + " to " + l.high())
                .toList();
    }

    private static Product unnamed(String label) {
        return named("Plain thing", label);
    }

    private static Product named(String name, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId("made"),
                name,
                "Nobody",
                30,
                "ml",
                10,
                label,
                Optional.empty(),
                OptionalDouble.empty(),
                false));
    }
}
