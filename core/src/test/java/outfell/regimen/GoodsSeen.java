package outfell.regimen;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import outfell.aims.Benefits;
import outfell.aims.Suits;
import outfell.consultation.Consultation;
import outfell.consultation.Yardstick;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.method.Methods;
import outfell.product.ActiveKind;
import outfell.product.HomeUse;
import outfell.product.Ingredients;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.Products;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.recipe.Measure;
import outfell.recipe.Mixed;
import outfell.recipe.Pantry;
import outfell.recipe.Recipe;
import outfell.recipe.RecipeReader;
import outfell.routine.Part;
import outfell.safety.Answers;
import outfell.safety.SafetyScreen;
import outfell.safety.SafetyVerdict;
import outfell.skin.Concern;
import outfell.skin.Faces;
import outfell.skin.PhototypeReader;
import outfell.skin.ProbeConditions;
import outfell.skin.ProbeReading.Quantity;
import outfell.skin.Sign;
import outfell.skin.SkinReader;
import outfell.skin.SkinSaidTest;
import outfell.skin.SkinVerdict;
import outfell.skin.Zone;
import outfell.supply.Supply;

/** What the rules about goods, about the probe and about words say over their grids; the rest of {@link RulesSeen}. */
final class GoodsSeen {
    private static final List<Double> PERCENTS = percents();

    private GoodsSeen() {}

    static void into(Map<String, Supplier<String>> all) {
        all.put("benefits", () -> turns(benefits()));
        all.put("harms", () -> turns(harms()));
        all.put("suits", () -> turns(suits()));
        all.put("supply", () -> turns(supply()));
        all.put("names", GoodsSeen::names);
        all.put("kinds", GoodsSeen::kinds);
        all.put("pantry", () -> turns(pantry()));
        all.put("medicines", () -> turns(medicines()));
        all.put("probe", () -> turns(probe()));
        all.put("sun", GoodsSeen::sun);
        all.put("skin-said", SkinSaidTest::faces);
        all.put("skin-states", SkinSaidTest::states);
    }

    /** Along a line of values only where what is said turns: that is what a reader looks for. */
    static String turns(String text) {
        Map<String, String> last = new HashMap<>();
        return text.lines()
                .filter(line -> {
                    int colon = line.indexOf(": ");
                    if (colon < 0) {
                        return true;
                    }
                    String where = line.substring(0, colon).replaceAll("\\d[\\d.]*", "#");
                    return !line.substring(colon).equals(last.put(where, line.substring(colon)));
                })
                .map(line -> line + "\n")
                .collect(Collectors.joining());
    }

    private static List<Double> percents() {
        List<Double> all = new ArrayList<>();
        for (int decade = -4; decade <= 1; decade++) {
            for (double digit : new double[] {1, 1.5, 2, 2.5, 3, 4, 5, 6, 7, 8, 9}) {
                // each, and a little more: a limit that moves is seen between the two
                for (double more : new double[] {1, 1.01}) {
                    double percent = Math.round(digit * more * Math.pow(10, decade) * 1e6) / 1e6;
                    if (percent <= 100) {
                        all.add(percent);
                    }
                }
            }
        }
        return all;
    }

    private static String n(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : String.format(Locale.ROOT, "%.5g", x);
    }

    /** By each active, strength and kind: what it does for which concern; by its uses where it is strong enough. */
    private static String benefits() {
        StringBuilder text = new StringBuilder();
        for (ActiveKind active : ActiveKind.values()) {
            String carrier = Products.carrier(active);
            for (double percent : PERCENTS) {
                text.append("%s %s: %s%n".formatted(active, n(percent), told(StepKind.SERUM, percent, carrier, 14)));
                for (StepKind place : List.of(StepKind.EYE, StepKind.LIP)) {
                    text.append(
                            "%s %s, %s: %s%n".formatted(active, n(percent), place, told(place, percent, carrier, 14)));
                }
            }
            for (StepKind kind : StepKind.values()) {
                text.append("%s as %s: %s%n".formatted(active, kind, told(kind, 20, carrier, 14)));
            }
            for (int uses = 1; uses <= 14; uses++) {
                text.append("%s %d times: %s%n".formatted(active, uses, told(StepKind.SERUM, 20, carrier, uses)));
                text.append("%s %d times, EYE: %s%n".formatted(active, uses, told(StepKind.EYE, 20, carrier, uses)));
                text.append("%s %d times, LIP: %s%n".formatted(active, uses, told(StepKind.LIP, 20, carrier, uses)));
            }
            for (ActiveKind other : ActiveKind.values()) {
                Product both = Products.of(
                        StepKind.SERUM, OptionalDouble.empty(), 20, List.of(carrier, Products.carrier(other)));
                text.append("%s with %s: %s%n".formatted(active, other, told(both, 14)));
            }
        }
        return text.toString();
    }

