package outfell.product;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import outfell.knowledge.Because;
import outfell.knowledge.Certainty;
import outfell.knowledge.Evidence;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.LabelReader.Matched;

/**
 * Likely shares from an ingredient's place in the list.
 *
 * <p>Law: the list descends, and at or below one percent any order may follow (eu-1223-2009). Exact: the k-th of a
 * descending list holds at most 100 / k percent. The rest are house bands, always shown as a range.
 */
final class LabelRanges {
    private static final Row MARKERS = KnowledgeFile.yaml("label-markers.yaml");
    private static final Set<String> RELIABLE = Set.copyOf(MARKERS.texts("reliable"));
    private static final Set<String> WEAK = Set.copyOf(MARKERS.texts("weak"));
    private static final Row SHARES = KnowledgeFile.yaml("shares.yaml");
    private static final double TRACE = SHARES.number("trace", 0, 1);
    private static final double MAY_CONTAIN = SHARES.number("may-contain-most", 0, 100);
    private static final int FAR_DOWN = SHARES.whole("acid-for-itself", 1, 100);
    private static final List<Places> PLACES = Row.unique(SHARES.rows("places"), Places::read, Places::through);
    private static final Row AT_LINE = SHARES.row("at-the-line");
    private static final int AT_LINE_PLACES = AT_LINE.whole("places", 1, 20);
    private static final double AT_LINE_LOW = AT_LINE.number("low", 0, 100);
    private static final double AT_LINE_HIGH = AT_LINE.number("high", 0, 100);
    private static final double BELOW_LINE_HIGH = SHARES.row("below-the-line").number("high", 0, 100);

    private static final Row BOUNDED = SHARES.row("bounded");
    private static final double BOUNDED_UP_TO = BOUNDED.number("up-to", 0, 100);
    private static final int BOUNDED_FROM = BOUNDED.whole("irritancy", 0, 4);

    private record Range(double low, double high, String why) {}

    /** What the places of a list up to one are taken for, percent. */
    private record Places(int through, double low, double high) {
        static Places read(Row row) {
            row.because(row.text("id"));
            return new Places(row.whole("through", 1, 500), row.number("low", 0, 100), row.number("high", 0, 100));
        }
    }

    private LabelRanges() {}

    /** The least that anything named is taken for, percent. */
    static double trace() {
        return TRACE;
    }

    static Label infer(List<Matched> matched) {
        List<Matched> descending = matched.stream()
                .filter(m -> !m.token().mayContain() && !m.token().activePanel())
                .toList();
        int line = onePercentLine(descending);
        List<Range> ranges = carried(descending, line);
        List<LabelLine> lines = new ArrayList<>();
        int position = 0;
        for (Matched m : matched) {
            if (m.token().mayContain() || m.token().activePanel()) {
                lines.add(outside(m));
            } else {
                Range range = ranges.get(position);
                position++;
                lines.add(line(m, position, range, m.token().declared().isPresent()));
            }
        }
        return new Label(lines, line, List.of(), List.of(), List.of());
    }

    /** Perfume or an acid that sets the pH, far down a list and right before a marker, stands at the line with it. */
    private static int withWeakBefore(List<Matched> descending, int marker) {
        int at = marker;
        while (at > FAR_DOWN
                && named(descending.get(at - 1), WEAK)
                && descending.get(at - 1).token().declared().isEmpty()) {
            at--;
        }
        return at;
    }

    /** The earliest reliable marker; else a weak one, unless something declared above one percent follows it. */
    private static int onePercentLine(List<Matched> descending) {
        for (int i = 0; i < descending.size(); i++) {
            if (named(descending.get(i), RELIABLE) || (i >= FAR_DOWN && isUnderOne(descending.get(i)))) {
                return withWeakBefore(descending, i) + 1;
            }
        }
        for (int i = 0; i < descending.size(); i++) {
            if (named(descending.get(i), WEAK)
                    && descending.stream()
                            .skip(i + 1L)
                            .noneMatch(m -> m.token().declared().orElse(0) > 1)) {
                return i + 1;
            }
        }
        return 0;
    }

    /** Declared at one percent or less, or never used above it: from there on everything is. */
    private static boolean isUnderOne(Matched m) {
        OptionalDouble declared = m.token().declared();
        return declared.isPresent()
                ? declared.getAsDouble() <= 1
                : m.ingredient().filter(i -> bounded(i) && i.usualHigh() <= 1).isPresent();
    }

