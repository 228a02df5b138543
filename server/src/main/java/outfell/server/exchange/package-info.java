/** The catalogue and shelves as files: out as CSV or JSON, in with a preview, all or nothing, and back again. */
@NullMarked
package outfell.server.exchange;

import org.jspecify.annotations.NullMarked;
