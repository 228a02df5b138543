/** The words, descriptors and choices that the screens show. */
@NullMarked
package outfell.server.vocabulary;

import org.jspecify.annotations.NullMarked;
