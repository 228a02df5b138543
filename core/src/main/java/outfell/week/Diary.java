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
 * @param rhythm as it was set for her; as her method has it, where nobody set one
 * @param evenings of her own
 * @param courses of things that are not for ever, at most one for a product
 * @param byHand single evenings that the therapist has set
 * @param faces as they were read at the visits, in the order of their days
 */
public record Diary(
        CheckIn.Before before,
        List<CheckIn> checkIns,
        List<Pause> pauses,
        Optional<Rhythm> rhythm,
        List<HerEvening> evenings,
        List<Course> courses,
        List<HandNight> byHand,
        List<ReadFace> faces) {
    /** As in "3 December". */
    public static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.UK);

    /** Nothing happened, nights as the method has them. */
    public static final Diary NONE =
            new Diary(CheckIn.Before.UNKNOWN, List.of(), List.of(), Optional.empty(), List.of(), List.of(), List.of());

    /** One without the faces. */
    public Diary(
            CheckIn.Before before,
            List<CheckIn> checkIns,
            List<Pause> pauses,
            Optional<Rhythm> rhythm,
            List<HerEvening> evenings,
            List<Course> courses,
            List<HandNight> byHand) {
        this(before, checkIns, pauses, rhythm, evenings, courses, byHand, List.of());
    }

    public Diary {
        checkIns = checkIns.stream().sorted(Comparator.comparing(CheckIn::on)).toList();
        pauses = pauses.stream().sorted(Comparator.comparing(Pause::from)).toList();
        evenings = List.copyOf(evenings);
        courses = List.copyOf(courses);
        byHand = List.copyOf(byHand);
        faces = faces.stream().sorted(Comparator.comparing(ReadFace::on)).toList();
        if (courses.stream().map(Course::product).distinct().count() < courses.size()) {
            throw new IllegalArgumentException("A product has one course at a time; end the one before.");
        }
    }

    /** The same with a face in place of what was read on its day before. */
    public Diary with(ReadFace face) {
        return new Diary(
                before,
                checkIns,
                pauses,
                rhythm,
                evenings,
                courses,
                byHand,
                Stream.concat(faces.stream().filter(f -> !f.on().equals(face.on())), Stream.of(face))
                        .toList());
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
        List<Event> events = new ArrayList<>();
        for (Heard h : read(day)) {
            events.add(new Event(h.checkIn().on(), c -> c.heard(h)));
            h.checkIn().seen().ifPresent(x -> events.add(new Event(x.on(), c -> c.seen(h, x.on()))));
        }
        for (ReadFace f : faces) {
            // what is told on the day of a visit and is not calm counts for more than a face that looks so
            boolean toldOtherwise = checkIns.stream().anyMatch(c -> c.on().equals(f.on()) && !c.allLow());
            if (f.calm().isPresent() || !toldOtherwise) {
                events.add(new Event(f.on(), c -> c.read(f)));
            }
        }
        Stream.concat(faces.stream().map(ReadFace::on), checkIns.stream().map(CheckIn::on))
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

    /** Whether the face of a visit itself asks for a calm reset. */
    public boolean isAskedByTheFaceOf(LocalDate visit) {
        return faces.stream().anyMatch(f -> f.on().equals(visit) && f.calm().isPresent());
    }

    /**
     * The face as it is to be planned for: during a calm reset its barrier counts as broken, whatever it looks like. Where a
     * face of an earlier visit began it and the last one was read whole and is not calm yet, that is planned for as it is.
     */
    public SkinReading onto(SkinReading reading, LocalDate day) {
        return reset(day)
                .filter(r -> !isAskedByTheFaceOf(day))
                .filter(r -> !isAskedByTheFaceOf(r.on()) || !isStillWeakOn(day))
                .map(r -> {
                    List<ByHand> others = new ArrayList<>(reading.byHand().stream()
                            .filter(b -> b.verdict() != ByHand.Verdict.BARRIER)
                            .toList());
                    others.add(new ByHand(
                            ByHand.Verdict.BARRIER,
                            SkinVerdict.BarrierState.BROKEN.name(),
                            "a calm reset",
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

    /** Whether the last face that was read is whole and not calm. */
    private boolean isStillWeakOn(LocalDate day) {
        return faces.stream()
                .filter(f -> !f.on().isAfter(day))
                .reduce((_, later) -> later)
                .filter(f -> f.isWhole() && !f.look().calm())
                .isPresent();
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
