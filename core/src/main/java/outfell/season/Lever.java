package outfell.season;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** One thing that the air asks of a plan, which can be taken back, or left alone, by itself. */
public enum Lever {
    SPF(Asked::spf),
    SUN_AGAIN(Asked::sunAgain),
    BARE(Asked::bare),
    WATER_FAST(Asked::waterFast),
    EVENING_CREAM(Asked::moisturiser),
    DAY_CREAM(Asked::moisturiserByDay),
    DAY_CREAM_NEEDED(Asked::moisturiserNeeded),
    AMOUNT(Asked::creamAmount),
    SEAL(Asked::seal),
    OIL(Asked::oil),
    OIL_PLACE(Asked::oilPlace),
    WASH(Asked::wash),
    TONER(Asked::tonerLayers),
    CARRIER(Asked::carrier),
    LIPS(Asked::lips),
    EXFOLIATION(Asked::exfoliantsHalved),
    RETINOID(Asked::retinoidFewer),
    NEW_RETINOID(Asked::newRetinoid),
    NEW_ACID(Asked::newAcid),
    MIST(Asked::mist),
    HANDS(Asked::hands),
    /** The air itself, by which water, oils and seal are balanced. */
    AIR(Asked::air, a -> a.air().rooms());

    /** @param words what it moves, "how thick the evening's cream is" */
    private record Named(Lever id, String words, Because because) {}

    private static final Map<Lever, Named> NAMED =
            Row.unique(KnowledgeFile.yaml("season.yaml").rows("levers"), Lever::read, Named::id).stream()
                    .collect(Collectors.toMap(Named::id, Function.identity()));

    private final Function<Asked, Object> said;
    private final Function<Asked, Because> because;

    Lever(Function<Asked, Asked.Answer> answer) {
        this(a -> answer.apply(a).said(), a -> answer.apply(a).because());
    }

    Lever(Function<Asked, Object> said, Function<Asked, Because> because) {
        this.said = said;
        this.because = because;
    }

    /** All that a practice may leave alone, in the order in which they are told. */
    public static List<Lever> switched() {
        return Arrays.stream(values()).filter(l -> l != AIR).toList();
    }

    /** What it moves, in words. */
    public String words() {
        return Objects.requireNonNull(NAMED.get(this), this::name).words();
    }

    /** Whether two airs ask something else of it, whatever their reasons. */
    public boolean differs(Asked a, Asked b) {
        return !said.apply(a).equals(said.apply(b));
    }

    /** Whether it is one of those that protect from the sun, and asks for more of it than before. */
    public boolean isMoreSunscreen(Asked now, Asked before) {
        return switch (this) {
            case SPF -> now.spf().value() > before.spf().value();
            case SUN_AGAIN -> now.sunAgain().value() > 0 && before.sunAgain().value() == 0;
            case BARE -> now.bare().value() > before.bare().value();
            case WATER_FAST -> now.waterFast().yes() && !before.waterFast().yes();
            default -> false;
        };
    }

    /** Why it is asked. */
    public Because because(Asked asked) {
        return because.apply(asked);
    }

    private static Named read(Row row) {
        return new Named(row.one("id", Lever.class), row.text("words"), row.because(row.text("words")));
    }
}
