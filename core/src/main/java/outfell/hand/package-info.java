/** What is the therapist's own: what she puts in and changes, followed or refused with a sentence. */
@NullMarked
package outfell.hand;

import org.jspecify.annotations.NullMarked;
