package embercup.core.brew;

import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Water;
import embercup.core.materia.ExtractClass;
import embercup.core.materia.ExtractionData.ClassConstants;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The figures of a brew that goes as planned, each with its workings: what the herbs keep, the steam, how long each heating
 * and each wait takes, and what the herbs give. Immutable.
 */
public final class Reckoning {

    private static final String HEAT = "kitchen-heat";
    private static final String STEAM = "iapws-if97";

    private final Traced traced;

    private Reckoning(Traced traced) {
        this.traced = traced;
    }

    /** Runs a brew and keeps what it went through. */
    public static Reckoning of(BrewSetup setup) {
        return new Reckoning(BrewSimulation.traced(setup, Measurements.NONE));
    }

    /** What came out of it. */
    public BrewResult result() {
        return traced.result();
    }

    private BrewSetup setup() {
        return traced.setup();
    }

    // ---- water

    /** Water kept by the spent herbs, mL: the sum over the herbs, or all that is there. */
    public Workings retained() {
        List<Workings> strains = new ArrayList<>();
        Optional<Phase.Strained> last = Optional.empty();
        int from = 0;
        for (Phase phase : traced.phases()) {
            if (phase instanceof Phase.Strained strained) {
                last = Optional.of(strained);
            } else if (phase instanceof Phase.HerbsOut out && last.isPresent()) {
                strains.add(keptAt(last.get(), from));
                from = out.stage();
                last = Optional.empty();
            }
        }
        if (last.isPresent()) {
            strains.add(keptAt(last.get(), from));
        }
        return strains.size() == 1 ? strains.get(0) : Workings.sum(Term.KEPT_BY_HERBS, "mL", strains);
    }

    /** What the herbs of one strain keep: those that went in from a stage on. */
    private Workings keptAt(Phase.Strained strained, int from) {
        boolean pressed = setup().stages().get(strained.stage()) instanceof Stage.Strain s && s.pressed();
        List<Workings> parts = setup().charges().stream()
                .filter(c -> c.stage() >= from && c.stage() < strained.stage())
                .map(c -> kept(c, pressed))
                .toList();
        Workings all = Workings.sum(Term.KEPT_BY_HERBS, "mL", parts);
        return all.value() <= strained.waterMl()
                ? all
                : Workings.least(
                        Term.KEPT_BY_HERBS, "mL", all, Workings.given(Term.WATER_THERE, strained.waterMl(), "mL"));
    }

    /** What milk and juice add to the water, mL; empty without any. */
    public Optional<Workings> brought() {
        List<Workings> parts = setup().charges().stream()
                .filter(c -> c.broughtMl() > 0)
                .map(c -> Workings.given(Term.BROUGHT_BY, c.broughtMl(), "mL").of(c.common()))
                .toList();
        return parts.isEmpty() ? Optional.empty() : Optional.of(Workings.sum(Term.BROUGHT, "mL", parts));
    }

    /** A pour and what milk and juice add to it, mL. */
    public Workings inAll(Workings pour) {
        return brought()
                .map(b -> Workings.sum(Term.LIQUID_IN_ALL, "mL", pour, b))
                .orElse(pour);
    }

    private static Workings kept(Charge charge, boolean pressed) {
        return Workings.product(
                        Term.KEPT_BY,
                        "mL",
                        Workings.given(Term.GRAMS, charge.grams(), "g"),
                        Workings.sourced(
                                pressed ? Term.KEPT_PER_GRAM_PRESSED : Term.KEPT_PER_GRAM_DRAINED,
                                charge.keptMlPerG(pressed),
                                "mL/g",
                                "dispensary-water"))
                .of(charge.common());
    }

    /** Steam of the whole brew, mL: the sum over its stages. */
    public Workings evaporated() {
        List<Workings> stages = new ArrayList<>();
        for (StageRun run : result().stages()) {
            List<Workings> parts = traced.phases().stream()
                    .filter(p -> p.stage() == run.index())
                    .map(this::steam)
                    .flatMap(Optional::stream)
                    .toList();
            if (!parts.isEmpty()) {
                stages.add(Workings.sum(Term.STEAM_OF_STAGE, "mL", parts)
                        .of(run.stage().kind().code()));
            }
        }
        return Workings.sum(Term.STEAM, "mL", stages);
    }

