package embercup.server.calendar;

import embercup.server.brews.BrewResponse;
import embercup.server.brews.BrewResponse.LiveLine;
import embercup.server.brews.Brews;
import embercup.server.brews.Jars;
import embercup.server.brews.Jars.JarResponse;
import embercup.server.plans.StepLine;
import embercup.server.platform.HouseWords;
import embercup.server.platform.RefusedException;
import java.nio.charset.StandardCharsets;
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
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Status;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
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

    /** Octets that a line may have, without its end (RFC 5545, 3.1). */
    private static final int LINE_OCTETS = 75;

    private static final String HOUSE = "@ember-cup";

    private final Brews brews;
    private final Jars jars;
    private final Clock clock;

    HouseCalendar(Brews brews, Jars jars, Clock clock) {
        this.brews = brews;
        this.jars = jars;
        this.clock = clock;
    }

    /** All that is planned, on the fire and in jars, and what was given up of late. */
    String all() {
        List<VEvent> events = new ArrayList<>();
        brews.openOrGivenUpSince(clock.instant().minus(CANCELLED_TOLD))
                .forEach(id -> readable(id).ifPresent(b -> events.addAll(ofBrew(b))));
        jars.all().forEach(j -> events.addAll(ofJar(j)));
        return written(events);
    }

    /** A brew whose plan cannot be read any more fails no calendar: it has no times that could stand there. */
    private Optional<BrewResponse> readable(UUID id) {
        try {
            return Optional.of(brews.get(id));
        } catch (RefusedException e) {
            return Optional.empty();
        }
    }

    /** @throws RefusedException 404 when there is no such brew */
    String one(UUID brew) {
        List<VEvent> events = new ArrayList<>(ofBrew(brews.get(brew)));
        jars.all().stream().filter(j -> j.id().equals(brew)).forEach(j -> events.addAll(ofJar(j)));
        return written(events);
    }

    private static String written(List<VEvent> events) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Ember Cup//Household//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(ImmutableMethod.PUBLISH);
        events.forEach(calendar::add);
        return folded(calendar.toString());
    }

    /** The library folds by characters, the standard by octets, and never within a character. */
    private static String folded(String text) {
        StringBuilder lines = new StringBuilder();
        int octets = 0;
        for (int i = 0; i < text.length(); i = text.offsetByCodePoints(i, 1)) {
            String one = Character.toString(text.codePointAt(i));
            int more = one.getBytes(StandardCharsets.UTF_8).length;
            if (one.equals("\r") || one.equals("\n")) {
                octets = 0;
                lines.append(one);
                continue;
            }
            if (octets + more > LINE_OCTETS) {
                lines.append("\r\n ");
                octets = 1;
            }
            lines.append(one);
            octets += more;
        }
        return lines.toString();
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
                said("calendar.brew", brew.head().name(), brew.head().drinkerName()),
                steps,
                cancelled));
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
        VEvent event = event(brew.head().id() + "." + what, start, end, summary, text);
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
        VEvent event =
                event(jar.id() + ".jar", by, by, said("calendar.jar", jar.name(), jar.drinkerName()), jar.text());
        event.add(new Sequence(0));
        return List.of(event);
    }

    private VEvent event(String uid, Instant start, Instant end, String summary, String text) {
        VEvent event = new VEvent(start, end, summary);
        event.removeAll("DTSTAMP");
        event.add(new DtStamp(clock.instant()));
        event.add(new Uid(uid + HOUSE));
        if (!text.isEmpty()) {
            event.add(new Description(text));
        }
        return event;
    }

    private static String said(String key, String name, String drinker) {
        return HouseWords.words()
                .sentence(key, Map.of("name", name, "drinker", drinker, "forTrue", String.valueOf(!drinker.isEmpty())));
    }
}