    private static String told(StepKind kind, double percent, String carrier, double uses) {
        return told(Products.bare(kind, percent, carrier), uses);
    }

    private static String told(Product p, double uses) {
        return Benefits.of(p, uses, Yardstick.SHIPPED).stream()
                .map(h -> "%s %s%s"
                        .formatted(
                                h.concern(),
                                n(h.share()),
                                h.because().sentence().contains("is enough") ? " and no more" : ""))
                .collect(Collectors.joining(", "));
    }

    private static Product made(String label, StepKind kind, Optional<HomeUse> home) {
        Product.Facts facts = new Product.Facts(
                new ProductId("made"),
                "Plain name",
                "Nobody",
                30,
                "ml",
                10,
                label,
                Optional.of(kind),
                OptionalDouble.empty(),
                false);
        return ProductReader.read(home.map(facts::madeAtHome).orElse(facts));
    }

    private static String minded(Product p) {
        return p.allHarms().stream()
                .map(h -> h.harm().replace(": ", " ") + (h.refused() ? " refused" : ""))
                .collect(Collectors.joining(", "));
    }

    private static String harms() {
        StringBuilder text = new StringBuilder();
        Set<String> held = new LinkedHashSet<>();
        Set<Double> percents = new TreeSet<>();
        for (double percent : PERCENTS) {
            percents.add(percent);
        }
        for (Row row : KnowledgeFile.yaml("harms.yaml").rows("harms")) {
            // one step of the limit lies between what is read and what would be
            percents.add(row.number("over", 0, 100) + 0.5);
            held.addAll(row.texts("names"));
            row.texts("says").stream().limit(1).forEach(held::add);
            for (Tag tag : row.several("tags", Tag.class)) {
                if (outfell.product.Ingredients.all().stream().anyMatch(i -> i.is(tag))) {
                    held.add(Products.tagged(tag));
                }
            }
        }
        // known by its family only
        held.add("Trichloroacetic Acid");
        for (String name : held) {
            for (double percent : percents) {
                if (percent >= 0.1) {
                    String label = "Aqua, %s %s %%".formatted(name, percent);
                    text.append("%s %s, bought: %s%n"
                            .formatted(name, n(percent), minded(made(label, StepKind.SERUM, Optional.empty()))));
                    text.append("%s %s, in a wash: %s%n"
                            .formatted(name, n(percent), minded(made(label, StepKind.WASH, Optional.empty()))));
                    for (HomeUse use : HomeUse.values()) {
                        text.append("%s %s, mixed %s: %s%n"
                                .formatted(
                                        name, n(percent), use, minded(made(label, StepKind.SERUM, Optional.of(use)))));
                    }
                }
            }
        }
        for (Tag acid : List.of(Tag.AHA, Tag.BHA)) {
            for (double ph = 2.5; ph < 5; ph += 0.1) {
                for (double percent : new double[] {0.9, 1, 1.1, 1.5}) {
                    String label = "Aqua, %s %s %%, pH %.1f".formatted(Products.tagged(acid), percent, ph);
                    text.append("%s: %s%n".formatted(label, minded(made(label, StepKind.SERUM, Optional.empty()))));
                }
            }
        }
        return text.toString();
    }

