package outfell.regimen;

import java.util.Arrays;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiPredicate;
import outfell.product.StepKind;
import outfell.routine.Part;

/**
 * A place in a routine that one product may fill.
 *
 * @param index of several alike: the second serum is 1
 * @param required whether a plan without it is no plan
 * @param candidates best first by what each could bring alone
 */
record Slot(Part part, StepKind kind, int index, boolean required, List<Candidate> candidates) {
    Slot {
        candidates = List.copyOf(candidates);
    }

    /** Whether two slots are interchangeable, so that only one order of filling them needs to be tried. */
    @SuppressWarnings("ReferenceEquality") // the very same list, not an equal one: pins make lists that look alike
    boolean alike(Slot other) {
        return part == other.part && kind == other.kind && candidates == other.candidates;
    }

    /** The same slots with fewer candidates; what was one list for several slots stays one list. */
    static List<Slot> keeping(List<Slot> slots, BiPredicate<Integer, Candidate> keeps) {
        Map<List<Candidate>, List<Candidate>> kept = new IdentityHashMap<>();
        for (int s = 0; s < slots.size(); s++) {
            int slot = s;
            List<Candidate> all = slots.get(s).candidates();
            if (!kept.containsKey(all)) {
                // a copy that the constructor keeps as it is: slots are alike by the very list
                kept.put(
                        all,
                        List.copyOf(
                                all.stream().filter(c -> keeps.test(slot, c)).toList()));
            }
        }
        return slots.stream()
                .map(x -> new Slot(x.part, x.kind, x.index, x.required, kept.getOrDefault(x.candidates, List.of())))
                .toList();
    }

    /** The same, but a plan without it is one too. */
    Slot optional() {
        return required ? new Slot(part, kind, index, false, candidates) : this;
    }

    /** Whether it is filled every day, and must be. */
    boolean requiredDaily() {
        return required && candidates.stream().noneMatch(Candidate::rationed);
    }

    /** For each slot the one of its kind in the other routine, where the kind comes once in a routine; else -1. */
    static int[] twins(List<Slot> slots) {
        int[] twins = new int[slots.size()];
        for (int a = 0; a < twins.length; a++) {
            twins[a] = -1;
            for (int b = 0; b < twins.length; b++) {
                Slot one = slots.get(a);
                Slot other = slots.get(b);
                if (one.part() != other.part() && one.kind() == other.kind() && one.once() && other.once()) {
                    twins[a] = b;
                }
            }
        }
        return twins;
    }

    /** For slot and candidate: index of the same product in the twin slot, or -1. */
    static int[][] inTwin(List<Slot> slots, int[] twin) {
        int[][] all = new int[twin.length][];
        for (int s = 0; s < twin.length; s++) {
            List<Candidate> mine = slots.get(s).candidates();
            all[s] = new int[mine.size()];
            Arrays.fill(all[s], -1);
            if (twin[s] >= 0) {
                Map<Integer, Integer> theirs = new HashMap<>();
                List<Candidate> others = slots.get(twin[s]).candidates();
                for (int i = 0; i < others.size(); i++) {
                    theirs.put(others.get(i).number(), i);
                }
                for (int i = 0; i < mine.size(); i++) {
                    all[s][i] = theirs.getOrDefault(mine.get(i).number(), -1);
                }
            }
        }
        return all;
    }

    private boolean once() {
        return index == 0
                && switch (kind) {
                    case WASH, TONER, ESSENCE, MOISTURISER, EYE -> true;
                    default -> false;
                };
    }
}
