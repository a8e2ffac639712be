package embercup.core.words;

import embercup.core.workings.Code;
import embercup.core.workings.Wanted;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Says what would have been right. Codes are said as they are written on the wire. Stateless. */
final class WantedWords {

    private static final String NONE = "none";

    private WantedWords() {}

    static String say(Words words, Wanted wanted) {
        Map<String, Object> all = new HashMap<>();
        String key = "wanted." + Code.of(wanted.getClass());
        if (wanted instanceof Wanted.Needed needed) {
            return words.text("need." + Code.of(needed.what()));
        } else if (wanted instanceof Wanted.OneOf of) {
            all.put("codes", String.join(" ", of.codes()));
        } else if (wanted instanceof Wanted.KnownHerb herb) {
            all.put("near", joined(herb.near()));
        } else if (wanted instanceof Wanted.StandIn in) {
            all.put("others", joined(in.others()));
        } else if (wanted instanceof Wanted.MeasuredIn in) {
            all.put("counts", joined(in.counts()));
        } else if (wanted instanceof Wanted.StepOfPlan of) {
            all.put("ids", String.join(", ", of.ids()));
        } else if (wanted instanceof Wanted.NoSuchField field) {
            all.put("known", String.join(", ", field.known()));
        } else if (wanted instanceof Wanted.StageOfRecipe of) {
            all.put("none", Boolean.toString(of.last() < 0));
        } else if (wanted instanceof Wanted.GramsAtMost grams) {
            all.put("given", Long.toString(Math.round(grams.given())));
            all.put(
                    "beside",
                    words.beside(grams.most(), "g")
                            .map(most -> beside(words, most))
                            .orElse(""));
        } else if (wanted instanceof Wanted.Between between) {
            String low = words.beside(between.low(), between.unit()).orElse("");
            all.put(
                    "beside",
                    words.beside(between.high(), between.unit())
                            .map(high ->
                                    beside(words, words.text("wanted.between-shown", Map.of("low", low, "high", high))))
                            .orElse(""));
        }
        return words.text(key, words.arguments((Record) wanted).with(all)).strip();
    }

    /** A limit stands in the unit of its field, as every client sent it, and beside it as the house reads it. */
    private static String beside(Words words, String shown) {
        return words.text("wanted.beside", Map.of("shown", shown));
    }

    private static String joined(List<String> codes) {
        return codes.isEmpty() ? NONE : String.join(", ", codes);
    }
}
