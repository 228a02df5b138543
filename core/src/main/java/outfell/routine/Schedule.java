package outfell.routine;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Routine.Doing;
import outfell.routine.Routine.Segment;

/**
 * The time of a routine's steps in their order: hands on, left on and waiting. What goes on another area (eyes, lips) and stands after a
 * step that settles is done while that settles, so that the clock tells the same order as the list.
 *
 * @param segments in order of time
 * @param seconds elapsed of the face's care; the last wait is not waited for
 * @param saved seconds less than one after the other
 * @param filled what is done in a wait, in words; empty when nothing is
 */
record Schedule(List<Segment> segments, int seconds, int saved, String filled) {
    /**
     * What of a step matters for the time.
     *
     * @param nights on which days it is done
     * @param sure whether it is done on all of them, and not only when its condition is met
     * @param alone whether it is done without a product
     */
    record Task(
            int number,
            StepKind kind,
            int handsOn,
            int contact,
            int settle,
            List<DayOfWeek> nights,
            boolean sure,
            boolean alone) {
        static Task of(Step step) {
            return new Task(
                    step.number(),
                    step.kind(),
                    step.handsOn(),
                    step.contact(),
                    step.settle(),
                    step.nights(),
                    step.hand().when().isEmpty(),
                    false);
        }

        private Task on(List<DayOfWeek> days, int seconds) {
            return new Task(number, kind, seconds, contact, settle, days, sure, alone);
        }

        private Task beside(Aside aside) {
            return new Task(
                    aside.number(),
                    aside.kind(),
                    aside.seconds(),
                    0,
                    0,
                    aside.nights(),
                    sure,
                    aside.again().isEmpty());
        }
    }

    /** A step with what is done beside it. */
    record Timed(ProductId product, Task own, List<Aside> then) {
        static Timed of(Step step) {
            return new Timed(step.product(), Task.of(step), step.then());
        }

        Timed everyDay() {
            List<DayOfWeek> days = List.of(DayOfWeek.values());
            return new Timed(
                    product,
                    own.on(days, own.handsOn()),
                    then.stream().map(a -> a.on(days)).toList());
        }

        /** What is done on each day, in its order; of a step of which a part is done beside another, only the rest. */
        private List<Task> tasks(List<ProductId> done, List<Aside> all) {
            List<Task> tasks = new ArrayList<>();
            beside(true, done).forEach(tasks::add);
            List<Aside> elsewhere =
                    all.stream().filter(a -> a.ofItsOwn() && a.repeats(product)).toList();
            Map<Integer, List<DayOfWeek>> bySeconds = new LinkedHashMap<>();
            for (DayOfWeek day : own.nights()) {
                int taken = elsewhere.stream()
                        .filter(a -> a.nights().contains(day))
                        .mapToInt(Aside::seconds)
                        .sum();
                bySeconds
                        .computeIfAbsent(Math.max(0, own.handsOn() - taken), _ -> new ArrayList<>())
                        .add(day);
            }
            bySeconds.forEach((seconds, days) -> tasks.add(own.on(List.copyOf(days), seconds)));
            beside(false, done).forEach(tasks::add);
            return tasks;
        }

        private Stream<Task> beside(boolean before, List<ProductId> done) {
            return then.stream()
                    .filter(a -> a.before() == before && a.among(done))
                    .map(own::beside);
        }
    }

    /** Of the steps that are done, with what is done beside them. */
    static List<Task> tasks(List<Timed> done) {
        List<ProductId> products = done.stream().map(Timed::product).toList();
        List<Aside> all = done.stream().flatMap(t -> t.then().stream()).toList();
        return done.stream().flatMap(t -> t.tasks(products, all).stream()).toList();
    }

    static Schedule of(List<Task> steps) {
        List<Segment> segments = new ArrayList<>();
        Map<Integer, List<Integer>> filled = new LinkedHashMap<>();
        int settling = 0;
        int left = 0;
        int saved = 0;
        int seconds = 0;
        for (int i = 0; i < steps.size(); i++) {
            Task step = steps.get(i);
            if (elsewhere(step) && left > 0) {
                segments.add(new Segment(step.number(), Doing.IN_A_WAIT, step.handsOn()));
                filled.computeIfAbsent(settling, _ -> new ArrayList<>()).add(step.number());
                saved += Math.min(left, step.handsOn());
                seconds += besideTheCare(step) ? Math.min(left, step.handsOn()) : step.handsOn();
                left = Math.max(0, left - step.handsOn());
                continue;
            }
            if (left > 0) {
                segments.add(new Segment(settling, Doing.WAITING, left));
                seconds += left;
                left = 0;
            }
            segments.add(new Segment(step.number(), step.alone() ? Doing.ALONE : Doing.HANDS_ON, step.handsOn()));
            seconds += besideTheCare(step) ? 0 : step.handsOn() + step.contact();
            if (step.contact() > 0) {
                segments.add(new Segment(step.number(), Doing.LEFT_ON, step.contact()));
            }
            if (!elsewhere(step)) {
                settling = step.number();
                left = waitedFor(steps, i) ? step.settle() : 0;
            }
        }
        return new Schedule(
                List.copyOf(segments),
                seconds,
                saved,
                filled.entrySet().stream()
                        .map(f -> "%s while %d settles"
                                .formatted(
                                        f.getValue().stream()
                                                .map(String::valueOf)
                                                .collect(Collectors.joining(" and ")),
                                        f.getKey()))
                        .collect(Collectors.joining("; ")));
    }

    /** What no minute of the care is counted for; it is drawn all the same. */
    private static boolean besideTheCare(Task step) {
        return step.kind().besideTheCare();
    }

    /** Whether anything goes over what settles. */
    private static boolean waitedFor(List<Task> steps, int i) {
        return steps.subList(i + 1, steps.size()).stream().anyMatch(s -> !elsewhere(s));
    }

    /** Eyes, lips, hands and hair meet nothing that settles on the face. */
    private static boolean elsewhere(Task step) {
        return elsewhere(step.kind()) && step.settle() == 0 && step.contact() == 0;
    }

    static boolean elsewhere(StepKind kind) {
        return kind == StepKind.EYE || kind.besideTheFace();
    }
}
