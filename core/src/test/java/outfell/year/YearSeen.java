package outfell.year;

import java.time.LocalDate;
import java.time.Month;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.DoubleFunction;
import outfell.climate.Air;
import outfell.climate.MonthlyAir;
import outfell.climate.PlaceAsked;
import outfell.climate.Sites;
import outfell.climate.Stay;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Life.Place;
import outfell.regimen.Consultations;
import outfell.season.Asked;
import outfell.season.Lever;
import outfell.season.Season;
import outfell.skin.Faces;
import outfell.skin.ProbeBands;
import outfell.skin.Sign;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;
import outfell.week.Diary;
import outfell.week.Pause;

/** What the figures of the air's levers, of a year and of its spells do, as text. */
public final class YearSeen {
    private static final Air MILD = Air.of(new MonthlyAir(18, 60, 3, 2));
    private static final LocalDate DAY = LocalDate.of(2026, 11, 25);

    private static final SkinVerdict NORMAL = skin(1, 0, 0);

    private YearSeen() {}

    /** Where each lever turns, for skins of several kinds, along dryness, heat, sun and hours. */
    public static String levers() {
        StringBuilder text = new StringBuilder();
        skins().forEach((name, skin) -> {
            turns(text, name + ", dryness", 0, 100, d -> ask(skin, at(d, 0, 2), 2));
            turns(text, name + ", heat", 0, 100, h -> ask(skin, at(0, h, 2), 2));
            turns(text, name + ", sun", 0, 14, u -> ask(skin, at(0, 0, u), 2));
            turns(text, name + ", hours", 0, 8, h -> ask(skin, at(0, 0, 4), h));
        });
        Asked off = Season.ask(Air.of(new MonthlyAir(-10, 60, 9, 9)), wearer(NORMAL, 9), Set.copyOf(Lever.switched()));
        Lever.switched()
                .forEach(l -> text.append("off %s: %s; %s%n"
                        .formatted(l, l.words(), l.because(off).sentence())));
        return text.toString();
    }

    private static void turns(StringBuilder text, String along, double from, double to, DoubleFunction<Asked> ask) {
        Asked before = ask.apply(from);
        for (int tenth = (int) Math.round(from * 10) + 1; tenth <= to * 10; tenth++) {
            Asked now = ask.apply(tenth / 10.0);
            for (Lever lever : Lever.switched()) {
                if (lever.differs(now, before)) {
                    text.append("%s %s: %s (cream %s, toner %s, again %s): %s%n"
                            .formatted(
                                    along,
                                    tenth / 10.0,
                                    lever,
                                    now.creamAmount().share(),
                                    now.tonerLayers().value(),
                                    now.sunAgain().value(),
                                    lever.because(now).sentence()));
                }
            }
            before = now;
        }
    }

    private static Asked ask(SkinVerdict skin, Air air, double hours) {
        return Season.ask(air, wearer(skin, hours));
    }

    private static Asked.Wearer wearer(SkinVerdict skin, double hours) {
        return new Asked.Wearer(skin, false, hours, false, Optional.empty(), Optional.empty(), List.of());
    }

    private static Air at(double dryness, double heat, double uv) {
        return MILD.moved(
                dryness - MILD.dryness(),
                heat - MILD.heat(),
                uv - MILD.outdoors().uvIndex());
    }

    private static Map<String, SkinVerdict> skins() {
        Map<String, SkinVerdict> all = new java.util.LinkedHashMap<>();
        all.put("oily", skin(3, 0, 0));
        all.put("normal", NORMAL);
        all.put("sensitive", skin(1, 3, 0));
        all.put("strained", skin(1, 1, 2));
        return all;
    }

    private static SkinVerdict skin(int shine, int sting, int tight) {
        return SkinReader.read(
                Faces.face()
                        .with(Sign.SHINE, shine, shine, shine, shine, shine)
                        .with(Sign.TIGHTNESS, tight, tight, tight, tight, tight)
                        .with(Sign.FLAKING, tight / 2, tight / 2, tight / 2, tight / 2, tight / 2)
                        .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                        .with(Sign.STING, sting, sting, sting, sting, sting)
                        .history(sting, 0)
                        .reading(),
                Set.of(),
                ProbeBands.SHIPPED);
    }

