/** The exact choice among options by an order of aims: numbers only, it knows no skin. */
@NullMarked
package outfell.choice;

import org.jspecify.annotations.NullMarked;
