package outfell.knowledge;

/** A knowledge file that cannot be trusted: names the file, the line, what came and what is allowed. */
public final class KnowledgeFault extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public KnowledgeFault(String file, int line, String reason) {
        super("%s, line %d: %s".formatted(file, line, reason));
    }
}
