package outfell.server.client;

import java.util.UUID;

/** Something of a client's was written; told within the transaction that writes it. */
public record ClientChanged(UUID client) {}
