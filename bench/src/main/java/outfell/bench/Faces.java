package outfell.bench;

import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import outfell.climate.Site;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Life.Taste;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.safety.Answers;
import outfell.skin.History;
import outfell.skin.Observation;
import outfell.skin.ProbeConditions;
import outfell.skin.Sign;
import outfell.skin.Signs;
import outfell.skin.SkinReading;
import outfell.skin.Zone;
import outfell.week.Diary;

/** Faces and consultations drawn from a seed. */
public final class Faces {
    /** A small catalogue holds one of each of these at least, so that there is a plan. */
    private static final List<StepKind> NEEDED =
            List.of(StepKind.SUNSCREEN, StepKind.WASH, StepKind.MOISTURISER, StepKind.FIRST_CLEANSE);

    private Faces() {}

    /** A consultation over some of the starter catalogue. */
    public static Consultation consultation(String method, int products, long seed) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
        List<Product> all = new ArrayList<>(Catalogues.varied(59, random));
        Collections.shuffle(all, new java.util.Random(seed));
        List<Product> some = new ArrayList<>();
        NEEDED.forEach(kind -> all.stream()
                .filter(p -> p.kind() == kind && (kind != StepKind.SUNSCREEN || p.spf() >= 50))
                .findFirst()
                .ifPresent(some::add));
        all.stream()
                .filter(p -> !some.contains(p))
                .limit(products - some.size())
                .forEach(some::add);
        return consultation(face(random), method, some, Sites.all().getFirst(), Month.of(1 + random.nextInt(12)));
    }

    static Consultation consultation(SkinReading face, String method, List<Product> catalogue, Site site, Month month) {
        return new Consultation(
                face,
                Answers.none(LocalDate.of(2026, 11, 25)),
                new Life(10, 20, 9, 2, 2, false, 3, Set.of(), Taste.ANY, Taste.ANY, Taste.ANY, OptionalDouble.empty()),
                Set.of(),
                List.of(),
                catalogue,
                Methods.find(method).orElseThrow(),
                site,
                month,
                Consultation.ByHand.NOTHING,
                Consultation.Standing.NONE,
                List.of(),
                Consultation.House.SHIPPED,
                Diary.NONE);
    }

    static SkinReading face(RandomGenerator random) {
        List<Observation> observations = new ArrayList<>();
        for (Sign sign : Sign.values()) {
            int usual = random.nextInt(3);
            for (Zone zone : Signs.of(sign).zones()) {
                int grade = sign == Sign.STING ? 0 : Math.min(3, Math.max(0, usual + random.nextInt(3) - 1));
                observations.add(
                        new Observation(zone, sign, grade, Signs.of(sign).how()));
            }
        }
        return new SkinReading(
                observations, List.of(), ProbeConditions.UNSTATED, History.NONE, List.of(), List.of(), List.of());
    }
}
