/** The demo practice. */
@NullMarked
package outfell.server.demo;

import org.jspecify.annotations.NullMarked;
