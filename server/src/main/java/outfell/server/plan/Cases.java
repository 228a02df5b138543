package outfell.server.plan;

import java.time.Month;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import outfell.climate.Sites;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StarterCatalogue;
import outfell.regimen.Consultation;
import outfell.safety.Answers;
import outfell.safety.SafetyScreen;
import outfell.server.problem.Problem;
import outfell.skin.Concern;
import outfell.skin.Observation;
import outfell.skin.ProbeReading;
import outfell.skin.RecentEvent;
import outfell.skin.SkinReading;

/** From a document to what the core plans with. What the schema cannot say is checked here, with the field's pointer. */
public final class Cases {
    private static final List<Product> STARTER = StarterCatalogue.products();

    private Cases() {}

    static Consultation consultation(CaseDocument c) {
        List<CaseDocument.ProductFacts> catalogue = c.catalogue();
        List<Product> offered = catalogue == null ? STARTER : products("/catalogue", catalogue);
        return consultation(
                c.intake(),
                c.reading(),
                owned(orNone(c.owned())),
                offered,
                c.method(),
                c.month(),
                orNone(c.pins()),
                orNone(c.takenOut()));
    }

    /** The same from stored parts. */
    public static Consultation consultation(
            CaseDocument.Intake intake,
            CaseDocument.Reading reading,
            List<Consultation.Owned> shelf,
            List<Product> catalogue,
            String method,
            Month month,
            List<CaseDocument.Choice> pins,
            List<CaseDocument.Choice> takenOut) {
        boolean prescribed = shelf.stream().anyMatch(o -> o.product().prescription());
        return new Consultation(
                reading(intake, reading),
                answers(intake, prescribed),
                life(intake),
                concerns(intake),
                shelf,
                catalogue,
                Methods.find(method)
                        .orElseThrow(() -> Problem.field(
                                "/method",
                                "There is no method %s; there are %s."
                                        .formatted(
                                                method,
                                                Methods.all().stream()
                                                        .map(m -> m.id())
                                                        .toList()))),
                Sites.find(intake.site())
                        .orElseThrow(() -> Problem.field(
                                "/intake/site",
                                "There is no site %s; there are %s."
                                        .formatted(
                                                intake.site(),
                                                Sites.all().stream()
                                                        .map(s -> s.id())
                                                        .toList()))),
                month,
                choices(pins),
                choices(takenOut),
                Consultation.Standing.NONE);
    }

