package embercup.server.plans;

import embercup.core.plan.Interleaving;
import embercup.server.platform.HouseWords;
import java.time.Instant;
import java.util.List;

/** Several pots in their places, and those that have none. {@code index} is the order's place in the request. */
public record OneCookResponse(List<PotLine> pots, List<ClashLine> clashes) {

    /** @param movedS negative when it starts earlier than wished; {@code why} is empty when it was not moved */
    public record PotLine(int index, String name, Instant startAt, Instant readyAt, double movedS, String why) {}

    /** Which two cannot both be had, and why. */
    public record ClashLine(int index, String name, String with, String why) {}

    static OneCookResponse of(Interleaving.Outcome outcome, List<Interleaving.Pot> pots, Instant zero) {
        return new OneCookResponse(
                outcome.placed().stream()
                        .map(p -> {
                            Instant start = zero.plusMillis(Math.round(p.startS() * 1000));
                            return new PotLine(
                                    place(pots, p.pot()),
                                    p.pot().name(),
                                    start,
                                    p.pot().plan().readyFrom(start),
                                    p.movedS(),
                                    p.why().map(HouseWords.words()::say).orElse(""));
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

    /** The very pot, not one like it: two orders may be alike. */
    private static int place(List<Interleaving.Pot> pots, Interleaving.Pot pot) {
        for (int i = 0; i < pots.size(); i++) {
            if (pots.get(i) == pot) {
                return i;
            }
        }
        throw new IllegalStateException("a pot that was not asked for: " + pot.name());
    }
}
