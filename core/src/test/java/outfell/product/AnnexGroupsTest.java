package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Names that the EU's annex lets stand for several substances. */
class AnnexGroupsTest {
    static Stream<AnnexGroups.Group> groups() {
        return AnnexGroups.all().stream();
    }

    @ParameterizedTest
    @MethodSource("groups")
    void a_group_and_each_of_its_members_is_read_and_is_an_allergen(AnnexGroups.Group group) {
        Stream.concat(Stream.of(group.name()), group.of().stream()).forEach(name -> {
            Label label = LabelReader.read("Ingredients: Aqua, Glycerin, " + name + ", Phenoxyethanol");
            assertThat(label.lines()).as(name).hasSize(4);
            assertThat(label.lines().get(2).ingredient().map(Ingredient::inci)).contains(name);
            assertThat(label.lines().get(2).is(Set.of(Tag.FRAGRANCE_ALLERGEN)))
                    .as(name)
                    .isTrue();
        });
    }

    @ParameterizedTest
    @MethodSource("groups")
    void who_means_a_member_meets_the_group_and_who_means_the_group_meets_every_member(AnnexGroups.Group group) {
        assertThat(AnnexGroups.with(Set.of(group.name())))
                .contains(group.name())
                .containsAll(group.of());
        for (String member : group.of()) {
            assertThat(AnnexGroups.with(Set.of(member))).contains(member, group.name());
            // another member of the same group is another substance
            assertThat(AnnexGroups.with(Set.of(member)))
                    .noneMatch(o -> !o.equals(member) && group.of().contains(o));
        }
    }
}
