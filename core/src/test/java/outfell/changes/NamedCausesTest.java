package outfell.changes;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.causes.Cause;
import outfell.changes.Change.What;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Consultation.Standing;
import outfell.consultation.Life;
import outfell.consultation.Life.Matter;
import outfell.consultation.Life.Taste;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.regimen.Consultations;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.routine.Part;
import outfell.safety.Answers;
import outfell.skin.Faces;
import outfell.skin.Sign;

/** Pairs of one client, each with the cause that a therapist would name for what differs. */
class NamedCausesTest {
    private static final Life EASY =
            new Life(15, 30, 7, 2, 2, false, 3, Set.of(), Taste.ANY, Taste.ANY, Taste.ANY, OptionalDouble.empty());

    private static Faces calm() {
        return Faces.face()
                .calm()
                .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .person(40, false, false)
                .history(0, 0);
    }

    private static Consultation oily(Month month) {
        return of(calm().with(Sign.SHINE, 3, 3, 3, 2, 2).with(Sign.SPOTS, 1, 1, 2, 1, 1), month);
    }

    private static Consultation dry(Month month) {
        return of(
                Faces.face()
                        .with(Sign.SHINE, 0, 0, 0, 0, 0)
                        .with(Sign.TIGHTNESS, 1, 0, 1, 2, 2)
                        .with(Sign.FLAKING, 0, 0, 0, 1, 1)
                        .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                        .with(Sign.STING, 0, 0, 0, 0, 0)
                        .person(40, false, false)
                        .history(0, 0),
                month);
    }

    private static Consultation lined(Month month) {
        return of(calm().with(Sign.SHINE, 1, 1, 1, 0, 0).with(Sign.LINES, 2, -1, 0, 2, 2), month);
    }

    private static Consultation of(Faces face, Month month) {
        return Consultations.of(
                face.reading(), "classic", month, Consultations.CATALOGUE, List.of(), Consultations.NOTHING, EASY);
    }

    private static Consultation with(Consultation c, Life other, Matter matter) {
        return c.living(c.life().as(other, matter));
    }

    private static Life life(int outdoors, int makeUpDays, boolean full, Taste wish) {
        return new Life(15, 30, 7, outdoors, makeUpDays, full, 3, Set.of(), wish, wish, wish, OptionalDouble.empty());
    }

