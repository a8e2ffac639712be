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
import embercup.core.recipe.StageKind;
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
    private final Air air;
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

    /** What the liquor stands in, until it is in the cups. */
    Vessel vessel;

    /** Whether the liquor is off the herbs. */
    boolean strained;
    /** Whether it is in the cups, or waits aside in a jug: it cools there and its steam is not counted any more. */
    boolean inCups;

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
        this.air = Air.of(kitchen);
        this.bed = new Bed(setup.charges());
        this.vessel = setup.vessel();
        this.tempC = kitchen.tapC();
        this.aroundC = kitchen.roomC();
        this.waterMl = setup.pourMl();
    }

    void begin(int stageIndex) {
        stage = stageIndex;
        stageStartS = tS;
        if (!inCups && setup.stages().get(stageIndex).kind() != StageKind.STRAIN) {
            herbsIn(stageIndex);
        }
        sample();
    }

    /** Puts in what the recipe adds at a stage; a batch that gets herbs again is on herbs again. */
    void herbsIn(int stageIndex) {
        double before = bed.broughtMl();
        if (bed.add(stageIndex)) {
            strained = false;
            pourIn(bed.broughtMl() - before, kitchen.roomC());
            phases.add(new Phase.HerbsIn(stageIndex));
        }
    }

    /** Something as warm as {@code celsius} comes to what is there. */
    void pourIn(double millilitres, double celsius) {
        if (millilitres > 0) {
            tempC = (waterMl * tempC + millilitres * celsius) / (waterMl + millilitres);
            waterMl += millilitres;
        }
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
            double room = end(spells, i) - inStageS();
            double left = measuredS.map(m -> m - (tS - from)).orElseGet(() -> heatsIn(spell, targetC));
            if (left > room) {
                follow(way(spell, targetC, room), spell.lid(), 1);
            } else {
                lastOfHeating(targetC, measuredS.map(m -> left), spell);
                break;
            }
        }
        return tS - from;
    }

    /** Seconds on the flame to a temperature; infinite when it is never reached. */
    private double heatsIn(Spell spell, double targetC) {
        return Way.heatingS(over(spell), air, spell.watts(), capacity(), tempC, targetC);
    }

    private void lastOfHeating(double targetC, Optional<Double> measuredS, Spell spell) {
        double seconds = heatsIn(spell, targetC);
        if (seconds > LONGEST_HEATING_S) {
            neverBoils = true;
            seconds = LONGEST_HEATING_S;
        }
        double took = measuredS.orElse(seconds);
        Way way = way(spell, targetC, seconds);
        if (targetC >= boilingC && Measurements.unattended(took, seconds)) {
            follow(way, spell.lid(), 1);
            boilOff(took - seconds, spell, 1, setup.extraction().speeds().boil());
            return;
        }
        if (seconds <= 0 && took > 0) {
            follow(new Way(List.of(standing(took, spell))), spell.lid(), 1);
            return;
        }
        follow(took != seconds && took > 0 ? way.times(took / Math.max(seconds, 1)) : way, spell.lid(), 1);
    }

    /** A wait for what was there already. */
    private Way.Piece standing(double seconds, Spell spell) {
        Phase.Warmth warmth = Phase.Warmth.of(spell.watts(), capacity(), line(spell, true));
        return new Way.Piece(seconds, warmth, new Heating(tempC, tempC, 1));
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

    /**
     * On a flame that is turned so that the liquor stays at a temperature below the boil, or comes down to it. A hand that sets the flame
     * otherwise has it its way.
     */
    void holdAt(double celsius, double seconds, boolean lid, double agitation) {
        double endS = inStageS() + seconds;
        List<Spell> spells = spells(Double.NaN, lid);
        for (int i = 0; i < spells.size(); i++) {
            Spell spell = spells.get(i);
            double until = Math.min(endS, end(spells, i));
            if (Double.isNaN(spell.watts())) {
                regulated(celsius, until, spell, agitation);
            } else {
                keep(until, Double.NEGATIVE_INFINITY, spell, 1, agitation);
            }
        }
    }

    /** The cook minds the flame: off until it is as cool, then as much as is lost. */
    private void regulated(double celsius, double untilS, Spell spell, double agitation) {
        if (tempC > celsius) {
            Spell off = new Spell(spell.fromS(), 0, spell.lid());
            follow(way(off, celsius, untilS - inStageS()), spell.lid(), agitation);
        }
        Spell even = new Spell(spell.fromS(), Losses.watts(over(spell), air, tempC), spell.lid());
        follow(new Way(List.of(standing(untilS - inStageS(), even))), spell.lid(), agitation);
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
                .filter(r -> r.atS() - inStageS() - climbS(first) > LEAST_OBSERVED_S);
    }

    /** Water that really went ÷ water that should have gone until a reading. */
    private double pace(List<Spell> spells, Reading read) {
        double boilsS = inStageS() + climbS(spells.get(0));
        double expected = 0;
        for (int i = 0; i < spells.size(); i++) {
            double from = Math.max(spells.get(i).fromS(), boilsS);
            double to = Math.min(end(spells, i), read.atS());
            expected += Math.max(0, to - from) * steamGPerS(spells.get(i));
        }
        return expected <= 0 ? 1 : Math.max(SLOWEST_BOIL, (waterMl - read.value()) / expected);
    }

    /** Seconds below the boil at the beginning of a spell; 0 when it is never reached. */
    private double climbS(Spell spell) {
        double seconds = heatsIn(spell, boilingC);
        return Double.isInfinite(seconds) ? 0 : seconds;
    }

    /** One spell up to a moment of the stage, or until so much is left. */
    private void keep(double untilS, double toMl, Spell spell, double pace, double agitation) {
        double seconds = untilS - inStageS();
        if (seconds <= 0) {
            return;
        }
        boolean boils = spell.watts() > 0 && evenC(spell) >= boilingC;
        double climb = 0;
        if (boils || !Double.isInfinite(seconds)) {
            Way way = spell.watts() > 0
                    ? way(spell, boils ? boilingC : Double.POSITIVE_INFINITY, seconds)
                    : cooling(vessel, waterMl, spell.lid(), Double.NEGATIVE_INFINITY, seconds);
            climb = boils ? way.seconds() : seconds;
            follow(way, spell.lid(), agitation);
        }
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
        if (inCups) {
            follow(inMug(tempC, lid, Double.NEGATIVE_INFINITY, seconds), lid, agitation);
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
        return Losses.condensingW(vessel, spell.lid(), boilingC, kitchen.roomC());
    }

    private double capacity() {
        return capacityJPerK(waterMl, vessel.wallJPerK());
    }

    private Losses.State over(Spell spell) {
        return new Losses.State(vessel, waterMl, spell.lid(), true);
    }

    private Losses.Line line(Spell spell, boolean rising) {
        return Losses.line(over(spell), air, tempC, rising);
    }

    /** Where it would end on the flame if it could, °C. */
    private double evenC(Spell spell) {
        return Losses.evenC(over(spell), air, spell.watts());
    }

    private Way way(Spell spell, double toC, double mostS) {
        return Way.of(over(spell), air, spell.watts(), capacity(), tempC, toC, mostS);
    }

    /** How this liquor loses its heat in a vessel. */
    private Way cooling(Vessel in, double millilitres, boolean lid, double toC, double mostS) {
        Air around = aroundC == kitchen.roomC() ? air : Air.of(aroundC, boilingC);
        return Way.of(
                new Losses.State(in, millilitres, lid, false),
                around,
                0,
                capacityJPerK(millilitres, in.wallJPerK()),
                tempC,
                toC,
                mostS);
    }

    /** How one cup of it loses its heat in its mug; the herbs are no longer in it. */
    Way inMug(double fromC, boolean lid, double toC, double mostS) {
        double ml = setup.cups().ml();
        Vessel mug = Vessel.mug(ml);
        return Way.of(
                new Losses.State(mug, ml, lid, false),
                air,
                0,
                ml * Water.SPECIFIC_HEAT_J_PER_G_K + mug.wallJPerK(),
                fromC,
                toC,
                mostS);
    }

    /** How a cup of it at the end cools down to a temperature; empty when it is as cool, or never gets there. */
    Optional<Way> coolsInMug(double toC) {
        return tempC > toC && toC > kitchen.roomC()
                ? Optional.of(inMug(tempC, false, toC, Double.POSITIVE_INFINITY))
                : Optional.empty();
    }

    /** Seconds until the liquor has cooled to a temperature, in its mug once it is strained; infinite when it never does. */
    double coolingS(double toC, boolean lid) {
        if (tempC <= toC) {
            return 0;
        }
        if (toC <= (inCups ? kitchen.roomC() : aroundC)) {
            return Double.POSITIVE_INFINITY;
        }
        Way way = inCups
                ? inMug(tempC, lid, toC, Double.POSITIVE_INFINITY)
                : cooling(vessel, waterMl, lid, toC, Double.POSITIVE_INFINITY);
        return way.seconds();
    }

    /** Follows its way below the boil; a thermometer on it says where it really was. */
    private void follow(Way way, boolean lid, double agitation) {
        Optional<Reading> read = measured.last(stage, Kind.TEMPERATURE_C);
        for (Way.Piece piece : way.pieces()) {
            double until = read.map(Reading::atS).orElse(0.0) - inStageS();
            if (read.isPresent() && until > 0 && until < piece.seconds() - 1e-6) {
                double celsius = Math.min(boilingC, read.get().value());
                below(piece.heating(), piece.warmth(), until, lid, agitation, OptionalDouble.of(celsius));
                double left = piece.seconds() - until;
                Heating rest = new Heating(
                        celsius, piece.heating().endC(), piece.heating().tauS());
                below(rest, piece.warmth(), left, lid, agitation, OptionalDouble.empty());
                read = Optional.empty();
            } else {
                // A reading moved where it begins.
                Heating from = Math.abs(tempC - piece.heating().startC()) < 1e-9
                        ? piece.heating()
                        : new Heating(
                                tempC, piece.heating().endC(), piece.heating().tauS());
                below(from, piece.warmth(), piece.seconds(), lid, agitation, OptionalDouble.empty());
            }
        }
    }

    /** The same without a reading on the way; ends at {@code readC} when the thermometer said so. */
    private void below(
            Heating heating, Warmth warmth, double seconds, boolean lid, double agitation, OptionalDouble readC) {
        if (seconds <= 0) {
            return;
        }
        Warmth losing = inCups ? warmth.withoutSteam() : warmth;
        double before = waterMl;
        evaporate(Phase.Below.steamG(losing.steamWPerK(), losing.steamFromC(), heating, seconds));
        phases.add(new Phase.Below(
                stage,
                seconds,
                heating,
                losing,
                new Over(lid, agitation, strained, asideMl),
                new Level(before, waterMl),
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

    /** The liquor goes on in a vessel, as a batch without the herbs it was drawn from; the wall takes its heat. */
    void batch(Vessel in) {
        phases.add(new Phase.HerbsOut(stage));
        bed.clear();
        vessel = in;
        warms(in.wallJPerK());
    }

    /** What is poured into something warms it. */
    void warms(double wallJPerK) {
        double water = waterMl * Water.SPECIFIC_HEAT_J_PER_G_K;
        tempC = water + wallJPerK <= 0 ? tempC : (water * tempC + wallJPerK * kitchen.roomC()) / (water + wallJPerK);
    }
}
