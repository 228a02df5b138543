package outfell.regimen;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import outfell.consultation.Yardstick;
import outfell.knowledge.Because;
import outfell.product.Ingredient;
import outfell.product.Ingredients;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.Products;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.safety.Answers;
import outfell.safety.PatchTest;
import outfell.safety.SafetyScreen;
import outfell.safety.SafetyVerdict;
import outfell.skin.Confidence;
import outfell.skin.Faces;
import outfell.skin.History;
import outfell.skin.ProbeBands;
import outfell.skin.RecentEvent;
import outfell.skin.Sign;
import outfell.skin.Signs;
import outfell.skin.SkinReader;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict;
import outfell.skin.Zone;
import outfell.week.Tolerance;

/** Where ages, days, grades and what a practice may set have their ends; the rest of {@link RulesSeen}. */
final class BoundsSeen {
    private BoundsSeen() {}

    static void into(Map<String, Supplier<String>> all) {
        all.put("ages", () -> GoodsSeen.turns(ages()));
        all.put("signs", BoundsSeen::signs);
        all.put("happened", () -> GoodsSeen.turns(happened()));
        all.put("patch", () -> GoodsSeen.turns(patch()));
        all.put("settings", BoundsSeen::settings);
        all.put("shares", BoundsSeen::shares);
        all.put("edges", BoundsSeen::edges);
    }

    private static Answers aged(int age) {
        Answers none = Answers.none(Consultations.TODAY);
        return new Answers(
                none.today(), Consultations.NOTHING.given(), OptionalInt.of(age), List.of(), List.of(), List.of());
    }

    private static String fired(Answers answers, Faces face) {
        SkinReading reading = face.reading();
        SafetyVerdict v = SafetyScreen.screen(answers, reading, SkinReader.read(reading, Set.of()), List.of());
        return "bans %s, refer %s, mind %s"
                .formatted(
                        v.bans().stream().map(b -> b.rule()).toList(),
                        v.open().stream().map(SafetyVerdict.Referral::rule).toList(),
                        v.cautions().stream().map(SafetyVerdict.Caution::name).toList());
    }

    /** By age: what is asked, and what its rules keep out, a strength or a texture with it. */
    private static String ages() {
        StringBuilder text = new StringBuilder();
        for (int age = 0; age <= 70; age++) {
            Faces face = Faces.face().calm().person(age, false, false);
            SkinReading reading = face.reading();
            SafetyVerdict v = SafetyScreen.screen(aged(age), reading, SkinReader.read(reading, Set.of()), List.of());
            text.append("age %d: asks %s%n"
                    .formatted(
                            age,
                            new TreeSet<>(v.questions().stream()
                                    .map(SafetyVerdict.Question::id)
                                    .toList())));
            text.append("at age %d: %s%n".formatted(age, fired(aged(age), face)));
            for (int grade = 0; grade <= 4; grade++) {
                text.append("of age %d and spots of grade %d: %s%n"
                        .formatted(
                                age,
                                grade,
                                fired(
                                        aged(age),
                                        Faces.face()
                                                .person(age, false, false)
                                                .with(Sign.SPOTS, grade, grade, grade, grade, grade))));
            }
        }
        for (int age : new int[] {10, 14, 30}) {
            SkinReading reading = Faces.face().calm().person(age, false, false).reading();
            for (Answers answers : List.of(
                    aged(age),
                    aged(age).yes("pregnant"),
                    aged(age).yes("trying"),
                    aged(age).yes("breastfeeding"))) {
                SafetyVerdict v = SafetyScreen.screen(answers, reading, SkinReader.read(reading, Set.of()), List.of());
                for (String active : List.of("Glycolic Acid", "Salicylic Acid", "Ascorbic Acid")) {
                    for (int tenths = 5; tenths <= 160; tenths += 5) {
                        Product p = Products.serum(tenths / 10.0, active);
                        text.append("%s, with %s and %s %%: kept out %s%n"
                                .formatted(
                                        answers.given().stream()
                                                .filter(Answers.Answer::yes)
                                                .map(Answers.Answer::question)
                                                .toList()
                                                .toString()
                                                .concat(" of age " + age),
                                        active,
                                        tenths / 10.0,
                                        v.bans().stream().anyMatch(b -> b.keepsOut(p))));
                    }
                }
                for (int tenths = 40; tenths <= 80; tenths++) {
                    Product cream =
                            Products.of(StepKind.MOISTURISER, OptionalDouble.of(tenths / 10.0), 1, List.of("Glycerin"));
                    text.append("of age %d, a cream of texture %s: kept out %s%n"
                            .formatted(age, tenths / 10.0, v.bans().stream().anyMatch(b -> b.keepsOut(cream))));
                }
            }
        }
        return text.toString();
    }

