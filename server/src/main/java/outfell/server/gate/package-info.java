/** Who is let in: this machine's own windows, with bodies of a size that can be read. */
@NullMarked
package outfell.server.gate;

import org.jspecify.annotations.NullMarked;
