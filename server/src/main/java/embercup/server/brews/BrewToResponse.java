package embercup.server.brews;

import embercup.core.brew.Turn;
import embercup.core.keeping.Jar;
import embercup.core.kitchen.Burner;
import embercup.core.live.BrewEvent;
import embercup.core.live.LiveBrew;
import embercup.core.plan.Fire;
import embercup.core.plan.PlanRequest;
import embercup.server.notebook.Tasting;
import embercup.server.plans.OrderRequest;
import embercup.server.plans.PlanResponse;
import embercup.server.plans.PlanToResponse;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/** Writes a folded brew for the wire. */
final class BrewToResponse implements BrewEvent.Visitor<BrewResponse.Happened> {

    private final Burner burner;

    private BrewToResponse(Burner burner) {
        this.burner = burner;
    }

    static BrewResponse write(
            BrewEntity e,
            LiveBrew live,
            PlanRequest request,
            OrderRequest ask,
            PlanResponse plan,
            Instant now,
            long state,
            boolean photo,
            List<BrewEvent> standing,
            BrewResponse.Kept kept) {
        BrewToResponse writing = new BrewToResponse(request.kitchen().burner());
        return new BrewResponse(
                new BrewResponse.Head(
                        e.id,
                        e.recipeId,
                        e.name,
                        e.drinkerName,
                        Fields.code(live.phase()),
                        e.ancestorId,
                        new BrewResponse.Ordered(e.drinkerId, e.vesselId, e.burnerId)),
                new BrewResponse.Clock(
                        now,
                        state,
                        live.startedAt().orElse(null),
                        live.readyAt().orElse(null),
                        live.lateS(),
                        live.clock().late(),
                        e.clockSpeed,
                        e.clockReal != null),
                ask,
                plan,
                going(
                        live,
                        standing.stream().map(event -> event.accept(writing)).toList()),
                predicted(live),
                new BrewResponse.Cup(
                        live.pouredMl(),
                        live.leftMl(),
                        Jar.worthKeeping(live) ? Math.min(request.liquorOfCupMl(), live.leftMl()) : 0,
                        kept,
                        photo,
                        live.note()
                                .map(n -> new BrewResponse.NoteLine(
                                        n.strength().isPresent() ? n.strength().getAsInt() : null,
                                        n.liking(),
                                        Tasting.of(n),
                                        n.at()))
                                .orElse(null)));
    }

    private static BrewResponse.Going going(LiveBrew live, List<BrewResponse.Happened> happened) {
        return new BrewResponse.Going(
                live.steps().stream()
                        .map(s -> new BrewResponse.LiveLine(
                                s.step().id(),
                                s.beganAt().orElse(null),
                                s.doneAt().orElse(null),
                                s.dueAt(),
                                s.sign() == BrewEvent.Sign.PLAN ? null : Fields.code(s.sign())))
                        .toList(),
                live.now().map(n -> n.step().id()).orElse(null),
                live.meanwhile().stream().map(s -> s.step().id()).toList(),
                live.open().stream().map(BrewToResponse::open).toList(),
                live.now()
                        .flatMap(n -> live.fire().map(f -> fire(f, n.step().fire())))
                        .orElse(null),
                happened);
    }

    private static BrewResponse.OpenLine open(LiveBrew.Open open) {
        return new BrewResponse.OpenLine(
                open.step().id(),
                HouseWords.words().lower(open.herb().common()),
                open.restsUntil().orElse(null));
    }

    private static BrewResponse.Predicted predicted(LiveBrew live) {
        return new BrewResponse.Predicted(
                live.predicted().strength(),
                live.strengthChange(),
                live.predicted().aroma(),
                live.predicted().bite(),
                live.outlook().told().stream().map(Fields::code).sorted().toList(),
                live.advice().map(HouseWords.words()::say).orElse(""),
                PlanToResponse.times(live.predicted()),
                PlanToResponse.curve(live.predicted()));
    }

    private static BrewResponse.FireLine fire(Fire fire, Fire planned) {
        boolean otherwise = fire.lid() != planned.lid() || !fire.flame().equals(planned.flame());
        return new BrewResponse.FireLine(
                fire.flame().map(Fields::code).orElse("off"),
                fire.watts(),
                fire.lid(),
                fire.kettle(),
                fire.pressed(),
                otherwise && !fire.kettle());
    }

