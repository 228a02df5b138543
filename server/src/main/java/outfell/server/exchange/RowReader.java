package outfell.server.exchange;

import jakarta.validation.ConstraintViolation;
import jakarta.validation.Validator;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import outfell.consultation.Money;
import outfell.product.Kinds;
import outfell.product.NetSize;
import outfell.product.StepKind;
import outfell.server.catalogue.ProductForm;
import outfell.server.catalogue.ProductStore;
import outfell.server.client.UseForm;
import outfell.server.exchange.Remark.Code;

/** Cells to products: the same checks as at the chair, each fault at its line and column. */
@Component
class RowReader {
    private static final Pattern ID = Pattern.compile("[a-z0-9][a-z0-9-]{0,59}");
    private static final Set<String> YES = Set.of("yes", "true", "1", "x");
    private static final Set<String> NO = Set.of("no", "false", "0", "");
    /** Units of a supplier's list that no form at the chair offers. */
    private static final Set<String> LARGE = Set.of("l", "dl", "cl", "kg");

    private static final double CENTS = 100;
    /** A sign or a code before or behind a number. */
    private static final Pattern MONEY = Pattern.compile(
            "\\s*(\\p{Sc}|\\p{L}{1,3}\\.?\\p{Sc}?\\s*)?\\s*(-?\\d[\\d.,'’\\s\\u00a0\\u202f]*?)\\s*(\\p{Sc}|\\p{L}{1,3}\\.?)?\\s*");

    private static final Pattern SIZED =
            Pattern.compile("\\s*(\\d[\\d.,'’\\s\\u00a0\\u202f]*?)\\s*(\\p{L}[\\p{L}. ]*)");
    /** What the check of a form calls a field, as a column. */
    private static final Map<String, String> COLUMNS =
            Map.of("label", "ingredients", "leavesTight", "leaves_tight", "daysAWeek", "days_a_week");

    private final Validator validator;

    RowReader(Validator validator) {
        this.validator = validator;
    }

    /** All rows that hold, and what is wrong with the others. */
    record Reading(List<Row> rows, List<Remark> remarks) {}

    /** @param currency in which the practice reckons */
    Reading read(What what, Table table, Currency currency) {
        List<Remark> remarks = new ArrayList<>(table.remarks());
        List<Row> rows = new ArrayList<>();
        Map<String, Integer> ids = new HashMap<>();
        for (Table.Cells cells : table.rows()) {
            OneRow one = new OneRow(what, cells, table.decimalComma(), currency);
            Row row = one.read();
            if (!row.id().isEmpty()) {
                Integer before = ids.putIfAbsent(row.id(), row.line());
                if (before != null) {
                    one.fault(
                            "id",
                            Code.TWICE_IN_FILE,
                            "The id %s stands at %d already; every product has its own.".formatted(row.id(), before));
                }
            }
            remarks.addAll(one.remarks);
            if (one.remarks.stream().noneMatch(Remark::stops)) {
                rows.add(row);
            }
        }
        return new Reading(rows, remarks);
    }

    private final class OneRow {
        private final What what;
        private final Table.Cells cells;
        private final boolean decimalComma;
        private final Currency currency;
        private final List<Remark> remarks = new ArrayList<>();

        OneRow(What what, Table.Cells cells, boolean decimalComma, Currency currency) {
            this.currency = currency;
            this.what = what;
            this.cells = cells;
            this.decimalComma = decimalComma;
        }

        Row read() {
            Sized sized = sized();
            ProductForm form = new ProductForm(
                    cells.get("name"),
                    cells.get("maker"),
                    cents(sized.size()),
                    sized.unit(),
                    cents(price()),
                    cells.get("ingredients"),
                    kind(),
                    number("texture").orElse(null),
                    yes("prescription", false));
            List<DayOfWeek> nights = nights();
            UseForm use = new UseForm(
                    whole("weeks", 0),
                    yes("morning", true),
                    yes("evening", true),
                    whole("days_a_week", 7),
                    date("opened"),
                    whole("left", 100),
                    cells.get("leaves_tight").isEmpty() ? null : yes("leaves_tight", false),
                    null,
                    0);
            check(form);
            check(use);
            if (what == What.SHELF && form.prescription() && nights.isEmpty()) {
                fault("nights", Code.WRONG_VALUE, "A prescribed product needs its nights: ask for the prescriber's.");
            }
            return new Row(
                    cells.line(),
                    id(),
                    form,
                    date("retired"),
                    use.use(),
                    form.prescription() ? nights : List.of(),
                    Set.copyOf(cells.byColumn().keySet()));
        }