    /** What hours in other air make of a day, and what a place is from three answers. */
    public static String stays() {
        StringBuilder text = new StringBuilder();
        for (Stay.Where where : Stay.Where.values()) {
            for (double celsius = 16; celsius <= 20; celsius += 0.5) {
                told(text, where, new Stay(where, 7.5), celsius);
            }
            told(text, where, Stay.usual(where), -5);
            told(text, where, Stay.usual(where), 25);
            told(text, where, new Stay(where, 20), 5);
        }
        for (PlaceAsked.Winter winter : PlaceAsked.Winter.values()) {
            for (PlaceAsked.Summer summer : PlaceAsked.Summer.values()) {
                text.append("%s, %s: %s%n"
                        .formatted(
                                winter,
                                summer,
                                new PlaceAsked(
                                                Month.JANUARY,
                                                winter,
                                                Month.AUGUST,
                                                summer,
                                                PlaceAsked.Sun.values()[summer.ordinal()],
                                                PlaceAsked.Wind.values()[winter.ordinal() % 3])
                                        .months()));
            }
        }
        return text.toString();
    }

    private static void told(StringBuilder text, Stay.Where where, Stay stay, double celsius) {
        Air air = Air.of(new MonthlyAir(celsius, 70, 4, 3), List.of(stay));
        text.append("%s %s h at %s C: dryness %s, heat %s %s; %s%n"
                .formatted(
                        where,
                        stay.hours(),
                        celsius,
                        air.dryness(),
                        air.heat(),
                        air.heatBand(),
                        air.rooms().sentence()));
    }

    /** When things turn, what a year is made of, and what spells do. */
    public static String year() {
        StringBuilder text = new StringBuilder();
        Asked mild = ask(NORMAL, MILD, 4);
        for (int tenth = 350; tenth <= 420; tenth++) {
            double dryness = tenth / 10.0;
            turned(text, "dryness " + dryness, mild, at(dryness, 0, 2), Lever.LIPS);
        }
        for (int tenth = 500; tenth <= 560; tenth++) {
            turned(text, "heat " + tenth / 10.0, mild, at(0, tenth / 10.0, 2), Lever.WASH);
        }
        Asked sunny = ask(NORMAL, at(0, 0, 4), 4);
        for (int tenth = 15; tenth <= 25; tenth++) {
            turned(text, "sun down to " + tenth / 10.0, sunny, at(0, 0, tenth / 10.0), Lever.SUN_AGAIN);
        }
        for (int days = 4; days <= 9; days++) {
            int dry = days;
            text.append("dry on %d days of ten: %s%n"
                    .formatted(days, count(mild, d -> at(d % 10 < dry ? 60 : 0, 0, 2), Lever.LIPS)));
        }
        for (int apart = 12; apart <= 30; apart++) {
            List<Turns.Turn> two =
                    List.of(new Turns.Turn(DAY, Lever.LIPS), new Turns.Turn(DAY.plusDays(apart), Lever.SEAL));
            text.append("%d days apart: %d dates%n"
                    .formatted(apart, YearAhead.together(two).size()));
        }
        for (double[] at :
                new double[][] {{0, 0, 0}, {30, 0, 3}, {60, 0, 6}, {80, 0, 9}, {0, 30, 11}, {0, 60, 1}, {0, 90, 1}}) {
            text.append("called %s%n".formatted(Names.of(at(at[0], at[1], at[2]))));
        }
        text.append("called %s%n".formatted(Names.of(Air.of(new MonthlyAir(36, 12, 3, 11)))));
        for (double budget = 30; budget <= 34; budget += 0.5) {
            text.append("with %s a month:%n%s".formatted(budget, YearsSaidTest.told(year(deckhand(budget)))));
        }
        return text.toString();
    }

