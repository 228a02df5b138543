package outfell.aims;

import java.time.format.DateTimeFormatter;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import outfell.conflict.Meeting;
import outfell.conflict.Meetings;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Life.Taste;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.product.Actives;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.routine.Part;
import outfell.safety.SafetyVerdict;
import outfell.skin.Band;
import outfell.skin.Concern;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.BarrierState;
import outfell.supply.Supply;

/** Why a product may not stand in this plan: anywhere, or in one of its routines. Nothing here is traded against anything. */
public final class Barred {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.UK);

    private final Consultation consultation;
    private final SafetyVerdict safety;
    private final Patches patches;
    private final boolean sunscreen;
    /** What one product by itself must never do on this skin, at any hour and at one. */
    private final List<Meetings.Rule> ever;

    private final Map<Part, List<Meetings.Rule>> hourly = new EnumMap<>(Part.class);
    /** Asked for every place of a plan: each product is judged once. */
    private final Map<ProductId, Optional<Because>> known = new HashMap<>();

    /** @param spf the least that a sunscreen has: one that is believed must be there for what light meets */
    Barred(Consultation consultation, SkinVerdict skin, SafetyVerdict safety, Patches patches, int spf) {
        this.consultation = consultation;
        this.safety = safety;
        this.patches = patches;
        List<Meetings.Rule> alone = consultation.house().conflicts().meetings().stream()
                .filter(r -> r.where() == Meetings.Where.PRODUCT && r.meeting() == Meeting.NEVER)
                .toList();
        this.ever = alone.stream()
                .filter(r -> r.hour().isEmpty() && holds(r, Part.EVENING, skin))
                .toList();
        for (Part part : Part.values()) {
            hourly.put(
                    part,
                    alone.stream()
                            .filter(r -> r.hour().isPresent() && holds(r, part, skin))
                            .toList());
        }
        Set<ProductId> out = consultation.byHand().left().stream()
                .filter(c -> c.part() == Part.MORNING)
                .map(Choice::product)
                .collect(Collectors.toSet());
        this.sunscreen = consultation.products().stream()
                .anyMatch(p -> p.kind() == StepKind.SUNSCREEN
                        && p.spf() >= spf
                        && p.byDay()
                        && !p.rationed()
                        && !out.contains(p.id())
                        && itself(p).isEmpty());
    }

    /**
     * Harms and bans first, then a patch test that failed, then what claims to be a sunscreen and is none, then what she will not
     * have, then what must not be worn without a sunscreen.
     */
    public Optional<Because> anywhere(Product p) {
        return known.computeIfAbsent(
                p.id(),
                _ -> itself(p)
                        .or(() -> p.prescription()
                                ? Optional.empty()
                                : withoutSunscreen(p).or(() -> met(p, ever))));
    }

    /** Whether anything keeps it out: asked for a whole catalogue, most of which needs no sentence. */
    public boolean bars(Product p) {
        return safety.keepsOut(p) || anywhere(p).isPresent();
    }

    /** Whether nothing is known against it: its list, somebody's answers or a sunscreen are waited for. */
    public boolean onlyWaits(Product p) {
        return safety.onlyWaits(p)
                || (itself(p).isEmpty() && withoutSunscreen(p).isPresent());
    }

    /** The same, and what it must not do at that hour on this skin. */
    public Optional<Because> in(Part part, Product p) {
        return anywhere(p).or(() -> p.prescription() ? Optional.empty() : met(p, hourly.getOrDefault(part, List.of())));
    }

    /** Whether anything keeps it out of a routine: asked for every place of a plan. */
    boolean barsIn(Part part, Product p) {
        return anywhere(p).isPresent()
                || (!p.prescription()
                        && rule(p, hourly.getOrDefault(part, List.of())).isPresent());
    }

    private Optional<Because> itself(Product p) {
        Optional<Because> ban = safety.forbids(p);
        if (ban.isPresent() || p.prescription()) {
            return ban;
        }
        return patches.forbids(p)
                .or(() -> noSunscreen(p))
                .or(() -> Tastes.against(consultation.life(), p, Taste.NEVER).stream()
                        .findFirst()
                        .map(t -> t.forbids(p)));
    }

    private Optional<Because> noSunscreen(Product p) {
        if (p.kind() != StepKind.SUNSCREEN) {
            return Optional.empty();
        }
        if (p.protectsFromSun()) {
            return outOfDate(p);
        }
        String why = p.madeAtHome()
                ? "is mixed at home, so nobody knows what it holds off"
                : p.label().unread()
                        ? "has no ingredient list, so nobody has read which filters are in it"
                        : p.spf() == 0
                                ? "tells no SPF"
                                : "claims SPF %d, and no UV filter in its list could carry that".formatted(p.spf());
        return Optional.of(new Because(
                "%s %s: it is not taken for a sunscreen.".formatted(p.name(), why),
                Evidence.CONTROLLED,
                "eu-1223-2009"));
    }

    /** A pack of hers that was opened too long ago; when nobody noted the day, it cannot be known and is not said. */
    private Optional<Because> outOfDate(Product p) {
        return consultation.shelf().stream()
                .filter(o -> o.product().id().equals(p.id()))
                .flatMap(o -> o.opened().stream())
                .map(opened -> Supply.pastItsTime(p, opened))
                .filter(past -> !consultation.answers().today().isBefore(past))
                .findFirst()
                .map(past ->
                        Because.custom("%s has been open for too long: since %s nobody knows what it still holds off."
                                .formatted(p.name(), DAY.format(past))));
    }

    private Optional<Because> withoutSunscreen(Product p) {
        boolean sharp = !p.kind().comesOff() && (needsIt(p) || p.holds(Tag.PHOTOTOXIC));
        return sunscreen || !sharp
                ? Optional.empty()
                : Optional.of(Because.custom(
                        "%s waits: no sunscreen that can be believed stands in the morning, and without one no acid, no retinoid and no light-toxic oil."
                                .formatted(p.name())));
    }

    private static boolean needsIt(Product p) {
        return p.actives().stream().anyMatch(a -> Actives.of(a.kind()).needsSunscreen());
    }

    private static Optional<Because> met(Product p, List<Meetings.Rule> rules) {
        return rule(p, rules)
                .map(r -> r.because()
                        .withSentence("Not %s on this skin%s. %s"
                                .formatted(
                                        p.name(),
                                        r.hour().isPresent() ? " at this hour" : "",
                                        r.because().sentence())));
    }

    private static Optional<Meetings.Rule> rule(Product p, List<Meetings.Rule> rules) {
        for (Meetings.Rule rule : rules) {
            if (rule.a().test(p) && (rule.b().isEmpty() || rule.b().get().test(p))) {
                return Optional.of(rule);
            }
        }
        return Optional.empty();
    }

    /** Whether a rule is for that hour and this skin. */
    public static boolean holds(Meetings.Rule rule, Part part, SkinVerdict skin) {
        boolean hour = rule.hour().map(h -> h.name().equals(part.name())).orElse(true);
        return hour
                && rule.skin()
                        .map(s -> switch (s) {
                            case SENSITIVE -> skin.sensitivity().treatAsSensitive();
                            case OILY ->
                                skin.type().bandT() == Band.OILY || skin.type().bandU() == Band.OILY;
                            case STRAINED ->
                                skin.barrier().state() == BarrierState.STRAINED
                                        || skin.barrier().state() == BarrierState.BROKEN;
                            case PRONE ->
                                skin.concerns().stream()
                                        .anyMatch(c ->
                                                c.concern() == Concern.BREAKOUTS || c.concern() == Concern.CONGESTION);
                        })
                        .orElse(true);
    }
}
