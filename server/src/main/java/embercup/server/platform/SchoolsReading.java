package embercup.server.platform;

import embercup.core.materia.Tradition;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Schools.Choice;
import embercup.core.recipe.Schools.Question;
import embercup.core.workings.InvalidInput;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The schools on the wire: a choice by question, only where the cook departs from her tradition. */
public final class SchoolsReading {

    private SchoolsReading() {}

    /**
     * The tradition's answers, the household's over them, the order's over both.
     *
     * @throws InvalidInput for an unknown question or choice, naming the known ones
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
                    .orElseThrow(() -> InvalidInput.of(
                            "schools",
                            entry.getKey(),
                            "one of: "
                                    + Arrays.stream(Question.values())
                                            .map(Question::code)
                                            .collect(Collectors.joining(" "))));
            schools = schools.with(question.choices().stream()
                    .filter(c -> c.code().equals(entry.getValue()))
                    .findFirst()
                    .orElseThrow(() -> InvalidInput.of(
                            "schools." + question.code(),
                            String.valueOf(entry.getValue()),
                            "one of: "
                                    + question.choices().stream()
                                            .map(Choice::code)
                                            .collect(Collectors.joining(" ")))));
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
