package outfell.aims;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import outfell.aims.Weigher.Asking;
import outfell.consultation.Consultation;
import outfell.method.Method;
import outfell.product.ActiveKind;
import outfell.product.StepKind;
import outfell.routine.Part;
import outfell.season.Asked;
import outfell.season.Asked.Washing;
import outfell.skin.Band;
import outfell.skin.Concern;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.BarrierState;
import outfell.skin.TypeVerdict;

/** Which places a plan has for this skin, month and method, and how much each is asked for. */
final class Places {
    private final Consultation consultation;
    private final SkinVerdict skin;
    private final Asked asked;
    private final Method method;

    Places(Consultation consultation, SkinVerdict skin, Asked asked) {
        this.consultation = consultation;
        this.skin = skin;
        this.asked = asked;
        this.method = consultation.method();
    }

    List<Place> open() {
        boolean known = !(skin.type() instanceof TypeVerdict.NotYet);
        boolean calm = skin.barrier().calmReset();
        List<Place> all = new ArrayList<>();
        all.add(new Place(Part.MORNING, StepKind.SUNSCREEN, 1, Asking.NEEDED));
        if (method.sunscreenAndCream().ownCream()) {
            all.add(new Place(Part.MORNING, StepKind.MOISTURISER, 1, creamByDay()));
        }
        all.add(new Place(Part.EVENING, StepKind.MOISTURISER, 1, Asking.NEEDED));
        all.add(new Place(Part.EVENING, StepKind.WASH, 1, Asking.NEEDED));
        morningWash(calm).ifPresent(a -> all.add(new Place(Part.MORNING, StepKind.WASH, 1, a)));
        if (method.morningWash().firstCleanse() && !calm) {
            all.add(new Place(Part.MORNING, StepKind.FIRST_CLEANSE, 1, Asking.SCHOOL));
        }
        firstCleanse(calm).ifPresent(a -> all.add(new Place(Part.EVENING, StepKind.FIRST_CLEANSE, 1, a)));
        if (asked.seal().yes()) {
            all.add(new Place(Part.EVENING, StepKind.SEAL, 1, Asking.WANTED));
        }
        if (known) {
            strong(all, calm);
            serums(all, Part.EVENING, method.serumsEvening());
            serums(all, Part.MORNING, method.serumsMorning());
            extras(all);
        }
        return List.copyOf(all);
    }

    private static void serums(List<Place> all, Part part, int many) {
        if (many > 0) {
            all.add(new Place(part, StepKind.SERUM, many, Asking.OPTIONAL));
        }
    }

    private void strong(List<Place> all, boolean calm) {
        boolean prescribed =
                consultation.shelf().stream().anyMatch(o -> o.product().prescription());
        int treatments = (calm ? 0 : method.strongActives()) + (prescribed ? 1 : 0);
        if (treatments > 0) {
            all.add(new Place(Part.EVENING, StepKind.TREATMENT, treatments, Asking.OPTIONAL));
        }
        if (has(Concern.BREAKOUTS) && !calm && method.strongActives() > 0) {
            all.add(new Place(Part.EVENING, StepKind.SPOT, 1, Asking.OPTIONAL));
        }
        if (method.masks() && !calm) {
            all.add(new Place(Part.EVENING, StepKind.CLAY_MASK, 1, Asking.SCHOOL));
            all.add(new Place(Part.EVENING, StepKind.ENZYME, 1, Asking.SCHOOL));
        }
    }

    private void extras(List<Place> all) {
        if (method.tonerLayers() > 0) {
            all.add(new Place(Part.EVENING, StepKind.TONER, 1, Asking.SCHOOL));
            all.add(new Place(Part.MORNING, StepKind.TONER, 1, Asking.SCHOOL));
        }
        if (method.essencePlace() == Method.EssencePlace.AS_TONER) {
            all.add(new Place(Part.EVENING, StepKind.ESSENCE, 1, Asking.SCHOOL));
            all.add(new Place(Part.MORNING, StepKind.ESSENCE, 1, Asking.SCHOOL));
        } else if (method.essence() && method.tonerLayers() > 1) {
            all.add(new Place(Part.EVENING, StepKind.ESSENCE, 1, Asking.SCHOOL));
        }
        if (has(Concern.DARK_CIRCLES) || has(Concern.PUFFINESS) || has(Concern.LINES)) {
            all.add(new Place(Part.EVENING, StepKind.EYE, 1, Asking.OPTIONAL));
            all.add(new Place(Part.MORNING, StepKind.EYE, 1, Asking.OPTIONAL));
        }
        if (asked.oil().yes()) {
            all.add(new Place(Part.EVENING, StepKind.OIL, 1, Asking.WANTED));
        }
        if (has(Concern.CHAPPED_LIPS)) {
            all.add(new Place(Part.EVENING, StepKind.LIP, 1, Asking.WANTED));
        } else if (asked.lips().yes()) {
            all.add(new Place(Part.EVENING, StepKind.LIP, 1, Asking.OPTIONAL));
        }
    }

