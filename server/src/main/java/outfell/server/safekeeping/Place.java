package outfell.server.safekeeping;

import java.util.Optional;

/**
 * Where the practice is kept.
 *
 * @param folder that this process holds; absent when everything is in memory, as in tests
 */
record Place(Optional<PracticeFolder> folder) {}
