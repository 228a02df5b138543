/** Ingredients, labels as printed, and what a product therefore is. */
@NullMarked
package outfell.product;

import org.jspecify.annotations.NullMarked;
