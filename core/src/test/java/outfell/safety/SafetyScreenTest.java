package outfell.safety;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static outfell.skin.Faces.face;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.knowledge.Because;
import outfell.knowledge.RuleId;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.safety.Answers.Answer;
import outfell.skin.Faces;
import outfell.skin.Sign;
import outfell.skin.SkinReader;
import outfell.skin.SkinReading;
import outfell.skin.Zone;

/** Every row of the table once where it fires and once where it just does not; what each does. */
class SafetyScreenTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
    /** Asked everything, thirty years old, and nothing applies. */
    private static final Answers NOTHING = asked(30);

    private static Answers asked(int age) {
        Answers all = Answers.none(TODAY);
        for (String question : SafetyScreen.questions()) {
            all = all.with(new Answer(question, false, Optional.empty(), TODAY));
        }
        return new Answers(TODAY, all.given(), OptionalInt.of(age), List.of(), List.of(), List.of());
    }

    /** A row with a case where it fires and the nearest case where it does not. */
    record Case(
            String rule,
            Answers fires,
            Faces firesOn,
            List<Product> firesWith,
            Answers misses,
            Faces missesOn,
            List<Product> missesWith) {
        Case(String rule, Answers fires, Faces firesOn, Answers misses, Faces missesOn) {
            this(rule, fires, firesOn, List.of(), misses, missesOn, List.of());
        }

        Case(String rule, Answers fires, Answers misses) {
            this(rule, fires, face(), misses, face());
        }

        Case(String rule, Answers answers, Product fires, Product misses) {
            this(rule, answers, face(), List.of(fires), answers, face(), List.of(misses));
        }

        Case(String rule, Faces fires, Faces misses) {
            this(rule, NOTHING, fires, NOTHING, misses);
        }

        @Override
        public String toString() {
            return rule;
        }
    }

    /** Rows that follow from something else than their own question. */
    private static final List<Case> FOLLOWING = List.of(
            new Case("pregnancy-oils", NOTHING.yes("pregnant"), NOTHING.yes("trying")),
            new Case(
                    "prescribed-retinoid-while-expecting",
                    NOTHING.yes("prescribed-retinoid").yes("trying"),
                    NOTHING.yes("prescribed-retinoid")),
            new Case(
                    "isotretinoin-while-expecting",
                    NOTHING.yes("isotretinoin").yes("breastfeeding"),
                    NOTHING.yes("breastfeeding")),
            new Case(
                    "isotretinoin-while-expecting",
                    on("isotretinoin-past", 29).yes("pregnant"),
                    on("isotretinoin-past", 30).yes("pregnant")),
            new Case(
                    "isotretinoin-while-expecting",
                    taking("acitretin, ended 2025").yes("trying"),
                    taking("acitretin, ended 2019").yes("trying")),
            new Case(
                    "prescribed-retinoid-while-expecting",
                    NOTHING.yes("pregnant"),
                    prescribed("Aqua, All-Trans-Retinoic Acid 0.05 %"),
                    prescribed("Aqua, Azelaic Acid 20 %")),
            new Case(
                    "prescribed-retinoid-while-nursing",
                    NOTHING.yes("breastfeeding"),
                    prescribed("Aqua, Tretinoin 0.05 %"),
                    holding("Retinol")),
            new Case(
                    "prescribed-bleach-while-expecting",
                    NOTHING.yes("pregnant"),
                    prescribed("Aqua, Hydroquinone 4 %"),
                    prescribed("Aqua, Azelaic Acid 20 %")),
            new Case("prescribed-unread", NOTHING, prescribed(""), prescribed("Aqua, Azelaic Acid 20 %")),
            new Case("oral-retinoid", taking("acitretin"), taking("acitretin, ended 2019")),
            new Case("steroid-cream", NOTHING, holding("Hydrocortisone"), prescribed("Aqua, Hydrocortisone 1 %")),
            new Case("steroid-somewhere", taking("betamethasone cream"), taking("betamethasone eye drops")),
            new Case(
                    "one-hot-cheek",
                    face().at(Zone.CHEEK_R, Sign.REDNESS, 3).at(Zone.CHEEK_L, Sign.REDNESS, 1),
                    face().at(Zone.CHEEK_R, Sign.REDNESS, 3).at(Zone.CHEEK_L, Sign.REDNESS, 2)),
            new Case(
                    "one-dark-place",
                    face().with(Sign.PIGMENT, 0, 0, 0, 3, 1),
                    face().with(Sign.PIGMENT, 0, 0, 0, 3, 3)),
            new Case("under-3", aged(2), aged(3)),
            new Case("under-12", aged(11), aged(12)),
            new Case("isotretinoin-month", on("isotretinoin-past", 29), on("isotretinoin-past", 30)),
            new Case("microneedling-bland", on("microneedling", 2), on("microneedling", 3)),
            new Case("spots-severe", face().with(Sign.SPOTS, 4), face().with(Sign.SPOTS, 3)),
            new Case("flaking-severe", face().with(Sign.FLAKING, 4), face().with(Sign.FLAKING, 3)),
            new Case(
                    "one-eye-swollen",
                    face().at(Zone.EYE_R, Sign.PUFFINESS, 3).at(Zone.EYE_L, Sign.PUFFINESS, 1),
                    face().at(Zone.EYE_R, Sign.PUFFINESS, 3).at(Zone.EYE_L, Sign.PUFFINESS, 2)),
            new Case("milia-near-eyes", face().at(Zone.EYE_L, Sign.MILIA, 2), face().at(Zone.EYE_L, Sign.MILIA, 1)),
            new Case(
                    "calm-reset",
                    face().with(Sign.STING, 2).with(Sign.REDNESS, 2),
                    face().with(Sign.STING, 1).with(Sign.REDNESS, 2)),
            new Case("under-16", aged(15), aged(16)),
            new Case("guardian-missing", aged(15), aged(15).yes("guardian")),
            new Case("teen-acne", aged(15), face().with(Sign.SPOTS, 3), aged(15), face().with(Sign.SPOTS, 2)),
            new Case("marks-easily", face().inTheSun(4, 4), face().inTheSun(4, 3)));

    /** Each row with a question: yes fires, no does not; a dated one the day before and the day it has run out. */
    static List<Case> rows() {
        List<Case> all = new ArrayList<>(FOLLOWING);
        for (Rule rule : Rule.ALL) {
            if (rule.asks()) {
                all.add(new Case(
                        rule.asked(),
                        rule.days() > 0 ? on(rule.asked(), rule.days() - 1) : NOTHING.yes(rule.asked()),
                        rule.days() > 0
                                ? on(rule.asked(), rule.days())
                                : NOTHING.with(new Answer(rule.asked(), false, Optional.empty(), TODAY))));
            }
        }
        return all;
    }

    @ParameterizedTest
    @MethodSource("rows")
    void each_row_fires_where_it_should_and_not_next_to_it(Case c) {
        Rule rule = Rule.ALL.stream()
                .filter(r -> r.id().value().equals(c.rule()))
                .findFirst()
                .orElseThrow();
        assertThat(rule.applies(facts(c.fires(), c.firesOn(), c.firesWith())))
                .as("fires")
                .isTrue();
        assertThat(rule.applies(facts(c.misses(), c.missesOn(), c.missesWith())))
                .as("near miss")
                .isFalse();
        if (!rule.whom().isEmpty()) {
            assertThat(screen(c.fires(), c.firesOn(), c.firesWith()).open())
                    .anyMatch(r -> r.rule().equals(rule.id()));
        }
        if (rule.bans()) {
            assertThat(screen(c.fires(), c.firesOn(), c.firesWith()).bans())
                    .anyMatch(b -> b.rule().equals(rule.id()));
            assertThat(screen(c.misses(), c.missesOn(), c.missesWith()).bans())
                    .noneMatch(b -> b.rule().equals(rule.id()));
        }
    }

    @Test
    void no_row_is_without_its_case() {
        assertThat(rows())
                .extracting(Case::rule)
                .containsOnlyElementsOf(
                        Rule.ALL.stream().map(r -> r.id().value()).toList());
    }

    @Test
    void every_row_has_a_reason_a_source_and_something_to_do() {
        assertThat(Rule.ALL).allSatisfy(r -> {
            assertThat(r.because().sentence()).endsWith(".");
            assertThat(r.bans()
                            || !r.whom().isEmpty()
                            || !r.therapist().isEmpty()
                            || r.id().value().equals("guardian"))
                    .as("%s does nothing", r.id())
                    .isTrue();
        });
    }

    static List<List<String>> allergens() {
        return List.of(
                List.of("nuts", "Prunus Amygdalus Dulcis Oil", "Mandelic Acid"),
                List.of("bee-products", "Mel", "Euphorbia Cerifera Cera"),
                List.of("shellfish", "Chitosan", "Laminaria Digitata Extract"),
                List.of("latex", "Papain", "Bromelain"),
                List.of("fragrance", "Linalool", "Bisabolol"),
                List.of("salicylates", "Salix Alba Bark Extract", "Ethylhexyl Salicylate"),
                List.of("lanolin", "Lanolin Alcohol", "Cetearyl Alcohol"),
                List.of("daisies", "Calendula Officinalis Flower Extract", "Centella Asiatica Extract"),
                List.of("wheat", "Hydrolyzed Wheat Protein", "Avena Sativa Kernel Flour"),
                List.of("soy", "Glycine Soja Oil", "Helianthus Annuus Seed Oil"),
                List.of("sesame", "Sesamum Indicum Seed Oil", "Squalane"),
                List.of("formaldehyde", "DMDM Hydantoin", "Phenoxyethanol"),
                List.of("isothiazolinones", "Methylisothiazolinone", "Sodium Benzoate"),
                List.of("preservatives", "Propylparaben", "Caprylyl Glycol"));
    }

    @ParameterizedTest
    @MethodSource("allergens")
    void each_allergy_forbids_its_own_and_nothing_near_it(List<String> row) {
        SafetyVerdict verdict = screen(NOTHING.yes(row.get(0)), face());
        assertThat(verdict.forbids(holding(row.get(1)))).isPresent();
        assertThat(verdict.forbids(holding(row.get(2)))).isEmpty();
    }

    @Test
    void no_allergy_is_without_its_allergen() {
        assertThat(allergens())
                .extracting(row -> row.get(0))
                .containsExactlyInAnyOrderElementsOf(SafetyScreen.questions("allergy"));
    }

    @Test
    void an_allergy_the_table_does_not_know_is_matched_as_text_and_said_to_be_a_guess() {
        assertThat(reactsTo("oarweed")
                        .forbids(holding("Laminaria Digitata Extract"))
                        .orElseThrow()
                        .sentence())
                .contains("A match by text");
        assertThat(reactsTo("oarweed").forbids(holding("Glycerin"))).isEmpty();
        assertThat(reactsTo("oar").forbids(holding("Laminaria Digitata Extract")))
                .isEmpty();
    }

    @Test
    void pregnancy_and_trying_keep_retinoids_out_and_leave_mild_acids() {
        for (String expecting : List.of("pregnant", "trying")) {
            SafetyVerdict verdict = screen(NOTHING.yes(expecting), face());
            assertThat(verdict.forbids(holding("Retinol"))).isPresent();
            assertThat(verdict.forbids(holding("Bakuchiol"))).isPresent();
            assertThat(verdict.forbids(holding("Hydroquinone"))).isPresent();
            assertThat(verdict.forbids(holding("Azelaic Acid"))).isEmpty();
            assertThat(verdict.forbids(named("Serum", "Aqua, Glycolic Acid 10 %")))
                    .isEmpty();
            assertThat(verdict.forbids(named("Serum", "Aqua, Glycolic Acid 12 %")))
                    .isPresent();
        }
        assertThat(screen(NOTHING.yes("breastfeeding"), face()).forbids(holding("Bakuchiol")))
                .isEmpty();
    }

    @Test
    void a_wait_is_counted_from_its_day_and_says_the_day_it_ends() {
        SafetyVerdict waxed = screen(on("waxing", 1), face());
        assertThat(waxed.forbids(named("Lactic serum", "Aqua, Lactic Acid 5 %"))
                        .orElseThrow()
                        .sentence())
                .contains("From 27 November on again");
        assertThat(waxed.cautions()).anySatisfy(c -> assertThat(c.forClient()).contains("27 November"));
        assertThat(screen(on("waxing", 3), face()).forbids(named("Lactic serum", "Aqua, Lactic Acid 5 %")))
                .isEmpty();
    }

    @Test
    void a_wait_without_a_day_counts_from_the_day_it_was_asked() {
        assertThat(screen(NOTHING.yes("waxing"), face()).bans().getFirst().until())
                .hasValue(TODAY.plusDays(3));
    }

    @Test
    void a_day_ahead_is_refused() {
        assertThatThrownBy(() -> new Answer("waxing", true, Optional.of(TODAY.plusDays(1)), TODAY))
                .hasMessageContaining("lies ahead");
        assertThatThrownBy(() -> NOTHING.with(new Answer("waxing", true, Optional.empty(), TODAY.plusDays(1))))
                .hasMessageContaining("after the visit");
    }

    @Test
    void a_kind_of_step_can_be_out() {
        SafetyVerdict verdict = screen(on("eye-surgery", 3), face());
        assertThat(verdict.forbids(named("Eye cream", "Aqua, Glycerin"))
                        .orElseThrow()
                        .sentence())
                .contains("an eye product");
        assertThat(verdict.forbids(named("Cream", "Aqua, Glycerin"))).isEmpty();
    }

    @Test
    void a_medicine_is_known_by_its_name_and_an_unknown_one_is_said() {
        SafetyVerdict known = screen(taking("Doxycycline 100 mg"), face());
        assertThat(known.bans()).anyMatch(b -> b.rule().value().equals("photosensitising"));
        assertThat(known.cautions()).anySatisfy(c -> {
            assertThat(c.forTherapist()).contains("ask the client");
            assertThat(c.because().source())
                    .as("the source of the row, not of the house")
                    .isNotEqualTo("house");
        });
        SafetyVerdict unknown = screen(taking("Krakendrops"), face());
        assertThat(unknown.bans()).isEmpty();
        assertThat(unknown.cautions())
                .anySatisfy(c -> assertThat(c.forTherapist()).contains("not in the table"));
        assertThat(rules(taking("Tretinoin cream"))).contains("prescribed-retinoid");
        assertThat(rules(taking("Isotretinoin"))).doesNotContain("prescribed-retinoid");
    }

    @Test
    void a_settled_referral_stays_in_sight_and_holds_nothing_up() {
        Answers settled = new Answers(
                TODAY,
                List.of(new Answer("mole", true, Optional.empty(), TODAY)),
                OptionalInt.empty(),
                List.of(),
                List.of(),
                List.of(new Answers.Settled(new RuleId("mole"), "Dr Ashdown", TODAY, "harmless")));
        SafetyVerdict verdict = screen(settled, face());
        assertThat(verdict.open()).isEmpty();
        assertThat(verdict.referrals()).hasSize(1);
        assertThatThrownBy(() -> new Answers.Settled(new RuleId("mole"), " ", TODAY, ""))
                .hasMessageContaining("who settled");
    }

    @Test
    void a_release_is_never_older_than_what_it_releases() {
        Answers told = NOTHING.with(new Answer("mole", true, Optional.empty(), TODAY));
        assertThat(screen(released(told, "mole", TODAY.minusDays(1)), face()).open())
                .extracting(SafetyVerdict.Referral::rule)
                .containsExactly(new RuleId("mole"));
        assertThat(screen(released(told, "mole", TODAY), face()).open()).isEmpty();
        // what is settled once for all visits stays so
        Answers weakened = NOTHING.with(new Answer("immunosuppressed", true, Optional.empty(), TODAY));
        assertThat(screen(released(weakened, "immunosuppressed", TODAY.minusYears(1)), face())
                        .open())
                .isEmpty();
    }

    private static Answers released(Answers a, String referral, LocalDate on) {
        return new Answers(
                TODAY,
                a.given(),
                a.age(),
                List.of(),
                List.of(),
                List.of(new Answers.Settled(new RuleId(referral), "Dr Ashdown", on, "")));
    }

    @ParameterizedTest
    @CsvSource({
        "Isotretionin, isotretinoin",
        "Isotrétinoïne 20 mg, isotretinoin",
        "Méthotrexate, immunosuppressed",
        "Ustekinumab pen, immunosuppressed",
        "ruxolitinib tablets, immunosuppressed",
        "Phenprocoumon, blood-thinner",
        "Doxyzyklin, photosensitising",
        "Johanniskraut Tee, photosensitising",
        "cortisone cream for my face, steroid-cream",
        "chemo since May, cancer-treatment",
    })
    void a_medicine_is_known_in_three_languages_and_through_a_slip(String typed, String rule) {
        assertThat(Stream.concat(
                        rules(taking(typed)).stream(),
                        screen(taking(typed), face()).referrals().stream()
                                .map(r -> r.rule().value())))
                .contains(rule);
    }

    @ParameterizedTest
    @CsvSource({
        "tacrolimus ointment, immunosuppressed",
        "prednisolone eye drops, immunosuppressed",
        "budesonide inhaler, immunosuppressed",
        "isotretinoin ended 2015, isotretinoin",
        "never took isotretinoin, isotretinoin",
        "doxycycline two tablets, blood-thinner",
        "hydrocortisone cream on the elbow, steroid-cream",
    })
    void by_the_way_it_is_taken_and_by_its_time_it_may_not_count(String typed, String rule) {
        assertThat(rules(taking(typed))).doesNotContain(rule);
        assertThat(screen(taking(typed), face()).referrals())
                .extracting(SafetyVerdict.Referral::rule)
                .doesNotContain(new RuleId(rule));
    }

    @Test
    void what_ended_and_nobody_said_when_still_counts() {
        assertThat(rules(taking("isotretinoin, no longer"))).contains("isotretinoin");
    }

    @ParameterizedTest
    @CsvSource({
        "nuts, nuts",
        "Haselnuss, nuts",
        "wasps and bees, bee-products",
        "Duftstoffe, fragrance",
        "celiac, wheat"
    })
    void a_word_for_an_allergy_that_means_a_row_is_asked_back_until_it_is_answered(String word, String question) {
        Answers open = new Answers(
                TODAY,
                NOTHING.given().stream()
                        .filter(a -> !a.question().equals(question))
                        .toList(),
                OptionalInt.of(30),
                List.of(),
                List.of(word),
                List.of());
        assertThat(screen(open, face()).meant())
                .extracting(SafetyVerdict.AskBack::question)
                .containsExactly(question);
        assertThat(screen(open.with(new Answer(question, false, Optional.empty(), TODAY)), face())
                        .meant())
                .isEmpty();
    }

    @Test
    void answered_with_no_only_what_holds_the_word_is_out() {
        SafetyVerdict only = reactsTo("walnut");
        assertThat(only.forbids(holding("Juglans Regia Seed Oil"))).isPresent();
        assertThat(only.forbids(holding("Arachis Hypogaea Oil"))).isEmpty();
    }

    @Test
    void under_a_ban_what_nobody_has_read_waits_and_what_nobody_knows_is_said() {
        SafetyVerdict verdict = screen(NOTHING.yes("lanolin"), face());
        assertThat(verdict.forbids(named("Night cream", "")).orElseThrow().sentence())
                .contains("waits for its ingredient list");
        assertThat(verdict.unknownIn(holding("Kelp Moonlight Complex"))
                        .orElseThrow()
                        .sentence())
                .contains("Kelp Moonlight Complex", "lanolin");
        assertThat(screen(NOTHING, face()).forbids(named("Night cream", ""))).isEmpty();
        assertThat(screen(NOTHING, face()).unknownIn(holding("Kelp Moonlight Complex")))
                .isEmpty();
    }

    @Test
    void a_prescriber_hears_once_of_each_product_with_every_ban_by_name() {
        Product retinoid = prescribed("Aqua, Tretinoin 0.05 %");
        Because told = screen(NOTHING.yes("pregnant").yes("trying"), face())
                .tellPrescriber(retinoid)
                .orElseThrow();
        assertThat(told.sentence()).contains("Also against it: ", "Ask the prescriber before the next dose.");
        assertThat(screen(NOTHING.yes("pregnant"), face())
                        .tellPrescriber(retinoid)
                        .orElseThrow()
                        .sentence())
                .doesNotContain("Also against it");
        assertThat(screen(NOTHING.yes("pregnant"), face()).tellPrescriber(prescribed("Aqua, Azelaic Acid 20 %")))
                .isEmpty();
    }

    @Test
    void nobody_is_told_to_stop_a_prescribed_thing_and_nobody_to_go_on() {
        for (Rule rule : Rule.ALL) {
            for (String words : List.of(rule.therapist(), rule.client(), rule.note())) {
                assertThat(words.toLowerCase(java.util.Locale.ROOT))
                        .as("%s", rule.id())
                        .doesNotContain("do not stop", "stop the medicine", "stop your", "stop taking");
            }
        }
    }

    @Test
    void answers_of_an_earlier_visit_grow_stale_where_they_can_change() {
        Answers old = new Answers(
                TODAY,
                List.of(
                        new Answer("pregnant", false, Optional.empty(), TODAY.minusDays(40)),
                        new Answer("lanolin", true, Optional.empty(), TODAY.minusDays(40))),
                OptionalInt.empty(),
                List.of(),
                List.of(),
                List.of());
        assertThat(screen(old, face()).askAgain())
                .extracting(SafetyVerdict.Stale::id)
                .containsExactly("pregnant");
        assertThat(screen(NOTHING.yes("pregnant"), face()).askAgain()).isEmpty();
    }

    @Test
    void a_question_is_asked_only_when_it_can_matter() {
        assertThat(asks(aged(70), "pregnant")).isFalse();
        assertThat(asks(aged(30), "pregnant")).isTrue();
        assertThat(asks(Answers.none(TODAY), "pregnant")).isTrue();
        assertThat(asks(NOTHING, "eczema-weeping")).isFalse();
        assertThat(asks(NOTHING.yes("eczema"), "eczema-weeping")).isTrue();
        assertThat(asks(aged(15), "guardian")).isTrue();
        assertThat(asks(aged(16), "guardian")).isFalse();
    }

    @Test
    void what_happened_lately_weighs_on_the_barrier_for_as_long_as_its_row_says() {
        assertThat(SafetyScreen.events(on("sunburn", 2))).singleElement().satisfies(e -> {
            assertThat(e.size()).isEqualTo(20);
            assertThat(e.window()).isEqualTo(7);
            assertThat(e.days()).isEqualTo(2);
        });
        Answers open = NOTHING.yes("open-skin");
        SkinReading reading = new SkinReading(
                List.of(),
                List.of(),
                Faces.VALID,
                outfell.skin.History.NONE,
                SafetyScreen.events(open),
                List.of(),
                List.of());
        assertThat(SkinReader.read(reading, Set.of()).barrier().index()).hasValue(49.0);
    }

    @Test
    void an_unasked_screen_says_so() {
        assertThat(screen(Answers.none(TODAY), face()).unasked())
                .contains("year of birth", "pregnancy", "changing mole or sore");
    }

    private static boolean asks(Answers answers, String id) {
        return screen(answers, face()).questions().stream().anyMatch(q -> q.id().equals(id));
    }

    private static Answers on(String question, int daysAgo) {
        return NOTHING.with(new Answer(question, true, Optional.of(TODAY.minusDays(daysAgo)), TODAY));
    }

    private static Answers aged(int age) {
        return asked(age);
    }

    private static Answers taking(String medicine) {
        return new Answers(TODAY, NOTHING.given(), OptionalInt.of(30), List.of(medicine), List.of(), List.of());
    }

    private static List<String> rules(Answers answers) {
        return screen(answers, face()).bans().stream()
                .map(b -> b.rule().value())
                .toList();
    }

    private static SafetyVerdict reactsTo(String word) {
        return screen(
                new Answers(TODAY, NOTHING.given(), OptionalInt.of(30), List.of(), List.of(word), List.of()), face());
    }

    private static Condition.Facts facts(Answers answers, Faces face, List<Product> shelf) {
        SkinReading reading = face.reading();
        return new Condition.Facts(answers, reading, SkinReader.read(reading, Set.of()), shelf);
    }

    private static SafetyVerdict screen(Answers answers, Faces face) {
        return screen(answers, face, List.of());
    }

    private static SafetyVerdict screen(Answers answers, Faces face, List<Product> shelf) {
        SkinReading reading = face.reading();
        return SafetyScreen.screen(answers, reading, SkinReader.read(reading, Set.of()), shelf);
    }

    private static Product holding(String ingredient) {
        return named("Something", "Aqua, Glycerin, Xanthan Gum, " + ingredient);
    }

    private static Product prescribed(String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId("rx"),
                "Cream from the doctor",
                "",
                0,
                "g",
                0,
                label,
                Optional.empty(),
                OptionalDouble.empty(),
                true));
    }

    private static Product named(String name, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId("x"), name, "", 0, "ml", 0, label, Optional.empty(), OptionalDouble.empty(), false));
    }
}
