package embercup.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The arrows of the house. */
class ArchitectureTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("embercup.core");

    /** From the ground up; a package uses only those before it. */
    private static final List<String> ORDER = List.of(
            "workings",
            "measure",
            "materia",
            "recipe",
            "reading",
            "dose",
            "kitchen",
            "brew",
            "plan",
            "live",
            "care",
            "keeping",
            "course",
            "words");

    @Test
    void aPackageUsesOnlyThoseAboveItInTheList() {
        for (int i = 0; i < ORDER.size(); i++) {
            String[] later = ORDER.subList(i + 1, ORDER.size()).stream()
                    .map(p -> "embercup.core." + p + "..")
                    .toArray(String[]::new);
            if (later.length > 0) {
                noClasses()
                        .that()
                        .resideInAPackage("embercup.core." + ORDER.get(i) + "..")
                        .should()
                        .dependOnClassesThat()
                        .resideInAnyPackage(later)
                        .check(CORE);
            }
        }
    }

    @Test
    void theTradeKnowsNoFrameworkNoDatabaseAndNoNetwork() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework..", "jakarta..", "org.hibernate..", "java.sql..", "java.net..")
                .check(CORE);
    }

    @Test
    void theTradeHasNoClockOfItsOwn() {
        noClasses()
                .should()
                .callMethod(java.time.Instant.class, "now")
                .orShould()
                .callMethod(System.class, "currentTimeMillis")
                .orShould()
                .callMethod(java.time.LocalDate.class, "now")
                .orShould()
                .callMethod(java.time.Clock.class, "systemUTC")
                .check(CORE);
    }

    @Test
    void onlyTheMateriaReadsDocuments() {
        noClasses()
                .that()
                .resideOutsideOfPackage("embercup.core.materia..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.yaml..", "com.fasterxml..", "tools.jackson..")
                .check(CORE);
    }

    @Test
    void onlyWordsAndReadingKnowALanguage() {
        noClasses()
                .that()
                .resideOutsideOfPackages("embercup.core.words..", "embercup.core.reading..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("com.ibm.icu..")
                .check(CORE);
    }
}
