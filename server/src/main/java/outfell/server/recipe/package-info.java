/** Mixtures made at home and in the palm: read, kept on a shelf, shown again. */
@NullMarked
package outfell.server.recipe;

import org.jspecify.annotations.NullMarked;
