package outfell.product;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import outfell.knowledge.Certainty;

/** What a printed name stands for: by its whole name, by letters that look alike, by its family, or by a slip of print. */
final class Substances {
    /**
     * @param ingredient what it is; nothing when neither table nor family has it
     * @param how what it was known by, when not by its whole name; a sentence, may be empty
     * @param maybe what an unknown name may be a misprint of, nearest first
     */
    record Meant(Optional<Ingredient> ingredient, Certainty certainty, String how, List<Ingredient> maybe) {
        static Meant sure(Ingredient ingredient) {
            return new Meant(Optional.of(ingredient), Certainty.SURE, "", List.of());
        }

        static final Meant UNKNOWN = new Meant(Optional.empty(), Certainty.GUESS, "", List.of());
    }

    /** Labels repeat their names: each is looked up once. */
    private static final Map<String, Meant> SEEN = new ConcurrentHashMap<>();

    /** Names kept in mind, a thousand labels' worth; beyond it they are looked up again. */
    private static final int MOST_SEEN = 20_000;

    private Substances() {}

    static Meant of(String printed) {
        if (SEEN.size() > MOST_SEEN) {
            SEEN.clear();
        }
        return SEEN.computeIfAbsent(printed, Substances::read);
    }

    private static Meant read(String printed) {
        return LabelReader.find(printed).map(Meant::sure).orElseGet(() -> unlisted(printed));
    }

    private static Meant unlisted(String printed) {
        List<Spelling.Guess> guesses = Spelling.of(printed);
        return alike(guesses)
                .or(() -> family(printed))
                .orElseGet(() -> new Meant(Optional.empty(), Certainty.GUESS, "", misprints(guesses)));
    }

    /** Only letters that a camera or a hurried eye confuses differ: l and I, 0 and O. */
    private static Optional<Meant> alike(List<Spelling.Guess> guesses) {
        return Spelling.alone(guesses, 0)
                .flatMap(Ingredients::find)
                .map(i -> new Meant(
                        Optional.of(i),
                        Certainty.LIKELY,
                        "Read as %s: letters that look alike differ.".formatted(i.inci()),
                        List.of()));
    }

    private static Optional<Meant> family(String printed) {
        return Families.taken(printed)
                .map(t -> new Meant(
                        Optional.of(t.ingredient()),
                        t.certainty(),
                        "The table does not know it; by its name it is %s.".formatted(String.join(" and ", t.labels())),
                        List.of()));
    }

    private static List<Ingredient> misprints(List<Spelling.Guess> guesses) {
        return guesses.stream()
                .flatMap(g -> Ingredients.find(g.inci()).stream())
                .toList();
    }
}
