package embercup.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpStatus;

/** The places for pages that listen are limited, and what is on the fire comes first. */
class StreamSubscribersTest {

    private final StreamSubscribers subscribers = new StreamSubscribers();
    private final List<StreamSubscribers.Listener> left = new ArrayList<>();

    @AfterEach
    void close() {
        subscribers.destroy();
    }

    private void fill(boolean first) {
        for (int i = 0; i < StreamSubscribers.MOST; i++) {
            subscribers.admit(first, left::add);
        }
    }

    private void refused(boolean first) {
        assertThatThrownBy(() -> subscribers.admit(first, left::add))
                .isInstanceOfSatisfying(
                        RefusedException.class, e -> assertThat(e.status()).isEqualTo(HttpStatus.SERVICE_UNAVAILABLE));
    }

    @Test
    void whoLooksAtAFinishedPotMakesRoomForOneOnTheFire() {
        fill(false);
        refused(false);
        assertThat(left).as("nobody is sent away for a page of that kind").isEmpty();

        StreamSubscribers.Listener burning = subscribers.admit(true, left::add);

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
        StreamSubscribers.Listener first = subscribers.admit(true, left::add);
        subscribers.dismiss(first);
        subscribers.dismiss(first);
        assertThat(left).filteredOn(l -> l == first).hasSize(1);
        subscribers.admit(false, left::add);
    }
}
