package embercup.server.kitchen;

import embercup.server.platform.WorkingsLine;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** The kitchen as the household keeps it. */
public record KitchenSheet(
        long version,
        double altitudeM,
        double roomC,
        double tapC,
        double kettleW,
        String measures,
        double liangG,
        double boilingC,
        List<VesselSheet> vessels,
        List<BurnerSheet> burners) {

    public record VesselSheet(
            UUID id, long version, String name, String kind, double innerDiameterCm, double heightCm, double brimMl) {}

    public record BurnerSheet(UUID id, long version, String name, double lowW, double mediumW, double highW) {}

    /** The household's answer to a question on which schools differ. */
    public record SchoolDraft(
            @Schema(maxLength = 40) @Nullable String choice) {}

    /** What the client sends to change the place itself. */
    public record PlaceDraft(
            @Nullable Long version,

            @Schema(minimum = "-400", maximum = "5000") @Nullable
            Double altitudeM,

            @Schema(minimum = "-10", maximum = "45") @Nullable
            Double roomC,

            @Schema(minimum = "0", maximum = "60") @Nullable Double tapC,

            @Schema(minimum = "300", maximum = "4000") @Nullable
            Double kettleW,

            @Schema(allowableValues = {"us", "metric", "au", "imperial"}) @Nullable
            String measures,

            @Schema(minimum = "1", maximum = "60") @Nullable Double liangG) {}

    /** A vessel by its inner size; {@code brimMl} is computed from it when missing. */
    public record VesselDraft(
            @Nullable Long version,
            @Schema(maxLength = 60) @Nullable String name,

            @Schema(allowableValues = {"pot", "jar", "press", "teapot", "thermos", "mug"}) @Nullable
            String kind,

            @Schema(minimum = "3", maximum = "60") @Nullable Double innerDiameterCm,
            @Schema(minimum = "3", maximum = "60") @Nullable Double heightCm,

            @Schema(minimum = "20", maximum = "180000") @Nullable
            Double brimMl) {}

    /** Two measurements on one burner with one vessel: to the boil on high, then boiling away on medium. */
    public record CalibrationDraft(
            @Nullable UUID vesselId,

            @Schema(minimum = "200", maximum = "5000") @Nullable
            Double waterMl,

            @Schema(minimum = "30", maximum = "3600") @Nullable
            Double heatS,

            @Schema(minimum = "5", maximum = "2000") @Nullable
            Double boilOffMl,

            @Schema(minimum = "60", maximum = "3600") @Nullable
            Double boilOffS) {}

    /** What the measurements say; nothing is kept until the burner is changed. */
    public record CalibrationSheet(double lowW, double mediumW, double highW, WorkingsLine high, WorkingsLine medium) {}

    /** A burner by the net power that reaches the water. */
    public record BurnerDraft(
            @Nullable Long version,
            @Schema(maxLength = 60) @Nullable String name,

            @Schema(minimum = "20", maximum = "6000") @Nullable
            Double lowW,

            @Schema(minimum = "20", maximum = "6000") @Nullable
            Double mediumW,

            @Schema(minimum = "20", maximum = "6000") @Nullable
            Double highW) {}
}
