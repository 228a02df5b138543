/** Steps in order with the reason for each place, with amounts, technique and time. */
@NullMarked
package outfell.routine;

import org.jspecify.annotations.NullMarked;
