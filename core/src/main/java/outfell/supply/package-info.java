/** How long packs last and what a month of a plan costs. */
@NullMarked
package outfell.supply;

import org.jspecify.annotations.NullMarked;
