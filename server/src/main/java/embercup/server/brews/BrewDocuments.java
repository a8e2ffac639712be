package embercup.server.brews;

import embercup.core.plan.BrewPlan;
import embercup.core.workings.Workings;
import embercup.server.kept.KeptJson;
import embercup.server.kept.KeptKind;
import embercup.server.kept.UnknownFormException;
import embercup.server.plans.OrderRequest;
import embercup.server.plans.PlanResponse;
import embercup.server.platform.DocumentCache;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;

/** What is kept of a brew, written and read again whatever form it was kept in: its order, its plan, what was told, what happened. */
@Component
class BrewDocuments {

    private static final Logger LOG = LoggerFactory.getLogger(BrewDocuments.class);

    /** Pots that somebody looks at, of a household and its days. */
    static final int LOOKED_AT = 24;

    private final KeptKind<Kept> kind;
    private final KeptKind<Figures> figures;
    private final KeptKind<OrderRequest> orders;
    private final KeptKind<PlanResponse> sheets;
    private final KeptKind<EventRequest> events;
    private final DocumentCache<BrewPlan> plans;
    private final DocumentCache<PlanResponse> told;

    /** A plan stands in its document under its name. */
    record Kept(BrewPlan plan) {}

    /** The workings of a plan's figures, by what they are of. */
    record Figures(Map<String, Workings> figures) {}

    BrewDocuments(KeptJson json) {
        this.kind = json.ofCore("plan", Kept.class, PlanForms.UPCASTERS);
        this.figures = json.ofCore("figures", Figures.class, PlanForms.OF_FIGURES);
        this.orders = json.ofWire("order", OrderRequest.class, List.of());
        this.sheets = json.ofWire("sheet", PlanResponse.class, SheetForms.UPCASTERS);
        this.events = json.ofWire("event", EventRequest.class, List.of());
        this.told = new DocumentCache<>(LOOKED_AT, sheets::read);
        this.plans = new DocumentCache<>(LOOKED_AT, d -> kind.read(d).plan());
    }

    String write(BrewPlan plan) {
        return kind.write(new Kept(plan));
    }

    /**
     * The plan of a document.
     *
     * @throws UnknownFormException when a later version wrote it
     * @throws JacksonException when it is damaged
     */
    BrewPlan plan(String document) {
        return plans.of(document);
    }

    /** Empty, and said in the log, when it cannot be read: it was damaged, or a later version of the program wrote it. */
    Optional<BrewPlan> read(@Nullable String document, Object brew) {
        if (document == null) {
            return Optional.empty();
        }
        try {
            return Optional.ofNullable(plans.of(document));
        } catch (JacksonException | IllegalArgumentException e) {
            LOG.warn("The plan that is kept with brew {} cannot be read: {}", brew, e.getMessage());
            return Optional.empty();
        }
    }

    String write(OrderRequest order) {
        return orders.write(order);
    }

    OrderRequest order(String document) {
        return orders.read(document);
    }

    String write(PlanResponse sheet) {
        return sheets.write(sheet);
    }

    /** What was told at the start. */
    PlanResponse told(String document) {
        return told.of(document);
    }

    String write(EventRequest event) {
        return events.write(event);
    }

    EventRequest event(String document) {
        return events.read(document);
    }

    String writeFigures(Map<String, Workings> figures) {
        return this.figures.write(new Figures(figures));
    }

    Map<String, Workings> readFigures(String document) {
        return figures.read(document).figures();
    }
}
