package embercup.server.brews;

import embercup.core.live.BrewEvent;
import embercup.core.live.LiveBrew;
import embercup.core.live.SimulatedKitchen;
import embercup.core.materia.Constituent;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlannedAddition;
import embercup.core.workings.InvalidInput;
import embercup.server.learned.Learned;
import embercup.server.notebook.Entry;
import embercup.server.notebook.Notebook;
import embercup.server.plans.PlanAsk;
import embercup.server.plans.PlanSheet;
import embercup.server.plans.Plans;
import embercup.server.platform.Fields;
import embercup.server.platform.Ids;
import embercup.server.platform.Refusal;
import embercup.server.shelf.Shelf;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * Brews, planned and running. State is always folded from the events in the database: nothing is kept in memory that a
 * second server would miss.
 */
@Service
public class Brews {

    private final BrewRepository brews;
    private final EventRepository events;
    private final Plans plans;
    private final DrinkersDays days;
    private final Notebook notebook;
    private final Learned learned;
    private final Shelf shelf;
    private final PhotoRepository photos;
    private final JsonMapper json;
    private final Clock clock;
    private final ApplicationEventPublisher publisher;

    Brews(
            BrewRepository brews,
            EventRepository events,
            Plans plans,
            DrinkersDays days,
            Notebook notebook,
            Learned learned,
            Shelf shelf,
            PhotoRepository photos,
            JsonMapper json,
            Clock clock,
            ApplicationEventPublisher publisher) {
        this.brews = brews;
        this.events = events;
        this.plans = plans;
        this.days = days;
        this.notebook = notebook;
        this.learned = learned;
        this.shelf = shelf;
        this.photos = photos;
        this.json = json;
        this.clock = clock;
        this.publisher = publisher;
    }

    /** Told to whoever streams, once the change is committed. */
    public record Changed(UUID brewId) {}

    /**
     * @throws Refusal 409 when a caution stops it; nothing is saved then
     * @throws embercup.core.workings.InvalidInput when it cannot be brewed
     */
    @Transactional
    public BrewSheet add(BrewAsk ask) {
        if (ask.id() != null && brews.existsById(ask.id())) {
            return get(ask.id());
        }
        Plans.Made made = plans.make(ask.plan(), days);
        Instant now = clock.instant();
        boolean start = Boolean.TRUE.equals(ask.start());
        refuseStopped(start, made.sheet());
        refuseUnsure(ask, made.sheet());
        BrewEntity e = new BrewEntity();
        e.id = ask.id() == null ? Ids.next(clock.millis()) : ask.id();
        e.recipeId = ask.recipeId();
        e.ancestorId = ask.ancestorId();
        e.name = made.sheet().name();
        e.drinkerId = ask.drinkerId();
        e.drinkerName = made.sheet().drinkerName();
        e.cups = made.sheet().cups();
        e.phase = Fields.code(LiveBrew.Phase.PLANNED);
        e.createdAt = now;
        e.startedAt = made.sheet().startAt();
        e.request = json.writeValueAsString(made.ask());
        e.plan = json.writeValueAsString(made.sheet());
        e.loads = json.writeValueAsString(loads(made.loadsMg()));
        e.herbs = json.writeValueAsString(made.plan().additions().stream()
                .map(PlannedAddition::herb)
                .distinct()
                .toList());
        brews.saveAndFlush(e);
        if (start) {
            insert(e.id, EventDoc.of(Ids.next(clock.millis()), "started", null, null), now);
        }
        return settle(e, again(e));
    }

    /** A herb of which a tin stands on the shelf is known; any other that is to be looked at must be confirmed. */
    private void refuseUnsure(BrewAsk ask, PlanSheet sheet) {
        List<String> confirmed = ask.confirmed() == null ? List.of() : ask.confirmed();
        List<String> asked = sheet.identityChecks().stream()
                .filter(h -> !confirmed.contains(h))
                .toList();
        List<String> unsure = asked.isEmpty() ? asked : shelf.without(asked);
        if (!unsure.isEmpty()) {
            throw Refusal.of(
                    HttpStatus.CONFLICT,
                    "identity",
                    "Make sure what the gathered herbs are",
                    "Not confirmed: " + String.join(", ", unsure)
                            + ". They have poisonous look-alikes; if in doubt, leave them out. Nothing was started.");
        }
    }

    private static void refuseStopped(boolean start, PlanSheet sheet) {
        if (start && sheet.stopped()) {
            PlanSheet.CautionLine stop = sheet.cautions().stream()
                    .filter(c -> c.severity().equals("stop"))
                    .findFirst()
                    .orElseThrow();
            throw Refusal.of(
                    HttpStatus.CONFLICT,
                    "stopped",
                    "This must not be brewed as planned",
                    stop.text() + " Choose another herb, a smaller dose or another drinker. Nothing was started.");
        }
    }

