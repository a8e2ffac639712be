package embercup.server.plans;

import embercup.server.learned.LearnedSheet;
import embercup.server.platform.WorkingsLine;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A plan on the wire. Times in seconds from the first step unless they are moments. */
public record PlanSheet(
        String name,
        String tradition,
        double cups,
        double cupMl,
        String drinkerName,
        List<AdditionLine> additions,
        Water water,
        double boilingC,
        VesselLine vessel,
        @Nullable VesselLine mug,
        @Nullable String servedKey,
        BurnerLine burner,
        List<StepLine> steps,
        double stageStartS,
        double totalS,
        Instant startAt,
        Instant readyAt,
        List<Point> curve,
        double strength,
        double strengthLow,
        double strengthHigh,
        double aroma,
        double bite,
        double cupC,
        @Nullable Double drinkableAfterS,
        @Nullable Double honeyAfterS,
        List<CautionLine> cautions,
        boolean stopped,
        List<WayLine> waysOut,
        List<Load> dailyLoads,
        List<ReasonLine> reasons,
        Map<String, String> schools,
        boolean spentHerbs,
        @Nullable String posology,
        List<String> identityChecks,
        List<LearnedSheet> learned,
        Map<String, WorkingsLine> workings) {

    public record AdditionLine(
            String herb,
            String common,
            String form,
            String cut,
            int stage,
            boolean perCup,
            String inCup,
            double grams,
            double lowG,
            double highG,
            double perCupG,
            String measure,
            boolean weigh,
            String prep,
            String said,
            double leftShare,
            @Nullable String nearest) {}

    /** Millilitres; {@code startCups} in the cups of this household. */
    public record Water(
            double pourMl,
            double startMl,
            double retainedMl,
            double evaporatedMl,
            double yieldMl,
            double dipMl,
            @Nullable String startCups) {}

    /** {@code displacedCm} is what the herbs take of the height. Levels are of the water and what the herbs displace, in cm above the bottom. */
    public record VesselLine(
            String name,
            String kind,
            double innerDiameterCm,
            double heightCm,
            double brimMl,
            double mostMl,
            double startLevelCm,
            double endLevelCm,
            double dipLevelCm,
            double bedCm,
            @Nullable Double displacedCm) {}

    public record BurnerLine(String name, double lowW, double mediumW, double highW) {}

    /**
     * @param ripens whether it goes on by itself and may be ended by nose or eye
     * @param addition index of the addition that is prepared
     * @param boils whether it ends at the boil; not known of plans that an earlier version wrote
     */
    public record StepLine(
            String key,

            @Schema(
                    allowableValues = {
                        "prep",
                        "heat",
                        "pour",
                        "boil",
                        "simmer",
                        "reduce",
                        "steep",
                        "macerate",
                        "rest",
                        "cool",
                        "strain",
                        "refill",
                        "combine",
                        "finish"
                    })
            String kind,

            int stage,
            String label,
            double startS,
            double durationS,
            boolean handsOn,
            @Nullable String until,
            String confirm,
            double powerW,
            @Nullable String flame,
            @Nullable Boolean kettle,
            boolean lid,
            @Nullable Boolean boils,
            boolean aside,
            @Nullable Boolean ripens,
            @Nullable Integer addition) {}

    /** When a step is, by its key. */
    public record When(String key, double startS, double durationS) {}

    public record Point(double tS, double tempC, double waterMl, double body, double aroma, double bite) {}

    public record CautionLine(
            String code, String severity, @Nullable String herb, String text, String source) {}

    /**
     * What can be done about a stop: another herb, less of it or without it, fewer cups, another menstruum, another drinker,
     * another vessel, a stage under the lid.
     */
    public record WayLine(
            @Nullable String herb,
            @Nullable String with,
            @Nullable Integer cups,
            @Nullable Double share,
            @Nullable String menstruum,
            @Nullable UUID drinkerId,
            @Nullable UUID vesselId,
            @Nullable Integer coveredStage,
            String text) {

        static WayLine ofHerb(String herb, @Nullable String with, @Nullable Double share, String text) {
            return new WayLine(herb, with, null, share, null, null, null, null, text);
        }

        static WayLine ofMenstruum(String menstruum, String text) {
            return new WayLine(null, null, null, null, menstruum, null, null, null, text);
        }

        static WayLine forDrinker(UUID id, String text) {
            return new WayLine(null, null, null, null, null, id, null, null, text);
        }

        static WayLine inVessel(UUID id, String text) {
            return new WayLine(null, null, null, null, null, null, id, null, text);
        }

        static WayLine ofCups(int cups, String text) {
            return new WayLine(null, null, cups, null, null, null, null, null, text);
        }

        static WayLine covered(int stage, String text) {
            return new WayLine(null, null, null, null, null, null, null, stage, text);
        }
    }

    /** Why a stage is there, for stages that the plan itself proposes. */
    public record ReasonLine(int stage, String text, String source) {}

    public record Load(String constituent, double mg, double limitMg) {}
}
