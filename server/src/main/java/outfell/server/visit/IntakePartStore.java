package outfell.server.visit;

import static outfell.store.Tables.VISIT_ANSWER;
import static outfell.store.Tables.VISIT_CONCERN;
import static outfell.store.Tables.VISIT_OUTDOORS;
import static outfell.store.Tables.VISIT_PLACE;
import static outfell.store.Tables.VISIT_SETTLED;
import static outfell.store.Tables.VISIT_WORD;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import outfell.consultation.Life.Place;
import outfell.consultation.Life.Taste;
import outfell.server.plan.CaseDocument;
import outfell.skin.Concern;
import outfell.skin.History;
import outfell.store.tables.records.VisitRecord;

/** What was asked at a visit. */
@Repository
class IntakePartStore {
    /** What of it stands in tables of its own. */
    record Lists(
            List<Place> places,
            @Nullable List<CaseDocument.HoursIn> hoursIn,
            @Nullable List<Double> outdoorsByMonth,
            List<CaseDocument.Answer> answers,
            List<String> medicines,
            List<String> otherAllergies,
            List<Concern> matters,
            List<CaseDocument.Settled> settled) {
        static Lists of(CaseDocument.Intake i) {
            return new Lists(
                    i.places(),
                    i.hoursIn(),
                    i.outdoorsByMonth(),
                    i.answers(),
                    i.medicines(),
                    i.otherAllergies(),
                    i.matters(),
                    i.settled());
        }
    }

    private static final String MEDICINE = "MEDICINE";
    private static final String ALLERGY = "ALLERGY";

    private final DSLContext db;
    private final HoursStore hours;

    IntakePartStore(DSLContext db, HoursStore hours) {
        this.db = db;
        this.hours = hours;
    }

    void clear(UUID visit) {
        db.deleteFrom(VISIT_ANSWER).where(VISIT_ANSWER.VISIT_ID.eq(visit)).execute();
        db.deleteFrom(VISIT_WORD).where(VISIT_WORD.VISIT_ID.eq(visit)).execute();
        db.deleteFrom(VISIT_PLACE).where(VISIT_PLACE.VISIT_ID.eq(visit)).execute();
        db.deleteFrom(VISIT_OUTDOORS).where(VISIT_OUTDOORS.VISIT_ID.eq(visit)).execute();
        db.deleteFrom(VISIT_SETTLED).where(VISIT_SETTLED.VISIT_ID.eq(visit)).execute();
        db.deleteFrom(VISIT_CONCERN).where(VISIT_CONCERN.VISIT_ID.eq(visit)).execute();
    }

    /** @param all takes what writes them */
    void write(List<Query> all, UUID visit, CaseDocument.Intake intake) {
        intake.answers()
                .forEach(a -> all.add(db.insertInto(VISIT_ANSWER)
                        .set(VISIT_ANSWER.VISIT_ID, visit)
                        .set(VISIT_ANSWER.QUESTION, a.question())
                        .set(VISIT_ANSWER.YES, a.yes())
                        .set(VISIT_ANSWER.ON_DATE, a.on())
                        .set(VISIT_ANSWER.ASKED, a.asked())
                        .set(VISIT_ANSWER.BULK, CaseDocument.Answer.together(a))));
        words(all, visit, MEDICINE, intake.medicines());
        words(all, visit, ALLERGY, intake.otherAllergies());
        all.addAll(hours.writing(visit, intake));
        intake.settled()
                .forEach(s -> all.add(db.insertInto(VISIT_SETTLED)
                        .set(VISIT_SETTLED.VISIT_ID, visit)
                        .set(VISIT_SETTLED.REFERRAL, s.referral())
                        .set(VISIT_SETTLED.WHO, s.who())
                        .set(VISIT_SETTLED.ON_DATE, s.on())
                        .set(VISIT_SETTLED.REMARK, s.remark())));
        intake.matters().stream()
                .distinct()
                .forEach(c -> all.add(db.insertInto(VISIT_CONCERN)
                        .set(VISIT_CONCERN.VISIT_ID, visit)
                        .set(VISIT_CONCERN.CONCERN, c.name())));
    }

    private void words(List<Query> all, UUID visit, String kind, List<String> words) {
        List<String> once = words.stream().distinct().toList();
        for (int i = 0; i < once.size(); i++) {
            all.add(db.insertInto(VISIT_WORD)
                    .set(VISIT_WORD.VISIT_ID, visit)
                    .set(VISIT_WORD.KIND, kind)
                    .set(VISIT_WORD.WORD, once.get(i))
                    .set(VISIT_WORD.PLACE, i));
        }
    }

