/** The shape of a rule's answer, and the reading of the knowledge files: every row has a source, and a fault names file and line. */
@NullMarked
package outfell.knowledge;

import org.jspecify.annotations.NullMarked;
