package outfell.skin;

import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** Band of the oil axis. */
public enum Band {
    DRY,
    NORMAL,
    OILY;

    static final Row TYPE = KnowledgeFile.yaml("skin.yaml").row("type");
    static final double DRY_UNDER = TYPE.number("dry-under", 0, 100);
    static final double OILY_OVER = TYPE.number("oily-over", DRY_UNDER, 100);

    static Band of(double oil) {
        return oil < DRY_UNDER ? DRY : oil <= OILY_OVER ? NORMAL : OILY;
    }

    public String words() {
        return name().toLowerCase();
    }
}
