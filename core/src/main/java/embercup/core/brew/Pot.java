package embercup.core.brew;

import embercup.core.brew.Measurements.Kind;
import embercup.core.brew.Measurements.Reading;
import embercup.core.brew.Measurements.Turned;
import embercup.core.brew.Phase.Level;
import embercup.core.brew.Phase.Over;
import embercup.core.brew.Phase.Warmth;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.kitchen.Water;
import embercup.core.recipe.Flame;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The water on its way: how much there is and how warm, led through one {@link Phase} after another. Mutable, used once;
 * {@link BrewRun} says what each stage asks of it, and {@link Liquor} what the herbs give along the phases.
 *
 * <p>Heat is {@link Heating}; at the boil the power makes steam but for what lid and wall give to the room,
 * dm/dt = −(P − UA·(T − T_room))/L(T). A phase is cut where a hand
 * turned lid or flame and where a volume or a temperature was read.
 */
final class Pot {

    /** Nobody waits longer for a pot to boil, s. */
    static final double LONGEST_HEATING_S = 3 * 3600;
    /** A reading sooner than this after the boil says nothing of a rate, s. */
    private static final double LEAST_OBSERVED_S = 45;
    /** A reading that shows less than this of the planned boil-off is taken for a slip (design value). */
    private static final double SLOWEST_BOIL = 0.1;
    /** Specific heat of dry plant matter, J/(g·K) (estimate). */
    private static final double HERB_J_PER_G_K = 1.5;

    private final BrewSetup setup;
    private final Measurements measured;
    private final Kitchen kitchen;
    private final List<Phase> phases = new ArrayList<>();

    final double boilingC;
    final Bed bed;
    double tempC;
    double waterMl;
    /** What it stands in: the room, or the fridge, °C. */
    double aroundC;

    double evaporatedMl;
    /** Liquor of earlier boils that waits aside, mL. */
    double asideMl;

    boolean strained;
    boolean ranDry;
    boolean neverBoils;

    private int stage;
    private double tS;
    private double stageStartS;

    Pot(BrewSetup setup, Measurements measured) {
        this.setup = setup;
        this.measured = measured;
        this.kitchen = setup.kitchen();
        this.boilingC = kitchen.boilingC();
        this.bed = new Bed(setup.charges());
        this.tempC = kitchen.tapC();
        this.aroundC = kitchen.roomC();
        this.waterMl = setup.pourMl();
    }

    void begin(int stageIndex) {
        stage = stageIndex;
        stageStartS = tS;
        if (!strained && bed.add(stageIndex)) {
            phases.add(new Phase.HerbsIn(stageIndex));
        }
        sample();
    }

    double nowS() {
        return tS;
    }

    /** The last moment, for the curve. */
    void end() {
        sample();
    }

    /** What it went through. */
    List<Phase> phases() {
        return phases;
    }

    private void sample() {
        phases.add(new Phase.Sample(stage, tS, tempC, waterMl + asideMl));
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
        List<Turned> turns = measured.turns(stage, inStageS());
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
                follow(heating, warmth(spell), room, spell.lid(), 1);
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
        double took = measuredS.orElse(seconds);
        if (targetC >= boilingC && Measurements.unattended(took, seconds)) {
            follow(heating, warmth(spell), seconds, spell.lid(), 1);
            boilOff(took - seconds, spell, 1, setup.extraction().speeds().boil());
            return;
        }
        Heating real = took != seconds && took > 0
                ? new Heating(tempC, heating.endC(), heating.tauS() * took / Math.max(seconds, 1))
                : heating;
        follow(real, warmth(spell), took, spell.lid(), 1);
    }

    /** Heats the water in the kettle, apart from the herbs. @return seconds it took */
    double heatKettle(double targetC, Optional<Double> measuredS) {
        double energy = waterMl * Water.SPECIFIC_HEAT_J_PER_G_K * Math.max(0, targetC - tempC);
        double seconds = measuredS.orElse(energy / kitchen.kettleNetW());
        phases.add(new Phase.InKettle(stage, seconds, waterMl, tempC, targetC, kitchen.kettleNetW()));
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
        return measured.last(stage, Kind.VOLUME_ML)
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
        Warmth warmth = spell.watts() > 0 ? warmth(spell) : cooling(setup.vessel(), waterMl, spell.lid());
        Heating heating = warmth.from(tempC);
        double climb = climbS(heating, seconds);
        follow(heating, warmth, climb, spell.lid(), agitation);
        double rate = steamGPerS(spell) * pace;
        double boil = Math.min(seconds - climb, Math.max(0, waterMl - toMl) / rate);
        if (Double.isNaN(boil) || Double.isInfinite(boil)) {
            neverBoils = true;
            boil = LONGEST_HEATING_S;
        }
        boilOff(boil, spell, pace, agitation);
    }

