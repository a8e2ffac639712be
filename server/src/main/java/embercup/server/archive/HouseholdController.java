package embercup.server.archive;

import embercup.server.archive.HouseholdResponse.BackupsResponse;
import embercup.server.archive.HouseholdResponse.Held;
import embercup.server.kitchen.Kitchens;
import embercup.server.platform.BodyLimits;
import embercup.server.platform.RefusedException;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.io.InputStreamResource;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The household as a whole: what it holds, one file of all of it, and back. */
@RestController
@RequestMapping("/api/household")
class HouseholdController {

    private static final String ZIP = "application/zip";
    private static final int CHUNK = 64 * 1024;

    private final Archives archives;
    private final Backups backups;
    private final Kitchens kitchens;
    private final PersonalData people;
    private final Clock clock;
    private final Copies copies;

    HouseholdController(
            Archives archives, Backups backups, Kitchens kitchens, PersonalData people, Clock clock, Copies copies) {
        this.archives = archives;
        this.backups = backups;
        this.people = people;
        this.kitchens = kitchens;
        this.clock = clock;
        this.copies = copies;
    }

    @GetMapping
    HouseholdResponse household() {
        Map<ArchivedTable, Long> holds = archives.holds();
        boolean empty = Archives.empty(holds);
        NightlyArchives nights = backups.nights();
        Optional<NightlyArchives.Night> last = nights.last();
        Optional<Backups.Failure> failure = backups.failure();
        return new HouseholdResponse(
                empty,
                Held.of(holds),
                new BackupsResponse(
                        nights.folder().toString(),
                        nights.past().size(),
                        NightlyArchives.KEPT,
                        last.map(NightlyArchives.Night::madeAt).orElse(null),
                        last.map(NightlyArchives.Night::bytes).orElse(null),
                        nights.late(),
                        failure.map(Backups.Failure::at).orElse(null),
                        failure.map(Backups.Failure::why).orElse(null),
                        nights.ahead().size()));
    }

    /** Everything, as a zip; made before the first byte is sent, so that what arrives is whole. */
    @GetMapping(value = "/archive", produces = ZIP)
    ResponseEntity<InputStreamResource> archive() throws IOException {
        Path file = copies.make();
        try {
            archives.save(file);
            long bytes = Files.size(file);
            // Without a name from here on: it is gone with whoever reads it.
            InputStream in = Files.newInputStream(file, StandardOpenOption.DELETE_ON_CLOSE);
            String name = "ember-cup-" + clock.instant().atZone(kitchens.zone()).toLocalDate() + ".zip";
            return ResponseEntity.ok()
                    .contentType(MediaType.parseMediaType(ZIP))
                    .contentLength(bytes)
                    .cacheControl(CacheControl.noStore())
                    .header(
                            HttpHeaders.CONTENT_DISPOSITION,
                            ContentDisposition.attachment()
                                    .filename(name)
                                    .build()
                                    .toString())
                    .body(new InputStreamResource(in));
        } catch (IOException | RuntimeException e) {
            Files.deleteIfExists(file);
            throw e;
        }
    }

    /**
     * Brings a household back into this empty one.
     *
     * @throws RefusedException 409 when it is not empty; 413 when the file is too large; 422 when it is no archive
     */
    @PostMapping(value = "/restore", consumes = ZIP)
    @RequestBody(
            required = true,
            content = @Content(mediaType = ZIP, schema = @Schema(type = "string", format = "binary")))
    Held restore(HttpServletRequest request) throws IOException {
        Path file = copies.make();
        try {
            take(request.getInputStream(), file);
            return Held.of(archives.restore(file));
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /** How much is kept about somebody, to be said before it is erased. */
    @GetMapping("/people/{id}")
    PersonalData.KeptOfPerson keptOfPerson(@PathVariable UUID id) {
        return people.counted(id);
    }

    /** Everything that is kept about somebody, for her. */
    @GetMapping(value = "/people/{id}/file", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> fileOfPerson(@PathVariable UUID id) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("ember-cup-person.json")
                                .build()
                                .toString())
                .body(people.document(id));
    }

    private void take(InputStream in, Path file) throws IOException {
        long taken = 0;
        byte[] chunk = new byte[CHUNK];
        try (OutputStream out = Files.newOutputStream(file)) {
            for (int n = in.read(chunk); n >= 0; n = in.read(chunk)) {
                taken += n;
                if (taken > BodyLimits.ARCHIVE_BYTES) {
                    throw RefusedException.of(
                            HttpStatus.CONTENT_TOO_LARGE,
                            "body-too-large",
                            Map.of("most", BodyLimits.ARCHIVE_BYTES >> 30, "unit", "GB"));
                }
                out.write(chunk, 0, n);
            }
        }
    }
}
