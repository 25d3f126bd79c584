package org.squallnote.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.util.FileSystemUtils;
import org.squallnote.core.account.Account;
import org.squallnote.server.Squallnote;
import org.squallnote.store.account.AccountStore;

/** How long the command takes that imports a large mbox, from its start to its end, beside a process that merely parses the same file. */
final class ImportBench {

    private static final int MESSAGES = 26_000;
    private static final int ROUNDS = 3;

    private ImportBench() {}

    /** @param java how the application's Java is started: the command and its options */
    static void run(List<String> java, Path application) throws IOException, InterruptedException {
        Path mbox = GeneratedMbox.writePlain(MESSAGES, 3, Instant.now());
        Path data = Files.createTempDirectory("squallnote-import");
        List<String> parsing =
                with(java, "-cp", System.getProperty("java.class.path"), PlainParsing.class.getName(), mbox.toString());
        Path prepared = withAnAccount(Files.createDirectory(data.resolve("prepared")));
        List<String> reading =
                with(java, "-cp", System.getProperty("java.class.path"), PlainReading.class.getName(), mbox.toString());
        Path single = GeneratedMbox.writePlain(1, 3, Instant.now());
        List<Double> parsed = new ArrayList<>();
        List<Double> read = new ArrayList<>();
        List<Double> started = new ArrayList<>();
        List<Double> imported = new ArrayList<>();
        double times = 0;
        try {
            for (int round = 0; round < ROUNDS; round++) {
                parsed.add(seconds(parsing));
                read.add(seconds(reading));
                Path fresh = data.resolve("round" + round);
                FileSystemUtils.copyRecursively(prepared, fresh);
                started.add(seconds(
                        with(java, "-jar", application.toString(), "--data=" + fresh, "import", single.toString())));
                imported.add(seconds(
                        with(java, "-jar", application.toString(), "--data=" + fresh, "import", mbox.toString())));
                times = (double) size(fresh) / Files.size(mbox);
            }
        } finally {
            Files.delete(mbox);
            Files.delete(single);
            FileSystemUtils.deleteRecursively(data);
        }
        System.out.printf(
                Locale.ROOT,
                "The command that imports %d messages, from start to end: %.1f times a process that merely parses them (%.1f and %.1f s; goal: at most 4)%n",
                MESSAGES,
                Bench.median(imported) / Bench.median(parsed),
                Bench.median(imported),
                Bench.median(parsed));
        System.out.printf(
                Locale.ROOT,
                "Of that, in times the same: %.1f to start and import a single message; %.1f to parse and read all, as a process that stores nothing%n",
                Bench.median(started) / Bench.median(parsed),
                Bench.median(read) / Bench.median(parsed));
        System.out.printf(
                Locale.ROOT, "The data folder right after it: %.2f times the file (goal: at most 2)%n", times);
    }

    /** What is there after the first visit. */
    private static Path withAnAccount(Path folder) {
        try (ConfigurableApplicationContext application =
                SpringApplication.run(Squallnote.class, "--data=" + folder, "--server.port=0")) {
            application
                    .getBean(AccountStore.class)
                    .insert(new Account(UUID.randomUUID(), "bench", "Bench", "none", "UTC", false, Instant.now()));
        }
        return folder;
    }

    private static List<String> with(List<String> java, String... more) {
        List<String> command = new ArrayList<>(java);
        command.addAll(List.of(more));
        return command;
    }

    private static double seconds(List<String> command) throws IOException, InterruptedException {
        long began = System.nanoTime();
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        if (process.waitFor() != 0) {
            throw new IllegalStateException("It failed: " + String.join(" ", command));
        }
        return (System.nanoTime() - began) / 1e9;
    }

    private static long size(Path folder) throws IOException {
        try (var paths = Files.walk(folder)) {
            return paths.filter(Files::isRegularFile)
                    .mapToLong(path -> {
                        try {
                            return Files.size(path);
                        } catch (IOException e) {
                            throw new UncheckedIOException(e);
                        }
                    })
                    .sum();
        }
    }
}
