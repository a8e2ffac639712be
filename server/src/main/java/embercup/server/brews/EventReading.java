package embercup.server.brews;

import embercup.core.brew.Turn;
import embercup.core.live.BrewEvent;
import embercup.core.live.BrewEvent.Reading;
import embercup.core.live.BrewEvent.Sign;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Step;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Need;
import embercup.server.platform.Fields;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Reads an {@link EventDoc} into the core's {@link BrewEvent}. */
final class EventReading {

    private EventReading() {}

    /** When it happened by the server's clock. @throws InvalidInputException for an age that cannot be */
    static Instant at(EventDoc doc, Instant now) {
        double age = Fields.within(doc.ageS() == null ? 0 : doc.ageS(), "ageS", Limit.EVENT_AGE_S);
        return now.minus(Duration.ofMillis(Math.round(age * 1000)));
    }

    /** @throws InvalidInputException when a field is missing or wrong for its kind */
    static BrewEvent read(EventDoc doc, Instant at, BrewPlan plan) {
        UUID id = Fields.need(doc.id(), "id", Need.CLIENT_ID);
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
            case "undone" -> new BrewEvent.Undone(id, at, Fields.need(doc.event(), "event", Need.EVENT));
            case "finished" -> new BrewEvent.Finished(id, at);
            case "abandoned" -> new BrewEvent.Abandoned(id, at, Fields.textOrEmpty(doc.why(), "why", Length.LINE));
            default -> throw InvalidInputException.of("kind", kind, new Wanted.OneOf(EventDoc.KINDS));
        };
    }

    private static String step(EventDoc doc, BrewPlan plan) {
        String key = doc.step() == null ? "" : doc.step();
        List<String> known = plan.steps().stream().map(Step::id).toList();
        if (!known.contains(key)) {
            throw InvalidInputException.of("step", key, new Wanted.StepOfPlan(known));
        }
        return key;
    }

    private static BrewEvent measured(EventDoc doc, UUID id, Instant at) {
        Reading reading = Fields.oneOf(Reading.class, doc.reading(), "reading");
        double value = Fields.need(doc.value(), "value", Need.READING);
        InvalidInputException.Check check = new InvalidInputException.Check();
        switch (reading) {
            case TEMPERATURE_C -> check.range("value", value, Limit.READ_C);
            case VOLUME_ML -> check.range("value", value, Limit.READ_ML);
            case WEIGHT_G -> check.range("value", value, Limit.READ_G);
            case LEVEL_CM -> check.range("value", value, Limit.READ_CM);
        }
        check.throwIfAny();
        return new BrewEvent.Measured(id, at, reading, value);
    }

    private static BrewEvent poured(EventDoc doc, UUID id, Instant at) {
        double millilitres = Fields.need(doc.value(), "value", Need.POURED);
        InvalidInputException.Check check = new InvalidInputException.Check();
        check.range("value", millilitres, Limit.POURED_ML);
        check.throwIfAny();
        return new BrewEvent.Poured(id, at, millilitres);
    }

    private static BrewEvent noted(EventDoc doc, UUID id, Instant at) {
        int strength = number(doc.strength(), 0);
        int liking = number(doc.liking(), 0);
        InvalidInputException.Check check = new InvalidInputException.Check();
        check.range("strength", strength, Limit.FELT);
        if (liking != 0) {
            check.range("liking", liking, Limit.LIKING);
        }
        check.throwIfAny();
        return new BrewEvent.Noted(
                id,
                at,
                strength,
                liking,
                Fields.textOrEmpty(doc.taste(), "taste", Length.NOTE),
                Fields.textOrEmpty(doc.change(), "change", Length.NOTE),
                new BrewEvent.Look(
                        among(doc.colour(), EventDoc.COLOURS, "colour"),
                        among(doc.clarity(), EventDoc.CLARITIES, "clarity"),
                        Fields.textOrEmpty(doc.smell(), "smell", Length.LINE),
                        Fields.textOrEmpty(doc.effect(), "effect", Length.REMARK),
                        Fields.textOrEmpty(doc.meanwhile(), "meanwhile", Length.REMARK)));
    }

    private static String among(@Nullable String word, List<String> known, String field) {
        if (word == null || word.isEmpty()) {
            return "";
        }
        if (!known.contains(word)) {
            throw InvalidInputException.of(field, word, new Wanted.OneOf(known));
        }
        return word;
    }

    private static int number(@Nullable Integer value, int otherwise) {
        return value == null ? otherwise : value;
    }
}
