package outfell.regimen;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
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
import outfell.supply.Supply;

/** Three routines round one thing that a client has brought: the smallest, the usual and the fullest, from around.yaml. */
public final class AroundOne {
    private static final Row FILE = KnowledgeFile.yaml("around.yaml");
    private static final List<Kind> KINDS = Row.unique(FILE.rows("rounds"), Kind::read, Kind::id);
    private static final List<ActiveKind> BY_DAY = FILE.several("by-day", ActiveKind.class);

    private record Kind(
            String id, String label, Optional<Method> method, OptionalInt steps, boolean limits, String note) {
        static Kind read(Row row) {
            return new Kind(
                    row.text("id"),
                    row.text("label"),
                    row.has("method") ? Optional.of(method(row)) : Optional.empty(),
                    row.has("steps") ? OptionalInt.of(row.whole("steps", 2, 12)) : OptionalInt.empty(),
                    row.flag("limits"),
                    row.text("note"));
        }

        private static Method method(Row row) {
            Method method = Methods.find(row.text("method")).orElseThrow(() -> row.fault("there is no such method"));
            for (String answer : row.texts("answers")) {
                String[] said = answer.split(" ", 2);
                method = Methods.answering(method, said[0], said[1]);
            }
            return method;
        }

        Consultation of(Consultation c) {
            Life life = limits
                    ? c.life()
                    : c.life()
                            .letOut(Matter.MONEY)
                            .letOut(Matter.MORNING_MINUTES)
                            .letOut(Matter.EVENING_MINUTES);
            Consultation by = method.map(c::by).orElse(c);
            return by.living(steps.isPresent() ? life.withSteps(steps.getAsInt()) : life);
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
            Tried tried = tried(c, thing);
            if (tried.regimen().isEmpty()) {
                return new Rounds(
                        tried.refused()
                                .or(() -> Optional.of(Because.house(
                                        "%s finds no place in %s round it.".formatted(thing.name(), kind.label())))),
                        List.of());
            }
            rounds.add(round(kind, c, tried.regimen().get(), thing));
        }
        return new Rounds(Optional.empty(), List.copyOf(rounds));
    }

    private static Owned owned(Consultation c, Product thing) {
        return c.shelf().stream()
                .filter(o -> o.product().id().equals(thing.id()))
                .findFirst()
                .orElseGet(() -> new Owned(thing, 0, List.of()));
    }

    /** @param refused why there is none */
    private record Tried(Optional<Regimen> regimen, Optional<Because> refused) {}

    /** By day what works best there; else where the plan itself puts it; where it would not, put in, by night before by day. */
    private static Tried tried(Consultation c, Product thing) {
        Consultation byDay = c.with(new Choice(Part.MORNING, thing.id()));
        Consultation byNight = c.with(new Choice(Part.EVENING, thing.id()));
        List<Consultation> ways = thing.hasAny(BY_DAY)
                ? List.of(byDay.leaving(new Choice(Part.EVENING, thing.id())), c, byNight)
                : List.of(c, byNight, byDay);
        Optional<Because> refused = Optional.empty();
        for (Consultation way : ways) {
            Tried tried = plan(way, thing);
            if (tried.regimen().isPresent()) {
                return tried;
            }
            refused = refused.or(tried::refused);
        }
        return new Tried(Optional.empty(), refused);
    }

    private static Tried plan(Consultation c, Product thing) {
        return switch (Planner.plan(c)) {
            case Outcome.ReferFirst first ->
                new Tried(
                        Optional.empty(), first.referrals().stream().findFirst().map(r -> r.because()));
            case Outcome.Planned planned ->
                new Tried(
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
