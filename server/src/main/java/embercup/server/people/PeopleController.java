package embercup.server.people;

import embercup.server.people.Person.PersonRequest;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/people")
class PeopleController {

    private final People people;

    PeopleController(People people) {
        this.people = people;
    }

    @GetMapping
    List<Person> people() {
        return people.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Person addPerson(@Valid @RequestBody PersonRequest draft) {
        return people.add(draft);
    }

    @PutMapping("/{id}")
    Person changePerson(@PathVariable UUID id, @Valid @RequestBody PersonRequest draft) {
        return people.change(id, draft);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removePerson(@PathVariable UUID id, @RequestParam(defaultValue = "false") boolean forget) {
        people.remove(id, forget);
    }
}
