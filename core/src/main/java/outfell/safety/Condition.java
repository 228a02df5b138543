package outfell.safety;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import outfell.knowledge.Row;
import outfell.product.Product;
import outfell.product.Tag;
import outfell.skin.Observation;
import outfell.skin.Sign;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict;
import outfell.skin.Zone;

/**
 * One entry of "when" or "ask-if": all its parts must hold.
 *
 * @param yes questions of which one is answered yes; none for no matter
 * @param also a second such set
 * @param no questions none of which is answered yes
 * @param sign that reaches {@code from} somewhere
 * @param within days within which a yes that is dated must lie; 0 for any time
 * @param holds kinds of ingredient of which something on the shelf at home holds one
 * @param prescribed whether that thing must be prescribed, or must not be; absent for no matter
 * @param unreadPrescription that something prescribed stands at home and nobody has read its list
 * @param alone sign that reaches {@code from} in one zone and at most 1 in every other
 * @param oneSided sign that reaches {@code from} on one side and at most 1 on the other
 * @param ageUnder years; the age must be known
 * @param ages first and last year; an unknown age may be any
 */
record Condition(
        List<String> yes,
        List<String> also,
        List<String> no,
        Optional<Sign> sign,
        int within,
        List<Tag> holds,
        Optional<Boolean> prescribed,
        boolean unreadPrescription,
        Optional<Sign> alone,
        Optional<Sign> oneSided,
        int from,
        boolean calmReset,
        String medicine,
        int phototypeFrom,
        OptionalInt ageUnder,
        List<Integer> ages) {

    /**
     * Everything a condition is judged by.
     *
     * @param shelf what stands at home
     */
    record Facts(Answers answers, SkinReading reading, SkinVerdict skin, List<Product> shelf) {}

    boolean holds(Facts f) {
        return (yes.isEmpty() || yes.stream().anyMatch(q -> isYes(f.answers(), q)))
                && (also.isEmpty() || also.stream().anyMatch(f.answers()::isYes))
                && no.stream().noneMatch(f.answers()::isYes)
                && sign.map(s -> worst(f.reading(), s) >= from).orElse(true)
                && (holds.isEmpty() || f.shelf().stream().anyMatch(this::isHeld))
                && (!unreadPrescription || f.shelf().stream().anyMatch(Condition::isUnread))
                && alone.map(s -> inOnePlace(f.reading(), s)).orElse(true)
                && oneSided.map(s -> lopsided(f.reading(), s)).orElse(true)
                && (!calmReset || f.skin().barrier().calmReset())
                && (medicine.isEmpty() || takes(f.answers()))
                && f.skin().phototype().type() >= phototypeFrom
                && (ageUnder.isEmpty() || f.answers().age().orElse(200) < ageUnder.getAsInt())
                && (ages.isEmpty() || within(f.answers().age()));
    }

    private boolean isYes(Answers answers, String question) {
        return answers.to(question)
                .filter(Answers.Answer::yes)
                .filter(a -> within == 0
                        || answers.today().isBefore(a.on().orElse(a.asked()).plusDays(within)))
                .isPresent();
    }

    private boolean isHeld(Product p) {
        return holds.stream().anyMatch(p::holds)
                && prescribed.map(wanted -> wanted == p.prescription()).orElse(true);
    }

    private static boolean isUnread(Product p) {
        return p.prescription() && p.label().held().isEmpty();
    }

    private boolean inOnePlace(SkinReading reading, Sign sign) {
        List<Integer> grades = reading.observations().stream()
                .filter(o -> o.sign() == sign)
                .map(Observation::grade)
                .toList();
        return grades.size() > 1
                && grades.stream().filter(g -> g >= from).count() == 1
                && grades.stream().filter(g -> g < from).allMatch(g -> g <= 1);
    }

    private boolean takes(Answers answers) {
        return answers.medicines().stream()
                .flatMap(m -> Medicines.of(m, answers.today()).stream())
                .anyMatch(m -> m.kind().equals(medicine));
    }

    private boolean within(OptionalInt age) {
        return age.isEmpty() || (age.getAsInt() >= ages.getFirst() && age.getAsInt() <= ages.getLast());
    }

    private static int worst(SkinReading reading, Sign sign) {
        return reading.observations().stream()
                .filter(o -> o.sign() == sign && o.zone().inRegimen())
                .mapToInt(Observation::grade)
                .max()
                .orElse(-1);
    }

    private boolean lopsided(SkinReading reading, Sign sign) {
        Map<Zone, Integer> grades = new EnumMap<>(Zone.class);
        reading.observations().stream().filter(o -> o.sign() == sign).forEach(o -> grades.put(o.zone(), o.grade()));
        return grades.entrySet().stream().anyMatch(e -> {
            Optional<Zone> other = e.getKey().otherSide().filter(grades::containsKey);
            return e.getValue() >= from && other.isPresent() && grades.getOrDefault(other.get(), 0) <= 1;
        });
    }

    static Condition read(Row row) {
        Condition c = new Condition(
                row.texts("yes"),
                row.texts("also"),
                row.texts("no"),
                row.has("sign") ? Optional.of(row.one("sign", Sign.class)) : Optional.empty(),
                row.has("within") ? row.whole("within", 1, 3650) : 0,
                row.several("holds", Tag.class),
                row.has("prescribed") ? Optional.of(row.flag("prescribed")) : Optional.empty(),
                row.flag("unread-prescription"),
                row.has("alone") ? Optional.of(row.one("alone", Sign.class)) : Optional.empty(),
                row.has("one-sided") ? Optional.of(row.one("one-sided", Sign.class)) : Optional.empty(),
                (int) row.number("from", 0),
                row.flag("calm-reset"),
                row.text("medicine", ""),
                (int) row.number("phototype-from", 0),
                row.has("age-under") ? OptionalInt.of(row.whole("age-under", 1, 120)) : OptionalInt.empty(),
                row.numbers("ages").stream().map(Double::intValue).toList());
        if (!c.medicine().isEmpty() && !Medicines.known(c.medicine())) {
            throw row.fault("medicines.yaml has no class \"%s\"".formatted(c.medicine()));
        }
        if (!c.ages().isEmpty() && c.ages().size() != 2) {
            throw row.fault("\"ages\" is a first and a last year");
        }
        row.done();
        return c;
    }
}
