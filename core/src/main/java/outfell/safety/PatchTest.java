package outfell.safety;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.Tag;

/**
 * A patch test of one product on one client: not the diagnostic test of a clinic.
 *
 * @param readings in the order of their hours
 */
public record PatchTest(Kind kind, Site site, LocalDateTime started, List<Reading> readings) {
    private static final Row FILE = KnowledgeFile.yaml("patch.yaml");
    private static final List<KindOfTest> KINDS = Row.unique(FILE.rows("kinds"), PatchTest::kind, KindOfTest::kind);
    private static final List<SiteOfTest> SITES = Row.unique(
            FILE.rows("sites"),
            r -> new SiteOfTest(r.one("id", Site.class), r.text("label"), r.text("amount")),
            SiteOfTest::site);
    private static final List<String> GRADES = FILE.texts("grades");
    /** What is tested on a skin that reacts, beside what always is. */
    public static final List<Tag> SENSITIVE_TESTS = FILE.several("sensitive-tests", Tag.class);

    private static final int STOP_FROM = FILE.whole("stop-from", 1, 4);
    private static final int REFER_FROM = FILE.whole("refer-from", 1, 4);
    private static final double WEAL_HOURS = FILE.number("weal-hours", 0, 24);
    private static final double LASTING_HOURS = FILE.number("lasting-hours", 0, 240);

    /** How it is done. */
    public enum Kind {
        USE_TEST,
        SHORT_SCREEN
    }

    /** Where. */
    public enum Site {
        FOREARM,
        BEHIND_EAR
    }

    /**
     * @param hours at which it is read, from the start
     * @param enough hours after which no more reading is needed
     */
    public record KindOfTest(Kind kind, String label, String how, List<Integer> hours, int enough, Because because) {}

    public record SiteOfTest(Site site, String label, String amount) {}

    /**
     * @param hours since the start at which it was read, 0 or more
     * @param grade 0 nothing to 4 blisters, spreading or a weal
     */
    public record Reading(double hours, int grade) {
        public Reading {
            if (grade < 0 || grade > 4) {
                throw new IllegalArgumentException("Grade %d of a patch test is outside 0..4.".formatted(grade));
            }
            if (!(hours >= 0)) {
                throw new IllegalArgumentException("A patch test cannot be read before it starts.");
            }
        }
    }

    /** What the readings come to. */
    public enum Standing {
        OPEN,
        MAY_USE,
        REPEAT_WEAKER,
        DO_NOT_USE,
        REFER,
        URGENT;

        /** Whether the product must stay off. */
        public boolean fails() {
            return switch (this) {
                case REPEAT_WEAKER, DO_NOT_USE, REFER, URGENT -> true;
                case OPEN, MAY_USE -> false;
            };
        }
    }

    /** @param due when the next reading is due, while it is open */
    public record Verdict(Standing standing, Optional<LocalDateTime> due, Because because) {}

    private static KindOfTest kind(Row r) {
        List<Integer> hours = r.numbers("hours").stream().map(Double::intValue).toList();
        if (hours.isEmpty()) {
            throw r.fault("a test is read at some hour");
        }
        return new KindOfTest(
                r.one("id", Kind.class),
                r.text("label"),
                r.text("how"),
                hours,
                r.has("enough") ? r.whole("enough", 1, 1000) : hours.getLast(),
                r.because(r.text("label")));
    }

    public PatchTest {
        readings = readings.stream()
                .sorted(java.util.Comparator.comparingDouble(Reading::hours))
                .toList();
    }

    public static List<KindOfTest> kinds() {
        return KINDS;
    }

    public static List<SiteOfTest> sites() {
        return SITES;
    }

    /** Five descriptors, grade 0 first. */
    public static List<String> grades() {
        return GRADES;
    }

    /** Hours from the start to a moment. */
    public double hoursAt(LocalDateTime moment) {
        return Duration.between(started, moment).toMinutes() / 60.0;
    }

    /** When it is read. */
    public List<LocalDateTime> schedule() {
        return how().hours().stream().map(h -> started.plusHours(h)).toList();
    }

    /** The worst finding counts; house rule after johansen-2015. */
    public Verdict verdict() {
        KindOfTest how = how();
        int worst = readings.stream().mapToInt(Reading::grade).max().orElse(0);
        if (readings.stream().anyMatch(r -> r.grade() == 4 && r.hours() <= WEAL_HOURS)) {
            return told(
                    Standing.URGENT,
                    "A weal within the hour: rinse, no more of it, and medical help at once if it spreads or breathing changes.");
        }
        if (worst >= REFER_FROM) {
            return told(Standing.REFER, "Grade %d, %s: stop, and see a doctor.".formatted(worst, GRADES.get(worst)));
        }
        if (worst >= STOP_FROM) {
            return told(Standing.DO_NOT_USE, "Grade %d, %s: not for this skin.".formatted(worst, GRADES.get(worst)));
        }
        if (faintFor() > LASTING_HOURS) {
            return told(
                    Standing.REPEAT_WEAKER,
                    "A faint reading that lasts over two days: test again, weaker or less often.");
        }
        double read = readings.isEmpty() ? -2 : readings.getLast().hours();
        Optional<Integer> next = how.hours().stream().filter(h -> h > read + 1).findFirst();
        if (read + 1 >= how.enough() || next.isEmpty()) {
            return told(Standing.MAY_USE, "Read to the end with nothing, or only a trace that went: it may be used.");
        }
        return new Verdict(
                Standing.OPEN,
                next.map(h -> started.plusHours(h)),
                how.because().withSentence("The patch test is not read to its end yet."));
    }

    /** Hours between the first and the last reading of grade 1 in one unbroken run, the longest. */
    private double faintFor() {
        double longest = 0;
        double from = -1;
        for (Reading r : readings) {
            from = r.grade() == 1 ? (from < 0 ? r.hours() : from) : -1;
            longest = from < 0 ? longest : Math.max(longest, r.hours() - from);
        }
        return longest;
    }

    private Verdict told(Standing standing, String sentence) {
        return new Verdict(standing, Optional.empty(), how().because().withSentence(sentence));
    }

    private KindOfTest how() {
        return KINDS.stream().filter(k -> k.kind() == kind).findFirst().orElseThrow();
    }
}
