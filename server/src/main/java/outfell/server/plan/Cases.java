package outfell.server.plan;

import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import outfell.climate.Site;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Surroundings;
import outfell.knowledge.RuleId;
import outfell.method.Method;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StarterCatalogue;
import outfell.routine.Adjustment;
import outfell.routine.Alone;
import outfell.routine.Condition;
import outfell.routine.Coverage;
import outfell.routine.Then;
import outfell.safety.Answers;
import outfell.safety.PatchTest;
import outfell.safety.SafetyScreen;
import outfell.server.problem.Problem;
import outfell.skin.ByHand;
import outfell.skin.Concern;
import outfell.skin.History;
import outfell.skin.Lately;
import outfell.skin.Observation;
import outfell.skin.ProbeBands;
import outfell.skin.ProbeConditions;
import outfell.skin.ProbeReading;
import outfell.skin.Settlement;
import outfell.skin.SkinReader;
import outfell.skin.SkinReading;
import outfell.week.Diary;

/** From a document to what the core plans with. What the schema cannot say is checked here, with the field's pointer. */
public final class Cases {
    private static final List<Product> STARTER = StarterCatalogue.products();

    private Cases() {}

    static Consultation consultation(CaseDocument c) {
        List<CaseDocument.ProductFacts> catalogue = c.catalogue();
        List<Product> offered = catalogue == null ? STARTER : products("/catalogue", catalogue);
        return consultation(
                c.date(),
                c.intake(),
                c.reading(),
                owned(orNone(c.owned()), offered),
                offered,
                OfTheHouse.method(c),
                shipped(c.intake().site()),
                c.month(),
                byHand(orNone(c.pins()), orNone(c.takenOut()), orNone(c.steps())),
                patches(c.date(), orNone(c.patches())),
                Consultation.House.SHIPPED,
                Diaries.diary(
                        c.week(),
                        Diaries.checkIns(orNone(c.checkIns())),
                        Diaries.pauses(orNone(c.pauses())),
                        c.reading()));
    }

    /** A case travels by itself: it is in one of the places that ship. */
    private static Site shipped(String id) {
        return Sites.find(id)
                .orElseThrow(() -> Problem.field(
                        "/intake/site",
                        "There is no site %s; there are %s."
                                .formatted(
                                        id,
                                        Sites.all().stream().map(s -> s.id()).toList())));
    }

    /** The same from stored parts. */
    public static Consultation consultation(
            LocalDate date,
            CaseDocument.Intake intake,
            CaseDocument.Reading reading,
            List<Consultation.Owned> shelf,
            List<Product> catalogue,
            Method method,
            Site site,
            Month month,
            Consultation.ByHand byHand,
            List<Consultation.Patched> patches,
            Consultation.House house,
            Diary diary) {
        Asked asked = asked(date, intake, reading, shelf, house.bands());
        return new Consultation(
                asked.face(),
                asked.answers(),
                life(intake),
                concerns(intake),
                shelf,
                catalogue,
                method,
                site,
                month,
                byHand,
                Consultation.Standing.NONE,
                patches,
                house,
                diary);
    }

    /** What the therapist has decided herself, checked. */
    public static Consultation.ByHand byHand(
            List<CaseDocument.Choice> pins, List<CaseDocument.Choice> takenOut, List<CaseDocument.StepByHand> steps) {
        return new Consultation.ByHand(
                choices(pins),
                choices(takenOut),
                each(
                        "/steps",
                        steps,
                        s -> "%s in the %s".formatted(s.product(), s.part().words()),
                        Cases::adjustment));
    }

    /** Hers; none where they are computed. */
    public static Set<Coverage> places(CaseDocument.StepByHand s) {
        Coverage on = s.on();
        List<Coverage> places = s.places();
        return places != null && !places.isEmpty() ? Set.copyOf(places) : on == null ? Set.of() : Set.of(on);
    }

    private static Adjustment adjustment(CaseDocument.StepByHand s) {
        return new Adjustment(
                s.part(),
                new ProductId(s.product()),
                s.optional(),
                places(s),
                s.nights(),
                Optional.ofNullable(s.when())
                        .map(w -> new Condition(
                                Condition.kind(w.kind())
                                        .orElseThrow(() ->
                                                new IllegalArgumentException("There is no condition %s; there are %s."
                                                        .formatted(
                                                                w.kind(),
                                                                Condition.kinds().stream()
                                                                        .map(Condition.KindOfCondition::id)
                                                                        .toList()))),
                                w.usual())),
                s.secondCoat(),
                s.words().strip(),
                Optional.ofNullable(s.move())
                        .map(m -> new Adjustment.Move(
                                Optional.ofNullable(m.after()).map(ProductId::new),
                                Optional.ofNullable(m.before()).map(ProductId::new),
                                m.why().strip())),
                Optional.ofNullable(s.overrule()).orElse(""),
                Optional.ofNullable(s.then()).orElse(List.of()).stream()
                        .map(Cases::beside)
                        .toList());
    }

