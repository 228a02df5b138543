/** The application: start, wiring, the single page. */
@NullMarked
package outfell.server;

import org.jspecify.annotations.NullMarked;
