package outfell.server.catalogue;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import outfell.product.Claims;
import outfell.product.Finding;
import outfell.product.Ingredient;
import outfell.product.Ingredients;
import outfell.product.OwnIngredients;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.Tag;
import outfell.server.problem.Clash;
import outfell.server.problem.Problem;

/** The table of ingredients as a therapist looks it up, and what her practice says over it. */
@Service
public class IngredientBook {
    private static final int SHOWN = 40;
    private static final Pattern LATIN = Pattern.compile("[\\p{IsLatin}\\P{L}]*");
    private static final int PRODUCTS_SHOWN = 50;

    /**
     * A row of the table.
     *
     * @param usualLow percent of a finished product
     * @param usualHigh percent of a finished product
     * @param phLow absent when it does not matter
     */
    record RowView(
            String inci,
            String common,
            String us,
            List<String> names,
            List<ClaimView> is,
            double usualLow,
            double usualHigh,
            int irritancy,
            String origin,
            String solubility,
            Optional<Double> phLow,
            Optional<Double> phHigh,
            String legal,
            String comedogenic,
            String notes,
            String source) {}

    /** What it is said to be, and whose claim that is. */
    record ClaimView(String words, String source) {}

    record Found(int total, List<RowView> rows) {}

    /** A name as the practice has it; version is how often it was spoken of. */
    record OwnView(
            String name,
            String common,
            List<String> is,
            Set<Tag> tags,
            Optional<Double> low,
            Optional<Double> high,
            Optional<Integer> irritancy,
            String why,
            String who,
            LocalDateTime at,
            int version) {}

    /** @param tag what a name may be said to be, with its words */
    record TagView(Tag tag, String words) {}

    record Book(List<OwnView> own, List<TagView> tags) {}

    /** What a label says otherwise since: what it no longer is, and what it is now. */
    record ChangedLabel(ProductId id, String name, List<String> gone, List<String> now) {}

    /** @param products how many labels say something else; the first of them are told */
    record IngredientAnswer(Book book, int products, List<ChangedLabel> changed) {}

    private final OwnIngredientStore store;
    private final Catalogue catalogue;
    private final ProductStore products;
    private final TransactionTemplate transaction;
    private final Clock clock;

    IngredientBook(
            OwnIngredientStore store,
            Catalogue catalogue,
            ProductStore products,
            TransactionTemplate transaction,
            Clock clock) {
        this.transaction = transaction;
        this.store = store;
        this.catalogue = catalogue;
        this.products = products;
        this.clock = clock;
    }

    Found find(String text) {
        String wanted = text.strip().toLowerCase(Locale.ROOT);
        List<Ingredient> found = Ingredients.all().stream()
                .filter(i -> Ingredients.namesOf(i).stream()
                        .anyMatch(n -> n.toLowerCase(Locale.ROOT).contains(wanted)))
                .sorted(Comparator.comparing((Ingredient i) ->
                                !i.inci().toLowerCase(Locale.ROOT).startsWith(wanted)
                                        && !i.common().toLowerCase(Locale.ROOT).startsWith(wanted))
                        .thenComparing(Ingredient::inci))
                .toList();
        return new Found(
                found.size(),
                found.stream()
                        .limit(SHOWN)
                        .map(i -> row(i, LATIN.matcher(wanted).matches()))
                        .toList());
    }

    Book book() {
        return new Book(
                store.all().stream()
                        .filter(s -> !s.withdrawn())
                        .map(IngredientBook::own)
                        .toList(),
                List.of(Tag.values()).stream()
                        .map(t -> new TagView(t, t.words()))
                        .toList());
    }

    /** Says what a name is; labels that hold it are read again, and what they say otherwise is told. */
    IngredientAnswer say(
            String name,
            String common,
            Set<Tag> tags,
            OptionalDouble low,
            OptionalDouble high,
            Optional<Integer> irritancy,
            String why,
            String who,
            int version) {
        OwnIngredients.Row row;
        try {
            row = new OwnIngredients.Row(
                    name.strip(), common.strip(), tags, low, high, irritancy, why.strip(), who, LocalDate.now(clock));
        } catch (IllegalArgumentException cannotBe) {
            throw Problem.refused("not-an-ingredient", String.valueOf(cannotBe.getMessage()));
        }
        return put(row, version, false);
    }

