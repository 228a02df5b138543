package outfell.product;

/**
 * What a pack holds.
 *
 * @param unit ml or g
 */
public record NetSize(double amount, String unit) {
    /** US fluid ounce, 231 cubic inches in 128 (15 USC 205). */
    private static final double ML_A_FLUID_OUNCE = 29.5735;
    /** Avoirdupois ounce. */
    private static final double GRAMS_AN_OUNCE = 28.3495;

    private static final double ML_A_LITRE = 1000;
    private static final double GRAMS_A_KILO = 1000;
    private static final double TENTHS = 10;

    /**
     * What was typed, in ml or g; ounces are rounded to a tenth, for packs print them to a tenth.
     *
     * @param unit ml, cl, dl, l, g, kg, fl oz or oz
     * @throws IllegalArgumentException for any other unit
     */
    public static NetSize of(double typed, String unit) {
        return switch (unit) {
            case "ml", "g" -> new NetSize(typed, unit);
            case "l" -> new NetSize(typed * ML_A_LITRE, "ml");
            case "dl" -> new NetSize(typed * ML_A_LITRE / 10, "ml");
            case "cl" -> new NetSize(typed * ML_A_LITRE / 100, "ml");
            case "kg" -> new NetSize(typed * GRAMS_A_KILO, "g");
            case "fl oz" -> new NetSize(tenth(typed * ML_A_FLUID_OUNCE), "ml");
            case "oz" -> new NetSize(tenth(typed * GRAMS_AN_OUNCE), "g");
            default ->
                throw new IllegalArgumentException("A size is in ml, g, fl oz or oz, not \"%s\".".formatted(unit));
        };
    }

    private static double tenth(double x) {
        return Math.round(x * TENTHS) / TENTHS;
    }
}
