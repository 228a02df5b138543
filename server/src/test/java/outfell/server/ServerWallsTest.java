package outfell.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class ServerWallsTest {
    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("outfell.server");

    @Test
    void queries_stay_in_the_stores() {
        noClasses()
                .that()
                .haveSimpleNameNotEndingWith("Store")
                .and()
                .haveNameNotMatching(".*Store\\$.*")
                .and()
                .resideOutsideOfPackage("outfell.server.safekeeping..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.jooq..", "outfell.store..")
                .check(SERVER);
    }

    @Test
    void packages_form_no_circle() {
        slices().matching("outfell.server.(*)..").should().beFreeOfCycles().check(SERVER);
    }

    @Test
    void controllers_hold_no_rules() {
        noClasses()
                .that()
                .haveSimpleNameEndingWith("Controller")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("outfell.season..", "outfell.conflict..", "outfell.week..")
                .check(SERVER);
    }
}
