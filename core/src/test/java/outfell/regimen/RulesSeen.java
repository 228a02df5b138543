package outfell.regimen;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Collectors;
import outfell.aims.Candidate;
import outfell.aims.Slot;
import outfell.balance.Balance;
import outfell.balance.Points;
import outfell.balance.Target;
import outfell.climate.Air;
import outfell.climate.MonthlyAir;
import outfell.climate.Site;
import outfell.climate.SiteId;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Life.Taste;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.method.Method;
import outfell.method.Methods;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.Products;
import outfell.product.StepKind;
import outfell.routine.Adjustment;
import outfell.routine.Amounts;
import outfell.routine.ByAir;
import outfell.routine.Coverage;
import outfell.routine.Layout;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.safety.Answers;
import outfell.safety.PatchTest;
import outfell.safety.SafetyScreen;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.skin.Band;
import outfell.skin.FaceBands;
import outfell.skin.Faces;
import outfell.skin.ProbeReading.Quantity;
import outfell.skin.Sign;
import outfell.skin.SkinReader;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict;
import outfell.supply.Supply;
import outfell.weather.WeatherSeen;
import outfell.week.Tolerance;
import outfell.year.YearSeen;

/** What the rules say over a grid of airs, skins, products and answers, as text: whoever changes a figure sees what it moves. */
public final class RulesSeen {
    private static final List<Product> PRODUCTS = Consultations.CATALOGUE;

    private RulesSeen() {}

    /** By name of the rules, a line each for what they say. */
    public static Map<String, Supplier<String>> all() {
        Map<String, Supplier<String>> all = new LinkedHashMap<>();
        all.put("air", RulesSeen::air);
        all.put("season", RulesSeen::season);
        all.put("skin", RulesSeen::skin);
        all.put("safety", RulesSeen::safety);
        all.put("actives", RulesSeen::actives);
        all.put("load", RulesSeen::load);
        all.put("weeks", WeeksSeen::weeks);
        all.put("amounts", RulesSeen::amounts);
        all.put("weighing", RulesSeen::weighing);
        all.put("balance", RulesSeen::balance);
        all.put("levers", YearSeen::levers);
        all.put("stays", YearSeen::stays);
        all.put("year", YearSeen::year);
        all.put("spells", YearSeen::spells);
        all.put("weather", WeatherSeen::weather);
        all.put("sun-of-day", WeatherSeen::sunOfDay);
        GoodsSeen.into(all);
        BoundsSeen.into(all);
        CornersSeen.into(all);
        return all;
    }

    static String n(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : String.format(Locale.ROOT, "%.4g", x);
    }

    static MonthlyAir out(double celsius, double humidity, double wind, double uv) {
        return new MonthlyAir(celsius, humidity, wind, uv);
    }

    private static String air() {
        StringBuilder text = new StringBuilder();
        for (Site site : Sites.all()) {
            for (Month month : Month.values()) {
                text.append(site.id())
                        .append(' ')
                        .append(month)
                        .append(": ")
                        .append(site.in(month))
                        .append("; ")
                        .append(told(Air.of(site.in(month))));
            }
        }
        for (double humidity : new double[] {20, 45, 70, 95}) {
            for (double celsius = -20; celsius <= 40; celsius += 2) {
                Air air = Air.of(out(celsius, humidity, (celsius + 20) / 4, (celsius + 20) / 5));
                text.append("%s C, %s %%: %s".formatted(n(celsius), n(humidity), told(air)));
            }
        }
        StringBuilder bands = new StringBuilder();
        for (double humidity : new double[] {15, 30, 45, 60, 80, 95}) {
            for (int tenth = -200; tenth <= 420; tenth++) {
                Air air = Air.of(out(tenth / 10.0, humidity, 4, 3));
                bands.append("outdoors %s %% and %s C: dryness %s, heat %s, %s, rooms of %.0f C%n"
                        .formatted(
                                n(humidity),
                                tenth / 10.0,
                                air.dryBand(),
                                air.heatBand(),
                                air.heatBecause().sentence().contains("dry heat") ? "dry heat" : "",
                                air.roomCelsius()));
            }
        }
        return text + GoodsSeen.turns(bands.toString());
    }

