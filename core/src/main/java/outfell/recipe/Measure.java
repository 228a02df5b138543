package outfell.recipe;

/** How a part of a mixture is measured; pantry.yaml says what each holds. */
public enum Measure {
    ML,
    DROP,
    TEASPOON,
    TABLESPOON,
    PINCH,
    PEA,
    GRAM
}
