package embercup.server.plans;

import embercup.server.kitchen.Kitchens;
import embercup.server.plans.Plans.Day;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping(path = "/api/plans", produces = MediaType.APPLICATION_JSON_VALUE)
class PlansController {

    private final Plans plans;
    private final Kitchens kitchens;
    private final Day day;

    PlansController(Plans plans, Kitchens kitchens, Day day) {
        this.plans = plans;
        this.kitchens = kitchens;
        this.day = day;
    }

    /** Plans without saving anything. */
    @PostMapping
    PlanResponse plan(@Valid @RequestBody OrderRequest ask) {
        return plans.make(ask, day).sheet();
    }

    /** Several plans for one cook: moved so that no two hands-on steps meet. Keeps nothing. */
    @PostMapping("/day")
    OneCookResponse day(@Valid @RequestBody OneCookRequest ask) {
        return plans.interleave(ask, day);
    }

    /** What each kept recipe has to say to a drinker, the gravest only; recipes without a word are left out. */
    @GetMapping("/marks")
    List<MarkLine> marks(@RequestParam(required = false) @Nullable UUID drinkerId) {
        return plans.marks(drinkerId, day);
    }

    /** The questions on which schools differ, with their choices, their defaults and why. */
    @GetMapping("/schools")
    List<SchoolResponse> schools() {
        return SchoolResponse.all(kitchens.schools());
    }
}
