package embercup.core.brew;

import embercup.core.brew.Measurements.Kind;
import embercup.core.brew.Measurements.Reading;
import embercup.core.brew.Measurements.Turned;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.kitchen.Water;
import embercup.core.recipe.Flame;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The liquor on its way: water, warmth and what it has drawn, led through one phase after another. Mutable, used once;
 * {@link BrewRun} says which phases follow each other.
 *
 * <p>Heat is {@link Heating}; at the boil the surplus power makes steam, dm/dt = −f_lid·P/L(T); extraction is
 * {@link Liquor}. A phase is cut where a hand turned lid or flame and where a volume was read, and further into sub-steps
 * only for the extraction and the curve.
 */
final class Pot {

    /** Share of the steam that escapes past a lid (source key {@code kitchen-heat}). */
    static final double STEAM_PAST_LID = 0.2;
    /** Nobody waits longer for a pot to boil, s. */
    static final double LONGEST_HEATING_S = 3 * 3600;
    /** A reading sooner than this after the boil says nothing of a rate, s. */
    private static final double LEAST_OBSERVED_S = 45;
    /** A reading that shows less than this of the planned boil-off is taken for a slip (design value). */
    private static final double SLOWEST_BOIL = 0.1;
    /** Specific heat of dry plant matter, J/(g·K) (estimate). */
    private static final double HERB_J_PER_G_K = 1.5;

    private final BrewSetup setup;
    private final Kitchen kitchen;
    private final BrewRun.Follow follow;
    private final List<CurvePoint> curve = new ArrayList<>();

    final double boilingC;
    final Liquor liquor;
    double tempC;
    double waterMl;
    double evaporatedMl;
    /** Liquor of earlier boils that waits aside, mL. */
    double asideMl;

    boolean strained;
    boolean ranDry;
    boolean neverBoils;

    private int stage;
    private double tS;
    private double stageStartS;

    Pot(BrewSetup setup, BrewRun.Follow follow) {
        this.setup = setup;
        this.kitchen = setup.kitchen();
        this.follow = follow;
        this.boilingC = kitchen.boilingC();
        this.liquor = new Liquor(setup.charges(), setup.extraction(), follow == BrewRun.Follow.BODY);
        this.tempC = kitchen.tapC();
        this.waterMl = setup.pourMl();
    }

    void begin(int stageIndex) {
        stage = stageIndex;
        stageStartS = tS;
        sample();
    }

    double nowS() {
        return tS;
    }

    List<CurvePoint> curve() {
        sample();
        return curve;
    }

    private double inStageS() {
        return tS - stageStartS;
    }

    // ---- lid and flame as they stand for a while

    /** From {@code fromS} of the stage on. */
    private record Spell(double fromS, double watts, boolean lid) {
        Spell then(Turned turned, Kitchen kitchen) {
            return new Spell(
                    turned.atS(),
                    turned.turn().watts(kitchen.burner(), watts),
                    turned.turn().lid(lid));
        }
    }

    /** As the plan says from now on, and as hands turned it. */
    private List<Spell> spells(double watts, boolean lid) {
        List<Turned> turns = setup.measured().turns(stage, inStageS());
        Spell first = new Spell(inStageS(), watts, lid);
        if (turns.isEmpty()) {
            return List.of(first);
        }
        List<Spell> spells = new ArrayList<>(List.of(first));
        turns.forEach(t -> spells.add(spells.get(spells.size() - 1).then(t, kitchen)));
        return spells;
    }

    private static double end(List<Spell> spells, int i) {
        return i + 1 < spells.size() ? spells.get(i + 1).fromS() : Double.POSITIVE_INFINITY;
    }

    // ---- phases

    /**
     * Heats up.
     *
     * @param measuredS what it really took, s; empty to predict it
     * @return seconds it took
     */
    double heat(double targetC, Flame flame, boolean lid, Optional<Double> measuredS) {
        double from = tS;
        List<Spell> spells = spells(kitchen.burner().watts(flame), lid);
        for (int i = 0; i < spells.size(); i++) {
            Spell spell = spells.get(i);
            Heating heating = warming(spell);
            double room = end(spells, i) - inStageS();
            double needed = heating.secondsTo(targetC);
            double left = measuredS.orElse(needed + tS - from) - (tS - from);
            if (left > room) {
                follow(heating, room, spell.lid(), 1);
            } else {
                lastOfHeating(heating, targetC, measuredS.map(m -> left), spell);
                break;
            }
        }
        return tS - from;
    }

