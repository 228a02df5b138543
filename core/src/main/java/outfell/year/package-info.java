/** The year ahead: dates on which the air turns, what the plan becomes, why, and for how long its packs last. */
@NullMarked
package outfell.year;

import org.jspecify.annotations.NullMarked;
