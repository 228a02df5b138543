/** What clients say between visits: check-ins and pauses, kept and read into plans. */
@NullMarked
package outfell.server.week;

import org.jspecify.annotations.NullMarked;