    private static boolean named(Matched m, Set<String> names) {
        return m.ingredient().map(Ingredient::inci).filter(names::contains).isPresent();
    }

    private static LabelLine outside(Matched m) {
        OptionalDouble declared = m.token().declared();
        Range range = declared.isPresent()
                ? new Range(declared.getAsDouble(), declared.getAsDouble(), "declared on the pack")
                : m.token().mayContain()
                        ? new Range(0, MAY_CONTAIN, "may contain: never counted as certain")
                        : usual(m.ingredient(), "named as an active without its share; the usual range");
        return line(m, 0, range, declared.isPresent());
    }

    /** Each line by its place, what is declared, its usual range and the law; then what one bounds the others by carried along. */
    private static List<Range> carried(List<Matched> descending, int line) {
        List<Range> ranges = new ArrayList<>();
        for (int i = 0; i < descending.size(); i++) {
            Matched m = descending.get(i);
            OptionalDouble declared = m.token().declared();
            ranges.add(
                    declared.isPresent()
                            ? new Range(declared.getAsDouble(), declared.getAsDouble(), "declared on the pack")
                            : narrowed(m, band(i + 1, line), i + 1, descending));
        }
        int above = line > 0 ? line - 1 : descending.size();
        carryDown(descending, ranges, above);
        carryUp(descending, ranges, above);
        return ranges;
    }

    /** Nothing above the line holds more than what stands before it. */
    private static void carryDown(List<Matched> lines, List<Range> ranges, int above) {
        int most = -1;
        for (int i = 0; i < above; i++) {
            Range own = ranges.get(i);
            if (!inOrder(lines.get(i), own, i + 1)) {
                continue;
            }
            if (most >= 0
                    && !declared(lines.get(i))
                    && own.high() > ranges.get(most).high()
                    && ranges.get(most).high() >= own.low()) {
                own = new Range(own.low(), ranges.get(most).high(), own.why() + ", no more than " + name(lines, most));
                ranges.set(i, own);
            }
            most = most < 0 || own.high() <= ranges.get(most).high() ? i : most;
        }
    }

    /** Nothing above the line holds less than what stands behind it. */
    private static void carryUp(List<Matched> lines, List<Range> ranges, int above) {
        int least = -1;
        for (int i = above - 1; i >= 0; i--) {
            Range own = ranges.get(i);
            if (!inOrder(lines.get(i), own, i + 1)) {
                continue;
            }
            if (least >= 0
                    && !declared(lines.get(i))
                    && own.low() < ranges.get(least).low()
                    && ranges.get(least).low() <= own.high()) {
                own = new Range(
                        ranges.get(least).low(), own.high(), own.why() + ", no less than " + name(lines, least));
                ranges.set(i, own);
            }
            least = least < 0 || own.low() >= ranges.get(least).low() ? i : least;
        }
    }

    private static boolean declared(Matched m) {
        return m.token().declared().isPresent();
    }

    private static String name(List<Matched> lines, int at) {
        return lines.get(at).token().name();
    }

    /** What is used so low that its place cannot be true bounds nothing; so does what is declared out of its order. */
    private static boolean inOrder(Matched m, Range range, int k) {
        return declared(m)
                ? range.low() <= 100.0 / k
                : !(range.high() < band(k, 0).low());
    }

    private static Range band(int k, int line) {
        if (line > 0 && k >= line) {
            return k - line < AT_LINE_PLACES
                    ? new Range(AT_LINE_LOW, AT_LINE_HIGH, "at the one percent line, which stands at place " + line)
                    : new Range(TRACE, BELOW_LINE_HIGH, "below the one percent line, which stands at place " + line);
        }
        String place = "place %d of a descending list".formatted(k);
        return PLACES.stream()
                .filter(p -> k <= p.through())
                .findFirst()
                .map(p -> new Range(p.low(), p.high(), place))
                .orElseThrow();
    }

