package outfell.server.visit;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import outfell.server.plan.Cases;
import outfell.server.practice.Bands;
import outfell.server.problem.Problem;
import outfell.server.visit.VisitStore.Visit;
import outfell.skin.ProbeBands;
import outfell.skin.SkinReader;
import outfell.week.ReadFace;

/**
 * A client's face as it was read at earlier visits. Such a visit hardly ever changes, so what was understood of it is kept for
 * as long as it is worked with.
 */
@Component
class EarlierFaces {
    private static final Logger LOG = LoggerFactory.getLogger(EarlierFaces.class);
    private static final int KEPT = 2_000;

    /** A visit as it was last worked on, read by these bands. */
    private record AsItStood(UUID visit, LocalDateTime workedAt, ProbeBands bands) {}

    private final VisitStore store;
    private final Bands bands;
    private final Cache<AsItStood, ReadFace> understood = Caffeine.newBuilder()
            .maximumSize(KEPT)
            .expireAfterAccess(Duration.ofHours(1))
            .build();

    EarlierFaces(VisitStore store, Bands bands) {
        this.store = store;
        this.bands = bands;
    }

    /** In the order of their days; one that can no longer be read is left out, and logged. */
    List<ReadFace> before(UUID client, LocalDate day) {
        ProbeBands now = bands.current();
        return store.days(client).stream()
                .filter(d -> d.date().isBefore(day))
                .flatMap(d -> read(new AsItStood(d.visit(), d.workedAt(), now)))
                .toList();
    }

    private Stream<ReadFace> read(AsItStood visit) {
        ReadFace known = understood.getIfPresent(visit);
        if (known != null) {
            return Stream.of(known);
        }
        Optional<ReadFace> face = store.find(visit.visit()).flatMap(v -> read(v, visit.bands()));
        face.ifPresent(f -> understood.put(visit, f));
        return face.stream();
    }

    private static Optional<ReadFace> read(Visit v, ProbeBands bands) {
        try {
            Cases.Asked asked = Cases.asked(v.date(), v.intake(), v.reading(), List.of(), bands);
            return Optional.of(ReadFace.of(
                    v.date(),
                    asked.face(),
                    SkinReader.read(asked.face(), Set.of(), bands).barrier()));
        } catch (Problem unreadable) {
            LOG.warn("The face of visit {} can no longer be read, and counts for no calm reset.", v.id());
            return Optional.empty();
        }
    }
}
