package embercup.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpStatus;

/** The places for pages that listen are limited, and what is on the fire comes first. */
class AudienceTest {

    private final Audience audience = new Audience();
    private final List<Audience.Listener> left = new ArrayList<>();

    @AfterEach
    void close() {
        audience.destroy();
    }

    private void fill(boolean first) {
        for (int i = 0; i < Audience.MOST; i++) {
            audience.admit(first, left::add);
        }
    }

    private void refused(boolean first) {
        assertThatThrownBy(() -> audience.admit(first, left::add))
                .isInstanceOfSatisfying(
                        RefusedException.class, e -> assertThat(e.status()).isEqualTo(HttpStatus.SERVICE_UNAVAILABLE));
    }

    @Test
    void whoLooksAtAFinishedPotMakesRoomForOneOnTheFire() {
        fill(false);
        refused(false);
        assertThat(left).as("nobody is sent away for a page of that kind").isEmpty();

        Audience.Listener burning = audience.admit(true, left::add);

        assertThat(left)
                .as("one that is not on the fire has made room")
                .hasSize(1)
                .doesNotContain(burning);
        refused(false);
    }

    @Test
    void whatIsOnTheFireIsNotSentAwayForAnotherThatIs() {
        fill(true);
        refused(true);
        refused(false);
        assertThat(left).isEmpty();
    }

    @Test
    void whoLeavesMakesRoomAndIsToldOnce() {
        fill(false);
        Audience.Listener first = audience.admit(true, left::add);
        audience.dismiss(first);
        audience.dismiss(first);
        assertThat(left).filteredOn(l -> l == first).hasSize(1);
        audience.admit(false, left::add);
    }
}
