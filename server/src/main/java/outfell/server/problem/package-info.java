/** Every refusal as one kind of document: a code, a sentence, the field. */
@NullMarked
package outfell.server.problem;

import org.jspecify.annotations.NullMarked;
