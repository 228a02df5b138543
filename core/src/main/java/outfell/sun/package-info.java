/** Sunscreen as it lies on skin. */
@NullMarked
package outfell.sun;

import org.jspecify.annotations.NullMarked;