    private static String told(Air air) {
        return "rooms %s C %s %%, dryness %s %s, heat %s %s, UV %s%n"
                .formatted(
                        n(air.roomCelsius()),
                        n(air.roomHumidity()),
                        n(air.dryness()),
                        air.dryBand(),
                        n(air.heat()),
                        air.heatBand(),
                        air.uvBand());
    }

    static Map<String, SkinReading> skins() {
        Map<String, SkinReading> all = new LinkedHashMap<>();
        all.put(
                "oily",
                calm().with(Sign.SHINE, 3, 3, 3, 2, 2)
                        .with(Sign.SPOTS, 2, 1, 2, 1, 1)
                        .reading());
        all.put(
                "normal",
                calm().with(Sign.SHINE, 1, 1, 1, 1, 1)
                        .with(Sign.LINES, 2, -1, 0, 2, 2)
                        .reading());
        all.put(
                "dry",
                calm().with(Sign.SHINE, 0, 0, 0, 0, 0)
                        .with(Sign.LINES, 1, -1, 0, 1, 1)
                        .reading());
        all.put(
                "combination",
                calm().with(Sign.SHINE, 3, 3, 2, 0, 0)
                        .with(Sign.PIGMENT, 2, 1, 1, 3, 3)
                        .reading());
        all.put(
                "swinging",
                calm().with(Sign.SHINE, 2, 2, 2, 1, 1).person(30, false, true).reading());
        all.put(
                "sensitive",
                Faces.face()
                        .with(Sign.SHINE, 1, 1, 1, 0, 0)
                        .with(Sign.TIGHTNESS, 1, 1, 1, 1, 1)
                        .with(Sign.FLAKING, 0, 0, 0, 0, 0)
                        .with(Sign.REDNESS, 1, 1, 1, 2, 2)
                        .with(Sign.STING, 1, 1, 1, 2, 2)
                        .history(3, 3)
                        .reading());
        all.put(
                "strained",
                Faces.face()
                        .with(Sign.SHINE, 0, 0, 0, 0, 0)
                        .with(Sign.TIGHTNESS, 2, 1, 1, 2, 2)
                        .with(Sign.FLAKING, 1, 1, 1, 2, 2)
                        .with(Sign.REDNESS, 1, 1, 1, 1, 1)
                        .with(Sign.STING, 1, 1, 1, 1, 1)
                        .history(1, 1)
                        .reading());
        all.put(
                "broken",
                Faces.face()
                        .with(Sign.SHINE, 0, 0, 0, 0, 0)
                        .with(Sign.TIGHTNESS, 3, 2, 2, 3, 3)
                        .with(Sign.FLAKING, 2, 2, 2, 2, 2)
                        .with(Sign.REDNESS, 2, 2, 2, 2, 2)
                        .with(Sign.STING, 2, 2, 2, 2, 2)
                        .history(2, 3)
                        .reading());
        return all;
    }

    private static Faces calm() {
        return Faces.face()
                .calm()
                .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .history(0, 0);
    }

    static Consultation consultation(SkinReading reading, String method, Month month) {
        return Consultations.of(reading, method, month, PRODUCTS, List.of(), Consultations.NOTHING, Life.USUAL);
    }

