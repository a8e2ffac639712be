package embercup.core.kitchen;

import embercup.core.workings.Code;
import embercup.core.workings.Workings;
import java.util.List;

/** The equations of a place. */
public enum KitchenEquation implements Workings.Equation {

    /** p = 101 325 Pa · (1 − 2.25577e-5 · h)^5.25588 (ISO 2533), from the altitude, m. */
    STANDARD_ATMOSPHERE {
        @Override
        public double solve(List<Workings> inputs) {
            return Atmosphere.pressurePa(inputs.get(0).value());
        }
    },

    /** Saturation temperature at a pressure, Pa (IAPWS-IF97, region 4). */
    SATURATION {
        @Override
        public double solve(List<Workings> inputs) {
            return Water.boilingC(inputs.get(0).value());
        }
    };

    @Override
    public String code() {
        return Code.of(this);
    }
}