    private static Then beside(CaseDocument.BesideStep b) {
        return new Then(
                Optional.ofNullable(b.again()).map(ProductId::new),
                Optional.ofNullable(b.alone())
                        .map(id -> Alone.of(id)
                                .orElseThrow(() -> new IllegalArgumentException(
                                        "There is no step without a product called %s; there are %s."
                                                .formatted(
                                                        id,
                                                        Alone.all().stream()
                                                                .map(Alone::id)
                                                                .toList())))));
    }

    /** @throws Problem when no method of that id ships */
    public static Method method(String id) {
        return Methods.find(id)
                .orElseThrow(() -> Problem.field(
                        "/method",
                        "There is no method %s; there are %s."
                                .formatted(
                                        id,
                                        Methods.all().stream().map(Method::id).toList())));
    }

    /** What was answered and what was read, checked. */
    public record Asked(Answers answers, SkinReading face, List<Product> shelf) {}

    /** @param shelf of the client: what it holds may itself be for a doctor */
    public static Asked asked(
            LocalDate date,
            CaseDocument.Intake intake,
            CaseDocument.Reading reading,
            List<Consultation.Owned> shelf,
            ProbeBands bands) {
        Answers answers = answers(date, intake);
        // a cause that nobody knows is refused before it is kept, though no plan goes by it
        lately(date, intake);
        SkinReading face = reading(intake, reading, answers);
        // A verdict set by hand may hold a value that its verdict cannot have.
        at("/reading/byHand", () -> SkinReader.read(face, concerns(intake), bands));
        return new Asked(
                answers, face, shelf.stream().map(Consultation.Owned::product).toList());
    }

    private static SkinReading reading(CaseDocument.Intake intake, CaseDocument.Reading reading, Answers answers) {
        List<Settlement> settlements = each(
                "/reading/settlements",
                orNone(reading.settlements()),
                CaseDocument.Settling::contradiction,
                s -> new Settlement(s.contradiction(), s.keeps(), s.who(), s.why()));
        List<ByHand> byHand = each(
                "/reading/byHand",
                orNone(reading.byHand()),
                CaseDocument.SetValue::verdict,
                b -> new ByHand(b.verdict(), b.value(), b.who(), b.why()));
        return new SkinReading(
                each(
                        "/reading/grades",
                        reading.grades(),
                        g -> "%s of the %s".formatted(g.sign(), g.zone().words()),
                        g -> new Observation(g.zone(), g.sign(), g.grade(), g.how())),
                each(
                        "/reading/probe",
                        reading.probe(),
                        p -> "%s of the %s".formatted(p.quantity(), p.zone().words()),
                        p -> new ProbeReading(p.quantity(), p.zone(), p.values(), p.simulated())),
                conditions(reading.conditions()),
                history(intake, answers),
                SafetyScreen.events(answers),
                settlements,
                byHand);
    }

    private static ProbeConditions conditions(CaseDocument.@Nullable Conditions c) {
        return c == null
                ? ProbeConditions.UNSTATED
                : at(
                        "/reading/conditions",
                        () -> new ProbeConditions(
                                number(c.roomCelsius()),
                                number(c.humidity()),
                                optional(c.minutesSinceWash()),
                                c.cleanser(),
                                optional(c.minutesSettled()),
                                optional(c.hoursSinceProduct())));
    }

    private static History history(CaseDocument.Intake i, Answers answers) {
        return at(
                "/intake",
                () -> new History(
                        optional(i.flush()),
                        optional(i.reactions()),
                        i.swings(),
                        Optional.ofNullable(i.says()),
                        optional(i.burns()),
                        optional(i.tans()),
                        answers.age(),
                        answers.isYes("beard")));
    }

