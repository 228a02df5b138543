package outfell.skin;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import outfell.skin.ProbeReading.Quantity;

/**
 * What is read off faces, whole and word for word, as it was read and agreed; and the states along grids of grades, so that
 * every bound is met. -Doutfell.update=true writes both anew, to be read as a diff.
 */
public class SkinSaidTest {
    private static final Path FOLDER = Path.of("src/test/resources/rules");

    @Test
    void faces_are_read_in_the_words_that_were_agreed() throws IOException {
        held("skin-said", faces());
    }

    @Test
    void states_turn_where_they_turned() throws IOException {
        held("skin-states", states());
    }

    private static void held(String name, String said) throws IOException {
        Path file = FOLDER.resolve(name + ".txt");
        if (Boolean.getBoolean("outfell.update")) {
            Files.writeString(file, said);
        }
        assertThat(said.lines().toList())
                .isEqualTo(Files.readString(file).lines().toList());
    }

    public static String faces() {
        StringBuilder text = new StringBuilder();
        for (int seed = 0; seed < 20; seed++) {
            text.append("## face ").append(seed).append('\n');
            RandomGenerator random =
                    RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
            Faces face = face(random, seed);
            Set<Concern> lifted =
                    seed % 3 == 0 ? EnumSet.of(Concern.values()[seed % Concern.values().length]) : Set.of();
            told(text, SkinReader.read(face.reading(), lifted));
        }
        return text.toString();
    }

    private static Faces face(RandomGenerator random, int seed) {
        Faces face = Faces.face();
        for (Sign sign : Sign.values()) {
            boolean looked = random.nextInt(4) > 0;
            for (Zone zone : Signs.of(sign).zones()) {
                if (looked && random.nextInt(8) > 0) {
                    face.at(zone, sign, Math.min(4, Math.abs((int) Math.round(random.nextGaussian()))));
                }
            }
        }
        if (seed % 2 == 0) {
            for (Quantity q : Quantity.values()) {
                double at = q.least() + (q.most() - q.least()) * random.nextDouble(0.05, 0.5);
                face.spot(q, Zone.FOREHEAD, at, at * 1.02);
                face.spot(q, Zone.CHEEK_R, at * 1.1, at * 1.2, at * 1.3);
                face.spot(q, Zone.CHEEK_L, at, at, at);
            }
        }
        if (seed % 5 == 1) {
            face.in(new ProbeConditions(
                    OptionalDouble.of(21),
                    OptionalDouble.of(seed % 10 == 1 ? 35 : 50),
                    OptionalInt.of(90 + seed * 4),
                    seed % 4 == 1,
                    OptionalInt.of(20),
                    OptionalInt.of(24)));
        }
        if (seed % 4 == 2) {
            face.after("waxing", 20, 7, seed % 7);
        }
        if (seed % 3 != 1) {
            face.history(random.nextInt(5), random.nextInt(6));
        }
        if (seed % 6 == 3) {
            face.says(History.Says.values()[seed % History.Says.values().length]);
        }
        if (seed % 4 != 3) {
            face.inTheSun(1 + random.nextInt(6), 1 + random.nextInt(6));
        }
        return face.person(14 + random.nextInt(60), random.nextBoolean(), random.nextBoolean());
    }

    private static void told(StringBuilder text, SkinVerdict v) {
        List<String> all = new ArrayList<>();
        all.add("type: %s; %s".formatted(v.type().words(), v.type().because().sentence()));
        v.zones()
                .forEach(z ->
                        all.add("zone %s: %s".formatted(z.band(), z.because().sentence())));
        all.add("water: %s, %s; %s"
                .formatted(
                        v.water().state(),
                        v.water().confidence(),
                        v.water().because().sentence()));
        all.add("sensitivity: %s, %s, %s; %s"
                .formatted(
                        v.sensitivity().band(),
                        v.sensitivity().treatAsSensitive(),
                        v.sensitivity().confidence(),
                        v.sensitivity().because().sentence()));
        all.add("barrier: %s, reset %s, %s; %s"
                .formatted(
                        v.barrier().state(),
                        v.barrier().calmReset(),
                        v.barrier().confidence(),
                        v.barrier().because().sentence()));
        v.concerns()
                .forEach(c -> all.add("concern %s %s of 100: %s"
                        .formatted(c.concern(), c.weight(), c.because().sentence())));
        all.add("phototype: %s, %s; %s"
                .formatted(
                        v.phototype().numeral(),
                        v.phototype().confidence(),
                        v.phototype().because().sentence()));
        all.add("oily or thirsty: %s; %s"
                .formatted(
                        v.oilyOrThirsty().answer(), v.oilyOrThirsty().because().sentence()));
        v.swing().ifPresent(b -> all.add("swing: " + b.sentence()));
        v.contradictions()
                .forEach(c -> all.add("contradiction %s: %s; %s"
                        .formatted(
                                c.id(),
                                c.sides().stream()
                                        .map(s -> s.side() + " " + s.says())
                                        .collect(Collectors.joining(" / ")),
                                c.because().sentence())));
        v.asymmetries().forEach(b -> all.add("apart: " + b.sentence()));
        v.probe()
                .forEach(p -> all.add("probe %s %s: %s, %s, counts %s; %s"
                        .formatted(
                                p.quantity(),
                                p.zone(),
                                p.band(),
                                p.noisy(),
                                p.counts(),
                                p.because().sentence())));
        v.elsewhere().forEach(b -> all.add("elsewhere: " + b.sentence()));
        v.missing()
                .forEach(m ->
                        all.add("missing: %s, %s, %d s, %s".formatted(m.what(), m.where(), m.seconds(), m.settles())));
        all.forEach(line -> text.append(line).append('\n'));
    }

