package embercup.core;

import static embercup.core.Pots.MATERIA;

import embercup.core.dose.Drinker;
import embercup.core.dose.Purpose;
import embercup.core.dose.Strength;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Tradition;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.plan.PlanRequest;
import embercup.core.plan.Taking;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Receiver;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Stage;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;

/** Pots that nobody thought of: every method, herb, cut, school, kitchen and drinker, from a seed. */
public final class AnyPot {

    private static final List<Herb> BREWED = MATERIA.herbs().stream()
            .filter(h -> h.stop().isEmpty() && h.part() != PlantPart.PANTRY)
            .toList();
    private static final List<Herb> STIRRED_IN = MATERIA.herbs().stream()
            .filter(h -> h.part() == PlantPart.PANTRY && h.bulk().size() > 0)
            .toList();
    private static final List<Unit> UNITS = List.of(Unit.GRAM, Unit.TEASPOON, Unit.TABLESPOON, Unit.OUNCE);

    private AnyPot() {}

    /** A request that can be planned. */
    public static PlanRequest request(Random random) {
        Recipe recipe = recipe(random);
        Schools schools = Schools.of(recipe.tradition());
        for (Schools.Question question : Schools.Question.values()) {
            if (random.nextInt(3) == 0) {
                schools = schools.with(one(random, question.choices()));
            }
        }
        return new PlanRequest(
                recipe,
                new PlanRequest.Serving(
                        1 + random.nextInt(8),
                        100 + random.nextInt(300),
                        one(random, List.of(Strength.values())),
                        one(random, List.of(Purpose.values())),
                        0.7 + random.nextDouble() * 0.6),
                drinker(random),
                new Kitchen(
                        random.nextInt(4000),
                        10 + random.nextInt(18),
                        5 + random.nextInt(20),
                        Optional.empty(),
                        random.nextBoolean() ? Burner.SMALL : Burner.LARGE,
                        1000 + random.nextInt(2000)),
                MeasureCustom.DEFAULT,
                schools,
                Taking.AS_RECIPE_SAYS,
                random.nextInt(6) == 0);
    }

    private static Drinker drinker(Random random) {
        Set<Condition> conditions = EnumSet.noneOf(Condition.class);
        if (random.nextInt(3) == 0) {
            conditions.add(one(random, List.of(Condition.values())));
        }
        return new Drinker(
                2 + random.nextInt(70),
                random.nextBoolean() ? OptionalDouble.of(14 + random.nextInt(80)) : OptionalDouble.empty(),
                conditions,
                Set.of());
    }

    private static <T> T one(Random random, List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    /** A recipe that can be brewed. */
    public static Recipe recipe(Random random) {
        int method = random.nextInt(8);
        List<Stage> stages = method == 7 ? List.of() : stages(random, method);
        List<Addition> herbs = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(5); i++) {
            Form form = random.nextInt(4) == 0 ? Form.FRESH : Form.DRIED;
            Cut cut = one(random, List.of(Cut.values()));
            Unit unit = one(random, UNITS);
            double amount = (0.3 + random.nextDouble() * 4) / (unit == Unit.OUNCE ? 10 : 1);
            herbs.add(new Addition(one(random, BREWED).slug(), form, cut, Quantity.of(amount, unit), 0));
        }
        boolean finish = !stages.isEmpty() && stages.get(stages.size() - 1) instanceof Stage.Finish;
        if (finish) {
            herbs.add(new Addition(
                    one(random, STIRRED_IN).slug(),
                    Form.FRESH,
                    Cut.WHOLE,
                    Quantity.of(1 + random.nextInt(3), Unit.TEASPOON),
                    stages.size() - 1));
        }
        for (int i = 0; i < stages.size(); i++) {
            if (stages.get(i).kind().infuses() && random.nextInt(4) == 0) {
                herbs.add(new Addition(
                        one(random, BREWED).slug(), Form.DRIED, Cut.CHOPPED, Quantity.of(2, Unit.GRAM), i));
            }
        }
        if (method != 6 && !stages.isEmpty() && random.nextInt(4) == 0) {
            herbs.add(new Addition(
                    one(random, List.of("milk", "oat-milk", "apple-juice")),
                    Form.FRESH,
                    Cut.WHOLE,
                    Quantity.of(20 + random.nextInt(80), Unit.MILLILITRE),
                    0));
        }
        boolean says = method < 5 && random.nextInt(4) == 0;
        Recipe recipe = new Recipe(
                "any",
                one(random, List.of(Tradition.values())),
                1 + random.nextInt(6),
                150 + random.nextInt(150),
                says ? OptionalDouble.of(900 + random.nextInt(900)) : OptionalDouble.empty(),
                herbs,
                stages);
        return method == 6
                ? recipe.in(Menstruum.spirit(40))
                : method == 0 && random.nextInt(3) == 0 ? recipe.diluted(1 + random.nextInt(4)) : recipe;
    }

