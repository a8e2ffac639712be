package embercup.server.learned;

import embercup.core.workings.Length;
import embercup.core.workings.Wanted.Need;
import embercup.server.platform.Fields;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/learned")
class LearnedController {

    private final Learned learned;

    LearnedController(Learned learned) {
        this.learned = learned;
    }

    /** What is learned of the stove. */
    @GetMapping
    List<LearnedResponse> stoves() {
        return learned.stoves();
    }

    /** {@code used} switches it; {@code forget} begins anew. */
    record LearnedRequest(
            @Size(max = Length.LINE) @Nullable String what,
            @Nullable Boolean used,
            @Nullable Boolean forget) {}

    @PostMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@Valid @RequestBody LearnedRequest ask) {
        String what = Fields.text(ask.what(), "what", Length.LINE);
        if (Boolean.TRUE.equals(ask.forget())) {
            learned.forget(what);
        } else {
            learned.use(what, Fields.need(ask.used(), "used", Need.SWITCH));
        }
    }
}
