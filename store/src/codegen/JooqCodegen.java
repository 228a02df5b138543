import org.flywaydb.core.Flyway;
import org.jooq.codegen.GenerationTool;
import org.jooq.meta.jaxb.Configuration;
import org.jooq.meta.jaxb.Database;
import org.jooq.meta.jaxb.Generate;
import org.jooq.meta.jaxb.Generator;
import org.jooq.meta.jaxb.Jdbc;
import org.jooq.meta.jaxb.Logging;
import org.jooq.meta.jaxb.Target;

/**
 * Migrates a fresh in-memory H2 with Flyway, then writes the jOOQ classes, so that the code is generated from the very
 * migrations that a practice's database runs.
 *
 * <p>Arguments: migrations folder, target folder, package.
 */
public class JooqCodegen {
    public static void main(String[] args) throws Exception {
        String url = "jdbc:h2:mem:codegen;DB_CLOSE_DELAY=-1";
        Flyway.configure()
                .dataSource(url, "sa", "")
                .locations("filesystem:" + args[0])
                .load()
                .migrate();
        GenerationTool.generate(new Configuration()
                .withLogging(Logging.WARN)
                .withJdbc(new Jdbc().withUrl(url).withUser("sa").withPassword(""))
                .withGenerator(new Generator()
                        .withDatabase(new Database()
                                .withName("org.jooq.meta.h2.H2Database")
                                .withInputSchema("PUBLIC")
                                .withOutputSchemaToDefault(true)
                                .withExcludes("flyway_schema_history"))
                        .withGenerate(new Generate().withPojos(false).withRecords(true))
                        .withTarget(new Target().withPackageName(args[2]).withDirectory(args[1]))));
    }
}
