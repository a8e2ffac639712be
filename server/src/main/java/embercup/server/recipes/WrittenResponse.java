package embercup.server.recipes;

import com.fasterxml.jackson.annotation.JsonInclude;
import embercup.core.reading.Answers;
import embercup.core.reading.Asked;
import embercup.core.reading.Reading;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.Within;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A text read: the recipe, and what was made of every line.
 *
 * @param language code of the language it was read in
 * @param whole what was kept beside the recipe, of one that came back as it was; missing for one that was read
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
record WrittenResponse(
        RecipeDocument recipe,
        String language,
        List<WrittenLine> lines,
        @Nullable KeptBeside whole) {

    /** What is kept beside a recipe. */
    record KeptBeside(String about, List<String> purposes) {}

    /** A recipe of ours: every line of its text is of it, and nothing is asked. */
    static WrittenResponse whole(WholeRecipe.Carried carried) {
        return new WrittenResponse(
                carried.recipe(),
                "en",
                List.of(),
                new KeptBeside(
                        carried.about() == null ? "" : carried.about(),
                        carried.purposes() == null ? List.of() : carried.purposes()));
    }

    /**
     * A recipe as somebody wrote it.
     *
     * @param language code of its language; missing to tell it by its words
     * @param answers what the cook has answered of the same text
     */
    record ReadRequest(
            @Size(max = Length.WRITTEN) @Nullable String text,
            @Size(max = Length.CODE) @Nullable String language,
            @Within(Limit.ANSWERS) @Nullable List<@Valid AnswerPart> answers) {

        Answers given() {
            return answers == null
                    ? Answers.NONE
                    : new Answers(answers.stream()
                            .filter(a -> a.key != null && a.value != null)
                            .map(a -> new Answers.Answer(a.line, a.key, a.value))
                            .toList());
        }
    }

    /** One answer: the line, the key of its question, the value of the choice, or the slug of a herb. */
    record AnswerPart(
            @Within(Limit.TEXT_LINE) int line,
            @Size(max = Length.LINE) @Nullable String key,
            @Size(max = Length.LINE) @Nullable String value) {}

    /**
     * A line as it was written and what was made of it.
     *
     * @param marks runs of characters that were read, are asked about, or are kept
     * @param kept words that nothing was made of
     * @param addition index of the first addition it became, −1 for none
     * @param additions indices of all of them
     */
    record WrittenLine(
            String text,
            String kind,
            List<SpanLine> marks,
            List<String> reads,
            List<QuestionLine> asks,
            List<String> kept,
            int addition,
            List<Integer> additions) {}

    /** @param mark read, asked or kept @param to exclusive */
    record SpanLine(int from, int to, String mark) {}

    /**
     * A question of a line.
     *
     * @param key names it inside its line, for the answer
     * @param why what depends on it
     * @param herb whether any herb may be answered by its slug
     * @param taken value of the choice that is taken meanwhile
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record QuestionLine(
            String key,
            String question,
            @Nullable String why,
            boolean herb,
            List<AnswerLine> choices,
            @Nullable String taken) {}

    record AnswerLine(String value, String label) {}

    static WrittenResponse of(Reading reading) {
        return new WrittenResponse(
                RecipeToDocument.write(reading.recipe()),
                reading.language(),
                reading.lines().stream().map(WrittenResponse::line).toList(),
                null);
    }

    private static WrittenLine line(Reading.Line l) {
        return new WrittenLine(
                l.text(),
                Fields.code(l.kind()),
                l.spans().stream()
                        .map(s -> new SpanLine(s.from(), s.to(), Fields.code(s.mark())))
                        .toList(),
                l.reads().stream().map(HouseWords.words()::say).distinct().toList(),
                l.asks().stream().map(WrittenResponse::ask).toList(),
                l.kept(),
                l.additions().isEmpty() ? -1 : l.additions().get(0),
                l.additions());
    }

    private static QuestionLine ask(Asked asked) {
        boolean which = asked.question() instanceof Asked.Question.WhichHerb;
        String why = asked.question() instanceof Asked.Question.WhichHerb w ? w.why() : "";
        return new QuestionLine(
                asked.key(),
                HouseWords.words().say(asked.question()),
                why.isEmpty() ? null : why,
                which || asked.question() instanceof Asked.Question.NoHerb,
                asked.choices().stream()
                        .map(c -> new AnswerLine(c.value(), HouseWords.words().say(c)))
                        .toList(),
                asked.taken().orElse(null));
    }
}
