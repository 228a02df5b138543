package outfell.choice;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;

/** A problem is searched once, and only one with the same figures throughout is the same. */
class SolvedTest {
    private static final Runnable PATIENT = () -> {};

    private static RandomGenerator random(long seed) {
        return RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
    }

    @Test
    void one_with_the_same_figures_has_the_same_choice_and_no_other_has() {
        Solved solved = new Solved();
        for (long seed = 1; seed <= 40; seed++) {
            Problem first = Problems.random(random(seed), 5, 4);
            Problem again = Problems.random(random(seed), 5, 4);
            Choice.Found found = solved.of(first, PATIENT);
            assertThat(found.worth()).isEqualTo(Choice.of(first, PATIENT).worth());
            assertThat(solved.of(again, PATIENT)).isSameAs(found);
        }
    }

    /** Whatever figure is otherwise, of a record that may gain one any day. */
    @Test
    void one_that_differs_in_any_figure_is_another() throws ReflectiveOperationException {
        Problem problem = Problems.random(random(7), 5, 4);
        int places = problem.places().size();
        int told = 0;
        for (Record other : altered(problem)) {
            assertThat(problem.says((Problem) other)).as("%s", other).isFalse();
            told++;
        }
        for (int p = 0; p < places; p++) {
            Place place = problem.places().get(p);
            for (Record other : altered(place)) {
                assertThat(place.says((Place) other)).as("%s", other).isFalse();
                told++;
            }
            Option option = place.options().getFirst();
            for (Record other : altered(option)) {
                assertThat(option.says((Option) other)).as("%s", other).isFalse();
                told++;
            }
        }
        assertThat(told).isGreaterThan(8 + 5 * places);
    }

    /** The same record with each of its components otherwise in turn; what cannot be otherwise by a figure is left out. */
    private static List<Record> altered(Record record) throws ReflectiveOperationException {
        RecordComponent[] components = record.getClass().getRecordComponents();
        Object[] values = new Object[components.length];
        Class<?>[] types = new Class<?>[components.length];
        for (int i = 0; i < components.length; i++) {
            values[i] = components[i].getAccessor().invoke(record);
            types[i] = components[i].getType();
        }
        Constructor<?> make = record.getClass().getDeclaredConstructor(types);
        List<Record> all = new ArrayList<>();
        for (int i = 0; i < values.length; i++) {
            Optional<Object> other = otherwise(values[i]);
            if (other.isPresent()) {
                Object[] changed = values.clone();
                changed[i] = other.get();
                all.add((Record) make.newInstance(changed));
            }
        }
        return all;
    }

    private static Optional<Object> otherwise(Object value) throws ReflectiveOperationException {
        return switch (value) {
            case Integer i -> Optional.of(i + 1);
            case Long l -> Optional.of(l + 1);
            case Double d -> Optional.of(d + 1);
            case Boolean b -> Optional.of(!b);
            case int[] a
            when a.length > 0 -> {
                int[] other = a.clone();
                other[other.length - 1]++;
                yield Optional.of(other);
            }
            case double[] a
            when a.length > 0 -> {
                double[] other = a.clone();
                other[other.length - 1]++;
                yield Optional.of(other);
            }
            case List<?> list when !list.isEmpty() -> Optional.of(list.subList(0, list.size() - 1));
            case Record inner -> Optional.of(altered(inner).getLast());
            // what is empty has no figure
            default -> Optional.empty();
        };
    }
}
