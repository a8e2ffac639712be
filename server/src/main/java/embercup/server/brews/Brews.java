package embercup.server.brews;

import embercup.core.care.Care;
import embercup.core.live.BrewEvent;
import embercup.core.live.LiveBrew;
import embercup.core.live.SimulatedKitchen;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlannedAddition;
import embercup.core.words.Words;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted.Need;
import embercup.core.workings.Workings;
import embercup.server.learned.Learned;
import embercup.server.notebook.Entry;
import embercup.server.notebook.Notebook;
import embercup.server.plans.PlanAsk;
import embercup.server.plans.PlanSheet;
import embercup.server.plans.Plans;
import embercup.server.platform.Fields;
import embercup.server.platform.Ids;
import embercup.server.platform.RefusedException;
import embercup.server.shelf.Shelf;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
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
    private final FiguresRepository figures;
    private final KeptPlans kept;
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
            FiguresRepository figures,
            KeptPlans kept,
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
        this.figures = figures;
        this.kept = kept;
        this.json = json;
        this.clock = clock;
        this.publisher = publisher;
    }

    /** Told to whoever streams, once the change is committed. */
    public record Changed(UUID brewId) {}

    /**
     * @throws RefusedException 409 when a caution stops it; nothing is saved then
     * @throws embercup.core.workings.InvalidInputException when it cannot be brewed
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
        e.burnerId = made.burnerId();
        e.vesselId = ask.kitchen() == null ? null : ask.kitchen().vesselId();
        e.cups = made.sheet().cups();
        e.phase = Fields.code(LiveBrew.Phase.PLANNED);
        e.createdAt = now;
        e.startedAt = made.sheet().startAt();
        e.request = json.writeValueAsString(made.ask());
        e.plan = json.writeValueAsString(made.sheet());
        e.kept = kept.write(made.plan());
        e.loads = json.writeValueAsString(loads(made.verdict()));
        e.herbs = json.writeValueAsString(made.plan().additions().stream()
                .map(PlannedAddition::herb)
                .distinct()
                .toList());
        brews.saveAndFlush(e);
        FiguresEntity why = new FiguresEntity();
        why.brewId = e.id;
        why.document = kept.writeFigures(made.figures());
        figures.save(why);
        if (start) {
            insert(e.id, new EventRequest.StartedRequest(Ids.next(clock.millis()), null), now);
        }
        return settle(e, made.plan());
    }

    /** A herb of which a tin stands on the shelf is known; any other that is to be looked at must be confirmed. */
    private void refuseUnsure(BrewAsk ask, PlanSheet sheet) {
        List<String> confirmed = ask.confirmed() == null ? List.of() : ask.confirmed();
        List<String> asked = sheet.identityChecks().stream()
                .filter(h -> !confirmed.contains(h))
                .toList();
        List<String> unsure = asked.isEmpty() ? asked : shelf.without(asked);
        if (!unsure.isEmpty()) {
            throw RefusedException.of(
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
            throw RefusedException.of(
                    HttpStatus.CONFLICT,
                    "stopped",
                    "This must not be brewed as planned",
                    stop.text() + " Choose another herb, a smaller dose or another drinker. Nothing was started.");
        }
    }

    private BrewEntity entity(UUID id) {
        return brews.findById(id).orElseThrow(() -> RefusedException.notFound("brew", id));
    }

    private BrewEntity forWriting(UUID id) {
        return brews.forWriting(id).orElseThrow(() -> RefusedException.notFound("brew", id));
    }

    @Transactional(readOnly = true)
    public BrewSheet get(UUID id) {
        BrewEntity e = entity(id);
        return sheet(e, fold(e));
    }

    /** Records one event; the same id a second time changes nothing. Empty for a brew that could only be given up. */
    @Transactional
    public Optional<BrewSheet> record(UUID brewId, EventRequest doc) {
        BrewEntity e = forWriting(brewId);
        UUID eventId = Fields.need(doc.id(), "id", Need.CLIENT_ID);
        Optional<BrewPlan> readable = kept.read(e.kept, brewId);
        if (doc instanceof EventRequest.AbandonedRequest && readable.isEmpty()) {
            giveUp(e, doc, eventId);
            return Optional.empty();
        }
        BrewPlan plan = readable.orElseThrow(Brews::damaged);
        if (!events.existsById(eventId)) {
            Instant at = BrewClock.now(e, EventReading.at(doc, clock.instant()));
            BrewEvent event = EventReading.read(doc, at, plan);
            refuseImpossible(e, event);
            insert(brewId, doc, at);
        }
        return Optional.of(settle(e, plan));
    }

    /** Nothing can be folded of a brew whose plan cannot be read; it leaves the fire all the same. */
    private void giveUp(BrewEntity e, EventRequest doc, UUID eventId) {
        Instant at = EventReading.at(doc, clock.instant());
        if (!events.existsById(eventId)) {
            insert(e.id, doc, at);
        }
        e.phase = Fields.code(LiveBrew.Phase.ABANDONED);
        e.endedAt = at;
        brews.saveAndFlush(e);
        publisher.publishEvent(new Changed(e.id));
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
            throw RefusedException.of(
                    HttpStatus.CONFLICT,
                    "not-running",
                    "This brew is not on the fire",
                    "It is " + e.phase + "; start it first, or open the running one.");
        }
        boolean cup = phase == LiveBrew.Phase.RUNNING || phase == LiveBrew.Phase.FINISHED;
        if (event instanceof BrewEvent.Poured && !cup) {
            throw RefusedException.of(
                    HttpStatus.CONFLICT, "nothing-to-pour", "There is nothing to pour", "The brew is " + e.phase + ".");
        }
        if (event instanceof BrewEvent.Undone undone) {
            boolean known = events.findById(undone.event())
                    .filter(o -> o.brewId.equals(e.id))
                    .isPresent();
            if (!known) {
                throw RefusedException.notFound("event", undone.event());
            }
        }
    }

    private void insert(UUID brewId, EventRequest doc, Instant at) {
        EventEntity row = new EventEntity();
        row.id = Objects.requireNonNull(doc.id());
        row.brewId = brewId;
        row.at = at;
        row.kind = doc.kind();
        row.data = json.writeValueAsString(doc);
        events.saveAndFlush(row);
    }

    /** Brings the searchable columns and the notebook up to what the events say. */
    private BrewSheet settle(BrewEntity e, BrewPlan plan) {
        Folded folded = fold(e, plan);
        LiveBrew live = folded.live();
        String before = e.phase;
        e.phase = Fields.code(live.phase());
        live.startedAt().ifPresent(at -> e.startedAt = at);
        boolean ended = live.phase() == LiveBrew.Phase.FINISHED || live.phase() == LiveBrew.Phase.ABANDONED;
        e.endedAt = ended ? live.readyAt().orElse(null) : null;
        brews.save(e);
        if (ended) {
            notebook.write(entry(e, folded));
            if (!before.equals(e.phase) && e.clockReal == null) {
                observe(e, folded);
            }
        } else if (!before.equals(e.phase)) {
            notebook.strike(e.id);
            learned.forgetBrew(e.id);
        }
        publisher.publishEvent(new Changed(e.id));
        return sheet(e, folded);
    }

    private void observe(BrewEntity e, Folded folded) {
        if (e.burnerId != null && e.vesselId != null) {
            learned.observe(e.id, new Learned.StoveKey(e.burnerId, e.vesselId), folded.plan(), folded.live());
        }
    }

    private static Entry entry(BrewEntity e, Folded folded) {
        BrewPlan plan = folded.plan();
        LiveBrew live = folded.live();
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
                plan.strength(),
                live.predicted().strength(),
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
                look.meanwhile(),
                e.drinkerId);
    }

    /**
     * Gives a brew a simulated kitchen, or another speed of its clock.
     *
     * @param speed 1–120
     * @throws RefusedException 409 when the brew is not on the fire
     */
    @Transactional
    public BrewSheet simulate(UUID id, double speed) {
        BrewEntity e = forWriting(id);
        Fields.within(speed, "speed", Limit.CLOCK_SPEED);
        if (Fields.oneOf(LiveBrew.Phase.class, e.phase, "phase") != LiveBrew.Phase.RUNNING) {
            throw RefusedException.of(
                    HttpStatus.CONFLICT, "not-running", "This brew is not on the fire", "It is " + e.phase + ".");
        }
        BrewClock.set(e, speed, clock.instant());
        return settle(e, plan(e));
    }

    /** What the simulated kitchen of a brew reads now. */
    @Transactional(readOnly = true)
    public SimulatedKitchen.Readings readings(UUID id) {
        BrewEntity e = entity(id);
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

    /** Why the numbers of a brew's plan are what they are. */
    @Transactional(readOnly = true)
    public Map<String, Workings> workings(UUID id) {
        BrewEntity e = entity(id);
        return figures.findById(e.id).map(f -> kept.readFigures(f.document)).orElseGet(() -> plan(e).explained());
    }

    private static Map<String, Double> loads(Care.Verdict verdict) {
        Map<String, Double> named = new TreeMap<>();
        verdict.loads().forEach(l -> named.put(Fields.code(l.constituent()), l.planMg()));
        return named;
    }

    /** @throws RefusedException 409 when the plan that is kept cannot be read */
    private BrewPlan plan(BrewEntity e) {
        return kept.read(e.kept, e.id).orElseThrow(Brews::damaged);
    }

    private static RefusedException damaged() {
        return RefusedException.of(
                HttpStatus.CONFLICT,
                "unreadable",
                "This brew cannot be read",
                "What is kept of its plan is damaged, or another version wrote it. It can be given up; its line in the"
                        + " notebook stays.");
    }

    /** A brew's state with the events that still count, planned and read once. */
    private record Folded(BrewPlan plan, LiveBrew live, List<BrewEvent> standing, long events) {}

    private Folded fold(BrewEntity e) {
        return fold(e, plan(e));
    }

    private Folded fold(BrewEntity e, BrewPlan plan) {
        List<BrewEvent> all = happened(e.id, plan);
        return new Folded(plan, LiveBrew.fold(plan, all), BrewEvent.standing(all), all.size());
    }

    private List<BrewEvent> happened(UUID brewId, BrewPlan plan) {
        List<BrewEvent> all = new ArrayList<>();
        for (EventEntity row : events.findAllByBrewIdOrderByPosition(brewId)) {
            all.add(EventReading.read(json.readValue(row.data, EventRequest.class), row.at, plan));
        }
        return all;
    }

    private BrewSheet.BrewLine line(BrewEntity e) {
        return kept.read(e.kept, e.id).map(plan -> line(e, fold(e, plan))).orElseGet(() -> unreadable(e));
    }

    private BrewSheet.BrewLine line(BrewEntity e, Folded folded) {
        LiveBrew live = folded.live();
        Instant start = live.startedAt().orElse(e.startedAt);
        Instant ready = live.readyAt().orElseGet(() -> folded.plan().readyFrom(start));
        return new BrewSheet.BrewLine(
                e.id,
                e.name,
                e.drinkerName,
                e.cups,
                e.phase,
                start,
                BrewClock.real(e, ready),
                live.now()
                        .map(n -> Words.english().label(folded.plan(), n.step()))
                        .orElse(null),
                live.now().map(n -> BrewClock.real(e, n.dueAt())).orElse(null),
                false);
    }

    /** A list shows it all the same: it may be on the fire, and it can be given up. */
    private static BrewSheet.BrewLine unreadable(BrewEntity e) {
        return new BrewSheet.BrewLine(
                e.id, e.name, e.drinkerName, e.cups, e.phase, e.startedAt, e.endedAt, null, null, true);
    }

    private BrewSheet sheet(BrewEntity e, Folded folded) {
        return BrewWriting.write(
                e,
                folded.live(),
                folded.plan().request().kitchen().burner(),
                json.readValue(e.request, PlanAsk.class),
                json.readValue(e.plan, PlanSheet.class),
                BrewClock.now(e, clock.instant()),
                folded.events(),
                photos.existsById(e.id),
                folded.standing());
    }
}
