package embercup.server.devices;

import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Need;
import embercup.server.platform.Fields;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
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

    /** {@code tare} makes the load the new zero; {@code put} and {@code take} are the hands, in grams. */
    record ScaleAsk(
            @Schema(allowableValues = {"tare", "put", "take"}) @Nullable
            String command,

            @Schema(minimum = "0", maximum = "5000") @Nullable
            Double grams) {}

    @PostMapping
    Scale.Weight command(@RequestBody ScaleAsk ask) {
        switch (Fields.text(ask.command(), "command", 10)) {
            case "tare" -> scale.tare();
            case "put" -> scale.put(grams(ask));
            case "take" -> scale.put(-grams(ask));
            default ->
                throw InvalidInputException.of(
                        "command", String.valueOf(ask.command()), new Wanted.OneOf(List.of("tare", "put", "take")));
        }
        return scale.read();
    }

    private static double grams(ScaleAsk ask) {
        return Fields.within(Fields.need(ask.grams(), "grams", Need.GRAMS), "grams", Limit.SCALE_G);
    }

    /** Four readings a second, as {@code weight} events. */
    @GetMapping(path = "/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream() {
        return ticker.open("weight", scale::read);
    }
}
