package embercup.server.brews;

import embercup.core.care.Care;
import embercup.core.keeping.Jar;
import embercup.core.keeping.Shaking;
import embercup.core.keeping.SpentHerbs;
import embercup.core.live.BrewEvent;
import embercup.core.live.LiveBrew;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Step;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Workings;
import embercup.server.kept.UnknownFormException;
import embercup.server.kitchen.Kitchens;
import embercup.server.plans.PlanResponse;
import embercup.server.plans.Plans;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.RefusedException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.util.DigestUtils;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The rows of a brew, and what they say together: its plan with its events folded over it. */
@Component
class BrewRows {

    private static final Logger LOG = LoggerFactory.getLogger(BrewRows.class);

    private final BrewRepository brews;
    private final EventRepository events;
    private final PhotoRepository photos;
    private final FiguresRepository figures;
    private final BrewDocuments kept;
    private final JsonMapper json;
    private final Kitchens kitchens;
    private final Clock clock;

    BrewRows(
            BrewRepository brews,
            EventRepository events,
            PhotoRepository photos,
            FiguresRepository figures,
            BrewDocuments kept,
            JsonMapper json,
            Kitchens kitchens,
            Clock clock) {
        this.kitchens = kitchens;
        this.brews = brews;
        this.events = events;
        this.photos = photos;
        this.figures = figures;
        this.kept = kept;
        this.json = json;
        this.clock = clock;
    }

    private static final String NOTED = "noted";

    BrewEntity entity(UUID id) {
        return brews.findById(id).orElseThrow(() -> RefusedException.notFound("brew", id));
    }

    BrewEntity forWriting(UUID id) {
        return brews.forWriting(id).orElseThrow(() -> RefusedException.notFound("brew", id));
    }

    /** Appends one event. */
    void insert(UUID brewId, EventRequest doc, Instant at) {
        EventEntity row = new EventEntity();
        row.id = Objects.requireNonNull(doc.id());
        row.brewId = brewId;
        row.at = at;
        row.kind = doc.kind();
        row.data = kept.write(doc);
        events.saveAndFlush(row);
    }

    /** Whether somebody said how a brew was. */
    boolean noted(UUID brewId) {
        return events.existsByBrewIdAndKind(brewId, NOTED);
    }

    /** Whether an event is a note. */
    boolean isNote(UUID eventId) {
        return events.findById(eventId).filter(e -> e.kind.equals(NOTED)).isPresent();
    }

    /** Whether an event of that id is kept with this brew. @throws RefusedException 409 when another brew has it */
    boolean happened(UUID eventId, BrewEntity e) {
        Optional<EventEntity> kept = events.findById(eventId);
        if (kept.filter(o -> !o.brewId.equals(e.id)).isPresent()) {
            throw RefusedException.of(HttpStatus.CONFLICT, "id-taken", Map.of());
        }
        return kept.isPresent();
    }

    /** What is asked for, as a digest: the same question has the same. */
    String digest(BrewRequest ask) {
        return DigestUtils.md5DigestAsHex(json.writeValueAsBytes(ask));
    }

    /** Keeps a new brew with its plan and every figure's workings. */
    void add(BrewEntity e, Plans.Made made) {
        e.request = kept.write(made.ask());
        e.plan = kept.write(made.sheet());
        e.kept = kept.write(made.plan());
        e.loads = json.writeValueAsString(loads(made.verdict()));
        e.herbs = json.writeValueAsString(made.plan().additions().stream()
                .flatMap(a -> Stream.of(a.herb(), a.taken()))
                .distinct()
                .toList());
        e.days = made.plan().request().days();
        e.sharers = json.writeValueAsString(made.others().stream()
                .filter(o -> o.id() != null)
                .map(o -> new DrinkersDays.Sharer(Objects.requireNonNull(o.id()), loads(o.verdict())))
                .toList());
        brews.saveAndFlush(e);
        FiguresEntity why = new FiguresEntity();
        why.brewId = e.id;
        why.document = kept.writeFigures(made.figures());
        figures.save(why);
    }

