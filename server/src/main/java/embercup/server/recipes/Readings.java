package embercup.server.recipes;

import embercup.core.materia.Materia;
import embercup.core.measure.MeasureCustom;
import embercup.core.reading.Answers;
import embercup.core.reading.Reader;
import embercup.core.reading.Reading;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Length;
import embercup.core.workings.Wanted;
import embercup.server.herbs.HouseMateria;
import embercup.server.kitchen.Kitchens;
import embercup.server.platform.Fields;
import embercup.server.platform.RefusedException;
import embercup.server.recipes.RecipePages.Found;
import embercup.server.recipes.WholeRecipe.Carried;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Reads what people write, typed or from a page. Keeps nothing. */
@Service
class Readings {

    private final HouseMateria houseMateria;
    private final Kitchens kitchens;
    private final WholeRecipe whole;
    private volatile @Nullable Known known;

    Readings(HouseMateria houseMateria, Kitchens kitchens, WholeRecipe whole) {
        this.whole = whole;
        this.houseMateria = houseMateria;
        this.kitchens = kitchens;
    }

    /** A reader costs more than a reading: it is kept for as long as its materia is the household's. */
    private record Known(Materia materia, Reader reader) {}

    /** What was read of a page. */
    record ImportResponse(List<WrittenResponse> recipes) {}

    WrittenResponse read(WrittenResponse.ReadRequest ask) {
        String text = Fields.text(ask.text(), "text", Length.WRITTEN);
        return WrittenResponse.of(reading(text, Optional.ofNullable(ask.language()), ask.given()));
    }

    /**
     * Recipes of a page, or of a text.
     *
     * @throws RefusedException 422 when there is none in it
     */
    ImportResponse imported(byte[] body, RecipePages.Kind kind) {
        List<Found> found = RecipePages.recipes(body, kind);
        if (found.isEmpty()) {
            throw RefusedException.of(HttpStatus.UNPROCESSABLE_CONTENT, "no-recipe", Map.of());
        }
        return new ImportResponse(found.stream().map(this::one).toList());
    }

    /** Ours comes back as it was, when this house knows all of its herbs; whatever else is read. */
    private WrittenResponse one(Found found) {
        Optional<Carried> own = found.own().flatMap(whole::checked).or(() -> whole.inText(found.text()));
        if (own.isEmpty()) {
            whole.broken(found.text()).ifPresent(why -> {
                throw RefusedException.of(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        why == WholeRecipe.Broken.NEWER ? "link-newer" : "link-cut-off",
                        Map.of());
            });
        }
        Materia materia = houseMateria.materia();
        return own.filter(c -> c.recipe().herbs().allMatch(h -> materia.find(h).isPresent()))
                .map(WrittenResponse::whole)
                .orElseGet(() -> WrittenResponse.of(reading(fitting(found.text()), Optional.empty(), Answers.NONE)));
    }

    private static String fitting(String text) {
        if (text.length() > Length.WRITTEN) {
            throw InvalidInputException.of("text", text.length(), new Wanted.TextAtMost(Length.WRITTEN));
        }
        return text;
    }

    private Reading reading(String text, Optional<String> language, Answers answers) {
        MeasureCustom custom = kitchens.own(null, null).custom();
        return reader().read(text, custom, language, answers);
    }

    private Reader reader() {
        Materia materia = houseMateria.materia();
        Known now = known;
        if (now == null || !now.materia.same(materia)) {
            now = new Known(materia, new Reader(materia));
            known = now;
        }
        return now.reader;
    }
}