    static Stream<Pair> pairs() {
        Consultation oily = oily(Month.NOVEMBER);
        Consultation lined = lined(Month.NOVEMBER);
        Consultation dry = dry(Month.NOVEMBER);
        Consultation thrifty = oily.living(EASY.withBudget(26));
        Consultation abroad = dry(Month.JULY)
                .parts()
                .site(Sites.find("port-lenz").orElseThrow())
                .together();
        Consultation sunned = lined(Month.APRIL)
                .parts()
                .shelf(List.of(Consultations.owned("day-fluid-30", 4)))
                .together();
        ProductId retinol = Consultations.product("retinol-serum-02").id();
        return Stream.of(
                pair("no retinoid is begun in July", oily, oily.in(Month.JULY))
                        .of(Part.EVENING, What.REPLACED, "Retinol serum 0.2 %", "Salicylic fluid 2 %")
                        .by(Cause.AIR, "UV 6: from 6 on a retinoid is not begun, only kept."),
                pair("January's rooms ask for a richer night", dry(Month.JULY), dry(Month.JANUARY))
                        .of(Part.EVENING, What.REPLACED, "Plain cream, glycerin 10 %", "Rich cream for cold weather")
                        .by(
                                Cause.AIR,
                                "The skin asks for texture 6.5; rooms at 33 % and dryness 44 of 100 make it one richer: 7.5."),
                pair("an oil leaves in the heat", abroad, abroad.in(Month.JANUARY))
                        .of(Part.EVENING, What.TAKEN_OUT, "Face oil, squalane", "")
                        .by(Cause.AIR, "Heat 80 of 100: from 50 on no oil is asked for."),
                pair("an acid may be begun in November", lined(Month.JULY), lined)
                        .of(Part.EVENING, What.PUT_IN, "", "Glycolic fluid 8 %")
                        .by(Cause.AIR, "UV 1: an acid may be begun."),
                pair("the July sunscreen takes the money of the acid", thrifty, thrifty.in(Month.JULY))
                        .of(Part.EVENING, What.TAKEN_OUT, "Salicylic fluid 2 %", "")
                        .by(Cause.MONEY, "UV 6 asks for SPF 50.")
                        .since("The budget of €26 no longer holds it."),
                pair("less money", oily, oily.living(EASY.withBudget(15)))
                        .of(Part.EVENING, What.TAKEN_OUT, "Niacinamide serum 5 %", "")
                        .by(Cause.MONEY, "The budget is €15 a month; before, it had none."),
                pair("a short evening", oily, oily.living(EASY.withMinutes(Part.EVENING, 6)))
                        .of(Part.EVENING, What.TAKEN_OUT, "Niacinamide serum 5 %", "")
                        .by(Cause.MINUTES, "The evening has 6 minutes; it had 30."),
                pair("a short morning", lined, lined.living(EASY.withMinutes(Part.MORNING, 3)))
                        .of(Part.MORNING, What.TAKEN_OUT, "Vitamin C serum 12 %", "")
                        .by(Cause.MINUTES, "The morning has 3 minutes; it had 15."),
                pair("three steps at most", oily, oily.living(EASY.withSteps(3)))
                        .of(Part.EVENING, What.TAKEN_OUT, "Water toner, no alcohol", "")
                        .by(Cause.STEPS, "3 steps are borne at a time; it was 7."),
                pair("a school without strong actives", oily, oily.by(method("essentials")))
                        .of(Part.EVENING, What.TAKEN_OUT, "Retinol serum 0.2 %", "")
                        .by(Cause.METHOD, "Strong actives in a week? Essentials: none. Classic: one."),
                pair("a school that cleanses once, in three steps", oily, oily.by(method("essentials")))
                        .of(Part.EVENING, What.TAKEN_OUT, "Micellar water, no perfume", "")
                        .by(
                                Cause.METHOD,
                                "Cleanse twice in the evening? Essentials: once is enough. Classic: after make-up or sunscreen.",
                                "Steps in a routine, at most? Essentials: three. Classic: six."),
                pair("a school of mask nights", oily, oily.by(method("layered")))
                        .of(Part.EVENING, What.PUT_IN, "", "Clay mask, kaolin")
                        .by(
                                Cause.METHOD,
                                "Mask nights? Layered: clay and enzyme on nights of their own. Classic: none."),
                pair("three layers of toner", oily, oily.by(method("layered")))
                        .of(
                                Part.MORNING,
                                What.OTHER_AMOUNT,
                                "Water toner, no alcohol, 1 splash into the palm",
                                "Water toner, no alcohol, 1 splash into the palm, 3 layers")
                        .by(Cause.METHOD, "Toner? Layered: three thin layers. Classic: once after cleansing."),
                pair("a child is expected", oily, saying(oily, oily.answers().yes("pregnant")))
                        .of(Part.EVENING, What.REPLACED, "Retinol serum 0.2 %", "Salicylic fluid 2 %")
                        .by(Cause.SAFETY, "Pregnant: yes; before, no."),
                pair("an allergy in own words", oily, saying(oily, allergic(oily.answers(), "niacinamide")))
                        .of(Part.EVENING, What.TAKEN_OUT, "Niacinamide serum 5 %", "")
                        .by(Cause.SAFETY, "Allergy in the client’s own words: niacinamide."),
                pair("no oil is wished for", dry, with(dry, life(2, 2, false, Taste.NEVER), Matter.OILS))
                        .of(Part.EVENING, What.TAKEN_OUT, "Face oil, squalane", "")
                        .by(Cause.TASTE, "Oil on the face: never; it was welcome."),
                pair(
                                "made up every day",
                                with(lined, life(2, 0, false, Taste.ANY), Matter.MAKE_UP),
                                with(lined, life(2, 7, true, Taste.ANY), Matter.MAKE_UP))
                        .of(Part.EVENING, What.PUT_IN, "", "Micellar water, no perfume")
                        .by(Cause.DAY, "Now full make-up on 7 days a week; before, no make-up."),
                pair("work outdoors", sunned, with(sunned, life(6, 2, false, Taste.ANY), Matter.OUTDOORS))
                        .of(Part.MORNING, What.REPLACED, "Day fluid SPF 30", "Sun fluid SPF 50, water-fast")
                        .by(Cause.DAY, "6 hours of the day are spent outdoors; it was 2."),
                pair("a sunscreen of the client's own", oily, owning(oily, "day-fluid-30"))
                        .of(Part.MORNING, What.REPLACED, "Sun fluid SPF 50, water-fast", "Day fluid SPF 30")
                        .by(Cause.SHELF, "Day fluid SPF 30 is on the client’s shelf now."),
                pair("twenty weeks on", lined, lined.keeping(new Standing(steps(lined), 20)))
                        .of(
                                Part.EVENING,
                                What.OTHER_NIGHTS,
                                "Glycolic fluid 8 %, 1 a week",
                                "Glycolic fluid 8 %, 2 a week")
                        .by(Cause.TIME, "By then the skin has had 20 weeks to get used to what stands now."),
                pair("taken out by hand", oily, oily.leaving(new Choice(Part.EVENING, retinol)))
                        .of(Part.EVENING, What.REPLACED, "Retinol serum 0.2 %", "Retinal cream 0.05 %")
                        .by(Cause.HAND, "Retinol serum 0.2 % is taken out by hand in the evening."),
                pair(
                                "no longer sold",
                                oily,
                                oily.parts().catalogue(without(retinol)).together())
                        .of(Part.EVENING, What.REPLACED, "Retinol serum 0.2 %", "Retinal cream 0.05 %")
                        .by(Cause.PRACTICE, "Retinol serum 0.2 % is offered no more."),
                pair("a face that has reddened", lined, of(reddened(), Month.NOVEMBER))
                        .of(Part.MORNING, What.REPLACED, "Vitamin C serum 12 %", "Niacinamide serum 5 %")
                        .by(Cause.SKIN, "Redness: 2 at worst, on the forehead, right cheek, left cheek; it was none."));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("pairs")
    void the_cause_is_the_one_that_a_therapist_would_name(Pair pair) {
        List<Change> changes = Changes.between(pair.from, pair.to).orElseThrow().changes();
        assertThat(changes).anySatisfy(c -> {
            assertThat(c.part()).isEqualTo(pair.part);
            assertThat(c.what()).isEqualTo(pair.what);
            assertThat(c.from()).isEqualTo(pair.before);
            assertThat(c.to()).isEqualTo(pair.after);
            assertThat(c.cause()).isEqualTo(pair.cause);
            assertThat(c.because()).extracting(Because::sentence).containsExactlyElementsOf(pair.sentences);
            assertThat(c.limit().map(Because::sentence)).isEqualTo(pair.limit);
        });
    }

    private static Pair pair(String name, Consultation from, Consultation to) {
        return new Pair(name, from, to);
    }

    /** Two consultations and one difference between their plans. */
    private static final class Pair {
        private final String name;
        private final Consultation from;
        private final Consultation to;
        private Part part = Part.EVENING;
        private What what = What.MOVED;
        private String before = "";
        private String after = "";
        private Cause cause = Cause.CHOICE;
        private List<String> sentences = List.of();
        private Optional<String> limit = Optional.empty();

        Pair(String name, Consultation from, Consultation to) {
            this.name = name;
            this.from = from;
            this.to = to;
        }

        Pair of(Part in, What becomes, String was, String is) {
            part = in;
            what = becomes;
            before = was;
            after = is;
            return this;
        }

        Pair by(Cause kind, String... because) {
            cause = kind;
            sentences = List.of(because);
            return this;
        }

        Pair since(String held) {
            limit = Optional.of(held);
            return this;
        }

        @Override
        public String toString() {
            return name;
        }
    }

    private static Method method(String id) {
        return Methods.find(id).orElseThrow();
    }

    private static Consultation saying(Consultation c, Answers answers) {
        return c.parts().answers(answers).together();
    }

    private static Answers allergic(Answers a, String word) {
        return new Answers(a.today(), a.given(), OptionalInt.of(30), a.medicines(), List.of(word), a.settled());
    }

    private static Consultation owning(Consultation c, String id) {
        return c.parts().shelf(List.of(Consultations.owned(id, 4))).together();
    }

    private static List<Product> without(ProductId id) {
        return Consultations.CATALOGUE.stream().filter(p -> !p.id().equals(id)).toList();
    }

    private static Set<Choice> steps(Consultation c) {
        return ((Outcome.Planned) Planner.plan(c)).regimen().choices();
    }

    private static Faces reddened() {
        return Faces.face()
                .calm()
                .with(Sign.SHINE, 1, 1, 1, 0, 0)
                .with(Sign.LINES, 2, -1, 0, 2, 2)
                .with(Sign.REDNESS, 2, 1, 1, 2, 2)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .person(40, false, false)
                .history(0, 0);
    }
}