    private static Range narrowed(Matched m, Range band, int k, List<Matched> all) {
        double high = Math.min(band.high(), 100.0 / k);
        double low = Math.min(band.low(), high);
        String why = band.why();
        for (int j = 0; j < all.size(); j++) {
            OptionalDouble declared = all.get(j).token().declared();
            if (declared.isPresent() && declared.getAsDouble() > 1) {
                double x = declared.getAsDouble();
                if (j + 1 < k && x < high) {
                    high = x;
                    low = Math.min(low, high);
                    why = "after %s, declared at %s %%"
                            .formatted(all.get(j).token().name(), number(x));
                } else if (j + 1 > k && x > low) {
                    low = x;
                    high = Math.max(low, high);
                    why = "before %s, declared at %s %%"
                            .formatted(all.get(j).token().name(), number(x));
                }
            }
        }
        return withinUsual(m.ingredient(), new Range(low, high, why), k);
    }

    /**
     * Clips to the usual range of the ingredient where the two overlap; a list's first place may exceed it. Where they do not, what is
     * strong, or what the law bounds, is believed over its place: makers praise it further up than it belongs.
     */
    private static Range withinUsual(Optional<Ingredient> ingredient, Range range, int k) {
        if (ingredient.isEmpty()) {
            return range;
        }
        Ingredient i = ingredient.get();
        if (k == 1 && !bounded(i)) {
            return range;
        }
        double low = Math.max(range.low(), i.usualLow());
        double high = Math.min(range.high(), i.usualHigh());
        if (low <= high) {
            return new Range(low, high, range.why() + ", within its usual range");
        }
        return bounded(i) && i.usualHigh() < range.low()
                ? new Range(i.usualLow(), i.usualHigh(), "its usual range, for so much as its place says is never used")
                : range;
    }

    /** What is never used above its range: the law says so, or it would harm. */
    private static boolean bounded(Ingredient i) {
        boolean byLaw = i.legal().contains("Annex V") && i.isAny(Tag.PRESERVATIVE, Tag.UV_ORGANIC);
        boolean strong = i.irritancy() >= BOUNDED_FROM
                || Actives.of(i).filter(f -> !f.byDay()).isPresent();
        return byLaw || (strong && i.usualHigh() <= BOUNDED_UP_TO);
    }

    private static Range usual(Optional<Ingredient> ingredient, String why) {
        return ingredient.map(i -> new Range(i.usualLow(), i.usualHigh(), why)).orElse(new Range(TRACE, 100, why));
    }

    private static LabelLine line(Matched m, int position, Range range, boolean declared) {
        String share = declared
                ? "%s: %s %%, declared on the pack.".formatted(m.token().name(), number(range.low()))
                : "%s: %s, %s.".formatted(m.token().name(), between(range.low(), range.high()), range.why());
        String sentence =
                m.meant().how().isEmpty() ? share : share + " " + m.meant().how();
        return new LabelLine(
                position,
                m.token().name(),
                m.ingredient(),
                m.meant().certainty(),
                m.meant().maybe(),
                m.token().declared(),
                range.low(),
                range.high(),
                m.token().mayContain(),
                new Because(
                        sentence,
                        declared ? Evidence.CONTROLLED : Evidence.PROPOSED,
                        declared ? "label" : "eu-1223-2009"));
    }

    /** A line that no list holds: what a product's name says of it, with its share or else the usual one. */
    static LabelLine claimed(Ingredient ingredient, Certainty certainty, OptionalDouble percent) {
        Range range = percent.isPresent()
                ? new Range(percent.getAsDouble(), percent.getAsDouble(), "")
                : usual(Optional.of(ingredient), "");
        String sentence = percent.isPresent()
                ? "%s: %s %%, by the product's own name; no list says so."
                        .formatted(ingredient.common(), number(range.low()))
                : "%s: by the product's own name; no list says so, nor how much.".formatted(ingredient.common());
        return new LabelLine(
                0,
                ingredient.common(),
                Optional.of(ingredient),
                certainty,
                List.of(),
                percent,
                range.low(),
                range.high(),
                false,
                new Because(sentence, Evidence.PROPOSED, "label"));
    }

    /** "likely 2 to 10 %", or "about 1 %" where the two ends meet. */
    static String between(double low, double high) {
        return number(low).equals(number(high))
                ? "about %s %%".formatted(number(low))
                : "likely %s to %s %%".formatted(number(low), number(high));
    }

    static String number(double x) {
        return x == Math.rint(x)
                ? "%.0f".formatted(x)
                : x < 0.1
                        ? String.format(Locale.ROOT, "%.3f", x).replaceAll("0+$", "")
                        : String.format(Locale.ROOT, "%.1f", x);
    }
}
