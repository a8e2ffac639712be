package embercup.core.brew;

import embercup.core.brew.BrewResult.Waters;
import embercup.core.brew.Measurements.Kind;
import embercup.core.brew.StageRun.State;
import embercup.core.brew.StageRun.Times;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.recipe.Batch;
import embercup.core.recipe.Flame;
import embercup.core.recipe.Place;
import embercup.core.recipe.Receiver;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Leads one brew through its stages: what each stage asks of the {@link Pot}, and what its hands do. Water and heat only, in
 * closed form; what the herbs give is computed along the phases afterwards. Mutable, used once; {@link BrewSimulation} is the
 * door.
 */
final class BrewRun implements Stage.Visitor<Boolean> {

    /** Below this distance from the boil a boil or a simmer needs heating first, K. */
    private static final double NEARLY_BOILING_K = 0.5;
    /** A simmer that starts hotter than this below the boil needs no heating. */
    private static final double NEARLY_SIMMERING_K = 4;
    /** Straining: hands-on time for the pot and for each cup, s (common practice, no source). */
    private static final double STRAIN_S = 60;

    private static final double STRAIN_EACH_CUP_S = 15;
    private static final double POUR_S = 30;
    private static final double FINISH_EACH_CUP_S = 30;
    /** Stirring, shaking, blending once, s (common practice, no source). */
    private static final double WORK_S = 45;

    private final BrewSetup setup;
    private final Kitchen kitchen;
    private final Pot pot;
    private final Measurements measured;
    private final List<StageRun> runs = new ArrayList<>();

    private int index;
    private double pouredMl;
    private double heatS;
    private boolean kettle;
    private double asideC;
    private final Batch batch;
    private double strainedKeptMl;
    /** Kept by herbs of earlier strains, which went away with it, mL. */
    private double goneKeptMl;

    private double otherwiseKeptMl;

    BrewRun(BrewSetup setup, Measurements measured) {
        this.setup = setup;
        this.measured = measured;
        this.kitchen = setup.kitchen();
        this.pot = new Pot(setup, measured);
        this.pouredMl = setup.pourMl();
        this.batch = setup.batch();
    }

    void run() {
        for (index = 0; index < setup.stages().size(); index++) {
            Stage stage = setup.stages().get(index);
            double startS = pot.nowS();
            State start = now();
            heatS = 0;
            kettle = false;
            pot.begin(index);
            boolean boils = stage.accept(this);
            runs.add(new StageRun(index, stage, new Times(startS, heatS, pot.nowS()), start, now(), kettle, boils));
        }
        pot.end();
        if (batch.endsWhole() && !batch.atTheEnd().filter(Receiver::keeps).isPresent()) {
            intoMugs();
        }
    }

    private State now() {
        return new State(pot.tempC, pot.waterMl);
    }

    Pot pot() {
        return pot;
    }

    List<StageRun> stages() {
        return runs;
    }

    /** Volumes of the whole brew, mL. */
    Waters waters() {
        boolean off = pot.strained || batch.endsWhole();
        return new Waters(
                pouredMl,
                pot.strained ? pot.asideMl + pot.waterMl : pot.waterMl,
                off ? goneKeptMl + strainedKeptMl : 0,
                off ? otherwiseKeptMl : 0,
                pot.evaporatedMl,
                pot.bed.broughtMl());
    }

    // ---- the stages

    @Override
    public Boolean heat(Stage.Heat stage) {
        double target = Math.min(stage.toC().orElse(pot.boilingC), pot.boilingC);
        if (pourFollows() && pot.bed.empty()) {
            heatKettle(target);
        } else {
            pot.heat(target, stage.flame(), stage.lid(), measuredHeat());
        }
        heatS = 0;
        return target >= pot.boilingC - NEARLY_BOILING_K;
    }

    private boolean pourFollows() {
        return index + 1 < setup.stages().size()
                && setup.stages().get(index + 1).kind() == StageKind.POUR;
    }

    @Override
    public Boolean pour(Stage.Pour stage) {
        double target = Math.min(
                stage.toC().orElse(Math.max(pot.tempC, runs.isEmpty() ? pot.boilingC : pot.tempC)), pot.boilingC);
        if (pot.tempC < target - NEARLY_BOILING_K) {
            heatKettle(target);
        } else if (stage.toC().isPresent()) {
            pot.tempC = target;
        }
        pot.warms(setup.vessel().wallJPerK());
        pot.stand(proper(POUR_S), false, 1);
        return false;
    }

    @Override
    public Boolean boil(Stage.Boil stage) {
        toTheBoil(NEARLY_BOILING_K);
        pot.hold(
                proper(stage.minutes() * 60),
                stage.flame(),
                stage.lid(),
                setup.extraction().speeds().boil());
        return true;
    }

    @Override
    public Boolean simmer(Stage.Simmer stage) {
        toTheBoil(NEARLY_SIMMERING_K);
        pot.hold(
                proper(stage.minutes() * 60),
                stage.flame(),
                stage.lid(),
                setup.extraction().speeds().simmer());
        return true;
    }

    @Override
    public Boolean hold(Stage.Hold stage) {
        double target = Holding.belowTheBoilC(stage, pot.boilingC);
        warmTo(target, NEARLY_BOILING_K);
        pot.holdAt(
                target,
                proper(stage.minutes() * 60),
                stage.lid(),
                setup.extraction().speeds().simmer());
        return false;
    }

    @Override
    public Boolean reduce(Stage.Reduce stage) {
        toTheBoil(NEARLY_BOILING_K);
        double target = stage.toMl() * setup.volumeScale() + pot.bed.keptMl(pressedLater());
        double speed = setup.extraction().speeds().boil();
        if (measuredS().isPresent()) {
            pot.hold(proper(0), stage.flame(), stage.lid(), speed);
        } else {
            pot.boilDown(target, stage.flame(), stage.lid(), speed);
        }
        return true;
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
        pot.stand(proper(stage.minutes() * 60), stage.lid(), 1);
        return false;
    }

