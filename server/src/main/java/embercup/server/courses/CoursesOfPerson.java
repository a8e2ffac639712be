package embercup.server.courses;

import embercup.server.courses.CourseRows.Drinker;
import embercup.server.people.PersonTraces;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Courses of somebody: who is forgotten is on none, and what was drunk by her alone is gone with her. */
@Component
class CoursesOfPerson implements PersonTraces {

    private final CourseRepository repository;
    private final CourseRows rows;
    private final JsonMapper json;

    CoursesOfPerson(CourseRepository repository, CourseRows rows, JsonMapper json) {
        this.repository = repository;
        this.rows = rows;
        this.json = json;
    }

    @Override
    @Transactional
    public void forget(UUID id, String name) {
        for (CourseEntity e : repository.findAll()) {
            List<Drinker> drinkers = rows.drinkers(e);
            List<Drinker> others =
                    drinkers.stream().filter(d -> !id.equals(d.drinkerId())).toList();
            if (others.size() == drinkers.size()) {
                continue;
            }
            if (others.isEmpty()) {
                repository.delete(e);
            } else {
                e.drinkers = json.writeValueAsString(others);
                repository.save(e);
            }
        }
    }
}