        private void check(Object form) {
            for (ConstraintViolation<Object> v : validator.validate(form)) {
                String field = v.getPropertyPath().toString();
                String column = COLUMNS.getOrDefault(field, field);
                // a number that is none was said already
                if (remarks.stream().noneMatch(r -> r.column().equals(column))) {
                    fault(column, Code.WRONG_VALUE, v.getMessage());
                }
            }
        }

        private String id() {
            String id = cells.get("id");
            if (!id.isEmpty() && (!ID.matcher(id).matches() || ProductStore.isReserved(id))) {
                fault(
                        "id",
                        Code.WRONG_VALUE,
                        "\"%s\" cannot be an id: small letters, digits and hyphens, up to 60; or leave it empty."
                                .formatted(shortened(id)));
                return "";
            }
            return id;
        }

        private Optional<Double> number(String column) {
            return number(column, cells.get(column));
        }

        private Optional<Double> number(String column, String typed) {
            if (typed.isEmpty()) {
                return Optional.empty();
            }
            TypedNumber.Read read = TypedNumber.read(typed, decimalComma);
            if (read.value().isEmpty()) {
                fault(
                        column,
                        Code.WRONG_NUMBER,
                        "%s is \"%s\"; %s.".formatted(column, shortened(cells.get(column)), read.fault()));
            }
            return read.value();
        }

        /** With the practice's sign or code, or none; another's is another price. */
        private double price() {
            String typed = cells.get("price");
            Matcher money = MONEY.matcher(typed);
            if (!money.matches()) {
                return number("price").orElse(0.0);
            }
            String said = money.group(1) != null ? money.group(1) : money.group(3);
            if (said != null && !isOurs(said.strip())) {
                fault(
                        "price",
                        Code.WRONG_CURRENCY,
                        "price is \"%s\"; the practice reckons in %s. Turn it into that, or take the sign out."
                                .formatted(shortened(typed), currency.getCurrencyCode()));
                return 0;
            }
            return number("price", money.group(2)).orElse(0.0);
        }

        private boolean isOurs(String said) {
            return said.equalsIgnoreCase(currency.getCurrencyCode())
                    || Stream.of(Locale.ROOT, Locale.US, Locale.UK, Locale.GERMANY, Locale.FRANCE)
                            .anyMatch(l -> currency.getSymbol(l).equalsIgnoreCase(said))
                    || (said.length() == 1
                            && !Character.isLetter(said.charAt(0))
                            && Money.words(0, currency).contains(said));
        }

        private record Sized(double size, String unit) {}

        /** "50 ml" in one cell, or the unit in its own; litres and kilograms are turned into ml and g. */
        private Sized sized() {
            String typed = cells.get("size");
            Matcher both = SIZED.matcher(typed);
            String inCell = both.matches() ? unit(both.group(2)) : "";
            String own = cells.has("unit") ? unit(cells.get("unit")) : "";
            if (!inCell.isEmpty() && !own.isEmpty() && !inCell.equals(own)) {
                fault(
                        "size",
                        Code.WRONG_VALUE,
                        "size is \"%s\" and unit is \"%s\"; one of them is meant."
                                .formatted(shortened(typed), shortened(cells.get("unit"))));
            }
            double size =
                    number("size", inCell.isEmpty() ? typed : both.group(1)).orElse(0.0);
            String unit = inCell.isEmpty() ? own.isEmpty() ? "ml" : own : inCell;
            if (LARGE.contains(unit)) {
                NetSize net = NetSize.of(size, unit);
                return new Sized(net.amount(), net.unit());
            }
            return new Sized(size, unit);
        }

