package outfell.server.visit;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import outfell.changes.Change;
import outfell.climate.Air;
import outfell.climate.SiteId;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Routine;
import outfell.supply.Supply;
import outfell.year.Bottle;
import outfell.year.SpellPlan;
import outfell.year.Stretch;
import outfell.year.Year;

/**
 * The year after a visit, as it is drawn.
 *
 * @param elsewhere whether it is shown for another place than the client's
 * @param until the day after the last
 * @param months the air of each, as they come
 * @param sheet what the client's sheet says of it
 * @param cost of the packs that are to be bought in it, where their prices are known
 * @param againCost the part of it for putting the sunscreen on again
 * @param unpriced names of those without
 * @param budget of the client, a month, if there is one
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
        List<BottleView> bottles,
        double cost,
        double againCost,
        List<String> unpriced,
        @Schema(types = {"number", "null"}) @Nullable Double budget) {

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
     * @param over of that, what lies above the client's limit
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
            double month,
            double over) {}

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
            @Schema(types = {"number", "null"}) @Nullable Double cost) {
        /** Whether its price is wanted and not known. */
        boolean unpriced() {
            return bought > 0 && cost == null;
        }
    }

    static YearView of(Year year, SiteId site, String place, boolean elsewhere, @Nullable Double budget) {
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
                year.stretches().stream().map(s -> stretch(s, budget)).toList(),
                year.months(),
                year.spells(),
                year.sheet().stream()
                        .map(l -> new SheetLine(l.from().orElse(null), l.until().orElse(null), l.title(), l.text()))
                        .toList(),
                bottles,
                bottles.stream()
                        .mapToDouble(b -> b.cost() == null ? 0 : b.cost())
                        .sum(),
                year.bottles().stream().mapToDouble(Bottle::againCost).sum(),
                bottles.stream()
                        .filter(BottleView::unpriced)
                        .map(BottleView::name)
                        .toList(),
                budget);
    }

    private static StretchView stretch(Stretch s, @Nullable Double budget) {
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
                s.month(),
                budget == null ? 0 : Supply.over(s.month(), budget));
    }
}
