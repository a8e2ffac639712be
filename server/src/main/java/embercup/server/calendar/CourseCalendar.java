package embercup.server.calendar;

import embercup.server.courses.CourseResponse;
import embercup.server.courses.CourseResponse.CourseDay;
import embercup.server.courses.CourseResponse.CourseDose;
import embercup.server.courses.CourseResponse.CourseDrinker;
import embercup.server.courses.Courses;
import embercup.server.kitchen.Kitchens;
import embercup.server.platform.Moments;
import embercup.server.shelf.Shelf;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Status;
import org.springframework.stereotype.Component;

/**
 * What goes by days: doses of courses at their moments, so that a change of clocks leaves them at the house's hour; rests and last
 * days as whole days; herbs that are past their time. What an ended course would have had is said to be cancelled.
 */
@Component
class CourseCalendar {

    private final Courses courses;
    private final Shelf shelf;
    private final Kitchens kitchens;
    private final Clock clock;

    CourseCalendar(Courses courses, Shelf shelf, Kitchens kitchens, Clock clock) {
        this.kitchens = kitchens;
        this.courses = courses;
        this.shelf = shelf;
        this.clock = clock;
    }

    List<VEvent> all() {
        ZoneId zone = kitchens.zone();
        List<VEvent> events = new ArrayList<>();
        courses.all().stream()
                .filter(c -> !c.laid().phase().equals("over") || c.laid().endedOn() != null)
                .forEach(c -> events.addAll(of(c, zone)));
        shelf.good().forEach(t -> events.add(of(t)));
        return events;
    }

    private List<VEvent> of(CourseResponse course, ZoneId zone) {
        List<VEvent> events = new ArrayList<>();
        String name = course.head().name();
        String drinkers = course.head().drinkers().stream()
                .map(CourseDrinker::name)
                .filter(n -> !n.isEmpty())
                .collect(Collectors.joining(", "));
        List<CourseDay> days = course.days();
        for (int i = 0; i < days.size(); i++) {
            CourseDay day = days.get(i);
            if (day.kind().equals("rest") && (i == 0 || !days.get(i - 1).kind().equals("rest"))) {
                int last = i;
                while (last + 1 < days.size() && days.get(last + 1).kind().equals("rest")) {
                    last++;
                }
                events.add(told(
                        course,
                        CalendarText.days(
                                now(),
                                uid(course, "rest." + day.date()),
                                day.date(),
                                days.get(last).date(),
                                CalendarText.said("course.rest", name, drinkers)),
                        day.date().isAfter(course.laid().lastDay())));
            }
            events.addAll(doses(course, day, name, drinkers, zone));
        }
        LocalDate last = course.laid().lastDay();
        events.add(told(
                course,
                CalendarText.days(
                        now(), uid(course, "last"), last, last, CalendarText.said("course.last", name, drinkers)),
                false));
        return events;
    }

    private List<VEvent> doses(CourseResponse course, CourseDay day, String name, String drinkers, ZoneId zone) {
        List<VEvent> events = new ArrayList<>();
        boolean ended = day.kind().equals("ended");
        List<Instant> dues = ended
                ? course.laid().times().stream()
                        .map(t -> Moments.of(day.date(), LocalTime.parse(t), zone))
                        .toList()
                : day.doses().stream().map(CourseDose::due).toList();
        for (int n = 0; n < dues.size(); n++) {
            Instant due = dues.get(n);
            String what = day.date() + "." + n;
            events.add(told(
                    course,
                    CalendarText.event(
                            now(), uid(course, what), due, due, CalendarText.said("course.dose", name, drinkers), ""),
                    ended));
        }
        return events;
    }

    private static String uid(CourseResponse course, String what) {
        return course.id() + "." + what;
    }

    private static VEvent told(CourseResponse course, VEvent event, boolean cancelled) {
        event.add(new Sequence((int) (long) Objects.requireNonNull(course.version())));
        if (cancelled) {
            event.add(new Status(Status.VALUE_CANCELLED));
        }
        return event;
    }

    private VEvent of(Shelf.Good tin) {
        LocalDate until = tin.until();
        VEvent event = CalendarText.days(
                now(), tin.id() + ".tin", until, until, CalendarText.said("calendar.tin", tin.common(), ""));
        event.add(new Sequence((int) tin.version()));
        return event;
    }

    private Instant now() {
        return clock.instant();
    }
}