    private static String season() {
        StringBuilder text = new StringBuilder();
        skins().forEach((name, reading) -> {
            Consultation c = consultation(reading, "classic", Month.MARCH);
            SkinVerdict skin = SkinReader.read(reading, Set.of(), c.house().bands());
            SafetyVerdict safety = SafetyScreen.screen(c.answers(), reading, skin, List.of());
            for (double humidity : new double[] {25, 60, 90}) {
                for (double celsius = -16; celsius <= 38; celsius += 3) {
                    text.append("%s, %s C %s %%: %s"
                            .formatted(
                                    name,
                                    n(celsius),
                                    n(humidity),
                                    told(c, skin, safety, out(celsius, humidity, 4, 2))));
                }
            }
            for (double uv = 0; uv <= 9; uv += 0.5) {
                for (double hours : new double[] {2, 3}) {
                    Consultation outdoors = c.living(life(hours));
                    text.append("%s, UV %s, %s h out: %s"
                            .formatted(name, n(uv), n(hours), told(outdoors, skin, safety, out(15, 60, 4, uv))));
                }
            }
        });
        return text.toString();
    }

    private static Life life(double outdoors) {
        return new Life(
                8,
                15,
                6,
                outdoors,
                2,
                false,
                3,
                Set.of(),
                Taste.ANY,
                Taste.ANY,
                Taste.ANY,
                java.util.OptionalDouble.empty());
    }

    static String told(Consultation c, SkinVerdict skin, SafetyVerdict safety, MonthlyAir out) {
        Site site = new Site(new SiteId("grid"), "Grid", "", java.util.Collections.nCopies(12, out));
        Asked asked = c.parts().site(site).together().ask(skin, safety);
        return "night %s, day %s, cream by day %s, seal %s, oil %s, SPF %d, halved %s, new retinoid %s, new acid %s%n"
                .formatted(
                        n(asked.moisturiser().grade()),
                        n(asked.moisturiserByDay().grade()),
                        asked.moisturiserNeeded().yes(),
                        asked.seal().yes(),
                        asked.oil().yes(),
                        asked.spf().value(),
                        asked.exfoliantsHalved().yes(),
                        asked.newRetinoid().yes(),
                        asked.newAcid().yes());
    }

    private static String skin() {
        StringBuilder text = new StringBuilder();
        for (int seed = 0; seed < 120; seed++) {
            RandomGenerator random =
                    RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
            Faces face = Faces.face();
            // faces from hardly marked to badly
            double mild = 0.3 * (seed % 4);
            for (Sign sign : Sign.values()) {
                for (var zone : outfell.skin.Signs.of(sign).zones()) {
                    if (random.nextInt(9) > 0) {
                        face.at(zone, sign, Math.min(4, Math.abs((int)
                                Math.round(random.nextGaussian() * (1.4 - mild)))));
                    }
                }
            }
            if (seed % 2 == 0) {
                for (Quantity q : Quantity.values()) {
                    double at = q.least() + (q.most() - q.least()) * random.nextDouble(0.05, 0.6);
                    face.measured(q, at, at, at, at * 0.9, at * 0.9);
                }
            }
            face.history(random.nextInt(5), random.nextInt(6))
                    .person(14 + random.nextInt(60), random.nextBoolean(), random.nextBoolean());
            SkinVerdict v = SkinReader.read(face.reading(), Set.of(), Consultation.House.SHIPPED.bands());
            text.append("%d: %s %s/%s, water %s %s, sensitivity %s %s, barrier %s %s, %s%n"
                    .formatted(
                            seed,
                            v.type().getClass().getSimpleName(),
                            v.type().bandT(),
                            v.type().bandU(),
                            n(v.water().water().orElse(-1.0)),
                            v.water().state(),
                            n(v.sensitivity().score().orElse(-1.0)),
                            v.sensitivity().band(),
                            n(v.barrier().index().orElse(-1.0)),
                            v.barrier().state(),
                            v.concerns().stream()
                                    .map(c -> c.concern() + " " + n(c.severity()) + " " + n(c.weight()))
                                    .collect(Collectors.joining(", "))));
        }
        return text.toString();
    }

