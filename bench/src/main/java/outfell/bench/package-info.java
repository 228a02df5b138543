/** How fast the core is. */
@NullMarked
package outfell.bench;

import org.jspecify.annotations.NullMarked;
