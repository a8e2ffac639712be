package embercup.server.brews;

import embercup.core.care.History;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Taking;
import embercup.core.workings.Limit;
import embercup.server.people.People;
import embercup.server.people.Person;
import embercup.server.plans.Plans;
import embercup.server.plans.Plans.CupJudged;
import java.time.Clock;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What care says of a cup out of a jar to whoever drinks it, whomever the pot was made for. */
@Component
class CupCare {

    private final BrewRows rows;
    private final Plans plans;
    private final People people;
    private final DrinkersDays days;
    private final Clock clock;

    CupCare(BrewRows rows, Plans plans, People people, DrinkersDays days, Clock clock) {
        this.rows = rows;
        this.plans = plans;
        this.people = people;
        this.days = days;
        this.clock = clock;
    }

    /**
     * @param ml as it is drunk
     * @throws embercup.server.platform.RefusedException 404 when there is no such person
     */
    CupJudged of(BrewEntity e, BrewPlan plan, UUID drinkerId, double ml) {
        Person person = people.get(drinkerId);
        // What was made for her is in her days already.
        History history = rows.madeFor(e, drinkerId) ? History.NONE : days.history(drinkerId, clock.instant());
        return plans.judge(plan, person, ml / plan.request().cupMl(), history);
    }

    /** As much as she usually gets of a cup of the pot, mL: a child its share. */
    double usualMl(BrewPlan plan, @Nullable UUID drinkerId) {
        double cup = plan.request().cupMl();
        return drinkerId == null
                ? cup
                : Math.max(
                        Limit.CUP_ML.low(),
                        Math.floor(cup
                                * Taking.usualServing(
                                        people.drinker(people.get(drinkerId)),
                                        plan.request().childShare())));
    }
}