    private static String safety() {
        StringBuilder text = new StringBuilder();
        SkinReading reading = calm().with(Sign.SHINE, 1, 1, 1, 1, 1).reading();
        SkinVerdict skin = SkinReader.read(reading, Set.of(), Consultation.House.SHIPPED.bands());
        for (String question : new TreeSet<>(SafetyScreen.questions())) {
            for (int days : new int[] {0, 3, 8, 15, 29, 43, 91, 200, 400}) {
                LocalDate on = Consultations.TODAY.minusDays(days);
                Answers answers = Consultations.NOTHING.with(
                        new Answers.Answer(question, true, java.util.Optional.of(on), Consultations.TODAY));
                SafetyVerdict v = SafetyScreen.screen(answers, reading, skin, List.of());
                text.append("%s, %d days ago: refer %s, SPF %s, acid %s, out %s%n"
                        .formatted(
                                question,
                                days,
                                v.open().stream().map(r -> r.rule()).toList(),
                                v.sun().least().map(l -> l.spf()).orElse(0),
                                v.sun().noNewAcid().isPresent(),
                                v.bans().stream()
                                        .map(b -> b.rule()
                                                + b.until().map(u -> " to " + u).orElse("") + " "
                                                + PRODUCTS.stream()
                                                        .filter(b::keepsOut)
                                                        .count())
                                        .toList()));
            }
        }
        for (PatchTest.Kind kind : PatchTest.Kind.values()) {
            for (double hours : new double[] {0, 0.5, 1, 23, 24, 47, 48, 71, 72, 95, 96, 167, 168}) {
                for (int grade = 0; grade < 5; grade++) {
                    PatchTest test = new PatchTest(
                            kind,
                            PatchTest.Site.FOREARM,
                            LocalDateTime.of(2026, 11, 1, 9, 0),
                            List.of(new PatchTest.Reading(hours, grade)));
                    text.append("%s, %s h, grade %d: %s%n"
                            .formatted(kind, n(hours), grade, test.verdict().standing()));
                }
            }
        }
        return text.toString();
    }

    /** The least percent, in steps of its own size, at which a product counts as holding an active. */
    private static String actives() {
        StringBuilder text = new StringBuilder();
        for (ActiveKind kind : ActiveKind.values()) {
            double least = 0;
            for (int i = 1; least == 0 && i <= 300; i++) {
                double percent = i <= 100 ? i / 1000.0 : i <= 200 ? (i - 90) / 100.0 : (i - 190) / 10.0;
                least = Products.bare(StepKind.SERUM, percent, Products.carrier(kind))
                                .has(kind)
                        ? percent
                        : 0;
            }
            text.append("%s from %s%n".formatted(kind, n(least)));
        }
        for (Row row : KnowledgeFile.yaml("actives.yaml").rows("actives")) {
            for (Row much : row.rows("much")) {
                for (int percent = 1; percent <= 60; percent++) {
                    text.append("%s of %s, %d %%: %s%n"
                            .formatted(
                                    row.text("id"),
                                    much.text("ingredient"),
                                    percent,
                                    Products.bare(StepKind.SCRUB, percent, much.text("ingredient")).actives().stream()
                                            .map(a -> a.kind())
                                            .toList()));
                }
            }
        }
        return GoodsSeen.turns(text.toString());
    }

