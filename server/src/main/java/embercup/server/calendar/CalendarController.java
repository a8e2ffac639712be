package embercup.server.calendar;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Brews with the steps that need hands, and what is to be drunk, for the calendar of a phone. */
@RestController
@RequestMapping("/api/calendar.ics")
class CalendarController {

    static final String TYPE = "text/calendar;charset=utf-8";

    private final HouseCalendar house;

    CalendarController(HouseCalendar house) {
        this.house = house;
    }

    /** @param brew one brew alone; all that is planned, on the fire and in jars when it is not said */
    @GetMapping(produces = TYPE)
    ResponseEntity<byte[]> calendar(@RequestParam(required = false) @Nullable UUID brew) {
        String name = brew == null ? "ember-cup.ics" : "brew-" + brew + ".ics";
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(brew == null ? house.all() : house.one(brew));
    }
}