    @Transactional(readOnly = true)
    public BrewSheet get(UUID id) {
        BrewEntity e = brews.findById(id).orElseThrow(() -> Refusal.notFound("brew", id));
        return sheet(e, fold(e));
    }

    /** Records one event; the same id a second time changes nothing. */
    @Transactional
    public BrewSheet record(UUID brewId, EventDoc doc) {
        BrewEntity e = brews.forWriting(brewId).orElseThrow(() -> Refusal.notFound("brew", brewId));
        UUID eventId = Fields.need(doc.id(), "id", "a UUID made by the client");
        Plans.Again again = again(e);
        if (!events.existsById(eventId)) {
            Instant at = BrewClock.now(e, EventReading.at(doc, clock.instant()));
            BrewEvent event = EventReading.read(doc, at, again.plan());
            refuseImpossible(e, event);
            insert(brewId, doc, at);
        }
        return settle(e, again);
    }

    private void refuseImpossible(BrewEntity e, BrewEvent event) {
        LiveBrew.Phase phase = Fields.oneOf(LiveBrew.Phase.class, e.phase, "phase");
        if (event instanceof BrewEvent.Started) {
            refuseStopped(true, json.readValue(e.plan, PlanSheet.class));
        }
        boolean needsRunning = event instanceof BrewEvent.StepDone
                || event instanceof BrewEvent.Turned
                || event instanceof BrewEvent.Finished;
        if (needsRunning && phase != LiveBrew.Phase.RUNNING) {
            throw Refusal.of(
                    HttpStatus.CONFLICT,
                    "not-running",
                    "This brew is not on the fire",
                    "It is " + e.phase + "; start it first, or open the running one.");
        }
        boolean cup = phase == LiveBrew.Phase.RUNNING || phase == LiveBrew.Phase.FINISHED;
        if (event instanceof BrewEvent.Poured && !cup) {
            throw Refusal.of(
                    HttpStatus.CONFLICT, "nothing-to-pour", "There is nothing to pour", "The brew is " + e.phase + ".");
        }
        if (event instanceof BrewEvent.Undone undone) {
            boolean known = events.findById(undone.event())
                    .filter(o -> o.brewId.equals(e.id))
                    .isPresent();
            if (!known) {
                throw Refusal.notFound("event", undone.event());
            }
        }
    }

    private void insert(UUID brewId, EventDoc doc, Instant at) {
        EventEntity row = new EventEntity();
        row.id = Objects.requireNonNull(doc.id());
        row.brewId = brewId;
        row.at = at;
        row.kind = Objects.requireNonNull(doc.kind());
        row.data = json.writeValueAsString(doc);
        events.saveAndFlush(row);
    }

    /** Brings the searchable columns and the notebook up to what the events say. */
    private BrewSheet settle(BrewEntity e, Plans.Again again) {
        Folded folded = fold(e, again);
        LiveBrew live = folded.live();
        String before = e.phase;
        e.phase = Fields.code(live.phase());
        live.startedAt().ifPresent(at -> e.startedAt = at);
        boolean ended = live.phase() == LiveBrew.Phase.FINISHED || live.phase() == LiveBrew.Phase.ABANDONED;
        e.endedAt = ended ? live.readyAt().orElse(null) : null;
        brews.save(e);
        if (ended) {
            notebook.write(entry(e, live));
            if (!before.equals(e.phase) && e.clockReal == null) {
                learned.observe(e.id, folded.plan(), live);
            }
        } else if (!before.equals(e.phase)) {
            notebook.strike(e.id);
            learned.forgetBrew(e.id);
        }
        publisher.publishEvent(new Changed(e.id));
        return sheet(e, folded);
    }

    private static Entry entry(BrewEntity e, LiveBrew live) {
        BrewPlan plan = live.predicted();
        double grams = plan.additions().stream()
                .filter(a -> !a.perCup())
                .mapToDouble(PlannedAddition::perCupG)
                .sum();
        BrewEvent.Look look = live.note().map(BrewEvent.Noted::look).orElse(BrewEvent.Look.NOTHING);
        return new Entry(
                e.id,
                e.recipeId,
                e.name,
                e.drinkerName,
                live.startedAt().orElse(e.createdAt),
                e.cups,
                plan.strength() - live.strengthChange(),
                plan.strength(),
                grams,
                Fields.code(live.phase()),
                live.note().map(BrewEvent.Noted::strength).orElse(null),
                live.note().map(BrewEvent.Noted::liking).filter(l -> l > 0).orElse(null),
                live.note().map(BrewEvent.Noted::taste).orElse(""),
                live.note().map(BrewEvent.Noted::change).orElse(""),
                look.colour(),
                look.clarity(),
                look.smell(),
                look.effect(),
                look.meanwhile());
    }