    private Optional<Workings> steam(Phase phase) {
        if (!(phase instanceof Phase.InVessel lasting) || lasting.level().lostMl() <= 0) {
            return Optional.empty();
        }
        Workings steam = lasting instanceof Phase.Below below ? openSurface(below) : boilOff((Phase.AtTheBoil) lasting);
        return Optional.of(noMoreThanThere(steam, lasting.level()));
    }

    /** A pot that runs dry gives no more steam than there was water above the herbs. */
    private static Workings noMoreThanThere(Workings steam, Phase.Level level) {
        return steam.value() <= level.lostMl() * (1 + 1e-9) + 1e-9
                ? steam
                : Workings.least(
                        steam.term(), "mL", steam, Workings.given(Term.WATER_ABOVE_HERBS, level.lostMl(), "mL"));
    }

    private Workings boilOff(Phase.AtTheBoil p) {
        return Workings.quotient(Term.STEAM_AT_THE_BOIL, "mL", heat(p.seconds(), power(p)), latent(p.boilingC()))
                .from(STEAM);
    }

    private static Workings heat(double seconds, List<Workings> power) {
        List<Workings> factors = new ArrayList<>(power);
        factors.add(minutes(Term.MINUTES, seconds));
        factors.add(Workings.given(Term.SECONDS_IN_A_MINUTE, 60, "s/min"));
        return Workings.product(Term.HEAT_INTO_STEAM, "J", factors);
    }

    /** Net power; under a lid less what lid and wall give to the room. */
    private static List<Workings> power(Phase.AtTheBoil p) {
        Workings watts = Workings.sourced(Term.NET_POWER, p.watts(), "W", HEAT);
        return List.of(
                p.condensingW() == 0
                        ? watts
                        : Workings.difference(
                                Term.POWER_INTO_STEAM,
                                "W",
                                watts,
                                Workings.sourced(Term.LOST_BY_LID_AND_WALL, p.condensingW(), "W", HEAT)));
    }

    private static Workings latent(double celsius) {
        return Workings.sourced(Term.LATENT_HEAT, Water.latentHeatJPerG(celsius), "J/g", STEAM);
    }

    private Workings openSurface(Phase.Below p) {
        return Workings.solved(
                        Term.STEAM_BELOW_THE_BOIL,
                        "mL",
                        BrewEquation.OPEN_SURFACE,
                        Workings.sourced(Term.STEAM_LOSS, p.warmth().steamWPerK(), "W/K", HEAT),
                        Workings.given(Term.FROM_C, p.heating().startC(), "°C"),
                        Workings.given(Term.TOWARDS_C, p.heating().endC(), "°C"),
                        minutes(Term.TIME_CONSTANT, p.heating().tauS()),
                        minutes(Term.MINUTES, p.seconds()),
                        Workings.given(Term.NO_STEAM_C, p.warmth().steamFromC(), "°C"))
                .from(STEAM);
    }

    private static Workings minutes(Term term, double seconds) {
        return Workings.given(term, seconds / 60, "min");
    }

    // ---- time

    /** Heating before a stage, or the whole of a stage that heats, min; empty when it needs none. */
    public Optional<Workings> heating(StageRun run) {
        boolean heats = run.heatS() > 0 || run.stage().kind() == StageKind.HEAT;
        if (!heats) {
            return Optional.empty();
        }
        List<Phase> own = traced.phases().stream()
                .filter(p -> p.stage() == run.index() && p.seconds() > 0)
                .toList();
        if (own.isEmpty()) {
            return Optional.empty();
        }
        List<Phase.Below> climb = climb(own, run.heatS() > 0 ? run.heatS() : Double.POSITIVE_INFINITY);
        return Optional.of(
                own.get(0) instanceof Phase.InKettle kettle
                        ? inKettle(kettle)
                        : climb.isEmpty() ? wait(own.get(0)) : warming(Term.TIME_TO_HEAT, climb));
    }

