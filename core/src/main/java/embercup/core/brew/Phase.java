package embercup.core.brew;

import embercup.core.kitchen.Water;
import java.util.OptionalDouble;

/**
 * One thing that the pot went through while nothing about it changed: the same lid, the same power, the same herbs. A closed
 * family; immutable. From the phases of a brew its steam, its times and what its herbs gave can be computed again.
 */
sealed interface Phase {

    /** Index of the stage it belongs to. */
    int stage();

    /** How long it lasts, s; 0 for what happens at once. */
    default double seconds() {
        return 0;
    }

    /**
     * What is over and in the liquor.
     *
     * @param agitation factor on the rates of giving
     * @param strained whether the liquor is off the herbs
     * @param asideMl liquor of earlier boils that waits aside, mL
     */
    record Over(boolean lid, double agitation, boolean strained, double asideMl) {}

    /**
     * Heat that comes and goes.
     *
     * @param watts power into the water
     * @param capacityJPerK of all that warms
     * @param lossWPerK how fast the loss grows with the temperature
     * @param towardsC where the loss would be nothing, °C: of a covered liquor the room, of an open one where its straight line meets zero
     * @param steamWPerK the part of the loss that carries water away
     * @param steamFromC where that part would be nothing, °C
     */
    record Warmth(
            double watts,
            double capacityJPerK,
            double lossWPerK,
            double towardsC,
            double steamWPerK,
            double steamFromC) {

        /** Of a covered liquor, which loses no water. */
        Warmth(double watts, double capacityJPerK, double lossWPerK, double roomC) {
            this(watts, capacityJPerK, lossWPerK, roomC, 0, roomC);
        }

        static Warmth of(double watts, double capacityJPerK, Losses.Line line) {
            return new Warmth(
                    watts, capacityJPerK, line.wattsPerKelvin(), line.towardsC(), line.steamWPerK(), line.steamFromC());
        }

        /** The same of a liquor whose water is not counted any more. */
        Warmth withoutSteam() {
            return new Warmth(watts, capacityJPerK, lossWPerK, towardsC, 0, steamFromC);
        }
    }

    /** Water at the beginning and at the end, mL. */
    record Level(double startMl, double endMl) {
        double lostMl() {
            return startMl - endMl;
        }
    }

    /** A phase that lasts, in the vessel: the herbs give, or the liquor stands. */
    sealed interface InVessel extends Phase {
        Over over();

        Level level();
    }

    /**
     * Below the boil, along a piece of Newton's law.
     *
     * @param readC what the thermometer said at its end; empty when nobody looked
     */
    record Below(
            int stage, double seconds, Heating heating, Warmth warmth, Over over, Level level, OptionalDouble readC)
            implements InVessel {

        /** Steam of an open surface below the boil: the steam's share of the loss ÷ latent heat at the mean temperature, g. */
        static double steamG(double steamWPerK, double steamFromC, Heating heating, double seconds) {
            if (steamWPerK <= 0 || seconds <= 0) {
                return 0;
            }
            double kelvinSeconds = heating.degreeSeconds(steamFromC, seconds);
            double meanC = steamFromC + kelvinSeconds / seconds;
            return kelvinSeconds <= 0 ? 0 : steamWPerK * kelvinSeconds / Water.latentHeatJPerG(meanC);
        }
    }

    /**
     * At the boil: the temperature stands, the water goes.
     *
     * @param condensingW heat of the steam that condenses under the lid and runs back, W; 0 without one
     * @param pace water that really goes ÷ water that should go; 1 unless a reading tells otherwise
     */
    record AtTheBoil(
            int stage,
            double seconds,
            double boilingC,
            double watts,
            double condensingW,
            double pace,
            Over over,
            Level level)
            implements InVessel {

        /** Steam that really leaves, g/s. */
        double gramsPerS() {
            return steamGPerS(watts, condensingW, boilingC) * pace;
        }

        /** Steam that leaves the pot, g/s: all the power that does not go through lid and wall. */
        static double steamGPerS(double watts, double condensingW, double boilingC) {
            return Math.max(0, watts - condensingW) / Water.latentHeatJPerG(boilingC);
        }
    }

    /** In the kettle, apart from the herbs. */
    record InKettle(int stage, double seconds, double waterMl, double fromC, double toC, double watts)
            implements Phase {}

    /** What the recipe adds at the start of a stage goes in. */
    record HerbsIn(int stage) implements Phase {}

    /** Of {@code waterMl} in the pot, {@code keptMl} stays in the herbs with its share of extract. */
    record Strained(int stage, double waterMl, double keptMl) implements Phase {
        /** Share of the liquor that comes off the herbs, 0–1. */
        double goes() {
            return waterMl <= 0 ? 0 : Math.max(0, 1 - keptMl / waterMl);
        }
    }

    /** The spent herbs are out of the way: the liquor goes on as a batch, and herbs that go in now are others. */
    record HerbsOut(int stage) implements Phase {}

    /** A moment that the curve shows. */
    record Sample(int stage, double tS, double celsius, double ml) implements Phase {}
}
