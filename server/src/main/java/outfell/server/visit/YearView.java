package outfell.server.visit;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import outfell.changes.Change;
import outfell.climate.Air;
import outfell.climate.SiteId;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Routine;
import outfell.year.Apart;
import outfell.year.Bottle;
import outfell.year.SpellPlan;
import outfell.year.Stretch;
import outfell.year.Year;
import outfell.year.YearCost;

/**
 * The year after a visit, as it is drawn.
 *
 * @param elsewhere whether it is shown for another place than the client's
 * @param until the day after the last
 * @param months the air of each, as they come
 * @param sheet what the client's sheet says of it
 * @param apart every two parts that do not follow one another, held against each other
 */
public record YearView(
        SiteId site,
        String place,
        boolean elsewhere,
        LocalDate from,
        LocalDate until,
        List<StretchView> stretches,
        List<Year.MonthAhead> months,
        List<SpellPlan> spells,
        List<SheetLine> sheet,
        List<Apart> apart,
        List<BottleView> bottles,
        YearCost cost,
        Marks marks) {

    /**
     * Where the picture draws a line.
     *
     * @param sunToMind UV index
     * @param dryRooms % humidity
     */
    public record Marks(int sunToMind, double dryRooms) {}

    /**
     * One line of the client's sheet.
     *
     * @param from the day from which it holds; absent for what holds whenever it comes
     * @param until the last day; absent for what holds on
     * @param title a few words; empty for a date
     */
    public record SheetLine(
            @Schema(types = {"string", "null"}) @Nullable LocalDate from,
            @Schema(types = {"string", "null"}) @Nullable LocalDate until,
            String title,
            String text) {}

    /**
     * A part of the year for which one plan stands.
     *
     * @param until the day after the last
     * @param ripened what came to be otherwise until then by mere use
     * @param told what the sheet says from then on, or no longer
     * @param quiet what turned and changed nothing, and why
     * @param month what a month of it costs for what is not owned
     */
    public record StretchView(
            LocalDate from,
            LocalDate until,
            String name,
            Air air,
            List<Stretch.TurnOfAir> turned,
            Routine morning,
            Routine evening,
            List<Change> changes,
            List<Change> ripened,
            List<Stretch.ToldNote> told,
            List<Stretch.QuietTurn> quiet,
            double month) {}

    /**
     * @param again of the packs to be bought, those for putting a sunscreen on again
     * @param cost of the packs to be bought; absent where a price is not known
     */
    public record BottleView(
            ProductId product,
            String name,
            StepKind kind,
            List<Bottle.BottlePack> packs,
            int bought,
            int again,
            @Schema(types = {"number", "null"}) @Nullable Double cost) {}

    /** @param usual what is told before it, of a skin that is otherwise these weeks */
    static YearView of(Year year, SiteId site, String place, boolean elsewhere, List<SheetLine> usual) {
        List<BottleView> bottles = year.bottles().stream()
                .map(b -> new BottleView(
                        b.product(),
                        b.name(),
                        b.kind(),
                        b.packs(),
                        b.bought(),
                        b.again(),
                        b.cost().isPresent() ? b.cost().getAsDouble() : null))
                .toList();
        return new YearView(
                site,
                place,
                elsewhere,
                year.from(),
                year.until(),
                year.stretches().stream().map(YearView::stretch).toList(),
                year.months(),
                year.spells(),
                Stream.concat(
                                usual.stream(),
                                year.sheet().stream()
                                        .map(l -> new SheetLine(
                                                l.from().orElse(null), l.until().orElse(null), l.title(), l.text())))
                        .toList(),
                year.apart(),
                bottles,
                year.cost(),
                new Marks(Air.uvToMind(), Year.dryRooms()));
    }

    private static StretchView stretch(Stretch s) {
        return new StretchView(
                s.from(),
                s.until(),
                s.name(),
                s.air(),
                s.turned(),
                s.plan().morning(),
                s.plan().evening(),
                s.changes(),
                s.ripened(),
                s.told(),
                s.quiet(),
                s.month());
    }
}
