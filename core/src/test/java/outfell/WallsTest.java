package outfell;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class WallsTest {
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("outfell");

    @Test
    void the_core_knows_the_jdk_and_small_libraries_only() {
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "outfell..",
                        "java..",
                        "org.jspecify..",
                        "org.yaml.snakeyaml..",
                        "org.apache.commons.csv..",
                        "org.apache.commons.lang3..",
                        "org.apache.commons.text..")
                .check(CORE);
    }

    @Test
    void packages_form_no_circle() {
        slices().matching("outfell.(*)..").should().beFreeOfCycles().check(CORE);
    }

    @Test
    void the_choice_knows_no_skin() {
        classes()
                .that()
                .resideInAPackage("outfell.choice")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("outfell.choice", "java..", "org.jspecify..")
                .check(CORE);
    }

    /** From what is asked to the plan: each room is entered from those that come after it. */
    @Test
    void a_plan_flows_one_way() {
        layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("consultation")
                .definedBy("outfell.consultation")
                .layer("choice")
                .definedBy("outfell.choice")
                .layer("aims")
                .definedBy("outfell.aims")
                .layer("hand")
                .definedBy("outfell.hand")
                .layer("causes")
                .definedBy("outfell.causes")
                .layer("shelf")
                .definedBy("outfell.shelf")
                .layer("regimen")
                .definedBy("outfell.regimen")
                .layer("changes")
                .definedBy("outfell.changes")
                .layer("year")
                .definedBy("outfell.year")
                .whereLayer("choice")
                .mayOnlyBeAccessedByLayers("aims", "causes", "regimen")
                .whereLayer("aims")
                .mayOnlyBeAccessedByLayers("hand", "causes", "shelf", "regimen")
                .whereLayer("hand")
                .mayOnlyBeAccessedByLayers("regimen")
                .whereLayer("causes")
                .mayOnlyBeAccessedByLayers("regimen", "changes", "year")
                .whereLayer("shelf")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("regimen")
                .mayOnlyBeAccessedByLayers("changes", "year")
                .whereLayer("changes")
                .mayOnlyBeAccessedByLayers("year")
                .whereLayer("year")
                .mayNotBeAccessedByAnyLayer()
                .check(CORE);
    }

    @Test
    void nothing_but_knowledge_opens_files() {
        noClasses()
                .that()
                .resideOutsideOfPackage("outfell.knowledge")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.io..", "java.nio.file..", "org.yaml..")
                .check(CORE);
    }

    @Test
    void the_core_asks_no_clock_and_throws_no_dice() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .haveFullyQualifiedName("java.time.Clock")
                .orShould()
                .dependOnClassesThat()
                .resideInAPackage("java.util.random..")
                .check(CORE);
    }
}
