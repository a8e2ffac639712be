package embercup.core.kitchen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class VesselTest {

    private final Vessel pot = Vessel.of("pot", Vessel.Kind.POT, 20, 10);

    @Test
    void aCylinderHoldsWhatGeometrySays() {
        assertThat(pot.brimMl()).isCloseTo(Math.PI * 1000, within(1e-9));
        assertThat(pot.levelCm(pot.brimMl() / 2)).isCloseTo(5, within(1e-9));
        assertThat(pot.fromRimCm(pot.brimMl() / 4)).isCloseTo(7.5, within(1e-9));
    }

    /** Fill limit at a boil and the inch of headspace in a jar: common practice, no source. */
    @Test
    void aBoilingPotIsFilledToFourFifthsAndAJarKeepsAnInch() {
        assertThat(pot.mostMl()).isCloseTo(pot.brimMl() * 0.8, within(1e-9));
        Vessel jar = Vessel.of("jar", Vessel.Kind.JAR, 9, 17);
        assertThat(jar.fromRimCm(jar.mostMl())).isCloseTo(2.54, within(1e-9));
    }
}
