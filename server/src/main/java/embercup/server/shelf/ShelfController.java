package embercup.server.shelf;

import embercup.server.shelf.Tin.TinRequest;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/shelf")
class ShelfController {

    private final Shelf shelf;

    ShelfController(Shelf shelf) {
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
}
