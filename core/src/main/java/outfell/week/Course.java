package outfell.week;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ProductId;

/**
 * A thing that is not for ever: thirty days of it, six weeks on and six off, three months.
 *
 * @param from its first day
 */
public record Course(ProductId product, KindOfCourse kind, LocalDate from) {
    /**
     * One kind of course, from courses.yaml.
     *
     * @param on days of it
     * @param off days between two of it; none for one that is once
     */
    public record KindOfCourse(String id, String label, int on, int off, Because because) {
        public boolean comesAgain() {
            return off > 0;
        }
    }

    private static final List<KindOfCourse> KINDS =
            Row.unique(KnowledgeFile.yaml("courses.yaml").rows("courses"), Course::read, KindOfCourse::id);

    public static List<KindOfCourse> kinds() {
        return KINDS;
    }

    public static Optional<KindOfCourse> kind(String id) {
        return KINDS.stream().filter(k -> k.id().equals(id)).findFirst();
    }

    public boolean isOn(LocalDate day) {
        long into = ChronoUnit.DAYS.between(from, day);
        return into >= 0 && (kind.comesAgain() ? into % (kind.on() + kind.off()) : into) < kind.on();
    }

    /** The last day of the part that is on, or was last, on a day; of one not begun its first part's. */
    public LocalDate last(LocalDate day) {
        long into = Math.max(0, ChronoUnit.DAYS.between(from, day));
        long round = kind.comesAgain() ? into / (kind.on() + kind.off()) : 0;
        return from.plusDays(round * (kind.on() + kind.off()) + kind.on() - 1);
    }

    /** Why it is on or off on a day. */
    public Because because(LocalDate day) {
        String sentence;
        if (day.isBefore(from)) {
            sentence = "%s, from %s.".formatted(kind.label(), Diary.DAY.format(from));
        } else if (isOn(day)) {
            sentence = "%s, until %s.".formatted(kind.label(), Diary.DAY.format(last(day)));
        } else if (kind.comesAgain()) {
            sentence = "%s: off until %s."
                    .formatted(kind.label(), Diary.DAY.format(last(day).plusDays(kind.off())));
        } else {
            sentence = "%s: over since %s.".formatted(kind.label(), Diary.DAY.format(last(day)));
        }
        return kind.because().withSentence(sentence);
    }

    private static KindOfCourse read(Row row) {
        return new KindOfCourse(
                row.text("id"),
                row.text("label"),
                row.whole("on", 1, 366),
                row.whole("off", 0, 366),
                row.because(row.text("label")));
    }
}
