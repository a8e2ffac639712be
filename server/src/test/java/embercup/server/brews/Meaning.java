package embercup.server.brews;

import embercup.core.live.BrewEvent;
import embercup.core.live.LiveBrew;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.Step;
import embercup.core.workings.Code;
import embercup.server.plans.PlanResponse;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;

/**
 * What a kept brew means, in lines that speak of the pot and not of the code: a change of names leaves them as they are, a change of
 * what was promised does not.
 */
final class Meaning {

    private final List<String> lines = new ArrayList<>();

    private Meaning() {}

    /** Of a brew with its plan, whatever is kept of it. @param kept whether its plan was kept, and not made of its order */
    static List<String> of(BrewEntity brew, PlanResponse told, Optional<BrewRows.Folded> folded, boolean kept) {
        Meaning meaning = new Meaning();
        meaning.line("brew %s, %s cups, %s", brew.name, number(brew.cups), brew.phase);
        meaning.told(told);
        if (kept) {
            folded.ifPresentOrElse(meaning::folded, () -> meaning.line("  cannot be read"));
        }
        return meaning.lines;
    }

    private void told(PlanResponse told) {
        line(
                "  told: ready after %s, strength %s, boils at %s, %s measured out",
                number(Objects.requireNonNullElse(
                        told.times().readyS(), told.times().totalS())),
                number(told.cup().felt().strength()),
                number(told.brewing().boilingC()),
                told.brewing().additions().size());
        told.brewing()
                .steps()
                .forEach(s -> line("  told step %s: %s", s.key(), s.told().label()));
        told.judged().cautions().forEach(c -> line("  told %s: %s", c.severity(), c.text()));
    }

    private void folded(BrewRows.Folded folded) {
        BrewPlan plan = folded.plan();
        line(
                "  pot: %s mL, %s mL strained, in %s",
                number(plan.water().pourMl()),
                number(plan.brew().yieldMl()),
                plan.vessel().name());
        plan.additions().forEach(this::addition);
        plan.steps().forEach(this::step);
        line(
                "  cup: strength %s (%s to %s), body %s, aroma %s, bite %s, ready after %s",
                number(plan.strength()),
                number(plan.strengthLow()),
                number(plan.strengthHigh()),
                number(plan.body()),
                number(plan.aroma()),
                number(plan.bite()),
                number(plan.readyS()));
        plan.notes().forEach(this::note);
        line("  figures with workings: %d", plan.explained().size());
        happened(plan, folded.standing());
    }

    private void addition(PlannedAddition a) {
        line(
                "  %s, %s, %s: %s g (%s to %s), %s g a cup, in at %d",
                a.herb(),
                Code.of(a.form()),
                Code.of(a.of().cut()),
                number(a.grams()),
                number(a.amount().low()),
                number(a.amount().high()),
                number(a.amount().perCup()),
                a.stage());
    }

    private void step(Step s) {
        line(
                "  step %s, %s: %s to %s, lid %s",
                s.code(),
                Code.of(s.way()),
                number(s.span().startS()),
                number(s.span().endS()),
                s.fire().lid());
    }

    private void note(Caution c) {
        line(
                "  note %s: %s of %s",
                Code.of(c.severity()), Code.of(c.getClass()), c.herb().orElse("the pot"));
    }

    /** What is predicted after each event. */
    private void happened(BrewPlan plan, List<BrewEvent> events) {
        for (int i = 1; i <= events.size(); i++) {
            LiveBrew live = LiveBrew.fold(plan, events.subList(0, i));
            Instant from = events.get(0).at();
            line(
                    "  after %s: %s, %s, ready %s, strength %s, left %s mL",
                    Code.of(events.get(i - 1).getClass()),
                    Code.of(live.phase()),
                    live.now().map(n -> n.step().code()).orElse("nothing to do"),
                    live.readyAt()
                            .map(at ->
                                    number((at.toEpochMilli() - from.toEpochMilli()) / 1000.0) + " s after the first")
                            .orElse("no more"),
                    number(live.predicted().strength()),
                    number(live.leftMl()));
        }
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.5g", value == 0 ? 0.0 : value);
    }

    private void line(String format, Object... arguments) {
        lines.add(String.format(Locale.ROOT, format, arguments));
    }
}
