package embercup.server.devices;

import embercup.core.workings.Limit;
import embercup.core.workings.Wanted.Need;
import embercup.server.brews.BrewResponse;
import embercup.server.brews.Brews;
import embercup.server.platform.Fields;
import embercup.server.platform.Within;
import jakarta.validation.Valid;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The simulated kitchen of a brew: its readings as they come, and the speed of its clock. */
@RestController
@RequestMapping("/api/devices/kitchen/{brewId}")
class SimulatedKitchenController {

    private final KitchenInstruments instruments;
    private final Brews brews;
    private final Ticker ticker;

    SimulatedKitchenController(KitchenInstruments instruments, Brews brews, Ticker ticker) {
        this.instruments = instruments;
        this.brews = brews;
        this.ticker = ticker;
    }

    record SpeedRequest(@Within(Limit.CLOCK_SPEED) @Nullable Double speed) {}

    /** Puts the brew into a simulated kitchen whose clock runs {@code speed} times as fast. */
    @PostMapping
    BrewResponse simulate(@PathVariable UUID brewId, @Valid @RequestBody SpeedRequest ask) {
        return brews.simulate(brewId, Fields.need(ask.speed(), "speed", Need.SPEED));
    }

    /** Four readings a second, as {@code readings} events. */
    @GetMapping(path = "/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream(@PathVariable UUID brewId) {
        instruments.read(brewId);
        return ticker.open("readings", () -> instruments.read(brewId));
    }
}
