package outfell.year;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import outfell.consultation.Consultation;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.regimen.Regimen;
import outfell.routine.Step;
import outfell.supply.Supply;
import outfell.supply.Supply.End;
import outfell.year.Bottle.BottlePack;

/** How long the packs of a year last, day by day: by what its stretches use, and by how long they keep once opened. */
final class Bottles {
    private static final double FULL = 100;
    private static final double DAYS_A_WEEK = 7;

    private final Consultation consultation;
    private final List<Stretch> stretches;
    private final Map<ProductId, Supply.Pack> packs;

    /** @param packs in use, by product; a product of hers without one is taken as full and opened on the first day */
    Bottles(Consultation consultation, List<Stretch> stretches, Map<ProductId, Supply.Pack> packs) {
        this.consultation = consultation;
        this.stretches = stretches;
        this.packs = packs;
    }

    /** Of all that some stretch uses: sunscreens, then what is bought most often. */
    List<Bottle> all() {
        Set<ProductId> met = new LinkedHashSet<>();
        stretches.forEach(s -> s.plan().steps().map(Step::product).forEach(met::add));
        return met.stream()
                .flatMap(id -> consultation.find(id).stream())
                .filter(p -> !p.prescription())
                .map(this::bottle)
                .sorted(Comparator.comparing((Bottle b) -> b.kind() != StepKind.SUNSCREEN)
                        .thenComparing(b -> -b.bought()))
                .toList();
    }

    private Bottle bottle(Product p) {
        List<BottlePack> all = packs(p, true);
        int bought = bought(all);
        int again = p.kind() == StepKind.SUNSCREEN ? bought - bought(packs(p, false)) : 0;
        OptionalDouble cost =
                p.price() > 0 && !all.isEmpty() ? OptionalDouble.of(bought * p.price()) : OptionalDouble.empty();
        return new Bottle(p.id(), p.name(), p.kind(), all, bought, again, cost, again * p.price());
    }

    /** @param again whether a sunscreen is put on as often as the air asks, or once a day */
    private List<BottlePack> packs(Product p, boolean again) {
        return Supply.net(p) > 0 ? new Shelf(p, again).packs() : List.of();
    }

    private static int bought(List<BottlePack> all) {
        return (int) all.stream().filter(k -> !k.hers()).count();
    }

    /** One product's packs, one after another. */
    private final class Shelf {
        private final Product product;
        private final boolean again;
        private final List<BottlePack> done = new ArrayList<>();
        private final LocalDate first = stretches.getFirst().from();
        private final LocalDate last = stretches.getLast().until();
        private boolean open;
        private boolean hers;
        private LocalDate since = first;
        private double left;
        private Optional<LocalDate> past = Optional.empty();

        Shelf(Product product, boolean again) {
            this.product = product;
            this.again = again;
            if (consultation.owns(product.id())) {
                Optional<Supply.Pack> pack = Optional.ofNullable(packs.get(product.id()));
                open = true;
                hers = true;
                left = Supply.net(product) * pack.map(Supply.Pack::left).orElse(FULL) / FULL;
                past = pack.flatMap(Supply.Pack::opened).map(d -> Supply.pastItsTime(product, d));
            }
        }

        List<BottlePack> packs() {
            for (Stretch stretch : stretches) {
                double used = aDay(stretch);
                for (LocalDate day = stretch.from(); day.isBefore(stretch.until()); day = day.plusDays(1)) {
                    pass(day, used);
                }
            }
            if (open) {
                done.add(new BottlePack(since, last, End.NOT_KNOWN, true, hers));
            }
            return done;
        }

        private void pass(LocalDate day, double used) {
            if (open && past.filter(d -> !day.isBefore(d)).isPresent()) {
                ends(day, End.PAST_ITS_TIME);
            }
            if (used == 0) {
                return;
            }
            if (!open) {
                open = true;
                hers = false;
                since = day;
                left = Supply.net(product);
                past = Optional.of(Supply.pastItsTime(product, day));
            }
            left -= used;
            if (left <= 0) {
                ends(day.plusDays(1), End.EMPTY);
            }
        }

        private void ends(LocalDate day, End end) {
            done.add(new BottlePack(since, day.isAfter(last) ? last : day, end, false, hers));
            open = false;
        }

        /** Grams or millilitres a day, the sunscreen as often as it is put on again. */
        private double aDay(Stretch stretch) {
            Regimen plan = stretch.plan();
            double week = Supply.gramsAWeek(plan.steps().toList()).getOrDefault(product.id(), 0.0);
            boolean coats = again && product.kind() == StepKind.SUNSCREEN;
            return week / DAYS_A_WEEK * (coats ? coats(stretch) : 1);
        }
    }

    /** Coats of sunscreen a day: the first, and one for every so many hours outdoors. */
    private int coats(Stretch stretch) {
        int every = stretch.plan().asked().sunAgain().value();
        double hours = consultation.life().outdoorHours(stretch.from().getMonth());
        return every == 0 ? 1 : 1 + (int) Math.floor(hours / every);
    }
}
