package outfell.regimen;

import outfell.knowledge.Evidence;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** How a choice is weighed, in points, from yardstick.yaml. Each component is explained there. */
record Yardstick(
        double evidenceA,
        double evidenceB,
        double evidenceC,
        double evidenceD,
        double belowUseful,
        double strengthUnknown,
        double secondOfAnotherKind,
        double secondOfSameKind,
        double textureOff,
        double sunscreenTextureOff,
        double owned,
        double duplicate,
        double standing,
        double anotherBottle,
        double methodWants,
        double seasonWants,
        double optionalStep,
        double minute,
        double money,
        double balance,
        double harshWash,
        double fragranceSensitive,
        double disliked,
        double clogging,
        double cloggingElsewhere,
        double harshLeaveOn,
        double vitaminCByDay,
        double leastHelp,
        int mostConcerns) {
    static final Yardstick HOUSE = load();

    double of(Evidence evidence) {
        return switch (evidence) {
            case CONTROLLED -> evidenceA;
            case SMALL -> evidenceB;
            case MECHANISM, DEBATED -> evidenceC;
            case CONVENTION, PROPOSED -> evidenceD;
        };
    }

    private static Yardstick load() {
        Row row = KnowledgeFile.yaml("yardstick.yaml");
        row.because("yardstick");
        Yardstick yardstick = new Yardstick(
                row.number("evidence-a", 0, 1),
                row.number("evidence-b", 0, 1),
                row.number("evidence-c", 0, 1),
                row.number("evidence-d", 0, 1),
                row.number("below-useful", 0, 1),
                row.number("strength-unknown", 0, 1),
                row.number("second-of-another-kind", 0, 1),
                row.number("second-of-same-kind", 0, 1),
                row.number("texture-off", 0, 50),
                row.number("sunscreen-texture-off", 0, 50),
                row.number("owned", 0, 50),
                row.number("duplicate", 0, 50),
                row.number("standing", 0, 50),
                row.number("another-bottle", 0, 50),
                row.number("method-wants", 0, 50),
                row.number("season-wants", 0, 50),
                row.number("optional-step", 0, 50),
                row.number("minute", 0, 50),
                row.number("money", 0, 50),
                row.number("balance", 0, 50),
                row.number("harsh-wash", 0, 50),
                row.number("fragrance-sensitive", 0, 50),
                row.number("disliked", 0, 50),
                row.number("clogging", 0, 50),
                row.number("clogging-elsewhere", 0, 50),
                row.number("harsh-leave-on", 0, 50),
                row.number("vitamin-c-by-day", 0, 50),
                row.number("least-help", 0, 50),
                row.whole("most-concerns", 1, 14));
        row.done();
        return yardstick;
    }
}
