package embercup.core.plan;

import embercup.core.brew.StageRun;
import embercup.core.materia.Herb;
import embercup.core.materia.Herb.CupGate;
import embercup.core.materia.Herb.Differs;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.measure.Temperature;
import embercup.core.plan.PlannedAddition.Gate;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Reason;
import embercup.core.recipe.Reason.Because;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Schools.Choice;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * What is stirred into the cup, and how warm the cup may be, or must be, for it: fat while it is hot, honey once it has cooled
 * where the cook's school has it so. A finish that mixes them is taken apart, with a wait before each cooler part.
 */
final class Finishing {

    private final Materia materia;
    private final PlanRequest request;
    private final Recipe recipe;
    private final int last;

    private Finishing(Materia materia, PlanRequest request) {
        this.materia = materia;
        this.request = request;
        this.recipe = request.recipe();
        this.last = recipe.stages().size() - 1;
    }

    /** The request with a wait before whatever goes only into a cooler cup, when the recipe has none. */
    static PlanRequest gated(Materia materia, PlanRequest request, List<Reason> reasons) {
        return new Finishing(materia, request).gated(reasons);
    }

    private PlanRequest gated(List<Reason> reasons) {
        List<Double> gates = recipe.additions().stream()
                .map(this::belowC)
                .flatMapToDouble(OptionalDouble::stream)
                .boxed()
                .distinct()
                .sorted(Comparator.reverseOrder())
                .toList();
        if (gates.isEmpty()) {
            return request;
        }
        List<Stage> stages = new ArrayList<>(recipe.stages().subList(0, last));
        List<Addition> additions = new ArrayList<>(recipe.additions());
        if (recipe.additions().stream()
                .anyMatch(a -> a.stage() == last && belowC(a).isEmpty())) {
            stages.add(new Stage.Finish());
        }
        for (double gate : gates) {
            stages.add(new Stage.Cool(gate, false));
            stages.add(new Stage.Finish());
            int at = stages.size() - 1;
            IntStream.range(0, additions.size())
                    .filter(i -> belowC(recipe.additions().get(i)).equals(OptionalDouble.of(gate)))
                    .forEach(i -> {
                        reasons.add(reason(at - 1, gate, recipe.additions().get(i)));
                        additions.set(i, additions.get(i).at(at));
                    });
        }
        return request.withRecipe(recipe.withStages(stages).withAdditions(additions));
    }

    private Reason reason(int wait, double gate, Addition addition) {
        Herb herb = materia.herb(addition.herb(), "herb");
        CupGate why = herb.inCup().orElseThrow();
        return new Reason(
                wait,
                Because.CUP_WAITS,
                List.of(HerbName.of(herb)),
                Optional.of(Temperature.celsius(gate)),
                why.why(),
                why.source());
    }

    /** Below which the cup must be for an addition of the finish; empty when it may be hot, or is as cool already. */
    private OptionalDouble belowC(Addition addition) {
        boolean finish = addition.stage() == last && recipe.stages().get(last).kind() == StageKind.FINISH;
        OptionalDouble gate = materia.find(addition.herb())
                .filter(h -> holds(h, request.schools()))
                .flatMap(Herb::inCup)
                .map(CupGate::belowC)
                .orElse(OptionalDouble.empty());
        return finish && gate.isPresent() && gate.getAsDouble() < coolestC() ? gate : OptionalDouble.empty();
    }

    /** The lowest temperature that the recipe itself waits for. */
    private double coolestC() {
        double coolest = Double.POSITIVE_INFINITY;
        for (Stage stage : recipe.stages()) {
            if (stage instanceof Stage.Cool cool) {
                coolest = Math.min(coolest, cool.toC());
            } else if (stage instanceof Stage.Macerate cold) {
                coolest = Math.min(coolest, cold.toC().orElse(0));
            } else if (stage.kind().heats()) {
                coolest = Double.POSITIVE_INFINITY;
            }
        }
        return coolest;
    }

    /** What a herb asks of its cup; empty when nothing. */
    static Optional<Gate> gate(Herb herb, Schools schools) {
        return herb.inCup()
                .filter(g -> holds(herb, schools))
                .map(g -> g.aboveC().isPresent()
                        ? new Gate(Temperature.celsius(g.aboveC().getAsDouble()), true)
                        : new Gate(Temperature.celsius(g.belowC().orElseThrow()), false));
    }

    /** Honey alone is a question on which schools differ. */
    private static boolean holds(Herb herb, Schools schools) {
        return !herb.differs(Differs.HONEY) || schools.hold(Choice.BELOW_40);
    }

    /** Cautions about what goes into the cup: too cool a cup for a fat, milk beside acid. */
    static void notes(List<Caution> notes, Materia materia, Recipe recipe, List<StageRun> runs) {
        List<Herb> herbs = new ArrayList<>();
        for (Addition addition : recipe.additions()) {
            Herb herb = materia.herb(addition.herb(), "herb");
            herbs.add(herb);
            StageRun run = runs.get(addition.stage());
            herb.inCup()
                    .filter(g -> run.stage().kind() == StageKind.FINISH
                            && g.aboveC().isPresent()
                            && run.startC() < g.aboveC().getAsDouble())
                    .ifPresent(g -> notes.add(new Caution.CupTooCool(
                            HerbName.of(herb), Temperature.celsius(run.startC()), g.why(), g.source())));
        }
        Optional<Herb> sour = herbs.stream().filter(Herb::sour).findFirst();
        Optional<Herb> milk = herbs.stream().filter(Herb::curdles).findFirst();
        if (sour.isPresent() && milk.isPresent()) {
            notes.add(new Caution.Curdles(HerbName.of(milk.get()), HerbName.of(sour.get())));
        }
    }
}
