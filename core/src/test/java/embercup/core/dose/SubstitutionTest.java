package embercup.core.dose;

import static embercup.core.Pots.MATERIA;
import static embercup.core.Pots.dried;
import static embercup.core.Pots.fresh;
import static embercup.core.Pots.lindenCup;
import static embercup.core.Pots.pour;
import static embercup.core.Pots.recipe;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.said;
import static embercup.core.Pots.steep;
import static embercup.core.Pots.strain;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Tradition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Recipe;
import embercup.core.workings.InvalidInputException;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A missing herb, or one that must not be: what stands in for it, and how much. Ratios are common practice, no source. */
class SubstitutionTest {

    private final Substitution substitution = new Substitution(MATERIA, MeasureCustom.DEFAULT);

    private static Recipe cup(Addition herb) {
        return recipe(Tradition.FOLK, 2, 200, List.of(herb), pour(), steep(10), strain());
    }

    @Test
    void theOtherHerbIsWeighedByTheRatioOfTheMateria() {
        Recipe elder = substitution.replace(lindenCup(), "linden", "elderflower", "changes[0].with");
        Addition a = elder.additions().get(0);
        assertThat(a.herb()).isEqualTo("elderflower");
        assertThat(a.quantity().unit()).isEqualTo(Unit.GRAM);
        assertThat(a.quantity().amount()).isCloseTo(3 * 1.5, within(1e-9));
        assertThat(a.stage()).isZero();
    }

    @Test
    void spoonsAreWeighedBeforeTheyAreReplaced() {
        Recipe anise = cup(dried("fennel", Cut.WHOLE, 2, Unit.TEASPOON, 0));
        double grams = substitution
                .replace(anise, "fennel", "caraway", "with")
                .additions()
                .get(0)
                .quantity()
                .amount();
        assertThat(grams).isCloseTo(2 * 2.0 * 0.7, within(1e-9));
    }

    @Test
    void freshIsReplacedByItsDryMatter() {
        Recipe rhizome = cup(fresh("ginger", Cut.SLICED, 20, Unit.GRAM, 0));
        Addition galangal = substitution
                .replace(rhizome, "ginger", "galangal", "with")
                .additions()
                .get(0);
        assertThat(galangal.form()).isEqualTo(Form.DRIED);
        assertThat(galangal.quantity().amount()).isCloseTo(20 * (1 - 0.8127) / 0.9, within(0.01));
    }

    @Test
    void onlyTheHerbAskedForIsReplaced() {
        Recipe changed = substitution.replace(rootPot(), "dandelion", "chicory", "with");
        assertThat(changed.additions()).extracting(Addition::herb).containsExactly("chicory", "burdock");
        assertThat(changed.additions().get(1)).isEqualTo(rootPot().additions().get(1));
    }

    @Test
    void whatCannotStandInIsRefusedWithWhatCan() {
        assertThatThrownBy(() -> substitution.replace(lindenCup(), "linden", "valerian", "changes[0].with"))
                .isInstanceOf(InvalidInputException.class)
                .satisfies(e -> assertThat(said(e)).contains("change 1"))
                .satisfies(e -> assertThat(said(e)).contains("elderflower"));
        assertThatThrownBy(() -> substitution.replace(lindenCup(), "sage", "thyme", "with"))
                .satisfies(e -> assertThat(said(e)).contains("a herb of the recipe"));
    }

    @Test
    void aHerbIsLeftOutUnlessItIsAllThereIs() {
        assertThat(substitution.leaveOut(rootPot(), "burdock", "herb").additions())
                .extracting(Addition::herb)
                .containsExactly("dandelion");
        assertThatThrownBy(() -> substitution.leaveOut(lindenCup(), "linden", "herb"))
                .satisfies(e -> assertThat(said(e)).contains("not the only one"));
        assertThatThrownBy(() -> substitution.leaveOut(rootPot(), "sage", "herb"))
                .isInstanceOf(InvalidInputException.class);
    }
}
