package outfell.consultation;

import java.util.Currency;
import java.util.Locale;

/** Amounts of money in sentences: with the sign of the practice's currency, and cents only where there are any. */
public final class Money {
    private Money() {}

    public static String words(double amount, Currency currency) {
        String digits =
                amount == Math.rint(amount) ? "%.0f" : "%." + Math.max(0, currency.getDefaultFractionDigits()) + "f";
        return currency.getSymbol(Locale.UK) + String.format(Locale.ROOT, digits, amount);
    }
}
