package embercup.core.keeping;

import embercup.core.brew.BrewSetup;
import embercup.core.brew.Reckoning;
import embercup.core.brew.StageRun;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.HerbName;
import embercup.core.measure.KitchenAmount;
import embercup.core.measure.Temperature;
import embercup.core.measure.Volume;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.PlannedAddition.Gate;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Stage;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Limit;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A cup out of a jar on a later day: shaken, poured, thinned when it is a concentrate, warmed gently below the boil or drunk cold,
 * with what belongs into this one cup. Immutable.
 *
 * @param fromJar what leaves the jar, mL
 * @param water what a concentrate is thinned with, mL; 0 for none
 * @param warming on a low flame with the lid on, min; empty for a cold cup
 * @param steps what is done, in order
 */
public record LaterCup(Workings fromJar, Workings water, Optional<Workings> warming, List<Act> steps) {

    /** Hot enough to drink and for every fat, and well below the boil (common practice, no source), °C. */
    public static final double WARM_C = 65;

    public LaterCup {
        steps = List.copyOf(steps);
    }

    /** One thing that is done for the cup. A closed family; immutable. */
    public sealed interface Act {

        /** How long it takes by itself, while nobody has to do anything, min; 0 for what is done with the hands. */
        default int takesMinutes() {
            return 0;
        }

        /** What settled in the fridge is brought up again. */
        record Shake() implements Act {}

        record PourOut(Volume liquor) implements Act {}

        record ThinWith(Volume water) implements Act {}

        /** @param minutes in whole minutes, at least one */
        record WarmGently(Temperature to, int minutes) implements Act {
            @Override
            public int takesMinutes() {
                return minutes;
            }
        }

        /** @param minutes until it has cooled in the mug, in whole minutes, at least one */
        record WaitBelow(Temperature below, int minutes) implements Act {
            @Override
            public int takesMinutes() {
                return minutes;
            }
        }

        record StirIn(KitchenAmount measure, HerbName herb) implements Act {}

        /** It does not mix into a cold cup. */
        record LeaveOut(HerbName herb, Temperature above) implements Act {}
    }

    /**
     * The cup as it is drunk.
     *
     * @param plan of the pot that is in the jar
     * @param cupMl as it is drunk, 30–1 000 mL
     * @param warm whether it is warmed
     * @throws InvalidInputException when the cup is smaller or larger than cups are
     */
    public static LaterCup of(BrewPlan plan, double cupMl, boolean warm) {
        InvalidInputException.Check check = new InvalidInputException.Check();
        check.range("ml", cupMl, Limit.CUP_ML);
        check.throwIfAny();
        Workings cup = Workings.given(Term.CUP_SIZE, cupMl, "mL");
        double parts = plan.request().recipe().dilutionParts();
        Workings fromJar = parts == 0
                ? cup
                : Workings.quotient(Term.LIQUOR_OF_CUP, "mL", cup, Workings.given(Term.PARTS_AND_ONE, 1 + parts, ""));
        Workings water = Workings.difference(Term.THINNED_WITH, "mL", cup, fromJar);
        Optional<Workings> warming = warm ? Optional.of(warming(plan, cupMl)) : Optional.empty();
        List<Act> acts = new ArrayList<>();
        acts.add(new Act.Shake());
        acts.add(new Act.PourOut(Volume.millilitres(fromJar.value())));
        if (parts > 0) {
            acts.add(new Act.ThinWith(Volume.millilitres(water.value())));
        }
        warming.ifPresent(w -> acts.add(new Act.WarmGently(Temperature.celsius(WARM_C), wholeMinutes(w.value()))));
        acts.addAll(stirred(plan, cupMl, warm));
        return new LaterCup(fromJar, water, warming, acts);
    }

    /** From the fridge to warm on a low flame, as a pot of that much is heated. */
    private static Workings warming(BrewPlan plan, double ml) {
        Reckoning reckoning = run(plan, ml, List.of(new Stage.Heat(OptionalDouble.of(WARM_C), Flame.LOW, true)));
        StageRun heat = reckoning.result().stages().get(0);
        return reckoning.heating(heat).orElseThrow();
    }

    private static Reckoning run(BrewPlan plan, double ml, List<Stage> stages) {
        Kitchen kitchen = plan.request().kitchen();
        Vessel pot = kitchen.fitting(Kitchen.USUAL_POTS, ml);
        Kitchen cold = new Kitchen(
                kitchen.altitudeM(),
                kitchen.roomC(),
                Kitchen.FRIDGE_C,
                Optional.of(pot),
                kitchen.burner(),
                kitchen.kettleW());
        return Reckoning.of(
                new BrewSetup(cold, pot, plan.pot().extraction(), stages, List.of(), new BrewSetup.Cups(1, ml), 1, ml));
    }

    /** What belongs into each cup, as the cook's school has it: what may be hot first, then what waits until it has cooled. */
    private static List<Act> stirred(BrewPlan plan, double cupMl, boolean warm) {
        List<Act> acts = new ArrayList<>();
        List<PlannedAddition> perCup = plan.additions().stream()
                .filter(PlannedAddition::perCup)
                .sorted(Comparator.comparingDouble(a -> -belowC(a)))
                .toList();
        double cupC = warm ? WARM_C : Kitchen.FRIDGE_C;
        for (PlannedAddition a : perCup) {
            Optional<Gate> above = a.goes().inCup().filter(Gate::above);
            if (above.isPresent() && cupC <= above.get().at().celsius()) {
                acts.add(new Act.LeaveOut(a.inHand(), above.get().at()));
                continue;
            }
            if (belowC(a) < cupC) {
                double minutes =
                        coolingMin(plan, cupMl, belowC(a)) - (cupC < WARM_C ? coolingMin(plan, cupMl, cupC) : 0);
                cupC = belowC(a);
                acts.add(new Act.WaitBelow(Temperature.celsius(cupC), wholeMinutes(minutes)));
            }
            acts.add(new Act.StirIn(a.out().measure(), a.inHand()));
        }
        return acts;
    }

    /** From warm to cooler in its mug, as the cup of a pot cools. */
    private static double coolingMin(BrewPlan plan, double ml, double toC) {
        List<Stage> stages = List.of(
                new Stage.Heat(OptionalDouble.of(WARM_C), Flame.LOW, true),
                new Stage.Strain(false),
                new Stage.Cool(toC, false));
        return run(plan, ml, stages).result().stages().get(2).durationS() / 60;
    }

    private static int wholeMinutes(double minutes) {
        return Math.max(1, (int) Math.ceil(minutes - 0.05));
    }

    private static double belowC(PlannedAddition a) {
        return a.goes()
                .inCup()
                .filter(g -> !g.above())
                .map(g -> g.at().celsius())
                .orElse(Double.POSITIVE_INFINITY);
    }
}
