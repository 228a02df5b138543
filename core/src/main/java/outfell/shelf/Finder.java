package outfell.shelf;

import java.util.BitSet;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.commons.text.similarity.LevenshteinDistance;
import outfell.aims.Benefits;
import outfell.consultation.Yardstick;
import outfell.knowledge.Lexicon;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Ingredient;
import outfell.product.Kinds;
import outfell.product.Meaning;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.skin.Concern;

/** Finds products as one types. */
public final class Finder {
    private static final double DAILY = 7;
    /** What a product must not hold. */
    public enum FreeOf {
        PERFUME(Tag.FRAGRANCE, Tag.ESSENTIAL_OIL, Tag.FRAGRANCE_ALLERGEN),
        ALCOHOL(Tag.DRYING_ALCOHOL),
        ANIMAL(Tag.ANIMAL_ORIGIN),
        NUTS(Tag.ALLERGEN_NUT),
        LANOLIN(Tag.ALLERGEN_LANOLIN);

        private final Set<Tag> tags;

        FreeOf(Tag... tags) {
            this.tags = Set.of(tags);
        }

        public boolean holds(Product p) {
            return p.tags().stream().noneMatch(tags::contains);
        }
    }

    /**
     * What is looked for; every part must hold, and an empty one holds always.
     *
     * @param text words of name, maker, kind, ingredient or active, each of which must stand somewhere
     * @param mostPrice of the pack; products without a price are left out when it is set
     */
    public record Wanted(
            String text,
            Set<StepKind> kinds,
            Set<ActiveKind> actives,
            Set<Concern> concerns,
            Set<FreeOf> free,
            OptionalDouble leastTexture,
            OptionalDouble mostTexture,
            OptionalDouble mostPrice) {}

    /** @param words that stand in it, each once */
    private record Indexed(Product product, String name, Set<Concern> serves, Set<String> words) {
        static Indexed of(Product p) {
            return new Indexed(
                    p,
                    String.join(" ", Lexicon.words(p.name())),
                    Index.serves(p),
                    Set.copyOf(Lexicon.words(Index.said(p))));
        }
    }

    /** In which products an ingredient stands. */
    private record Standing(Ingredient ingredient, BitSet where) {}

    /**
     * A shelf laid out once for many searches: in the order of names, with the products in which each word and each ingredient
     * stands. Words are found by any part of them, so a search looks through the few thousand different words and not through
     * every label.
     */
    public static final class Index {
        private final List<Indexed> products;
        private final Map<String, BitSet> words = new HashMap<>();
        private final Map<String, Standing> ingredients = new HashMap<>();

        /** @param before what was laid out already; nothing of it is read twice */
        private Index(List<Product> all, Map<Product, Indexed> before) {
            products = all.stream()
                    .sorted(Comparator.comparing(Product::name).thenComparing(Product::id))
                    .map(p -> {
                        Indexed same = before.get(p);
                        return same == null ? Indexed.of(p) : same;
                    })
                    .toList();
            for (int i = 0; i < products.size(); i++) {
                int at = i;
                Product p = products.get(i).product();
                for (String word : products.get(i).words()) {
                    words.computeIfAbsent(word, _ -> new BitSet()).set(i);
                }
                p.label().held().stream()
                        .flatMap(l -> l.ingredient().stream())
                        .forEach(x -> ingredients
                                .computeIfAbsent(x.inci(), _ -> new Standing(x, new BitSet()))
                                .where()
                                .set(at));
            }
        }

        /** By name. */
        public List<Product> all() {
            return products.stream().map(Indexed::product).toList();
        }

        private BitSet everything() {
            BitSet all = new BitSet();
            all.set(0, products.size());
            return all;
        }

        /** Where a word stands somewhere, or what it means does. */
        private BitSet with(String word) {
            BitSet here = new BitSet();
            words.forEach((w, where) -> {
                if (w.contains(word)) {
                    here.or(where);
                }
            });
            here.or(meaning(Meaning.of(word)));
            return here;
        }

