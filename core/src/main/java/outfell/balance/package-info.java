/** Water held, softened and kept in: what a routine's layers add up to against what the skin and the air ask. */
@NullMarked
package outfell.balance;

import org.jspecify.annotations.NullMarked;
