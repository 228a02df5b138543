/** Patch tests: started, read, waived, and due. */
@NullMarked
package outfell.server.patch;

import org.jspecify.annotations.NullMarked;
