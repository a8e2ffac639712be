package embercup.server.week;

import embercup.core.workings.Limit;
import embercup.server.platform.Download;
import embercup.server.platform.Fields;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The days to come and what is to be got for them. */
@RestController
@RequestMapping("/api/week")
class WeekController {

    private final Week week;

    WeekController(Week week) {
        this.week = week;
    }

    /** @param days from today on */
    @GetMapping
    WeekResponse week(@RequestParam(defaultValue = "7") int days) {
        return week.of((int) Fields.within(days, "days", Limit.WEEK_DAYS));
    }

    /** The shopping list. @param as {@code text} */
    @GetMapping(value = "/file", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> shoppingFile(
            @RequestParam(defaultValue = "7") int days, @RequestParam(defaultValue = "text") String as) {
        Fields.onlyAs(as, "text");
        Fields.within(days, "days", Limit.WEEK_DAYS);
        return Download.of("herbs-to-get.txt", MediaType.TEXT_PLAIN_VALUE, week.text(days));
    }
}
