package outfell.server.visit;

import java.time.Clock;
import java.time.LocalDate;
import java.time.Month;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import outfell.changes.Changes;
import outfell.changes.UsualAgain;
import outfell.climate.MonthlyAir;
import outfell.climate.Site;
import outfell.consultation.Consultation;
import outfell.product.ProductId;
import outfell.regimen.HerSun;
import outfell.server.client.ClientStore;
import outfell.server.place.Places;
import outfell.server.plan.Cases;
import outfell.server.problem.Problem;
import outfell.server.visit.VisitStore.Visit;
import outfell.server.weather.AirTodayView;
import outfell.server.weather.PlaceWeather;
import outfell.supply.Supply;
import outfell.year.AirToday;
import outfell.year.WhatIf;
import outfell.year.YearAhead;

/** The year after a visit. */
@Service
public class VisitYear {
    private final Visits visits;
    private final VisitCases cases;
    private final ClientStore clients;
    private final Places places;
    private final PlaceWeather weather;
    private final Clock clock;

    VisitYear(Visits visits, VisitCases cases, ClientStore clients, Places places, PlaceWeather weather, Clock clock) {
        this.visits = visits;
        this.cases = cases;
        this.clients = clients;
        this.places = places;
        this.weather = weather;
        this.clock = clock;
    }

    /**
     * @param elsewhere another place than the client's; absent for hers
     * @throws Problem when there is no plan, or no such place
     */
    public YearView year(UUID id, @Nullable String elsewhere) {
        Visit visit = visits.find(id);
        Consultation hers = cases.of(visit);
        Site site = elsewhere == null ? hers.site() : places.get(elsewhere);
        Consultation there = hers.parts().site(site).together();
        return YearAhead.of(there, LocalDate.now(clock), packs(visit))
                .map(y -> YearView.of(
                        y, site.id(), site.name(), !site.id().equals(hers.site().id()), usual(visit, hers)))
                .orElseThrow(() ->
                        Problem.refused("refer-first", "There is no year to lay out until the referral is settled."));
    }

    /** What the plan becomes when the skin is as usual again, as one of the lines of the sheet. */
    private static List<YearView.SheetLine> usual(Visit visit, Consultation hers) {
        return Cases.lately(visit.date(), visit.intake()).map(l -> UsualAgain.of(hers, l)).stream()
                .filter(t -> !t.changes().isEmpty())
                // no day stands before it: nobody knows when that is
                .map(t -> new YearView.SheetLine(
                        null, null, "When the skin is as usual again", UsualAgain.forTheSheet(t) + "."))
                .toList();
    }

    /**
     * The plan in an air that is only thought of.
     *
     * @throws Problem when there is no such air, or no plan
     */
    public WhatIfView whatIf(UUID id, double celsius, double humidity, double wind, double uv, double hours) {
        Consultation hers = cases.of(visits.find(id));
        Consultation now = Changes.in(hers, LocalDate.now(clock).getMonth()).orElse(hers);
        try {
            return WhatIf.of(now, new MonthlyAir(celsius, humidity, wind, uv), hours)
                    .map(WhatIfView::of)
                    .orElseThrow(() -> Problem.refused(
                            "refer-first", "There is no plan for any air until the referral is settled."));
        } catch (IllegalArgumentException outside) {
            throw Problem.field("/air", String.valueOf(outside.getMessage()));
        }
    }

    /** Today's air at the client's place, and what it is to her plan. */
    public AirTodayView today(UUID id) {
        Consultation hers = cases.of(visits.find(id));
        PlaceWeather.Heard heard = weather.at(hers.site());
        return AirTodayView.of(AirToday.of(heard.weather(), hers), heard.simulated());
    }

    /** The sun of her day as a month has it. */
    public SunView sun(UUID id, Month month) {
        Consultation hers = cases.of(visits.find(id));
        return HerSun.of(Changes.in(hers, month).orElse(hers))
                .map(SunView::of)
                .orElseThrow(() ->
                        Problem.refused("refer-first", "There is no plan for the sun until the referral is settled."));
    }

    private Map<ProductId, Supply.Pack> packs(Visit visit) {
        return clients.shelf(visit.client()).stream()
                .collect(Collectors.toMap(ClientStore.ShelfItem::product, i -> SupplyView.pack(i.use())));
    }
}
