package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.climate.Air;
import outfell.climate.MonthlyAir;
import outfell.consultation.Life;
import outfell.consultation.Life.Place;
import outfell.consultation.Life.Taste;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.season.Asked;
import outfell.season.Season;
import outfell.skin.Faces;
import outfell.skin.ProbeBands;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;

/** Each note of the sheet: the day for which it is written, and one that misses it by a single thing. */
class SheetRowsTest {
    static Stream<Row> notes() {
        return KnowledgeFile.yaml("sheet.yaml").rows("notes").stream();
    }

    private static Life life(double outdoors, int makeUpDays, boolean full, Place... places) {
        return new Life(
                8,
                15,
                6,
                outdoors,
                makeUpDays,
                full,
                7,
                Set.of(places),
                Taste.ANY,
                Taste.ANY,
                Taste.ANY,
                OptionalDouble.empty());
    }

    private static boolean stands(Row row, List<String> strong, Life life, boolean firstCleanse) {
        return stands(row, strong, life, firstCleanse, new MonthlyAir(16, 65, 3, 0));
    }

    private static boolean stands(Row row, List<String> strong, Life life, boolean firstCleanse, MonthlyAir air) {
        Asked asked = Season.ask(
                Air.of(air),
                new Asked.Wearer(
                        SKIN,
                        false,
                        life.outdoorHours(),
                        life.places().contains(Place.SEA),
                        Optional.empty(),
                        Optional.empty(),
                        List.of()));
        return SheetNotes.of(strong, life, asked, firstCleanse, "six weeks").stream()
                .anyMatch(n -> n.title().equals(row.text("title")));
    }

    private static final SkinVerdict SKIN =
            SkinReader.read(Faces.face().calm().reading(), Set.of(), ProbeBands.SHIPPED);
    private static final MonthlyAir SUNNY = new MonthlyAir(16, 65, 3, 2.5);
    private static final MonthlyAir BITTER = new MonthlyAir(-8, 70, 3, 0);
    private static final MonthlyAir WINDY = new MonthlyAir(3.5, 87, 9.5, 0);

    private static final Life INDOORS = life(0, 0, false);

    @ParameterizedTest
    @MethodSource("notes")
    void it_stands_where_it_is_meant_to_and_nowhere_beside(Row row) {
        List<String> none = List.of();
        List<String> acid = List.of("Glycolic fluid 8 %");
        switch (row.text("when")) {
            case "always" -> assertThat(stands(row, none, INDOORS, false)).isTrue();
            case "strong" -> {
                assertThat(stands(row, acid, INDOORS, false)).isTrue();
                assertThat(stands(row, none, INDOORS, false)).isFalse();
            }
            case "sun-again" -> {
                assertThat(stands(row, none, life(1, 0, false), false, SUNNY)).isTrue();
                assertThat(stands(row, none, life(0.9, 0, false), false, SUNNY)).isFalse();
                assertThat(stands(row, none, life(9, 0, false), false)).isFalse();
            }
            case "hands" -> {
                assertThat(stands(row, none, INDOORS, false, WINDY)).isTrue();
                assertThat(stands(row, none, INDOORS, false)).isFalse();
            }
            case "wash-twice" -> {
                assertThat(stands(row, none, life(1, 0, false, Place.SEA), false, SUNNY))
                        .isTrue();
                assertThat(stands(row, none, life(1, 0, false, Place.SEA), true, SUNNY))
                        .isFalse();
                assertThat(stands(row, none, life(1, 0, false, Place.SEA), false))
                        .isFalse();
                assertThat(stands(row, none, life(1, 0, false), false, SUNNY)).isFalse();
            }
            case "sea" -> place(row, List.of(Place.SEA));
            case "dry-rooms" -> {
                place(row, List.of(Place.HEATED_ROOMS, Place.COOLED_ROOMS, Place.PLANES));
                assertThat(stands(row, none, INDOORS, false, BITTER)).isTrue();
                assertThat(stands(row, none, INDOORS, false, WINDY)).isFalse();
            }
            case "heat" -> place(row, List.of(Place.HEAT));
            case "make-up" -> {
                assertThat(stands(row, none, life(0, 1, false), false)).isTrue();
                assertThat(stands(row, none, INDOORS, true)).isFalse();
            }
            case "full-make-up" -> {
                assertThat(stands(row, none, life(0, 1, true), true)).isTrue();
                assertThat(stands(row, none, life(0, 1, true), false)).isFalse();
                assertThat(stands(row, none, life(0, 1, false), true)).isFalse();
                assertThat(stands(row, none, life(0, 0, true), true)).isFalse();
            }
            default -> throw new AssertionError("no case for " + row.text("when"));
        }
    }

    private static void place(Row row, List<Place> meant) {
        for (Place place : Place.values()) {
            assertThat(stands(row, List.of(), life(0, 0, false, place), false))
                    .as(place.name())
                    .isEqualTo(meant.contains(place));
        }
    }
}
