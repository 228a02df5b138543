/** Weather as it is told day by day, beside the normals: what of it is believed, and which spells it brings. */
@NullMarked
package outfell.weather;

import org.jspecify.annotations.NullMarked;
