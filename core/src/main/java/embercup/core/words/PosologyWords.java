package embercup.core.words;

import embercup.core.measure.Quantity;
import embercup.core.recipe.Posology;
import embercup.core.recipe.TakingRow;
import embercup.core.workings.Code;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Collectors;

/** How a recipe is taken. Immutable. */
record PosologyWords(Words words) {

    /** "2 cups a day, with food, in the morning; 7 days, then 7 days off, at most 14 days". */
    String say(Posology p) {
        String days = p.daysOn().isPresent() ? words.numbers().days(p.daysOn().getAsInt()) : "";
        return words.text(
                "posology",
                Map.of(
                        "amount",
                        amount(p),
                        "when",
                        Facts.code(p.when()),
                        "rows",
                        rows(p),
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
                        most(p.more().mostDays())));
    }

    private String cups(Posology p) {
        return cups(p.cupsADay(), p.more().cupsADayTo());
    }

    private String cups(double cups, OptionalDouble upTo) {
        String low = words.numbers().plain(cups);
        double to = upTo.orElse(cups);
        String n = to > cups
                ? words.text(
                        "taken.range", Map.of("from", low, "to", words.numbers().plain(to)))
                : low;
        String kind = to > cups ? "other" : cups == 1 ? "one" : cups == 0.5 ? "half" : "other";
        return words.text("posology.cups", Map.of("kind", kind, "n", n));
    }

    /** What is taken at a time and every so many hours says the day; cups of it would be small change. */
    private String amount(Posology p) {
        Optional<String> often = often(p.more().often());
        return p.more().dose().isPresent() && often.isPresent()
                ? dose(p.more().dose().get()) + ", " + often.get()
                : words.text("taken.cups-a-day", Map.of("cups", cups(p)));
    }

    private Optional<String> often(OptionalDouble everyHours, OptionalDouble timesADay) {
        if (everyHours.isPresent()) {
            return Optional.of(words.text("taken.every", Map.of("hours", everyHours.getAsDouble())));
        }
        return timesADay.isPresent()
                ? Optional.of(words.text("taken.times-a-day", Map.of("times", timesADay.getAsDouble())))
                : Optional.empty();
    }

    private Optional<String> often(Posology.Often often) {
        return often(often.everyHours(), often.timesADay());
    }

    private String dose(Quantity dose) {
        return words.text("taken.dose", Map.of("dose", words.say(dose)));
    }

    private String rows(Posology p) {
        return p.more().rows().stream().map(this::row).map(row -> "; " + row).collect(Collectors.joining());
    }

    /** "under 6 years: 1 tsp every 2 hours while awake". */
    String row(TakingRow row) {
        List<String> whom = new ArrayList<>();
        if (row.whom().fromYears().isPresent() || row.whom().toYears().isPresent()) {
            whom.add(words.text(
                    "taken.years",
                    Map.of(
                            "from",
                            years(row.whom().fromYears()),
                            "to",
                            years(row.whom().toYears()))));
        }
        row.whom().condition().ifPresent(c -> whom.add(words.name(c)));
        if (!row.whom().words().isBlank()) {
            whom.add(row.whom().words().strip());
        }
        return words.text(
                "taken.row",
                Map.of("whom", String.join(", ", whom), "amount", amount(row.amount()), "most", most(row.mostDays())));
    }

    private String years(OptionalDouble years) {
        return years.isPresent() ? words.numbers().plain(years.getAsDouble()) : "none";
    }

    private String most(OptionalInt days) {
        return days.isPresent()
                ? words.text("taken.most", Map.of("days", words.numbers().days(days.getAsInt())))
                : "";
    }

    private String amount(TakingRow.Often amount) {
        if (amount.cupsADay().isPresent()) {
            return words.text(
                    "taken.cups-a-day", Map.of("cups", cups(amount.cupsADay().getAsDouble(), OptionalDouble.empty())));
        }
        return words.text(
                "taken.dose-often",
                Map.of(
                        "dose",
                        amount.dose().map(words::say).orElse(""),
                        "often",
                        often(amount.everyHours(), amount.timesADay()).orElse("")));
    }

    private String more(Posology p) {
        List<String> parts = new ArrayList<>();
        Posology.Often often = p.more().often();
        if (p.more().dose().isEmpty() || often(often).isEmpty()) {
            p.more().dose().map(this::dose).ifPresent(parts::add);
            often(often).ifPresent(parts::add);
        }
        often.cupsAWeek().ifPresent(c -> parts.add(words.text("taken.week", Map.of("cups", c))));
        if (often.untilBetter()) {
            parts.add(words.text("taken.better"));
        }
        p.more().moments().forEach(m -> parts.add(words.text("taken." + Code.of(m))));
        p.more()
                .childShare()
                .ifPresent(c -> parts.add(words.text("taken.child", Map.of("percent", Math.round(c * 100)))));
        return parts.isEmpty() ? "" : ", " + String.join(", ", parts);
    }
}