    /** Each sign at each grade, everywhere and on one side; each phototype. */
    private static String signs() {
        StringBuilder text = new StringBuilder();
        for (Sign sign : Sign.values()) {
            for (int grade = 0; grade <= 4; grade++) {
                Faces all = Faces.face();
                for (Zone zone : Signs.of(sign).zones()) {
                    all.at(zone, sign, grade);
                }
                text.append("%s %d: %s%n".formatted(sign, grade, fired(aged(40), all)));
                Faces once = Faces.face();
                Zone one = Signs.of(sign).zones().contains(Zone.CHEEK_R)
                        ? Zone.CHEEK_R
                        : Signs.of(sign).zones().getFirst();
                for (Zone zone : Signs.of(sign).zones()) {
                    once.at(zone, sign, zone == one ? grade : 0);
                }
                text.append("%s %d on one side: %s%n".formatted(sign, grade, fired(aged(40), once)));
            }
        }
        for (int burns = 1; burns <= 6; burns++) {
            text.append("burns %d, tans %d: %s%n"
                    .formatted(burns, burns, fired(aged(40), Faces.face().calm().inTheSun(burns, burns))));
        }
        return text.toString();
    }

    /** What no other grid meets: how long a look takes, the longest name that is looked for, what a prescription loads. */
    private static String edges() {
        StringBuilder text = new StringBuilder();
        for (Sign sign : Sign.values()) {
            text.append("%s takes %d s%n".formatted(sign, Signs.of(sign).seconds()));
        }
        for (String name : List.of(
                "Citrus Aurantium Bergamia Peel Oil",
                "Citrus Aurantium Amara Peel Oil",
                "Alcohol Denat",
                "Tea Tree Oil")) {
            text.append("named %s: %s%n"
                    .formatted(
                            name,
                            bought(name, "", false).tags().stream().sorted().toList()));
        }
        for (int age : new int[] {19, 20, 21, 49, 50, 51}) {
            History history = new History(
                    OptionalInt.empty(),
                    OptionalInt.empty(),
                    false,
                    Optional.empty(),
                    OptionalInt.empty(),
                    OptionalInt.empty(),
                    OptionalInt.of(age),
                    false);
            for (int type = 4; type <= 6; type++) {
                List<String> hints = Signs.hints(
                                new SkinVerdict.Phototype(type, "", Confidence.HIGH, Because.house("As it was told.")),
                                history)
                        .stream()
                        .map(Signs.Hint::text)
                        .toList();
                text.append("looked at at %d, type %d: %s%n".formatted(age, type, hints));
            }
        }
        for (boolean prescribed : new boolean[] {false, true}) {
            text.append("tretinoin, prescribed %s: %s points%n"
                    .formatted(
                            prescribed,
                            Tolerance.points(bought("Night cream", "Aqua, Tretinoin 0.05 %, Glycerin", prescribed))));
        }
        return text.toString();
    }

    private static Product bought(String name, String label, boolean prescribed) {
        return ProductReader.read(new Product.Facts(
                new ProductId("bought"),
                name,
                "",
                30,
                "ml",
                0,
                label,
                Optional.empty(),
                OptionalDouble.empty(),
                prescribed));
    }

