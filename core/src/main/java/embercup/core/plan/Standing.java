package embercup.core.plan;

import embercup.core.brew.CurvePoint;
import java.util.List;

/** How long a liquor stands lukewarm while it is made: neither hot nor cold enough to keep. Stateless. */
public final class Standing {

    /** Nothing grows in what is hotter or colder (source key {@code food-code}: 5–57 °C, with a margin for a kitchen), °C. */
    private static final double HOT_C = 60;

    private static final double COLD_C = 8;
    /** Not at room temperature for longer (source key {@code food-code}), h. */
    public static final double MOST_H = 2;

    private Standing() {}

    /** Hours between cold and hot before it is strained; 0 for what stands in spirit, vinegar or glycerin, which keep. */
    public static double lukewarmHours(BrewPlan plan) {
        if (plan.request().recipe().menstruum().cold()) {
            return 0;
        }
        double seconds = 0;
        double offset = plan.stageStartS();
        List<CurvePoint> curve = plan.curve();
        for (var run : plan.stages()) {
            if (!run.stage().kind().stands()) {
                continue;
            }
            for (int i = 1; i < curve.size(); i++) {
                CurvePoint a = curve.get(i - 1);
                CurvePoint b = curve.get(i);
                double from = Math.max(a.tS() - offset, run.startS());
                double to = Math.min(b.tS() - offset, run.endS());
                if (to > from) {
                    seconds += (to - from) * lukewarmShare(a.tempC(), b.tempC());
                }
            }
        }
        return seconds / 3600;
    }

    /** Part of a straight change of temperature that lies between cold and hot. */
    private static double lukewarmShare(double a, double b) {
        double low = Math.min(a, b);
        double high = Math.max(a, b);
        if (high - low < 1e-9) {
            return low > COLD_C && low < HOT_C ? 1 : 0;
        }
        return Math.max(0, Math.min(high, HOT_C) - Math.max(low, COLD_C)) / (high - low);
    }
}
