/** The weather service: one interface, its requests, what is made of its answers, and the address at which the screens ask. */
@NullMarked
package outfell.server.weather;

import org.jspecify.annotations.NullMarked;
