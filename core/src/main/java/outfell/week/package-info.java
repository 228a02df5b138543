/** On which nights a strong step falls. */
@NullMarked
package outfell.week;

import org.jspecify.annotations.NullMarked;
