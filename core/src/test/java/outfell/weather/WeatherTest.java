package outfell.weather;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.climate.MonthlyAir;
import outfell.climate.Site;
import outfell.climate.Sites;
import outfell.year.Spell;

/** Days of weather as they are told, and what of them is believed. */
class WeatherTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);
    private static final Site HARBOUR = Sites.find("skarrow-harbour").orElseThrow();

    private static List<ToldDay> usual(Site site) {
        return Weather.first(TODAY)
                .datesUntil(Weather.first(TODAY).plusDays(Weather.span()))
                .map(d -> told(d, site.on(d)))
                .toList();
    }

    private static ToldDay told(LocalDate day, MonthlyAir air) {
        return new ToldDay(day, air.celsius(), air.humidity(), air.wind(), air.uvIndex());
    }

    /** The usual days, those of some offsets from today changed. */
    private static Weather changed(Site site, int from, int until, UnaryOperator<ToldDay> change) {
        return Weather.of(
                site,
                TODAY,
                usual(site).stream()
                        .map(d -> d.day().isBefore(TODAY.plusDays(from))
                                        || d.day().isAfter(TODAY.plusDays(until))
                                ? d
                                : change.apply(d))
                        .toList());
    }

    private static UnaryOperator<ToldDay> warmer(double by) {
        return d -> new ToldDay(d.day(), d.celsius() + by, d.humidity(), d.wind(), d.uvIndex());
    }

    static List<Site> sites() {
        return Sites.all();
    }

    @ParameterizedTest
    @MethodSource("sites")
    void usual_days_are_believed_make_no_spell_and_are_called_usual(Site site) {
        Weather weather = Weather.of(site, TODAY, usual(site));
        assertThat(weather.days()).hasSize(Weather.span()).allMatch(WeatherDay::told);
        assertThat(weather.missing()).isEmpty();
        assertThat(weather.snaps()).isEmpty();
        assertThat(weather.now().day()).isEqualTo(TODAY);
        assertThat(weather.compared().sentence()).isEqualTo("About as is usual on the day.");
    }

    @ParameterizedTest
    @CsvSource({
        "61, 80, 5, 1, 61 °C is told",
        "NaN, 80, 5, 1, NaN °C is told",
        "-40, 80, 5, 1, -40 °C is told",
        "5, 0, 5, 1, A humidity of 0 %",
        "5, 140, 5, 1, A humidity of 140 %",
        "5, NaN, 5, 1, A humidity of NaN %",
        "5, 80, -1, 1, A wind of -1 m/s",
        "5, 80, 90, 1, A wind of 90 m/s",
        "5, 80, 5, 12, A UV index of 12",
        "5, 80, 5, -1, A UV index of -1"
    })
    void what_cannot_be_is_not_believed_and_the_usual_air_stands_for_that_day(
            double celsius, double humidity, double wind, double uv, String words) {
        Weather weather = changed(HARBOUR, 0, 0, d -> new ToldDay(d.day(), celsius, humidity, wind, uv));
        assertThat(weather.now().told()).isFalse();
        assertThat(weather.now().air()).isEqualTo(HARBOUR.on(TODAY));
        assertThat(weather.now().doubt().orElseThrow().sentence())
                .startsWith(words)
                .endsWith("Not believed.");
        assertThat(weather.missing().orElseThrow().sentence()).contains(words).endsWith("stands for one day.");
        assertThat(weather.compared().sentence()).isEqualTo("This is what is usual on the day.");
    }

    @Test
    void a_day_at_the_edge_of_what_is_believed_still_is() {
        assertThat(changed(HARBOUR, 0, 0, warmer(19.9)).now().told()).isTrue();
        assertThat(changed(HARBOUR, 0, 0, warmer(20.1)).now().told()).isFalse();
    }

    @Test
    void of_several_days_that_cannot_be_todays_is_told() {
        assertThat(changed(HARBOUR, -3, 0, warmer(70)).missing().orElseThrow().sentence())
                .startsWith("%.1f °C is told".formatted(HARBOUR.on(TODAY).celsius() + 70))
                .endsWith("stands for 4 days.");
    }

    @Test
    void days_that_nobody_told_are_usual_and_counted() {
        List<ToldDay> told = new ArrayList<>(usual(HARBOUR));
        told.removeLast();
        told.removeLast();
        Weather weather = Weather.of(HARBOUR, TODAY, told);
        assertThat(weather.days()).hasSize(Weather.span());
        assertThat(weather.missing().orElseThrow().sentence())
                .isEqualTo("Of 2 days nothing was told: the usual air stands for them.");
    }

    @Test
    void without_a_service_every_day_is_usual_and_the_reason_is_told() {
        Weather weather = Weather.normals(HARBOUR, TODAY, "Nobody answers.");
        assertThat(weather.days()).noneMatch(WeatherDay::told);
        assertThat(weather.missing().orElseThrow().sentence()).isEqualTo("Nobody answers.");
        assertThat(weather.snaps()).isEmpty();
    }

    @Test
    void days_told_twice_or_out_of_reach_are_passed_over() {
        List<ToldDay> told = new ArrayList<>(usual(HARBOUR));
        told.add(new ToldDay(TODAY, -15, 50, 5, 0));
        told.add(new ToldDay(TODAY.plusYears(1), -15, 50, 5, 0));
        assertThat(Weather.of(HARBOUR, TODAY, told)).isEqualTo(Weather.of(HARBOUR, TODAY, usual(HARBOUR)));
    }

    @Test
    void three_cold_days_are_a_snap_and_two_are_none() {
        assertThat(changed(HARBOUR, 2, 3, warmer(-8)).snaps()).isEmpty();
        assertThat(changed(HARBOUR, 2, 4, warmer(-8)).snaps()).singleElement().satisfies(s -> {
            assertThat(s.spell()).isEqualTo("cold_snap");
            assertThat(s.from()).isEqualTo(TODAY.plusDays(2));
            assertThat(s.until()).isEqualTo(TODAY.plusDays(4));
            assertThat(s.because().sentence()).isEqualTo("3 days at about -3 °C, 8 °C colder than is usual.");
        });
    }

    @Test
    void a_snap_that_is_over_is_no_news() {
        assertThat(changed(HARBOUR, -5, -1, warmer(-8)).snaps()).isEmpty();
        assertThat(changed(HARBOUR, -5, 0, warmer(-8)).snaps()).hasSize(1);
    }

    @Test
    void a_warm_winter_week_is_neither_cold_nor_hot() {
        assertThat(changed(HARBOUR, 0, 6, warmer(8)).snaps()).isEmpty();
    }

    @Test
    void heat_is_a_spell_where_it_is_not_hot_every_year() {
        LocalDate summer = LocalDate.of(2026, 7, 1);
        assertThat(heat(HARBOUR, summer)).extracting(Snap::spell).containsExactly("first_heat");
        assertThat(heat(Sites.find("sallow-reach").orElseThrow(), summer)).isEmpty();
    }

    private static List<Snap> heat(Site site, LocalDate today) {
        return Weather.of(
                        site,
                        today,
                        Weather.first(today)
                                .datesUntil(Weather.first(today).plusDays(Weather.span()))
                                .map(d -> warmer(9).apply(told(d, site.on(d))))
                                .toList())
                .snaps();
    }

    @Test
    void what_it_calls_a_spell_is_one() {
        assertThat(Spell.all()).extracting(s -> s.pause().id()).contains("cold_snap", "first_heat");
    }

    @Test
    void warmer_and_colder_are_told_apart() {
        assertThat(changed(HARBOUR, 0, 0, warmer(4)).compared().sentence())
                .isEqualTo("4 °C warmer than is usual on the day.");
        assertThat(changed(HARBOUR, 0, 0, warmer(-4)).compared().sentence())
                .isEqualTo("4 °C colder than is usual on the day.");
    }
}
