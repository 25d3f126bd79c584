package org.squallnote.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.net.http.HttpRequest;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.squallnote.core.account.Account;

/** What the application holds in memory after somebody has worked with it for a while, a large store behind it and mail coming in. */
final class HeapBench {

    private static final int STORE = 100_000;
    private static final int ARRIVING = 20;
    private static final int REQUESTS_A_MINUTE = 120;
    private static final long MEGABYTE = 1024 * 1024;
    private static final List<String> VIEWS = List.of(
            "/api/intake",
            "/api/threads?turn=WITH_OTHERS",
            "/api/threads?turn=WITH_ME",
            "/api/follow-ups",
            "/api/today");

    private HeapBench() {}

    /** @param minutes how long is worked, on the clock */
    static void run(Bench bench, int minutes) throws IOException, InterruptedException {
        Account account = bench.newAccount();
        fill(bench, account, STORE, 1);
        List<HttpRequest> requests = new ArrayList<>();
        for (String view : VIEWS) {
            requests.add(bench.request(account, view).build());
        }
        requests.addAll(
                bench.each(account, "/api/messages/", "select id from message where owner = ? order by identity"));
        requests.addAll(bench.each(
                account, "/api/threads/", "select thread_id from message where owner = ? order by identity"));
        say("in memory after the import of %d messages: %d MB", STORE, held());
        int sent = 0;
        for (int minute = 1; minute <= minutes; minute++) {
            Instant end = Instant.now().plus(Duration.ofMinutes(1));
            fill(bench, account, ARRIVING, 1L + minute);
            for (int i = 0; i < REQUESTS_A_MINUTE; i++) {
                bench.send(requests.get(sent++ % requests.size()));
            }
            decide(bench, account);
            Duration rest = Duration.between(Instant.now(), end);
            if (!rest.isNegative()) {
                Thread.sleep(rest.toMillis());
            }
            if (minute % 10 == 0 || minute == minutes) {
                say("after %d minutes: %d MB (goal: under 400)", minute, held());
            }
        }
    }

    private static void fill(Bench bench, Account account, int messages, long seed) throws IOException {
        Path mails = GeneratedMbox.write(messages, seed, Instant.now());
        bench.importInto(account, mails);
        Files.delete(mails);
    }

    /** The newest messages are followed up, as in a sitting. */
    private static void decide(Bench bench, Account account) throws IOException, InterruptedException {
        String ids = String.join("\",\"", bench.undecided(account, ARRIVING));
        bench.send(bench.change(account, "/api/intake/decisions", UUID.randomUUID())
                .POST(HttpRequest.BodyPublishers.ofString(
                        "{\"messageIds\":[\"" + ids + "\"],\"decision\":\"FOLLOW_UP\"}"))
                .build());
    }

    private static long held() {
        System.gc();
        return ManagementFactory.getMemoryMXBean().getHeapMemoryUsage().getUsed() / MEGABYTE;
    }

    private static void say(String text, Object... values) {
        System.out.printf(Locale.ROOT, "Heap " + text + "%n", values);
    }
}
