package embercup.server.archive;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeParseException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** The folder with an archive of every night: which is due, and which are let go of. Other files in it are left alone. */
final class NightlyArchives {

    /** Two weeks: a mistake of the week before last is found in time. */
    static final int KEPT = 14;
    /** When nobody brews, hour of the household's day. */
    static final int HOUR = 3;
    /** A night was missed when the newest archive is older than this. */
    static final Duration LATE = Duration.ofHours(36);

    private static final String SUFFIX = ".zip";

    private final Path folder;
    private final Clock clock;
    private final Supplier<ZoneId> zone;

    /** An archive of a night, by the day it is of. */
    record Night(LocalDate day, Instant madeAt, long bytes) {}

    NightlyArchives(Path folder, Clock clock, Supplier<ZoneId> zone) {
        this.folder = folder;
        this.clock = clock;
        this.zone = zone;
    }

    Path folder() {
        return folder;
    }

    /** The newest first. */
    List<Night> all() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.flatMap(f -> night(f).stream())
                    .sorted(Comparator.comparing(Night::day).reversed())
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The newest of the past: one that is dated ahead, by a clock that was wrong, says nothing of the nights until then. */
    Optional<Night> last() {
        return past().stream().findFirst();
    }

    /** Those that count, the newest first. */
    List<Night> past() {
        LocalDate tonight = night();
        return all().stream().filter(n -> !n.day().isAfter(tonight)).toList();
    }

    /** Archives that are dated ahead; they are left alone. */
    List<Night> ahead() {
        LocalDate tonight = night();
        return all().stream().filter(n -> n.day().isAfter(tonight)).toList();
    }

    /** Whether a night went by without one, although there had been some. */
    boolean late() {
        return last().map(n -> n.madeAt().plus(LATE).isBefore(clock.instant())).orElse(!all().isEmpty());
    }

    /** Whether the archive of this night is still to be made; one that the machine slept through is made up when it is on again. */
    boolean due() {
        return last().map(n -> n.day().isBefore(night())).orElse(true);
    }

    /** A night belongs to the day it ends in; before its hour it is still the one before. */
    private LocalDate night() {
        ZonedDateTime now = clock.instant().atZone(zone.get());
        return now.getHour() >= HOUR ? now.toLocalDate() : now.toLocalDate().minusDays(1);
    }

    /**
     * Keeps the archive of this night, whole before it has its name, and lets go of those beyond the fourteenth.
     *
     * @param save writes it to where it is told
     */
    void keep(Consumer<Path> save) throws IOException {
        Files.createDirectories(folder);
        privately(folder, "rwx------");
        Path part = folder.resolve(night() + ".part");
        try {
            Files.deleteIfExists(part);
            Files.createFile(part);
            privately(part, "rw-------");
            save.accept(part);
            Files.move(part, file(night()), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(part);
        }
        for (Night old : past().stream().skip(KEPT).toList()) {
            Files.deleteIfExists(file(old.day()));
        }
    }

    /** Takes away what a night that was cut short left. */
    void dropLeftOver() throws IOException {
        if (Files.isDirectory(folder)) {
            try (Stream<Path> files = Files.list(folder)) {
                for (Path part : files.filter(f -> f.getFileName().toString().matches("\\d{4}-\\d\\d-\\d\\d\\.part"))
                        .toList()) {
                    Files.deleteIfExists(part);
                }
            }
        }
    }

    private Path file(LocalDate day) {
        return folder.resolve(day + SUFFIX);
    }

    /** What stands in it is of people; only whoever runs the server reads it. */
    private static void privately(Path path, String permissions) throws IOException {
        if (path.getFileSystem().supportedFileAttributeViews().contains("posix")) {
            Files.setPosixFilePermissions(path, PosixFilePermissions.fromString(permissions));
        }
    }

    private static Optional<Night> night(Path file) {
        String name = file.getFileName().toString();
        if (!name.endsWith(SUFFIX)) {
            return Optional.empty();
        }
        try {
            return Optional.of(new Night(
                    LocalDate.parse(name.substring(0, name.length() - SUFFIX.length())),
                    Files.getLastModifiedTime(file).toInstant(),
                    Files.size(file)));
        } catch (DateTimeParseException e) {
            return Optional.empty();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
