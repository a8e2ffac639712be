package embercup.core.brew;

import embercup.core.brew.Measurements.Kind;
import embercup.core.brew.Measurements.Reading;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.kitchen.Water;
import embercup.core.materia.ExtractClass;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Runs one brew through its stages in closed form. Mutable, used once; {@link BrewSimulation} is the door.
 *
 * <p>Heat is {@link Heating}; at the boil the surplus power makes steam, dm/dt = −f_lid·P/L(T); extraction is
 * {@link Liquor}. A phase is cut into sub-steps only for the extraction and the curve.
 */
final class BrewRun implements Stage.Visitor<Boolean> {

    /** Share of the steam that escapes past a lid (source key {@code kitchen-heat}). */
    static final double STEAM_PAST_LID = 0.2;
    /** A reading sooner than this after the boil says nothing of a rate, s. */
    private static final double LEAST_OBSERVED_S = 45;
    /** A reading that shows less than this of the planned boil-off is taken for a slip (design value). */
    private static final double SLOWEST_BOIL = 0.1;
    /** Specific heat of dry plant matter, J/(g·K) (estimate). */
    private static final double HERB_J_PER_G_K = 1.5;
    /** Below this distance from the boil a boil or a simmer needs heating first, K. */
    private static final double NEARLY_BOILING_K = 0.5;
    /** A simmer that starts hotter than this below the boil needs no heating. */
    private static final double NEARLY_SIMMERING_K = 4;
    /** Nobody waits longer for a pot to boil, s. */
    private static final double LONGEST_HEATING_S = 3 * 3600;
    /** Straining: hands-on time for the pot and for each cup, s (common practice, no source). */
    private static final double STRAIN_S = 60;

    private static final double STRAIN_EACH_CUP_S = 15;
    private static final double POUR_S = 30;
    private static final double FINISH_EACH_CUP_S = 30;
    private static final double DRINKABLE_C = 62;
    private static final double HONEY_C = 40;

    private final BrewSetup setup;
    private final Kitchen kitchen;
    private final Follow follow;
    private final double boilingC;
    private final Liquor liquor;
    private final List<StageRun> runs = new ArrayList<>();
    private final List<CurvePoint> curve = new ArrayList<>();

    private Vessel vessel;
    private int index;
    private double tS;
    private double stageStartS;
    private double tempC;
    private double waterMl;
    private double pouredMl;
    private double evaporatedMl;
    private double heatS;
    private boolean kettle;
    private double asideMl;
    private double asideC;
    private boolean strained;
    private boolean ranDry;
    private boolean neverBoils;
    private double strainedKeptMl;

    /** How much of a brew is followed. */
    enum Follow {
        WATER,
        BODY,
        ALL
    }

    BrewRun(BrewSetup setup, Follow follow) {
        this.setup = setup;
        this.kitchen = setup.kitchen();
        this.follow = follow;
        this.boilingC = kitchen.boilingC();
        this.liquor = new Liquor(setup.charges(), setup.extraction(), follow == Follow.BODY);
        this.vessel = setup.vessel();
        this.tempC = kitchen.tapC();
        this.waterMl = setup.pourMl();
        this.pouredMl = setup.pourMl();
    }

    BrewResult run() {
        for (index = 0; index < setup.stages().size(); index++) {
            Stage stage = setup.stages().get(index);
            if (!strained) {
                liquor.add(index);
            }
            double startS = tS;
            stageStartS = tS;
            double startC = tempC;
            double startMl = waterMl;
            heatS = 0;
            kettle = false;
            sample();
            boolean boils = stage.accept(this);
            runs.add(new StageRun(index, stage, startS, heatS, tS, startC, tempC, startMl, waterMl, kettle, boils));
        }
        sample();
        return result();
    }

