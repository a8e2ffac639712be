package embercup.server.plans;

import embercup.core.materia.Tradition;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Schools.Question;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * A question on which schools differ.
 *
 * @param why why the default is the default
 * @param defaults the choice each tradition makes
 * @param household the choice this household makes whatever the tradition; empty when it makes none
 */
record SchoolResponse(
        String question,
        String words,
        String why,
        List<ChoiceLine> choices,
        Map<String, String> defaults,
        @Nullable String household) {

    /** One answer. */
    record ChoiceLine(String choice, String words) {}

    static List<SchoolResponse> all(Map<String, String> household) {
        return Arrays.stream(Question.values())
                .map(q -> of(q, household.get(q.code())))
                .toList();
    }

    private static SchoolResponse of(Question q, @Nullable String household) {
        Map<String, String> defaults = new TreeMap<>();
        for (Tradition t : Tradition.values()) {
            defaults.put(Fields.code(t), Schools.of(t).chosen(q).code());
        }
        return new SchoolResponse(
                q.code(),
                HouseWords.words().name(q),
                HouseWords.words().why(q),
                q.choices().stream()
                        .map(c -> new ChoiceLine(c.code(), HouseWords.words().name(c)))
                        .toList(),
                defaults,
                household);
    }
}