    /** The liquor goes on: heated again, filled, or both. */
    private static void batch(Random random, List<Stage> stages) {
        switch (random.nextInt(4)) {
            case 0 -> stages.add(new Stage.Simmer(1 + random.nextInt(30), Flame.LOW, random.nextBoolean()));
            case 1 -> stages.add(new Stage.Reduce(100 + random.nextInt(500), Flame.MEDIUM, false));
            case 2 ->
                stages.add(new Stage.Hold(
                        60 + random.nextInt(30),
                        1 + random.nextInt(30),
                        Flame.LOW,
                        random.nextBoolean(),
                        Stage.Until.NOTHING));
            default -> {
                return;
            }
        }
        if (random.nextBoolean()) {
            stages.add(new Stage.Strain(false, Optional.of(one(random, List.of(Receiver.values())))));
        }
    }

    private static List<Stage> stages(Random random, int method) {
        List<Stage> stages = new ArrayList<>();
        switch (method) {
            case 0 -> {
                stages.add(new Stage.Pour(random.nextBoolean() ? OptionalDouble.empty() : OptionalDouble.of(85)));
                stages.add(new Stage.Steep(2 + random.nextInt(40), random.nextBoolean()));
            }
            case 1 -> {
                stages.add(new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, random.nextBoolean()));
                stages.add(new Stage.Simmer(5 + random.nextInt(50), Flame.LOW, random.nextBoolean()));
                stages.add(new Stage.Rest(1 + random.nextInt(10), true));
            }
            case 2 -> {
                stages.add(new Stage.Macerate(30 + random.nextInt(900), OptionalDouble.empty(), true));
                stages.add(new Stage.Heat(OptionalDouble.of(70), Flame.MEDIUM, true));
            }
            case 3 -> stages.add(new Stage.Boil(1 + random.nextInt(15), Flame.MEDIUM, random.nextBoolean()));
            case 4 -> {
                stages.add(new Stage.Simmer(10 + random.nextInt(40), Flame.LOW, true));
                stages.add(new Stage.Strain(false));
                stages.add(new Stage.Refill(300 + random.nextInt(500)));
                stages.add(new Stage.Simmer(10 + random.nextInt(40), Flame.LOW, true));
            }
            case 5 -> {
                stages.add(new Stage.Heat(OptionalDouble.empty(), Flame.HIGH, true));
                stages.add(new Stage.Reduce(200 + random.nextInt(600), Flame.MEDIUM, false));
            }
            default -> stages.add(new Stage.Macerate(21 * 24 * 60, OptionalDouble.empty(), true));
        }
        stages.add(new Stage.Strain(random.nextBoolean()));
        if (method == 4) {
            stages.add(new Stage.Combine());
        }
        if (method < 6 && random.nextInt(3) == 0) {
            batch(random, stages);
        }
        if (method < 6 && random.nextBoolean()) {
            stages.add(new Stage.Cool(55, false));
        }
        if (method < 6 && random.nextBoolean()) {
            stages.add(new Stage.Finish());
        }
        return stages;
    }
}