    /** What is otherwise these weeks; absent where the skin is as usual, or nobody asked. */
    public static Optional<Lately> lately(LocalDate date, CaseDocument.Intake intake) {
        CaseDocument.LatelySaid said = intake.lately();
        if (said != null && said.asUsual() && !said.causes().isEmpty()) {
            throw Problem.field("/intake/lately/causes", "A skin that is as usual is otherwise by nothing.");
        }
        if (said == null || said.asUsual()) {
            return Optional.empty();
        }
        LocalDate since = said.since();
        if (since != null && since.isAfter(date)) {
            throw Problem.field(
                    "/intake/lately/since", "%s lies after the visit; was the year mistyped?".formatted(since));
        }
        return Optional.of(new Lately(
                Optional.ofNullable(since),
                each(
                        "/intake/lately/causes",
                        said.causes(),
                        c -> c,
                        c -> Lately.known(c)
                                .orElseThrow(() -> new IllegalArgumentException("There is no cause %s; there are %s."
                                        .formatted(
                                                c,
                                                Lately.known().stream()
                                                        .map(Lately.CauseOfLately::id)
                                                        .toList()))))));
    }

    private static Answers answers(LocalDate date, CaseDocument.Intake intake) {
        Set<String> known = SafetyScreen.questions();
        List<Answers.Answer> given = each("/intake/answers", intake.answers(), CaseDocument.Answer::question, a -> {
            if (!known.contains(a.question())) {
                throw new IllegalArgumentException(
                        "\"%s\" is not a question of the safety screen; an allergy that it does not know goes under otherAllergies."
                                .formatted(a.question()));
            }
            if (CaseDocument.Answer.together(a) && SafetyScreen.askedAlone(a.question())) {
                throw new IllegalArgumentException(
                        "An emergency is asked by itself, never with the others: \"%s\" has an answer in bulk."
                                .formatted(a.question()));
            }
            return new Answers.Answer(a.question(), a.yes(), Optional.ofNullable(a.on()), a.asked());
        });
        List<Answers.Settled> settled = each("/intake/settled", intake.settled(), CaseDocument.Settled::referral, s -> {
            RuleId referral = new RuleId(s.referral());
            if (!SafetyScreen.refers(referral)) {
                throw new IllegalArgumentException("There is no referral \"%s\".".formatted(s.referral()));
            }
            return new Answers.Settled(referral, s.who(), s.on(), s.remark());
        });
        return at(
                "/intake/answers",
                () -> new Answers(
                        date,
                        given,
                        age(date, intake.birthYear()),
                        intake.medicines(),
                        intake.otherAllergies(),
                        settled));
    }

    /** The age that is certain: the birthday may still lie ahead. */
    private static OptionalInt age(LocalDate date, @Nullable Integer birthYear) {
        if (birthYear == null) {
            return OptionalInt.empty();
        }
        if (birthYear > date.getYear()) {
            throw Problem.field(
                    "/intake/birthYear", "%d lies after the visit; was the year mistyped?".formatted(birthYear));
        }
        return OptionalInt.of(Math.max(0, date.getYear() - birthYear - 1));
    }

    private static List<Consultation.Patched> patches(LocalDate date, List<CaseDocument.Patch> patches) {
        return each("/patches", patches, CaseDocument.Patch::product, p -> {
            CaseDocument.Patch.Test test = p.test();
            CaseDocument.Patch.Waiver waiver = p.waiver();
            return new Consultation.Patched(
                    new ProductId(p.product()),
                    test == null
                            ? Optional.empty()
                            : Optional.of(new PatchTest(
                                            test.kind(),
                                            test.site(),
                                            date.atStartOfDay(),
                                            test.readings().stream()
                                                    .map(r -> new PatchTest.Reading(r.hours(), r.grade()))
                                                    .toList())
                                    .verdict()),
                    waiver == null
                            ? Optional.empty()
                            : Optional.of(new Consultation.Waiver(waiver.who(), waiver.why(), waiver.on())));
        });
    }

    /** Each made, with its pointer on a refusal; no key may stand twice. */
    static <D, T> List<T> each(String pointer, List<D> documents, Function<D, Object> key, Function<D, T> make) {
        List<T> all = new ArrayList<>();
        Set<Object> seen = new HashSet<>();
        for (int i = 0; i < documents.size(); i++) {
            D document = documents.get(i);
            String here = pointer + "/" + i;
            if (!seen.add(key.apply(document))) {
                throw Problem.field(here, "%s stands twice.".formatted(key.apply(document)));
            }
            all.add(at(here, () -> make.apply(document)));
        }
        return all;
    }

    public static Set<Concern> concerns(CaseDocument.Intake intake) {
        return Set.copyOf(new HashSet<>(intake.matters()));
    }

