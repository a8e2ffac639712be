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

    @Test
    void whatIsNoHerbFindsNone() {
        assertThat(MATERIA.search("screwdriver")).isEmpty();
        assertThat(MATERIA.search("")).hasSameSizeAs(MATERIA.herbs());
    }
}
