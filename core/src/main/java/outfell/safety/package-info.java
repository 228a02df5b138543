/** From what the client tells to what is referred, banned or cautioned. */
@NullMarked
package outfell.safety;

import org.jspecify.annotations.NullMarked;
