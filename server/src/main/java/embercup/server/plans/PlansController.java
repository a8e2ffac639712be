package embercup.server.plans;

import embercup.server.plans.Plans.Day;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/plans")
class PlansController {

    private final Plans plans;
    private final Day day;

    PlansController(Plans plans, Day day) {
        this.plans = plans;
        this.day = day;
    }

    /** Plans without saving anything. */
    @PostMapping
    PlanSheet plan(@RequestBody PlanAsk ask) {
        return plans.make(ask, day).sheet();
    }
}
