package outfell.regimen;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import outfell.causes.Ladder;
import outfell.consultation.Consultation;
import outfell.hand.Refusal;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.skin.SkinReader;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict;
import outfell.week.ReadFace;
import outfell.week.Tolerance;

/** The front door of the core: a consultation in, a regimen or a referral out. Pure and deterministic. */
public final class Planner {
    private Planner() {}

    /** What the air asks, of the client's skin and safety. */
    @FunctionalInterface
    public interface Airing {
        Asked ask(Consultation consultation, SkinVerdict skin, SafetyVerdict safety);
    }

    public static Outcome plan(Consultation consultation) {
        return plan(consultation, Consultation::ask);
    }

    /** The same in air that asks otherwise, to find out what the air has done. */
    public static Outcome plan(Consultation consultation, Airing airing) {
        return read(consultation).plan(airing);
    }

    public static Read read(Consultation consultation) {
        SkinVerdict face = skin(consultation, consultation.reading());
        Consultation with = withItsFace(consultation, face);
        // a calm reset that is on counts as a broken barrier, whatever the face looks like
        SkinReading counted = with.diary().onto(with.reading(), with.answers().today());
        return Read.of(with, counted.equals(with.reading()) ? face : skin(with, counted));
    }

    /** The face of the visit is one of those by which a calm reset begins and ends. */
    private static Consultation withItsFace(Consultation consultation) {
        return withItsFace(consultation, skin(consultation, consultation.reading()));
    }

    private static Consultation withItsFace(Consultation consultation, SkinVerdict skin) {
        return consultation
                .parts()
                .diary(consultation
                        .diary()
                        .with(ReadFace.of(consultation.answers().today(), consultation.reading(), skin.barrier())))
                .together();
    }

    private static Outcome plan(Consultation consultation, SkinReading face, Airing airing) {
        return plan(consultation, skin(consultation, face), airing);
    }

    private static SkinVerdict skin(Consultation consultation, SkinReading face) {
        return SkinReader.read(face, consultation.lifted(), consultation.house().bands());
    }

    private static Outcome plan(Consultation consultation, SkinVerdict skin, Airing airing) {
        return Read.of(consultation, skin).plan(airing);
    }

    /** The ladders of the consultation's plan; none where there is no plan. */
    public static List<Ladder> ladders(Consultation consultation) {
        Read read = read(consultation);
        return read.refers() ? List.of() : read.draft(Consultation::ask).ladders();
    }

    /**
     * The consultation's plan in time; none where there is no plan.
     *
     * @param now the day on which it is looked at: what happened until then has its effect
     */
    public static Optional<Weeks> weeks(Consultation consultation, LocalDate now) {
        Consultation read = withItsFace(consultation);
        // what comes back after a calm reset is known from the plan without it
        return read.diary().isAskedByTheFaceOf(read.answers().today())
                        && plan(read, read.reading(), Consultation::ask) instanceof Outcome.Planned calm
                ? inTime(afterCalm(read, calm.regimen()), now)
                : inTime(read, now);
    }

    private static Optional<Weeks> inTime(Consultation consultation, LocalDate now) {
        SkinVerdict skin = withoutReset(consultation);
        Read read = Read.of(consultation, skin);
        if (!(read.plan(Consultation::ask) instanceof Outcome.Planned planned)) {
            return Optional.empty();
        }
        return Optional.of(read.draft(Consultation::ask)
                .weeks(now, queue(consultation, planned.regimen(), now), calm(consultation, now)));
    }

    /** The face as it is without a calm reset, be it that one is on or that the face itself asks for one. */
    private static SkinVerdict withoutReset(Consultation consultation) {
        SkinVerdict skin = skin(consultation, consultation.reading());
        return skin.barrier().calmReset() ? skin.calmed() : skin;
    }

    /** Where the face asks for a calm reset: nothing is new after it, the next visit reads the face before anything is. */
    private static Consultation afterCalm(Consultation consultation, Regimen calm) {
        Set<ProductId> kept = Set.copyOf(calm.products());
        return consultation
                .parts()
                .catalogue(consultation.catalogue().stream()
                        .filter(p -> kept.contains(p.id()))
                        .toList())
                .together();
    }

    /** What is begun after what is begun now: the plan is made again as it would be when the skin is used to that. */
    private static List<WeekByWeek.Queued> queue(Consultation consultation, Regimen first, LocalDate now) {
        LocalDate from = consultation.answers().today();
        LocalDate anchor = WeekByWeek.anchor(consultation, now);
        LocalDate until = anchor.plusWeeks(WeekByWeek.weeksFrom(anchor, now));
        List<WeekByWeek.Queued> queue = new ArrayList<>();
        Set<ProductId> known = new HashSet<>(first.products());
        Regimen standing = first;
        LocalDate day = from.plusDays(Tolerance.DAYS_BETWEEN_NEW);
        boolean more = consultation.diary().reset(now).isEmpty();
        while (more && day.isBefore(until)) {
            int weeks = (int) ChronoUnit.WEEKS.between(from, day);
            Consultation later = consultation
                    .keeping(new Consultation.Standing(standing.choices(), weeks))
                    .in(day.getMonth());
            Optional<Product> next = Optional.empty();
            // what would put another strong thing out is for the next visit to decide
            if (plan(later, withoutReset(later), Consultation::ask) instanceof Outcome.Planned planned
                    && planned.regimen().products().containsAll(strong(later, standing))) {
                next = planned.regimen().evening().steps().stream()
                        .map(s -> later.find(s.product()).orElseThrow())
                        .filter(p -> p.rationed() && !p.kind().comesOff() && !known.contains(p.id()))
                        .findFirst();
                standing = planned.regimen();
            }
            if (next.isPresent()) {
                known.add(next.get().id());
                queue.add(new WeekByWeek.Queued(next.get(), day));
            }
            more = next.isPresent();
            day = day.plusDays(Tolerance.DAYS_BETWEEN_NEW);
        }
        return queue;
    }

    private static Set<ProductId> strong(Consultation consultation, Regimen regimen) {
        return regimen.products().stream()
                .filter(id -> consultation.find(id).filter(Product::rationed).isPresent())
                .collect(Collectors.toSet());
    }

    /** What is done while a calm reset is on. */
    private static Optional<Regimen> calm(Consultation consultation, LocalDate now) {
        if (consultation.diary().reset(now).isEmpty()) {
            return Optional.empty();
        }
        SkinReading calm = consultation.diary().onto(consultation.reading(), now);
        return plan(consultation, calm, Consultation::ask) instanceof Outcome.Planned planned
                ? Optional.of(planned.regimen())
                : Optional.empty();
    }

    /** What the steps of the consultation's plan do to one another, gravest first, each with what mends it. */
    public static List<Findings.Met> findings(Consultation consultation) {
        return Findings.of(consultation);
    }

    /** Why a product may not be put into this plan by hand, or nothing when it may. */
    public static Optional<Refusal> refusal(Consultation consultation, Consultation.Choice pin) {
        if (!(plan(consultation.with(pin)) instanceof Outcome.Planned planned)) {
            return Optional.of(new Refusal(
                    pin.part(), pin.product(), "", Because.house("No plan is made until the referral is settled.")));
        }
        return planned.regimen().refusals().stream()
                .filter(r -> r.part() == pin.part() && r.product().equals(pin.product()))
                .findFirst();
    }
}