    private static String load() {
        StringBuilder text = new StringBuilder();
        for (Product p : PRODUCTS) {
            if (p.rationed() || Tolerance.exfoliation(p) > 0) {
                text.append("%s: points %s, exfoliation %s%n"
                        .formatted(p.id(), n(Tolerance.points(p)), n(Tolerance.exfoliation(p))));
            }
            for (Tolerance.Kind kind : Tolerance.Kind.values()) {
                if (p.rationed()) {
                    Tolerance t = Tolerance.of(kind);
                    text.append("%s, %s, cap %s rest %d: ".formatted(p.id(), kind, n(t.cap()), t.rest()));
                    for (int weeks = 0; weeks < 14; weeks++) {
                        text.append(t.usesPerWeek(p, weeks));
                    }
                    text.append('\n');
                }
            }
        }
        for (ActiveKind active : ActiveKind.values()) {
            for (double percent : new double[] {0.5, 1, 1.9, 2, 7.9, 8, 8.9, 9, 20, 99}) {
                Product p = Products.bare(StepKind.TREATMENT, percent, Products.carrier(active));
                if (p.rationed()) {
                    text.append("%s %s %%: points %s, uses %s%n"
                            .formatted(
                                    active,
                                    percent,
                                    n(Tolerance.points(p)),
                                    Arrays.stream(Tolerance.Kind.values())
                                            .map(k -> k + " " + Tolerance.of(k).usesPerWeek(p, 12))
                                            .toList()));
                }
            }
        }
        return text.append("%d %d%n".formatted(Tolerance.LED_UP_TO_USES, Tolerance.DAYS_BETWEEN_NEW))
                .toString();
    }

    private static String amounts() {
        StringBuilder text = new StringBuilder();
        for (Product p : PRODUCTS) {
            for (Part part : Part.values()) {
                for (Band band : Band.values()) {
                    text.append("%s, %s, %s: %s = %s g, half %s%n"
                            .formatted(
                                    p.id(),
                                    part,
                                    band,
                                    Amounts.amount(p, FaceBands.even(band), 1, part)
                                            .words(),
                                    n(Amounts.grams(p, FaceBands.even(band), 1, part)),
                                    n(Amounts.oneBottleByDay(p, part))));
                }
            }
            text.append("%s: %s a month by 7 g a week, %s by time%n"
                    .formatted(p.id(), n(Supply.monthByWeight(p, 7)), n(Supply.monthByTime(p))));
        }
        return text.toString() + GoodsSeen.turns(steps());
    }

    /** A thing of each kind by itself, by its texture, its method and where it is kept to. */
    private static String steps() {
        StringBuilder text = new StringBuilder();
        for (StepKind kind : StepKind.values()) {
            for (int half = 2; half <= 16; half++) {
                Product p = Products.of(kind, java.util.OptionalDouble.of(half / 2.0), 1, List.of("Panthenol"));
                for (Method method : Methods.all()) {
                    for (Part part : Part.values()) {
                        text.append("%s by %s in the %s, texture %s: %s%n"
                                .formatted(
                                        kind,
                                        method.id(),
                                        part.words(),
                                        half / 2.0,
                                        laid(method, part, p, Layout.ByHand.NOTHING)));
                    }
                }
            }
            Product p = Products.of(kind, java.util.OptionalDouble.empty(), 1, List.of("Panthenol"));
            for (Coverage on : Coverage.values()) {
                Adjustment kept = new Adjustment(
                        Part.EVENING,
                        p.id(),
                        false,
                        java.util.Set.of(on),
                        List.of(),
                        java.util.Optional.empty(),
                        true,
                        "",
                        java.util.Optional.empty());
                text.append("%s on %s twice: %s%n"
                        .formatted(
                                kind,
                                on,
                                laid(
                                        Methods.all().getFirst(),
                                        Part.EVENING,
                                        p,
                                        new Layout.ByHand(Map.of(), List.of(kept), _ -> java.util.Optional.empty()))));
            }
        }
        for (int half = 6; half <= 14; half++) {
            Product serum =
                    Products.of(StepKind.SERUM, java.util.OptionalDouble.of(half / 2.0), 1, List.of("Panthenol"));
            Product eye = Consultations.product("eye-cream-plain");
            text.append("a serum of texture %s beside the eyes: %s%n"
                    .formatted(
                            half / 2.0,
                            new Layout(
                                            Methods.find("classic").orElseThrow(),
                                            FaceBands.even(Band.NORMAL),
                                            Set.of(),
                                            Map.of(),
                                            (_, _) -> new Layout.Said("", List.of(), List.of(), List.of()),
                                            Layout.Used::custom,
                                            Layout.ByHand.NOTHING,
                                            ByAir.AS_USUAL,
                                            false)
                                    .lay(Part.EVENING, List.of(eye, serum), 20).steps().stream()
                                            .map(Step::kind)
                                            .toList()));
        }
        for (ActiveKind active : ActiveKind.values()) {
            Product p = Products.bare(StepKind.TREATMENT, 20, Products.carrier(active));
            for (Method method : Methods.all()) {
                text.append("%s by %s: %s%n"
                        .formatted(active, method.id(), laid(method, Part.EVENING, p, Layout.ByHand.NOTHING)));
            }
        }
        return text.toString();
    }

