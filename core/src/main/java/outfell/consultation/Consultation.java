package outfell.consultation;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.Currency;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.climate.Air;
import outfell.climate.Site;
import outfell.conflict.Conflicts;
import outfell.method.Method;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.routine.Adjustment;
import outfell.routine.Part;
import outfell.safety.Answers;
import outfell.safety.PatchTest;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.season.Season;
import outfell.skin.Concern;
import outfell.skin.ProbeBands;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.RankedConcern;
import outfell.week.Diary;

/**
 * Everything a plan is made from. The same consultation gives the same plan.
 *
 * @param reading the face
 * @param answers of the safety screen
 * @param life how she lives
 * @param lifted concerns that matter to her
 * @param shelf what she owns
 * @param catalogue what the practice offers
 * @param site where she lives
 * @param month whose air the plan is for
 * @param byHand what the therapist has put in, taken out and changed
 * @param standing a plan that already stands: its steps are kept when they can be
 * @param patches patch tests and waivers, at most one for a product
 * @param house how this practice measures and weighs
 * @param diary what happened since the plan before began, and how her nights come round
 * @throws IllegalArgumentException when a product stands on the shelf twice
 */
public record Consultation(
        SkinReading reading,
        Answers answers,
        Life life,
        Set<Concern> lifted,
        List<Owned> shelf,
        List<Product> catalogue,
        Method method,
        Site site,
        Month month,
        ByHand byHand,
        Standing standing,
        List<Patched> patches,
        House house,
        Diary diary) {

    /**
     * @param weeks that she has used it; 0 when it is new to her
     * @param prescribedNights for a prescription: the prescriber's nights
     * @param opened the day on which its pack was opened, where somebody noted it
     * @param habit how she uses it now; absent where nobody said
     */
    public record Owned(
            Product product,
            int weeks,
            List<DayOfWeek> prescribedNights,
            Optional<LocalDate> opened,
            Optional<Habit> habit) {
        /** Nobody said how it is used. */
        public Owned(Product product, int weeks, List<DayOfWeek> prescribedNights, Optional<LocalDate> opened) {
            this(product, weeks, prescribedNights, opened, Optional.empty());
        }

        /** Nobody noted when it was opened. */
        public Owned(Product product, int weeks, List<DayOfWeek> prescribedNights) {
            this(product, weeks, prescribedNights, Optional.empty());
        }

        /**
         * The routines in which she does what no plan chooses by itself: her own, else those of its kind. None for what she has stopped,
         * and for all that a plan chooses.
         */
        public List<Part> hers() {
            if (!product.kind().onlyHers()
                    || habit.filter(h -> h.daysAWeek() == 0).isPresent()) {
                return List.of();
            }
            List<Part> usual = Hers.of(product.kind()).parts();
            List<Part> own = usual.stream()
                    .filter(p -> habit.isEmpty() || habit.get().in(p))
                    .toList();
            boolean byMorning =
                    own.isEmpty() && habit.isPresent() && habit.get().in(Part.MORNING);
            return byMorning && product.maskOfADay() ? List.of(Part.MORNING) : own.isEmpty() ? usual : own;
        }

        /** Whether she says that it leaves her skin tight. */
        public boolean leavesTight() {
            return habit.flatMap(Habit::leavesTight).orElse(false);
        }

        /** Days a week of the same: her own, no more than its kind is for. */
        public int hersAWeek() {
            Hers of = Hers.of(product.kind());
            return Math.min(of.most(), habit.map(Habit::daysAWeek).orElse(of.usual()));
        }

        public Owned {
            if (weeks < 0) {
                throw new IllegalArgumentException("Weeks of use cannot be %d.".formatted(weeks));
            }
            if (product.prescription() && prescribedNights.isEmpty()) {
                throw new IllegalArgumentException(
                        "%s is prescribed, so its nights are needed: ask for the prescriber's."
                                .formatted(product.name()));
            }
            prescribedNights = prescribedNights.stream().distinct().sorted().toList();
        }
    }

    /**
     * @param daysAWeek 0 to 7
     * @param leavesTight of a wash: whether the skin is tight ten minutes after it; absent where nobody asked
     */
    public record Habit(boolean morning, boolean evening, int daysAWeek, Optional<Boolean> leavesTight) {
        /** Nobody asked whether it leaves the skin tight. */
        public Habit(boolean morning, boolean evening, int daysAWeek) {
            this(morning, evening, daysAWeek, Optional.empty());
        }

        boolean in(Part part) {
            return part == Part.MORNING ? morning : evening;
        }
    }

    /**
     * A plan that already stands.
     *
     * @param steps its steps, each counted like a thing she owns
     * @param weeks for which she will have used it
     * @param before weeks for which a product had been in use when that began; absent for none
     */
    public record Standing(Set<Choice> steps, int weeks, Map<ProductId, Integer> before) {
        public static final Standing NONE = new Standing(Set.of(), 0);

        public Standing {
            steps = Set.copyOf(steps);
            before = Map.copyOf(before);
        }

        public Standing(Set<Choice> steps, int weeks) {
            this(steps, weeks, Map.of());
        }

        public boolean has(ProductId product) {
            return steps.stream().anyMatch(s -> s.product().equals(product));
        }

        /** The same after another plan, whose weeks count on. */
        private Standing after(Standing earlier) {
            Map<ProductId, Integer> all = new HashMap<>(before);
            earlier.before().forEach((p, w) -> all.merge(p, w, Math::max));
            return new Standing(steps, weeks, all);
        }
    }

    /**
     * What a patch test says of a product, or who did without one.
     *
     * @param test absent when none was started
     * @param waiver absent when nobody waived it
     */
    public record Patched(ProductId product, Optional<PatchTest.Verdict> test, Optional<Waiver> waiver) {}

    /** A patch test done without. */
    public record Waiver(String who, String why, LocalDate on) {
        public Waiver {
            if (who.isBlank() || why.isBlank()) {
                throw new IllegalArgumentException("Doing without a patch test needs who decides it and why.");
            }
        }
    }

    /** A product in one of the two routines. */
    public record Choice(Part part, ProductId product) {}

    /**
     * What the therapist has decided herself.
     *
     * @param pins products put in, or kept when planning again
     * @param left products taken out, by routine
     * @param adjustments steps changed, which keeps them too
     */
    public record ByHand(List<Choice> pins, List<Choice> left, List<Adjustment> adjustments) {
        public static final ByHand NOTHING = new ByHand(List.of(), List.of(), List.of());

        public ByHand {
            pins = List.copyOf(pins);
            left = List.copyOf(left);
            adjustments = List.copyOf(adjustments);
        }

        /** Steps that planning again keeps: put in, or changed. */
        public List<Choice> kept() {
            return Stream.concat(pins.stream(), adjustments.stream().map(a -> new Choice(a.part(), a.product())))
                    .distinct()
                    .toList();
        }

        public ByHand with(Choice pin) {
            return new ByHand(added(pins, pin), left, adjustments);
        }

        /** One step changed in place of what was changed on it before. */
        public ByHand with(Adjustment change) {
            List<Adjustment> others = new ArrayList<>(adjustments.stream()
                    .filter(a -> a.part() != change.part() || !a.product().equals(change.product()))
                    .toList());
            others.add(change);
            return new ByHand(pins, left, others);
        }

        ByHand without(Choice out) {
            return new ByHand(
                    pins.stream().filter(p -> !p.equals(out)).toList(),
                    added(left, out),
                    adjustments.stream()
                            .filter(a -> a.part() != out.part() || !a.product().equals(out.product()))
                            .toList());
        }

        private static List<Choice> added(List<Choice> to, Choice one) {
            List<Choice> more = new ArrayList<>(to);
            more.add(one);
            return more;
        }
    }

    /**
     * The settings of a practice.
     *
     * @param bands of its probe
     * @param yardstick by which it chooses
     * @param conflicts what may meet, by the schools that it follows
     */
    public record House(ProbeBands bands, Yardstick yardstick, Conflicts conflicts, Currency currency) {
        public static final House SHIPPED =
                new House(ProbeBands.SHIPPED, Yardstick.SHIPPED, Conflicts.SHIPPED, Currency.getInstance("EUR"));

        /** What ships, in this house's currency: money is no rule. */
        public House asShipped() {
            return new House(SHIPPED.bands, SHIPPED.yardstick, SHIPPED.conflicts, currency);
        }

        public House with(Yardstick other) {
            return new House(bands, other, conflicts, currency);
        }

        public String money(double amount) {
            return Money.words(amount, currency);
        }
    }

    public Consultation {
        lifted = Set.copyOf(lifted);
        shelf = List.copyOf(shelf);
        catalogue = List.copyOf(catalogue);
        patches = List.copyOf(patches);
        Set<ProductId> once = new HashSet<>();
        for (Owned owned : shelf) {
            if (!once.add(owned.product().id())) {
                throw new IllegalArgumentException("%s stands on the shelf twice."
                        .formatted(owned.product().name()));
            }
        }
    }

    /** Its parts, to put some of them otherwise. */
    public Parts parts() {
        return new Parts(this);
    }

    public Consultation in(Month other) {
        return parts().month(other).together();
    }

    public Consultation by(Method other) {
        return parts().method(other).together();
    }

    public Consultation keeping(Standing plan) {
        return parts().standing(plan.after(standing)).together();
    }

    public Consultation with(Choice pin) {
        return by(byHand.with(pin));
    }

    /** What the air of its month asks of this skin. */
    public Asked ask(SkinVerdict skin, SafetyVerdict safety) {
        return ask(Air.of(site.in(month), life.stays()), month, skin, safety);
    }

    /** What another air asks of it, at her hours of that month. */
    public Asked ask(Air air, Month of, SkinVerdict skin, SafetyVerdict safety) {
        return Season.ask(
                air,
                new Asked.Wearer(
                        skin,
                        reading.history().swings(),
                        life.outdoorHours(of),
                        life.places().contains(Life.Place.SEA),
                        safety.sun().least().map(l -> new Asked.Least(l.spf(), l.because())),
                        safety.sun().noNewAcid(),
                        skin.concerns().stream().map(RankedConcern::concern).toList()),
                house.yardstick().still());
    }

    /** What leaves her skin tight, as she says. */
    public Set<ProductId> leavesTight() {
        return shelf.stream()
                .filter(Owned::leavesTight)
                .map(o -> o.product().id())
                .collect(Collectors.toSet());
    }

    /** Whether it stands on her shelf. */
    public boolean owns(ProductId id) {
        return shelf.stream().anyMatch(o -> o.product().id().equals(id));
    }

    /** A product on the shelf or in the catalogue. */
    public Optional<Product> find(ProductId id) {
        return Stream.concat(shelf.stream().map(Owned::product), catalogue.stream())
                .filter(p -> p.id().equals(id))
                .findFirst();
    }

    /** The same with a product taken out of a routine by hand. */
    public Consultation leaving(Choice out) {
        return by(byHand.without(out));
    }

    public Consultation by(ByHand other) {
        return parts().byHand(other).together();
    }

    public Consultation living(Life other) {
        return parts().life(other).together();
    }

    /** Shelf and catalogue together; a product on the shelf stands before its twin in the catalogue. */
    public List<Product> products() {
        List<Product> all = new ArrayList<>(shelf.stream().map(Owned::product).toList());
        Set<ProductId> owned = Set.copyOf(all.stream().map(Product::id).toList());
        catalogue.stream().filter(p -> !owned.contains(p.id())).forEach(all::add);
        return all;
    }
}