    /**
     * Gives a brew a simulated kitchen, or another speed of its clock.
     *
     * @param speed 1–120
     * @throws Refusal 409 when the brew is not on the fire
     */
    @Transactional
    public BrewSheet simulate(UUID id, double speed) {
        BrewEntity e = brews.forWriting(id).orElseThrow(() -> Refusal.notFound("brew", id));
        InvalidInput.Check check = new InvalidInput.Check();
        check.range("speed", speed, 1, BrewClock.FASTEST, "times");
        check.throwIfAny();
        if (Fields.oneOf(LiveBrew.Phase.class, e.phase, "phase") != LiveBrew.Phase.RUNNING) {
            throw Refusal.of(
                    HttpStatus.CONFLICT, "not-running", "This brew is not on the fire", "It is " + e.phase + ".");
        }
        BrewClock.set(e, speed, clock.instant());
        return settle(e, again(e));
    }

    /** What the simulated kitchen of a brew reads now. */
    @Transactional(readOnly = true)
    public SimulatedKitchen.Readings readings(UUID id) {
        BrewEntity e = brews.findById(id).orElseThrow(() -> Refusal.notFound("brew", id));
        Folded folded = fold(e);
        return SimulatedKitchen.of(id).at(folded.plan(), folded.live(), BrewClock.now(e, clock.instant()));
    }

    /** Planned and running brews, the one that needs the cook first before the rest. */
    @Transactional(readOnly = true)
    public List<BrewSheet.BrewLine> open() {
        return brews.findAllByPhaseInOrderByCreatedAt(List.of("planned", "running")).stream()
                .map(this::line)
                .sorted(Comparator.comparing(BrewSheet.BrewLine::needsCookAt))
                .toList();
    }

    /** Brews that were started between two moments and not given up. */
    @Transactional(readOnly = true)
    public List<BrewSheet.BrewLine> between(Instant from, Instant to) {
        return brews.startedBetween(from, to).stream().map(this::line).toList();
    }

    private static Map<String, Double> loads(Map<Constituent, Double> mg) {
        Map<String, Double> named = new java.util.TreeMap<>();
        mg.forEach((c, v) -> named.put(Fields.code(c), v));
        return named;
    }

    private Plans.Again again(BrewEntity e) {
        return plans.again(json.readValue(e.request, PlanAsk.class));
    }

    /** A brew's state with the events that still count, planned and read once. */
    private record Folded(BrewPlan plan, LiveBrew live, List<BrewEvent> standing) {}

    private Folded fold(BrewEntity e) {
        return fold(e, again(e));
    }

    private Folded fold(BrewEntity e, Plans.Again again) {
        List<BrewEvent> all = happened(e.id, again.plan());
        LiveBrew live = LiveBrew.fold(again.planner(), again.plan(), all);
        return new Folded(again.plan(), live, BrewEvent.standing(all));
    }

    private List<BrewEvent> happened(UUID brewId, BrewPlan plan) {
        List<BrewEvent> all = new ArrayList<>();
        for (EventEntity row : events.findAllByBrewIdOrderByPosition(brewId)) {
            all.add(EventReading.read(json.readValue(row.data, EventDoc.class), row.at, plan));
        }
        return all;
    }

    private BrewSheet.BrewLine line(BrewEntity e) {
        LiveBrew live = fold(e).live();
        PlanSheet plan = json.readValue(e.plan, PlanSheet.class);
        Instant ready = live.readyAt().orElse(plan.readyAt());
        return new BrewSheet.BrewLine(
                e.id,
                e.name,
                e.drinkerName,
                e.cups,
                e.phase,
                live.startedAt().orElse(plan.startAt()),
                BrewClock.real(e, ready),
                live.now().map(n -> n.step().label()).orElse(null),
                live.now().map(n -> BrewClock.real(e, n.dueAt())).orElse(null));
    }

    private BrewSheet sheet(BrewEntity e, Folded folded) {
        return BrewWriting.write(
                e,
                folded.live(),
                json.readValue(e.request, PlanAsk.class),
                json.readValue(e.plan, PlanSheet.class),
                BrewClock.now(e, clock.instant()),
                photos.existsById(e.id),
                folded.standing());
    }
}