    /** The reading with the history that counts for it. */
    public static SkinReading reading(CaseDocument.Intake intake, CaseDocument.Reading reading) {
        List<Observation> observations = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < reading.grades().size(); i++) {
            CaseDocument.Grade g = reading.grades().get(i);
            String pointer = "/reading/grades/" + i;
            if (!seen.add(g.zone() + " " + g.sign())) {
                throw Problem.field(
                        pointer,
                        "%s of the %s is graded twice."
                                .formatted(g.sign(), g.zone().words()));
            }
            observations.add(at(pointer, () -> new Observation(g.zone(), g.sign(), g.grade(), g.how())));
        }
        List<ProbeReading> probe = new ArrayList<>();
        for (int i = 0; i < reading.probe().size(); i++) {
            CaseDocument.Probe p = reading.probe().get(i);
            probe.add(at("/reading/probe/" + i, () -> new ProbeReading(p.quantity(), p.zone(), p.value())));
        }
        List<RecentEvent> events = new ArrayList<>();
        for (int i = 0; i < intake.recent().size(); i++) {
            CaseDocument.Event e = intake.recent().get(i);
            events.add(at("/intake/recent/" + i, () -> new RecentEvent(e.kind(), e.days())));
        }
        return new SkinReading(observations, probe, optional(intake.flush()), optional(intake.reactions()), events);
    }

    public static Answers answers(CaseDocument.Intake intake, boolean prescribedOnShelf) {
        List<String> known =
                SafetyScreen.allergies().stream().map(SafetyScreen.Allergy::id).toList();
        for (int i = 0; i < intake.allergies().size(); i++) {
            if (!known.contains(intake.allergies().get(i))) {
                throw Problem.field(
                        "/intake/allergies/" + i,
                        "\"%s\" is not an allergy that the table knows; write it under otherAllergies, or use one of %s."
                                .formatted(intake.allergies().get(i), known));
            }
        }
        return new Answers(
                intake.expecting(),
                intake.allergies(),
                intake.otherAllergies(),
                intake.prescribedRetinoid() || prescribedOnShelf,
                intake.settled());
    }

    public static Set<Concern> concerns(CaseDocument.Intake intake) {
        return Set.copyOf(new HashSet<>(intake.matters()));
    }

    private static Consultation.Life life(CaseDocument.Intake i) {
        return at(
                "/intake",
                () -> new Consultation.Life(
                        i.morningMinutes(),
                        i.eveningMinutes(),
                        i.mostSteps(),
                        i.outdoorHours(),
                        i.makeUpDays(),
                        i.sunscreenDays(),
                        i.swings(),
                        i.scent()));
    }

    private static List<Consultation.Owned> owned(List<CaseDocument.OwnedProduct> owned) {
        List<Consultation.Owned> all = new ArrayList<>();
        Set<ProductId> ids = new HashSet<>();
        for (int i = 0; i < owned.size(); i++) {
            CaseDocument.OwnedProduct o = owned.get(i);
            String pointer = "/owned/" + i;
            boolean prescription = Boolean.TRUE.equals(o.prescription());
            Product product = at(pointer, () -> ProductReader.read(facts(pointer, o.product(), prescription)));
            if (!ids.add(product.id())) {
                throw Problem.field(pointer + "/product/id", "The id %s stands twice.".formatted(product.id()));
            }
            Integer weeks = o.weeks();
            all.add(at(
                    pointer + "/nights",
                    () -> new Consultation.Owned(product, weeks == null ? 0 : weeks, orNone(o.nights()))));
        }
        return all;
    }

    private static List<Product> products(String pointer, List<CaseDocument.ProductFacts> facts) {
        List<Product> all = new ArrayList<>();
        Set<ProductId> ids = new HashSet<>();
        for (int i = 0; i < facts.size(); i++) {
            String at = pointer + "/" + i;
            CaseDocument.ProductFacts f = facts.get(i);
            Product product = at(at, () -> ProductReader.read(facts(at, f, false)));
            if (!ids.add(product.id())) {
                throw Problem.field(at + "/id", "The id %s stands twice.".formatted(product.id()));
            }
            all.add(product);
        }
        return all;
    }

    /** A product as typed, with what is missing filled in: no maker, no size, no price, an id made from its place. */
    public static Product.Facts facts(String pointer, CaseDocument.ProductFacts f, boolean prescription) {
        String id = f.id();
        return new Product.Facts(
                new ProductId(id == null || id.isBlank() ? pointer.substring(1).replace('/', '-') : id),
                f.name(),
                or(f.maker(), ""),
                or(f.size(), 0.0),
                or(f.unit(), "ml"),
                or(f.price(), 0.0),
                or(f.label(), ""),
                Optional.ofNullable(f.kind()),
                f.texture() == null ? OptionalDouble.empty() : OptionalDouble.of(f.texture()),
                prescription);
    }

    public static List<Consultation.Choice> choices(List<CaseDocument.Choice> choices) {
        return choices.stream()
                .map(c -> new Consultation.Choice(c.part(), new ProductId(c.product())))
                .toList();
    }

    private static <T> T at(String pointer, Supplier<T> make) {
        try {
            return make.get();
        } catch (IllegalArgumentException outside) {
            throw Problem.field(pointer, String.valueOf(outside.getMessage()));
        }
    }

    private static OptionalInt optional(@Nullable Integer value) {
        return value == null ? OptionalInt.empty() : OptionalInt.of(value);
    }

    private static <T> T or(@Nullable T value, T otherwise) {
        return value == null ? otherwise : value;
    }

    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }
}
