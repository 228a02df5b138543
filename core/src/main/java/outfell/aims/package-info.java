/** What is wanted of a plan, and what fits: which places there are, what each product is worth in each for every aim, and the limits. */
@NullMarked
package outfell.aims;

import org.jspecify.annotations.NullMarked;