    private static String suits() {
        StringBuilder text = new StringBuilder();
        RulesSeen.skins().forEach((name, reading) -> {
            Consultation c = RulesSeen.consultation(reading, "classic", java.time.Month.MARCH);
            SkinVerdict skin = SkinReader.read(reading, Set.of(), c.house().bands());
            SafetyVerdict safety = SafetyScreen.screen(c.answers(), reading, skin, List.of());
            for (boolean tight : new boolean[] {false, true}) {
                Suits suits = new Suits(skin, c.ask(skin, safety), tight, c.leavesTight());
                for (int tenth = 10; tenth <= 80; tenth++) {
                    for (StepKind kind : List.of(StepKind.MOISTURISER, StepKind.SUNSCREEN)) {
                        Product p = Products.of(kind, OptionalDouble.of(tenth / 10.0), 1, List.of("Panthenol"));
                        text.append("%s, %s, %s of %s: %s, lenient %s%n"
                                .formatted(
                                        name,
                                        tight,
                                        kind,
                                        n(tenth / 10.0),
                                        n(suits.gradesOff(p, Part.EVENING, false)),
                                        n(suits.gradesOff(p, Part.EVENING, true))));
                    }
                }
            }
        });
        return text.toString();
    }

    private static String supply() {
        StringBuilder text = new StringBuilder();
        LocalDate opened = Consultations.TODAY.minusDays(30);
        List<Product> goods = new ArrayList<>(Consultations.CATALOGUE);
        for (ActiveKind active : ActiveKind.values()) {
            goods.add(Products.serum(5, Products.carrier(active)));
        }
        for (StepKind kind : StepKind.values()) {
            goods.add(Products.of(kind, OptionalDouble.empty(), 1, List.of("Panthenol")));
        }
        for (Product p : goods) {
            text.append("%s, %s: past its time %s".formatted(p.id(), p.kind(), Supply.pastItsTime(p, opened)));
            for (double grams : new double[] {0.5, 2, 7}) {
                Supply.of(
                                List.of(new Supply.Used(
                                        p, grams, Optional.of(new Supply.Pack(Optional.of(opened), 50)))),
                                Consultations.TODAY)
                        .lines()
                        .forEach(l -> text.append("; %d days, %s, soon %s".formatted(l.days(), l.end(), l.soon())));
            }
            text.append('\n');
        }
        for (int days = 0; days < 60; days++) {
            Product p = Products.serum(5, "Panthenol");
            double grams = 30.0 * 7 / (days + 1);
            text.append("in %d days: %s%n"
                    .formatted(
                            days,
                            Supply.of(
                                            List.of(new Supply.Used(
                                                    p,
                                                    grams,
                                                    Optional.of(
                                                            new Supply.Pack(Optional.of(Consultations.TODAY), 100)))),
                                            Consultations.TODAY)
                                    .lines()
                                    .getFirst()
                                    .soon()));
        }
        for (Concern concern : Concern.values()) {
            text.append("%s is held %d weeks%n".formatted(concern, Holding.weeks(concern)));
        }
        Methods.all().forEach(m -> text.append("%s: %s%n".formatted(m.id(), Holding.words(m, Optional.empty()))));
        return text.toString();
    }

    /** What is made of names that only their family tells. */
    private static String names() {
        StringBuilder text = new StringBuilder();
        for (Row family : KnowledgeFile.yaml("families.yaml").rows("families")) {
            String name = family.texts("names").stream()
                    .map(w -> w.startsWith("*") ? "zyx" + w.substring(1) : w)
                    .map(w -> w.replace("*", ""))
                    // a whole name of the table is no matter of families
                    .filter(w -> Ingredients.find(w).isEmpty())
                    .findFirst()
                    .orElse("");
            for (String with : family.texts("with").isEmpty() ? List.of("") : family.texts("with")) {
                String typed = (name + " " + with.replace("*", "")).strip();
                Product p = made("Aqua, Glycerin, Panthenol, " + typed, StepKind.SERUM, Optional.empty());
                Product panel = made(
                        "Active ingredients: " + typed + ". Ingredients: Aqua, Glycerin",
                        StepKind.SERUM,
                        Optional.empty());
                text.append("%s in a panel: %s%n".formatted(typed, shares(panel)));
                text.append("%s: irritancy %d, %s, lines %s%n"
                        .formatted(
                                typed,
                                p.irritancy(),
                                p.actives().stream()
                                        .map(a -> a.kind() + " " + a.strength())
                                        .toList(),
                                shares(p)));
            }
        }
        return text.toString();
    }

