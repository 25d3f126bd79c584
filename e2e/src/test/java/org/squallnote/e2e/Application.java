package org.squallnote.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.HttpURLConnection;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** The packaged jar as a process of its own, that can be killed and started again on the same data. */
final class Application implements AutoCloseable {

    private static final Duration START = Duration.ofMinutes(5);

    private final Path data;
    private final Clock clock;
    private final List<String> options;
    private Process process;
    private int port;

    /** @param clock by which it goes; started again it goes on by the same */
    Application(Path data, Clock clock, String... options) {
        this.data = data;
        this.clock = clock;
        this.options = List.of(options);
    }

    Application start() {
        try {
            Path running = data.resolve("running");
            Files.deleteIfExists(running);
            List<String> command = new ArrayList<>(PackagedJar.command());
            command.addAll(List.of("--data=" + data, "--server.port=0", "--clock=" + clock.instant()));
            command.addAll(options);
            long began = System.nanoTime();
            process = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.appendTo(log().toFile()))
                    .start();
            while (!answers(running)) {
                if (!process.isAlive() || System.nanoTime() - began > START.toNanos()) {
                    throw new IllegalStateException("The application did not start:\n" + Files.readString(log()));
                }
                process.waitFor(50, TimeUnit.MILLISECONDS);
            }
            Patience.started(Duration.ofNanos(System.nanoTime() - began));
            return this;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private boolean answers(Path running) throws IOException {
        if (!Files.exists(running)) {
            return false;
        }
        port = Integer.parseInt(Files.readAllLines(running).get(0));
        try {
            HttpURLConnection connection = (HttpURLConnection)
                    URI.create(address() + "/api/session").toURL().openConnection();
            return connection.getResponseCode() == 200;
        } catch (IOException e) {
            return false;
        }
    }

    /** Hands a file of mail to it, as the command for that does; waits until it is taken in. */
    void importFile(Path file, String signIn) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(PackagedJar.command());
        command.addAll(List.of("import", "--data=" + data, "--account=" + signIn, file.toString()));
        Process taking = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log().toFile()))
                .start();
        if (!taking.waitFor(10, TimeUnit.MINUTES) || taking.exitValue() != 0) {
            throw new IllegalStateException("The file was not taken in:\n" + Files.readString(log()));
        }
    }

    String address() {
        return "http://127.0.0.1:" + port;
    }

    Path log() {
        return data.resolve("application.log");
    }

    /** Ends it as a power cut would; nothing where it was never started. */
    void kill() {
        if (process == null) {
            return;
        }
        process.destroyForcibly();
        awaitEnd();
    }

    @Override
    public void close() {
        process.destroy();
        awaitEnd();
    }

    private void awaitEnd() {
        try {
            if (!process.waitFor(30, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
