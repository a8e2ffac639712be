package embercup.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.lang.reflect.Method;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.data.domain.Slice;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/**
 * Every list that a repository gives has a total order: it ends in something that no two rows share, so that two households with
 * the same rows show, save and compare the same list.
 */
class TotalOrderTest {

    /** A derived name ends in the key of the row, or in its place within its parent. */
    private static final Pattern DERIVED = Pattern.compile(".*OrderBy.*((Brew)?Id(Asc|Desc)|Position|VersionDesc)");

    /** A query ends in a key, or is distinct over all it is ordered by. */
    private static final Pattern WRITTEN =
            Pattern.compile("(?s).*order by [^()]*\\b(id|brewId|brew_id|vesselId)( desc)?\\s*(limit .*)?");

    static Stream<Method> lists() {
        return new ClassFileImporter()
                        .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                        .importPackages("embercup.server")
                        .stream()
                        .filter(c -> c.isInterface() && c.isAssignableTo(Repository.class))
                        .map(JavaClass::getMethods)
                        .flatMap(Set::stream)
                        .map(JavaMethod::reflect)
                        .filter(m ->
                                Stream.of(List.class, Stream.class, Slice.class).anyMatch(t -> t == m.getReturnType()));
    }

    @ParameterizedTest
    @MethodSource("lists")
    void itEndsInWhatNoTwoRowsShare(Method list) {
        Query query = list.getAnnotation(Query.class);
        if (query == null) {
            assertThat(list.getName()).matches(DERIVED);
        } else {
            assertThat(query.value().strip()).matches(WRITTEN);
        }
    }
}
