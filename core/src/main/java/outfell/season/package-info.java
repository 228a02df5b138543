/** What the month's air changes in a plan, and why. */
@NullMarked
package outfell.season;

import org.jspecify.annotations.NullMarked;
