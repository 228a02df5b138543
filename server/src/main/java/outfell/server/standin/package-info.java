/** Stand-ins for outside devices, each behind the protocol that a real one would speak. */
@NullMarked
package outfell.server.standin;

import org.jspecify.annotations.NullMarked;
