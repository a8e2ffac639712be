package embercup.server.brews;

import embercup.core.live.BrewEvent;
import embercup.core.live.LiveBrew;
import embercup.core.live.SimulatedKitchen;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlannedAddition;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted.Need;
import embercup.core.workings.Workings;
import embercup.server.learned.Learned;
import embercup.server.notebook.Entry;
import embercup.server.notebook.Notebook;
import embercup.server.notebook.Tasting;
import embercup.server.plans.PlanResponse;
import embercup.server.plans.Plans;
import embercup.server.platform.Fields;
import embercup.server.platform.Ids;
import embercup.server.platform.RefusedException;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Brews, planned and running. State is always folded from the events in the database: nothing is kept in memory that a
 * second server would miss.
 */
@Service
public class Brews {

    /** Brews that are read at once: each is as long as its plan. */
    private static final int AT_ONCE = 50;

    private final EntityManager entities;
    private final BrewRepository brews;
    private final BrewRows rows;
    private final EventRules rules;
    private final Plans plans;
    private final DrinkersDays days;
    private final Notebook notebook;
    private final Learned learned;
    private final Clock clock;
    private final ApplicationEventPublisher publisher;

    Brews(
            EntityManager entities,
            BrewRepository brews,
            BrewRows rows,
            EventRules rules,
            Plans plans,
            DrinkersDays days,
            Notebook notebook,
            Learned learned,
            Clock clock,
            ApplicationEventPublisher publisher) {
        this.entities = entities;
        this.brews = brews;
        this.rows = rows;
        this.rules = rules;
        this.plans = plans;
        this.days = days;
        this.notebook = notebook;
        this.learned = learned;
        this.clock = clock;
        this.publisher = publisher;
    }

    /** How many brews have a document that cannot be read. */
    @Transactional(readOnly = true)
    public int unreadable() {
        int unreadable = 0;
        Pageable next = PageRequest.of(0, AT_ONCE);
        while (next.isPaged()) {
            Slice<BrewEntity> some = brews.findAllByOrderByIdAsc(next);
            unreadable += (int) some.stream().filter(e -> !rows.whole(e)).count();
            entities.clear();
            next = some.hasNext() ? some.nextPageable() : Pageable.unpaged();
        }
        return unreadable;
    }

    /** Told to whoever streams, once the change is committed. */
    public record Changed(UUID brewId) {}

    /**
     * @throws RefusedException 409 when a caution stops it; nothing is saved then
     * @throws embercup.core.workings.InvalidInputException when it cannot be brewed
     */
    @Transactional
    public BrewResponse add(BrewRequest ask) {
        String digest = ask.id() == null ? null : rows.digest(ask);
        if (ask.id() != null) {
            // Two at once with one id come one after the other, so that the second finds what the first has made.
            brews.alone(ask.id().toString());
            Optional<BrewEntity> there = brews.findById(ask.id());
            if (there.isPresent()) {
                if (there.get().askedDigest != null && !there.get().askedDigest.equals(digest)) {
                    throw RefusedException.of(HttpStatus.CONFLICT, "id-taken", Map.of());
                }
                return get(ask.id());
            }
        }
        Plans.Made made = plans.make(ask.order(), days);
        Instant now = clock.instant();
        boolean start = Boolean.TRUE.equals(ask.start());
        EventRules.refuseStopped(start, made.sheet());
        refuseUnsure(ask, made.sheet());
        BrewEntity e = new BrewEntity();
        e.id = ask.id() == null ? Ids.next(clock.millis()) : ask.id();
        e.askedDigest = digest;
        e.recipeId = ask.order().pot().recipeId();
        e.ancestorId = ask.ancestorId();
        e.name = made.sheet().order().name();
        e.drinkerId = ask.order().drinks().drinkerId();
        e.drinkerName = made.sheet().order().drinkerName();
        e.burnerId = made.burnerId();
        e.vesselId =
                ask.order().kitchen() == null ? null : ask.order().kitchen().vesselId();
        e.cups = made.sheet().order().cups();
        e.phase = Fields.code(LiveBrew.Phase.PLANNED);
        e.createdAt = now;
        e.startedAt = made.sheet().times().startAt();
        rows.add(e, made);
        if (start) {
            rows.insert(e.id, new EventRequest.StartedRequest(Ids.next(clock.millis()), null), now);
        }
        return settle(e, made.plan());
    }

    private static void refuseUnsure(BrewRequest ask, PlanResponse sheet) {
        List<String> confirmed = ask.confirmed() == null ? List.of() : ask.confirmed();
        List<String> unsure = sheet.judged().identityChecks().stream()
                .filter(h -> !confirmed.contains(h))
                .toList();
        if (!unsure.isEmpty()) {
            throw RefusedException.of(HttpStatus.CONFLICT, "identity", Map.of("herbs", String.join(", ", unsure)));
        }
    }

