package embercup.server.archive;

import java.util.Arrays;
import java.util.List;
import java.util.Map;

/**
 * What of the database an archive holds, in the order in which it goes back: what is named by others comes before them. A line of a
 * file is a row of its table, a field is a column.
 */
enum ArchivedTable {
    PEOPLE("person", "id"),
    VESSELS("vessel", "id"),
    BURNERS("burner", "id"),
    KITCHEN("kitchen", "id"),
    OWN_HERBS("own_herb", "slug"),
    RECIPES("recipe", "created_at, id"),
    RECIPE_VERSIONS("recipe_version", "recipe_id, version"),
    BREWS("brew", "created_at, id"),
    EVENTS("brew_event", "position"),
    FIGURES("brew_figures", "brew_id", "document"),
    PHOTOS("brew_photo", "brew_id"),
    NOTES("notebook_entry", "brewed_at, brew_id"),
    TINS("shelf_tin", "herb, form"),
    MIXED("mixed", "at, id"),
    OBSERVATIONS("stove_observation", "at, id"),
    LEARNED("learned_switch", "what"),
    COURSES("course", "created_at, id"),
    COURSE_CUPS("course_cup", "at, id");

    /** Tables that stay out, each with its reason; every other one is above. */
    static final Map<String, String> LEFT_OUT = Map.of(
            "calendar_address", "a secret of whoever asks for the calendar",
            "device", "a device is let in by this machine's own certificates",
            "pairing_code", "lives two minutes",
            "door_audit", "says who came to this machine's door",
            "spring_session", "a secret of a device",
            "spring_session_attributes", "a secret of a device",
            "simulated_scale", "what lies on a scale is not kept",
            "disk_trial", "nothing of the household",
            "flyway_schema_history", "the manifest has its number");

    /** Whose bytes are files beside their rows. */
    static final String BYTES = "bytes";

    final String table;
    final String order;
    /** A column of long text that is never missing; empty for none. */
    final String longText;

    ArchivedTable(String table, String order) {
        this(table, order, "");
    }

    ArchivedTable(String table, String order, String longText) {
        this.table = table;
        this.order = order;
        this.longText = longText;
    }

    /** The file of its rows, one JSON object a line. */
    String file() {
        return table + ".jsonl";
    }

    static List<String> files() {
        return Arrays.stream(values()).map(ArchivedTable::file).toList();
    }
}
