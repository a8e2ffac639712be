package embercup.core.care;

import embercup.core.dose.Purpose;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.plan.Caution;
import embercup.core.plan.PlanRequest;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Schools.Choice;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** How many days in a row a cup is drunk: the shortest limit of any of its herbs, and where a drinker stands against it. */
final class RunLength {

    private RunLength() {}

    /** From this share of its longest run on a herb's days are counted aloud (design value). */
    private static final double NEAR = 0.5;

    static List<Caution> of(List<Herb> herbs, PlanRequest request, History history) {
        Schools schools = request.schools();
        OptionalInt daysOn = request.daysOn();
        List<Caution> all = new ArrayList<>();
        List<Herb> limited =
                herbs.stream().filter(h -> h.longestRunDays().isPresent()).toList();
        boolean daily = request.purpose() == Purpose.TONIC || schools.hold(Choice.MONTHS);
        limited.stream()
                .filter(h -> daily || near(h, history, daysOn))
                .min(Comparator.comparingInt(RunLength::most))
                .ifPresent(h -> all.add(
                        new Caution.LongestRun(HerbName.of(h), most(h), schools.hold(Choice.MONTHS), source(h))));
        limited.forEach(h -> stands(h, history.run(h.slug(), most(h)), daysOn).ifPresent(all::add));
        return all;
    }

    /** Whether its days of drinking, behind it and to come, come near its longest run: one cup is no course. */
    private static boolean near(Herb herb, History history, OptionalInt daysOn) {
        int most = most(herb);
        return history.run(herb.slug(), most).days() + daysOn.orElse(0) >= Math.max(2, most * NEAR);
    }

    private static Optional<Caution> stands(Herb herb, Run run, OptionalInt daysOn) {
        HerbName name = HerbName.of(herb);
        int most = most(herb);
        int more = daysOn.orElse(1);
        if (run.owed()) {
            return Optional.of(new Caution.RunOver(name, most, most, run.days(), source(herb)));
        } else if (more > most) {
            return Optional.of(new Caution.PosologyRun(name, more, most, source(herb)));
        } else if (run.days() + more > most) {
            return Optional.of(new Caution.RunWouldPass(name, run.days(), more, most, source(herb)));
        }
        return Optional.empty();
    }

    static int most(Herb herb) {
        return Math.max(1, (int) Math.round(herb.longestRunDays().orElseThrow().value()));
    }

    static String source(Herb herb) {
        return herb.longestRunDays().orElseThrow().source();
    }
}
