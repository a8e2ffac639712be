package embercup.server.recipes;

import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Wanted;
import embercup.server.platform.Download;
import embercup.server.recipes.RecipeFiles.ShareResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** A recipe for a friend. */
@RestController
@RequestMapping("/api/recipes/{id}")
class RecipeFilesController {

    private final RecipeFiles files;

    RecipeFilesController(RecipeFiles files) {
        this.files = files;
    }

    /** @param as {@code html}, {@code jsonld} or {@code text} */
    @GetMapping(value = "/file", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> recipeFile(@PathVariable UUID id, @RequestParam(defaultValue = "html") String as) {
        return switch (as) {
            case "html" -> file(files.html(id), "text/html", files.name(id, ".html"));
            case "jsonld" -> file(files.jsonLd(id), "application/ld+json", files.name(id, ".jsonld"));
            case "text" -> file(files.text(id), "text/plain", files.name(id, ".txt"));
            default -> throw InvalidInputException.of("as", as, new Wanted.OneOf(List.of("html", "jsonld", "text")));
        };
    }

    /** The recipe in a link that carries it, and as a square when it is small. */
    @GetMapping("/share")
    ShareResponse shareRecipe(@PathVariable UUID id) {
        return files.share(
                id, ServletUriComponentsBuilder.fromCurrentContextPath().build().toUriString());
    }

    private static ResponseEntity<byte[]> file(String text, String type, String name) {
        return Download.begun(name, type)
                .header("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'; sandbox")
                .body(text.getBytes(StandardCharsets.UTF_8));
    }
}
