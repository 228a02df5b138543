package outfell.safety;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import outfell.knowledge.RuleId;
import outfell.product.Ingredients;
import outfell.product.Product;
import outfell.product.Products;
import outfell.product.StarterCatalogue;
import outfell.product.Tag;
import outfell.skin.Faces;
import outfell.skin.Sign;
import outfell.skin.SkinReader;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict;

/**
 * What the screen says of answers, medicines, words and patch tests, whole and word for word, as it was read and agreed.
 * -Doutfell.update=true writes it anew, to be read as a diff.
 */
class SafetySaidTest {
    private static final Path FOLDER = Path.of("src/test/resources/rules");
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
    private static final List<Product> GOODS = goods();

    private static List<Product> goods() {
        List<Product> all = new ArrayList<>(StarterCatalogue.products());
        for (Tag tag : Tag.values()) {
            if (Ingredients.all().stream().anyMatch(i -> i.is(tag))) {
                all.add(Products.serum(3, Products.tagged(tag)));
            }
        }
        return all;
    }

    @Test
    void the_screen_speaks_in_the_words_that_were_agreed() throws IOException {
        StringBuilder text = new StringBuilder();
        List<String> questions = List.copyOf(new TreeSet<>(SafetyScreen.questions()));
        for (int i = 0; i < questions.size(); i++) {
            List<Answers.Answer> given = List.of(yes(questions.get(i), i));
            said(
                    text,
                    questions.get(i),
                    new Answers(TODAY, given, OptionalInt.of(30), List.of(), List.of(), List.of()));
        }
        String[] medicines = {
            "isotretinoin", "isotretinoin until 2020", "warfarin", "doxycycline", "hydrocortison face",
                    "tretinoin cream",
            "never took methotrexate", "adalimumab injection", "glimepirid", "St John's wort", "aspirin", "unheardofix"
        };
        for (String medicine : medicines) {
            said(
                    text,
                    medicine,
                    new Answers(TODAY, List.of(), OptionalInt.of(30), List.of(medicine), List.of(), List.of()));
        }
        for (String word :
                List.of("nuts", "shellfish", "lanolin", "perfume", "squalane", "limonen", "plum dust", "sea", "bee")) {
            said(text, word, new Answers(TODAY, List.of(), OptionalInt.of(30), List.of(), List.of(word), List.of()));
        }
        for (int seed = 0; seed < 16; seed++) {
            RandomGenerator random =
                    RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
            int daysAgo = seed;
            List<Answers.Answer> given = new ArrayList<>();
            for (String question : questions) {
                int turn = random.nextInt(12);
                if (turn < 6) {
                    given.add(new Answers.Answer(
                            question, turn == 0, Optional.empty(), TODAY.minusDays(turn == 1 ? 40 : 0)));
                }
            }
            List<Answers.Settled> settled = given.stream()
                    .filter(a -> a.yes() && SafetyScreen.refers(new RuleId(a.question())))
                    .limit(1)
                    .map(a -> new Answers.Settled(
                            new RuleId(a.question()), "Dr Ashdown", TODAY.minusDays(daysAgo), "seen"))
                    .toList();
            said(
                    text,
                    "answers " + seed,
                    new Answers(TODAY, given, OptionalInt.of(13 + 4 * seed), List.of(), List.of(), settled));
        }
        patches(text);
        Path file = FOLDER.resolve("safety-said.txt");
        if (Boolean.getBoolean("outfell.update")) {
            Files.writeString(file, text.toString());
        }
        assertThat(text.toString().lines().toList())
                .isEqualTo(Files.readString(file).lines().toList());
    }

    private static Answers.Answer yes(String question, int i) {
        return new Answers.Answer(question, true, Optional.of(TODAY.minusDays(i % 9)), TODAY);
    }

