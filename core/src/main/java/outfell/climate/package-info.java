/** Sites, their months, the physics of humid air, and what that air asks of skin. */
@NullMarked
package outfell.climate;

import org.jspecify.annotations.NullMarked;
