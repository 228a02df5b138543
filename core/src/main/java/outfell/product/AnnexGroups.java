package outfell.product;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** Names that stand on a label for several substances, from annex-groups.yaml. */
public final class AnnexGroups {
    /** @param of INCI names that it stands for */
    public record Group(String name, List<String> of) {}

    private static final Row FILE = KnowledgeFile.yaml("annex-groups.yaml");
    private static final List<Group> ALL = Row.unique(FILE.rows("groups"), AnnexGroups::read, Group::name);
    /** What each name meets beside itself: a group its members, a member its groups. */
    private static final Map<String, Set<String>> MEETS = meets();

    private AnnexGroups() {}

    public static List<Group> all() {
        return ALL;
    }

    /** INCI names with all that they may be on a label: of a member the group's name, of a group its members. */
    public static Set<String> with(Set<String> inci) {
        Set<String> all = new LinkedHashSet<>(inci);
        inci.forEach(i -> all.addAll(MEETS.getOrDefault(i, Set.of())));
        return all;
    }

    private static Map<String, Set<String>> meets() {
        Map<String, Set<String>> map = new HashMap<>();
        for (Group g : ALL) {
            for (String member : g.of()) {
                map.computeIfAbsent(g.name(), _ -> new LinkedHashSet<>()).add(member);
                map.computeIfAbsent(member, _ -> new LinkedHashSet<>()).add(g.name());
            }
        }
        return map;
    }

    private static Group read(Row row) {
        Group group = new Group(row.text("name"), row.texts("of"));
        List.of(group.name()).forEach(n -> known(row, n));
        group.of().forEach(n -> known(row, n));
        return group;
    }

    private static void known(Row row, String name) {
        if (Ingredients.find(name).filter(i -> i.inci().equals(name)).isEmpty()) {
            throw row.fault("no ingredient is named \"%s\"".formatted(name));
        }
    }
}