    private static List<String> shares(Product p) {
        return p.label().lines().stream()
                .map(l -> n(l.low()) + ".." + n(l.high()))
                .toList();
    }

    private static String kinds() {
        StringBuilder text = new StringBuilder();
        for (StepKind kind : StepKind.values()) {
            Product p = made("Aqua, Glycerin, Niacinamide, Panthenol 1 %, Xanthan Gum", kind, Optional.empty());
            text.append("%s: texture %s, left %s, lines %s%n"
                    .formatted(
                            kind,
                            n(p.texture()),
                            n(outfell.product.Kinds.of(kind).left()),
                            p.label().lines().stream()
                                    .map(l -> n(l.low()) + ".." + n(l.high()))
                                    .toList()));
        }
        for (StepKind kind : StepKind.values()) {
            Product unread = made("", kind, Optional.empty());
            // an open list: what the order leaves open shares what the kind leaves beside the water
            Product open = made("Aqua, Squalane, Glycerin, Petrolatum, Dimethicone, Panthenol", kind, Optional.empty());
            text.append("%s, nobody has read it: texture %s%n".formatted(kind, n(unread.texture())));
            text.append("%s, of an open list: %s%n".formatted(kind, open.composition()));
        }
        for (Row words : KnowledgeFile.yaml("kinds.yaml").rows("texture-words")) {
            for (String word : words.texts("words")) {
                Product p = ProductReader.read(new Product.Facts(
                        new ProductId("made"),
                        "Plain " + word,
                        "Nobody",
                        30,
                        "ml",
                        10,
                        "Aqua, Glycerin",
                        Optional.of(StepKind.SERUM),
                        OptionalDouble.empty(),
                        false));
                text.append("%s: texture %s%n".formatted(word, n(p.texture())));
            }
        }
        return text.toString();
    }

    private static String pantry() {
        StringBuilder text = new StringBuilder();
        for (Pantry.PantryItem item : Pantry.items()) {
            for (boolean preserved : new boolean[] {false, true}) {
                Mixed mixed = read(List.of(Recipe.Part.ofPantry(item.id(), 1, Measure.GRAM)), preserved);
                text.append("%s, preserved %s: keeps %d days%n"
                        .formatted(item.id(), preserved, mixed.keeps().days()));
            }
            for (Measure measure : Measure.values()) {
                try {
                    Mixed mixed = read(
                            List.of(
                                    Recipe.Part.ofPantry(item.id(), 1000, measure),
                                    Recipe.Part.ofPantry("sunflower-oil", 1, Measure.GRAM)),
                            false);
                    text.append("%s, %s: %s g%n"
                            .formatted(
                                    item.id(),
                                    measure,
                                    n(mixed.shares().getFirst().grams())));
                } catch (IllegalArgumentException refused) {
                    text.append("%s, %s: not so%n".formatted(item.id(), measure));
                }
            }
        }
        return text.toString();
    }

    private static Mixed read(List<Recipe.Part> parts, boolean preserved) {
        return RecipeReader.read(new Recipe("Mix", HomeUse.MASK, false, preserved, parts));
    }

    private static String medicines() {
        StringBuilder text = new StringBuilder();
        LocalDate ended = LocalDate.of(2020, 12, 31);
        SkinVerdict skin = SkinReader.read(Faces.face().calm().reading(), Set.of());
        for (Row row : KnowledgeFile.yaml("medicines.yaml").rows("medicines")) {
            String name = row.texts("names").getFirst().replace("*", "")
                    + (row.texts("routes").isEmpty()
                            ? ""
                            : " by " + row.texts("routes").getFirst());
            for (int days :
                    new int[] {0, 1, 14, 29, 30, 31, 60, 61, 90, 91, 180, 181, 364, 365, 366, 1094, 1095, 1096}) {
                Answers answers = new Answers(
                                ended.plusDays(days),
                                List.of(),
                                OptionalInt.of(40),
                                List.of(name + ", stopped in 2020"),
                                List.of(),
                                List.of())
                        .yes("pregnant");
                SafetyVerdict v =
                        SafetyScreen.screen(answers, Faces.face().calm().reading(), skin, List.of());
                text.append("%s, and pregnant, %d days after: refer %s, bans %s, mind %s%n"
                        .formatted(
                                name,
                                days,
                                v.open().stream()
                                        .map(SafetyVerdict.Referral::rule)
                                        .toList(),
                                v.bans().stream().map(b -> b.rule()).toList(),
                                v.cautions().stream()
                                        .map(SafetyVerdict.Caution::name)
                                        .filter(n -> n.startsWith("medicine"))
                                        .toList()));
            }
        }
        return text.toString();
    }

