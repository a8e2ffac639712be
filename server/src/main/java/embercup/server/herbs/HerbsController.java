package embercup.server.herbs;

import embercup.core.materia.Materia;
import embercup.core.materia.Source;
import embercup.server.platform.Fields;
import embercup.server.platform.Refusal;
import java.util.Collection;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class HerbsController {

    private final Materia materia;

    HerbsController(Materia materia) {
        this.materia = materia;
    }

    /** All herbs, or those a text finds by any of their names, typing errors forgiven, the best first. */
    @GetMapping("/herbs")
    List<HerbSheet.HerbLine> herbs(@RequestParam(defaultValue = "") String q) {
        return materia.search(Fields.textOrEmpty(q, "q", 80)).stream()
                .map(HerbSheet::line)
                .toList();
    }

    @GetMapping("/herbs/{slug}")
    HerbSheet herb(@PathVariable String slug) {
        return materia.find(slug).map(HerbSheet::of).orElseThrow(() -> Refusal.notFound("herb", slug));
    }

    /** Where every value comes from, by key. */
    @GetMapping("/sources")
    Collection<Source> sources() {
        return materia.sources().values();
    }
}