    /** Whether somebody is among those the pot was made for. */
    boolean madeFor(BrewEntity e, UUID person) {
        return person.equals(e.drinkerId) || sharers(e).stream().anyMatch(s -> s.id().equals(person));
    }

    /** Whether the pot was made for her and nobody else: then every cup of it is hers, said or not. */
    private boolean alone(BrewEntity e, UUID person) {
        return person.equals(e.drinkerId) && sharers(e).isEmpty();
    }

    private List<DrinkersDays.Sharer> sharers(BrewEntity e) {
        return List.of(json.readValue(e.sharers, DrinkersDays.Sharer[].class));
    }

    /** Writes down what was poured of it and when. */
    void poured(BrewEntity e, Folded folded) {
        double dayMl = folded.plan().request().liquorADayMl();
        e.pours = json.writeValueAsString(folded.standing().stream()
                .filter(BrewEvent.Poured.class::isInstance)
                .map(BrewEvent.Poured.class::cast)
                .map(p -> new DrinkersDays.Pour(
                        p.at(),
                        p.ml() / dayMl,
                        p.drinker().filter(d -> !alone(e, d)).orElse(null)))
                .toList());
    }

    /** Writes down what is left of it, and until when that is good. */
    void kept(BrewEntity e, Folded folded) {
        LiveBrew live = folded.live();
        e.keptAt = live.keptAt().orElse(null);
        e.leftMl = live.leftMl();
        e.cupSince = live.cup().map(c -> c.begun().at()).orElse(null);
        e.marcAt = live.marc().stands() ? live.marc().keptAt().orElseThrow() : null;
        e.jarNote = live.happened().served().rest().note();
        if (e.keptAt == null) {
            e.keptMl = null;
            return;
        }
        e.keptMl = Objects.requireNonNullElse(e.keptMl, e.leftMl);
        Jar jar = Jars.of(live, told(e).cup().keeps());
        e.madeAt = jar.made();
        e.goodUntil = jar.span().map(Jar.Span::good).orElse(null);
        e.drinkBy = jar.span().map(Jar.Span::latest).orElse(null);
    }

    private static Map<String, Double> loads(Care.Verdict verdict) {
        Map<String, Double> named = new TreeMap<>();
        verdict.loads().forEach(l -> named.put(Fields.code(l.constituent()), l.planMg()));
        return named;
    }

    /** What was told at the start. */
    PlanResponse told(BrewEntity e) {
        return kept.told(e.plan);
    }

    /** Why the numbers of its plan are what they are. */
    Map<String, Workings> workings(BrewEntity e) {
        return figures.findById(e.id).map(f -> kept.readFigures(f.document)).orElseGet(() -> plan(e).explained());
    }

    /** The plan that is kept; empty when it cannot be read. */
    Optional<BrewPlan> readable(BrewEntity e) {
        return kept.read(e.kept, e.id);
    }

    /** Whether everything that is kept of a brew can be read: its order, its plan, what was told of it, what happened to it. */
    boolean whole(BrewEntity e) {
        try {
            kept.order(e.request);
            sharers(e);
            told(e);
            // One of an early version has no plan of its own yet.
            return e.kept == null || fold(e, plan(e)).events() >= 0;
        } catch (JacksonException | IllegalArgumentException | RefusedException | InvalidInputException not) {
            LOG.warn("What is kept of brew {} cannot be read", e.id, not);
            return false;
        }
    }

    /**
     * The plan that is kept.
     *
     * @throws RefusedException 409 when it cannot be read
     * @throws UnknownFormException when a later version wrote it
     */
    BrewPlan plan(BrewEntity e) {
        try {
            return Optional.ofNullable(e.kept).map(kept::plan).orElseThrow(BrewRows::damaged);
        } catch (UnknownFormException later) {
            throw later;
        } catch (JacksonException | IllegalArgumentException damaged) {
            throw damaged();
        }
    }

    private static RefusedException damaged() {
        return RefusedException.of(HttpStatus.CONFLICT, "unreadable", Map.of());
    }

    /** A brew's state with the events that still count, planned and read once. */
    record Folded(BrewPlan plan, LiveBrew live, List<BrewEvent> standing, long events) {}

