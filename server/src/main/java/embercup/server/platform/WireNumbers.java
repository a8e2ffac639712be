package embercup.server.platform;

import org.springframework.stereotype.Component;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.module.SimpleModule;

/**
 * Numbers on the wire with six decimals at most: a millionth of a gram, a millilitre or a share is less than anybody can
 * measure, and 4.549999999999999 says nothing that 4.55 does not. What is smaller than a thousandth or very large is written
 * with all its digits.
 */
@Component
public class WireNumbers extends SimpleModule {

    private static final long serialVersionUID = 1L;

    private static final long PARTS = 1_000_000;
    private static final double SMALL = 1e-3;
    private static final double LARGE = 1e9;

    WireNumbers() {
        Short writing = new Short();
        addSerializer(Double.class, writing);
        addSerializer(double.class, writing);
    }

    private static final class Short extends ValueSerializer<Double> {
        @Override
        public void serialize(Double value, JsonGenerator out, SerializationContext context) {
            write(value, out);
        }
    }

    /** One number, as all are written. */
    public static void write(double value, JsonGenerator out) {
        double size = Math.abs(value);
        if (value == Math.rint(value) && size < LARGE) {
            out.writeNumber((long) value);
        } else if (size >= SMALL && size < LARGE) {
            out.writeNumber(decimals(value));
        } else {
            out.writeNumber(value);
        }
    }

    /** A number between a thousandth and a thousand million, to the nearest millionth, without trailing zeros. */
    static String decimals(double value) {
        long all = Math.round(Math.abs(value) * PARTS);
        long rest = all % PARTS;
        StringBuilder text = new StringBuilder(20);
        if (value < 0) {
            text.append('-');
        }
        text.append(all / PARTS);
        if (rest != 0) {
            text.append('.');
            for (long part = PARTS / 10; rest != 0; part /= 10) {
                text.append((char) ('0' + rest / part));
                rest %= part;
            }
        }
        return text.toString();
    }
}
