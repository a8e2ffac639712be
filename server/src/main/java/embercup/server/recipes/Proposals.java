package embercup.server.recipes;

import embercup.core.care.Blend;
import embercup.core.materia.Materia;
import embercup.core.materia.Occasion;
import embercup.core.measure.MeasureCustom;
import embercup.core.recipe.Parts;
import embercup.core.recipe.Proposal;
import embercup.core.recipe.Reason;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.RecipeRules;
import embercup.core.recipe.Schools;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Need;
import embercup.server.herbs.HouseMateria;
import embercup.server.kitchen.Kitchens;
import embercup.server.people.People;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.SchoolsFromRequest;
import embercup.server.platform.Within;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Stages for a recipe that has none, and blends for an occasion. Keeps nothing. */
@Service
class Proposals {

    private final HouseMateria houseMateria;
    private final Kitchens kitchens;
    private final People people;

    Proposals(HouseMateria houseMateria, Kitchens kitchens, People people) {
        this.houseMateria = houseMateria;
        this.kitchens = kitchens;
        this.people = people;
    }

    /** A recipe whose stages are to be proposed; its own stages are not looked at. */
    record ProposeRequest(
            @Valid @Nullable RecipeDocument recipe,
            @Nullable Map<String, String> schools) {}

    /** An occasion and the herbs in the house; {@code herbs} missing means all of the materia. */
    record BlendRequest(
            @Size(max = Length.OCCASION) @Nullable String occasion,
            @Nullable List<String> herbs,
            @Nullable UUID drinkerId,
            @Within(Limit.CUPS) @Nullable Double cups,

            @Within(Limit.CUP_ML) @Nullable Double cupMl) {}

    record ReasonLine(int stage, String text, String source) {}

    /** A recipe with stages, and why they are there. */
    record ProposalResponse(RecipeDocument recipe, List<ReasonLine> reasons) {}

    /** A blend: the recipe, why each herb and each stage is in it, and what was left out. */
    record BlendResponse(RecipeDocument recipe, List<String> herbs, List<ReasonLine> reasons, List<String> leftOut) {}

    ProposalResponse propose(ProposeRequest ask) {
        RecipeDocument doc = Fields.need(ask.recipe(), "recipe", Need.RECIPE);
        Recipe recipe = RecipeFromDocument.read(doc, "recipe");
        Materia materia = houseMateria.materia();
        Recipe weighed = Parts.resolved(materia, recipe);
        new RecipeRules(materia, MeasureCustom.DEFAULT).checkHerbs(weighed, "recipe");
        Schools schools = SchoolsFromRequest.read(ask.schools(), kitchens.schools(), recipe.tradition());
        Proposal proposal = Proposal.of(materia, recipe, schools);
        return new ProposalResponse(RecipeToDocument.write(proposal.recipe()), lines(proposal.reasons()));
    }

    BlendResponse blend(BlendRequest ask) {
        Materia materia = houseMateria.materia();
        Occasion occasion = occasion(Fields.text(ask.occasion(), "occasion", Length.OCCASION));
        List<String> house = ask.herbs() == null
                ? materia.herbs().stream().map(h -> h.slug()).toList()
                : ask.herbs();
        double cups = ask.cups() == null ? 2 : ask.cups();
        double cupMl = ask.cupMl() == null ? 240 : ask.cupMl();
        InvalidInputException.Check check = new InvalidInputException.Check();
        check.range("cups", cups, Limit.CUPS);
        check.range("cupMl", cupMl, Limit.CUP_ML);
        check.throwIfAny();
        Blend blend = Blend.of(materia, occasion, house, people.drinkerOrAdult(ask.drinkerId()), cups, cupMl);
        return new BlendResponse(
                RecipeToDocument.write(blend.recipe()),
                blend.reasons().stream().map(HouseWords.words()::say).toList(),
                lines(blend.stages()),
                blend.leftOut().stream().map(HouseWords.words()::say).toList());
    }

    List<String> occasions() {
        return houseMateria.materia().occasions().stream().map(Occasion::words).toList();
    }

    private Occasion occasion(String words) {
        return houseMateria.materia().occasions().stream()
                .filter(o -> o.words().equals(words))
                .findFirst()
                .orElseThrow(() -> InvalidInputException.of("occasion", words, new Wanted.OneOf(occasions())));
    }

    static List<ReasonLine> lines(List<Reason> reasons) {
        return reasons.stream()
                .map(r -> new ReasonLine(r.stage(), HouseWords.words().say(r), r.source()))
                .toList();
    }
}