    private static void said(StringBuilder text, String what, Answers answers) {
        SkinReading reading = Faces.face()
                .calm()
                .with(Sign.SHINE, 1, 1, 1, 1, 1)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .reading();
        SkinVerdict skin = SkinReader.read(reading, Set.of());
        List<Product> owned = List.of(Products.serum(5, "Retinol"), Products.serum(5, "Salicylic Acid"));
        SafetyVerdict v = SafetyScreen.screen(answers, reading, skin, owned);
        text.append("## ").append(what).append('\n');
        // that questions wait is the same for each question by itself
        List<Ban> bans = v.bans().stream()
                .filter(b -> !b.waitsForAsking() || what.startsWith("answers"))
                .toList();
        bans.forEach(b -> text.append("ban %s, %s%s: %s; keeps out %d of %d%n"
                .formatted(
                        b.name(),
                        b.guess() ? "a guess" : "sure",
                        b.until().map(u -> ", until " + u).orElse(""),
                        b.because().sentence(),
                        GOODS.stream().filter(b::keepsOut).count(),
                        GOODS.size())));
        bans.stream()
                .limit(1)
                .flatMap(b -> GOODS.stream()
                        .filter(b::keepsOut)
                        .limit(2)
                        .map(p -> b.forbids(p).orElseThrow().sentence()))
                .forEach(s -> text.append("forbids: ").append(s).append('\n'));
        v.cautions()
                .forEach(c -> text.append("caution %s: %s / %s / %s%n"
                        .formatted(
                                c.name(),
                                c.forTherapist(),
                                c.forClient(),
                                c.because().sentence())));
        v.referrals()
                .forEach(r -> text.append("refer %s to %s, open %s: %s / %s%n"
                        .formatted(
                                r.name(),
                                r.whom(),
                                r.open(),
                                r.note(),
                                r.because().sentence())));
        v.sun()
                .least()
                .ifPresent(p -> text.append(
                        "sun %d: %s%n".formatted(p.spf(), p.because().sentence())));
        v.sun().noNewAcid().ifPresent(b -> text.append("no new acid: %s%n".formatted(b.sentence())));
        v.meant().forEach(m -> text.append("meant %s: %s, %s%n".formatted(m.word(), m.question(), m.label())));
        text.append("asked %d, again %s, made without %s, waits only %d, events %s%n"
                .formatted(
                        v.questions().size(),
                        v.askAgain().stream().map(SafetyVerdict.Stale::id).toList(),
                        v.madeWithout().orElse("nothing"),
                        GOODS.stream().filter(v::onlyWaits).count(),
                        SafetyScreen.events(answers).stream()
                                .map(e -> e.words() + " " + e.size() + " " + e.window() + " " + e.days())
                                .collect(Collectors.joining(", "))));
        String first =
                answers.given().isEmpty() ? "" : answers.given().getFirst().question();
        if (!first.isEmpty()) {
            text.append("alone %s, refers %s, lasting %s, run out after 5, 20, 100 days: %s %s %s%n"
                    .formatted(
                            SafetyScreen.askedAlone(first),
                            SafetyScreen.refers(new RuleId(first)),
                            SafetyScreen.staysSettled(new RuleId(first)),
                            SafetyScreen.hasRunOut(first, TODAY.minusDays(5), TODAY),
                            SafetyScreen.hasRunOut(first, TODAY.minusDays(20), TODAY),
                            SafetyScreen.hasRunOut(first, TODAY.minusDays(100), TODAY)));
        }
    }

    private static void patches(StringBuilder text) {
        double[][] hours = {{0}, {0, 24}, {0, 24, 48}, {0, 24, 48, 72}, {0, 24, 48, 72, 96}, {0.5}, {1}, {1.5}, {24, 80}
        };
        for (PatchTest.Kind kind : PatchTest.Kind.values()) {
            for (double[] at : hours) {
                for (int last = 0; last < 5; last++) {
                    for (int before = 0; before < 2; before++) {
                        List<PatchTest.Reading> readings = new ArrayList<>();
                        for (int i = 0; i < at.length; i++) {
                            readings.add(new PatchTest.Reading(at[i], i == at.length - 1 ? last : before));
                        }
                        PatchTest.Verdict v = new PatchTest(
                                        kind, PatchTest.Site.FOREARM, LocalDateTime.of(2026, 11, 1, 9, 0), readings)
                                .verdict();
                        text.append("%s %s: %s, due %s; %s%n"
                                .formatted(
                                        kind,
                                        readings.stream()
                                                .map(r -> r.hours() + " h " + r.grade())
                                                .toList(),
                                        v.standing(),
                                        v.due().map(Object::toString).orElse("never"),
                                        v.because().sentence()));
                    }
                }
            }
        }
    }
}