        private static String unit(String typed) {
            String plain =
                    typed.strip().toLowerCase(Locale.ROOT).replace(".", "").replaceAll("\\s+", " ");
            return switch (plain) {
                case "milliliter", "millilitre", "mls", "cc" -> "ml";
                case "gr", "gram", "grams", "gramm" -> "g";
                case "fl oz", "floz", "fluid oz", "fluid ounce", "fluid ounces" -> "fl oz";
                case "ounce", "ounces" -> "oz";
                case "liter", "litre", "lt" -> "l";
                default -> plain;
            };
        }

        private int whole(String column, int otherwise) {
            Optional<Double> number = number(column);
            if (number.isPresent() && number.get() != Math.rint(number.get())) {
                fault(
                        column,
                        Code.WRONG_NUMBER,
                        "%s is %s; a whole number is meant.".formatted(column, cells.get(column)));
            }
            return number.map(Double::intValue).orElse(otherwise);
        }

        private boolean yes(String column, boolean otherwise) {
            String typed = cells.get(column).toLowerCase(Locale.ROOT);
            if (typed.isEmpty()) {
                return otherwise;
            }
            if (!YES.contains(typed) && !NO.contains(typed)) {
                fault(
                        column,
                        Code.WRONG_VALUE,
                        "%s is \"%s\"; yes or no is meant.".formatted(column, shortened(typed)));
            }
            return YES.contains(typed);
        }

        private @Nullable StepKind kind() {
            String typed = cells.get("kind");
            if (typed.isEmpty()) {
                return null;
            }
            String word = word(typed);
            Optional<StepKind> kind = Arrays.stream(StepKind.values())
                    .filter(k -> word(k.name()).equals(word)
                            || word(Kinds.of(k).label()).equals(word))
                    .findFirst();
            if (kind.isEmpty()) {
                fault(
                        "kind",
                        Code.WRONG_VALUE,
                        "\"%s\" is no kind of step. Allowed: %s; or leave it empty and the label is read."
                                .formatted(
                                        shortened(typed),
                                        Arrays.stream(StepKind.values())
                                                .map(k -> word(k.name()))
                                                .collect(Collectors.joining(", "))));
            }
            return kind.orElse(null);
        }

        private @Nullable LocalDate date(String column) {
            if (!cells.has(column)) {
                return null;
            }
            try {
                return LocalDate.parse(cells.get(column));
            } catch (DateTimeParseException wrong) {
                fault(
                        column,
                        Code.WRONG_VALUE,
                        "%s is \"%s\"; a date is written 2026-11-25.".formatted(column, shortened(cells.get(column))));
                return null;
            }
        }

        private List<DayOfWeek> nights() {
            List<DayOfWeek> nights = new ArrayList<>();
            for (String word : cells.get("nights").split("[\\s,/]+")) {
                if (word.isEmpty()) {
                    continue;
                }
                Optional<DayOfWeek> day = Arrays.stream(DayOfWeek.values())
                        .filter(d -> word.length() >= 2
                                && d.name().toLowerCase(Locale.ROOT).startsWith(word.toLowerCase(Locale.ROOT)))
                        .findFirst();
                if (day.isEmpty()) {
                    fault(
                            "nights",
                            Code.WRONG_VALUE,
                            "\"%s\" is no day of the week; write them as Mon Wed Fri.".formatted(shortened(word)));
                } else if (!nights.contains(day.get())) {
                    nights.add(day.get());
                }
            }
            return nights;
        }

        private void fault(String column, Code code, String sentence) {
            remarks.add(new Remark(cells.line(), column, code, sentence));
        }
    }

    private static double cents(double x) {
        return Math.round(x * CENTS) / CENTS;
    }

    private static String word(String text) {
        return text.toLowerCase(Locale.ROOT).replaceAll("[^a-z]+", "-");
    }

    private static String shortened(String text) {
        return text.length() <= 40 ? text : text.substring(0, 40) + "…";
    }
}
