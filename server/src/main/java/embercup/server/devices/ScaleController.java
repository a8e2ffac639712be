package embercup.server.devices;

import embercup.core.workings.Limit;
import embercup.core.workings.Wanted.Need;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Fields;
import embercup.server.platform.Within;
import jakarta.validation.Valid;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The scale's live weight, and the hands that load the simulated one. */
@RestController
@RequestMapping("/api/devices/scale")
class ScaleController {

    private final SimulatedScale scale;
    private final Ticker ticker;

    ScaleController(SimulatedScale scale, Ticker ticker) {
        this.scale = scale;
        this.ticker = ticker;
    }

    enum Command {
        TARE,
        PUT,
        TAKE
    }

    /** {@code tare} makes the load the new zero; {@code put} and {@code take} are the hands, in grams. */
    record ScaleRequest(
            @CodeOf(Command.class) @Nullable String command,

            @Within(Limit.SCALE_G) @Nullable Double grams) {}

    @PostMapping
    Scale.Weight command(@Valid @RequestBody ScaleRequest ask) {
        switch (Fields.oneOf(Command.class, ask.command(), "command")) {
            case TARE -> scale.tare();
            case PUT -> scale.put(grams(ask));
            case TAKE -> scale.put(-grams(ask));
        }
        return scale.read();
    }

    private static double grams(ScaleRequest ask) {
        return Fields.need(ask.grams(), "grams", Need.GRAMS);
    }

    /** Four readings a second, as {@code weight} events. */
    @GetMapping(path = "/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream() {
        return ticker.open("weight", scale::read);
    }
}
