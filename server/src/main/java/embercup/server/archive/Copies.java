package embercup.server.archive;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Files of a household on their way in or out: beside the data, where there is room for them, and nobody else reads. */
@Component
class Copies {

    private static final String BEGINS = "household-";
    private static final String ENDS = ".zip";

    private final Path home;

    Copies(@Value("${ember.home}") Path home) {
        this.home = home;
    }

    /** A new empty one; whoever asks takes it away. */
    Path make() throws IOException {
        Files.createDirectories(home);
        return Files.createTempFile(home, BEGINS, ENDS);
    }

    /** Takes away what was on its way when an earlier run was killed. */
    void dropLeftOver() throws IOException {
        if (!Files.isDirectory(home)) {
            return;
        }
        long started = ManagementFactory.getRuntimeMXBean().getStartTime();
        try (Stream<Path> files = Files.list(home)) {
            for (Path left : files.filter(Copies::ours).toList()) {
                if (Files.getLastModifiedTime(left).toMillis() < started) {
                    Files.deleteIfExists(left);
                }
            }
        }
    }

    private static boolean ours(Path file) {
        String name = file.getFileName().toString();
        return name.startsWith(BEGINS) && name.endsWith(ENDS) && Files.isRegularFile(file);
    }
}
