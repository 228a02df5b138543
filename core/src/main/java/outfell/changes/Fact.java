package outfell.changes;

import java.util.function.UnaryOperator;
import outfell.causes.Cause;
import outfell.knowledge.Because;

/**
 * One thing in which two consultations differ.
 *
 * @param id tells it from every other of the same two
 * @param because what holds now, and what held before
 * @param back the same case with this as it was; it throws where that cannot be beside what is left
 */
record Fact(String id, Cause cause, Because because, UnaryOperator<Case> back) {
    private static final String REST = "rest";

    /** Whatever is left when all else is taken back; it takes everything back, so it is no cause by itself. */
    static Fact rest(Cause cause, Because because, UnaryOperator<Case> back) {
        return new Fact(REST, cause, because, back);
    }

    boolean isRest() {
        return id.equals(REST);
    }
}
