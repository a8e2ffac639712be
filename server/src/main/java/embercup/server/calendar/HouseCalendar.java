package embercup.server.calendar;

import embercup.server.brews.BrewResponse;
import embercup.server.brews.BrewResponse.LiveLine;
import embercup.server.brews.BrewResponse.ShakingLine;
import embercup.server.brews.Brews;
import embercup.server.brews.Jars;
import embercup.server.brews.Jars.JarResponse;
import embercup.server.kept.UnknownFormException;
import embercup.server.plans.StepLine;
import embercup.server.platform.RefusedException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Status;
import org.springframework.stereotype.Component;

/**
 * The house's calendar as RFC 5545 has it. Every moment is UTC, so that a change of clocks moves nothing. An event keeps its UID
 * for as long as its brew is there, and its SEQUENCE grows with everything that happens to the brew; what was given up is said to be
 * cancelled.
 */
@Component
class HouseCalendar {

    /** What was given up is told for so long, so that every calendar has asked meanwhile. */
    private static final Duration CANCELLED_TOLD = Duration.ofDays(14);

    private final Brews brews;
    private final Jars jars;
    private final CourseCalendar courses;
    private final Clock clock;

    HouseCalendar(Brews brews, Jars jars, CourseCalendar courses, Clock clock) {
        this.brews = brews;
        this.jars = jars;
        this.courses = courses;
        this.clock = clock;
    }

    /** All that is planned, on the fire, in jars and in courses, and what was given up of late. */
    byte[] all() {
        List<VEvent> events = new ArrayList<>();
        brews.openOrGivenUpSince(clock.instant().minus(CANCELLED_TOLD))
                .forEach(id -> readable(id).ifPresent(b -> events.addAll(ofBrew(b))));
        jars.all().forEach(j -> events.addAll(ofJar(j)));
        events.addAll(courses.all());
        return CalendarText.written(events);
    }

    /** A brew whose plan cannot be read any more fails no calendar: it has no times that could stand there. */
    private Optional<BrewResponse> readable(UUID id) {
        try {
            return Optional.of(brews.get(id));
        } catch (RefusedException | UnknownFormException e) {
            return Optional.empty();
        }
    }

    /** @throws RefusedException 404 when there is no such brew */
    byte[] one(UUID brew) {
        List<VEvent> events = new ArrayList<>(ofBrew(brews.get(brew)));
        jars.all().stream().filter(j -> j.id().equals(brew)).forEach(j -> events.addAll(ofJar(j)));
        return CalendarText.written(events);
    }

    // ---- brews

    private List<VEvent> ofBrew(BrewResponse brew) {
        if (brew.clock().simulated()) {
            return List.of();
        }
        boolean cancelled = brew.head().phase().equals("abandoned");
        List<VEvent> events = new ArrayList<>();
        Instant start = Objects.requireNonNullElse(
                brew.clock().startedAt(), brew.plan().times().startAt());
        Instant ready = Objects.requireNonNullElse(
                brew.clock().readyAt(), brew.plan().times().readyAt());
        String steps = brew.plan().brewing().steps().stream()
                .map(s -> s.told().label())
                .collect(Collectors.joining("\n"));
        events.add(event(
                brew,
                "brew",
                start,
                ready,
                CalendarText.said(
                        "calendar.brew", brew.head().name(), brew.head().drinkerName()),
                steps,
                cancelled));
        shaking(brew).ifPresent(events::add);
        Map<String, LiveLine> live =
                brew.going().steps().stream().collect(Collectors.toMap(LiveLine::key, Function.identity()));
        for (StepLine step : brew.plan().brewing().steps()) {
            LiveLine line = live.get(step.key());
            boolean done = line != null && line.doneAt() != null;
            if (step.span().handsOn() && !done) {
                Instant begins = brew.clock().startedAt() == null || line == null
                        ? start.plusMillis(Math.round(step.span().startS() * 1000))
                        : begins(step, line);
                Instant ends = begins.plusMillis(Math.round(step.span().durationS() * 1000));
                events.add(event(
                        brew,
                        step.key(),
                        begins,
                        ends,
                        step.told().label(),
                        brew.head().name(),
                        cancelled));
            }
        }
        return events;
    }

    /** Once a day while it stands, and not on the day on which it is pressed: that is a step with hands. */
    private Optional<VEvent> shaking(BrewResponse brew) {
        ShakingLine jar = brew.cup().kept().shaking();
        if (jar == null || !jar.first().plusDays(1).isBefore(jar.press())) {
            return Optional.empty();
        }
        VEvent event = CalendarText.daily(
                clock.instant(),
                brew.head().id() + ".shake",
                jar.first().plusDays(1),
                jar.press().minusDays(1),
                CalendarText.said(
                        "calendar.shake", brew.head().name(), brew.head().drinkerName()));
        event.add(new Sequence((int) brew.clock().state()));
        return Optional.of(event);
    }

    private static Instant begins(StepLine step, LiveLine line) {
        return line.beganAt() != null
                ? line.beganAt()
                : line.dueAt().minusMillis(Math.round(step.span().durationS() * 1000));
    }

    private VEvent event(
            BrewResponse brew,
            String what,
            Instant start,
            Instant end,
            String summary,
            String text,
            boolean cancelled) {
        VEvent event = CalendarText.event(clock.instant(), brew.head().id() + "." + what, start, end, summary, text);
        event.add(new Sequence((int) brew.clock().state()));
        if (cancelled) {
            event.add(new Status(Status.VALUE_CANCELLED));
        }
        return event;
    }

    // ---- jars

    /** When the rest of a pot is to be drunk; of what keeps for months there is nothing to say. */
    private List<VEvent> ofJar(JarResponse jar) {
        Instant by = jar.jar().goodUntil();
        if (by == null) {
            return List.of();
        }
        VEvent event = CalendarText.event(
                clock.instant(),
                jar.id() + ".jar",
                by,
                by,
                CalendarText.said("calendar.jar", jar.name(), jar.drinkerName()),
                jar.text());
        event.add(new Sequence(0));
        return List.of(event);
    }
}
