package embercup.core.plan;

import embercup.core.brew.BrewResult;
import embercup.core.brew.BrewSetup;
import embercup.core.brew.Charge;
import embercup.core.brew.StageRun;
import embercup.core.kitchen.Atmosphere;
import embercup.core.kitchen.Water;
import embercup.core.materia.ExtractClass;
import embercup.core.recipe.Stage;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** The workings of a plan's water and strength. */
final class PlanWorkings {

    private PlanWorkings() {}

    static void water(Map<String, Workings> all, BrewSetup setup, BrewResult brew, WaterPlan water) {
        Workings boiling = boiling(setup);
        Workings retained = retained(setup, brew, water);
        Workings evaporated = evaporated(setup, brew, water, boiling);
        all.put("boilingC", boiling);
        all.put("water.retainedMl", retained);
        all.put("water.evaporatedMl", evaporated);
        Workings yield = Workings.computed(
                "strained liquor",
                "cups × cup size, or what the recipe's own water leaves",
                water.yieldMl(),
                "mL",
                Workings.given("cups", setup.cups(), "cups"),
                Workings.given("cup size", setup.cupMl(), "mL"));
        all.put("water.yieldMl", yield);
        all.put(
                "water.pourMl",
                Workings.computed(
                        "water to pour",
                        "strained liquor + kept by the herbs + steam",
                        water.pourMl(),
                        "mL",
                        yield,
                        retained,
                        evaporated));
        for (StageRun run : brew.stages()) {
            if (run.heatS() > 0 || run.stage() instanceof Stage.Heat) {
                all.put("stages." + run.index() + ".heatS", heating(setup, run));
            }
        }
    }

    /** What is drawn and kept of aroma and bite, what is left in the herbs, how long it all takes and when honey may go in. */
    static void rest(Map<String, Workings> all, BrewSetup setup, BrewResult brew, WaterPlan water, double totalS) {
        all.put(
                "aroma",
                Workings.computed(
                                "aroma in the cup",
                                "drawn by first-order approach to equilibrium − lost to the open air and heat, of what the herbs held",
                                brew.share(ExtractClass.AROMA),
                                "")
                        .from("spiro"));
        all.put(
                "bite",
                Workings.computed(
                                "bitter and tannic matter in the cup",
                                "drawn by first-order approach to equilibrium, of what the herbs held",
                                brew.share(ExtractClass.BITE),
                                "")
                        .from("spiro"));
        List<Workings> left = new ArrayList<>();
        for (int i = 0; i < setup.charges().size(); i++) {
            left.add(Workings.given(
                    setup.charges().get(i).herb().common(),
                    brew.leftInHerbs().get(i).getOrDefault(ExtractClass.BODY, 0.0),
                    ""));
        }
        all.put(
                "leftInHerbs",
                Workings.computed(
                        "left in the spent herbs",
                        "1 − share drawn, herb by herb",
                        left.stream().mapToDouble(Workings::value).max().orElse(0),
                        "",
                        left));
        List<Workings> stages = new ArrayList<>();
        for (StageRun run : brew.stages()) {
            stages.add(Workings.given(run.stage().kind().code(), run.durationS() / 60, "min"));
        }
        all.put(
                "totalS",
                Workings.computed(
                        "whole length",
                        "prep that does not fit into waiting + the stages",
                        totalS / 60,
                        "min",
                        stages));
        all.put(
                "honeyAfterS",
                Workings.computed(
                                "until 40 °C in the cup",
                                "Newton's cooling of an open mug from the temperature it is poured at",
                                brew.honeyAfterS() / 60,
                                "min",
                                Workings.given("poured at", brew.cupC(), "°C"),
                                Workings.given("room", setup.kitchen().roomC(), "°C"))
                        .from("kitchen-heat"));
        for (StageRun run : brew.stages()) {
            if (run.stage() instanceof Stage.Reduce || run.stage() instanceof Stage.Cool) {
                all.put("stages." + run.index() + ".properS", solved(setup, run));
            }
        }
        if (water.dipMl() > 0) {
            all.put(
                    "water.dipMl",
                    Workings.computed(
                            "the mark of the reduction",
                            "strained liquor wanted + kept by the herbs + room they take under water",
                            water.dipMl(),
                            "mL",
                            Workings.given("kept by the herbs", water.retainedMl(), "mL")));
        }
    }

    /** A stage whose length is not the recipe's but the pot's. */
    private static Workings solved(BrewSetup setup, StageRun run) {
        if (run.stage() instanceof Stage.Cool cool) {
            return Workings.computed(
                            "time to cool",
                            "Newton's cooling from the temperature it begins at",
                            run.properS() / 60,
                            "min",
                            Workings.given("from", run.startC(), "°C"),
                            Workings.given("to", cool.toC(), "°C"),
                            Workings.given("room", setup.kitchen().roomC(), "°C"))
                    .from("kitchen-heat");
        }
        double lostMl = run.startMl() - run.endMl();
        return Workings.computed(
                        "time to boil it down",
                        "water that has to go ÷ (net power ÷ heat of steam)",
                        run.properS() / 60,
                        "min",
                        Workings.given("water that has to go", lostMl, "mL"),
                        Workings.sourced("net power", watts(setup, run.stage()), "W", "kitchen-heat"),
                        Workings.sourced(
                                "heat to turn a gram into steam",
                                Water.latentHeatJPerG(setup.kitchen().boilingC()),
                                "J/g",
                                "iapws-if97"))
                .from("iapws-if97");
    }