    private BrewResult result() {
        Map<ExtractClass, Double> drawn = new EnumMap<>(ExtractClass.class);
        Map<ExtractClass, Double> held = new EnumMap<>(ExtractClass.class);
        for (int c = 0; c < Charge.CLASSES.length; c++) {
            drawn.put(Charge.CLASSES[c], liquor.drawn(c, strained));
            held.put(Charge.CLASSES[c], liquor.held(c));
        }
        List<Map<ExtractClass, Double>> left = new ArrayList<>();
        for (int i = 0; i < setup.charges().size(); i++) {
            left.add(liquor.leftInHerb(i));
        }
        double kept = strained ? strainedKeptMl : 0;
        double yield = strained ? asideMl + waterMl : waterMl;
        Heating cooling = cooling(Vessel.mug(setup.cupMl()), setup.cupMl(), false);
        return new BrewResult(
                runs,
                curve,
                pouredMl,
                yield,
                kept,
                evaporatedMl,
                drawn,
                held,
                left,
                tempC,
                Math.max(0, cooling.secondsTo(DRINKABLE_C)),
                Math.max(0, cooling.secondsTo(HONEY_C)),
                ranDry,
                neverBoils);
    }

    // ---- the stages

    @Override
    public Boolean heat(Stage.Heat stage) {
        double target = Math.min(stage.toC().orElse(boilingC), boilingC);
        if (pourFollows() && liquor.empty()) {
            heatKettle(target);
        } else {
            heatPot(target, stage.flame(), stage.lid());
        }
        heatS = 0;
        return target >= boilingC - NEARLY_BOILING_K;
    }

    private boolean pourFollows() {
        return index + 1 < setup.stages().size()
                && setup.stages().get(index + 1).kind() == StageKind.POUR;
    }

    @Override
    public Boolean pour(Stage.Pour stage) {
        double target = Math.min(stage.toC().orElse(Math.max(tempC, runs.isEmpty() ? boilingC : tempC)), boilingC);
        if (tempC < target - NEARLY_BOILING_K) {
            heatKettle(target);
        } else if (stage.toC().isPresent()) {
            tempC = target;
        }
        double water = waterMl * Water.SPECIFIC_HEAT_J_PER_G_K;
        tempC = (water * tempC + vessel.wallJPerK() * kitchen.roomC()) / (water + vessel.wallJPerK());
        stand(measuredOr(POUR_S + heatS) - heatS, false, 1);
        return false;
    }

    @Override
    public Boolean boil(Stage.Boil stage) {
        if (tempC < boilingC - NEARLY_BOILING_K) {
            heatPot(boilingC, Flame.HIGH, true);
        }
        hold(
                measuredOr(heatS + stage.minutes() * 60) - heatS,
                stage.flame(),
                stage.lid(),
                setup.extraction().boilSpeed());
        return true;
    }

    @Override
    public Boolean simmer(Stage.Simmer stage) {
        if (tempC < boilingC - NEARLY_SIMMERING_K) {
            heatPot(boilingC, Flame.HIGH, true);
        }
        hold(
                measuredOr(heatS + stage.minutes() * 60) - heatS,
                stage.flame(),
                stage.lid(),
                setup.extraction().simmerSpeed());
        return true;
    }

    @Override
    public Boolean reduce(Stage.Reduce stage) {
        if (tempC < boilingC - NEARLY_BOILING_K) {
            heatPot(boilingC, Flame.HIGH, true);
        }
        double target = stage.toMl() * setup.volumeScale() + liquor.keptMl(pressedLater());
        double seconds = reduceS(target, steamGPerS(stage.flame(), stage.lid()));
        double measured = measuredOr(heatS + seconds) - heatS;
        hold(measured, stage.flame(), stage.lid(), setup.extraction().boilSpeed());
        return true;
    }

    /** From the plan's rate, or from the rate that a volume read on the way shows. */
    private double reduceS(double targetMl, double rate) {
        Optional<Reading> read = setup.measured().last(index, Kind.VOLUME_ML);
        double until = read.map(r -> r.atS() - heatS).orElse(0.0);
        if (read.isEmpty() || until <= LEAST_OBSERVED_S) {
            return Math.max(0, waterMl - targetMl) / rate;
        }
        double observed = Math.max(rate * SLOWEST_BOIL, (waterMl - read.get().value()) / until);
        return until + Math.max(0, read.get().value() - targetMl) / observed;
    }

    private boolean pressedLater() {
        return setup.stages().stream()
                .skip(index)
                .filter(s -> s instanceof Stage.Strain)
                .map(s -> ((Stage.Strain) s).pressed())
                .findFirst()
                .orElse(false);
    }

    @Override
    public Boolean steep(Stage.Steep stage) {
        stand(measuredOr(stage.minutes() * 60), stage.lid(), 1);
        return false;
    }

