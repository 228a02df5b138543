/** What a client does now, and what there is to find on shelf and in catalogue. */
@NullMarked
package outfell.shelf;

import org.jspecify.annotations.NullMarked;
