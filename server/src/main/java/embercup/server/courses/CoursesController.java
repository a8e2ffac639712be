package embercup.server.courses;

import embercup.server.courses.CourseRequest.CupRequest;
import embercup.server.courses.CourseRequest.EndRequest;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Recipes that are drunk day by day. */
@RestController
@RequestMapping("/api/courses")
class CoursesController {

    private final Courses courses;

    CoursesController(Courses courses) {
        this.courses = courses;
    }

    /** Those that run or are to come, then those of the last months. */
    @GetMapping
    List<CourseResponse> courses() {
        return courses.all();
    }

    @GetMapping("/{id}")
    CourseResponse course(@PathVariable UUID id) {
        return courses.get(id);
    }

    /** How it would be; nothing is kept. */
    @PostMapping("/preview")
    CourseResponse previewCourse(@Valid @RequestBody CourseRequest ask) {
        return courses.preview(ask);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    CourseResponse addCourse(@Valid @RequestBody CourseRequest ask) {
        return courses.add(ask);
    }

    /** Longer, shorter, at other times, by others. */
    @PutMapping("/{id}")
    CourseResponse changeCourse(@PathVariable UUID id, @Valid @RequestBody CourseRequest ask) {
        return courses.change(id, ask);
    }

    /** It is better, or not to be gone on with. */
    @PostMapping("/{id}/end")
    CourseResponse endCourse(@PathVariable UUID id, @Valid @RequestBody EndRequest ask) {
        return courses.end(id, ask);
    }

    /** It was not over after all. */
    @DeleteMapping("/{id}/end")
    CourseResponse resumeCourse(@PathVariable UUID id) {
        return courses.resume(id);
    }

    /** A cup of it is drunk: poured of a brew, or from elsewhere. */
    @PostMapping("/{id}/cups")
    CourseResponse drinkCup(@PathVariable UUID id, @Valid @RequestBody CupRequest ask) {
        return courses.drink(id, ask);
    }

    /** It was not drunk after all; one that was poured of a brew is undone there. */
    @DeleteMapping("/{id}/cups/{cupId}")
    CourseResponse takeCupBack(@PathVariable UUID id, @PathVariable UUID cupId) {
        return courses.takeBack(id, cupId);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeCourse(@PathVariable UUID id) {
        courses.remove(id);
    }
}
