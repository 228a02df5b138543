package outfell.knowledge;

import java.util.Optional;

/**
 * Why a verdict, place, choice, ban or change is what it is.
 *
 * @param sentence short, present tense, made from the facts that led to the answer
 * @param evidence how well the rule behind it is supported
 * @param source id of a row in sources.yaml
 * @param rule where the row stands that it comes from, such as "season.yaml/sun"; absent for what no single row says
 */
public record Because(String sentence, Evidence evidence, String source, Optional<String> rule) {
    public Because {
        if (sentence.isBlank()) {
            throw new IllegalArgumentException("A reason without a sentence explains nothing.");
        }
        if (source.isBlank()) {
            throw new IllegalArgumentException("The reason \"%s\" names no source.".formatted(sentence));
        }
    }

    /** What no single row says. */
    public Because(String sentence, Evidence evidence, String source) {
        this(sentence, evidence, source, Optional.empty());
    }

    /** A judgement of this house, which facts.md marks as proposed. */
    public static Because house(String sentence) {
        return new Because(sentence, Evidence.PROPOSED, "house");
    }

    /** What practitioners do, without a trial behind it. */
    public static Because custom(String sentence) {
        return new Because(sentence, Evidence.CONVENTION, "custom");
    }

    public Because withSentence(String other) {
        return new Because(other, evidence, source, rule);
    }
}
