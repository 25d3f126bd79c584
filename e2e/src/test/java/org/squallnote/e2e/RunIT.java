package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.HttpURLConnection;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** {@code ./squallnote run}: an application that ends, for whatever reason, is started again; one that is ended is not. */
class RunIT {

    private static final Duration START = Duration.ofMinutes(5);

    /** With this it ends by itself when memory has run out. */
    private static final String ON_OUT_OF_MEMORY = "-XX:+ExitOnOutOfMemoryError";

    @TempDir
    private Path folder;

    private Process launcher;
    private int port;

    @BeforeEach
    void start() throws IOException {
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        launcher = new ProcessBuilder("./squallnote", "run", "--data", folder + "/data", "--port", "" + port)
                .directory(Path.of("..").toFile())
                .redirectErrorStream(true)
                .redirectOutput(log().toFile())
                .start();
    }

    @AfterEach
    void end() {
        launcher.descendants().forEach(ProcessHandle::destroyForcibly);
        launcher.destroyForcibly();
    }

    @Test
    void isStartedAgainAfterAnEndThatNobodyAskedFor() throws Exception {
        ProcessHandle first = answering(Optional.empty());
        assertThat(first.info().arguments().orElseThrow()).contains(ON_OUT_OF_MEMORY);
        first.destroyForcibly();
        ProcessHandle second = answering(Optional.of(first));
        assertThat(Files.readString(log())).contains("Nothing is lost; it starts again");

        launcher.destroy();
        assertThat(launcher.waitFor(30, TimeUnit.SECONDS)).isTrue();
        assertThat(launcher.exitValue()).isZero();
        assertThat(second.isAlive()).isFalse();
    }

    private Path log() {
        return folder.resolve("run.log");
    }

    /** The application's process, once it answers and is another one than before. */
    private ProcessHandle answering(Optional<ProcessHandle> before) throws Exception {
        long end = System.nanoTime() + START.toNanos();
        while (System.nanoTime() < end && launcher.isAlive()) {
            Optional<ProcessHandle> now = launcher.descendants()
                    .filter(process -> process.info().arguments().stream()
                            .anyMatch(arguments -> Arrays.asList(arguments).contains(ON_OUT_OF_MEMORY)))
                    .filter(ProcessHandle::isAlive)
                    .filter(process -> before.filter(process::equals).isEmpty())
                    .findFirst();
            if (now.isPresent() && answers()) {
                return now.get();
            }
            launcher.waitFor(100, TimeUnit.MILLISECONDS);
        }
        throw new AssertionError("It does not answer:\n" + Files.readString(log()));
    }

    private boolean answers() throws IOException {
        try {
            HttpURLConnection connection = (HttpURLConnection) URI.create("http://127.0.0.1:" + port + "/api/session")
                    .toURL()
                    .openConnection();
            return connection.getResponseCode() == 200;
        } catch (IOException e) {
            return false;
        }
    }
}
