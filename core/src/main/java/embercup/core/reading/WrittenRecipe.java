package embercup.core.reading;

import embercup.core.materia.Materia;
import embercup.core.materia.Tradition;
import embercup.core.measure.MeasureCustom;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.workings.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;

/**
 * A recipe read from what somebody wrote: ingredient list, then method. What is understood becomes additions and stages;
 * what is not is marked, and what had to be assumed is asked. Immutable.
 *
 * @param recipe what was understood; without stages when the method was not, so that they can be proposed
 * @param lines every line as it was written, and what was made of it
 */
public record WrittenRecipe(Recipe recipe, List<Line> lines) {

    /** What a line was taken for. */
    public enum Kind {
        TITLE,
        WATER,
        HERB,
        METHOD,
        SERVES,
        UNKNOWN
    }

    /**
     * @param reads what was understood; empty for nothing
     * @param asks what is to be decided; empty when nothing was assumed
     * @param addition index of the addition it became, −1 for none
     */
    public record Line(String text, Kind kind, List<Understood> reads, List<Asked> asks, int addition) {}

    /** Cups of a recipe that names neither its cups nor its yield (common practice, no source). */
    private static final double USUAL_CUPS = 2;

    public WrittenRecipe {
        lines = List.copyOf(lines);
    }

    public static WrittenRecipe read(Materia materia, String text, MeasureCustom custom) {
        return new Reading(materia, custom).read(text);
    }

    /** One reading; mutable, used once. */
    private static final class Reading {

        private static final Pattern BULLET = Pattern.compile("^(?:[-*•·]|\\d+[.)])\\s+");
        private static final Pattern HEADING =
                Pattern.compile("(?:ingredients|method|directions|instructions|you need|steps)\\s*:?");

        private final MeasureCustom custom;
        private final WrittenList list;
        private final WrittenMethod method;
        private final List<Line> lines = new ArrayList<>();
        private String title = "";

        Reading(Materia materia, MeasureCustom custom) {
            this.custom = custom;
            this.list = new WrittenList(new HerbWords(materia), custom);
            this.method = new WrittenMethod(materia, custom, list);
        }

        WrittenRecipe read(String text) {
            for (String raw : text.strip().split("\\R")) {
                String line = BULLET.matcher(raw.strip()).replaceFirst("");
                if (!line.isEmpty()) {
                    lines.add(line(line, line.toLowerCase(Locale.ROOT)));
                }
            }
            double cupMl = custom.system().cupMl();
            OptionalDouble written = list.yieldMl().isPresent() ? list.yieldMl() : method.reducedMl();
            double liquor = written.orElse(list.cups().orElse(USUAL_CUPS) * cupMl);
            double cups = list.cups().orElse(Math.max(1, Math.rint(liquor / cupMl)));
            List<Stage> stages = method.stages();
            Recipe recipe = new Recipe(
                    title.isEmpty() ? "A written pot" : title,
                    Tradition.FOLK,
                    cups,
                    Math.round(liquor / cups * 10) / 10.0,
                    list.waterMl(),
                    method.placed(stages),
                    stages);
            return new WrittenRecipe(recipe, lines);
        }

        private Line line(String text, String low) {
            if (HEADING.matcher(low).matches()) {
                return new Line(text, Kind.TITLE, List.of(), List.of(), -1);
            }
            return list.serves(text, low)
                    .or(() -> list.ingredient(text, low))
                    .or(() -> title(text, low))
                    .orElseGet(() -> method.line(text, low));
        }

        private Optional<Line> title(String text, String low) {
            boolean first = title.isEmpty() && lines.isEmpty();
            if (!first || low.length() > Length.NAME || WrittenMethod.saysMethod(low)) {
                return Optional.empty();
            }
            title = text;
            return Optional.of(new Line(text, Kind.TITLE, List.of(new Understood.Title()), List.of(), -1));
        }
    }
}
