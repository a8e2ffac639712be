package embercup.core.plan;

import embercup.core.kitchen.Vessel;
import embercup.core.materia.Cut;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.Comparator;
import java.util.Locale;

/** What a stage says to the cook: short, imperative, with the amount. */
final class StageWords {

    /** From here on a jar is labelled and shaken every day: a day (common practice, no source), min. */
    private static final double SHAKEN_FROM_MIN = 24 * 60;
    /** Below this the cook calls it cold, °C. */
    private static final double WARM_FROM_C = 25;

    private StageWords() {}

    /** "20 min", "1 h 30", "8 h", "3 days". */
    static String minutes(double minutes) {
        if (minutes >= 48 * 60) {
            return Math.round(minutes / (24 * 60)) + " days";
        }
        if (minutes >= 60) {
            long all = Math.round(minutes);
            return all / 60 + " h" + (all % 60 == 0 ? "" : " " + all % 60);
        }
        if (minutes < 1) {
            return Math.round(minutes * 60) + " s";
        }
        boolean whole = minutes >= 10 || Math.abs(minutes - Math.rint(minutes)) < 0.05;
        return whole ? Math.round(minutes) + " min" : String.format(Locale.ROOT, "%.1f min", minutes);
    }

    static String millilitres(double millilitres) {
        return (millilitres >= 100 ? Math.round(millilitres / 5) * 5 : Math.round(millilitres)) + " mL";
    }

    static String celsius(double celsius) {
        return Math.round(celsius) + " °C";
    }

    private static String lid(boolean on) {
        return on ? ", lid on" : ", lid off";
    }

    private static String flame(Enum<?> flame) {
        return flame.name().toLowerCase(Locale.ROOT) + " flame";
    }

