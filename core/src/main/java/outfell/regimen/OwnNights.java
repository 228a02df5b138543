package outfell.regimen;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import outfell.aims.Candidate;
import outfell.aims.Rations;
import outfell.aims.Uses;
import outfell.aims.Weigher;
import outfell.consultation.Consultation;
import outfell.consultation.Hers;
import outfell.hand.Adjustments;
import outfell.knowledge.Because;
import outfell.product.ActiveKind;
import outfell.product.Direction;
import outfell.product.Directions;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.routine.Adjustment;
import outfell.routine.Condition;
import outfell.routine.Layout;
import outfell.routine.Part;
import outfell.season.Asked;
import outfell.week.Tolerance;

/** On which nights of the round what was chosen is used that is not for every night, and why on those. */
final class OwnNights {
    private static final Because NO_DAY =
            Because.house("No day of the week bears it beside what the evenings have; the Sunday is taken.");

    private final Consultation consultation;
    private final Asked asked;
    private final Tolerance tolerance;
    private final Uses uses;
    private final Adjustments adjustments;
    private final Weigher weigher;
    private final Rations rations;

    OwnNights(
            Consultation consultation,
            Asked asked,
            Tolerance tolerance,
            Uses uses,
            Adjustments adjustments,
            Weigher weigher,
            Rations rations) {
        this.consultation = consultation;
        this.asked = asked;
        this.tolerance = tolerance;
        this.uses = uses;
        this.adjustments = adjustments;
        this.weigher = weigher;
        this.rations = rations;
    }

    /** By product, the nights of what has its own, with their reason. */
    Map<ProductId, Layout.OnNights> of(List<Candidate> morning, List<Candidate> evening) {
        List<Candidate> rationed = rationed(evening);
        List<Candidate> byMorning = byMorning(morning, rationed);
        List<Candidate> everyDay = Stream.concat(morning.stream(), evening.stream())
                .filter(c -> !rationed.contains(c) && !byMorning.contains(c))
                .toList();
        NightsOf all = new NightsOf(rations, consultation, everyDay);
        NightsOf.Found found = all.always(
                rationed.stream().map(c -> asking(c, fixed(c.product()))).toList());
        Map<ProductId, Layout.OnNights> nights = new LinkedHashMap<>();
        for (int i = 0; i < rationed.size(); i++) {
            Candidate c = rationed.get(i);
            nights.put(
                    c.product().id(),
                    new Layout.OnNights(
                            condition(c.product()).isPresent()
                                    ? found.mayBe(i, consultation.answers().today())
                                    : found.days(i, consultation.answers().today()),
                            nightsBecause(c, found, i),
                            found.often(i)));
        }
        nights.putAll(mornings(byMorning, rationed, all, nights));
        nights.putAll(AcidAsToner.toners(
                consultation.method(),
                evening.stream()
                        .map(Candidate::product)
                        // on which evenings it is used nobody can say: the toner stands on all
                        .filter(p -> condition(p).isEmpty())
                        .toList(),
                nights));
        return nights;
    }

    private static NightsOf.Asking asking(Candidate c, List<DayOfWeek> fixed) {
        return new NightsOf.Asking(c.product(), c.uses(), fixed, LocalDate.MIN);
    }

    /** What is for some days and stands in the morning alone. */
    private static List<Candidate> byMorning(List<Candidate> morning, List<Candidate> evening) {
        return morning.stream()
                .filter(Candidate::rationed)
                .filter(c -> evening.stream()
                        .noneMatch(e -> e.product().id().equals(c.product().id())))
                .sorted(Comparator.comparing(c -> c.product().id()))
                .toList();
    }

