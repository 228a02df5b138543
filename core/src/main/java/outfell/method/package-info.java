/** The settings on which schools differ, as data. */
@NullMarked
package outfell.method;

import org.jspecify.annotations.NullMarked;