    private static String said(String key) {
        return HouseWords.words().sentence(key, Map.of());
    }

    @Override
    public BrewResponse.Happened started(BrewEvent.Started e) {
        return BrewResponse.Happened.of(e.id(), e.at(), "started", said("happened.started"));
    }

    @Override
    public BrewResponse.Happened stepDone(BrewEvent.StepDone e) {
        return new BrewResponse.Happened(e.id(), e.at(), "step-done", e.step(), null, null, null, null);
    }

    @Override
    public BrewResponse.Happened turned(BrewEvent.Turned e) {
        String code = Fields.code(e.turn());
        boolean ofLid = e.turn() == Turn.LID_ON || e.turn() == Turn.LID_OFF;
        return new BrewResponse.Happened(
                e.id(),
                e.at(),
                "turned",
                null,
                code,
                e.turn().ofFlame() ? e.turn().watts(burner, 0) : null,
                ofLid ? e.turn().lid(false) : null,
                said("turn." + code));
    }

    @Override
    public BrewResponse.Happened measured(BrewEvent.Measured e) {
        return BrewResponse.Happened.of(
                e.id(),
                e.at(),
                "measured",
                HouseWords.words().shown(e.value(), e.reading().unit()));
    }

    @Override
    public BrewResponse.Happened poured(BrewEvent.Poured e) {
        return BrewResponse.Happened.of(
                e.id(),
                e.at(),
                "poured",
                HouseWords.words()
                        .sentence(
                                "happened.poured",
                                Map.of(
                                        "volume",
                                        HouseWords.words().shown(e.ml(), "mL"),
                                        "other",
                                        String.valueOf(e.drinker().isPresent()))));
    }

    @Override
    public BrewResponse.Happened kept(BrewEvent.Kept e) {
        return BrewResponse.Happened.of(e.id(), e.at(), "kept", said("happened.kept"));
    }

    @Override
    public BrewResponse.Happened emptied(BrewEvent.Emptied e) {
        return BrewResponse.Happened.of(e.id(), e.at(), "emptied", said("happened.emptied"));
    }

    @Override
    public BrewResponse.Happened jarNoted(BrewEvent.JarNoted e) {
        return BrewResponse.Happened.of(e.id(), e.at(), "jar-noted", said("happened.jar-noted"));
    }

    @Override
    public BrewResponse.Happened cupBegun(BrewEvent.CupBegun e) {
        return BrewResponse.Happened.of(e.id(), e.at(), "cup-begun", said("happened.cup-begun"));
    }

    @Override
    public BrewResponse.Happened cupActed(BrewEvent.CupActed e) {
        return BrewResponse.Happened.of(e.id(), e.at(), "cup-acted", said("happened.cup-acted"));
    }

    @Override
    public BrewResponse.Happened marcKept(BrewEvent.MarcKept e) {
        return BrewResponse.Happened.of(e.id(), e.at(), "marc-kept", said("happened.marc-kept"));
    }

    @Override
    public BrewResponse.Happened marcGone(BrewEvent.MarcGone e) {
        return BrewResponse.Happened.of(e.id(), e.at(), "marc-gone", said("happened.marc-gone"));
    }

    @Override
    public BrewResponse.Happened shaken(BrewEvent.Shaken e) {
        return BrewResponse.Happened.of(e.id(), e.at(), "shaken", said("happened.shaken"));
    }

    @Override
    public BrewResponse.Happened noted(BrewEvent.Noted e) {
        return BrewResponse.Happened.of(e.id(), e.at(), "noted", said("happened.noted"));
    }

    @Override
    public BrewResponse.Happened undone(BrewEvent.Undone e) {
        return BrewResponse.Happened.of(e.id(), e.at(), "undone", said("happened.undone"));
    }

    @Override
    public BrewResponse.Happened finished(BrewEvent.Finished e) {
        return BrewResponse.Happened.of(e.id(), e.at(), "finished", said("happened.finished"));
    }

    @Override
    public BrewResponse.Happened abandoned(BrewEvent.Abandoned e) {
        return BrewResponse.Happened.of(e.id(), e.at(), "abandoned", e.why());
    }
}
