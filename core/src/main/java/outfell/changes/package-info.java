/**
 * Two plans held against each other: every difference with the fact whose taking back takes it back, found by planning again
 * without it.
 */
@NullMarked
package outfell.changes;

import org.jspecify.annotations.NullMarked;
