package outfell.regimen;

import java.util.List;
import outfell.consultation.Life;
import outfell.consultation.Life.Place;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.season.Asked;

/** What the client's sheet says beside the steps, from sheet.yaml. */
public final class SheetNotes {
    private enum When {
        ALWAYS,
        STRONG,
        SUN_AGAIN,
        WASH_TWICE,
        SEA,
        DRY_ROOMS,
        HANDS,
        HEAT,
        MAKE_UP,
        FULL_MAKE_UP
    }

    /**
     * @param title a few words
     * @param text the rest, for the client
     */
    public record SheetNote(String title, String text, Because because) {}

    private record Rule(String id, When when, String title, String text, Because because) {}

    private static final List<Place> DRY = List.of(Place.HEATED_ROOMS, Place.COOLED_ROOMS, Place.PLANES);
    private static final List<Rule> RULES =
            Row.unique(KnowledgeFile.yaml("sheet.yaml").rows("notes"), SheetNotes::read, Rule::id);

    private SheetNotes() {}

    /**
     * @param asked what the air asks
     * @param hold how long the plan is kept as it is, in words
     */
    static List<SheetNote> of(List<String> strong, Life life, Asked asked, boolean firstCleanse, String hold) {
        return RULES.stream()
                .filter(r -> switch (r.when()) {
                    case ALWAYS -> true;
                    case STRONG -> !strong.isEmpty();
                    case SUN_AGAIN -> asked.sunAgain().value() > 0;
                    case WASH_TWICE -> asked.waterFast().yes() && !firstCleanse;
                    case SEA -> life.places().contains(Place.SEA);
                    case DRY_ROOMS -> asked.mist().yes() || DRY.stream().anyMatch(life.places()::contains);
                    case HANDS -> asked.hands().yes();
                    case HEAT -> life.places().contains(Place.HEAT);
                    case MAKE_UP -> life.makeUpDays() > 0;
                    case FULL_MAKE_UP -> firstCleanse && life.fullMakeUp() && life.makeUpDays() > 0;
                })
                .map(r -> new SheetNote(
                        r.title(),
                        r.text()
                                .replace("{strong}", String.join(" and ", strong))
                                .replace(
                                        "{every}",
                                        String.valueOf(asked.sunAgain().value()))
                                .replace("{hold}", hold),
                        r.because()))
                .toList();
    }

    private static Rule read(Row row) {
        return new Rule(
                row.text("id"),
                row.one("when", When.class),
                row.text("title"),
                row.text("text"),
                row.because(row.text("title")));
    }
}