    private static Year year(Consultation c) {
        return YearAhead.of(c, DAY, Map.of()).orElseThrow();
    }

    private static Consultation deckhand(double budget) {
        return Consultations.of(
                Faces.face()
                        .calm()
                        .with(Sign.SHINE, 3, 3, 3, 2, 2)
                        .with(Sign.SPOTS, 1, 1, 2, 1, 1)
                        .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                        .with(Sign.STING, 0, 0, 0, 0, 0)
                        .person(40, false, false)
                        .history(0, 0)
                        .reading(),
                "classic",
                Month.NOVEMBER,
                Consultations.CATALOGUE,
                List.of(),
                Consultations.NOTHING,
                new Life(
                        8,
                        10,
                        6,
                        8,
                        0,
                        false,
                        4,
                        Set.of(Place.SEA, Place.OUTDOORS, Place.HEAT, Place.PLANES),
                        Life.Taste.ANY,
                        Life.Taste.ANY,
                        Life.Taste.ANY,
                        OptionalDouble.of(budget)));
    }

    private static void turned(StringBuilder text, String what, Asked standing, Air air, Lever lever) {
        text.append("%s: %s%n".formatted(what, count(standing, _ -> air, lever)));
    }

    private static List<LocalDate> count(Asked standing, java.util.function.IntFunction<Air> air, Lever lever) {
        return new Turns(
                        day -> air.apply((int) java.time.temporal.ChronoUnit.DAYS.between(DAY, day)),
                        (_, a) -> ask(NORMAL, a, 4),
                        DAY)
                .between(standing, DAY.plusDays(1), DAY.plusDays(40)).stream()
                        .filter(t -> t.lever() == lever)
                        .map(Turns.Turn::day)
                        .toList();
    }

    /** Every spell over two seasons at two places. */
    public static String spells() {
        StringBuilder text = new StringBuilder();
        for (String site : List.of("skarrow-harbour", "kettle-cross")) {
            for (LocalDate day :
                    List.of(LocalDate.of(2027, 1, 20), LocalDate.of(2027, 4, 28), LocalDate.of(2027, 7, 20))) {
                List<Pause> pauses = Spell.all().stream()
                        .map(s -> new Pause(s.pause(), day, day.plusDays(3)))
                        .toList();
                Consultation c = deckhand(90)
                        .parts()
                        .site(Sites.find(site).orElseThrow())
                        .diary(paused(pauses))
                        .together();
                Year year = year(c);
                year.spells().forEach(s -> told(text, site, s));
                year.sheet()
                        .forEach(l -> text.append(
                                "sheet %s %s %s: %s%n".formatted(l.from(), l.until(), l.title(), l.text())));
            }
        }
        Pause.kinds().forEach(k -> k.asks().ifPresent(a -> text.append("%s asks for %s%n".formatted(k.id(), a))));
        return text.toString();
    }

    private static Diary paused(List<Pause> pauses) {
        Diary none = Diary.NONE;
        return new Diary(
                none.before(), none.checkIns(), pauses, none.rhythm(), none.evenings(), none.courses(), none.byHand());
    }

    private static void told(StringBuilder text, String site, SpellPlan s) {
        text.append("%s %s %s, quiet %s to %s; %s; dryness %s, heat %s%n"
                .formatted(
                        site,
                        s.from(),
                        s.id(),
                        s.quietFrom(),
                        s.quietUntil(),
                        s.air().outdoors(),
                        s.air().dryness(),
                        s.air().heat()));
        s.lines()
                .forEach(l -> text.append("  %s %s: %s%n"
                        .formatted(l.what(), l.words(), l.because().sentence())));
        s.says().forEach(b -> text.append("  tell: %s%n".formatted(b.sentence())));
        s.pack().forEach(p -> text.append("  pack %s: %s %s%n".formatted(p.name(), p.words(), p.decant())));
    }
}