    @Override
    public Boolean macerate(Stage.Macerate stage) {
        if (index == 0) {
            pot.tempC = stage.toC().orElse(kitchen.tapC());
        }
        if (stage.place() == Place.FRIDGE) {
            pot.aroundC = Kitchen.FRIDGE_C;
        }
        pot.stand(
                proper(stage.minutes() * 60),
                stage.lid(),
                setup.extraction().speeds().shaken());
        pot.aroundC = kitchen.roomC();
        return false;
    }

    @Override
    public Boolean rest(Stage.Rest stage) {
        pot.stand(proper(stage.minutes() * 60), stage.lid(), 1);
        return false;
    }

    @Override
    public Boolean cool(Stage.Cool stage) {
        double seconds = pot.coolingS(stage.toC(), stage.lid());
        pot.stand(proper(Math.min(seconds, Pot.LONGEST_HEATING_S)), stage.lid(), 1);
        return false;
    }

    @Override
    public Boolean strain(Stage.Strain stage) {
        boolean pressed = measured.pressed(index, stage.pressed());
        double kept = Math.min(pot.waterMl, pot.bed.keptMl(pressed));
        goneKeptMl += batch.begins(index) ? strainedKeptMl : 0;
        otherwiseKeptMl = goneKeptMl + Math.min(pot.waterMl, pot.bed.keptMl(!pressed));
        boolean aside = batch.aside(index);
        Receiver into = batch.after(index).orElseThrow();
        pot.strain(kept);
        double strainedMl = pot.waterMl - kept;
        strainedKeptMl = kept;
        if (aside) {
            asideC = pot.asideMl + strainedMl == 0
                    ? pot.tempC
                    : (pot.asideMl * asideC + strainedMl * pot.tempC) / (pot.asideMl + strainedMl);
            pot.asideMl += strainedMl;
            pot.waterMl = 0;
            pot.tempC = asideC;
            pot.inCups = true;
        } else {
            pot.waterMl = strainedMl;
            runsInto(into);
        }
        measured.last(index, Kind.VOLUME_ML).ifPresent(r -> strainedMeasured(r.value()));
        double vessels = batch.ends(index) ? 1 : setup.cups().count();
        pot.stand(proper(STRAIN_S + STRAIN_EACH_CUP_S * vessels), false, 1);
        return false;
    }

    /** Into the cups, which it warms, or into a vessel where it goes on as a batch, with what is put in there. */
    private void runsInto(Receiver into) {
        if (into.holdsBatch()) {
            pot.batch(Receiving.vessel(into, setup, pot.waterMl));
            pot.herbsIn(index);
        } else {
            intoMugs();
            pot.inCups = true;
        }
    }

    /** The jug says how much really came: the herbs kept the rest. */
    private void strainedMeasured(double millilitres) {
        double predicted = pot.asideMl > 0 ? pot.asideMl : pot.waterMl;
        strainedKeptMl = Math.max(0, strainedKeptMl + predicted - millilitres);
        if (pot.asideMl > 0) {
            pot.asideMl = millilitres;
        } else {
            pot.waterMl = millilitres;
        }
    }

    /** Liquor that is poured warms the mugs. */
    private void intoMugs() {
        pot.warms(Vessel.mug(setup.cups().ml()).wallJPerK() * setup.cups().count());
    }

    @Override
    public Boolean refill(Stage.Refill stage) {
        double fresh = stage.toMl() * setup.volumeScale();
        pot.waterMl = strainedKeptMl;
        pot.pourIn(fresh, kitchen.tapC());
        pouredMl += fresh;
        pot.strained = false;
        pot.inCups = false;
        pot.herbsIn(index);
        pot.stand(proper(POUR_S), false, 1);
        return false;
    }

    @Override
    public Boolean combine(Stage.Combine stage) {
        pot.waterMl += pot.asideMl;
        pot.tempC = asideC;
        pot.asideMl = 0;
        runsInto(batch.after(index).orElseThrow());
        pot.stand(proper(POUR_S), false, 1);
        return false;
    }

    @Override
    public Boolean finish(Stage.Finish stage) {
        pot.stand(proper(FINISH_EACH_CUP_S * setup.cups().count()), false, 1);
        return false;
    }

    @Override
    public Boolean work(Stage.Work stage) {
        double fresh = stage.bringsMl() * setup.volumeScale();
        pot.pourIn(fresh, kitchen.tapC());
        pouredMl += fresh;
        pot.stand(proper(WORK_S), false, setup.extraction().speeds().shaken());
        return false;
    }

    // ---- what was measured, or else predicted

    private Optional<Double> measuredS() {
        return Optional.ofNullable(measured.stageS().get(index));
    }

    /** Seconds of the stage after its heating. */
    private double proper(double predictedS) {
        return measuredS().map(m -> m - heatS).orElse(predictedS);
    }

    /** A heat stage is all heating; every other stage may have some before it. */
    private Optional<Double> measuredHeat() {
        return setup.stages().get(index).kind() == StageKind.HEAT
                ? measuredS()
                : Optional.ofNullable(measured.heatS().get(index));
    }

    private void toTheBoil(double nearlyK) {
        warmTo(pot.boilingC, nearlyK);
    }

    private void warmTo(double celsius, double nearlyK) {
        if (pot.tempC < celsius - nearlyK) {
            heatS = pot.heat(celsius, Flame.HIGH, true, measuredHeat());
        }
    }

    private void heatKettle(double targetC) {
        kettle = true;
        heatS = pot.heatKettle(targetC, measuredHeat());
    }
}
