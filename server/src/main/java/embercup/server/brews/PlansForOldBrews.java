package embercup.server.brews;

import embercup.core.plan.BrewPlan;
import embercup.server.plans.Plans;
import embercup.server.platform.HouseholdRestored;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Gives every brew of an earlier version, which kept only its request, the plan that this request makes today; once, at the
 * first start. A request that cannot be planned any more leaves its brew unreadable, and is said in the log.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class PlansForOldBrews implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(PlansForOldBrews.class);

    private final JdbcTemplate database;
    private final Plans plans;
    private final BrewDocuments kept;

    PlansForOldBrews(JdbcTemplate database, Plans plans, BrewDocuments kept) {
        this.database = database;
        this.plans = plans;
        this.kept = kept;
    }

    @Override
    public void run(ApplicationArguments args) {
        giveAll();
    }

    private void giveAll() {
        List<UUID> without = database.queryForList("select id from brew where kept is null", UUID.class);
        without.forEach(this::give);
    }

    /** An archive of an earlier version has brews of an earlier version. */
    @EventListener(HouseholdRestored.class)
    void onRestored() {
        giveAll();
    }

    private void give(UUID brew) {
        try {
            String request = database.queryForObject("select request from brew where id = ?", String.class, brew);
            BrewPlan plan = plans.again(kept.order(request));
            database.update("update brew set kept = ? where id = ? and kept is null", kept.write(plan), brew);
        } catch (RuntimeException e) {
            LOG.warn("Brew {} keeps no plan, and its request makes none any more: {}", brew, e.getMessage());
        }
    }
}
