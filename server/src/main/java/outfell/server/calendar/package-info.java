/** The client's evenings as a calendar file. */
@NullMarked
package outfell.server.calendar;

import org.jspecify.annotations.NullMarked;