    Lists read(UUID visit) {
        return new Lists(
                hours.places(visit),
                hours.hours(visit),
                hours.outdoors(visit),
                db.selectFrom(VISIT_ANSWER)
                        .where(VISIT_ANSWER.VISIT_ID.eq(visit))
                        .orderBy(VISIT_ANSWER.QUESTION)
                        .fetch(a -> new CaseDocument.Answer(
                                a.getQuestion(), a.getYes(), a.getOnDate(), a.getAsked(), a.getBulk())),
                words(visit, MEDICINE),
                words(visit, ALLERGY),
                db.selectFrom(VISIT_CONCERN)
                        .where(VISIT_CONCERN.VISIT_ID.eq(visit))
                        .orderBy(VISIT_CONCERN.CONCERN)
                        .fetch(c -> Concern.valueOf(c.getConcern())),
                db.selectFrom(VISIT_SETTLED)
                        .where(VISIT_SETTLED.VISIT_ID.eq(visit))
                        .orderBy(VISIT_SETTLED.REFERRAL)
                        .fetch(s ->
                                new CaseDocument.Settled(s.getReferral(), s.getWho(), s.getOnDate(), s.getRemark())));
    }

    private List<String> words(UUID visit, String kind) {
        return db.select(VISIT_WORD.WORD)
                .from(VISIT_WORD)
                .where(VISIT_WORD.VISIT_ID.eq(visit))
                .and(VISIT_WORD.KIND.eq(kind))
                .orderBy(VISIT_WORD.PLACE, VISIT_WORD.WORD)
                .fetch(VISIT_WORD.WORD);
    }

    static CaseDocument.Intake intake(VisitRecord r, Lists lists) {
        return new CaseDocument.Intake(
                r.getSite(),
                lists.places(),
                r.getOutdoorHours().doubleValue(),
                r.getMakeUpDays(),
                CaseDocument.MakeUp.valueOf(r.getMakeUp()),
                r.getSunscreenDays(),
                r.getMorningMinutes(),
                r.getEveningMinutes(),
                r.getMostSteps(),
                r.getBudget() == null ? null : r.getBudget().doubleValue(),
                Taste.valueOf(r.getScent()),
                Taste.valueOf(r.getAnimal()),
                Taste.valueOf(r.getOils()),
                r.getBirthYear(),
                r.getSays() == null ? null : History.Says.valueOf(r.getSays()),
                r.getSwings(),
                r.getFlush(),
                r.getReactions(),
                r.getBurns(),
                r.getTans(),
                lists.answers(),
                lists.medicines(),
                lists.otherAllergies(),
                lists.matters(),
                lists.settled(),
                r.getNote(),
                lists.hoursIn(),
                lists.outdoorsByMonth(),
                lately(r),
                assumed(r.getAssumed()));
    }

    private static @Nullable List<CaseDocument.Assumable> assumed(@Nullable String names) {
        return names == null
                ? null
                : Arrays.stream(names.split(","))
                        .map(CaseDocument.Assumable::valueOf)
                        .toList();
    }

    /** In the order of the questions, each once. */
    static void writeAssumed(VisitRecord row, @Nullable List<CaseDocument.Assumable> assumed) {
        row.setAssumed(
                assumed == null || assumed.isEmpty()
                        ? null
                        : EnumSet.copyOf(assumed).stream().map(Enum::name).collect(Collectors.joining(",")));
    }

    private static CaseDocument.@Nullable LatelySaid lately(VisitRecord r) {
        Boolean usual = r.getLatelyUsual();
        String causes = r.getLatelyCauses();
        return usual == null
                ? null
                : new CaseDocument.LatelySaid(
                        usual, r.getLatelySince(), causes == null ? List.of() : List.of(causes.split(",")));
    }

    static void write(VisitRecord row, CaseDocument.@Nullable LatelySaid lately) {
        row.setLatelyUsual(lately == null ? null : lately.asUsual());
        row.setLatelySince(lately == null ? null : lately.since());
        row.setLatelyCauses(
                lately == null || lately.causes().isEmpty()
                        ? null
                        : String.join(",", lately.causes().stream().distinct().toList()));
    }
}
