package outfell.climate;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import outfell.knowledge.KnowledgeFault;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** The sites that ship with the tool, from climate/sites.yaml. */
public final class Sites {
    private static final List<Site> ALL =
            Row.unique(KnowledgeFile.yaml("climate/sites.yaml").rows("sites"), Sites::read, Site::id);

    private Sites() {}

    public static List<Site> all() {
        return ALL;
    }

    public static Optional<Site> find(String id) {
        return ALL.stream().filter(s -> s.id().value().equals(id)).findFirst();
    }

    private static Site read(Row row) {
        row.because(row.text("note"));
        List<Double> celsius = row.numbers("celsius");
        List<Double> humidity = row.numbers("humidity");
        List<Double> wind = row.numbers("wind");
        List<Double> uv = row.numbers("uv-index");
        if (celsius.size() != 12 || humidity.size() != 12 || wind.size() != 12 || uv.size() != 12) {
            throw row.fault("celsius, humidity, wind and uv-index need twelve numbers each, January first");
        }
        try {
            List<MonthlyAir> months = IntStream.range(0, 12)
                    .mapToObj(i -> new MonthlyAir(celsius.get(i), humidity.get(i), wind.get(i), uv.get(i)))
                    .toList();
            return new Site(new SiteId(row.text("id")), row.text("name"), row.text("note"), months);
        } catch (IllegalArgumentException outside) {
            throw fault(row, outside);
        }
    }

    private static KnowledgeFault fault(Row row, IllegalArgumentException outside) {
        return row.fault(String.valueOf(outside.getMessage()));
    }
}
