package embercup.server.archive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embercup.server.TestPostgres;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** Where archives are brought back, when two servers stand on one database and one of them dies. */
class StagingSchemasTest {

    private static final DriverManagerDataSource DATABASE = new DriverManagerDataSource(
            TestPostgres.get().url(), "ember", TestPostgres.get().password());

    private final JdbcTemplate jdbc = new JdbcTemplate(DATABASE);
    private final StagingSchemas ours = new StagingSchemas(DATABASE);
    private final StagingSchemas ofAnotherServer = new StagingSchemas(DATABASE);

    private List<String> there() {
        return jdbc.queryForList("select nspname from pg_namespace where nspname like 'restoring%'", String.class);
    }

    @Test
    void anotherServerThatStartsLeavesWhatIsWorkedIn() {
        List<String> was = new ArrayList<>();
        ours.within(schema -> {
            jdbc.execute("create schema " + schema);
            ofAnotherServer.dropLeftOver();
            assertThat(there()).contains(schema);
            was.add(schema);
        });
        assertThat(there()).as("done, it is gone").doesNotContainAnyElementsOf(was);
    }

    @Test
    void whatACrashLeftIsGoneAtTheNextStart() {
        jdbc.execute("create schema restoring_cut_short");
        ours.dropLeftOver();
        assertThat(there()).doesNotContain("restoring_cut_short");
    }

    @Test
    void workThatFailsLeavesNothing() {
        assertThatThrownBy(() -> ours.within(schema -> {
                    jdbc.execute("create schema " + schema);
                    throw new IllegalStateException("a row that nobody can read");
                }))
                .hasMessageContaining("nobody can read");
        assertThat(there()).isEmpty();
    }
}
