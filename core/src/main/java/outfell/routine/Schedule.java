package outfell.routine;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import outfell.product.StepKind;
import outfell.routine.Routine.Doing;
import outfell.routine.Routine.Segment;

/**
 * The shortest way through a routine's steps: hands on, left on and waiting, in order; what goes on another area (eyes, lips)
 * may be done while something settles. Exact: every way of laying such steps into waits is tried, the earliest wait on ties.
 *
 * @param segments in order of time
 * @param seconds elapsed; the last wait is not waited for
 * @param saved seconds less than one after the other
 * @param filled what is done in a wait, in words; empty when nothing is
 */
record Schedule(List<Segment> segments, int seconds, int saved, String filled) {
    /**
     * What of a step matters for the time.
     *
     * @param nights on which days it is done
     */
    record Task(int number, StepKind kind, int handsOn, int contact, int settle, List<DayOfWeek> nights) {
        static Task of(Step step) {
            return new Task(step.number(), step.kind(), step.handsOn(), step.contact(), step.settle(), step.nights());
        }
    }

    /** A wait of one step and the steps laid into it. */
    private record Way(int[] at, int seconds) {}

    static Schedule of(List<Task> steps) {
        List<Task> chain = steps.stream().filter(s -> !elsewhere(s)).toList();
        List<Task> fillers = steps.stream().filter(Schedule::elsewhere).toList();
        if (chain.isEmpty()) {
            return oneAfterTheOther(steps);
        }
        Way best = best(chain, fillers, new int[fillers.size()], 0, new Way(new int[0], Integer.MAX_VALUE));
        Schedule plain = oneAfterTheOther(steps);
        return best.seconds() < plain.seconds() ? laid(steps, chain, fillers, best, plain.seconds()) : plain;
    }

    /** Eyes and lips meet nothing that settles on the face. */
    private static boolean elsewhere(Task step) {
        return switch (step.kind()) {
            case EYE, LIP -> step.settle() == 0 && step.contact() == 0;
            default -> false;
        };
    }

    private static Way best(List<Task> chain, List<Task> fillers, int[] wait, int next, Way best) {
        if (next == fillers.size()) {
            int seconds = seconds(chain, fillers, wait);
            return seconds < best.seconds() ? new Way(wait.clone(), seconds) : best;
        }
        Way found = best;
        for (int w = 0; w <= chain.size(); w++) {
            boolean settles = w < chain.size() && chain.get(w).settle() > 0;
            if (settles || w == chain.size()) {
                wait[next] = w;
                found = best(chain, fillers, wait, next + 1, found);
            }
        }
        return found;
    }

    /** Elapsed, when filler {@code f} is done while chain step {@code wait[f]} settles, or by itself when that is past the end. */
    private static int seconds(List<Task> chain, List<Task> fillers, int[] wait) {
        int sum = 0;
        for (int c = 0; c < chain.size(); c++) {
            Task step = chain.get(c);
            int inside = inside(fillers, wait, c);
            int settles = c < chain.size() - 1 ? step.settle() : 0;
            sum += step.handsOn() + step.contact() + Math.max(settles, inside);
        }
        return sum + inside(fillers, wait, chain.size());
    }

    private static int inside(List<Task> fillers, int[] wait, int at) {
        int sum = 0;
        for (int f = 0; f < fillers.size(); f++) {
            sum += wait[f] == at ? fillers.get(f).handsOn() : 0;
        }
        return sum;
    }

    private static Schedule laid(List<Task> steps, List<Task> chain, List<Task> fillers, Way way, int plain) {
        List<Segment> all = new ArrayList<>();
        List<String> words = new ArrayList<>();
        for (Task step : steps) {
            int c = chain.indexOf(step);
            if (c < 0) {
                if (way.at()[fillers.indexOf(step)] == chain.size()) {
                    all.add(new Segment(step.number(), Doing.HANDS_ON, step.handsOn()));
                }
                continue;
            }
            all.add(new Segment(step.number(), Doing.HANDS_ON, step.handsOn()));
            if (step.contact() > 0) {
                all.add(new Segment(step.number(), Doing.LEFT_ON, step.contact()));
            }
            int used = 0;
            List<Task> here = new ArrayList<>();
            for (int f = 0; f < fillers.size(); f++) {
                if (way.at()[f] == c) {
                    all.add(new Segment(
                            fillers.get(f).number(),
                            Doing.IN_A_WAIT,
                            fillers.get(f).handsOn()));
                    used += fillers.get(f).handsOn();
                    here.add(fillers.get(f));
                }
            }
            if (!here.isEmpty()) {
                words.add("%s while %d settles"
                        .formatted(
                                here.stream()
                                        .map(h -> String.valueOf(h.number()))
                                        .collect(Collectors.joining(" and ")),
                                step.number()));
            }
            int rest = (c < chain.size() - 1 ? step.settle() : 0) - used;
            if (rest > 0) {
                all.add(new Segment(step.number(), Doing.WAITING, rest));
            }
        }
        return new Schedule(List.copyOf(all), way.seconds(), plain - way.seconds(), String.join("; ", words));
    }

    private static Schedule oneAfterTheOther(List<Task> steps) {
        List<Segment> all = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            Task s = steps.get(i);
            all.add(new Segment(s.number(), Doing.HANDS_ON, s.handsOn()));
            if (s.contact() > 0) {
                all.add(new Segment(s.number(), Doing.LEFT_ON, s.contact()));
            }
            if (s.settle() > 0 && i < steps.size() - 1) {
                all.add(new Segment(s.number(), Doing.WAITING, s.settle()));
            }
        }
        return new Schedule(
                List.copyOf(all), all.stream().mapToInt(Segment::seconds).sum(), 0, "");
    }
}