    private static String laid(Method method, Part part, Product p, Layout.ByHand byHand) {
        Layout layout = new Layout(
                method,
                FaceBands.even(Band.NORMAL),
                Set.of(),
                Map.of(),
                (_, _) -> new Layout.Said("", List.of(), List.of(), List.of()),
                Layout.Used::custom,
                byHand,
                ByAir.AS_USUAL,
                false);
        // a wash beside it, so that what comes off leaves something for it
        Step s = layout.lay(part, List.of(p, Consultations.product("gel-wash-low-foam")), 20).steps().stream()
                .filter(x -> x.product().equals(p.id()))
                .findFirst()
                .orElseThrow();
        return "%s, %s g on %s; %s; %s, %s damp; %d s, %d s, %d s, left %s"
                .formatted(
                        s.amount().words(),
                        n(s.amount().grams()),
                        s.amount().where(),
                        s.amount().because().sentence(),
                        s.technique(),
                        s.damp() ? "" : "not",
                        s.handsOn(),
                        s.contact(),
                        s.settle(),
                        n(s.left()));
    }

    /** Everything that may stand in a plan, with all that it is chosen by. */
    private static String weighing() {
        StringBuilder text = new StringBuilder();
        Month[] months = {Month.JANUARY, Month.APRIL, Month.JULY, Month.NOVEMBER};
        int i = 0;
        for (Map.Entry<String, SkinReading> skin : skins().entrySet()) {
            String method = Methods.all().get(i % Methods.all().size()).id().value();
            Month month = months[i++ % months.length];
            Life wishes = new Life(
                    8,
                    15,
                    6,
                    2,
                    5,
                    i % 2 == 0,
                    3,
                    Set.of(),
                    Taste.RATHER_NOT,
                    Taste.ANY,
                    i % 3 == 0 ? Taste.RATHER_NOT : Taste.ANY,
                    java.util.OptionalDouble.of(40));
            Consultation c = consultation(skin.getValue(), method, month)
                    .living(wishes)
                    .parts()
                    .shelf(List.of(Consultations.owned("day-fluid-30", 4), Consultations.owned("milk-wash-thirsty", 9)))
                    .together();
            if (!(Planner.plan(c) instanceof Outcome.Planned planned)) {
                continue;
            }
            Draft draft = Read.of(c, planned.skin()).draft(Consultation::ask);
            text.append("## %s, %s, %s%n".formatted(skin.getKey(), method, month));
            draft.posed().problem().limits().forEach(l -> text.append("limit %s%n".formatted(n(l.most()))));
            for (Slot slot : draft.posed().slots()) {
                for (Candidate candidate : slot.candidates()) {
                    text.append(told(slot, candidate));
                }
            }
            planned.regimen()
                    .steps()
                    .forEach(s -> text.append("step %s, %d s, %d s, %d s, %s%n"
                            .formatted(
                                    s.product(),
                                    s.handsOn(),
                                    s.contact(),
                                    s.settle(),
                                    s.nights().size())));
            planned.regimen()
                    .tonight()
                    .forEach(t -> text.append("tonight %s: %d steps, %s min%n"
                            .formatted(t.why(), t.keep().size(), n(t.minutes()))));
            text.append("minutes %s %s%n"
                    .formatted(
                            n(planned.regimen().morning().timeline().minutes()),
                            n(planned.regimen().evening().timeline().minutes())));
        }
        return text.toString();
    }

