package embercup.core.brew;

import java.util.function.Consumer;

/**
 * A short piece of a phase, over which the extraction takes one step: temperatures at its start, middle and end, water at its
 * middle and end. Immutable.
 */
record Slice(double seconds, double fromC, double midC, double toC, double midMl, double endMl) {

    /** Calls back with the slices of a phase in order. */
    static void of(Phase.InVessel phase, Consumer<Slice> each) {
        if (phase instanceof Phase.Below below) {
            below(below, each);
        } else {
            boil((Phase.AtTheBoil) phase, each);
        }
    }

    private static void below(Phase.Below p, Consumer<Slice> each) {
        Heating heating = p.heating();
        int steps = steps(p.seconds(), heating.startC() == heating.endC());
        double h = p.seconds() / steps;
        double lost = p.level().lostMl() / steps;
        double from = heating.startC();
        for (int i = 0; i < steps; i++) {
            double to =
                    i == steps - 1 && p.readC().isPresent() ? p.readC().getAsDouble() : heating.celsiusAt((i + 1) * h);
            double start = p.level().startMl() - i * lost;
            each.accept(new Slice(h, from, heating.celsiusAt((i + 0.5) * h), to, start - lost / 2, start - lost));
            from = to;
        }
    }

    private static void boil(Phase.AtTheBoil p, Consumer<Slice> each) {
        int steps = steps(p.seconds(), true);
        double h = p.seconds() / steps;
        double rate = p.gramsPerS();
        for (int i = 0; i < steps; i++) {
            double mid = Math.max(p.level().endMl(), p.level().startMl() - rate * h * (i + 0.5));
            double end = Math.max(p.level().endMl(), p.level().startMl() - rate * h * (i + 1));
            each.accept(new Slice(h, p.boilingC(), p.boilingC(), p.boilingC(), mid, end));
        }
    }

    private static int steps(double seconds, boolean steady) {
        return (int) Math.max(3, Math.min(steady ? 10 : 24, Math.ceil(seconds / (steady ? 150 : 60))));
    }
}