    /** Off the flame. */
    void stand(double seconds, boolean lid, double agitation) {
        if (seconds <= 0) {
            return;
        }
        if (strained) {
            Warmth mug = inMug(lid);
            follow(mug.from(tempC), mug, seconds, lid, agitation);
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
        return millilitres * Water.SPECIFIC_HEAT_J_PER_G_K + wall + bed.dryG() * HERB_J_PER_G_K;
    }

    private double steamGPerS(Spell spell) {
        return Phase.AtTheBoil.steamGPerS(spell.watts(), condensingW(spell), boilingC);
    }

    private double condensingW(Spell spell) {
        return Losses.condensingW(setup.vessel(), spell.lid(), boilingC, kitchen.roomC());
    }

    private Warmth warmth(Spell spell) {
        Vessel vessel = setup.vessel();
        return new Warmth(
                spell.watts(),
                capacityJPerK(waterMl, vessel.wallJPerK()),
                Losses.wattsPerKelvin(vessel, waterMl, spell.lid(), true),
                kitchen.roomC());
    }

    private Heating warming(Spell spell) {
        return warmth(spell).from(tempC);
    }

    /** How this liquor would lose its heat in a vessel. */
    private Warmth cooling(Vessel in, double millilitres, boolean lid) {
        return new Warmth(
                0,
                capacityJPerK(millilitres, in.wallJPerK()),
                Losses.wattsPerKelvin(in, millilitres, lid, false),
                aroundC);
    }

    /** How one cup of it loses its heat in its mug; the herbs are no longer in it. */
    Warmth inMug(boolean lid) {
        double ml = setup.cups().ml();
        Vessel mug = Vessel.mug(ml);
        return new Warmth(
                0,
                ml * Water.SPECIFIC_HEAT_J_PER_G_K + mug.wallJPerK(),
                Losses.wattsPerKelvin(mug, ml, lid, false),
                kitchen.roomC());
    }

    /** Seconds until the liquor has cooled to a temperature, in its mug once it is strained; infinite when it never does. */
    double coolingS(double toC, boolean lid) {
        Warmth cooling = strained ? inMug(lid) : cooling(setup.vessel(), waterMl, lid);
        return cooling.from(tempC).secondsTo(toC);
    }

    /** Follows a temperature curve below the boil. */
    private void follow(Heating heating, Warmth warmth, double seconds, boolean lid, double agitation) {
        if (seconds <= 0) {
            return;
        }
        Optional<Reading> read = measured.last(stage, Kind.TEMPERATURE_C);
        double until = read.map(Reading::atS).orElse(0.0) - inStageS();
        if (read.isPresent() && until > 0 && until < seconds - 1e-6) {
            double celsius = Math.min(boilingC, read.get().value());
            below(heating, warmth, until, lid, agitation, OptionalDouble.of(celsius));
            tempC = celsius;
            Heating rest = new Heating(celsius, heating.endC(), heating.tauS());
            below(rest, warmth, seconds - until, lid, agitation, OptionalDouble.empty());
            return;
        }
        below(heating, warmth, seconds, lid, agitation, OptionalDouble.empty());
    }

    /** The same without a reading on the way; ends at {@code readC} when the thermometer said so. */
    private void below(
            Heating heating, Warmth warmth, double seconds, boolean lid, double agitation, OptionalDouble readC) {
        double steamW = strained ? 0 : Losses.steamWattsPerKelvin(setup.vessel(), lid, warmth.watts() > 0);
        double before = waterMl;
        evaporate(Phase.Below.steamG(steamW, heating, kitchen.roomC(), seconds));
        phases.add(new Phase.Below(
                stage,
                seconds,
                heating,
                warmth,
                new Over(lid, agitation, strained, asideMl),
                new Level(before, waterMl),
                steamW,
                readC));
        tS += seconds;
        tempC = readC.orElse(Math.min(boilingC, heating.celsiusAt(seconds)));
    }

    /** At the boil: the temperature stands, the water goes. */
    private void boilOff(double seconds, Spell spell, double pace, double agitation) {
        if (seconds <= 0) {
            return;
        }
        double before = waterMl;
        evaporate(steamGPerS(spell) * pace * seconds);
        phases.add(new Phase.AtTheBoil(
                stage,
                seconds,
                boilingC,
                spell.watts(),
                condensingW(spell),
                pace,
                new Over(spell.lid(), agitation, strained, asideMl),
                new Level(before, waterMl)));
        tS += seconds;
        tempC = boilingC;
    }

    private void evaporate(double grams) {
        double floor = bed.keptMl(false);
        double goes = Math.max(0, Math.min(grams, waterMl - floor));
        ranDry |= goes < grams * 0.999;
        waterMl -= goes;
        evaporatedMl += goes;
    }

    /** The liquor comes off the herbs, but for what they keep. */
    void strain(double keptMl) {
        phases.add(new Phase.Strained(stage, waterMl, keptMl));
        strained = true;
    }
}
