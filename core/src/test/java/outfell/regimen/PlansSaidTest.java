package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.causes.Ladder;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Consultation.Owned;
import outfell.consultation.Life;
import outfell.consultation.Life.Taste;
import outfell.method.Method;
import outfell.method.Methods;
import outfell.method.Schools;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.routine.Adjustment;
import outfell.routine.Coverage;
import outfell.routine.Part;
import outfell.routine.Routine;
import outfell.routine.Step;
import outfell.safety.Answers;
import outfell.safety.PatchTest;
import outfell.skin.Band;
import outfell.skin.Concern;

/**
 * Plans whole and word for word, for clients of every kind: what stands, why, how it is done, what else could stand, what
 * becomes of what is owned, what is climbed to with a little more. Whoever changes a rule reads here what it moves;
 * -Doutfell.update=true writes them anew.
 */
class PlansSaidTest {
    private static final Path FOLDER = Path.of("src/test/resources/rules/plans");
    private static final int CLIENTS = 36;
    /** From here on with a house's own answers. */
    private static final int HOUSES = 20;
    /** From here on with a prescription, too. */
    private static final int PRESCRIPTIONS = 22;
    /** From here on young, with a short catalogue and with patch tests read. */
    private static final int YOUNG = 28;

    private static final Product TWO_PART = ProductReader.read(new Product.Facts(
            new ProductId("two-part"),
            "Two-part clay treatment",
            "",
            50,
            "ml",
            10,
            "Aqua, Kaolin, Glycerin",
            Optional.of(StepKind.CLAY_MASK),
            OptionalDouble.empty(),
            false));
    /** A reason as it is told: the sentence, and in brackets how sure, by whom, and its row. */
    private static final Pattern SHORTER = Pattern.compile(
            "Because\\[sentence=(.*?), evidence=(\\w+), source=([\\w-]+), rule=Optional(?:\\.empty|\\[(.*?)])]");

    static IntStream clients() {
        return IntStream.rangeClosed(1, CLIENTS);
    }

    @ParameterizedTest
    @MethodSource("clients")
    void a_plan_is_what_was_agreed(int client) throws IOException {
        Consultation c = consultation(client);
        StringBuilder text = new StringBuilder(asked(c));
        switch (Planner.plan(c)) {
            case Outcome.ReferFirst first ->
                first.referrals()
                        .forEach(r -> text.append("refer first: ").append(r).append('\n'));
            case Outcome.Planned planned -> {
                told(text, planned.regimen());
                if (client % 2 == 0) {
                    Planner.ladders(c).forEach(l -> told(text, l));
                } else {
                    Planner.findings(c).forEach(m -> text.append("met: %s%n".formatted(m)));
                }
            }
        }
        Path file = FOLDER.resolve("client-%02d.txt".formatted(client));
        String said = SHORTER.matcher(text).replaceAll("$1 ($2, $3 $4)");
        if (Boolean.getBoolean("outfell.update")) {
            Files.createDirectories(FOLDER);
            Files.writeString(file, said);
        }
        assertThat(said.lines().toList())
                .isEqualTo(Files.readString(file).lines().toList());
    }