    private static String told(Slot slot, Candidate c) {
        Map<String, Double> points = new TreeMap<>();
        c.points().forEach(p -> points.merge(p.aim() + " " + p.reason(), p.points(), Double::sum));
        return "%s %s: %s, grades %s, helps %s, takes %s, %d uses, at least %s%n"
                .formatted(
                        slot.part(),
                        c.product().id(),
                        points.entrySet().stream()
                                .map(e -> e.getKey() + " " + n(e.getValue()))
                                .toList(),
                        Arrays.toString(c.option().grades()),
                        Arrays.stream(c.option().helps()).mapToObj(RulesSeen::n).toList(),
                        Arrays.stream(c.option().takes()).mapToObj(RulesSeen::n).toList(),
                        c.uses(),
                        n(c.option().atLeast()));
    }

    private static String balance() {
        StringBuilder text = new StringBuilder();
        for (Map.Entry<String, SkinReading> skin : skins().entrySet()) {
            for (Month month : Month.values()) {
                for (Site site : Sites.all().subList(0, 3)) {
                    Consultation c = consultation(skin.getValue(), "layered", month)
                            .parts()
                            .site(site)
                            .together();
                    if (Planner.plan(c) instanceof Outcome.Planned planned) {
                        planned.regimen()
                                .balances()
                                .forEach(b -> text.append("%s, %s, %s, %s: %s, %s%n"
                                        .formatted(
                                                skin.getKey(),
                                                site.id(),
                                                month,
                                                b.part(),
                                                b.gauge().lines().stream()
                                                        .map(RulesSeen::told)
                                                        .collect(Collectors.joining(", ")),
                                                b.gauge()
                                                        .change()
                                                        .map(x -> x.sentence())
                                                        .orElse("stays"))));
                    }
                }
            }
        }
        return text + GoodsSeen.turns(gauges());
    }

    /** Two layers that grow, one of water and one of oils, in rooms of all sorts: what is said and what is to be changed. */
    private static String gauges() {
        StringBuilder text = new StringBuilder();
        Target target = new Target(
                new Target.Range(80, 160),
                new Target.Range(40, 90),
                new Target.Range(20, 60),
                outfell.knowledge.Because.house("for the grid"));
        for (double room : new double[] {25, 29.5, 30.5, 35}) {
            for (double oils : new double[] {5, 20, 45, 100}) {
                for (int water = 10; water <= 300; water += 2) {
                    Balance.Gauge gauge = Balance.gauge(
                            List.of(layer("Watery", water, 5, 0), layer("Rich", 5, oils, oils / 3)),
                            target,
                            room,
                            "by night");
                    text.append("room %s, oils %s, water %d: %s; %s; %s; %s%n"
                            .formatted(
                                    room,
                                    oils,
                                    water,
                                    gauge.verdict().sentence(),
                                    gauge.lines().stream()
                                            .map(Balance.Line::lies)
                                            .toList(),
                                    gauge.sealRule().isPresent() ? "wants a seal" : "",
                                    gauge.change().map(b -> b.sentence()).orElse("stays")));
                }
            }
        }
        return text.toString();
    }

    private static Balance.Layer layer(String name, double water, double oils, double seal) {
        return new Balance.Layer(
                new outfell.product.ProductId(name.toLowerCase(Locale.ROOT)),
                name,
                new Points(water, oils, seal),
                1,
                false,
                false,
                true);
    }

    private static String told(Balance.Line line) {
        return "%s %s in %s..%s %s"
                .formatted(
                        line.need(),
                        n(line.points()),
                        n(line.range().low()),
                        n(line.range().high()),
                        line.lies());
    }
}
