package outfell.weather;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import outfell.climate.MonthlyAir;
import outfell.climate.Site;
import outfell.climate.SiteId;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.regimen.Consultations;
import outfell.regimen.HerSun;
import outfell.skin.Faces;
import outfell.skin.Sign;
import outfell.sun.SunOfDay;

/** What weather.yaml and sun-day.yaml make of days, on a grid that lies close round their figures. */
public final class WeatherSeen {
    private static final LocalDate WINTER = LocalDate.of(2026, 12, 1);
    private static final LocalDate SUMMER = LocalDate.of(2027, 7, 1);
    private static final Site HARBOUR = Sites.find("skarrow-harbour").orElseThrow();

    private WeatherSeen() {}

    /** Which days are asked for, which numbers are believed, what is called usual, what is a spell. */
    public static String weather() {
        StringBuilder text = new StringBuilder();
        text.append("asked for %s, %d days%n".formatted(Weather.first(WINTER), Weather.span()));
        for (double off : List.of(1.4, 1.5, 1.6, 18.0, 19.0, 20.0, 21.0, 22.0)) {
            told(text, "warmer by " + off, WINTER, 0, 0, new ToldDay(WINTER, off, 0, 0, 0));
        }
        for (double uv : List.of(3.0, 4.0, 5.0, 6.0, 7.0)) {
            told(text, "UV more by " + uv, WINTER, 0, 0, new ToldDay(WINTER, 0, 0, 0, uv));
        }
        for (double wind : List.of(38.0, 39.0, 40.0, 41.0, 42.0)) {
            told(text, "wind " + wind, WINTER, 0, 0, new ToldDay(WINTER, 0, 0, wind - 9.4, 0));
        }
        for (int days = 2; days <= 5; days++) {
            told(text, days + " cold days", WINTER, 1, days, new ToldDay(WINTER, -8, 0, 0, 0));
            told(text, days + " hot days", SUMMER, 1, days, new ToldDay(SUMMER, 9, 0, 0, 0));
        }
        for (double off : List.of(4.9, 5.1, 5.9, 6.1, 6.9, 7.1)) {
            told(text, "colder by " + off, WINTER, 1, 5, new ToldDay(WINTER, -off, 0, 0, 0));
            told(text, "hotter by " + off, SUMMER, 1, 5, new ToldDay(SUMMER, off, 0, 0, 0));
        }
        LocalDate autumn = LocalDate.of(2026, 9, 25);
        LocalDate spring = LocalDate.of(2027, 6, 1);
        for (double off : List.of(6.2, 6.6, 7.0, 7.4, 7.8, 8.2, 8.6, 9.0)) {
            told(text, "autumn colder by " + off, autumn, 1, 5, new ToldDay(autumn, -off, 0, 0, 0));
            told(text, "spring hotter by " + off, spring, 1, 5, new ToldDay(spring, off, 0, 0, 0));
        }
        return text.toString();
    }

    /** What the sun of a day comes to, under every word, for who is out long and hardly. */
    public static String sunOfDay() {
        StringBuilder text = new StringBuilder();
        for (double uv : List.of(
                0.0, 1.1065, 1.4, 1.6, 2.4, 2.55, 2.6, 3.4, 3.6, 4.4, 4.6, 5.4, 5.55, 5.6, 6.4, 6.6, 7.4, 7.55, 7.6,
                8.4, 8.6, 11.0)) {
            for (double hours : List.of(0.5, 3.0, 9.0)) {
                SunOfDay sun = SunOfDay.of(uv, hours, 2, OptionalDouble.of(200), OptionalInt.of(50), 1);
                text.append("UV %s for %s h: %s; %s%n"
                        .formatted(uv, hours, sun.word().sentence(), sun));
            }
        }
        for (double uv : List.of(2.0, 2.9, 3.1, 3.5, 4.5)) {
            Site always = new Site(
                    new SiteId("always"), "Always", "", Collections.nCopies(12, new MonthlyAir(15, 60, 3, uv)));
            Consultation c = Consultations.of(Faces.face().calm().with(Sign.SHINE, 1, 1, 1, 1, 1))
                    .parts()
                    .site(always)
                    .together();
            text.append("UV %s all year: %s%n"
                    .formatted(uv, HerSun.of(c).orElseThrow().cautions()));
        }
        return text.toString();
    }

    /** @param by what is added to the normal of those days */
    private static void told(StringBuilder text, String what, LocalDate today, int from, int until, ToldDay by) {
        Weather weather = Weather.of(
                HARBOUR,
                today,
                Weather.first(today)
                        .datesUntil(Weather.first(today).plusDays(Weather.span()))
                        .map(d -> {
                            boolean changed = !d.isBefore(today.plusDays(from)) && !d.isAfter(today.plusDays(until));
                            MonthlyAir usual = HARBOUR.on(d);
                            return new ToldDay(
                                    d,
                                    usual.celsius() + (changed ? by.celsius() : 0),
                                    usual.humidity(),
                                    usual.wind() + (changed ? by.wind() : 0),
                                    usual.uvIndex() + (changed ? by.uvIndex() : 0));
                        })
                        .toList());
        text.append("%s: %s; %s; %s%n"
                .formatted(
                        what,
                        weather.compared().sentence(),
                        weather.missing().map(b -> b.sentence()).orElse("all believed"),
                        weather.snaps().stream()
                                .map(s -> "%s %s to %s".formatted(s.spell(), s.from(), s.until()))
                                .toList()));
    }
}
