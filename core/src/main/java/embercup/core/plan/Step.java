package embercup.core.plan;

import embercup.core.recipe.StageKind;

/** One step of the one cook. A closed family; immutable. What it says is made of it and its plan by {@code words}. */
public sealed interface Step {

    /** Names the step inside its plan; opaque. */
    String id();

    /** What kind of step it is, as the wire writes it: {@code prep}, {@code stand}, {@code heat}, or the code of the stage. */
    String code();

    /** Seconds from the first step. */
    Span span();

    /** A length of time. @param startS seconds from the first step, @param durationS seconds */
    record Span(double startS, double durationS) {
        public double endS() {
            return startS + durationS;
        }
    }

    /** Index of the stage it belongs to; −1 for what gets a herb ready. */
    default int stage() {
        return -1;
    }

    /** Flame, lid and marc while it lasts. */
    default Fire fire() {
        return Fire.NONE;
    }

    /** How it goes on. */
    Way way();

    /** How a step goes on: under the cook's hands, on the heat, or left to itself. */
    enum Way {
        BY_HAND,
        HEATING,
        STANDING
    }

    /** Whether it needs the cook's hands. */
    default boolean handsOn() {
        return way() == Way.BY_HAND;
    }

    /** Whether it runs while a stage waits, beside the steps that follow one another. */
    default boolean aside() {
        return false;
    }

    /** Whether it goes on by itself and may be ended by nose or eye: the herbs give. */
    default boolean ripens() {
        return false;
    }

    /** Whether it brings a pot or a kettle to a temperature. */
    default boolean heats() {
        return false;
    }

    default double startS() {
        return span().startS;
    }

    default double durationS() {
        return span().durationS;
    }

    default double endS() {
        return span().endS();
    }

    /** Gets a herb ready. @param addition index of the planned addition */
    record Prepare(String id, Span span, int addition, boolean aside) implements Step {
        @Override
        public String code() {
            return "prep";
        }

        @Override
        public Way way() {
            return Way.BY_HAND;
        }

        Prepare at(double startS, boolean besideStages) {
            return new Prepare(id, new Span(startS, span.durationS), addition, besideStages);
        }
    }

    /**
     * A herb that was got ready rests before it goes in: beside the stages with a clock of its own, or as the wait that the first
     * stage begins after.
     *
     * @param addition index of the planned addition
     */
    record Stand(String id, Span span, int addition, boolean aside) implements Step {
        @Override
        public String code() {
            return "stand";
        }

        @Override
        public Way way() {
            return Way.STANDING;
        }
    }

    /** Heats what a stage needs hot before it can begin. */
    record HeatUp(String id, Span span, int stage, Fire fire) implements Step {
        @Override
        public String code() {
            return StageKind.HEAT.code();
        }

        @Override
        public Way way() {
            return Way.HEATING;
        }

        @Override
        public boolean heats() {
            return true;
        }
    }

    /** A stage of the recipe. */
    record OfStage(String id, Span span, int stage, StageKind kind, Fire fire) implements Step {
        @Override
        public String code() {
            return kind.code();
        }

        @Override
        public Way way() {
            return switch (kind) {
                case POUR, STRAIN, REFILL, COMBINE, FINISH, STIR, SHAKE, BLEND -> Way.BY_HAND;
                case HEAT, BOIL, SIMMER, HOLD, REDUCE -> Way.HEATING;
                case STEEP, MACERATE, REST, COOL -> Way.STANDING;
            };
        }

        @Override
        public boolean heats() {
            return kind == StageKind.HEAT;
        }

        @Override
        public boolean ripens() {
            return kind.infuses();
        }
    }
}