    /** Label of the stage proper. */
    record Label(double waterMl, double yieldMl, PlanRequest request, Vessel vessel, boolean tap)
            implements Stage.Visitor<String> {
        @Override
        public String heat(Stage.Heat stage) {
            return stage.toC().isPresent()
                    ? "Heat to " + celsius(stage.toC().getAsDouble())
                    : "Bring to the boil, " + flame(stage.flame()) + lid(stage.lid());
        }

        @Override
        public String pour(Stage.Pour stage) {
            return "Pour " + millilitres(waterMl) + " on the herbs"
                    + (stage.toC().isPresent() ? " at " + celsius(stage.toC().getAsDouble()) : "");
        }

        @Override
        public String boil(Stage.Boil stage) {
            return "Boil " + minutes(stage.minutes()) + ", " + flame(stage.flame()) + lid(stage.lid());
        }

        @Override
        public String simmer(Stage.Simmer stage) {
            return "Leave it at a quiet simmer " + minutes(stage.minutes()) + lid(stage.lid());
        }

        @Override
        public String reduce(Stage.Reduce stage) {
            return "Boil it down, " + flame(stage.flame()) + lid(stage.lid()) + "; stay with it";
        }

        @Override
        public String steep(Stage.Steep stage) {
            return "Let it steep " + minutes(stage.minutes()) + (stage.lid() ? ", covered" : ", open");
        }

        @Override
        public String macerate(Stage.Macerate stage) {
            Menstruum menstruum = request.recipe().menstruum();
            String what = menstruum.cold()
                    ? menstruum.words()
                    : stage.toC().orElse(0) > WARM_FROM_C
                            ? "water of " + celsius(stage.toC().getAsDouble())
                            : "cold water";
            boolean shaken = stage.minutes() >= SHAKEN_FROM_MIN;
            return (tap ? "Pour " + millilitres(waterMl) + " of " + what + " on; let it stand " : "Let it stand ")
                    + minutes(stage.minutes())
                    + (shaken ? "; label it with today's date and shake it once a day" : "");
        }

        @Override
        public String rest(Stage.Rest stage) {
            return "Flame off; let it rest " + minutes(stage.minutes()) + (stage.lid() ? ", covered" : "");
        }

        @Override
        public String cool(Stage.Cool stage) {
            return "Let it cool to " + celsius(stage.toC());
        }

        @Override
        public String strain(Stage.Strain stage) {
            return "Strain" + (stage.pressed() ? " and press" : "") + tool() + " into " + cupsWord() + diluted()
                    + spentHerbs();
        }

        @Override
        public String refill(Stage.Refill stage) {
            return "Fresh water on the same herbs";
        }

        @Override
        public String combine(Stage.Combine stage) {
            return "Combine the liquors, " + millilitres(yieldMl) + " in all, into " + cupsWord() + diluted();
        }

        @Override
        public String finish(Stage.Finish stage) {
            return "Finish the cup";
        }

        /** What holds the herbs back: the plunger of a press, else a strainer for the finest of them. */
        private String tool() {
            if (vessel.kind() == Vessel.Kind.PRESS) {
                return ", plunger down slowly,";
            }
            Recipe recipe = request.recipe();
            return " through "
                    + recipe.additions().stream()
                            .filter(a -> recipe.stages().get(a.stage()).kind() != StageKind.FINISH)
                            .map(Addition::cut)
                            .max(Comparator.naturalOrder())
                            .orElse(Cut.WHOLE)
                            .strainer();
        }

        private String cupsWord() {
            if (request.recipe().menstruum().cold()) {
                return "a dark bottle with a dropper";
            }
            if (request.recipe().dilutionParts() > 0) {
                return "a jar";
            }
            return request.cups() == 1 ? "the mug" : Math.round(request.cups()) + " mugs";
        }

        /** What becomes of the herbs where the cook's school says it; what is left in them stands in the workings. */
        private String spentHerbs() {
            return switch (request.schools().chosen(Schools.Question.SPENT_HERBS)) {
                case ONCE_MORE -> "; keep the herbs for one more brew";
                case COMPOST -> "; compost the herbs";
                case INTO_FOOD -> "; the herbs go into other food";
                default -> "";
            };
        }

        /** How a concentrate is served. */
        private String diluted() {
            double parts = request.recipe().dilutionParts();
            double liquor = request.cupMl() / (1 + parts);
            return parts == 0
                    ? ""
                    : "; shake it, and serve " + millilitres(liquor) + " with " + millilitres(request.cupMl() - liquor)
                            + " of water to a cup";
        }
    }

    /** What is confirmed when a stage begins: the button of the step before it. */
    record Begin(double waterMl, double yieldMl) implements Stage.Visitor<String> {
        @Override
        public String heat(Stage.Heat stage) {
            return "Heat is on";
        }

        @Override
        public String pour(Stage.Pour stage) {
            return "Pour " + millilitres(waterMl);
        }

        @Override
        public String boil(Stage.Boil stage) {
            return "Boil on, " + flame(stage.flame());
        }

        @Override
        public String simmer(Stage.Simmer stage) {
            return "Turn it low" + lid(stage.lid());
        }

        @Override
        public String reduce(Stage.Reduce stage) {
            return "Lid off, boil it down";
        }

        @Override
        public String steep(Stage.Steep stage) {
            return stage.lid() ? "Covered" : "It stands";
        }

        @Override
        public String macerate(Stage.Macerate stage) {
            return "Water is on";
        }

        @Override
        public String rest(Stage.Rest stage) {
            return "Flame off";
        }

        @Override
        public String cool(Stage.Cool stage) {
            return "Let it cool";
        }

        @Override
        public String strain(Stage.Strain stage) {
            return "Strain now";
        }

        @Override
        public String refill(Stage.Refill stage) {
            return "Fresh water on";
        }

        @Override
        public String combine(Stage.Combine stage) {
            return "Combine them";
        }

        @Override
        public String finish(Stage.Finish stage) {
            return "Finish the cup";
        }
    }
}
