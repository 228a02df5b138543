package outfell.week;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.skin.ByHand;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict;

/**
 * What happened to the skin and to her days since the plan began, and how her nights come round.
 *
 * @param before redness and flaking as they were read when the plan began
 * @param checkIns in the order of their days
 * @param evenings of her own
 * @param courses of things that are not for ever, at most one for a product
 * @param byHand single evenings that the therapist has set
 * @param byFace the calm reset that the face itself asked for on the day of the visit; absent when it did not
 */
public record Diary(
        CheckIn.Before before,
        List<CheckIn> checkIns,
        List<Pause> pauses,
        Rhythm rhythm,
        List<HerEvening> evenings,
        List<Course> courses,
        List<HandNight> byHand,
        Optional<Calming.Begun> byFace) {
    /** As in "3 December". */
    public static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.UK);

    /** Nothing happened, nights by weekday. */
    public static final Diary NONE =
            new Diary(CheckIn.Before.UNKNOWN, List.of(), List.of(), Rhythm.weekly(), List.of(), List.of(), List.of());

    /** One whose face asked for no calm reset. */
    public Diary(
            CheckIn.Before before,
            List<CheckIn> checkIns,
            List<Pause> pauses,
            Rhythm rhythm,
            List<HerEvening> evenings,
            List<Course> courses,
            List<HandNight> byHand) {
        this(before, checkIns, pauses, rhythm, evenings, courses, byHand, Optional.empty());
    }

    public Diary {
        checkIns = checkIns.stream().sorted(Comparator.comparing(CheckIn::on)).toList();
        pauses = pauses.stream().sorted(Comparator.comparing(Pause::from)).toList();
        evenings = List.copyOf(evenings);
        courses = List.copyOf(courses);
        byHand = List.copyOf(byHand);
        if (courses.stream().map(Course::product).distinct().count() < courses.size()) {
            throw new IllegalArgumentException("A product has one course at a time; end the one before.");
        }
    }

    /** The same with a calm reset that the face asks for. */
    public Diary calmedBy(Calming.Begun face) {
        return new Diary(before, checkIns, pauses, rhythm, evenings, courses, byHand, Optional.of(face));
    }

    /** A check-in with what it asks, held against the one before. */
    public record Heard(CheckIn checkIn, CheckIn.Says says, Because because) {}

    /** Every check-in up to a day with what it asks. */
    public List<Heard> read(LocalDate until) {
        List<Heard> all = new ArrayList<>();
        CheckIn.Before then = before;
        for (CheckIn c : checkIns) {
            if (!c.on().isAfter(until)) {
                all.add(new Heard(c, c.says(then), c.because(then)));
                then = new CheckIn.Before(
                        c.redness().isPresent() ? c.redness() : then.redness(),
                        c.flaking().isPresent() ? c.flaking() : then.flaking());
            }
        }
        return all;
    }

    /** The calm reset as it stands on a day. */
    public Calming calming(LocalDate day) {
        record Event(LocalDate on, UnaryOperator<Calming> then) {}
        List<Heard> heard = read(day);
        List<Event> events = new ArrayList<>();
        byFace.ifPresent(f -> events.add(new Event(f.on(), c -> c.begin(f))));
        for (Heard h : heard) {
            events.add(new Event(h.checkIn().on(), c -> c.heard(h)));
            h.checkIn().seen().ifPresent(x -> events.add(new Event(x.on(), c -> c.seen(h, x.on()))));
        }
        Stream.concat(
                        byFace.stream().map(Calming.Begun::on),
                        heard.stream().map(h -> h.checkIn().on()))
                .map(Calming::soonest)
                .forEach(on -> events.add(new Event(on, c -> c.endedBy(on))));
        Calming now = Calming.NONE;
        for (Event e : events.stream()
                .filter(e -> !e.on().isAfter(day))
                .sorted(Comparator.comparing(Event::on))
                .toList()) {
            now = e.then().apply(now);
        }
        return now;
    }

    /** What began the calm reset that is on; none when none is. */
    public Optional<Calming.Begun> reset(LocalDate day) {
        return calming(day).begun();
    }

    /** The face as it is to be planned for: during a calm reset its barrier counts as broken, whatever it looks like. */
    public SkinReading onto(SkinReading reading, LocalDate day) {
        return reset(day)
                .map(r -> {
                    List<ByHand> others = new ArrayList<>(reading.byHand().stream()
                            .filter(b -> b.verdict() != ByHand.Verdict.BARRIER)
                            .toList());
                    others.add(new ByHand(
                            ByHand.Verdict.BARRIER,
                            SkinVerdict.BarrierState.BROKEN.name(),
                            "the check-in",
                            r.because().sentence()));
                    return new SkinReading(
                            reading.observations(),
                            reading.probe(),
                            reading.conditions(),
                            reading.history(),
                            reading.events(),
                            reading.settlements(),
                            others);
                })
                .orElse(reading);
    }

    /** The step back that holds on a day: the newest that began no longer ago than it lasts. */
    public Optional<Heard> stepBack(LocalDate day) {
        return read(day).stream()
                .filter(r -> r.says() == CheckIn.Says.STEP_BACK
                        && day.isBefore(r.checkIn().on().plusWeeks(CheckIn.WEEKS_BACK)))
                .reduce((a, b) -> b);
    }

    /** Why a product stays off on an evening: a pause, an evening of hers, a course that is not on. */
    public Optional<Because> keepsOff(Product p, LocalDate evening) {
        return pauses.stream()
                .filter(x -> x.keepsOff(p, evening))
                .map(x -> x.kind().because())
                .findFirst()
                .or(() -> evenings.stream()
                        .filter(x -> x.keepsOff(p, evening))
                        .map(x -> x.kind().because())
                        .findFirst())
                .or(() -> courses.stream()
                        .filter(c -> c.product().equals(p.id()) && !c.isOn(evening))
                        .map(c -> c.because(evening))
                        .findFirst());
    }

    /** Whether an evening of hers does without a kind of step. */
    public boolean doesWithout(StepKind kind, LocalDate evening) {
        return evenings.stream().anyMatch(x -> x.kind().leavesOut().contains(kind) && x.isOn(evening));
    }

    /** The latest check-in up to a day. */
    public Optional<LocalDate> lastCheckIn(LocalDate until) {
        return checkIns.stream().map(CheckIn::on).filter(d -> !d.isAfter(until)).reduce((a, b) -> b);
    }
}
