package embercup.core.care;

import java.util.Optional;

/** What the tests ask of a way out, whatever its kind. */
final class Ways {

    private Ways() {}

    /** Slug of the herb that takes another's place. */
    static Optional<String> with(WayOut way) {
        return way instanceof WayOut.Replace r ? Optional.of(r.with().slug()) : Optional.empty();
    }

    /** Slug of the herb that is changed. */
    static Optional<String> herb(WayOut way) {
        return way instanceof WayOut.Replace r
                ? Optional.of(r.herb().slug())
                : way instanceof WayOut.LeaveOut l ? Optional.of(l.herb().slug()) : Optional.empty();
    }

    static int cups(WayOut way) {
        return way instanceof WayOut.FewerCups f ? f.cups() : 0;
    }

    static double cupsADay(WayOut way) {
        return way instanceof WayOut.FewerADay f ? f.cups() : 0;
    }

    static double share(WayOut way) {
        return way instanceof WayOut.Lessen l ? l.share() : 0;
    }
}
