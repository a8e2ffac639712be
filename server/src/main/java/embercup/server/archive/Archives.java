package embercup.server.archive;

import embercup.server.brews.Brews;
import embercup.server.courses.Courses;
import embercup.server.herbs.HouseMateria;
import embercup.server.kitchen.Kitchens;
import embercup.server.people.People;
import embercup.server.platform.HouseholdRestored;
import embercup.server.platform.RefusedException;
import embercup.server.recipes.Recipes;
import embercup.server.shelf.Shelf;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.Semaphore;
import java.util.function.IntSupplier;
import java.util.function.Supplier;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** The whole household in one file, and back into an empty one (decision 044). */
@Service
class Archives {

    private static final Logger LOG = LoggerFactory.getLogger(Archives.class);

    private final DataSource database;
    private final JdbcTemplate jdbc;
    private final StagingSchemas staging;
    private final Flyway flyway;
    private final JsonMapper json;
    private final Clock clock;
    private final ApplicationEventPublisher events;
    private final Readers readers;
    private final TransactionTemplate oneMoment;
    private final TransactionTemplate writing;
    /** Saving and restoring read or write all there is: one at a time is enough for a house. */
    private final Semaphore one = new Semaphore(1);

    Archives(
            DataSource database,
            Flyway flyway,
            JsonMapper json,
            Clock clock,
            ApplicationEventPublisher events,
            PlatformTransactionManager transactions,
            Readers readers) {
        this.database = database;
        this.jdbc = new JdbcTemplate(database);
        this.staging = new StagingSchemas(database);
        this.flyway = flyway;
        this.json = json;
        this.clock = clock;
        this.events = events;
        this.readers = readers;
        this.oneMoment = new TransactionTemplate(transactions);
        oneMoment.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
        oneMoment.setReadOnly(true);
        this.writing = new TransactionTemplate(transactions);
    }

    /** Places whose every row must be readable before a restored household stands. */
    @Service
    static final class Readers {

        private final List<Runnable> all;
        /** Places that show what cannot be read as such, and count it. */
        private final List<IntSupplier> counted;

        Readers(
                People people,
                Kitchens kitchens,
                HouseMateria houseMateria,
                Recipes recipes,
                Shelf shelf,
                Brews brews,
                Courses courses) {
            this.all = List.of(people::all, kitchens::sheet, houseMateria::materia, recipes::readAll, shelf::all);
            this.counted = List.of(brews::unreadable, courses::unreadable);
        }
    }

    /** How many rows of each kind the household has. */
    Map<ArchivedTable, Long> holds() {
        return Objects.requireNonNull(jdbc.execute((Connection c) -> {
            Tables tables = Tables.current(c);
            Map<ArchivedTable, Long> holds = new LinkedHashMap<>();
            for (ArchivedTable of : ArchivedTable.values()) {
                holds.put(of, tables.count(of));
            }
            return holds;
        }));
    }

    /** Whether nothing is in it yet that a restored household would meet: where the kitchen stands is no thing. */
    static boolean empty(Map<ArchivedTable, Long> holds) {
        return holds.entrySet().stream()
                .filter(e -> e.getKey() != ArchivedTable.KITCHEN && e.getKey() != ArchivedTable.LEARNED)
                .allMatch(e -> e.getValue() == 0);
    }

