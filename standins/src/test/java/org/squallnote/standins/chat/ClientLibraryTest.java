package org.squallnote.standins.chat;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** An ordinary client library, unmodified, does everything that it can do in a room; {@code client/run.mjs} says what. */
class ClientLibraryTest {

    private static final Path CLIENT = Path.of("src", "test", "client");
    private static final String PASSWORD = "merrow-quay";

    @Test
    void worksWithAnUnmodifiedClient() throws Exception {
        try (Homeserver server = Homeserver.start(0, "merrowquay.example", Clock.systemUTC())) {
            server.state().addUser("ines", "Ines Calloway", PASSWORD);
            server.state().addUser("bo", "Bo Lindgren", PASSWORD);
            run("sh", Path.of("..", "web", "install.sh").toAbsolutePath().toString());
            assertThat(run("node", "run.mjs", server.address(), PASSWORD)).contains("all of it works");
        }
    }

    private static String run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command)
                .directory(CLIENT.toFile())
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor(3, TimeUnit.MINUTES)).as(said).isTrue();
        assertThat(process.exitValue()).as(said).isZero();
        return said;
    }
}
