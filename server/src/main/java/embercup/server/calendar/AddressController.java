package embercup.server.calendar;

import embercup.server.calendar.CalendarAddress.AddressResponse;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The address of the calendar: a cook makes and closes it; who knows it reads without being paired. */
@RestController
class AddressController {

    private final CalendarAddress address;
    private final HouseCalendar house;

    AddressController(CalendarAddress address, HouseCalendar house) {
        this.address = address;
        this.house = house;
    }

    @GetMapping("/api/household/calendar-address")
    AddressResponse calendarAddress() {
        return address.stands();
    }

    /** A new one, said this once; the one before is over. */
    @PostMapping("/api/household/calendar-address")
    AddressResponse renewCalendarAddress() {
        return address.renew();
    }

    @DeleteMapping("/api/household/calendar-address")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void closeCalendarAddress() {
        address.close();
    }

    /** Asked by calendars; outside the interface of the pages, and open to whoever knows its secret. */
    @GetMapping(value = "/calendar/{secret}.ics", produces = CalendarController.TYPE)
    ResponseEntity<byte[]> subscribed(@PathVariable String secret) {
        address.opened(secret);
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(house.all());
    }
}