    /**
     * Saves all of it, as of one moment.
     *
     * @throws RefusedException 503 while another archive is made or restored
     */
    Manifest save(Path file) {
        return alone(() -> {
            Manifest made = written(file);
            try {
                Seal.close(file);
                // What was saved is read once as a restore would read it: a disk that lies is found now.
                ArchiveFile.open(file, version(), json).close();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            return made;
        });
    }

    private Manifest written(Path file) {
        try (OutputStream out = Files.newOutputStream(file)) {
            return Objects.requireNonNull(oneMoment.execute(status -> jdbc.execute((Connection c) -> {
                try {
                    return new ArchiveWriter(c, json).write(out, version(), clock.instant());
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            })));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Brings back a household. It is whole afterwards, or nothing has changed.
     *
     * @throws RefusedException 409 when this household is not empty; 422 when the file is not an archive that can be brought back
     */
    Map<ArchivedTable, Long> restore(Path file) {
        return alone(() -> {
            refuseUnlessEmpty();
            try (ArchiveFile archive = ArchiveFile.open(file, version(), json)) {
                return through(archive);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    private Map<ArchivedTable, Long> through(ArchiveFile archive) {
        staging.within(schema -> {
            // The changes that brought households forward bring the archive's rows forward.
            migrate(
                    schema,
                    MigrationVersion.fromVersion(
                            String.valueOf(archive.manifest().formatVersion())));
            writing.executeWithoutResult(status -> jdbc.execute((Connection c) -> {
                try {
                    new Staging(c, schema).load(archive);
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
                return null;
            }));
            migrate(schema, MigrationVersion.LATEST);
            writing.executeWithoutResult(status -> {
                jdbc.execute((Connection c) -> {
                    takeOver(c, new Tables(c, schema));
                    return null;
                });
                readAll(archive.sealed());
            });
        });
        events.publishEvent(new HouseholdRestored());
        return holds();
    }

    /** @throws RefusedException 409 when the household is not empty */
    private void refuseUnlessEmpty() {
        Map<ArchivedTable, Long> holds = holds();
        if (!empty(holds)) {
            throw RefusedException.of(
                    HttpStatus.CONFLICT,
                    "household-not-empty",
                    Map.of(
                            "people",
                            holds.get(ArchivedTable.PEOPLE),
                            "recipes",
                            holds.get(ArchivedTable.RECIPES),
                            "brews",
                            holds.get(ArchivedTable.BREWS),
                            "tins",
                            holds.get(ArchivedTable.TINS)));
        }
    }

    private void takeOver(Connection c, Tables staged) throws SQLException {
        Tables household = Tables.current(c);
        for (ArchivedTable of : ArchivedTable.values()) {
            household.run("lock table " + household.name(of) + " in share row exclusive mode");
        }
        refuseUnlessEmpty();
        for (ArchivedTable of : ArchivedTable.values()) {
            String columns = Tables.list(household.columns(of));
            household.run("delete from " + household.name(of));
            household.run("insert into %s (%s) overriding system value select %s from %s"
                    .formatted(household.name(of), columns, columns, staged.name(of)));
        }
        try (Statement s = c.createStatement()) {
            s.execute(
                    "select setval(pg_get_serial_sequence('%s', 'position'), coalesce(max(position), 0) + 1, false) from %s"
                            .formatted(household.name(ArchivedTable.EVENTS), household.name(ArchivedTable.EVENTS)));
        }
    }

    private void readAll(boolean sealed) {
        try {
            readers.all.forEach(Runnable::run);
            int unreadable =
                    readers.counted.stream().mapToInt(IntSupplier::getAsInt).sum();
            if (unreadable > 0 && !sealed) {
                throw new IllegalStateException(unreadable + " brews or courses");
            } else if (unreadable > 0) {
                // It is what was saved: those could not be read in the household that it is of either.
                LOG.warn(
                        "{} brews or courses of the archive cannot be read; they are brought back as they were",
                        unreadable);
            }
        } catch (RuntimeException e) {
            LOG.warn("An archive has documents that cannot be read", e);
            throw ArchiveFile.refused("archive-unreadable", Map.of());
        }
    }

    private void migrate(String schema, MigrationVersion target) {
        Flyway.configure()
                .configuration(flyway.getConfiguration())
                .dataSource(database)
                .schemas(schema)
                .defaultSchema(schema)
                .createSchemas(true)
                .target(target)
                .load()
                .migrate();
    }

    void dropLeftOver() {
        staging.dropLeftOver();
    }

    int version() {
        return Arrays.stream(flyway.info().applied())
                .map(i -> i.getVersion())
                .filter(Objects::nonNull)
                .mapToInt(v -> v.getMajor().intValueExact())
                .max()
                .orElseThrow();
    }

    private <T> T alone(Supplier<T> work) {
        if (!one.tryAcquire()) {
            throw RefusedException.of(HttpStatus.SERVICE_UNAVAILABLE, "archive-busy", Map.of());
        }
        try {
            return work.get();
        } finally {
            one.release();
        }
    }
}