    @Override
    public Boolean macerate(Stage.Macerate stage) {
        if (index == 0) {
            tempC = stage.toC().orElse(kitchen.tapC());
        }
        stand(measuredOr(stage.minutes() * 60), stage.lid(), setup.extraction().shakenSpeed());
        return false;
    }

    @Override
    public Boolean rest(Stage.Rest stage) {
        stand(measuredOr(stage.minutes() * 60), stage.lid(), 1);
        return false;
    }

    @Override
    public Boolean cool(Stage.Cool stage) {
        Vessel in = strained ? Vessel.mug(setup.cupMl()) : vessel;
        double seconds =
                cooling(in, strained ? setup.cupMl() : waterMl, stage.lid()).secondsTo(stage.toC());
        stand(measuredOr(Math.min(seconds, LONGEST_HEATING_S)), stage.lid(), 1);
        return false;
    }

    @Override
    public Boolean strain(Stage.Strain stage) {
        double seconds = STRAIN_S + STRAIN_EACH_CUP_S * setup.cups();
        double kept = Math.min(waterMl, liquor.keptMl(stage.pressed()));
        boolean refillFollows = setup.stages().stream().skip(index).anyMatch(s -> s.kind() == StageKind.REFILL);
        liquor.strain(waterMl, kept);
        double strainedMl = waterMl - kept;
        strainedKeptMl = kept;
        strained = true;
        if (refillFollows || asideMl > 0) {
            asideC = asideMl + strainedMl == 0
                    ? tempC
                    : (asideMl * asideC + strainedMl * tempC) / (asideMl + strainedMl);
            asideMl += strainedMl;
            waterMl = 0;
            tempC = asideC;
        } else {
            waterMl = strainedMl;
            intoMugs();
        }
        setup.measured().last(index, Kind.VOLUME_ML).ifPresent(r -> strainedMeasured(r.value()));
        stand(measuredOr(seconds), false, 1);
        return false;
    }

    /** The jug says how much really came: the herbs kept the rest. */
    private void strainedMeasured(double millilitres) {
        double predicted = asideMl > 0 ? asideMl : waterMl;
        strainedKeptMl = Math.max(0, strainedKeptMl + predicted - millilitres);
        if (asideMl > 0) {
            asideMl = millilitres;
        } else {
            waterMl = millilitres;
        }
    }

    /** Liquor that is poured warms the mugs. */
    private void intoMugs() {
        double water = waterMl * Water.SPECIFIC_HEAT_J_PER_G_K;
        double wall = Vessel.mug(setup.cupMl()).wallJPerK() * setup.cups();
        tempC = (water * tempC + wall * kitchen.roomC()) / (water + wall);
    }

    @Override
    public Boolean refill(Stage.Refill stage) {
        double fresh = stage.toMl() * setup.volumeScale();
        tempC = (strainedKeptMl * tempC + fresh * kitchen.tapC()) / (strainedKeptMl + fresh);
        waterMl = strainedKeptMl + fresh;
        pouredMl += fresh;
        strained = false;
        stand(measuredOr(POUR_S), false, 1);
        return false;
    }

    @Override
    public Boolean combine(Stage.Combine stage) {
        waterMl += asideMl;
        tempC = asideC;
        asideMl = 0;
        intoMugs();
        stand(measuredOr(POUR_S), false, 1);
        return false;
    }

    @Override
    public Boolean finish(Stage.Finish stage) {
        stand(measuredOr(FINISH_EACH_CUP_S * setup.cups()), false, 1);
        return false;
    }

    // ---- the phases

    private double measuredOr(double predictedS) {
        return setup.measured().stageS().getOrDefault(index, predictedS);
    }

    /** A heat stage is all heating; every other stage may have some before it. */
    private double heatingOr(double predictedS) {
        return setup.stages().get(index).kind() == StageKind.HEAT
                ? measuredOr(predictedS)
                : setup.measured().heatS().getOrDefault(index, predictedS);
    }

    private double capacityJPerK(double millilitres, double wall) {
        return millilitres * Water.SPECIFIC_HEAT_J_PER_G_K + wall + liquor.crowdG() * HERB_J_PER_G_K;
    }

    private double steamGPerS(Flame flame, boolean lid) {
        return kitchen.burner().watts(flame) * (lid ? STEAM_PAST_LID : 1) / Water.latentHeatJPerG(boilingC);
    }

