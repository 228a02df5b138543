package outfell.year;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import outfell.climate.Air;
import outfell.climate.Stay;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.regimen.Outcome;
import outfell.regimen.Regimen;
import outfell.routine.Step;
import outfell.season.Asked;
import outfell.season.Lever;
import outfell.week.Pause;
import outfell.year.SpellPlan.Packed;
import outfell.year.SpellPlan.SpellLine;
import outfell.year.SpellPlan.What;

/** Lays spells over the plans of a year. */
final class Spells {
    private static final String ML = "ml";

    private final Consultation consultation;
    private final Outcome.Planned visit;

    Spells(Consultation consultation, Outcome.Planned visit) {
        this.consultation = consultation;
        this.visit = visit;
    }

    /** Each spell of the client's that lies within the year, in the order of its days. */
    List<SpellPlan> over(List<Stretch> stretches) {
        LocalDate first = stretches.getFirst().from();
        LocalDate last = stretches.getLast().until();
        return consultation.diary().pauses().stream()
                .filter(p -> Spell.within(p, first, last))
                .sorted((a, b) -> a.from().compareTo(b.from()))
                .flatMap(p -> Spell.of(p).map(s -> plan(s, p, stretch(stretches, p))).stream())
                .toList();
    }

    private static Stretch stretch(List<Stretch> stretches, Pause pause) {
        return stretches.stream()
                .filter(s -> pause.from().isBefore(s.until()))
                .findFirst()
                .orElseThrow();
    }

    SpellPlan plan(Spell spell, Pause pause, Stretch stretch) {
        Air air = air(spell, pause);
        Regimen plan = stretch.plan();
        Asked asked = consultation.ask(air, pause.from().getMonth(), visit.skin(), visit.safety());
        List<SpellLine> lines = new ArrayList<>();
        rests(spell, plan, lines);
        added(asked, plan, lines);
        if (lines.isEmpty()) {
            lines.add(new SpellLine(
                    What.STAYS,
                    "the plan stays as it is",
                    Because.house(
                            "Dryness %.0f and heat %.0f, both of 100, and UV %.0f: what the season asks is enough for it."
                                    .formatted(
                                            air.dryness(),
                                            air.heat(),
                                            air.outdoors().uvIndex()))));
        }
        if (spell.nothingNew()) {
            lines.add(new SpellLine(
                    What.NOTHING_NEW,
                    "nothing new is begun",
                    Because.custom("A reaction would fall on just these days.")));
        }
        return new SpellPlan(
                spell.pause().id(),
                Spell.label(pause),
                pause.from(),
                pause.until(),
                pause.from().minusDays(spell.pause().before()),
                pause.until().plusDays(spell.pause().after()),
                air,
                lines,
                spell.says(),
                spell.pack() ? packed(plan) : List.of());
    }

    private Air air(Spell spell, Pause pause) {
        List<Stay> stays = Stream.concat(
                        consultation.life().stays().stream()
                                .filter(s -> spell.stays(pause).stream().noneMatch(o -> o.where() == s.where())),
                        spell.stays(pause).stream())
                .toList();
        return Air.of(spell.outdoors(consultation.site().on(pause.from()), pause), stays);
    }

    private void rests(Spell spell, Regimen plan, List<SpellLine> lines) {
        plan.steps()
                .flatMap(s -> consultation.find(s.product()).stream())
                .distinct()
                .filter(spell.pause()::stops)
                .forEach(p -> lines.add(new SpellLine(
                        What.RESTS, p.name() + " rests", spell.pause().because())));
    }

    /** What the spell's air asks beyond what the season's asks, with what is in the house. */
    private void added(Asked spell, Regimen plan, List<SpellLine> lines) {
        Asked season = plan.asked();
        Optional<Step> cream = step(plan, StepKind.MOISTURISER);
        if (spell.creamAmount().share() > season.creamAmount().share() && cream.isPresent()) {
            add(lines, "a second thin coat of " + cream.get().name(), Lever.AMOUNT, spell);
        }
        if (Lever.TONER.differs(spell, season) && spell.tonerLayers().value() > 0) {
            step(plan, StepKind.TONER).ifPresent(t -> add(lines, "one more layer of " + t.name(), Lever.TONER, spell));
        }
        if (spell.seal().yes() && !season.seal().yes()) {
            add(lines, "a seal on the dry places at night%s".formatted(with(plan, StepKind.SEAL)), Lever.SEAL, spell);
        }
        if (spell.lips().yes() && !season.lips().yes()) {
            add(lines, "a balm on the lips%s".formatted(with(plan, StepKind.LIP)), Lever.LIPS, spell);
        }
        if (spell.spf().value() > season.spf().value()) {
            add(
                    lines,
                    "a sunscreen with SPF %d%s".formatted(spell.spf().value(), sunscreen(plan, spell)),
                    Lever.SPF,
                    spell);
        }
        if (spell.sunAgain().value() > 0 && season.sunAgain().value() == 0) {
            lines.add(new SpellLine(
                    What.AGAIN,
                    "sunscreen again every %d hours outdoors"
                            .formatted(spell.sunAgain().value()),
                    spell.sunAgain().because()));
        }
    }

    private static void add(List<SpellLine> lines, String words, Lever lever, Asked spell) {
        lines.add(new SpellLine(What.ADDED, words, lever.because(spell)));
    }

    /** With what she has for it; nothing where she has none. */
    private String with(Regimen plan, StepKind kind) {
        return step(plan, kind)
                .map(Step::name)
                .or(() -> consultation.shelf().stream()
                        .map(Consultation.Owned::product)
                        .filter(p -> p.kind() == kind)
                        .map(Product::name)
                        .findFirst())
                .map(n -> ": " + n)
                .orElse("; there is none in the house");
    }

    private String sunscreen(Regimen plan, Asked spell) {
        return step(plan, StepKind.SUNSCREEN)
                .flatMap(s -> consultation.find(s.product()))
                .map(p -> p.spf() >= spell.spf().value() ? ": " + p.name() : "; %s has %d".formatted(p.name(), p.spf()))
                .orElse("");
    }

    private static Optional<Step> step(Regimen plan, StepKind kind) {
        return plan.steps().filter(s -> s.kind() == kind).findFirst();
    }

    private List<Packed> packed(Regimen plan) {
        return plan.steps()
                .flatMap(s -> consultation.find(s.product()).stream())
                .distinct()
                .map(p -> new Packed(p.name(), large(p), words(p)))
                .toList();
    }

    private static boolean large(Product p) {
        return p.unit().equals(ML) && p.size() > Spell.BAG_ML;
    }

    private static String words(Product p) {
        return p.size() == 0
                ? "its size is not known"
                : large(p)
                        ? "%.0f ml: fill some into a bottle of %.0f ml at most".formatted(p.size(), Spell.BAG_ML)
                        : "%.0f %s".formatted(p.size(), p.unit());
    }
}
