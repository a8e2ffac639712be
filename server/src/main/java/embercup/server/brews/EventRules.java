package embercup.server.brews;

import embercup.core.live.BrewEvent;
import embercup.core.live.LiveBrew;
import embercup.core.plan.BrewPlan;
import embercup.server.plans.PlanResponse;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.RefusedException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** What may happen to a brew as it stands: what cannot have happened is refused with its reason, and nothing is recorded. */
@Component
class EventRules {

    /** So far the clocks of two devices may be apart (design value). */
    private static final Duration CLOCKS_APART = Duration.ofSeconds(5);

    private final BrewRows rows;
    private final CupCare care;

    EventRules(BrewRows rows, CupCare care) {
        this.rows = rows;
        this.care = care;
    }

    /** @throws RefusedException 404 for what undoes nothing, 409 for what cannot have happened */
    void refuse(BrewEntity e, BrewPlan plan, BrewEvent event) {
        refuseImpossible(e, plan, event);
        if (event instanceof BrewEvent.StepDone step) {
            refuseOutOfTurn(step, rows.fold(e, plan));
        }
    }

    /** How a brew stands, for a refusal. */
    static Map<String, String> phase(BrewEntity e) {
        return Map.of("phase", HouseWords.words().sentence("phase." + e.phase, Map.of()));
    }

    /** @throws RefusedException 409 when a caution stops what is to be started */
    static void refuseStopped(boolean start, PlanResponse sheet) {
        refuseStopped(start && sheet.judged().stopped(), sheet.judged().cautions());
    }

    private static void refuseStopped(boolean stopped, List<PlanResponse.CautionLine> cautions) {
        if (stopped) {
            PlanResponse.CautionLine stop = cautions.stream()
                    .filter(c -> c.severity().equals("stop"))
                    .findFirst()
                    .orElseThrow();
            throw RefusedException.of(HttpStatus.CONFLICT, "stopped", Map.of("why", stop.text()));
        }
    }

    /** A step that cannot be done yet, or was done before the brew began, changes nothing. */
    private static void refuseOutOfTurn(BrewEvent.StepDone done, BrewRows.Folded folded) {
        LiveBrew live = folded.live();
        if (live.startedAt()
                .filter(s -> done.at().isBefore(s.minus(CLOCKS_APART)))
                .isPresent()) {
            throw RefusedException.of(HttpStatus.CONFLICT, "before-the-start", Map.of());
        }
        boolean main = live.steps().stream()
                .anyMatch(s -> s.step().id().equals(done.step()) && !s.step().aside());
        boolean later = live.now()
                .filter(n -> main && !n.step().id().equals(done.step()))
                .filter(n -> live.steps().stream()
                        .anyMatch(s ->
                                s.step().id().equals(done.step()) && s.doneAt().isEmpty()))
                .isPresent();
        if (later) {
            String first = HouseWords.words()
                    .label(folded.plan(), live.now().orElseThrow().step());
            throw RefusedException.of(HttpStatus.CONFLICT, "out-of-turn", Map.of("first", first));
        }
    }

    private void refuseImpossible(BrewEntity e, BrewPlan plan, BrewEvent event) {
        LiveBrew.Phase phase = Fields.oneOf(LiveBrew.Phase.class, e.phase, "phase");
        if (event instanceof BrewEvent.Started) {
            refuseStopped(true, rows.told(e));
        }
        boolean needsRunning = event instanceof BrewEvent.StepDone
                || event instanceof BrewEvent.Turned
                || event instanceof BrewEvent.Finished;
        if (needsRunning && phase != LiveBrew.Phase.RUNNING) {
            throw RefusedException.of(HttpStatus.CONFLICT, "not-running", phase(e));
        }
        boolean cup = phase == LiveBrew.Phase.RUNNING || phase == LiveBrew.Phase.FINISHED;
        if (event instanceof BrewEvent.Poured && !cup) {
            throw RefusedException.of(HttpStatus.CONFLICT, "nothing-to-pour", phase(e));
        }
        boolean ofRest = event instanceof BrewEvent.Kept || event instanceof BrewEvent.Emptied;
        if (ofRest && !cup) {
            throw RefusedException.of(HttpStatus.CONFLICT, "nothing-to-pour", phase(e));
        }
        if (event instanceof BrewEvent.Kept) {
            refuseToKeep(e, plan);
        }
        refuseOfWhatIsKept(e, plan, event);
        if (event instanceof BrewEvent.Undone undone) {
            boolean known = rows.happened(undone.event(), e);
            if (!known) {
                throw RefusedException.notFound("event", undone.event());
            }
        }
    }

    /** What is done with a jar, with spent herbs or with a long maceration needs one. */
    private void refuseOfWhatIsKept(BrewEntity e, BrewPlan plan, BrewEvent event) {
        if (event instanceof BrewEvent.CupBegun || event instanceof BrewEvent.JarNoted) {
            Jars.there(e);
        }
        if (event instanceof BrewEvent.CupBegun cup) {
            cup.drinker()
                    .map(d -> care.of(e, plan, d, cup.ml()))
                    .ifPresent(judged -> refuseStopped(judged.stopped(), judged.cautions()));
            // A cup that was poured is refused to nobody: it was drunk, whatever care would have said of it.
        } else if (event instanceof BrewEvent.CupActed acted) {
            boolean next = rows.fold(e, plan)
                    .live()
                    .cup()
                    .filter(c -> acted.act() <= c.acts().size())
                    .isPresent();
            if (!next) {
                throw RefusedException.of(HttpStatus.CONFLICT, "no-such-act", Map.of());
            }
        } else if (event instanceof BrewEvent.MarcKept) {
            rows.whyMarcNotKept(e, rows.fold(e, plan)).ifPresent(why -> {
                throw RefusedException.of(HttpStatus.CONFLICT, "marc-not-kept", Map.of("why", why));
            });
        } else if (event instanceof BrewEvent.MarcGone && e.marcAt == null) {
            throw RefusedException.of(HttpStatus.CONFLICT, "no-marc", Map.of());
        } else if (event instanceof BrewEvent.Shaken
                && rows.shaking(e, rows.fold(e, plan)).isEmpty()) {
            throw RefusedException.of(HttpStatus.CONFLICT, "nothing-to-shake", Map.of());
        }
    }

    private void refuseToKeep(BrewEntity e, BrewPlan plan) {
        Jars.whyNotKept(e, rows.fold(e, plan).live(), rows.told(e).cup().keeps())
                .ifPresent(why -> {
                    throw RefusedException.of(HttpStatus.CONFLICT, "nothing-to-keep", Map.of("why", why));
                });
    }
}
