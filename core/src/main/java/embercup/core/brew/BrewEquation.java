package embercup.core.brew;

import embercup.core.materia.ExtractionData.ClassConstants;
import embercup.core.workings.Code;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.OptionalDouble;

/** The equations of a brew, each solved from nothing but the inputs that its workings name. */
public enum BrewEquation implements Workings.Equation {

    /**
     * C·dT/dt = P − UA·(T − T₀): minutes from one temperature to another. Inputs: from and to, °C, net power, W, heat capacity, J/K,
     * loss, W/K, and T₀, °C: the room of a covered liquor, of an open one where the straight line of its loss meets zero.
     */
    NEWTON {
        @Override
        public double solve(List<Workings> in) {
            Heating heating = Heating.of(
                    value(in, Term.FROM_C),
                    either(in, Term.NO_LOSS_C, Term.ROOM_C),
                    value(in, Term.NET_POWER),
                    value(in, Term.HEAT_CAPACITY),
                    value(in, Term.HEAT_LOSS));
            return heating.secondsTo(value(in, Term.TO_C)) / 60;
        }
    },

    /** The same law: the power, W, with which the time was measured, min. Other inputs as above. */
    POWER_TO_BOIL {
        @Override
        public double solve(List<Workings> in) {
            return StoveCalibration.powerToBoil(
                    value(in, Term.FROM_C),
                    value(in, Term.TO_C),
                    value(in, Term.MINUTES) * 60,
                    new Phase.Warmth(
                            0, value(in, Term.HEAT_CAPACITY), value(in, Term.HEAT_LOSS), value(in, Term.ROOM_C)));
        }
    },

    /**
     * Steam of an open surface below the boil: the steam's share of the loss × ∫(T − T₀) dt ÷ latent heat at the mean
     * temperature, mL. Inputs: the share, W/K, from and towards, °C, time constant and length, min, and T₀, °C.
     */
    OPEN_SURFACE {
        @Override
        public double solve(List<Workings> in) {
            Heating heating =
                    new Heating(value(in, Term.FROM_C), value(in, Term.TOWARDS_C), value(in, Term.TIME_CONSTANT) * 60);
            return Phase.Below.steamG(
                    value(in, Term.STEAM_LOSS),
                    either(in, Term.NO_STEAM_C, Term.ROOM_C),
                    heating,
                    value(in, Term.MINUTES) * 60);
        }
    },

    /**
     * dx/dt = k·(x_eq − x), x_eq = 1/(1 + K·m/V), in each herb along all phases: grams of herb given up that are in the
     * strained liquor. Inputs: the constants of the class, every herb, every phase.
     */
    FIRST_ORDER {
        @Override
        public double solve(List<Workings> in) {
            Replay replay = Replay.of(in);
            return replay.liquor.drawn(0, replay.strained);
        }
    },

    /** The same equation: the share that one herb has not given. Inputs: the same, and the number of the herb. */
    FIRST_ORDER_LEFT {
        @Override
        public double solve(List<Workings> in) {
            int herb = (int) value(in, Term.HERB_NUMBER) - 1;
            return Replay.of(in).liquor.leftInHerb(herb).values().iterator().next();
        }
    };

    @Override
    public String code() {
        return Code.of(this);
    }

    /** The first of two figures that is there; the second is of a covered liquor, and of earlier versions. */
    private static double either(List<Workings> in, Term first, Term second) {
        return value(in, in.stream().anyMatch(w -> w.term() == first) ? first : second);
    }

    private static double value(List<Workings> in, Term term) {
        return in.stream()
                .filter(w -> w.term() == term)
                .mapToDouble(Workings::value)
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException(term.name()));
    }

    /** Share of the steam that an earlier version took to run back from a lid. */
    private static final double EARLIER_CONDENSING = 0.8;

    /** A class of constituents led through the phases that the inputs name. */
    private record Replay(Liquor liquor, boolean strained) {

        static Replay of(List<Workings> in) {
            ClassConstants constants = new ClassConstants(
                    1,
                    value(in, Term.ACTIVATION_ENERGY),
                    value(in, Term.PARTITION),
                    value(in, Term.LOSS_RATE),
                    value(in, Term.LOSS_ACTIVATION),
                    value(in, Term.LOSS_UNDER_LID),
                    1);
            List<Liquor.Herb> herbs = in.stream()
                    .filter(w -> w.term() == Term.HERB_IN)
                    .map(Replay::herb)
                    .toList();
            Liquor liquor = new Liquor(herbs, List.of(constants), value(in, Term.REFERENCE_C));
            boolean strained = false;
            for (Phase phase : phases(in)) {
                liquor.through(phase, slice -> {});
                strained =
                        phase instanceof Phase.InVessel lasting ? lasting.over().strained() : strained;
            }
            return new Replay(liquor, strained);
        }

        private static Liquor.Herb herb(Workings w) {
            return new Liquor.Herb(
                    (int) value(w.inputs(), Term.STAGE_NUMBER) - 1,
                    value(w.inputs(), Term.DRY_GRAMS),
                    new double[] {value(w.inputs(), Term.RATE) / 60},
                    new double[] {w.value() * value(w.inputs(), Term.HELD_PER_GRAM)});
        }

        private static List<Phase> phases(List<Workings> in) {
            List<Phase> all = new ArrayList<>();
            for (Workings w : in) {
                switch (w.term()) {
                    case HERBS_GO_IN -> all.add(new Phase.HerbsIn((int) w.value() - 1));
                    case LIQUOR_OFF -> all.add(new Phase.Strained(0, 1, 1 - w.value()));
                    case HERBS_OUT -> all.add(new Phase.HerbsOut(0));
                    case BELOW_THE_BOIL -> all.add(below(w));
                    case AT_THE_BOIL -> all.add(boil(w));
                    default -> {}
                }
            }
            return all;
        }

        private static Phase below(Workings w) {
            Heating heating = new Heating(
                    value(w.inputs(), Term.FROM_C),
                    value(w.inputs(), Term.TOWARDS_C),
                    value(w.inputs(), Term.TIME_CONSTANT) * 60);
            return new Phase.Below(
                    0,
                    w.value() * 60,
                    heating,
                    new Phase.Warmth(0, 1, 1, 0),
                    over(w),
                    level(w),
                    OptionalDouble.empty());
        }

        private static Phase boil(Workings w) {
            return new Phase.AtTheBoil(
                    0,
                    w.value() * 60,
                    value(w.inputs(), Term.BOILING_C),
                    value(w.inputs(), Term.NET_POWER),
                    condensingW(w),
                    1,
                    over(w),
                    level(w));
        }

        /** A figure that an earlier version kept counts a fifth of the steam past the lid. */
        private static double condensingW(Workings w) {
            return w.inputs().stream()
                    .filter(in -> in.term() == Term.LOST_BY_LID_AND_WALL)
                    .mapToDouble(Workings::value)
                    .findFirst()
                    .orElseGet(() -> over(w).lid() ? EARLIER_CONDENSING * value(w.inputs(), Term.NET_POWER) : 0);
        }

        private static Phase.Over over(Workings w) {
            return new Phase.Over(
                    value(w.inputs(), Term.LID) == 1,
                    value(w.inputs(), Term.AGITATION),
                    value(w.inputs(), Term.OFF_THE_HERBS) == 1,
                    0);
        }

        private static Phase.Level level(Workings w) {
            return new Phase.Level(value(w.inputs(), Term.WATER_BEFORE), value(w.inputs(), Term.WATER_AFTER));
        }
    }
}
