/** The client's sheet as a PDF. */
@NullMarked
package outfell.server.sheet;

import org.jspecify.annotations.NullMarked;