    static Consultation consultation(int client) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(client);
        Method shipped = Methods.all().get(client % Methods.all().size());
        Method method = client > HOUSES ? house(shipped, client) : shipped;
        Life life = new Life(
                3 + random.nextInt(14),
                6 + random.nextInt(20),
                3 + random.nextInt(6),
                random.nextInt(9),
                random.nextInt(8),
                random.nextBoolean(),
                random.nextInt(8),
                Set.of(Life.Place.values()[client % Life.Place.values().length]),
                Taste.values()[random.nextInt(Taste.values().length)],
                Taste.values()[random.nextInt(Taste.values().length)],
                Taste.values()[random.nextInt(Taste.values().length)],
                client % 3 == 0 ? OptionalDouble.of(12 + random.nextInt(40)) : OptionalDouble.empty());
        List<Owned> shelf = new ArrayList<>();
        for (int n = 0; n < client % 5; n++) {
            Owned one = owned(random);
            if (shelf.stream().noneMatch(o -> o.product().equals(one.product()))) {
                shelf.add(one);
            }
        }
        Answers answers = Consultations.NOTHING;
        if (client > HOUSES && client <= YOUNG) {
            shelf.add(new Owned(TWO_PART, 8, List.of()));
        }
        if (client > PRESCRIPTIONS && client <= YOUNG) {
            shelf.add(new Owned(
                    Consultations.PRESCRIBED,
                    random.nextInt(30),
                    List.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY)));
            answers = answers.yes("prescribed-retinoid");
        }
        if (client % 6 == 1) {
            answers = answers.yes(random.nextBoolean() ? "pregnant" : "eczema");
        }
        Consultation plain = Consultations.of(
                        Consultations.face(random),
                        shipped.id().value(),
                        Month.of(1 + (client * 5) % 12),
                        Consultations.CATALOGUE,
                        shelf,
                        answers,
                        life)
                .parts()
                .site(Sites.all().get(client % 3))
                .lifted(client % 4 == 0 ? Set.of(Concern.values()[client % Concern.values().length]) : Set.of())
                .together();
        Consultation hers = client > YOUNG ? young(plain, client) : plain.by(method);
        return client % 3 == 1 ? byHand(hers, random) : hers;
    }

    /** Thirteen to seventeen; of a catalogue of every second thing, with patch tests of all sorts. */
    private static Consultation young(Consultation plain, int client) {
        List<Product> few = IntStream.range(0, Consultations.CATALOGUE.size())
                .filter(i -> i % 2 == client % 2)
                .mapToObj(Consultations.CATALOGUE::get)
                .toList();
        List<Consultation.Patched> patches = few.stream()
                .filter(p -> !p.kind().comesOff() && !p.actives().isEmpty())
                .map(p -> new Consultation.Patched(p.id(), Optional.of(test(p, client)), Optional.empty()))
                .toList();
        Life life = plain.life();
        return plain.parts()
                .catalogue(few)
                .patches(patches)
                .answers(new Answers(
                                Consultations.TODAY,
                                Consultations.NOTHING.given(),
                                OptionalInt.of(13 + client % 5),
                                List.of(),
                                List.of(),
                                List.of())
                        .yes("guardian"))
                .life(life.as(
                        new Life(
                                life.morningMinutes(),
                                life.eveningMinutes(),
                                life.mostSteps(),
                                life.outdoorHours(),
                                0,
                                false,
                                life.sunscreenDays(),
                                life.places(),
                                life.scent(),
                                life.animal(),
                                life.oils(),
                                life.budget()),
                        Life.Matter.MAKE_UP))
                .together();
    }

    private static PatchTest.Verdict test(Product p, int client) {
        int grade = Math.floorMod(p.id().value().hashCode() + client, 4);
        double hours = grade == 0 ? 168 : 24;
        return new PatchTest(
                        PatchTest.Kind.USE_TEST,
                        PatchTest.Site.FOREARM,
                        Consultations.TODAY.minusDays(9).atTime(9, 0),
                        List.of(new PatchTest.Reading(hours, grade)))
                .verdict();
    }

    /** A practice's own: every other question answered as some school does, where that speaks against nothing. */
    private static Method house(Method shipped, long seed) {
        Method method = shipped;
        for (Schools.SchoolQuestion q : Schools.questions()) {
            // drawn by itself, so that one question more leaves the other answers as they are
            RandomGenerator random =
                    RandomGeneratorFactory.of("L64X128MixRandom").create(seed * 31 + q.id().hashCode());
            Method other = Methods.answering(
                    method,
                    q.id(),
                    q.schools().get(random.nextInt(q.schools().size())).value());
            if (random.nextBoolean() && Methods.contradiction(other).isEmpty()) {
                method = other;
            }
        }
        return method;
    }

    private static Owned owned(RandomGenerator random) {
        Product p = Consultations.CHOSEN.get(random.nextInt(Consultations.CHOSEN.size()));
        return new Owned(
                p,
                random.nextInt(40),
                p.prescription() ? List.of(DayOfWeek.TUESDAY, DayOfWeek.FRIDAY) : List.of(),
                random.nextBoolean() ? Optional.of(LocalDate.of(2026, 1 + random.nextInt(11), 3)) : Optional.empty());
    }

    /** A step kept, one changed, one moved, one left out, and a patch test read. */
    private static Consultation byHand(Consultation plain, RandomGenerator random) {
        if (!(Planner.plan(plain) instanceof Outcome.Planned planned)) {
            return plain;
        }
        List<Step> evening = planned.regimen().evening().steps();
        List<Step> morning = planned.regimen().morning().steps();
        Step changed = evening.get(random.nextInt(evening.size()));
        Step last = evening.getLast();
        Consultation hers = plain.by(plain.byHand()
                        .with(new Adjustment(
                                Part.EVENING,
                                changed.product(),
                                true,
                                java.util.Set.of(Coverage.values()[random.nextInt(Coverage.values().length)]),
                                random.nextBoolean() ? List.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY) : List.of(),
                                Optional.empty(),
                                random.nextBoolean(),
                                "as she likes it",
                                changed == last
                                        ? Optional.empty()
                                        : Optional.of(new Adjustment.Move(
                                                Optional.of(last.product()), Optional.empty(), "she asked for it")))))
                .leaving(new Choice(
                        Part.MORNING,
                        morning.get(random.nextInt(morning.size())).product()))
                .with(new Choice(
                        Part.EVENING,
                        Consultations.CHOSEN
                                .get(random.nextInt(Consultations.CHOSEN.size()))
                                .id()));
        Band band = Band.values()[random.nextInt(Band.values().length)];
        return band == Band.values()[0]
                ? hers
                : hers.parts()
                        .patches(List.of(new Consultation.Patched(
                                last.product(),
                                Optional.empty(),
                                Optional.of(
                                        new Consultation.Waiver("T. Roe", "borne for years", Consultations.TODAY)))))
                        .together();
    }

    private static String asked(Consultation c) {
        return "%s, %s, %s%n%s%nowned %s%nby hand %s%n"
                .formatted(
                        c.method().name(),
                        c.site().id(),
                        c.month(),
                        c.life(),
                        c.shelf().stream()
                                .map(o -> "%s, %d weeks, opened %s"
                                        .formatted(o.product().name(), o.weeks(), o.opened()))
                                .toList(),
                        c.byHand());
    }

    private static void told(StringBuilder text, Regimen r) {
        List<String> all = new ArrayList<>();
        for (Part part : Part.values()) {
            told(all, r.routine(part));
        }
        r.balances().forEach(b -> all.add("balance %s".formatted(b)));
        r.tonight().forEach(v -> all.add("tonight %s".formatted(v)));
        r.alternatives()
                .forEach(a -> a.choices()
                        .forEach(o -> all.add("%s, in place of %s: %s, %s more; %s"
                                .formatted(
                                        a.part(),
                                        a.instead(),
                                        o.name(),
                                        money(o.priceDifference()),
                                        o.because().sentence()))));
        r.shelf().forEach(s -> all.add("shelf %s".formatted(s)));
        r.served().forEach(s -> all.add("served %s".formatted(s)));
        r.notices().forEach(n -> all.add("look %s".formatted(n)));
        r.unsure().forEach(u -> all.add("unsure %s".formatted(u)));
        r.refusals().forEach(x -> all.add("refused %s".formatted(x)));
        r.keptOut()
                .forEach(k -> all.add("kept out by %s: %s"
                        .formatted(k.name(), k.products().stream().sorted().collect(Collectors.joining(", ")))));
        r.patches().forEach(p -> all.add("patch %s".formatted(p)));
        r.sheetNotes().forEach(n -> all.add("sheet %s".formatted(n)));
        all.forEach(line -> text.append(line).append('\n'));
    }

    private static void told(List<String> all, Routine routine) {
        all.add("== %s: %s".formatted(routine.part(), routine.timeline()));
        for (Step s : routine.steps()) {
            all.add("%d %s, texture %s, %s".formatted(s.number(), s.name(), s.texture(), s.kindLabel()));
            all.add("  amount %s".formatted(s.amount()));
            all.add("  %s damp %s, hands on %d, contact %d, settle %d: %s"
                    .formatted(
                            s.technique(),
                            s.damp(),
                            s.handsOn(),
                            s.contact(),
                            s.settle(),
                            s.settleBecause().sentence()));
            all.add("  nights %s: %s".formatted(s.nights(), s.nightsBecause().sentence()));
            all.add("  on [%s], left %s, %s %s".formatted(s.part(), s.left(), s.owned() ? "hers" : "", s.hand()));
            all.add("  here: %s".formatted(s.place()));
            s.then()
                    .forEach(a -> all.add("  beside: %s: %s, %d s on %s: %s"
                            .formatted(
                                    a.told(),
                                    a.how(),
                                    a.seconds(),
                                    a.nights(),
                                    a.because().sentence())));
            all.add("  does %s".formatted(s.does()));
            s.purpose().forEach(p -> all.add("  for %s".formatted(p)));
            s.heed().forEach(h -> all.add("  heed %s".formatted(h)));
            all.add("  next: %s".formatted(s.next()));
            s.shifts()
                    .forEach(m -> all.add("  could go to %d%s %s"
                            .formatted(
                                    m.to(),
                                    m.allowed() ? "" : ", may not",
                                    m.against().stream().map(b -> b.sentence()).toList())));
        }
    }

    private static void told(StringBuilder text, Ladder l) {
        text.append("ladder of %s, hers %s, uses %s%n"
                .formatted(l.limit(), l.hers().map(PlansSaidTest::money), money(l.uses())));
        l.rungs().forEach(r -> text.append("  ").append(r).append('\n'));
    }

    private static String money(double amount) {
        return String.format(Locale.ROOT, "%.2f", amount);
    }
}
