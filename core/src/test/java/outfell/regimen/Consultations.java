package outfell.regimen;

import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Owned;
import outfell.consultation.Consultation.Standing;
import outfell.consultation.Life;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StarterCatalogue;
import outfell.safety.Answers;
import outfell.safety.SafetyScreen;
import outfell.skin.Faces;
import outfell.skin.History;
import outfell.skin.Observation;
import outfell.skin.ProbeConditions;
import outfell.skin.Sign;
import outfell.skin.Signs;
import outfell.skin.SkinReading;
import outfell.week.Diary;

/** Builds consultations in tests, with quiet defaults. */
public final class Consultations {
    public static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
    /** Asked everything, and nothing applies. */
    public static final Answers NOTHING = nothing();

    public static final List<Product> CATALOGUE = StarterCatalogue.products();

    /** Of these the kinds that a plan chooses by itself. */
    static final List<Product> CHOSEN =
            CATALOGUE.stream().filter(p -> !p.kind().onlyHers()).toList();

    /** A retinoid that somebody has prescribed. */
    public static final Product PRESCRIBED = ProductReader.read(new Product.Facts(
            new ProductId("prescribed"),
            "Tretinoin cream 0.05 %",
            "",
            30,
            "g",
            0,
            "Tretinoin 0.05 %",
            Optional.empty(),
            OptionalDouble.empty(),
            true));

    private Consultations() {}

    private static Answers nothing() {
        Answers all = Answers.none(TODAY);
        for (String question : SafetyScreen.questions()) {
            all = all.with(new Answers.Answer(question, false, Optional.empty(), TODAY));
        }
        return new Answers(
                TODAY, all.given(), OptionalInt.of(30), all.medicines(), all.otherAllergies(), all.settled());
    }

    public static Consultation of(Faces face) {
        return of(face.reading(), "classic", Month.NOVEMBER, CATALOGUE, List.of(), NOTHING, Life.USUAL);
    }

    public static Consultation of(
            SkinReading reading,
            String method,
            Month month,
            List<Product> catalogue,
            List<Owned> shelf,
            Answers answers,
            Life life) {
        return new Consultation(
                reading,
                answers,
                life,
                Set.of(),
                shelf,
                catalogue,
                Methods.find(method).orElseThrow(),
                Sites.find("skarrow-harbour").orElseThrow(),
                month,
                Consultation.ByHand.NOTHING,
                Standing.NONE,
                List.of(),
                Consultation.House.SHIPPED,
                Diary.NONE);
    }

    /** Some face, the same for the same number, by a method in November, asked everything and owning nothing. */
    public static Consultation some(String method, int seed) {
        return of(
                face(RandomGeneratorFactory.of("L64X128MixRandom").create(seed)),
                method,
                Month.NOVEMBER,
                CATALOGUE,
                List.of(),
                NOTHING,
                Life.USUAL);
    }

    public static Product product(String id) {
        return CATALOGUE.stream()
                .filter(p -> p.id().value().equals(id))
                .findFirst()
                .orElseThrow();
    }

    public static Owned owned(String id, int weeks) {
        return new Owned(product(id), weeks, List.of());
    }

    /** A face with every sign of the five zones, barrier left sound or strained. */
    public static SkinReading face(RandomGenerator random) {
        List<Observation> all = new ArrayList<>();
        for (Sign sign : Sign.values()) {
            int usual = random.nextInt(3);
            // marked on one side only they are a doctor's, and no plan is made
            boolean even = sign == Sign.REDNESS || sign == Sign.PIGMENT;
            Signs.of(sign)
                    .zones()
                    .forEach(z -> all.add(new Observation(
                            z,
                            sign,
                            sign == Sign.STING
                                    ? 0
                                    : Math.clamp(
                                            even ? usual : usual + random.nextInt(3) - 1,
                                            0,
                                            sign == Sign.PUFFINESS ? 2 : 3),
                            Signs.of(sign).how())));
        }
        return new SkinReading(
                all,
                List.of(),
                ProbeConditions.UNSTATED,
                new History(
                        OptionalInt.of(0),
                        OptionalInt.of(0),
                        false,
                        Optional.empty(),
                        OptionalInt.empty(),
                        OptionalInt.empty(),
                        OptionalInt.empty(),
                        false),
                List.of(),
                List.of(),
                List.of());
    }
}