    private boolean has(Concern concern) {
        return skin.concerns().stream().anyMatch(c -> c.concern() == concern);
    }

    /** Necessary where the skin is dry, strained or on a retinoid; wanted where it is normal or thirsty; else it may stand. */
    private Asking creamByDay() {
        if (!asked.moisturiserNeeded().yes()) {
            return Asking.OPTIONAL;
        }
        boolean dries = consultation.shelf().stream()
                .anyMatch(o -> o.product().prescription() && o.product().has(ActiveKind.RETINOID));
        boolean sound =
                skin.barrier().state() == BarrierState.SOUND || skin.barrier().state() == BarrierState.NOT_YET;
        boolean unknown = skin.type() instanceof TypeVerdict.NotYet;
        if (skin.type().bandU() == Band.DRY || !sound || dries || unknown) {
            return Asking.NEEDED;
        }
        boolean normal = skin.type().bandU() == Band.NORMAL && !skin.type().combination();
        return normal || skin.water().dehydrated() ? Asking.WANTED : Asking.OPTIONAL;
    }

    /** What she puts on each morning comes off each evening, whatever was answered of make-up. */
    private boolean wearsBase() {
        return consultation.shelf().stream()
                .anyMatch(o -> o.product().kind() == StepKind.BASE && !o.hers().isEmpty());
    }

    private Optional<Asking> morningWash(boolean calm) {
        boolean strained = skin.barrier().state() == BarrierState.STRAINED
                || skin.barrier().state() == BarrierState.BROKEN;
        return calm
                ? Optional.empty()
                : switch (method.morningWash()) {
                    case WATER, FIRST_CLEANSE -> Optional.empty();
                    case WASH, TWICE -> Optional.of(Asking.SCHOOL);
                    case BY_TYPE -> morningWashByType(strained);
                };
    }

    private Optional<Asking> morningWashByType(boolean strained) {
        Washing washing = asked.wash().washing();
        return switch (skin.type().bandT()) {
            case OILY -> Optional.of(strained ? Asking.OPTIONAL : Asking.WANTED);
            case NORMAL ->
                strained || washing == Washing.GENTLE
                        ? Optional.empty()
                        : Optional.of(washing == Washing.THOROUGH ? Asking.WANTED : Asking.OPTIONAL);
            case DRY -> Optional.empty();
        };
    }

    /**
     * The plan itself puts a sunscreen on every morning, so it may stand every evening; make-up makes it more. A water-fast sunscreen
     * wants one, but not before the heaviest concern is served: with one wash she washes twice, and the sheet says so.
     */
    private Optional<Asking> firstCleanse(boolean calm) {
        boolean madeUp = consultation.life().makeUpDays() > 0 || wearsBase();
        boolean young = consultation.answers().age().isPresent()
                && consultation.answers().age().getAsInt() < Suits.YOUNG;
        if (calm || method.secondCleanse() == Method.SecondCleanse.ONCE || (young && !madeUp)) {
            return Optional.empty();
        }
        if (madeUp && consultation.life().fullMakeUp()) {
            return Optional.of(Asking.NEEDED);
        }
        if (method.secondCleanse() == Method.SecondCleanse.ALWAYS) {
            return Optional.of(Asking.SCHOOL);
        }
        boolean clogs = skin.type().bandT() == Band.OILY || has(Concern.CONGESTION) || has(Concern.BREAKOUTS);
        return Optional.of(madeUp || clogs || asked.waterFast().yes() ? Asking.WANTED : Asking.OPTIONAL);
    }
}
