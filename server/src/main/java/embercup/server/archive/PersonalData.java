package embercup.server.archive;

import embercup.server.brews.DrinkersDays;
import embercup.server.people.People;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Everything that is kept about somebody: to be given to her, and to be said before it is erased. */
@Component
class PersonalData {

    /** What of hers stands where, as rows of JSON. */
    private static final Map<String, String> QUERIES = Map.of(
            "person", "select row_to_json(r)::text from (select * from person where id = :person) r",
            "brews",
                    "select row_to_json(r)::text from (select id, name, drinker_name, cups, phase, started_at, ended_at, request, pours, loads"
                            + " from brew b where " + DrinkersDays.HERS + " order by created_at, id) r",
            "notes",
                    "select row_to_json(r)::text from (select name, brewed_at, cups, felt, liking, taste, change, colour, clarity, smell,"
                            + " effect, meanwhile from notebook_entry where drinker_id = :person order by brewed_at, brew_id) r",
            "courses",
                    "select row_to_json(r)::text from (select name, drinkers, first_day, days, times, ended_on, ended_why from course"
                            + " where drinkers @> jsonb_build_array(jsonb_build_object('drinkerId', cast(:person as text))) order by first_day, id) r",
            "learned",
                    "select row_to_json(r)::text from (select * from learned_switch where what like '%|' || cast(:person as text)) r");

    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final People people;

    PersonalData(JdbcClient jdbc, JsonMapper json, People people) {
        this.jdbc = jdbc;
        this.json = json;
        this.people = people;
    }

    /**
     * How much is kept about somebody.
     *
     * @param brews that she drank, hers or shared: her name and what is minded of her leave them, what was brewed stays
     * @param notes of hers: her name leaves them
     * @param courses that she drinks; those of hers alone go with her
     */
    record KeptOfPerson(int brews, int notes, int courses) {}

    /** @throws embercup.server.platform.RefusedException 404 when there is no such person */
    @Transactional(readOnly = true)
    public KeptOfPerson counted(UUID id) {
        people.get(id);
        return new KeptOfPerson(
                rows("brews", id).size(),
                rows("notes", id).size(),
                rows("courses", id).size());
    }

    /** All of it as one JSON document. @throws embercup.server.platform.RefusedException 404 when there is no such person */
    @Transactional(readOnly = true)
    public String document(UUID id) {
        people.get(id);
        Map<String, List<JsonNode>> all = new LinkedHashMap<>();
        for (String what : List.of("person", "brews", "notes", "courses", "learned")) {
            all.put(what, rows(what, id).stream().map(json::readTree).toList());
        }
        return json.writerWithDefaultPrettyPrinter().writeValueAsString(all);
    }

    private List<String> rows(String what, UUID id) {
        return jdbc.sql(QUERIES.get(what))
                .param("person", id)
                .query(String.class)
                .list();
    }
}