    /** What happened on a day: for how long it counts, and what it takes from the barrier. */
    private static String happened() {
        StringBuilder text = new StringBuilder();
        for (String question : new TreeSet<>(SafetyScreen.questions())) {
            for (int days = 0; days <= 60; days++) {
                LocalDate on = Consultations.TODAY.minusDays(days);
                Answers answers = Consultations.NOTHING.with(
                        new Answers.Answer(question, true, Optional.of(on), Consultations.TODAY));
                text.append("%s, day %d: %s%n"
                        .formatted(question, days, SafetyScreen.hasRunOut(question, on, Consultations.TODAY)));
                for (RecentEvent event : SafetyScreen.events(answers)) {
                    text.append("%s takes %d for %d days%n".formatted(question, event.size(), event.window()));
                }
                if (days == 0 || days >= 28 && days <= 32) {
                    text.append("%s, and pregnant, day %d: %s%n"
                            .formatted(
                                    question,
                                    days,
                                    fired(answers.yes("pregnant"), Faces.face().calm())));
                }
            }
        }
        return text.toString();
    }

    private static String patch() {
        StringBuilder text = new StringBuilder();
        LocalDateTime start = LocalDateTime.of(2026, 11, 1, 9, 0);
        for (PatchTest.Kind kind : PatchTest.Kind.values()) {
            text.append("%s is read at %s%n"
                    .formatted(kind, new PatchTest(kind, PatchTest.Site.FOREARM, start, List.of()).schedule()));
            for (int grade = 0; grade <= 4; grade++) {
                for (double hours = 0; hours <= 172; hours += 0.5) {
                    PatchTest.Verdict first = new PatchTest(
                                    kind, PatchTest.Site.FOREARM, start, List.of(new PatchTest.Reading(hours, grade)))
                            .verdict();
                    PatchTest.Verdict second = new PatchTest(
                                    kind,
                                    PatchTest.Site.FOREARM,
                                    start,
                                    List.of(new PatchTest.Reading(0, grade), new PatchTest.Reading(hours, grade)))
                            .verdict();
                    text.append("%s, grade %d, %s h: %s, due %s%n"
                            .formatted(kind, grade, hours, first.standing(), first.due()));
                    text.append("%s, grade %d, from the start and at %s h: %s%n"
                            .formatted(kind, grade, hours, second.standing()));
                }
            }
        }
        return text.toString();
    }

    /** What a practice may set, from least to most, and that a step beyond is refused. */
    private static String settings() {
        StringBuilder text = new StringBuilder();
        for (Yardstick.Setting s : Yardstick.settings()) {
            text.append("%s: %s, from %s to %s; beyond %s %s%n"
                    .formatted(
                            s.id(),
                            s.shipped(),
                            s.least(),
                            s.most(),
                            refused(() -> Yardstick.with(Map.of(s.id(), s.least() - 0.01))),
                            refused(() -> Yardstick.with(Map.of(s.id(), s.most() + 0.01)))));
        }
        for (ProbeBands.Setting s : ProbeBands.rows()) {
            text.append("%s: %s, from %s to %s; beyond %s %s%n"
                    .formatted(
                            s.band(),
                            s.shipped(),
                            s.least(),
                            s.most(),
                            refused(() -> ProbeBands.SHIPPED.with(
                                    s.band(), new ProbeBands.Bounds(s.least() - 0.01, s.most()))),
                            refused(() -> ProbeBands.SHIPPED.with(
                                    s.band(), new ProbeBands.Bounds(s.least(), s.most() + 0.01)))));
        }
        return text.toString();
    }

    private static String refused(Supplier<?> set) {
        try {
            var _ = set.get();
            return "taken";
        } catch (IllegalArgumentException outside) {
            return "refused";
        }
    }

