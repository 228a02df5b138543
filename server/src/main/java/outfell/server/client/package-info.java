/** Clients, the desk and their shelves. */
@NullMarked
package outfell.server.client;

import org.jspecify.annotations.NullMarked;
