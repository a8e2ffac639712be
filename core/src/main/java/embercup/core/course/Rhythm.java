package embercup.core.course;

import embercup.core.care.Runs;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.recipe.Posology;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * How days of drinking and of rest follow each other: never longer in a row than the shortest limit of its herbs or the recipe's own.
 * Immutable.
 *
 * @param on days in a row
 * @param off days of rest after them
 * @param limit why there are no more in a row
 * @param usual days that the recipe is taken for; empty when it does not say
 */
public record Rhythm(int on, int off, CourseLimit limit, OptionalInt usual) {

    /** What nobody limits is taken for two weeks, and then asked about (common practice, no source), days. */
    static final int UNLIMITED_DAYS = 14;

    /** Of what a recipe says and what its herbs allow. */
    public static Rhythm of(Optional<Posology> posology, Collection<Herb> herbs) {
        List<CourseLimit> limits = new ArrayList<>();
        OptionalInt ofRecipe = posology.map(Posology::mostInARow).orElse(OptionalInt.empty());
        ofRecipe.ifPresent(d -> limits.add(new CourseLimit.OfRecipe(d)));
        herbs.forEach(h -> Runs.most(h)
                .ifPresent(d -> limits.add(new CourseLimit.OfHerb(
                        HerbName.of(h), d, h.longestRunDays().orElseThrow().source()))));
        CourseLimit shortest = limits.stream()
                .min(Comparator.comparingInt(CourseLimit::days))
                .orElse(new CourseLimit.Unlimited(UNLIMITED_DAYS));
        int said = posology.map(Posology::daysOff).orElse(0);
        // A break as long as what was drunk, where the recipe says none (common practice, no source).
        int ofHerb = shortest instanceof CourseLimit.OfHerb ? shortest.days() : 0;
        int off = Math.max(said, said == 0 ? shortest.days() : ofHerb);
        return new Rhythm(
                shortest.days(), off, shortest, posology.map(Posology::daysOn).orElse(OptionalInt.empty()));
    }

    /**
     * The days of drinking of a course.
     *
     * @param days how many, at least 1; those beyond a row come after its rest
     */
    public List<LocalDate> laid(LocalDate first, int days) {
        List<LocalDate> all = new ArrayList<>();
        for (int i = 0; i < days; i++) {
            all.add(first.plusDays((long) i / on * (on + off) + i % on));
        }
        return List.copyOf(all);
    }

    /** For how many days of drinking a course is laid when nobody says: as the recipe says, else one row. */
    public int usualDays() {
        return Math.min(on, usual.orElse(on));
    }
}