    private static Life life(CaseDocument.Intake i) {
        return at(
                "/intake",
                () -> new Life(
                        i.morningMinutes(),
                        i.eveningMinutes(),
                        i.mostSteps(),
                        i.outdoorHours(),
                        i.makeUpDays(),
                        i.makeUp() == CaseDocument.MakeUp.FULL,
                        i.sunscreenDays(),
                        Set.copyOf(i.places()),
                        i.scent(),
                        i.animal(),
                        i.oils(),
                        budget(i.budget()),
                        around(i)));
    }

    private static Surroundings around(CaseDocument.Intake i) {
        return new Surroundings(
                orNone(i.hoursIn()).stream()
                        .collect(Collectors.toMap(CaseDocument.HoursIn::place, CaseDocument.HoursIn::hours, Math::max)),
                orNone(i.outdoorsByMonth()));
    }

    private static OptionalDouble budget(@Nullable Double budget) {
        return budget == null || budget == 0 ? OptionalDouble.empty() : OptionalDouble.of(budget);
    }

    private static List<Consultation.Owned> owned(List<CaseDocument.OwnedProduct> owned, List<Product> offered) {
        Map<ProductId, Product> known = offered.stream().collect(Collectors.toMap(Product::id, p -> p, (a, _) -> a));
        List<Consultation.Owned> all = new ArrayList<>();
        Set<ProductId> ids = new HashSet<>();
        for (int i = 0; i < owned.size(); i++) {
            CaseDocument.OwnedProduct o = owned.get(i);
            String pointer = "/owned/" + i;
            boolean prescription = Boolean.TRUE.equals(o.prescription());
            Product.Facts facts = facts(pointer, o.product(), prescription);
            CaseDocument.Blend blend = o.blend();
            Product product = blend == null
                    ? at(pointer, () -> ProductReader.read(facts))
                    : OfTheHouse.mixed(pointer, facts.id(), facts.name(), blend, known);
            known.put(product.id(), product);
            if (!ids.add(product.id())) {
                throw Problem.field(pointer + "/product/id", "The id %s stands twice.".formatted(product.id()));
            }
            Integer weeks = o.weeks();
            all.add(at(
                    pointer + "/nights",
                    () -> new Consultation.Owned(
                            product,
                            weeks == null ? 0 : weeks,
                            orNone(o.nights()),
                            Optional.empty(),
                            Optional.ofNullable(o.habit())
                                    .map(h -> new Consultation.Habit(
                                            h.morning(),
                                            h.evening(),
                                            h.daysAWeek(),
                                            Optional.ofNullable(h.leavesTight()))))));
        }
        return all;
    }

    private static List<Product> products(String pointer, List<CaseDocument.ProductFacts> facts) {
        List<Product> all = new ArrayList<>();
        Set<ProductId> ids = new HashSet<>();
        for (int i = 0; i < facts.size(); i++) {
            String at = pointer + "/" + i;
            CaseDocument.ProductFacts f = facts.get(i);
            Product product = at(at, () -> ProductReader.read(facts(at, f, false)));
            if (!ids.add(product.id())) {
                throw Problem.field(at + "/id", "The id %s stands twice.".formatted(product.id()));
            }
            all.add(product);
        }
        return all;
    }

    /** A product as typed, with what is missing filled in: no maker, no size, no price, an id made from its place. */
    public static Product.Facts facts(String pointer, CaseDocument.ProductFacts f, boolean prescription) {
        String id = f.id();
        return new Product.Facts(
                new ProductId(id == null || id.isBlank() ? pointer.substring(1).replace('/', '-') : id),
                f.name(),
                or(f.maker(), ""),
                or(f.size(), 0.0),
                or(f.unit(), "ml"),
                or(f.price(), 0.0),
                or(f.label(), ""),
                Optional.ofNullable(f.kind()),
                f.texture() == null ? OptionalDouble.empty() : OptionalDouble.of(f.texture()),
                prescription);
    }

    public static List<Consultation.Choice> choices(List<CaseDocument.Choice> choices) {
        return choices.stream()
                .map(c -> new Consultation.Choice(c.part(), new ProductId(c.product())))
                .toList();
    }

    static <T> T at(String pointer, Supplier<T> make) {
        try {
            return make.get();
        } catch (IllegalArgumentException outside) {
            throw Problem.field(pointer, String.valueOf(outside.getMessage()));
        }
    }

    private static OptionalDouble number(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static OptionalInt optional(@Nullable Integer value) {
        return value == null ? OptionalInt.empty() : OptionalInt.of(value);
    }

    private static <T> T or(@Nullable T value, T otherwise) {
        return value == null ? otherwise : value;
    }

    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }
}
