package embercup.core.words;

import embercup.core.recipe.Posology;
import embercup.core.workings.Code;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** How a recipe is taken. Immutable. */
record PosologyWords(Words words) {

    /** "2 cups a day, with food, in the morning; 7 days, then 7 days off, at most 14 days". */
    String say(Posology p) {
        String days = p.daysOn().isPresent() ? words.numbers().days(p.daysOn().getAsInt()) : "";
        return words.text(
                "posology",
                Map.of(
                        "cups",
                        cups(p),
                        "when",
                        Facts.code(p.when()),
                        "more",
                        more(p),
                        "on",
                        Boolean.toString(p.daysOn().isPresent()),
                        "onDays",
                        days,
                        "off",
                        Boolean.toString(p.daysOff() > 0),
                        "offDays",
                        words.numbers().days(p.daysOff()),
                        "most",
                        p.more().mostDays().isPresent()
                                ? words.text(
                                        "taken.most",
                                        Map.of(
                                                "days",
                                                words.numbers()
                                                        .days(p.more()
                                                                .mostDays()
                                                                .getAsInt())))
                                : ""));
    }

    private String cups(Posology p) {
        String low = words.numbers().plain(p.cupsADay());
        double to = p.more().cupsADayTo().orElse(p.cupsADay());
        String n = to > p.cupsADay()
                ? words.text(
                        "taken.range", Map.of("from", low, "to", words.numbers().plain(to)))
                : low;
        String kind = to > p.cupsADay() ? "other" : p.cupsADay() == 1 ? "one" : p.cupsADay() == 0.5 ? "half" : "other";
        return words.text("posology.cups", Map.of("kind", kind, "n", n));
    }

    private String more(Posology p) {
        List<String> parts = new ArrayList<>();
        p.more().dose().ifPresent(d -> parts.add(words.text("taken.dose", Map.of("dose", words.say(d)))));
        p.more().moments().forEach(m -> parts.add(words.text("taken." + Code.of(m))));
        p.more()
                .childShare()
                .ifPresent(c -> parts.add(words.text("taken.child", Map.of("percent", Math.round(c * 100)))));
        return parts.isEmpty() ? "" : ", " + String.join(", ", parts);
    }
}
