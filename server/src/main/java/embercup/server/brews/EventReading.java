package embercup.server.brews;

import embercup.core.brew.Turn;
import embercup.core.live.BrewEvent;
import embercup.core.live.BrewEvent.Reading;
import embercup.core.live.BrewEvent.Sign;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Step;
import embercup.core.workings.InvalidInput;
import embercup.server.platform.Fields;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Reads an {@link EventDoc} into the core's {@link BrewEvent}. */
final class EventReading {

    /** A phone that was away longer than this has nothing to tell of a brew, s. */
    private static final double LONGEST_AGE_S = 100.0 * 24 * 3600;

    private EventReading() {}

    /** When it happened by the server's clock. @throws InvalidInput for an age that cannot be */
    static Instant at(EventDoc doc, Instant now) {
        double age = doc.ageS() == null ? 0 : doc.ageS();
        InvalidInput.Check check = new InvalidInput.Check();
        check.range("ageS", age, 0, LONGEST_AGE_S, "s");
        check.throwIfAny();
        return now.minus(Duration.ofMillis(Math.round(age * 1000)));
    }

    /** @throws InvalidInput when a field is missing or wrong for its kind */
    static BrewEvent read(EventDoc doc, Instant at, BrewPlan plan) {
        UUID id = Fields.need(doc.id(), "id", "a UUID made by the client");
        String kind = doc.kind() == null ? "" : doc.kind();
        return switch (kind) {
            case "started" -> new BrewEvent.Started(id, at);
            case "step-done" ->
                new BrewEvent.StepDone(
                        id, at, step(doc, plan), Fields.oneOf(Sign.class, doc.sign(), "sign", Sign.PLAN));
            case "turned" -> new BrewEvent.Turned(id, at, Fields.oneOf(Turn.class, doc.turn(), "turn"));
            case "poured" -> poured(doc, id, at);
            case "measured" -> measured(doc, id, at);
            case "noted" -> noted(doc, id, at);
            case "undone" ->
                new BrewEvent.Undone(id, at, Fields.need(doc.event(), "event", "the id of the event to undo"));
            case "finished" -> new BrewEvent.Finished(id, at);
            case "abandoned" -> new BrewEvent.Abandoned(id, at, Fields.textOrEmpty(doc.why(), "why", 200));
            default ->
                throw InvalidInput.of(
                        "kind",
                        kind,
                        "one of: started step-done turned measured poured noted undone finished abandoned");
        };
    }

    private static String step(EventDoc doc, BrewPlan plan) {
        String key = doc.step() == null ? "" : doc.step();
        if (plan.steps().stream().noneMatch(s -> s.key().equals(key))) {
            String known = plan.steps().stream().map(Step::key).collect(Collectors.joining(" "));
            throw InvalidInput.of("step", key, "a step of this plan: " + known);
        }
        return key;
    }

    private static BrewEvent measured(EventDoc doc, UUID id, Instant at) {
        Reading reading = Fields.oneOf(Reading.class, doc.reading(), "reading");
        double value = Fields.need(doc.value(), "value", "the number that was read");
        InvalidInput.Check check = new InvalidInput.Check();
        switch (reading) {
            case TEMPERATURE_C -> check.range("value", value, -20, 130, "°C");
            case VOLUME_ML -> check.range("value", value, 0, 60_000, "mL");
            case WEIGHT_G -> check.range("value", value, 0, 60_000, "g");
            case LEVEL_CM -> check.range("value", value, 0, 60, "cm");
        }
        check.throwIfAny();
        return new BrewEvent.Measured(id, at, reading, value);
    }

    private static BrewEvent poured(EventDoc doc, UUID id, Instant at) {
        double millilitres = Fields.need(doc.value(), "value", "mL that were poured");
        InvalidInput.Check check = new InvalidInput.Check();
        check.range("value", millilitres, 1, 60_000, "mL");
        check.throwIfAny();
        return new BrewEvent.Poured(id, at, millilitres);
    }

    private static BrewEvent noted(EventDoc doc, UUID id, Instant at) {
        int strength = number(doc.strength(), 0);
        int liking = number(doc.liking(), 0);
        InvalidInput.Check check = new InvalidInput.Check();
        check.range("strength", strength, -2, 2, "");
        check.range("liking", liking, 0, 5, "");
        check.throwIfAny();
        return new BrewEvent.Noted(
                id,
                at,
                strength,
                liking,
                Fields.textOrEmpty(doc.taste(), "taste", 600),
                Fields.textOrEmpty(doc.change(), "change", 600),
                new BrewEvent.Look(
                        among(doc.colour(), EventDoc.COLOURS, "colour"),
                        among(doc.clarity(), EventDoc.CLARITIES, "clarity"),
                        Fields.textOrEmpty(doc.smell(), "smell", 200),
                        Fields.textOrEmpty(doc.effect(), "effect", 400),
                        Fields.textOrEmpty(doc.meanwhile(), "meanwhile", 400)));
    }

    private static String among(@Nullable String word, List<String> known, String field) {
        if (word == null || word.isEmpty()) {
            return "";
        }
        if (!known.contains(word)) {
            throw InvalidInput.of(field, word, "one of: " + String.join(" ", known));
        }
        return word;
    }

    private static int number(@Nullable Integer value, int otherwise) {
        return value == null ? otherwise : value;
    }
}