    Folded fold(BrewEntity e) {
        return fold(e, plan(e));
    }

    Folded fold(BrewEntity e, BrewPlan plan) {
        return fold(plan, events.findAllByBrewIdOrderByPosition(e.id));
    }

    /** As {@link #fold}, for lists: empty when its plan or one of its events cannot be read. */
    Optional<Folded> foldable(BrewEntity e) {
        return readable(e).flatMap(plan -> foldable(e, plan, events.findAllByBrewIdOrderByPosition(e.id)));
    }

    private Optional<Folded> foldable(BrewEntity e, BrewPlan plan, List<EventEntity> happened) {
        try {
            return Optional.of(fold(plan, happened));
        } catch (RefusedException | UnknownFormException unread) {
            LOG.warn("What happened to brew {} cannot be read", e.id, unread);
            return Optional.empty();
        }
    }

    private Folded fold(BrewPlan plan, List<EventEntity> happened) {
        List<BrewEvent> all = new ArrayList<>();
        for (EventEntity row : happened) {
            try {
                all.add(EventFromRequest.read(kept.event(row.data), row.at, plan));
            } catch (JacksonException | InvalidInputException damaged) {
                throw damaged();
            }
        }
        return new Folded(plan, LiveBrew.fold(plan, all), BrewEvent.standing(all), all.size());
    }

    /** How many events brews have; one without any is not there. */
    Map<UUID, Long> happened(Collection<UUID> ids) {
        return events.happened(ids).stream()
                .collect(Collectors.toMap(EventRepository.Happened::getBrewId, EventRepository.Happened::getEvents));
    }

    /** The lines of a list in its order; what happened to all of them is asked for at once. */
    List<BrewResponse.BrewLine> lines(List<BrewEntity> all) {
        Map<UUID, List<EventEntity>> happened =
                events
                        .findAllByBrewIdInOrderByPosition(
                                all.stream().map(e -> e.id).toList())
                        .stream()
                        .collect(Collectors.groupingBy(row -> row.brewId));
        return all.stream()
                .map(e -> readable(e)
                        .flatMap(plan -> foldable(e, plan, happened.getOrDefault(e.id, List.of())))
                        .map(folded -> line(e, folded))
                        .orElseGet(() -> unreadable(e)))
                .toList();
    }

    private BrewResponse.BrewLine line(BrewEntity e, Folded folded) {
        LiveBrew live = folded.live();
        Instant start = live.startedAt().orElse(e.startedAt);
        Optional<LiveBrew.Cup> cup = live.cup().filter(c -> !e.open());
        if (cup.isPresent()) {
            return ofCup(e, CupMaking.of(folded.plan(), cup.get()));
        }
        Instant ready = live.readyAt().orElseGet(() -> folded.plan().readyFrom(start));
        return new BrewResponse.BrewLine(
                e.id,
                e.name,
                e.drinkerName,
                e.cups,
                e.phase,
                start,
                BrewClock.real(e, ready),
                live.now()
                        .map(n -> HouseWords.words().label(folded.plan(), n.step()))
                        .orElse(null),
                live.now().map(n -> BrewClock.real(e, n.dueAt())).orElse(null),
                stretches(e, folded, start),
                false);
    }

    /** A pot that is over, of which a cup is being made: what it waits for has a clock as a brew has. */
    private static BrewResponse.BrewLine ofCup(BrewEntity e, CupMaking cup) {
        Optional<CupMaking.ActLine> now = cup.now();
        List<BrewResponse.Stretch> stretches = cup.acts().stream()
                .filter(a -> a.beganAt() != null && a.dueAt() != null)
                .map(a -> new BrewResponse.Stretch(
                        Objects.requireNonNull(a.beganAt()),
                        Objects.requireNonNullElse(a.doneAt(), Objects.requireNonNull(a.dueAt())),
                        a.heats()))
                .toList();
        return new BrewResponse.BrewLine(
                e.id,
                HouseWords.words().sentence("cup.of-jar", Map.of("name", e.name)),
                e.drinkerName,
                1,
                BrewResponse.CUP_IN_MAKING,
                cup.begunAt(),
                null,
                now.map(CupMaking.ActLine::text).orElse(null),
                now.map(CupMaking.ActLine::dueAt).orElse(null),
                stretches,
                false);
    }

