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
import embercup.server.brews.EventRequest.AbandonedRequest;
import embercup.server.brews.EventRequest.CupActedRequest;
import embercup.server.brews.EventRequest.CupBegunRequest;
import embercup.server.brews.EventRequest.EmptiedRequest;
import embercup.server.brews.EventRequest.FinishedRequest;
import embercup.server.brews.EventRequest.JarNotedRequest;
import embercup.server.brews.EventRequest.KeptRequest;
import embercup.server.brews.EventRequest.MarcGoneRequest;
import embercup.server.brews.EventRequest.MarcKeptRequest;
import embercup.server.brews.EventRequest.MeasuredRequest;
import embercup.server.brews.EventRequest.NotedRequest;
import embercup.server.brews.EventRequest.PouredRequest;
import embercup.server.brews.EventRequest.ShakenRequest;
import embercup.server.brews.EventRequest.StartedRequest;
import embercup.server.brews.EventRequest.StepDoneRequest;
import embercup.server.brews.EventRequest.TurnedRequest;
import embercup.server.brews.EventRequest.UndoneRequest;
import embercup.server.platform.Fields;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Reads an {@link EventRequest} into the core's {@link BrewEvent}. */
final class EventFromRequest {

    private EventFromRequest() {}

    /** When it happened by the server's clock. */
    static Instant at(EventRequest doc, Instant now) {
        double age = doc.ageS() == null ? 0 : doc.ageS();
        return now.minus(Duration.ofMillis(Math.round(age * 1000)));
    }

    /** @throws InvalidInputException when a field is missing or wrong for its kind */
    static BrewEvent read(EventRequest doc, Instant at, BrewPlan plan) {
        UUID id = Fields.need(doc.id(), "id", Need.CLIENT_ID);
        if (doc instanceof StartedRequest) {
            return new BrewEvent.Started(id, at);
        } else if (doc instanceof StepDoneRequest done) {
            Sign sign = Fields.oneOf(Sign.class, done.sign(), "sign", Sign.PLAN);
            return new BrewEvent.StepDone(id, at, step(done, plan), sign);
        } else if (doc instanceof TurnedRequest turned) {
            return new BrewEvent.Turned(id, at, Fields.oneOf(Turn.class, turned.turn(), "turn"));
        } else if (doc instanceof PouredRequest poured) {
            double ml = Fields.need(poured.value(), "value", Need.POURED);
            return new BrewEvent.Poured(id, at, ml, Optional.ofNullable(poured.drinkerId()));
        } else if (doc instanceof KeptRequest) {
            return new BrewEvent.Kept(id, at);
        } else if (doc instanceof EmptiedRequest) {
            return new BrewEvent.Emptied(id, at);
        } else if (doc instanceof JarNotedRequest noted) {
            return new BrewEvent.JarNoted(id, at, Fields.textOrEmpty(noted.text(), "text", Length.LINE));
        } else if (doc instanceof CupBegunRequest begun) {
            double ml = Fields.need(begun.value(), "value", Need.CUP_SIZE);
            return new BrewEvent.CupBegun(
                    id,
                    at,
                    Fields.within(ml, "value", Limit.CUP_ML),
                    !Boolean.FALSE.equals(begun.warm()),
                    Optional.ofNullable(begun.drinkerId()));
        } else if (doc instanceof CupActedRequest acted) {
            return new BrewEvent.CupActed(id, at, Fields.need(acted.act(), "act", Need.ACT));
        } else if (doc instanceof MarcKeptRequest) {
            return new BrewEvent.MarcKept(id, at);
        } else if (doc instanceof MarcGoneRequest) {
            return new BrewEvent.MarcGone(id, at);
        } else if (doc instanceof ShakenRequest) {
            return new BrewEvent.Shaken(id, at);
        } else if (doc instanceof MeasuredRequest measured) {
            return measured(measured, id, at);
        } else if (doc instanceof NotedRequest noted) {
            return noted(noted, id, at);
        } else if (doc instanceof UndoneRequest undone) {
            return new BrewEvent.Undone(id, at, Fields.need(undone.event(), "event", Need.EVENT));
        } else if (doc instanceof FinishedRequest) {
            return new BrewEvent.Finished(id, at);
        }
        String why = ((AbandonedRequest) doc).why();
        return new BrewEvent.Abandoned(id, at, Fields.textOrEmpty(why, "why", Length.LINE));
    }

    private static String step(StepDoneRequest doc, BrewPlan plan) {
        String key = doc.step() == null ? "" : doc.step();
        List<String> known = plan.steps().stream().map(Step::id).toList();
        if (!known.contains(key)) {
            throw InvalidInputException.of("step", key, new Wanted.StepOfPlan(known));
        }
        return key;
    }

    private static BrewEvent measured(MeasuredRequest doc, UUID id, Instant at) {
        Reading reading = Fields.oneOf(Reading.class, doc.reading(), "reading");
        double value = Fields.need(doc.value(), "value", Need.READING);
        Limit limit =
                switch (reading) {
                    case TEMPERATURE_C -> Limit.READ_C;
                    case VOLUME_ML -> Limit.READ_ML;
                    case WEIGHT_G -> Limit.READ_G;
                    case LEVEL_CM -> Limit.READ_CM;
                };
        return new BrewEvent.Measured(id, at, reading, Fields.within(value, "value", limit));
    }

    private static BrewEvent noted(NotedRequest doc, UUID id, Instant at) {
        EventRequest.Noticed said = doc.noticed();
        return new BrewEvent.Noted(
                id,
                at,
                doc.strength() == null ? OptionalInt.empty() : OptionalInt.of(doc.strength()),
                number(doc.liking()),
                Fields.textOrEmpty(said.taste(), "taste", Length.NOTE),
                Fields.textOrEmpty(said.change(), "change", Length.NOTE),
                new BrewEvent.Look(
                        said.colour() == null ? "" : said.colour(),
                        said.clarity() == null ? "" : said.clarity(),
                        Fields.textOrEmpty(said.smell(), "smell", Length.LINE),
                        Fields.textOrEmpty(said.effect(), "effect", Length.REMARK),
                        Fields.textOrEmpty(said.meanwhile(), "meanwhile", Length.REMARK)));
    }

    private static int number(@Nullable Integer value) {
        return value == null ? 0 : value;
    }
}