    private static Product labelled(String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId("made"),
                "Plain",
                "Nobody",
                30,
                "ml",
                10,
                label,
                Optional.empty(),
                OptionalDouble.empty(),
                false));
    }

    /** Names that nobody knows, so that the place alone tells; and what the place makes of each that counts. */
    private static String shares() {
        StringBuilder text = new StringBuilder();
        for (int marker : new int[] {0, 3, 5, 9}) {
            StringBuilder label = new StringBuilder("Aqua");
            for (int place = 2; place <= 16; place++) {
                label.append(", ").append(place == marker ? "Phenoxyethanol" : "Qxzyne " + (char) ('A' + place));
            }
            text.append("line at %d: %s%n"
                    .formatted(
                            marker,
                            labelled(label + " may contain: Qxzyne Z").label().lines().stream()
                                    .map(l -> l.low() + ".." + l.high())
                                    .toList()));
        }
        for (int place = 2; place <= 9; place++) {
            String before = "Aqua, " + "Qxzyne, ".repeat(place - 2);
            for (String what : List.of(
                    "Coco-Glucoside", "Kaolin", "Alcohol Denat.", "Juglans Regia Shell Powder", "Citric Acid")) {
                Product p = labelled(before + what + ", Qxzyne, Qxzyne, Phenoxyethanol");
                text.append("%s at %d: %s, %s, line %d%n"
                        .formatted(
                                what,
                                place,
                                p.kind(),
                                p.findings().stream().map(f -> f.found()).toList(),
                                p.label().onePercentLine()));
            }
            Product weak = labelled(before + "Parfum, Phenoxyethanol");
            text.append("perfume at %d, before a marker: line %d%n"
                    .formatted(place, weak.label().onePercentLine()));
        }
        for (int percent = 2; percent <= 40; percent++) {
            text.append("before %d %%: %s%n"
                    .formatted(
                            percent,
                            labelled("Aqua, Squalane, Niacinamide %d %%".formatted(percent))
                                    .composition()));
        }
        for (int percent = 4; percent <= 8; percent++) {
            Product toner = ProductReader.read(new Product.Facts(
                    new ProductId("made"),
                    "Plain toner",
                    "Nobody",
                    30,
                    "ml",
                    10,
                    "Aqua, Glycerin %d %%, Squalane, Panthenol".formatted(percent),
                    Optional.of(StepKind.TONER),
                    OptionalDouble.empty(),
                    false));
            text.append("a toner with %d %%: %s%n".formatted(percent, toner.composition()));
        }
        for (int percent = 90; percent <= 99; percent++) {
            text.append("of %d %% fat: %s%n"
                    .formatted(
                            percent,
                            labelled("Aqua, Petrolatum %d %%".formatted(percent))
                                    .composition()
                                    .shares(false)));
        }
        for (int percent = 1; percent <= 10; percent++) {
            Product sun = ProductReader.read(new Product.Facts(
                    new ProductId("made"),
                    "Sun fluid SPF 30",
                    "Nobody",
                    30,
                    "ml",
                    10,
                    "Aqua, Zinc Oxide %d %%".formatted(percent),
                    Optional.empty(),
                    OptionalDouble.empty(),
                    false));
            text.append("SPF 30 with %d %% of filters: %s, protects %s, %s%n"
                    .formatted(
                            percent,
                            sun.kind(),
                            sun.protectsFromSun(),
                            sun.findings().stream().map(f -> f.found()).toList()));
        }
        for (Ingredient i : Ingredients.all()) {
            if (List.of(Tag.HUMECTANT, Tag.EMOLLIENT, Tag.OCCLUSIVE, Tag.UV_ORGANIC, Tag.UV_MINERAL).stream()
                    .anyMatch(i::is)) {
                text.append("%s: %s%n"
                        .formatted(
                                i.inci(),
                                java.util.stream.Stream.of(
                                                "", "Aqua, ", "Aqua, Qxzyne, Qxzyne, ", "Aqua, Phenoxyethanol, ")
                                        .map(b -> labelled(b + i.inci()))
                                        .map(p -> "%s %s"
                                                .formatted(
                                                        p.composition(),
                                                        p.composition()
                                                                .shares(p.waterFree())
                                                                .water()))
                                        .toList()));
            }
        }
        return text.toString();
    }
}
