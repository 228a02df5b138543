/** Plans: of a case document, and of a stored visit. */
@NullMarked
package outfell.server.plan;

import org.jspecify.annotations.NullMarked;