    /** Takes a saying back: what ships holds again. */
    IngredientAnswer withdraw(String name, String why, String who, int version) {
        OwnIngredientStore.Said said = store.all().stream()
                .filter(s ->
                        !s.withdrawn() && OwnIngredients.key(s.row().name()).equals(OwnIngredients.key(name)))
                .findFirst()
                .orElseThrow(() -> Problem.notFound("saying", name));
        OwnIngredients.Row row = said.row();
        return put(
                new OwnIngredients.Row(
                        row.name(),
                        row.common(),
                        row.tags(),
                        row.low(),
                        row.high(),
                        row.irritancy(),
                        why.strip(),
                        who,
                        LocalDate.now(clock)),
                version,
                true);
    }

    private IngredientAnswer put(OwnIngredients.Row row, int version, boolean withdrawn) {
        List<Product.Facts> facts =
                products.all().stream().map(ProductStore.Stored::facts).toList();
        List<Product> before = facts.stream().map(catalogue::understand).toList();
        Boolean stored = transaction.execute(_ -> store.add(row, version, withdrawn, LocalDateTime.now(clock)));
        if (!Boolean.TRUE.equals(stored)) {
            throw new Clash("What the practice says of %s".formatted(row.name()), book());
        }
        catalogue.readAnew();
        List<ChangedLabel> changed = new ArrayList<>();
        for (int i = 0; i < facts.size(); i++) {
            compare(before.get(i), catalogue.understand(facts.get(i))).ifPresent(changed::add);
        }
        return new IngredientAnswer(
                book(), changed.size(), changed.stream().limit(PRODUCTS_SHOWN).toList());
    }

    private static Optional<ChangedLabel> compare(Product was, Product is) {
        List<String> before = said(was);
        List<String> after = said(is);
        List<String> gone = before.stream().filter(f -> !after.contains(f)).toList();
        List<String> now = after.stream().filter(f -> !before.contains(f)).toList();
        return gone.isEmpty() && now.isEmpty()
                ? Optional.empty()
                : Optional.of(new ChangedLabel(is.id(), is.name(), gone, now));
    }

    private static List<String> said(Product p) {
        List<String> all = new ArrayList<>();
        p.findings().stream().map((Finding f) -> f.about() + ": " + f.found()).forEach(all::add);
        p.label().unknown().forEach(u -> all.add("not known: " + u));
        return all;
    }

    private static OwnView own(OwnIngredientStore.Said s) {
        OwnIngredients.Row r = s.row();
        return new OwnView(
                r.name(),
                r.common(),
                r.tags().stream().map(Tag::words).sorted().toList(),
                r.tags(),
                optional(r.low()),
                optional(r.high()),
                r.irritancy(),
                r.why(),
                r.who(),
                s.at(),
                s.nth() + 1);
    }

    /** @param latin whether names in other scripts are left out: who looks for none cannot read them */
    private static RowView row(Ingredient i, boolean latin) {
        return new RowView(
                i.inci(),
                i.common(),
                i.us().equals("-") ? "" : i.us(),
                Ingredients.namesOf(i).stream()
                        .filter(n -> !n.equals(i.inci()) && !n.equals(i.common()))
                        .filter(n -> !latin || LATIN.matcher(n).matches())
                        .toList(),
                i.tags().stream()
                        .sorted()
                        .map(t -> new ClaimView(t.words(), Claims.of(t).source()))
                        .toList(),
                i.usualLow(),
                i.usualHigh(),
                i.irritancy(),
                i.origin().name().toLowerCase(Locale.ROOT),
                i.solubility(),
                optional(i.phLow()),
                optional(i.phHigh()),
                i.legal(),
                i.comedogenic(),
                i.notes(),
                i.source());
    }

    private static Optional<Double> optional(OptionalDouble x) {
        return x.isPresent() ? Optional.of(x.getAsDouble()) : Optional.empty();
    }
}
