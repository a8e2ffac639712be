package embercup.core.plan;

import embercup.core.workings.Code;
import embercup.core.workings.Workings;
import java.util.List;

/** The equations of an estimate. */
public enum StrengthEquation implements Workings.Equation {

    /**
     * kt·exp(−kt)/(1 − exp(−kt)) with kt = −ln(1 − x): by how much of itself a drawn share x moves when its rate moves by all
     * of itself. Input: the share drawn.
     */
    RATE_SENSITIVITY {
        @Override
        public double solve(List<Workings> inputs) {
            return slope(inputs.get(0).value());
        }
    },

    /** The root of the sum of the squares of all inputs: uncertainties that do not know of each other. */
    IN_QUADRATURE {
        @Override
        public double solve(List<Workings> inputs) {
            return Math.sqrt(
                    inputs.stream().mapToDouble(w -> w.value() * w.value()).sum());
        }
    };

    /** A share nearer to all than this is taken as this. */
    private static final double ALL = 0.999;

    static double slope(double share) {
        double kt = -Math.log(1 - Math.min(Math.max(share, 0), ALL));
        return kt == 0 ? 1 : kt * Math.exp(-kt) / -Math.expm1(-kt);
    }

    @Override
    public String code() {
        return Code.of(this);
    }
}
