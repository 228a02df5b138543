package outfell.regimen;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import outfell.climate.Site;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.method.Method;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.safety.Answers;
import outfell.safety.SafetyScreen;
import outfell.skin.History;
import outfell.skin.Observation;
import outfell.skin.ProbeConditions;
import outfell.skin.Sign;
import outfell.skin.Signs;
import outfell.skin.SkinReading;
import outfell.skin.Zone;
import outfell.week.Diary;

/** Somebody with a plain skin, by definition (around.yaml): normal, sound, and nothing in the way. */
public final class PlainSkin {
    private static final Row FILE = KnowledgeFile.yaml("around.yaml").row("plain");
    private static final Method METHOD =
            Methods.find(FILE.text("method")).orElseThrow(() -> FILE.fault("there is no such method"));
    private static final Map<Sign, Integer> GRADES = grades(FILE.row("grades"));
    private static final int AGE = FILE.whole("age", 18, 99);

    private PlainSkin() {}

    public static Consultation consultation(
            List<Product> catalogue, Site site, LocalDate today, Consultation.House house) {
        return new Consultation(
                face(),
                answers(today),
                Life.USUAL,
                Set.of(),
                List.of(),
                catalogue,
                METHOD,
                site,
                today.getMonth(),
                Consultation.ByHand.NOTHING,
                Consultation.Standing.NONE,
                List.of(),
                house,
                Diary.NONE);
    }

    private static SkinReading face() {
        List<Observation> seen = new ArrayList<>();
        for (Sign sign : Sign.values()) {
            int grade = GRADES.getOrDefault(sign, 0);
            Signs.of(sign).zones().stream()
                    .filter(Zone::inRegimen)
                    .forEach(z -> seen.add(
                            new Observation(z, sign, grade, Signs.of(sign).how())));
        }
        return new SkinReading(
                seen, List.of(), ProbeConditions.UNSTATED, History.NONE, List.of(), List.of(), List.of());
    }

    private static Answers answers(LocalDate today) {
        Answers all = Answers.none(today);
        for (String question : SafetyScreen.questions()) {
            all = all.with(new Answers.Answer(question, false, Optional.empty(), today));
        }
        return new Answers(
                today, all.given(), OptionalInt.of(AGE), all.medicines(), all.otherAllergies(), all.settled());
    }

    private static Map<Sign, Integer> grades(Row row) {
        return Arrays.stream(Sign.values())
                .filter(s -> row.has(key(s)))
                .collect(Collectors.toMap(s -> s, s -> row.whole(key(s), 0, 4)));
    }

    private static String key(Sign sign) {
        return sign.name().toLowerCase(Locale.ROOT);
    }
}
