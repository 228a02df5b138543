/** The house catalogue and the reading of labels. */
@NullMarked
package outfell.server.catalogue;

import org.jspecify.annotations.NullMarked;
