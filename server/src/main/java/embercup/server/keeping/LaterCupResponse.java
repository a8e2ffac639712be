package embercup.server.keeping;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import embercup.core.keeping.LaterCup;
import embercup.core.workings.Workings;
import embercup.server.brews.Jars.CupOfJar;
import embercup.server.plans.Plans.CupJudged;
import embercup.server.platform.HouseWords;
import embercup.server.platform.WorkingsLine;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How a cup out of a jar is made.
 *
 * @param ml as it is drunk
 * @param fromJarMl what leaves the jar
 * @param waterMl what a concentrate is thinned with; 0 for none
 * @param warmingMin on a low flame; missing for a cold cup
 * @param steps in words, in order
 * @param workings why the three numbers are what they are
 * @param judged what care says of it to who drinks it
 */
record LaterCupResponse(
        double ml,
        double fromJarMl,
        double waterMl,
        @Nullable Double warmingMin,
        List<String> steps,
        Map<String, WorkingsLine> workings,
        @JsonUnwrapped CupJudged judged) {

    static LaterCupResponse of(CupOfJar of) {
        LaterCup cup = of.how();
        Map<String, Workings> why = new LinkedHashMap<>();
        why.put("fromJarMl", cup.fromJar());
        why.put("waterMl", cup.water());
        cup.warming().ifPresent(w -> why.put("warmingMin", w));
        return new LaterCupResponse(
                of.ml(),
                cup.fromJar().value(),
                cup.water().value(),
                cup.warming().map(Workings::value).orElse(null),
                cup.steps().stream().map(HouseWords.words()::say).toList(),
                WorkingsLine.of(why),
                of.judged());
    }
}
