package outfell.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import outfell.climate.Site;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.season.Lever;
import outfell.weather.ToldDay;
import outfell.weather.Weather;
import outfell.week.Diary;
import outfell.week.Pause;

/** Today's air for one client. */
class AirTodayTest {
    private static final Site HARBOUR = Sites.find("skarrow-harbour").orElseThrow();

    private static Consultation client() {
        return Client.calm().parts().site(HARBOUR).together();
    }

    private static Weather colder(LocalDate today, double by) {
        return Weather.of(
                HARBOUR,
                today,
                Weather.first(today)
                        .datesUntil(Weather.first(today).plusDays(Weather.span()))
                        .map(d -> {
                            var usual = HARBOUR.on(d);
                            return new ToldDay(
                                    d, usual.celsius() - by, usual.humidity(), usual.wind(), usual.uvIndex());
                        })
                        .toList());
    }

    @Test
    void usual_days_ask_nothing_early() {
        Consultation c = client();
        assertThat(AirToday.of(colder(c.answers().today(), 0), c).early()).isEmpty();
        assertThat(AirToday.of(colder(c.answers().today(), 0), c).snaps()).isEmpty();
    }

    @Test
    void ten_bitter_days_ask_now_what_the_usual_air_would_not_and_say_why() {
        Consultation c = client();
        AirToday today = AirToday.of(colder(c.answers().today(), 14), c);
        assertThat(today.early()).extracting(Stretch.TurnOfAir::lever).contains(Lever.WASH);
        assertThat(today.early())
                .allSatisfy(t -> assertThat(t.because().sentence()).isNotBlank());
    }

    @Test
    void it_is_called_by_its_air_as_a_part_of_the_year_is() {
        Consultation c = client();
        AirToday today = AirToday.of(colder(c.answers().today(), 0));
        assertThat(today.name()).isEqualTo(Names.of(today.air()));
        assertThat(today.snaps()).isEmpty();
        assertThat(today.early()).isEmpty();
    }

    @Test
    void a_snap_is_told_until_it_is_laid_over() {
        Consultation c = client();
        LocalDate winter = LocalDate.of(2027, 1, 12);
        Weather weather = colder(winter, 8);
        assertThat(AirToday.of(weather, c).snaps()).hasSize(1);
        assertThat(AirToday.of(weather).snaps()).hasSize(1);
        Pause called = new Pause(Pause.kind("cold_snap").orElseThrow(), winter, winter.plusDays(2));
        Diary was = c.diary();
        Consultation laid = c.parts()
                .diary(new Diary(
                        was.before(),
                        was.checkIns(),
                        List.of(called),
                        was.rhythm(),
                        was.evenings(),
                        was.courses(),
                        was.byHand(),
                        was.faces()))
                .together();
        assertThat(AirToday.of(weather, laid).snaps()).isEmpty();
    }
}
