package embercup.core.care;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.WORDS;
import static embercup.core.Pots.adultWith;
import static embercup.core.Pots.child;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.dose.Drinker;
import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.Unit;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Planner;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** A herb of the cook's own passes nothing by: it is refused by its names, or said to be unknown. */
class OwnHerbsTest {

    private static List<Caution> judged(String common, String latin, Drinker drinker) {
        Herb own = Herb.own("mine", common, latin, PlantPart.LEAF, "", List.of());
        Materia materia = MATERIA.with(List.of(own));
        var cup = recipe(
                Tradition.FOLK,
                1,
                240,
                List.of(dried("mine", Cut.CHOPPED, 3, Unit.GRAM, 0)),
                pour(),
                steep(10),
                strain());
        var plan = new Planner(materia).plan(PlanRequest.asWritten(cup).withDrinker(drinker));
        return new Care(materia).judge(plan, History.NONE).cautions();
    }

    private static Optional<Caution> stop(String common, String latin, Drinker drinker) {
        return judged(common, latin, drinker).stream()
                .filter(c -> c.severity() == Severity.STOP)
                .findFirst();
    }

    static Stream<Arguments> refusedPlants() {
        return MATERIA.herbs().stream()
                .filter(h -> h.stop().isPresent())
                .flatMap(h -> Stream.concat(
                        Stream.of(
                                Arguments.of(h.common(), ""),
                                Arguments.of(h.common().toUpperCase(java.util.Locale.ROOT) + " leaf, dried", ""),
                                Arguments.of("From the garden", h.latin())),
                        h.also().stream().map(also -> Arguments.of(also, ""))));
    }

    /** Every refused plant by every name it has; the materia's own list, from poison lists. */
    @ParameterizedTest
    @MethodSource("refusedPlants")
    void aRefusedPlantIsRefusedByAnyOfItsNames(String common, String latin) {
        assertThat(stop(common, latin, Drinker.ADULT)).containsInstanceOf(Caution.NamedLikeRefused.class);
    }

    /** Species that no file names, of genera of which nothing is drunk (poison lists, mem). */
    @ParameterizedTest
    @CsvSource({
        "Woolly one, Digitalis lanata Ehrh.",
        "Chinese monkshood, Aconitum carmichaelii",
        "From the hedge, Taxus × media",
        "Rose-laurel, Nerium oleander L."
    })
    void aNearRelativeOfARefusedPlantIsRefused(String common, String latin) {
        assertThat(stop(common, latin, Drinker.ADULT)).containsInstanceOf(Caution.NamedLikeRefused.class);
    }

    static Stream<Arguments> poisonousLookAlikes() {
        return MATERIA.herbs().stream()
                .flatMap(h -> h.lookAlikes().stream())
                .filter(Herb.LookAlike::poisonous)
                .map(Herb.LookAlike::name)
                .distinct()
                .map(Arguments::of);
    }

    @ParameterizedTest
    @MethodSource("poisonousLookAlikes")
    void aPoisonousLookAlikeIsRefusedByItsName(String name) {
        assertThat(stop(name, "", Drinker.ADULT)).as(name).isPresent();
    }

    /** Spearmint is of pennyroyal's genus, and mints are drunk; the others have nothing to do with a poison. */
    @ParameterizedTest
    @CsvSource({
        "Apple mint, Mentha suaveolens Ehrh.",
        "Bergamot of the garden, Monarda didyma L.",
        "Grandmother's leaf, ''",
        "Parsley, Petroselinum crispum",
        "Root of the yard, ''"
    })
    void anUnknownHerbIsSaidToBeUnknown(String common, String latin) {
        assertThat(stop(common, latin, Drinker.ADULT)).isEmpty();
        assertThat(judged(common, latin, Drinker.ADULT))
                .filteredOn(Caution.NothingKnown.class::isInstance)
                .singleElement()
                .satisfies(c -> {
                    assertThat(c.severity()).isEqualTo(Severity.CARE);
                    assertThat(WORDS.say(c)).contains("no dose, no interactions, no age");
                });
    }

