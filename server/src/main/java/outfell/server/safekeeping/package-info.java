/** The practice's file: opened whole, written to the disk before anybody is told that it is, copied away each day. */
@NullMarked
package outfell.server.safekeeping;

import org.jspecify.annotations.NullMarked;
