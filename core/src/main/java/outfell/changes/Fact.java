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
record Fact(String id, Cause cause, Because because, UnaryOperator<Case> back) {}
