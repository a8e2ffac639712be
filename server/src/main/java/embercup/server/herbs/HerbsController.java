package embercup.server.herbs;

import embercup.core.materia.Source;
import embercup.core.workings.Length;
import embercup.server.platform.Fields;
import embercup.server.platform.RefusedException;
import jakarta.validation.Valid;
import java.util.Collection;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class HerbsController {

    private final HouseMateria houseMateria;

    HerbsController(HouseMateria houseMateria) {
        this.houseMateria = houseMateria;
    }

    /** All herbs, or those a text finds by any of their names, typing errors forgiven, the best first. */
    @GetMapping("/herbs")
    List<HerbResponse.HerbLine> herbs(@RequestParam(defaultValue = "") String q) {
        return houseMateria.search(Fields.textOrEmpty(q, "q", Length.SLUG)).stream()
                .map(HerbResponse::line)
                .toList();
    }

    @GetMapping("/herbs/{slug}")
    HerbResponse herb(@PathVariable String slug) {
        return houseMateria
                .materia()
                .find(slug)
                .map(h -> HerbResponse.of(houseMateria.materia(), h))
                .orElseThrow(() -> RefusedException.notFound("herb", slug));
    }

    /** Where every value comes from, by key. */
    @GetMapping("/sources")
    Collection<Source> sources() {
        return houseMateria.materia().sources().values();
    }

    /** What the cook says of a herb herself; 204 when she says nothing. */
    @GetMapping("/herbs/{slug}/own")
    ResponseEntity<OwnHerbDocument> ownHerb(@PathVariable String slug) {
        return houseMateria
                .own(slug)
                .map(ResponseEntity::ok)
                .orElse(ResponseEntity.noContent().build());
    }

    /** Keeps the cook's own weights of a herb, or a herb of her own. */
    @PutMapping("/herbs/{slug}/own")
    HerbResponse keepOwnHerb(@PathVariable String slug, @Valid @RequestBody OwnHerbDocument doc) {
        return HerbResponse.of(houseMateria.materia(), houseMateria.keep(slug, doc));
    }

    /** Forgets what the cook says of a herb; one that is still named somewhere is only put away, with {@code retire}. */
    @DeleteMapping("/herbs/{slug}/own")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forgetOwnHerb(@PathVariable String slug, @RequestParam(defaultValue = "false") boolean retire) {
        houseMateria.forget(slug, retire);
    }
}
