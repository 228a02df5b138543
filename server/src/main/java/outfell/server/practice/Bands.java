package outfell.server.practice;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.knowledge.Because;
import outfell.server.problem.Clash;
import outfell.server.problem.Problem;
import outfell.skin.ProbeBands;

/** The bands of the practice's probe: what ships, with what the practice has set over it. */
@Service
public class Bands {
    /**
     * A band as shown.
     *
     * @param changes newest first; none while what ships stands
     */
    public record BandView(
            ProbeBands.Band band,
            String label,
            String unit,
            double low,
            double high,
            ProbeBands.Bounds shipped,
            List<String> words,
            String otherSchool,
            Because because,
            List<Changed> changes) {}

    /** Who set a band when. */
    public record Changed(double low, double high, String by, LocalDateTime at) {}

    private final BandStore store;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Bands(BandStore store, ApplicationEventPublisher events, Clock clock) {
        this.store = store;
        this.events = events;
        this.clock = clock;
    }

    public ProbeBands current() {
        Map<ProbeBands.Band, ProbeBands.Bounds> all = new EnumMap<>(ProbeBands.SHIPPED.bounds());
        store.all().forEach(x -> all.put(x.band(), x.bounds()));
        return new ProbeBands(all);
    }

    public List<BandView> view() {
        ProbeBands now = current();
        return ProbeBands.rows().stream()
                .map(s -> new BandView(
                        s.band(),
                        s.label(),
                        s.unit(),
                        now.of(s.band()).low(),
                        now.of(s.band()).high(),
                        s.shipped(),
                        s.words(),
                        s.otherSchool(),
                        s.because(),
                        changes(s.band())))
                .toList();
    }

    /** @throws Problem when the bounds cross or lie outside what is possible */
    @Transactional
    public List<BandView> set(ProbeBands.Band band, double low, double high, String by, int version) {
        try {
            current().with(band, new ProbeBands.Bounds(low, high));
        } catch (IllegalArgumentException outside) {
            throw Problem.field("/low", String.valueOf(outside.getMessage()));
        }
        ProbeBands.Bounds bounds = new ProbeBands.Bounds(low, high);
        if (changes(band).size() == version + 1 && current().of(band).equals(bounds)) {
            return view();
        }
        if (!store.add(version, new BandStore.Setting(band, bounds, by.strip(), LocalDateTime.now(clock)))) {
            throw new Clash("This band", view());
        }
        events.publishEvent(new HouseChanged());
        return view();
    }

    private List<Changed> changes(ProbeBands.Band band) {
        return store.all().reversed().stream()
                .filter(x -> x.band() == band)
                .map(x -> new Changed(x.bounds().low(), x.bounds().high(), x.by(), x.at()))
                .toList();
    }
}
