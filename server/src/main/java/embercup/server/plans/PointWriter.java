package embercup.server.plans;

import embercup.server.platform.WireNumbers;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.SerializableString;
import tools.jackson.core.io.SerializedString;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;

/** Writes a point of a curve field by field: a plan has more of them than of all its other numbers. */
final class PointWriter extends ValueSerializer<PlanResponse.Point> {

    private static final SerializableString T_S = new SerializedString("tS");
    private static final SerializableString TEMP_C = new SerializedString("tempC");
    private static final SerializableString WATER_ML = new SerializedString("waterMl");
    private static final SerializableString BODY = new SerializedString("body");
    private static final SerializableString AROMA = new SerializedString("aroma");
    private static final SerializableString BITE = new SerializedString("bite");

    @Override
    public void serialize(PlanResponse.Point point, JsonGenerator out, SerializationContext context) {
        out.writeStartObject();
        field(T_S, point.tS(), out);
        field(TEMP_C, point.tempC(), out);
        field(WATER_ML, point.waterMl(), out);
        field(BODY, point.body(), out);
        field(AROMA, point.aroma(), out);
        field(BITE, point.bite(), out);
        out.writeEndObject();
    }

    private static void field(SerializableString name, double value, JsonGenerator out) {
        out.writeName(name);
        WireNumbers.write(value, out);
    }
}
