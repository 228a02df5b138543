package outfell.regimen;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.climate.Site;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.ByHand;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Consultation.Owned;
import outfell.consultation.Consultation.Standing;
import outfell.consultation.Life;
import outfell.consultation.Life.Matter;
import outfell.hand.Refusal;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.method.Method;
import outfell.method.Methods;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.safety.Answers;
import outfell.safety.SafetyScreen;
import outfell.skin.History;
import outfell.skin.Observation;
import outfell.skin.ProbeConditions;
import outfell.skin.Sign;
import outfell.skin.Signs;
import outfell.skin.SkinReading;
import outfell.skin.Zone;
import outfell.supply.Supply;
import outfell.week.Diary;

/** Three routines round one thing that a client has brought: the smallest, the usual and the fullest, from around.yaml. */
public final class AroundOne {
    private static final Row FILE = KnowledgeFile.yaml("around.yaml");
    private static final List<Kind> KINDS = Row.unique(FILE.rows("rounds"), Kind::read, Kind::id);
    private static final List<ActiveKind> BY_DAY = FILE.several("by-day", ActiveKind.class);
    private static final Plain PLAIN = Plain.read(FILE.row("plain"));

    private record Kind(
            String id,
            String label,
            Optional<String> method,
            List<String> answers,
            OptionalInt steps,
            boolean limits,
            String note) {
        static Kind read(Row row) {
            String method = row.text("method", "");
            return new Kind(
                    row.text("id"),
                    row.text("label"),
                    Optional.of(method).filter(m -> !m.isEmpty()),
                    row.texts("answers"),
                    row.has("steps") ? OptionalInt.of(row.whole("steps", 2, 12)) : OptionalInt.empty(),
                    row.flag("limits"),
                    row.text("note"));
        }

        private Method answered(Method by) {
            Method answered = by;
            for (String answer : answers) {
                String[] said = answer.split(" ", 2);
                answered = Methods.answering(answered, said[0], said[1]);
            }
            return answered;
        }

        Consultation of(Consultation c) {
            Life life = limits
                    ? c.life()
                    : c.life()
                            .letOut(Matter.MONEY)
                            .letOut(Matter.MORNING_MINUTES)
                            .letOut(Matter.EVENING_MINUTES);
            Consultation by =
                    method.flatMap(Methods::find).map(this::answered).map(c::by).orElse(c);
            return by.living(steps.isPresent() ? life.withSteps(steps.getAsInt()) : life);
        }
    }

    private record Plain(Method method, Map<Sign, Integer> grades, int age) {
        static Plain read(Row row) {
            Row grades = row.row("grades");
            return new Plain(
                    Methods.find(row.text("method")).orElseThrow(() -> row.fault("there is no such method")),
                    Arrays.stream(Sign.values())
                            .filter(s -> grades.has(s.name().toLowerCase(Locale.ROOT)))
                            .collect(Collectors.toMap(
                                    s -> s, s -> grades.whole(s.name().toLowerCase(Locale.ROOT), 0, 4))),
                    row.whole("age", 18, 99));
        }
    }

    /**
     * One of the three.
     *
     * @param label "the smallest"
     * @param note what it is, in a sentence
     * @param method by which, its name
     * @param regimen whole
     * @param stands the steps of the thing itself, in words: "step 3 of the evening", with why there
     * @param buys names of what is to be bought for it
     * @param month what that costs a month, in the practice's currency
     * @param unpriced names of those without a price
     */
    public record OneRound(
            String id,
            String label,
            String note,
            String method,
            Regimen regimen,
            List<StandsAs> stands,
            List<String> buys,
            double month,
            List<String> unpriced) {}

    /** Where the thing stands in one routine. */
    public record StandsAs(Part part, int number, int of, Because because) {}

    /**
     * @param refused why it goes into none of them; absent when it does
     * @param rounds the three, smallest first; none where it goes nowhere or a doctor comes first
     */
    public record Rounds(Optional<Because> refused, List<OneRound> rounds) {}

    private AroundOne() {}

    /**
     * @param client whose face, answers and life; of her shelf only what is prescribed counts beside the thing
     * @param thing as it is, new to her: nobody has said how long she has used it
     */
    public static Rounds of(Consultation client, Product thing) {
        if (thing.prescription() && !client.owns(thing.id())) {
            return new Rounds(
                    Optional.of(Because.custom(
                            "%s is prescribed: put it on the client's shelf with its prescriber's nights first."
                                    .formatted(thing.name()))),
                    List.of());
        }
        List<Owned> shelf = Stream.concat(
                        client.shelf().stream()
                                .filter(o -> o.product().prescription()
                                        && !o.product().id().equals(thing.id())),
                        Stream.of(owned(client, thing)))
                .toList();
        Consultation alone = client.parts()
                .shelf(shelf)
                .byHand(ByHand.NOTHING)
                .standing(Standing.NONE)
                .together();
        List<OneRound> rounds = new ArrayList<>();
        for (Kind kind : KINDS) {
            Consultation c = kind.of(alone);
            Planned planned = planned(c, thing);
            if (planned.regimen().isEmpty()) {
                return new Rounds(
                        planned.refused()
                                .or(() -> Optional.of(Because.house(
                                        "%s finds no place in %s round it.".formatted(thing.name(), kind.label())))),
                        List.of());
            }
            rounds.add(round(kind, c, planned.regimen().get(), thing));
        }
        return new Rounds(Optional.empty(), List.copyOf(rounds));
    }

