package embercup.server.brews;

import embercup.core.brew.Turn;
import embercup.core.kitchen.Burner;
import embercup.core.live.BrewEvent;
import embercup.core.live.LiveBrew;
import embercup.core.plan.Fire;
import embercup.core.words.Words;
import embercup.server.plans.PlanAsk;
import embercup.server.plans.PlanSheet;
import embercup.server.plans.PlanWriting;
import embercup.server.platform.Fields;
import java.time.Instant;
import java.util.List;
import java.util.Locale;

/** Writes a folded brew for the wire. */
final class BrewWriting implements BrewEvent.Visitor<BrewSheet.Happened> {

    private final Burner burner;

    private BrewWriting(Burner burner) {
        this.burner = burner;
    }

    static BrewSheet write(
            BrewEntity e,
            LiveBrew live,
            Burner burner,
            PlanAsk ask,
            PlanSheet plan,
            Instant now,
            long state,
            boolean photo,
            List<BrewEvent> standing) {
        BrewWriting writing = new BrewWriting(burner);
        return new BrewSheet(
                e.id,
                e.recipeId,
                e.name,
                e.drinkerName,
                Fields.code(live.phase()),
                now,
                state,
                live.startedAt().orElse(null),
                live.readyAt().orElse(null),
                ask,
                plan,
                live.steps().stream()
                        .map(s -> new BrewSheet.LiveLine(
                                s.step().id(),
                                s.beganAt().orElse(null),
                                s.doneAt().orElse(null),
                                s.dueAt(),
                                s.sign() == BrewEvent.Sign.PLAN ? null : Fields.code(s.sign())))
                        .toList(),
                live.now().map(n -> n.step().id()).orElse(null),
                live.meanwhile().stream().map(s -> s.step().id()).toList(),
                live.lateS(),
                live.clock().late(),
                live.advice().map(Words.english()::say).orElse(""),
                e.clockSpeed,
                e.clockReal != null,
                photo,
                e.ancestorId,
                live.predicted().strength(),
                live.strengthChange(),
                live.predicted().aroma(),
                live.predicted().bite(),
                live.outlook().told().stream().map(Fields::code).sorted().toList(),
                PlanWriting.times(live.predicted()),
                PlanWriting.curve(live.predicted()),
                standing.stream().map(event -> event.accept(writing)).toList(),
                live.now()
                        .flatMap(n -> live.fire().map(f -> fire(f, n.step().fire())))
                        .orElse(null),
                live.pouredMl(),
                live.leftMl(),
                live.note()
                        .map(n -> new BrewSheet.NoteLine(
                                n.strength(),
                                n.liking(),
                                n.taste(),
                                n.change(),
                                n.look().colour(),
                                n.look().clarity(),
                                n.look().smell(),
                                n.look().effect(),
                                n.look().meanwhile(),
                                n.at()))
                        .orElse(null));
    }

    private static BrewSheet.FireLine fire(Fire fire, Fire planned) {
        boolean otherwise = fire.lid() != planned.lid() || !fire.flame().equals(planned.flame());
        return new BrewSheet.FireLine(
                fire.flame().map(Fields::code).orElse("off"),
                fire.watts(),
                fire.lid(),
                fire.kettle(),
                fire.pressed(),
                otherwise && !fire.kettle());
    }

    @Override
    public BrewSheet.Happened started(BrewEvent.Started e) {
        return BrewSheet.Happened.of(e.id(), e.at(), "started", "Started");
    }

    @Override
    public BrewSheet.Happened stepDone(BrewEvent.StepDone e) {
        return new BrewSheet.Happened(e.id(), e.at(), "step-done", e.step(), null, null, null, null);
    }

    @Override
    public BrewSheet.Happened turned(BrewEvent.Turned e) {
        String code = Fields.code(e.turn());
        boolean ofLid = e.turn() == Turn.LID_ON || e.turn() == Turn.LID_OFF;
        return new BrewSheet.Happened(
                e.id(),
                e.at(),
                "turned",
                null,
                code,
                e.turn().ofFlame() ? e.turn().watts(burner, 0) : null,
                ofLid ? e.turn().lid(false) : null,
                words(e.turn()));
    }

    /** As a cook would say it; the same words stand in the record and in its undo. */
    private static String words(Turn turn) {
        return switch (turn) {
            case LID_ON -> "lid on";
            case LID_OFF -> "lid off";
            case FLAME_OFF -> "flame off";
            case FLAME_LOW -> "low flame";
            case FLAME_MEDIUM -> "medium flame";
            case FLAME_HIGH -> "high flame";
            case MARC_DRAINED -> "marc drained";
            case MARC_PRESSED -> "marc pressed";
        };
    }

    @Override
    public BrewSheet.Happened measured(BrewEvent.Measured e) {
        String unit = e.reading().name().toLowerCase(Locale.ROOT).replaceFirst(".*_", "");
        return BrewSheet.Happened.of(e.id(), e.at(), "measured", e.value() + " " + unit);
    }

    @Override
    public BrewSheet.Happened poured(BrewEvent.Poured e) {
        return BrewSheet.Happened.of(e.id(), e.at(), "poured", Math.round(e.ml()) + " mL");
    }

    @Override
    public BrewSheet.Happened noted(BrewEvent.Noted e) {
        return BrewSheet.Happened.of(e.id(), e.at(), "noted", "Noted");
    }

    @Override
    public BrewSheet.Happened undone(BrewEvent.Undone e) {
        return BrewSheet.Happened.of(e.id(), e.at(), "undone", "Undone");
    }

    @Override
    public BrewSheet.Happened finished(BrewEvent.Finished e) {
        return BrewSheet.Happened.of(e.id(), e.at(), "finished", "Finished");
    }

    @Override
    public BrewSheet.Happened abandoned(BrewEvent.Abandoned e) {
        return BrewSheet.Happened.of(e.id(), e.at(), "abandoned", e.why());
    }
}