    /** Its days lie round the nights of the evening, which stay as they are. */
    private Map<ProductId, Layout.OnNights> mornings(
            List<Candidate> byMorning, List<Candidate> rationed, NightsOf all, Map<ProductId, Layout.OnNights> nights) {
        Map<ProductId, Layout.OnNights> days = new LinkedHashMap<>();
        if (byMorning.isEmpty()) {
            return days;
        }
        NightsOf.Found found = all.always(Stream.concat(
                        rationed.stream()
                                .map(c -> asking(
                                        c,
                                        Objects.requireNonNull(
                                                        nights.get(c.product().id()))
                                                .nights())),
                        byMorning.stream().map(c -> asking(c, List.of())))
                .toList());
        // where its evenings are others each week no weekday is free of them
        boolean weekly = nights.values().stream().allMatch(n -> n.often().isEmpty());
        for (int i = 0; i < byMorning.size(); i++) {
            Candidate c = byMorning.get(i);
            int thing = rationed.size() + i;
            List<DayOfWeek> free = found.days(thing, consultation.answers().today());
            days.put(
                    c.product().id(),
                    free.isEmpty()
                            ? new Layout.OnNights(List.of(DayOfWeek.SUNDAY), NO_DAY)
                            : new Layout.OnNights(free, dayBecause(c, weekly && !found.shares(thing))));
        }
        return days;
    }

    private static Because dayBecause(Candidate c, boolean alone) {
        return Because.custom("%s%s: it is an extra, not a daily step."
                .formatted(
                        c.uses() == 1 ? "Once a week" : "%d days a week".formatted(c.uses()),
                        alone ? ", on a day whose evening has no strong step" : ""));
    }

    /** What has nights of its own, what does most for the client first. */
    List<Candidate> rationed(List<Candidate> evening) {
        return evening.stream()
                .filter(c -> c.rationed() || uses.ledUpTo(c.product()))
                .sorted(Comparator.comparingInt((Candidate c) -> -weigher.worth(c.product(), c.uses()))
                        .thenComparing(c -> c.product().id()))
                .toList();
    }

    /** The prescriber's nights, or hers. */
    List<DayOfWeek> fixed(Product p) {
        return p.prescription() ? uses.prescribedNights(p) : byHand(p).nights();
    }

    /** The condition that she has put upon it in the evening. */
    Optional<Condition> condition(Product p) {
        return byHand(p).when();
    }

    private Adjustment byHand(Product p) {
        return Adjustment.of(adjustments.followed(), Part.EVENING, p.id());
    }

    private Because nightsBecause(Candidate c, NightsOf.Found found, int thing) {
        if (c.product().prescription()) {
            return new Because("The prescriber's nights.", outfell.knowledge.Evidence.CONTROLLED, "label");
        }
        if (!c.rationed()) {
            return Because.custom(
                    "Every other night at first: it is new and dries; daily once the skin is used to it.");
        }
        String often = c.uses() == 1 ? "Once a week" : "%d nights a week".formatted(c.uses());
        Directions.Told times = c.product().directions().told().get(Direction.TIMES);
        if (times != null && uses.keptByPack(c.product())) {
            return times.because()
                    .withSentence("%s, as its pack says. %s"
                            .formatted(often, times.because().sentence()));
        }
        if (c.product().kind().onlyHers() && !c.product().strong()) {
            Because hers = Hers.of(c.product().kind()).because();
            return hers.withSentence("%s. %s".formatted(often, hers.sentence()));
        }
        String alone = found.shares(thing) ? "" : "; no other strong step shares its night";
        if (c.beginner()) {
            return tolerance
                    .because()
                    .withSentence("%s at first: it is new, and a %s skin is led up to it%s.%s"
                            .formatted(often, tolerance.label(), alone, found.fewer(thing)));
        }
        String since = uses.countedAsUsed(c.product())
                .map(weeks -> " Counted as in use for %d weeks, as the plan kept before says.".formatted(weeks))
                .orElse("");
        String halved = asked.exfoliantsHalved().yes() && !c.product().has(ActiveKind.RETINOID)
                ? " " + asked.exfoliantsHalved().because().sentence()
                : "";
        return tolerance
                .because()
                .withSentence("%s: what a %s skin bears%s.%s%s%s"
                        .formatted(often, tolerance.label(), alone, found.fewer(thing), halved, since));
    }
}
