package embercup.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import java.net.ConnectException;
import java.net.UnknownHostException;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.postgresql.util.PSQLException;
import org.postgresql.util.PSQLState;
import org.springframework.boot.web.server.PortInUseException;

/** Why a server does not start is one sentence that says what to do, however deep it is wrapped. */
class StartFailuresTest {

    static Stream<Arguments> failures() {
        return Stream.of(
                Arguments.of(
                        new PortInUseException(8080),
                        "port 8080 is taken by another program; choose one with EMBER_PORT"),
                Arguments.of(
                        new PSQLException(
                                "Connection refused",
                                PSQLState.CONNECTION_UNABLE_TO_CONNECT,
                                new ConnectException("refused")),
                        "the database does not answer (refused); check EMBER_DB_URL or start it"),
                Arguments.of(
                        new IllegalArgumentException(new ConnectException("Connection refused")),
                        "the database does not answer (Connection refused); check EMBER_DB_URL or start it"),
                Arguments.of(
                        new UnknownHostException("kitchen.invalid"),
                        "the database does not answer (kitchen.invalid); check EMBER_DB_URL or start it"),
                Arguments.of(
                        new IllegalStateException("outer", new IllegalStateException("the disk is full")),
                        "could not start: the disk is full"));
    }

    @ParameterizedTest
    @MethodSource("failures")
    void itIsSaidInOneSentence(Throwable failure, String sentence) {
        assertThat(EmberCup.sentence(new IllegalStateException("context", failure)))
                .isEqualTo(sentence);
    }

    @Test
    void aWrongPasswordOfARealDatabaseIsSaidToo() {
        Throwable failure = catchThrowable(() -> RunningServer.start(Map.of("spring.datasource.password", "not-this")));
        assertThat(EmberCup.sentence(failure))
                .startsWith("the database refused: FATAL: password authentication failed")
                .doesNotContain("\n");
    }
}