    private void heatKettle(double targetC) {
        double energy = waterMl * Water.SPECIFIC_HEAT_J_PER_G_K * Math.max(0, targetC - tempC);
        double seconds = energy / (kitchen.kettleW() * Kitchen.KETTLE_EFFICIENCY);
        double measured = heatingOr(seconds);
        kettle = true;
        heatS = measured;
        tS += measured;
        tempC = targetC;
        sample();
    }

    private void heatPot(double targetC, Flame flame, boolean lid) {
        Heating heating = heating(vessel, waterMl, kitchen.burner().watts(flame), lid);
        double seconds = heating.secondsTo(targetC);
        if (seconds > LONGEST_HEATING_S) {
            neverBoils = true;
            seconds = LONGEST_HEATING_S;
        }
        double measured = heatingOr(seconds);
        if (measured != seconds && measured > 0) {
            heating = new Heating(tempC, heating.endC(), heating.tauS() * measured / Math.max(seconds, 1));
        }
        follow(heating, measured, lid, 1);
        heatS = measured;
    }

    private Heating heating(Vessel in, double millilitres, double watts, boolean lid) {
        return Heating.of(
                tempC,
                kitchen.roomC(),
                watts,
                capacityJPerK(millilitres, in.wallJPerK()),
                Losses.wattsPerKelvin(in, millilitres, lid, true));
    }

    private Heating cooling(Vessel in, double millilitres, boolean lid) {
        return Heating.of(
                tempC,
                kitchen.roomC(),
                0,
                capacityJPerK(millilitres, in.wallJPerK()),
                Losses.wattsPerKelvin(in, millilitres, lid, false));
    }

    /** On the flame: to the boil and on, or towards a simmer below it when the flame is small. */
    private void hold(double seconds, Flame flame, boolean lid, double agitation) {
        if (seconds <= 0) {
            return;
        }
        Heating heating = heating(vessel, waterMl, kitchen.burner().watts(flame), lid);
        double climbS = Math.min(seconds, heating.endC() >= boilingC ? heating.secondsTo(boilingC) : seconds);
        if (climbS > 0) {
            follow(heating, climbS, lid, agitation);
        }
        double rest = seconds - climbS;
        double rate = steamGPerS(flame, lid);
        Optional<Reading> read = setup.measured().last(index, Kind.VOLUME_ML);
        double until = read.map(r -> r.atS() - heatS - climbS).orElse(0.0);
        if (read.isPresent() && until > LEAST_OBSERVED_S) {
            double before = Math.min(rest, until);
            double observed = Math.max(0, (waterMl - read.get().value()) / before);
            boilOff(before, observed, lid, agitation);
            waterMl = read.get().value();
            rest -= before;
            rate = observed;
        }
        boilOff(rest, rate, lid, agitation);
    }

    /** Off the flame. */
    private void stand(double seconds, boolean lid, double agitation) {
        if (seconds <= 0) {
            return;
        }
        Vessel in = strained ? Vessel.mug(setup.cupMl()) : vessel;
        follow(cooling(in, strained ? setup.cupMl() : waterMl, lid), seconds, lid, agitation);
    }

    /** Follows a temperature curve below the boil. */
    private void follow(Heating heating, double seconds, boolean lid, double agitation) {
        if (seconds <= 0) {
            return;
        }
        Optional<Reading> read = setup.measured().last(index, Kind.TEMPERATURE_C);
        double until = read.map(Reading::atS).orElse(0.0) - (tS - stageStartS);
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
        double steamW = strained ? 0 : Losses.steamWattsPerKelvin(vessel, lid);
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
        if (follow != Follow.WATER) {
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
        if (follow == Follow.ALL) {
            curve.add(new CurvePoint(tS, tempC, waterMl + asideMl, liquor.drawn(0, strained), share(1), share(2)));
        }
    }

    /** Replaces the last sample once its step has lost the rest of its steam. */
    private void sampleOver() {
        if (follow == Follow.ALL) {
            curve.remove(curve.size() - 1);
            sample();
        }
    }

    private double share(int extractClass) {
        double held = liquor.held(extractClass);
        return held == 0 ? 0 : liquor.drawn(extractClass, strained) / held;
    }
}
