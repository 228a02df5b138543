/** The skin probe: one interface, its line protocol, and the addresses at which the screens reach it. */
@NullMarked
package outfell.server.probe;

import org.jspecify.annotations.NullMarked;