    /** Of a brew that waits as it is planned, of a running one as it went and will go on. */
    private static List<BrewResponse.Stretch> stretches(BrewEntity e, Folded folded, Instant start) {
        LiveBrew live = folded.live();
        if (live.phase() != LiveBrew.Phase.RUNNING && live.phase() != LiveBrew.Phase.PLANNED) {
            return List.of();
        }
        List<BrewResponse.Stretch> all = new ArrayList<>();
        Instant clock = start;
        for (LiveBrew.LiveStep step : live.steps()) {
            if (step.step().aside()) {
                continue;
            }
            Instant from = clock;
            clock = live.phase() == LiveBrew.Phase.PLANNED
                    ? start.plusMillis(Math.round(step.step().endS() * 1000))
                    : step.dueAt();
            if (!step.step().handsOn() && from.isBefore(clock)) {
                all.add(new BrewResponse.Stretch(
                        BrewClock.real(e, from),
                        BrewClock.real(e, clock),
                        step.step().way() == Step.Way.HEATING));
            }
        }
        return all;
    }

    /** A list shows it all the same: it may be on the fire, and it can be given up. */
    private static BrewResponse.BrewLine unreadable(BrewEntity e) {
        return new BrewResponse.BrewLine(
                e.id, e.name, e.drinkerName, e.cups, e.phase, e.startedAt, e.endedAt, null, null, List.of(), true);
    }

    BrewResponse sheet(BrewEntity e, Folded folded) {
        PlanResponse told = told(e);
        Instant now = BrewClock.now(e, clock.instant());
        return BrewToResponse.write(
                e,
                folded.live(),
                folded.plan().request(),
                kept.order(e.request),
                told,
                now,
                folded.events(),
                photos.existsById(e.id),
                folded.standing(),
                kept(e, folded, told.cup().keeps(), now));
    }

    /** What of it is kept, or may be. */
    private BrewResponse.Kept kept(BrewEntity e, Folded folded, PlanResponse.@Nullable KeepsLine keeps, Instant now) {
        LiveBrew live = folded.live();
        Optional<String> whyNot = Jars.whyNotKept(e, live, keeps);
        return new BrewResponse.Kept(
                live.keptAt().isEmpty() && whyNot.isEmpty(),
                whyNot.filter(why -> live.phase() == LiveBrew.Phase.FINISHED && Jar.worthKeeping(live))
                        .map(why -> HouseWords.words().sentence("problem.nothing-to-keep-detail", Map.of("why", why)))
                        .orElse(null),
                live.keptAt().isPresent() ? Jars.line(Jars.of(live, keeps), live, now) : null,
                live.cup().map(c -> CupMaking.of(folded.plan(), c)).orElse(null),
                live.marc().keptAt().isEmpty() && whyMarcNotKept(e, folded).isEmpty(),
                live.marc().stands()
                        ? BrewResponse.MarcLine.of(live.marc().keptAt().orElseThrow(), now)
                        : null,
                shaking(e, folded)
                        .map(s -> BrewResponse.ShakingLine.of(s, day(now)))
                        .orElse(null),
                Jars.inItsPotUntil(folded, keeps),
                Jars.goodUntil(live, keeps));
    }

    /** Why spent herbs may not be kept, as the catalogue names it; empty when they may. */
    Optional<String> whyMarcNotKept(BrewEntity e, Folded folded) {
        return e.clockReal != null
                ? Optional.of("simulated")
                : SpentHerbs.against(folded.plan(), folded.live(), BrewClock.now(e, clock.instant()))
                        .map(no -> Fields.code(no).replace('-', '_'));
    }

    /** The long maceration that it stands in now. */
    Optional<Shaking> shaking(BrewEntity e, Folded folded) {
        return e.clockReal == null && Shaking.everIn(folded.plan())
                ? Shaking.of(folded.plan(), folded.live(), kitchens.zone())
                : Optional.empty();
    }

    LocalDate day(Instant at) {
        return kitchens.day(at);
    }
}