    /** Somebody of whom nothing is known but that nothing is in the way. */
    public static Consultation plain(List<Product> catalogue, Site site, LocalDate today, Consultation.House house) {
        return new Consultation(
                plainFace(),
                plainAnswers(today),
                Life.USUAL,
                Set.of(),
                List.of(),
                catalogue,
                PLAIN.method(),
                site,
                today.getMonth(),
                ByHand.NOTHING,
                Standing.NONE,
                List.of(),
                house,
                Diary.NONE);
    }

    private static SkinReading plainFace() {
        List<Observation> seen = new ArrayList<>();
        for (Sign sign : Sign.values()) {
            int grade = PLAIN.grades().getOrDefault(sign, 0);
            Signs.of(sign).zones().stream()
                    .filter(Zone::inRegimen)
                    .forEach(z -> seen.add(
                            new Observation(z, sign, grade, Signs.of(sign).how())));
        }
        return new SkinReading(
                seen, List.of(), ProbeConditions.UNSTATED, History.NONE, List.of(), List.of(), List.of());
    }

    private static Answers plainAnswers(LocalDate today) {
        Answers all = Answers.none(today);
        for (String question : SafetyScreen.questions()) {
            all = all.with(new Answers.Answer(question, false, Optional.empty(), today));
        }
        return new Answers(
                today, all.given(), OptionalInt.of(PLAIN.age()), all.medicines(), all.otherAllergies(), all.settled());
    }

    private static Owned owned(Consultation c, Product thing) {
        return c.shelf().stream()
                .filter(o -> o.product().id().equals(thing.id()))
                .findFirst()
                .orElseGet(() -> new Owned(thing, 0, List.of()));
    }

    /** @param refused why there is none */
    private record Planned(Optional<Regimen> regimen, Optional<Because> refused) {}

    /** By day what works best there; else where the plan itself puts it; where it would not, put in, by night before by day. */
    private static Planned planned(Consultation c, Product thing) {
        Consultation byDay = c.with(new Choice(Part.MORNING, thing.id()));
        Consultation byNight = c.with(new Choice(Part.EVENING, thing.id()));
        List<Consultation> ways = thing.hasAny(BY_DAY)
                ? List.of(byDay.leaving(new Choice(Part.EVENING, thing.id())), c, byNight)
                : List.of(c, byNight, byDay);
        Optional<Because> refused = Optional.empty();
        for (Consultation way : ways) {
            Planned planned = plan(way, thing);
            if (planned.regimen().isPresent()) {
                return planned;
            }
            refused = refused.or(planned::refused);
        }
        return new Planned(Optional.empty(), refused);
    }

    private static Planned plan(Consultation c, Product thing) {
        return switch (Planner.plan(c)) {
            case Outcome.ReferFirst first ->
                new Planned(
                        Optional.empty(), first.referrals().stream().findFirst().map(r -> r.because()));
            case Outcome.Planned planned ->
                new Planned(
                        Optional.of(planned.regimen()).filter(r -> r.products().contains(thing.id())),
                        planned.regimen().refusals().stream()
                                .filter(r -> r.product().equals(thing.id()))
                                .map(Refusal::because)
                                .findFirst());
        };
    }

    private static OneRound round(Kind kind, Consultation c, Regimen r, Product thing) {
        List<Step> steps = Stream.concat(r.morning().steps().stream(), r.evening().steps().stream())
                .toList();
        Map<ProductId, Double> grams = Supply.gramsAWeek(steps);
        Supply.Whole whole = Supply.of(
                grams.entrySet().stream()
                        .flatMap(g -> c.find(g.getKey()).stream()
                                .map(p -> new Supply.Used(
                                        p,
                                        g.getValue(),
                                        c.owns(p.id())
                                                ? Optional.of(new Supply.Pack(Optional.empty(), 100))
                                                : Optional.empty())))
                        .toList(),
                c.answers().today());
        return new OneRound(
                kind.id(),
                kind.label(),
                kind.note(),
                c.method().name(),
                r,
                Stream.of(r.morning(), r.evening())
                        .flatMap(x -> x.steps().stream()
                                .filter(s -> s.product().equals(thing.id()))
                                .map(s -> new StandsAs(
                                        x.part(), s.number(), x.steps().size(), s.place())))
                        .toList(),
                grams.keySet().stream()
                        .filter(id -> !c.owns(id))
                        .flatMap(id -> c.find(id).stream())
                        .map(Product::name)
                        .toList(),
                whole.bought(),
                whole.unpriced().stream().filter(n -> !n.equals(thing.name())).toList());
    }
}
