/** From signs and probe readings to type, conditions, barrier and ranked concerns, each with its evidence. */
@NullMarked
package outfell.skin;

import org.jspecify.annotations.NullMarked;
