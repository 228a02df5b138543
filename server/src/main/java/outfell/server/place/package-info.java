/** The places whose air plans are made for: those that ship, and the practice's own. */
@NullMarked
package outfell.server.place;

import org.jspecify.annotations.NullMarked;