    /** What lies below the boil at the beginning of a stage, for so long, s. */
    private static List<Phase.Below> climb(List<Phase> own, double seconds) {
        List<Phase.Below> climb = new ArrayList<>();
        double before = 0;
        for (Phase p : own) {
            if (!(p instanceof Phase.Below below) || before >= seconds - 1e-6) {
                break;
            }
            climb.add(below);
            before += p.seconds();
        }
        return climb;
    }

    /** Piece after piece; one piece is said as it is. */
    private Workings warming(Term term, List<Phase.Below> pieces) {
        List<Workings> parts = pieces.stream().map(p -> warming(term, p)).toList();
        return parts.size() == 1 ? parts.get(0) : Workings.sum(term, "min", parts);
    }

    private static Workings wait(Phase phase) {
        return minutes(Term.TIME_TO_HEAT, phase.seconds());
    }

    private Workings inKettle(Phase.InKettle p) {
        Workings needed = Workings.product(
                Term.HEAT_NEEDED,
                "J",
                Workings.given(Term.WATER, p.waterMl(), "mL"),
                specificHeat(),
                Workings.difference(
                        Term.WARMING,
                        "K",
                        Workings.given(Term.TO_C, p.toC(), "°C"),
                        Workings.given(Term.FROM_C, p.fromC(), "°C")));
        Workings net = Workings.product(
                Term.NET_POWER,
                "W",
                Workings.given(Term.KETTLE_POWER, setup().kitchen().kettleW(), "W"),
                Workings.sourced(Term.KETTLE_EFFICIENCY, Kitchen.KETTLE_EFFICIENCY, "", HEAT));
        return Workings.quotient(
                        Term.TIME_TO_HEAT, "min", needed, net, Workings.given(Term.SECONDS_IN_A_MINUTE, 60, "s/min"))
                .from(HEAT);
    }

    private static Workings specificHeat() {
        return Workings.sourced(Term.SPECIFIC_HEAT, Water.SPECIFIC_HEAT_J_PER_G_K, "J/(g·K)", STEAM);
    }

    /** Along Newton's law until the phase ended. A pot that never gets there is given up after the longest wait. */
    private Workings warming(Term term, Phase.Below p) {
        double toC = p.heating().celsiusAt(p.seconds());
        Workings solved = newton(term, p.warmth(), p.heating().startC(), toC);
        return Math.abs(solved.value() * 60 - p.seconds()) < 1 ? solved : minutes(term, p.seconds());
    }

    private Workings newton(Term term, Phase.Warmth w, double fromC, double toC) {
        return Workings.solved(
                        term,
                        "min",
                        BrewEquation.NEWTON,
                        Workings.given(Term.FROM_C, fromC, "°C"),
                        Workings.given(Term.TO_C, toC, "°C"),
                        Workings.sourced(Term.NET_POWER, w.watts(), "W", HEAT),
                        Workings.sourced(Term.HEAT_CAPACITY, w.capacityJPerK(), "J/K", STEAM),
                        Workings.sourced(Term.HEAT_LOSS, w.lossWPerK(), "W/K", HEAT),
                        Workings.given(
                                w.steamWPerK() == 0
                                                && w.towardsC()
                                                        == setup().kitchen().roomC()
                                        ? Term.ROOM_C
                                        : Term.NO_LOSS_C,
                                w.towardsC(),
                                "°C"))
                .from(HEAT);
    }

    /** The length of a stage that is not the recipe's but the pot's, min: a reduction or a wait for a cooler cup. */
    public Optional<Workings> solvedLength(StageRun run) {
        List<Phase> own = traced.phases().stream()
                .filter(p -> p.stage() == run.index() && p.seconds() > 0)
                .toList();
        if (run.stage() instanceof Stage.Cool && run.properS() > 0 && own.get(0) instanceof Phase.Below) {
            return Optional.of(warming(Term.TIME_TO_COOL, climb(own, Double.POSITIVE_INFINITY)));
        }
        if (!(run.stage() instanceof Stage.Reduce) || result().neverBoils()) {
            return Optional.empty();
        }
        List<Workings> parts = new ArrayList<>();
        double before = 0;
        for (Phase p : own) {
            if (before >= run.heatS() - 1e-6) {
                parts.add(
                        p instanceof Phase.AtTheBoil boil
                                ? boilDown(boil)
                                : warming(Term.TIME_TO_HEAT, (Phase.Below) p));
            }
            before += p.seconds();
        }
        return Optional.of(Workings.sum(Term.TIME_TO_BOIL_DOWN, "min", parts));
    }

