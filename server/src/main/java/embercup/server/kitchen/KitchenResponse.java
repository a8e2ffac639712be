package embercup.server.kitchen;

import embercup.core.kitchen.Vessel;
import embercup.core.measure.KitchenSystem;
import embercup.core.recipe.Companion;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Within;
import embercup.server.platform.WorkingsLine;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The kitchen as the household keeps it.
 *
 * @param zone IANA name of the time zone by which its days go; missing until it is said
 */
public record KitchenResponse(
        long version,
        double altitudeM,
        double roomC,
        double tapC,
        double kettleW,
        String measures,
        double liangG,
        double boilingC,
        @Nullable String zone,
        UnitsOfHouse units,
        UnitsOfHouse.Scales scales,
        List<VesselResponse> vessels,
        List<BurnerResponse> burners) {

    public record VesselResponse(
            UUID id,
            long version,
            String name,
            String kind,
            double innerDiameterCm,
            double heightCm,
            double brimMl,
            List<String> companions) {}

    public record BurnerResponse(UUID id, long version, String name, double lowW, double mediumW, double highW) {}

    /** The household's answer to a question on which schools differ. */
    public record SchoolRequest(
            @Size(max = Length.CODE) @Nullable String choice) {}

    /** What the client sends to change the place itself. */
    public record PlaceRequest(
            @Nullable Long version,

            @Within(Limit.ALTITUDE_M) @Nullable Double altitudeM,

            @Within(Limit.ROOM_C) @Nullable Double roomC,

            @Within(Limit.TAP_C) @Nullable Double tapC,

            @Within(Limit.KETTLE_W) @Nullable Double kettleW,

            @CodeOf(KitchenSystem.class) @Nullable String measures,

            @Within(Limit.LIANG_G) @Nullable Double liangG,

            @Size(max = Length.NAME) @Nullable String zone,

            @Valid @Nullable UnitsOfHouse units) {}

    /** A vessel by its inner size; {@code brimMl} is computed from it when missing. */
    public record VesselRequest(
            @Nullable Long version,
            @Size(max = Length.SHORT_NAME) @Nullable String name,

            @CodeOf(Vessel.Kind.class) @Nullable String kind,

            @Within(Limit.VESSEL_CM) @Nullable Double innerDiameterCm,
            @Within(Limit.VESSEL_CM) @Nullable Double heightCm,

            @Within(Limit.BRIM_ML) @Nullable Double brimMl,
            @Nullable List<@CodeOf(Companion.class) String> companions) {}

    /** Two measurements on one burner with one vessel: to the boil on high, then boiling away on medium. */
    public record CalibrationRequest(
            @Nullable UUID vesselId,

            @Within(Limit.CALIBRATION_ML) @Nullable Double waterMl,

            @Within(Limit.CALIBRATION_HEAT_S) @Nullable Double heatS,

            @Within(Limit.BOILED_OFF_ML) @Nullable Double boilOffMl,

            @Within(Limit.BOILED_OFF_S) @Nullable Double boilOffS) {}

    /** What the measurements say; nothing is kept until the burner is changed. */
    public record CalibrationResponse(
            double lowW, double mediumW, double highW, WorkingsLine high, WorkingsLine medium) {}

    /** A burner by the net power that reaches the water. */
    public record BurnerRequest(
            @Nullable Long version,
            @Size(max = Length.SHORT_NAME) @Nullable String name,

            @Within(Limit.BURNER_W) @Nullable Double lowW,

            @Within(Limit.BURNER_W) @Nullable Double mediumW,

            @Within(Limit.BURNER_W) @Nullable Double highW) {}
}