        private BitSet meaning(Meaning meaning) {
            BitSet found = new BitSet();
            if (meaning.known()) {
                ingredients.values().stream()
                        .filter(s -> meaning.means(s.ingredient()))
                        .forEach(s -> found.or(s.where()));
            }
            return found;
        }

        private BitSet sense(Sense sense) {
            BitSet found = new BitSet();
            for (int i = 0; i < products.size(); i++) {
                found.set(i, speaksOf(sense, products.get(i)));
            }
            return found;
        }

        /** Words of the shelf that are one slip of the finger away; none for what is too short to tell. */
        private List<String> near(String word) {
            return word.length() < SLIP_FROM
                    ? List.of()
                    : Stream.concat(
                                    words.keySet().stream(),
                                    Sense.all().stream()
                                            .flatMap(s -> s.words().stream())
                                            .flatMap(List::stream))
                            .filter(w -> slip(word, w))
                            .distinct()
                            .sorted()
                            .toList();
        }

        private static Set<Concern> serves(Product p) {
            Set<Concern> serves = EnumSet.noneOf(Concern.class);
            Benefits.of(p, DAILY, Yardstick.SHIPPED).forEach(h -> serves.add(h.concern()));
            return serves;
        }

        private static String said(Product p) {
            StringBuilder words = new StringBuilder();
            words.append(p.name())
                    .append(' ')
                    .append(p.maker())
                    .append(' ')
                    .append(Kinds.of(p.kind()).label());
            Stream.concat(p.label().claimed().stream(), p.label().lines().stream())
                    .forEach(l -> {
                        words.append(' ').append(l.printed());
                        l.ingredient()
                                .ifPresent(i -> words.append(' ')
                                        .append(i.inci())
                                        .append(' ')
                                        .append(i.common()));
                    });
            p.actives()
                    .forEach(a -> words.append(' ').append(Actives.of(a.kind()).label()));
            return words.toString();
        }
    }

    private static boolean speaksOf(Sense sense, Indexed i) {
        return sense.kind().filter(k -> i.product().kind() == k).isPresent()
                || sense.active().filter(i.product()::has).isPresent()
                || sense.concern().filter(i.serves()::contains).isPresent();
    }

    /** One letter more, fewer, another, or two beside one another changed places. */
    private static boolean slip(String typed, String word) {
        if (Math.abs(typed.length() - word.length()) > 1) {
            return false;
        }
        if (ONE.apply(typed, word) >= 0) {
            return true;
        }
        int at = 0;
        while (at < typed.length() - 1 && at < word.length() && typed.charAt(at) == word.charAt(at)) {
            at++;
        }
        return typed.length() == word.length()
                && at + 1 < typed.length()
                && typed.charAt(at) == word.charAt(at + 1)
                && typed.charAt(at + 1) == word.charAt(at)
                && typed.substring(at + 2).equals(word.substring(at + 2));
    }

    private Finder() {}

    public static Index index(List<Product> products) {
        return new Index(products, Map.of());
    }

    /** The same; what stood on the shelf before and is the very same thing is not read anew. */
    public static Index index(List<Product> products, Index before) {
        Map<Product, Indexed> known = new IdentityHashMap<>();
        before.products.forEach(i -> known.put(i.product(), i));
        return new Index(products, known);
    }

    /**
     * @param products best first
     * @param readAs of words that stand nowhere: what each was read as, one slip of the finger away
     */
    public record Found(List<Product> products, Map<String, List<String>> readAs) {}

    /** One word of a search: where it stands, and what else it speaks of. */
    private record Asked(String word, BitSet where, List<Sense> senses) {}

    /** Best first; see {@link #search}. */
    public static List<Product> find(Index index, Wanted wanted) {
        return search(index, wanted).products();
    }

