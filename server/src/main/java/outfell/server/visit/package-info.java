/** Visits: what was asked, read and chosen, kept with a version. */
@NullMarked
package outfell.server.visit;

import org.jspecify.annotations.NullMarked;