    @Transactional(readOnly = true)
    public BrewResponse get(UUID id) {
        BrewEntity e = rows.entity(id);
        return rows.sheet(e, rows.fold(e));
    }

    /**
     * A helper takes part in a brew and takes nothing away: a note that stands stays, and so does what is in a jar.
     *
     * @throws RefusedException 403 for what only the cook may do
     */
    @Transactional(readOnly = true)
    public void refuseHelper(UUID brewId, EventRequest doc) {
        boolean takesAway = doc instanceof EventRequest.EmptiedRequest
                || doc instanceof EventRequest.MarcGoneRequest
                || doc instanceof EventRequest.JarNotedRequest;
        boolean overwrites = doc instanceof EventRequest.NotedRequest && rows.noted(brewId)
                || doc instanceof EventRequest.UndoneRequest undone
                        && rows.isNote(Fields.need(undone.event(), "event", Need.EVENT));
        if (takesAway || overwrites) {
            throw RefusedException.of(HttpStatus.FORBIDDEN, "not-allowed", Map.of());
        }
    }

    /** What can still be poured of a brew, mL; 0 while nothing is off its herbs. Its row is held until the transaction is over. */
    @Transactional
    public double leftToPour(UUID brewId) {
        BrewEntity e = rows.forWriting(brewId);
        return e.leftMl == null || !Cups.offTheHerbs(e.phase, e.pours) ? 0 : e.leftMl;
    }

    /** Records one event; the same id a second time changes nothing. Empty for a brew that could only be given up. */
    @Transactional
    public Optional<BrewResponse> record(UUID brewId, EventRequest doc) {
        BrewEntity e = rows.forWriting(brewId);
        UUID eventId = Fields.need(doc.id(), "id", Need.CLIENT_ID);
        if (doc instanceof EventRequest.AbandonedRequest && rows.foldable(e).isEmpty()) {
            giveUp(e, doc, eventId);
            return Optional.empty();
        }
        BrewPlan plan = rows.plan(e);
        if (!rows.happened(eventId, e)) {
            Instant at = BrewClock.now(e, EventFromRequest.at(doc, clock.instant()));
            BrewEvent event = EventFromRequest.read(doc, at, plan);
            rules.refuse(e, plan, event);
            rows.insert(brewId, doc, at);
        }
        return Optional.of(settle(e, plan));
    }

    /** Nothing can be folded of a brew whose plan cannot be read; it leaves the fire all the same. */
    private void giveUp(BrewEntity e, EventRequest doc, UUID eventId) {
        Instant at = EventFromRequest.at(doc, clock.instant());
        if (!rows.happened(eventId, e)) {
            rows.insert(e.id, doc, at);
        }
        e.phase = Fields.code(LiveBrew.Phase.ABANDONED);
        e.endedAt = at;
        brews.saveAndFlush(e);
        publisher.publishEvent(new Changed(e.id));
    }

    /** Brings the searchable columns and the notebook up to what the events say. */
    private BrewResponse settle(BrewEntity e, BrewPlan plan) {
        BrewRows.Folded folded = rows.fold(e, plan);
        LiveBrew live = folded.live();
        String before = e.phase;
        e.phase = Fields.code(live.phase());
        live.startedAt().ifPresent(at -> e.startedAt = at);
        boolean ended = live.phase() == LiveBrew.Phase.FINISHED || live.phase() == LiveBrew.Phase.ABANDONED;
        rows.poured(e, folded);
        rows.kept(e, folded);
        e.endedAt = ended ? live.readyAt().orElse(null) : null;
        brews.save(e);
        if (ended && live.startedAt().isEmpty()) {
            // A plan that was never begun is nothing that happened.
            notebook.strike(e.id);
        } else if (ended) {
            notebook.write(entry(e, folded));
            if (!before.equals(e.phase) && e.clockReal == null) {
                observe(e, folded);
            }
        } else if (!before.equals(e.phase)) {
            notebook.strike(e.id);
            learned.forgetBrew(e.id);
        }
        if (!before.equals(e.phase)
                && live.phase() == LiveBrew.Phase.RUNNING
                && plan.request().spentHerbs()) {
            outOfTheFridge(e.ancestorId);
        }
        publisher.publishEvent(new Changed(e.id));
        return rows.sheet(e, folded);
    }

    /** Spent herbs that are brewed once more stand in the fridge no longer. */
    private void outOfTheFridge(@Nullable UUID first) {
        Optional.ofNullable(first)
                .flatMap(brews::findById)
                .filter(f -> f.marcAt != null)
                .ifPresent(f -> {
                    Instant now = clock.instant();
                    rows.insert(f.id, new EventRequest.MarcGoneRequest(Ids.next(clock.millis()), null), now);
                    settle(f, rows.plan(f));
                });
    }

