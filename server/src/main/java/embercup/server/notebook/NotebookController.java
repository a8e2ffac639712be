package embercup.server.notebook;

import embercup.server.platform.Csv;
import embercup.server.platform.Fields;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/notebook")
class NotebookController {

    private final Notebook notebook;

    NotebookController(Notebook notebook) {
        this.notebook = notebook;
    }

    @GetMapping
    Entry.EntryPage notebook(
            @RequestParam(required = false) @Nullable String words,
            @RequestParam(required = false) @Nullable UUID recipeId,
            @RequestParam(required = false) @Nullable String drinker,
            @RequestParam(defaultValue = "0") int liking,
            @RequestParam(defaultValue = "0") int page) {
        return notebook.page(words, recipeId, drinker, liking, page);
    }

    /** One recipe over time, the oldest first. */
    @GetMapping("/history/{recipeId}")
    List<Entry> history(@PathVariable UUID recipeId) {
        return notebook.history(recipeId);
    }

    /** The whole notebook as a table, the newest first. @param as {@code csv} */
    @GetMapping(value = "/file", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> notebookFile(@RequestParam(defaultValue = "csv") String as) {
        Fields.onlyAs(as, "csv");
        return Csv.file("ember-cup-notebook.csv", notebook.table());
    }
}