    /** What a reading counts by the conditions in which it was made, and by how far it spreads. */
    private static String probe() {
        StringBuilder text = new StringBuilder();
        for (double celsius = 18; celsius <= 24; celsius += 0.5) {
            counted(text, "room " + n(celsius), conditions(celsius, 50, 300, false, 30, 24), 0);
        }
        for (double humidity = 25; humidity <= 75; humidity++) {
            counted(text, "humidity " + n(humidity), conditions(21, humidity, 300, false, 30, 24), 0);
        }
        for (boolean cleanser : new boolean[] {false, true}) {
            for (int minutes = 55; minutes <= 190; minutes++) {
                counted(
                        text,
                        "washed %d %s".formatted(minutes, cleanser),
                        conditions(21, 50, minutes, cleanser, 30, 24),
                        0);
            }
        }
        for (int settled = 10; settled <= 20; settled++) {
            counted(text, "settled " + settled, conditions(21, 50, 300, false, settled, 24), 0);
        }
        for (int hours = 8; hours <= 16; hours++) {
            counted(text, "product " + hours, conditions(21, 50, 300, false, 30, hours), 0);
        }
        for (int percent = 0; percent <= 60; percent++) {
            counted(text, "spread " + percent, conditions(21, 50, 300, false, 30, 24), percent / 100.0);
        }
        for (Zone zone : Zone.values()) {
            if (zone.inRegimen()) {
                for (double loss = 9; loss <= 50; loss += 0.5) {
                    text.append("%s water loss %s: %s%n"
                            .formatted(
                                    zone,
                                    n(loss),
                                    SkinReader.read(
                                                    Faces.face()
                                                            .spot(Quantity.WATER_LOSS, zone, loss, loss, loss)
                                                            .reading(),
                                                    Set.of())
                                            .probe()
                                            .getFirst()
                                            .band()));
                }
            }
        }
        return text.toString();
    }

    private static ProbeConditions conditions(
            double celsius, double humidity, int washed, boolean cleanser, int settled, int hours) {
        return new ProbeConditions(
                OptionalDouble.of(celsius),
                OptionalDouble.of(humidity),
                OptionalInt.of(washed),
                cleanser,
                OptionalInt.of(settled),
                OptionalInt.of(hours));
    }

    private static void counted(StringBuilder text, String what, ProbeConditions in, double spread) {
        for (Quantity quantity : Quantity.values()) {
            double at = (quantity.least() + quantity.most()) / 2;
            double half = quantity == Quantity.PH ? spread / 2 : at * spread / 2;
            SkinVerdict verdict = SkinReader.read(
                    Faces.face()
                            .with(Sign.SHINE, 1, 1, 1, 1, 1)
                            .spot(quantity, Zone.FOREHEAD, at - half, at, at + half)
                            .in(in)
                            .reading(),
                    Set.of());
            text.append("%s, %s: %s%n"
                    .formatted(what, quantity, n(verdict.probe().getFirst().counts())));
        }
    }

    private static String sun() {
        StringBuilder text = new StringBuilder();
        PhototypeReader.classes()
                .forEach(c -> text.append(
                        "%s: %s..%s, %s%n".formatted(c.numeral(), n(c.medLow()), n(c.medHigh()), n(c.med()))));
        for (int burns = 1; burns <= 6; burns++) {
            for (int tans = 1; tans <= 6; tans++) {
                SkinVerdict v =
                        SkinReader.read(Faces.face().inTheSun(burns, tans).reading(), Set.of());
                text.append("burns %d, tans %d: %s, asked again %s, dark %s%n"
                        .formatted(
                                burns,
                                tans,
                                v.phototype().numeral(),
                                v.contradictions().size(),
                                v.phototype().dark()));
            }
        }
        return text.toString();
    }
}
