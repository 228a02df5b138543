package outfell.server.practice;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.method.MethodId;
import outfell.method.Methods;
import outfell.method.Schools;
import outfell.server.problem.Clash;
import outfell.server.problem.Problem;

/** The methods that a plan may follow: the presets, and what the practice has made of them. */
@Service
public class HouseMethods {
    /**
     * A method as shown.
     *
     * @param house whether the practice made it, so that it may be changed
     * @param offered whether new plans may take it
     * @param copyOf name of the method that it was copied from; empty for a preset
     * @param by who changed it last; absent for a preset
     */
    public record MethodView(
            String id,
            String name,
            String note,
            Because because,
            List<Schools.SchoolAnswer> answers,
            boolean house,
            boolean offered,
            int version,
            String copyOf,
            @Schema(types = {"string", "null"}) @Nullable String by,
            @Schema(types = {"string", "null"}) @Nullable LocalDateTime at) {}

    /** All methods with the questions that they answer. */
    public record MethodsView(List<MethodView> methods, List<Schools.SchoolQuestion> questions) {}

    /** What is typed. */
    public record MethodForm(
            String name,
            String note,
            String because,
            String copyOf,
            Map<String, String> settings,
            String by,
            int version) {}

    private final MethodStore store;
    private final Clock clock;

    HouseMethods(MethodStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    public MethodsView view() {
        return new MethodsView(
                Stream.concat(
                                Methods.all().stream().map(HouseMethods::preset),
                                store.all().stream().map(this::house))
                        .toList(),
                Schools.questions());
    }

    public Optional<Method> find(String id) {
        return Methods.find(id).or(() -> store.find(id).map(HouseMethods::method));
    }

    /** @throws Problem when there is none of that id */
    public Method get(String id) {
        return find(id).orElseThrow(() -> Problem.field(
                "/method",
                "There is no method %s; there are %s."
                        .formatted(
                                id,
                                view().methods().stream().map(MethodView::name).toList())));
    }

    /** @throws Problem when its settings speak against each other, or the name is taken */
    @Transactional
    public MethodView add(MethodForm form) {
        get(form.copyOf());
        MethodStore.Kept kept = kept("house-" + UUID.randomUUID(), form, true, 0);
        store.insert(kept);
        return house(kept);
    }

    /** @throws Problem when it is a preset or not there, or its settings speak against each other */
    @Transactional
    public MethodView change(String id, MethodForm form) {
        MethodStore.Kept before = own(id);
        MethodStore.Kept kept = kept(id, form, before.offered(), form.version());
        return stored(before, kept);
    }

    /** Takes it from the choice of new plans, or puts it back; plans made with it keep it. */
    @Transactional
    public MethodView offer(String id, boolean offered, String by, int version) {
        MethodStore.Kept b = own(id);
        MethodStore.Kept kept = new MethodStore.Kept(
                b.id(),
                b.name(),
                b.note(),
                b.because(),
                b.copyOf(),
                offered,
                by,
                LocalDateTime.now(clock),
                version,
                b.settings());
        return stored(b, kept);
    }

    /** @throws Clash when somebody else has changed it since this version was read */
    private MethodView stored(MethodStore.Kept before, MethodStore.Kept kept) {
        boolean sentTwice = before.version() == kept.version() + 1
                && before.name().equals(kept.name())
                && before.note().equals(kept.note())
                && before.because().equals(kept.because())
                && before.offered() == kept.offered()
                && before.settings().equals(kept.settings());
        if (!sentTwice && !store.update(kept)) {
            throw new Clash("This method", house(own(kept.id())));
        }
        return house(own(kept.id()));
    }

    private MethodStore.Kept own(String id) {
        if (Methods.find(id).isPresent()) {
            throw Problem.refused("preset", "A preset stays as it is; copy it and change the copy.");
        }
        return store.find(id).orElseThrow(() -> Problem.notFound("method", id));
    }

    private MethodStore.Kept kept(String id, MethodForm form, boolean offered, int version) {
        String name = form.name().strip();
        boolean taken = view().methods().stream().anyMatch(m -> m.name().equalsIgnoreCase(name) && !m.id().equals(id));
        if (taken) {
            throw Problem.field("/name", "There is a method %s already.".formatted(name));
        }
        MethodStore.Kept kept = new MethodStore.Kept(
                id,
                name,
                form.note().strip(),
                form.because().strip(),
                form.copyOf(),
                offered,
                form.by().strip(),
                LocalDateTime.now(clock),
                version,
                form.settings());
        try {
            Method checked = method(kept);
            return new MethodStore.Kept(
                    id,
                    name,
                    kept.note(),
                    kept.because(),
                    kept.copyOf(),
                    offered,
                    kept.by(),
                    kept.at(),
                    version,
                    checked.settings());
        } catch (IllegalArgumentException against) {
            throw Problem.field("/settings", String.valueOf(against.getMessage()));
        }
    }

    private static Method method(MethodStore.Kept m) {
        String why = m.because().isBlank() ? "The house does it so." : m.because();
        return Methods.of(new MethodId(m.id()), m.name(), m.note(), m.settings(), Because.house(why));
    }

    private static MethodView preset(Method m) {
        return new MethodView(
                m.id().value(), m.name(), m.note(), m.because(), Schools.of(m), false, true, 0, "", null, null);
    }

    private MethodView house(MethodStore.Kept k) {
        Method m = method(k);
        return new MethodView(
                m.id().value(),
                m.name(),
                m.note(),
                m.because(),
                Schools.of(m),
                true,
                k.offered(),
                k.version(),
                find(k.copyOf()).map(Method::name).orElse(k.copyOf()),
                k.by(),
                k.at());
    }
}
