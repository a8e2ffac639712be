package embercup.server.platform;

import embercup.core.materia.Tradition;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Schools.Choice;
import embercup.core.recipe.Schools.Question;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Wanted;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** The schools on the wire: a choice by question, only where the cook departs from her tradition. */
public final class SchoolsFromRequest {

    private SchoolsFromRequest() {}

    /**
     * The tradition's answers, the household's over them, the order's over both.
     *
     * @throws InvalidInputException for an unknown question or choice, naming the known ones
     */
    public static Schools read(
            @Nullable Map<String, String> chosen, Map<String, String> household, Tradition tradition) {
        Schools held = over(Schools.of(tradition), household);
        return chosen == null ? held : over(held, chosen);
    }

    private static Schools over(Schools before, Map<String, String> chosen) {
        Schools schools = before;
        for (Map.Entry<String, String> entry : chosen.entrySet()) {
            Question question = Question.ofCode(entry.getKey())
                    .orElseThrow(() -> InvalidInputException.of(
                            "schools",
                            entry.getKey(),
                            new Wanted.OneOf(Arrays.stream(Question.values())
                                    .map(Question::code)
                                    .toList())));
            schools = schools.with(question.choices().stream()
                    .filter(c -> c.code().equals(entry.getValue()))
                    .findFirst()
                    .orElseThrow(() -> InvalidInputException.of(
                            "schools." + question.code(),
                            String.valueOf(entry.getValue()),
                            new Wanted.OneOf(question.choices().stream()
                                    .map(Choice::code)
                                    .toList()))));
        }
        return schools;
    }

    /** Every question with the choice that is held. */
    public static Map<String, String> write(Schools schools) {
        Map<String, String> all = new TreeMap<>();
        for (Question q : Question.values()) {
            all.put(q.code(), schools.chosen(q).code());
        }
        return all;
    }
}
