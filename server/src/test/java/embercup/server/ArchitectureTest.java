package embercup.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jakarta.persistence.Entity;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;

/** One package per place; its rows stay inside. */
class ArchitectureTest {

    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("embercup.server");

    @Test
    void aPlaceKeepsItsEntitiesAndRepositoriesToItself() {
        classes().that().areAnnotatedWith(Entity.class).should().notBePublic().check(SERVER);
        classes()
                .that()
                .areAssignableTo(Repository.class)
                .should()
                .notBePublic()
                .check(SERVER);
    }

    @Test
    void placesDoNotGoRoundInCircles() {
        slices().matching("embercup.server.(*)..").should().beFreeOfCycles().check(SERVER);
    }

    @Test
    void controllersStayBehindTheDoor() {
        classes()
                .that()
                .haveSimpleNameEndingWith("Controller")
                .should()
                .notBePublic()
                .check(SERVER);
    }
}
