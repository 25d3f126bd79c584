package org.squallnote.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** The packaged jar, taken apart once for all tests with a class-data archive, as the launcher does it: it starts in a third of the time. */
final class PackagedJar {

    private static final Path FOLDER = Path.of("target", "app").toAbsolutePath();

    private static final Path LOCK = Path.of("target", "app.lock").toAbsolutePath();

    private PackagedJar() {}

    /** How the application is started, up to its arguments. */
    static synchronized List<String> command() {
        Path jar = FOLDER.resolve("squallnote.jar");
        Path archive = FOLDER.resolve("squallnote.jsa");
        // Tests run in two processes; the first one prepares it for both.
        try (FileChannel file = FileChannel.open(LOCK, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock held = file.lock()) {
            Path packaged = Path.of(System.getProperty("squallnote.jar"));
            if (!isLaterThan(archive, packaged)) {
                takeApart(packaged, jar, archive);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        List<String> command = new ArrayList<>(java());
        command.addAll(List.of("-XX:SharedArchiveFile=" + archive, "-Xshare:auto", "-Xlog:disable"));
        command.addAll(List.of("-jar", jar.toString()));
        return command;
    }

    private static List<String> java() {
        return List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-Xmx512m");
    }

    /** The archive comes last, so that what is older than the jar, or unfinished, is made anew. */
    private static boolean isLaterThan(Path archive, Path packaged) throws IOException {
        return Files.exists(archive)
                && Files.getLastModifiedTime(archive).compareTo(Files.getLastModifiedTime(packaged)) > 0;
    }

    private static void takeApart(Path packaged, Path jar, Path archive) throws IOException {
        run(List.of(
                java().get(0),
                "-Djarmode=tools",
                "-jar",
                packaged.toString(),
                "extract",
                "--force",
                "--destination",
                FOLDER.toString()));
        try (Stream<Path> files = Files.list(FOLDER)) {
            Path found = files.filter(file -> file.toString().endsWith("-app.jar"))
                    .findFirst()
                    .orElseThrow();
            Files.move(found, jar, StandardCopyOption.REPLACE_EXISTING);
        }
        Path scratch = Files.createTempDirectory("squallnote-archive");
        List<String> training = new ArrayList<>(java());
        training.addAll(List.of("-Xlog:disable", "-XX:ArchiveClassesAtExit=" + archive));
        training.addAll(List.of("-Dspring.context.exit=onRefresh", "-jar", jar.toString()));
        training.addAll(List.of("--data=" + scratch, "--server.port=0"));
        run(training);
    }

    private static void run(List<String> command) throws IOException {
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        try {
            if (!process.waitFor(3, TimeUnit.MINUTES) || process.exitValue() != 0) {
                process.destroyForcibly();
                throw new IllegalStateException("Did not work: " + String.join(" ", command));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
