/** Remedies mixed at home and blends in the palm: what they hold, how strong, how long they keep, what they do harm. */
@NullMarked
package outfell.recipe;

import org.jspecify.annotations.NullMarked;
