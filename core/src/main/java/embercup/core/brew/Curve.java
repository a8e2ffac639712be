package embercup.core.brew;

import embercup.core.materia.ExtractClass;
import java.util.ArrayList;
import java.util.List;

/** The curve of a brew: its phases gone through once, with what the herbs have given at the end of each step. */
final class Curve {

    private final List<CurvePoint> points = new ArrayList<>();
    private final Liquor liquor;
    private boolean strained;
    private double tS;

    private Curve(Liquor liquor) {
        this.liquor = liquor;
    }

    /** @param liquor fresh; afterwards it holds what the whole brew drew */
    static List<CurvePoint> along(List<Phase> phases, Liquor liquor) {
        Curve curve = new Curve(liquor);
        phases.forEach(curve::through);
        return curve.points;
    }

    private void through(Phase phase) {
        if (phase instanceof Phase.Sample s) {
            tS = Math.max(tS, s.tS());
            point(s.celsius(), s.ml());
            return;
        }
        if (phase instanceof Phase.InVessel lasting) {
            strained = lasting.over().strained();
        }
        liquor.through(phase, slice -> {
            tS += slice.seconds();
            point(slice.toC(), slice.endMl() + ((Phase.InVessel) phase).over().asideMl());
        });
    }

    private void point(double celsius, double ml) {
        points.add(new CurvePoint(
                tS,
                celsius,
                ml,
                liquor.drawn(ExtractClass.BODY.ordinal(), strained),
                share(ExtractClass.AROMA),
                share(ExtractClass.BITE)));
    }

    private double share(ExtractClass extractClass) {
        double held = liquor.held(extractClass.ordinal());
        return held == 0 ? 0 : liquor.drawn(extractClass.ordinal(), strained) / held;
    }
}