    private void observe(BrewEntity e, BrewRows.Folded folded) {
        if (e.burnerId != null && e.vesselId != null) {
            learned.observe(e.id, new Learned.StoveKey(e.burnerId, e.vesselId), folded.plan(), folded.live());
        }
    }

    private static Entry entry(BrewEntity e, BrewRows.Folded folded) {
        BrewPlan plan = folded.plan();
        LiveBrew live = folded.live();
        double grams = plan.additions().stream()
                .filter(a -> !a.perCup())
                .mapToDouble(PlannedAddition::perCupG)
                .sum();
        return new Entry(
                new Entry.Brewed(
                        e.id,
                        e.recipeId,
                        e.name,
                        e.drinkerName,
                        e.drinkerId,
                        live.startedAt().orElse(e.createdAt),
                        Fields.code(live.phase())),
                new Entry.Cup(e.cups, plan.strength(), live.predicted().strength(), grams),
                live.note()
                        .map(BrewEvent.Noted::strength)
                        .filter(OptionalInt::isPresent)
                        .map(OptionalInt::getAsInt)
                        .orElse(null),
                live.note().map(BrewEvent.Noted::liking).filter(l -> l > 0).orElse(null),
                live.note().map(Tasting::of).orElse(Tasting.NOTHING));
    }

    /**
     * Gives a brew a simulated kitchen, or another speed of its clock.
     *
     * @param speed 1–120
     * @throws RefusedException 409 when the brew is not on the fire
     */
    @Transactional
    public BrewResponse simulate(UUID id, double speed) {
        BrewEntity e = rows.forWriting(id);
        Fields.within(speed, "speed", Limit.CLOCK_SPEED);
        if (Fields.oneOf(LiveBrew.Phase.class, e.phase, "phase") != LiveBrew.Phase.RUNNING) {
            throw RefusedException.of(HttpStatus.CONFLICT, "not-running", EventRules.phase(e));
        }
        BrewClock.set(e, speed, clock.instant());
        return settle(e, rows.plan(e));
    }

    /**
     * Deletes a brew that is over with all that is kept of it; what it taught of the stove is forgotten with it.
     *
     * @throws RefusedException 404 when there is none, 409 while it waits or burns
     */
    @Transactional
    public void remove(UUID id) {
        BrewEntity e = rows.forWriting(id);
        if (e.open()) {
            throw RefusedException.of(HttpStatus.CONFLICT, "not-over", EventRules.phase(e));
        }
        notebook.strike(id);
        brews.delete(e);
        publisher.publishEvent(new Changed(id));
    }

    /** Whether it is on the fire. @throws RefusedException 404 when there is none */
    @Transactional(readOnly = true)
    public boolean running(UUID id) {
        return brews.phase(id)
                .orElseThrow(() -> RefusedException.notFound("brew", id))
                .equals(Fields.code(LiveBrew.Phase.RUNNING));
    }

    /** How many events brews have, as {@link BrewResponse} says it; a brew without any, or that is gone, is not there. */
    @Transactional(readOnly = true)
    Map<UUID, Long> happened(Collection<UUID> ids) {
        return rows.happened(ids);
    }

    /** What the simulated kitchen of a brew reads now. */
    @Transactional(readOnly = true)
    public SimulatedKitchen.Readings readings(UUID id) {
        BrewEntity e = rows.entity(id);
        BrewRows.Folded folded = rows.fold(e);
        return SimulatedKitchen.of(id).at(folded.plan(), folded.live(), BrewClock.now(e, clock.instant()));
    }

    /** Planned and running brews, and pots of which a cup is being made out of the jar; the one that needs the cook first before the rest. */
    @Transactional(readOnly = true)
    public List<BrewResponse.BrewLine> open() {
        List<BrewEntity> open = Stream.concat(
                        brews.findAllByPhaseInOrderByCreatedAtAscIdAsc(List.of("planned", "running")).stream(),
                        brews.findAllByCupSinceNotNullOrderByCupSinceAscIdAsc().stream()
                                .filter(e -> !e.open()))
                .toList();
        return rows.lines(open).stream()
                .sorted(Comparator.comparing(BrewResponse.BrewLine::needsCookAt))
                .toList();
    }

    /** Brews that were begun between two moments and are done. */
    @Transactional(readOnly = true)
    public List<BrewResponse.BrewLine> done(Instant from, Instant to) {
        return rows.lines(brews.doneOf(from, to));
    }

    /** Ids of what is planned or on the fire, and of what was given up after a moment. */
    @Transactional(readOnly = true)
    public List<UUID> openOrGivenUpSince(Instant moment) {
        return brews.openOrGivenUpSince(moment);
    }

    /** Why the numbers of a brew's plan are what they are. */
    @Transactional(readOnly = true)
    public Map<String, Workings> workings(UUID id) {
        BrewEntity e = rows.entity(id);
        return rows.workings(e);
    }
}