    private void lastOfHeating(Heating heating, double targetC, Optional<Double> measuredS, Spell spell) {
        double seconds = heating.secondsTo(targetC);
        if (seconds > LONGEST_HEATING_S) {
            neverBoils = true;
            seconds = LONGEST_HEATING_S;
        }
        double measured = measuredS.orElse(seconds);
        if (targetC >= boilingC && Measurements.unattended(measured, seconds)) {
            follow(heating, seconds, spell.lid(), 1);
            boilOff(
                    measured - seconds,
                    steamGPerS(spell),
                    spell.lid(),
                    setup.extraction().boilSpeed());
            return;
        }
        Heating real = measured != seconds && measured > 0
                ? new Heating(tempC, heating.endC(), heating.tauS() * measured / Math.max(seconds, 1))
                : heating;
        follow(real, measured, spell.lid(), 1);
    }

    /** Heats the water in the kettle, apart from the herbs. @return seconds it took */
    double heatKettle(double targetC, Optional<Double> measuredS) {
        double energy = waterMl * Water.SPECIFIC_HEAT_J_PER_G_K * Math.max(0, targetC - tempC);
        double seconds = measuredS.orElse(energy / (kitchen.kettleW() * Kitchen.KETTLE_EFFICIENCY));
        tS += seconds;
        tempC = targetC;
        sample();
        return seconds;
    }

    /** On the flame for a time: to the boil and on, or towards a simmer below it when the flame is small. */
    void hold(double seconds, Flame flame, boolean lid, double agitation) {
        hold(seconds, Double.NEGATIVE_INFINITY, flame, lid, agitation);
    }

    /** On the flame until so much is left. */
    void boilDown(double toMl, Flame flame, boolean lid, double agitation) {
        hold(Double.POSITIVE_INFINITY, toMl, flame, lid, agitation);
    }

    private void hold(double seconds, double toMl, Flame flame, boolean lid, double agitation) {
        List<Spell> spells = spells(kitchen.burner().watts(flame), lid);
        double endS = inStageS() + seconds;
        Optional<Reading> read = onTheWay(spells.get(0));
        double pace = read.map(r -> pace(spells, r)).orElse(1.0);
        for (int i = 0; i < spells.size(); i++) {
            double until = Math.min(endS, end(spells, i));
            if (read.filter(r -> r.atS() <= until).isPresent()) {
                keep(read.get().atS(), Double.NEGATIVE_INFINITY, spells.get(i), pace, agitation);
                waterMl = read.get().value();
                read = Optional.empty();
            }
            keep(until, toMl, spells.get(i), pace, agitation);
        }
    }

    /** A volume that was read long enough after the boil to tell its pace. */
    private Optional<Reading> onTheWay(Spell first) {
        return setup.measured()
                .last(stage, Kind.VOLUME_ML)
                .filter(r ->
                        r.atS() - inStageS() - climbS(warming(first), Double.POSITIVE_INFINITY) > LEAST_OBSERVED_S);
    }

    /** Water that really went ÷ water that should have gone until a reading. */
    private double pace(List<Spell> spells, Reading read) {
        double boilsS = inStageS() + climbS(warming(spells.get(0)), Double.POSITIVE_INFINITY);
        double expected = 0;
        for (int i = 0; i < spells.size(); i++) {
            double from = Math.max(spells.get(i).fromS(), boilsS);
            double to = Math.min(end(spells, i), read.atS());
            expected += Math.max(0, to - from) * steamGPerS(spells.get(i));
        }
        return expected <= 0 ? 1 : Math.max(SLOWEST_BOIL, (waterMl - read.value()) / expected);
    }

    /** Seconds below the boil at the beginning of a spell; all of {@code seconds} when it is never reached. */
    private double climbS(Heating heating, double seconds) {
        if (heating.endC() >= boilingC) {
            return Math.min(seconds, heating.secondsTo(boilingC));
        }
        return Double.isInfinite(seconds) ? 0 : seconds;
    }

    /** One spell up to a moment of the stage, or until so much is left. */
    private void keep(double untilS, double toMl, Spell spell, double pace, double agitation) {
        double seconds = untilS - inStageS();
        if (seconds <= 0) {
            return;
        }
        Heating heating = spell.watts() > 0 ? warming(spell) : cooling(setup.vessel(), waterMl, spell.lid());
        double climb = climbS(heating, seconds);
        follow(heating, climb, spell.lid(), agitation);
        double rate = steamGPerS(spell) * pace;
        double boil = Math.min(seconds - climb, Math.max(0, waterMl - toMl) / rate);
        if (Double.isNaN(boil) || Double.isInfinite(boil)) {
            neverBoils = true;
            boil = LONGEST_HEATING_S;
        }
        boilOff(boil, rate, spell.lid(), agitation);
    }

    /** Off the flame. */
    void stand(double seconds, boolean lid, double agitation) {
        if (seconds <= 0) {
            return;
        }
        if (strained) {
            follow(cooling(Vessel.mug(setup.cupMl()), setup.cupMl(), lid), seconds, lid, agitation);
            return;
        }
        double endS = inStageS() + seconds;
        List<Spell> spells = spells(0, lid);
        for (int i = 0; i < spells.size(); i++) {
            keep(Math.min(endS, end(spells, i)), Double.NEGATIVE_INFINITY, spells.get(i), 1, agitation);
        }
    }

