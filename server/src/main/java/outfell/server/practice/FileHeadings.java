package outfell.server.practice;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the practice has said that a heading of its suppliers' files means, with who said so; the last word counts. */
@Service
public class FileHeadings {
    private static final String PREFIX = "heading:";
    /** Letters that the record has room for; what is longer is kept by its beginning and a number made from all of it. */
    private static final int LONGEST = 32;

    private static final int BEGINNING = 22;

    private final SettingStore store;
    private final Clock clock;

    FileHeadings(SettingStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    /** How a heading is kept: case and the signs between its words carry no meaning. */
    public static String key(String heading) {
        String plain = heading.strip().toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "_");
        return plain.length() <= LONGEST
                ? plain
                : plain.substring(0, BEGINNING) + "_" + Integer.toHexString(plain.hashCode());
    }

    /** Columns by the keys of the headings that mean them; an empty column is one that is left out. */
    public Map<String, String> known() {
        Map<String, String> known = new HashMap<>();
        store.under(PREFIX)
                .forEach((heading, all) -> known.put(heading, all.getFirst().to()));
        return known;
    }

    /** @param meant column by heading; a heading that means what it meant already is not said again */
    @Transactional
    public void remember(Map<String, String> meant, String who) {
        meant.forEach((heading, column) -> {
            String name = PREFIX + key(heading);
            List<SettingStore.Setting> before = store.of(name);
            if (before.isEmpty() || !before.getFirst().to().equals(column)) {
                store.add(name, before.size(), new SettingStore.Setting(column, who, LocalDateTime.now(clock)));
            }
        });
    }
}