    /** Grades of two signs along two axes, the state of each pair by its first letters. */
    public static String states() {
        StringBuilder text = new StringBuilder();
        for (int lines = 0; lines < 5; lines++) {
            for (int tightness = 0; tightness < 5; tightness++) {
                for (int flaking = 0; flaking < 5; flaking++) {
                    SkinVerdict v = SkinReader.read(
                            all(Sign.TIGHTNESS, tightness)
                                    .with(Sign.FLAKING, same(flaking))
                                    .with(Sign.DEHYDRATION_LINES, same(lines))
                                    .reading(),
                            Set.of());
                    text.append("lines %d, tightness %d, flaking %d: %s%s%n"
                            .formatted(
                                    lines,
                                    tightness,
                                    flaking,
                                    v.water().state(),
                                    v.concerns().stream()
                                            .filter(c -> c.concern() == Concern.DEHYDRATION)
                                            .map(c -> ", " + c.severity())
                                            .collect(Collectors.joining())));
                }
            }
        }
        for (int t = 0; t < 5; t++) {
            for (int u = 0; u < 5; u++) {
                SkinVerdict v = SkinReader.read(
                        Faces.face().with(Sign.SHINE, t, t, t, u, u).reading(), Set.of());
                text.append("shine %d and %d: %s%n".formatted(t, u, v.type().words()));
            }
        }
        for (int sting = 0; sting < 5; sting++) {
            for (int redness = 0; redness < 5; redness++) {
                for (int flush = 0; flush < 5; flush++) {
                    int s = sting;
                    int r = redness;
                    int f = flush;
                    text.append("sting %d, redness %d, flush %d: %s%n"
                            .formatted(
                                    s,
                                    r,
                                    f,
                                    Stream.of(0, 1, 2, 3, 4, 5)
                                            .map(n -> sensitivity(s, r, f, n))
                                            .collect(Collectors.joining(" "))));
                }
                SkinVerdict.Barrier b = SkinReader.read(
                                all(Sign.STING, sting)
                                        .with(Sign.REDNESS, same(redness))
                                        .reading(),
                                Set.of())
                        .barrier();
                text.append("sting %d, redness %d: %s %s, reset %s%n"
                        .formatted(sting, redness, b.state(), b.index().orElse(-1.0), b.calmReset()));
            }
        }
        for (double loss = 10; loss <= 44; loss += 0.5) {
            SkinVerdict.Barrier b = SkinReader.read(
                            all(Sign.STING, 0)
                                    .with(Sign.REDNESS, same(1))
                                    .spot(Quantity.WATER_LOSS, Zone.CHEEK_R, loss, loss, loss)
                                    .reading(),
                            Set.of())
                    .barrier();
            text.append("loss %s: %s %s%n".formatted(loss, b.state(), b.index().orElse(-1.0)));
        }
        for (double value = 20; value <= 400; value += 10) {
            SkinVerdict v = SkinReader.read(
                    Faces.face()
                            .spot(Quantity.SEBUM, Zone.FOREHEAD, value, value, value)
                            .spot(Quantity.SEBUM, Zone.CHEEK_L, value, value, value)
                            .spot(Quantity.HYDRATION, Zone.CHEEK_L, value / 4, value / 4, value / 4)
                            .reading(),
                    Set.of());
            text.append("sebum %s, hydration %s: %s, water %s%n"
                    .formatted(
                            value,
                            value / 4,
                            v.zones().stream()
                                    .map(z -> z.zone() + " " + z.oil())
                                    .toList(),
                            v.water().water().orElse(-1.0)));
        }
        return text.toString();
    }

    private static String sensitivity(int sting, int redness, int flush, int reactions) {
        SkinVerdict.Sensitivity s = SkinReader.read(
                        all(Sign.STING, sting)
                                .with(Sign.REDNESS, same(redness))
                                .history(flush, reactions)
                                .reading(),
                        Set.of())
                .sensitivity();
        return s.band().name().charAt(0) + (s.treatAsSensitive() ? "!" : "");
    }

    private static int[] same(int grade) {
        return new int[] {grade, grade, grade, grade, grade};
    }

    private static Faces all(Sign sign, int grade) {
        return Faces.face().with(sign, same(grade));
    }
}
