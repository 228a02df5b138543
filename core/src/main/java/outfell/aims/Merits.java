package outfell.aims;

import java.util.ArrayList;
import java.util.List;
import outfell.aims.Candidate.Point;
import outfell.aims.Weigher.Asking;
import outfell.choice.Worth.Aim;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Life;
import outfell.consultation.Yardstick;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.routine.Part;
import outfell.season.Asked;
import outfell.season.Asked.Carrier;
import outfell.season.Asked.Washing;
import outfell.skin.Concern;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.RankedConcern;

/** What a product earns or loses by itself in a place, each with its aim and its reason. */
final class Merits {
    private final Consultation consultation;
    private final SkinVerdict skin;
    private final Asked asked;
    private final Suits suits;
    private final Uses uses;
    private final Yardstick yardstick;
    private final List<RankedConcern> concerns;
    private final List<Product> ownedSuitable;

    /** @param ownedSuitable what is owned and may stand in the evening */
    Merits(
            Consultation consultation,
            SkinVerdict skin,
            Asked asked,
            Suits suits,
            Uses uses,
            List<RankedConcern> concerns,
            List<Product> ownedSuitable) {
        this.consultation = consultation;
        this.skin = skin;
        this.asked = asked;
        this.suits = suits;
        this.uses = uses;
        this.yardstick = consultation.house().yardstick();
        this.concerns = concerns;
        this.ownedSuitable = ownedSuitable;
    }

    private boolean hers(Product p) {
        return uses.owns(p) || consultation.standing().has(p.id());
    }

    List<Point> of(Product p, Part part, Asking asking) {
        List<Point> points = new ArrayList<>();
        texture(p, part, points);
        if (uses.owns(p)) {
            points.add(new Point(Aim.REFINEMENT, Merit.OWNED, yardstick.owned()));
        } else if (consultation.standing().steps().contains(new Choice(part, p.id()))) {
            points.add(new Point(Aim.REFINEMENT, Merit.STANDING, yardstick.standing()));
        } else if (!hers(p) && ownedSuitable.stream().anyMatch(o -> o.kind() == p.kind() && !o.rationed())) {
            points.add(new Point(Aim.REFINEMENT, Merit.DUPLICATE, -yardstick.duplicate()));
        }
        switch (asking) {
            case NEEDED -> {}
            case WANTED -> points.add(new Point(Aim.COMFORT, Merit.WANTED, yardstick.wantedStep()));
            case SCHOOL -> points.add(new Point(Aim.SCHOOL, Merit.SCHOOL, yardstick.methodWants()));
            case OPTIONAL -> points.add(new Point(Aim.REFINEMENT, Merit.ONE_MORE_STEP, -yardstick.optionalStep()));
        }
        harshness(p, points);
        byAir(p, points);
        byDay(p, part, points);
        scent(p, points);
        clogging(p, points);
        return points;
    }

    private void texture(Product p, Part part, List<Point> points) {
        if (p.kind() == StepKind.MOISTURISER) {
            off(points, off(p, part, suits.target(part)), yardstick.textureOff());
        } else if (p.kind() == StepKind.SUNSCREEN) {
            off(points, off(p, part, suits.sunscreenTarget()), yardstick.sunscreenTextureOff());
        }
    }

    /** Grades that a texture is off; what stands is not changed for a hair's breadth. */
    private double off(Product p, Part part, double target) {
        double grades = Math.abs(p.texture() - target);
        boolean stands = consultation.standing().steps().contains(new Choice(part, p.id()));
        return stands ? Math.max(0, grades - yardstick.hairsBreadth()) : grades;
    }

    private static void off(List<Point> points, double grades, double each) {
        if (grades > 0) {
            points.add(new Point(
                    Aim.REFINEMENT,
                    Merit.TEXTURE,
                    "texture " + Math.round(grades * 10) / 10.0 + " grades off",
                    -grades * each));
        }
    }

