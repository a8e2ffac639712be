package embercup.server.brews;

import embercup.server.platform.WorkingsLine;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

@RestController
@RequestMapping("/api/brews")
class BrewsController {

    private final Brews brews;
    private final BrewStreams streams;

    BrewsController(Brews brews, BrewStreams streams) {
        this.brews = brews;
        this.streams = streams;
    }

    /** Planned and running brews. */
    @GetMapping
    List<BrewResponse.BrewLine> brews() {
        return brews.open();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    BrewResponse addBrew(@Valid @RequestBody BrewRequest ask) {
        return brews.add(ask);
    }

    @GetMapping("/{id}")
    BrewResponse brew(@PathVariable UUID id) {
        return brews.get(id);
    }

    /** Deletes a brew that is over, with its note and its photo. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeBrew(@PathVariable UUID id) {
        brews.remove(id);
    }

    /** Why the numbers of its plan are what they are. */
    @GetMapping("/{id}/workings")
    Map<String, WorkingsLine> workings(@PathVariable UUID id) {
        return WorkingsLine.of(brews.workings(id));
    }

    @PostMapping("/{id}/events")
    ResponseEntity<BrewResponse> recordEvent(
            @PathVariable UUID id, @Valid @RequestBody EventRequest event, HttpServletRequest request) {
        if (!request.isUserInRole("COOK")) {
            brews.refuseHelper(id, event);
        }
        return brews.record(id, event)
                .map(ResponseEntity::ok)
                .orElse(ResponseEntity.noContent().build());
    }

    /** Server-sent events: the whole brew, now and after every change. */
    @GetMapping(path = "/{id}/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream(@PathVariable UUID id) {
        return streams.open(id);
    }
}