    // ---- the physics under them

    private double capacityJPerK(double millilitres, double wall) {
        return millilitres * Water.SPECIFIC_HEAT_J_PER_G_K + wall + liquor.crowdG() * HERB_J_PER_G_K;
    }

    private double steamGPerS(Spell spell) {
        return spell.watts() * (spell.lid() ? STEAM_PAST_LID : 1) / Water.latentHeatJPerG(boilingC);
    }

    private Heating warming(Spell spell) {
        Vessel vessel = setup.vessel();
        return Heating.of(
                tempC,
                kitchen.roomC(),
                spell.watts(),
                capacityJPerK(waterMl, vessel.wallJPerK()),
                Losses.wattsPerKelvin(vessel, waterMl, spell.lid(), true));
    }

    /** How this liquor would cool in a vessel. */
    Heating cooling(Vessel in, double millilitres, boolean lid) {
        return Heating.of(
                tempC,
                kitchen.roomC(),
                0,
                capacityJPerK(millilitres, in.wallJPerK()),
                Losses.wattsPerKelvin(in, millilitres, lid, false));
    }

    /** Follows a temperature curve below the boil. */
    private void follow(Heating heating, double seconds, boolean lid, double agitation) {
        if (seconds <= 0) {
            return;
        }
        Optional<Reading> read = setup.measured().last(stage, Kind.TEMPERATURE_C);
        double until = read.map(Reading::atS).orElse(0.0) - inStageS();
        if (read.isPresent() && until > 0 && until < seconds - 1e-6) {
            follow(heating, until, lid, agitation, read.get().value());
            tempC = Math.min(boilingC, read.get().value());
            follow(new Heating(tempC, heating.endC(), heating.tauS()), seconds - until, lid, agitation, Double.NaN);
            return;
        }
        follow(heating, seconds, lid, agitation, Double.NaN);
    }

    /** The same without a reading on the way; ends at {@code readC} when the thermometer said so. */
    private void follow(Heating heating, double seconds, boolean lid, double agitation, double readC) {
        int steps = steps(seconds, heating.startC() == heating.endC());
        double h = seconds / steps;
        double steamW = strained ? 0 : Losses.steamWattsPerKelvin(setup.vessel(), lid);
        double from = heating.startC();
        for (int i = 0; i < steps; i++) {
            double mid = Math.min(boilingC, heating.celsiusAt((i + 0.5) * h));
            boolean read = i == steps - 1 && !Double.isNaN(readC);
            double to = Math.min(boilingC, read ? readC : heating.celsiusAt((i + 1) * h));
            if (steamW > 0 && mid > kitchen.roomC()) {
                evaporate(steamW * (mid - kitchen.roomC()) * h / Water.latentHeatJPerG(mid));
            }
            step(h, from, mid, to, agitation, lid);
            from = to;
        }
    }

    /** At the boil: the temperature stands, the water goes. */
    private void boilOff(double seconds, double gramsPerS, boolean lid, double agitation) {
        if (seconds <= 0) {
            return;
        }
        int steps = steps(seconds, true);
        double h = seconds / steps;
        for (int i = 0; i < steps; i++) {
            evaporate(gramsPerS * h / 2);
            step(h, boilingC, boilingC, boilingC, agitation, lid);
            evaporate(gramsPerS * h / 2);
            sampleOver();
        }
    }

    private static int steps(double seconds, boolean steady) {
        return (int) Math.max(3, Math.min(steady ? 10 : 24, Math.ceil(seconds / (steady ? 150 : 60))));
    }

    private void evaporate(double grams) {
        double floor = liquor.keptMl(false);
        double goes = Math.max(0, Math.min(grams, waterMl - floor));
        ranDry |= goes < grams * 0.999;
        waterMl -= goes;
        evaporatedMl += goes;
    }

    private void step(double seconds, double fromC, double midC, double toC, double agitation, boolean lid) {
        if (follow != BrewRun.Follow.WATER) {
            if (strained) {
                liquor.standStrained(seconds, fromC, midC, toC, lid);
            } else {
                liquor.give(seconds, fromC, midC, toC, waterMl, agitation, lid);
            }
        }
        tS += seconds;
        tempC = toC;
        sample();
    }

    private void sample() {
        if (follow == BrewRun.Follow.ALL) {
            curve.add(new CurvePoint(tS, tempC, waterMl + asideMl, liquor.drawn(0, strained), share(1), share(2)));
        }
    }

    /** Replaces the last sample once its step has lost the rest of its steam. */
    private void sampleOver() {
        if (follow == BrewRun.Follow.ALL) {
            curve.remove(curve.size() - 1);
            sample();
        }
    }

    private double share(int extractClass) {
        double held = liquor.held(extractClass);
        return held == 0 ? 0 : liquor.drawn(extractClass, strained) / held;
    }
}
