package embercup.server.shelf;

import embercup.server.platform.Csv;
import embercup.server.platform.Fields;
import embercup.server.shelf.Tin.TinRequest;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/shelf")
class ShelfController {

    private final Shelf shelf;
    private final TinsTable table;
    private final Mixes mixes;

    ShelfController(Shelf shelf, TinsTable table, Mixes mixes) {
        this.mixes = mixes;
        this.table = table;
        this.shelf = shelf;
    }

    @GetMapping
    List<Tin> tins() {
        return shelf.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Tin putTin(@Valid @RequestBody TinRequest draft) {
        return shelf.put(draft);
    }

    @PutMapping("/{id}")
    Tin changeTin(@PathVariable UUID id, @Valid @RequestBody TinRequest draft) {
        return shelf.change(id, draft);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeTin(@PathVariable UUID id) {
        shelf.remove(id);
    }

    /** What mixing so much of a blend would take. Keeps nothing. */
    @PostMapping("/mixes/plan")
    Mixes.MixPlan planMix(@Valid @RequestBody Mixes.MixRequest ask) {
        return mixes.plan(ask);
    }

    /** Mixes a blend of the house and fills its jar with it. */
    @PostMapping("/mixes")
    @ResponseStatus(HttpStatus.CREATED)
    Mixes.MixResponse mix(@Valid @RequestBody Mixes.MixRequest ask) {
        return mixes.mix(ask);
    }

    /** It was not mixed after all. */
    @DeleteMapping("/mixes/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void undoMix(@PathVariable UUID id) {
        mixes.undo(id);
    }

    /** The tins as a table. @param as {@code csv} */
    @GetMapping(value = "/file", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> shelfFile(@RequestParam(defaultValue = "csv") String as) {
        Fields.onlyAs(as, "csv");
        return Csv.file("ember-cup-tins.csv", table.written());
    }

    /**
     * Tins out of a table.
     *
     * @param keep whether those that can be read go onto the shelf; only looked at when it is false
     */
    @PostMapping(value = "/file", consumes = Csv.TYPE)
    TinsTable.TinsResponse readTins(@RequestBody byte[] body, @RequestParam(defaultValue = "false") boolean keep) {
        return keep ? table.kept(body) : table.read(body);
    }
}
