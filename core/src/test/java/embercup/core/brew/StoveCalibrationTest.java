package embercup.core.brew;

import static embercup.core.Pots.PLANNER;
import static embercup.core.Pots.rootPot;
import static embercup.core.Pots.said;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.plan.PlanRequest;
import embercup.core.workings.InvalidInputException;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Two small measurements tell a burner's power. */
class StoveCalibrationTest {

    private static final Vessel POT = Vessel.of("pot", Vessel.Kind.POT, 18, 10);

    private static Kitchen with(Burner burner) {
        return new Kitchen(0, 20, 15, Optional.of(POT), burner, 2000);
    }

    /** 1 000 W net boil away about 26.6 g in a minute (latent heat, IAPWS-IF97). */
    @Test
    void tenMinutesOfBoilingTellTheMediumSetting() {
        StoveCalibration c =
                StoveCalibration.of(with(Burner.SMALL), POT, new StoveCalibration.Measured(1000, 400, 266, 600));
        assertThat(c.burner().mediumW()).isCloseTo(1000, within(5.0));
    }

    @Test
    void theTimeToTheBoilTellsTheHighSetting() {
        Burner truth = new Burner("hidden", 300, 800, 1430);
        double capacity = 1000 * 4.186 + POT.wallJPerK();
        double heatS = Heating.of(15, 20, truth.highW(), capacity, Losses.wattsPerKelvin(POT, 1000, true, true))
                .secondsTo(with(truth).boilingC());
        StoveCalibration c =
                StoveCalibration.of(with(Burner.SMALL), POT, new StoveCalibration.Measured(1000, heatS, 200, 600));
        assertThat(c.burner().highW()).isCloseTo(1430, within(8.0));
    }

    @Test
    void theCalibratedBurnerMovesTheNextPlan() {
        StoveCalibration weak =
                StoveCalibration.of(with(Burner.SMALL), POT, new StoveCalibration.Measured(1000, 900, 80, 600));
        double before = PLANNER.plan(PlanRequest.asWritten(rootPot()).withKitchen(with(Burner.SMALL)))
                .totalS();
        double after = PLANNER.plan(PlanRequest.asWritten(rootPot()).withKitchen(with(weak.burner())))
                .totalS();
        assertThat(after).isGreaterThan(before + 60);
    }

    @Test
    void whatNoBurnerCouldHaveDoneIsRefused() {
        assertThatThrownBy(() ->
                        StoveCalibration.of(with(Burner.SMALL), POT, new StoveCalibration.Measured(5000, 30, 100, 600)))
                .isInstanceOf(InvalidInputException.class)
                .satisfies(e -> assertThat(said(e)).contains("burner"));
    }
}
