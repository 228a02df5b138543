package outfell.server.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import outfell.product.ProductId;
import outfell.skin.Sign;
import outfell.week.CheckIn;
import outfell.week.Course;
import outfell.week.Diary;
import outfell.week.HandNight;
import outfell.week.HerEvening;
import outfell.week.Pause;
import outfell.week.Rhythm;

/** What happens to a client between visits, from documents; what the schema cannot say is checked here. */
public final class Diaries {
    private Diaries() {}

    /**
     * @param face as it was read when the plan began
     */
    public static Diary diary(
            CaseDocument.@Nullable Week week,
            List<CheckIn> checkIns,
            List<Pause> pauses,
            CaseDocument.@Nullable Reading face) {
        CaseDocument.Week w = week == null ? CaseDocument.Week.USUAL : week;
        return new Diary(
                face == null
                        ? CheckIn.Before.UNKNOWN
                        : new CheckIn.Before(worst(face, Sign.REDNESS), worst(face, Sign.FLAKING)),
                checkIns,
                pauses,
                rhythm(w),
                evenings(w.evenings()),
                Cases.each("/week/courses", w.courses(), CaseDocument.CourseOf::product, Diaries::course),
                Cases.each(
                        "/week/byHand",
                        w.byHand(),
                        n -> "%s on %s".formatted(n.product(), n.date()),
                        n -> new HandNight(
                                new ProductId(n.product()),
                                n.date(),
                                n.on(),
                                n.why().strip())));
    }

    private static OptionalInt worst(CaseDocument.Reading face, Sign sign) {
        return face.grades().stream()
                .filter(g -> g.sign() == sign)
                .mapToInt(CaseDocument.Grade::grade)
                .max();
    }

    private static Optional<Rhythm> rhythm(CaseDocument.Week w) {
        Integer every = w.every();
        return every == null ? Optional.empty() : Optional.of(rhythm(every, w.first()));
    }

    private static Rhythm rhythm(int every, @Nullable LocalDate first) {
        return Cases.at("/week/every", () -> {
            if (every == Rhythm.WEEK) {
                return Rhythm.weekly();
            }
            if (first == null) {
                throw new IllegalArgumentException(
                        "Nights that come again after %d need a first night.".formatted(every));
            }
            return new Rhythm(every, first);
        });
    }

    private static List<HerEvening> evenings(List<CaseDocument.OwnEvening> evenings) {
        return Cases.each(
                "/week/evenings",
                evenings,
                e -> "%s on %s".formatted(e.kind(), e.weekday() == null ? e.date() : e.weekday()),
                e -> new HerEvening(
                        HerEvening.kind(e.kind())
                                .orElseThrow(() -> unknown("evening", e.kind(), ids(HerEvening.kinds()))),
                        Optional.ofNullable(e.weekday()),
                        Optional.ofNullable(e.date())));
    }

    private static Course course(CaseDocument.CourseOf c) {
        return new Course(
                new ProductId(c.product()),
                Course.kind(c.kind())
                        .orElseThrow(() -> unknown(
                                "course",
                                c.kind(),
                                Course.kinds().stream()
                                        .map(Course.KindOfCourse::id)
                                        .toList())),
                c.from());
    }

    public static List<CheckIn> checkIns(List<CaseDocument.SaidOfSkin> checkIns) {
        return Cases.each("/checkIns", checkIns, CaseDocument.SaidOfSkin::on, Diaries::checkIn);
    }

    /** @throws IllegalArgumentException when a figure lies outside of its range */
    public static CheckIn checkIn(CaseDocument.SaidOfSkin c) {
        return new CheckIn(
                c.on(),
                whole(c.sting()),
                whole(c.redness()),
                whole(c.flaking()),
                c.swelling(),
                whole(c.skipped()),
                Optional.ofNullable(c.seen())
                        .map(s -> new CheckIn.Seen(
                                s.on(), s.by().strip(), s.said().strip())));
    }

    public static List<Pause> pauses(List<CaseDocument.PauseOf> pauses) {
        return Cases.each("/pauses", pauses, p -> p, Diaries::pause);
    }

    /** @throws IllegalArgumentException when there is no such kind, or it ends before it begins */
    public static Pause pause(CaseDocument.PauseOf p) {
        return new Pause(
                Pause.kind(p.kind()).orElseThrow(() -> unknown("pause", p.kind(), ids(Pause.kinds()))),
                p.from(),
                p.until(),
                p.figure() == null ? OptionalDouble.empty() : OptionalDouble.of(p.figure()));
    }

    private static List<String> ids(List<Pause.KindOfPause> kinds) {
        return kinds.stream().map(Pause.KindOfPause::id).toList();
    }

    private static IllegalArgumentException unknown(String what, String id, List<String> known) {
        return new IllegalArgumentException("There is no %s %s; there are %s.".formatted(what, id, known));
    }

    private static OptionalInt whole(@Nullable Integer value) {
        return value == null ? OptionalInt.empty() : OptionalInt.of(value);
    }
}