    /**
     * Names come first, then what a word says of actives, of the kind, of a concern, then what stands elsewhere; each by name. What
     * the text means counts like what it says: "vitamin A" finds a retinol, "wool fat" a lanolin, "moisturizer" a moisturiser; a
     * word that stands nowhere is read as those one slip away.
     */
    public static Found search(Index index, Wanted wanted) {
        List<String> words = Lexicon.words(wanted.text());
        List<Sense.Spoken> spoken = Sense.in(words);
        Map<String, List<String>> readAs = new LinkedHashMap<>();
        List<Asked> asked =
                words.stream().map(w -> asked(index, w, spoken, readAs)).toList();
        BitSet found = index.everything();
        asked.forEach(a -> found.and(a.where()));
        if (words.size() > 1) {
            index.meaning(Meaning.of(wanted.text())).stream().forEach(found::set);
        }
        record Ranked(Indexed product, int rank) {}
        List<Product> products = found.stream()
                .mapToObj(index.products::get)
                .filter(i -> fits(i, wanted))
                .map(i -> new Ranked(i, rank(i, asked)))
                .sorted(Comparator.comparingInt(Ranked::rank))
                .map(r -> r.product().product())
                .toList();
        return new Found(products, readAs);
    }

    private static Asked asked(Index index, String word, List<Sense.Spoken> spoken, Map<String, List<String>> readAs) {
        List<Sense> senses = spoken.stream()
                .filter(s -> s.by().contains(word))
                .map(Sense.Spoken::sense)
                .toList();
        BitSet where = index.with(word);
        senses.forEach(s -> where.or(index.sense(s)));
        if (!where.isEmpty()) {
            return new Asked(word, where, senses);
        }
        List<String> near = index.near(word);
        List<Sense> meant = near.stream()
                .flatMap(n -> Sense.in(List.of(n)).stream())
                .map(Sense.Spoken::sense)
                .toList();
        near.forEach(n -> where.or(index.with(n)));
        meant.forEach(s -> where.or(index.sense(s)));
        if (!where.isEmpty()) {
            readAs.put(word, near);
        }
        return new Asked(near.isEmpty() ? word : near.getFirst(), where, meant);
    }

    private static boolean fits(Indexed i, Wanted w) {
        Product p = i.product();
        return (w.kinds().isEmpty() || w.kinds().contains(p.kind()))
                && (w.actives().isEmpty() || w.actives().stream().allMatch(p::has))
                && (w.concerns().isEmpty() || w.concerns().stream().allMatch(i.serves()::contains))
                && w.free().stream().allMatch(f -> f.holds(p))
                && p.texture() >= w.leastTexture().orElse(0)
                && p.texture() <= w.mostTexture().orElse(9)
                && (w.mostPrice().isEmpty()
                        || (p.price() > 0 && p.price() <= w.mostPrice().getAsDouble()));
    }

    /** The lower, the better: of each word where it stands, the first word counting most. */
    private static int rank(Indexed i, List<Asked> asked) {
        int rank = 0;
        for (Asked a : asked.subList(0, Math.min(RANKED, asked.size()))) {
            rank = rank * (ELSEWHERE + 1) + rank(i, a);
        }
        return rank;
    }

    private static int rank(Indexed i, Asked a) {
        if (i.name().startsWith(a.word())) {
            return 0;
        }
        if (i.name().contains(a.word())) {
            return 1;
        }
        boolean active = i.product().actives().stream()
                .anyMatch(x ->
                        Actives.of(x.kind()).label().toLowerCase(Locale.ROOT).contains(a.word()));
        if (active
                || a.senses().stream()
                        .anyMatch(s -> s.active().filter(i.product()::has).isPresent())) {
            return 2;
        }
        if (Kinds.of(i.product().kind()).label().contains(a.word())
                || a.senses().stream()
                        .anyMatch(s ->
                                s.kind().filter(k -> k == i.product().kind()).isPresent())) {
            return 3;
        }
        return a.senses().stream()
                        .anyMatch(s -> s.concern().filter(i.serves()::contains).isPresent())
                ? 4
                : ELSEWHERE;
    }

    private static final int ELSEWHERE = 5;
    /** Words that decide the order; more would not fit a number, and nobody types them. */
    private static final int RANKED = 8;
    /** Letters from which one slip leaves a word recognisable; house rule. */
    private static final int SLIP_FROM = 4;

    private static final LevenshteinDistance ONE = new LevenshteinDistance(1);
}
