package embercup.server.archive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** An archive of every night, fourteen of them, whatever the machine did at night. */
class NightlyArchivesTest {

    private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");

    @TempDir
    Path folder;

    private NightlyArchives at(String moment) {
        return new NightlyArchives(folder, Clock.fixed(Instant.parse(moment), OSLO), () -> OSLO);
    }

    private void keep(String moment) throws IOException {
        at(moment).keep(writes("household of " + moment));
        Files.setLastModifiedTime(
                folder.resolve(at(moment).last().orElseThrow().day() + ".zip"), FileTime.from(Instant.parse(moment)));
    }

    private static Consumer<Path> writes(String text) {
        return file -> {
            try {
                Files.writeString(file, text);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        };
    }

    /** Three in the morning of the house is one or two in the morning of UTC. */
    @Test
    void theNightEndsAtThreeByTheClockOfTheHouse() throws IOException {
        assertThat(at("2026-11-27T12:00:00Z").due()).as("the first one at once").isTrue();
        keep("2026-11-27T12:00:00Z");
        assertThat(at("2026-11-27T23:30:00Z").due()).isFalse();
        assertThat(at("2026-11-28T01:59:00Z").due()).isFalse();
        assertThat(at("2026-11-28T02:00:00Z").due()).isTrue();
        assertThat(at("2026-07-10T00:59:00Z").due())
                .as("by a clock that was set back the newest is dated ahead: it says nothing of tonight")
                .isTrue();
    }

    /** One archive by a clock that was wrong for a day stops no night after it, and is not taken for one. */
    @Test
    void oneThatIsDatedAheadStopsNoNight() throws IOException {
        keep("2026-11-27T12:00:00Z");
        Files.writeString(folder.resolve("2031-01-01.zip"), "dated ahead");
        NightlyArchives next = at("2026-11-28T12:00:00Z");
        assertThat(next.due()).isTrue();
        assertThat(next.last().orElseThrow().day()).isEqualTo(LocalDate.of(2026, 11, 27));
        assertThat(next.ahead()).hasSize(1);
        assertThat(next.past())
                .as("the nights that are said to be kept")
                .doesNotContainAnyElementsOf(next.ahead())
                .hasSize(next.all().size() - 1);
        assertThat(at("2026-11-30T12:00:00Z").late()).as("two nights went by").isTrue();
        for (int day = 0; day < 16; day++) {
            keep(Instant.parse("2026-11-28T12:00:00Z")
                    .plus(Duration.ofDays(day))
                    .toString());
        }
        assertThat(folder.resolve("2031-01-01.zip")).as("it is left alone").exists();
        assertThat(at("2026-12-13T12:00:00Z").all()).hasSize(15);
    }

    @Test
    void whatAKilledNightLeftIsTakenAway() throws IOException {
        keep("2026-11-27T12:00:00Z");
        Files.writeString(folder.resolve("2026-11-20.part"), "half");
        Files.writeString(folder.resolve("letter.part"), "mine");
        at("2026-11-28T12:00:00Z").dropLeftOver();
        assertThat(folder.resolve("2026-11-20.part")).doesNotExist();
        assertThat(folder.resolve("letter.part")).exists();
        assertThat(folder.resolve("2026-11-27.zip")).exists();
    }

    @Test
    void aMachineThatSleptMakesItUpOnceAndNotForEveryNight() throws IOException {
        keep("2026-11-20T03:00:00Z");
        assertThat(at("2026-11-27T18:00:00Z").due()).isTrue();
        assertThat(at("2026-11-27T18:00:00Z").late()).isTrue();
        keep("2026-11-27T18:00:00Z");
        assertThat(at("2026-11-27T18:10:00Z").due()).isFalse();
        assertThat(at("2026-11-27T18:10:00Z").late()).isFalse();
        assertThat(at("2026-11-27T18:10:00Z").all()).hasSize(2);
    }

    @Test
    void fourteenAreKeptAndNothingElseIsTouched() throws IOException {
        Files.writeString(folder.resolve("letter.zip"), "mine");
        for (int day = 0; day < 20; day++) {
            keep(Instant.parse("2026-11-01T04:00:00Z")
                    .plus(Duration.ofDays(day))
                    .toString());
        }
        NightlyArchives nights = at("2026-11-20T05:00:00Z");
        assertThat(nights.all()).hasSize(14);
        assertThat(nights.last().orElseThrow().day()).isEqualTo(LocalDate.of(2026, 11, 20));
        assertThat(nights.all().get(13).day()).isEqualTo(LocalDate.of(2026, 11, 7));
        assertThat(folder.resolve("letter.zip")).hasContent("mine");
    }

    @Test
    void oneThatWasCutShortIsNoneAndTheOldOneStays() throws IOException {
        keep("2026-11-27T12:00:00Z");
        NightlyArchives again = at("2026-11-28T12:00:00Z");
        assertThatThrownBy(() -> again.keep(file -> {
                    writes("half").accept(file);
                    throw new IllegalStateException("No space left on device");
                }))
                .hasMessageContaining("No space left");
        assertThat(folder).isDirectoryContaining(f -> f.toString().endsWith("2026-11-27.zip"));
        assertThat(folder).isDirectoryNotContaining(f -> f.toString().contains("2026-11-28"));
        assertThat(again.due()).isTrue();
    }
}
