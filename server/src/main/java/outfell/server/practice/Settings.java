package outfell.server.practice;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.server.problem.Clash;
import outfell.server.problem.Problem;

/** What the practice sets once for itself. */
@Service
public class Settings {
    private static final String CURRENCY = "currency";
    private static final Currency SHIPPED = Currency.getInstance("EUR");

    /**
     * The practice's currency.
     *
     * @param code ISO 4217
     * @param changes newest first
     */
    public record CurrencyView(String code, List<CurrencyChange> changes, List<CurrencyChoice> choices) {}

    /** Who set it when. */
    public record CurrencyChange(String code, String by, LocalDateTime at) {}

    /** @param code ISO 4217 */
    public record CurrencyChoice(String code, String name) {}

    private final SettingStore store;
    private final Clock clock;

    Settings(SettingStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    public Currency currency() {
        return store.of(CURRENCY).stream()
                .findFirst()
                .map(s -> Currency.getInstance(s.to()))
                .orElse(SHIPPED);
    }

    public CurrencyView currencyView() {
        return new CurrencyView(
                currency().getCurrencyCode(),
                store.of(CURRENCY).stream()
                        .map(x -> new CurrencyChange(x.to(), x.by(), x.at()))
                        .toList(),
                Currency.availableCurrencies()
                        // a fund or a metal has no such digits and no client pays in it
                        .filter(c -> c.getDefaultFractionDigits() >= 0)
                        .map(c -> new CurrencyChoice(c.getCurrencyCode(), c.getDisplayName(Locale.UK)))
                        .sorted(Comparator.comparing(CurrencyChoice::name))
                        .toList());
    }

    /** Prices stay the numbers that they are; only what they count is said anew. */
    @Transactional
    public CurrencyView setCurrency(String code, String by, int version) {
        if (currencyView().choices().stream().noneMatch(c -> c.code().equals(code))) {
            throw Problem.field(
                    "/code", "%s is no currency; it is written as three letters, such as EUR.".formatted(code));
        }
        List<SettingStore.Setting> before = store.of(CURRENCY);
        if (!before.isEmpty()
                && before.size() == version + 1
                && before.getFirst().to().equals(code)) {
            return currencyView();
        }
        if (!store.add(CURRENCY, version, new SettingStore.Setting(code, by.strip(), LocalDateTime.now(clock)))) {
            throw new Clash("The currency", currencyView());
        }
        return currencyView();
    }
}
