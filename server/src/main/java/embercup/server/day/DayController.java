package embercup.server.day;

import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Wanted;
import embercup.server.brews.BrewResponse;
import embercup.server.brews.Brews;
import embercup.server.courses.Courses;
import embercup.server.platform.Moments;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What stands on the day strip. */
@RestController
@RequestMapping("/api/day")
class DayController {

    private static final Duration LONGEST = Duration.ofHours(48);

    private final Brews brews;
    private final Courses courses;
    private final Clock clock;

    DayController(Brews brews, Courses courses, Clock clock) {
        this.brews = brews;
        this.courses = courses;
        this.clock = clock;
    }

    /** @param open planned and running brews
     * @param brewed brews of the asked hours that are done
     * @param doses of courses, that are still to be drunk in these hours */
    record DayResponse(
            Instant serverNow,
            List<BrewResponse.BrewLine> open,
            List<BrewResponse.BrewLine> brewed,
            List<Courses.Upcoming> doses) {}

    @GetMapping
    DayResponse day(@RequestParam Instant from, @RequestParam Instant to) {
        if (!Moments.inTime(from)
                || !Moments.inTime(to)
                || !from.isBefore(to)
                || Duration.between(from, to).compareTo(LONGEST) > 0) {
            throw InvalidInputException.of("to", to, new Wanted.LaterWithin((int) LONGEST.toHours()));
        }
        return new DayResponse(clock.instant(), brews.open(), brews.done(from, to), courses.upcoming(from, to));
    }
}