    @Test
    void whatIsNotKnownIsTooLittleInPregnancyWhileNursingAndUnderEighteen() {
        for (Drinker drinker : List.of(
                adultWith(62, Condition.PREGNANT),
                adultWith(62, Condition.BREASTFEEDING),
                child(2, 12),
                child(17.9, 60))) {
            assertThat(judged("Grandmother's leaf", "", drinker)).anySatisfy(c -> assertThat(c)
                    .isInstanceOfSatisfying(Caution.NothingKnown.class, n -> assertThat(n.severity())
                            .isEqualTo(Severity.STOP)));
        }
        assertThat(stop("Grandmother's leaf", "", child(18, 60))).isEmpty();
    }

    /** A cook who weighs a spoon of a shipped herb knows no less of it. */
    @Test
    void ownWeightsOfAKnownHerbMakeItNoUnknownHerb() {
        Materia weighed = MATERIA.with(List.of(MATERIA.herb("linden", "herb")));
        assertThat(weighed.isOwn("linden")).isFalse();
        assertThat(weighed.with(List.of(Herb.own("mine", "Mine", "", PlantPart.LEAF, "", List.of())))
                        .isOwn("mine"))
                .isTrue();
    }

    /** What is longer than the name of a refused plant is another plant when it is one that is drunk. */
    @ParameterizedTest
    @CsvSource({"Ground ivy from the wall", "Lemon verbena of ours"})
    void aLongerNameIsAnotherPlant(String common) {
        assertThat(stop(common, "", Drinker.ADULT)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"Adelfa", "Hojas de dedalera", "Estramonio", "Lirio de los valles", "Raíz de acónito"})
    void aRefusedPlantIsRefusedByItsSpanishNameToo(String common) {
        assertThat(stop(common, "", Drinker.ADULT)).containsInstanceOf(Caution.NamedLikeRefused.class);
    }

    /** Until the cook enters what a source says that she names, a drinker of whom it is silent is stopped. */
    @Test
    void aNamedSourceLiftsTheStopOfWhatItSpeaksOf() {
        Herb moss =
                Herb.own("frostmoss", "Frostmoss", "", embercup.core.materia.PlantPart.HERB, "", java.util.List.of());
        Herb known = moss.asSourceSays(
                new Herb.Dosing(
                        java.util.List.of(), Optional.of(new Herb.Sourced(6, "cooks-source")), Optional.empty()),
                java.util.List.of(new Herb.HerbCaution(
                        Optional.of(embercup.core.materia.Condition.PREGNANT),
                        java.util.Set.of(),
                        Severity.CARE,
                        "Only late.",
                        "cooks-source")));
        Drinker pregnant = embercup.core.Pots.adultWith(60, embercup.core.materia.Condition.PREGNANT);
        Drinker nursing = embercup.core.Pots.adultWith(60, embercup.core.materia.Condition.BREASTFEEDING);
        Drinker child = embercup.core.Pots.child(8, 26);
        for (Drinker drinker : java.util.List.of(pregnant, nursing, child)) {
            assertThat(severity(moss, drinker)).isEqualTo(Severity.STOP);
        }
        assertThat(severity(moss, Drinker.ADULT)).isEqualTo(Severity.CARE);
        assertThat(severity(known, pregnant)).isEqualTo(Severity.NOTE);
        assertThat(severity(known, child)).isEqualTo(Severity.NOTE);
        assertThat(severity(known, nursing)).as("of nursing it says nothing").isEqualTo(Severity.STOP);
        assertThat(severity(known, Drinker.ADULT)).isEqualTo(Severity.NOTE);
    }

    private static Severity severity(Herb own, Drinker drinker) {
        return OwnHerbs.of(MATERIA.with(java.util.List.of(own)), own, drinker).severity();
    }
}
