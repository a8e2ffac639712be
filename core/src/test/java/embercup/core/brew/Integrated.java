package embercup.core.brew;

import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.events.Action;
import org.hipparchus.ode.events.AdaptableInterval;
import org.hipparchus.ode.events.ODEEventDetector;
import org.hipparchus.ode.events.ODEEventHandler;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;

/** An independent integrator for the checks: Dormand–Prince with event detection (Hipparchus). */
final class Integrated {

    private Integrated() {}

    /** A named event: it stops where {@code g} changes its sign. */
    static ODEEventDetector when(java.util.function.ToDoubleFunction<double[]> g) {
        return new Event(g);
    }

    /** A named event: a function whose sign changes. */
    private record Event(java.util.function.ToDoubleFunction<double[]> g) implements ODEEventDetector {
        @Override
        public AdaptableInterval getMaxCheckInterval() {
            return (s, forward) -> 5.0;
        }

        @Override
        public int getMaxIterationCount() {
            return 100;
        }

        @Override
        public BracketingNthOrderBrentSolver getSolver() {
            return new BracketingNthOrderBrentSolver(1e-12, 1e-9, 1e-12, 5);
        }

        @Override
        public ODEEventHandler getHandler() {
            return (state, detector, increasing) -> Action.STOP;
        }

        @Override
        public double g(ODEStateAndDerivative state) {
            return g.applyAsDouble(state.getPrimaryState());
        }
    }

    static ODEStateAndDerivative until(
            double[] start,
            double seconds,
            java.util.function.UnaryOperator<double[]> slope,
            ODEEventDetector... events) {
        var integrator = new DormandPrince853Integrator(1e-6, 60, 1e-10, 1e-10);
        for (ODEEventDetector e : events) {
            integrator.addEventDetector(e);
        }
        OrdinaryDifferentialEquation ode = new OrdinaryDifferentialEquation() {
            @Override
            public int getDimension() {
                return start.length;
            }

            @Override
            public double[] computeDerivatives(double t, double[] y) {
                return slope.apply(y);
            }
        };
        return integrator.integrate(ode, new ODEState(0, start), seconds);
    }
}
