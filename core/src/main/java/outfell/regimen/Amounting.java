package outfell.regimen;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.routine.BareStep;
import outfell.routine.ByAir;
import outfell.routine.Layout;
import outfell.routine.Part;
import outfell.routine.Room;

/**
 * More of a cream or a toner for the air, a second coat, and sunscreen for ears, nape and chest come last: where money and minutes have room
 * for them beside all that was chosen. Nobody loses the serum that she came for to them.
 */
final class Amounting {
    private static final double CENT = 0.005;

    private final Consultation consultation;
    private final Function<Room, Layout> layout;
    private final List<Product> morning;
    private final List<Product> evening;
    private @Nullable Laid usual;

    /** @param layout of what was chosen, with such amounts */
    Amounting(Consultation consultation, Function<Room, Layout> layout, List<Product> morning, List<Product> evening) {
        this.consultation = consultation;
        this.layout = layout;
        this.morning = morning;
        this.evening = evening;
    }

    /**
     * What of the air's wish there is room for, then whether parts of the face get more, then how far down the sunscreen goes.
     *
     * @param zones whether a part of the face asks for more
     * @param bare so many further places that the sun reaches
     */
    Room room(ByAir wish, boolean zones, int bare) {
        Room room = Room.of(air(wish));
        if (zones && over(laid(room.withZones())).isEmpty()) {
            room = room.withZones();
        }
        if (consultation.life().budget().isPresent()) {
            Room counted = room;
            return room.reaching(0, () -> counted(counted, bare));
        }
        for (int reach = 1; reach <= bare; reach++) {
            Optional<Because> full = over(laid(room.reaching(reach, room.full())));
            if (full.isPresent()) {
                return room.reaching(reach - 1, full::get);
            }
        }
        return room.reaching(bare, room.full());
    }

    private ByAir air(ByAir wish) {
        return wish.tonerMore() <= 0 && wish.cream() <= 1
                ? wish
                : Stream.of(wish, wish.creamOnly(), wish.tonerOnly())
                        .filter(a -> over(laid(Room.of(a))).isEmpty())
                        .findFirst()
                        .orElse(ByAir.AS_USUAL);
    }

    /**
     * How far down the sunscreen goes is hers to say where money is counted: a dose that grows and shrinks with the budget would be a
     * sunscreen that is saved on.
     */
    private Because counted(Room room, int bare) {
        double with = laid(room.reaching(bare, room.full())).month;
        return with <= usual().month + CENT
                ? Because.house("Money is counted, so this is put in by hand. Nothing is to be bought for it.")
                : Because.house(
                        "Money is counted, so this is put in by hand: with all that the sun reaches %.2f a month instead of %.2f."
                                .formatted(with, usual().month));
    }

    /**
     * A plan laid out to be measured.
     *
     * @param month what a month of what is not owned costs
     */
    private record Laid(double month, double morning, double evening) {}

    /** The first limit that it goes over, in words; what is over already may stay, not grow. */
    private Optional<Because> over(Laid laid) {
        Life life = consultation.life();
        OptionalDouble budget = life.budget();
        if (budget.isPresent() && laid.month > Math.max(budget.getAsDouble(), usual().month) + CENT) {
            return Optional.of(
                    Because.house("No money left for it: %.2f a month instead of %.2f, over the %.2f that there are."
                            .formatted(laid.month, usual().month, budget.getAsDouble())));
        }
        return laid.morning > Math.max(life.morningMinutes(), usual().morning)
                ? minutes(Part.MORNING, life.morningMinutes())
                : laid.evening > Math.max(life.eveningMinutes(), usual().evening)
                        ? minutes(Part.EVENING, life.eveningMinutes())
                        : Optional.empty();
    }

    private static Optional<Because> minutes(Part part, int limit) {
        return Optional.of(Because.house("No minutes left for it in the %d of the %s.".formatted(limit, part.words())));
    }

    /** As custom has it; laid out once, and only where something is held against it. */
    private Laid usual() {
        Laid known = usual;
        if (known == null) {
            known = laid(Room.of(ByAir.AS_USUAL));
            usual = known;
        }
        return known;
    }

    private Laid laid(Room room) {
        Layout by = layout.apply(room);
        List<BareStep> steps = Stream.concat(
                        by.bare(Part.MORNING, morning).stream(), by.bare(Part.EVENING, evening).stream())
                .toList();
        return new Laid(
                MonthCost.toBuy(consultation, steps),
                by.minutes(Part.MORNING, morning),
                by.minutes(Part.EVENING, evening));
    }
}