    /** What is borne and still not mild. */
    private void harshness(Product p, List<Point> points) {
        if (p.kind() == StepKind.WASH && p.holds(Tag.SURFACTANT_STRONG)) {
            points.add(new Point(Aim.COMFORT, Merit.STRONG_SURFACTANT, -yardstick.harshWash()));
        }
        boolean mineral = p.kind() == StepKind.SUNSCREEN && p.holds(Tag.UV_MINERAL) && !p.holds(Tag.UV_ORGANIC);
        if (mineral && skin.sensitivity().treatAsSensitive()) {
            points.add(new Point(Aim.COMFORT, Merit.MINERAL, yardstick.mineralSensitive()));
        }
        boolean stings = !p.kind().comesOff()
                && (p.holds(Tag.DRYING_ALCOHOL) || p.holds(Tag.COOLING) || p.holds(Tag.IRRITANT_SENSORY));
        if (stings) {
            points.add(new Point(Aim.COMFORT, Merit.STINGS, -yardstick.harshLeaveOn()));
        }
    }

    /** What of a wash, a serum or the lips answers the air. */
    private void byAir(Product p, List<Point> points) {
        boolean creamy = p.kind() == StepKind.WASH
                && !p.holds(Tag.SURFACTANT_STRONG)
                && (p.holds(Tag.EMOLLIENT) || p.holds(Tag.FATTY_ALCOHOL));
        if (creamy && asked.wash().washing() == Washing.GENTLE) {
            points.add(new Point(Aim.REFINEMENT, Merit.CREAMY_WASH, yardstick.creamyWash()));
        }
        if (p.kind() == StepKind.LIP && asked.lips().yes()) {
            points.add(new Point(Aim.REFINEMENT, Merit.LIPS, yardstick.lips()));
        }
        boolean serum = p.kind() == StepKind.SERUM;
        if (serum && p.waterFree() && asked.carrier().by() == Carrier.OIL) {
            points.add(new Point(Aim.REFINEMENT, Merit.CARRIER_OIL, yardstick.carrier()));
        }
        if (serum && p.waterFree() && asked.carrier().by() == Carrier.WATER) {
            points.add(new Point(Aim.REFINEMENT, Merit.CARRIER_HEAVY, -yardstick.carrier()));
        }
    }

    private void byDay(Product p, Part part, List<Point> points) {
        if (p.kind() == StepKind.SERUM && p.has(ActiveKind.VITAMIN_C_ACID)) {
            points.add(
                    part == Part.MORNING
                            ? new Point(Aim.REFINEMENT, Merit.VITAMIN_C_BY_DAY, yardstick.vitaminCByDay())
                            : new Point(Aim.REFINEMENT, Merit.VITAMIN_C_BY_NIGHT, -yardstick.vitaminCByDay()));
        }
    }

    private void scent(Product p, List<Point> points) {
        if ((p.holds(Tag.FRAGRANCE) || p.holds(Tag.ESSENTIAL_OIL))
                && skin.sensitivity().treatAsSensitive()) {
            points.add(new Point(Aim.COMFORT, Merit.PERFUME, -yardstick.fragranceSensitive()));
        }
        Tastes.against(consultation.life(), p, Life.Taste.RATHER_NOT)
                .forEach(t -> points.add(new Point(Aim.REFINEMENT, Merit.DISLIKED, t.point(), -yardstick.disliked())));
    }

    private void clogging(Product p, List<Point> points) {
        boolean prone =
                concerns.stream().anyMatch(c -> c.concern() == Concern.BREAKOUTS || c.concern() == Concern.CONGESTION);
        if (p.clogging() > 0 && !p.kind().comesOff()) {
            double each = prone ? yardstick.clogging() : yardstick.cloggingElsewhere();
            points.add(new Point(Aim.REFINEMENT, Merit.COMEDOGENIC, -each * p.clogging()));
        }
    }
}
