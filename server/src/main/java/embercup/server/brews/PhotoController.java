package embercup.server.brews;

import embercup.server.platform.RefusedException;
import java.time.Clock;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The one photo of a brew: JPEG or PNG by its first bytes, whatever it calls itself, and not too large. */
@RestController
@RequestMapping("/api/brews/{id}/photo")
class PhotoController {

    private static final int MOST_BYTES = 3_000_000;
    private static final int[] JPEG = {0xFF, 0xD8, 0xFF};
    private static final int[] PNG = {0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A};

    private final PhotoRepository photos;
    private final BrewRepository brews;
    private final Clock clock;

    PhotoController(PhotoRepository photos, BrewRepository brews, Clock clock) {
        this.photos = photos;
        this.brews = brews;
        this.clock = clock;
    }

    @PutMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    void keepPhoto(@PathVariable UUID id, @RequestBody byte[] bytes) {
        if (!brews.existsById(id)) {
            throw RefusedException.notFound("brew", id);
        }
        if (bytes.length > MOST_BYTES) {
            throw RefusedException.of(
                    HttpStatus.CONTENT_TOO_LARGE,
                    "photo-too-large",
                    Map.of("megabytes", bytes.length / 1_000_000, "most", MOST_BYTES / 1_000_000));
        }
        PhotoEntity e = photos.findById(id).orElseGet(PhotoEntity::new);
        e.brewId = id;
        e.type = type(bytes);
        e.bytes = bytes;
        e.takenAt = clock.instant();
        photos.save(e);
    }

    private static String type(byte[] bytes) {
        if (begins(bytes, JPEG)) {
            return MediaType.IMAGE_JPEG_VALUE;
        }
        if (begins(bytes, PNG)) {
            return MediaType.IMAGE_PNG_VALUE;
        }
        throw RefusedException.of(HttpStatus.UNSUPPORTED_MEDIA_TYPE, "no-photo", Map.of());
    }

    private static boolean begins(byte[] bytes, int[] with) {
        for (int i = 0; i < with.length; i++) {
            if (bytes.length <= i || (bytes[i] & 0xFF) != with[i]) {
                return false;
            }
        }
        return true;
    }

    @GetMapping
    @Transactional(readOnly = true)
    ResponseEntity<byte[]> photo(@PathVariable UUID id) {
        PhotoEntity e = photos.findById(id).orElseThrow(() -> RefusedException.notFound("photo", id));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(e.type))
                .header("X-Content-Type-Options", "nosniff")
                .header("Content-Security-Policy", "default-src 'none'; sandbox")
                .cacheControl(CacheControl.noStore())
                .body(e.bytes);
    }

    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    void removePhoto(@PathVariable UUID id) {
        @Nullable PhotoEntity e = photos.findById(id).orElse(null);
        if (e == null) {
            throw RefusedException.notFound("photo", id);
        }
        photos.delete(e);
    }
}
