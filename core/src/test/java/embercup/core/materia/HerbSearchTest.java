package embercup.core.materia;

import static embercup.core.Pots.MATERIA;
import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HerbSearchTest {

    @ParameterizedTest
    @CsvSource({
        "linden, linden",
        "Tilia, linden",
        "camomile, chamomile",
        "chamomil, chamomile",
        "german chamomile, chamomile",
        "Zingiber, ginger",
        "gigner, ginger",
        "lemonbalm, lemon-balm",
        "MARSHMALOW, marshmallow",
        "licorice, liquorice",
        "liqorice, liquorice",
        "burdok, burdock",
        "cassia, cinnamon-cassia"
    })
    void aHerbIsFoundByAnyOfItsNamesAndWithTypingErrors(String typed, String slug) {
        assertThat(MATERIA.search(typed)).extracting(Herb::slug).startsWith(slug);
    }

    /** As a line is typed: the amount before it, how it is cut behind it. */
    @ParameterizedTest
    @CsvSource({
        "1 part lemon balm, lemon-balm",
        "2 cm fresh ginger, ginger",
        "a pinch of saffron, saffron",
        "3 slices of orange peel, orange-peel",
        "half a tsp black pepper, black-pepper",
        "2 tsp green tea leaves, green-tea",
        "2 cucharadas de manzanilla, chamomile",
        "1 handful nettle chopped, nettle",
        "5 g star anise, star-anise"
    })
    void aHerbIsFoundAmongTheWordsOfItsLine(String typed, String slug) {
        assertThat(MATERIA.search(typed)).extracting(Herb::slug).startsWith(slug);
    }

    /** What people look for who mean an occasion; nothing of it is said of the herb. */
    @ParameterizedTest
    @CsvSource({
        "sleep, valerian",
        "insomnia, lavender",
        "dormir, chamomile",
        "digestion, fennel",
        "bloating, peppermint",
        "cough, thyme",
        "constipation, psyllium",
        "evening, chamomile",
        "tea for sleep, lavender"
    })
    void aHerbIsFoundByWhatItIsReachedForFor(String typed, String slug) {
        assertThat(MATERIA.search(typed)).extracting(Herb::slug).contains(slug);
    }

    @Test
    void whatIsNoHerbFindsNone() {
        assertThat(MATERIA.search("screwdriver")).isEmpty();
        assertThat(MATERIA.search("")).hasSameSizeAs(MATERIA.herbs());
    }
}
