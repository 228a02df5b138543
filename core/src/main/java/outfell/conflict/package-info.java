/** What may not meet, what may meet on other nights, and which stories are only stories. */
@NullMarked
package outfell.conflict;

import org.jspecify.annotations.NullMarked;
