package embercup.server.plans;

import embercup.core.materia.Tradition;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Schools.Question;
import embercup.server.platform.Fields;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A question on which schools differ.
 *
 * @param why why the default is the default
 * @param defaults the choice each tradition makes
 */
record SchoolSheet(String question, String words, String why, List<ChoiceLine> choices, Map<String, String> defaults) {

    /** One answer. */
    record ChoiceLine(String choice, String words) {}

    static List<SchoolSheet> all() {
        return Arrays.stream(Question.values()).map(SchoolSheet::of).toList();
    }

    private static SchoolSheet of(Question q) {
        Map<String, String> defaults = new TreeMap<>();
        for (Tradition t : Tradition.values()) {
            defaults.put(Fields.code(t), Schools.of(t).chosen(q).code());
        }
        return new SchoolSheet(
                q.code(),
                q.words(),
                q.why(),
                q.choices().stream()
                        .map(c -> new ChoiceLine(c.code(), c.words()))
                        .toList(),
                defaults);
    }
}
