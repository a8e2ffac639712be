package embercup.server.brews;

import embercup.server.platform.RefusedException;
import jakarta.servlet.http.HttpServletRequest;
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

/** The one photo of a brew. */
@RestController
@RequestMapping("/api/brews/{id}/photo")
class PhotoController {

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
    void keepPhoto(@PathVariable UUID id, @RequestBody byte[] bytes, HttpServletRequest request) {
        if (!request.isUserInRole("COOK") && photos.existsById(id)) {
            throw RefusedException.of(HttpStatus.FORBIDDEN, "not-allowed", Map.of());
        }
        if (!brews.existsById(id)) {
            throw RefusedException.notFound("brew", id);
        }
        String type = Picture.typeOf(bytes);
        PhotoEntity e = photos.findById(id).orElseGet(PhotoEntity::new);
        e.brewId = id;
        e.type = type;
        e.bytes = bytes;
        e.takenAt = clock.instant();
        photos.save(e);
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
