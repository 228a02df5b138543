/** Why: what else could have been, which limit holds a thing back, what becomes of what is owned, what the next rung would buy. */
@NullMarked
package outfell.causes;

import org.jspecify.annotations.NullMarked;
