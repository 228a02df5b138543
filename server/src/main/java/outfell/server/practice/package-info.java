/** What a practice sets for itself, with who changed it and when. */
@NullMarked
package outfell.server.practice;

import org.jspecify.annotations.NullMarked;
