package org.squallnote.bench;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.util.FileSystemUtils;
import org.squallnote.core.account.Account;
import org.squallnote.server.Squallnote;
import org.squallnote.server.files.FileImport;
import org.squallnote.server.portable.AccountExport;
import org.squallnote.server.portable.AccountImport;
import org.squallnote.store.account.AccountStore;

/** What it costs to take a whole account along, against copying what it lies in, and whether it is the same elsewhere. */
final class PortableBench {

    private static final int MESSAGES = 20_000;
    private static final int ROUNDS = 5;

    private PortableBench() {}

    static void run() throws IOException {
        Path here = Files.createTempDirectory("squallnote-bench");
        Path there = Files.createTempDirectory("squallnote-bench");
        Path archive = here.resolve("account.zip");
        try (ConfigurableApplicationContext application = start(here.resolve("data"))) {
            Account account = account(application);
            List<Double> exports = new ArrayList<>();
            List<Double> copies = new ArrayList<>();
            for (int round = 0; round < ROUNDS; round++) {
                copies.add(seconds(() -> copy(here.resolve("data"), here.resolve("copy"))));
                exports.add(seconds(() -> export(application, account.id(), archive)));
            }
            say(
                    "Saving an account of %d messages against copying its data folder: %.1f times (%.1f s, %.1f MB)",
                    MESSAGES,
                    Bench.median(exports) / Bench.median(copies),
                    Bench.median(exports),
                    Files.size(archive) / 1e6);
            try (ConfigurableApplicationContext other = start(there.resolve("data"))) {
                double taken = seconds(() -> other.getBean(AccountImport.class).run(archive));
                say("Taking it in elsewhere against saving it: %.1f times", taken / Bench.median(exports));
                Path again = there.resolve("again.zip");
                export(other, account.id(), again);
                say("Saved there again, it is %s", sums(again).equals(sums(archive)) ? "equal" : "NOT equal");
            }
        } finally {
            FileSystemUtils.deleteRecursively(here);
            FileSystemUtils.deleteRecursively(there);
        }
    }

    private static ConfigurableApplicationContext start(Path data) {
        return SpringApplication.run(Squallnote.class, "--data=" + data, "--server.port=0");
    }

    private static Account account(ConfigurableApplicationContext application) throws IOException {
        Instant now = Instant.now();
        UUID id = UUID.randomUUID();
        Account account = new Account(id, "bench-" + id, "Bench", "none", "UTC", false, now);
        application.getBean(AccountStore.class).insert(account);
        Path mails = GeneratedMbox.write(MESSAGES, 5, now);
        try (InputStream in = new BufferedInputStream(Files.newInputStream(mails))) {
            application.getBean(FileImport.class).run(id, in);
        }
        Files.delete(mails);
        return account;
    }

    private static void export(ConfigurableApplicationContext application, UUID owner, Path to) throws IOException {
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(to))) {
            application.getBean(AccountExport.class).write(owner, out);
        }
    }

    /** Each entry with the sum of what is in it; of tasks without when they were written, which says nothing of them. */
    private static Map<String, Long> sums(Path archive) throws IOException {
        Map<String, Long> sums = new TreeMap<>();
        try (ZipInputStream in = new ZipInputStream(new BufferedInputStream(Files.newInputStream(archive)))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                byte[] bytes = in.readAllBytes();
                if (entry.getName().endsWith(".ics")) {
                    bytes = new String(bytes, StandardCharsets.UTF_8)
                            .replaceAll("(?m)^(DTSTAMP|LAST-MODIFIED):.*$", "")
                            .getBytes(StandardCharsets.UTF_8);
                }
                CRC32 sum = new CRC32();
                sum.update(bytes);
                if (!entry.getName().equals("manifest.json")) {
                    sums.put(entry.getName(), sum.getValue());
                }
            }
        }
        return sums;
    }

    private static void copy(Path from, Path to) throws IOException {
        FileSystemUtils.deleteRecursively(to);
        FileSystemUtils.copyRecursively(from, to);
    }

    private interface Work {
        void run() throws IOException;
    }

    private static double seconds(Work work) throws IOException {
        long start = System.nanoTime();
        work.run();
        return (System.nanoTime() - start) / 1e9;
    }

    private static void say(String format, Object... values) {
        System.out.println(String.format(Locale.ROOT, format, values));
    }
}