    private Workings boilDown(Phase.AtTheBoil p) {
        Workings away = Workings.difference(
                Term.WATER_TO_GO,
                "mL",
                Workings.given(Term.WATER_BEFORE, p.level().startMl(), "mL"),
                Workings.given(Term.WATER_AFTER, p.level().endMl(), "mL"));
        List<Workings> below = new ArrayList<>(power(p));
        below.add(Workings.given(Term.SECONDS_IN_A_MINUTE, 60, "s/min"));
        return Workings.quotient(
                        Term.TIME_AT_THE_BOIL,
                        "min",
                        Workings.product(Term.HEAT_INTO_STEAM, "J", away, latent(p.boilingC())),
                        Workings.product(Term.HEAT_A_MINUTE, "J/min", below))
                .from(STEAM);
    }

    /** Minutes after the end until honey may go into the cup; empty when it never cools so far. */
    public Optional<Workings> honeyAfter() {
        return result().cup().honeyAfterS().isEmpty()
                ? Optional.empty()
                : Optional.of(traced.honey().map(this::untilHoney).orElseGet(() -> minutes(Term.UNTIL_HONEY, 0)));
    }

    private Workings untilHoney(Way way) {
        List<Workings> parts = way.pieces().stream()
                .map(p -> newton(Term.UNTIL_HONEY, p.warmth(), p.heating().startC(), p.endC()))
                .toList();
        return parts.size() == 1 ? parts.get(0) : Workings.sum(Term.UNTIL_HONEY, "min", parts);
    }

    // ---- what the herbs give

    /** Extract of a class in the strained liquor, in grams of herb given up. */
    public Workings drawn(ExtractClass extractClass) {
        return Workings.solved(Term.EXTRACT_DRAWN, "g", BrewEquation.FIRST_ORDER, course(extractClass))
                .from(setup().extraction().source());
    }

    /** Share of a class that the liquor holds of what the herbs held, 0–1; 0 when they held none. */
    public Workings share(ExtractClass extractClass, Term term) {
        List<Workings> held = setup().charges().stream()
                .map(c -> Workings.product(
                                Term.HELD_BY,
                                "g",
                                Workings.given(Term.GRAMS, c.grams(), "g"),
                                Workings.sourced(Term.HELD_PER_GRAM, c.holdsPerG(extractClass), "g/g", "estimate"))
                        .of(c.common()))
                .toList();
        Workings all = Workings.sum(Term.HELD_BY_HERBS, "g", held);
        return all.value() == 0
                ? Workings.product(term, "", all)
                : Workings.quotient(term, "", drawn(extractClass), all);
    }

    /** The most that any of the herbs still holds of its body, 0–1. */
    public Workings left() {
        List<Workings> each = new ArrayList<>();
        for (int i = 0; i < setup().charges().size(); i++) {
            List<Workings> inputs = new ArrayList<>();
            inputs.add(Workings.given(Term.HERB_NUMBER, i + 1.0, ""));
            inputs.addAll(course(ExtractClass.BODY));
            each.add(Workings.solved(Term.LEFT_IN, "", BrewEquation.FIRST_ORDER_LEFT, inputs)
                    .of(setup().charges().get(i).common()));
        }
        return Workings.most(Term.LEFT_IN_HERBS, "", each);
    }

