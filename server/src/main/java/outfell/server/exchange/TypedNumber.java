package outfell.server.exchange;

import java.util.Optional;
import java.util.regex.Pattern;

/** A number as spreadsheets write it: with either decimal mark, with marks for thousands. It is never guessed at. */
final class TypedNumber {
    private static final Pattern SPACES = Pattern.compile("[\\s\\u00a0\\u2007\\u2009\\u202f'’]");
    private static final Pattern WHOLE = Pattern.compile("-?\\d+");

    /**
     * What was read.
     *
     * @param value absent where it is no number, or may be two
     * @param fault why, in words that follow "price is "1,234""; empty where there is a value
     */
    record Read(Optional<Double> value, String fault) {}

    private TypedNumber() {}

    /** @param decimalComma whether the rest of the file has a comma before its decimals */
    static Read read(String typed, boolean decimalComma) {
        String s = SPACES.matcher(typed).replaceAll("");
        int dots = count(s, '.');
        int commas = count(s, ',');
        if (dots > 0 && commas > 0) {
            boolean comma = s.lastIndexOf(',') > s.lastIndexOf('.');
            return grouped(s, comma ? '.' : ',', comma ? ',' : '.');
        }
        if (dots + commas > 1) {
            return grouped(s, dots > 0 ? '.' : ',', ' ');
        }
        if (dots + commas == 0) {
            return number(s);
        }
        char mark = dots > 0 ? '.' : ',';
        boolean usual = (mark == ',') == decimalComma;
        boolean three = s.matches("-?[1-9]\\d{0,2}[.,]\\d{3}");
        if (three && !usual) {
            return new Read(
                    Optional.empty(),
                    "it may be %s or %s; write it without a mark for thousands"
                            .formatted(s.replace(String.valueOf(mark), ""), s.replace(mark, '.')));
        }
        return number(s.replace(mark, '.'));
    }

    /** Thousands in groups of three, then the decimals. */
    private static Read grouped(String s, char thousands, char decimal) {
        String t = Pattern.quote(String.valueOf(thousands));
        String d = Pattern.quote(String.valueOf(decimal));
        return s.matches("-?\\d{1,3}(?:" + t + "\\d{3})+(?:" + d + "\\d+)?")
                ? number(s.replace(String.valueOf(thousands), "").replace(decimal, '.'))
                : notOne();
    }

    private static Read number(String plain) {
        return plain.matches("-?\\d+(\\.\\d+)?") || WHOLE.matcher(plain).matches()
                ? new Read(Optional.of(Double.parseDouble(plain)), "")
                : notOne();
    }

    private static Read notOne() {
        return new Read(Optional.empty(), "a number is meant");
    }

    private static int count(String s, char c) {
        return (int) s.chars().filter(x -> x == c).count();
    }
}