    /** The two ends of the estimate. */
    static void band(Map<String, Workings> all, double strength, double band) {
        Workings half = Workings.sourced("relative half-width when the rates are uncertain", band, "", "estimate");
        all.put(
                "strengthLow",
                Workings.computed("strength, low", "strength × (1 − half-width)", strength * (1 - band), "", half));
        all.put(
                "strengthHigh",
                Workings.computed("strength, high", "strength × (1 + half-width)", strength * (1 + band), "", half));
    }

    private static Workings boiling(BrewSetup setup) {
        double altitude = setup.kitchen().altitudeM();
        Workings pressure = Workings.computed(
                        "air pressure",
                        "101 325 Pa × (1 − 2.25577e-5 × altitude)^5.25588",
                        Atmosphere.pressurePa(altitude),
                        "Pa",
                        Workings.given("altitude", altitude, "m"))
                .from("iso-2533");
        return Workings.computed(
                        "water boils at",
                        "saturation temperature at the air pressure",
                        setup.kitchen().boilingC(),
                        "°C",
                        pressure)
                .from("iapws-if97");
    }

    private static Workings retained(BrewSetup setup, BrewResult brew, WaterPlan water) {
        List<Workings> parts = new ArrayList<>();
        double drained = 0;
        for (Charge c : setup.charges()) {
            drained += c.keptMl(false);
        }
        boolean pressed = brew.retainedMl() < drained * 0.99 && brew.retainedMl() > 0;
        for (Charge c : setup.charges()) {
            double perG = pressed ? c.pressedMlPerG() : c.drainedMlPerG();
            parts.add(Workings.computed(
                    c.herb().common(),
                    "grams × water kept by a gram",
                    c.keptMl(pressed),
                    "mL",
                    Workings.given("grams", c.grams(), "g"),
                    Workings.sourced(
                            "kept by a gram, " + (pressed ? "pressed" : "drained"), perG, "mL/g", "dispensary-water")));
        }
        return Workings.computed("kept by the herbs", "sum over the herbs", water.retainedMl(), "mL", parts);
    }

    private static Workings evaporated(BrewSetup setup, BrewResult brew, WaterPlan water, Workings boiling) {
        List<Workings> parts = new ArrayList<>();
        parts.add(boiling);
        parts.add(Workings.sourced(
                "heat to turn a gram into steam",
                Water.latentHeatJPerG(setup.kitchen().boilingC()),
                "J/g",
                "iapws-if97"));
        for (StageRun run : brew.stages()) {
            double lost = run.startMl() - run.endMl();
            boolean flame = run.stage() instanceof Stage.Boil
                    || run.stage() instanceof Stage.Simmer
                    || run.stage() instanceof Stage.Reduce;
            if (flame && lost > 0) {
                parts.add(Workings.computed(
                        run.stage().kind().code() + (run.stage().lid() ? ", lid on" : ", lid off"),
                        "net power ÷ heat of steam × time" + (run.stage().lid() ? " × a fifth past the lid" : ""),
                        lost,
                        "mL",
                        Workings.given("time", run.properS() / 60, "min"),
                        Workings.sourced("net power", watts(setup, run.stage()), "W", "kitchen-heat")));
            }
        }
        return Workings.computed("steam", "sum over the stages", water.evaporatedMl(), "mL", parts);
    }

    private static double watts(BrewSetup setup, Stage stage) {
        return stage.onFlame().map(setup.kitchen().burner()::watts).orElse(0.0);
    }

    private static Workings heating(BrewSetup setup, StageRun run) {
        double seconds = run.heatS() > 0 ? run.heatS() : run.durationS();
        double watts = run.kettle()
                ? setup.kitchen().kettleW() * embercup.core.kitchen.Kitchen.KETTLE_EFFICIENCY
                : setup.kitchen()
                        .burner()
                        .watts(run.stage() instanceof Stage.Heat h ? h.flame() : embercup.core.recipe.Flame.HIGH);
        return Workings.computed(
                "time to heat",
                "heat capacity × warming ÷ net power, with what the lid loses",
                seconds / 60,
                "min",
                Workings.given("water", run.startMl(), "mL"),
                Workings.sourced("specific heat", Water.SPECIFIC_HEAT_J_PER_G_K, "J/(g·K)", "iapws-if97"),
                Workings.given("from", run.startC(), "°C"),
                Workings.sourced("net power", watts, "W", "kitchen-heat"));
    }

    static void strength(
            Map<String, Workings> all, BrewResult brew, double strength, double referencePerMl, PlanRequest request) {
        all.put(
                "strength",
                Workings.computed(
                                "strength",
                                "extract in a millilitre ÷ extract in a millilitre of the recipe's own cup; an estimate",
                                strength,
                                "",
                                Workings.computed(
                                        "extract in this cup",
                                        "drawn from all herbs ÷ cups",
                                        brew.drawn().getOrDefault(ExtractClass.BODY, 0.0) / request.cups(),
                                        "g"),
                                Workings.computed(
                                        "extract in the recipe's own cup",
                                        "the same, as written",
                                        referencePerMl * request.cupMl(),
                                        "g"),
                                Workings.computed(
                                        "share drawn from the herbs",
                                        "first-order approach to equilibrium by herb, cut and temperature",
                                        brew.share(ExtractClass.BODY),
                                        ""))
                        .from("spiro"));
    }
}