    /** Everything the extraction of a class depends on: its constants, every herb, every phase. */
    private List<Workings> course(ExtractClass extractClass) {
        ClassConstants k = setup().extraction().of(extractClass);
        String source = setup().extraction().source();
        List<Workings> all = new ArrayList<>();
        all.add(Workings.sourced(Term.REFERENCE_C, setup().extraction().referenceC(), "°C", source));
        all.add(Workings.sourced(Term.ACTIVATION_ENERGY, k.activationKj(), "kJ/mol", source));
        all.add(Workings.sourced(Term.PARTITION, k.partitionMlPerG(), "mL/g", source));
        all.add(Workings.sourced(Term.LOSS_RATE, k.lossPerMin(), "1/min", source));
        all.add(Workings.sourced(Term.LOSS_ACTIVATION, k.lossActivationKj(), "kJ/mol", source));
        all.add(Workings.sourced(Term.LOSS_UNDER_LID, k.lossUnderLid(), "", source));
        setup().charges().forEach(c -> all.add(herbIn(c, extractClass)));
        traced.phases().forEach(p -> phase(p).ifPresent(all::add));
        return all;
    }

    private static Workings herbIn(Charge c, ExtractClass extractClass) {
        return detailed(
                        Term.HERB_IN,
                        c.grams(),
                        "g",
                        List.of(
                                Workings.sourced(Term.HELD_PER_GRAM, c.holdsPerG(extractClass), "g/g", "estimate"),
                                Workings.sourced(Term.RATE, c.ratePerS(extractClass) * 60, "1/min", "estimate"),
                                Workings.given(Term.DRY_GRAMS, c.dryG(), "g"),
                                Workings.given(Term.STAGE_NUMBER, c.stage() + 1.0, "")))
                .of(c.common());
    }

    /** A given figure with what belongs to it. */
    private static Workings detailed(Term term, double value, String unit, List<Workings> inputs) {
        return new Workings(term, "", Workings.Op.GIVEN, "", value, unit, "", inputs);
    }

    private Optional<Workings> phase(Phase phase) {
        if (phase instanceof Phase.HerbsIn in) {
            return Optional.of(Workings.given(Term.HERBS_GO_IN, in.stage() + 1.0, ""));
        }
        if (phase instanceof Phase.Strained off) {
            return Optional.of(Workings.given(Term.LIQUOR_OFF, off.goes(), ""));
        }
        if (phase instanceof Phase.HerbsOut out) {
            return Optional.of(Workings.given(Term.HERBS_OUT, out.stage() + 1.0, ""));
        }
        return phase instanceof Phase.InVessel lasting ? Optional.of(lasting(lasting)) : Optional.empty();
    }

    private Workings lasting(Phase.InVessel p) {
        List<Workings> inputs = new ArrayList<>();
        if (p instanceof Phase.Below below) {
            inputs.add(Workings.given(Term.FROM_C, below.heating().startC(), "°C"));
            inputs.add(Workings.given(Term.TOWARDS_C, below.heating().endC(), "°C"));
            inputs.add(minutes(Term.TIME_CONSTANT, below.heating().tauS()));
        } else if (p instanceof Phase.AtTheBoil boil) {
            inputs.add(Workings.given(Term.BOILING_C, boil.boilingC(), "°C"));
            inputs.add(Workings.sourced(Term.NET_POWER, boil.watts(), "W", HEAT));
        }
        inputs.add(Workings.given(Term.WATER_BEFORE, p.level().startMl(), "mL"));
        inputs.add(Workings.given(Term.WATER_AFTER, p.level().endMl(), "mL"));
        inputs.add(Workings.sourced(Term.AGITATION, p.over().agitation(), "", "estimate"));
        inputs.add(Workings.given(Term.LID, p.over().lid() ? 1 : 0, ""));
        inputs.add(Workings.given(Term.OFF_THE_HERBS, p.over().strained() ? 1 : 0, ""));
        if (p instanceof Phase.AtTheBoil boil) {
            inputs.add(Workings.sourced(Term.LOST_BY_LID_AND_WALL, boil.condensingW(), "W", HEAT));
        }
        Term term = p instanceof Phase.Below ? Term.BELOW_THE_BOIL : Term.AT_THE_BOIL;
        return detailed(term, p.seconds() / 60, "min", inputs).of(kind(p));
    }

    private String kind(Phase phase) {
        return setup().stages().get(phase.stage()).kind().code();
    }
}
