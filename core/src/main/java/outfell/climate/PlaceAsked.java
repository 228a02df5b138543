package outfell.climate;

import java.time.Month;
import java.util.List;
import java.util.stream.Stream;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/**
 * A place by three questions and its wind, for who knows no table of its months; by climate/questions.yaml.
 *
 * @param coldest month
 * @param hottest month, another than the coldest
 */
public record PlaceAsked(Month coldest, Winter winter, Month hottest, Summer summer, Sun sun, Wind wind) {
    /** How the coldest month is. */
    public enum Winter {
        NO_HEATING,
        SOME_HEATING,
        HEATED,
        FROST
    }

    /** How the hottest month is. */
    public enum Summer {
        COOL,
        WARM,
        HOT_DRY,
        HOT_HUMID
    }

    /** How strong the midday sun gets. */
    public enum Sun {
        WEAK,
        MODERATE,
        STRONG,
        EXTREME
    }

    /** How much wind there is. */
    public enum Wind {
        CALM,
        BREEZY,
        WINDY
    }

    /** One answer in words. */
    public record PlaceAnswer(String id, String words) {}

    private static final Row FILE = KnowledgeFile.yaml("climate/questions.yaml");

    public PlaceAsked {
        if (coldest == hottest) {
            throw new IllegalArgumentException("The coldest month cannot be the hottest one, too.");
        }
    }

    /** The answers to one of the questions: winters, summers, suns, winds. */
    public static List<PlaceAnswer> choices(String question) {
        return FILE.rows(question).stream()
                .map(r -> new PlaceAnswer(r.text("id").toUpperCase(java.util.Locale.ROOT), r.text("words")))
                .toList();
    }

    /** January to December. */
    public List<MonthlyAir> months() {
        Row cold = row("winters", winter);
        Row hot = row("summers", summer);
        double most = row("suns", sun).number("uv-index", 0, 20);
        double least = most * cold.number("uv-low", 0, 1);
        double blows = row("winds", wind).number("wind", 0, 60);
        boolean north = hottest.getValue() >= 4 && hottest.getValue() <= 9;
        return Stream.of(Month.values())
                .map(m -> {
                    double warm = swing(m, coldest, hottest);
                    double bright = swing(m, north ? Month.DECEMBER : Month.JUNE, north ? Month.JUNE : Month.DECEMBER);
                    return new MonthlyAir(
                            rounded(between(cold.number("celsius", -45, 60), hot.number("celsius", -45, 60), warm)),
                            Math.rint(between(cold.number("humidity", 1, 100), hot.number("humidity", 1, 100), warm)),
                            blows,
                            rounded(between(least, most, bright)));
                })
                .toList();
    }

    private static Row row(String question, Enum<?> answer) {
        return FILE.rows(question).stream()
                .filter(r -> r.text("id").equalsIgnoreCase(answer.name()))
                .findFirst()
                .orElseThrow(() -> FILE.fault("%s has no %s".formatted(question, answer)));
    }

    /** 0 in the lowest month, 1 in the highest, along half a wave on either side. */
    private static double swing(Month month, Month low, Month high) {
        int up = Math.floorMod(high.getValue() - low.getValue(), 12);
        int since = Math.floorMod(month.getValue() - low.getValue(), 12);
        double way = since <= up ? (double) since / up : 1 - (double) (since - up) / (12 - up);
        return (1 - Math.cos(Math.PI * way)) / 2;
    }

    private static double between(double a, double b, double share) {
        return a + (b - a) * share;
    }

    private static double rounded(double x) {
        return Math.round(x * 10) / 10.0;
    }
}
