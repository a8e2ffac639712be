package embercup.core.reading;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the cook has answered of an earlier reading of the same text. Immutable. */
public final class Answers {

    public static final Answers NONE = new Answers(List.of());

    private final Map<String, String> all = new HashMap<>();

    /**
     * @param line index of the line, from 0
     * @param key of its question
     * @param value of the choice
     */
    public record Answer(int line, String key, String value) {}

    public Answers(List<Answer> answers) {
        answers.forEach(a -> all.put(a.line + ":" + a.key, a.value));
    }

    Optional<String> to(int line, String key) {
        return Optional.ofNullable(all.get(line + ":" + key));
    }
}
