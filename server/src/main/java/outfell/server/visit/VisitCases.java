package outfell.server.visit;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import outfell.aims.PatchCall;
import outfell.climate.SiteId;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.product.ProductId;
import outfell.regimen.PlainSkin;
import outfell.routine.Part;
import outfell.safety.PatchTest;
import outfell.server.catalogue.Catalogue;
import outfell.server.client.Shelf;
import outfell.server.patch.Patches;
import outfell.server.place.Places;
import outfell.server.plan.Cases;
import outfell.server.plan.Diaries;
import outfell.server.practice.Bands;
import outfell.server.practice.FollowedSchools;
import outfell.server.practice.HouseMethods;
import outfell.server.practice.Settings;
import outfell.server.practice.Yardsticks;
import outfell.server.visit.PlanStore.SavedPlan;
import outfell.server.visit.VisitStore.Visit;
import outfell.server.week.CheckIns;
import outfell.week.CheckIn;
import outfell.week.Diary;
import outfell.week.ReadFace;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** From a visit, and all that is known of its client and the practice, to what the core plans with. */
@Service
class VisitCases {
    private static final Set<String> WAITS =
            Set.of(PatchCall.PatchState.MISSING.name(), PatchCall.PatchState.RUNNING.name());

    /** Plans that are thought of at once: more than are looked at in a day. */
    private static final int REMEMBERED = 500;

    /** What a kept plan was made of; a plan that is kept is never another. */
    private record Made(Set<Consultation.Choice> steps, Set<String> waited) {}

    private final Cache<UUID, Made> made =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    private final VisitStore store;
    private final PlanStore planStore;
    private final Shelf shelf;
    private final Catalogue catalogue;
    private final Patches patches;
    private final CheckIns checkIns;
    private final EarlierFaces faces;
    private final Bands bands;
    private final HouseMethods methods;
    private final Yardsticks yardsticks;
    private final Settings settings;
    private final FollowedSchools schools;
    private final Places places;
    private final JsonMapper json;

    VisitCases(
            VisitStore store,
            PlanStore planStore,
            Shelf shelf,
            Catalogue catalogue,
            Patches patches,
            CheckIns checkIns,
            EarlierFaces faces,
            Bands bands,
            HouseMethods methods,
            Yardsticks yardsticks,
            Settings settings,
            FollowedSchools schools,
            Places places,
            JsonMapper json) {
        this.store = store;
        this.planStore = planStore;
        this.shelf = shelf;
        this.catalogue = catalogue;
        this.patches = patches;
        this.checkIns = checkIns;
        this.faces = faces;
        this.bands = bands;
        this.methods = methods;
        this.yardsticks = yardsticks;
        this.settings = settings;
        this.schools = schools;
        this.places = places;
        this.json = json;
    }

    Consultation of(Visit v) {
        List<Consultation.Patched> tested = patches.of(v.client());
        return Cases.consultation(
                        v.date(),
                        v.intake(),
                        v.reading(),
                        shelf.owned(v.client()),
                        catalogue.house(),
                        methods.get(v.method()),
                        places.get(v.intake().site()),
                        v.month(),
                        Cases.byHand(v.pins(), v.takenOut(), v.steps()),
                        tested,
                        house(),
                        diary(v))
                .keeping(used(v, tested));
    }

    private Consultation.House house() {
        return new Consultation.House(bands.current(), yardsticks.current(), schools.current(), settings.currency());
    }

    /** Somebody with a plain skin, where the practice is. */
    Consultation plain(LocalDate today) {
        return PlainSkin.consultation(catalogue.house(), places.get(usualPlace().value()), today, house());
    }

    /** Where a client lives of whom nobody has asked yet: where the practice is; the first that ships while nobody has said that either. */
    SiteId usualPlace() {
        return places.home().orElse(Sites.all().getFirst()).id();
    }

    /** The plan that was kept at an earlier visit counts as used since; but for what waited for its patch test and still does. */
    private Consultation.Standing used(Visit v, List<Consultation.Patched> tested) {
        return planStore.ofClient(v.client()).stream()
                .filter(p -> p.visitDate().isBefore(v.date()))
                .findFirst()
                .map(p -> used(p.plan(), v.date(), tested))
                .orElse(Consultation.Standing.NONE);
    }

    private Consultation.Standing used(SavedPlan plan, LocalDate day, List<Consultation.Patched> tested) {
        int weeks = (int) ChronoUnit.WEEKS.between(plan.savedAt().toLocalDate(), day);
        Made of = made.get(plan.id(), this::made);
        Set<ProductId> mayBeUsed = tested.stream()
                .filter(t -> t.waiver().isPresent()
                        || t.test()
                                .filter(x -> x.standing() == PatchTest.Standing.MAY_USE)
                                .isPresent())
                .map(Consultation.Patched::product)
                .collect(Collectors.toSet());
        return new Consultation.Standing(
                of.steps(),
                0,
                of.steps().stream()
                        .map(Consultation.Choice::product)
                        .distinct()
                        .filter(p -> !of.waited().contains(p.value()) || mayBeUsed.contains(p))
                        .collect(Collectors.toMap(p -> p, _ -> weeks)));
    }

    private Made made(UUID plan) {
        JsonNode regimen = json.readTree(planStore.document(plan).orElse("{}")).path("regimen");
        return new Made(
                Stream.of(Part.values())
                        .flatMap(part -> regimen.path(part.words())
                                .path("steps")
                                .valueStream()
                                .map(s -> new Consultation.Choice(
                                        part, new ProductId(s.path("product").asString("")))))
                        .collect(Collectors.toSet()),
                regimen.path("patches")
                        .valueStream()
                        .filter(c -> WAITS.contains(c.path("state").asString("")))
                        .map(c -> c.path("product").asString(""))
                        .collect(Collectors.toSet()));
    }

    private Diary diary(Visit v) {
        List<CheckIn> said = checkIns.said(v.client());
        Optional<LocalDate> first = said.stream().findFirst().map(CheckIn::on);
        // only what was read before the first check-in tells whether anything rose
        Optional<Visit> read = first.filter(d -> !v.date().isBefore(d)).isPresent()
                ? store.lastBefore(v.client(), first.orElseThrow())
                : Optional.of(v);
        Diary diary = Diaries.diary(
                v.week(),
                said,
                checkIns.pauses(v.client()),
                read.map(Visit::reading).orElse(null));
        for (ReadFace face : faces.before(v.client(), v.date())) {
            diary = diary.with(face);
        }
        return diary;
    }
}
