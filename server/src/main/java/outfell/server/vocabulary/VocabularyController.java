package outfell.server.vocabulary;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import outfell.climate.Site;
import outfell.climate.Sites;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.knowledge.Sources;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Kinds;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.routine.Coverage;
import outfell.safety.PatchTest;
import outfell.safety.SafetyScreen;
import outfell.server.week.WeekWords;
import outfell.skin.Concern;
import outfell.skin.How;
import outfell.skin.Lately;
import outfell.skin.PhototypeReader;
import outfell.skin.ProbeReading;
import outfell.skin.Sign;
import outfell.skin.Signs;
import outfell.skin.Zone;

/** Words, descriptors and choices, so that no screen carries a table of its own. */
@RestController
@RequestMapping("/api/vocabulary")
class VocabularyController {
    record Vocabulary(
            List<SignWords> signs,
            List<ZoneWords> zones,
            List<ConcernWords> concerns,
            List<KindWords> kinds,
            List<ActiveWords> actives,
            List<TextureWords> textures,
            List<SiteWords> sites,
            List<CoverageWords> coverages,
            List<SafetyScreen.Group> questionGroups,
            List<PhototypeReader.SunClass> phototypes,
            List<QuantityWords> quantities,
            PatchWords patch,
            WeekWords weeks,
            List<CauseWords> lately,
            Map<Evidence, String> evidence,
            Map<String, String> sources) {}

    record SignWords(Sign sign, String label, How how, List<Zone> zones, List<String> grades, Because because) {}

    /** @param onRequest whether it is read on request only */
    record ZoneWords(Zone zone, String label, boolean onRequest) {}

    record QuantityWords(ProbeReading.Quantity quantity, String label, String unit, double least, double most) {}

    record PatchWords(List<PatchTest.KindOfTest> kinds, List<PatchTest.SiteOfTest> sites, List<String> grades) {}

    record ConcernWords(Concern concern, String label) {}

    record KindWords(StepKind kind, String label) {}

    /** @param letter by which a strip marks it */
    record ActiveWords(ActiveKind kind, String label, String letter) {}

    record TextureWords(double grade, String label) {}

    /** By what a skin may be otherwise these weeks. */
    record CauseWords(String id, String label) {}

    record SiteWords(String id, String name, String note) {}

    /** @param onTheFace whether it is a part of the face */
    record CoverageWords(Coverage coverage, String label, double cm2, boolean onTheFace) {}

    private static final Vocabulary WORDS = words();

    @GetMapping
    Vocabulary vocabulary() {
        return WORDS;
    }

    private static Vocabulary words() {
        return new Vocabulary(
                Signs.all().stream()
                        .map(s -> new SignWords(s.sign(), s.label(), s.how(), s.zones(), s.grades(), s.because()))
                        .toList(),
                Arrays.stream(Zone.values())
                        .map(z -> new ZoneWords(z, z.words(), z.onRequest()))
                        .toList(),
                Arrays.stream(Concern.values())
                        .map(c -> new ConcernWords(c, c.words()))
                        .toList(),
                Kinds.all().stream()
                        .map(k -> new KindWords(k.kind(), k.label()))
                        .toList(),
                Actives.all().stream()
                        .map(a -> new ActiveWords(a.kind(), a.label(), a.letter()))
                        .toList(),
                List.of(1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 6.5, 7.0, 8.0).stream()
                        .map(t -> new TextureWords(t, ProductReader.textureWords(t)))
                        .toList(),
                Sites.all().stream().map(VocabularyController::site).toList(),
                Arrays.stream(Coverage.values())
                        .map(c -> new CoverageWords(c, c.words(), c.cm2(), c.onTheFace()))
                        .toList(),
                SafetyScreen.groups(),
                PhototypeReader.classes(),
                Arrays.stream(ProbeReading.Quantity.values())
                        .map(q -> new QuantityWords(q, q.label(), q.unit(), q.least(), q.most()))
                        .toList(),
                new PatchWords(PatchTest.kinds(), PatchTest.sites(), PatchTest.grades()),
                WeekWords.all(),
                Lately.known().stream()
                        .map(c -> new CauseWords(c.id(), c.label()))
                        .toList(),
                Arrays.stream(Evidence.values())
                        .collect(java.util.stream.Collectors.toMap(
                                e -> e, Evidence::words, (a, _) -> a, java.util.TreeMap::new)),
                Sources.all());
    }

    private static SiteWords site(Site s) {
        return new SiteWords(s.id().value(), s.name(), s.note());
    }
}
