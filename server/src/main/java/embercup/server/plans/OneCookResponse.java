package embercup.server.plans;

import embercup.core.plan.BrewPlan;
import embercup.core.plan.SeveralPots;
import embercup.core.plan.Step;
import embercup.server.platform.HouseWords;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Several pots in their places, and those that have none. {@code index} is the order's place in the request. */
public record OneCookResponse(List<PotLine> pots, List<ClashLine> clashes) {

    /**
     * A pot in its place.
     *
     * @param movedS negative when it starts earlier than wished; {@code why} is empty when it was not moved
     * @param burnerId the burner of the household that it stands on
     * @param usualBurnerTaken whether it stands on another burner than it would alone, as that is taken
     */
    public record PotLine(
            int index,
            String name,
            Instant startAt,
            Instant readyAt,
            double movedS,
            String why,
            @Nullable UUID burnerId,
            String burner,
            boolean usualBurnerTaken,
            List<StretchLine> stretches) {}

    /** What goes on in a pot for a while. @param what {@code hands}, {@code heat} or {@code stand} */
    public record StretchLine(Instant from, Instant to, String what) {}

    /** Which two cannot both be had, and why. */
    public record ClashLine(int index, String name, String with, String why) {}

    static OneCookResponse of(SeveralPots.Outcome outcome, List<Plans.Placing> pots, Instant zero) {
        return new OneCookResponse(
                outcome.placed().stream()
                        .map(p -> {
                            int index = place(pots, p.pot());
                            Instant start = zero.plusMillis(Math.round(p.startS() * 1000));
                            return new PotLine(
                                    index,
                                    p.pot().name(),
                                    start,
                                    p.pot().plan().readyFrom(start),
                                    p.movedS(),
                                    p.why().map(HouseWords.words()::say).orElse(""),
                                    pots.get(index).burnerId(),
                                    p.pot().plan().request().kitchen().burner().name(),
                                    pots.get(index).otherBurner(),
                                    stretches(p.pot().plan(), start));
                        })
                        .toList(),
                outcome.clashes().stream()
                        .map(c -> new ClashLine(
                                place(pots, c.pot()),
                                c.pot().name(),
                                c.with(),
                                HouseWords.words().say(c)))
                        .toList());
    }

    private static List<StretchLine> stretches(BrewPlan plan, Instant start) {
        return plan.steps().stream()
                .filter(s -> s.durationS() > 0 && !(s instanceof Step.Stand && s.aside()))
                .map(s -> new StretchLine(
                        start.plusMillis(Math.round(s.startS() * 1000)),
                        start.plusMillis(Math.round(s.endS() * 1000)),
                        switch (s.way()) {
                            case BY_HAND -> "hands";
                            case HEATING -> "heat";
                            case STANDING -> "stand";
                        }))
                .toList();
    }

    /** The very pot, not one like it: two orders may be alike. */
    private static int place(List<Plans.Placing> pots, SeveralPots.Pot pot) {
        for (int i = 0; i < pots.size(); i++) {
            if (pots.get(i).pot() == pot) {
                return i;
            }
        }
        throw new IllegalStateException("a pot that was not asked for: " + pot.name());
    }
}
