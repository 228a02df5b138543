package outfell.regimen;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.product.Product;
import outfell.routine.BareStep;
import outfell.routine.ByAir;
import outfell.routine.Layout;
import outfell.routine.Part;

/** More of a cream or a toner for the air comes last: where money and minutes have room for it beside all that was chosen. */
final class Amounting {
    private static final double CENT = 0.005;

    private final Consultation consultation;
    private final Function<ByAir, Layout> layout;

    /** @param layout of what was chosen, with such amounts */
    Amounting(Consultation consultation, Function<ByAir, Layout> layout) {
        this.consultation = consultation;
        this.layout = layout;
    }

    /** The wish, or what of it there is room for. */
    ByAir byAir(ByAir wish, List<Product> morning, List<Product> evening) {
        if (wish.tonerMore() <= 0 && wish.cream() <= 1) {
            return wish;
        }
        Laid usual = laid(ByAir.AS_USUAL, morning, evening);
        return Stream.of(wish, wish.creamOnly(), wish.tonerOnly())
                .filter(air -> laid(air, morning, evening).within(usual, consultation.life()))
                .findFirst()
                .orElse(ByAir.AS_USUAL);
    }

    /**
     * A plan laid out to be measured.
     *
     * @param month what a month of what is not owned costs
     */
    private record Laid(double month, double morning, double evening) {
        boolean within(Laid usual, Life life) {
            return month <= Math.max(life.budget().orElse(Double.POSITIVE_INFINITY), usual.month) + CENT
                    && morning <= Math.max(life.morningMinutes(), usual.morning)
                    && evening <= Math.max(life.eveningMinutes(), usual.evening);
        }
    }

    private Laid laid(ByAir air, List<Product> morning, List<Product> evening) {
        Layout by = layout.apply(air);
        List<BareStep> steps = Stream.concat(
                        by.bare(Part.MORNING, morning).stream(), by.bare(Part.EVENING, evening).stream())
                .toList();
        return new Laid(
                MonthCost.toBuy(consultation, steps),
                by.minutes(Part.MORNING, morning),
                by.minutes(Part.EVENING, evening));
    }
}
